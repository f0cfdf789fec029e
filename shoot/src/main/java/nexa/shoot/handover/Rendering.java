package nexa.shoot.handover;

import java.io.IOException;
import java.util.List;
import nexa.core.files.Finish;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Outline;
import nexa.core.geometry.PhotoSpace;
import nexa.core.geometry.PixelSize;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.deliver.Sharpen;
import nexa.imaging.detect.Detail;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.render.Blank;
import nexa.imaging.render.SinglePass;
import nexa.imaging.source.Source;

/** A delivery's pixels, and the bytes of its file. */
public final class Rendering {
    private Rendering() {}

    /** What is beyond the photo is white. */
    static Picture pixels(Delivery delivery, Source source) {
        PhotoSpace space = space(delivery);
        Picture rendered = SinglePass.render(source.picture(), toSource(delivery, space), delivery.size());
        if (!space.outline().contains(delivery.frame(), Outline.PARALLEL)) {
            Blank.fill(rendered, space.toOutput(delivery.frame(), delivery.size()));
        }
        return rendered;
    }

    static byte[] bytes(Delivery delivery, Source source) throws IOException {
        try (Picture rendered = pixels(delivery, source)) {
            return Encoder.encode(rendered, source, delivery.format().files(), delivery.ppi());
        }
    }

    /**
     * The place of a delivered picture that has most detail, at its own pixels in sRGB, finished in several ways to compare them.
     *
     * @param side of the square in pixels, cut to the picture
     * @return a picture for each finish
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static List<Picture> samples(Delivery delivery, int side, List<Finish> finishes)
            throws UnreadablePhotoException {
        PixelSize whole = delivery.size();
        PixelSize cut = new PixelSize(Math.min(side, whole.width()), Math.min(side, whole.height()));
        try (Source source = Source.open(delivery.source(), facts(delivery));
                Picture all = pixels(delivery, source);
                Picture part = Detail.cut(all, cut);
                Picture shown = onScreen(part, source)) {
            return finishes.stream().map(finish -> Sharpen.apply(shown, finish)).toList();
        }
    }

    private static Picture onScreen(Picture part, Source source) {
        return source.profile()
                .map(profile -> ColourTransform.between(profile, Profile.SRGB).apply(part))
                .orElseGet(part::shared);
    }

    static PhotoFacts facts(Delivery delivery) {
        return delivery.photo().facts().orElseThrow();
    }

    private static PhotoSpace space(Delivery delivery) {
        return new PhotoSpace(facts(delivery).asShot(), delivery.framing().pose());
    }

    private static Affine toSource(Delivery delivery, PhotoSpace space) {
        return space.outputToStored(facts(delivery).decodedToAsShot(), delivery.frame(), delivery.size());
    }
}
