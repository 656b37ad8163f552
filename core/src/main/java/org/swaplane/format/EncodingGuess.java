package org.swaplane.format;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What the encoding of a text that does not say it may be. Each candidate is decoded, and the words with letters beyond ASCII are held
 * against the letters and pairs of letters of the languages that are written in it ({@link LanguageLetters}), or of the one that is known.
 *
 * @param candidates the likeliest first; never empty
 */
record EncodingGuess(List<Candidate> candidates) {
    /** Encodings and the languages whose texts are in them. Of two that say the same, the first is taken. */
    private static final List<Candidate> ALL = List.of(
            candidate("windows-1252", "de fr es pt it nl sv da nb fi ca is"),
            candidate("windows-1250", "pl cs sk hu sl hr ro sq"),
            candidate("windows-1251", "ru uk bg sr mk be"),
            candidate("windows-1253", "el"),
            candidate("windows-1254", "tr az"),
            candidate("windows-1255", "he"),
            candidate("windows-1256", "ar fa"),
            candidate("windows-1257", "lt lv et"),
            candidate("windows-1258", "vi"),
            candidate("windows-874", "th"),
            candidate("ISO-8859-2", "pl cs sk hu sl hr ro"),
            candidate("ISO-8859-5", "ru uk bg sr"),
            candidate("ISO-8859-7", "el"),
            candidate("ISO-8859-9", "tr"),
            candidate("ISO-8859-13", "lt lv et"),
            candidate("ISO-8859-15", "de fr es pt it nl sv da nb fi"),
            candidate("KOI8-R", "ru bg"),
            candidate("KOI8-U", "uk"),
            candidate("IBM850", "de fr es pt it nl sv da nb fi"),
            candidate("IBM852", "pl cs sk hu sl hr ro"),
            candidate("IBM855", "ru bg sr mk"),
            candidate("IBM866", "ru uk be"),
            candidate("x-MacRoman", "de fr es pt it nl sv da nb fi"),
            candidate("x-MacCentralEurope", "pl cs sk hu"),
            candidate("x-MacCyrillic", "ru uk bg sr"),
            candidate("x-MacGreek", "el"),
            candidate("x-MacTurkish", "tr"),
            candidate("Shift_JIS", "ja"),
            candidate("EUC-JP", "ja"),
            candidate("GB18030", "zh"),
            candidate("Big5", "zh"),
            candidate("EUC-KR", "ko"));

    /** Points between the best and the next that says something else, from which on it is sure. */
    private static final double SURE = 0.6;

    private static final int LEAST_WORDS = 3;
    private static final int PREVIEWS = 3;
    private static final int PREVIEW_LENGTH = 40;

    /**
     * An encoding with the text in it.
     *
     * @param score the higher, the likelier; of no meaning by itself
     */
    record Candidate(Charset charset, Set<String> languages, String text, double score) {}

    EncodingGuess {
        candidates = List.copyOf(candidates);
    }

    private static Candidate candidate(String charset, String languages) {
        return new Candidate(
                Charset.isSupported(charset) ? Charset.forName(charset) : StandardCharsets.ISO_8859_1,
                Set.of(languages.split(" ")),
                "",
                0);
    }

    /** What zeros between the bytes say (UTF-16, UTF-32), and escape sequences (ISO 2022). */
    static Optional<Charset> toldByItsBytes(byte[] sample) {
        int[] zeros = new int[4];
        boolean escape = false;
        for (int i = 0; i < sample.length; i++) {
            zeros[i % 4] += sample[i] == 0 ? 1 : 0;
            escape |= sample[i] == 0x1B;
        }
        if (escape) {
            String text = new String(sample, StandardCharsets.ISO_8859_1);
            if (text.contains("\u001B$B") || text.contains("\u001B$@") || text.contains("\u001B(J")) {
                return Optional.of(Charset.forName("ISO-2022-JP"));
            }
            if (text.contains("\u001B$)C")) {
                return Optional.of(Charset.forName("ISO-2022-KR"));
            }
        }
        int quarter = Math.max(1, sample.length / 4);
        if (sample.length % 4 == 0 && zeros[0] == quarter && zeros[1] >= quarter * 0.9) {
            return Optional.of(Charset.forName("UTF-32BE"));
        }
        if (sample.length % 4 == 0 && zeros[3] == quarter && zeros[2] >= quarter * 0.9) {
            return Optional.of(Charset.forName("UTF-32LE"));
        }
        int first = zeros[0] + zeros[2];
        int second = zeros[1] + zeros[3];
        // In no other text are there zeros; where it is of letters beyond Latin, only blanks and line ends have them.
        if (sample.length % 2 == 0 && first + second > 0 && Math.min(first, second) * 10 <= Math.max(first, second)) {
            return Optional.of(first > second ? StandardCharsets.UTF_16BE : StandardCharsets.UTF_16LE);
        }
        return Optional.empty();
    }

