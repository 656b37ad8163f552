package org.swaplane.document;

/** In which direction a file says that the texts of a segment run. */
public record Directions(Direction source, Direction target) {
    public static final Directions BY_LANGUAGE = new Directions(Direction.BY_LANGUAGE, Direction.BY_LANGUAGE);

    /** Direction of one text. */
    public enum Direction {
        /** As texts of its language run. */
        BY_LANGUAGE,
        LEFT_TO_RIGHT,
        RIGHT_TO_LEFT;

        /** What {@code ltr}, {@code rtl} and {@code auto} mean; {@code inherited} where nothing is written. */
        public static Direction of(String written, Direction inherited) {
            return switch (written) {
                case "" -> inherited;
                case "ltr" -> LEFT_TO_RIGHT;
                case "rtl" -> RIGHT_TO_LEFT;
                default -> BY_LANGUAGE;
            };
        }
    }
}
