package nexa.cli.crop;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(name = "check", description = "Accept photos' frames in a format as they stand.")
public final class CheckCommand extends ShootCommand {
    @Option(names = "--format", required = true, paramLabel = "NAME", description = "The format to accept.")
    @SuppressWarnings("NullAway.Init")
    private String formatName;

    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Override
    protected boolean edits() {
        return true;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        Format format = format(shoot, formatName);
        List<Photo> chosen = chosen(shoot, globs);
        requireEditing(shoot);
        List<FramingChange> changes = chosen.stream()
                .filter(Photo::isReadable)
                .map(photo -> new FramingChange(photo.id(), shoot.framing(photo), checked(shoot, photo, format)))
                .toList();
        shoot.apply(new Edit("edit.check", changes, null));
        chosen.forEach(photo -> CropRow.add(rows, shoot, photo, format));
        return sayUnreadable(chosen);
    }

    /** A derived frame is accepted as it is now, and stays so. */
    private static Framing checked(Shoot shoot, Photo photo, Format format) {
        Framing framing = shoot.framing(photo);
        Crop crop = Derivation.crop(photo.facts().orElseThrow().asShot(), framing, format, shoot.brief());
        return framing.withCrop(format, crop.asChecked());
    }
}
