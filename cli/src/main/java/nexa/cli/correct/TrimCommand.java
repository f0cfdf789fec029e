package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.cli.base.Choice;
import nexa.cli.base.PhotoWork;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.space.Pose;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import nexa.shoot.trim.AutoTrimmer;
import nexa.words.Words;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "trim",
        description = "Find the borders around photos, and trim those where they leave no doubt.",
        footer = "Nothing changes without --apply or --clear. Sides are in pixels of the stored picture.")
public final class TrimCommand extends ShootCommand {
    private static final Pattern BAND = Pattern.compile("([xy]):(\\d+(?:\\.\\d+)?)-(\\d+(?:\\.\\d+)?)");

    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--apply",
            description =
                    "Trim the accepted photos, and lay straight what lies crooked; refused ones stay as they are.")
    private boolean apply;

    @Option(
            names = "--split",
            description =
                    "Find several pictures in one scan instead; with --apply each becomes an alternate in every format.")
    private boolean split;

    @Option(
            names = "--close",
            description = "Find bands of one colour between pictures instead; with --apply they are closed up.")
    private boolean close;

    @Option(
            names = "--band",
            paramLabel = "x:FROM-TO",
            description =
                    "With --close: this band, in pixels of the stored picture; y:FROM-TO for one from left to right.")
    private List<String> bands = new ArrayList<>();

    @Option(names = "--clear", description = "The whole photos again.")
    private boolean clear;

    @Override
    protected boolean edits() {
        return apply || clear;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (clear && (apply || split || close)) {
            throw wrong(Words.of("cli.apply-clear"));
        }
        if (close && split || !bands.isEmpty() && !close) {
            throw wrong(Words.of("cli.trim-close"));
        }
        List<Photo> chosen = chosen(shoot, globs);
        if (edits()) {
            requireEditing(shoot);
        }
        List<FramingChange> changes = new ArrayList<>();
        boolean allRead = sayUnreadable(chosen);
        List<Photo> photos = chosen.stream().filter(Photo::isReadable).toList();
        if (clear) {
            photos.forEach(photo -> clear(shoot, rows, photo, changes));
        } else if (close) {
            allRead &= close(shoot, rows, photos, changes);
        } else if (split) {
            allRead &= split(shoot, rows, photos, changes);
        } else {
            allRead &= trim(shoot, rows, photos, changes);
        }
        if (edits()) {
            shoot.apply(new Edit(split ? "edit.split" : close ? "edit.bands" : "edit.trim.found", changes, null));
        }
        return allRead;
    }

    private static void clear(Shoot shoot, Rows rows, Photo photo, List<FramingChange> changes) {
        Framing before = shoot.framing(photo);
        changes.add(new FramingChange(
                photo.id(),
                before,
                before.withPose(before.pose().withTrim(Trim.NONE).withBands(Bands.NONE))));
        add(rows, photo, Trim.NONE, Optional.empty());
    }

    /** Joins what lies beside bands; whether all photos that had to be read could be. */
    private boolean close(Shoot shoot, Rows rows, List<Photo> photos, List<FramingChange> changes) throws IOException {
        boolean allRead = true;
        try (PhotoWork<List<Bands.Band>> seen =
                PhotoWork.begin(bands.isEmpty() ? photos : List.of(), photo -> AutoTrimmer.bands(
                                shoot, photo, shoot.framing(photo).pose().trim())
                        .all())) {
            for (Photo photo : photos) {
                Framing before = shoot.framing(photo);
                Optional<List<Bands.Band>> found = bands(photo, seen);
                allRead &= found.isPresent();
                found.ifPresent(each -> each.forEach(band -> add(rows, photo, band)));
                found.filter(each -> !each.isEmpty())
                        .flatMap(each -> joined(photo, before, each))
                        .ifPresent(after -> changes.add(new FramingChange(photo.id(), before, after)));
            }
        }
        return allRead;
    }

    /** Makes a frame of each piece; whether all photos could be read. */
    private boolean split(Shoot shoot, Rows rows, List<Photo> photos, List<FramingChange> changes) throws IOException {
        boolean allRead = true;
        try (PhotoWork<List<Trim>> seen = PhotoWork.begin(photos, photo -> AutoTrimmer.pieces(shoot, photo))) {
            for (Photo photo : photos) {
                Framing before = shoot.framing(photo);
                Optional<List<Trim>> pieces = read(photo, () -> seen.of(photo));
                allRead &= pieces.isPresent();
                pieces.ifPresent(found -> found.forEach(piece -> add(rows, photo, piece, Optional.empty())));
                pieces.filter(found -> found.size() > 1)
                        .ifPresent(found ->
                                changes.add(new FramingChange(photo.id(), before, split(shoot, photo, before, found))));
            }
        }
        return allRead;
    }

    /** Trims the borders that leave no doubt; whether all photos could be read. */
    private boolean trim(Shoot shoot, Rows rows, List<Photo> photos, List<FramingChange> changes) throws IOException {
        boolean allRead = true;
        try (PhotoWork<TrimFinding> findings = PhotoWork.begin(photos, photo -> AutoTrimmer.find(shoot, photo))) {
            for (Photo photo : photos) {
                Framing before = shoot.framing(photo);
                Optional<TrimFinding> finding = read(photo, () -> findings.of(photo));
                allRead &= finding.isPresent();
                finding.ifPresent(found -> add(rows, photo, found.trim(), finding));
                finding.filter(TrimFinding::accepted)
                        .map(found -> AutoTrimmer.trimmed(before, found.trim()))
                        .ifPresent(after -> changes.add(new FramingChange(photo.id(), before, after)));
            }
        }
        return allRead;
    }

    private static Framing split(Shoot shoot, Photo photo, Framing before, List<Trim> pieces) {
        Framing after = before;
        for (Format format : shoot.brief().formats()) {
            after = AutoTrimmer.split(photo.facts().orElseThrow().asShot(), after, format, pieces);
        }
        return after;
    }

    /** Those that are given, else those that are found; empty, and said, if the photo can't be read. */
    private Optional<List<Bands.Band>> bands(Photo photo, PhotoWork<List<Bands.Band>> seen) throws IOException {
        return bands.isEmpty()
                ? read(photo, () -> seen.of(photo))
                : Optional.of(bands.stream().map(text -> band(photo, text)).toList());
    }

    private Bands.Band band(Photo photo, String text) {
        Matcher numbers = BAND.matcher(text);
        if (!numbers.matches()) {
            throw wrong(Words.of("cli.trim-band", text));
        }
        boolean across = numbers.group(1).equals("x");
        Turn exif = Turn.ofExif(photo.facts().orElseThrow().exifOrientation());
        PixelSize stored = exif.inverse().apply(photo.facts().orElseThrow().asShot());
        return Bands.between(
                        photo.facts().orElseThrow().asShot(),
                        asShot(exif, stored, across, Double.parseDouble(numbers.group(2))),
                        asShot(exif, stored, across, Double.parseDouble(numbers.group(3))))
                .orElseThrow(() -> wrong(Words.of("cli.trim-band", text)));
    }

    /** A place on one of the stored picture's own axes. */
    private static Point asShot(Turn exif, PixelSize stored, boolean across, double pixel) {
        Point fromMiddle =
                across ? new Point(pixel - stored.width() / 2.0, 0) : new Point(0, pixel - stored.height() / 2.0);
        return exif.apply(fromMiddle).times(1.0 / stored.longEdge());
    }

    /** Empty, and said, if hardly anything would be left without what was found; what was given is wrong then. */
    private Optional<Framing> joined(Photo photo, Framing before, List<Bands.Band> without) {
        Pose pose = before.pose();
        Optional<Framing> after = pose.bands()
                .plus(without, photo.facts().orElseThrow().asShot(), pose.trim())
                .map(all -> before.withPose(pose.withBands(all)));
        if (after.isEmpty()) {
            String why = Words.of("cli.trim-nothing-left", photo.file());
            if (!bands.isEmpty()) {
                throw wrong(why);
            }
            say(why);
        }
        return after;
    }

    /** A band, from one end of the photo to the other. */
    private static void add(Rows rows, Photo photo, Bands.Band band) {
        PixelSize asShot = photo.facts().orElseThrow().asShot();
        double beyond = 0.5 * (band.upright() ? asShot.height() : asShot.width()) / asShot.longEdge();
        Point from = new Point(band.gap().from(), -beyond);
        Point to = new Point(band.gap().to(), beyond);
        Frame box = band.upright() ? Frame.between(from, to) : Frame.between(swapped(from), swapped(to));
        sides(rows, photo, toStored(photo).apply(box)).with("angle", 0.0);
    }

    private static Point swapped(Point p) {
        return new Point(p.y(), p.x());
    }

    private static Turn toStored(Photo photo) {
        return Turn.ofExif(photo.facts().orElseThrow().exifOrientation()).inverse();
    }

    private static void add(Rows rows, Photo photo, Trim asShot, Optional<TrimFinding> finding) {
        Turn toStored = toStored(photo);
        Trim trim = asShot.turned(toStored);
        Frame kept = trim.within(toStored.apply(photo.facts().orElseThrow().asShot()));
        sides(rows, photo, kept)
                .with("angle", trim.lean().degrees())
                .withVerdict(
                        finding.map(TrimFinding::confidence),
                        finding.flatMap(TrimFinding::refusal).map(refusal -> Choice.of("trim.refusal", refusal)));
    }

    /** @param box of the stored picture, in its isotropic unit */
    private static Rows.Row sides(Rows rows, Photo photo, Frame box) {
        PixelSize stored = toStored(photo).apply(photo.facts().orElseThrow().asShot());
        double edge = stored.longEdge();
        return rows.add()
                .with("photo", photo.file())
                .with("left", rounded(box.left() * edge + stored.width() / 2.0))
                .with("top", rounded(box.top() * edge + stored.height() / 2.0))
                .with("right", rounded(box.right() * edge + stored.width() / 2.0))
                .with("bottom", rounded(box.bottom() * edge + stored.height() / 2.0));
    }

    /** To a hundredth: no edge is known better. */
    private static double rounded(double pixels) {
        return Math.round(pixels * 100) / 100.0;
    }
}
