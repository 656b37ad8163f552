package org.swaplane.proof;

import com.ibm.icu.text.UnicodeSet;
import java.awt.Font;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;

/** Fonts that an office document names, and the characters that they lack; a font that is not on this machine cannot be asked. */
final class DocumentFonts {
    private static final Pattern PART = Pattern.compile(
            "word/(?:document|styles|header\\d*|footer\\d*|footnotes|endnotes)\\.xml|ppt/slides/slide\\d+\\.xml|xl/styles\\.xml"
                    + "|(?:word|ppt|xl)/theme/theme1\\.xml");
    private static final Pattern NAMED = Pattern.compile(
            "(?:w:(?:ascii|hAnsi|cs|eastAsia)|typeface)\\s*=\\s*\"([^\"+][^\"]*)\"|<(?:name|rFont) val=\"([^\"]+)\"");
    /** Fonts of a theme are for its own languages; the first two are for all others. */
    private static final Pattern OF_OTHER_SCRIPTS = Pattern.compile("<a:font script=\"[^>]*>");

    private DocumentFonts() {}

    /** Characters that the fonts of a document lack, by font. */
    static Map<String, String> lacking(Source document, UnicodeSet letters) throws IOException {
        Set<String> named = named(document);
        named.retainAll(onThisMachine());
        Map<String, String> lacking = new LinkedHashMap<>();
        for (String name : named) {
            Font font = new Font(name, Font.PLAIN, 12);
            List<String> missing = new ArrayList<>();
            for (String letter : letters) {
                if (font.canDisplayUpTo(letter) >= 0) {
                    missing.add(letter);
                }
            }
            if (!missing.isEmpty()) {
                lacking.put(name, TargetCharacters.listed(missing));
            }
        }
        return lacking;
    }

    private static Set<String> onThisMachine() {
        try {
            return new TreeSet<>(Arrays.asList(
                    GraphicsEnvironment.getLocalGraphicsEnvironment().getAvailableFontFamilyNames()));
        } catch (LinkageError | InternalError e) {
            return Set.of(); // a machine without any fonts, such as a server, has no library for them either
        }
    }

    private static Set<String> named(Source document) throws IOException {
        Set<String> names = new TreeSet<>();
        Map<String, byte[]> parts =
                SafeZip.read(document, name -> PART.matcher(name).matches());
        for (byte[] part : parts.values()) {
            String xml = OF_OTHER_SCRIPTS
                    .matcher(new String(part, StandardCharsets.UTF_8))
                    .replaceAll("");
            Matcher name = NAMED.matcher(xml);
            while (name.find()) {
                names.add(name.group(1) == null ? name.group(2) : name.group(1));
            }
        }
        return names;
    }
}