    /** {@code language} is a BCP 47 code, or empty where nobody knows it. */
    static EncodingGuess of(byte[] sample, String language) {
        String known = language.replaceAll("[-_].*", "");
        boolean isKnown = ALL.stream().anyMatch(each -> each.languages().contains(known));
        List<Candidate> scored = new ArrayList<>();
        for (Candidate each : ALL) {
            if (!isKnown || each.languages().contains(known)) {
                decoded(sample, each.charset()).ifPresent(text -> scored.add(scored(each, text, isKnown ? known : "")));
            }
        }
        if (scored.isEmpty()) {
            scored.add(new Candidate(Charset.forName("windows-1252"), Set.of(), "", 0));
            scored.add(new Candidate(StandardCharsets.ISO_8859_1, Set.of(), "", 0));
        }
        // Stable, so that of two that say the same the more usual one stays first.
        scored.sort(Comparator.comparingDouble(Candidate::score).reversed());
        return new EncodingGuess(scored);
    }

    private static Candidate scored(Candidate candidate, String text, String known) {
        List<String> words = LanguageLetters.wordsBeyondAscii(text);
        double score = (known.isEmpty() ? candidate.languages() : Set.of(known))
                .stream()
                        .mapToDouble(language -> LanguageLetters.of(language).score(words))
                        .max()
                        .orElse(0);
        return new Candidate(candidate.charset(), candidate.languages(), text, score - LanguageLetters.oddities(text));
    }

    private static Optional<String> decoded(byte[] sample, Charset charset) {
        // The last bytes of a sample may be half a character.
        for (int cut = 0; cut < 4 && cut < sample.length; cut++) {
            try {
                return Optional.of(charset.newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT)
                        .decode(ByteBuffer.wrap(sample, 0, sample.length - cut))
                        .toString());
            } catch (CharacterCodingException e) {
                // Tried with one byte less.
                continue;
            }
        }
        return Optional.empty();
    }

    /** Whether nothing else is nearly as likely, except what says the same. */
    boolean isSure() {
        Candidate best = candidates.get(0);
        if (LanguageLetters.wordsBeyondAscii(best.text()).size() < LEAST_WORDS) {
            return false;
        }
        return candidates.stream()
                .skip(1)
                .filter(each -> !each.text().equals(best.text()))
                .allMatch(each -> best.score() - each.score() >= SURE);
    }

    /** What the beginning would be in the likeliest encodings, for people who can read it. */
    String doubt() {
        List<Candidate> different = new ArrayList<>();
        for (Candidate each : candidates) {
            if (different.stream().noneMatch(other -> other.text().equals(each.text()))) {
                different.add(each);
            }
        }
        return different.stream()
                .limit(PREVIEWS)
                .map(each -> each.charset().name() + " (\u201C" + preview(each.text()) + "\u201D)")
                .collect(Collectors.joining(", "));
    }

    private static String preview(String text) {
        List<String> words = LanguageLetters.wordsBeyondAscii(text);
        String joined = String.join(" ", words.subList(0, Math.min(words.size(), 6)));
        return joined.length() <= PREVIEW_LENGTH ? joined : joined.substring(0, PREVIEW_LENGTH);
    }
}
