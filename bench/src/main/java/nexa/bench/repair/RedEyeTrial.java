package nexa.bench.repair;

import static org.bytedeco.opencv.global.opencv_core.CV_32F;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import nexa.core.eye.GlowingEye;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.eye.GlowingEyes;
import nexa.core.geometry.Affine;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.imaging.eye.GlowFinder;
import nexa.imaging.eye.MendedEye;
import nexa.imaging.face.Face;
import nexa.imaging.face.FaceFinder;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/** Real faces whose eyes are made to glow: whether they are found and mended, and what is proposed where nothing glows. */
public final class RedEyeTrial {

    /** Between the eyes, in pixels: of smaller faces no eye can be painted well. */
    private static final double LEAST_FACE = 28;

    /** Blue, green, red of glows as flashes make them. */
    private static final double[][] HUES = {
        {0.18, 0.12, 0.72}, {0.10, 0.32, 0.85}, {0.38, 0.34, 0.92}, {0.08, 0.08, 0.55}, {0.22, 0.42, 0.95}
    };

    /** One painted eye, in pixels. */
    private record Painted(Point centre, double radius, boolean lidded) {
        boolean holds(int x, int y) {
            return Math.hypot(x + 0.5 - centre.x(), y + 0.5 - centre.y()) <= 0.85 * radius
                    && (!lidded || y + 0.5 > centre.y() - 0.2 * radius);
        }

        boolean isHighlight(int x, int y) {
            return Math.hypot(x + 0.5 - centre.x() + radius * 0.3, y + 0.5 - centre.y() + radius * 0.3)
                    <= 0.32 * radius;
        }
    }

    private RedEyeTrial() {}

