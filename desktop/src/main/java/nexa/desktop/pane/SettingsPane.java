package nexa.desktop.pane;

import java.io.File;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.Subscription;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.setting.PictureSettings;
import nexa.desktop.setting.Settings;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.ChoiceList;
import nexa.desktop.widget.ConversionBox;
import nexa.imaging.colour.Profile;
import nexa.words.Languages;
import nexa.words.PrintUnit;
import nexa.words.Words;

/** Memory, disk and colours for pictures, and what becomes of photos that arrive. */
public final class SettingsPane implements PaneLayer.Content {
    private static final List<Integer> MEMORY = List.of(64, 128, 256, 512, 1024, 2048, 4096);
    private static final List<Integer> CACHE = List.of(100, 500, 1024, 2048, 5120, 10_240, 20_480, 51_200);

    private final PictureSettings settings;
    private final PhotoLoader loader;
    private final Label memoryUse = note();
    private final Label cacheUse = note();
    private final Label screen = new Label();
    private final Label message = new Label();
    private final VBox node;
    private final Subscription subscription;

    /** @param raw what is to be set about raw files; empty if there are none */
    public SettingsPane(Settings all, PhotoLoader loader, Optional<Region> raw) {
        this.settings = all.pictures();
        this.loader = loader;
        node = new VBox(
                16,
                new HBox(
                        40,
                        part("settings.language", language(all.languageProperty()), explained("settings.language.tip")),
                        part("settings.print", printUnit(all.printUnitProperty()), explained("settings.print.tip"))),
                part("settings.pen", box("settings-pen", "settings.pen.large", all.penProperty())),
                part("settings.memory", memory(), explained("settings.memory.tip")),
                part("settings.cache", cache(), explained("settings.cache.tip")),
                screenPart(),
                part(
                        "settings.look",
                        box("settings-look", "settings.look.by-itself", all.lookProperty()),
                        explained("settings.look.tip")),
                part(
                        "settings.arrivals",
                        box("carry-arrivals", "settings.arrivals.carry", all.carryToArrivalsProperty()),
                        box("follow-arrivals", "settings.arrivals.follow", all.followArrivalsProperty())));
        raw.ifPresent(node.getChildren()::add);
        node.setPrefWidth(430);
        subscription = settings.screenProperty().subscribe(file -> showScreen());
        showUse();
    }

    private Node memory() {
        return row(sizes("settings-memory", MEMORY, settings.memoryProperty()), memoryUse);
    }

    private Node cache() {
        Button empty = Buttons.text("settings.cache.empty", () -> {
            loader.emptyDisk();
            showUse();
        });
        empty.setId("settings-empty");
        Buttons.explain(empty, Words.of("settings.cache.empty.tip"));
        return row(sizes("settings-cache", CACHE, settings.cacheProperty()), cacheUse, empty);
    }

    private Node screenPart() {
        Button srgb = Buttons.text("settings.screen.srgb", () -> use(Optional.empty()));
        srgb.setId("settings-srgb");
        Button choose = Buttons.text("settings.screen.choose", this::choose);
        choose.setId("settings-profile");
        ConversionBox ways = new ConversionBox(settings.conversionProperty().get(), "settings-conversion");
        ways.valueProperty()
                .subscribe((before, now) -> settings.conversionProperty().set(now));
        screen.setId("settings-screen");
        screen.setWrapText(true);
        message.setWrapText(true);
        message.getStyleClass().add("refusal");
        message.managedProperty().bind(message.textProperty().isNotEmpty());
        return part("settings.screen", screen, row(srgb, choose), ways, explained("settings.screen.tip"), message);
    }

    static VBox part(String title, Node... content) {
        Label label = new Label(Words.of(title));
        label.getStyleClass().add("format-name");
        VBox part = new VBox(6, label);
        part.getChildren().addAll(content);
        return part;
    }

    private static Label note() {
        Label label = new Label();
        label.getStyleClass().add("note");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    private static Label explained(String words) {
        return explanation(Words.of(words));
    }

    static Label explanation(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("note");
        label.setWrapText(true);
        return label;
    }

    private static CheckBox box(String id, String words, ObjectProperty<Boolean> setting) {
        CheckBox box = new CheckBox(Words.of(words));
        box.setId(id);
        box.setSelected(setting.get());
        box.setOnAction(event -> setting.set(box.isSelected()));
        return box;
    }

    private static HBox row(Region... parts) {
        HBox row = new HBox(10, parts);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static ChoiceList<String> language(ObjectProperty<String> setting) {
        List<String> tags = Stream.concat(Stream.of(Languages.AS_SYSTEM), Languages.tags().stream())
                .toList();
        return new ChoiceList<>("settings-language", Words.of("settings.language"), tags, SettingsPane::language)
                .choosing(setting.get(), setting::set);
    }

    /** Each in its own language. */
    private static String language(String tag) {
        return tag.equals(Languages.AS_SYSTEM) ? Words.of("settings.language.system") : Languages.name(tag);
    }

    private static ChoiceList<PrintUnit> printUnit(ObjectProperty<PrintUnit> setting) {
        return ChoiceList.of("settings-print-unit", Words.of("settings.print"), PrintUnit.values(), "print-unit")
                .choosing(setting.get(), setting::set);
    }

    private ChoiceList<Integer> sizes(String id, List<Integer> sizes, ObjectProperty<Integer> chosen) {
        return new ChoiceList<>(id, Words.of(id.replace('-', '.')), sizes, megabytes -> words(megabytes * (1L << 20)))
                .choosing(chosen.get(), now -> {
                    chosen.set(now);
                    showUse();
                });
    }

    private static String words(long bytes) {
        double megabytes = bytes / (double) (1 << 20);
        return megabytes < 1024
                ? Words.of("settings.megabytes", Math.round(megabytes))
                : Words.of("settings.gigabytes", Math.round(megabytes / 102.4) / 10.0);
    }

    private void showUse() {
        memoryUse.setText(Words.of("settings.used", words(loader.weight())));
        cacheUse.setText(Words.of("settings.used", words(loader.onDisk())));
    }

    private void showScreen() {
        Optional<String> file = settings.screenProperty().get();
        screen.setText(
                file.isEmpty()
                        ? Words.of("settings.screen.is.srgb")
                        : Words.of(
                                "settings.screen.is",
                                settings.screenColours().profile().name(),
                                file.get()));
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of("settings.screen.choose"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(Words.of("settings.screen.files"), "*.icc", "*.icm"));
        File file = chooser.showOpenDialog(node.getScene().getWindow());
        if (file != null) {
            use(Optional.of(file.getPath()));
        }
    }

    /** Takes a profile file for the screen's colours, or says why it can't be taken. */
    public void use(Optional<String> file) {
        try {
            if (file.isPresent()) {
                Profile.read(java.nio.file.Path.of(file.get()));
            }
            message.setText("");
            settings.screenProperty().set(file);
        } catch (IOException refused) {
            message.setText(Words.of(refused));
        }
    }

    @Override
    public String title() {
        return Words.of("settings.title");
    }

    @Override
    public Region node() {
        return node;
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
    }
}
