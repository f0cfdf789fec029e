package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.nio.ByteBuffer;
import nexa.core.geometry.PixelSize;
import org.jspecify.annotations.Nullable;

/**
 * What the codestream of a JPEG XL picture says before its pixels: the size header and the image header up to its colours
 * (ISO/IEC 18181-1, annex D).
 *
 * @param stored before it is turned
 * @param orientation how it is turned and mirrored, as EXIF numbers it
 * @param nclx what the numbers mean, by H.273's code points; null if a profile says it, or points of its own
 * @param hasAlpha whether it says how transparent it is
 * @param isOfInks whether black comes beside its three colours, which are cyan, magenta and yellow then
 */
record JxlHeader(
        PixelSize stored, int orientation, @Nullable Nclx nclx, boolean hasAlpha, boolean isOfInks) {
    /** What a codestream begins with. */
    static final int MARKER = 0xFF0A;

    private static final int GREY = 1;
    private static final int OTHER_SPACE = 2;
    private static final int OF_ITS_OWN = 2;
    private static final int ALPHA = 0;
    private static final int SPOT = 2;
    private static final int BLACK = 4;
    private static final int FILTERED = 5;

    /** @throws ImageProcessingException if it is none */
    static JxlHeader read(ByteBuffer stream) throws ImageProcessingException {
        if ((stream.getShort() & 0xFFFF) != MARKER) {
            throw new ImageProcessingException("no codestream");
        }
        return new Reader(new LowBits(stream)).header();
    }

    /** Reads on, as far as its bytes go. */
    private static final class Reader {
        private final LowBits in;
        private boolean hasAlpha;
        private boolean isOfInks;

        Reader(LowBits in) {
            this.in = in;
        }

        JxlHeader header() {
            PixelSize size = size();
            if (in.flag()) { // all is usual
                return new JxlHeader(size, 1, null, false, false);
            }
            boolean saysMore = in.flag();
            int orientation = saysMore ? in.bits(3) + 1 : 1;
            Nclx nclx = colours(saysMore);
            return new JxlHeader(size, orientation, nclx, hasAlpha, isOfInks);
        }

        /** Null also where they can't be reached: something rare, or much, comes before them. */
        private @Nullable Nclx colours(boolean saysMore) {
            try {
                if (saysMore) {
                    if (in.flag()) {
                        size(); // as which it is meant to be seen
                    }
                    if (in.bits(2) != 0) { // a small picture, or it moves
                        return null;
                    }
                }
                depth();
                in.flag();
                int channels = number(0, 0, 1, 0, 2, 4, 1, 12);
                for (int i = 0; i < channels; i++) {
                    channel();
                }
                in.flag();
                return encoding();
            } catch (IndexOutOfBoundsException beyond) { // longer than what was read
                return null;
            }
        }

        private PixelSize size() {
            boolean small = in.flag();
            int height = side(small);
            int ratio = in.bits(3);
            long width =
                    switch (ratio) {
                        case 1 -> height;
                        case 2 -> height * 12L / 10;
                        case 3 -> height * 4L / 3;
                        case 4 -> height * 3L / 2;
                        case 5 -> height * 16L / 9;
                        case 6 -> height * 5L / 4;
                        case 7 -> height * 2L;
                        default -> side(small);
                    };
            return new PixelSize(Math.toIntExact(width), height);
        }

        private int side(boolean small) {
            return small ? 8 * (in.bits(5) + 1) : number(1, 9, 1, 13, 1, 18, 1, 30);
        }

        /** One of four, by two bits: something added to some bits (U32, annex B.2.2). */
        private int number(int... addedAndBits) {
            int which = in.bits(2);
            return addedAndBits[2 * which] + in.bits(addedAndBits[2 * which + 1]);
        }

        private int code() {
            return number(0, 0, 1, 0, 2, 4, 18, 6);
        }

        private void depth() {
            if (in.flag()) {
                number(32, 0, 16, 0, 24, 0, 1, 6);
                in.bits(4);
            } else {
                number(8, 0, 10, 0, 12, 0, 1, 6);
            }
        }

        /** One beside the colours. */
        private void channel() {
            if (in.flag()) { // plain alpha
                hasAlpha = true;
                return;
            }
            int type = code();
            hasAlpha |= type == ALPHA;
            isOfInks |= type == BLACK;
            depth();
            number(0, 0, 3, 0, 4, 0, 1, 3);
            skip(Byte.SIZE * number(0, 0, 0, 4, 16, 5, 48, 10)); // its name
            switch (type) {
                case ALPHA -> in.flag();
                case SPOT -> skip(64);
                case FILTERED -> number(1, 0, 0, 2, 3, 4, 19, 8);
                default -> {}
            }
        }

        private void skip(int bits) {
            for (int i = 0; i < bits; i += Byte.SIZE) {
                in.bits(Byte.SIZE);
            }
        }

        private @Nullable Nclx encoding() {
            if (in.flag()) { // sRGB
                return null;
            }
            boolean isProfile = in.flag();
            int space = code();
            if (isProfile || space == OTHER_SPACE) {
                return null;
            }
            int white = code();
            int primaries = space == GREY || white == OF_ITS_OWN ? 1 : code();
            boolean isGamma = white == OF_ITS_OWN || primaries == OF_ITS_OWN || in.flag();
            return isGamma ? null : new Nclx(codePoint(primaries), code(), 0, true);
        }

        /** H.273's, from which only that of P3 differs. */
        private static int codePoint(int primaries) {
            return primaries == 11 ? 12 : primaries;
        }
    }
}
