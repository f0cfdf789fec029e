package nexa.desktop.pane;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayOptions;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.InkedPane;
import nexa.words.Words;

/** What shows while no shoot is open: one clear way in. */
public final class FirstStartView extends StackPane {
    private static final PseudoClass BAD = PseudoClass.getPseudoClass("bad");

    /** Of the line below, so that nothing moves when its button comes. */
    private static final double LINE = 36;

    private final Label message = new Label();
    private final Button open;
    private final Button demo;
    private final Button giveUp;

    /** What is being opened. */
    private String opened = "";

    /** What its buttons do. */
    public interface Actions {
        void openFolder();

        void openDemo();

        /** What is being opened is no longer wanted. */
        void giveUp();
    }

    public FirstStartView(Actions actions) {
        getStyleClass().add("first-start");
        Label title = new Label(Words.of("start.title"));
        title.getStyleClass().add("start-title");
        Label lead = new Label(Words.of("start.lead"));
        lead.getStyleClass().add("start-lead");
        lead.setWrapText(true);
        open = Buttons.text("start.open", actions::openFolder);
        open.setId("start-open");
        open.getStyleClass().addAll("primary", "large");
        demo = Buttons.text("start.demo", actions::openDemo);
        demo.setId("start-demo");
        demo.getStyleClass().add("large");
        Label drop = new Label(Words.of("start.drop"));
        drop.getStyleClass().add("note");
        message.setId("start-message");
        message.getStyleClass().add("start-message");
        message.setWrapText(true);
        giveUp = Buttons.text("start.cancel", actions::giveUp);
        giveUp.setId("start-cancel");
        giveUp.setCancelButton(true);
        giveUp.managedProperty().bind(giveUp.visibleProperty());
        giveUp.visibleProperty().bind(giveUp.disabledProperty().not());
        HBox buttons = new HBox(12, open, demo);
        buttons.setAlignment(Pos.CENTER);
        HBox told = new HBox(12, message, giveUp);
        told.setAlignment(Pos.CENTER);
        told.setMinHeight(LINE);
        setBusy(false);
        VBox column = new VBox(18, picture(), title, lead, buttons, drop, told);
        column.setAlignment(Pos.CENTER);
        column.setMaxWidth(700);
        getChildren().add(column);
    }

    /** Frames of several shapes around one spiral: what this program is about, in one drawing. */
    private static Node picture() {
        InkedPane drawing = new InkedPane() {
            @Override
            public void draw(GraphicsContext canvas, double width, double height) {
                canvas.setLineWidth(1);
                canvas.setStroke(ink().deriveColor(0, 1, 1, 0.5));
                for (double aspect : new double[] {0.8, 1, 1.5, 16 / 9.0}) {
                    double h = Math.sqrt(width * height * 0.42 / aspect);
                    double w = h * aspect;
                    canvas.strokeRect(
                            Math.floor((width - w) / 2) + 0.5,
                            Math.floor((height - h) / 2) + 0.5,
                            Math.round(w),
                            Math.round(h));
                }
                double h = Math.sqrt(width * height * 0.42 / 1.5);
                ScreenBox box = new ScreenBox((width - h * 1.5) / 2, (height - h) / 2, h * 1.5, h);
                canvas.setStroke(accent());
                canvas.setLineWidth(1.6);
                Overlay.GOLDEN_SPIRAL
                        .strokes(1.5, OverlayOptions.DEFAULT, 0)
                        .forEach(stroke -> PhotoPainter.draw(canvas, stroke, box));
            }
        };
        drawing.size(300, 200);
        return drawing;
    }

    public void showOpening(String folder) {
        opened = folder;
        show(Words.of("start.opening", folder), false);
        setBusy(true);
    }

    /** Says how many photos were found so far of what is being opened. */
    public void showFound(int photos) {
        message.setText(Words.of("start.opening.found", opened, photos));
    }

    /** Says something; nothing is being opened. */
    public void show(String words) {
        show(words, false);
    }

    public void showFailure(String reason) {
        show(Words.of("start.failed", reason), true);
    }

    private void show(String words, boolean bad) {
        message.setText(words);
        message.pseudoClassStateChanged(BAD, bad);
        setBusy(false);
    }

    private void setBusy(boolean busy) {
        giveUp.setDisable(!busy);
        open.setDisable(busy);
        demo.setDisable(busy);
    }
}
