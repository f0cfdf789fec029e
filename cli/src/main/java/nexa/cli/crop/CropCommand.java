package nexa.cli.crop;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.fit.Fit;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "crop",
        description = "Set the frames of photos in a format, and how the photos are held.",
        footer = "Tilt, turn and mirror belong to the photo: all its formats follow.")
public final class CropCommand extends ShootCommand {
    @Option(names = "--format", required = true, paramLabel = "NAME", description = "The format to set.")
    @SuppressWarnings("NullAway.Init")
    private String formatName;

    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(names = "--tilt", paramLabel = "DEG", description = "Fine rotation, -45 to 45, positive = clockwise.")
    private @Nullable Double tilt;

    @Option(names = "--turn", paramLabel = "DEG", description = "0, 90, 180 or 270 clockwise, from as shot.")
    private @Nullable Integer turn;

    @Option(names = "--mirror", arity = "1", paramLabel = "true|false", description = "Left and right exchanged.")
    private @Nullable Boolean mirror;

    @Option(names = "--centre", paramLabel = "X,Y", description = "Fractions of the upright width and height.")
    private @Nullable String centreText;

    @Option(names = "--size", paramLabel = "S", description = "Relative to the largest frame that fits, up to 1.")
    private @Nullable Double size;

    @Option(names = "--clear", description = "Derive the frame again; done before the other changes.")
    private boolean clear;

    @Override
    protected boolean edits() {
        return true;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        Point centre = checked();
        Format format = format(shoot, formatName);
        List<Photo> chosen = chosen(shoot, globs);
        requireEditing(shoot);
        List<FramingChange> changes = chosen.stream()
                .filter(Photo::isReadable)
                .map(photo -> new FramingChange(
                        photo.id(),
                        shoot.framing(photo),
                        changed(shoot.framing(photo), photo, format, centre, shoot.brief())))
                .toList();
        shoot.apply(new Edit("edit.crop", changes, null));
        chosen.forEach(photo -> CropRow.add(rows, shoot, photo, format));
        return sayUnreadable(chosen);
    }

    /** Checks all values before anything is changed; gives the centre, if there is one. */
    private @Nullable Point checked() {
        if (tilt == null && turn == null && mirror == null && centreText == null && size == null && !clear) {
            throw wrong(Words.of("cli.say-what-set-tilt-turn"));
        }
        if (tilt != null && !(Math.abs(tilt) <= Tilt.LIMIT)) {
            throw wrong(Words.of("cli.tilt-from-degrees-not", tilt));
        }
        if (turn != null && (turn < 0 || turn > 270 || turn % 90 != 0)) {
            throw wrong(Words.of("cli.turn-or-not", turn));
        }
        if (size != null && !(size > 0 && size <= 1)) {
            throw wrong(Words.of("cli.size-above-most-not", size));
        }
        return centreText == null ? null : parsedCentre(centreText);
    }

    private Point parsedCentre(String text) {
        String[] parts = text.split(",", -1);
        try {
            if (parts.length == 2) {
                Point point = new Point(Double.parseDouble(parts[0].strip()), Double.parseDouble(parts[1].strip()));
                if (Math.min(point.x(), point.y()) >= 0 && Math.max(point.x(), point.y()) <= 1) {
                    return point;
                }
            }
        } catch (NumberFormatException notNumbers) {
            // said below, with the other wrong forms
        }
        throw wrong(Words.of("cli.centre-x-y-with-both", text));
    }

    private Framing changed(Framing framing, Photo photo, Format format, @Nullable Point centre, Brief brief) {
        Framing held = (clear ? framing.cleared(format) : framing).withPose(pose(framing.pose()));
        if (centre == null && size == null) {
            return held;
        }
        PhotoSpace space = photo.space(held.pose());
        Frame frame = Derivation.frame(space.asShot(), held, format, brief);
        if (size != null) {
            Frame sized = Fit.largest(space.outline(), frame.aspect()).scaled(size);
            requireLarge(size, sized, photo, space);
            frame = Frame.around(frame.centre(), sized.width(), sized.height());
        }
        if (centre != null) {
            Point upright = new Point(
                    centre.x() * space.upright().width(),
                    centre.y() * space.upright().height());
            frame = Frame.around(space.toLevel(upright), frame.width(), frame.height());
        }
        Frame wish = space.toAsShot(frame);
        return held.withCrop(
                format, held.crop(format).map(crop -> crop.withWish(wish)).orElse(new Crop(wish)));
    }

    private void requireLarge(double size, Frame sized, Photo photo, PhotoSpace space) {
        double edge = space.asShot().longEdge();
        if (Math.min(sized.width(), sized.height()) * edge < Derivation.SMALLEST_PIXELS) {
            throw wrong(Words.of(
                    "cli.size-leaves",
                    size,
                    sized.width() * edge,
                    sized.height() * edge,
                    photo.file(),
                    Derivation.SMALLEST_PIXELS));
        }
    }

    private Pose pose(Pose before) {
        Turn turned = new Turn(
                turn == null ? before.turn().quarterTurns() : turn / 90,
                mirror == null ? before.turn().mirrored() : mirror);
        boolean flipped = turned.mirrored() != before.turn().mirrored();
        Tilt kept = flipped ? before.tilt().negated() : before.tilt();
        return before.withTurn(turned).withTilt(tilt == null ? kept : new Tilt(tilt));
    }
}
