package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.cli.base.Choice;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Framing;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.lens.Lens;
import nexa.core.lens.LensAmounts;
import nexa.core.lens.LensUse;
import nexa.core.lens.data.LensMatch;
import nexa.core.lens.data.LensProfile;
import nexa.core.pixel.LightStep;
import nexa.core.space.ColourMaps;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.lens.LensOffer;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "lens",
        description = "Tell which lenses photos were taken with, and correct what they do to the picture.",
        footer = "Nothing changes without --use or an amount.")
public final class LensCommand extends ShootCommand {
    private static final int MOST_PERCENT = 200;

    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--use",
            paramLabel = "found|off|LENS",
            description = "By the lens that the file tells of; not at all; or by the lens of this maker and model.")
    private @Nullable String use;

    @Option(names = "--distortion", paramLabel = "PCT", description = "How much of the distortion, 0 to 200 %%.")
    private @Nullable Double distortion;

    @Option(names = "--fringes", paramLabel = "PCT", description = "How much of the colour fringes, 0 to 200 %%.")
    private @Nullable Double fringes;

    @Option(names = "--corners", paramLabel = "PCT", description = "How much of the corner light, 0 to 200 %%.")
    private @Nullable Double corners;

    @Option(
            names = "--points",
            paramLabel = "X,Y;X,Y",
            description = "Print where one photo's pixels are read for these pixels of its corrected picture, as shot.")
    private @Nullable String points;

    @Override
    protected boolean edits() {
        return use != null || distortion != null || fringes != null || corners != null;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (points != null) {
            addPoints(shoot, rows, points);
            return true;
        }
        if (edits()) {
            requireEditing(shoot);
        }
        return withLenses(lenses -> run(shoot, rows, lenses));
    }

    private boolean run(Shoot shoot, Rows rows, Lenses lenses) throws IOException {
        lenses.data().leftOut().forEach((file, parts) -> say(Words.of("cli.lens-left-out", file, parts.size())));
        List<Photo> chosen = chosen(shoot, globs);
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : chosen.stream().filter(Photo::isReadable).toList()) {
            Framing before = shoot.framing(photo);
            LensOffer offer = offer(lenses, photo);
            Lens lens = amounts(used(before.pose().lens(), offer));
            Framing after = before.withPose(before.pose().withLens(lens));
            changes.add(new FramingChange(photo.id(), before, after));
            add(rows, photo, lens, offer);
        }
        if (edits()) {
            shoot.apply(new Edit("edit.lens", changes, null));
        }
        return sayUnreadable(chosen);
    }

    private LensOffer offer(Lenses lenses, Photo photo) throws IOException {
        PhotoFacts facts = photo.facts().orElseThrow();
        String asked = use;
        return asked == null || isWord(asked)
                ? lenses.found(facts)
                : lenses.named(facts, asked).orElseThrow(() -> wrong(Words.of("cli.no-lens", asked)));
    }

    private static boolean isWord(String use) {
        return use.equalsIgnoreCase("found") || use.equalsIgnoreCase("off");
    }

    private Lens used(Lens before, LensOffer offer) {
        if (use == null) {
            return before;
        }
        if (use.equalsIgnoreCase("off")) {
            return before.off();
        }
        LensUse how = isWord(use) ? LensUse.FOUND : LensUse.CHOSEN;
        return offer.match() instanceof LensMatch.One one && offer.terms().isPresent()
                ? before.measured(how, one.lens().name(), offer.terms().get())
                : isWord(use) ? before.off() : before;
    }

    private Lens amounts(Lens lens) {
        LensAmounts now = lens.amounts();
        return lens.withAmounts(new LensAmounts(
                amount("--distortion", distortion, now.distortion()),
                amount("--fringes", fringes, now.fringes()),
                amount("--corners", corners, now.corners())));
    }

    private double amount(String option, @Nullable Double percent, double now) {
        if (percent == null) {
            return now;
        }
        if (!(percent >= 0 && percent <= MOST_PERCENT)) {
            throw wrong(Words.of("cli.lens-percent", option, percent));
        }
        return percent / 100;
    }

    private static void add(Rows rows, Photo photo, Lens lens, LensOffer offer) {
        Optional<LensMatch.One> one =
                offer.match() instanceof LensMatch.One match ? Optional.of(match) : Optional.empty();
        boolean unknown = !lens.isMeasured() && one.isEmpty();
        rows.add()
                .with("photo", photo.file())
                .with("camera", photo.facts().orElseThrow().camera().name())
                .with(
                        "lens",
                        lens.isMeasured()
                                ? lens.name()
                                : one.map(match -> match.lens().name()).orElse(null))
                .with("state", unknown ? Choice.of("unknown") : Choice.of(lens.use()))
                .with("why", why(offer))
                .with("distortion", 100 * lens.amounts().distortion())
                .with("fringes", 100 * lens.amounts().fringes())
                .with("corners", 100 * lens.amounts().corners());
    }

    private static String why(LensOffer offer) {
        String match =
                switch (offer.match()) {
                    case LensMatch.One one -> Words.of("lens.why", one.why());
                    case LensMatch.Nothing nothing -> Words.of("lens.why", nothing.why());
                    case LensMatch.Several several ->
                        Words.of(
                                "lens.several",
                                several.lenses().stream().map(LensProfile::name).collect(Collectors.joining(", ")));
                };
        return Stream.concat(
                        Stream.of(match), offer.assumed().stream().sorted().map(each -> Words.of("lens.assumed", each)))
                .collect(Collectors.joining("; "));
    }

    // ---- points ----

    private void addPoints(Shoot shoot, Rows rows, String text) {
        if (globs.size() != 1) {
            throw wrong(Words.of("cli.lens-points-one-photo"));
        }
        Photo photo = one(shoot, "--photo", globs.getFirst());
        PhotoFacts facts = photo.facts().orElseThrow();
        Pose pose = shoot.framing(photo).pose();
        PhotoSpace space = new PhotoSpace(facts.asShot(), pose);
        ColourMaps maps = space.correctedToStoredColours(Turn.NONE);
        for (Point pixel : points(text)) {
            Point at = new Point(pixel.x() + 0.5, pixel.y() + 0.5);
            rows.add()
                    .with("x", pixel.x())
                    .with("y", pixel.y())
                    .with("red", read(maps.red(), at))
                    .with("green", read(maps.green(), at))
                    .with("blue", read(maps.blue(), at))
                    .with("gain", gain(space, pose.correction().light(), at));
        }
    }

    private List<Point> points(String text) {
        try {
            return Arrays.stream(text.split(";"))
                    .filter(each -> !each.isBlank())
                    .map(each -> {
                        String[] sides = each.split(",");
                        if (sides.length != 2) {
                            throw new NumberFormatException(each);
                        }
                        return new Point(Double.parseDouble(sides[0].strip()), Double.parseDouble(sides[1].strip()));
                    })
                    .toList();
        } catch (IllegalArgumentException none) {
            throw wrong(Words.of("cli.lens-points", text), none);
        }
    }

    private static List<Double> read(Mapping map, Point at) {
        Point read = map.apply(at);
        return List.of(read.x() - 0.5, read.y() - 0.5);
    }

    /** Of the photo's light at a pixel of it as it is. */
    private static double gain(PhotoSpace space, List<LightStep> light, Point at) {
        double right = at.x() - space.asShot().width() / 2.0;
        double down = at.y() - space.asShot().height() / 2.0;
        double corner = Math.hypot(space.asShot().width(), space.asShot().height()) / 2;
        double squared = (right * right + down * down) / (corner * corner);
        return LightStep.gain(light, squared);
    }
}
