package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;
import org.swaplane.exchange.ReturnReading;

/** Every visible character of a returned copy is the text as sent, a change, a remark, or named as not understood. */
class LostLettersTest {
    /** Where a reviewer can type, in every part of a form: each group is a text that something can be written behind. */
    private static final Map<String, Pattern> TYPED = Map.of(
            "docx", Pattern.compile("(<w:t(?: [^>]*)?>[^<]*)(?=</w:t>)"),
            "xlsx", Pattern.compile("(<t(?: [^>]*)?>[^<]*)(?=</t>)"),
            "html", Pattern.compile("(?s)(?<=[>])([^<>]*)(?=</(?:td|th|p|h1|span)>)"),
            "tsv", Pattern.compile("([^\\t\\r\\n]*)(?<!\")(?=[\\t\\r])"),
            "odt", Pattern.compile("(<text:p>[^<]*)(?=</text:p>)"));

    private static final String W = "xmlns:w='http://schemas.openxmlformats.org/wordprocessingml/2006/main'";

    private static WrittenCopy copy(String form) throws Exception {
        WrittenCopy copy = new WrittenCopy(SentFile.copy(), form);
        switch (form) {
            case "docx" -> {
                for (String part : List.of("header1", "footer1", "footnotes", "endnotes")) {
                    copy.parts.put("word/" + part + ".xml", "<w:x " + W + "><w:p><w:r><w:t>x</w:t></w:r></w:p></w:x>");
                }
                copy.parts.put(
                        "word/comments.xml",
                        "<w:comments " + W
                                + "><w:comment w:id='1'><w:p><w:r><w:t>x</w:t></w:r></w:p></w:comment></w:comments>");
                copy.replace(
                        "<w:tbl>",
                        "<w:p><w:r><w:pict><w:txbxContent><w:p><w:r><w:t>x</w:t></w:r></w:p></w:txbxContent></w:pict></w:r></w:p><w:tbl>");
            }
            case "odt" -> {
                String names = " xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'";
                String besides =
                        "<text:note><text:note-citation>1</text:note-citation><text:note-body><text:p>x</text:p>"
                                + "</text:note-body></text:note><text:frame><text:p>x</text:p></text:frame>";
                copy.parts.put("styles.xml", "<styles" + names + "><text:p>x</text:p></styles>");
                copy.edit("content.xml", text -> text.replaceFirst("(?<=<text:p>)Kai", besides + "Kai"));
            }
            case "xlsx" -> copy.parts.put("xl/drawings/drawing1.xml", "<d><p><t>x</t></p></d>");
            default -> {}
        }
        // What nobody sees is nobody's to write into.
        copy.parts.keySet().removeIf(part -> part.equals("xl/worksheets/sheet2.xml"));
        return copy;
    }

    @Property(tries = 400)
    void aWordThatIsTypedAnywhereIsFound(
            @ForAll("forms") String form,
            @ForAll @IntRange(max = 10_000) int at,
            @ForAll @AlphaChars @StringLength(min = 5, max = 9) String word)
            throws Exception {
        WrittenCopy copy = copy(form);
        Pattern typed = TYPED.get(form);
        List<String> places = new ArrayList<>();
        copy.parts.forEach((name, text) -> {
            Matcher found = typed.matcher(text);
            while (isVisible(name) && found.find()) {
                places.add(name + '|' + found.end());
            }
        });
        String place = places.get(at % places.size());
        int end = Integer.parseInt(place.substring(place.indexOf('|') + 1));
        copy.edit(
                place.substring(0, place.indexOf('|')),
                text -> text.substring(0, end) + " Q" + word + text.substring(end));

        ReturnReading reading = SentFile.read(form, copy.bytes()).reading();

        List<String> said = Stream.of(
                        reading.problems().stream().map(problem -> problem.message()),
                        reading.changes().stream().map(change -> change.returned()),
                        reading.remarks().stream().map(remark -> remark.remark().text()))
                .flatMap(each -> each)
                .toList();
        assertThat(said).as(form + " at " + place).anyMatch(text -> text.contains("Q" + word));
    }

    private static boolean isVisible(String part) {
        return !part.startsWith("docProps")
                && !part.startsWith("customXml")
                && !part.equals("word/styles.xml")
                && !part.equals("meta.xml");
    }

    @Provide
    Arbitrary<String> forms() {
        return Arbitraries.of("docx", "xlsx", "html", "tsv", "odt");
    }
}
