package nexa.desktop.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.brief.Alternate;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.carry.Change;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.outline.Outline;
import nexa.core.shape.Nearest;
import nexa.core.shape.Shape;
import nexa.desktop.setting.Mover;

/** What can be done to the current photo's frame in the active format, each as one edit. */
public final class FrameEdits {
    /** Shapes that most deliveries ask for. */
    public static final List<String> COMMON =
            List.of("1:1", "5:4", "4:3", "7:5", "3:2", "16:9", "2:1", "1.91:1", "2.35:1");

    /** What one step moves several photos' frames, in frames. */
    private static final double MOVE_STEP = 0.002;

    private static final double SIZE_STEP = 1.01;

    private final Session session;

    FrameEdits(Session session) {
        this.session = session;
    }

    /** The active format in the shape that the current frame is held to. */
    public Optional<Format> held() {
        return session.format().map(format -> session.framing()
                .crop(format)
                .map(crop -> crop.held(format))
                .orElse(format));
    }

    public boolean isFree() {
        return held().filter(format -> !format.keepsShape()).isPresent();
    }

    public boolean isOutsideAllowed() {
        return session.moment().crop().filter(Crop::outside).isPresent();
    }

    /** Where the current frame may lie. */
    public Optional<Outline> room() {
        return session.space().map(space -> space.room(isOutsideAllowed()));
    }

    /** Whether part of the frame shows no photo. */
    public boolean showsBlank() {
        return session.format().filter(this::showsBlank).isPresent();
    }

    /** Whether part of the current photo's frame in a format shows no photo. */
    public boolean showsBlank(Format format) {
        return session.moment()
                .frame(format)
                .flatMap(frame -> session.space().map(space -> !space.outline().holds(frame)))
                .orElse(false);
    }

    /** Derives the active format's frame again, of all photos that are adjusted. */
    public void clear() {
        session.format().ifPresent(f -> session.gestures().editAll("edit.clear", (photo, before) -> before.cleared(f)));
    }

    /** Accepts the frames of all photos that are adjusted as they stand. */
    public void checkAll() {
        session.format().ifPresent(f -> session.gestures().editAll("edit.check", (photo, before) -> photo.facts()
                .map(facts -> Derivation.crop(facts.asShot(), before, f, session.brief()))
                .map(crop -> before.withCrop(f, crop.asChecked()))
                .orElse(before)));
    }

    /** Sets the photos that are adjusted aside, or takes them back if the current one is. */
    public void toggleSetAside() {
        boolean aside = !session.framing().setAside();
        session.gestures().editAll("edit.aside", (photo, before) -> before.withSetAside(aside));
    }

    private void change(String label, UnaryOperator<Crop> change) {
        session.moment().crop().ifPresent(crop -> session.gestures()
                .edit(label, session.gestures().placed(change.apply(crop))));
    }

    /** Places a frame as near as its room allows. */
    public void place(String label, Frame frame) {
        room().ifPresent(room ->
                session.gestures().edit(label, session.gestures().placed(Fit.within(room, frame))));
    }

    /** Moves the frame, or the photo under it, by the photo's pixels. */
    public void nudge(int right, int down) {
        if (session.together().isOn()) {
            nudgeAll(right, down);
            return;
        }
        int sign = session.settings().moverProperty().get() == Mover.FRAME ? 1 : -1;
        session.frame().ifPresent(frame -> session.moment()
                .asShot()
                .ifPresent(size -> place(
                        "edit.nudge",
                        frame.movedBy(new Point(sign * right, sign * down).times(1.0 / size.longEdge())))));
    }

    /** By so many thousandths of each frame. */
    private void nudgeAll(int right, int down) {
        int sign = session.settings().moverProperty().get() == Mover.FRAME ? 1 : -1;
        session.together().add(Change.moved(sign * right * MOVE_STEP, sign * down * MOVE_STEP));
    }

    /** Makes the frame larger or smaller about its centre, its long side by so many of the photo's pixels. */
    public void grow(int pixels) {
        if (session.together().isOn()) {
            session.together().add(Change.sized(pixels > 0 ? SIZE_STEP : 1 / SIZE_STEP));
            return;
        }
        session.frame().ifPresent(frame -> session.moment().asShot().ifPresent(size -> {
            double longSide = Math.max(frame.width(), frame.height());
            double wanted = Math.max(0.02, longSide + (double) pixels / size.longEdge());
            place("edit.grow", frame.scaled(wanted / longSide));
        }));
    }

