package nexa.shoot.handover;

import java.util.List;
import nexa.core.space.PhotoSpace;
import nexa.imaging.codec.OpenedPhoto;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.render.SinglePass;

/** How much less than all of a photo its deliveries show. */
final class Decoding {
    private Decoding() {}

    /**
     * A photo for its deliveries, not decoded yet.
     *
     * @throws UnreadablePhotoException if there is no codec for it
     */
    static OpenedPhoto open(PhotoCodecs codecs, List<Delivery> ofOnePhoto) throws UnreadablePhotoException {
        Delivery first = ofOnePhoto.getFirst();
        return codecs.opened(first.source(), Rendering.facts(first), reduced(ofOnePhoto));
    }

    /** What all deliveries of a photo can share. */
    static Reduced reduced(List<Delivery> ofOnePhoto) {
        double by = ofOnePhoto.stream().mapToDouble(Decoding::by).min().orElse(1);
        return new Reduced(by, Reduction.atMost(SinglePass.mostAveraged(by)));
    }

    /** What is filled copies the photo's own pixels, and a red eye is found by them. */
    private static double by(Delivery delivery) {
        PhotoSpace space = Rendering.space(delivery);
        boolean mayBeSmaller =
                space.pose().correction().eyes().isNone() && space.outline().holds(delivery.frame());
        return mayBeSmaller
                ? SinglePass.leastReduction(Rendering.toSource(delivery, space).green(), delivery.size())
                : 1;
    }
}
