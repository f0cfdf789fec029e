package nexa.shoot;

import java.time.Duration;
import java.util.function.IntPredicate;
import nexa.imaging.codec.PhotoCodecs;

/**
 * How a shoot is opened.
 *
 * @param mostNew how many of the photos that are not known yet are read at most, so that a window can show them at once;
 *     {@link Shoot#look} brings the others
 * @param patience how long another program that edits the shoot is waited for
 * @param codecs how its files are opened
 * @param found told how many photos were found so far, each time there is one more, on the thread that opens; false gives
 *     the opening up
 */
public record Opening(int mostNew, Duration patience, PhotoCodecs codecs, IntPredicate found) {
    /** All photos are read, and nobody is waited for. */
    public static final Opening WHOLE =
            new Opening(Integer.MAX_VALUE, Duration.ZERO, PhotoCodecs.STANDARD, photos -> true);

    public Opening withFirst(int photos) {
        return new Opening(photos, patience, codecs, found);
    }

    public Opening waiting(Duration longest) {
        return new Opening(mostNew, longest, codecs, found);
    }

    public Opening telling(IntPredicate whom) {
        return new Opening(mostNew, patience, codecs, whom);
    }
}
