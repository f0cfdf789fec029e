package nexa.desktop.photo;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Pictures in memory up to so many bytes; the one that was asked for longest ago goes first. Thread-safe.
 *
 * <p>A cache that admits by frequency is no use here: photos are gone through one after the other, and each was asked for
 * as seldom as those it would have to push out, so that the newest would be turned away.
 */
final class PictureMemory<K> {
    private final Map<K, ScreenPhoto> pictures = new LinkedHashMap<>(16, 0.75f, true);
    private long limit;
    private long weight;

    /** @param limit in bytes */
    PictureMemory(long limit) {
        this.limit = limit;
    }

    synchronized Optional<ScreenPhoto> get(K key) {
        return Optional.ofNullable(pictures.get(key));
    }

    synchronized void put(K key, ScreenPhoto picture) {
        forget(pictures.put(key, picture));
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

    synchronized void clear() {
        pictures.clear();
        weight = 0;
    }

    private void shed() {
        Iterator<ScreenPhoto> oldest = pictures.values().iterator();
        while (weight > limit && oldest.hasNext()) {
            forget(oldest.next());
            oldest.remove();
        }
    }
}
