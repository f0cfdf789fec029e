package nexa.imaging.source;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** What a JPEG's application segments begin with, by what they hold; other kinds of files have some of these too. */
public enum JpegPrefix {
    EXIF("Exif\0\0"),
    XMP("http://ns.adobe.com/xap/1.0/\0"),
    ICC("ICC_PROFILE\0"),
    RESOURCES("Photoshop 3.0\0"),
    MULTI_PICTURE("MPF\0");

    private final byte[] bytes;

    JpegPrefix(String text) {
        this.bytes = text.getBytes(StandardCharsets.US_ASCII);
    }

    public int length() {
        return bytes.length;
    }

    public byte[] bytes() {
        return bytes.clone();
    }

    /** Whether bytes begin with it from a place on. */
    public boolean isAt(byte[] block, int place) {
        int end = place + bytes.length;
        return end <= block.length && Arrays.equals(block, place, end, bytes, 0, bytes.length);
    }

    /** What is behind it, or all if it is not there. */
    public byte[] without(byte[] block) {
        return isAt(block, 0) ? Arrays.copyOfRange(block, bytes.length, block.length) : block;
    }
}
