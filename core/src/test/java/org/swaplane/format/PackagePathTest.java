package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.NullAndEmptySource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.task.CannotProceedException;

/** Paths that somebody else says become paths of ours only where every system can hold them. */
class PackagePathTest {
    private static final Path FOLDER = Path.of("/lane/out");

    @ParameterizedTest
    @ValueSource(
            strings = {
                "page.html",
                "de-DE/web/page.html",
                "Fahrplan März.docx",
                "اسم.xlf",
                "見出し/時刻表.xlsx",
                ".hidden",
                "a..b.txt",
                "com10.txt",
                "console.txt",
                "nulls/aux1.txt",
                "12:30 list.txt"
            })
    void ordinaryNamesOfAllLanguagesArePaths(String path) {
        assertThat(new PackagePath(path).in(FOLDER)).isEqualTo(FOLDER.resolve(path));
    }

    @ParameterizedTest
    @NullAndEmptySource
    @ValueSource(
            strings = {
                "..",
                ".",
                "../out.txt",
                "a/../../out.txt",
                "a/./b",
                "/etc/passwd",
                "//server/share/file",
                "\\\\server\\share\\file",
                "..\\out.txt",
                "a\\b.txt",
                "C:/windows/file",
                "c:file",
                "a//b",
                "a/",
                "a.",
                "a ",
                "folder./file",
                "folder /file",
                "CON",
                "con.txt",
                "Aux.tar.gz",
                "a/NUL",
                "com1",
                "LPT9.xlf",
                "com\u00b9.txt",
                "nul .txt",
                "a\u0000.txt",
                "a\u001b[31m.txt",
                "a\nb.txt",
                "a\u202etxt.exe",
                "a\u2028b",
                "\ud800.txt"
            })
    void whatLeadsElsewhereOrSomeSystemCannotHoldIsNone(String path) {
        assertThatThrownBy(() -> new PackagePath(path))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageNotContainingAny("\u0000", "\u001b", "\n");
    }

    @Test
    void lengthsAreThoseOfBytes() {
        assertThat(new PackagePath("ä".repeat(127)).value()).hasSize(127);
        assertThatThrownBy(() -> new PackagePath("ä".repeat(128))).isInstanceOf(CannotProceedException.class);
        assertThatThrownBy(() -> new PackagePath("abc/".repeat(1024) + "d")).isInstanceOf(CannotProceedException.class);
    }

    @ParameterizedTest
    @CsvSource({"a.txt, A.TXT", "Ä.txt, A\u0308.txt", "straße, STRASSE", "a, a/b", "a/b/c, A", "\ufb01le, file"})
    void whatSomeFileSystemTakesForOneIsClaimedOnce(String first, String second) {
        PackagePath.Claims claims = new PackagePath.Claims();
        claims.claim(new PackagePath(first));

        assertThatThrownBy(() -> claims.claim(new PackagePath(second))).isInstanceOf(CannotProceedException.class);
        claims.claim(new PackagePath("another"));
    }

    @Property
    void noTextWhateverLeadsOutOfTheFolder(@ForAll String path) {
        Path file;
        try {
            file = new PackagePath(path).in(FOLDER);
        } catch (CannotProceedException e) {
            return;
        }
        assertThat(file.normalize().startsWith(FOLDER)).isTrue();
        assertThat(file).isNotEqualTo(FOLDER);
    }
}
