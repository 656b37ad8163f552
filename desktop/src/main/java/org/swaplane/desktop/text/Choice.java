package org.swaplane.desktop.text;

import java.util.List;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;

/** Boxes to choose one of several values from, each shown in words. */
public final class Choice {
    private Choice() {}

    /** The first value is chosen at first. */
    public static <T> ComboBox<T> of(String id, List<T> values, Function<T, String> words) {
        ComboBox<T> box = new ComboBox<>();
        box.setId(id);
        box.getItems().setAll(values);
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : words.apply(value);
            }

            @Override
            public T fromString(String text) {
                return null;
            }
        });
        values.stream().findFirst().ifPresent(box::setValue);
        return box;
    }
}
