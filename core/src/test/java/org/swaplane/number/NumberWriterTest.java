package org.swaplane.number;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NumberWriterTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    en-GB | 12.50      | de-DE | 15,20      | 12,50
                    en-GB | 1,500      | de-DE | 1,500      | 1.500
                    en-GB | 1500       | de-DE | 1501       | 1500
                    en-GB | £1,240.00  | de-DE | 1.204,00   | 1.240,00
                    en-GB | 14:05      | de-DE | 15:04      | 14:05
                    en-GB | 14:05      | fi-FI | 15.04      | 14.05
                    en-GB | 6:40 am    | de-DE | 06:04      | 06:40
                    en-GB | 03/04/2026 | de-DE | 04.03.2026 | 03.04.2026
                    en-GB | 2.10.1     | de-DE | 2.1.1      | 2.10.1
                    en-GB | 3.00       | de-DE | 4,00       | 3,00
                    en-GB | 25         | ar    | ٥٢         | ٢٥
                    en-GB | 1,250.5    | ar    | ١٬٢٠٥٫٥    | ١٬٢٥٠٫٥
                    en-GB | 14:05      | fa    | ۱۵:۰۴      | ۱۴:۰۵
                    en-GB | 40         | hi    | ४४         | ४०
                    """)
    void theRightValueIsWrittenInTheTargetsNotation(
            String from, String right, String to, String wrong, String corrected) {
        ReadNumber source = NumberReader.of(from).read(right).get(0);
        ReadNumber target = NumberReader.of(to).read(wrong).get(0);

        assertThat(new NumberWriter(to).corrected(source, target)).contains(corrected);
    }

    @ParameterizedTest
    @CsvSource({"en-GB,14:05,en-US,3:04 pm", "en-GB,14:05,de-DE,15"})
    void whatIsNotCertainIsNotSuggested(String from, String right, String to, String wrong) {
        ReadNumber source = NumberReader.of(from).read(right).get(0);
        ReadNumber target = NumberReader.of(to).read(wrong).get(0);

        assertThat(new NumberWriter(to).corrected(source, target)).isEmpty();
    }
}
