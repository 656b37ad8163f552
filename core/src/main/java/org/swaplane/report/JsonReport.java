package org.swaplane.report;

import com.fasterxml.jackson.core.JsonEncoding;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/** A report for programs, written as a stream: {@code {"title","lines","facts":[{"label","value"}],"sections":[{"heading","lines","columns","rows","sums"}]}}. */
final class JsonReport {
    private JsonReport() {}

    static void write(Report report, OutputStream out) throws IOException {
        JsonGenerator json = new JsonFactory().createGenerator(out, JsonEncoding.UTF8);
        json.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
        json.enable(JsonGenerator.Feature.WRITE_BIGDECIMAL_AS_PLAIN);
        json.writeStartObject();
        json.writeStringField("title", report.title());
        texts(json, "lines", report.lines());
        json.writeArrayFieldStart("facts");
        for (Report.Fact fact : report.facts()) {
            json.writeStartObject();
            json.writeStringField("label", fact.label());
            json.writeFieldName("value");
            value(json, fact.cell());
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeArrayFieldStart("sections");
        for (Report.Section section : report.sections()) {
            section(json, section);
        }
        json.writeEndArray();
        json.writeEndObject();
        json.writeRaw('\n');
        json.flush();
    }

    private static void section(JsonGenerator json, Report.Section section) throws IOException {
        json.writeStartObject();
        json.writeStringField("heading", section.heading());
        texts(json, "lines", section.lines());
        texts(json, "items", section.items());
        texts(json, "columns", section.heads());
        json.writeArrayFieldStart("rows");
        for (List<Cell> row : section.rows()) {
            cells(json, row);
        }
        json.writeEndArray();
        json.writeFieldName("sums");
        cells(json, section.sums());
        json.writeEndObject();
    }

    private static void texts(JsonGenerator json, String name, List<String> texts) throws IOException {
        json.writeArrayFieldStart(name);
        for (String each : texts) {
            json.writeString(each);
        }
        json.writeEndArray();
    }

    private static void cells(JsonGenerator json, List<Cell> cells) throws IOException {
        json.writeStartArray();
        for (Cell cell : cells) {
            value(json, cell);
        }
        json.writeEndArray();
    }

    private static void value(JsonGenerator json, Cell cell) throws IOException {
        if (cell.number().isPresent()) {
            json.writeNumber(cell.number().get());
        } else {
            json.writeString(cell.text());
        }
    }
}
