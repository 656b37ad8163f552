package org.swaplane.lane;

/**
 * How a track's file is read, as the database keeps it.
 *
 * @param segmentation SHA-256 of the SRX file of its rules, empty for a lane of the first version
 * @param options {@link org.swaplane.format.DocumentOptions} as JSON
 */
record TrackReading(String sourceLanguage, String targetLanguage, String segmentation, String options) {
    TrackReading withOptions(String others) {
        return new TrackReading(sourceLanguage, targetLanguage, segmentation, others);
    }

    /** All of it, to tell whether it is what it was. */
    String written() {
        return String.join("\n", sourceLanguage, targetLanguage, segmentation, options);
    }
}
