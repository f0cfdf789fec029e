package nexa.imaging.apart.decoder;

import java.time.Duration;

/** Coded pictures that a process apart decodes. */
public enum Kind {
    HEIF(1),
    JPEG_2000(4),
    JPEG_XL(1);

    private final Duration slowestMegapixel;

    Kind(int secondsForAMegapixel) {
        slowestMegapixel = Duration.ofSeconds(secondsForAMegapixel);
    }

    /** Far longer than a megapixel takes on a busy machine. */
    public Duration slowestMegapixel() {
        return slowestMegapixel;
    }
}
