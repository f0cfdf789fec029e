package nexa.desktop.pane;

import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import nexa.desktop.keys.Command;
import nexa.desktop.model.RawModel;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.scan.PairShown;
import nexa.words.Words;

/** Which picture of a shoot's raw files is shown, and what becomes of raw files with a finished picture of their name. */
public final class RawSettings extends VBox {
    private static final double GAP = 18;

    /** @param reopen opens the shoot again: pairs are joined when it is opened */
    public RawSettings(RawModel raw, Runnable reopen) {
        super(GAP);
        Label said = SettingsPane.explanation("");
        said.setId("settings-raw-said");
        said.textProperty().bind(raw.messageProperty());
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        getChildren()
                .addAll(
                        SettingsPane.part(
                                "raw.title",
                                box(
                                        "settings-raw",
                                        RawPicture.values(),
                                        raw.usual(),
                                        picture -> "raw." + picture.setting(),
                                        raw::showOfAll),
                                SettingsPane.explanation(Words.of(
                                        "raw.tip",
                                        Command.RAW.usual().getFirst().label())),
                                said),
                        SettingsPane.part(
                                "pairs.title",
                                box(
                                        "settings-pairs",
                                        PairShown.values(),
                                        raw.pairs(),
                                        shown -> "pairs." + shown.setting(),
                                        shown -> {
                                            raw.pair(shown);
                                            reopen.run();
                                        }),
                                SettingsPane.explanation(Words.of("pairs.tip"))));
    }

    private static <T> ComboBox<T> box(String id, T[] choices, T now, Function<T, String> words, Consumer<T> chosen) {
        ComboBox<T> box = new ComboBox<>();
        box.setId(id);
        box.getItems().setAll(choices);
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(T choice) {
                return choice == null ? "" : Words.of(words.apply(choice));
            }

            @Override
            public T fromString(String typed) {
                throw new UnsupportedOperationException("It is chosen, not typed");
            }
        });
        box.setValue(now);
        box.setOnAction(event -> chosen.accept(box.getValue()));
        return box;
    }
}
