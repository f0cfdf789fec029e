package nexa.shoot;

import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.shoot.photo.Photo;

/** Whose picture data are whole: looked through once for each content. Thread-safe. */
final class Soundness {
    private final PhotoCodecs codecs;
    private final Function<Photo, Path> files;
    private final Set<String> sound = ConcurrentHashMap.newKeySet();
    private final Consumer<String> found;

    /**
     * @param known fingerprints of contents that were found whole before
     * @param found told of each that is found whole
     */
    Soundness(PhotoCodecs codecs, Function<Photo, Path> files, Set<String> known, Consumer<String> found) {
        this.codecs = codecs;
        this.files = files;
        this.sound.addAll(known);
        this.found = found;
    }

    boolean isDamaged(Photo photo) {
        Optional<PhotoFacts> facts = photo.facts();
        if (facts.isEmpty() || sound.contains(photo.fingerprint())) {
            return false;
        }
        return facts.get().remarks().contains(Remark.DAMAGED) || isDamaged(photo, facts.get());
    }

    private boolean isDamaged(Photo photo, PhotoFacts facts) {
        try {
            Path file = files.apply(photo);
            boolean damaged = codecs.of(file, facts).isDamaged(file);
            if (!damaged && sound.add(photo.fingerprint())) {
                found.accept(photo.fingerprint());
            }
            return damaged;
        } catch (IOException unreadable) { // whoever opens it finds out and says why
            return false;
        }
    }

    /**
     * Of photos those that are damaged, and of which that was not known.
     *
     * @param goOn asked before each
     */
    Map<Photo, Probe> damaged(List<Photo> some, BooleanSupplier goOn) {
        Map<Photo, Probe> damaged = new LinkedHashMap<>();
        for (Photo photo : some) {
            if (goOn.getAsBoolean()) {
                photo.facts()
                        .filter(facts -> !facts.remarks().contains(Remark.DAMAGED) && isDamaged(photo))
                        .ifPresent(facts -> damaged.put(photo, new Probe.Readable(facts.with(Remark.DAMAGED))));
            }
        }
        return damaged;
    }
}
