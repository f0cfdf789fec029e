package nexa.desktop.view;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.paint.Color;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.overlay.Overlay;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.session.OverlayChoice;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;

/** The overlays as miniatures in the frame's own proportion; a second click takes the overlay away. */
final class OverlayPicker extends HBox {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");
    private static final double WIDTH = 42;
    private static final double HEIGHT = 34;

    private final Session session;
    private final Map<Overlay, Button> buttons = new LinkedHashMap<>();
    private final Subscription subscriptions;

    OverlayPicker(Session session) {
        super(7);
        this.session = session;
        for (Overlay overlay : Overlay.values()) {
            buttons.put(overlay, button(overlay));
        }
        getChildren().addAll(buttons.values());
        subscriptions = Subscription.combine(
                session.overlayProperty().subscribe(choice -> refresh()),
                session.formatProperty().subscribe(format -> refresh()),
                session.framingProperty().subscribe(framing -> refresh()));
    }

    void dispose() {
        subscriptions.unsubscribe();
    }

    private Button button(Overlay overlay) {
        Button button = new Button(null, new Canvas(WIDTH, HEIGHT));
        button.getStyleClass().add("miniature");
        button.setId("overlay-" + overlay.name());
        button.setFocusTraversable(false);
        Buttons.explain(button, Words.of("desk.overlay.tip", Words.of(overlay)));
        button.setOnAction(event -> pick(overlay));
        return button;
    }

    private void pick(Overlay overlay) {
        boolean shown = session.overlayProperty()
                .get()
                .overlay()
                .filter(overlay::equals)
                .isPresent();
        session.overlayProperty()
                .set(shown ? new OverlayChoice(java.util.Optional.empty(), 0) : OverlayChoice.of(overlay));
    }

    private void refresh() {
        double aspect = session.frame().map(Frame::aspect).orElse(1.5);
        OverlayChoice choice = session.overlayProperty().get();
        buttons.forEach((overlay, button) -> {
            boolean active = choice.overlay().filter(overlay::equals).isPresent();
            button.pseudoClassStateChanged(ACTIVE, active);
            draw((Canvas) button.getGraphic(), overlay, active ? choice.orientation() : 0, aspect, active);
        });
    }

    private static void draw(Canvas canvas, Overlay overlay, int orientation, double aspect, boolean active) {
        double scale = Math.min((WIDTH - 2) / aspect, HEIGHT - 2);
        double width = Math.max(8, Math.round(aspect * scale));
        double height = Math.max(8, Math.round(scale));
        ScreenBox box = new ScreenBox(
                Math.floor((WIDTH - width) / 2) + 0.5, Math.floor((HEIGHT - height) / 2) + 0.5, width, height);
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, WIDTH, HEIGHT);
        graphics.setFill(Color.gray(0.94));
        graphics.fillRect(box.x(), box.y(), box.width(), box.height());
        graphics.setLineWidth(1);
        graphics.setStroke(Color.gray(0.62));
        graphics.strokeRect(box.x(), box.y(), box.width(), box.height());
        graphics.setStroke(active ? Palette.ACCENT : Color.gray(0.38));
        graphics.save();
        graphics.beginPath();
        graphics.rect(box.x(), box.y(), box.width(), box.height());
        graphics.clip();
        overlay.strokes(aspect, orientation).forEach(stroke -> PhotoPainter.draw(graphics, stroke, box));
        graphics.restore();
    }
}
