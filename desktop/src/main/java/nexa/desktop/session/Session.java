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
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.overlay.OverlayChoice;
import nexa.core.space.PhotoSpace;
import nexa.desktop.setting.Settings;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoFilter;

/**
 * The open shoot as the window sees it: what is current ({@link Moment}), the parts that change it, and the way to an
 * edit. While a gesture goes on its result is shown by {@link #preview} without being stored; {@link #commit} makes it one
 * edit.
 */
public final class Session {
    private final Shoot shoot;
    private final Settings settings;
    private final Recollection recollection;
    private final Current current;
    private final ObservableValue<Optional<Photo>> photo;
    private final ObservableValue<Optional<Format>> format;
    private final ObservableValue<Framing> framing;
    private final ObservableValue<Brief> brief;
    private final ReadOnlyIntegerWrapper edits = new ReadOnlyIntegerWrapper();
    private final ObjectProperty<MainView> view = new SimpleObjectProperty<>(MainView.WALL);
    private final Gestures gestures;
    private final FrameEdits frameEdits = new FrameEdits(this);
    private final BriefEdits briefEdits = new BriefEdits(this);
    private final CarryModel carry = new CarryModel(this);
    private final TogetherModel together = new TogetherModel(this);
    private final PoseEdits poseEdits = new PoseEdits(this, together);
    private final Going going = new Going(this);
    private final LineupModel lineup = new LineupModel(this);
    private final ArrivalsModel arrivals = new ArrivalsModel(this);
    private final Selection selection = new Selection(new AroundSelection(this));
    private final PhotoList list;
    private final Subscription ofSettings;

    public Session(Shoot shoot, Settings settings) {
        this.shoot = shoot;
        this.settings = settings;
        this.recollection = new Recollection(shoot);
        this.current = new Current(shoot);
        this.gestures = new Gestures(shoot, current, selection);
        this.photo = current.momentProperty().map(Moment::photo);
        this.format = current.momentProperty().map(Moment::format);
        this.framing = current.momentProperty().map(Moment::framing);
        this.brief = current.momentProperty().map(Moment::brief);
        this.list = new PhotoList(this);
        shoot.listen(new FromShoot());
        recollection.recall(list);
        recollection.recall(current, this::choose, view);
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
            Optional<Format> before = format();
            current.refresh();
            format().filter(now -> !before.equals(Optional.of(now))).ifPresent(now -> recollection.format(now));
            showOwnOverlay();
            edits.set(edits.get() + 1);
        }

        @Override
        public void saw(Set<Photo> photos) {
            current.saw();
            edits.set(edits.get() + 1);
        }

        @Override
        public void lostSteps() {
            edits.set(edits.get() + 1);
        }

