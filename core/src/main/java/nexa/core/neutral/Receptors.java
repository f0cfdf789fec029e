package nexa.core.neutral;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Three receptors of light, whose answers are scaled each for itself when another light is taken for neutral (von Kries
 * 1902): the eye's cones, or the red, green and blue of a camera's sensor, for which the scales are its multipliers.
 *
 * @param ofXyz from X, Y, Z relative to D65 to the three answers: nine numbers, rows first
 * @throws IllegalArgumentException if they are not nine numbers, or light can't be told from the answers
 */
public record Receptors(List<Double> ofXyz) {
    /** Cones as Bradford's adaptation has them (Lam 1985; ICC.1:2022, annex E). */
    public static final Receptors EYE =
            new Receptors(List.of(0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296));

    private static final int SIDE = 3;
    private static final double LEAST_DETERMINANT = 1e-6;

    public Receptors {
        ofXyz = List.copyOf(ofXyz);
        if (ofXyz.size() != SIDE * SIDE || !(Math.abs(determinant(ofXyz)) > LEAST_DETERMINANT)) {
            throw new IllegalArgumentException("No receptors: " + ofXyz);
        }
    }

    private static double determinant(List<Double> m) {
        return m.get(0) * (m.get(4) * m.get(8) - m.get(5) * m.get(7))
                - m.get(1) * (m.get(3) * m.get(8) - m.get(5) * m.get(6))
                + m.get(2) * (m.get(3) * m.get(7) - m.get(4) * m.get(6));
    }

    /** A copy, rows first. */
    public double[][] matrix() {
        double[][] rows = new double[SIDE][SIDE];
        for (int i = 0; i < SIDE * SIDE; i++) {
            rows[i / SIDE][i % SIDE] = ofXyz.get(i);
        }
        return rows;
    }

    /** As {@link #parse} reads it, to the last bit; empty of the eye's. */
    public String text() {
        return equals(EYE) ? "" : ofXyz.stream().map(String::valueOf).collect(Collectors.joining(" "));
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Receptors parse(String text) {
        return text.isBlank()
                ? EYE
                : new Receptors(Arrays.stream(text.strip().split(" +"))
                        .map(Double::valueOf)
                        .toList());
    }
}
