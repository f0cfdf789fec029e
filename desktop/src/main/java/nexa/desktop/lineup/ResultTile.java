package nexa.desktop.lineup;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.lineup.Deviation;
import nexa.core.lineup.Trait;
import nexa.desktop.model.Marking;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.picture.OverlaidResult;
import nexa.desktop.session.LineupModel;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** One result in the Line-up, with the overlay, and how its subject lies against the exemplar's. */
public final class ResultTile extends Pane {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
    private static final PseudoClass OUTLIER = PseudoClass.getPseudoClass("outlier");
    private static final double RING = 6;
    private static final double LINE = 18;

    /** Radius of a mark, in canvas units. */
    private static final double MARK = 4;

    private final Session session;
    private final Marking marking;
    private Photo photo;
    private final FramePicture picture;
    private final DrawnPane drawing = new Drawing();
    private final Label name = new Label();
    private final Label place = new Label();
    private final Label size = new Label();
    private final OverlaidResult result;
    private final Subscription subscriptions;
    private double width;
    private double height;

    ResultTile(ShootModels models, Photo photo, PhotoLoader loader, Executor fx) {
        this.session = models.session();
        this.marking = models.marking();
        this.photo = photo;
        this.picture = new FramePicture(session.shoot(), loader, fx, drawing::redraw);
        this.result = new OverlaidResult(session, picture);
        getStyleClass().add("result-tile");
        name.getStyleClass().add("result-name");
        place.getStyleClass().add("result-figure");
        size.getStyleClass().add("result-figure");
        getChildren().addAll(drawing, name, place, size);
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        setManaged(false); // the Line-up places it
        picture.show(photo, PhotoLoader.SMALL);
        subscriptions = Subscription.combine(
                session.photoProperty().subscribe(current -> mark()),
                session.selection().property().subscribe(selected -> mark()),
                session.lineup().shownProperty().subscribe(this::say),
                marking.proposalsProperty().subscribe(proposals -> drawing.redraw()),
                session.framingProperty().subscribe(framing -> drawing.redraw()),
                session.overlayProperty().subscribe(choice -> drawing.redraw()),
                session.settings().overlayOptionsProperty().subscribe(options -> drawing.redraw()),
                session.settings().overlayLookProperty().subscribe(look -> drawing.redraw()));
    }

    /** Shows another photo in place of the one before. */
    void show(Photo other) {
        photo = other;
        picture.show(other, PhotoLoader.SMALL);
        setVisible(true);
        mark();
        say(session.lineup().shownProperty().get());
    }

    /** Shows nothing, until it is used again. */
    void release() {
        setVisible(false);
        picture.clear();
    }

    private void mark() {
        pseudoClassStateChanged(CURRENT, session.photo().filter(photo::equals).isPresent());
        pseudoClassStateChanged(SELECTED, session.selection().property().get().contains(photo));
    }

    /** The last one if it shows none now, which is seen by its not being visible. */
    public Photo photo() {
        return photo;
    }

    void dispose() {
        subscriptions.unsubscribe();
        picture.clear();
    }

    private Optional<Frame> frame() {
        return session.format().flatMap(format -> session.frame(photo, format));
    }

    private void say(LineupModel.Shown shown) {
        boolean exemplar = shown.exemplar().filter(photo::equals).isPresent();
        name.setText(Words.name(photo.stem()));
        Optional<Deviation> deviation = Optional.ofNullable(shown.deviations().get(photo));
        Set<Trait> traits = shown.outliers().getOrDefault(photo, Set.of());
        place.setText(
                exemplar
                        ? Words.of("lineup.exemplar")
                        : deviation.map(ResultTile::placeWords).orElseGet(() -> Words.of("lineup.unmarked")));
        size.setText(exemplar ? "" : deviation.map(ResultTile::sizeWords).orElse(""));
        place.pseudoClassStateChanged(OUTLIER, traits.contains(Trait.PLACE));
        size.pseudoClassStateChanged(OUTLIER, traits.contains(Trait.SIZE) || traits.contains(Trait.LEAN));
        setAccessibleText(name.getText() + ", " + place.getText() + ", " + size.getText());
        drawing.redraw();
    }

    /** Right and down are positive, as the subject lies further there. */
    private static String placeWords(Deviation deviation) {
        return Words.of(
                "lineup.place",
                tenths(100 * deviation.offset().x()),
                tenths(100 * deviation.offset().y()));
    }

    private static String sizeWords(Deviation deviation) {
        String ratio = deviation.sizeRatio().isPresent()
                ? Words.of(
                        "lineup.size",
                        Words.number("%.2f", deviation.sizeRatio().getAsDouble()))
                : "";
        String lean =
                deviation.lean().isPresent() ? " · " + tenths(deviation.lean().getAsDouble()) + "°" : "";
        return ratio + lean;
    }

    private static String tenths(double figure) {
        double tenths = Math.round(figure * 10) / 10.0 + 0.0; // no −0.0
        return Words.number(tenths == 0 ? "%.1f" : "%+.1f", tenths);
    }

    /** Puts the tile so that its result fills the cell. */
    void placeIn(LineupLayout.Cell cell, double top) {
        width = cell.width();
        height = cell.height();
        resizeRelocate(
                cell.x() - RING,
                top - RING,
                Math.max(width, LineupLayout.NARROWEST) + 2 * RING,
                height + 2 * RING + LineupLayout.CAPTION);
        layout(); // at once: unmanaged nodes that ask for it during a layout are not laid out again
        frame().ifPresent(frame -> picture.show(
                photo, PhotoLoader.edgeFor(height / Math.min(1, frame.height()) * Math.max(1, 1 / frame.aspect()))));
    }

    @Override
    protected void layoutChildren() {
        double captionWidth = getWidth() - RING;
        double top = RING + height + 3;
        drawing.resizeRelocate(RING, RING, width, height);
        name.resizeRelocate(RING, top, captionWidth, LINE);
        double figures = captionWidth + LineupLayout.GAP - RING; // they may go on where no result is
        place.resizeRelocate(RING, top + LINE - 1, Math.min(figures, Math.ceil(place.prefWidth(-1))), LINE);
        size.resizeRelocate(RING, top + 2 * LINE - 2, Math.min(figures, Math.ceil(size.prefWidth(-1))), LINE);
    }

    /** How level space lies in this tile's coordinates. */
    Optional<LevelView> view() {
        return frame().map(frame -> LevelView.filling(frame, drawing.getWidth(), drawing.getHeight()));
    }

    private final class Drawing extends DrawnPane {
        @Override
        public void draw(GraphicsContext canvas, double width, double height) {
            frame().ifPresent(frame -> {
                LevelView view = LevelView.filling(frame, width, height);
                result.draw(canvas, view, photo, session.format().orElseThrow(), frame, true);
                proposed().ifPresent(marks -> new PhotoPainter(canvas, view).marks(marks, MARK, true));
            });
        }
    }

    /** Where the marks lie that are proposed for the photo, in level space. */
    private Optional<List<Point>> proposed() {
        return Optional.ofNullable(marking.proposalsProperty().get().get(photo)).map(proposed -> proposed.marks()
                .in(photo.space(session.framing(photo).pose())));
    }
}
