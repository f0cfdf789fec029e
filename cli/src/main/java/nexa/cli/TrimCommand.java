package nexa.cli;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
final class TrimCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--apply",
            description =
                    "Trim the accepted photos, and lay straight what lies crooked; refused ones stay as they are.")
    private boolean apply;

    @Option(names = "--clear", description = "The whole photos again.")
    private boolean clear;

    @Override
    boolean edits() {
        return apply || clear;
    }

    @Override
    boolean run(Shoot shoot, Rows rows) throws IOException {
        if (apply && clear) {
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
            Optional<TrimFinding> finding = read(photo, () -> AutoTrimmer.find(shoot, photo));
            allRead &= finding.isPresent();
            finding.ifPresent(found -> add(rows, photo, found.trim(), finding));
            finding.filter(TrimFinding::accepted)
                    .map(found -> AutoTrimmer.trimmed(before, found.trim()))
                    .ifPresent(after -> changes.add(new FramingChange(photo.id(), before, after)));
        }
        if (edits()) {
            shoot.apply(new Edit("edit.trim.found", changes, null));
        }
        return allRead;
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
