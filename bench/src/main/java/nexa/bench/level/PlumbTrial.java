package nexa.bench.level;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Mapping;
import nexa.core.geometry.PixelSize;
import nexa.core.level.LevelLine;
import nexa.core.plumb.AutoPlumb;
import nexa.core.plumb.Plumb;
import nexa.core.plumb.PlumbFinding;
import nexa.core.plumb.PlumbLine;
import nexa.imaging.detect.LineDetector;
import nexa.imaging.pixels.Picture;
import nexa.imaging.render.SinglePass;

/**
 * Photographs with uprights as a camera turned up and down by known angles would have seen them: whether the plumb follows, and
 * how far from upright that leaves what is upright.
 */
public final class PlumbTrial {
    private static final double[] PITCHES = {0, 6, -6};
    private static final double FOCAL = Plumb.USUAL_FOCAL;

    /** What the widest of the angles leaves of a photo along a side. */
    private static final double LEFT = 0.76;

    /** How far a photo reaches from its middle, in long edges. */
    private static final double REACH = 0.6;

    private static final double RIGHT = 0.5;
    private static final double WRONG = 2;

    /** @param lean by which uprights at the photo's edge are off after it, if what the photo's three findings agree on is true; degrees */
    private record Tried(String photo, boolean uprights, double pitch, PlumbFinding finding, double lean) {
        /** Plumb already is an answer, too. */
        boolean answered() {
            return finding.confidence() >= AutoPlumb.ENOUGH;
        }
    }

    private PlumbTrial() {}

    /** @param folder of photographs, those of the truth file among them */
    public static void run(Path folder) throws IOException {
        List<Tried> all = new ArrayList<>();
        LevelTruth.each(folder, (name, truth, photo) -> add(all, name, truth.uprights(), photo));
        say(all);
    }

    private static void add(List<Tried> all, String name, boolean uprights, Picture photo) {
        List<PlumbFinding> found = new ArrayList<>();
        for (double pitch : PITCHES) {
            try (Picture turned = turned(photo, pitch);
                    Picture small = turned.reducedTo(LineDetector.LONG_EDGE)) {
                List<LevelLine> segments = LineDetector.segments(small, 1);
                found.add(AutoPlumb.find(
                        segments.stream()
                                .map(line -> PlumbLine.of(line, small.size()))
                                .toList(),
                        0));
            }
        }
        double[] pitches = new double[PITCHES.length];
        double[] rolls = new double[PITCHES.length];
        for (int i = 0; i < PITCHES.length; i++) {
            pitches[i] = found.get(i).standing().plumb().pitch() + expected(PITCHES[i]);
            rolls[i] = found.get(i).standing().tilt().degrees();
        }
        for (int i = 0; i < PITCHES.length; i++) {
            double atEdge = Math.abs(pitches[i] - middle(pitches)) * 0.5 / FOCAL;
            double lean = atEdge + Math.abs(rolls[i] - middle(rolls));
            all.add(new Tried(name, uprights, PITCHES[i], found.get(i), lean));
        }
    }

    /** What a pitch about the photo's middle looks like about the middle of what came of it. */
    private static double expected(double pitch) {
        return Math.toDegrees(Math.atan(Math.sin(2 * Math.toRadians(pitch)) / 2));
    }

    private static double middle(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    private static Picture turned(Picture photo, double pitch) {
        PixelSize size = photo.size();
        PixelSize cut = new PixelSize((int) (size.width() * LEFT), (int) (size.height() * LEFT));
        double edge = size.longEdge();
        Mapping turn = Plumb.of(pitch, 0, FOCAL * LEFT).mapping(REACH); // the cut makes the lens longer
        Mapping toPhoto = Affine.translation(-cut.width() / 2.0, -cut.height() / 2.0)
                .then(Affine.scale(1 / edge, 1 / edge))
                .then(turn.inverse())
                .then((Mapping)
                        Affine.scale(edge, edge).then(Affine.translation(size.width() / 2.0, size.height() / 2.0)));
        return SinglePass.render(photo, toPhoto, cut);
    }

    private static void say(List<Tried> all) {
        List<Tried> seen = all.stream().filter(Tried::uprights).toList();
        List<Tried> unseen = all.stream().filter(each -> !each.uprights()).toList();
        List<Tried> taken = seen.stream().filter(Tried::answered).toList();
        System.out.printf(
                Locale.ROOT,
                "%d pictures with uprights: %.0f %% accepted; of those uprights are within %.1f° after it in %.0f %%, off by"
                        + " more than %.0f° in %.1f %%%n%d pictures without: %.1f %% accepted%n",
                seen.size(),
                100.0 * taken.size() / seen.size(),
                RIGHT,
                100.0 * taken.stream().filter(each -> each.lean() <= RIGHT).count() / taken.size(),
                WRONG,
                100.0 * taken.stream().filter(each -> each.lean() > WRONG).count() / taken.size(),
                unseen.size(),
                100.0 * unseen.stream().filter(Tried::answered).count() / unseen.size());
        all.stream()
                .filter(each -> each.answered() && each.uprights() && each.lean() > RIGHT)
                .forEach(each -> System.out.printf(
                        Locale.ROOT,
                        "accepted all the same: %s pitched by %.0f°: %.1f°, %.2f sure, uprights %.1f° off%n",
                        each.photo(),
                        each.pitch(),
                        each.finding().standing().plumb().pitch(),
                        each.finding().confidence(),
                        each.lean()));
    }
}
