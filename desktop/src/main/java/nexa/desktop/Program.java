package nexa.desktop;

import java.util.concurrent.Executor;
import nexa.desktop.keys.Keys;
import nexa.desktop.photo.PictureMemory;
import nexa.desktop.setting.Settings;
import nexa.desktop.stage.Rest;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.exchange.Shelf;
import nexa.shoot.lens.Lenses;
import nexa.shoot.preview.PreviewCache;
import nexa.words.Lengths;
import nexa.words.Words;

/**
 * What outlives every shoot. Whatever of a shoot listens to it must stop when the shoot is closed.
 *
 * @param lenses measured ones, and what was chosen of them
 * @param previews on disk, of all shoots
 * @param pictures in memory, of all shoots
 * @param rest when nobody does anything in the window
 * @param work for what takes a while
 * @param patient for what takes all processors for a while
 * @param fx the interface's thread
 */
record Program(
        Preferences preferences,
        Settings settings,
        Keys keys,
        Lenses lenses,
        PreviewCache previews,
        PictureMemory pictures,
        Rest rest,
        Executor work,
        Executor patient,
        Executor fx) {
    /** Opens what one user set and keeps. */
    static Program of(Locations locations, Executor work, Executor patient, Executor fx) {
        Preferences preferences = Preferences.open(locations);
        Settings settings = new Settings(preferences);
        PreviewCache previews = new PreviewCache(
                locations.cache().resolve("previews"),
                settings.pictures().cacheBytes(),
                new PreviewMaker(PhotoCodecs.STANDARD));
        Program program = new Program(
                preferences,
                settings,
                new Keys(preferences),
                new Lenses(locations, preferences),
                previews,
                new PictureMemory(),
                new Rest(),
                work,
                patient,
                fx);
        program.speak();
        return program;
    }

    /** Words and lengths are said from now on as the user set by now. */
    void speak() {
        Words.speak(() -> settings.languageProperty().get());
        Lengths.measure(() -> settings.printUnitProperty().get());
    }

    /** Formats kept for any shoot. */
    Shelf shelf() {
        return new Shelf(preferences);
    }
}
