package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders.Found;
import org.swaplane.wording.Phrase;

/** Web and e-mail addresses that became others; the page in the other language is the same page. */
final class LinkCheck extends TextCheck {
    LinkCheck() {
        super("link");
    }

    @Override
    List<Finding> find(Texts texts) {
        List<Found> source = Addresses.find(texts.source());
        List<Found> target = Addresses.find(texts.target());
        List<Found> missing = without(source, target, texts);
        if (missing.isEmpty()) {
            return List.of(); // an address more helps the reader and harms nobody
        }
        List<Found> added = without(target, source, texts);
        String first = missing.get(0).written();
        return List.of(error(
                texts,
                added.isEmpty()
                        ? Phrase.of("check.link.missing", first)
                        : Phrase.of("check.link.changed", first, added.get(0).written()),
                spans(missing),
                spans(added)));
    }

    private static List<Span> spans(List<Found> found) {
        return found.stream().map(each -> new Span(each.start(), each.end())).toList();
    }

    private static List<Found> without(List<Found> addresses, List<Found> others, Texts texts) {
        List<String> left = new ArrayList<>();
        others.forEach(each -> left.add(folded(each.written(), texts)));
        return addresses.stream()
                .filter(each -> !left.remove(folded(each.written(), texts)))
                .toList();
    }

    /** Without the language in its path or name, and without a stop that ends the sentence. */
    private static String folded(String address, Texts texts) {
        String folded = address.toLowerCase(Locale.ROOT)
                .replaceFirst("[.,;:!?)\\]}。、）]+$", "")
                .replaceFirst("/$", "");
        for (String tag :
                List.of(texts.segment().sourceLanguage(), texts.segment().targetLanguage())) {
            String code = tag.toLowerCase(Locale.ROOT);
            for (String each : List.of(code, code.replace('-', '_'), code.replaceFirst("-.*", ""))) {
                folded = folded.replaceAll("(?<=[/.=])" + Pattern.quote(each) + "(?=[/.&]|$)", "*");
            }
        }
        return folded;
    }
}
