package nexa.cli.crop;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import nexa.cli.base.Choice;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.carry.By;
import nexa.core.carry.Carried;
import nexa.core.carry.Carry;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.core.space.Correction;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "carry",
        description = "Take parts of one photo's crop to others, as one change.",
        footer = "The place is carried as fractions of the photo's width and height, the size in long edges.")
public final class CarryCommand extends ShootCommand {
    @Option(names = "--from", required = true, paramLabel = "PHOTO", description = "The photo carried from.")
    @SuppressWarnings("NullAway.Init")
    private String sourceName;

    @Option(
            names = "--format",
            required = true,
            paramLabel = "NAME",
            description = "The format whose frame is carried.")
    @SuppressWarnings("NullAway.Init")
    private String formatName;

    @Option(names = "--to", paramLabel = "GLOB", description = "The photos carried to; else all others.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--parts",
            split = ",",
            paramLabel = "PART",
            description =
                    "Any of shape, place, tilt, lens, plumb, turn, mirror, overlay, rule (for derived frames); else shape, place and tilt.")
    private List<Part> parts = List.of(Part.SHAPE, Part.PLACE, Part.TILT);

    @Option(
            names = "--orientation",
            paramLabel = "turn|keep|skip",
            description = "Photos lying the other way: turn the frame (usual), keep it, or leave them alone.")
    private Opposite orientation = Opposite.TURN;

    @Option(
            names = "--by",
            paramLabel = "place|marks",
            description = "The same place in the photo (usual), or the same composition: marks lie alike in the frame.")
    private By by = By.PLACE;

    @Option(names = "--dry-run", description = "Show what would become of each photo and change nothing.")
    private boolean dryRun;

    @Override
    protected boolean edits() {
        return !dryRun;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        Format format = format(shoot, formatName);
        Photo source = one(shoot, "--from", sourceName);
        List<Photo> targets = chosen(shoot, globs).stream()
                .filter(photo -> !photo.equals(source))
                .toList();
        if (!dryRun) {
            requireEditing(shoot);
        }
        Carry carry = new Carry(
                source.facts().orElseThrow().asShot(),
                shoot.framing(source),
                format,
                shoot.brief(),
                parts.isEmpty() ? Set.of() : EnumSet.copyOf(parts),
                orientation,
                by);
        return withLenses(lenses -> carry(shoot, rows, source, targets, carry, format, lenses));
    }

    private boolean carry(
            Shoot shoot, Rows rows, Photo source, List<Photo> targets, Carry carry, Format format, Lenses lenses)
            throws IOException {
        Pose from = shoot.framing(source).pose();
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : targets.stream().filter(Photo::isReadable).toList()) {
            Framing before = shoot.framing(photo);
            PhotoFacts facts = photo.facts().orElseThrow();
            Correction own = carry.parts().contains(Part.LENS) || carry.parts().contains(Part.PLUMB)
                    ? lenses.carried(from, facts, before.pose())
                    : before.pose().correction();
            Carried carried = carry.to(facts.asShot(), before, own);
            changes.add(new FramingChange(photo.id(), before, carried.framing()));
            add(rows, shoot, photo, format, carried);
        }
        if (!dryRun) {
            shoot.apply(new Edit("edit.carry", changes, null));
        }
        return sayUnreadable(targets);
    }

    private static void add(Rows rows, Shoot shoot, Photo photo, Format format, Carried carried) {
        PhotoSpace space = photo.space(carried.framing().pose());
        rows.add()
                .with("photo", photo.file())
                .with("format", format.name())
                .with("state", Choice.of("state", carried.framing().state(format)))
                .with("tilt", carried.framing().pose().tilt().degrees())
                .withPoints(
                        "corners",
                        space.toUpright(Derivation.frame(space.asShot(), carried.framing(), format, shoot.brief())))
                .with("error", carried.error())
                .with(
                        "losses",
                        carried.losses().stream()
                                .sorted()
                                .map(loss -> Choice.of("loss", loss))
                                .toList());
    }
}
