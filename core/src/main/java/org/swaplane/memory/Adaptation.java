package org.swaplane.memory;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Retagging;
import org.swaplane.number.NumberReader;
import org.swaplane.number.NumberWriter;
import org.swaplane.number.ReadNumber;

/** Puts the numbers and tags of a source into the translation of one that has others there and is the same otherwise. */
public final class Adaptation {
    private Adaptation() {}

    /** Empty where more differs, or where it is not certain which number of the translation stands for which. */
    public static Optional<Content> of(MemoryMatch match, Content source) {
        MemoryUnit unit = match.unit();
        if (match.kind() != MemoryMatch.Kind.FUZZY) {
            return Optional.empty();
        }
        NumberReader sources = NumberReader.of(unit.sourceLanguage());
        String before = unit.source().plainText();
        String now = source.plainText();
        List<ReadNumber> old = sources.read(before);
        List<ReadNumber> wanted = sources.read(now);
        if (!withoutNumbers(before, old).equals(withoutNumbers(now, wanted))) {
            return Optional.empty();
        }
        return numbers(unit, old, wanted).map(target -> Retagging.fitted(target, unit.source(), source));
    }

    private static String withoutNumbers(String text, List<ReadNumber> numbers) {
        StringBuilder rest = new StringBuilder();
        int at = 0;
        for (ReadNumber number : numbers) {
            rest.append(text, at, number.start()).append('\uFFFC');
            at = number.end();
        }
        return rest.append(text.substring(at)).toString();
    }

    private static Optional<Content> numbers(MemoryUnit unit, List<ReadNumber> old, List<ReadNumber> wanted) {
        NumberWriter writer = new NumberWriter(unit.targetLanguage());
        List<ReadNumber> there = new ArrayList<>(
                NumberReader.of(unit.targetLanguage()).read(unit.target().plainText()));
        List<Replacement> replacements = new ArrayList<>();
        for (int i = 0; i < old.size(); i++) {
            if (old.get(i).written().equals(wanted.get(i).written())) {
                continue;
            }
            ReadNumber before = old.get(i);
            List<ReadNumber> counterparts =
                    there.stream().filter(before::agreesWith).toList();
            if (counterparts.size() != 1) {
                return Optional.empty();
            }
            Optional<String> written = writer.corrected(wanted.get(i), counterparts.get(0));
            if (written.isEmpty()) {
                return Optional.empty();
            }
            there.remove(counterparts.get(0));
            replacements.add(new Replacement(counterparts.get(0), written.get()));
        }
        Content target = unit.target();
        // From last to first, so that places of those before stay true.
        replacements.sort((one, other) ->
                Integer.compare(other.number().start(), one.number().start()));
        for (Replacement each : replacements) {
            target = target.replaceText(each.number().start(), each.number().end(), each.text());
        }
        return Optional.of(target);
    }

    private record Replacement(ReadNumber number, String text) {}
}
