package nexa.bench.micro;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import nexa.bench.base.LargePhoto;
import nexa.core.brief.Brief;
import nexa.core.shape.Shape;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;

/** A shoot of 24-megapixel photos with one format of 4:5, gone with all its files when it is closed. */
record TemporaryShoot(Path base, Shoot shoot) implements AutoCloseable {
    /** @param photos names of demo photos */
    static TemporaryShoot of(List<String> photos) throws IOException {
        Path base = Files.createTempDirectory("nexa-bench");
        Path folder = Files.createDirectory(base.resolve("shoot"));
        for (String photo : photos) {
            LargePhoto.write(photo, folder.resolve(photo));
        }
        Shoot shoot = Shoot.open(folder, new Locations(base.resolve("data"), base.resolve("cache")));
        shoot.apply(Edit.brief("edit.brief", shoot.brief(), Brief.EMPTY.with("Print", Shape.parse("4:5"))));
        return new TemporaryShoot(base, shoot);
    }

    @Override
    public void close() throws IOException {
        shoot.close();
        try (Stream<Path> all = Files.walk(base)) {
            for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(each);
            }
        }
    }
}
