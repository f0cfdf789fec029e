package nexa.desktop.widget;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ChoiceBox;
import javafx.util.StringConverter;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;

/** One of several choices, which show in words when it is opened. */
public final class ChoiceList<T> extends ChoiceBox<T> {

    /** @param name of what is chosen, in words, for who does not see the list */
    public ChoiceList(String id, String name, List<T> choices, Function<T, String> words) {
        setId(id);
        setAccessibleText(name);
        getItems().setAll(choices);
        setConverter(new Said<>(words));
    }

    /** @param kind the beginning of the keys of the choices' words */
    public static <E extends Enum<E>> ChoiceList<E> of(String id, String name, E[] choices, String kind) {
        return new ChoiceList<>(id, name, List.of(choices), choice -> Words.of(kind, choice));
    }

    /**
     * This list, as it stands now.
     *
     * @param chosen takes what is chosen from now on
     */
    public ChoiceList<T> choosing(T now, Consumer<T> chosen) {
        setValue(now);
        setOnAction(event -> chosen.accept(getValue()));
        return this;
    }

    private static final class Said<T> extends StringConverter<T> {
        private final Function<T, String> words;

        Said(Function<T, String> words) {
            this.words = words;
        }

        @Override
        public String toString(@Nullable T choice) {
            return choice == null ? "" : words.apply(choice);
        }

        @Override
        public T fromString(String text) {
            throw new UnsupportedOperationException("These lists are not typed into");
        }
    }
}
