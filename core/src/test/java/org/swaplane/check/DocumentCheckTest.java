package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.swaplane.content.Content;
import org.swaplane.document.Segment;
import org.swaplane.task.Progress;

class DocumentCheckTest {
    private static final List<String> SOURCES =
            List.of("The upper deck is closed.", "The lower deck is closed.", "The upper deck is closed.", "Pier 3");
    private static final List<String> TARGETS = List.of(
            "Das obere Deck ist geschlossen.",
            "Das obere  Deck ist geschlossen.",
            "Das untere Deck ist geschlossen.",
            "Anleger 4",
            "");

    /** A target that is put into a segment. */
    record Edit(int segment, String target) {}

    @Provide
    Arbitrary<List<Edit>> edits() {
        return Combinators.combine(Arbitraries.integers().between(0, 5), Arbitraries.of(TARGETS))
                .as(Edit::new)
                .list()
                .ofMinSize(1)
                .ofMaxSize(12);
    }

    /** Six segments of a file, some with the same source. */
    private static List<String> unedited() {
        return new ArrayList<>(List.of(
                TARGETS.get(0), TARGETS.get(2), TARGETS.get(1), TARGETS.get(3), TARGETS.get(4), TARGETS.get(0)));
    }

    private static DocumentCheck over(List<String> targets) {
        return CheckRun.ofAllChecks().over(targets.size(), i -> {
            Segment segment = aSegment()
                    .key("k" + i)
                    .source("en", SOURCES.get(i % SOURCES.size()))
                    .target("de", "")
                    .build();
            return new CheckedSegment(i, segment, Content.of(targets.get(i)), "en", "de");
        });
    }

    private static Map<Integer, List<Finding>> found(DocumentCheck document) {
        Map<Integer, List<Finding>> found = new TreeMap<>();
        document.run(Progress.NONE, found::put);
        return found;
    }

    @Property(tries = 300)
    void afterEditsItFindsWhatIsFoundAfresh(@ForAll("edits") List<Edit> edits) {
        List<String> targets = unedited();
        DocumentCheck document = over(targets);
        Map<Integer, List<Finding>> found = found(document);

        for (Edit edit : edits) {
            targets.set(edit.segment(), edit.target());
            found.putAll(document.recheck(List.of(edit.segment())));
            found.values().removeIf(List::isEmpty);
        }

        assertThat(found).isEqualTo(found(over(targets)));
    }
}
