package nexa.desktop.wall;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import nexa.core.brief.Crop;
import nexa.core.carry.Change;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.gesture.FrameDrag;
import nexa.core.gesture.Grip;
import nexa.core.gesture.TiltDrag;
import nexa.core.space.PhotoSpace;
import nexa.desktop.keys.Keys;
import nexa.desktop.paint.LevelView;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Mover;
import nexa.shoot.photo.Photo;

/**
 * The pointer on the Wall: chooses and selects photos; on one of several selected photos a drag changes the frames of
 * all of them alike: its inside moves, its corners and sides size, outside of it tilts.
 */
final class WallPointer {
    /** How near to an edge it is taken hold of at most, of the frame's shorter side: the rest moves a small one. */
    private static final double MOST_REACH = 0.25;

    /** A press that moves less is a click. */
    private static final double CLICK = 3;

    /** From where the pointer is, in the pressed photo's level space, to what changes. */
    private record TogetherDrag(PhotoTile tile, LevelView view, Function<Point, Change> change) {}

    private final Session session;
    private final Keys keys;
    private final Function<Point, Optional<PhotoTile>> tiles;
    private Optional<TogetherDrag> together = Optional.empty();
    private Optional<PhotoTile> pressed = Optional.empty();
    private Point from = Point.ORIGIN;
    private boolean moving;

    /** @param tiles finds the tile at a place of the pane */
    WallPointer(Session session, Keys keys, Pane pane, Function<Point, Optional<PhotoTile>> tiles) {
        this.session = session;
        this.keys = keys;
        this.tiles = tiles;
        pane.setOnMousePressed(this::pressed);
        pane.setOnMouseDragged(this::dragged);
        pane.setOnMouseReleased(event -> released());
    }

    private void pressed(MouseEvent event) {
        from = new Point(event.getX(), event.getY());
        moving = false;
        pressed = tiles.apply(from);
        together =
                pressed.filter(tile -> event.getButton() == MouseButton.PRIMARY).flatMap(this::begin);
        if (together.isEmpty()) {
            pressed.filter(tile -> !isMenuOfSelected(event, tile)).ifPresent(this::choose);
        }
        if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2 && pressed.isPresent()) {
            together = Optional.empty();
            session.viewProperty().set(MainView.BENCH);
        }
    }

    /** A menu on one of several chosen photos is for all of them. */
    private boolean isMenuOfSelected(MouseEvent event, PhotoTile tile) {
        return event.getButton() == MouseButton.SECONDARY
                && session.selection().photos().contains(tile.photo());
    }

    /** With Ctrl or Shift only the selection changes: the current photo stays, to be carried from. */
    private void choose(PhotoTile tile) {
        boolean selecting = isSelecting();
        select(tile.photo());
        if (!selecting) {
            session.choose(tile.photo());
        }
    }

    private boolean isSelecting() {
        return keys.modifiers().shortcut() || keys.modifiers().shift();
    }

    /** Ctrl adds or takes away one photo, Shift takes all from the current one, a plain press ends the selection. */
    private void select(Photo photo) {
        Set<Photo> selected = new HashSet<>(session.selection().property().get());
        if (keys.modifiers().shortcut()) {
            session.photo().filter(current -> selected.isEmpty()).ifPresent(selected::add);
            if (!selected.remove(photo)) {
                selected.add(photo);
            }
        } else if (keys.modifiers().shift()) {
            selected.addAll(between(session.photo().orElse(photo), photo));
        } else {
            selected.clear();
        }
        session.selection().property().set(Set.copyOf(selected));
    }

    private List<Photo> between(Photo one, Photo other) {
        List<Photo> photos = session.list().photos();
        int from = Math.max(0, Math.min(photos.indexOf(one), photos.indexOf(other)));
        int to = Math.max(photos.indexOf(one), photos.indexOf(other));
        return photos.subList(from, to + 1);
    }

    // ---- together ----

    private Optional<TogetherDrag> begin(PhotoTile tile) {
        Set<Photo> selected = session.selection().property().get();
        boolean all = selected.size() > 1 && selected.contains(tile.photo()) && !isSelecting();
        if (!all || !session.shoot().mayEdit()) {
            return Optional.empty();
        }
        return tile.view().flatMap(view -> session.format()
                .flatMap(format -> session.frame(tile.photo(), format))
                .map(frame -> new TogetherDrag(tile, view, change(tile, view, frame))));
    }

    private Function<Point, Change> change(PhotoTile tile, LevelView view, Frame frame) {
        PhotoSpace space = session.shoot().space(tile.photo()).orElseThrow();
        Point at = view.toLevel(from.x() - tile.getLayoutX(), from.y() - tile.getLayoutY());
        Optional<Grip> grip = Grip.at(frame, at, reach(view, frame));
        if (grip.isEmpty()) {
            TiltDrag drag = new TiltDrag(space.pose().tilt(), at);
            return pointer -> Change.tilted(
                    drag.to(pointer).degrees() - space.pose().tilt().degrees());
        }
        boolean photoMoves =
                grip.get() == Grip.INSIDE && session.settings().moverProperty().get() == Mover.PHOTO;
        boolean outside = session.format()
                .flatMap(session.framing(tile.photo())::crop)
                .filter(Crop::outside)
                .isPresent();
        FrameDrag drag = new FrameDrag(space.room(outside), frame, grip.get(), at, FrameDrag.Hold.SHAPE);
        return pointer -> Change.between(frame, drag.to(photoMoves ? at.times(2).minus(pointer) : pointer));
    }

    private double reach(LevelView view, Frame frame) {
        return Math.min(
                session.settings().reach() / view.scale(), MOST_REACH * Math.min(frame.width(), frame.height()));
    }

    private void dragged(MouseEvent event) {
        Point at = new Point(event.getX(), event.getY());
        moving |= at.distance(from) >= CLICK;
        if (moving) {
            together.ifPresent(held -> session.together()
                    .preview(held.change.apply(
                            held.view.toLevel(at.x() - held.tile.getLayoutX(), at.y() - held.tile.getLayoutY()))));
        }
    }

    private void released() {
        if (moving) {
            together.ifPresent(held -> session.together().commit());
        } else if (together.isPresent()) {
            pressed.ifPresent(this::choose);
        }
        together = Optional.empty();
    }

    /** Whether frames are held that a drag moves together. */
    boolean isHolding() {
        return together.isPresent();
    }

    /** Gives up what goes on; false if nothing did. */
    boolean letGo() {
        boolean busy = together.isPresent() && moving;
        together = Optional.empty();
        if (busy) {
            session.together().abandon();
        }
        return busy;
    }
}
