package nexa.bench.level;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.LongAdder;
import java.util.function.Predicate;
import nexa.core.level.AutoLevel;
import nexa.core.level.Finding;
import nexa.imaging.detect.LineDetector;
import nexa.imaging.pixels.Picture;

/**
 * Photographs turned by known angles: how many leans are accepted or offered, whether they follow the angle, and whether that
 * is so where a person sees what is level ({@code bench/truth/level.csv}) and not where nobody does.
 */
public final class LevelTrial {
    private static final double[] TURNS = {0, -3, 2};
    private static final double RIGHT = 0.35;

    /** Nobody would call a photo level that leans by more. */
    private static final double WRONG = 4;

    /**
     * @param off how far it is from what the photo's three findings agree on, degrees
     * @param lean what they agree on
     */
    private record Tried(String photo, LevelTruth truth, double turn, Finding finding, double off, double lean) {
        boolean shown() {
            return finding.accepted() || finding.offered();
        }

        boolean evidence() {
            return truth.evidence();
        }

        /** How far it is from a line that a person called level or plumb; NaN without one. */
        double awayFromLine() {
            return Math.abs(-finding.tilt().degrees() - turn - truth.lean());
        }
    }

    private LevelTrial() {}

    /** @param folder of photographs, those of the truth file among them */
    public static void run(Path folder) throws IOException {
        List<Tried> all = new ArrayList<>();
        LongAdder nanos = new LongAdder();
        LevelTruth.each(folder, (name, truth, photo) -> {
            Looks looks = looks(photo);
            nanos.add(looks.nanos());
            add(all, name, truth, looks.found());
        });
        say(all);
        System.out.printf(
                Locale.ROOT,
                "%.0f ms a picture of %d pixels, lines and level%n",
                nanos.sum() / 1e6 / all.size(),
                LineDetector.LONG_EDGE);
    }

    /** @param nanos that finding the lines and the level took, on the clock */
    private record Looks(List<Finding> found, long nanos) {}

    private static Looks looks(Picture photo) {
        List<Finding> found = new ArrayList<>();
        long nanos = 0;
        for (double turn : TURNS) {
            try (Picture turned = Leaning.turned(photo, turn);
                    Picture small = turned.reducedTo(LineDetector.LONG_EDGE)) {
                long begun = System.nanoTime();
                found.add(AutoLevel.find(LineDetector.segments(small, 1), small.size()));
                nanos += System.nanoTime() - begun;
            }
        }
        return new Looks(found, nanos);
    }

    private static void add(List<Tried> all, String name, LevelTruth truth, List<Finding> found) {
        double[] leans = new double[TURNS.length];
        for (int i = 0; i < TURNS.length; i++) {
            leans[i] = -found.get(i).tilt().degrees() - TURNS[i];
        }
        double[] sorted = leans.clone();
        java.util.Arrays.sort(sorted);
        for (int i = 0; i < TURNS.length; i++) {
            double off = Math.abs(leans[i] - sorted[1]);
            all.add(new Tried(name, truth, TURNS[i], found.get(i), off, sorted[1]));
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
        double[] away = taken.stream()
                .mapToDouble(Tried::awayFromLine)
                .filter(Double::isFinite)
                .sorted()
                .toArray();
        System.out.printf(
                Locale.ROOT,
                "%d accepted ones beside a line drawn by a person: median %.2f° away, 19 of 20 within %.2f°, most %.2f°%n",
                away.length,
                away[away.length / 2],
                away[(int) (0.95 * (away.length - 1))],
                away[away.length - 1]);
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
