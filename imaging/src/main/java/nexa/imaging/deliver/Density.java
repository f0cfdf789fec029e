package nexa.imaging.deliver;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import nexa.core.print.SizeTarget;

/** The resolution where the file kinds have a place of their own for it: JFIF 1.02, and the PNG chunk pHYs. */
final class Density {
    private static final byte[] PNG_SIGNATURE = {(byte) 0x89, 'P', 'N', 'G'};

    /** Signature and the header chunk, which comes first. */
    private static final int PNG_HEADER = 8 + 12 + 13;

    /** Start of image, marker, length, name. */
    private static final int JFIF_UNITS = 2 + 4 + 5 + 2;

    private static final int JFIF_END = JFIF_UNITS + 5;
    private static final byte PER_INCH = 1;
    private static final byte PER_METRE = 1;

    private Density() {}

    /**
     * The same file with its resolution.
     *
     * @param ppi 0 = the file stays as it is
     */
    static byte[] set(byte[] file, double ppi) {
        if (ppi <= 0) {
            return file;
        }
        if (isJfif(file)) {
            return jfif(file, (short) Math.round(ppi));
        }
        boolean png = file.length > PNG_HEADER && Arrays.equals(file, 0, 4, PNG_SIGNATURE, 0, 4);
        return png ? png(file, (int) Math.round(ppi * 1000 / SizeTarget.MILLIMETRES_PER_INCH)) : file;
    }

    private static boolean isJfif(byte[] file) {
        return file.length > JFIF_END
                && file[2] == (byte) 0xFF
                && file[3] == (byte) 0xE0
                && new String(file, 6, 4, StandardCharsets.US_ASCII).equals("JFIF");
    }

    private static byte[] jfif(byte[] file, short ppi) {
        byte[] set = file.clone();
        ByteBuffer.wrap(set).position(JFIF_UNITS).put(PER_INCH).putShort(ppi).putShort(ppi);
        return set;
    }

    private static byte[] png(byte[] file, int perMetre) {
        byte[] content = ByteBuffer.allocate(4 + 9)
                .put("pHYs".getBytes(StandardCharsets.US_ASCII))
                .putInt(perMetre)
                .putInt(perMetre)
                .put(PER_METRE)
                .array();
        CRC32 check = new CRC32();
        check.update(content);
        ByteArrayOutputStream out = new ByteArrayOutputStream(file.length + 21);
        out.write(file, 0, PNG_HEADER);
        out.writeBytes(ByteBuffer.allocate(4).putInt(content.length - 4).array());
        out.writeBytes(content);
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) check.getValue()).array());
        out.write(file, PNG_HEADER, file.length - PNG_HEADER);
        return out.toByteArray();
    }
}
