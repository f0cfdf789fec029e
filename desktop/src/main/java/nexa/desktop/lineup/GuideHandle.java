package nexa.desktop.lineup;

import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import nexa.desktop.session.LineupModel;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;

/** Moves a line across the results; a double click takes the line away. */
final class GuideHandle extends Label {
    private static final double LEFT = 6;

    private final LineupModel model;
    private int which;
    private double fraction;
    private double size = 1;
    private double pressedY;
    private double pressedFraction;

    GuideHandle(LineupModel model) {
        this.model = model;
        getStyleClass().add("guide-handle");
        setCursor(Cursor.V_RESIZE);
        Buttons.explain(this, Words.of("lineup.guide.tip"));
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
    }

    /**
     * Puts the handle on a line.
     *
     * @param y of the line
     * @param fraction of the results' height
     * @param size the results' height
     */
    void placeOn(int line, double y, double fraction, double size) {
        this.which = line;
        this.fraction = fraction;
        this.size = size;
        setId("guide-" + line);
        setText(Words.of("lineup.guide", Math.round(fraction * 100)));
        autosize();
        relocate(LEFT, Math.round(y - getHeight() / 2));
    }

    private void pressed(MouseEvent event) {
        pressedY = event.getSceneY();
        pressedFraction = fraction;
        if (event.getClickCount() == 2) {
            model.removeGuide(which);
        }
        event.consume();
    }

    private void dragged(MouseEvent event) {
        model.moveGuide(which, Math.clamp(pressedFraction + (event.getSceneY() - pressedY) / size, 0, 1));
        event.consume();
    }
}
