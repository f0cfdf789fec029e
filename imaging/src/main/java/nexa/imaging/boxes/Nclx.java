package nexa.imaging.boxes;

import java.util.Optional;
import java.util.Set;
import nexa.imaging.colour.Profile;

/**
 * How numbers stand for colours, by the code points of ITU-T H.273.
 *
 * @param primaries 1 = BT.709, 9 = BT.2020, 12 = SMPTE EG 432-1
 * @param transfer 13 = sRGB, 16 = PQ, 18 = HLG
 * @param matrix from red, green and blue to what is stored; 0 = as they are, 1 = BT.709, 5 and 6 = BT.601, 9 = BT.2020
 * @param full whether all values are used, not only those that television does
 */
public record Nclx(int primaries, int transfer, int matrix, boolean full) {
    private static final int BT709 = 1;
    private static final int BT2020 = 9;
    private static final int P3 = 12;
    private static final int PQ = 16;
    private static final int HLG = 18;

    /** As they are, unsaid, and luma and chroma by constant weights; not YCgCo, of constant luminance or ICtCp. */
    private static final Set<Integer> MATRICES = Set.of(0, 1, 2, 4, 5, 6, 7, 9);

    /** Whether what is stored can be turned back into red, green and blue here. */
    public static boolean isRead(int matrix) {
        return MATRICES.contains(matrix);
    }

    /** Whether the light of such a picture is meant for screens brighter than white paper. */
    public boolean isHdr() {
        return transfer == PQ || isHlg();
    }

    /** Whether it is so by hybrid log-gamma (ITU-R BT.2100), which is relative to the screen. */
    public boolean isHlg() {
        return transfer == HLG;
    }

    /** One of such primaries with sRGB's curve; empty if there is none. */
    public Optional<Profile> profile() {
        return switch (primaries) {
            case BT709 -> Optional.of(Profile.SRGB);
            case P3 -> Optional.of(Profile.WIDE);
            case BT2020 -> Optional.of(Profile.TELEVISION);
            default -> Optional.empty();
        };
    }
}
