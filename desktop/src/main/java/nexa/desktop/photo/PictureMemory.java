package nexa.desktop.photo;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import nexa.imaging.preview.ScreenColours;
import org.jspecify.annotations.Nullable;

/**
 * Pictures in memory up to so many bytes, by what photos hold, of whatever shoot; the one that was asked for longest ago
 * goes first. Outlives shoots, so that one opened again shows at once. Thread-safe.
 *
 * <p>A cache that admits by frequency is no use here: photos are gone through one after the other, and each was asked for
 * as seldom as those it would have to push out, so that the newest would be turned away.
 */
public final class PictureMemory {
    private static final long USUAL_LIMIT = 256L << 20;

    private record Key(String fingerprint, int edge) {}

    private final Map<Key, ScreenPhoto> pictures = new LinkedHashMap<>(16, 0.75f, true);
    private ScreenColours colours = ScreenColours.SRGB;
    private long limit = USUAL_LIMIT;
    private long weight;

    /** @param edge the long edge that was asked for */
    synchronized Optional<ScreenPhoto> get(String fingerprint, int edge) {
        return Optional.ofNullable(pictures.get(new Key(fingerprint, edge)));
    }

    /** @param of the colours that the picture was made in; in others than those shown now it is not kept */
    synchronized void put(String fingerprint, int edge, ScreenPhoto picture, ScreenColours of) {
        if (!of.equals(colours)) {
            return;
        }
        forget(pictures.put(new Key(fingerprint, edge), picture));
        weight += picture.weight();
        shed();
    }

    private void forget(@Nullable ScreenPhoto gone) {
        weight -= gone == null ? 0 : gone.weight();
    }

    synchronized void limit(long bytes) {
        limit = bytes;
        shed();
    }

    /** In bytes. */
    synchronized long weight() {
        return weight;
    }

    /** Sets the colours that pictures are shown in; those in others are forgotten. */
    synchronized void show(ScreenColours screen) {
        if (!screen.equals(colours)) {
            colours = screen;
            pictures.clear();
            weight = 0;
        }
    }

    private void shed() {
        Iterator<ScreenPhoto> oldest = pictures.values().iterator();
        while (weight > limit && oldest.hasNext()) {
            forget(oldest.next());
            oldest.remove();
        }
    }
}
