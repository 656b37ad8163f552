package org.swaplane.check;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.task.Progress;

/** Runs the checks over segments. */
public final class CheckRun {
    private static final int CHUNK = 10_000;

    private final List<Check> checks;
    private final Profile profile;
    private final Check locked = new LockedChangeCheck();

    private CheckRun(List<Check> checks, Profile profile) {
        this.checks = List.copyOf(checks);
        this.profile = profile;
    }

    /** Every check that there is, with the default placeholders. */
    public static CheckRun ofAllChecks() {
        return of(Profile.DEFAULT);
    }

    /** The checks of a profile. */
    public static CheckRun of(Profile profile) {
        Placeholders placeholders = new Placeholders();
        List<Check> all = List.of(
                new EmptyTargetCheck(),
                new TagsCheck(),
                new PlaceholdersCheck(placeholders),
                new NumbersCheck(placeholders),
                new SameAsSourceCheck(placeholders),
                new FileRulesCheck(),
                new LengthCheck(profile.growth()),
                new QuotesCheck(),
                new SourceLeftCheck(placeholders),
                new OwnPatternCheck(profile.patterns()),
                new EndPunctuationCheck(),
                new EdgeSpaceCheck(),
                new DoubleSpaceCheck(),
                new RepeatedWordCheck(),
                new BracketsCheck(),
                new CapitalCheck(),
                new MessageSyntaxCheck(),
                new LinkCheck(),
                new CharactersCheck());
        return new CheckRun(
                all.stream()
                        .filter(check -> !profile.off().contains(check.id()))
                        .toList(),
                profile);
    }

    /** The findings of one segment; what is locked in the file is nobody's work here, and only must stay as it is. */
    public List<Finding> run(CheckedSegment segment) {
        if (segment.segment().locked()) {
            return isOn(locked.id()) ? severe(locked.check(segment)) : List.of();
        }
        List<Finding> findings = new ArrayList<>();
        for (Check check : checks) {
            findings.addAll(severe(check.check(segment)));
        }
        return findings;
    }

    private boolean isOn(String check) {
        return !profile.off().contains(check);
    }

    /** With the severities of the profile. */
    private List<Finding> severe(List<Finding> findings) {
        if (findings.isEmpty() || profile.severities().isEmpty()) {
            return findings;
        }
        return findings.stream()
                .map(each -> each.with(profile.severities().getOrDefault(each.check(), each.severity())))
                .toList();
    }

    /**
     * The findings of segments that changed and of all with the same sources, by segment; an empty list where there is none any more.
     *
     * @param same those of the document
     */
    public Map<Integer, List<Finding>> again(
            Collection<Integer> changed, IntFunction<CheckedSegment> segments, SameSources same) {
        Map<Integer, Finding> others = same.findings(changed, segments);
        Map<Integer, List<Finding>> findings = new TreeMap<>();
        changed.forEach(
                index -> same.of(index).forEach(each -> findings.computeIfAbsent(each, i -> run(i, segments, others))));
        return findings;
    }

    private List<Finding> run(int index, IntFunction<CheckedSegment> segments, Map<Integer, Finding> others) {
        List<Finding> own = run(segments.apply(index));
        Finding other = others.get(index);
        if (other == null) {
            return own;
        }
        List<Finding> both = new ArrayList<>(own);
        both.add(other);
        return both;
    }

    /** The findings of a whole document, in its order. */
    public List<Finding> run(BilingualDocument document, Progress progress) {
        return run(
                document.segments().size(),
                i -> {
                    Segment segment = document.segments().get(i);
                    Part part = document.parts().get(segment.part());
                    return new CheckedSegment(
                            i, segment, segment.target(), part.sourceLanguage(), part.targetLanguage());
                },
                progress);
    }

    /** The findings of so many segments, in their order; they are checked on all processors. */
    public List<Finding> run(int size, IntFunction<CheckedSegment> segments, Progress progress) {
        Map<Integer, Finding> others = SameSources.of(size, segments)
                .findings(IntStream.range(0, size).boxed().toList(), segments);
        List<Finding> findings = new ArrayList<>();
        for (int from = 0; from < size; from += CHUNK) {
            progress.checkCancelled();
            progress.at(from, size);
            IntStream.range(from, Math.min(size, from + CHUNK))
                    .parallel()
                    .mapToObj(i -> run(i, segments, others))
                    .filter(found -> !found.isEmpty())
                    .toList()
                    .forEach(findings::addAll);
        }
        return findings;
    }
}
