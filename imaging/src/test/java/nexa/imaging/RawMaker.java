package nexa.imaging;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Writes raw files of a camera that never was (DNG 1.4, uncompressed), whose sensor sees linear sRGB: what comes out of a
 * developer is known.
 */
public final class RawMaker {
    /** The light at a place of the sensor, 0 to 1 each way: red, green, blue, each 0 to 1. */
    @FunctionalInterface
    public interface Light {
        double[] at(double x, double y);
    }

    private static final int HEADER = 8;
    private static final int BYTE = 1;
    private static final int ASCII = 2;
    private static final int SHORT = 3;
    private static final int LONG = 4;
    private static final int RATIONAL = 5;
    private static final int SIGNED_RATIONAL = 10;
    private static final int PARTS = 1_000_000;

    /** From XYZ to linear sRGB (IEC 61966-2-1). */
    private static final double[] CAMERA = {
        3.2404542, -1.5371385, -0.4985314, -0.9692660, 1.8760108, 0.0415560, 0.0556434, -0.2040259, 1.0572252
    };

    private record Entry(int type, int count, byte[] value) {}

    private final int width;
    private final int height;
    private int bits = 16;
    private int orientation = 1;
    private String pattern = "RGGB";
    private int black;
    private double[] white = {1, 1, 1};
    private final List<byte[]> previews = new ArrayList<>();

    /** The light of a picture in sRGB. */
    public static Light of(BufferedImage picture) {
        return (x, y) -> {
            int rgb = picture.getRGB((int) Math.min(x * picture.getWidth(), picture.getWidth() - 1), (int)
                    Math.min(y * picture.getHeight(), picture.getHeight() - 1));
            return new double[] {linear(rgb >> 16 & 0xFF), linear(rgb >> 8 & 0xFF), linear(rgb & 0xFF)};
        };
    }

    private static double linear(int value) {
        double v = value / 255.0;
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private RawMaker(int width, int height) {
        this.width = width;
        this.height = height;
    }

    /** Of a size of sensor elements. */
    public static RawMaker of(int width, int height) {
        return new RawMaker(width, height);
    }

    /** 12, 14 or 16. */
    public RawMaker bits(int number) {
        bits = number;
        return this;
    }

    public RawMaker orientation(int exif) {
        orientation = exif;
        return this;
    }

    /** The colours of a cell of two by two, row by row, such as {@code RGGB}. */
    public RawMaker pattern(String colours) {
        pattern = colours;
        return this;
    }

    /** What the sensor gives without any light. */
    public RawMaker black(int level) {
        black = level;
        return this;
    }

    /** What the camera took for white, in its own red, green, blue. */
    public RawMaker white(double red, double green, double blue) {
        white = new double[] {red, green, blue};
        return this;
    }

    /** A JPEG that the camera puts in; of several the first follows the sensor's data, the others belong to them. */
    public RawMaker preview(byte[] jpeg) {
        previews.add(jpeg.clone());
        return this;
    }

    /** The file. */
    public byte[] bytes(Light light) {
        TreeMap<Integer, Entry> sensor = new TreeMap<>();
        sensor.put(254, longs(0));
        sensor.put(256, longs(width));
        sensor.put(257, longs(height));
        sensor.put(258, shorts(bits));
        sensor.put(259, shorts(1));
        sensor.put(262, shorts(32803));
        sensor.put(271, text("Aldermoor"));
        sensor.put(272, text("Field Two"));
        sensor.put(274, shorts(orientation));
        sensor.put(277, shorts(1));
        sensor.put(278, longs(height));
        sensor.put(315, text("Ann Example"));
        sensor.put(33421, shorts(2, 2));
        sensor.put(33422, new Entry(BYTE, 4, cell()));
        sensor.put(50706, new Entry(BYTE, 4, new byte[] {1, 4, 0, 0}));
        sensor.put(50708, text("Aldermoor Field Two"));
        sensor.put(50714, longs(black));
        sensor.put(50717, longs((1 << bits) - 1));
        sensor.put(50721, rationals(SIGNED_RATIONAL, CAMERA));
        sensor.put(50728, rationals(RATIONAL, white));
        sensor.put(50778, shorts(21));
        return file(sensor, samples(light));
    }

    private byte[] cell() {
        byte[] colours = new byte[4];
        for (int i = 0; i < 4; i++) {
            colours[i] = (byte) "RGB".indexOf(pattern.charAt(i));
        }
        return colours;
    }

    /** Row by row, each row on whole bytes, the highest bits first; numbers of 16 bits as the file's byte order has it. */
    private byte[] samples(Light light) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (int y = 0; y < height; y++) {
            long pending = 0;
            int kept = 0;
            for (int x = 0; x < width; x++) {
                int value = sample(light, x, y);
                if (bits == 16) {
                    out.write(value);
                    out.write(value >> 8);
                    continue;
                }
                pending = pending << bits | value;
                kept += bits;
                while (kept >= 8) {
                    kept -= 8;
                    out.write((int) (pending >> kept));
                }
            }
            if (kept > 0) {
                out.write((int) (pending << 8 - kept));
            }
        }
        return out.toByteArray();
    }

