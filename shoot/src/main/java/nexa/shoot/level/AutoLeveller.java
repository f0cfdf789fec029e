package nexa.shoot.level;

import java.util.List;
import nexa.core.brief.Framing;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.core.level.AutoLevel;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.detect.LineDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/** Finds how a photo leans. Decodes, so not for the interface's thread; changes nothing. */
public final class AutoLeveller {
    private AutoLeveller() {}

    /**
     * What the photo's own lines say, counted from a readable photo as it is corrected and turned; the tilt it has plays no
     * part.
     *
     * @throws UnreadablePhotoException if the photo can't be decoded
     */
    public static Finding find(Shoot shoot, Photo photo, Framing framing) throws UnreadablePhotoException {
        PhotoFacts facts = photo.facts().orElseThrow();
        return of(LineDetector.segments(shoot.previewMaker(), shoot.fileOf(photo), facts), facts.asShot(), framing);
    }

    /**
     * The same of lines that were found already.
     *
     * @param segments in pixels as shot
     */
    public static Finding of(List<LevelLine> segments, PixelSize asShot, Framing framing) {
        Turn turn = framing.pose().turn();
        Mapping correction = framing.pose().on(asShot).correction().mapping();
        List<LevelLine> lines = segments.stream()
                .flatMap(line -> line.through(correction, asShot).stream())
                .map(line -> line.turned(turn, asShot))
                .toList();
        return AutoLevel.find(lines, new PhotoSpace(asShot, Pose.AS_SHOT.turned(turn)).upright());
    }
}
