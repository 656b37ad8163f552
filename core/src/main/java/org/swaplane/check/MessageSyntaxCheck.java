package org.swaplane.check;

import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.text.MessagePattern.ArgType;
import com.ibm.icu.text.MessagePattern.Part;
import com.ibm.icu.text.PluralRules;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.swaplane.compare.Span;
import org.swaplane.format.IcuMessage;
import org.swaplane.wording.Phrase;

/**
 * Messages with variants (ICU message syntax): the target must be one too, with the same arguments and choices, and with the plural
 * categories that its language needs (CLDR).
 */
final class MessageSyntaxCheck extends TextCheck {
    private static final double MANY = 1_000_000;

    MessageSyntaxCheck() {
        super("message-syntax");
    }

    /** An argument of a message: what it is, and the selectors of its variants. */
    private record Argument(ArgType type, Set<String> selectors) {}

    @Override
    List<Finding> find(Texts texts) {
        if (!IcuMessage.mayHaveVariants(texts.source())) {
            return List.of();
        }
        Map<String, Argument> source;
        try {
            source = arguments(texts.source());
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            return List.of(); // the source only looks like a message
        }
        List<Span> all = List.of(new Span(0, texts.target().length()));
        Map<String, Argument> target;
        try {
            target = arguments(texts.target());
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            return List.of(error(texts, Phrase.of("check.message-syntax.broken", firstLine(e)), List.of(), all));
        }
        List<Finding> findings = new ArrayList<>();
        for (Map.Entry<String, Argument> entry : source.entrySet()) {
            Argument there = target.get(entry.getKey());
            if (there == null || there.type() != entry.getValue().type()) {
                findings.add(error(texts, Phrase.of("check.message-syntax.missing", entry.getKey()), List.of(), all));
            } else {
                compare(texts, entry.getKey(), entry.getValue(), there, findings);
            }
        }
        target.keySet().stream()
                .filter(name -> !source.containsKey(name))
                .forEach(name ->
                        findings.add(error(texts, Phrase.of("check.message-syntax.added", name), List.of(), all)));
        return findings;
    }

    private void compare(Texts texts, String name, Argument source, Argument target, List<Finding> findings) {
        Set<String> missing = new TreeSet<>();
        if (source.type() == ArgType.SELECT) {
            missing.addAll(source.selectors());
        } else if (source.type().hasPluralStyle()) {
            PluralRules.PluralType kind =
                    source.type() == ArgType.PLURAL ? PluralRules.PluralType.CARDINAL : PluralRules.PluralType.ORDINAL;
            missing.addAll(needed(texts.segment().targetLanguage(), kind));
            // What the source leaves out although its own language has it, makes no difference here.
            Set<String> leftOut = needed(texts.segment().sourceLanguage(), kind);
            leftOut.removeAll(source.selectors());
            missing.removeAll(leftOut);
        }
        missing.removeAll(target.selectors());
        if (!missing.isEmpty()) {
            List<Span> all = List.of(new Span(0, texts.target().length()));
            Phrase words = Phrase.of("check.message-syntax.variants", name, String.join(", ", missing));
            findings.add(error(texts, words, List.of(), all));
        }
    }

    private static Set<String> needed(String language, PluralRules.PluralType kind) {
        PluralRules rules = PluralRules.forLocale(ULocale.forLanguageTag(language), kind);
        Set<String> needed = new TreeSet<>(rules.getKeywords());
        needed.removeIf(keyword -> !keyword.equals("other") && !isUsual(rules, keyword));
        return needed;
    }

    /** Categories that whole numbers never need, or only from a million on, are left out by many. */
    private static boolean isUsual(PluralRules rules, String keyword) {
        return rules.getSamples(keyword) != null
                && rules.getSamples(keyword).stream().anyMatch(number -> number < MANY);
    }

    /** By name; the same argument can occur in several variants, and counts once. */
    private static Map<String, Argument> arguments(String text) {
        MessagePattern pattern = new MessagePattern(text);
        Map<String, Argument> arguments = new TreeMap<>();
        for (int i = 0; i < pattern.countParts(); i++) {
            if (pattern.getPartType(i) == Part.Type.ARG_START) {
                ArgType type = pattern.getPart(i).getArgType();
                String name = pattern.getSubstring(pattern.getPart(i + 1));
                Argument known = arguments.get(name);
                if (known == null || known.type() == ArgType.NONE) {
                    known = new Argument(type, new TreeSet<>());
                    arguments.put(name, known);
                }
                if (type == known.type()) {
                    known.selectors().addAll(selectors(pattern, i));
                }
            }
        }
        return arguments;
    }

    private static Set<String> selectors(MessagePattern pattern, int argument) {
        Set<String> selectors = new TreeSet<>();
        for (int i = argument + 1; i < pattern.getLimitPartIndex(argument); i++) {
            if (pattern.getPartType(i) == Part.Type.ARG_SELECTOR) {
                selectors.add(pattern.getSubstring(pattern.getPart(i)));
            } else if (pattern.getPartType(i) == Part.Type.MSG_START) {
                i = pattern.getLimitPartIndex(i);
            }
        }
        return selectors;
    }

    private static String firstLine(Exception e) {
        return String.valueOf(e.getMessage()).lines().findFirst().orElse("");
    }
}
