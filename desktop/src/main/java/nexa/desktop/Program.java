package nexa.desktop;

import java.util.concurrent.Executor;
import nexa.desktop.keys.Keys;
import nexa.desktop.photo.PictureMemory;
import nexa.desktop.setting.Settings;
import nexa.shoot.Preferences;
import nexa.shoot.exchange.Shelf;
import nexa.shoot.lens.Lenses;
import nexa.shoot.preview.PreviewCache;

/**
 * What outlives every shoot. Whatever of a shoot listens to it must stop when the shoot is closed.
 *
 * @param lenses measured ones, and what was chosen of them
 * @param previews on disk, of all shoots
 * @param pictures in memory, of all shoots
 * @param work for what takes a while
 * @param fx the interface's thread
 */
record Program(
        Preferences preferences,
        Settings settings,
        Keys keys,
        Lenses lenses,
        PreviewCache previews,
        PictureMemory pictures,
        Executor work,
        Executor fx) {
    /** Formats kept for any shoot. */
    Shelf shelf() {
        return new Shelf(preferences);
    }
}
