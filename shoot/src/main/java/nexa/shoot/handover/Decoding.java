package nexa.shoot.handover;

import java.util.List;
import nexa.core.space.PhotoSpace;
import nexa.imaging.codec.OpenedPhoto;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.FileKind;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;

/** How much smaller a photo may be decoded without its deliveries showing it. */
final class Decoding {
    /**
     * Decoded pixels to a delivered one, at least. So many leave 97 % of the sharpness and no more false patterns than
     * all pixels do ({@code ./nexa bench sharpness}).
     */
    private static final double LEFT = 2;

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
                ofOnePhoto.stream().mapToDouble(Decoding::most).min().orElse(1));
    }

    /** Only a JPEG's decoder leaves out detail as well as our own filter; what is filled copies the photo's own pixels. */
    private static double most(Delivery delivery) {
        PhotoSpace space = Rendering.space(delivery);
        boolean mayBeSmaller = Rendering.facts(delivery).kind() == FileKind.JPEG
                && space.pose().correction().keepsPlaces()
                && space.pose().correction().eyes().isNone()
                && space.outline().holds(delivery.frame());
        return mayBeSmaller
                ? delivery.frame().width()
                        * space.asShot().longEdge()
                        / delivery.size().width()
                        / LEFT
                : 1;
    }
}
