package nexa.bench.repair;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMREAD_COLOR;
import static org.bytedeco.opencv.global.opencv_imgcodecs.IMWRITE_JPEG_QUALITY;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imdecode;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imencode;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_BGRA2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.trim.Side;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.imaging.border.BorderFinder;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/** Borders of known places put round real photographs: how many are found, and what is found where there is none. */
public final class TrimTrial {
    private static final int QUALITY = 90;

    private TrimTrial() {}

    /** @param folder of photographs */
    public static void run(Path folder) throws IOException {
        List<Path> files = TrialPhotos.in(folder);
        without(files);
        System.out.printf("%-28s %8s %8s %8s %10s%n", "border", "right", "accepted", "of", "worst side");
        int right = 0;
        int all = 0;
        for (MadeBorder kind : MadeBorder.KINDS) {
            if (!kind.name().contains(System.getProperty("nexa.trial.kind", ""))) {
                continue;
            }
            Score score = score(kind, files);
            right += score.right;
            all += files.size();
            System.out.printf(
                    Locale.ROOT,
                    "%-28s %8d %8d %8d %7.2f px   %s%n",
                    kind.name(),
                    score.right,
                    score.accepted,
                    files.size(),
                    score.worst,
                    score.missed);
        }
        System.out.printf(Locale.ROOT, "right in all: %d of %d, %.1f %%%n", right, all, 100.0 * right / all);
        speed(files);
    }

    private record Score(int right, int accepted, double worst, List<String> missed) {}

    /** @param off the farthest that a side is from where it was put, in pixels */
    private record Try(Path file, double off, boolean accepted) {}

    private static Score score(MadeBorder kind, List<Path> files) {
        List<Try> tries = files.parallelStream().map(file -> tried(kind, file)).toList();
        List<Try> right =
                tries.stream().filter(each -> each.off <= kind.allowed()).toList();
        return new Score(
                right.size(),
                (int) tries.stream().filter(Try::accepted).count(),
                right.stream().mapToDouble(Try::off).max().orElse(0),
                tries.stream()
                        .filter(each -> each.off > kind.allowed())
                        .map(each -> each.file.getFileName() + " " + Math.round(each.off))
                        .toList());
    }

    private static Try tried(MadeBorder kind, Path file) {
        try (Picture photo = TrialPhotos.read(file)) {
            Random random =
                    new Random(file.getFileName().hashCode() * 31L + kind.name().hashCode());
            Frame inside = kind.inside(photo.size().width(), photo.size().height(), random);
            double lean = kind.lean() == 0 ? 0 : random.nextDouble(-kind.lean(), kind.lean());
            try (Picture made = made(photo, kind, inside, lean, random)) {
                TrimFinding found = BorderFinder.find(made, made.size().longEdge());
                double off = off(found.trim(), inside, lean, made, kind);
                if (Boolean.getBoolean("nexa.trial.said") && off > kind.allowed()) {
                    System.out.println("  " + kind.name() + " " + file.getFileName() + " " + made.size() + " inside "
                            + inside + " lean " + lean + ": " + found);
                }
                return new Try(file, off, found.accepted());
            }
        }
    }

    /** The farthest that a side is from where it was put, in pixels, at its ends. */
    private static double off(Trim found, Frame inside, double lean, Picture made, MadeBorder kind) {
        double edge = made.size().longEdge();
        double worst = 0;
        for (Side side : Side.values()) {
            boolean bordered = kind.sides() == MadeBorder.Sides.ALL
                    || side.isUpright() == (kind.sides() == MadeBorder.Sides.PILLARS);
            boolean trimmed = Math.abs(found.place(side)) < 1;
            if (bordered != trimmed) {
                return edge;
            }
            if (bordered) {
                for (Point end : ends(inside, side)) {
                    Point own = found.onAxes(new Tilt(lean).rotate(end));
                    double place = (side.isUpright() ? own.x() : own.y()) / edge;
                    worst = Math.max(worst, Math.abs(place - found.place(side)) * edge);
                }
            }
        }
        return worst;
    }

