package nexa.shoot.neutral;

import nexa.core.brief.Format;
import nexa.core.lineup.ResultLight;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Rendering;
import nexa.shoot.photo.Photo;

/** Measures the light of results. Decodes, so not for the interface's thread; changes nothing. */
public final class SetLight {
    /** Enough for a mean. */
    private static final int LONG_EDGE = 160;

    private SetLight() {}

    /**
     * Of a readable photo's result in a format, as it would be delivered.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static ResultLight of(Shoot shoot, Photo photo, Format format) throws UnreadablePhotoException {
        return Rendering.light(shoot.codecs(), HandoverPlan.sample(shoot, photo, format), LONG_EDGE);
    }
}
