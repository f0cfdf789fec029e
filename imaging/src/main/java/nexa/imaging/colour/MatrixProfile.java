package nexa.imaging.colour;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Makes profiles of three primaries and a curve, or of grey, as matrix profiles of version 4 (ICC.1:2022, 8.3.3). Arrays of three are
 * X, Y, Z or red, green, blue.
 */
final class MatrixProfile {
    /** Chromaticities (x, y) of red, green and blue. */
    enum Primaries {
        /** ITU-R BT.709, which sRGB shares. */
        BT709(Adaptation.D65, 0.640, 0.330, 0.300, 0.600, 0.150, 0.060),
        /** SMPTE EG 432-1. */
        P3(Adaptation.D65, 0.680, 0.320, 0.265, 0.690, 0.150, 0.060),
        /** ITU-R BT.2020. */
        BT2020(Adaptation.D65, 0.708, 0.292, 0.170, 0.797, 0.131, 0.046),
        /** opRGB (IEC 61966-2-5). */
        OPTION(Adaptation.D65, 0.640, 0.330, 0.210, 0.710, 0.150, 0.060),
        /** ISO 22028-2. */
        ROMM(Adaptation.D50, 0.7347, 0.2653, 0.1596, 0.8404, 0.0366, 0.0001);

        private final double[] white;
        private final double[] xy;

        Primaries(double[] white, double... xy) {
            this.white = white;
            this.xy = xy;
        }
    }

    /** g, a, b, c, d of sRGB's curve (IEC 61966-2-1) as a parametric curve of type 3. */
    static final double[] SRGB_CURVE = {2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045};

    /** g of opRGB's curve (IEC 61966-2-5), a power of 2 + 51/256, as a parametric curve of type 0. */
    static final double[] OPTION_CURVE = {2 + 51.0 / 256};

    /** The types of parametric curves, by how many numbers they have (10.18). */
    private static final Map<Integer, Short> CURVE_TYPES = Map.of(1, (short) 0, 5, (short) 3);

    private static final int HEADER = 128;

    private MatrixProfile() {}

    static byte[] bytes(String name, Primaries primaries, double[] curve) {
        return bytes(name, primaries.white, primaries.xy, curve);
    }

    /**
     * @param white X, Y, Z
     * @param xy of red, green and blue
     * @param curve the numbers of a parametric curve: g alone, or five
     */
    static byte[] bytes(String name, double[] white, double[] xy, double[] curve) {
        double[][] adaptation = Adaptation.matrix(white, Adaptation.D50);
        double[][] colorants = Matrix3.product(adaptation, toXyz(white, xy));
        Map<String, byte[]> tags = new LinkedHashMap<>();
        tags.put("desc", text(name));
        tags.put("cprt", text("Public domain"));
        tags.put("wtpt", xyzTag(Adaptation.D50));
        tags.put("chad", matrixTag(adaptation));
        String[] channels = {"r", "g", "b"};
        for (int c = 0; c < 3; c++) {
            tags.put(channels[c] + "XYZ", xyzTag(Matrix3.column(colorants, c)));
            tags.put(channels[c] + "TRC", curveTag(curve));
        }
        return assembled("RGB ", tags);
    }

    /** @param curve the numbers of a parametric curve, of grey */
    static byte[] grey(String name, double[] curve) {
        Map<String, byte[]> tags = new LinkedHashMap<>();
        tags.put("desc", text(name));
        tags.put("cprt", text("Public domain"));
        tags.put("wtpt", xyzTag(Adaptation.D50));
        tags.put("kTRC", curveTag(curve));
        return assembled("GRAY", tags);
    }

    /** From linear RGB to XYZ, scaled so that equal parts give the white (as in SMPTE RP 177). */
    private static double[][] toXyz(double[] white, double[] xy) {
        double[][] unscaled = new double[3][3];
        for (int c = 0; c < 3; c++) {
            double[] primary = Adaptation.xyz(xy[2 * c], xy[2 * c + 1]);
            for (int row = 0; row < 3; row++) {
                unscaled[row][c] = primary[row];
            }
        }
        double[] parts = Matrix3.product(Matrix3.inverse(unscaled), white);
        return Matrix3.product(unscaled, Matrix3.diagonal(parts));
    }

    private static byte[] text(String text) {
        byte[] utf16 = text.getBytes(StandardCharsets.UTF_16BE);
        ByteBuffer tag = ByteBuffer.allocate(28 + utf16.length);
        tag.put(ascii("mluc")).putInt(0).putInt(1).putInt(12).put(ascii("enUS"));
        return tag.putInt(utf16.length).putInt(28).put(utf16).array();
    }

    private static byte[] xyzTag(double[] xyz) {
        return numbers("XYZ ", xyz);
    }

    private static byte[] matrixTag(double[][] matrix) {
        return numbers("sf32", matrix[0], matrix[1], matrix[2]);
    }

    private static byte[] curveTag(double[] curve) {
        ByteBuffer tag = ByteBuffer.allocate(12 + 4 * curve.length);
        tag.put(ascii("para"))
                .putInt(0)
                .putShort(Objects.requireNonNull(CURVE_TYPES.get(curve.length)))
                .putShort((short) 0);
        for (double value : curve) {
            tag.putInt(fixed(value));
        }
        return tag.array();
    }

    private static byte[] numbers(String type, double[]... rows) {
        ByteBuffer tag = ByteBuffer.allocate(8 + 12 * rows.length);
        tag.put(ascii(type)).putInt(0);
        for (double[] row : rows) {
            for (double value : row) {
                tag.putInt(fixed(value));
            }
        }
        return tag.array();
    }

    /** s15Fixed16Number. */
    private static int fixed(double value) {
        return (int) Math.round(value * 65536);
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    private static byte[] assembled(String space, Map<String, byte[]> tags) {
        int offset = HEADER + 4 + 12 * tags.size();
        ByteBuffer table = ByteBuffer.allocate(offset - HEADER).putInt(tags.size());
        List<byte[]> bodies = new ArrayList<>();
        for (Map.Entry<String, byte[]> tag : tags.entrySet()) {
            byte[] body = tag.getValue();
            table.put(ascii(tag.getKey())).putInt(offset).putInt(body.length);
            byte[] padded = java.util.Arrays.copyOf(body, (body.length + 3) / 4 * 4);
            bodies.add(padded);
            offset += padded.length;
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(header(space, offset));
        out.writeBytes(table.array());
        bodies.forEach(out::writeBytes);
        return out.toByteArray();
    }

    private static byte[] header(String space, int size) {
        ByteBuffer header = ByteBuffer.allocate(HEADER);
        header.putInt(0, size).putInt(8, 0x04300000);
        header.put(12, ascii("mntr" + space + "XYZ "));
        header.putShort(24, (short) 2026).putShort(26, (short) 1).putShort(28, (short) 1); // creation date
        header.put(36, ascii("acsp"));
        for (int i = 0; i < 3; i++) {
            header.putInt(68 + 4 * i, fixed(Adaptation.D50[i]));
        }
        return header.array();
    }
}
