package nexa.imaging.blocks;

import java.io.IOException;
import nexa.imaging.blocks.BlockJpeg.Component;
import nexa.imaging.file.ToldException;

/** Goes through a scan's codes without decoding what they say (ITU T.81, F.2.2). */
final class ScanWalk {
    private static final int COEFFICIENTS = 64;

    private final BlockJpeg jpeg;
    private final ScanBits bits;

    ScanWalk(BlockJpeg jpeg) {
        this.jpeg = jpeg;
        this.bits = new ScanBits(jpeg.bytes(), jpeg.scan());
    }

    /** @throws IOException if a code is none of its table, or the last does not end where the picture ends */
    void toTheEnd() throws IOException {
        int count = jpeg.components().size();
        ScanSteps[] dc = new ScanSteps[count];
        ScanSteps[] ac = new ScanSteps[count];
        int[] blocks = new int[count];
        for (int i = 0; i < count; i++) {
            Component component = jpeg.components().get(i);
            dc[i] = ScanSteps.ofDifferences(jpeg.dcTable(component));
            ac[i] = ScanSteps.ofRuns(jpeg.acTable(component));
            blocks[i] = component.across() * component.down();
        }
        int units = Math.ceilDiv(jpeg.size().width(), jpeg.unitWidth())
                * Math.ceilDiv(jpeg.size().height(), jpeg.unitHeight());
        for (int unit = 0; unit < units; unit++) {
            if (jpeg.restart() > 0 && unit > 0 && unit % jpeg.restart() == 0) {
                bits.restart();
            }
            for (int i = 0; i < count; i++) {
                for (int block = 0; block < blocks[i]; block++) {
                    difference(dc[i]);
                    coefficients(ac[i]);
                }
            }
        }
        bits.end();
    }

    private void difference(ScanSteps steps) throws IOException {
        long window = bits.window();
        int step = steps.several(window);
        bits.skip(ScanSteps.bits(step == ScanSteps.NONE ? steps.next(window) : step));
    }

    /** Those of a block behind the first one. What was looked up is told to the bits only when others are to be seen. */
    private void coefficients(ScanSteps steps) throws IOException {
        long window = bits.window();
        int used = 0;
        int coefficient = 1;
        while (coefficient < COEFFICIENTS) {
            if (used > ScanSteps.MOST_USED) {
                bits.skip(used);
                window = bits.window();
                used = 0;
            }
            int step = steps.several(window);
            if (step == ScanSteps.NONE || coefficient + ScanSteps.coefficients(step) >= COEFFICIENTS) {
                bits.skip(used);
                used = 0;
                step = steps.next(bits.window());
                window = bits.window();
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
