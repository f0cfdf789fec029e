package nexa.desktop.wall;

import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.beans.value.ObservableValue;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Rectangle;
import javafx.util.Subscription;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.review.Warning;
import nexa.core.space.PhotoSpace;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.Looks;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;

/**
 * One photo on the Wall: whole, with its mat for the active format, its name, its state and its warnings. Photo, frame
 * and marks are apart, so that moving many frames draws no photo.
 */
public final class PhotoTile extends Pane {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
    private static final double RING = 5;
    private static final double RING_LINE = 2;

    /** What a tile shows that is not in use. */
    private static final Photo NONE = new Photo(0, "", "", new Probe.Unreadable(Trouble.of(Trouble.Kind.MISSING)));

    private final ShootModels models;
    private final Session session;
    private final FramePicture picture;
    private final TileWords said;
    private final Rectangle ring = box("tile-ring");
    private final Rectangle ground = box("tile-ground");
    private final DrawnPane photoLayer = new PhotoLayer();
    private final FrameNodes frameNodes;
    private final TileMarks marks;
    private final Label name = new Label();
    private final Label state = new Label();
    private final Label trouble = new Label();
    private Photo photo = NONE;
    private double caption;
    private Subscription subscriptions = Subscription.EMPTY;
    private @Nullable Framing shown;
    private @Nullable PhotoSpace drawn;

    /** Whether something was drawn beyond the photo. */
    private boolean filled;

    /**
     * Shows nothing yet.
     *
     * @param mat what veils a photo outside its frame
     */
    PhotoTile(ShootModels models, PhotoLoader loader, Executor fx, ObservableValue<Paint> mat) {
        this.frameNodes = new FrameNodes(mat);
        this.models = models;
        this.session = models.session();
        this.said = new TileWords(models);
        this.marks = new TileMarks(models);
        this.picture = new FramePicture(session.shoot(), loader, fx, this::arrived);
        getStyleClass().add("photo-tile");
        name.getStyleClass().add("tile-name");
        state.getStyleClass().add("tile-state");
        trouble.getStyleClass().add("tile-trouble");
        trouble.setWrapText(true);
        getChildren().addAll(ring, ground, photoLayer, frameNodes, marks, trouble, name, state);
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        setFocusTraversable(false);
        setManaged(false); // the Wall places it
        setOpacity(0);
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return switch (attribute) {
            case SELECTED ->
                session.photo().filter(photo::equals).isPresent()
                        || session.selection().photos().contains(photo);
            case INDEX -> session.list().photos().indexOf(photo);
            default -> super.queryAccessibleAttribute(attribute, parameters);
        };
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        if (action == AccessibleAction.REQUEST_FOCUS || action == AccessibleAction.FIRE) {
            session.choose(photo);
        } else {
            super.executeAccessibleAction(action, parameters);
        }
    }

    /** Shows a photo, also another one in place of the one before: making a tile anew takes far longer. */
    void show(Photo other) {
        release();
        photo = other;
        drawn = null;
        setMouseTransparent(false);
        name.setText(Words.name(photo.stem()));
        picture.show(photo, PhotoLoader.SMALL);
        subscriptions = Subscription.combine(
                session.photoProperty()
                        .subscribe(photo -> showChosen()), // a value's listener: others hear of every pulse of a drag
                session.selection().property().subscribe(this::showChosen),
                session.formatProperty().subscribe(format -> refresh()),
                session.framingProperty().subscribe(this::follow),
                session.previewsProperty().subscribe(this::follow),
                session.carry().planProperty().subscribe(this::refresh),
                models.marking().proposalsProperty().subscribe(this::redraw),
                models.repeats().groupsProperty().subscribe(this::refresh),
                session.arrivals().freshProperty().subscribe(this::refresh),
                session.editsProperty().subscribe(this::refresh));
        showChosen();
        refresh();
    }

    public Photo photo() {
        return photo;
    }

    /** Follows nothing any more, until another photo is shown. */
    void release() {
        subscriptions.unsubscribe();
        subscriptions = Subscription.EMPTY;
        picture.clear();
        photo = NONE;
        setOpacity(0); // not drawn either, and unlike a node made visible again it is not dressed anew
        setMouseTransparent(true);
    }

    /** Whether nothing of the photo shows yet. */
    boolean isBlank() {
        return picture.pixels().isEmpty() && picture.trouble().isEmpty();
    }

    /** Whether the photo shows as well as it can. */
    boolean isSharp() {
        return picture.isSharp();
    }

    /** Whether a photo is shown. */
    public boolean isUsed() {
        return photo != NONE;
    }

    private void showChosen() {
        boolean current = session.photo().filter(photo::equals).isPresent();
        boolean selected = session.selection().property().get().contains(photo);
        pseudoClassStateChanged(CURRENT, current);
        pseudoClassStateChanged(SELECTED, selected);
        ring.setVisible(current || selected);
        ground.setVisible(current || selected);
    }

    /** The renderer fills boxes at once, but puts a background of two layers together from slices of an image. */
    private static Rectangle box(String style) {
        Rectangle box = new Rectangle();
        box.getStyleClass().add(style);
        box.setSmooth(false);
        box.setManaged(false);
        box.setMouseTransparent(true);
        return box;
    }

    private void arrived() {
        photoLayer.redraw();
        refresh();
    }

    /** While a gesture goes on only the drawing follows; most changes are of other photos. */
    private void follow() {
        Framing framing = session.framing(photo);
        if (framing != shown) {
            shown = framing;
            redraw();
        }
    }

