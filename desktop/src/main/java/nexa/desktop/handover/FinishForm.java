package nexa.desktop.handover;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.files.Finish;
import nexa.core.files.Finish.Sharpening;
import nexa.desktop.delivering.FinishExample;
import nexa.desktop.delivering.FinishExample.Pair;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.widget.Choices;
import nexa.desktop.widget.Labels;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** Output sharpening, with the current photo's middle without and with it, each delivered pixel one of the screen. */
public final class FinishForm extends VBox {
    /** Delivered pixels along a side of the example. */
    public static final int SIDE = 190;

    private final Finish first;
    private final FinishExample example;
    private final ObjectProperty<Sharpening> medium;
    private final Choices<Sharpening> choices;
    private final Slider amount = new Slider(10, Finish.MOST_AMOUNT, 100);
    private final Label percent = new Label();
    private final ReadOnlyObjectWrapper<Finish> value;
    private final ImageView plain = new ImageView();
    private final ImageView finished = new ImageView();
    private final Subscription subscriptions;

    FinishForm(Finish first, FinishExample example) {
        super(8);
        this.first = first;
        this.example = example;
        this.medium = new SimpleObjectProperty<>(first.sharpening());
        this.value = new ReadOnlyObjectWrapper<>(first);
        this.choices = new Choices<>("sharpening", Sharpening.values(), medium);
        amount.setId("files-amount");
        amount.setValue(first.amount());
        amount.setPrefWidth(150);
        amount.setAccessibleText(Words.of("files.amount"));
        percent.setMinWidth(48);
        HBox strength = new HBox(8, Labels.field("files.amount"), amount, percent);
        strength.setAlignment(Pos.CENTER_LEFT);
        strength.disableProperty().bind(medium.isEqualTo(Sharpening.OFF));
        HBox pair = new HBox(6, shown(plain, "files.plain"), shown(finished, "files.finished"));
        getChildren().addAll(Labels.field("files.sharpening"), choices, strength, pair);
        plain.setId("files-plain");
        finished.setId("files-finished");
        subscriptions = Subscription.combine(
                medium.subscribe(chosen -> changed()),
                amount.valueProperty().subscribe(moved -> changed()),
                amount.valueChangingProperty().subscribe(dragging -> changed()),
                example.pairProperty().subscribe(this::showPair));
    }

    private static VBox shown(ImageView picture, String words) {
        StackPane frame = new StackPane(picture);
        frame.setMinSize(SIDE, SIDE);
        frame.setPrefSize(SIDE, SIDE);
        frame.getStyleClass().add("example");
        Label caption = new Label(Words.of(words));
        caption.getStyleClass().add("note");
        return new VBox(3, frame, caption);
    }

    /** While the amount is dragged only its number follows; pictures come when it is let go. */
    private void changed() {
        int now = (int) Math.round(amount.getValue());
        percent.setText(Words.of("files.amount.percent", now));
        if (!amount.isValueChanging()) {
            value.set(first.sharpened(medium.get(), now));
        }
    }

    ReadOnlyObjectProperty<Finish> valueProperty() {
        return value.getReadOnlyProperty();
    }

    void show(Photo photo, Format format) {
        example.show(photo, format);
    }

    private void showPair(Optional<Pair> pair) {
        plain.setImage(pair.map(both -> ScreenPhoto.of(both.plain()).image()).orElse(null));
        finished.setImage(
                pair.map(both -> ScreenPhoto.of(both.finished()).image()).orElse(null));
    }

    void dispose() {
        choices.dispose();
        subscriptions.unsubscribe();
    }
}
