package nexa.cli.crop;

import nexa.cli.base.Choice;
import nexa.cli.base.Rows;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.core.print.OutputSize;
import nexa.core.space.PhotoSpace;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** One photo's frame in one format, as {@code crops} and {@code crop} print it. */
final class CropRow {
    /** Points on each side of an edge that may be bent. */
    private static final int ALONG = 16;

    private CropRow() {}

    /** Nothing for an unreadable photo. Corners are in upright pixels, continuous, not rounded; a corrected photo's edge in stored pixels. */
    static void add(Rows rows, Shoot shoot, Photo photo, Format format) {
        if (!photo.isReadable()) {
            return;
        }
        PhotoSpace space = shoot.space(photo).orElseThrow();
        Frame frame = shoot.frame(photo, format).orElseThrow();
        Framing framing = shoot.framing(photo);
        PixelSize size = OutputSize.natural(frame, space.asShot());
        Rows.Row row = rows.add()
                .with("photo", photo.file())
                .with("format", format.name())
                .with("state", Choice.of("state", framing.state(format)))
                .with("why", Words.of(Derivation.why(space, framing, format, shoot.brief(), frame)))
                .with("tilt", framing.pose().tilt().degrees())
                .with("quarterTurns", framing.pose().turn().quarterTurns())
                .with("mirrored", framing.pose().turn().mirrored())
                .withPoints("corners", space.toUpright(frame))
                .with("width", size.width())
                .with("height", size.height());
        if (!space.pose().correction().keepsPlaces()) {
            Turn exif = Turn.ofExif(photo.facts().orElseThrow().exifOrientation());
            row.withPoints("edge", space.edge(exif, frame, ALONG));
        }
    }
}
