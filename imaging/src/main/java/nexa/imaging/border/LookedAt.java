package nexa.imaging.border;

import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A side as it was looked at.
 *
 * @param departures on those of its lines that other sides' borders leave
 * @param border there; empty if there is none
 */
record LookedAt(Strip strip, Departures departures, Optional<SideBorder> border) {
    LookedAt with(Optional<SideBorder> other) {
        return new LookedAt(strip, departures, other);
    }

    /** The strip's lines that depart on its border's inner edge, of all; none if other borders' colours hide it. */
    int[] linesOnEdge() {
        SideBorder found = border.orElseThrow();
        Departures all = Departures.of(strip, 0, strip.lines());
        EdgeLine line = found.line().from(-departures.from());
        return IntStream.range(0, all.isEven() ? all.count() : 0)
                .filter(i -> line.has(all, i))
                .toArray();
    }
}
