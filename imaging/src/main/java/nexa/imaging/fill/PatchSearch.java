package nexa.imaging.fill;

import java.util.Arrays;

/**
 * Patches of the photo that look like what is around and in the blank, at one size of the picture. What is in the blank so
 * far is an estimate; {@link #vote} makes it better.
 */
final class PatchSearch {
    /** Half a patch's side, without its middle. */
    static final int RADIUS = 3;

    /** How much more a pixel of the photo counts than one that is estimated. */
    private static final float KNOWN = 2;

    private final Pixels pixels;
    private final boolean[] source;
    private final int[] sources;
    private final int[] targets;
    private final int[] match;
    private final float[] distance;
    private long random;

    /** @param seed of the search: the same finds the same */
    PatchSearch(Pixels pixels, long seed) {
        this.pixels = pixels;
        random = seed;
        source = new boolean[pixels.known().length];
        sources = sources();
        targets = targets();
        match = new int[source.length];
        distance = new float[source.length];
        Arrays.fill(distance, Float.MAX_VALUE);
        Arrays.fill(match, -1);
    }

    /** Whether there is any patch to copy from. */
    boolean isPossible() {
        return sources.length > 0;
    }

    Pixels pixels() {
        return pixels;
    }

    /** The middle of the patch that is most like the one about a pixel; -1 where none is looked for. */
    int match(int pixel) {
        return match[pixel];
    }

    /** Patches that lie in the photo as a whole. */
    private int[] sources() {
        int count = 0;
        int[] all = new int[source.length];
        for (int y = RADIUS; y < pixels.height() - RADIUS; y++) {
            for (int x = RADIUS; x < pixels.width() - RADIUS; x++) {
                if (isPhoto(x, y)) {
                    source[y * pixels.width() + x] = true;
                    all[count++] = y * pixels.width() + x;
                }
            }
        }
        return Arrays.copyOf(all, count);
    }

