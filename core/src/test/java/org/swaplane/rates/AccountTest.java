package org.swaplane.rates;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.swaplane.effort.Activity;
import org.swaplane.task.CannotProceedException;

/** Amounts worked out on paper. */
class AccountTest {
    private static RateCard card(
            String currency, String minimum, List<RateCard.Adjustment> changes, RateCard.Entry... entries) {
        return new RateCard(
                "Ferries",
                "",
                "en",
                "de",
                Currency.getInstance(currency),
                List.of(entries),
                new BigDecimal(minimum),
                changes);
    }

    private static RateCard.Entry entry(Activity activity, RateCard.Unit unit, String amount, String... bands) {
        Map<String, BigDecimal> byBand = new LinkedHashMap<>();
        for (int i = 0; i < bands.length; i += 2) {
            byBand.put(bands[i], new BigDecimal(bands[i + 1]));
        }
        return new RateCard.Entry(activity, "", unit, new BigDecimal(amount), byBand, true, 0);
    }

    private static Work words(Activity activity, Object... bands) {
        Map<String, Long> words = new LinkedHashMap<>();
        for (int i = 0; i < bands.length; i += 2) {
            words.put((String) bands[i], ((Integer) bands[i + 1]).longValue());
        }
        return new Work("en-GB", "de-DE", "", activity, words, 0);
    }

    private static Work time(long millis) {
        return new Work("en-GB", "de-DE", "", Activity.REVIEW, Map.of(), millis);
    }

    private static List<String> amounts(Account account) {
        return account.lines().stream()
                .map(line -> line.amount().toPlainString())
                .toList();
    }

    @Test
    void ninetyFiveSecondsArePricedFromTheSecondsAndNotFromTheHoursThatAreShown() {
        Account account = Account.of(
                List.of(time(95_000)),
                List.of(card("EUR", "0", List.of(), entry(Activity.REVIEW, RateCard.Unit.HOUR, "48.00"))));

        // 95 / 3600 × 48 = 1.2666…, but 0.026 × 48 = 1.248.
        assertThat(account.lines().get(0).quantity()).isEqualByComparingTo("0.026");
        assertThat(amounts(account)).containsExactly("1.27");
        assertThat(Account.hours(1_800)).isEqualByComparingTo("0.001");
        assertThat(Account.hours(1_799)).isEqualByComparingTo("0.000");
    }

    @Test
    void wordsArePricedByTheirBandAndALineIsRoundedOnce() {
        Account account = Account.of(
                List.of(words(Activity.TRANSLATION, "100", 333, "95-99", 101, "none", 7)),
                List.of(card(
                        "EUR",
                        "0",
                        List.of(),
                        entry(Activity.TRANSLATION, RateCard.Unit.WORD, "0.125", "100", "0.015", "95-99", "0.045"))));

        // 333 × 0.015 = 4.995; 101 × 0.045 = 4.545; 7 × 0.125 = 0.875: each half up.
        assertThat(amounts(account)).containsExactly("5.00", "4.55", "0.88");
        assertThat(account.totals(true)).containsExactly(Map.entry("EUR", new BigDecimal("10.43")));
    }

    @Test
    void threeCurrenciesHaveTheirOwnDigitsAndAreNeverAdded() {
        List<RateCard> cards = List.of(
                card("EUR", "0", List.of(), entry(Activity.REVIEW, RateCard.Unit.HOUR, "40")),
                card("JPY", "0", List.of(), entry(Activity.REVIEW, RateCard.Unit.HOUR, "6400")),
                card("TND", "0", List.of(), entry(Activity.REVIEW, RateCard.Unit.HOUR, "130")));

        // 100 s: 1.111…, 177.777…, 3.6111…
        assertThat(Account.of(List.of(time(100_000)), cards).totals(true))
                .isEqualTo(Map.of(
                        "EUR", new BigDecimal("1.11"), "JPY", new BigDecimal("178"), "TND", new BigDecimal("3.611")));
    }

    @Test
    void surchargeAndDiscountAreOfTheSameSumAndTheMinimumComesLast() {
        List<RateCard.Adjustment> changes = List.of(
                new RateCard.Adjustment("Express", new BigDecimal("25")),
                new RateCard.Adjustment("Volume", new BigDecimal("-7.5")));
        RateCard.Entry rate = entry(Activity.TRANSLATION, RateCard.Unit.WORD, "0.11");

        // 100 words: 11.00 + 2.75 − 0.825 (half up: −0.83) = 12.92, and 22.08 are missing to 35.
        Account small = Account.of(
                List.of(words(Activity.TRANSLATION, "none", 100)), List.of(card("EUR", "35", changes, rate)));
        Account large = Account.of(
                List.of(words(Activity.TRANSLATION, "none", 1000)), List.of(card("EUR", "35", changes, rate)));

        assertThat(amounts(small)).containsExactly("11.00", "2.75", "-0.83", "22.08");
        assertThat(small.totals(true)).containsEntry("EUR", new BigDecimal("35.00"));
        assertThat(large.totals(true)).containsEntry("EUR", new BigDecimal("129.25"));
        assertThat(large.lines()).extracting(AmountLine::kind).doesNotContain(AmountLine.Kind.MINIMUM);
    }

