package org.swaplane.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.desktop.session.PersonSettings;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/** The person's keys as a file. It says what came of it on the window's thread, so there must be one. */
class KeyBindingsTest extends ApplicationTest {
    @TempDir
    private Path folder;

    private String said = "";

    private String read(KeyBindings bindings, String json) throws Exception {
        said = "";
        bindings.read(Files.writeString(folder.resolve("keys.json"), json), words -> said = words);
        WaitForAsyncUtils.waitFor(10, java.util.concurrent.TimeUnit.SECONDS, () -> !said.isEmpty());
        return said;
    }

    @Test
    void keysGoFromOnePersonToAnother() throws Exception {
        PersonSettings mara = PersonSettings.none();
        mara.setKeys("lock", "Alt+O");
        mara.setKeys("palette", "");
        KeyBindings bindings = new KeyBindings(mara);
        Path file = folder.resolve("of-mara.json");
        bindings.write(bindings.own(), file, words -> said = words);
        WaitForAsyncUtils.waitFor(10, java.util.concurrent.TimeUnit.SECONDS, () -> !said.isEmpty());

        KeyBindings other = new KeyBindings(PersonSettings.none());
        read(other, Files.readString(file));
        assertThat(other.own()).isEqualTo(Map.of("lock", "Alt+O", "palette", ""));
    }

    @Test
    void whatIsNoCommandNoKeyOrWouldTypeIsSkipped() throws Exception {
        KeyBindings bindings = new KeyBindings(PersonSettings.none());
        assertThat(read(
                        bindings,
                        "{\"lock\": \"Alt+O\", \"no-such\": \"Alt+P\", \"palette\": \"X\", \"key-list\": \"Hyper+?\"}"))
                .contains("1")
                .contains("3 skipped");
        assertThat(bindings.own()).isEqualTo(Map.of("lock", "Alt+O"));
    }

    @Test
    void aFileThatIsNoneChangesNothing() throws Exception {
        KeyBindings bindings = new KeyBindings(PersonSettings.none());
        bindings.set("lock", "Alt+O");
        assertThat(read(bindings, "not json")).contains("cannot be used");
        assertThat(bindings.own()).isEqualTo(Map.of("lock", "Alt+O"));
    }
}
