package nexa.cli.correct;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.raw.Developing;
import nexa.shoot.raw.Developing.Developed;
import nexa.shoot.scan.PairShown;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
        name = "raw",
        description = "List raw files and which picture of them is shown, or show another one.",
        footer = "Crops stay when another picture is shown. Nothing changes without --show, --usual or --pairs.")
public final class RawCommand extends ShootCommand {
    @Option(names = "--photo", paramLabel = "GLOB", description = "Only photos whose file or path matches; else all.")
    private List<String> globs = new ArrayList<>();

    @Option(
            names = "--show",
            paramLabel = "camera|data",
            description = "The camera's own picture of it, or its raw data developed.")
    private @Nullable RawPicture picture;

    @Option(
            names = "--usual",
            paramLabel = "camera|data",
            description = "Which of them raw files show that come into the folder from now on.")
    private @Nullable RawPicture usual;

    @Option(
            names = "--pairs",
            paramLabel = "picture|raw|apart",
            description = "A raw file with a JPEG or HEIC of its name is one photo that shows this file, or two photos;"
                    + " from the next command on.")
    private @Nullable PairShown pairs;

    @Override
    protected boolean edits() {
        return picture != null || usual != null || pairs != null;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        List<Photo> chosen = chosen(shoot, globs);
        if (edits()) {
            requireEditing(shoot);
        }
        if (usual != null) {
            shoot.remember(RawPicture.SETTING, usual.setting());
        }
        if (pairs != null) {
            shoot.remember(PairShown.SETTING, pairs.setting());
        }
        boolean allShown = picture == null || show(shoot, chosen, picture);
        List<Long> ids = chosen.stream().map(Photo::id).toList();
        shoot.photos().stream().filter(photo -> ids.contains(photo.id())).forEach(photo -> add(shoot, rows, photo));
        return allShown;
    }

    private boolean show(Shoot shoot, List<Photo> chosen, RawPicture wanted) throws IOException {
        try {
            Developed developed = Developing.show(shoot, chosen, wanted, () -> true);
            shoot.take(developed.arrivals());
            developed
                    .refused()
                    .forEach((photo, trouble) -> say(Words.of("cli.raw.refused", photo.file(), Words.of(trouble))));
            return developed.refused().isEmpty();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static void add(Shoot shoot, Rows rows, Photo photo) {
        Optional<RawPicture> shown = RawPicture.of(photo);
        if (shown.isPresent()) {
            PixelSize size = photo.facts().map(PhotoFacts::asShot).orElseThrow();
            rows.add()
                    .with("photo", photo.file())
                    .with("shows", shown.get().setting())
                    .with("width", size.width())
                    .with("height", size.height())
                    .with("with", shoot.companion(photo).orElse(null));
        }
    }
}
