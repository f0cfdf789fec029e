package nexa.core.lens.data;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import nexa.core.lens.Bend;

/**
 * What was measured at some focal lengths, for those in between: for each term a cubic Hermite curve through the two
 * measures on either side (as the open lens calibration format's own library has it). Beyond the ends the nearest
 * measure holds.
 */
final class FocalCurve {
    private static final double SAME = 1e-6;

    private final List<BendMeasure> measures;

    private FocalCurve(List<BendMeasure> measures) {
        this.measures = measures;
    }

    /** How the lens bends at a focal length in mm; empty if nothing was measured. Measures of another model than the first are left out. */
    static Optional<Bend> bend(List<BendMeasure> measures, double focal) {
        TreeMap<Double, BendMeasure> byFocal = new TreeMap<>(Comparator.naturalOrder());
        for (BendMeasure measure : measures) {
            if (measure.model() == measures.getFirst().model()) {
                byFocal.put(measure.focal(), measure); // the later one of two holds
            }
        }
        return byFocal.isEmpty()
                ? Optional.empty()
                : Optional.of(new FocalCurve(List.copyOf(byFocal.values())).at(focal));
    }

    private Bend at(double focal) {
        int above = 0;
        while (above < measures.size() && measures.get(above).focal() < focal - SAME) {
            above++;
        }
        if (above == measures.size()) {
            return measures.getLast().bend();
        }
        if (above == 0 || Math.abs(measures.get(above).focal() - focal) <= SAME) {
            return measures.get(above).bend();
        }
        return between(above, focal);
    }

    private Bend between(int above, double focal) {
        BendModel model = measures.getFirst().model();
        double from = measures.get(above - 1).focal();
        double t = (focal - from) / (measures.get(above).focal() - from);
        List<Double> terms = new ArrayList<>();
        for (int term = 0; term < model.terms(); term++) {
            double value = hermite(above, term, t);
            terms.add(model.isByFocal(term) ? value / focal : value);
        }
        return model.bend(terms);
    }

    private double hermite(int above, int term, double t) {
        double y2 = value(above - 1, term);
        double y3 = value(above, term);
        double leaving = above >= 2 ? (y3 - value(above - 2, term)) / 2 : y3 - y2;
        double arriving = above + 1 < measures.size() ? (value(above + 1, term) - y2) / 2 : y3 - y2;
        double t2 = t * t;
        double t3 = t2 * t;
        return (2 * t3 - 3 * t2 + 1) * y2 + (t3 - 2 * t2 + t) * leaving + (3 * t2 - 2 * t3) * y3 + (t3 - t2) * arriving;
    }

    private double value(int measure, int term) {
        BendMeasure at = measures.get(measure);
        return at.terms().get(term) * (at.model().isByFocal(term) ? at.focal() : 1);
    }
}
