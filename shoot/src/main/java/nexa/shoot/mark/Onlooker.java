package nexa.shoot.mark;

import java.util.List;
import nexa.core.sight.Sight;
import nexa.imaging.detect.SubjectDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.preview.PreviewCache;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Looks at photos for what they show. Decodes, so not for the interface's thread; changes nothing. */
public final class Onlooker {
    private static final Logger LOG = LoggerFactory.getLogger(Onlooker.class);

    private final Shoot shoot;
    private final PreviewCache previews;

    /** @param previews whose small pictures are looked at */
    public Onlooker(Shoot shoot, PreviewCache previews) {
        this.shoot = shoot;
        this.previews = previews;
    }

    /** Readable photos of a shoot that nobody looked at. */
    public static List<Photo> unseen(Shoot shoot) {
        return shoot.photos().stream()
                .filter(Photo::isReadable)
                .filter(photo -> shoot.framing(photo).subject().sight().isEmpty())
                .toList();
    }

    /** What a readable photo shows; nothing where it can't be decoded. */
    public Sight look(Photo photo) {
        PhotoFacts facts = photo.facts().orElseThrow();
        try (Preview small = previews.preview(shoot.fileOf(photo), photo.pixels(), facts, PreviewCache.SMALL)) {
            return SubjectDetector.find(small.picture(), facts.asShot()).sight();
        } catch (UnreadablePhotoException unreadable) {
            LOG.info("Nothing is seen in {}: {}", photo.file(), unreadable.toString()); // the photo itself says why
            return Sight.NONE;
        }
    }
}
