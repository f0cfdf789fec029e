package nexa.bench.sight;

import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_imgcodecs.imwrite;
import static org.bytedeco.opencv.global.opencv_imgproc.INTER_AREA;
import static org.bytedeco.opencv.global.opencv_imgproc.resize;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.brief.Brief;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.detect.SubjectDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.preview.PreviewMaker;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * Frames that nobody placed, on photographs of people or of one thing: how often a face or the subject, as a person sees it, is
 * cut, beside frames from the middle. Sheets to look at come into {@code frames} beside the photographs.
 */
public final class FrameTrial {
    private static final List<Format> FORMATS = List.of(
            format(1, "4:5", OrientationRule.VERTICAL),
            format(2, "1:1", OrientationRule.FOLLOW_PHOTO),
            format(3, "16:9", OrientationRule.HORIZONTAL),
            format(4, "9:16", OrientationRule.VERTICAL));

    /** Of the subject's area: less outside the frame is not cut. */
    private static final double CUT = 0.05;

    private static final int CELL = 220;
    private static final int ROWS = 5;

    /** Counts of one kind of frames. */
    private static final class Score {
        private int frames;
        private int facesCut;
        private int leftOut;
        private int subjectsCut;
        private double lost;

        private boolean cutsFace;
        private double cut;

        void add(Frame frame, List<Frame> faces, Frame subject) {
            frames++;
            cutsFace = faces.stream().anyMatch(face -> outside(frame, face) > 0 && outside(frame, face) < 1);
            facesCut += cutsFace ? 1 : 0;
            leftOut += faces.stream().anyMatch(face -> outside(frame, face) == 1) ? 1 : 0;
            cut = Math.max(0, outside(frame, subject) - unavoidable(frame, subject));
            subjectsCut += cut > CUT ? 1 : 0;
            lost += cut;
        }

        /** Names the last one if anything is cut in it. */
        void said(Path file, Format format) {
            if (cutsFace || cut > CUT) {
                System.out.printf(
                        Locale.ROOT,
                        "%s %s: %.0f %% of the subject cut%s%n",
                        file.getFileName(),
                        format.name(),
                        100 * cut,
                        cutsFace ? ", and a face" : "");
            }
        }

        /** A subject longer than the frame's side is cut wherever the frame lies. */
        private static double unavoidable(Frame frame, Frame subject) {
            double across = Math.min(1, frame.width() / subject.width());
            double down = Math.min(1, frame.height() / subject.height());
            return 1 - across * down;
        }

        private static double outside(Frame frame, Frame box) {
            double across = Math.min(frame.right(), box.right()) - Math.max(frame.left(), box.left());
            double down = Math.min(frame.bottom(), box.bottom()) - Math.max(frame.top(), box.top());
            double share = Math.max(0, across) * Math.max(0, down) / (box.width() * box.height());
            return share > 1 - 1e-9 ? 0 : 1 - share;
        }

        @Override
        public String toString() {
            return String.format(
                    Locale.ROOT,
                    "%d frames, a face cut in %d, one left out in %d, the subject by more than 5 %% beyond need in %d (%.1f %% on average)",
                    frames,
                    facesCut,
                    leftOut,
                    subjectsCut,
                    100 * lost / frames);
        }
    }

    private FrameTrial() {}

    private static Format format(int id, String shape, OrientationRule rule) {
        return new Format(id, shape, Shape.parse(shape), rule);
    }

    /** @param folder of photographs, those of the truth file among them */
    public static void run(Path folder) throws IOException {
        SubjectTruth truth = SubjectTruth.read();
        PreviewMaker previews = new PreviewMaker(PhotoCodecs.STANDARD);
        Score keeping = new Score();
        Score centred = new Score();
        List<Mat> cells = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(truth::knows).sorted().toList()) {
                if (!(PhotoCodecs.STANDARD.probe(file) instanceof Probe.Readable(PhotoFacts facts))) {
                    continue;
                }
                Optional<Frame> box = truth.box(file, facts.asShot());
                if (box.isPresent()) {
                    Sight sight = SubjectDetector.find(previews, file, facts).sight();
                    Frame subject = kept(box.get(), facts.asShot());
                    Framing framing = Framing.UNTOUCHED.withSubject(Subject.UNKNOWN.seen(sight));
                    PhotoSpace space = new PhotoSpace(facts.asShot(), Pose.AS_SHOT);
                    for (Format format : FORMATS) {
                        Frame frame = Derivation.frame(space, framing, format, Brief.EMPTY);
                        keeping.add(frame, sight.faces(), subject);
                        keeping.said(file, format);
                        centred.add(Derivation.largest(space, format), sight.faces(), subject);
                        cells.add(cell(file, space, frame));
                    }
                }
            }
        }
        sheets(cells, Files.createDirectories(folder.resolve("frames")));
        System.out.println("keeping what is seen: " + keeping);
        System.out.println("from the middle: " + centred);
    }

    private static Frame kept(Frame pixels, PixelSize photo) {
        Point middle = new Point(photo.width() / 2.0, photo.height() / 2.0);
        return pixels.movedBy(middle.times(-1)).times(1.0 / photo.longEdge());
    }

    private static Mat cell(Path file, PhotoSpace space, Frame frame) {
        List<Point> corners = space.toUpright(frame);
        try (Mat photo = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR)) {
            int left = (int) Math.clamp(Math.round(corners.get(0).x()), 0, photo.cols() - 2);
            int top = (int) Math.clamp(Math.round(corners.get(0).y()), 0, photo.rows() - 2);
            int right = (int) Math.clamp(Math.round(corners.get(2).x()), left + 1, photo.cols());
            int bottom = (int) Math.clamp(Math.round(corners.get(2).y()), top + 1, photo.rows());
            double scale = (CELL - 8.0) / Math.max(right - left, bottom - top);
            Mat cell = new Mat(CELL, CELL, CV_8UC3, Scalar.all(245));
            try (Rect part = new Rect(left, top, right - left, bottom - top);
                    Mat cut = new Mat(photo, part);
                    Mat small = new Mat()) {
                resize(cut, small, new Size(), scale, scale, INTER_AREA);
                try (Rect place = new Rect(
                                (CELL - small.cols()) / 2, (CELL - small.rows()) / 2, small.cols(), small.rows());
                        Mat there = new Mat(cell, place)) {
                    small.copyTo(there);
                }
            }
            return cell;
        }
    }

    private static void sheets(List<Mat> cells, Path out) {
        int columns = 2 * FORMATS.size();
        int many = ROWS * columns;
        for (int first = 0; first < cells.size(); first += many) {
            try (Mat sheet = new Mat(ROWS * CELL, columns * CELL, CV_8UC3, Scalar.all(255))) {
                for (int i = first; i < Math.min(cells.size(), first + many); i++) {
                    int at = i - first;
                    try (Rect place = new Rect(at % columns * CELL, at / columns * CELL, CELL, CELL);
                            Mat there = new Mat(sheet, place)) {
                        cells.get(i).copyTo(there);
                    }
                }
                imwrite(out.resolve("sheet-" + first / many + ".png").toString(), sheet);
            }
        }
    }
}
