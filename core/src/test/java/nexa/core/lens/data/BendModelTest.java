package nexa.core.lens.data;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.lens.Bend;
import org.junit.jupiter.api.Test;

class BendModelTest {
    private static double read(Bend bend, double r) {
        return bend.mapping(1).apply(new Point(r, 0)).x();
    }

    /** The formulas of the open format, spelled out. */
    @Test
    void bend_readsWhereTheFormatSays() {
        for (double r : new double[] {0.1, 0.5, 0.9, 1.2}) {
            double r3 = r * r * r;
            assertEquals(
                    0.01 * r3 * r + 0.02 * r3 - 0.03 * r * r + (1 - 0.01 - 0.02 + 0.03) * r,
                    read(BendModel.PTLENS.bend(List.of(0.01, 0.02, -0.03)), r),
                    1e-12);
            assertEquals((1 - 0.02) * r + 0.02 * r3, read(BendModel.POLY3.bend(List.of(0.02)), r), 1e-12);
            assertEquals(r + 0.02 * r3 - 0.01 * r3 * r * r, read(BendModel.POLY5.bend(List.of(0.02, -0.01)), r), 1e-12);
            assertEquals(1.001 * r, read(BendModel.COLOUR_LINEAR.bend(List.of(1.001)), r), 1e-12);
            assertEquals(
                    1.001 * r + 0.002 * r * r - 0.003 * r3,
                    read(BendModel.COLOUR_POLY3.bend(List.of(1.001, 0.002, -0.003)), r),
                    1e-12);
        }
    }

    @Test
    void names_areTheFormats_andTellDistortionFromColour() {
        assertEquals(Optional.of(BendModel.PTLENS), BendModel.distortion("ptlens"));
        assertEquals(Optional.of(BendModel.POLY3), BendModel.distortion("poly3"));
        assertEquals(Optional.of(BendModel.POLY5), BendModel.distortion("poly5"));
        assertEquals(Optional.empty(), BendModel.distortion("linear"));
        assertEquals(Optional.of(BendModel.COLOUR_LINEAR), BendModel.colour("linear"));
        assertEquals(Optional.of(BendModel.COLOUR_POLY3), BendModel.colour("poly3"));
        assertEquals(Optional.empty(), BendModel.colour("ptlens"));
        for (BendModel model : List.of(BendModel.PTLENS, BendModel.POLY3, BendModel.POLY5)) {
            assertEquals(Optional.of(model), BendModel.distortion(model.text()));
        }
    }

    /** What is proportional to 1 / focal length; a colour's size is not. */
    @Test
    void terms_byFocal_areAllButAColoursSize() {
        assertEquals(3, BendModel.PTLENS.terms());
        assertEquals(1, BendModel.COLOUR_LINEAR.terms());
        for (BendModel model : BendModel.values()) {
            for (int term = 0; term < model.terms(); term++) {
                boolean size = term == 0 && (model == BendModel.COLOUR_LINEAR || model == BendModel.COLOUR_POLY3);
                assertEquals(!size, model.isByFocal(term));
            }
        }
    }
}
