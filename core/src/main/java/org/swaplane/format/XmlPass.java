package org.swaplane.format;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.stream.Location;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Content;
import org.swaplane.document.ForeignItem;
import org.swaplane.document.LanguageCode;
import org.swaplane.document.Problem;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** One pass over an XML file that knows where in the text everything stands and lists what is odd about it. */
public abstract class XmlPass {
    private static final int MOST_PROBLEMS = 200;
    private static final int SHOWN_BEFORE = 40;

    protected final EncodedText text;
    protected final FileOptions options;
    protected final Progress progress;
    protected final List<Problem> problems = new ArrayList<>();
    protected final TagPool tags = new TagPool();
    protected RecentText recent;
    protected XMLStreamReader2 xml;
    private ForeignWatch watch;
    private String indent = "";

    protected XmlPass(EncodedText text, FileOptions options, Progress progress) {
        this.text = text;
        this.options = options;
        this.progress = progress;
    }

    /** What to do at an event of the parser; may read on as far as the end of the element. */
    protected abstract void step(int event) throws XMLStreamException;

    /** Whether elements of this namespace are those of the format. */
    protected abstract boolean isOurNamespace(String namespace);

    /** Goes through the file. */
    protected final void run() throws IOException {
        try (RecentText reader = new RecentText(text.open())) {
            recent = reader;
            watch = new ForeignWatch(
                    (XMLStreamReader2) SafeXml.factory().createXMLStreamReader(reader),
                    this::isOurNamespace,
                    options.rules().reading());
            xml = watch;
            while (xml.hasNext()) {
                int event = xml.next();
                recent.forgetBefore(start());
                step(event);
            }
            xml.close();
        } catch (XMLStreamException e) {
            throw notWellFormed(e, Optional.ofNullable(e.getLocation()));
        }
    }

    private CannotProceedException notWellFormed(XMLStreamException e, Optional<Location> place) {
        if (e.getNestedException() instanceof CannotProceedException unreadable) {
            return unreadable;
        }
        // What a limit forbids is said without a place; the parser still stands there.
        Location at = place.orElseGet(() -> xml.getLocation());
        String near = recent.before(at.getCharacterOffset(), SHOWN_BEFORE);
        String what = e.getMessage() == null ? "?" : firstLine(e.getMessage());
        return new CannotProceedException(
                new CannotProceedException.Place(text.source().name(), at.getLineNumber(), at.getColumnNumber()),
                near.isEmpty()
                        ? Phrase.of("problem.not-well-formed", what)
                        : Phrase.of("problem.not-well-formed-after", what, near),
                e);
    }

    private static String firstLine(String message) {
        int end = message.indexOf('\n');
        return end < 0 ? message : message.substring(0, end);
    }

    /** Whether the element that the parser stands on is one of the format. */
    protected final boolean isOurs() {
        String namespace = xml.getNamespaceURI();
        return isOurNamespace(namespace == null ? "" : namespace);
    }

    /** What the reading rules of the lane say here. */
    protected final Marks marks() {
        return watch.marks();
    }

    /** The attributes and elements of other namespaces so far. */
    protected final List<ForeignItem> foreign() {
        return watch.items();
    }

    /** How states are mirrored in this file. */
    protected final MirroredStates mirroredStates() {
        return new MirroredStates(options.rules().writing(), watch.rootNamespaces());
    }

    /** The target language that the file names, else the one that the lane knows. */
    protected final String targetLanguage(String named) {
        return named.isEmpty() ? options.targetLanguage() : named;
    }

    /** Lists a language code that is none. */
    protected final void checkLanguage(String code) {
        String fault = LanguageCode.fault(code);
        if (!fault.isEmpty()) {
            problem(Phrase.verbatim(fault));
        }
    }

    /** The start tag that the parser stands on. */
    protected final TagPlace tagHere() throws XMLStreamException {
        return new TagPlace(start(), end());
    }

    /** Whether {@code event} ends an element of the format. */
    protected final boolean endsOurs(String name, int event) {
        return event == XMLStreamConstants.END_ELEMENT
                && isOurs()
                && xml.getLocalName().equals(name);
    }

    /** A number from 1 up as an attribute has it; 0 when it is missing, and a problem when it is none. */
    protected final int number(String attribute) {
        String written = attribute(attribute).strip();
        if (written.isEmpty()) {
            return 0;
        }
        try {
            return Math.max(0, Integer.parseInt(written));
        } catch (NumberFormatException e) {
            problem("file.no-number", attribute, written);
            return 0;
        }
    }

    /** An attribute without namespace, empty when it is not there. */
    protected final String attribute(String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }

    protected final void problem(String key, Object... arguments) {
        problem(Phrase.of(key, arguments));
    }

    protected final void problem(Phrase message) {
        if (problems.size() < MOST_PROBLEMS) {
            var at = xml.getLocation();
            problems.add(new Problem(at.getLineNumber(), at.getColumnNumber(), message));
        }
    }

    /** Begin of what the parser stands on, in UTF-16 units of the text. */
    protected final long start() throws XMLStreamException {
        return xml.getLocationInfo().getStartingCharOffset();
    }

    /** End of what the parser stands on. */
    protected final long end() throws XMLStreamException {
        return xml.getLocationInfo().getEndingCharOffset();
    }

    /** Reads the source that the parser stands on. */
    protected final void readSource(TargetDraft draft, InlinePass inline) throws XMLStreamException {
        String prefix = prefix();
        String before = indentBefore(draft.ownerEnd(), start());
        Content content = inline.read();
        draft.source(content, end(), prefix, before);
    }

    /** What the element that the parser stands on says of its language ({@code xml:lang}), where that is another than the file's. */
    protected final String otherLanguage(String language) {
        String own = xml.getAttributeValue(XMLConstants.XML_NS_URI, "lang");
        return own == null || own.equalsIgnoreCase(language) ? "" : own.intern();
    }

    /** Reads the target that the parser stands on. */
    protected final void readTarget(TargetDraft draft, InlinePass inline) throws XMLStreamException {
        long start = start();
        long contentStart = end();
        Content content = inline.read();
        draft.target(content, start, contentStart, start(), end());
    }

    /** Prefix of the element's name with its colon, or nothing. */
    private String prefix() {
        String prefix = xml.getPrefix();
        return prefix == null || prefix.isEmpty() ? "" : prefix + ':';
    }

    /** Line end and white space before {@code offset}, empty when something else stands on that line after {@code from}. */
    protected final String indentBefore(long from, long offset) {
        String before = recent.text(from, offset);
        int at = before.length();
        while (at > 0 && " \t".indexOf(before.charAt(at - 1)) >= 0) {
            at--;
        }
        if (at > 0 && before.charAt(at - 1) == '\n') {
            at -= at > 1 && before.charAt(at - 2) == '\r' ? 2 : 1;
            // Nearly always that of the element before.
            if (!before.substring(at).equals(indent)) {
                indent = before.substring(at);
            }
            return indent;
        }
        return "";
    }
}
