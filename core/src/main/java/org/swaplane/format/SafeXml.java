package org.swaplane.format;

import com.ctc.wstx.api.WstxInputProperties;
import com.ctc.wstx.stax.WstxInputFactory;
import javax.xml.stream.Location;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLInputFactory2;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** XML readers for files that nobody vouches for: no DTD, no entities but XML's own, bounded depth and lengths. */
public final class SafeXml {
    private static final int DEEPEST = 500;
    private static final int LONGEST_ATTRIBUTE = 1 << 20;
    private static final int LONGEST_TEXT = 16 << 20;

    private SafeXml() {}

    public static XMLInputFactory2 factory() {
        WstxInputFactory factory = new WstxInputFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        // A parser that reads text only when it is asked for throws something else there.
        factory.setProperty(XMLInputFactory2.P_LAZY_PARSING, false);
        factory.setProperty(WstxInputProperties.P_MAX_ELEMENT_DEPTH, DEEPEST);
        factory.setProperty(WstxInputProperties.P_MAX_ATTRIBUTE_SIZE, LONGEST_ATTRIBUTE);
        factory.setProperty(WstxInputProperties.P_MAX_TEXT_LENGTH, LONGEST_TEXT);
        factory.setProperty(WstxInputProperties.P_INPUT_BUFFER_LENGTH, 1 << 14);
        return factory;
    }

    /** What to tell of a file that the parser refused. */
    public static CannotProceedException notWellFormed(String file, XMLStreamException e) {
        Location at = e.getLocation();
        return new CannotProceedException(
                new CannotProceedException.Place(
                        file, at == null ? 0 : at.getLineNumber(), at == null ? 0 : at.getColumnNumber()),
                Phrase.of("problem.not-well-formed", Reason.of(e)),
                e);
    }
}
