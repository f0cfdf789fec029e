package nexa.shoot.raw;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.Arrivals;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;

/** Shows other pictures of raw files. Crops stay: they hold on to the photo's content. */
public final class Developing {
    private Developing() {}

    /**
     * What came of it.
     *
     * @param arrivals the photos that show another picture now, stored; they show so when they are taken
     * @param refused those that stay as they are, and why
     */
    public record Developed(Arrivals arrivals, Map<Photo, Trouble> refused) {}

    /**
     * Looks into the files of those photos that show another picture than is asked for. Reads files, so not for the
     * interface's thread.
     *
     * @param photos raw ones and others, which stay
     * @param goOn asked before each
     * @throws IOException if it can't be stored
     * @throws InterruptedException if interrupted while it is stored
     */
    public static Developed show(Shoot shoot, List<Photo> photos, RawPicture picture, BooleanSupplier goOn)
            throws IOException, InterruptedException {
        Map<Photo, Probe> found = new LinkedHashMap<>();
        Map<Photo, Trouble> refused = new LinkedHashMap<>();
        for (Photo photo : photos) {
            boolean isOther =
                    RawPicture.of(photo).filter(shown -> shown != picture).isPresent();
            if (!isOther || !goOn.getAsBoolean()) {
                continue;
            }
            Probe probe = picture.probe(shoot.codecs(), shoot.fileOf(photo));
            if (RawPicture.of(probe).filter(picture::equals).isPresent()) {
                found.put(photo, probe);
            } else {
                refused.put(photo, reason(probe, picture));
            }
        }
        return new Developed(shoot.foundOut(found), refused);
    }

    /** A file that shows the picture it showed has no other, or nothing here to develop it with. */
    private static Trouble reason(Probe probe, RawPicture wanted) {
        if (probe instanceof Probe.Unreadable(Trouble trouble)) {
            return trouble;
        }
        return Trouble.of(wanted == RawPicture.DATA ? Trouble.Kind.RAW_LIBRARY : Trouble.Kind.RAW_WITHOUT_PREVIEW);
    }
}
