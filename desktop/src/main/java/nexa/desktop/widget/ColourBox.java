package nexa.desktop.widget;

import java.io.File;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import nexa.core.files.DeliveredColour;
import nexa.core.files.DeliveredColour.Kind;
import nexa.words.Words;

/** The choice of a delivered file's colours; one of them asks for a profile file. */
public final class ColourBox extends VBox {
    private final ChoiceList<Kind> kind;
    private final Button file;
    private final ObjectProperty<DeliveredColour> value;
    private final ConversionBox how;
    private Optional<String> profile = Optional.empty();

    /**
     * @param id of the list
     */
    public ColourBox(DeliveredColour first, String id) {
        super(6);
        value = new SimpleObjectProperty<>(first);
        profile = Optional.of(first.file()).filter(path -> !path.isEmpty());
        file = Buttons.text("colour.choose", this::choose);
        file.setId(id + "-file");
        file.managedProperty().bind(file.visibleProperty());
        kind = ChoiceList.of(id, Words.of("handover.colour"), Kind.values(), "colour");
        kind.setValue(first.kind());
        how = new ConversionBox(first.how(), id + "-intent");
        how.visibleProperty().bind(file.visibleProperty());
        how.managedProperty().bind(how.visibleProperty());
        kind.valueProperty().subscribe(this::refresh);
        how.valueProperty().subscribe((before, now) -> refresh(kind.getValue()));
        getChildren().addAll(Rows.of(kind, file), how);
    }

    /** A profile counts once its file is chosen. */
    public ReadOnlyObjectProperty<DeliveredColour> valueProperty() {
        return value;
    }

    private void refresh(Kind chosen) {
        boolean byFile = chosen == Kind.PROFILE;
        file.setVisible(byFile);
        file.setText(profile.map(path -> new File(path).getName()).orElse(Words.of("colour.choose")));
        if (!byFile) {
            value.set(value.get().kind() == chosen ? value.get() : DeliveredColour.of(chosen)); // with its conversion
        } else {
            profile.map(DeliveredColour::profile)
                    .map(colour -> colour.converted(how.valueProperty().get()))
                    .ifPresent(value::set);
        }
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of("colour.choose"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(Words.of("settings.screen.files"), "*.icc", "*.icm"));
        File picked = chooser.showOpenDialog(getScene().getWindow());
        if (picked != null) {
            use(picked.getPath());
        }
    }

    /** Takes a profile file; whether it is one shows when files are made. */
    public void use(String path) {
        profile = Optional.of(path);
        refresh(kind.getValue());
    }
}
