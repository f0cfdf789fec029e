package nexa.desktop.pane;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.RawModel;
import nexa.desktop.widget.ChoiceList;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.scan.PairShown;
import nexa.words.Words;

/** Which picture of a shoot's raw files is shown, and what becomes of raw files with a finished picture of their name. */
public final class RawSettings extends VBox {
    private static final double GAP = 18;

    /** @param reopen opens the shoot again: pairs are joined when it is opened */
    public RawSettings(RawModel raw, Keys keys, Runnable reopen) {
        super(GAP);
        Label said = SettingsPane.explanation("");
        said.setId("settings-raw-said");
        said.textProperty().bind(raw.messageProperty());
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        getChildren()
                .addAll(
                        SettingsPane.part(
                                "raw.title",
                                list(
                                        "settings-raw",
                                        "raw.title",
                                        RawPicture.values(),
                                        raw.usual(),
                                        picture -> "raw." + picture.setting(),
                                        raw::showOfAll),
                                SettingsPane.explanation(Words.of("raw.tip", keys.label(Command.RAW))),
                                said),
                        SettingsPane.part(
                                "pairs.title",
                                list(
                                        "settings-pairs",
                                        "pairs.title",
                                        PairShown.values(),
                                        raw.pairs(),
                                        shown -> "pairs." + shown.setting(),
                                        shown -> {
                                            raw.pair(shown);
                                            reopen.run();
                                        }),
                                SettingsPane.explanation(Words.of("pairs.tip"))));
    }

    private static <T> ChoiceList<T> list(
            String id, String name, T[] choices, T now, Function<T, String> words, Consumer<T> chosen) {
        return new ChoiceList<>(id, Words.of(name), List.of(choices), choice -> Words.of(words.apply(choice)))
                .choosing(now, chosen);
    }
}
