package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** Runs the checks over segments. */
public final class CheckRun {
    /** Characters of a segment beyond which nobody would look for a finding, and some checks would take minutes. */
    private static final int LONGEST = 20_000;

    private final List<Check> checks;
    private final Profile profile;
    private final Check locked = new LockedChangeCheck();

    private final SpellingCheck spelling;

    private CheckRun(List<Check> checks, SpellingCheck spelling, Profile profile) {
        this.checks = List.copyOf(checks);
        this.spelling = spelling;
        this.profile = profile;
    }

    /** Every check that there is, with the default placeholders. */
    public static CheckRun ofAllChecks() {
        return of(Profile.DEFAULT, CheckMaterial.NONE);
    }

    /** The checks of a profile with the files that it names. */
    public static CheckRun of(Profile profile, CheckMaterial material) {
        Placeholders placeholders = new Placeholders();
        Terms terms = new Terms(material.terms(), profile.keep());
        SpellingCheck spelling = new SpellingCheck(material.dictionaries(), placeholders, profile.keep());
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
                new CharactersCheck(),
                new TermCheck(terms),
                new ForbiddenTermCheck(terms),
                new KeptTextCheck(terms),
                spelling);
        return new CheckRun(
                all.stream()
                        .filter(check -> !profile.off().contains(check.id()))
                        .toList(),
                spelling,
                profile);
    }

    /** Words that its dictionary knows and that may be meant by one that it does not know, the likeliest first. */
    public List<String> suggestions(String word, String language) {
        return spelling.suggestions(word, language);
    }

    /** The findings of one segment; what is locked in the file is nobody's work here, and only must stay as it is. */
    public List<Finding> run(CheckedSegment segment) {
        if (segment.segment().locked()) {
            return isOn(locked.id()) ? applyProfile(locked.check(segment)) : List.of();
        }
        int length =
                Math.max(segment.sourceText().length(), segment.targetText().length());
        if (length > LONGEST) {
            Finding tooLong = Finding.in(
                    segment,
                    "length",
                    Severity.WARNING,
                    Phrase.of("check.length.unchecked", length, LONGEST),
                    List.of(),
                    List.of(),
                    Optional.empty());
            return applyProfile(tooLong).map(List::of).orElse(List.of());
        }
        List<Finding> findings = new ArrayList<>();
        for (Check check : checks) {
            findings.addAll(applyProfile(check.check(segment)));
        }
        findings.removeIf(each -> isSuperseded(each, findings));
        return findings;
    }

    /** A term that is missing because a forbidden one stands in its place is one mistake, not two. */
    private static boolean isSuperseded(Finding finding, List<Finding> all) {
        return finding.check().equals("term")
                && all.stream()
                        .anyMatch(each -> each.check().equals("forbidden-term")
                                && each.source().equals(finding.source()));
    }

    private boolean isOn(String check) {
        return !profile.off().contains(check);
    }

    /** With the severities of the profile. */
    private List<Finding> applyProfile(List<Finding> findings) {
        if (findings.isEmpty() || profile.severities().isEmpty()) {
            return findings;
        }
        return findings.stream()
                .map(each -> each.with(profile.severities().getOrDefault(each.check(), each.severity())))
                .toList();
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
        List<Finding> findings = new ArrayList<>();
        over(size, segments).run(progress, (position, found) -> findings.addAll(found));
        return findings;
    }

    /** What a pattern alone finds, up to so many. */
    public static List<Finding> found(
            OwnPattern pattern, int size, IntFunction<CheckedSegment> segments, int most, Progress progress) {
        Check check = new OwnPatternCheck(List.of(pattern));
        List<Finding> found = new ArrayList<>();
        for (int i = 0; i < size && found.size() < most; i++) {
            progress.checkCancelled();
            found.addAll(check.check(segments.apply(i)));
        }
        return found;
    }

    /** The checks of segments that belong together, which can be made again where one of them changes. */
    public DocumentCheck over(int size, IntFunction<CheckedSegment> segments) {
        return new DocumentCheck(this, size, segments);
    }

    /** What the profile says of a check that is not about one segment alone. */
    Optional<Finding> applyProfile(Finding finding) {
        return isOn(finding.check())
                ? Optional.of(applyProfile(List.of(finding)).get(0))
                : Optional.empty();
    }

    Profile profile() {
        return profile;
    }
}
