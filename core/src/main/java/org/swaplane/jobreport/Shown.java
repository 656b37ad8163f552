package org.swaplane.jobreport;

import com.ibm.icu.text.DateFormat;
import com.ibm.icu.text.LocaleDisplayNames;
import com.ibm.icu.text.NumberFormat;
import com.ibm.icu.util.TimeZone;
import com.ibm.icu.util.ULocale;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Currency;
import java.util.Date;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.swaplane.rates.Account;
import org.swaplane.report.Cell;
import org.swaplane.wording.Wording;

/** Figures as the report's language writes them. */
final class Shown {
    private static final BigDecimal SECOND = BigDecimal.valueOf(1000);
    private final Locale locale = Wording.formats();
    private final ZoneId zone;
    private final boolean names;
    private final Map<Integer, NumberFormat> numbers = new HashMap<>();

    /** @param names whether people are named */
    Shown(ZoneId zone, boolean names) {
        this.zone = zone;
        this.names = names;
    }

    /** Whether people are named. */
    boolean names() {
        return names;
    }

    Cell number(long number) {
        return Cell.of(BigDecimal.valueOf(number), format(0).format(number));
    }

    Cell decimal(BigDecimal number, int decimals) {
        BigDecimal rounded = number.setScale(decimals, RoundingMode.HALF_UP);
        return Cell.of(rounded, format(decimals).format(rounded));
    }

    Cell hours(long millis) {
        BigDecimal hours = Account.hours(millis);
        return Cell.of(hours, format(hours.scale()).format(hours));
    }

    Cell seconds(double millis) {
        return decimal(BigDecimal.valueOf(millis).divide(SECOND), 1);
    }

    Cell money(BigDecimal amount, Currency currency) {
        NumberFormat format = format(amount.scale());
        return Cell.of(amount, format.format(amount) + ' ' + currency.getCurrencyCode());
    }

    /** Without a number, so that nothing is added up. */
    Cell none() {
        return Cell.of("–", Cell.Tone.NUMBER);
    }

    String day(LocalDate day) {
        DateFormat format = DateFormat.getDateInstance(DateFormat.MEDIUM, ULocale.forLocale(locale));
        format.setTimeZone(TimeZone.GMT_ZONE);
        return format.format(Date.from(day.atStartOfDay(ZoneOffset.UTC).toInstant()));
    }

    String minute(Instant at) {
        DateFormat format =
                DateFormat.getDateTimeInstance(DateFormat.MEDIUM, DateFormat.SHORT, ULocale.forLocale(locale));
        format.setTimeZone(TimeZone.getTimeZone(zone.getId()));
        return format.format(Date.from(at));
    }

    String language(String code) {
        if (code.isEmpty()) {
            return "–";
        }
        String name = LocaleDisplayNames.getInstance(ULocale.forLocale(locale))
                .localeDisplayName(ULocale.forLanguageTag(code));
        return Wording.text("report.job.language", name, code);
    }

    /** A person as the report may call them. */
    String person(String who) {
        if (who.isEmpty()) {
            return "–";
        }
        return names ? who : Wording.text("report.job.somebody");
    }

    private NumberFormat format(int decimals) {
        return numbers.computeIfAbsent(Math.max(0, decimals), digits -> {
            NumberFormat format = NumberFormat.getInstance(locale);
            format.setMinimumFractionDigits(digits);
            format.setMaximumFractionDigits(digits);
            return format;
        });
    }
}
