package nexa.bench.level;

import nexa.core.geometry.Affine;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.imaging.pixels.Picture;
import nexa.imaging.render.SinglePass;

/** A photograph turned by a known angle and cut so that nothing but photo shows: the same cut for every angle. */
final class Leaning {
    /** What the widest of the angles leaves of a photo along a side. */
    private static final double LEFT = 0.86;

    private Leaning() {}

    /** @param degrees by which its content turns clockwise */
    static Picture turned(Picture photo, double degrees) {
        PixelSize size = photo.size();
        PixelSize cut = new PixelSize((int) (size.width() * LEFT), (int) (size.height() * LEFT));
        Affine toPhoto = Affine.translation(-cut.width() / 2.0, -cut.height() / 2.0)
                .then(Affine.rotation(new Tilt(-degrees)))
                .then(Affine.translation(size.width() / 2.0, size.height() / 2.0));
        return SinglePass.render(photo, toPhoto, cut);
    }
}
