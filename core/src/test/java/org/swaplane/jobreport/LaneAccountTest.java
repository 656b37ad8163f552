package org.swaplane.jobreport;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.effort.Activity;
import org.swaplane.effort.Period;
import org.swaplane.exchange.Rate;
import org.swaplane.exchange.RowSelection;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.ReturnImport;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.Track;
import org.swaplane.rates.Account;
import org.swaplane.rates.AmountLine;
import org.swaplane.rates.RateCard;
import org.swaplane.task.Progress;

/** What a lane costs, each case worked out by hand: 40 words in one file, and hours that were entered for Tom. */
class LaneAccountTest {
    private static final String TOM = "Tom Brandt";

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Signs", FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = take("signs.xlf");
    }

    @AfterEach
    void close() {
        lane.close();
    }

    /** Four segments of ten words. */
    private Track take(String name) throws IOException {
        StringBuilder units = new StringBuilder();
        for (int i = 1; i <= 4; i++) {
            units.append("<trans-unit id='")
                    .append(name)
                    .append(i)
                    .append("'><source>Ferry ")
                    .append(name, 0, 3)
                    .append(' ')
                    .append("abcd".charAt(i - 1))
                    .append(" leaves from the pier in the harbour</source><target>Fähre ")
                    .append(i)
                    .append("</target></trans-unit>");
        }
        String xliff = "<xliff version='1.2' xmlns='urn:oasis:names:tc:xliff:document:1.2'><file original='" + name
                + "' source-language='en-GB' target-language='de-DE' datatype='plaintext'><body>" + units
                + "</body></file></xliff>";
        return lane.trackStore()
                .takeIn(Source.of(name, xliff.getBytes(StandardCharsets.UTF_8)), FileOptions.NONE, Progress.NONE);
    }

    /** Sends a file to Tom and takes it back; {@code rate} is what was agreed, empty for nothing. */
    private void trip(Track of, Purpose purpose, String rate) throws IOException {
        SendRequest request = new SendRequest(
                List.of(TOM),
                purpose,
                SendRequest.Form.FILE,
                RowSelection.ALL,
                Optional.empty(),
                rate.isEmpty() ? Map.of() : Map.of(TOM, Rate.parse(rate).orElseThrow()),
                List.of(),
                0,
                false);
        Path file = new CopyExport(lane)
                .send(List.of(of.now()), request, Progress.NONE)
                .get(0)
                .file();
        Source copy = Source.of(Files.writeString(
                folder.resolve("back.xlf"), Files.readString(file).replace("Fähre 1", "Fähre Eins")));
        ReturnImport imports = new ReturnImport(lane);
        imports.take(
                imports.recognise(copy, lane.formats().open(copy, Progress.NONE).document(), Progress.NONE)
                        .orElseThrow(),
                Set.of(1));
    }

    private void hours(Optional<Track> of, Activity activity, int minutes) {
        LaneWriter.await(
                lane.timeLog().correct(of, LocalDate.now(), TOM, activity, Duration.ofMinutes(minutes), "as invoiced"));
    }

    private static RateCard.Entry entry(String who, Activity activity, RateCard.Unit unit, String amount) {
        return new RateCard.Entry(activity, who, unit, new BigDecimal(amount), Map.of(), false, 0);
    }

    private void cards(String source, String target, String currency, RateCard.Entry... entries) {
        List<RateCard> all = new ArrayList<>(new LaneAccount(lane).cards());
        all.add(new RateCard(
                "", "", source, target, Currency.getInstance(currency), List.of(entries), BigDecimal.ZERO, List.of()));
        LaneWriter.await(lane.settings().set(LaneDetail.RATE_CARDS, RateCard.toJson(all)));
    }

    private Account account() {
        return new LaneAccount(lane)
                .account(JobFacts.read(lane, lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE));
    }

    private List<String> ofTom() {
        return account().lines().stream()
                .filter(line -> line.recipient().equals(TOM))
                .map(line -> line.kind() + " " + line.quantity().toPlainString() + " " + line.amount() + " "
                        + line.currency().getCurrencyCode())
                .toList();
    }

    @Test
    void agreedHoursAreNotPaidByACardAsWell() throws IOException {
        trip(track, Purpose.REVIEW, "40 EUR/hour");
        hours(Optional.of(track), Activity.REVIEW, 60);
        cards("en", "de", "EUR", entry(TOM, Activity.REVIEW, RateCard.Unit.HOUR, "40"));

        assertThat(ofTom()).containsExactly("HOURS 1.000 40.00 EUR");
    }

    @Test
    void whoWasAgreedByTheWordGetsNoHoursForTheSameWork() throws IOException {
        trip(track, Purpose.REVIEW, "0.05 EUR/word");
        hours(Optional.of(track), Activity.REVIEW, 60);
        cards("en", "de", "EUR", entry(TOM, Activity.REVIEW, RateCard.Unit.HOUR, "40"));

        assertThat(ofTom()).containsExactly("WORDS 40 2.00 EUR");
    }

    @Test
    void otherWorkOfTheSamePersonIsPaidByTheCard() throws IOException {
        Track other = take("menu.xlf");
        trip(track, Purpose.REVIEW, "0.05 EUR/word");
        trip(other, Purpose.REVIEW, "");
        hours(Optional.of(other), Activity.REVIEW, 30);
        cards("en", "de", "EUR", entry(TOM, Activity.REVIEW, RateCard.Unit.HOUR, "40"));

        assertThat(ofTom()).containsExactlyInAnyOrder("WORDS 40 2.00 EUR", "HOURS 0.500 20.00 EUR");
    }

    @Test
    void hoursOfTwoAgreedTripsArePaidOnce() throws IOException {
        Track other = take("menu.xlf");
        trip(track, Purpose.REVIEW, "40 EUR/hour");
        trip(other, Purpose.REVIEW, "30 EUR/hour");
        hours(Optional.of(other), Activity.REVIEW, 60);
        hours(Optional.empty(), Activity.REVIEW, 60);

        assertThat(ofTom()).containsExactlyInAnyOrder("HOURS 1.000 40.00 EUR", "HOURS 1.000 30.00 EUR");
    }

    @Test
    void withoutAnAgreementTheCardPaysWordsAndHoursAsItSays() throws IOException {
        trip(track, Purpose.TRANSLATION, "");
        hours(Optional.of(track), Activity.REVIEW, 90);
        cards(
                "en",
                "de",
                "EUR",
                entry(TOM, Activity.TRANSLATION, RateCard.Unit.WORD, "0.11"),
                entry(TOM, Activity.REVIEW, RateCard.Unit.HOUR, "38"));

        assertThat(ofTom()).containsExactlyInAnyOrder("WORDS 40 4.40 EUR", "HOURS 1.500 57.00 EUR");
    }

    /** 1 minute at 0.30 is 0.005 exactly, which is 0.01; rounded to hours first it would be 0.0051, and in yen nothing. */
    @ParameterizedTest
    @CsvSource({"0.30 EUR/hour, 1, 0.01", "0.27 EUR/hour, 1, 0.00", "90 JPY/hour, 1, 2", "1.234 TND/hour, 30, 0.617"})
    void anAgreedLineIsRoundedOnce(String rate, int minutes, BigDecimal amount) throws IOException {
        trip(track, Purpose.REVIEW, rate);
        hours(Optional.of(track), Activity.REVIEW, minutes);

        assertThat(account().lines())
                .filteredOn(line -> line.recipient().equals(TOM))
                .extracting(AmountLine::amount)
                .containsExactly(amount);
    }

    @ParameterizedTest
    @CsvSource({
        // cards: the first at 1.00 a word, the second at 2.00; what one word comes to
        "en, de, en-GB, de-DE, 80.00",
        "EN, DE, fr, de, 40.00",
        "en-gb, DE-de, en, de, 40.00",
        "en, de-AT, en, de, 80.00",
        "'', de-DE, en-GB, de, 40.00",
        "'', '', en, de, 80.00",
        "en, de-CH, '', '', 80.00",
        "en-US, de, en-AU, de, 0",
        "en-Latn-GB, de-DE, en, de, 40.00",
    })
    void theClosestCardIsTakenByLanguageAndRegionWhateverTheirCase(
            String source, String target, String otherSource, String otherTarget, BigDecimal amount)
            throws IOException {
        trip(track, Purpose.REVIEW, "");
        cards(source, target, "EUR", entry(TOM, Activity.REVIEW, RateCard.Unit.WORD, "1.00"));
        cards(otherSource, otherTarget, "EUR", entry(TOM, Activity.REVIEW, RateCard.Unit.WORD, "2.00"));

        assertThat(account().totals(false).getOrDefault("EUR", BigDecimal.ZERO)).isEqualByComparingTo(amount);
    }

    @Test
    void minimumAndSurchargeAreOfWhatIsBilledInEachCurrency() throws IOException {
        hours(Optional.of(track), Activity.FILE_WORK, 60);
        RateCard.Entry billed = new RateCard.Entry(
                Activity.FILE_WORK, TOM, RateCard.Unit.HOUR, new BigDecimal("30"), Map.of(), true, 0);
        RateCard euros = new RateCard(
                "",
                "",
                "en",
                "de",
                Currency.getInstance("EUR"),
                List.of(billed),
                new BigDecimal("50"),
                List.of(new RateCard.Adjustment("weekend", new BigDecimal("25"))));
        RateCard yen = new RateCard(
                "",
                "",
                "en",
                "de",
                Currency.getInstance("JPY"),
                List.of(billed),
                BigDecimal.ZERO,
                List.of(new RateCard.Adjustment("rebate", new BigDecimal("-5"))));
        LaneWriter.await(lane.settings().set(LaneDetail.RATE_CARDS, RateCard.toJson(List.of(euros, yen))));

        // 30.00 + 7.50, and 12.50 are missing to the minimum; 30 - 1.5 is 28.5, and the rebate alone is rounded: -2.
        assertThat(account().totals(true))
                .containsEntry("EUR", new BigDecimal("50.00"))
                .containsEntry("JPY", new BigDecimal("28"));
    }
}
