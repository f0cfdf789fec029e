package nexa.imaging.render;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.IntBuffer;
import java.util.Random;
import org.junit.jupiter.api.Test;

class VeilTest {
    private static final int WIDTH = 61;
    private static final int HEIGHT = 17;

    private static int channel(int pixel, int shift) {
        return pixel >>> shift & 0xFF;
    }

    private static IntBuffer veiled(int[] picture, int veil) {
        IntBuffer to = IntBuffer.allocate(WIDTH * HEIGHT);
        new Veil(veil).over(IntBuffer.wrap(picture), to, WIDTH, HEIGHT);
        return to;
    }

    /** The definition: what is left of the picture, and of the colour as much as there is picture. */
    @Test
    void over_anyPictureAndColour_isTheMixWithinOne() {
        Random random = new Random(5);
        for (int round = 0; round < 200; round++) {
            int veil = random.nextInt();
            int[] picture = new int[WIDTH * HEIGHT];
            for (int i = 0; i < picture.length; i++) {
                int opacity = random.nextInt(4) == 0 ? random.nextInt(256) : 255;
                picture[i] = opacity << 24
                        | random.nextInt(opacity + 1) << 16
                        | random.nextInt(opacity + 1) << 8
                        | random.nextInt(opacity + 1);
            }
            IntBuffer mixed = veiled(picture, veil);
            double share = channel(veil, 24) / 255.0;
            for (int i = 0; i < picture.length; i++) {
                assertEquals(channel(picture[i], 24), channel(mixed.get(i), 24));
                for (int shift = 0; shift <= 16; shift += 8) {
                    double there = channel(picture[i], 24) / 255.0;
                    double expected = channel(picture[i], shift) * (1 - share) + channel(veil, shift) * share * there;
                    assertEquals(expected, channel(mixed.get(i), shift), 1.001);
                }
            }
        }
    }

    @Test
    void over_nothing_isNothing_andWhiteUnderWhiteStaysWhite() {
        int[] picture = new int[WIDTH * HEIGHT];
        picture[3] = 0xFFFFFFFF;
        picture[4] = 0xFF000000;
        for (int opacity = 0; opacity < 256; opacity++) {
            IntBuffer mixed = veiled(picture, opacity << 24 | 0xFFFFFF);
            assertEquals(0, mixed.get(2));
            assertEquals(0xFFFFFFFF, mixed.get(3));
            assertEquals(opacity, channel(mixed.get(4), 16));
        }
    }

    @Test
    void over_intoTheSamePixels_isTheSame() {
        int[] picture = new Random(6)
                .ints(WIDTH * HEIGHT)
                .map(pixel -> pixel | 0xFF000000)
                .toArray();
        IntBuffer here = IntBuffer.wrap(picture.clone());
        new Veil(0x80336699).over(here, here, WIDTH, HEIGHT);
        assertEquals(veiled(picture, 0x80336699), here);
    }
}
