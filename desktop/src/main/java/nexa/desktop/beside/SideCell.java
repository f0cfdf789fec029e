package nexa.desktop.beside;

import java.util.concurrent.Executor;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.desktop.beside.SideBySide.Cell;
import nexa.desktop.paint.LevelView;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.picture.OverlaidResult;
import nexa.desktop.session.Session;
import nexa.desktop.setting.OverlayShow;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.Nodes;
import nexa.words.Words;

/** One result side by side with others: as much of its frame as is looked at, and what it is. */
public final class SideCell extends Pane {
    static final double CAPTION = 26;

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final double RING = 4;

    private final Session session;
    private final SideBySide model;
    private final Cell cell;
    private final FramePicture picture;
    private final Region ring = new Region();
    private final DrawnPane drawing = new Drawing();
    private final Label words = new Label();
    private final OverlaidResult result;

    SideCell(Session session, SideBySide model, Cell cell, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.model = model;
        this.cell = cell;
        this.picture = new FramePicture(session.shoot(), loader, fx, drawing::redraw);
        this.result = new OverlaidResult(session, picture);
        getStyleClass().add("side-cell");
        words.getStyleClass().add("result-name");
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        ring.getStyleClass().add("side-ring");
        getChildren().addAll(ring, drawing, words);
        picture.show(cell.photo(), PhotoLoader.SMALL);
    }

    Cell cell() {
        return cell;
    }

    void dispose() {
        picture.clear();
    }

    Frame frame() {
        return session.frame(cell.photo(), cell.format()).orElseThrow();
    }

    /** As a gesture has it, if one goes on. */
    private PhotoSpace space() {
        return cell.photo().space(session.framing(cell.photo()).pose());
    }

    /** Draws what there is now. */
    void refresh() {
        pseudoClassStateChanged(CURRENT, model.isCurrent(cell));
        words.setText(Words.of(
                "beside.cell",
                Words.name(cell.photo().stem()),
                cell.format().name(),
                Words.of(session.framing(cell.photo()).state(cell.format()))));
        setAccessibleText(words.getText());
        load();
        drawing.redraw();
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return attribute == AccessibleAttribute.SELECTED
                ? (Object) model.isCurrent(cell)
                : super.queryAccessibleAttribute(attribute, parameters);
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        if (action == AccessibleAction.FIRE || action == AccessibleAction.REQUEST_FOCUS) {
            model.choose(cell);
        } else {
            super.executeAccessibleAction(action, parameters);
        }
    }

    /** Pixels of the photo for each of the screen's, at least. */
    private void load() {
        double wide = drawing.getWidth();
        if (wide > 0) {
            double scale = wide / frame().width() * model.zoomProperty().get().factor();
            picture.show(cell.photo(), PhotoLoader.edgeFor(scale * Nodes.outputScale(this)));
        }
    }

    /** Where in what is seen a place of this cell is, in parts from 0 to 1. */
    Point at(double x, double y) {
        return new Point(
                (x - drawing.getLayoutX()) / Math.max(1, drawing.getWidth()),
                (y - drawing.getLayoutY()) / Math.max(1, drawing.getHeight()));
    }

    /** How many times as large as the whole frame a pixel of the photo is one of the screen's. */
    double everyPixel() {
        return Math.max(
                1, frame().width() * space().asShot().longEdge() / (drawing.getWidth() * Nodes.outputScale(this)));
    }

    double drawnWidth() {
        return drawing.getWidth();
    }

    double drawnHeight() {
        return drawing.getHeight();
    }

    @Override
    protected void layoutChildren() {
        double height = getHeight() - CAPTION - 2 * RING;
        double width = getWidth() - 2 * RING;
        double aspect = frame().aspect();
        double wide = Math.floor(Math.min(width, height * aspect));
        double high = Math.floor(Math.min(height, width / aspect));
        drawing.resizeRelocate(
                RING + Math.floor((width - wide) / 2), RING + Math.floor((height - high) / 2), wide, high);
        ring.resizeRelocate(drawing.getLayoutX() - RING, drawing.getLayoutY() - RING, wide + 2 * RING, high + 2 * RING);
        words.resizeRelocate(
                drawing.getLayoutX(), drawing.getLayoutY() + high + RING + 2, Math.max(60, wide), CAPTION - 6);
        load();
    }

    private final class Drawing extends DrawnPane {
        @Override
        public void draw(GraphicsContext canvas, double width, double height) {
            Frame frame = frame();
            result.draw(
                    canvas,
                    LevelView.filling(model.zoomProperty().get().of(frame), width, height),
                    cell.photo(),
                    cell.format(),
                    frame,
                    session.settings().overlayShowProperty().get() == OverlayShow.ALWAYS);
        }
    }
}
