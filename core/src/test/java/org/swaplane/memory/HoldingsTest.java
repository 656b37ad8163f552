package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;

/** A pair of texts is in a memory once, as long as it was added or somebody holds it. */
class HoldingsTest {
    @TempDir
    private Path folder;

    private static MemoryUnit unit(String text, String key) {
        return new MemoryUnit(
                "en",
                "de",
                Content.of(text),
                Content.of("T" + text),
                new MemoryUnit.Context("before " + key, "after " + key, key),
                Provenance.of("file of " + key));
    }

    private static List<String> texts(TranslationMemory memory) throws IOException {
        List<String> texts = new ArrayList<>();
        memory.forEach(unit -> texts.add(unit.sourceWritten()));
        return texts.stream().sorted().toList();
    }

    /** What is done with a memory: by whom, for which segment, with which text. */
    record Deed(String what, String holder, String key, String text) {
        void to(TranslationMemory memory) throws IOException {
            MemoryUnit unit = unit(text, key);
            switch (what) {
                case "put" -> memory.put(holder, unit);
                case "release" -> memory.release(holder, key);
                case "release all" -> memory.releaseAll(holder);
                case "add" -> memory.add(unit);
                case "take out" -> memory.remove(unit.id());
                default -> memory.commit();
            }
        }
    }

    /** The rule in its simplest form. */
    private static final class Model {
        private final Map<String, String> held = new HashMap<>();
        private final Set<String> added = new HashSet<>();

        void take(Deed deed) {
            String place = deed.holder() + "/" + deed.key();
            switch (deed.what()) {
                case "put" -> held.put(place, deed.text());
                case "release" -> held.remove(place);
                case "release all" -> held.keySet().removeIf(each -> each.startsWith(deed.holder() + "/"));
                case "add" -> added.add(deed.text());
                case "take out" -> {
                    added.remove(deed.text());
                    held.values().removeIf(deed.text()::equals);
                }
                default -> {}
            }
        }

        List<String> texts() {
            Set<String> texts = new HashSet<>(added);
            texts.addAll(held.values());
            return texts.stream().sorted().toList();
        }
    }

    @Provide
    Arbitrary<List<Deed>> deeds() {
        return Combinators.combine(
                        Arbitraries.of("put", "put", "put", "release", "release all", "add", "take out", "commit"),
                        Arbitraries.of("1", "2"),
                        Arbitraries.of("a", "b", "c"),
                        Arbitraries.of("pier", "deck", "quay"))
                .as(Deed::new)
                .list()
                .ofMaxSize(30);
    }

    @Property(tries = 60)
    void whatIsThereIsWhatWasAddedOrIsHeldEachOnce(@ForAll("deeds") List<Deed> deeds) throws IOException {
        Path place = Files.createTempDirectory("holdings");
        try (TranslationMemory memory = TranslationMemory.openForWriting(place)) {
            Model model = new Model();
            for (Deed deed : deeds) {
                deed.to(memory);
                model.take(deed);
            }
            memory.commit();
            assertThat(texts(memory)).isEqualTo(model.texts());
        } finally {
            try (Stream<Path> files = Files.walk(place)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
    }

    @Test
    void aPairThatStandsInTwoPlacesIsInContextInBoth() throws IOException {
        try (TranslationMemory memory = TranslationMemory.openForWriting(folder)) {
            memory.put("lane", unit("Dogs travel free.", "a"));
            memory.put("lane", unit("Dogs travel free.", "b"));
            memory.commit();

            for (String key : List.of("a", "b")) {
                MemoryUnit.Context context = unit("", key).context();
                assertThat(memory.lookup("en", "de", Content.of("Dogs travel free."), context, 70, 5))
                        .singleElement()
                        .satisfies(match -> {
                            assertThat(match.kind()).isEqualTo(MemoryMatch.Kind.CONTEXT);
                            assertThat(match.unit().origin()).isEqualTo("file of " + key);
                        });
            }
        }
    }
}
