package org.swaplane.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;

/** Prints the one JSON object of a command. */
final class Json {
    private static final ObjectMapper MAPPER = new ObjectMapper();

    private Json() {}

    static void print(Object value) throws JsonProcessingException {
        System.out.println(MAPPER.writeValueAsString(value));
    }
}
