package nexa.core.plumb;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.Point;
import nexa.core.geometry.Projective;
import nexa.core.geometry.Turn;

/**
 * A photo's camera turned after the fact: what a turned camera would have seen is K R K⁻¹ of what this one saw (R. Hartley
 * and A. Zisserman, Multiple View Geometry, 2004, section 8.4). The middle of the photo stays in its place and as large as
 * it was.
 *
 * @param pitch how far the camera looked up, degrees
 * @param yaw how far it looked to the right, degrees
 * @param far how much of both is undone, 0 to 1
 * @param focal the focal length in the photo's long edges; 0 if not known
 * @param scale how many times larger the result is, on top
 * @param right by how much it is moved to the right, in long edges
 * @param down by how much it is moved down
 * @param stretch width to height, on top: 1 = as the focal length says
 */
public record Plumb(
        double pitch, double yaw, double far, double focal, double scale, double right, double down, double stretch) {
    public static final Plumb NONE = new Plumb(0, 0, 1, 0, 1, 0, 0, 1);

    /** Degrees. */
    public static final double WIDEST = 45;

    /** What is taken where the focal length is not known: a wide lens, as of phones and of views of buildings. */
    public static final double USUAL_FOCAL = 0.75;

    /** The photo's far side stays at least this near before the turned camera, as cosines of angles go. */
    private static final double LEAST_DEPTH = 0.2;

    private static final double MOST_SCALE = 4;
    private static final double LONGEST_FOCAL = 1000;

    /** @throws IllegalArgumentException if a number is beyond what can be done */
    public Plumb {
        boolean angles = Math.abs(pitch) <= WIDEST && Math.abs(yaw) <= WIDEST && far >= 0 && far <= 1;
        boolean finish = isFactor(scale) && isFactor(stretch) && Math.abs(right) <= 1 && Math.abs(down) <= 1;
        if (!angles || !finish || !(focal >= 0 && focal <= LONGEST_FOCAL)) {
            throw new IllegalArgumentException("No plumb: pitch " + pitch + ", yaw " + yaw + ", far " + far + ", focal "
                    + focal + ", " + List.of(scale, right, down, stretch));
        }
    }

    private static boolean isFactor(double factor) {
        return factor >= 1 / MOST_SCALE && factor <= MOST_SCALE;
    }

    /** All of a turn undone, nothing else changed. */
    public static Plumb of(double pitch, double yaw, double focal) {
        return new Plumb(pitch, yaw, 1, focal, 1, 0, 0, 1);
    }

    public Plumb withAngles(double otherPitch, double otherYaw) {
        return new Plumb(otherPitch, otherYaw, far, focal, scale, right, down, stretch);
    }

    public Plumb withFar(double other) {
        return new Plumb(pitch, yaw, other, focal, scale, right, down, stretch);
    }

    public Plumb withFocal(double other) {
        return new Plumb(pitch, yaw, far, other, scale, right, down, stretch);
    }

    public Plumb finished(double otherScale, double otherRight, double otherDown, double otherStretch) {
        return new Plumb(pitch, yaw, far, focal, otherScale, otherRight, otherDown, otherStretch);
    }

    /**
     * The same as it is seen on the photo turned: what was up and down may be left and right. Pitch and yaw of a photo that is
     * turned afterwards are counted as the photo lies then.
     */
    public Plumb after(Turn turn) {
        Point angles = turn.apply(new Point(yaw, -pitch));
        Point shift = turn.apply(new Point(right, down));
        return new Plumb(
                -angles.y() + 0.0,
                angles.x() + 0.0,
                far,
                focal,
                scale,
                shift.x() + 0.0,
                shift.y() + 0.0,
                turn.swapsSides() ? 1 / stretch : stretch);
    }

    /** The inverse of {@link #after}: as it is kept, from how it is seen on the turned photo. */
    public Plumb before(Turn turn) {
        return after(turn.inverse());
    }

    /** Whether a photo stays as it was shot. */
    public boolean isNone() {
        return mapping(0).isIdentity();
    }

    /** The focal length that is reckoned with, in the photo's long edges. */
    public double reckoned() {
        return focal > 0 ? focal : USUAL_FOCAL;
    }

    /**
     * From the photo as its lens saw it to the photo as the turned camera would have, both in the isotropic unit.
     *
     * @param reach how far that photo reaches from its middle; it is turned by no more than keeps all of it before the camera
     */
    public Mapping mapping(double reach) {
        Affine finish = Affine.scale(scale * Math.sqrt(stretch), scale / Math.sqrt(stretch))
                .then(Affine.translation(right, down));
        return pitch * far == 0 && yaw * far == 0 ? finish : turned(reach).then((Mapping) finish);
    }

    private Mapping turned(double reach) {
        Point angles = possible(reach);
        Projective turn = new CameraTurn(0, angles.x(), angles.y()).straight(reckoned());
        Point middle = turn.apply(new Point(0, 0));
        double size = turn.stretch(new Point(0, 0));
        Affine back = Affine.translation(-middle.x(), -middle.y()).then(Affine.scale(1 / size, 1 / size));
        return turn.then(Projective.of(back));
    }

    /** The angles undone, in radians: as far as the whole photo is still before the camera. */
    private Point possible(double reach) {
        Point angles = new Point(Math.toRadians(pitch * far), Math.toRadians(yaw * far));
        double slope = reach / reckoned();
        double most = Math.acos(LEAST_DEPTH / Math.sqrt(1 + slope * slope)) - Math.atan(slope);
        return angles.length() <= most ? angles : angles.times(most / angles.length());
    }

    /** As {@link #parse} reads it, to the last bit; empty if nothing was asked for. */
    public String text() {
        return equals(NONE)
                ? ""
                : Stream.of(pitch, yaw, far, focal, scale, right, down, stretch)
                        .map(String::valueOf)
                        .collect(Collectors.joining(" "));
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Plumb parse(String text) {
        if (text.isBlank()) {
            return NONE;
        }
        List<Double> n =
                Arrays.stream(text.strip().split(" +")).map(Double::valueOf).toList();
        if (n.size() != 8) {
            throw new IllegalArgumentException("No plumb: " + text);
        }
        return new Plumb(n.get(0), n.get(1), n.get(2), n.get(3), n.get(4), n.get(5), n.get(6), n.get(7));
    }
}
