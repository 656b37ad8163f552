package org.swaplane.format;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.codehaus.stax2.util.StreamReader2Delegate;
import org.swaplane.document.ForeignItem;
import org.swaplane.document.Proposal;
import org.swaplane.document.State;
import org.swaplane.extension.Meaning;
import org.swaplane.extension.ReadingRule;

/**
 * Passes the parser's events on, and on the way counts the attributes and elements of other namespaces and remembers which
 * reading rules they meet. What stands on an element that holds segments is true for all in it.
 */
final class ForeignWatch extends StreamReader2Delegate {
    /** Namespaces of the standard's own modules. */
    private static final String MODULES = "urn:oasis:names:tc:xliff:";

    private static final String MATCHES = "urn:oasis:names:tc:xliff:matches:2.0";
    private static final Set<String> HOLDERS =
            Set.of("xliff", "file", "group", "trans-unit", "bin-unit", "unit", "segment", "tu");

    private final Predicate<String> isOurs;
    private final List<ReadingRule> rules;
    private final ForeignTally tally = new ForeignTally();
    private final Map<String, String> rootNamespaces = new HashMap<>();
    private final Deque<List<Hit>> holders = new ArrayDeque<>();
    private final StringBuilder text = new StringBuilder();
    private boolean inForeignLeaf;
    private boolean holderEnds;
    private int depth;
    /** Depth of the element with other people's translations that the parser is in, 0 outside. */
    private int proposalsFrom;

    /** A rule that was met, and the value that it was met with. */
    private record Hit(ReadingRule rule, String value) {}

    ForeignWatch(XMLStreamReader2 xml, Predicate<String> isOurs, List<ReadingRule> rules) {
        super(xml);
        this.isOurs = isOurs;
        this.rules = rules;
    }

    List<ForeignItem> items() {
        return tally.items();
    }

    /** Namespaces that the root declares, by their prefix. */
    Map<String, String> rootNamespaces() {
        return rootNamespaces;
    }

    /** What the rules say here; still true at the end tag of the element that holds the segment. */
    Marks marks() {
        if (rules.isEmpty()) {
            return Marks.NONE;
        }
        boolean locked = false;
        Optional<State> state = Optional.empty();
        int score = -1;
        for (var outerFirst = holders.descendingIterator(); outerFirst.hasNext(); ) {
            for (Hit hit : outerFirst.next()) {
                Meaning meaning = hit.rule().meaning();
                locked |= meaning == Meaning.LOCKED;
                state = meaning.state().isPresent() ? meaning.state() : state;
                score = meaning == Meaning.SCORE ? Proposal.score(hit.value()) : score;
            }
        }
        return new Marks(locked, state, score);
    }

    @Override
    public int next() throws XMLStreamException {
        if (holderEnds) {
            holders.pop();
            holderEnds = false;
        }
        int event = super.next();
        switch (event) {
            case XMLStreamConstants.START_ELEMENT -> start();
            case XMLStreamConstants.END_ELEMENT -> end();
            case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
                if (inForeignLeaf) {
                    text.append(getText());
                }
            }
            default -> {}
        }
        return event;
    }

    @Override
    public void skipElement() throws XMLStreamException {
        int open = 1;
        while (open > 0) {
            int event = next();
            open += event == XMLStreamConstants.START_ELEMENT ? 1 : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
        }
    }

    private void start() {
        depth++;
        String namespace = namespace();
        boolean ours = isOurs.test(namespace);
        if (depth == 1) {
            readRootNamespaces();
        }
        if (proposalsFrom == 0 && (ours && getLocalName().equals("alt-trans") || namespace.equals(MATCHES))) {
            proposalsFrom = depth;
        }
        if (ours && HOLDERS.contains(getLocalName())) {
            holders.push(new ArrayList<>(0));
        }
        for (int i = 0; i < getAttributeCount(); i++) {
            String own = getAttributeNamespace(i);
            String of = own == null || own.isEmpty() ? namespace : own;
            if (isForeign(of)) {
                found(of, getLocalName(), getAttributeLocalName(i), getAttributeValue(i));
            }
        }
        inForeignLeaf = isForeign(namespace);
        text.setLength(0);
    }

    private void end() {
        String value = inForeignLeaf ? text.toString().strip() : "";
        if (!value.isEmpty()) {
            found(namespace(), getLocalName(), "", value);
        }
        inForeignLeaf = false;
        if (depth == proposalsFrom) {
            proposalsFrom = 0;
        }
        depth--;
        // Who stands on the end tag may still ask.
        holderEnds = HOLDERS.contains(getLocalName()) && isOurs.test(namespace());
    }

    private void readRootNamespaces() {
        for (int i = 0; i < getNamespaceCount(); i++) {
            if (getNamespacePrefix(i) != null && !getNamespacePrefix(i).isEmpty()) {
                rootNamespaces.put(getNamespacePrefix(i), getNamespaceURI(i));
            }
        }
    }

    private String namespace() {
        String namespace = getNamespaceURI();
        return namespace == null ? "" : namespace;
    }

    private boolean isForeign(String namespace) {
        return !isOurs.test(namespace) && !namespace.startsWith(MODULES) && !namespace.equals(XMLConstants.XML_NS_URI);
    }

    private void found(String namespace, String element, String attribute, String value) {
        tally.add(namespace, element, attribute, value);
        if (rules.isEmpty() || proposalsFrom > 0 || holders.isEmpty()) {
            return;
        }
        for (ReadingRule rule : rules) {
            if (rule.matches(namespace, element, attribute, value)) {
                holders.peek().add(new Hit(rule, value));
            }
        }
    }
}
