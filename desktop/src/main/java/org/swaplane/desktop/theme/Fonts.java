package org.swaplane.desktop.theme;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.text.Font;

/** The fonts that ship with the application; the large one for Chinese, Japanese and Korean is loaded when it is needed. */
public final class Fonts {
    private static final Set<String> LOADED = ConcurrentHashMap.newKeySet();

    private Fonts() {}

    static void load(String file) {
        if (!LOADED.add(file)) {
            return;
        }
        try (InputStream in = Fonts.class.getResourceAsStream("fonts/" + file)) {
            Font.loadFont(in, 14);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Makes the font of the style class {@code cjk} known. */
    public static void loadCjk() {
        load("DroidSansFallback.ttf");
    }
}
