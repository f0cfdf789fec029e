package nexa.desktop.view;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Subscription;
import nexa.core.geometry.Orientation;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import nexa.shoot.Photo;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignF;
import org.kordamp.ikonli.materialdesign2.MaterialDesignH;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignU;

/** One line: the shoot, the views, where one is, stepping back and forward. */
public final class HeaderView extends HBox {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");

    /** What the header starts that is not the session's. */
    public interface Actions {
        void openAnother();

        void nextSurround();

        void showKeys();
    }

    private final Session session;
    private final Label counts = new Label();
    private final Label place = new Label();
    private final Button undo;
    private final Button redo;
    private final Button steps;
    private final Map<MainView, Button> views = new EnumMap<>(MainView.class);
    private final Subscription subscriptions;

    /** @param steps shows the list of all actions */
    public HeaderView(Session session, Keys keys, Actions actions, Runnable steps) {
        super(8);
        this.session = session;
        getStyleClass().add("header");
        setAlignment(Pos.CENTER_LEFT);
        Label name = new Label(session.shoot().name());
        name.getStyleClass().add("shoot-name");
        counts.getStyleClass().add("header-note");
        place.getStyleClass().add("header-note");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        undo = Buttons.icon(MaterialDesignU.UNDO, "header.undo.none", session::undo);
        redo = Buttons.icon(MaterialDesignR.REDO, "header.redo.none", session::redo);
        undo.setId("undo");
        redo.setId("redo");
        this.steps = Buttons.command(MaterialDesignH.HISTORY, Command.STEPS, keys, steps);
        this.steps.setId("steps");
        Button surround =
                Buttons.command(MaterialDesignC.CONTRAST_CIRCLE, Command.SURROUND, keys, actions::nextSurround);
        Button sheet = Buttons.command(MaterialDesignH.HELP_CIRCLE_OUTLINE, Command.KEYS, keys, actions::showKeys);
        sheet.setId("keys");
        getChildren().addAll(name, counts, viewSwitch(), space, place, undo, redo, this.steps);
        getChildren()
                .addAll(
                        surround,
                        Buttons.icon(MaterialDesignF.FOLDER_OPEN_OUTLINE, "header.open", actions::openAnother),
                        sheet);
        subscriptions = Subscription.combine(
                session.viewProperty().subscribe(this::showView),
                session.photoProperty().subscribe(photo -> refresh()),
                session.editsProperty().subscribe(count -> refresh()));
    }

    /** Beside which the list of actions opens. */
    public Button stepsButton() {
        return steps;
    }

    public void dispose() {
        subscriptions.unsubscribe();
    }

    private HBox viewSwitch() {
        HBox box = new HBox(2);
        box.setAlignment(Pos.CENTER_LEFT);
        box.getStyleClass().add("view-switch");
        for (MainView view : MainView.values()) {
            String key = "view." + view.name().toLowerCase(java.util.Locale.ROOT);
            Button button = Buttons.text(key, () -> session.viewProperty().set(view));
            button.getStyleClass().add("view-button");
            button.setId(key.replace('.', '-'));
            button.setFocusTraversable(false);
            Buttons.explain(button, Words.of(key + ".tip"));
            views.put(view, button);
            box.getChildren().add(button);
        }
        return box;
    }

    private void showView(MainView shown) {
        views.forEach((view, button) -> button.pseudoClassStateChanged(ACTIVE, view == shown));
    }

    private void refresh() {
        List<Photo> photos = session.shoot().photos();
        long square = session.lying(Orientation.SQUARE);
        long unreadable = photos.stream().filter(photo -> !photo.isReadable()).count();
        counts.setText(Words.of(
                "header.counts",
                photos.size(),
                session.lying(Orientation.HORIZONTAL),
                session.lying(Orientation.VERTICAL),
                (square > 0 ? Words.of("header.square", square) : "")
                        + (unreadable > 0 ? Words.of("header.unreadable", unreadable) : "")));
        place.setText(session.photo()
                .map(photo -> Words.of("header.place", photos.indexOf(photo) + 1, photos.size()))
                .orElse(""));
        refresh(undo, session.shoot().history().nextUndo(), "header.undo");
        refresh(redo, session.shoot().history().nextRedo(), "header.redo");
    }

    private static void refresh(Button button, java.util.Optional<String> label, String words) {
        button.setDisable(label.isEmpty());
        Buttons.explain(
                button, label.map(l -> Words.of(words, Words.of(l))).orElseGet(() -> Words.of(words + ".none")));
    }
}
