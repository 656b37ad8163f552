package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.PatientText;
import org.swaplane.wording.Phrase;

/** The patterns of a profile. */
final class OwnPatternCheck implements Check {
    private final List<Compiled> patterns;

    /** After so many texts on which it took too long a pattern is not asked again. */
    private static final int MOST_SLOW = 3;

    /**
     * An expression that is ready.
     *
     * @param target empty where it depends on what the source holds
     * @param tooSlow on how many texts it took too long
     */
    private record Compiled(OwnPattern own, Pattern source, Optional<Pattern> target, AtomicInteger tooSlow) {}

    OwnPatternCheck(List<OwnPattern> patterns) {
        this.patterns = patterns.stream()
                .filter(own -> own.fault().isEmpty())
                .map(OwnPatternCheck::compiled)
                .toList();
    }

    private static Compiled compiled(OwnPattern own) {
        boolean fixed = !own.target().matches(".*\\$\\d.*");
        return new Compiled(
                own,
                Pattern.compile(own.source(), flags(own)),
                fixed ? Optional.of(Pattern.compile(own.target(), flags(own))) : Optional.empty(),
                new AtomicInteger());
    }

    private static int flags(OwnPattern own) {
        return own.ignoreCase() ? Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE : 0;
    }

    @Override
    public String id() {
        return "pattern";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        if (patterns.isEmpty() || segment.target().isEmpty()) {
            return List.of();
        }
        List<Finding> findings = new ArrayList<>();
        for (Compiled pattern : patterns) {
            if (pattern.tooSlow().get() >= MOST_SLOW) {
                continue;
            }
            try {
                check(segment, pattern).ifPresent(findings::add);
            } catch (CannotProceedException e) {
                pattern.tooSlow().incrementAndGet();
                Phrase message = Phrase.of("check.pattern.slow", pattern.own().name());
                findings.add(
                        Finding.in(segment, id(), Severity.WARNING, message, List.of(), List.of(), Optional.empty()));
            }
        }
        return findings;
    }

    private static Optional<Finding> check(CheckedSegment segment, Compiled pattern) {
        OwnPattern own = pattern.own();
        Matcher source = pattern.source().matcher(patient(segment.sourceText(), own));
        if (!source.find()) {
            return Optional.empty();
        }
        List<Span> asked = source.end() > source.start() ? List.of(new Span(source.start(), source.end())) : List.of();
        if (own.target().isEmpty()) {
            return Optional.of(finding(segment, own, asked, List.of()));
        }
        Pattern wanted = pattern.target().orElseGet(() -> Pattern.compile(filled(own.target(), source), flags(own)));
        Matcher target = wanted.matcher(patient(segment.targetText(), own));
        boolean found = target.find();
        if (found == own.required()) {
            return Optional.empty();
        }
        return Optional.of(
                finding(segment, own, asked, found ? List.of(new Span(target.start(), target.end())) : List.of()));
    }

    private static CharSequence patient(String text, OwnPattern own) {
        return new PatientText(text, "the pattern '" + own.name() + "'");
    }

    /** What the groups of the source found, literally, in place of {@code $1} to {@code $9}. */
    private static String filled(String expression, Matcher source) {
        String filled = expression;
        for (int group = 1; group <= 9; group++) {
            String text = group <= source.groupCount() && source.group(group) != null ? source.group(group) : "";
            filled = filled.replace("$" + group, Pattern.quote(text));
        }
        return filled;
    }

    private static Finding finding(CheckedSegment segment, OwnPattern own, List<Span> source, List<Span> target) {
        return Finding.in(
                segment, "pattern", own.severity(), Phrase.verbatim(own.message()), source, target, Optional.empty());
    }
}
