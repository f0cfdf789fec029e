package nexa.core.overlay;

import java.util.ArrayList;
import java.util.List;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tolerance;
import nexa.core.overlay.Stroke.Segment;

/** The overlays made of straight lines. */
final class Lines {
    private Lines() {}

    /** Upright and level lines at the given fractions. */
    static List<Stroke> parallels(double... fractions) {
        List<Stroke> lines = new ArrayList<>();
        for (double at : fractions) {
            lines.add(upright(at));
            lines.add(across(at));
        }
        return lines;
    }

    /** Square cells, so many across the short side, laid out from the middle of the frame. */
    static List<Stroke> squares(double aspect, int cells) {
        double cell = Math.min(aspect, 1) / cells; // in frame heights
        List<Stroke> lines = new ArrayList<>(List.of(upright(0.5), across(0.5)));
        for (double off = cell / aspect; off < 0.5 - Tolerance.LENGTH; off += cell / aspect) {
            lines.addAll(List.of(upright(0.5 - off), upright(0.5 + off)));
        }
        for (double off = cell; off < 0.5 - Tolerance.LENGTH; off += cell) {
            lines.addAll(List.of(across(0.5 - off), across(0.5 + off)));
        }
        return lines;
    }

    /** From each corner at 45° in the picture, until a side is met. */
    static List<Stroke> bisectors(double aspect) {
        double run = Math.min(aspect, 1);
        double x = run / aspect;
        double y = run;
        return List.of(line(0, 0, x, y), line(1, 0, 1 - x, y), line(0, 1, x, 1 - y), line(1, 1, 1 - x, 1 - y));
    }

    /** The falling diagonal and, from the other two corners, the perpendiculars on it (perpendicular in the picture). */
    static List<Stroke> triangles(double aspect) {
        double foot = aspect * aspect / (aspect * aspect + 1);
        return List.of(line(0, 0, 1, 1), line(1, 0, foot, foot), line(0, 1, 1 - foot, 1 - foot));
    }

    /**
     * Rebatement of the rectangle: its short sides folded onto the long ones make two squares; their inner sides (R.
     * Arnheim, The Power of the Center, 1988, after C. Bouleau, The Painter's Secret Geometry, 1963). None in a square.
     */
    static List<Stroke> rebatement(double aspect) {
        if (aspect == 1) {
            return List.of();
        }
        return aspect > 1
                ? List.of(upright(1 / aspect), upright(1 - 1 / aspect))
                : List.of(across(aspect), across(1 - aspect));
    }

    /** What may be trimmed on all sides, and what a caption at the bottom may cover. */
    static List<Stroke> margins(double aspect, OverlayOptions options) {
        double inset = options.bleed() * Math.min(aspect, 1); // in frame heights
        List<Stroke> lines = new ArrayList<>(Nested.box(inset / aspect, inset));
        if (options.caption() > 0) {
            lines.add(across(1 - options.caption()));
        }
        return lines;
    }

    private static Stroke upright(double x) {
        return line(x, 0, x, 1);
    }

    private static Stroke across(double y) {
        return line(0, y, 1, y);
    }

    private static Stroke line(double x1, double y1, double x2, double y2) {
        return new Segment(new Point(x1, y1), new Point(x2, y2));
    }
}
