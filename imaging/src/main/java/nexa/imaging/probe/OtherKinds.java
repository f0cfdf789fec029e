package nexa.imaging.probe;

import com.drew.metadata.Metadata;
import com.drew.metadata.gif.GifHeaderDirectory;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import nexa.core.geometry.PixelSize;

/** Kinds of image that are rare, told by their first bytes. */
public final class OtherKinds {
    /** Sun raster file: its magic number, width and height follow each other. */
    private static final byte[] SUN_RASTER = {0x59, (byte) 0xA6, 0x6A, (byte) 0x95};

    /** Netpbm's bit, grey and pixel maps, and its arbitrary map: text first, with comments. */
    private static final Pattern PORTABLE_MAP = Pattern.compile("P[1-6]\\s+(\\d{1,9})\\s+(\\d{1,9})\\s");

    private static final Pattern ARBITRARY_WIDTH = Pattern.compile("\\nWIDTH\\s+(\\d{1,9})\\s");
    private static final Pattern ARBITRARY_HEIGHT = Pattern.compile("\\nHEIGHT\\s+(\\d{1,9})\\s");
    private static final int TEXT_HEADER = 4096;

    private OtherKinds() {}

    /** How many pixels one has that the pixel library reads; empty if it is of no kind that is used for photos. */
    public static Optional<PixelSize> size(PhotoFile file, Metadata headers) throws IOException {
        byte[] first = file.beginning(TEXT_HEADER);
        if (begins(first, SUN_RASTER) && first.length >= 12) {
            ByteBuffer header = ByteBuffer.wrap(first);
            return size(header.getInt(4), header.getInt(8));
        }
        String text = new String(first, StandardCharsets.ISO_8859_1).replaceAll("#[^\\n]*\\n", " ");
        Matcher portable = PORTABLE_MAP.matcher(text);
        if (portable.lookingAt()) {
            return size(number(portable.group(1)), number(portable.group(2)));
        }
        Matcher width = ARBITRARY_WIDTH.matcher(text);
        Matcher height = ARBITRARY_HEIGHT.matcher(text);
        if (text.startsWith("P7") && width.find() && height.find()) {
            return size(number(width.group(1)), number(height.group(1)));
        }
        return Headers.size(
                headers,
                GifHeaderDirectory.class,
                GifHeaderDirectory.TAG_IMAGE_WIDTH,
                GifHeaderDirectory.TAG_IMAGE_HEIGHT);
    }

    private static Optional<PixelSize> size(int width, int height) {
        return width > 0 && height > 0 ? Optional.of(new PixelSize(width, height)) : Optional.empty();
    }

    /** Of at most nine digits, as the patterns have it. */
    private static int number(String digits) {
        return Integer.parseInt(digits);
    }

    private static boolean begins(byte[] bytes, byte[] beginning) {
        return bytes.length >= beginning.length
                && Arrays.equals(bytes, 0, beginning.length, beginning, 0, beginning.length);
    }
}
