package nexa.desktop.view;

import java.io.File;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;
import javafx.util.StringConverter;
import nexa.core.files.DeliveredColour;
import nexa.core.files.DeliveredColour.Kind;
import nexa.desktop.words.Words;

/** The choice of a delivered file's colours; one of them asks for a profile file. */
final class ColourBox extends HBox {
    private final ChoiceBox<Optional<Kind>> kind = new ChoiceBox<>();
    private final Button file;
    private final ObjectProperty<Optional<DeliveredColour>> value;
    private Optional<String> profile = Optional.empty();

    /**
     * @param first empty = each format's own, which can then be chosen too
     * @param id of the list
     */
    ColourBox(Optional<DeliveredColour> first, String id) {
        super(8);
        setAlignment(Pos.CENTER_LEFT);
        value = new SimpleObjectProperty<>(first);
        profile = first.map(DeliveredColour::file).filter(path -> !path.isEmpty());
        file = Buttons.text("colour.choose", this::choose);
        file.setId(id + "-file");
        file.managedProperty().bind(file.visibleProperty());
        kind.setId(id);
        kind.setAccessibleText(Words.of("handover.colour"));
        if (first.isEmpty()) {
            kind.getItems().add(Optional.empty());
        }
        Stream.of(Kind.values()).map(Optional::of).forEach(kind.getItems()::add);
        kind.setConverter(new KindWords());
        kind.setValue(first.map(DeliveredColour::kind));
        kind.valueProperty().subscribe(this::refresh);
        getChildren().addAll(kind, file);
    }

    /** Empty = each format's own; a profile counts once its file is chosen. */
    ReadOnlyObjectProperty<Optional<DeliveredColour>> valueProperty() {
        return value;
    }

    private void refresh(Optional<Kind> chosen) {
        boolean byFile = chosen.filter(Kind.PROFILE::equals).isPresent();
        file.setVisible(byFile);
        file.setText(profile.map(path -> new File(path).getName()).orElse(Words.of("colour.choose")));
        if (!byFile) {
            value.set(chosen.map(DeliveredColour::of));
        } else {
            profile.map(DeliveredColour::profile).ifPresent(colour -> value.set(Optional.of(colour)));
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
    void use(String path) {
        profile = Optional.of(path);
        refresh(kind.getValue());
    }

    private static final class KindWords extends StringConverter<Optional<Kind>> {
        @Override
        public String toString(Optional<Kind> kind) {
            return kind.map(chosen -> Words.of("colour", chosen)).orElseGet(() -> Words.of("handover.type.own"));
        }

        @Override
        public Optional<Kind> fromString(String words) {
            throw new UnsupportedOperationException("This list is not typed into");
        }
    }
}
