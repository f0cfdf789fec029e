package nexa.desktop.session;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.shape.Shape;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Photo;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;

/**
 * The open shoot as the window sees it: the current photo, the active format, and every action. While a gesture goes on
 * its result is shown by {@link #preview} without being stored; {@link #commit} makes it one edit.
 */
public final class Session {
    private static final String PHOTO = "current photo";
    private static final String FORMAT = "active format";
    private static final String VIEW = "view";

    private final Shoot shoot;
    private final ReadOnlyObjectWrapper<Optional<Photo>> photo = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Format>> format = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Framing> framing = new ReadOnlyObjectWrapper<>(Framing.UNTOUCHED);
    private final ReadOnlyObjectWrapper<Brief> brief;
    private final ReadOnlyIntegerWrapper edits = new ReadOnlyIntegerWrapper();
    private final Settings settings;
    private final FrameEdits frameEdits = new FrameEdits(this);
    private final CarryModel carry = new CarryModel(this);
    private final ObjectProperty<Set<Photo>> selection = new SimpleObjectProperty<>(Set.of());
    private final ObjectProperty<MainView> view = new SimpleObjectProperty<>(MainView.WALL);

    public Session(Shoot shoot, Settings settings) {
        this.shoot = shoot;
        this.settings = settings;
        this.brief = new ReadOnlyObjectWrapper<>(shoot.brief());
        shoot.listen(this::changed);
        recall();
    }

    private void recall() {
        choose(shoot.setting(FORMAT).flatMap(name -> brief.get().find(name)).or(() -> brief.get().formats().stream()
                .findFirst()));
        shoot.setting(PHOTO)
                .flatMap(file -> shoot.photos().stream()
                        .filter(p -> p.file().equals(file))
                        .findFirst())
                .or(() -> shoot.photos().stream().findFirst())
                .ifPresent(this::choose);
        view.set(shoot.setting(VIEW)
                .filter(MainView.BENCH.name()::equals)
                .map(MainView::valueOf)
                .orElse(MainView.WALL));
        view.subscribe(shown -> shoot.remember(VIEW, shown.name()));
    }

    public Shoot shoot() {
        return shoot;
    }

    public Settings settings() {
        return settings;
    }

    /** What can be done to the current photo's frame in the active format. */
    public FrameEdits frameEdits() {
        return frameEdits;
    }

    /** Carrying the current photo's crop to others. */
    public CarryModel carry() {
        return carry;
    }

    /** The photos chosen together on the Wall; empty if it is only the current one. */
    public ObjectProperty<Set<Photo>> selectionProperty() {
        return selection;
    }

    /** The selection in the shoot's order, or the current photo if nothing is selected. */
    public List<Photo> chosenPhotos() {
        Set<Photo> selected = selection.get();
        return selected.isEmpty()
                ? photo().stream().toList()
                : shoot.photos().stream().filter(selected::contains).toList();
    }

    /** The current photo; empty only in an empty folder. */
    public ReadOnlyObjectProperty<Optional<Photo>> photoProperty() {
        return photo.getReadOnlyProperty();
    }

    public Optional<Photo> photo() {
        return photo.get();
    }

    /** The active format; empty only if the brief is. */
    public ReadOnlyObjectProperty<Optional<Format>> formatProperty() {
        return format.getReadOnlyProperty();
    }

    public Optional<Format> format() {
        return format.get();
    }

    /** What is asked of the current photo, including a gesture that still goes on. */
    public ReadOnlyObjectProperty<Framing> framingProperty() {
        return framing.getReadOnlyProperty();
    }

    public Framing framing() {
        return framing.get();
    }

    public ReadOnlyObjectProperty<Brief> briefProperty() {
        return brief.getReadOnlyProperty();
    }

    /** Counts edits, undos and redos, for what depends on any of them. */
    public ReadOnlyIntegerProperty editsProperty() {
        return edits.getReadOnlyProperty();
    }

    public ObjectProperty<OverlayChoice> overlayProperty() {
        return settings.overlayProperty();
    }

    public ObjectProperty<MainView> viewProperty() {
        return view;
    }

    // ---- the current photo's geometry ----

    /** Spaces of the current photo as it is held now, gesture included; empty if there is none or it is unreadable. */
    public Optional<PhotoSpace> space() {
        return photo().flatMap(Photo::facts)
                .map(facts -> new PhotoSpace(facts.asShot(), framing().pose()));
    }

    /** Any photo's frame in a format; of the current one, gesture included. */
    public Optional<Frame> frame(Photo of, Format ofFormat) {
        return of.facts().map(facts -> Derivation.frame(facts.asShot(), framing(of), ofFormat, brief.get()));
    }

    /** The current photo's frame in a format, gesture included. */
    public Optional<Frame> frame(Format ofFormat) {
        return photo().flatMap(current -> frame(current, ofFormat));
    }

    /** The current photo's frame in the active format. */
    public Optional<Frame> frame() {
        return format().flatMap(this::frame);
    }

    /** What is asked of any photo; of the current one, gesture included. */
    public Framing framing(Photo of) {
        return photo().filter(of::equals).isPresent() ? framing() : shoot.framing(of);
    }

    // ---- choosing ----

    public void choose(Photo chosen) {
        photo.set(Optional.of(chosen));
        framing.set(shoot.framing(chosen));
        shoot.remember(PHOTO, chosen.file());
    }

