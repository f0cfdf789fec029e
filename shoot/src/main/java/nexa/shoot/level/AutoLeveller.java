package nexa.shoot.level;

import java.util.List;
import nexa.core.brief.Framing;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Turn;
import nexa.core.level.AutoLevel;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.space.Correction;
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
        PixelSize asShot = facts.asShot();
        Turn turn = framing.pose().turn();
        Correction correction = framing.pose().correction();
        List<LevelLine> lines = LineDetector.segments(shoot.previewMaker(), shoot.fileOf(photo), facts).stream()
                .map(line -> correction.keepsPlaces() ? line : corrected(line, asShot, correction.mapping()))
                .map(line -> line.turned(turn, asShot))
                .toList();
        return AutoLevel.find(lines, new PhotoSpace(asShot, Pose.AS_SHOT.turned(turn)).upright());
    }

    /** A line of the photo as shot on the corrected one, in pixels of either; both are as large. */
    private static LevelLine corrected(LevelLine line, PixelSize asShot, Mapping correction) {
        return new LevelLine(corrected(line.from(), asShot, correction), corrected(line.to(), asShot, correction));
    }

    private static Point corrected(Point pixel, PixelSize asShot, Mapping correction) {
        Point middle = new Point(asShot.width() / 2.0, asShot.height() / 2.0);
        Point unit = pixel.minus(middle).times(1.0 / asShot.longEdge());
        return correction.apply(unit).times(asShot.longEdge()).plus(middle);
    }
}
