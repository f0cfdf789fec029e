package nexa.desktop.handover;

import java.util.List;
import java.util.function.Predicate;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import nexa.core.brief.Format;
import nexa.core.files.DeliveredColour;
import nexa.core.files.Description;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Finish;
import nexa.core.files.Packing;
import nexa.core.files.Packing.Chroma;
import nexa.core.files.Packing.Compression;
import nexa.core.files.Packing.Depth;
import nexa.desktop.pane.FillBox;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.ChoiceList;
import nexa.desktop.widget.ColourBox;
import nexa.desktop.widget.Labels;
import nexa.desktop.widget.Numbers;
import nexa.desktop.widget.Rows;
import nexa.words.SizeWords;
import nexa.words.Words;

/** How large a format is delivered, and how its pixels are packed. Only what the file type has shows. */
final class PixelsForm extends GridPane {
    private static final int USUAL_KILOBYTES = 500;

    private final Format format;
    private final TextField target = new TextField();
    private final CheckBox enlarges = new CheckBox(Words.of("files.enlarge.to"));
    private final Spinner<Integer> enlarge;
    private final ChoiceList<FileType> type =
            new ChoiceList<>("files-type", Words.of("handover.type"), List.of(FileType.values()), FileType::label);
    private final Spinner<Integer> quality;
    private final CheckBox limits = new CheckBox(Words.of("files.most.to"));
    private final Spinner<Integer> kilobytes;
    private final ChoiceList<Chroma> chroma = choice("chroma", Chroma.values());
    private final CheckBox progressive = new CheckBox(Words.of("files.progressive"));
    private final CheckBox untouched = new CheckBox(Words.of("files.untouched"));
    private final ChoiceList<Depth> depth = choice("depth", Depth.values());
    private final ChoiceList<Compression> compression = choice("compression", Compression.values());
    private final ColourBox colour;
    private final CheckBox tags = new CheckBox(Words.of("files.ppi.is"));
    private final Spinner<Integer> ppi;
    private final FillBox fill;
    private final Spinner<Integer> mostFill;
    private int rows;

    PixelsForm(Format format) {
        super(12, 10);
        this.format = format;
        FileSettings files = format.files();
        Packing packing = files.packing();
        Finish finish = files.finish();
        enlarge = number(
                "files-enlarge",
                "files.enlarge",
                101,
                Finish.MOST_ENLARGED,
                finish.enlarge() > 100 ? finish.enlarge() : 150);
        quality = number("files-quality", "handover.quality.tip", 1, 100, files.quality());
        kilobytes = number(
                "files-kilobytes",
                "files.most",
                1,
                1_000_000,
                packing.mostKilobytes() > 0 ? packing.mostKilobytes() : USUAL_KILOBYTES);
        colour = new ColourBox(files.colour(), "files-colour");
        ppi = number("files-ppi", "files.ppi", 1, 2400, finish.ppi() > 0 ? finish.ppi() : 300);
        fill = new FillBox("files-fill", files.fill());
        mostFill = number("files-most-fill", "files.most.fill", 0, 100, files.mostFill());
        fill(packing, finish);
        add("format.target", target, any -> true);
        add("files.enlarge", unit(enlarges, enlarge, "files.percent"), any -> true);
        add("handover.type", Rows.of(type, quality), any -> true);
        add("files.most", unit(limits, kilobytes, "files.kilobytes"), FileType::hasQuality);
        add("files.chroma", chroma, FileType.JPEG::equals);
        add("", progressive, FileType.JPEG::equals);
        add("", untouched, FileType.JPEG::equals);
        add("files.depth", depth, chosen -> chosen.mostBits() == 16);
        add("files.compression", compression, FileType.TIFF::equals);
        add("handover.colour", colour, any -> true);
        add("files.fill", fill, any -> true);
        add("files.most.fill", Rows.of(mostFill, new Label(Words.of("files.percent"))), any -> true);
        add("files.ppi", unit(tags, ppi, "numbers.ppi"), any -> true);
        type.setValue(files.type());
    }

