package nexa.core.lens.data;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import nexa.core.lens.Bend;

/**
 * The ways of the open lens calibration format to write a bend down. Of each term is known whether it is
 * proportional to 1 / focal length, so that it is multiplied by that before it is compared with others.
 */
public enum BendModel {
    /** a, b, c: a·r⁴ + b·r³ + c·r² + (1 - a - b - c)·r */
    PTLENS("ptlens", true, true, true) {
        @Override
        Bend bend(List<Double> t) {
            return new Bend(1 - t.get(0) - t.get(1) - t.get(2), t.get(2), t.get(1), t.get(0), 0);
        }
    },
    /** k1: (1 - k1)·r + k1·r³ */
    POLY3("poly3", true) {
        @Override
        Bend bend(List<Double> t) {
            return new Bend(1 - t.getFirst(), 0, t.getFirst(), 0, 0);
        }
    },
    /** k1, k2: r + k1·r³ + k2·r⁵ */
    POLY5("poly5", true, true) {
        @Override
        Bend bend(List<Double> t) {
            return new Bend(1, 0, t.get(0), 0, t.get(1));
        }
    },
    /** Of one colour; k: k·r */
    COLOUR_LINEAR("linear", false) {
        @Override
        Bend bend(List<Double> t) {
            return new Bend(t.getFirst(), 0, 0, 0, 0);
        }
    },
    /** Of one colour; v, c, b: v·r + c·r² + b·r³ */
    COLOUR_POLY3("poly3", false, true, true) {
        @Override
        Bend bend(List<Double> t) {
            return new Bend(t.get(0), t.get(1), t.get(2), 0, 0);
        }
    };

    private final String text;
    private final boolean[] byFocal;

    BendModel(String text, boolean... byFocal) {
        this.text = text;
        this.byFocal = byFocal;
    }

    abstract Bend bend(List<Double> terms);

    int terms() {
        return byFocal.length;
    }

    boolean isByFocal(int term) {
        return byFocal[term];
    }

    /** The name in the format. */
    public String text() {
        return text;
    }

    /** The model of distortion of a name. */
    public static Optional<BendModel> distortion(String name) {
        return of(name, PTLENS, POLY3, POLY5);
    }

    /** The model of where a colour falls of a name. */
    public static Optional<BendModel> colour(String name) {
        return of(name, COLOUR_LINEAR, COLOUR_POLY3);
    }

    private static Optional<BendModel> of(String name, BendModel... models) {
        return Arrays.stream(models).filter(model -> model.text.equals(name)).findFirst();
    }
}
