package nexa.shoot.review;

import static java.util.stream.Collectors.toMap;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.imaging.detect.Merit;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.RepeatGroup.Reason;

/** Tells near-repeats apart: whose people have their eyes open, and whose subject is sharp. */
final class Telling {
    /** Of the next sharp one's variance: less does not show. */
    private static final double CLEARLY = 1.3;

    private Telling() {}

    /** Decodes. @param photos nearly the same */
    static RepeatGroup apart(Shoot shoot, List<Photo> photos) {
        Map<Photo, Merit> merits = photos.parallelStream().collect(toMap(photo -> photo, photo -> merit(shoot, photo)));
        return apart(photos, merits);
    }

    static RepeatGroup apart(List<Photo> photos, Map<Photo, Merit> merits) {
        Set<Reason> reasons = EnumSet.noneOf(Reason.class);
        List<Photo> awake =
                photos.stream().filter(photo -> !isAnyoneAsleep(photo, merits)).toList();
        if (!awake.isEmpty() && awake.size() < photos.size()) {
            reasons.add(Reason.EYES_OPEN);
        }
        List<Photo> candidates = awake.isEmpty() ? photos : awake;
        List<Photo> sharp = sharp(candidates, merits);
        if (sharp.size() < candidates.size()) {
            reasons.add(Reason.SHARPEST);
        }
        return new RepeatGroup(photos, sharp, reasons);
    }

    private static boolean isAnyoneAsleep(Photo photo, Map<Photo, Merit> merits) {
        Merit mine = merits.getOrDefault(photo, Merit.UNKNOWN);
        return merits.values().stream().anyMatch(mine::isAsleepBeside);
    }

    private static List<Photo> sharp(List<Photo> photos, Map<Photo, Merit> merits) {
        double sharpest = photos.stream()
                .mapToDouble(photo -> merits.getOrDefault(photo, Merit.UNKNOWN).sharpness())
                .max()
                .orElse(0);
        return photos.stream()
                .filter(photo -> merits.getOrDefault(photo, Merit.UNKNOWN).sharpness() * CLEARLY >= sharpest)
                .toList();
    }

    private static Merit merit(Shoot shoot, Photo photo) {
        try {
            return Merit.of(
                    shoot.previewMaker(), shoot.fileOf(photo), photo.facts().orElseThrow());
        } catch (UnreadablePhotoException unreadable) {
            return Merit.UNKNOWN; // the photo itself says why
        }
    }
}
