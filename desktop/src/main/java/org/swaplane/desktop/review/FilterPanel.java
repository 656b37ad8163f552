package org.swaplane.desktop.review;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.State;
import org.swaplane.lane.Origin;
import org.swaplane.review.SegmentFilter;
import org.swaplane.wording.Wording;

/** All that segments can be filtered and sorted by, combined, and kept under a name. */
final class FilterPanel extends VBox {
    private static final int NUMBER = 3;

    private final PersonSettings person;
    private final Consumer<SegmentFilter> chosen;
    private final MenuOf<State> states = new MenuOf<>("filter-states", "filter.states", State.class, "state.");
    private final MenuOf<SegmentFilter.Trait> traits =
            new MenuOf<>("filter-traits", "filter.traits", SegmentFilter.Trait.class, "filter.trait.");
    private final MenuOf<Origin.Kind> origins =
            new MenuOf<>("filter-origins", "filter.origins", Origin.Kind.class, "filter.origin.");
    private final TextField who = field("filter-person", "filter.person", 8);
    private final TextField since = field("filter-since", "filter.since", 13);
    private final TextField leastScore = field("filter-score-least", "filter.score.least", NUMBER);
    private final TextField mostScore = field("filter-score-most", "filter.score.most", NUMBER);
    private final TextField shortest = field("filter-shortest", "filter.shortest", NUMBER);
    private final TextField longest = field("filter-longest", "filter.longest", NUMBER);
    private final ComboBox<String> check;
    private final ComboBox<SegmentFilter.Order> order = Choice.of(
            "filter-order", List.of(SegmentFilter.Order.values()), each -> Strings.text("filter.order." + word(each)));
    private final TextField name = field("filter-name", "filter.name", 10);
    private final Button save = Controls.button("save-filter", "filter.save", this::save);
    private final Button forget = Controls.button("forget-filter", "filter.forget", this::forget);
    private boolean showing;

    /**
     * @param checks ids of the checks
     * @param chosen told what was chosen here
     */
    FilterPanel(PersonSettings person, List<String> checks, Consumer<SegmentFilter> chosen) {
        this.person = person;
        this.chosen = chosen;
        getStyleClass().addAll("card", "column-tight");
        setId("filter-panel");
        check = Choice.of(
                "filter-check",
                Stream.concat(Stream.of(""), checks.stream()).toList(),
                id -> id.isEmpty() ? Strings.text("filter.any-check") : Wording.text("check-name." + id));
        check.setAccessibleText(Strings.text("filter.any-check"));
        order.setAccessibleText(Strings.text("filter.order"));
        check.setOnAction(event -> tell());
        order.setOnAction(event -> tell());
        getChildren()
                .addAll(
                        Controls.wrapped(states, traits, origins, check, order),
                        Controls.wrapped(
                                who,
                                since,
                                range("filter.score", leastScore, mostScore),
                                range("filter.length", shortest, longest),
                                name,
                                save,
                                forget));
        List.of(who, since, leastScore, mostScore, shortest, longest)
                .forEach(each -> each.setOnAction(event -> tell()));
        name.setOnAction(event -> save());
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static Node range(String key, TextField least, TextField most) {
        least.setPromptText("");
        most.setPromptText("");
        HBox row = Controls.row(new Label(Strings.text(key)), least, new Label("–"), most);
        row.setMaxWidth(HBox.USE_PREF_SIZE);
        return row;
    }

    private static TextField field(String id, String key, int columns) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(columns);
        field.setPromptText(Strings.text(key));
        field.setAccessibleText(Strings.text(key));
        return field;
    }

    /** A menu in which several can be ticked. */
    private final class MenuOf<E extends Enum<E>> extends MenuButton {
        private final Map<E, CheckMenuItem> items;
        private final String title;

        private MenuOf(String id, String titleKey, Class<E> of, String words) {
            title = Strings.text(titleKey);
            setId(id);
            items = new EnumMap<>(of);
            for (E each : EnumSet.allOf(of)) {
                CheckMenuItem item = new CheckMenuItem(Strings.text(words + word(each)));
                item.setOnAction(event -> {
                    retitle();
                    tell();
                });
                items.put(each, item);
                getItems().add(item);
            }
            retitle();
        }

        private Set<E> values() {
            return items.keySet().stream()
                    .filter(each -> items.get(each).isSelected())
                    .collect(Collectors.toSet());
        }

        private void show(Set<E> values) {
            items.forEach((each, item) -> item.setSelected(values.contains(each)));
            retitle();
        }

        private void retitle() {
            int count = values().size();
            setText(count == 0 ? title : Strings.text("filter.ticked", title, count));
        }
    }

    void begin() {
        states.requestFocus();
    }

    void show(SegmentFilter filter) {
        showing = true;
        states.show(filter.states());
        traits.show(filter.traits());
        origins.show(filter.origins());
        who.setText(filter.person());
        since.setText(filter.since());
        show(filter.score(), leastScore, mostScore);
        show(filter.length(), shortest, longest);
        check.setValue(check.getItems().contains(filter.check()) ? filter.check() : "");
        order.setValue(filter.order());
        NamedFilter named = NamedFilter.of(filter, person);
        boolean own = person.filters().containsKey(named.name());
        name.setText(own ? named.name() : "");
        Controls.showIf(forget, own);
        showing = false;
    }

    private static void show(SegmentFilter.Range range, TextField least, TextField most) {
        least.setText(range.least() < 0 ? "" : String.valueOf(range.least()));
        most.setText(range.most() < 0 ? "" : String.valueOf(range.most()));
    }

    private static SegmentFilter.Range range(TextField least, TextField most) {
        return new SegmentFilter.Range(number(least), number(most));
    }

    /** -1 where it is none, which is emptied, so that nobody believes it holds. */
    private static int number(TextField field) {
        try {
            return Integer.parseInt(field.getText().strip());
        } catch (NumberFormatException e) {
            field.clear();
            return -1;
        }
    }

    private SegmentFilter filter() {
        return new SegmentFilter(
                states.values(),
                traits.values(),
                origins.values(),
                who.getText(),
                since.getText(),
                range(leastScore, mostScore),
                range(shortest, longest),
                check.getValue(),
                "",
                order.getValue());
    }

    private void tell() {
        if (!showing) {
            chosen.accept(filter());
        }
    }

    private void save() {
        if (!name.getText().isBlank()) {
            person.setFilter(name.getText().strip(), filter().toJson());
            chosen.accept(filter());
        }
    }

    private void forget() {
        person.setFilter(name.getText().strip(), "");
        chosen.accept(filter());
    }
}
