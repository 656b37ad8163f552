package org.swaplane.desktop.theme;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.text.Font;

/** The fonts that ship with the application; those for scripts that the first one lacks are loaded when they are needed. */
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

    /** A script whose texts have a font of their own, and the style class that sets it. */
    public enum Script {
        CJK("cjk", "DroidSansFallback.ttf"),
        /** In one font with its punctuation: a line of several fonts is put together from left to right. */
        RIGHT_TO_LEFT("right-to-left", "DejaVuSans.ttf");

        private final String styleClass;
        private final String file;

        Script(String styleClass, String file) {
            this.styleClass = styleClass;
            this.file = file;
        }

        public String styleClass() {
            return styleClass;
        }

        /** Makes the font known. */
        public void load() {
            Fonts.load(file);
        }
    }
}