    private static List<Point> ends(Frame inside, Side side) {
        List<Point> corners = inside.corners();
        return switch (side) {
            case LEFT -> List.of(corners.get(0), corners.get(3));
            case TOP -> List.of(corners.get(0), corners.get(1));
            case RIGHT -> List.of(corners.get(1), corners.get(2));
            case BOTTOM -> List.of(corners.get(2), corners.get(3));
        };
    }

    /** The photo inside, the border around it; compressed as a JPEG unless it is transparent. */
    private static Picture made(Picture photo, MadeBorder kind, Frame inside, double lean, Random random) {
        int width = photo.size().width();
        int height = photo.size().height();
        Mat made = new Mat(height, width, CV_8UC4);
        try (UByteIndexer from = photo.mat().createIndexer();
                UByteIndexer to = made.createIndexer()) {
            int[] border = {kind.blue(), kind.green(), kind.red()};
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    Point centred = new Point(x + 0.5 - width / 2.0, y + 0.5 - height / 2.0);
                    double part = coverage(new Tilt(-lean).rotate(centred), inside, kind);
                    double light = kind.gradient() * ((double) x / width - 0.5 + 0.3 * ((double) y / height - 0.5));
                    for (int c = 0; c < 3; c++) {
                        double outside = border[c] + light + random.nextGaussian() * kind.noise();
                        double value = part * from.get(y, x, c) + (1 - part) * outside;
                        to.put(y, x, c, (int) Math.clamp(Math.round(value), 0, 255));
                    }
                    to.put(y, x, 3, (int) Math.round(255 * part + kind.opacity() * (1 - part)));
                }
            }
        }
        return kind.opacity() < 255 ? new Picture(made) : compressed(made);
    }

    /** How much of the photo shows at a place; half on its edge. */
    private static double coverage(Point p, Frame inside, MadeBorder kind) {
        double half = kind.blur() > 0 ? kind.blur() : 0.3;
        double dx = Math.abs(p.x() - inside.centreX()) - inside.width() / 2;
        double dy = Math.abs(p.y() - inside.centreY()) - inside.height() / 2;
        double out = Math.max(dx, dy);
        double r = kind.round();
        if (r > 0 && dx > -r && dy > -r) {
            out = Math.hypot(dx + r, dy + r) - r;
        }
        return kind.blur() == 0 && kind.lean() == 0
                ? out < 0 ? 1 : 0
                : 1 / (1 + Math.exp(1.7 * Math.clamp(out / half, -30, 30)));
    }

    private static Picture compressed(Mat bgra) {
        try (Mat bgr = new Mat();
                BytePointer bytes = new BytePointer();
                IntPointer settings = new IntPointer(IMWRITE_JPEG_QUALITY, QUALITY)) {
            cvtColor(bgra, bgr, COLOR_BGRA2BGR);
            imencode(".jpg", bgr, bytes, settings);
            bgra.close();
            try (Mat encoded = new Mat(bytes)) {
                return new Picture(imdecode(encoded, IMREAD_COLOR));
            }
        }
    }

    private static void without(List<Path> files) {
        int proposed = 0;
        int accepted = 0;
        for (Path file : files) {
            try (Picture photo = TrialPhotos.read(file)) {
                TrimFinding found = BorderFinder.find(photo, photo.size().longEdge());
                if (found.accepted()) {
                    System.out.println("  accepted as it is: " + file.getFileName() + " " + found);
                }
                if (found.isProposed()) {
                    proposed++;
                    System.out.println("  as it is: " + file.getFileName() + " " + found);
                }
                accepted += found.accepted() ? 1 : 0;
            }
        }
        System.out.printf(
                "photos as they are: %d, proposed something on %d, accepted %d%n", files.size(), proposed, accepted);
    }

    private static void speed(List<Path> files) {
        List<Picture> photos = files.stream().map(TrialPhotos::read).toList();
        long pixels = photos.stream().mapToLong(photo -> photo.size().area()).sum();
        long start = System.nanoTime();
        photos.forEach(photo -> BorderFinder.find(photo, photo.size().longEdge()));
        double seconds = (System.nanoTime() - start) / 1e9;
        System.out.printf(
                Locale.ROOT,
                "looked at: %.0f photos a second on one core, of %.2f megapixels on average%n",
                photos.size() / seconds,
                pixels / 1e6 / photos.size());
        photos.forEach(Picture::close);
    }
}
