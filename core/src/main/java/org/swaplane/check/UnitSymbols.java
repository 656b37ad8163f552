package org.swaplane.check;

import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.number.NumberFormatter.UnitWidth;
import com.ibm.icu.util.MeasureUnit;
import com.ibm.icu.util.ULocale;
import java.util.Set;
import java.util.stream.Collectors;

/** Symbols of measures that are the same in most languages, such as km, from CLDR. */
final class UnitSymbols {
    private static final Set<String> SYMBOLS = MeasureUnit.getAvailable().stream()
            .filter(unit -> !unit.getType().equals("currency"))
            .map(unit -> NumberFormatter.with()
                    .unit(unit)
                    .unitWidth(UnitWidth.SHORT)
                    .locale(ULocale.ROOT)
                    .format(1)
                    .toString()
                    .replaceAll("[\\d\\s\u00A0]", ""))
            .collect(Collectors.toUnmodifiableSet());

    private UnitSymbols() {}

    static boolean isOne(String word) {
        return SYMBOLS.contains(word);
    }
}
