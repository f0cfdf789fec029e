package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.Choice;
import nexa.cli.base.PhotoWork;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Framing;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.level.AutoLeveller;
import nexa.shoot.photo.Photo;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "level",
        description = "Find by their own lines how photos lean, and level those where the lines leave no doubt.",
        footer = "Nothing changes without --apply.")
public final class LevelCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(names = "--apply", description = "Tilt the accepted photos; refused ones stay as they are.")
    private boolean apply;

    @Override
    protected boolean edits() {
        return apply;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        List<Photo> chosen = chosen(shoot, globs);
        if (apply) {
            requireEditing(shoot);
        }
        List<FramingChange> changes = new ArrayList<>();
        boolean allRead = sayUnreadable(chosen);
        List<Photo> photos = chosen.stream().filter(Photo::isReadable).toList();
        try (PhotoWork<Finding> findings =
                PhotoWork.begin(photos, photo -> AutoLeveller.find(shoot, photo, shoot.framing(photo)))) {
            for (Photo photo : photos) {
                Framing before = shoot.framing(photo);
                Optional<Finding> finding = read(photo, () -> findings.of(photo));
                allRead &= finding.isPresent();
                finding.ifPresent(found -> add(rows, photo, found));
                finding.filter(Finding::accepted)
                        .map(found -> before.withPose(before.pose().withTilt(found.tilt()))
                                .levelledAt(found.tilt()))
                        .ifPresent(after -> changes.add(new FramingChange(photo.id(), before, after)));
            }
        }
        if (apply) {
            shoot.apply(new Edit("edit.level.auto", changes, null));
        }
        return allRead;
    }

    private static void add(Rows rows, Photo photo, Finding finding) {
        rows.add()
                .with("photo", photo.file())
                .with("angle", finding.tilt().degrees())
                .withVerdict(
                        Optional.of(finding.confidence()),
                        finding.refusal().map(refusal -> Choice.of("refusal", refusal)),
                        finding.offered())
                .with("lines", finding.lines().stream().map(LevelCommand::ends).toList());
    }

    /** x1, y1, x2, y2 in upright pixels. */
    private static List<Double> ends(LevelLine line) {
        return List.of(
                line.from().x(), line.from().y(), line.to().x(), line.to().y());
    }
}
