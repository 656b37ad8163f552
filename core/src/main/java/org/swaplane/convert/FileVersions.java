package org.swaplane.convert;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Retagging;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.format.xliff12.NewXliff12;
import org.swaplane.format.xliff2.NewXliff2;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.version.CarryOver;
import org.swaplane.version.VersionAlignment;
import org.swaplane.version.VersionComparison;

/** Two versions of a file, without a lane: what changed, and the new one with the translations of the old. */
public final class FileVersions {
    private final FormatRegistry formats;

    public FileVersions(FormatRegistry formats) {
        this.formats = formats;
    }

    /** What changed; documents are cut by the shipped rules. */
    public VersionComparison compare(Source old, Source now, FileOptions options, Progress progress)
            throws IOException {
        return VersionComparison.of(
                old.name(),
                now.name(),
                formats.open(old, options, progress).document(),
                formats.open(now, options, progress).document(),
                progress);
    }

    /**
     * What was carried over, and what writes the new version with it.
     *
     * @param counts segments of the new version by what became of them
     */
    public record Updated(Map<CarryOver.Kind, Integer> counts, NewFile.Writer writer) {}

    /**
     * Carries the translations of a bilingual file over to a new version of it, or to the XLIFF of a new version of the document that it was
     * made of.
     *
     * @param lock whether what is carried over in its place is locked, where the format can say so
     * @throws CannotProceedException when the first is no bilingual file, or the second is in another language
     */
    public Updated update(Source translated, Source now, boolean lock, Progress progress) throws IOException {
        BilingualFile before = formats.open(translated, FileOptions.NONE, progress);
        if (before instanceof DocumentFile) {
            throw new CannotProceedException(translated.name(), "problem.not-translated");
        }
        BilingualDocument old = before.document();
        BilingualFile after = bilingual(now, old, progress);
        refuseOtherLanguage(now.name(), old, after.document());
        List<Segment> segments = after.document().segments();
        List<CarryOver.Carried> carried = new CarryOver(
                        VersionAlignment.of(old, after.document(), progress),
                        old.segments(),
                        segments,
                        CarryOver.Wins.OURS)
                .all(translated.name());
        Map<CarryOver.Kind, Integer> counts = new EnumMap<>(CarryOver.Kind.class);
        for (CarryOver.Kind kind : CarryOver.Kind.values()) {
            counts.put(kind, (int)
                    carried.stream().filter(each -> each.kind() == kind).count());
        }
        List<SegmentEdit> edits = edits(carried, old.segments(), segments, lock && after.canLock());
        return new Updated(counts, out -> after.write(edits, out, progress));
    }

    private BilingualFile bilingual(Source now, BilingualDocument old, Progress progress) throws IOException {
        FileOptions options = FileOptions.ofLanguages(old.sourceLanguage(), old.targetLanguage());
        BilingualFile file = formats.open(now, options, progress);
        if (!(file instanceof DocumentFile)) {
            return file;
        }
        ByteArrayOutputStream xliff = new ByteArrayOutputStream();
        if (old.format().startsWith("xliff-1")) {
            NewXliff12.write(file.document(), xliff);
        } else {
            NewXliff2.write(file.document(), xliff);
        }
        return formats.open(Source.of(now.name() + ".xlf", xliff.toByteArray()), FileOptions.NONE, progress);
    }

    private static void refuseOtherLanguage(String name, BilingualDocument old, BilingualDocument now) {
        List<String> ours = targets(old);
        List<String> theirs = targets(now);
        boolean agree = ours.isEmpty() || theirs.isEmpty() || theirs.stream().anyMatch(ours::contains);
        if (!agree) {
            throw new CannotProceedException(
                    name, "problem.version-of-other-language", String.join(", ", theirs), String.join(", ", ours));
        }
    }

    private static List<String> targets(BilingualDocument document) {
        return document.parts().stream()
                .map(Part::targetLanguage)
                .filter(language -> !language.isEmpty())
                .distinct()
                .toList();
    }

    private static List<SegmentEdit> edits(
            List<CarryOver.Carried> carried, List<Segment> old, List<Segment> now, boolean lock) {
        List<SegmentEdit> edits = new ArrayList<>();
        for (CarryOver.Carried each : carried) {
            Segment segment = now.get(each.now());
            boolean locked = isLocked(each, old) || lock && wholeUnitIsCarried(carried, now, each.now());
            Optional<Boolean> newLock = locked && !segment.locked() ? Optional.of(true) : Optional.empty();
            Optional<Proposal> proposal = each.proposal().map(found -> fitted(found, segment.source()));
            boolean changes = !each.target().equals(segment.target())
                    || each.state() != segment.state()
                    || newLock.isPresent()
                    || proposal.isPresent();
            if (changes) {
                edits.add(new SegmentEdit(each.now(), each.target(), each.state(), newLock, proposal));
            }
        }
        return edits;
    }

    /** A lock survives where the segment stays what it was. */
    private static boolean isLocked(CarryOver.Carried each, List<Segment> old) {
        return each.kind() == CarryOver.Kind.CARRIED && old.get(each.old()).locked();
    }

    /** A file can lock a unit as a whole only. */
    private static boolean wholeUnitIsCarried(List<CarryOver.Carried> carried, List<Segment> now, int index) {
        int first = index;
        while (first > 0 && now.get(first - 1).isOfSameUnit(now.get(index))) {
            first--;
        }
        for (int i = first; i < now.size() && now.get(i).isOfSameUnit(now.get(index)); i++) {
            CarryOver.Carried each = carried.get(i);
            boolean settled =
                    each.kind() == CarryOver.Kind.CARRIED && each.state().compareTo(State.TRANSLATED) >= 0;
            if (!settled) {
                return false;
            }
        }
        return true;
    }

    /** With the codes of the file that it is written into; what has none there is left out. */
    private static Proposal fitted(Proposal proposal, Content source) {
        return new Proposal(
                Retagging.fitted(proposal.source(), proposal.source(), source),
                proposal.target(),
                proposal.score(),
                proposal.origin());
    }
}