    /** Goes on by so many photos; stays at the ends. */
    public void step(int by) {
        List<Photo> photos = shoot.photos();
        photo().map(current -> Math.clamp(photos.indexOf(current) + by, 0, photos.size() - 1))
                .ifPresent(index -> choose(photos.get(index)));
    }

    public void choose(Format chosen) {
        choose(Optional.of(chosen));
    }

    private void choose(Optional<Format> chosen) {
        format.set(chosen);
        chosen.ifPresent(f -> shoot.remember(FORMAT, f.name()));
    }

    /** The format with a digit key, 1 to 9; nothing if there is none. */
    public void chooseFormat(int digit) {
        if (digit >= 1 && digit <= brief.get().formats().size()) {
            choose(brief.get().formats().get(digit - 1));
        }
    }

    // ---- gestures and edits of the current photo ----

    /** Shows what a gesture leads to, without storing it. */
    public void preview(Framing gesture) {
        if (shoot.mayEdit()) {
            framing.set(gesture);
        }
    }

    /** Makes what is shown one edit. */
    public void commit(String label) {
        photo().filter(p -> shoot.mayEdit())
                .ifPresent(p -> shoot.apply(Edit.framing(label, p.id(), shoot.framing(p), framing())));
    }

    /** Shows what is stored again. */
    public void abandon() {
        photo().ifPresent(p -> framing.set(shoot.framing(p)));
    }

    void edit(String label, Framing after) {
        preview(after);
        commit(label);
    }

    /** What holds the current photo's frame in the active format: its crop, or one that would be the derived frame. */
    public Optional<Crop> crop() {
        return format().flatMap(f -> asShot().map(size -> Derivation.crop(size, framing(), f, brief.get())));
    }

    /** The framing with the frame as the active format's wish; what else its crop asks for stays. */
    public Framing placed(Frame frame) {
        return crop().map(crop -> placed(crop.withWish(space().orElseThrow().toAsShot(frame))))
                .orElse(framing());
    }

    Framing placed(Crop crop) {
        return framing().with(format().orElseThrow(), crop);
    }

    /** The framing with another tilt. */
    public Framing tilted(Tilt tilt) {
        return framing().with(framing().pose().withTilt(tilt));
    }

    public void tilt(Tilt tilt, String label) {
        edit(label, tilted(tilt));
    }

    public void tiltBy(double degrees) {
        double exact = framing().pose().tilt().degrees() + degrees;
        tilt(Tilt.clamped(Math.round(exact * 1000) / 1000.0), "edit.tilt");
    }

    public void turn(Turn by) {
        edit(
                by.mirrored() ? "edit.mirror" : "edit.turn",
                framing().with(framing().pose().turned(by)));
    }

    /** Derives the active format's frame again. */
    public void clear() {
        format().ifPresent(f -> edit("edit.clear", framing().cleared(f)));
    }

    /** Accepts the frame as it stands and goes to the next photo. */
    public void checkAndNext() {
        crop().ifPresent(crop -> edit("edit.check", placed(crop.asChecked())));
        step(1);
    }

    public void toggleSetAside() {
        edit("edit.aside", framing().withSetAside(!framing().setAside()));
    }

    // ---- the brief ----

    /** @throws IllegalArgumentException with words for the user if the name is taken or not a name */
    public void addFormat(String name, Shape shape) {
        Brief longer = brief.get().with(name, shape);
        if (shoot.mayEdit()) {
            shoot.apply(Edit.brief("edit.brief.add", brief.get(), longer));
            choose(longer.formats().getLast());
        }
    }

    /** Makes another brief of this one, as one edit. */
    public void changeBrief(String label, Brief changed) {
        if (shoot.mayEdit()) {
            shoot.apply(Edit.brief(label, brief.get(), changed));
        }
    }

    public void removeFormat(Format removed) {
        if (shoot.mayEdit()) {
            shoot.apply(Edit.brief("edit.brief.remove", brief.get(), brief.get().without(removed)));
        }
    }

    public void undo() {
        shoot.undo();
    }

    public void redo() {
        shoot.redo();
    }

    /** Steps back, or forward if negative, by so many actions. */
    public void stepBack(int actions) {
        for (int i = 0; i < Math.abs(actions); i++) {
            if (actions > 0) {
                undo();
            } else {
                redo();
            }
        }
    }

    private void changed(Edit edit) {
        brief.set(shoot.brief());
        choose(format().flatMap(f -> brief.get().find(f.id()))
                .or(() -> brief.get().formats().stream().findFirst()));
        abandon();
        edits.set(edits.get() + 1);
    }

    // ---- figures ----

    /** How many photos have a placed or checked frame in a format. */
    public long touched(Format in) {
        return shoot.photos().stream()
                .filter(p -> shoot.framing(p).crop(in).isPresent())
                .count();
    }

    /** How many photos lie so. */
    public long lying(Orientation orientation) {
        return shoot.photos().stream()
                .flatMap(p -> shoot.space(p).stream())
                .map(PhotoSpace::upright)
                .filter(size -> size.orientation() == orientation)
                .count();
    }

    /** Size as shot of the current photo. */
    public Optional<PixelSize> asShot() {
        return photo().flatMap(Photo::facts).map(PhotoFacts::asShot);
    }
}
