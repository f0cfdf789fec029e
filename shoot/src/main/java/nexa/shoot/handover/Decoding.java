package nexa.shoot.handover;

import java.util.List;
import nexa.core.space.PhotoSpace;
import nexa.imaging.codec.OpenedPhoto;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.FileKind;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.render.SinglePass;

/** How much smaller a photo may be decoded without its deliveries showing it. */
final class Decoding {
    private Decoding() {}

    /**
     * A photo for its deliveries, not decoded yet.
     *
     * @throws UnreadablePhotoException if there is no codec for it
     */
    static OpenedPhoto open(PhotoCodecs codecs, List<Delivery> ofOnePhoto) throws UnreadablePhotoException {
        Delivery first = ofOnePhoto.getFirst();
        return codecs.opened(first.source(), Rendering.facts(first), reduction(ofOnePhoto));
    }

    /** What all deliveries of a photo can share. */
    static Reduction reduction(List<Delivery> ofOnePhoto) {
        return Reduction.atMost(
                ofOnePhoto.stream().mapToInt(Decoding::most).min().orElse(1));
    }

    /** Only a JPEG's decoder leaves means of pixels; what is filled copies the photo's own, and a red eye is found by them. */
    private static int most(Delivery delivery) {
        PhotoSpace space = Rendering.space(delivery);
        boolean mayBeSmaller = Rendering.facts(delivery).kind() == FileKind.JPEG
                && space.pose().correction().eyes().isNone()
                && space.outline().holds(delivery.frame());
        return mayBeSmaller
                ? SinglePass.mostAveraged(Rendering.toSource(delivery, space).green(), delivery.size())
                : 1;
    }
}
