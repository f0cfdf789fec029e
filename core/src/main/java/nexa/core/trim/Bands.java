package nexa.core.trim;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.Closing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Gaps;
import nexa.core.geometry.Gaps.Gap;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;

/**
 * Bands inside a photo that are closed up, so that the pictures on both sides meet: in the isotropic unit of the photo as
 * shot, along its own axes. Immutable.
 *
 * @param across bands from top to bottom, by their x
 * @param down bands from left to right, by their y
 * @throws IllegalArgumentException if they leave hardly anything of any photo
 */
public record Bands(Gaps across, Gaps down) {
    public static final Bands NONE = new Bands(Gaps.NONE, Gaps.NONE);

    /** Of a photo's long edge, for all bands of a direction together. */
    private static final double WIDEST = 0.9;

    /** In pixels; less is a slip of the hand. */
    private static final double NARROWEST = 2;

    public Bands {
        if (!(across.width() <= WIDEST && down.width() <= WIDEST)) {
            throw new IllegalArgumentException("No bands: " + across + ", " + down);
        }
    }

    public boolean isNone() {
        return equals(NONE);
    }

    /**
     * One of them.
     *
     * @param upright whether it goes from top to bottom, its gap by x
     */
    public record Band(boolean upright, Gap gap) {}

    public List<Band> all() {
        return Stream.concat(
                        across.all().stream().map(gap -> new Band(true, gap)),
                        down.all().stream().map(gap -> new Band(false, gap)))
                .toList();
    }

    /** One more; with one that it touches it becomes one. */
    public Bands plus(Band band) {
        List<Gap> gaps = new ArrayList<>((band.upright ? across : down).all());
        gaps.add(band.gap);
        return with(band.upright, gaps);
    }

    /**
     * All of these more.
     *
     * @param trim what counts as photo
     * @return empty if hardly anything of the photo would be left
     */
    public Optional<Bands> plus(List<Band> more, PixelSize asShot, Trim trim) {
        try {
            Bands all = this;
            for (Band band : more) {
                all = all.plus(band);
            }
            return Optional.of(all).filter(bands -> bands.leaveEnough(asShot, trim));
        } catch (IllegalArgumentException nothingLeft) { // not of any photo
            return Optional.empty();
        }
    }

    /** Without one of them. */
    public Bands minus(Band band) {
        return with(
                band.upright,
                (band.upright ? across : down)
                        .all().stream().filter(gap -> !gap.equals(band.gap)).toList());
    }

    private Bands with(boolean upright, List<Gap> gaps) {
        return upright ? new Bands(new Gaps(gaps), down) : new Bands(across, new Gaps(gaps));
    }

    /** How many there are. */
    public int count() {
        return across.all().size() + down.all().size();
    }

    /**
     * Whether they leave as much of a photo, each way, as the smallest trim does.
     *
     * @param trim what counts as photo before they are left out
     */
    public boolean leaveEnough(PixelSize asShot, Trim trim) {
        return isNone() || shorterSide(trim.within(asShot)) >= Trim.SMALLEST;
    }

    /** Whether nothing is left of a box of the photo as shot. */
    public boolean leaveOut(Frame box) {
        return !isNone() && shorterSide(box) < Tolerance.LENGTH;
    }

    /** Of what is left of a box of the photo as shot. */
    private double shorterSide(Frame box) {
        Point from = mapping().apply(new Point(box.left(), box.top()));
        Point to = mapping().apply(new Point(box.right(), box.bottom()));
        return Math.min(to.x() - from.x(), to.y() - from.y());
    }

    /** From the photo as shot to the one whose sides meet; both about their centres. */
    public Closing mapping() {
        return new Closing(across, down, false);
    }

    /**
     * What lies between two places that somebody shows, between whole pixels of the photo: from top to bottom, or from left to
     * right, as the places are farther apart.
     *
     * @param from as shot, in the isotropic unit
     * @param to as shot; empty if they are hardly apart
     */
    public static Optional<Band> between(PixelSize asShot, Point from, Point to) {
        Point way = to.minus(from);
        boolean upright = Math.abs(way.x()) >= Math.abs(way.y());
        double half = (upright ? asShot.width() : asShot.height()) / 2.0;
        double edge = asShot.longEdge();
        double one = Math.rint((upright ? from.x() : from.y()) * edge + half);
        double other = Math.rint((upright ? to.x() : to.y()) * edge + half);
        double first = Math.max(0, Math.min(one, other));
        double beyond = Math.min(2 * half, Math.max(one, other));
        return beyond - first < NARROWEST
                ? Optional.empty()
                : Optional.of(new Band(upright, new Gap((first - half) / edge, (beyond - half) / edge)));
    }

    /** As {@link #parse} reads it, to the last bit; empty if there are none. */
    public String text() {
        return Stream.concat(
                        across.all().stream().map(gap -> "x " + gap.from() + " " + gap.to()),
                        down.all().stream().map(gap -> "y " + gap.from() + " " + gap.to()))
                .collect(Collectors.joining("; "));
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Bands parse(String text) {
        List<Gap> across = new ArrayList<>();
        List<Gap> down = new ArrayList<>();
        for (String part : text.isBlank() ? List.<String>of() : List.of(text.split(";"))) {
            String[] words = part.strip().split(" +");
            if (words.length != 3 || !words[0].matches("[xy]")) {
                throw new IllegalArgumentException("No bands: " + text);
            }
            (words[0].equals("x") ? across : down)
                    .add(new Gap(Double.parseDouble(words[1]), Double.parseDouble(words[2])));
        }
        return across.isEmpty() && down.isEmpty() ? NONE : new Bands(new Gaps(across), new Gaps(down));
    }
}