    private void redraw() {
        Optional<PhotoSpace> space = space();
        Optional<Frame> frame = frame();
        // what fills the blank of a frame that leaves the photo follows it
        boolean blank =
                space.isPresent() && frame.isPresent() && !space.get().outline().holds(frame.get());
        if (blank || filled || !space.equals(Optional.ofNullable(drawn))) {
            filled = blank;
            photoLayer.redraw();
        }
        showFrame(space, frame);
        marks.show(picture.pixels().isPresent() ? photo : NONE);
    }

    private void showFrame(Optional<PhotoSpace> space, Optional<Frame> frame) {
        double width = photoLayer.getWidth();
        double height = photoLayer.getHeight();
        boolean shows = frame.isPresent() && picture.pixels().isPresent() && width > 0;
        frameNodes.setVisible(shows);
        if (shows) {
            frameNodes.show(view(space.orElseThrow(), width, height), frame.orElseThrow(), width, height);
        }
    }

    private void refresh() {
        Framing framing = session.framing(photo);
        shown = framing;
        Optional<Trouble> reason = picture.trouble();
        String words = reason.map(Words::of).orElseGet(() -> said.state(photo, framing));
        Set<Warning> warnings = said.warnings(photo);
        boolean warned = !warnings.isEmpty()
                || photo.facts()
                        .filter(facts -> facts.remarks().contains(Remark.DAMAGED))
                        .isPresent();
        state.setText(reason.isPresent() ? "" : warned ? "⚠ " + words : words);
        trouble.setText(reason.map(Words::of).orElse(""));
        trouble.setVisible(reason.isPresent());
        setAccessibleText(Words.of("wall.tile", name.getText(), words, Looks.words(warnings)));
        setOpacity(framing.setAside() ? 0.35 : 1);
        redraw();
    }

    /** What a tooltip says of the photo; empty if there is nothing to say. */
    public String explanation() {
        return said.explanation(photo);
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth() - 2 * RING;
        double height = getHeight() - 2 * RING - caption;
        ring.setWidth(getWidth());
        ring.setHeight(getHeight());
        ground.relocate(RING_LINE, RING_LINE);
        ground.setWidth(getWidth() - 2 * RING_LINE);
        ground.setHeight(getHeight() - 2 * RING_LINE);
        photoLayer.resizeRelocate(RING, RING, width, height);
        frameNodes.setLayoutX(RING); // relocating a group counts from what it holds
        frameNodes.setLayoutY(RING);
        showFrame(space(), frame());
        marks.resizeRelocate(RING, RING, width, height);
        trouble.resizeRelocate(RING, RING, width, height);
        name.setVisible(caption > 0);
        state.setVisible(caption > 0);
        if (caption > 0) {
            double stateWidth = Math.min(width, Math.ceil(state.prefWidth(-1)));
            state.resizeRelocate(RING + width - stateWidth, RING + height + 3, stateWidth, caption - 3);
            name.resizeRelocate(RING, RING + height + 3, Math.max(0, width - stateWidth - 6), caption - 3);
        }
    }

    /** Puts the tile so that its photo fills the cell; the ring for the current photo lies outside. */
    void placeIn(WallLayout.Cell cell) {
        caption = cell.caption();
        resizeRelocate(cell.x() - RING, cell.y() - RING, cell.width() + 2 * RING, cell.height() + 2 * RING + caption);
        layout(); // at once: unmanaged nodes that ask for it during a layout are not laid out again
        picture.show(photo, PhotoLoader.edgeFor(Math.max(cell.width(), cell.height())));
    }

    /** How level space lies in this tile's coordinates; empty if the photo is unreadable. */
    public Optional<LevelView> view() {
        return space().map(space -> view(space, photoLayer.getWidth(), photoLayer.getHeight()))
                .map(view -> new LevelView(view.originX() + RING, view.originY() + RING, view.scale()));
    }

    static LevelView view(PhotoSpace space, double width, double height) {
        return LevelView.fitting(space.extent(), 0, 0, width, height);
    }

    private Optional<PhotoSpace> space() {
        return photo.facts()
                .map(facts ->
                        new PhotoSpace(facts.asShot(), session.framing(photo).pose()));
    }

    private final class PhotoLayer extends DrawnPane {
        @Override
        public void draw(GraphicsContext canvas, double width, double height) {
            drawn = space().orElse(null);
            space().ifPresent(space -> {
                if (picture.pixels().isPresent()) {
                    paint(new PhotoPainter(canvas, view(space, width, height)), space);
                } else {
                    canvas.setFill(Palette.WAITING);
                    canvas.fillRect(0, 0, width, height);
                }
            });
        }
    }

    private void paint(PhotoPainter painter, PhotoSpace space) {
        Optional<Frame> frame = frame();
        if (frame.isPresent()) {
            picture.draw(
                    painter,
                    space,
                    frame.get(),
                    session.framing(photo).fill(session.format().orElseThrow()));
        } else {
            picture.corrected(space).ifPresent(shows -> painter.photo(shows, space));
        }
    }

    private Optional<Frame> frame() {
        return session.format().flatMap(format -> session.frame(photo, format));
    }

    /** Where the frame's edge is, in this tile's coordinates. */
    public Bounds frameBounds() {
        return frameNodes.localToParent(frameNodes.hole());
    }

    /** A point of this tile's coordinates in the photo's level space; empty if it is unreadable. */
    public Optional<Point> toLevel(double x, double y) {
        return view().map(view -> view.toLevel(x, y));
    }
}
