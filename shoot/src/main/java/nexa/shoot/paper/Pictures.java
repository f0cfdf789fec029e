package nexa.shoot.paper;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import nexa.core.told.Told;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.handover.ByPhoto;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.RunControl;
import nexa.shoot.photo.Photo;

/** Pictures of deliveries as JPEG in sRGB, on all cores, one decode a photo. */
final class Pictures {
    /** Makes the pictures of one photo, in order. */
    interface Maker {
        List<byte[]> of(List<Delivery> ofOnePhoto) throws UnreadablePhotoException, IOException;
    }

    /** @param failed why, by photo */
    record Made(Map<Delivery, byte[]> pictures, Map<Photo, Told> failed) {}

    private Pictures() {}

    /**
     * Blocks until all are made or the control ends it.
     *
     * @param progress told how many photos are done
     */
    static Made make(List<Delivery> deliveries, Maker maker, PaperJob.Progress progress, RunControl control)
            throws IOException {
        int photos = (int) deliveries.stream().map(Delivery::photo).distinct().count();
        AtomicInteger done = new AtomicInteger();
        Made all = new Made(new HashMap<>(), new HashMap<>());
        for (Made one : ByPhoto.work(deliveries, ofPhoto -> {
            if (!control.mayGoOn()) {
                return new Made(Map.of(), Map.of());
            }
            Made made = made(ofPhoto, maker);
            progress.done(done.incrementAndGet(), photos);
            return made;
        })) {
            all.pictures.putAll(one.pictures);
            all.failed.putAll(one.failed);
        }
        return all;
    }

    private static Made made(List<Delivery> ofPhoto, Maker maker) {
        Photo photo = ofPhoto.getFirst().photo();
        try {
            List<byte[]> made = maker.of(ofPhoto);
            Map<Delivery, byte[]> pictures = new HashMap<>();
            for (int i = 0; i < made.size(); i++) {
                pictures.put(ofPhoto.get(i), made.get(i));
            }
            return new Made(pictures, Map.of());
        } catch (UnreadablePhotoException unreadable) {
            return new Made(Map.of(), Map.of(photo, unreadable.told()));
        } catch (IOException | RuntimeException | OutOfMemoryError refused) { // native code's own
            return new Made(Map.of(), Map.of(photo, Told.of("told.paper.not-rendered")));
        }
    }
}
