package nexa.bench.level;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import nexa.bench.base.TruthFile;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * What a person sees of a photograph's level.
 *
 * @param evidence whether a horizon or uprights are seen
 * @param uprights whether uprights are
 * @param line along something level or plumb that shows no perspective, x1, y1, x2, y2 as shares of width and height; empty if
 *     there is none
 * @param lean of that line in degrees, clockwise; NaN without a line, or before the photo's size is known
 */
record LevelTruth(boolean evidence, boolean uprights, List<Double> line, double lean) {
    /** What is done with a photograph of which something is known. */
    interface Trial {
        void on(String name, LevelTruth truth, Picture photo);
    }

    /** All photographs of a folder of which something is known, one after another; each is closed after its trial. */
    static void each(Path folder, Trial trial) throws IOException {
        Map<String, LevelTruth> known = all();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                String name = TruthFile.name(file);
                LevelTruth truth = known.get(name);
                if (truth != null) {
                    try (Mat mat = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR);
                            Picture photo = new Picture(mat.clone())) {
                        trial.on(name, truth.of(photo), photo);
                    }
                }
            }
        }
    }

    /** By the photos' names; {@code bench/truth/level.csv}. */
    private static Map<String, LevelTruth> all() throws IOException {
        Map<String, LevelTruth> all = new HashMap<>();
        for (String row : TruthFile.rows("level.csv")) {
            String[] cells = row.split(",");
            List<Double> line =
                    Arrays.stream(cells).skip(3).map(Double::valueOf).toList();
            all.put(cells[0], new LevelTruth(cells[1].equals("yes"), cells[2].equals("yes"), line, Double.NaN));
        }
        return all;
    }

    private LevelTruth of(Picture photo) {
        if (line.isEmpty()) {
            return this;
        }
        double width = photo.size().width();
        double height = photo.size().height();
        Point from = new Point(line.get(0) * width, line.get(1) * height);
        Point to = new Point(line.get(2) * width, line.get(3) * height);
        return new LevelTruth(evidence, uprights, line, new LevelLine(from, to).lean());
    }
}
