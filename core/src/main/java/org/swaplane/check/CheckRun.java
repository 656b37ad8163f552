package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.task.Progress;

/** Runs the checks over segments. */
public final class CheckRun {
    private final List<Check> checks;

    public CheckRun(List<Check> checks) {
        this.checks = List.copyOf(checks);
    }

    /** Every check that there is, with the default placeholders. */
    public static CheckRun ofAllChecks() {
        Placeholders placeholders = new Placeholders();
        return new CheckRun(List.of(
                new EmptyTargetCheck(),
                new TagsCheck(),
                new PlaceholdersCheck(placeholders),
                new NumbersCheck(placeholders),
                new SameAsSourceCheck(placeholders),
                new FileRulesCheck(),
                new LengthCheck(),
                new EndPunctuationCheck(),
                new EdgeSpaceCheck(),
                new DoubleSpaceCheck(),
                new RepeatedWordCheck(),
                new BracketsCheck(),
                new CapitalCheck(),
                new MessageSyntaxCheck(),
                new LinkCheck(),
                new CharactersCheck()));
    }

    /** The findings of one segment; what is locked in the file is nobody's work here and is not checked. */
    public List<Finding> run(CheckedSegment segment) {
        if (segment.segment().locked()) {
            return List.of();
        }
        return checks.stream().flatMap(check -> check.check(segment).stream()).toList();
    }

    /** The findings of a whole document, in its order. */
    public List<Finding> run(BilingualDocument document, Progress progress) {
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            progress.checkCancelled();
            progress.at(i, document.segments().size());
            Segment segment = document.segments().get(i);
            Part part = document.parts().get(segment.part());
            findings.addAll(run(
                    new CheckedSegment(i, segment, segment.target(), part.sourceLanguage(), part.targetLanguage())));
        }
        return findings;
    }
}
