package nexa.bench.sight;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import nexa.shoot.Locations;
import nexa.shoot.Preferences;
import nexa.shoot.Shoot;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.Part;
import nexa.shoot.prepare.Prepared;
import nexa.shoot.prepare.Preparer;
import nexa.shoot.prepare.Step;

/** How fast a shoot is looked at for all that help can propose, on all cores, and what comes of it. */
public final class PrepareTrial {
    private PrepareTrial() {}

    /** @param folder of photographs; nothing is changed */
    public static void run(Path folder) throws IOException {
        Path own = Files.createTempDirectory("nexa-prepare");
        Locations locations = new Locations(own.resolve("data"), own.resolve("cache"));
        try (Preferences preferences = Preferences.open(locations);
                Shoot shoot = Shoot.open(folder, locations)) {
            Preparer preparer = new Preparer(shoot, new Lenses(locations, preferences));
            List<Photo> photos =
                    shoot.photos().stream().filter(Photo::isReadable).toList();
            look(preparer, shoot, photos.getFirst()); // the networks are loaded
            long begun = System.nanoTime();
            List<Prepared> all = photos.parallelStream()
                    .map(photo -> look(preparer, shoot, photo))
                    .toList();
            double seconds = (System.nanoTime() - begun) / 1e9;
            System.out.printf(Locale.ROOT, "%d photos, %.1f a second%n", all.size(), all.size() / seconds);
            for (Part part : Part.values()) {
                for (Step.Decision decision : Step.Decision.values()) {
                    long count = all.stream()
                            .filter(prepared -> prepared.step(part)
                                    .filter(step -> step.is(decision))
                                    .isPresent())
                            .count();
                    System.out.println(part + " " + decision + ": " + count);
                }
            }
        }
    }

    private static Prepared look(Preparer preparer, Shoot shoot, Photo photo) {
        try {
            return preparer.look(photo, shoot.framing(photo));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