        @Override
        public void arrived(List<Photo> photos, boolean incoming) {
            List<Photo> before = known;
            known = shoot.photos();
            replace(photos.stream().collect(Collectors.toMap(Photo::id, each -> each)));
            if (incoming) {
                arrivals.arrived(photos, before);
            }
        }
    }

    /** Puts photos in place of what they were before their files changed, and shows new ones. */
    private void replace(Map<Long, Photo> byId) {
        selection.replace(byId);
        current.replace(byId);
        list.refresh();
        edits.set(edits.get() + 1);
    }

    // ---- its parts ----

    public Shoot shoot() {
        return shoot;
    }

    public Settings settings() {
        return settings;
    }

    /** The photos one is going through. */
    public PhotoList list() {
        return list;
    }

    /** Going on from photo to photo. */
    public Going going() {
        return going;
    }

    /** The photos chosen together. */
    public Selection selection() {
        return selection;
    }

    /** What is shown of a gesture, and what makes it an edit. */
    public Gestures gestures() {
        return gestures;
    }

    /** What can be done to how photos lie. */
    public PoseEdits poseEdits() {
        return poseEdits;
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

    // ---- what is current ----

    /** All that is current; changes once for each change. */
    public ReadOnlyObjectProperty<Moment> momentProperty() {
        return current.momentProperty();
    }

    public Moment moment() {
        return current.moment();
    }

    /** The current photo; empty only in an empty folder. */
    public ObservableValue<Optional<Photo>> photoProperty() {
        return photo;
    }

    public Optional<Photo> photo() {
        return moment().photo();
    }

    /** Tells at once and whenever another photo is current; not when its file was only read anew. */
    public Subscription onOtherPhoto(Runnable told) {
        return current.onOther(told);
    }

    /** Whether a gesture goes on: something is shown that is not stored. */
    boolean isGestureOn() {
        return current.isGestureOn();
    }

    /** The active format; empty only if the brief is. */
    public ObservableValue<Optional<Format>> formatProperty() {
        return format;
    }

    public Optional<Format> format() {
        return moment().format();
    }

    /** What is asked of the current photo, including a gesture that still goes on. */
    public ObservableValue<Framing> framingProperty() {
        return framing;
    }

    public Framing framing() {
        return moment().framing();
    }

    public ObservableValue<Brief> briefProperty() {
        return brief;
    }

    public Brief brief() {
        return moment().brief();
    }

    /** Spaces of the current photo as it is held now; empty if there is none or it is unreadable. */
    public Optional<PhotoSpace> space() {
        return moment().space();
    }

    /** The current photo's frame in the active format, gesture included. */
    public Optional<Frame> frame() {
        return moment().frame();
    }

    /** Any photo's frame in a format; of the current one, gesture included. */
    public Optional<Frame> frame(Photo of, Format in) {
        return moment().shows(of)
                ? moment().frame(in)
                : of.facts().map(facts -> Derivation.frame(facts.asShot(), framing(of), in, brief()));
    }

    /** What is asked of any photo; of those in a gesture, that gesture included. */
    public Framing framing(Photo of) {
        return current.framing(of);
    }

    /** What a gesture over several photos leads to, not stored yet. */
    public ReadOnlyObjectProperty<Map<Photo, Framing>> previewsProperty() {
        return current.previewsProperty();
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

    // ---- choosing ----

    public void choose(Photo chosen) {
        if (!list.photos().contains(chosen)) {
            list.filterProperty().set(PhotoFilter.ALL);
        }
        current.choose(chosen);
        showOwnOverlay();
        recollection.photo(chosen);
    }

    /** Goes to a photo from anywhere; others that were chosen stay so only if it is one of them, as keys are for what is seen. */
    public void goTo(Photo chosen) {
        if (!selection.photos().contains(chosen)) {
            selection.property().set(Set.of());
        }
        choose(chosen);
    }

    /** Goes to a photo, on the Bench. */
    public void look(Photo chosen) {
        goTo(chosen);
        view.set(MainView.BENCH);
    }

    private void showOwnOverlay() {
        framing().overlay().ifPresent(settings.overlayProperty()::set);
    }

    /** On a photo that has an overlay of its own, another one takes its place. */
    private void overlayChosen(OverlayChoice chosen) {
        if (framing().overlay().filter(own -> !own.equals(chosen)).isPresent()) {
            gestures.edit("edit.overlay", framing().withOverlay(chosen));
        }
    }

    public void choose(Format chosen) {
        current.choose(Optional.of(chosen));
        recollection.format(chosen);
    }

    /** The format with a digit key, 1 to 9; nothing if there is none. */
    public void chooseFormat(int digit) {
        if (digit >= 1 && digit <= brief().formats().size()) {
            choose(brief().formats().get(digit - 1));
        }
    }

    /** Steps back, or forward if negative, by so many actions. */
    public void stepBack(int actions) {
        for (int i = 0; i < Math.abs(actions); i++) {
            if (actions > 0) {
                shoot.undo();
            } else {
                shoot.redo();
            }
        }
    }
}
