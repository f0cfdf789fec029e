package nexa.desktop.lineup;

import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import javafx.util.Subscription;
import nexa.core.geometry.Point;
import nexa.core.lineup.Deviation;
import nexa.desktop.session.LineupModel;
import nexa.desktop.session.Session;
import nexa.desktop.widget.InkedPane;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/**
 * Where each subject lies in its frame against the exemplar's, a dot a photo, larger for a larger subject. Nobody sees
 * differences inside the dashed box.
 */
final class ScatterPane extends InkedPane {
    private static final double SEEN = 0.01;
    private static final double DOT = 5;
    private static final double REACH = 9;
    private static final Color ALIKE = Color.gray(0.5, 0.85);
    private static final Color OUTLIER = Color.web("#a3202c");

    private final Session session;
    private final Tooltip tooltip = new Tooltip();
    private final Subscription subscription;

    /** What shows on either side of the middle, in fractions of the frame, as it was drawn last. */
    private double range = 1;

    ScatterPane(Session session) {
        this.session = session;
        setId("scatter");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(Words.of("lineup.scatter"));
        Tooltip.install(this, tooltip);
        setOnMouseMoved(this::explain);
        setOnMousePressed(event -> near(event).ifPresent(session::choose));
        subscription = Subscription.combine(
                session.lineup().shownProperty().subscribe(shown -> redraw()),
                session.photoProperty().subscribe(photo -> redraw()));
    }

    void dispose() {
        subscription.unsubscribe();
    }

    private void explain(MouseEvent event) {
        Optional<Photo> photo = near(event);
        tooltip.setText(photo.map(Photo::name).map(Words::name).orElse(""));
        tooltip.setOpacity(photo.isPresent() ? 1 : 0);
    }

    private Optional<Photo> near(MouseEvent event) {
        Point at = new Point(event.getX(), event.getY());
        return deviations().entrySet().stream()
                .filter(entry -> place(entry.getValue()).distance(at) <= REACH)
                .min(Comparator.comparingDouble(entry -> place(entry.getValue()).distance(at)))
                .map(Map.Entry::getKey);
    }

    private Map<Photo, Deviation> deviations() {
        return session.lineup().shownProperty().get().deviations();
    }

    /** What is further off stands at the edge. */
    private Point place(Deviation deviation) {
        double scale = getWidth() / 2 / range;
        double edge = radius(deviation);
        return new Point(
                Math.clamp(getWidth() / 2 + deviation.offset().x() * scale, edge, getWidth() - edge),
                Math.clamp(getHeight() / 2 + deviation.offset().y() * scale, edge, getHeight() - edge));
    }

    private static double radius(Deviation deviation) {
        return DOT * Math.clamp(deviation.sizeRatio().orElse(1), 0.6, 1.8);
    }

    @Override
    public void draw(GraphicsContext canvas, double width, double height) {
        range = ScatterRange.of(
                deviations().values().stream().map(Deviation::offset).toList(), width / height);
        axes(canvas, width, height);
        LineupModel.Shown shown = session.lineup().shownProperty().get();
        Optional<Photo> exemplar = shown.exemplar();
        Optional<Photo> current = session.photo();
        shown.deviations().forEach((photo, deviation) -> {
            boolean strays = !shown.outliers().getOrDefault(photo, Set.of()).isEmpty();
            Color colour = exemplar.filter(photo::equals).isPresent() ? accent() : strays ? OUTLIER : ALIKE;
            dot(canvas, deviation, colour, current.filter(photo::equals).isPresent());
        });
    }

    private void axes(GraphicsContext canvas, double width, double height) {
        canvas.setStroke(ink().deriveColor(0, 1, 1, 0.35));
        canvas.setLineWidth(1);
        double middleX = Math.floor(width / 2) + 0.5;
        double middleY = Math.floor(height / 2) + 0.5;
        canvas.strokeLine(0, middleY, width, middleY);
        canvas.strokeLine(middleX, 0, middleX, height);
        double seen = SEEN * width / 2 / range;
        canvas.setLineDashes(3, 3);
        canvas.setStroke(accent());
        canvas.strokeRect(
                Math.round(middleX - seen) + 0.5, Math.round(middleY - seen) + 0.5, Math.round(2 * seen), 2 * seen);
        canvas.setLineDashes();
        canvas.setFill(ink());
        canvas.setFont(Font.font("Inter", 11));
        canvas.setTextAlign(TextAlignment.RIGHT);
        canvas.fillText(Words.of("lineup.right"), width - 2, middleY - 5);
        canvas.setTextAlign(TextAlignment.LEFT);
        canvas.fillText(Words.of("lineup.higher"), middleX + 6, 11);
    }

    private void dot(GraphicsContext canvas, Deviation deviation, Color colour, boolean current) {
        Point at = place(deviation);
        double radius = radius(deviation);
        canvas.setFill(colour);
        canvas.fillOval(at.x() - radius, at.y() - radius, 2 * radius, 2 * radius);
        if (current) {
            canvas.setStroke(accent());
            canvas.setLineWidth(1.5);
            canvas.strokeOval(at.x() - radius - 3, at.y() - radius - 3, 2 * radius + 6, 2 * radius + 6);
        }
    }
}