    @Test
    void whatIsNotBillableIsACostAndTheClosestLanguagesWin() {
        RateCard.Entry ines = new RateCard.Entry(
                Activity.REVIEW, "Ines Falk", RateCard.Unit.WORD, new BigDecimal("0.04"), Map.of(), false, 0);
        RateCard general = card("EUR", "0", List.of(), entry(Activity.REVIEW, RateCard.Unit.WORD, "0.05"), ines);
        RateCard swiss = new RateCard(
                "Swiss",
                "",
                "en",
                "de-CH",
                Currency.getInstance("EUR"),
                List.of(entry(Activity.REVIEW, RateCard.Unit.WORD, "0.09")),
                null,
                null);
        Work own = words(Activity.REVIEW, "100", 100);
        Work hers = new Work("en-GB", "de-DE", "Ines Falk", Activity.REVIEW, Map.of("", 100L), 0);
        Work abroad = new Work("en-GB", "de-CH", "", Activity.REVIEW, Map.of("", 100L), 0);

        Account account = Account.of(List.of(own, hers, abroad), List.of(general, swiss));

        assertThat(account.totals(true)).containsEntry("EUR", new BigDecimal("14.00"));
        assertThat(account.totals(false)).containsEntry("EUR", new BigDecimal("4.00"));
    }

    @Test
    void anOfferByTheHourGoesByHowFastIsExpected() {
        RateCard.Entry hourly =
                new RateCard.Entry(Activity.REVIEW, "", RateCard.Unit.HOUR, new BigDecimal("48"), Map.of(), true, 700);

        Account offer =
                Account.of(List.of(words(Activity.REVIEW, "", 1000)), List.of(card("EUR", "0", List.of(), hourly)));

        // 1000 / 700 × 48 = 68.571…
        assertThat(amounts(offer)).containsExactly("68.57");
        assertThat(offer.lines().get(0).quantity()).isEqualByComparingTo("1.429");
    }

    @Test
    void fixedAmountsAreBilledOnceAndOnlyWhereThereIsWork() {
        RateCard fixed = card("GBP", "0", List.of(), entry(Activity.FILE_WORK, RateCard.Unit.FIXED, "20"));

        assertThat(Account.of(List.of(time(1), words(Activity.REVIEW, "", 5)), List.of(fixed))
                        .totals(true))
                .containsEntry("GBP", new BigDecimal("20.00"));
        assertThat(Account.of(List.of(), List.of(fixed)).lines()).isEmpty();
    }

    @Test
    void cardsAreReadAsTheyWereWritten() {
        RateCard card = card(
                "JPY",
                "3000",
                List.of(new RateCard.Adjustment("Nacht", BigDecimal.TEN)),
                entry(Activity.TRANSLATION, RateCard.Unit.WORD, "12.5", "100", "2"));

        assertThat(RateCard.parse(RateCard.toJson(List.of(card)))).containsExactly(card);
        assertThatThrownBy(() -> RateCard.parse("[{\"name\":\"x\"}]")).isInstanceOf(CannotProceedException.class);
        assertThatThrownBy(() -> RateCard.parse("{")).isInstanceOf(CannotProceedException.class);
    }

    /** A total is the sum of the lines as they stand, and no line is more than half a cent off its exact amount. */
    @Property(tries = 200)
    void nothingIsLostByRounding(
            @ForAll @Size(max = 12) List<@IntRange(max = 100_000) Integer> counts,
            @ForAll @IntRange(max = 9_999) int rate) {
        BigDecimal perWord = BigDecimal.valueOf(rate, 4);
        Map<String, Long> words = new LinkedHashMap<>();
        for (int i = 0; i < counts.size(); i++) {
            words.put("band" + i, counts.get(i).longValue());
        }
        RateCard card =
                card("EUR", "0", List.of(), entry(Activity.REVIEW, RateCard.Unit.WORD, perWord.toPlainString()));

        Account account = Account.of(List.of(new Work("en", "de", "", Activity.REVIEW, words, 0)), List.of(card));

        List<BigDecimal> exact = new ArrayList<>();
        counts.stream()
                .filter(count -> count > 0)
                .forEach(count -> exact.add(perWord.multiply(BigDecimal.valueOf(count))));
        assertThat(account.lines()).hasSameSizeAs(exact);
        for (int i = 0; i < exact.size(); i++) {
            assertThat(account.lines().get(i).amount().subtract(exact.get(i)).abs())
                    .isLessThanOrEqualTo(new BigDecimal("0.005"));
        }
        assertThat(account.totals(true).getOrDefault("EUR", BigDecimal.ZERO))
                .isEqualByComparingTo(
                        account.lines().stream().map(AmountLine::amount).reduce(BigDecimal.ZERO, BigDecimal::add));
    }
}
