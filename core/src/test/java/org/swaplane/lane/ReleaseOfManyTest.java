package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.Progress;

/** Hundreds of files in several languages leave in one step, or none of them does. */
class ReleaseOfManyTest {
    private static final List<String> LANGUAGES = List.of("de-DE", "fr-FR", "sv-SE", "ar-AE");
    private static final Map<String, String> CODES =
            Map.of("de-DE", "ger", "fr-FR", "fre", "sv-SE", "swe", "ar-AE", "ara");
    private static final int FILES = 75;
    /** As many as {@code -Dkills=100} says; a few by default, since each needs a new process. */
    private static final int KILLS = Integer.getInteger("kills", 1);

    @TempDir
    private Path folder;

    private static String file(int number, String language, String target) {
        return "<?xml version=\"1.0\"?>\r\n<!-- sheet " + number + " --><xliff version='1.2'>"
                + "<file original='sheet' source-language='en-GB' target-language='" + language
                + "' datatype='plaintext'><body><trans-unit id=\"1\"><source>Sheet " + number + "</source>" + target
                + "</trans-unit></body></file></xliff>\n";
    }

    /** A lane whose files all have folders; every third one is translated in the lane. */
    private static Lane lane(Path place, int files) throws IOException {
        Lane lane = Lane.create(place, "Season", FormatRegistry.ofInstalled(), Clock.systemUTC());
        for (int i = 0; i < files; i++) {
            for (String language : LANGUAGES) {
                String target = i % 3 == 0 ? "" : "<target>Blatt " + i + "</target>";
                Track track = lane.trackStore()
                        .takeIn(
                                Source.of(
                                        "sheet" + i + ".xlf",
                                        file(i, language, target).getBytes(StandardCharsets.UTF_8)),
                                i % 2 == 0 ? "web/part" + i % 5 : "",
                                FileOptions.NONE,
                                Progress.NONE);
                if (i % 3 == 0) {
                    new Work(lane, track).type("Mara", 0, new Value(Content.of("Blatt " + i), State.TRANSLATED));
                }
            }
        }
        return lane;
    }

    private static ReleaseOptions options() {
        return ReleaseOptions.DEFAULT
                .withOutputs(List.of(new ReleaseOptions.Output(ReleaseForm.FILE, "{name}.{ext}", "{target}/{path}")))
                .withCodes("de-DE=ger fr-FR=fre sv-SE=swe ar-AE=ara")
                .packed(ReleaseOptions.Packing.ZIP, "season-{release}", ReleaseOptions.Manifest.NONE);
    }

    @Test
    void whatLiesInThePackageIsWhatWasStatedBefore() throws IOException {
        Map<String, String> stated = new TreeMap<>();
        for (int i = 0; i < FILES; i++) {
            for (String language : LANGUAGES) {
                String target = "<target>Blatt " + i + "</target>";
                stated.put(
                        CODES.get(language) + (i % 2 == 0 ? "/web/part" + i % 5 : "") + "/sheet" + i + ".xlf",
                        file(i, language, target));
            }
        }
        try (Lane lane = lane(folder.resolve("lane"), FILES)) {
            Release release = new Packaging(lane, new ReleaseConditions(lane, CheckRun::ofAllChecks))
                    .release(lane.tracks(), options(), "as agreed", Progress.NONE);

            Map<String, String> there = new TreeMap<>();
            SafeZip.read(Source.of(lane.folder().resolve("out").resolve(release.place())), name -> true)
                    .forEach((name, bytes) -> there.put(name, new String(bytes, StandardCharsets.UTF_8)));
            assertThat(there).isEqualTo(stated);
            assertThat(release.files()).isEqualTo(FILES * LANGUAGES.size());
        }
    }

    /** Releases again and again until it is killed; says the number of each release. */
    public static void main(String[] arguments) throws IOException {
        Lane lane = Lane.open(Path.of(arguments[0], "lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        Packaging packaging = new Packaging(lane, new ReleaseConditions(lane, CheckRun::ofAllChecks));
        for (int i = Integer.parseInt(arguments[1]); ; i++) {
            packaging.release(lane.tracks(), options(), "as agreed", Progress.NONE);
            System.out.println(i);
        }
    }

    @Test
    void aReleaseThatIsKilledLeavesNoHalfPackage() throws Exception {
        int files = 8;
        lane(folder.resolve("lane"), files).close();
        Random random = new Random(5);
        int next = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            next = WorkingProcess.killAfter(
                            ReleaseOfManyTest.class, folder, next, 1 + random.nextInt(3), random.nextInt(300))
                    + 1;
            try (Lane lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
                    Stream<Path> out = Files.list(lane.folder().resolve("out"))) {
                for (Path each : out.toList()) {
                    String name = each.getFileName().toString();
                    assertThat(name).doesNotStartWith(".");
                    if (name.endsWith(".zip")) {
                        assertThat(SafeZip.read(Source.of(each), any -> true)).hasSize(files * LANGUAGES.size());
                    }
                }
                assertThat(lane.releases().all().size()).isGreaterThanOrEqualTo(next);
            }
        }
    }
}
