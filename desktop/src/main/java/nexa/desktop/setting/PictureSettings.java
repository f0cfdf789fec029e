package nexa.desktop.setting;

import java.io.IOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;
import nexa.imaging.colour.Profile;
import nexa.imaging.preview.ScreenColours;
import nexa.shoot.Preferences;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** How much memory and disk pictures may take, and the colours of the screen; for all shoots. */
public final class PictureSettings {
    /** Most megabytes of pictures in memory. */
    public static final int USUAL_MEMORY = 256;

    public static final int LEAST_MEMORY = 64;
    public static final int MOST_MEMORY = 4096;

    /** Most megabytes of previews on disk. */
    public static final int USUAL_CACHE = 2048;

    public static final int LEAST_CACHE = 100;
    public static final int MOST_CACHE = 100_000;

    private static final Logger LOG = LoggerFactory.getLogger(PictureSettings.class);
    private static final String KEEPING_BLACK = " keeping black";
    private static final long MEGABYTE = 1L << 20;

    private final ObjectProperty<Integer> memory;
    private final ObjectProperty<Integer> cache;
    private final ObjectProperty<Optional<String>> screen;
    private final ObjectProperty<Conversion> conversion;

    PictureSettings(Preferences preferences) {
        memory = Kept.property(
                preferences,
                "pictures memory",
                USUAL_MEMORY,
                text -> Math.clamp(Integer.parseInt(text), LEAST_MEMORY, MOST_MEMORY),
                String::valueOf);
        cache = Kept.property(
                preferences,
                "pictures cache",
                USUAL_CACHE,
                text -> Math.clamp(Integer.parseInt(text), LEAST_CACHE, MOST_CACHE),
                String::valueOf);
        screen = Kept.property(
                preferences,
                "screen profile",
                Optional.empty(),
                text -> Optional.of(text).filter(file -> !file.isBlank()),
                file -> file.orElse(""));
        conversion = Kept.property(
                preferences,
                "screen conversion",
                Conversion.DEFAULT,
                PictureSettings::conversion,
                PictureSettings::text);
    }

    /** Megabytes of pictures in memory at most. */
    public ObjectProperty<Integer> memoryProperty() {
        return memory;
    }

    /** Megabytes of previews on disk at most. */
    public ObjectProperty<Integer> cacheProperty() {
        return cache;
    }

    /** The file of the screen's profile; empty for sRGB. */
    public ObjectProperty<Optional<String>> screenProperty() {
        return screen;
    }

    /** How photos' own colours become the screen's. */
    public ObjectProperty<Conversion> conversionProperty() {
        return conversion;
    }

    private static Conversion conversion(String text) {
        return new Conversion(Intent.valueOf(text.split(" ", 2)[0]), text.endsWith(KEEPING_BLACK));
    }

    private static String text(Conversion conversion) {
        return conversion.intent() + (conversion.keepsBlack() ? KEEPING_BLACK : "");
    }

    public long memoryBytes() {
        return memory.get() * MEGABYTE;
    }

    public long cacheBytes() {
        return cache.get() * MEGABYTE;
    }

    /** The screen's colours; sRGB if none are set, or if their file can't be read any more. */
    public ScreenColours screenColours() {
        return new ScreenColours(screenProfile(), conversion.get());
    }

    private Profile screenProfile() {
        if (screen.get().isEmpty()) {
            return Profile.SRGB;
        }
        try {
            return Profile.read(Path.of(screen.get().get()));
        } catch (IOException | InvalidPathException gone) {
            LOG.warn("The screen's profile is not used: {}", gone.toString());
            return Profile.SRGB;
        }
    }
}
