package org.swaplane.proof.reach;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;

/** Pictures and embedded objects of a document. */
public final class Pictures {
    private static final Pattern MEDIA = Pattern.compile("(?:word|ppt|xl)/(?:media|embeddings)/[^/]+");
    private static final Pattern RELATIONS = Pattern.compile("(.*)/_rels/([^/]+)\\.rels");
    private static final Pattern TARGET = Pattern.compile("Target\\s*=\\s*[\"'](?:[^\"']*/)?([^\"'/]+)[\"']");
    private static final Pattern MARKDOWN = Pattern.compile("!\\[[^\\]]*\\]\\(\\s*<?([^\\s)>]+)");

    private Pictures() {}

    /** Every one in a document of this format. */
    public static List<Picture> of(String format, Source source, FileOptions options) throws IOException {
        return switch (FormatTraits.of(format).markup()) {
            case OFFICE_TEXT, OFFICE_SHEETS, OFFICE_SLIDES -> inPackage(source);
            case HTML -> inPage(source);
            case MARKDOWN -> inMarkdown(EncodedText.guessed(source, options).readAll());
            case XML, JSON, PROPERTIES, TABLE, LINES, CATALOGUE -> List.of();
        };
    }

    /** The bytes of pictures that lie in a package, by their names. */
    public static Map<String, byte[]> bytes(Source source, Set<String> names) throws IOException {
        return SafeZip.read(source, names);
    }

    private static List<Picture> inPackage(Source source) throws IOException {
        Map<String, byte[]> relationships =
                SafeZip.read(source, name -> RELATIONS.matcher(name).matches());
        Map<String, String> places = new TreeMap<>();
        relationships.forEach((name, bytes) -> {
            Matcher relations = RELATIONS.matcher(name);
            if (relations.matches()) {
                Matcher target = TARGET.matcher(new String(bytes, StandardCharsets.UTF_8));
                String part = relations.group(1) + '/' + relations.group(2);
                while (target.find()) {
                    places.merge(target.group(1), part, (one, other) -> one.contains(other) ? one : one + ", " + other);
                }
            }
        });
        return SafeZip.heads(source, name -> MEDIA.matcher(name).matches()).entrySet().stream()
                .map(each -> picture(each.getKey(), places, each.getValue()))
                .collect(Collectors.toList());
    }

    private static Picture picture(String name, Map<String, String> places, SafeZip.EntryHead entry) {
        String place = places.getOrDefault(name.substring(name.lastIndexOf('/') + 1), "");
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(entry.bytes()))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (readers.hasNext()) {
                ImageReader reader = readers.next();
                reader.setInput(in);
                return new Picture(name, place, entry.size(), reader.getWidth(0), reader.getHeight(0));
            }
        } catch (IOException | RuntimeException e) {
            // A picture that cannot be measured is listed without its measures.
            return new Picture(name, place, entry.size(), 0, 0);
        }
        return new Picture(name, place, entry.size(), 0, 0);
    }

    private static List<Picture> inPage(Source source) throws IOException {
        try (InputStream in = source.open()) {
            List<Picture> pictures = new ArrayList<>();
            for (Element each : Jsoup.parse(in, null, "")
                    .select(
                            "img, picture source, svg, canvas, object, embed, iframe, video, audio, input[type=image]")) {
                String name = firstOf(each, "src", "srcset", "data", "poster");
                pictures.add(new Picture(
                        name.isEmpty() ? each.normalName() : shortened(name),
                        each.id().isEmpty() ? each.normalName() : each.normalName() + '#' + each.id(),
                        0,
                        pixels(each.attr("width")),
                        pixels(each.attr("height"))));
            }
            return pictures;
        }
    }

    private static List<Picture> inMarkdown(String text) {
        List<Picture> pictures = new ArrayList<>();
        String[] lines = text.split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            Matcher picture = MARKDOWN.matcher(lines[i]);
            while (picture.find()) {
                pictures.add(new Picture(shortened(picture.group(1)), String.valueOf(i + 1), 0, 0, 0));
            }
        }
        return pictures;
    }

    private static String firstOf(Element element, String... attributes) {
        for (String attribute : attributes) {
            if (!element.attr(attribute).isBlank()) {
                return element.attr(attribute);
            }
        }
        return "";
    }

    private static String shortened(String name) {
        return name.startsWith("data:") ? name.replaceFirst("[;,].*", "") : name;
    }

    private static int pixels(String value) {
        return value.matches("\\d{1,5}") ? Integer.parseInt(value) : 0;
    }
}
