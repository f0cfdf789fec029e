package nexa.desktop.session;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.carry.Change;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.overlay.OverlayChoice;
import nexa.core.review.Warning;
import nexa.core.space.PhotoSpace;
import nexa.desktop.setting.Settings;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoFilter;

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
    private final BriefEdits briefEdits = new BriefEdits(this);
    private final CarryModel carry = new CarryModel(this);
    private final TogetherModel together = new TogetherModel(this);
    private final LineupModel lineup = new LineupModel(this);
    private final ArrivalsModel arrivals = new ArrivalsModel(this);
    private final PhotoList list;
    private final ReadOnlyObjectWrapper<Map<Photo, Framing>> previews = new ReadOnlyObjectWrapper<>(Map.of());
    private final ObjectProperty<Set<Photo>> selection = new SimpleObjectProperty<>(Set.of());
    private final ObjectProperty<MainView> view = new SimpleObjectProperty<>(MainView.WALL);

    private final Subscription ofSettings;

    public Session(Shoot shoot, Settings settings) {
        this.shoot = shoot;
        this.settings = settings;
        this.brief = new ReadOnlyObjectWrapper<>(shoot.brief());
        this.list = new PhotoList(this);
        shoot.listen(new FromShoot());
        recall();
        list.follow();
        carry.follow();
        lineup.follow();
        arrivals.follow();
        ofSettings = settings.overlayProperty().subscribe((before, now) -> overlayChosen(now));
    }

    /** The settings outlive the shoot and must not hold on to it. */
    public void dispose() {
        ofSettings.unsubscribe();
        carry.stop();
    }

    /** What the shoot tells. */
    private final class FromShoot implements Shoot.Listener {
        private List<Photo> known = shoot.photos();

        @Override
        public void changed(Edit edit) {
            Session.this.changed(edit);
        }

        @Override
        public void arrived(List<Photo> photos, boolean incoming) {
            List<Photo> before = known;
            known = shoot.photos();
            replace(byId(photos));
            if (incoming) {
                arrivals.arrived(photos, before);
            }
        }
    }

    private static Map<Long, Photo> byId(List<Photo> photos) {
        return photos.stream().collect(Collectors.toMap(Photo::id, photo -> photo));
    }

    /** Puts photos in place of what they were before their files changed, and shows new ones. */
    private void replace(Map<Long, Photo> byId) {
        selection.set(selection.get().stream()
                .map(chosen -> byId.getOrDefault(chosen.id(), chosen))
                .collect(Collectors.toSet()));
        photo().flatMap(current -> Optional.ofNullable(byId.get(current.id())))
                .ifPresent(now -> photo.set(Optional.of(now)));
        list.refresh();
        edits.set(edits.get() + 1);
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

    /** What can be done to the brief. */
    public BriefEdits briefEdits() {
        return briefEdits;
    }

    /** Carrying the current photo's crop to others. */
    public CarryModel carry() {
        return carry;
    }

    /** Adjusting several photos at once. */
    public TogetherModel together() {
        return together;
    }

    /** Results side by side. */
    public LineupModel lineup() {
        return lineup;
    }

    /** Photos that arrive while the shoot is open. */
    public ArrivalsModel arrivals() {
        return arrivals;
    }

    /** The photos one is going through. */
    public PhotoList list() {
        return list;
    }

    /** What a gesture over several photos leads to, not stored yet. */
    public ReadOnlyObjectProperty<Map<Photo, Framing>> previewsProperty() {
        return previews.getReadOnlyProperty();
    }

    void showPreviews(Map<Photo, Framing> shown) {
        previews.set(shown);
        photo().ifPresent(p -> framing.set(framing(p, shown)));
    }

    private Framing framing(Photo of, Map<Photo, Framing> shown) {
        Framing previewed = shown.get(of);
        return previewed == null ? shoot.framing(of) : previewed;
    }

    /** The photos chosen together on the Wall; empty if it is only the current one. */
    public ObjectProperty<Set<Photo>> selectionProperty() {
        return selection;
    }

    /** The selection in the shoot's order, or the current photo if nothing is selected. */
    public List<Photo> chosenPhotos() {
        Set<Photo> selected = selection.get();
        return selected.isEmpty() ? photo().stream().toList() : list.ordered(selected);
    }

    /** The photos that an adjustment is for: on the Bench the current one, elsewhere all chosen ones. */
    public List<Photo> adjustedPhotos() {
        return view.get() == MainView.BENCH ? photo().stream().toList() : chosenPhotos();
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
        return photo().filter(of::equals).isPresent() ? framing() : framing(of, previews.get());
    }

    /** What may be wrong with the current photo's frame in the active format, gesture included. */
    public Set<Warning> warnings() {
        return format().flatMap(f -> asShot().map(size -> Warning.of(size, framing(), f, brief.get())))
                .orElse(Set.of());
    }

    // ---- choosing ----

    public void choose(Photo chosen) {
        if (!list.photos().contains(chosen)) {
            list.filterProperty().set(PhotoFilter.ALL);
        }
        photo.set(Optional.of(chosen));
        framing.set(framing(chosen, previews.get()));
        showOwnOverlay();
        shoot.remember(PHOTO, chosen.file());
    }

    private void showOwnOverlay() {
        framing().overlay().ifPresent(settings.overlayProperty()::set);
    }

    /** On a photo that has an overlay of its own, another one takes its place. */
    private void overlayChosen(OverlayChoice chosen) {
        if (framing().overlay().filter(own -> !own.equals(chosen)).isPresent()) {
            edit("edit.overlay", framing().withOverlay(chosen));
        }
    }

    /** Goes on by so many photos; stays at the ends. */
    public void step(int by) {
        next(by).ifPresent(this::choose);
    }

    private Optional<Photo> next(int by) {
        return photo().flatMap(current -> PhotoList.from(listed(), current, by));
    }

    /** The photos one is going through, in their order: in the Line-up its own, else those the filter lets through. */
    public List<Photo> listed() {
        return view.get() == MainView.LINEUP ? lineup.shownProperty().get().photos() : list.photos();
    }

    /** Selects all photos one is going through. */
    public void selectAll() {
        selection.set(Set.copyOf(view.get() == MainView.LINEUP ? listed() : list.matching()));
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

    /** What is asked of a photo, from what was. */
    @FunctionalInterface
    public interface Asking {
        Framing after(Photo photo, Framing before);
    }

    /** Changes all chosen photos as one edit. */
    public void editAll(String label, Asking asking) {
        if (shoot.mayEdit()) {
            shoot.apply(new Edit(
                    label,
                    adjustedPhotos().stream()
                            .map(p -> new FramingChange(p.id(), shoot.framing(p), asking.after(p, shoot.framing(p))))
                            .toList(),
                    null));
        }
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
        return framing().withCrop(format().orElseThrow(), crop);
    }

    /** The framing with another tilt. */
    public Framing tilted(Tilt tilt) {
        return framing().withPose(framing().pose().withTilt(tilt));
    }

    /** Of several chosen photos each is tilted by as much as the current one. */
    public void tilt(Tilt tilt, String label) {
        if (together.isOn()) {
            together.add(tiltedTo(tilt));
        } else {
            edit(label, tilted(tilt));
        }
    }

    /** Shows a tilt without storing it. */
    public void previewTilt(Tilt tilt) {
        if (together.isOn()) {
            together.preview(tiltedTo(tilt));
        } else {
            preview(tilted(tilt));
        }
    }

    /** Makes the tilt that is shown one edit. */
    public void commitTilt() {
        if (together.isOn()) {
            together.commit();
        } else {
            commit("edit.tilt");
        }
    }

    private Change tiltedTo(Tilt tilt) {
        double stored =
                photo().map(p -> shoot.framing(p).pose().tilt().degrees()).orElse(0.0);
        return Change.tilted(tilt.degrees() - stored);
    }

    public void tiltBy(double degrees) {
        if (together.isOn()) {
            together.add(Change.tilted(degrees));
            return;
        }
        double exact = framing().pose().tilt().degrees() + degrees;
        tilt(Tilt.clamped(Math.round(exact * 1000) / 1000.0), "edit.tilt");
    }

    public void turn(Turn by) {
        editAll(
                by.mirrored() ? "edit.mirror" : "edit.turn",
                (p, before) -> before.withPose(before.pose().turned(by)));
    }

    /** Derives the active format's frame again, of all chosen photos. */
    public void clear() {
        format().ifPresent(f -> editAll("edit.clear", (p, before) -> before.cleared(f)));
    }

    /** Accepts the frame as it stands and goes to the next photo; of several chosen photos, accepts all. */
    public void checkAndNext() {
        if (together.isOn()) {
            checkAll();
            return;
        }
        Optional<Photo> next = next(1);
        crop().ifPresent(crop -> edit("edit.check", placed(crop.asChecked())));
        next.ifPresent(this::choose);
    }

    /** Accepts the frames of all chosen photos as they stand. */
    public void checkAll() {
        format().ifPresent(f -> editAll("edit.check", (p, before) -> p.facts()
                .map(facts -> Derivation.crop(facts.asShot(), before, f, brief.get()))
                .map(crop -> before.withCrop(f, crop.asChecked()))
                .orElse(before)));
    }

    /** To the next photo that is not checked yet. */
    public void nextUnchecked() {
        list.nextUnchecked().ifPresent(this::choose);
    }

    /** Sets the chosen photos aside, or takes them back if the current one is. */
    public void toggleSetAside() {
        boolean aside = !framing().setAside();
        editAll("edit.aside", (p, before) -> before.withSetAside(aside));
    }

    // ---- steps ----

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
        showOwnOverlay();
        edits.set(edits.get() + 1);
    }

    // ---- figures ----

    /** Size as shot of the current photo. */
    public Optional<PixelSize> asShot() {
        return photo().flatMap(Photo::facts).map(PhotoFacts::asShot);
    }
}
