package org.swaplane.quality;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** Says where a JSON file is not what it should be. */
final class JsonPlace {
    private JsonPlace() {}

    static CannotProceedException problem(String file, JsonProcessingException e, String key) {
        JsonLocation at = e.getLocation();
        return new CannotProceedException(
                new CannotProceedException.Place(
                        file, at == null ? 0 : at.getLineNr(), at == null ? 0 : at.getColumnNr()),
                Phrase.of(key, e.getOriginalMessage().lines().findFirst().orElse("")),
                e);
    }
}
