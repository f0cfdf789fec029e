package nexa.shoot;

import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.core.review.Warning;

/** Warnings, computed once for what is asked of a photo. Thread-safe. */
final class WarningMemo {
    private record Place(long photo, int format) {}

    private record Known(Framing framing, Brief brief, Set<Warning> warnings) {}

    private final Map<Place, Known> known = new ConcurrentHashMap<>();

    Set<Warning> of(long photo, PixelSize asShot, Framing framing, Format format, Brief brief) {
        Place place = new Place(photo, format.id());
        Known last = known.get(place);
        if (last != null && last.framing() == framing && last.brief() == brief) {
            return last.warnings();
        }
        Set<Warning> warnings = Warning.of(asShot, framing, format, brief);
        known.put(place, new Known(framing, brief, warnings));
        return warnings;
    }
}
