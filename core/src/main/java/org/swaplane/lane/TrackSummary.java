package org.swaplane.lane;

/**
 * What is known of a track without reading its file.
 *
 * @param sourceLanguage BCP 47 code, empty when the file does not say
 * @param targetLanguage likewise
 */
public record TrackSummary(String format, String sourceLanguage, String targetLanguage, TrackCounts counts) {
    TrackSummary with(TrackCounts others) {
        return new TrackSummary(format, sourceLanguage, targetLanguage, others);
    }
}
