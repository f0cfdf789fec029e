package nexa.shoot.lens;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.lens.Taken;
import nexa.core.lens.data.BendMeasure;
import nexa.core.lens.data.Calibration;
import nexa.core.lens.data.Camera;
import nexa.core.lens.data.LensProfile;
import nexa.core.lens.data.LightMeasure;
import nexa.core.lens.measure.ChartFit;
import nexa.core.lens.measure.LightFit;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.lens.ChartMeasure;
import nexa.imaging.lens.ChartMeasure.Corners;
import nexa.imaging.lens.LensXml;
import nexa.imaging.lens.WallLight;
import nexa.imaging.source.Source;
import nexa.shoot.Shoot;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.photo.Photo;

/**
 * Measures a lens by a folder of photos: of the chart for distortion and fringes, of an even grey wall for corner light, all of
 * one lens. Decodes, so not for the interface's thread.
 */
public final class LensMeasuring {
    /** Fewer photos of the chart do not tell a lens from how it was held. */
    public static final int LEAST_PHOTOS = 3;

    /** Where a photo's file does not tell. */
    private static final double SOME_APERTURE = 8;

    /** What one focal length came to. */
    public record Measured(double focal, int photos, double reprojection, double straightness) {}

    /** @param without photos that show neither the chart whole nor an even wall */
    public record Result(
            LensProfile lens, Calibration calibration, String camera, List<Measured> measured, List<Photo> without) {
        public Result {
            measured = List.copyOf(measured);
            without = List.copyOf(without);
        }
    }

    private record Charted(PhotoFacts facts, Corners corners) {}

    private final Shoot shoot;
    private final Map<Double, List<Charted>> byFocal = new TreeMap<>();
    private final List<LightMeasure> light = new ArrayList<>();
    private final List<Photo> without = new ArrayList<>();
    private Camera camera = Camera.UNKNOWN;

    private LensMeasuring(Shoot shoot) {
        this.shoot = shoot;
    }

    /**
     * @return empty if there are too few photos of the chart, and no wall
     * @throws IOException if a photo can't be decoded
     */
    public static Optional<Result> measure(Shoot shoot) throws IOException {
        LensMeasuring measuring = new LensMeasuring(shoot);
        for (Photo photo : shoot.photos()) {
            if (photo.isReadable()) {
                measuring.look(photo, photo.facts().orElseThrow());
            }
        }
        return measuring.result();
    }

    private void look(Photo photo, PhotoFacts facts) throws IOException {
        if (!camera.isKnown()) {
            camera = facts.camera();
        }
        try (Source source = shoot.codecs().open(shoot.fileOf(photo), facts)) {
            Optional<Corners> corners = ChartMeasure.corners(source.picture());
            if (corners.isPresent()) {
                byFocal.computeIfAbsent(focal(facts), focal -> new ArrayList<>())
                        .add(new Charted(facts, corners.get()));
                return;
            }
            Camera by = facts.camera();
            Taken taken = new Taken(
                    by.focal() > 0 ? by.focal() : 1,
                    by.aperture() > 0 ? by.aperture() : SOME_APERTURE,
                    by.distance() > 0 ? by.distance() : Taken.FAR);
            LightFit.of(WallLight.samples(source.picture(), source.profile()), taken)
                    .ifPresentOrElse(light::add, () -> without.add(photo));
        }
    }

    /** 0 where the file does not tell. */
    private static double focal(PhotoFacts facts) {
        return Math.round(10 * facts.camera().focal()) / 10.0;
    }

