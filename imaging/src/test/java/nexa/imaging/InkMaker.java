package nexa.imaging;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * Makes the profile of a press that does not exist (ICC.1:2001-04): each of cyan, magenta and yellow takes most of one
 * primary's light away, black takes of all. Its perceptual table lifts darkness to what the press reaches, its saturation
 * table strengthens colours.
 */
public final class InkMaker {
    /** What full cyan, magenta or yellow takes away of red, green or blue. */
    private static final double TAKEN = 0.92;

    private static final double BLACK_TAKEN = 0.9;
    private static final int TO_LAB_GRID = 9;
    private static final int TO_INKS_GRID = 33;
    private static final double[] D50 = {0.9642, 1, 0.8249};

    /** Of unprinted paper, as it is measured. */
    public static final double[] PAPER = {0.83, 0.87, 0.67};

    /** From linear sRGB to XYZ relative to D50, and back. */
    private static final double[][] TO_XYZ = {
        {0.4360747, 0.3850649, 0.1430804}, {0.2225045, 0.7168786, 0.0606169}, {0.0139322, 0.0971045, 0.7141733}
    };

    private static final double[][] FROM_XYZ = {
        {3.1338561, -1.6168667, -0.4906146}, {-0.9787684, 1.9161415, 0.0334540}, {0.0719453, -0.2289914, 1.4052427}
    };

    private InkMaker() {}

    /** The profile's bytes. */
    public static byte[] profile() {
        return profile(true);
    }

    /** @param both whether there is a way to inks besides the one from them */
    public static byte[] profile(boolean both) {
        Map<String, byte[]> tags = new LinkedHashMap<>();
        tags.put("desc", description("Fennick Press, matt"));
        tags.put("cprt", ("text\0\0\0\0none\0").getBytes(StandardCharsets.US_ASCII));
        tags.put("wtpt", white());
        byte[] toLab = table(4, 3, TO_LAB_GRID, InkMaker::lab);
        for (int intent = 0; intent < 3; intent++) {
            tags.put("A2B" + intent, toLab);
        }
        if (both) {
            tags.put("B2A0", table(3, 4, TO_INKS_GRID, lab -> inks(new double[] {lifted(lab[0]), lab[1], lab[2]})));
            tags.put("B2A1", table(3, 4, TO_INKS_GRID, InkMaker::inks));
            tags.put("B2A2", table(3, 4, TO_INKS_GRID, lab -> inks(new double[] {lab[0], 1.3 * lab[1], 1.3 * lab[2]})));
        }
        return file(tags);
    }

    private static double lifted(double lightness) {
        double darkest = lab(new double[] {1, 1, 1, 1})[0];
        return darkest + lightness * (100 - darkest) / 100;
    }

    /** L*, a*, b* relative to the paper of amounts of ink, 0 to 1. */
    public static double[] lab(double[] inks) {
        double left = 1 - BLACK_TAKEN * inks[3];
        double[] light = new double[3];
        for (int i = 0; i < 3; i++) {
            light[i] = left * (1 - TAKEN * inks[i]);
        }
        double[] f = new double[3];
        for (int row = 0; row < 3; row++) {
            double t = 0;
            for (int i = 0; i < 3; i++) {
                t += TO_XYZ[row][i] * light[i] / D50[row];
            }
            f[row] = t > 216.0 / 24389 ? Math.cbrt(t) : (24389.0 / 27 * t + 16) / 116;
        }
        return new double[] {116 * f[1] - 16, 500 * (f[0] - f[1]), 200 * (f[1] - f[2])};
    }

    /** Black in place of what all three share, and where they are not dark enough. */
    private static double[] inks(double[] lab) {
        double y = (lab[0] + 16) / 116;
        double[] f = {y + lab[1] / 500, y, y - lab[2] / 200};
        double[] light = new double[3];
        for (int row = 0; row < 3; row++) {
            for (int i = 0; i < 3; i++) {
                double xyz = D50[i] * (f[i] > 6.0 / 29 ? f[i] * f[i] * f[i] : (116 * f[i] - 16) * 27 / 24389);
                light[row] += FROM_XYZ[row][i] * xyz;
            }
        }
        double most = Math.clamp(Math.max(light[0], Math.max(light[1], light[2])), 0, 1);
        double replacing = (1 - Math.sqrt(most)) * (1 - Math.sqrt(most));
        double black = Math.max(replacing, (1 - most / (1 - TAKEN)) / BLACK_TAKEN);
        double left = 1 - BLACK_TAKEN * Math.min(1, black);
        double[] inks = {0, 0, 0, Math.min(1, black)};
        for (int i = 0; i < 3; i++) {
            inks[i] = Math.clamp((1 - light[i] / left) / TAKEN, 0, 1);
        }
        return inks;
    }