    private int sample(Light light, int x, int y) {
        int channel = "RGB".indexOf(pattern.charAt(y % 2 * 2 + x % 2));
        double amount = light.at((x + 0.5) / width, (y + 0.5) / height)[channel] * white[channel];
        int most = (1 << bits) - 1;
        return (int) Math.clamp(Math.round(black + amount * (most - black)), 0, most);
    }

    private byte[] file(TreeMap<Integer, Entry> sensor, byte[] samples) {
        sensor.put(273, longs(0));
        sensor.put(279, longs(samples.length));
        List<TreeMap<Integer, Entry>> directories = new ArrayList<>(List.of(sensor));
        List<byte[]> data = new ArrayList<>(List.of(samples));
        if (previews.size() > 1) {
            sensor.put(330, longs(new int[previews.size() - 1]));
        }
        for (byte[] preview : previews) {
            directories.add(
                    new TreeMap<>(Map.of(259, shorts(7), 262, shorts(6), 273, longs(0), 279, longs(preview.length))));
            data.add(preview);
        }
        int[] starts = new int[directories.size() + 1];
        starts[0] = HEADER;
        for (int i = 0; i < directories.size(); i++) {
            starts[i + 1] = starts[i] + length(directories.get(i));
        }
        if (previews.size() > 1) {
            sensor.put(330, longs(Arrays.copyOfRange(starts, 2, directories.size())));
        }
        int at = starts[directories.size()];
        for (int i = 0; i < data.size(); i++) {
            directories.get(i).put(273, longs(at));
            at += data.get(i).length;
        }
        ByteBuffer out = ByteBuffer.allocate(at).order(ByteOrder.LITTLE_ENDIAN);
        out.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(HEADER);
        for (int i = 0; i < directories.size(); i++) {
            write(out, directories.get(i), i == 0 && !previews.isEmpty() ? starts[1] : 0);
        }
        data.forEach(out::put);
        return out.array();
    }

    private static int length(TreeMap<Integer, Entry> directory) {
        int values = directory.values().stream()
                .mapToInt(entry -> entry.value().length <= 4 ? 0 : (entry.value().length + 3) / 4 * 4)
                .sum();
        return 2 + 12 * directory.size() + 4 + values;
    }

    private static void write(ByteBuffer out, TreeMap<Integer, Entry> directory, int next) {
        int values = out.position() + 2 + 12 * directory.size() + 4;
        List<byte[]> far = new ArrayList<>();
        out.putShort((short) directory.size());
        for (var tag : directory.entrySet()) {
            Entry entry = tag.getValue();
            out.putShort(tag.getKey().shortValue())
                    .putShort((short) entry.type())
                    .putInt(entry.count());
            if (entry.value().length <= 4) {
                out.put(Arrays.copyOf(entry.value(), 4));
            } else {
                byte[] padded = Arrays.copyOf(entry.value(), (entry.value().length + 3) / 4 * 4);
                out.putInt(values);
                values += padded.length;
                far.add(padded);
            }
        }
        out.putInt(next);
        far.forEach(out::put);
    }

    private static Entry text(String text) {
        byte[] bytes = (text + '\0').getBytes(StandardCharsets.US_ASCII);
        return new Entry(ASCII, bytes.length, bytes);
    }

    private static Entry shorts(int... values) {
        ByteBuffer out = ByteBuffer.allocate(2 * values.length).order(ByteOrder.LITTLE_ENDIAN);
        for (int value : values) {
            out.putShort((short) value);
        }
        return new Entry(SHORT, values.length, out.array());
    }

    private static Entry longs(int... values) {
        ByteBuffer out = ByteBuffer.allocate(4 * values.length).order(ByteOrder.LITTLE_ENDIAN);
        for (int value : values) {
            out.putInt(value);
        }
        return new Entry(LONG, values.length, out.array());
    }

    private static Entry rationals(int type, double... values) {
        ByteBuffer out = ByteBuffer.allocate(8 * values.length).order(ByteOrder.LITTLE_ENDIAN);
        for (double value : values) {
            out.putInt((int) Math.round(value * PARTS)).putInt(PARTS);
        }
        return new Entry(type, values.length, out.array());
    }
}