    private void fill(Packing packing, Finish finish) {
        target.setId("files-target");
        target.setText(SizeWords.of(format.target()));
        target.setPrefColumnCount(17);
        target.setPromptText(Words.of("format.target.hint"));
        target.setTooltip(new Tooltip(Words.of("format.target.hint")));
        target.setAccessibleText(Words.of("format.target"));
        quality.setTooltip(new Tooltip(Words.of("handover.quality.tip")));
        ObservableValue<Boolean> lossless = type.valueProperty().map(chosen -> !chosen.hasQuality());
        quality.disableProperty().bind(lossless);
        switched(enlarges, enlarge, "files-enlarges", finish.enlarge() > 100);
        switched(limits, kilobytes, "files-limits", packing.mostKilobytes() > 0);
        switched(tags, ppi, "files-tags", finish.ppi() > 0);
        chroma.setValue(packing.chroma());
        untouched.setId("files-untouched");
        untouched.setSelected(packing.untouched());
        Buttons.explain(untouched, Words.of("files.untouched.tip"));
        progressive.setId("files-progressive");
        progressive.setSelected(packing.progressive());
        depth.setValue(packing.depth());
        compression.setValue(packing.compression());
        Buttons.explain(tags, Words.of("files.ppi.tip"));
        Buttons.explain(enlarges, Words.of("files.enlarge.tip"));
        Buttons.explain(limits, Words.of("files.most.tip"));
    }

    private static void switched(CheckBox box, Spinner<Integer> number, String id, boolean on) {
        box.setId(id);
        box.setSelected(on);
        number.disableProperty().bind(box.selectedProperty().not());
    }

    private static Spinner<Integer> number(String id, String words, int least, int most, int now) {
        Spinner<Integer> spinner = Numbers.whole(id, words, least, most, now);
        spinner.setPrefWidth(92);
        return spinner;
    }

    private static <E extends Enum<E>> ChoiceList<E> choice(String kind, E[] values) {
        return ChoiceList.of("files-" + kind, Words.of("files." + kind), values, kind);
    }

    private static HBox unit(CheckBox box, Spinner<Integer> number, String words) {
        Label unit = new Label(Words.of(words));
        unit.setMinWidth(USE_PREF_SIZE);
        box.setMinWidth(USE_PREF_SIZE);
        return Rows.of(box, number, unit);
    }

    private void add(String words, Region field, Predicate<FileType> shows) {
        Label label = words.isEmpty() ? new Label() : field == colour ? Labels.besideRows(words) : Labels.field(words);
        for (Region part : new Region[] {label, field}) {
            part.visibleProperty().bind(type.valueProperty().map(chosen -> chosen != null && shows.test(chosen)));
            part.managedProperty().bind(part.visibleProperty());
        }
        addRow(rows++, label, field);
    }

    /** @param keep what Enter in the size does */
    void onEnter(Runnable keep) {
        target.setOnAction(event -> keep.run());
    }

    /** What is typed as the size. */
    ObservableValue<String> sizeProperty() {
        return target.textProperty();
    }

    /**
     * The format with all that is set.
     *
     * @throws IllegalArgumentException with words for the user if a field can't be read
     */
    Format typed(Description said, Finish finished) {
        Finish finish = finished.tagged(tags.isSelected() ? ppi.getValue() : 0)
                .enlarged(enlarges.isSelected() ? enlarge.getValue() : 100);
        Packing packing = new Packing(
                limits.isSelected() ? kilobytes.getValue() : 0,
                chroma.getValue(),
                progressive.isSelected(),
                depth.getValue(),
                compression.getValue(),
                untouched.isSelected());
        DeliveredColour colours = colour.valueProperty().get();
        return format.sized(SizeWords.parse(target.getText()))
                .filed(new FileSettings(
                        type.getValue(),
                        quality.getValue(),
                        colours,
                        packing,
                        finish,
                        said,
                        fill.valueProperty().get(),
                        mostFill.getValue()));
    }
}
