package org.swaplane.check;

import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import org.swaplane.document.Limits;

/**
 * How wide a text is on a screen with 96 dots an inch.
 *
 * @param pixels of its widest line, rounded up
 * @param font in which it was measured
 * @param certain whether this is the font that the file names; another one only gives an idea
 */
public record PixelWidth(int pixels, String font, boolean certain) {
    private static final FontRenderContext SCREEN = new FontRenderContext(null, true, true);
    private static final double PIXELS_OF_POINT = 96.0 / 72;
    private static final double USUAL_POINTS = 9;
    private static final int BOLD = 600;

    /** In the font of the limits; empty on a machine that has no fonts at all. */
    public static Optional<PixelWidth> of(String text, Limits limits) {
        String named = limits.font().split("[;,]", 2)[0].strip();
        try {
            Font font = font(limits.font());
            double widest = Arrays.stream(text.split("\\R"))
                    .map(line -> font.getStringBounds(line, SCREEN).getWidth())
                    .max(Comparator.naturalOrder())
                    .orElse(0.0);
            boolean certain = font.getFamily().equalsIgnoreCase(named);
            return Optional.of(new PixelWidth((int) Math.ceil(widest), font.getFamily(), certain));
        } catch (LinkageError | InternalError | RuntimeException e) {
            // A server without fonts has no library for them either; without a list of fonts the toolkit throws
            // whatever comes.
            return Optional.empty();
        }
    }

    /** From name, points and weight as in XLIFF 1.2, section 2.3, font. */
    private static Font font(String named) {
        String[] parts = named.split("\\s*[;,]\\s*");
        double points = parts.length > 1 && parts[1].matches("\\d{1,3}(?:\\.\\d+)?(?:pt)?")
                ? Double.parseDouble(parts[1].replace("pt", ""))
                : USUAL_POINTS;
        boolean bold = parts.length > 2
                && (parts[2].equalsIgnoreCase("bold")
                        || parts[2].matches("\\d{1,4}") && Integer.parseInt(parts[2]) >= BOLD);
        String name = parts[0].equals(Limits.SOME_FONT) ? Font.SANS_SERIF : parts[0];
        return new Font(name, bold ? Font.BOLD : Font.PLAIN, 1).deriveFont((float) (points * PIXELS_OF_POINT));
    }
}
