package org.swaplane.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

class CsvTableTest {
    @Test
    void noTextBeginsAFormulaAndNumbersStayNumbers() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        CsvTable table = new CsvTable(out);

        table.row(List.of("=1+1", "+A1", "-A1", "@SUM(A1)", "Kai", -5, CsvTable.number(new BigDecimal("-1E+3"))));
        table.flush();

        assertThat(out.toString(StandardCharsets.UTF_8)).isEqualTo("'=1+1,'+A1,'-A1,'@SUM(A1),Kai,-5,-1000\r\n");
    }
}
