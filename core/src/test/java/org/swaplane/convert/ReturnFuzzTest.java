package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.swaplane.task.CannotProceedException;

/**
 * Seeded damage to copies in every form. Each comes back right, is named, or is refused in one line; none hangs, and none shows what the program
 * is made of. {@code -Dmutations=10000} does more of them.
 */
class ReturnFuzzTest {
    private static final List<String> FORMS = List.of("docx", "xlsx", "html", "tsv", "odt");
    private static final int MUTATIONS = Integer.getInteger("mutations", 400);
    private static final Pattern NODE = Pattern.compile("<[^<>]{1,200}>");
    private static final Pattern CLASS_NAME =
            Pattern.compile("[a-z]+(?:\\.[a-z]+)+\\.[A-Z]|Exception|Error\\b|java\\.|wstx");

    @Test
    void damageIsNamedOrRefusedInOneLine() throws Exception {
        for (int seed = 0; seed < MUTATIONS; seed++) {
            String form = FORMS.get(seed % FORMS.size());
            byte[] copy = damaged(form, new Random(seed));
            String what = form + ", seed " + seed;

            assertTimeoutPreemptively(Duration.ofSeconds(60), () -> read(form, copy, what), what);
        }
    }

    private static void read(String form, byte[] copy, String what) throws Exception {
        try {
            CopyReturn.Result result = SentFile.read(form, copy);
            String written = SentFile.written(result);
            assertThat(written).as(what).contains("<source>Harbour</source>");
            result.reading()
                    .problems()
                    .forEach(problem -> assertThat(problem.message()).as(what).isNotBlank());
        } catch (CannotProceedException e) {
            assertThat(e.getMessage()).as(what).doesNotContain("\n").doesNotContainPattern(CLASS_NAME);
        }
    }

    private static byte[] damaged(String form, Random random) throws Exception {
        WrittenCopy copy = new WrittenCopy(SentFile.copy(), form);
        int kind = random.nextInt(3);
        if (kind > 0) {
            List<String> parts = new ArrayList<>(copy.parts.keySet());
            String part = parts.get(random.nextInt(parts.size()));
            copy.edit(part, text -> kind == 1 ? withoutNode(text, random) : withText(text, random));
            return copy.bytes();
        }
        byte[] bytes = copy.bytes();
        int times = 1 + random.nextInt(20);
        for (int i = 0; i < times; i++) {
            bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
        }
        return random.nextInt(4) == 0 ? java.util.Arrays.copyOf(bytes, random.nextInt(bytes.length)) : bytes;
    }

    /** Takes a tag away, doubles it, or puts it elsewhere. */
    private static String withoutNode(String text, Random random) {
        List<MatchResult> nodes = NODE.matcher(text).results().toList();
        if (nodes.isEmpty()) {
            return withText(text, random);
        }
        MatchResult one = nodes.get(random.nextInt(nodes.size()));
        MatchResult other = nodes.get(random.nextInt(nodes.size()));
        return switch (random.nextInt(3)) {
            case 0 -> text.substring(0, one.start()) + text.substring(one.end());
            case 1 -> text.substring(0, one.start()) + one.group() + text.substring(one.start());
            default -> text.substring(0, one.start()) + other.group() + text.substring(one.end());
        };
    }

    private static String withText(String text, Random random) {
        List<String> odd = List.of(
                "⟦",
                "⟧",
                "⟦1⟧",
                "\u0000",
                "\u0001",
                "&",
                "<",
                "\t",
                "\n",
                "\"",
                "9999999999",
                "\uD800",
                "\u202E",
                "=1+1",
                "–",
                "|",
                "é");
        int at = random.nextInt(text.length() + 1);
        int end = Math.min(text.length(), at + random.nextInt(30));
        byte[] written = (text.substring(0, at) + odd.get(random.nextInt(odd.size())) + text.substring(end))
                .getBytes(StandardCharsets.UTF_8);
        return new String(written, StandardCharsets.UTF_8);
    }
}
