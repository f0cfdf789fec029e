package nexa.imaging.blocks;

import java.io.IOException;
import nexa.imaging.file.ToldException;

/** Whole blocks, as all but progressive pictures have them (F.2.2). */
final class SequentialBlocks implements BlockWalk {
    private static final int COEFFICIENTS = 64;

    private final ScanBits bits;
    private final ScanSteps differences;
    private final ScanSteps runs;

    SequentialBlocks(ScanBits bits, Huffman dc, Huffman ac) {
        this.bits = bits;
        this.differences = ScanSteps.ofDifferences(dc);
        this.runs = ScanSteps.ofRuns(ac);
    }

    @Override
    public void next() throws IOException {
        long window = bits.window();
        int step = differences.several(window);
        bits.skip(ScanSteps.bits(step == ScanSteps.NONE ? differences.next(window) : step));
        coefficients();
    }

    /** All behind the first one. What was looked up is told to the bits only when others are to be seen. */
    private void coefficients() throws IOException {
        long window = bits.window();
        int used = 0;
        int coefficient = 1;
        while (coefficient < COEFFICIENTS) {
            if (used > ScanSteps.MOST_USED) {
                bits.skip(used);
                window = bits.window();
                used = 0;
            }
            int step = runs.several(window);
            if (step == ScanSteps.NONE || coefficient + ScanSteps.coefficients(step) >= COEFFICIENTS) {
                bits.skip(used);
                used = 0;
                window = bits.window();
                step = runs.next(window);
            }
            window <<= ScanSteps.bits(step);
            used += ScanSteps.bits(step);
            coefficient += ScanSteps.coefficients(step);
            if (ScanSteps.ends(step)) {
                break;
            }
        }
        bits.skip(used);
        if (coefficient > COEFFICIENTS) {
            throw new ToldException("told.blocks.data-damaged");
        }
    }
}
