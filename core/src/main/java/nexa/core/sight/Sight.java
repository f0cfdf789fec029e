package nexa.core.sight;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.core.told.InvalidException;
import nexa.core.trim.Bands;

/**
 * What is seen in a photo. Boxes are upright in the photo as shot: unit = its long edge, origin = its centre, y down.
 *
 * @param faces from brows to chin, the largest first; of people farther back none
 * @param subject the box of what the photo is of, people's bodies included
 * @param gaze where the largest face looks: −1 = left, 0 = at us, 1 = right
 */
public record Sight(List<Frame> faces, Optional<Frame> subject, double gaze) {
    public static final Sight NONE = new Sight(List.of(), Optional.empty(), 0);

    private static final String NOTHING = "none";
    private static final int NUMBERS = 4;

    public Sight {
        faces = List.copyOf(faces);
        gaze = Double.isFinite(gaze) ? Math.clamp(gaze, -1, 1) : 0;
    }

    public boolean isNone() {
        return faces.isEmpty() && subject.isEmpty();
    }

    /** The same in level space as a photo is held: the boxes about what became of these, without those of which nothing is left. */
    public Sight in(PhotoSpace space) {
        double turned = space.pose().turn().mirrored() ? -gaze : gaze;
        boolean lies = space.pose().turn().quarterTurns() % 2 != 0;
        Bands closed = space.pose().bands();
        return new Sight(
                faces.stream()
                        .filter(face -> !closed.leaveOut(face))
                        .map(face -> level(space, face))
                        .toList(),
                subject.filter(box -> !closed.leaveOut(box)).map(box -> level(space, box)),
                lies ? 0 : turned);
    }

    private static Frame level(PhotoSpace space, Frame asShot) {
        List<Point> corners = asShot.corners().stream().map(space::fromAsShot).toList();
        double left = corners.stream().mapToDouble(Point::x).min().orElseThrow();
        double right = corners.stream().mapToDouble(Point::x).max().orElseThrow();
        double top = corners.stream().mapToDouble(Point::y).min().orElseThrow();
        double bottom = corners.stream().mapToDouble(Point::y).max().orElseThrow();
        return Frame.between(new Point(left, top), new Point(right, bottom));
    }

    /** The text that {@link #parse} reads back: the gaze, the subject or nothing, and the faces, parted by semicolons. */
    public String text() {
        if (isNone()) {
            return NOTHING;
        }
        return Stream.concat(
                        Stream.of(
                                Double.toString(gaze), subject.map(Sight::text).orElse("")),
                        faces.stream().map(Sight::text))
                .collect(Collectors.joining(";"));
    }

    private static String text(Frame box) {
        return box.centreX() + "," + box.centreY() + "," + box.width() + "," + box.height();
    }

    /**
     * What a text says that {@link #text} made; empty if it is empty, as where nobody looked.
     *
     * @throws IllegalArgumentException if the text is something else
     */
    public static Optional<Sight> parse(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        if (text.equals(NOTHING)) {
            return Optional.of(NONE);
        }
        String[] parts = text.split(";", -1);
        if (parts.length < 2) {
            throw new InvalidException("told.sight.gaze-subject-faces", text);
        }
        List<Frame> faces = new ArrayList<>();
        for (String face : Arrays.asList(parts).subList(2, parts.length)) {
            faces.add(box(face));
        }
        Optional<Frame> subject = parts[1].isEmpty() ? Optional.empty() : Optional.of(box(parts[1]));
        return Optional.of(new Sight(faces, subject, Double.parseDouble(parts[0])));
    }

    private static Frame box(String text) {
        String[] numbers = text.split(",");
        if (numbers.length != NUMBERS) {
            throw new InvalidException("told.sight.gaze-subject-faces", text);
        }
        return new Frame(
                Double.parseDouble(numbers[0]),
                Double.parseDouble(numbers[1]),
                Double.parseDouble(numbers[2]),
                Double.parseDouble(numbers[3]));
    }
}
