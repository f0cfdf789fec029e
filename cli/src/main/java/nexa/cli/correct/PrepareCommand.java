package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.Choice;
import nexa.cli.base.PhotoWork;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.Prepared;
import nexa.shoot.prepare.Preparer;
import nexa.shoot.prepare.Step;
import nexa.words.Words;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "prepare",
        description =
                "Look at each photo for its lens, its level, its uprights and its subject, and do what leaves no doubt.",
        footer = {
            "Nothing changes without --apply; what was done by hand stays in any case. Marks are in upright pixels.",
            "With --format also how that format's frame would then lie, and why."
        })
public final class PrepareCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--format",
            paramLabel = "NAME",
            description = "Tell of this format's frames too; may be given several times.")
    private List<String> names = new ArrayList<>();

    @Option(names = "--apply", description = "Do what is accepted; what is only offered stays as it is.")
    private boolean apply;

    @Override
    protected boolean edits() {
        return apply;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (apply) {
            requireEditing(shoot);
        }
        return withLenses(lenses -> run(shoot, rows, lenses));
    }

    private boolean run(Shoot shoot, Rows rows, Lenses lenses) throws IOException {
        List<Photo> chosen = chosen(shoot, globs);
        List<Format> formats = names.isEmpty() ? List.of() : formats(shoot, names);
        boolean allRead = sayUnreadable(chosen);
        List<FramingChange> changes = new ArrayList<>();
        List<Photo> photos = chosen.stream().filter(Photo::isReadable).toList();
        Preparer preparer = new Preparer(shoot, lenses);
        try (PhotoWork<Prepared> looked =
                PhotoWork.begin(photos, photo -> preparer.look(photo, shoot.framing(photo)))) {
            for (Photo photo : photos) {
                Optional<Prepared> found = read(photo, () -> looked.of(photo));
                allRead &= found.isPresent();
                found.ifPresent(prepared -> {
                    changes.add(new FramingChange(photo.id(), prepared.before(), prepared.sure()));
                    add(rows, shoot, photo, prepared, formats);
                });
            }
        }
        if (apply) {
            shoot.apply(new Edit("edit.prepare", changes, null));
        }
        return allRead;
    }

    private static void add(Rows rows, Shoot shoot, Photo photo, Prepared prepared, List<Format> formats) {
        for (Step step : prepared.steps()) {
            rows.add()
                    .with("photo", photo.file())
                    .with("part", Choice.of(step.part()))
                    .with("angle", step.amount())
                    .with("confidence", step.confidence())
                    .with("decision", Choice.of(step.decision()));
        }
        Framing after = prepared.sure();
        PhotoSpace space = photo.space(after.pose());
        for (Format format : formats) {
            Frame frame = Derivation.frame(space, after, format, shoot.brief());
            rows.add()
                    .with("photo", photo.file())
                    .with("part", Choice.of("frame"))
                    .with("format", format.name())
                    .with("why", Words.of(Derivation.why(space, after, format, shoot.brief(), frame)))
                    .withPoints("corners", space.toUpright(frame));
        }
        if (prepared.steps().isEmpty() && formats.isEmpty()) {
            rows.add().with("photo", photo.file()).with("part", Choice.of("nothing"));
        }
    }
}
