package org.swaplane.jobreport;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.swaplane.check.CheckRun;
import org.swaplane.lane.LaneDetail;
import org.swaplane.report.Report;
import org.swaplane.task.Progress;

/**
 * What is told of a job, in the language of the calling thread's {@link org.swaplane.wording.Wording}.
 *
 * @param checks what runs where the checks are spoken of
 * @param history earlier jobs, for comparison
 */
public record JobReport(JobFacts facts, ReportProfile profile, CheckRun checks, List<QualityHistory.Job> history) {
    public JobReport {
        history = List.copyOf(history);
    }

    /** The figures of the parts that the profile has, in their order. */
    public List<Figures> figures(Progress progress) {
        return figures(profile.parts(), progress);
    }

    /** The figures of some parts. */
    public List<Figures> figures(Set<ReportPart> parts, Progress progress) {
        Shown shown = new Shown(facts.period().zone(), profile.names());
        List<Figures> all = new ArrayList<>();
        for (ReportPart part : ReportPart.values()) {
            progress.checkCancelled();
            if (parts.contains(part)) {
                all.addAll(of(part, shown, progress));
            }
        }
        return all;
    }

    private List<Figures> of(ReportPart part, Shown shown, Progress progress) {
        return switch (part) {
            case EFFORT -> profile.times() ? new EffortFigures(facts, shown).all() : List.of();
            case CHANGES -> new ChangeTables(facts, shown).all();
            case QUALITY -> new QualityFigures(facts, shown, history).all();
            case AMOUNTS ->
                new AmountFigures(
                                new LaneAccount(facts.lane()).offered(),
                                new LaneAccount(facts.lane()).account(facts),
                                shown,
                                profile.rates())
                        .all();
            case TRIPS -> List.of(new DeliveryFigures(facts, shown).trips());
            case CHECKS -> List.of(new DeliveryFigures(facts, shown).checks(checks, progress));
            case DELIVERY -> new DeliveryFigures(facts, shown).releases();
        };
    }

    /** All of it as a report that can be written. */
    public Report report(Progress progress) {
        Shown shown = new Shown(facts.period().zone(), profile.names());
        String client = facts.lane().settings().detail(LaneDetail.CLIENT);
        Report.Builder report =
                Report.titled(text("report.job.title", facts.lane().name()));
        if (!client.isEmpty()) {
            report.fact(text("report.column.client"), client);
        }
        report.fact(
                text("report.job.languages"),
                facts.tracks().stream()
                        .map(JobFacts::target)
                        .distinct()
                        .map(shown::language)
                        .collect(Collectors.joining(", ")));
        report.fact(text("report.column.files"), shown.number(facts.tracks().size()));
        report.fact(
                text("report.job.period"),
                text(
                        "report.job.from-to",
                        facts.period().from().map(shown::day).orElse("…"),
                        facts.period().to().map(shown::day).orElse("…")));
        report.fact(text("report.job.made"), shown.minute(facts.lane().clock().instant()));
        figures(progress).forEach(each -> report.section(each.section()));
        return report.build();
    }
}
