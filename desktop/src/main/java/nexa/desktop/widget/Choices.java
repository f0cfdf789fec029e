package nexa.desktop.widget;

import javafx.beans.property.ObjectProperty;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.util.Subscription;
import nexa.words.Words;

/** A few choices side by side, one of them taken, bound to a setting. */
public final class Choices<E extends Enum<E>> extends HBox {
    private final Subscription subscription;

    /** @param kind the beginning of the words' keys, and of the buttons' ids */
    public Choices(String kind, E[] values, ObjectProperty<E> property) {
        getStyleClass().add("choices");
        ToggleGroup group = new ToggleGroup();
        for (E value : values) {
            ToggleButton button = new ToggleButton(Words.of(kind, value));
            button.setId(kind + "-" + value);
            button.setToggleGroup(group);
            button.setUserData(value);
            button.setOnAction(event -> {
                button.setSelected(true);
                property.set(value);
            });
            getChildren().add(button);
        }
        subscription = property.subscribe(
                chosen -> group.getToggles().forEach(toggle -> toggle.setSelected(toggle.getUserData() == chosen)));
    }

    /** Gives a choice other words than its own. */
    public void word(E value, String words) {
        getChildren().stream().filter(button -> button.getUserData() == value).forEach(button -> ((ToggleButton) button)
                .setText(words));
    }

    public void dispose() {
        subscription.unsubscribe();
    }
}
