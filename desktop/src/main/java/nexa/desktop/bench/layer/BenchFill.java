package nexa.desktop.bench.layer;

import java.util.List;
import java.util.Optional;
import javafx.scene.image.Image;
import javafx.util.Subscription;
import nexa.core.geometry.Frame;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.repair.Filling;

/** How the current frame's blank is filled, as a picture. */
public final class BenchFill {
    /**
     * The frame, filled.
     *
     * @param places where it will show, in parts of the frame
     * @param words key of what is said of it
     */
    record Look(Image image, List<Frame> places, String words) {}

    private final Filling filling;
    private Optional<Filling.Shown> made = Optional.empty();
    private Optional<Image> image = Optional.empty();

    public BenchFill(Filling filling) {
        this.filling = filling;
    }

    /** Calls at once and whenever another fill is made. */
    public Subscription subscribe(Runnable changed) {
        return filling.shownProperty().subscribe(shown -> changed.run());
    }

    /** Empty while it is not known. */
    public Optional<Look> current() {
        Optional<Filling.Shown> now = filling.current();
        if (!now.equals(made)) {
            made = now;
            image = now.map(shown -> ScreenPhoto.of(shown.look().picture()).image());
        }
        return now.flatMap(shown -> image.map(picture -> look(shown, picture)));
    }

    private Look look(Filling.Shown shown, Image picture) {
        boolean shows = filling.fill().isOfPhoto() && shown.look().seam().shows();
        String words = shows ? "bench.fill.shows" : shown.draft() ? "bench.fill.draft" : "bench.fill.done";
        return new Look(picture, shows ? shown.look().seam().places() : List.of(), words);
    }
}
