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
import javax.xml.XMLConstants;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.parsers.SAXParserFactory;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.pseudo.PseudoTranslator;
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
    public DryRunResult run(Source source, Path output, Progress progress) throws IOException {
        BilingualFile original = formats.open(source, progress);
        Path folder = output.toAbsolutePath().getParent();
        Path unchanged = Files.createTempFile(folder, "unchanged", ".tmp");
        Path masked = Files.createTempFile(folder, "masked", ".tmp");
        Path maskedPseudo = Files.createTempFile(folder, "masked", ".tmp");
        try {
            write(original, List.of(), unchanged, progress);
            write(original, pseudoEdits(original.document()), output, progress);
            List<Proof> proofs = new ArrayList<>();
            proofs.add(identity(source, unchanged));
            proofs.add(wellFormed(output));
            BilingualFile read = formats.open(Source.of(source.name(), output), progress);
            proofs.add(survival(original.document(), read.document()));
            proofs.add(onlyTargets(original, read, masked, maskedPseudo, progress));
            return new DryRunResult(proofs, read.document());
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