    /** Lays the frame the other way: centre and area stay where they fit, and swapping again restores all. */
    public void swap() {
        if (session.together().isOn()) {
            session.together().add(Change.laidTheOtherWay());
            return;
        }
        session.space()
                .ifPresent(space -> change("edit.swap", crop -> {
                    Frame wish = crop.wish();
                    Crop turned = crop.withWish(new Frame(wish.centreX(), wish.centreY(), wish.height(), wish.width()));
                    return Derivation.keepingItsWay(
                            space, turned, session.format().orElseThrow());
                }));
    }

    /** Holds this photo's frame to a shape, the frame nearest to the present one: same centre, same area. */
    public void hold(Shape shape) {
        boolean formats = session.format().filter(f -> f.shape().equals(shape)).isPresent();
        Optional<Shape> own = formats ? Optional.empty() : Optional.of(shape);
        session.space()
                .ifPresent(space -> change("edit.shape", crop -> {
                    Frame frame = session.frame().orElseThrow();
                    Crop held = crop.withWish(space.toAsShot(frame)).withOwnShape(own);
                    Frame shaped = Derivation.shaped(
                            space, frame, held.held(session.format().orElseThrow()));
                    return held.withWish(space.toAsShot(shaped));
                }));
    }

    /** Frees the frame as it is; or holds a free one to the format's shape, or else to the nearest one known. */
    public void toggleLock() {
        if (isFree()) {
            lockedShape().ifPresent(this::hold);
        } else {
            hold(Shape.FREE);
        }
    }

    /** What a free frame would be locked to. */
    public Optional<Shape> lockedShape() {
        Optional<Shape> formats = session.format().map(Format::shape).filter(shape -> shape != Shape.FREE);
        return formats.or(() -> session.frame().flatMap(frame -> Nearest.to(frame.aspect(), known())));
    }

    /** The common shapes and those somebody typed. */
    private List<Shape.Ratio> known() {
        List<String> texts = new ArrayList<>(COMMON);
        texts.addAll(session.settings().shapesProperty().get());
        List<Shape.Ratio> ratios = new ArrayList<>();
        for (String text : texts) {
            if (!text.isBlank() && Shape.parse(text) instanceof Shape.Ratio ratio) {
                ratios.add(ratio);
            }
        }
        return ratios;
    }

    public void allowOutside(boolean allowed) {
        change("edit.outside", crop -> crop.withOutside(allowed));
    }

    // ---- alternates ----

    public List<Alternate> alternates() {
        return session.format().map(session.framing()::alternates).orElse(List.of());
    }

    /** Whether the alternate is what shows. */
    public boolean isShown(Alternate alternate) {
        return session.moment()
                .crop()
                .filter(crop -> crop.wish().equals(alternate.crop().wish())
                        && crop.ownShape().equals(alternate.crop().ownShape()))
                .isPresent();
    }

    /**
     * Keeps the present crop under a name.
     *
     * @throws IllegalArgumentException with words for the user if it is not a name
     */
    public void keep(String name) {
        session.moment().crop().ifPresent(crop -> {
            Format format = session.format().orElseThrow();
            Framing kept = session.framing().withCrop(format, crop).keeping(format, new Alternate(name, crop));
            session.gestures().edit("edit.alternate.keep", kept);
        });
    }

    public void use(Alternate alternate) {
        session.gestures().edit("edit.alternate.use", session.gestures().placed(alternate.crop()));
    }

    public void drop(Alternate alternate) {
        session.format().ifPresent(f -> session.gestures()
                .edit("edit.alternate.drop", session.framing().without(f, alternate)));
    }

    /** Shows the alternate behind the one shown, or the first. */
    public void nextAlternate() {
        List<Alternate> all = alternates();
        if (!all.isEmpty()) {
            int shown = -1;
            for (int i = 0; i < all.size(); i++) {
                shown = isShown(all.get(i)) ? i : shown;
            }
            use(all.get((shown + 1) % all.size()));
        }
    }
}
