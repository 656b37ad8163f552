package org.swaplane.jobreport;

import static org.swaplane.wording.Wording.text;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.swaplane.rates.Account;
import org.swaplane.rates.AmountLine;
import org.swaplane.report.Cell;
import org.swaplane.wording.Wording;

/** What was offered, what it came to, and the difference. */
final class AmountFigures {
    private final Account offered;
    private final Account account;
    private final Shown shown;
    private final boolean rates;

    /** @param rates whether rates and what is not billed are told */
    AmountFigures(Account offered, Account account, Shown shown, boolean rates) {
        this.offered = offered;
        this.account = account;
        this.shown = shown;
        this.rates = rates;
    }

    List<Figures> all() {
        List<Figures> all = new ArrayList<>();
        add(all, "report.amounts.account", account, true);
        if (rates) {
            add(all, "report.amounts.costs", account, false);
        }
        add(all, "report.amounts.offer", offered, true);
        if (!offered.lines().isEmpty()) {
            all.add(difference());
        }
        if (all.isEmpty()) {
            all.add(new Figures.Builder(ReportPart.AMOUNTS, text("report.amounts.account"), heads())
                    .saying(text("report.amounts.none"))
                    .build());
        }
        return all;
    }

    private String[] heads() {
        List<String> heads = new ArrayList<>(
                List.of(text("report.column.work"), text("report.column.languages"), text("report.column.quantity")));
        if (rates) {
            heads.add(2, text("report.column.person"));
            heads.add(text("report.column.rate"));
        }
        heads.add(text("report.column.amount"));
        return heads.toArray(String[]::new);
    }

    /** A table for each currency, since what is in different ones cannot be added. */
    private void add(List<Figures> all, String heading, Account of, boolean billable) {
        Set<String> currencies = new LinkedHashSet<>(of.totals(billable).keySet());
        for (String code : currencies) {
            Currency currency = Currency.getInstance(code);
            Figures.Builder table = new Figures.Builder(
                    ReportPart.AMOUNTS,
                    currencies.size() == 1 ? text(heading) : text("report.amounts.in", text(heading), code),
                    heads());
            of.lines().stream()
                    .filter(line ->
                            line.billable() == billable && line.currency().equals(currency))
                    .forEach(line -> table.row(null, cells(line)));
            List<Cell> sums = new ArrayList<>(List.of(Cell.of(text("report.total")), Cell.of(""), Cell.of("")));
            if (rates) {
                sums.add(Cell.of(""));
                sums.add(Cell.of(""));
            }
            sums.add(shown.money(of.totals(billable).get(code), currency));
            all.add(table.sums(sums).build());
        }
    }

    private List<Cell> cells(AmountLine line) {
        List<Cell> cells = new ArrayList<>(List.of(Cell.of(label(line)), Cell.of(languages(line)), quantity(line)));
        if (rates) {
            cells.add(2, Cell.of(shown.person(line.recipient())));
            cells.add(rate(line));
        }
        cells.add(shown.money(line.amount(), line.currency()));
        return cells;
    }

    private static String languages(AmountLine line) {
        return line.sourceLanguage().isEmpty() && line.targetLanguage().isEmpty()
                ? "–"
                : text("report.amounts.languages", line.sourceLanguage(), line.targetLanguage());
    }

    private static String label(AmountLine line) {
        String kind = text("report.amounts.kind." + line.kind().name().toLowerCase(Locale.ROOT));
        if (line.activity() == null) {
            return line.label().isEmpty() ? kind : line.label();
        }
        String activity = EffortFigures.name(line.activity());
        return line.label().isEmpty()
                ? text("report.amounts.work", activity, kind)
                : text("report.amounts.work-of", activity, kind, band(line.label()));
    }

    /** Bands of matches have names; those of changes are percentages, and trips have codes. */
    private static String band(String label) {
        return Wording.has("band." + label) ? text("band." + label) : label;
    }

    private Cell quantity(AmountLine line) {
        return switch (line.kind()) {
            case WORDS -> shown.decimal(line.quantity(), 0);
            case HOURS -> shown.decimal(line.quantity(), 3);
            case FIXED, MINIMUM -> shown.number(1);
            case PERCENT -> Cell.of(text("report.percent", line.quantity()), Cell.Tone.NUMBER);
        };
    }

    private Cell rate(AmountLine line) {
        return line.kind() == AmountLine.Kind.PERCENT
                ? Cell.of(
                        text(
                                "report.amounts.percent-of",
                                shown.money(line.rate(), line.currency()).text()),
                        Cell.Tone.NUMBER)
                : shown.money(line.rate(), line.currency());
    }

    /** What the account is above or below the offer, by kind of work. */
    private Figures difference() {
        record Kind(String work, String languages, String currency) {}
        Map<Kind, BigDecimal[]> sums = new LinkedHashMap<>();
        for (int side = 0; side < 2; side++) {
            for (AmountLine line : (side == 0 ? offered : account).lines()) {
                if (line.billable()) {
                    String work = line.activity() == null ? label(line) : EffortFigures.name(line.activity());
                    BigDecimal[] both = sums.computeIfAbsent(
                            new Kind(work, languages(line), line.currency().getCurrencyCode()),
                            any -> new BigDecimal[] {BigDecimal.ZERO, BigDecimal.ZERO});
                    both[side] = both[side].add(line.amount());
                }
            }
        }
        Figures.Builder table = new Figures.Builder(
                ReportPart.AMOUNTS,
                text("report.amounts.difference"),
                text("report.column.work"),
                text("report.column.languages"),
                text("report.column.offered"),
                text("report.column.accounted"),
                text("report.column.difference"));
        sums.forEach((kind, both) -> {
            Currency currency = Currency.getInstance(kind.currency());
            table.row(
                    null,
                    Cell.of(kind.work()),
                    Cell.of(kind.languages()),
                    shown.money(both[0], currency),
                    shown.money(both[1], currency),
                    shown.money(both[1].subtract(both[0]), currency));
        });
        if (sums.keySet().stream().map(Kind::currency).distinct().count() == 1) {
            Currency currency =
                    Currency.getInstance(sums.keySet().iterator().next().currency());
            BigDecimal before = offered.totals(true).getOrDefault(currency.getCurrencyCode(), BigDecimal.ZERO);
            BigDecimal after = account.totals(true).getOrDefault(currency.getCurrencyCode(), BigDecimal.ZERO);
            table.sums(
                    Cell.of(text("report.total")),
                    Cell.of(""),
                    shown.money(before, currency),
                    shown.money(after, currency),
                    shown.money(after.subtract(before), currency));
        }
        return table.build();
    }
}