    // ---- the file ----

    private static byte[] table(int in, int out, int grid, UnaryOperator<double[]> model) {
        int nodes = (int) Math.pow(grid, in);
        ByteBuffer tag = ByteBuffer.allocate(52 + 2 * (2 * in + nodes * out + 2 * out));
        tag.put("mft2".getBytes(StandardCharsets.US_ASCII)).putInt(0);
        tag.put((byte) in).put((byte) out).put((byte) grid).put((byte) 0);
        for (int i = 0; i < 9; i++) {
            tag.putInt(i % 4 == 0 ? 65_536 : 0);
        }
        tag.putShort((short) 2).putShort((short) 2);
        straight(tag, in);
        double[] place = new double[in];
        for (int node = 0; node < nodes; node++) {
            for (int i = in - 1, rest = node; i >= 0; i--, rest /= grid) {
                place[i] = rest % grid / (grid - 1.0);
            }
            for (double value : in == 4 ? stored(model.apply(place)) : model.apply(read(place))) {
                tag.putShort((short) Math.clamp(Math.round(value * 65_535), 0, 65_535));
            }
        }
        straight(tag, out);
        return tag.array();
    }

    private static void straight(ByteBuffer tag, int channels) {
        for (int i = 0; i < channels; i++) {
            tag.putShort((short) 0).putShort((short) 65_535);
        }
    }

    /** L*, a*, b* of parts of 65535: there 65280 is 100, and 32768 is 0 (6.3.4 of the specification). */
    private static double[] read(double[] parts) {
        return new double[] {
            parts[0] * 65_535 / 65_280 * 100, parts[1] * 65_535 / 256 - 128, parts[2] * 65_535 / 256 - 128
        };
    }

    private static double[] stored(double[] lab) {
        return new double[] {
            lab[0] / 100 * 65_280 / 65_535, (lab[1] + 128) * 256 / 65_535, (lab[2] + 128) * 256 / 65_535
        };
    }

    private static byte[] white() {
        ByteBuffer tag = ByteBuffer.allocate(20);
        tag.put("XYZ ".getBytes(StandardCharsets.US_ASCII)).putInt(0);
        for (double value : PAPER) {
            tag.putInt((int) Math.round(value * 65_536));
        }
        return tag.array();
    }

    private static byte[] description(String words) {
        ByteBuffer tag = ByteBuffer.allocate(8 + 4 + words.length() + 1 + 8 + 3 + 67);
        tag.put("desc".getBytes(StandardCharsets.US_ASCII)).putInt(0).putInt(words.length() + 1);
        tag.put(words.getBytes(StandardCharsets.US_ASCII));
        return tag.array();
    }

    private static byte[] file(Map<String, byte[]> tags) {
        ByteArrayOutputStream data = new ByteArrayOutputStream();
        ByteBuffer index = ByteBuffer.allocate(4 + 12 * tags.size()).putInt(tags.size());
        int first = 128 + index.capacity();
        tags.forEach((name, tag) -> {
            index.put(name.getBytes(StandardCharsets.US_ASCII))
                    .putInt(first + data.size())
                    .putInt(tag.length);
            data.writeBytes(tag);
            data.writeBytes(new byte[(4 - tag.length % 4) % 4]);
        });
        ByteBuffer file = ByteBuffer.allocate(first + data.size());
        file.putInt(file.capacity()).putInt(0).putInt(0x02400000);
        file.put("prtrCMYKLab ".getBytes(StandardCharsets.US_ASCII));
        file.position(36).put("acsp".getBytes(StandardCharsets.US_ASCII));
        file.position(68).putInt(63_190).putInt(65_536).putInt(54_061);
        return file.position(128).put(index.array()).put(data.toByteArray()).array();
    }
}
