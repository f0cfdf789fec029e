package nexa.core.lens.data;

import java.util.List;
import nexa.core.lens.Bend;

/**
 * How a lens bends at one focal length.
 *
 * @param focal in mm
 */
public record BendMeasure(double focal, BendModel model, List<Double> terms) {
    /** @throws IllegalArgumentException if there are too few terms, or one is not finite, or no lens bends so */
    public BendMeasure {
        terms = List.copyOf(terms);
        if (!(focal > 0) || terms.size() != model.terms()) {
            throw new IllegalArgumentException("No measure at " + focal + " mm: " + terms);
        }
        model.bend(terms);
    }

    public Bend bend() {
        return model.bend(terms);
    }
}
