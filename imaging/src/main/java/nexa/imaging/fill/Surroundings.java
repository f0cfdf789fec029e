package nexa.imaging.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import nexa.imaging.pixels.Picture;
import org.bytedeco.opencv.opencv_core.Mat;
import org.jspecify.annotations.Nullable;

/**
 * Where the blank of a picture is copied from, found in a small rendering of it. The same rendering always gives the same.
 *
 * @param offsets for each pixel of the small picture how far away its source is, across and down; of no use in the photo
 * @param lift what is added to a copied pixel's blue, green and red, 0 to 255, so that light goes on evenly
 * @param known whether a pixel of the small picture shows photo
 */
record Surroundings(int width, int height, int[] offsets, float[] lift, boolean[] known) {
    private static final long SEED = 0x4e657861L;

    /** The long side of the smallest picture that is looked at. */
    private static final int COARSEST = 40;

    /** What a blank begins with is mirrored from so near the edge, as a share of the long side: no thing twice. */
    private static final double NEAR = 0.025;

    private static final int COARSE_ROUNDS = 10;
    private static final int FINE_ROUNDS = 3;

    /** Of the lift, in small pixels: only light is evened out, no texture. */
    private static final int EVENED = 5;

    /**
     * Empty if there is too little photo to copy from.
     *
     * @param small what it shows beyond the photo is overwritten: it begins as a mirror, which has the photo's texture
     */
    static Optional<Surroundings> find(Picture small, Mat mask) {
        EdgeFills.mirror(small, mask, NEAR * small.size().longEdge());
        List<Pixels> sizes = new ArrayList<>();
        sizes.add(Pixels.of(small, mask));
        while (Math.max(sizes.getLast().width(), sizes.getLast().height()) > COARSEST) {
            sizes.add(sizes.getLast().halved());
        }
        @Nullable PatchSearch found = null;
        for (Pixels pixels : sizes.reversed()) {
            PatchSearch search = new PatchSearch(pixels, SEED);
            if (search.isPossible()) {
                search(search, found);
                found = search;
            }
        }
        return found != null && found.pixels() == sizes.getFirst() ? Optional.of(of(found)) : Optional.empty();
    }

    private static void search(PatchSearch search, @Nullable PatchSearch coarse) {
        if (coarse == null) {
            search.begin();
        } else {
            search.begin(coarse);
            search.improve(true);
            search.vote();
        }
        int rounds = coarse == null ? COARSE_ROUNDS : FINE_ROUNDS;
        for (int round = 0; round < rounds; round++) {
            search.improve(true);
            search.improve(false);
            search.vote();
        }
    }

    private static Surroundings of(PatchSearch search) {
        Pixels pixels = search.pixels();
        int count = pixels.known().length;
        int[] offsets = new int[2 * count];
        float[] lift = new float[3 * count];
        for (int i = 0; i < count; i++) {
            if (!pixels.known()[i]) {
                int from = search.match(i);
                offsets[2 * i] = from % pixels.width() - i % pixels.width();
                offsets[2 * i + 1] = from / pixels.width() - i / pixels.width();
                for (int c = 0; c < 3; c++) {
                    lift[3 * i + c] = pixels.values()[3 * i + c] - pixels.values()[3 * from + c];
                }
            }
        }
        boolean[] blank = new boolean[count];
        for (int i = 0; i < count; i++) {
            blank[i] = !pixels.known()[i];
        }
        Evened.out(lift, blank, pixels.width(), pixels.height(), EVENED);
        return new Surroundings(pixels.width(), pixels.height(), offsets, lift, pixels.known());
    }
}
