package nexa.shoot;

import java.util.List;
import nexa.shoot.store.StoredPhoto;

/**
 * What a look into the folder found: photos that are new, and known ones whose file changed, moved or can be read again.
 * Stored already; they show when the shoot takes them.
 *
 * @param incoming whether they came since the folder was opened; else they were only not read yet
 * @param more whether another look finds more at once
 */
public record Arrivals(List<StoredPhoto> photos, boolean incoming, boolean more) {
    static final Arrivals NONE = new Arrivals(List.of(), true, false);

    public Arrivals {
        photos = List.copyOf(photos);
    }
}
