package nexa.desktop.view;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.util.Subscription;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.core.carry.Carried;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.review.Warning;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Mat;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.session.RepeatsModel;
import nexa.desktop.session.Session;
import nexa.desktop.session.ShootModels;
import nexa.desktop.words.Words;
import nexa.imaging.file.Trouble;
import nexa.shoot.Photo;
import org.jspecify.annotations.Nullable;

/**
 * One photo on the Wall: whole, with its mat for the active format, its name, its state and its warnings. Photo and
 * frame lie on layers of their own, so that moving many frames draws no photo.
 */
final class PhotoTile extends Pane {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
    private static final double RING = 5;

    /** Radius of a mark, in canvas units. */
    private static final double MARK = 4;

    private final ShootModels models;
    private final Session session;
    private final Photo photo;
    private final FramePicture picture;
    private final DrawnPane photoLayer = new PhotoLayer();
    private final DrawnPane frameLayer = new FrameLayer();
    private final Label name = new Label();
    private final Label state = new Label();
    private final Label trouble = new Label();
    private final Subscription subscriptions;
    private @Nullable Framing shown;
    private @Nullable PhotoSpace drawn;

    PhotoTile(ShootModels models, Photo photo, PhotoLoader loader, Executor fx) {
        this.models = models;
        this.session = models.session();
        this.photo = photo;
        this.picture = new FramePicture(session.shoot(), loader, fx, this::arrived);
        getStyleClass().add("photo-tile");
        name.getStyleClass().add("tile-name");
        state.getStyleClass().add("tile-state");
        trouble.getStyleClass().add("tile-trouble");
        trouble.setWrapText(true);
        name.setText(photo.name().replaceFirst("\\.[^.]+$", ""));
        getChildren().addAll(photoLayer, frameLayer, trouble, name, state);
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        setFocusTraversable(false);
        setManaged(false); // the Wall places it
        picture.show(photo, PhotoLoader.SMALL);
        subscriptions = Subscription.combine(
                session.photoProperty().subscribe(this::showCurrent),
                session.selectionProperty()
                        .subscribe(selected -> pseudoClassStateChanged(SELECTED, selected.contains(photo))),
                session.formatProperty().subscribe(format -> refresh()),
                session.framingProperty().subscribe(framing -> framingChanged()),
                session.previewsProperty().subscribe(previews -> framingChanged()),
                session.carry().planProperty().subscribe(plan -> refresh()),
                models.marking().proposalsProperty().subscribe(proposals -> frameLayer.redraw()),
                models.repeats().placesProperty().subscribe(places -> refresh()),
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

    private void arrived() {
        photoLayer.redraw();
        refresh();
    }

    /** Most changes are of other photos. */
    private void framingChanged() {
        if (session.framing(photo) != shown) {
            refresh();
        }
    }

    private void refresh() {
        Framing framing = session.framing(photo);
        shown = framing;
        Optional<Trouble> reason = picture.trouble();
        String words = reason.map(Words::of).orElseGet(() -> stateWords(framing));
        Set<Warning> warnings = warnings();
        state.setText(reason.isPresent() ? "" : warnings.isEmpty() ? words : "⚠ " + words);
        trouble.setText(reason.map(Words::of).orElse(""));
        trouble.setVisible(reason.isPresent());
        setAccessibleText(Words.of("wall.tile", name.getText(), words, Looks.words(warnings)));
        setOpacity(framing.setAside() ? 0.35 : 1);
        if (!space().equals(Optional.ofNullable(drawn))) {
            photoLayer.redraw();
        }
        frameLayer.redraw();
    }

    /** What is stored: while a gesture goes on warnings stay as they were. */
    private Set<Warning> warnings() {
        return session.format()
                .map(format -> session.shoot().warnings(photo, format))
                .orElse(Set.of());
    }

    /** What a tooltip says of the photo; empty if there is nothing to say. */
    String explanation() {
        return Looks.words(warnings());
    }

    private String stateWords(Framing framing) {
        Carried carried = session.carry().planProperty().get().get(photo);
        if (carried != null) {
            return carried.losses().stream()
                    .sorted()
                    .map(loss -> Words.of("loss", loss))
                    .collect(Collectors.joining(", "));
        }
        String repeat = models.repeats().of(photo).map(PhotoTile::words).orElse("");
        if (framing.setAside()) {
            return repeat + Words.of("wall.aside");
        }
        return repeat
                + session.format().map(framing::state).map(PhotoTile::sign).orElse("");
    }

    private static String words(RepeatsModel.Place place) {
        return Words.of("wall.repeat", place.place(), place.group().size()) + "  ";
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
        photoLayer.resizeRelocate(RING, RING, width, height);
        frameLayer.resizeRelocate(RING, RING, width, height);
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

    /** How level space lies in this tile's coordinates; empty if the photo is unreadable. */
    Optional<LevelView> view() {
        return space().map(space -> view(space, photoLayer.getWidth(), photoLayer.getHeight()))
                .map(view -> new LevelView(view.originX() + RING, view.originY() + RING, view.scale()));
    }

    private static LevelView view(PhotoSpace space, double width, double height) {
        return LevelView.fitting(space.upright().aspect(), 0, 0, width, height);
    }

    private Optional<PhotoSpace> space() {
        return photo.facts()
                .map(facts ->
                        new PhotoSpace(facts.asShot(), session.framing(photo).pose()));
    }

    private final class PhotoLayer extends DrawnPane {
        @Override
        void draw(GraphicsContext canvas, double width, double height) {
            drawn = space().orElse(null);
            space().ifPresent(space -> {
                Optional<ScreenPhoto> pixels = picture.pixels();
                if (pixels.isPresent()) {
                    new PhotoPainter(canvas, view(space, width, height)).photo(pixels.get(), space);
                } else {
                    canvas.setFill(Color.gray(0.82));
                    canvas.fillRect(0, 0, width, height);
                }
            });
        }
    }

    private final class FrameLayer extends DrawnPane {
        @Override
        void draw(GraphicsContext canvas, double width, double height) {
            if (picture.pixels().isPresent()) {
                space().ifPresent(space -> draw(canvas, view(space, width, height), space));
            }
        }

        private void draw(GraphicsContext canvas, LevelView view, PhotoSpace space) {
            PhotoPainter painter = new PhotoPainter(canvas, view);
            session.format().ifPresent(format -> {
                frame(painter, space, format);
                Optional.ofNullable(session.carry().planProperty().get().get(photo))
                        .ifPresent(carried -> Ghost.draw(canvas, view, space, carried, format, session));
            });
            painter.marks(session.framing(photo).marks().in(space), MARK, false);
            Map<Photo, Marks> proposals = models.marking().proposalsProperty().get();
            Optional.ofNullable(proposals.get(photo)).ifPresent(marks -> painter.marks(marks.in(space), MARK, true));
        }

        private void frame(PhotoPainter painter, PhotoSpace space, Format format) {
            Frame frame = session.frame(photo, format).orElseThrow();
            painter.mat(space.outline(), frame, Mat.WALL);
            painter.edge(frame);
        }
    }

    /** A point of this tile's coordinates in the photo's level space; empty if it is unreadable. */
    Optional<Point> toLevel(double x, double y) {
        return view().map(view -> view.toLevel(x, y));
    }
}