    /** @param folder of photographs with people; painted and mended ones come into {@code eyes} beside them */
    public static void run(Path folder) throws IOException {
        Path out = Files.createDirectories(folder.resolve("eyes"));
        int faces = 0;
        int proposed = 0;
        int[] score = new int[6];
        Random random = new Random(7);
        for (Path file : TrialPhotos.in(folder)) {
            try (Picture photo = TrialPhotos.read(file)) {
                List<Face> found = FaceFinder.find(photo);
                int plain = GlowFinder.find(photo).size();
                faces += found.size();
                proposed += plain;
                if (plain > 0) {
                    System.out.printf("%s: %d proposed where nothing was painted%n", file.getFileName(), plain);
                }
                for (Face face : found) {
                    if (face.betweenEyes() >= LEAST_FACE) {
                        tryOn(photo, face, random, score, out.resolve(score[0] + "-" + file.getFileName() + ".png"));
                    }
                }
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%d faces without glow: %d eyes proposed%n%d painted faces, %d eyes: %d found, %d of those repaired;"
                        + " %d repaired by hand-drawn circles; %d pixels changed outside circles%n",
                faces,
                proposed,
                score[0],
                score[1],
                score[2],
                score[3],
                score[4],
                score[5]);
    }

    private static void tryOn(Picture photo, Face face, Random random, int[] score, Path out) {
        int kind = score[0]++;
        double radius = face.betweenEyes() * (0.055 + 0.018 * (kind % 5));
        boolean lidded = kind % 4 == 3;
        List<Painted> painted = face.eyes().stream()
                .map(eye -> new Painted(off(eye, face, random), radius, lidded))
                .toList();
        try (Picture glowing = new Picture(photo.mat().clone());
                Picture byHand = new Picture(photo.mat().clone())) {
            painted.forEach(eye -> paint(glowing, eye, HUES[kind % HUES.length]));
            glowing.mat().copyTo(byHand.mat());
            List<GlowingEye> found = GlowFinder.find(glowing);
            imwrite(out.toString().replace(".png", "-before.png"), part(glowing, face));
            judge(glowing, painted, found, score, 3);
            List<GlowingEye> drawn = painted.stream()
                    .map(eye -> drawn(eye, photo.size(), random))
                    .toList();
            score[1] += painted.size();
            for (Painted eye : painted) {
                boolean isFound = found.stream()
                        .anyMatch(each -> pixels(each.centre(), photo.size()).distance(eye.centre) < eye.radius);
                score[2] += isFound ? 1 : 0;
            }
            judge(byHand, painted, drawn, score, 4);
            imwrite(out.toString().replace(".png", "-after.png"), part(glowing, face));
            imwrite(out.toString().replace(".png", "-hand.png"), part(byHand, face));
        }
    }

    /** Faces' eyes are known to about a twelfth of the way between them. */
    private static Point off(Point eye, Face face, Random random) {
        Point way = new Point(random.nextDouble(-1, 1), random.nextDouble(-1, 1));
        return eye.plus(way.times(face.betweenEyes() / 12));
    }

    private static Mat part(Picture picture, Face face) {
        int x = (int) Math.max(0, face.left());
        int y = (int) Math.max(0, face.top());
        int right = (int) Math.min(picture.size().width(), face.left() + face.width());
        int bottom = (int) Math.min(picture.size().height(), face.top() + 0.6 * face.height());
        return picture.mat().rowRange(y, bottom).colRange(x, right);
    }

    private static Point pixels(Point unit, PixelSize size) {
        return unit.times(size.longEdge()).plus(new Point(size.width() / 2.0, size.height() / 2.0));
    }

    private static GlowingEye drawn(Painted eye, PixelSize size, Random random) {
        Point about = eye.centre.plus(
                new Point(random.nextDouble(-0.3, 0.3), random.nextDouble(-0.3, 0.3)).times(eye.radius));
        Point unit =
                about.minus(new Point(size.width() / 2.0, size.height() / 2.0)).times(1.0 / size.longEdge());
        return new GlowingEye(unit, eye.radius * random.nextDouble(1.7, 2.6) / size.longEdge(), Glow.RED);
    }

    /** A soft disc, shaded as a pupil is, with a highlight; its upper part stays lid where it is lidded. */
    private static void paint(Picture picture, Painted eye, double[] hue) {
        try (UByteIndexer at = picture.mat().createIndexer()) {
            int reach = (int) Math.ceil(eye.radius + 2);
            for (int y = (int) eye.centre.y() - reach; y <= eye.centre.y() + reach; y++) {
                for (int x = (int) eye.centre.x() - reach; x <= eye.centre.x() + reach; x++) {
                    if (x < 0
                            || y < 0
                            || x >= picture.size().width()
                            || y >= picture.size().height()) {
                        continue;
                    }
                    double away = Math.hypot(x + 0.5 - eye.centre.x(), y + 0.5 - eye.centre.y());
                    double part = Math.clamp(eye.radius - away + 0.5, 0, 1);
                    if (eye.lidded) {
                        part *= Math.clamp(y + 0.5 - eye.centre.y() + 0.3 * eye.radius, 0, 1);
                    }
                    boolean highlight = eye.isHighlight(x, y);
                    for (int c = 0; c < 3; c++) {
                        double shade = highlight ? 0.97 : hue[c] * (1 - 0.25 * away / eye.radius);
                        double value = at.get(y, x, c);
                        at.put(y, x, c, (int) Math.round(value + part * (255 * shade - value)));
                    }
                }
            }
        }
    }

    private static void judge(Picture picture, List<Painted> painted, List<GlowingEye> eyes, int[] score, int where) {
        PixelSize size = picture.size();
        Affine toPicture = Affine.scale(size.longEdge(), size.longEdge())
                .then(Affine.translation(size.width() / 2.0, size.height() / 2.0));
        try (Mat before = picture.mat().clone()) {
            MendedEye.mend(picture, new GlowingEyes(eyes), toPicture);
            painted.forEach(eye -> score[where] += isRepaired(picture.mat(), eye) ? 1 : 0);
            score[5] += changedOutside(before, picture.mat(), eyes, size);
        }
    }

    /** Dark and hardly red wherever it was painted, but for its highlight, which is still bright. */
    private static boolean isRepaired(Mat mat, Painted eye) {
        List<double[]> pupil = new ArrayList<>();
        double highlight = 0;
        int lit = 0;
        try (Mat floats = new Mat()) {
            mat.convertTo(floats, CV_32F);
            try (FloatIndexer at = floats.createIndexer()) {
                int reach = (int) Math.ceil(eye.radius);
                for (int y = (int) eye.centre.y() - reach; y <= eye.centre.y() + reach; y++) {
                    for (int x = (int) eye.centre.x() - reach; x <= eye.centre.x() + reach; x++) {
                        if (x < 0 || y < 0 || x >= mat.cols() || y >= mat.rows() || !eye.holds(x, y)) {
                            continue;
                        }
                        double[] bgr = {at.get(y, x, 0), at.get(y, x, 1), at.get(y, x, 2)};
                        if (eye.isHighlight(x, y)) {
                            highlight += (bgr[0] + bgr[1] + bgr[2]) / 3;
                            lit++;
                        } else if (!nearHighlight(eye, x, y)) {
                            pupil.add(bgr);
                        }
                    }
                }
            }
        }
        long good = pupil.stream()
                .filter(bgr -> bgr[2] - Math.max(bgr[0], bgr[1]) < 30 && (bgr[0] + bgr[1] + bgr[2]) / 3 < 90)
                .count();
        return good >= 0.9 * pupil.size() && (lit < 4 || highlight / lit > 150);
    }

    /** A highlight's own rim. */
    private static boolean nearHighlight(Painted eye, int x, int y) {
        return Math.hypot(x + 0.5 - eye.centre.x() + eye.radius * 0.3, y + 0.5 - eye.centre.y() + eye.radius * 0.3)
                <= 0.32 * eye.radius + 1.5;
    }

    private static int changedOutside(Mat before, Mat after, List<GlowingEye> eyes, PixelSize size) {
        int changed = 0;
        try (UByteIndexer was = before.createIndexer();
                UByteIndexer is = after.createIndexer()) {
            for (int y = 0; y < before.rows(); y++) {
                for (int x = 0; x < before.cols(); x++) {
                    boolean same = was.get(y, x, 0) == is.get(y, x, 0)
                            && was.get(y, x, 1) == is.get(y, x, 1)
                            && was.get(y, x, 2) == is.get(y, x, 2);
                    Point at = new Point(x + 0.5, y + 0.5);
                    changed += !same
                                    && eyes.stream()
                                            .noneMatch(eye ->
                                                    pixels(eye.centre(), size).distance(at)
                                                            <= eye.radius() * size.longEdge())
                            ? 1
                            : 0;
                }
            }
        }
        return changed;
    }
}
