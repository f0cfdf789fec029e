package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.imaging.file.PhotoFacts;
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

    @Option(names = "--clear", description = "The whole photos again.")
    private boolean clear;

    @Override
    protected boolean edits() {
        return apply || clear;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (clear && (apply || split)) {
            throw wrong(Words.of("cli.apply-clear"));
        }
        List<Photo> chosen = chosen(shoot, globs);
        if (edits()) {
            requireEditing(shoot);
        }
        List<FramingChange> changes = new ArrayList<>();
        boolean allRead = sayUnreadable(chosen);
        for (Photo photo : chosen.stream().filter(Photo::isReadable).toList()) {
            Framing before = shoot.framing(photo);
            if (clear) {
                changes.add(new FramingChange(
                        photo.id(), before, before.withPose(before.pose().withTrim(Trim.NONE))));
                add(rows, photo, Trim.NONE, Optional.empty());
                continue;
            }
            if (split) {
                Optional<List<Trim>> pieces = read(photo, () -> AutoTrimmer.pieces(shoot, photo));
                allRead &= pieces.isPresent();
                pieces.ifPresent(found -> found.forEach(piece -> add(rows, photo, piece, Optional.empty())));
                pieces.filter(found -> found.size() > 1)
                        .ifPresent(found ->
                                changes.add(new FramingChange(photo.id(), before, split(shoot, photo, before, found))));
                continue;
            }
            Optional<TrimFinding> finding = read(photo, () -> AutoTrimmer.find(shoot, photo));
            allRead &= finding.isPresent();
            finding.ifPresent(found -> add(rows, photo, found.trim(), finding));
            finding.filter(TrimFinding::accepted)
                    .map(found -> AutoTrimmer.trimmed(before, found.trim()))
                    .ifPresent(after -> changes.add(new FramingChange(photo.id(), before, after)));
        }
        if (edits()) {
            shoot.apply(new Edit(split ? "edit.split" : "edit.trim.found", changes, null));
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

    private static void add(Rows rows, Photo photo, Trim asShot, Optional<TrimFinding> finding) {
        PhotoFacts facts = photo.facts().orElseThrow();
        Turn toStored = Turn.ofExif(facts.exifOrientation()).inverse();
        PixelSize stored = toStored.apply(facts.asShot());
        Trim trim = asShot.turned(toStored);
        Frame kept = trim.within(stored);
        double edge = stored.longEdge();
        rows.add()
                .with("photo", photo.file())
                .with("left", rounded(kept.left() * edge + stored.width() / 2.0))
                .with("top", rounded(kept.top() * edge + stored.height() / 2.0))
                .with("right", rounded(kept.right() * edge + stored.width() / 2.0))
                .with("bottom", rounded(kept.bottom() * edge + stored.height() / 2.0))
                .with("angle", trim.lean().degrees())
                .withVerdict(finding.map(TrimFinding::confidence), finding.flatMap(TrimFinding::refusal));
    }

    /** To a hundredth: no edge is known better. */
    private static double rounded(double pixels) {
        return Math.round(pixels * 100) / 100.0;
    }
}
