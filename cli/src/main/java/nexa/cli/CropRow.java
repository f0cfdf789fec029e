package nexa.cli;

import java.util.Locale;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.print.OutputSize;
import nexa.core.space.PhotoSpace;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** One photo's frame in one format, as {@code crops} and {@code crop} print it. */
final class CropRow {
    private CropRow() {}

    /** Nothing for an unreadable photo. Corners are in upright pixels, continuous, not rounded. */
    static void add(Rows rows, Shoot shoot, Photo photo, Format format) {
        if (!photo.isReadable()) {
            return;
        }
        PhotoSpace space = shoot.space(photo).orElseThrow();
        Frame frame = shoot.frame(photo, format).orElseThrow();
        Framing framing = shoot.framing(photo);
        PixelSize size = OutputSize.natural(frame, space.asShot());
        rows.add()
                .with("photo", photo.file())
                .with("format", format.name())
                .with("state", framing.state(format).name().toLowerCase(Locale.ROOT))
                .with("tilt", framing.pose().tilt().degrees())
                .with("quarterTurns", framing.pose().turn().quarterTurns())
                .with("mirrored", framing.pose().turn().mirrored())
                .withPoints("corners", space.toUpright(frame))
                .with("width", size.width())
                .with("height", size.height());
    }
}
