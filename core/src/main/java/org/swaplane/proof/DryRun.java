package org.swaplane.proof;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.DocumentFile.WrittenUnit;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.proof.Proof.Detail;
import org.swaplane.proof.layout.Overflow;
import org.swaplane.proof.reach.FoundText;
import org.swaplane.proof.reach.Picture;
import org.swaplane.proof.reach.Pictures;
import org.swaplane.pseudo.PseudoSettings;
import org.swaplane.pseudo.PseudoTranslator;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** The pseudo-translated round trip that proves a file before work starts. */
public final class DryRun {
    static final String MASK = "[x]";

    private final FormatRegistry formats;
    private final PseudoSettings settings;

    public DryRun(FormatRegistry formats, PseudoSettings settings) {
        this.formats = formats;
        this.settings = settings;
    }

    /** A dry run with the default settings. */
    public static DryRun withDefaults(FormatRegistry formats) {
        return new DryRun(formats, PseudoSettings.DEFAULT);
    }

    /** Runs every proof; the pseudo-translated file is left at {@code output}. */
    public DryRunResult run(Source source, FileOptions given, Path output, Progress progress) throws IOException {
        BilingualFile original = formats.open(source, given, progress);
        FileOptions options = given.inEncodingOf(original.document().encoding());
        Path folder = output.toAbsolutePath().getParent();
        try (Drafts drafts = new Drafts(folder)) {
            Path unchanged = drafts.add();
            write(original, List.of(), unchanged, progress);
            List<SegmentEdit> edits = pseudoEdits(original.document());
            Source pseudo = Source.of(source.name(), output);
            List<Proof> proofs = new ArrayList<>();
            proofs.add(Proof.of(
                    "identity", source.sha256().equals(Source.of(unchanged).sha256()), List.of()));
            BilingualFile read;
            try {
                write(original, edits, output, progress);
                read = formats.open(pseudo, options, progress);
            } catch (CannotProceedException e) {
                proofs.add(Proof.of("survival", false, List.of(new Detail("", Reason.of(e)))));
                proofs.add(TargetCharacters.proof(original.document(), source));
                return new DryRunResult(proofs, original.document(), List.of(), List.of());
            }
            BilingualDocument preview = read.document();
            List<FoundText> unreached = new ArrayList<>(Reach.locked(original.document()));
            List<Picture> pictures = List.of();
            progress.checkCancelled();
            if (original instanceof DocumentFile before && read instanceof DocumentFile after) {
                List<WrittenUnit> found = after.units(List.of());
                proofs.add(unitSurvival(before.units(edits), found));
                SecondReader.proof(original.document(), unchanged, output).ifPresent(proofs::add);
                proofs.add(onlyTexts(source, pseudo, options, drafts, progress));
                preview = preview(original.document(), before.units(List.of()), found);
                unreached.addAll(Reach.unreached(original.document(), source, pseudo, options));
                pictures = Pictures.of(original.document().format(), source, options);
            } else {
                proofs.add(survival(original.document(), read.document(), edits));
                SecondReader.proof(original.document(), unchanged, output).ifPresent(proofs::add);
                proofs.add(onlyTargets("return", original, read, drafts, progress));
            }
            proofs.add(Reach.proof(unreached));
            proofs.add(Reach.proofOfPictures(pictures));
            proofs.add(growth(original.document(), edits, source, pseudo));
            proofs.add(TargetCharacters.proof(original.document(), pseudo));
            proofs.add(new SourceStructure(original.document(), original instanceof DocumentFile).proof());
            return new DryRunResult(proofs, preview, unreached, pictures);
        }
    }

    /** Files that are gone when the dry run is over, however it ends. */
    private record Drafts(Path folder, List<Path> files) implements AutoCloseable {
        private Drafts(Path folder) {
            this(folder, new ArrayList<>());
        }

        private Path add() throws IOException {
            Path file = Files.createTempFile(folder, "draft", ".tmp");
            files.add(file);
            return file;
        }

        @Override
        public void close() throws IOException {
            for (Path file : files) {
                Files.deleteIfExists(file);
            }
        }
    }

