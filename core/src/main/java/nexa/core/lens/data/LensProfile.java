package nexa.core.lens.data;

import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import nexa.core.geometry.PixelSize;
import nexa.core.lens.Bend;
import nexa.core.lens.LensTerms;
import nexa.core.lens.Taken;
import nexa.core.pixel.CornerLight;

/**
 * One lens as it was measured on one size of sensor.
 *
 * @param models its names, the one to show first
 * @param mounts what it fits
 * @param crop of the sensor it was measured on: how many times longer the diagonal of a 36 × 24 mm sensor is
 * @param aspect of that sensor, long side to short side
 * @param focals in mm, as far as its name says; may be empty
 */
public record LensProfile(
        String maker, List<String> models, List<String> mounts, double crop, double aspect, List<Double> focals) {

    /** @throws IllegalArgumentException if it has no name, or the sensor is of no size */
    public LensProfile {
        models = List.copyOf(models);
        mounts = List.copyOf(mounts);
        focals = List.copyOf(focals);
        if (models.isEmpty() || !(crop > 0) || !(aspect >= 1) || !Double.isFinite(crop + aspect)) {
            throw new IllegalArgumentException("No lens: " + models + " " + crop + " " + aspect);
        }
    }

    public String model() {
        return models.getFirst();
    }

    /** Maker and model, the maker only once. */
    public String name() {
        return model().regionMatches(true, 0, maker, 0, maker.length()) ? model() : maker + " " + model();
    }

    /**
     * What its measures come to on a photo.
     *
     * @param asShot the photo's size
     * @param cameraCrop as {@code crop}, of the camera
     */
    LensTerms terms(Calibration calibration, PixelSize asShot, double cameraCrop, Taken taken) {
        Sensor sensor = new Sensor(this, asShot, cameraCrop);
        return new LensTerms(
                sensor.unit(),
                calibration.centre().times(sensor.unit()),
                FocalCurve.bend(calibration.distortion(), taken.focal()).orElse(Bend.NONE),
                FocalCurve.bend(calibration.red(), taken.focal()).orElse(Bend.NONE),
                FocalCurve.bend(calibration.blue(), taken.focal()).orElse(Bend.NONE),
                LightMeasure.at(calibration.light(), taken, focalRange(calibration))
                        .map(sensor::light));
    }

    private double focalRange(Calibration calibration) {
        DoubleStream measured = Stream.concat(
                        Stream.concat(calibration.distortion().stream(), calibration.red().stream())
                                .map(BendMeasure::focal),
                        calibration.light().stream().map(LightMeasure::focal))
                .mapToDouble(Double::doubleValue);
        DoubleSummaryStatistics all = DoubleStream.concat(focals.stream().mapToDouble(Double::doubleValue), measured)
                .summaryStatistics();
        return all.getCount() == 0 ? 0 : all.getMax() - all.getMin();
    }

    /** Lengths on the sensor measured on, against those of a photo. The format counts from pixel centre to pixel centre. */
    private record Sensor(double perPixel, double asShotLongEdge, double photoCorner) {
        Sensor(LensProfile lens, PixelSize photo, double cameraCrop) {
            this(
                    perPixel(lens, photo, cameraCrop),
                    photo.longEdge(),
                    perPixel(lens, photo, cameraCrop)
                            * Math.hypot(photo.width(), photo.height())
                            / 2
                            / Math.sqrt(lens.aspect * lens.aspect + 1));
        }

        private static double perPixel(LensProfile lens, PixelSize photo, double cameraCrop) {
            double width = Math.max(1, photo.width() - 1);
            double height = Math.max(1, photo.height() - 1);
            double shortSide = Math.min(width, height);
            double aspect = Math.max(width, height) / shortSide;
            return 2
                    / shortSide
                    * (lens.crop / cameraCrop)
                    * Math.sqrt(lens.aspect * lens.aspect + 1)
                    / Math.sqrt(aspect * aspect + 1);
        }

        /** In the isotropic unit. */
        double unit() {
            return 1 / (perPixel * asShotLongEdge);
        }

        /** From R = 1 at the sensor's corner to R = 1 at the photo's. */
        CornerLight light(LightMeasure.Terms terms) {
            double squared = photoCorner * photoCorner;
            return new CornerLight(
                    terms.k1() * squared, terms.k2() * squared * squared, terms.k3() * squared * squared * squared);
        }
    }
}
