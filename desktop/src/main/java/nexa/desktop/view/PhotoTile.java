package nexa.desktop.view;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.util.Subscription;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.carry.Carried;
import nexa.core.carry.Loss;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Mat;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.session.Session;
import nexa.desktop.words.Words;
import nexa.imaging.file.Trouble;
import nexa.shoot.Photo;

/** One photo on the Wall: whole, with its mat for the active format, its name and its state. */
final class PhotoTile extends Pane {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
    private static final double RING = 5;

    private final Session session;
    private final Photo photo;
    private final FramePicture picture;
    private final DrawnPane drawing = new Drawing();
    private final Label name = new Label();
    private final Label state = new Label();
    private final Label trouble = new Label();
    private final Subscription subscriptions;

    PhotoTile(Session session, Photo photo, PhotoLoader loader, Executor fx) {
        this.session = session;
        this.photo = photo;
        this.picture = new FramePicture(session.shoot(), loader, fx, this::refresh);
        getStyleClass().add("photo-tile");
        name.getStyleClass().add("tile-name");
        state.getStyleClass().add("tile-state");
        trouble.getStyleClass().add("tile-trouble");
        trouble.setWrapText(true);
        name.setText(photo.name().replaceFirst("\\.[^.]+$", ""));
        getChildren().addAll(drawing, trouble, name, state);
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        setFocusTraversable(false);
        setManaged(false); // the Wall places it
        picture.show(photo, PhotoLoader.SMALL);
        subscriptions = Subscription.combine(
                session.photoProperty().subscribe(this::showCurrent),
                session.selectionProperty()
                        .subscribe(selected -> pseudoClassStateChanged(SELECTED, selected.contains(photo))),
                session.formatProperty().subscribe(format -> refresh()),
                session.framingProperty().subscribe(this::framingChanged),
                session.carry().planProperty().subscribe(plan -> drawing.redraw()),
                session.editsProperty().subscribe(count -> refresh()));
    }

    Photo photo() {
        return photo;
    }

    void dispose() {
        subscriptions.unsubscribe();
        picture.clear();
    }

    private void showCurrent(Optional<Photo> current) {
        pseudoClassStateChanged(CURRENT, current.filter(photo::equals).isPresent());
    }

    private void framingChanged(Framing framing) {
        if (session.photo().filter(photo::equals).isPresent()) {
            refresh();
        }
    }

    private void refresh() {
        Framing framing = session.framing(photo);
        Optional<Trouble> reason = picture.trouble();
        String words = reason.map(Words::of).orElseGet(() -> stateWords(framing));
        state.setText(reason.isEmpty() ? words : "");
        trouble.setText(reason.map(Words::of).orElse(""));
        trouble.setVisible(reason.isPresent());
        setAccessibleText(Words.of("wall.tile", name.getText(), words, ""));
        setOpacity(framing.setAside() ? 0.35 : 1);
        drawing.redraw();
    }

    private String stateWords(Framing framing) {
        if (framing.setAside()) {
            return Words.of("wall.aside");
        }
        return session.format().map(framing::state).map(PhotoTile::sign).orElse("");
    }

    /** Derived is the usual state and keeps quiet. */
    private static String sign(FrameState state) {
        return switch (state) {
            case DERIVED -> "";
            case PLACED -> Words.of(state);
            case CHECKED -> "✓ " + Words.of(state);
        };
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth() - 2 * RING;
        double height = getHeight() - 2 * RING - WallLayout.CAPTION;
        drawing.resizeRelocate(RING, RING, width, height);
        trouble.resizeRelocate(RING, RING, width, height);
        double stateWidth = Math.min(width, Math.ceil(state.prefWidth(-1)));
        state.resizeRelocate(RING + width - stateWidth, RING + height + 3, stateWidth, WallLayout.CAPTION - 3);
        name.resizeRelocate(RING, RING + height + 3, Math.max(0, width - stateWidth - 6), WallLayout.CAPTION - 3);
    }

    /** Puts the tile so that its photo fills the cell; the ring for the current photo lies outside. */
    void placeIn(WallLayout.Cell cell) {
        resizeRelocate(
                cell.x() - RING,
                cell.y() - RING,
                cell.width() + 2 * RING,
                cell.height() + 2 * RING + WallLayout.CAPTION);
        layout(); // at once: unmanaged nodes that ask for it during a layout are not laid out again
        picture.show(photo, PhotoLoader.edgeFor(Math.max(cell.width(), cell.height())));
    }

    private final class Drawing extends DrawnPane {
        @Override
        void draw(GraphicsContext canvas, double width, double height) {
            if (!photo.isReadable()) {
                return;
            }
            PhotoSpace space = new PhotoSpace(
                    photo.facts().orElseThrow().asShot(), session.framing(photo).pose());
            LevelView view = LevelView.fitting(space.upright().aspect(), 0, 0, width, height);
            Optional<ScreenPhoto> pixels = picture.pixels();
            if (pixels.isEmpty()) {
                canvas.setFill(Color.gray(0.82));
                canvas.fillRect(0, 0, width, height);
                return;
            }
            PhotoPainter painter = new PhotoPainter(canvas, view);
            painter.photo(pixels.get(), space);
            session.format().ifPresent(format -> {
                frame(painter, space, format);
                ghost(canvas, view, space, format);
            });
        }

        /** What a carry that is being prepared would make of the photo. */
        private void ghost(GraphicsContext canvas, LevelView view, PhotoSpace space, Format format) {
            Carried carried = session.carry().planProperty().get().get(photo);
            if (carried == null || carried.losses().contains(Loss.LEFT_ALONE)) {
                return;
            }
            PhotoSpace after = new PhotoSpace(space.asShot(), carried.framing().pose());
            Frame frame = Derivation.frame(
                    space.asShot(),
                    carried.framing(),
                    format,
                    session.briefProperty().get());
            Turn back = after.pose().turn().inverse().then(space.pose().turn());
            List<Point> corners = frame.corners().stream()
                    .map(corner -> after.pose().tilt().negated().rotate(corner))
                    .map(back::apply)
                    .map(corner -> space.pose().tilt().rotate(corner))
                    .map(view::toScreen)
                    .toList();
            canvas.setLineDashes(6, 4);
            canvas.setLineWidth(2);
            canvas.setStroke(Palette.ACCENT);
            canvas.strokePolygon(
                    corners.stream().mapToDouble(Point::x).toArray(),
                    corners.stream().mapToDouble(Point::y).toArray(),
                    corners.size());
            canvas.setLineDashes();
        }

        private void frame(PhotoPainter painter, PhotoSpace space, Format format) {
            Frame frame = session.frame(photo, format).orElseThrow();
            painter.mat(space.outline(), frame, Mat.WALL);
            painter.edge(frame);
        }
    }
}
