package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.Receptors;
import nexa.core.neutral.White;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.neutral.GreySpot;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.neutral.GreyPicker;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "neutral",
        description = "Make a light neutral: the one on a grey place of each photo, or one of a temperature.",
        footer = "Nothing changes without --at, --temperature, --tint or --clear."
                + " Gains are of a grey in that light, in linear sRGB, at the same lightness.")
public final class NeutralCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--at",
            paramLabel = "X,Y",
            description = "The light on this grey place of each photo, in pixels of the stored picture.")
    private @Nullable String at;

    @Option(names = "--temperature", paramLabel = "K", description = "The light of this temperature, 1800 to 15000 K.")
    private @Nullable Double temperature;

    @Option(
            names = "--tint",
            paramLabel = "N",
            description = "How much greener than daylight the light is, -40 to 40; pinker if negative.")
    private @Nullable Double tint;

    @Option(names = "--clear", description = "As the files have it again.")
    private boolean clear;

    @Override
    protected boolean edits() {
        return at != null || temperature != null || tint != null || clear;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        boolean typed = temperature != null || tint != null;
        if (at != null && typed || clear && (at != null || typed)) {
            throw wrong(Words.of("cli.neutral-one-way"));
        }
        Optional<Point> place = place();
        List<Photo> chosen = chosen(shoot, globs);
        if (edits()) {
            requireEditing(shoot);
        }
        List<FramingChange> changes = new ArrayList<>();
        boolean allRead = sayUnreadable(chosen);
        for (Photo photo : chosen.stream().filter(Photo::isReadable).toList()) {
            Framing before = shoot.framing(photo);
            Optional<Neutral> neutral = neutral(shoot, photo, before.pose().neutral(), place);
            allRead &= neutral.isPresent();
            neutral.ifPresent(now -> {
                changes.add(new FramingChange(
                        photo.id(), before, before.withPose(before.pose().withNeutral(now))));
                add(rows, photo, now);
            });
        }
        if (edits()) {
            shoot.apply(new Edit("edit.neutral", changes, null));
        }
        return allRead;
    }

    /** Empty, and said, if nothing can be told there. */
    private Optional<Neutral> neutral(Shoot shoot, Photo photo, Neutral before, Optional<Point> place)
            throws IOException {
        if (clear) {
            return Optional.of(Neutral.AS_FILED);
        }
        if (place.isPresent()) {
            Point asShot = asShot(photo, place.get());
            return read(photo, () -> GreyPicker.pick(shoot, photo, asShot))
                    .filter(spot -> tells(photo, spot))
                    .map(spot -> before.picked(spot.white(), asShot));
        }
        if (temperature == null && tint == null) {
            return Optional.of(before);
        }
        double kelvin = within("--temperature", temperature, before.white().kelvin(), White.COLDEST, White.HOTTEST);
        double green = within("--tint", tint, before.white().tint(), -White.MOST_TINT, White.MOST_TINT);
        return Optional.of(before.withWhite(White.of(kelvin, green)));
    }

    private double within(String option, @Nullable Double asked, double now, double least, double most) {
        if (asked == null) {
            return now;
        }
        if (!(asked >= least && asked <= most)) {
            throw wrong(Words.of("cli.neutral-range", option, least, most, asked));
        }
        return asked;
    }

    private boolean tells(Photo photo, GreySpot spot) {
        if (spot.doubt() != GreySpot.Doubt.NONE) {
            say(Words.of("told.at", photo.file(), Words.of("neutral.doubt", spot.doubt())));
        }
        return !spot.doubt().refuses();
    }

    private Optional<Point> place() {
        if (at == null) {
            return Optional.empty();
        }
        try {
            String[] sides = at.split(",", 2);
            return Optional.of(new Point(Double.parseDouble(sides[0].strip()), Double.parseDouble(sides[1].strip())));
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException none) {
            throw wrong(Words.of("cli.neutral-at", at), none);
        }
    }

    /** From a whole stored pixel; a place outside the picture is told. */
    private Point asShot(Photo photo, Point pixel) {
        PhotoFacts facts = photo.facts().orElseThrow();
        Turn exif = Turn.ofExif(facts.exifOrientation());
        PixelSize stored = exif.inverse().apply(facts.asShot());
        boolean inside = pixel.x() >= 0 && pixel.y() >= 0 && pixel.x() < stored.width() && pixel.y() < stored.height();
        if (!inside) {
            throw wrong(Words.of("cli.neutral-outside", photo.file(), stored.width(), stored.height()));
        }
        Point fromMiddle = new Point(pixel.x() + 0.5 - stored.width() / 2.0, pixel.y() + 0.5 - stored.height() / 2.0);
        return exif.apply(fromMiddle).times(1.0 / stored.longEdge());
    }

    private static void add(Rows rows, Photo photo, Neutral neutral) {
        double[] gains = gains(neutral.white(), photo.receptors());
        double stops = Math.pow(2, neutral.stops());
        rows.add()
                .with("photo", photo.file())
                .with("red", gain(gains[0], stops))
                .with("green", gain(gains[1], stops))
                .with("blue", gain(gains[2], stops))
                .with("temperature", (double) Math.round(neutral.white().kelvin()))
                .with("tint", Math.round(neutral.white().tint() * 10) / 10.0);
    }

    /** Of a sensor its multipliers; of other pictures what a grey place in sRGB is multiplied by. */
    private static double[] gains(White white, Receptors receptors) {
        return receptors.equals(Receptors.EYE)
                ? Arrays.stream(LinearRgb.of(Optional.empty()).ofWhite(white.x(), white.y()))
                        .map(part -> 1 / part)
                        .toArray()
                : LinearRgb.multipliers(white, receptors);
    }

    /** Null of a light that there is no colour for. */
    private static @Nullable Double gain(double gain, double stops) {
        return gain <= 0 || gain >= 1000 ? null : Math.round(10_000 * stops * gain) / 10_000.0;
    }
}