    private boolean isPhoto(int x, int y) {
        for (int dy = -RADIUS; dy <= RADIUS; dy++) {
            for (int dx = -RADIUS; dx <= RADIUS; dx++) {
                if (!pixels.known()[(y + dy) * pixels.width() + x + dx]) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Patches that reach into the blank. */
    private int[] targets() {
        int count = 0;
        int[] all = new int[source.length];
        for (int y = 0; y < pixels.height(); y++) {
            for (int x = 0; x < pixels.width(); x++) {
                if (reachesBlank(x, y)) {
                    all[count++] = y * pixels.width() + x;
                }
            }
        }
        return Arrays.copyOf(all, count);
    }

    private boolean reachesBlank(int x, int y) {
        for (int dy = -RADIUS; dy <= RADIUS; dy++) {
            for (int dx = -RADIUS; dx <= RADIUS; dx++) {
                if (pixels.has(x + dx, y + dy) && !pixels.known()[(y + dy) * pixels.width() + x + dx]) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Matches anywhere. */
    void begin() {
        for (int target : targets) {
            match[target] = sources[next(sources.length)];
        }
    }

    /** Matches where those of a picture half as large are. */
    void begin(PatchSearch coarse) {
        int half = coarse.pixels.width();
        for (int target : targets) {
            int x = target % pixels.width();
            int y = target / pixels.width();
            int above = Math.min(coarse.pixels.height() - 1, y / 2) * half + Math.min(half - 1, x / 2);
            int found = coarse.match[above];
            int at = found < 0
                    ? -1
                    : nearestSource(
                            x + 2 * (found % half - Math.min(half - 1, x / 2)),
                            y + 2 * (found / half - Math.min(coarse.pixels.height() - 1, y / 2)));
            match[target] = at < 0 ? sources[next(sources.length)] : at;
        }
    }

    private int nearestSource(int x, int y) {
        int cx = Math.clamp(x, RADIUS, Math.max(RADIUS, pixels.width() - 1 - RADIUS));
        int cy = Math.clamp(y, RADIUS, Math.max(RADIUS, pixels.height() - 1 - RADIUS));
        for (int off = 0; off <= 2; off++) {
            for (int dy = -off; dy <= off; dy++) {
                for (int dx = -off; dx <= off; dx++) {
                    int at = (cy + dy) * pixels.width() + cx + dx;
                    if (pixels.has(cx + dx, cy + dy) && source[at]) {
                        return at;
                    }
                }
            }
        }
        return -1;
    }

    /** One pass over all patches, forwards or backwards: each tries its neighbours' offsets, and places at random ever nearer. */
    void improve(boolean forwards) {
        int step = forwards ? 1 : -1;
        for (int i = 0; i < targets.length; i++) {
            int target = targets[forwards ? i : targets.length - 1 - i];
            int x = target % pixels.width();
            int y = target / pixels.width();
            distance[target] = distance(x, y, match[target], Float.MAX_VALUE);
            tryNeighbour(target, x, y, x - step, y);
            tryNeighbour(target, x, y, x, y - step);
            tryRandomly(target, x, y);
        }
    }

    private void tryNeighbour(int target, int x, int y, int nx, int ny) {
        if (pixels.has(nx, ny)) {
            int theirs = match[ny * pixels.width() + nx];
            if (theirs >= 0) {
                tryAt(target, x, y, theirs % pixels.width() + x - nx, theirs / pixels.width() + y - ny);
            }
        }
    }

    private void tryRandomly(int target, int x, int y) {
        for (int reach = Math.max(pixels.width(), pixels.height()); reach >= 1; reach /= 2) {
            int mx = match[target] % pixels.width();
            int my = match[target] / pixels.width();
            tryAt(target, x, y, mx + next(2 * reach + 1) - reach, my + next(2 * reach + 1) - reach);
        }
    }

    private void tryAt(int target, int x, int y, int sx, int sy) {
        if (pixels.has(sx, sy) && source[sy * pixels.width() + sx]) {
            int candidate = sy * pixels.width() + sx;
            float found = distance(x, y, candidate, distance[target]);
            if (found < distance[target]) {
                distance[target] = found;
                match[target] = candidate;
            }
        }
    }

    /** The mean of the squared differences of two patches, where the one is in the picture; gives up beyond the least so far. */
    private float distance(int x, int y, int from, float least) {
        int left = Math.max(-RADIUS, -x);
        int right = Math.min(RADIUS, pixels.width() - 1 - x);
        int top = Math.max(-RADIUS, -y);
        int bottom = Math.min(RADIUS, pixels.height() - 1 - y);
        float[] values = pixels.values();
        boolean[] known = pixels.known();
        float count = (right - left + 1) * (bottom - top + 1);
        float most = least == Float.MAX_VALUE ? least : least * count * 3;
        float sum = 0;
        for (int dy = top; dy <= bottom; dy++) {
            int to = (y + dy) * pixels.width() + x + left;
            int at = from + dy * pixels.width() + left;
            for (int dx = left; dx <= right; dx++, to++, at++) {
                float blue = values[to * 3] - values[at * 3];
                float green = values[to * 3 + 1] - values[at * 3 + 1];
                float red = values[to * 3 + 2] - values[at * 3 + 2];
                float square = blue * blue + green * green + red * red;
                sum += known[to] ? KNOWN * square : square;
            }
            if (sum > most) {
                return Float.MAX_VALUE;
            }
        }
        return sum / (count * 3);
    }

    /** Each estimated pixel becomes what the patches over it say, those that fit better the more. */
    void vote() {
        float[] sums = new float[pixels.values().length];
        float[] weights = new float[source.length];
        float usual = usualDistance();
        for (int target : targets) {
            float weight = 1 / (1 + distance[target] / usual);
            vote(target, weight * weight, sums, weights);
        }
        for (int i = 0; i < weights.length; i++) {
            if (weights[i] > 0) {
                for (int c = 0; c < 3; c++) {
                    pixels.values()[i * 3 + c] = sums[i * 3 + c] / weights[i];
                }
            }
        }
    }

    private void vote(int target, float weight, float[] sums, float[] weights) {
        int x = target % pixels.width();
        int y = target / pixels.width();
        for (int dy = Math.max(-RADIUS, -y); dy <= Math.min(RADIUS, pixels.height() - 1 - y); dy++) {
            for (int dx = Math.max(-RADIUS, -x); dx <= Math.min(RADIUS, pixels.width() - 1 - x); dx++) {
                int to = (y + dy) * pixels.width() + x + dx;
                if (!pixels.known()[to]) {
                    int at = match[target] + dy * pixels.width() + dx;
                    weights[to] += weight;
                    for (int c = 0; c < 3; c++) {
                        sums[to * 3 + c] += weight * pixels.values()[at * 3 + c];
                    }
                }
            }
        }
    }

    private float usualDistance() {
        double sum = 0;
        for (int target : targets) {
            sum += Math.min(distance[target], 255f * 255);
        }
        return (float) Math.max(1, sum / Math.max(1, targets.length));
    }

    /** xorshift64 (G. Marsaglia, 2003): the same on every machine. */
    private int next(int bound) {
        random ^= random << 13;
        random ^= random >>> 7;
        random ^= random << 17;
        return (int) Math.floorMod(random, (long) bound);
    }
}
