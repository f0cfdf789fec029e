package nexa.shoot.handover;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.pixel.PixelSteps;
import nexa.core.print.Sense;
import nexa.core.print.SizeTarget;
import nexa.core.space.Pose;
import nexa.imaging.codec.PhotoCodecs;
import nexa.shoot.photo.Photo;

/**
 * One file to be written.
 *
 * @param source the photo's file
 * @param frame in level space
 * @param output in the handover's folder
 * @param untouched where the file is cut from the photo's own with its pixels as they are
 */
public record Delivery(
        Photo photo,
        Path source,
        Framing framing,
        Format format,
        Frame frame,
        PixelSize size,
        Path output,
        Optional<Untouched> untouched) {

    /** Rendered anew. */
    Delivery(Photo photo, Path source, Framing framing, Format format, Frame frame, PixelSize size, Path output) {
        this(photo, source, framing, format, frame, size, output, Optional.empty());
    }

    /** Pixels an inch that the file says it has; 0 = what the photo says. */
    double ppi() {
        int said = format.files().finish().ppi();
        if (said > 0 || !(format.target() instanceof SizeTarget.Print print)) {
            return said;
        }
        boolean whole = format.target().asked(frame).filter(size::equals).isPresent();
        return whole ? print.ppi() : Math.rint(Sense.ppi(size, print));
    }

    /** What goes where its frame shows no photo: white where the file can't be transparent. */
    public Fill fill() {
        Fill asked = framing.fill(format);
        return asked instanceof Fill.Transparent && !format.files().type().keepsAlpha() ? Fill.WHITE : asked;
    }

    /** All that is done to its pixels' values. */
    PixelSteps steps() {
        Pose followed = framing.pose().on(photo.facts().orElseThrow().asShot());
        return followed.correction().steps(format.files().finish().steps());
    }

    /** Cut on the grid if its format wants that and it can be. */
    Delivery onGrid(PhotoCodecs codecs) {
        return Untouched.of(this, codecs)
                .map(cut -> new Delivery(
                        photo, source, framing, format, frame.movedBy(cut.shift()), size, output, Optional.of(cut)))
                .orElse(this);
    }

    /** The same in other pixels. */
    Delivery sized(PixelSize other) {
        return new Delivery(photo, source, framing, format, frame, other, output);
    }

    /** With so many more pixels of picture on each side. */
    Delivery bleeding(double pixels) {
        int more = (int) Math.round(2 * pixels);
        double scale = frame.width() / size.width();
        Frame wider = new Frame(
                frame.centreX(), frame.centreY(), frame.width() + more * scale, frame.height() + more * scale);
        PixelSize larger = new PixelSize(size.width() + more, size.height() + more);
        return new Delivery(photo, source, framing, format, wider, larger, output);
    }

    /** Some of many at equal distances, so that the first ones of a shoot don't stand for all. */
    public static List<Delivery> samples(List<Delivery> all, int most) {
        int count = Math.min(most, all.size());
        return IntStream.range(0, count)
                .mapToObj(i -> all.get((2 * i + 1) * all.size() / (2 * count)))
                .toList();
    }

    /** The same, to another file. */
    Delivery to(Path other) {
        return new Delivery(photo, source, framing, format, frame, size, other, untouched);
    }
}