    private Optional<Result> result() {
        byFocal.values().removeIf(photos -> photos.size() < LEAST_PHOTOS);
        if (byFocal.isEmpty() && light.isEmpty()) {
            return Optional.empty();
        }
        List<BendMeasure> distortion = new ArrayList<>();
        List<BendMeasure> red = new ArrayList<>();
        List<BendMeasure> blue = new ArrayList<>();
        List<Measured> measured = new ArrayList<>();
        double crop = camera.crop() > 0 ? camera.crop() : 1;
        PixelSize size = byFocal.values().stream()
                .findFirst()
                .map(photos -> photos.getFirst().facts.asShot())
                .orElse(new PixelSize(3, 2));
        LensProfile lens = profile(crop, size);
        Map<Double, ChartFit.Radial> fits = new TreeMap<>();
        byFocal.forEach((told, photos) -> fits.put(told, ChartMeasure.fit(corners(photos))));
        Point centre = middle(fits.values());
        byFocal.forEach((told, photos) -> {
            List<Corners> corners = corners(photos);
            ChartFit.Radial radial = Objects.requireNonNull(fits.get(told));
            double focal = told > 0 ? told : Math.round(360 * radial.focal() / size.longEdge() / crop) / 10.0;
            BendMeasure bend = ChartFit.ptlens(radial, corners.getFirst().photo(), focal);
            distortion.add(bend);
            if (corners.stream().noneMatch(each -> each.red().isEmpty())) {
                List<Point> grey = all(corners, Corners::grey, centre);
                red.add(ChartFit.colour(grey, all(corners, Corners::red, centre), size, focal));
                blue.add(ChartFit.colour(grey, all(corners, Corners::blue, centre), size, focal));
            }
            measured.add(new Measured(focal, photos.size(), radial.error(), straightness(corners, bend, centre)));
        });
        Calibration calibration = new Calibration(distortion, red, blue, light, centre.times(1 / ChartFit.unit(size)));
        return Optional.of(new Result(lens, calibration, camera.model(), measured, without));
    }

    private static List<Corners> corners(List<Charted> photos) {
        return photos.stream().map(Charted::corners).toList();
    }

    /** A lens has one axis, at whatever focal length it was found; in pixels from the photos' middle. */
    private static Point middle(Collection<ChartFit.Radial> fits) {
        return new Point(
                fits.stream().mapToDouble(fit -> fit.centre().x()).average().orElse(0),
                fits.stream().mapToDouble(fit -> fit.centre().y()).average().orElse(0));
    }

    private LensProfile profile(double crop, PixelSize size) {
        String maker = camera.maker().isEmpty() ? "Measured" : camera.maker();
        String model = camera.lens().isEmpty() ? "Lens of " + shoot.name() : camera.lens();
        String mount = camera.model().isEmpty() ? "Measured" : camera.model();
        return new LensProfile(
                maker,
                List.of(model),
                List.of(mount),
                crop,
                size.longEdge() / (double) Math.min(size.width(), size.height()),
                List.of());
    }

    private interface Of {
        List<Point> in(Corners corners);
    }

    /** From the lens's centre. */
    private static List<Point> all(List<Corners> photos, Of colour, Point centre) {
        List<Point> all = new ArrayList<>();
        for (Corners photo : photos) {
            colour.in(photo).forEach(p -> all.add(centred(p, photo.photo(), centre)));
        }
        return all;
    }

    private static Point centred(Point p, PixelSize photo, Point centre) {
        return new Point(
                p.x() - (photo.width() - 1) / 2.0 - centre.x(), p.y() - (photo.height() - 1) / 2.0 - centre.y());
    }

    /** How far the chart's lines are from straight once corrected, in pixels. */
    private static double straightness(List<Corners> photos, BendMeasure bend, Point centre) {
        PixelSize size = photos.getFirst().photo();
        Mapping straightening = bend.bend().mapping(ChartFit.unit(size)).inverse();
        List<List<Point>> lines = new ArrayList<>();
        for (Corners photo : photos) {
            List<Point> straight = photo.grey().stream()
                    .map(p -> straightening.apply(centred(p, size, centre)))
                    .toList();
            for (int row = 0; row < ChartMeasure.DOWN; row++) {
                lines.add(straight.subList(row * ChartMeasure.ACROSS, (row + 1) * ChartMeasure.ACROSS));
            }
            for (int column = 0; column < ChartMeasure.ACROSS; column++) {
                List<Point> line = new ArrayList<>();
                for (int row = 0; row < ChartMeasure.DOWN; row++) {
                    line.add(straight.get(row * ChartMeasure.ACROSS + column));
                }
                lines.add(line);
            }
        }
        return ChartFit.straightness(lines);
    }

    /** Writes the result as a file of the open lens calibration format, past the guard. */
    public static void write(Shoot shoot, Result result, Path file, IfTaken ifTaken) throws IOException {
        shoot.guard().write(file, LensXml.of(result.lens(), result.calibration(), result.camera()), ifTaken);
    }
}
