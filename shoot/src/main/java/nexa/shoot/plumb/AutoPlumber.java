package nexa.shoot.plumb;

import java.io.IOException;
import java.util.List;
import nexa.core.brief.Framing;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.core.level.LevelLine;
import nexa.core.plumb.AutoPlumb;
import nexa.core.plumb.PlumbFinding;
import nexa.core.plumb.PlumbLine;
import nexa.core.space.Pose;
import nexa.imaging.detect.LineDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.shoot.Shoot;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;

/** Finds how a photo's camera was turned. Decodes, so not for the interface's thread; changes nothing. */
public final class AutoPlumber {
    private AutoPlumber() {}

    /**
     * What the photo's own lines say, on the photo as it is turned and as its lens is corrected now; the plumb and the tilt
     * it has play no part. Lines come back so too.
     *
     * @throws IOException if the photo can't be decoded, or lens data can't be read
     */
    public static PlumbFinding find(Shoot shoot, Lenses lenses, Photo photo, Framing framing) throws IOException {
        PhotoFacts facts = photo.facts().orElseThrow();
        return of(LineDetector.segments(shoot.previewMaker(), shoot.fileOf(photo), facts), lenses, facts, framing);
    }

    /**
     * The same of lines that were found already.
     *
     * @param segments in pixels as shot
     */
    public static PlumbFinding of(List<LevelLine> segments, Lenses lenses, PhotoFacts facts, Framing framing)
            throws IOException {
        PixelSize asShot = facts.asShot();
        Pose pose = framing.pose().on(asShot);
        Turn turn = pose.turn();
        Mapping lensed = pose.correction().lensMapping();
        List<PlumbLine> lines = segments.stream()
                .flatMap(line -> line.through(lensed, asShot).stream())
                .map(line -> line.turned(turn, asShot))
                .map(line -> PlumbLine.of(line, turn.apply(asShot)))
                .toList();
        return AutoPlumb.find(lines, lenses.focal(facts));
    }
}
