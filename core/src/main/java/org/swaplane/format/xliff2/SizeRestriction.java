package org.swaplane.format.xliff2;

import java.util.function.Consumer;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.document.Limits;

/** The size and length restriction module (XLIFF 2.1, section 5.6). */
final class SizeRestriction {
    private String profile = "codepoints";

    /** Reads the {@code profiles} element that the parser stands on. */
    void profiles(XMLStreamReader xml) {
        String general = Modules.attribute(xml, null, "generalProfile");
        profile = general.isEmpty() ? profile : general;
    }

    /** The limits on the unit that the parser stands on, {@code 10} or {@code 2,10}; characters unless the file says otherwise. */
    Limits limits(XMLStreamReader xml, Consumer<String> problems) {
        int[] size = bounds(xml, "sizeRestriction", problems);
        int[] storage = bounds(xml, "storageRestriction", problems);
        if (size[0] + size[1] + storage[0] + storage[1] == 0) {
            return Limits.NONE;
        }
        String unit = size[1] == 0 ? "" : profile.endsWith("codepoints") ? Limits.CHARACTERS : profile;
        return new Limits(size[0], size[1], unit, storage[0], storage[1]);
    }

    private static int[] bounds(XMLStreamReader xml, String attribute, Consumer<String> problems) {
        String restriction = Modules.attribute(xml, Modules.SIZE_RESTRICTION, attribute);
        int[] bounds = {0, 0};
        if (restriction.isBlank()) {
            return bounds;
        }
        String[] written = restriction.split(",", 2);
        try {
            String least = written.length > 1 ? written[0].strip() : "";
            String most = written[written.length - 1].strip();
            bounds[0] = least.isEmpty() ? 0 : Integer.parseInt(least);
            bounds[1] = most.isEmpty() || most.equals("*") ? 0 : Integer.parseInt(most);
        } catch (NumberFormatException e) {
            problems.accept("the size restriction '" + restriction + "' is not a number");
        }
        return bounds;
    }
}
