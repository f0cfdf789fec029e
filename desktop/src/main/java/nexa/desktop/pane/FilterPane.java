package nexa.desktop.pane;

import java.util.EnumSet;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Orientation;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.RepeatsModel;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.Follow;
import nexa.desktop.session.PhotoList;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.shoot.review.PhotoFilter;
import nexa.shoot.review.PhotoGrouping;
import nexa.shoot.review.PhotoOrder;
import nexa.words.Words;

/** Which photos are looked at, in which order, and which of them are nearly the same. */
public final class FilterPane implements PaneLayer.Content {
    private final boolean searching;
    private final PhotoList list;
    private final RepeatsModel repeats;
    private final ObjectProperty<PhotoFilter.Aside> aside;
    private final Choices<PhotoFilter.Aside> asideChoices;
    private final Choices<PhotoOrder> order;
    private final Choices<PhotoGrouping> grouping;
    private final TextField search = new TextField();
    private final CheckBox warned = new CheckBox(Words.of("filter.warned"));
    private final Button all;
    private final Button find;
    private final Label found = new Label();
    private final VBox node;
    private final Keys keys;
    private Subscription ticks = Subscription.EMPTY;
    private final Subscription subscription;

    /** @param searching whether one came to type a name */
    public FilterPane(ShootModels models, Keys keys, boolean searching) {
        this.keys = keys;
        this.searching = searching;
        this.list = models.session().list();
        this.repeats = models.repeats();
        aside = new SimpleObjectProperty<>(filter().aside());
        aside.subscribe((before, now) -> set(filter().aside(now)));
        asideChoices = new Choices<>("aside", PhotoFilter.Aside.values(), aside);
        order = new Choices<>("order", PhotoOrder.values(), list.orderProperty());
        grouping = new Choices<>("grouping", PhotoGrouping.values(), list.groupingProperty());
        all = Buttons.text("filter.all", () -> set(PhotoFilter.ALL));
        all.setId("filter-all");
        find = Buttons.text("filter.repeats.find", repeats::find);
        find.setId("find-repeats");
        found.getStyleClass().add("note");
        found.setWrapText(true);
        warned.setId("filter-warned");
        warned.setOnAction(event -> set(filter().warned(warned.isSelected())));
        fillSearch();
        node = rows();
        node.setPrefWidth(340);
        subscription = Follow.each(
                this::refresh, list.filterProperty(), repeats.groupsProperty(), repeats.searchingProperty());
    }

    private void fillSearch() {
        search.setId("search");
        search.setPromptText(Words.of("filter.search"));
        search.setAccessibleText(Words.of("filter.search"));
        search.setText(filter().text());
        search.textProperty().subscribe((before, text) -> set(filter().named(text)));
    }

    private VBox rows() {
        return new VBox(
                9,
                search,
                Labels.field("filter.lying"),
                boxes("lying", Orientation.values(), PhotoFilter::orientations, PhotoFilter::lying),
                Labels.field("filter.state"),
                boxes("state", FrameState.values(), PhotoFilter::states, PhotoFilter::in),
                Labels.field("filter.repair"),
                boxes("repair", PhotoFilter.Repair.values(), PhotoFilter::repairs, PhotoFilter::repaired),
                warned,
                Labels.field("filter.aside"),
                asideChoices,
                Labels.field("filter.order"),
                order,
                Labels.field("filter.grouping"),
                grouping,
                Labels.field("filter.repeats"),
                find,
                found,
                all);
    }

    private PhotoFilter filter() {
        return list.filterProperty().get();
    }

    private void set(PhotoFilter filter) {
        list.filterProperty().set(filter);
    }

    /** A box for each value; none ticked lets all through. */
    private <E extends Enum<E>> HBox boxes(
            String kind,
            E[] values,
            Function<PhotoFilter, Set<E>> ticked,
            BiFunction<PhotoFilter, Set<E>, PhotoFilter> with) {
        HBox row = new HBox(14);
        for (E value : values) {
            CheckBox box = new CheckBox(Words.of(kind, value));
            box.setId("filter-" + value);
            box.setOnAction(event -> {
                EnumSet<E> changed = EnumSet.noneOf(value.getDeclaringClass());
                changed.addAll(ticked.apply(filter()));
                if (box.isSelected()) {
                    changed.add(value);
                } else {
                    changed.remove(value);
                }
                set(with.apply(filter(), changed));
            });
            ticks = ticks.and(list.filterProperty()
                    .subscribe(now -> box.setSelected(ticked.apply(now).contains(value))));
            row.getChildren().add(box);
        }
        return row;
    }

    private void refresh() {
        warned.setSelected(filter().warned());
        aside.set(filter().aside());
        if (!search.getText().equals(filter().text())) {
            search.setText(filter().text());
        }
        all.setDisable(!list.isFiltered());
        boolean comparing = repeats.searchingProperty().get();
        find.setDisable(comparing || repeats.isFound());
        long groups =
                repeats.groupsProperty().get().values().stream().distinct().count();
        found.setText(
                comparing
                        ? Words.of("filter.repeats.searching")
                        : repeats.isFound()
                                ? Words.of("filter.repeats.found", groups, keys.label(Command.SELECT_ALIKE))
                                : "");
        found.setManaged(!found.getText().isEmpty());
    }

    @Override
    public String title() {
        return Words.of("filter.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void focus() {
        if (searching) {
            search.requestFocus();
        }
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        ticks.unsubscribe();
        asideChoices.dispose();
        order.dispose();
        grouping.dispose();
    }
}
