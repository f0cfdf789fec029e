package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.cli.base.Choice;
import nexa.cli.base.PhotoWork;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.plumb.Plumb;
import nexa.core.plumb.PlumbFinding;
import nexa.core.plumb.PlumbLine;
import nexa.core.plumb.Standing;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import nexa.shoot.plumb.AutoPlumber;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "plumb",
        description = "Stand up what leans because the camera looked up, down or to the side.",
        footer = "Nothing changes without an angle, --far, --clear, or --auto with --apply.")
public final class PlumbCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(names = "--pitch", paramLabel = "DEG", description = "How far the camera looked up, -45 to 45.")
    private @Nullable Double pitch;

    @Option(names = "--yaw", paramLabel = "DEG", description = "How far it looked to the right of the wall, -45 to 45.")
    private @Nullable Double yaw;

    @Option(names = "--far", paramLabel = "PCT", description = "How much of both is undone, 0 to 100 %%.")
    private @Nullable Double far;

    @Option(names = "--auto", description = "Find the angles by the photos' own lines.")
    private boolean auto;

    @Option(
            names = "--apply",
            description = "With --auto: stand the accepted photos up; refused ones stay as they are.")
    private boolean apply;

    @Option(names = "--clear", description = "As the photos were shot.")
    private boolean clear;

    @Override
    protected boolean edits() {
        return pitch != null || yaw != null || far != null || clear || auto && apply;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (apply && !auto) {
            throw wrong(Words.of("cli.plumb-apply-auto"));
        }
        if (edits()) {
            requireEditing(shoot);
        }
        return withLenses(lenses -> run(shoot, rows, lenses));
    }

    private boolean run(Shoot shoot, Rows rows, Lenses lenses) throws IOException {
        List<Photo> chosen = chosen(shoot, globs);
        List<FramingChange> changes = new ArrayList<>();
        boolean allRead = sayUnreadable(chosen);
        List<Photo> photos = chosen.stream().filter(Photo::isReadable).toList();
        try (PhotoWork<PlumbFinding> findings = PhotoWork.begin(
                auto ? photos : List.of(), photo -> AutoPlumber.find(shoot, lenses, photo, shoot.framing(photo)))) {
            for (Photo photo : photos) {
                Framing before = shoot.framing(photo);
                Optional<PlumbFinding> finding = auto ? read(photo, () -> findings.of(photo)) : Optional.empty();
                allRead &= !auto || finding.isPresent();
                Framing after = changed(lenses, photo, before, finding.filter(PlumbFinding::accepted));
                changes.add(new FramingChange(photo.id(), before, after));
                add(rows, shoot, photo, after, finding);
            }
        }
        if (edits()) {
            shoot.apply(new Edit("edit.plumb", changes, null));
        }
        return allRead;
    }

    private Framing changed(Lenses lenses, Photo photo, Framing before, Optional<PlumbFinding> accepted)
            throws IOException {
        Turn turn = before.pose().turn();
        Plumb seen = clear ? Plumb.NONE : before.pose().plumb().after(turn);
        if (pitch != null || yaw != null) {
            double focal = lenses.focal(photo.facts().orElseThrow());
            seen = seen.withAngles(angle("--pitch", pitch, seen.pitch()), angle("--yaw", yaw, seen.yaw()))
                    .withFocal(focal);
        }
        seen = seen.withFar(share(seen.far()));
        Framing after = before.withPose(before.pose().withPlumb(seen.before(turn)));
        if (!apply || accepted.isEmpty()) {
            return after;
        }
        Standing kept = accepted.get().standing().before(turn);
        return before.withPose(before.pose()
                .withPlumb(kept.plumb().withFar(share(before.pose().plumb().far())))
                .withTilt(kept.tilt()));
    }

    private double angle(String option, @Nullable Double degrees, double now) {
        if (degrees != null && !(Math.abs(degrees) <= Plumb.WIDEST)) {
            throw wrong(Words.of("cli.plumb-angle", option, degrees));
        }
        return degrees == null ? now : degrees;
    }

    private double share(double now) {
        if (far != null && !(far >= 0 && far <= 100)) {
            throw wrong(Words.of("cli.plumb-far", far));
        }
        return far == null ? now : far / 100;
    }

    private static void add(Rows rows, Shoot shoot, Photo photo, Framing framing, Optional<PlumbFinding> finding) {
        Standing shown = finding.map(PlumbFinding::standing)
                .orElseGet(() -> new Standing(
                        framing.pose().plumb().after(framing.pose().turn()),
                        framing.pose().tilt()));
        PixelSize upright = photo.space(framing.pose()).upright();
        rows.add()
                .with("photo", photo.file())
                .with("pitch", shown.plumb().pitch())
                .with("yaw", shown.plumb().yaw())
                .with("roll", shown.tilt().degrees())
                .withVerdict(
                        finding.map(PlumbFinding::confidence),
                        finding.flatMap(PlumbFinding::refusal).map(refusal -> Choice.of("plumb.refusal", refusal)))
                .with(
                        "lines",
                        finding.stream()
                                .flatMap(found -> found.lines().stream())
                                .map(line -> ends(line, upright))
                                .toList());
    }

    /** x1, y1, x2, y2 in pixels of the photo as it is turned, corrected for its lens only. */
    private static List<Double> ends(PlumbLine line, PixelSize upright) {
        return Stream.of(line.from(), line.to())
                .map(p -> p.times(upright.longEdge()))
                .map(p -> new Point(p.x() + upright.width() / 2.0, p.y() + upright.height() / 2.0))
                .flatMap(p -> Stream.of(p.x(), p.y()))
                .toList();
    }
}
