package org.swaplane.proof;

import static org.swaplane.wording.Wording.say;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.parsers.SAXParserFactory;
import org.swaplane.content.Content;
import org.swaplane.document.About;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Lock;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.DocumentFile.WrittenUnit;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Head;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.pseudo.PseudoTranslator;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.xml.sax.SAXException;
import org.xml.sax.helpers.DefaultHandler;

/** The pseudo-translated round trip that proves a bilingual file before work starts. */
public final class DryRun {
    private static final int MOST_DETAILS = 50;

    private final FormatRegistry formats;
    private final PseudoTranslator pseudo;

    public DryRun(FormatRegistry formats, PseudoTranslator pseudo) {
        this.formats = formats;
        this.pseudo = pseudo;
    }

    /** A dry run with the default placeholders. */
    public static DryRun withDefaults(FormatRegistry formats) {
        return new DryRun(formats, new PseudoTranslator(new Placeholders()));
    }

    /** Runs every proof; the pseudo-translated file is left at {@code output}. */
    public DryRunResult run(Source source, FileOptions options, Path output, Progress progress) throws IOException {
        BilingualFile original = formats.open(source, options, progress);
        Path folder = output.toAbsolutePath().getParent();
        Path unchanged = Files.createTempFile(folder, "unchanged", ".tmp");
        Path masked = Files.createTempFile(folder, "masked", ".tmp");
        Path maskedPseudo = Files.createTempFile(folder, "masked", ".tmp");
        try {
            write(original, List.of(), unchanged, progress);
            write(original, pseudoEdits(original.document()), output, progress);
            List<Proof> proofs = new ArrayList<>();
            proofs.add(identity(source, unchanged));
            Source pseudoFile = Source.of(source.name(), output);
            BilingualFile read = formats.open(pseudoFile, options, progress);
            BilingualDocument preview = read.document();
            if (original instanceof DocumentFile before && read instanceof DocumentFile after) {
                List<WrittenUnit> written = before.units(pseudoEdits(original.document()));
                proofs.add(unitSurvival(written, after.units(List.of())));
                preview = preview(original.document(), before.units(List.of()), after.units(List.of()));
                // Pseudo-translated sentences may be cut elsewhere; whole paragraphs are the same in both.
                FileOptions whole = options.with(SegmentationRules.BY_PARAGRAPH)
                        .with(options.document().uncut());
                original = formats.open(source, whole, progress);
                read = formats.open(pseudoFile, whole, progress);
            } else {
                if (Head.of(source).text().stripLeading().startsWith("<")) {
                    proofs.add(wellFormed(output));
                }
                proofs.add(survival(original.document(), read.document()));
            }
            proofs.add(onlyTargets(original, read, masked, maskedPseudo, progress));
            return new DryRunResult(proofs, preview);
        } finally {
            Files.deleteIfExists(unchanged);
            Files.deleteIfExists(masked);
            Files.deleteIfExists(maskedPseudo);
        }
    }

    /** The target of every segment that may be changed, pseudo-translated. */
    public List<SegmentEdit> pseudoEdits(BilingualDocument document) {
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            if (!segment.locked() && !segment.source().isEmpty()) {
                edits.add(new SegmentEdit(i, pseudo.translate(segment.source()), segment.state()));
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

    private static Proof identity(Source source, Path unchanged) throws IOException {
        return proof("identity", source.sha256().equals(Source.of(unchanged).sha256()), List.of());
    }

    /** Asks a parser that is not the one we read with. */
    private static Proof wellFormed(Path output) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(output))) {
            SAXParserFactory factory = SAXParserFactory.newDefaultNSInstance();
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
            factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
            factory.newSAXParser().parse(in, new DefaultHandler());
            return proof("well-formed", true, List.of());
        } catch (SAXException e) {
            return proof("well-formed", false, List.of(String.valueOf(e.getMessage())));
        } catch (ParserConfigurationException e) {
            throw new CannotProceedException(
                    output.toString(), "no XML parser: " + e.getMessage(), "check the installation");
        }
    }

    /** Every text of a document is found again, once, in order, with all its tags. */
    private static Proof unitSurvival(List<WrittenUnit> written, List<WrittenUnit> read) {
        Optional<String> lost = DocumentProof.firstLost(written, read);
        return proof("survival", lost.isEmpty(), lost.stream().toList());
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
                    About.NOTHING));
        }
        return new BilingualDocument(
                document.format(), document.encoding(), document.parts(), segments, List.of(), List.of());
    }

    /** Every segment is found again, once, in order, with its source and all its tags. */
    private Proof survival(BilingualDocument original, BilingualDocument read) {
        List<String> lost = new ArrayList<>();
        List<Segment> before = original.segments();
        List<Segment> after = read.segments();
        if (before.size() != after.size()) {
            lost.add(say("proof.survival.count", before.size(), after.size()));
        }
        for (int i = 0; i < Math.min(before.size(), after.size()) && lost.size() < MOST_DETAILS; i++) {
            Segment segment = before.get(i);
            boolean expectSource = segment.locked() || segment.source().isEmpty();
            var expected = expectSource ? segment.target() : pseudo.translate(segment.source());
            if (!after.get(i).key().equals(segment.key())
                    || !after.get(i).source().equals(segment.source())
                    || !after.get(i).target().sameAs(expected)) {
                lost.add(segment.key());
            }
        }
        return proof("survival", lost.isEmpty(), lost);
    }

    /** With one and the same word in every target, the original and the pseudo file are the same bytes. */
    private static Proof onlyTargets(
            BilingualFile original, BilingualFile read, Path masked, Path maskedPseudo, Progress progress)
            throws IOException {
        if (original.document().segments().size() != read.document().segments().size()) {
            return proof("only-targets", false, List.of());
        }
        write(original, mask(original.document()), masked, progress);
        write(read, mask(read.document()), maskedPseudo, progress);
        long differsAt = Files.mismatch(masked, maskedPseudo);
        return proof(
                "only-targets",
                differsAt < 0,
                differsAt < 0 ? List.of() : List.of(say("proof.only-targets.at", differsAt)));
    }

    private static List<SegmentEdit> mask(BilingualDocument document) {
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            if (!segment.locked()) {
                edits.add(new SegmentEdit(i, Content.of("x"), segment.state()));
            }
        }
        return edits;
    }

    private static Proof proof(String id, boolean holds, List<String> details) {
        return new Proof(
                id,
                holds ? Proof.Verdict.PASS : Proof.Verdict.FAIL,
                say("proof." + id + (holds ? ".pass" : ".fail")),
                details);
    }
}