    /** The target of every segment that may be changed, pseudo-translated. */
    public List<SegmentEdit> pseudoEdits(BilingualDocument document) {
        Charset charset =
                TargetCharacters.canEscape(document) ? StandardCharsets.UTF_8 : TargetCharacters.charset(document);
        PseudoTranslator pseudo = new PseudoTranslator(new Placeholders(), settings, charset);
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            if (!segment.locked() && !segment.source().isEmpty()) {
                edits.add(new SegmentEdit(i, pseudo.translate(segment.source(), i), segment.state()));
            }
        }
        return edits;
    }

    private static void write(BilingualFile file, List<SegmentEdit> edits, Path path, Progress progress)
            throws IOException {
        try (OutputStream out = Files.newOutputStream(path)) {
            file.write(edits, out, progress);
        }
    }

    /** Every text of a document is found again, once, in order, with all its tags. */
    private static Proof unitSurvival(List<WrittenUnit> written, List<WrittenUnit> read) {
        Optional<String> lost = DocumentProof.firstLost(written, read);
        return Proof.of(
                "survival",
                lost.isEmpty(),
                lost.map(text -> new Detail("", text)).stream().toList());
    }

    /** The texts of a document before and after, as segments with source and target. */
    private static BilingualDocument preview(
            BilingualDocument document, List<WrittenUnit> before, List<WrittenUnit> after) {
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < Math.min(before.size(), after.size()); i++) {
            String key = String.valueOf(i + 1);
            segments.add(new Segment(
                    key,
                    0,
                    key,
                    before.get(i).content(),
                    after.get(i).content(),
                    State.TRANSLATED,
                    "",
                    Lock.NONE,
                    SegmentMetadata.NOTHING));
        }
        return new BilingualDocument(
                document.format(), document.encoding(), document.parts(), segments, List.of(), List.of());
    }

    /** Every segment is found again, once, in order, with its source and all its tags. */
    private static Proof survival(BilingualDocument original, BilingualDocument read, List<SegmentEdit> edits) {
        List<Detail> lost = new ArrayList<>();
        List<Segment> before = original.segments();
        List<Segment> after = read.segments();
        if (before.size() != after.size()) {
            lost.add(new Detail("", Phrase.of("proof.survival.count", before.size(), after.size())));
        }
        int next = 0;
        for (int i = 0; i < Math.min(before.size(), after.size()) && lost.size() < Proof.MOST_DETAILS; i++) {
            Segment segment = before.get(i);
            boolean edited = next < edits.size() && edits.get(next).segment() == i;
            Content expected = edited ? edits.get(next).target() : segment.target();
            next += edited ? 1 : 0;
            if (!after.get(i).key().equals(segment.key())
                    || !after.get(i).source().equals(segment.source())
                    || !after.get(i).target().sameAs(expected)) {
                lost.add(new Detail(
                        segment.key(), Phrase.verbatim(segment.source().plainText()), i));
            }
        }
        return Proof.of("survival", lost.isEmpty(), lost);
    }

    /** Pseudo-translated sentences may be cut elsewhere; whole paragraphs are the same in both. */
    private Proof onlyTexts(Source source, Source pseudo, FileOptions options, Drafts drafts, Progress progress)
            throws IOException {
        FileOptions whole = options.with(SegmentationRules.BY_PARAGRAPH)
                .with(options.document().uncut());
        return onlyTargets(
                "only-targets",
                formats.open(source, whole, progress),
                formats.open(pseudo, whole, progress),
                drafts,
                progress);
    }

    /** With one and the same word in every target, the original and the pseudo file are the same bytes. */
    private static Proof onlyTargets(
            String id, BilingualFile original, BilingualFile read, Drafts drafts, Progress progress)
            throws IOException {
        if (original.document().segments().size() != read.document().segments().size()) {
            return Proof.of(id, false, List.of());
        }
        Path masked = drafts.add();
        Path maskedPseudo = drafts.add();
        write(original, mask(original), masked, progress);
        write(read, mask(read), maskedPseudo, progress);
        Optional<Detail> difference = Difference.between(original.document().format(), masked, maskedPseudo);
        return Proof.of(id, difference.isEmpty(), difference.stream().toList());
    }

    /** A document keeps its tags, since they are its formatting. */
    private static List<SegmentEdit> mask(BilingualFile file) {
        BilingualDocument document = file.document();
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            if (!segment.locked()) {
                Content mask = file instanceof DocumentFile ? masked(segment.source()) : Content.of(MASK);
                edits.add(new SegmentEdit(i, mask, segment.state()));
            }
        }
        return edits;
    }

    private static Content masked(Content content) {
        List<Run> runs = new ArrayList<>(content.runs());
        runs.replaceAll(run -> run instanceof Text ? new Text(MASK) : run);
        return new Content(runs);
    }

    private static Proof growth(BilingualDocument document, List<SegmentEdit> edits, Source source, Source pseudo)
            throws IOException {
        Growth growth = new Growth();
        for (SegmentEdit edit : edits) {
            growth.add(
                    edit.segment(),
                    document.segments().get(edit.segment()),
                    edit.target().plainText());
        }
        Map<String, String> before = Overflow.of(document.format(), source);
        Overflow.of(document.format(), pseudo).forEach((place, text) -> {
            if (!before.containsKey(place)) {
                growth.addOverflow(document.format(), place, text);
            }
        });
        return growth.proof();
    }
}
