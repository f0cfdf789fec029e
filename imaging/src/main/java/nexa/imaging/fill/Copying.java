package nexa.imaging.fill;

import java.nio.ByteBuffer;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * Copies a picture's own pixels along offsets that were found in a small one. Between the small picture's pixels up to four
 * copies are mixed; where they come from one place they are one copy, as sharp as the photo.
 */
final class Copying {
    private final Samples samples;
    private final ByteBuffer mask;
    private final Surroundings found;
    private final int width;
    private final int height;
    private final int channels;
    private final int most;
    private final double scaleX;
    private final double scaleY;
    private final float[] sum = new float[3];

    private Copying(Picture picture, ByteBuffer mask, Surroundings found) {
        samples = Samples.of(picture);
        this.mask = mask;
        this.found = found;
        width = picture.mat().cols();
        height = picture.mat().rows();
        channels = picture.channels();
        most = picture.bits() == 16 ? 65535 : 255;
        scaleX = (double) width / found.width();
        scaleY = (double) height / found.height();
    }

    /** Whether all of the blank is filled; what is, is marked in the mask. */
    static boolean into(Picture picture, Mat mask, Surroundings found) {
        ByteBuffer bytes = mask.createBuffer();
        Copying copying = new Copying(picture, bytes, found);
        boolean all = true;
        ByteBuffer filled = ByteBuffer.allocate(bytes.capacity());
        for (int y = 0; y < copying.height; y++) {
            for (int x = 0; x < copying.width; x++) {
                int at = y * copying.width + x;
                if (bytes.get(at) == 0) {
                    boolean done = copying.fill(x, y);
                    filled.put(at, (byte) (done ? 255 : 0));
                    all &= done;
                }
            }
        }
        for (int at = 0; at < filled.capacity() && !all; at++) {
            if (filled.get(at) != 0) {
                bytes.put(at, (byte) 255);
            }
        }
        return all;
    }

    private boolean fill(int x, int y) {
        double smallX = (x + 0.5) / scaleX - 0.5;
        double smallY = (y + 0.5) / scaleY - 0.5;
        int left = (int) Math.floor(smallX);
        int top = (int) Math.floor(smallY);
        sum[0] = 0;
        sum[1] = 0;
        sum[2] = 0;
        float weights = 0;
        for (int node = 0; node < 4; node++) {
            int nx = Math.clamp(left + node % 2, 0, found.width() - 1);
            int ny = Math.clamp(top + node / 2, 0, found.height() - 1);
            double weight = (1 - Math.abs(smallX - left - node % 2)) * (1 - Math.abs(smallY - top - node / 2));
            weights += add(x, y, ny * found.width() + nx, (float) weight);
        }
        for (int reach = 1; weights == 0 && reach <= 3; reach++) {
            weights += addNear(x, y, (int) Math.round(smallX), (int) Math.round(smallY), reach);
        }
        put(x, y, weights);
        return weights > 0;
    }

    private float addNear(int x, int y, int smallX, int smallY, int reach) {
        for (int ny = Math.max(0, smallY - reach); ny <= Math.min(found.height() - 1, smallY + reach); ny++) {
            for (int nx = Math.max(0, smallX - reach); nx <= Math.min(found.width() - 1, smallX + reach); nx++) {
                float added = add(x, y, ny * found.width() + nx, 1);
                if (added > 0) {
                    return added;
                }
            }
        }
        return 0;
    }

    /** The weight, if a node says where to copy from; 0 if it is in the photo itself. */
    private float add(int x, int y, int node, float weight) {
        if (found.known()[node] || weight <= 0) {
            return 0;
        }
        int fromX = x + (int) Math.round(found.offsets()[2 * node] * scaleX);
        int fromY = y + (int) Math.round(found.offsets()[2 * node + 1] * scaleY);
        boolean inside = fromX >= 0 && fromY >= 0 && fromX < width && fromY < height;
        if (!inside || mask.get(fromY * width + fromX) == 0) {
            return 0;
        }
        long at = ((long) fromY * width + fromX) * channels;
        float unit = most / 255f;
        for (int c = 0; c < Math.min(3, channels); c++) {
            float lift = found.lift()[3 * node + (channels < 3 ? 1 : c)];
            sum[c] += weight * (samples.get(at + c) + unit * lift);
        }
        return weight;
    }

    private void put(int x, int y, float weights) {
        long to = ((long) y * width + x) * channels;
        for (int c = 0; c < Math.min(3, channels) && weights > 0; c++) {
            samples.put(to + c, (int) Math.clamp(Math.round(sum[c] / weights), 0, most));
        }
        if (channels == 4) {
            samples.put(to + 3, most);
        }
    }
}
