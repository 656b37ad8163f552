package org.swaplane.format.html;

import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.Reader;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.document.LanguageCode;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Splice;
import org.swaplane.format.StartTag;
import org.swaplane.format.TextDocument;
import org.swaplane.task.Progress;

/** One pass over the tags of a page. */
final class HtmlReader {
    private static final int HEAD = 4096;
    private static final Pattern LANGUAGE = Pattern.compile("(?i)<html\\b[^>]*\\blang\\s*=\\s*[\"']?([\\w-]+)");

    private final EncodedText text;
    private final FileOptions options;
    private final Progress progress;
    private final TextDocument.Builder document;
    private final Map<String, Integer> numbers = new HashMap<>();
    private String page = "";
    private HtmlUnit unit = new HtmlUnit();
    private String block = "text";
    private int keepsSpace;
    private int noTagBefore;

    HtmlReader(EncodedText text, FileOptions options, Progress progress) throws IOException {
        this.text = text;
        this.options = options.orSourceLanguage(statedLanguage(text));
        this.progress = progress;
        this.document = new TextDocument.Builder(text, this.options);
    }

    /** The language that the page says it is in. */
    private static String statedLanguage(EncodedText text) throws IOException {
        char[] head = new char[HEAD];
        int length;
        try (Reader reader = text.open()) {
            length = Math.max(0, reader.read(head));
        }
        Matcher language = LANGUAGE.matcher(new String(head, 0, length));
        return language.find() && LanguageCode.fault(language.group(1)).isEmpty() ? language.group(1) : "";
    }

    BilingualFile read() throws IOException {
        page = text.readAll();
        int at = 0;
        while (at < page.length()) {
            progress.checkCancelled();
            int next = nextMarkup(at);
            unit.text(HtmlSyntax.read(page.substring(at, next), keepsSpace > 0), at, next);
            at = next < page.length() ? readMarkup(next) : next;
        }
        endUnit();
        return document.build("html", CharacterEscapes.XML);
    }

    /** The tag at {@code at}. Where none ends any more, none begins either, as far as no quotation mark changes that. */
    private Optional<HtmlTag> tagAt(int at) {
        if (at < noTagBefore) {
            return Optional.empty();
        }
        Optional<HtmlTag> tag = HtmlTag.at(page, at);
        boolean named = at + 1 < page.length() && Character.isLetter(page.charAt(at + 1));
        if (tag.isEmpty() && named) {
            noTagBefore = at + 1;
            while (noTagBefore < page.length() && "\"'".indexOf(page.charAt(noTagBefore)) < 0) {
                noTagBefore++;
            }
        }
        return tag;
    }

    /** Where the next tag, comment or declaration begins. */
    private int nextMarkup(int from) {
        for (int at = page.indexOf('<', from); at >= 0; at = page.indexOf('<', at + 1)) {
            char next = at + 1 < page.length() ? page.charAt(at + 1) : ' ';
            if (next == '!' || next == '?' || tagAt(at).isPresent()) {
                return at;
            }
        }
        return page.length();
    }

    /** Reads what begins at {@code at} and returns where it ends. */
    private int readMarkup(int at) {
        if (page.startsWith("<!--", at)) {
            int end = endOf("-->", at + 4);
            unit.whole("comment:", page.substring(at, end), "", at);
            return end;
        }
        Optional<HtmlTag> tag = tagAt(at);
        if (tag.isEmpty()) {
            endUnit();
            return endOf(">", at);
        }
        return readTag(tag.get());
    }

    private int readTag(HtmlTag tag) {
        boolean kept = !tag.closes() && tag.attribute("translate").equalsIgnoreCase("no");
        if (HtmlElements.isRaw(tag.name())) {
            int end = tag.closes() || tag.isEmptyElement() ? tag.end() : endOfElement(tag);
            unit.whole(tag.name() + ':', page.substring(tag.start(), end), "", tag.start());
            return end;
        }
        if (!HtmlElements.isInline(tag.name())) {
            return readBlockTag(tag, kept);
        }
        if (kept) {
            int end = endOfElement(tag);
            String code = page.substring(tag.start(), end);
            unit.whole(Tag.MARKED, code, HtmlSyntax.read(code.replaceAll("<[^>]*>", ""), false), tag.start());
            return end;
        }
        addAttributes(tag, unit.tag(tag));
        return tag.end();
    }

    private int readBlockTag(HtmlTag tag, boolean kept) {
        endUnit();
        if (kept && !HtmlElements.isVoid(tag.name())) {
            return endOfElement(tag);
        }
        block = tag.name();
        if (tag.name().equals("pre") || tag.name().equals("textarea")) {
            keepsSpace = Math.max(0, keepsSpace + (tag.closes() ? -1 : 1));
        }
        if (tag.name().equals("html") && !tag.closes()) {
            setLanguage(tag);
        }
        addAttributes(tag, "");
        return tag.end();
    }

    /** {@code tagId} is empty for a tag that is in no unit. */
    private void addAttributes(HtmlTag tag, String tagId) {
        if (tag.closes()) {
            return;
        }
        for (HtmlTag.Attribute attribute : tag.attributes()) {
            if (HtmlElements.isText(tag, attribute.name())) {
                String id = numbered(tag.name() + ' ' + attribute.name());
                Content content = Content.of(HtmlSyntax.read(attribute.value(), true));
                HtmlSyntax syntax = HtmlSyntax.inQuotes(attribute.quote());
                if (tagId.isEmpty()) {
                    document.add(id, attribute.start(), attribute.end(), content, syntax, SegmentMetadata.NOTHING);
                } else {
                    unit.inner(new TextDocument.Inner(
                            tagId, tag.start(), id, attribute.start(), attribute.end(), content, syntax));
                }
            }
        }
    }

    /** The translated page says its language, and its direction where that is from right to left. */
    private void setLanguage(HtmlTag tag) {
        String language = options.targetLanguage();
        if (!language.isEmpty()) {
            document.whenTranslated(new Splice(tag.start(), tag.end(), "html", raw -> {
                StartTag translated = new StartTag(raw).with("lang", language);
                boolean rightToLeft = new ULocale(language).isRightToLeft();
                return (rightToLeft ? translated.with("dir", "rtl") : translated).raw();
            }));
        }
    }

    private String numbered(String name) {
        return name + ' ' + numbers.merge(name, 1, Integer::sum);
    }

    private void endUnit() {
        unit.addTo(document, numbered(block));
        unit = new HtmlUnit();
    }

    private int endOf(String end, int from) {
        int at = page.indexOf(end, from);
        return at < 0 ? page.length() : at + end.length();
    }

    /** Where the element ends that {@code tag} begins, elements of the same name in it counted. */
    private int endOfElement(HtmlTag tag) {
        boolean isCode = tag.name().equals("script") || tag.name().equals("style");
        int depth = HtmlElements.isVoid(tag.name()) || tag.isEmptyElement() ? 0 : 1;
        int at = tag.end();
        while (depth > 0) {
            int next = page.indexOf('<', at);
            if (next < 0) {
                return page.length();
            }
            Optional<HtmlTag> inner = tagAt(next).filter(each -> each.name().equals(tag.name()));
            // In a script, only its own end tag is a tag.
            if (inner.isPresent()
                    && (inner.get().closes() || !isCode && !inner.get().isEmptyElement())) {
                depth += inner.get().closes() ? -1 : 1;
            }
            at = inner.map(HtmlTag::end).orElse(next + 1);
        }
        return at;
    }
}
