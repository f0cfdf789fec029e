package nexa.core.lens.measure;

import java.util.List;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.StraightLine;
import nexa.core.lens.data.BendMeasure;
import nexa.core.lens.data.BendModel;

/** From what a chart shows of a lens to the terms of the calibration format. */
public final class ChartFit {
    /** Places along the radius that a curve is fitted at. */
    private static final int PLACES = 400;

    /**
     * A lens as a camera model has it: what is seen under the tangent t lies f · t (1 + k1·t² + k2·t⁴ + k3·t⁶) from the middle.
     *
     * @param focal f, in pixels
     * @param centre what it turns about, in pixels from the photo's middle
     * @param error the root of the mean square of how far corners lie from where the model has them, pixels
     */
    public record Radial(double focal, Point centre, double k1, double k2, double k3, double error) {
        double pixels(double tangent) {
            double squared = tangent * tangent;
            return focal * tangent * (1 + squared * (k1 + squared * (k2 + squared * k3)));
        }
    }

    private ChartFit() {}

    /** Where the format's r is 1, in pixels from a photo's middle: at half its short side, from pixel centre to pixel centre. */
    public static double unit(PixelSize photo) {
        return (Math.min(photo.width(), photo.height()) - 1) / 2.0;
    }

    /**
     * The same bend in the format's terms, by least squares up to the photo's corner. The format says how large the corrected
     * picture is: at half the short side it is as large as the photo.
     */
    public static BendMeasure ptlens(Radial lens, PixelSize photo, double focal) {
        double unit = unit(photo);
        double corner = Math.hypot(photo.width(), photo.height()) / 2;
        double atUnit = tangent(lens, unit);
        LeastSquares fit = new LeastSquares(3);
        for (int i = 1; i <= PLACES; i++) {
            double pixels = corner * i / PLACES;
            double belongs = tangent(lens, pixels) / atUnit;
            double squared = belongs * belongs;
            fit.add(
                    new double[] {squared * squared - belongs, squared * belongs - belongs, squared - belongs},
                    pixels / unit - belongs);
        }
        double[] terms = fit.solution();
        return new BendMeasure(focal, BendModel.PTLENS, List.of(terms[0], terms[1], terms[2]));
    }

    /** Under which tangent something is seen that far from the middle: the model inverted by halving. */
    private static double tangent(Radial lens, double pixels) {
        double low = 0;
        double high = 4 * pixels / lens.focal();
        for (int halving = 0; halving < 80; halving++) {
            double middle = (low + high) / 2;
            if (lens.pixels(middle) < pixels) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /**
     * How much farther from the middle a colour lies than grey does, by all corners.
     *
     * @param grey corners from the photo's middle, pixels
     * @param colour the same corners
     */
    public static BendMeasure colour(List<Point> grey, List<Point> colour, PixelSize photo, double focal) {
        double unit = unit(photo);
        LeastSquares fit = new LeastSquares(2);
        for (int i = 0; i < grey.size(); i++) {
            double r = grey.get(i).length() / unit;
            double along = (grey.get(i).x() * colour.get(i).x()
                            + grey.get(i).y() * colour.get(i).y())
                    / Math.max(1e-9, grey.get(i).length())
                    / unit;
            fit.add(new double[] {r, r * r * r}, along);
        }
        double[] terms = fit.solution();
        return new BendMeasure(focal, BendModel.COLOUR_POLY3, List.of(terms[0], 0.0, terms[1]));
    }

    /** How far at most points of lines are from the straight line nearest to them all, in the points' unit. */
    public static double straightness(List<List<Point>> lines) {
        return lines.stream().mapToDouble(ChartFit::bending).max().orElse(0);
    }

    private static double bending(List<Point> line) {
        StraightLine nearest = StraightLine.through(line);
        return line.stream().mapToDouble(p -> Math.abs(nearest.off(p))).max().orElse(0);
    }
}
