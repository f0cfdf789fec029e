package nexa.desktop.pane;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ColorPicker;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.paint.Color;
import nexa.core.fill.Fill;
import nexa.desktop.widget.ChoiceList;
import nexa.words.Words;

/** Chooses what goes where a frame shows no photo. */
public final class FillBox extends HBox {
    /** The kinds of fills, in the order they are offered. */
    public enum Kind {
        WHITE,
        COLOUR,
        TRANSPARENT,
        MIRROR,
        STRETCH,
        BLUR,
        SURROUNDINGS;

        static Kind of(Fill fill) {
            return switch (fill) {
                case Fill.Colour colour -> colour.equals(Fill.WHITE) ? WHITE : COLOUR;
                case Fill.Transparent none -> TRANSPARENT;
                case Fill.Mirror mirror -> MIRROR;
                case Fill.Stretch stretch -> STRETCH;
                case Fill.Blurred blurred -> BLUR;
                case Fill.Surroundings around -> SURROUNDINGS;
            };
        }
    }

    private final ChoiceList<Kind> kind;
    private final ColorPicker colour = new ColorPicker(Color.gray(0.5));
    private final Slider reach = new Slider(0.005, Fill.Stretch.MOST, Fill.Stretch.USUAL);
    private final ReadOnlyObjectWrapper<Fill> value = new ReadOnlyObjectWrapper<>(Fill.WHITE);
    private boolean showing;

    /** @param id of the choice of the kind; those of colour and reach follow from it */
    public FillBox(String id, Fill now) {
        super(8);
        setAlignment(Pos.CENTER_LEFT);
        kind = ChoiceList.of(id, Words.of("files.fill"), Kind.values(), "fill");
        colour.setId(id + "-colour");
        colour.setAccessibleText(Words.of("fill.colour"));
        colour.setPrefWidth(70);
        reach.setId(id + "-reach");
        reach.setAccessibleText(Words.of("fill.reach"));
        reach.setPrefWidth(110);
        shownFor(colour, Kind.COLOUR);
        shownFor(reach, Kind.STRETCH);
        getChildren().addAll(kind, colour, reach);
        show(now);
        kind.valueProperty().subscribe(chosen -> changed());
        colour.valueProperty().subscribe(chosen -> changed());
        reach.valueProperty().subscribe(chosen -> changed());
    }

    private void shownFor(Node node, Kind shows) {
        node.visibleProperty().bind(kind.valueProperty().isEqualTo(shows));
        node.managedProperty().bind(node.visibleProperty());
    }

    public ReadOnlyObjectProperty<Fill> valueProperty() {
        return value.getReadOnlyProperty();
    }

    /** Whether the reach of a stretched edge is being dragged. */
    public boolean isDragged() {
        return reach.isValueChanging();
    }

    /** Shows a fill that was chosen elsewhere. */
    public void show(Fill fill) {
        showing = true;
        kind.setValue(Kind.of(fill));
        if (fill instanceof Fill.Colour(int red, int green, int blue) && !fill.equals(Fill.WHITE)) {
            colour.setValue(Color.rgb(red, green, blue));
        } else if (fill instanceof Fill.Stretch(double part) && !reach.isValueChanging()) {
            reach.setValue(part);
        }
        value.set(fill);
        showing = false;
    }

    private void changed() {
        if (!showing && kind.getValue() != null) {
            value.set(chosen(kind.getValue()));
        }
    }

    private Fill chosen(Kind chosen) {
        return switch (chosen) {
            case WHITE -> Fill.WHITE;
            case COLOUR ->
                new Fill.Colour(
                        step(colour.getValue().getRed()),
                        step(colour.getValue().getGreen()),
                        step(colour.getValue().getBlue()));
            case TRANSPARENT -> new Fill.Transparent();
            case MIRROR -> new Fill.Mirror();
            case STRETCH -> new Fill.Stretch(Math.round(reach.getValue() * 1000) / 1000.0);
            case BLUR -> new Fill.Blurred();
            case SURROUNDINGS -> new Fill.Surroundings();
        };
    }

    private static int step(double part) {
        return (int) Math.round(255 * part);
    }
}
