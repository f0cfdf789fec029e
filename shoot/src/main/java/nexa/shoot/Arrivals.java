package nexa.shoot;

import java.util.List;
import nexa.shoot.store.StoredPhoto;

/**
 * What a look into the folder found: photos that are new, and known ones whose file changed, moved or can be read again.
 * Stored already; they show when the shoot takes them.
 */
public record Arrivals(List<StoredPhoto> photos) {
    static final Arrivals NONE = new Arrivals(List.of());

    public Arrivals {
        photos = List.copyOf(photos);
    }
}
