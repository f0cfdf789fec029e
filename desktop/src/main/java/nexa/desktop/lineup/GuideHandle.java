package nexa.desktop.lineup;

import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import nexa.desktop.session.LineupModel;
import nexa.desktop.widget.Buttons;
import nexa.words.Words;

/** Moves a line across the results, by dragging or by arrow keys; a double click or Delete takes the line away. */
final class GuideHandle extends Label {
    private static final double LEFT = 6;
    private static final double STEP = 0.01;
    private static final double LEAP = 0.05;

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
        setAccessibleRole(AccessibleRole.SLIDER);
        setOnKeyPressed(this::typed);
    }

    /**
     * Puts the handle on a line.
     *
     * @param y of the line
     * @param fraction of the results' height
     * @param size the results' height
     * @param first whether it is the line's uppermost handle: Tab leads to that one alone
     */
    void placeOn(int line, double y, double fraction, double size, boolean first) {
        boolean moved = this.fraction != fraction;
        this.which = line;
        this.fraction = fraction;
        this.size = size;
        setId("guide-" + line);
        setFocusTraversable(first);
        setText(Words.of("lineup.guide", Math.round(fraction * 100)));
        autosize();
        relocate(LEFT, Math.round(y - getHeight() / 2));
        if (moved) { // scrolling places it anew, too
            notifyAccessibleAttributeChanged(AccessibleAttribute.VALUE);
        }
    }

    private void typed(KeyEvent event) {
        double step = event.isShiftDown() ? LEAP : STEP;
        switch (event.getCode()) {
            case UP -> move(fraction - step);
            case DOWN -> move(fraction + step);
            case DELETE -> model.removeGuide(which);
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void move(double wanted) {
        model.moveGuide(which, Math.clamp(wanted, 0, 1));
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return switch (attribute) {
            case VALUE -> 100 * fraction;
            case MIN_VALUE -> 0.0;
            case MAX_VALUE -> 100.0;
            case VALUE_STRING -> getText();
            default -> super.queryAccessibleAttribute(attribute, parameters);
        };
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        switch (action) {
            case INCREMENT, BLOCK_INCREMENT -> move(fraction + STEP);
            case DECREMENT, BLOCK_DECREMENT -> move(fraction - STEP);
            case SET_VALUE -> move(((Number) parameters[0]).doubleValue() / 100);
            default -> super.executeAccessibleAction(action, parameters);
        }
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
        move(pressedFraction + (event.getSceneY() - pressedY) / size);
        event.consume();
    }
}
