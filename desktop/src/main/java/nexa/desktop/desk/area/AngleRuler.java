package nexa.desktop.desk.area;

import java.util.Locale;
import javafx.animation.PauseTransition;
import javafx.beans.property.BooleanProperty;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import javafx.util.Duration;
import javafx.util.Subscription;
import nexa.core.geometry.Tilt;
import nexa.desktop.session.Session;
import nexa.desktop.widget.InkedPane;
import nexa.desktop.widget.Looks;
import nexa.desktop.widget.Wheel;
import nexa.words.Words;

/**
 * An engraved scale of degrees that slides under a fixed needle: drag it anywhere, use the wheel for tenths, double-click
 * for 0. The photo follows at once; letting go stores one edit.
 */
public final class AngleRuler extends InkedPane {
    /** The angle that is scrubbed. */
    public interface Angle {
        double degrees();

        /** Shows another angle without storing it; it need not be possible. */
        void preview(double degrees);

        /** Stores what is shown. */
        void commit();

        /** Stores 0. */
        void zero();
    }

    private static final double PIXELS_PER_DEGREE = 28;
    private static final Font FONT = Font.font("Inter", 11);
    private static final double WHEEL_STEP = 0.1;
    private static final Duration WHEEL_PAUSE = Duration.millis(500);

    private final Session session;
    private final Angle angle;
    private final BooleanProperty adjusting;
    private final PauseTransition wheelRest = new PauseTransition(WHEEL_PAUSE);
    private final Subscription subscription;
    private double drawnDegrees = Double.NaN;
    private double pressedX;
    private double pressedDegrees;

    /**
     * @param words what the angle is called
     * @param adjusting set while the ruler is scrubbed
     */
    public AngleRuler(Session session, String words, BooleanProperty adjusting, Angle angle) {
        this.session = session;
        this.angle = angle;
        this.adjusting = adjusting;
        getStyleClass().add("tilt-ruler");
        setCursor(Cursor.H_RESIZE);
        setAccessibleRole(AccessibleRole.SLIDER);
        setAccessibleText(words);
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(event -> finish());
        Wheel.counts(this, this::turned);
        setFocusTraversable(true);
        setOnKeyPressed(this::typed);
        wheelRest.setOnFinished(event -> finish());
        subscription = session.framingProperty().subscribe(framing -> moved());
    }

    public void dispose() {
        wheelRest.stop();
        subscription.unsubscribe();
    }

    private void moved() {
        if (angle.degrees() != drawnDegrees) {
            redraw();
        }
    }

    private void pressed(MouseEvent event) {
        pressedX = event.getSceneX(); // what the angle says beside it may move the ruler itself
        pressedDegrees = angle.degrees();
        if (event.getClickCount() == 2) {
            angle.zero();
            pressedDegrees = 0;
        }
    }

    private void dragged(MouseEvent event) {
        show(pressedDegrees - (event.getSceneX() - pressedX) / PIXELS_PER_DEGREE);
    }

    /** With the keyboard on it: arrows by tenths, with Shift by whole degrees, Home for 0. */
    private void typed(KeyEvent event) {
        double step = event.isShiftDown() ? 1 : WHEEL_STEP;
        switch (event.getCode()) {
            case LEFT -> stepped(-step);
            case RIGHT -> stepped(step);
            case HOME -> angle.zero();
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void stepped(double by) {
        show(angle.degrees() + by);
        finish();
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return switch (attribute) {
            case VALUE -> angle.degrees();
            case MIN_VALUE -> -Tilt.LIMIT;
            case MAX_VALUE -> Tilt.LIMIT;
            case VALUE_STRING -> Words.of("desk.tilt.value", Looks.degrees(angle.degrees()));
            default -> super.queryAccessibleAttribute(attribute, parameters);
        };
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        switch (action) {
            case INCREMENT, BLOCK_INCREMENT -> stepped(WHEEL_STEP);
            case DECREMENT, BLOCK_DECREMENT -> stepped(-WHEEL_STEP);
            case SET_VALUE -> stepped(((Number) parameters[0]).doubleValue() - angle.degrees());
            default -> super.executeAccessibleAction(action, parameters);
        }
    }

    private void turned(int notches) {
        show(angle.degrees() + notches * WHEEL_STEP);
        wheelRest.playFromStart();
    }

    private void show(double degrees) {
        if (session.space().isPresent()) {
            adjusting.set(true);
            angle.preview(Math.round(degrees * 100) / 100.0);
        }
    }

    private void finish() {
        if (adjusting.get()) {
            adjusting.set(false);
            angle.commit();
        }
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        double middle = Math.floor(width / 2) + 0.5;
        double shown = angle.degrees();
        drawnDegrees = shown;
        notifyAccessibleAttributeChanged(AccessibleAttribute.VALUE);
        int first = (int) Math.ceil((shown - middle / PIXELS_PER_DEGREE) * 5);
        int last = (int) Math.floor((shown + middle / PIXELS_PER_DEGREE) * 5);
        canvas.setFont(FONT);
        canvas.setTextAlign(TextAlignment.CENTER);
        for (int fifth = Math.max(first, -5 * 45); fifth <= Math.min(last, 5 * 45); fifth++) {
            double x = middle + (fifth / 5.0 - shown) * PIXELS_PER_DEGREE;
            mark(canvas, fifth, Math.floor(x), Math.abs(x - middle) / middle);
        }
        canvas.setFill(accent());
        canvas.fillRect(middle - 0.5, 0, 2, 28);
    }

    /** Marks are filled boxes, which take less than strokes. @param away 0 at the needle, 1 at the end, where marks fade out */
    private void mark(GraphicsContext canvas, int fifth, double x, double away) {
        boolean whole = fifth % 5 == 0;
        double strength = 0.9 * Math.max(0, 1 - away * away);
        canvas.setFill(ink().deriveColor(0, 1, 1, whole ? strength : 0.6 * strength));
        canvas.fillRect(x, 4, 1, whole ? 18 : 9);
        if (whole) {
            canvas.setFill(ink().deriveColor(0, 1, 1, strength));
            canvas.fillText(String.format(Locale.ROOT, "%d°", fifth / 5).replace('-', '−'), x + 0.5, 38);
        }
    }
}
