package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.fill.Blank;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Rendering;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "fill",
        description = "Say what goes where frames show no photo, and where it will show.",
        footer =
                "With --photo the photos get a fill of their own, else the format does. Nothing changes without --with.")
public final class FillCommand extends ShootCommand {
    /** Enough to tell where a fill shows. */
    private static final int LOOKED_AT = 600;

    @Option(names = "--format", required = true, paramLabel = "NAME", description = "Of this format.")
    @SuppressWarnings("NullAway.Init")
    private String formatName;

    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--with",
            paramLabel = "FILL",
            description = "white, #rrggbb, transparent, mirror, stretch [10 %%], blur or surroundings.")
    private @Nullable String with;

    @Override
    protected boolean edits() {
        return with != null;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        Optional<Fill> fill = asked();
        Format format = format(shoot, formatName);
        List<Photo> chosen = chosen(shoot, globs);
        if (fill.isPresent()) {
            requireEditing(shoot);
            apply(shoot, format, chosen, fill.get());
        }
        boolean allRead = sayUnreadable(chosen);
        Format now = format(shoot, formatName);
        for (Photo photo : chosen.stream().filter(Photo::isReadable).toList()) {
            allRead &= add(shoot, rows, photo, now);
        }
        return allRead;
    }

    private Optional<Fill> asked() {
        try {
            return Optional.ofNullable(with).map(Fill::parse);
        } catch (IllegalArgumentException refused) {
            throw wrong(Words.of(refused));
        }
    }

    private void apply(Shoot shoot, Format format, List<Photo> chosen, Fill fill) {
        if (globs.isEmpty()) {
            Brief before = shoot.brief();
            shoot.apply(Edit.brief(
                    "edit.fill",
                    before,
                    before.changed(format.filed(format.files().filled(fill)))));
            return;
        }
        List<FramingChange> changes = chosen.stream()
                .filter(Photo::isReadable)
                .map(photo -> new FramingChange(photo.id(), shoot.framing(photo), filled(shoot, photo, format, fill)))
                .toList();
        shoot.apply(new Edit("edit.fill", changes, null));
    }

    private static Framing filled(Shoot shoot, Photo photo, Format format, Fill fill) {
        Framing before = shoot.framing(photo);
        Crop crop = Derivation.crop(photo.facts().orElseThrow().asShot(), before, format, shoot.brief());
        return before.withCrop(format, crop.withFill(Optional.of(fill)));
    }

    private boolean add(Shoot shoot, Rows rows, Photo photo, Format format) throws IOException {
        Frame frame = shoot.frame(photo, format).orElseThrow();
        double blank = Blank.share(shoot.space(photo).orElseThrow().outline(), frame);
        Fill fill = shoot.framing(photo).fill(format);
        Rows.Row row = rows.add()
                .with("photo", photo.file())
                .with("format", format.name())
                .with("fill", fill.text())
                .with("blank", blank);
        if (blank == 0 || !fill.isOfPhoto()) {
            row.with("shows", null);
            return true;
        }
        Optional<Double> shows = read(
                photo, () -> Rendering.look(shoot.codecs(), HandoverPlan.sample(shoot, photo, format), LOOKED_AT, true)
                        .seam()
                        .share());
        row.with("shows", shows.orElse(null));
        return shows.isPresent();
    }
}
