package org.swaplane.number;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.Chars;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NumberReaderTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    en-GB | 12.50                  | 12.5
                    en-GB | 1,500 kg               | 1500
                    en-GB | 1,240.00               | 1240
                    en-GB | 0.5                    | 0.5
                    en-GB | temperature -4         | -4
                    en-GB | temperature −4         | -4
                    en-GB | 5-7 days               | 5 7
                    en-GB | seats 1,2,3            | 1 2 3
                    en-GB | version 2.10.1         | #2.10.1
                    en-GB | 1st deck               | 1
                    en-GB | 50%                    | 50
                    en-GB | at 14:05               | 14:05
                    en-GB | at 2:05 pm             | 14:05
                    en-GB | at 12:30 a.m.          | 0:30
                    en-GB | 03/04/2026             | 2026-04-03
                    en-US | 03/04/2026             | 2026-03-04
                    en-GB | 2026-04-03             | 2026-04-03
                    en-GB | 24/7                   | 24 7
                    en-GB | X-200                  | 200
                    de-DE | 12,50                  | 12.5
                    de-DE | 1.500 kg               | 1500
                    de-DE | 1.240,00 £             | 1240
                    de-DE | 1\u00a0500 kg          | 1500
                    de-DE | 1.5                    | ?
                    de-DE | 14.05 Uhr              | 14:05
                    de-DE | 14:05 Uhr              | 14:05
                    de-DE | 3.4.2026               | 2026-04-03
                    de-DE | am 24. Dezember        | 24
                    de-CH | 1’500.50               | 1500.5
                    fr-FR | 1 500,5                | 1500.5
                    fr-FR | à 14h05                | 14:05
                    fi-FI | klo 14.05              | 14:05
                    sv-SE | 2026-04-03             | 2026-04-03
                    hi-IN | 12,34,567              | 1234567
                    ar-EG | ١٢                     | 12
                    ar-EG | ٣٫٥                    | 3.5
                    ar-EG | ١٬٥٠٠                  | 1500
                    pl-PL | 1 234,5                | 1234.5
                    de-AT | € 12.345,60            | 12345.6
                    de-DE | „-1“ oder „-2“         | -1 -2
                    de-DE | –5 °C                  | -5
                    en-GB | 3 bn euros             | 3000000000
                    en-IN | 2 lakh                 | 200000
                    ja-JP | 3万5千人                 | 35000
                    ja-JP | 午後2時                  | 14
                    ja-JP | 午前10時                 | 10
                    zh-CN | 下午3:15                | 15:15
                    zh-CN | 上午3:15                | 3:15
                    ko-KR | 오후 2시                 | 14
                    ko-KR | 3만 5천 원               | 35000
                    """)
    void numbersAreReadAsValuesInTheLanguagesOwnNotation(String language, String text, String values) {
        String read = NumberReader.of(language).read(text).stream()
                .map(number -> number.values().stream().sorted().findFirst().orElse("?"))
                .collect(Collectors.joining(" "));

        assertThat(read).isEqualTo(values);
    }

    @Property(tries = 500)
    void noTextIsTooStrangeToRead(
            @ForAll @CharRange(from = ' ', to = '>') @Chars({'\u00A0', '\u2212', '\u0662', 'h', 'p', 'm'}) String text,
            @ForAll("languages") String language) {
        for (ReadNumber number : NumberReader.of(language).read(text)) {
            assertThat(text.substring(number.start(), number.end())).isEqualTo(number.written());
        }
    }

    @Provide
    Arbitrary<String> languages() {
        return Arbitraries.of("en-GB", "de-DE", "de-CH", "fr-FR", "hi-IN", "ar-EG", "fi-FI", "ja-JP", "", "xx");
    }

    @Test
    void placesAreThoseInTheText() {
        List<ReadNumber> numbers = NumberReader.of("en-GB").read("Deck 2, at 2:05 pm, −4 °C");

        assertThat(numbers).extracting(ReadNumber::written).containsExactly("2", "2:05 pm", "−4");
        assertThat(numbers).extracting(ReadNumber::start).containsExactly(5, 11, 20);
    }

    @Test
    void anHourWithoutMinutesAgreesWithTheFullDayHour() {
        ReadNumber english = NumberReader.of("en-GB").read("6 pm").get(0);

        assertThat(english.agreesWith(NumberReader.of("de-DE").read("18 Uhr").get(0)))
                .isTrue();
        assertThat(english.agreesWith(NumberReader.of("de-DE").read("18:00 Uhr").get(0)))
                .isTrue();
        assertThat(english.agreesWith(NumberReader.of("de-DE").read("6 Uhr").get(0)))
                .isFalse();
    }

    @Test
    void languageOfTheMachineChangesNothing() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.forLanguageTag("ar-EG"));

            assertThat(NumberReader.of("en-GB").read("at 2:05 pm").get(0).values())
                    .containsExactly("14:05");
        } finally {
            Locale.setDefault(before);
        }
    }
}
