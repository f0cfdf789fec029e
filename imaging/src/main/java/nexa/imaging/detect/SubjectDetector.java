package nexa.imaging.detect;

import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.face.Face;
import nexa.imaging.face.FaceFinder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.thing.Thing;
import nexa.imaging.thing.ThingFinder;

/** Finds what a photo is of: people by their faces, else what is recognised, else what stands out. Thread-safe. */
public final class SubjectDetector {
    /** Where it is looked for, in pixels of the long edge. */
    private static final int LONG_EDGE = 400;

    /** Of the largest face's width: as near people are a group. */
    private static final double OF_GROUP = 0.5;

    /** As often as people by their faces were right in the trial of marks. */
    private static final double OF_PEOPLE = 0.95;

    /** Of what only stands out, as often as it was right in the trial of marks. */
    private static final double STANDS_OUT = 0.6;

    /** Wider than so many heights lies rather than stands. */
    private static final double LIES = 1.25;

    /** Of the surest person about a face: less sure ones are parts of it. */
    private static final double AS_SURE = 0.7;

    /** In faces: how far a person reaches where only the face is found, aside and down from the face's middle. */
    private static final double SHOULDERS = 1.6;

    private static final double WAIST = 4;
    private static final double HAIR = 1.1;

    private SubjectDetector() {}

    /** @throws UnreadablePhotoException if the photo can't be decoded */
    public static Seen find(PreviewMaker previews, Path file, PhotoFacts facts) throws UnreadablePhotoException {
        try (Picture picture = previews.picture(file, facts, LONG_EDGE)) {
            return find(picture, facts.asShot());
        }
    }

    /** The same of a reduced picture of the photo. @param asShot the photo's size, in whose pixels the answer is */
    public static Seen find(Picture picture, PixelSize asShot) {
        try (Picture small = picture.reducedTo(LONG_EDGE)) {
            return find(small).times((double) asShot.longEdge() / small.size().longEdge(), asShot);
        }
    }

    /** In the picture's own continuous pixels. */
    static Seen find(Picture picture) {
        PixelSize size = picture.size();
        List<Face> people = group(FaceFinder.find(picture), size);
        List<Thing> things = ThingFinder.find(picture);
        if (!people.isEmpty()) {
            Frame bodies = bodies(people, things, size);
            return new Seen(size, people, Optional.of(bodies), List.of(), OF_PEOPLE);
        }
        Optional<Candidates.Group> best = Candidates.best(things, size);
        if (best.isPresent()) {
            Frame box = best.get().box();
            boolean alone = best.get().members().size() == 1 && !best.get().ofPeople();
            List<Point> ends = alone && stands(box) ? upright(picture, box) : ends(box);
            return new Seen(
                    size,
                    List.of(),
                    Optional.of(box),
                    ends,
                    calibrated(best.get().confidence()));
        }
        Optional<Frame> box = StandOut.find(picture).flatMap(found -> Candidates.supported(things, found.box(), size)
                .or(() -> found.clearly() ? Optional.of(found.box()) : Optional.empty()));
        return new Seen(
                size,
                List.of(),
                box,
                box.map(SubjectDetector::ends).orElse(List.of()),
                box.isPresent() ? STANDS_OUT : 0);
    }

    private static boolean stands(Frame box) {
        return box.aspect() <= LIES;
    }

    private static List<Point> ends(Frame box) {
        return stands(box) ? List.of(box.at(0.5, 0), box.at(0.5, 1)) : List.of(box.at(0, 0.5), box.at(1, 0.5));
    }

    private static List<Point> upright(Picture picture, Frame box) {
        try (Picture coloured = picture.plain()) {
            return UprightAxis.ends(coloured, box).orElseGet(() -> ends(box));
        }
    }

    /** How often the subject is right at the network's confidence: a line through the trial of marks. */
    private static double calibrated(double confidence) {
        return Math.clamp(0.5 + (confidence - 0.38) * 1.5, 0, 0.95);
    }

    /** Small faces are of people farther back, and those that lie outside are none. The largest first. */
    private static List<Face> group(List<Face> all, PixelSize picture) {
        Frame whole = Frame.between(Point.ORIGIN, new Point(picture.width(), picture.height()));
        List<Face> faces =
                all.stream().filter(face -> whole.contains(face.middle())).toList();
        double largest = faces.stream().mapToDouble(Face::width).max().orElse(0);
        return faces.stream()
                .filter(face -> face.width() >= OF_GROUP * largest)
                .sorted(Comparator.comparingDouble(Face::width).reversed())
                .toList();
    }

    /** About the people whose faces these are. */
    private static Frame bodies(List<Face> people, List<Thing> things, PixelSize picture) {
        return people.stream()
                .map(face -> body(face, things, picture))
                .reduce(Frame::union)
                .orElseThrow();
    }

    /** The smallest of the surer persons about the face, or as far as a person reaches. */
    private static Frame body(Face face, List<Thing> things, PixelSize picture) {
        List<Thing> persons = things.stream()
                .filter(Thing::isPerson)
                .filter(thing ->
                        thing.box().contains(face.middle()) && thing.box().height() > face.height())
                .toList();
        double surest = persons.stream().mapToDouble(Thing::confidence).max().orElse(0);
        return persons.stream()
                .filter(thing -> thing.confidence() >= AS_SURE * surest)
                .map(Thing::box)
                .min(Comparator.comparingDouble(box -> box.width() * box.height()))
                .orElseGet(() -> grown(face, picture));
    }

    private static Frame grown(Face face, PixelSize picture) {
        Point middle = face.middle();
        return Frame.between(
                new Point(
                        Math.max(0, middle.x() - SHOULDERS * face.width()),
                        Math.max(0, middle.y() - HAIR * face.height())),
                new Point(
                        Math.min(picture.width(), middle.x() + SHOULDERS * face.width()),
                        Math.min(picture.height(), middle.y() + WAIST * face.height())));
    }
}
