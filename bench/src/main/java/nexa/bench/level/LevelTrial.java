package nexa.bench.level;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.level.AutoLevel;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.imaging.detect.LineDetector;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Photographs turned by known angles: how many leans are accepted or offered, whether they follow the angle, and whether that
 * is so where a person sees what is level ({@code bench/truth/level.csv}) and not where nobody does.
 */
public final class LevelTrial {
    private static final double[] TURNS = {0, -3, 2};
    private static final double RIGHT = 0.35;

    /** Nobody would call a photo level that leans by more. */
    private static final double WRONG = 4;

    /** @param off how far it is from what the photo's three findings agree on, degrees */
    private record Tried(String photo, boolean evidence, double turn, Finding finding, double off, double lean) {
        boolean shown() {
            return finding.accepted() || finding.offered();
        }
    }

    private LevelTrial() {}

    /** @param folder of photographs, those of the truth file among them */
    public static void run(Path folder) throws IOException {
        Map<String, Boolean> truth = truth();
        List<Tried> all = new ArrayList<>();
        long nanos = 0;
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                String name = file.getFileName().toString().replaceFirst("\\.[^.]+$", "");
                if (truth.containsKey(name)) {
                    long begun = System.nanoTime();
                    List<Finding> found = found(file);
                    nanos += System.nanoTime() - begun;
                    add(all, name, Boolean.TRUE.equals(truth.get(name)), found);
                }
            }
        }
        say(all);
        System.out.printf(Locale.ROOT, "%.0f ms a picture, turning included%n", nanos / 1e6 / all.size());
    }

    private static Map<String, Boolean> truth() throws IOException {
        Path file = Path.of(System.getProperty("nexa.home", ".")).resolve("bench/truth/level.csv");
        return Files.readAllLines(file).stream()
                .skip(1)
                .map(line -> line.split(","))
                .collect(Collectors.toMap(cells -> cells[0], cells -> cells[1].equals("yes")));
    }

    private static List<Finding> found(Path file) {
        List<Finding> found = new ArrayList<>();
        try (Mat mat = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_COLOR);
                Picture photo = new Picture(mat.clone())) {
            for (double turn : TURNS) {
                try (Picture turned = Leaning.turned(photo, turn);
                        Picture small = turned.reducedTo(LineDetector.LONG_EDGE)) {
                    List<LevelLine> lines = LineDetector.segments(small, 1);
                    found.add(AutoLevel.find(lines, small.size()));
                }
            }
        }
        return found;
    }

    private static void add(List<Tried> all, String name, boolean evidence, List<Finding> found) {
        double[] leans = new double[TURNS.length];
        for (int i = 0; i < TURNS.length; i++) {
            leans[i] = -found.get(i).tilt().degrees() - TURNS[i];
        }
        double[] sorted = leans.clone();
        java.util.Arrays.sort(sorted);
        for (int i = 0; i < TURNS.length; i++) {
            double off = Math.abs(leans[i] - sorted[1]);
            all.add(new Tried(name, evidence, TURNS[i], found.get(i), off, sorted[1]));
        }
    }

    private static void say(List<Tried> all) {
        List<Tried> seen = all.stream().filter(Tried::evidence).toList();
        List<Tried> unseen = all.stream().filter(each -> !each.evidence()).toList();
        Predicate<Tried> accepted = each -> each.finding().accepted();
        List<Tried> taken = seen.stream().filter(accepted).toList();
        System.out.printf(
                Locale.ROOT,
                "%d pictures with evidence: %.0f %% accepted, %.0f %% accepted or offered%n"
                        + "accepted ones: %.0f %% within %.2f°, %.0f %% within 1°%n"
                        + "%d pictures without: %.1f %% accepted, %.1f %% accepted or offered%n",
                seen.size(),
                100.0 * taken.size() / seen.size(),
                100.0 * seen.stream().filter(Tried::shown).count() / seen.size(),
                100.0 * taken.stream().filter(each -> each.off() <= RIGHT).count() / taken.size(),
                RIGHT,
                100.0 * taken.stream().filter(each -> each.off() <= 1).count() / taken.size(),
                unseen.size(),
                100.0 * unseen.stream().filter(accepted).count() / unseen.size(),
                100.0 * unseen.stream().filter(Tried::shown).count() / unseen.size());
        for (double from = 0.2; from < 0.95; from += 0.2) {
            double low = from;
            List<Tried> sure = all.stream()
                    .filter(each ->
                            each.finding().confidence() >= low && each.finding().confidence() < low + 0.2)
                    .toList();
            long right = sure.stream()
                    .filter(each -> each.evidence() && each.off() <= 0.5)
                    .count();
            System.out.printf(
                    Locale.ROOT, "confidence %.1f to %.1f: %d of %d right%n", low, low + 0.2, right, sure.size());
        }
        all.stream()
                .filter(accepted)
                .filter(each -> !each.evidence() || Math.abs(each.lean()) > WRONG || each.off() > 1)
                .forEach(each -> System.out.printf(
                        Locale.ROOT,
                        "accepted all the same: %s turned by %.0f°: %.1f°, %.2f sure%s%n",
                        each.photo(),
                        each.turn(),
                        -each.finding().tilt().degrees(),
                        each.finding().confidence(),
                        each.evidence() ? "" : ", nobody sees what is level"));
    }
}
