package nexa.cli.deliver;

import java.util.Optional;
import nexa.cli.base.Choice;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.geometry.PixelSize;
import nexa.core.space.PhotoSpace;
import nexa.imaging.file.Remark;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import picocli.CommandLine.Command;

@Command(name = "photos", description = "List a shoot's photos.")
public final class PhotosCommand extends ShootCommand {
    @Override
    protected boolean run(Shoot shoot, Rows rows) {
        for (Photo photo : shoot.photos()) {
            Optional<PixelSize> size = shoot.space(photo).map(PhotoSpace::upright);
            rows.add()
                    .with("file", photo.file())
                    .with("width", size.map(PixelSize::width).orElse(null))
                    .with("height", size.map(PixelSize::height).orElse(null))
                    .with(
                            "orientation",
                            size.map(s -> Choice.of("lying", s.orientation())).orElse(null))
                    .with("state", Choice.of(size.isPresent() ? (isDamaged(photo) ? "damaged" : "ok") : "unreadable"))
                    .with(
                            "reason",
                            photo.trouble()
                                    .map(Words::of)
                                    .orElse(isDamaged(photo) ? Words.of("told.note.damaged") : null));
        }
        if (shoot.others() > 0) {
            say(Words.of("wall.others", shoot.others()));
        }
        return shoot.photos().stream().allMatch(Photo::isReadable);
    }

    /** As far as anybody looked: a handover looks through all, and so does the window when it has time. */
    private static boolean isDamaged(Photo photo) {
        return photo.facts()
                .filter(facts -> facts.remarks().contains(Remark.DAMAGED))
                .isPresent();
    }
}
