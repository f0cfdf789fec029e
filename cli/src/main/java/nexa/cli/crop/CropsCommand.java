package nexa.cli.crop;

import java.io.IOException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Format;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.CropsTable;
import nexa.shoot.exchange.Exchanged;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(name = "crops", description = "List the frames of a shoot's photos, or exchange them as a table.")
public final class CropsCommand extends ShootCommand {
    @Option(names = "--format", paramLabel = "NAME", description = "Only this format; may be given several times.")
    private List<String> names = new ArrayList<>();

    @Option(names = "--export", paramLabel = "FILE.csv", description = "Write all crops to a table.")
    private @Nullable Path exported;

    @Option(
            names = "--import",
            paramLabel = "FILE.csv",
            description = "Read crops from such a table, in place of what was known of its photos.")
    private @Nullable Path imported;

    @Option(names = "--replace", description = "Put what is written in place of a file that has its name.")
    private boolean replace;

    @Override
    protected boolean edits() {
        return imported != null;
    }

    @Override
    protected boolean run(Shoot shoot, Rows rows) throws IOException {
        if (imported != null) {
            requireEditing(shoot);
            return add(rows, read(shoot, imported));
        }
        if (exported != null) {
            Path file = exported.toAbsolutePath();
            exported(() -> CropsTable.write(shoot, file, ifTaken(replace)));
        }
        List<Format> formats = formats(shoot, names);
        for (Photo photo : shoot.photos()) {
            formats.forEach(format -> CropRow.add(rows, shoot, photo, format));
        }
        return sayUnreadable(shoot.photos());
    }

    private Exchanged read(Shoot shoot, Path file) throws IOException {
        try {
            return CropsTable.read(shoot, file).apply();
        } catch (NoSuchFileException missing) {
            throw wrong(Words.of("cli.no-file", file), missing);
        } catch (IOException refused) {
            throw wrong(Words.of("told.at", file, Told.of(refused)), refused);
        }
    }
}
