package nexa.cli;

import java.util.ArrayList;
import java.util.List;
import nexa.core.brief.Format;
import nexa.shoot.Photo;
import nexa.shoot.Shoot;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(name = "crops", description = "List the frames of a shoot's photos.")
final class CropsCommand extends ShootCommand {
    @Option(names = "--format", paramLabel = "NAME", description = "Only this format; may be given several times.")
    private List<String> names = new ArrayList<>();

    @Override
    boolean run(Shoot shoot, Rows rows) {
        List<Format> formats = formats(shoot, names);
        for (Photo photo : shoot.photos()) {
            formats.forEach(format -> CropRow.add(rows, shoot, photo, format));
        }
        return sayUnreadable(shoot.photos());
    }
}
