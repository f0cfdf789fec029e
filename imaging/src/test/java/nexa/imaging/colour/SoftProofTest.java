package nexa.imaging.colour;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import nexa.core.files.Conversion;
import nexa.core.files.Conversion.Intent;
import nexa.imaging.InkMaker;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.Raster;
import org.junit.jupiter.api.Test;

class SoftProofTest {
    private static final int SEA_GREEN = 0xFF00E060;
    private static final int BLACK = 0xFF000000;
    private static final int WHITE = 0xFFFFFFFF;
    private static final int CLAY = 0xFFB08870;

    private static Profile press() {
        return Profile.of(InkMaker.profile()).orElseThrow();
    }

    private static Raster picture(int... argb) {
        return new Raster(argb.length, 1, argb);
    }

    private static void assertClose(int wished, int argb, int most) {
        for (int shift = 0; shift < 32; shift += 8) {
            assertEquals(wished >> shift & 0xFF, argb >> shift & 0xFF, most, Integer.toHexString(argb));
        }
    }

    @Test
    void whatThePressReaches_looksAsItIs() throws IOException {
        SoftProof proof = SoftProof.of(Profile.SRGB, press(), new Conversion(Intent.RELATIVE, false));
        SoftProof.Proofed proofed = proof.of(picture(CLAY, WHITE));
        assertClose(CLAY, proofed.raster().argb()[0], 4);
        assertClose(WHITE, proofed.raster().argb()[1], 2);
        assertEquals(0, proofed.share());
    }

    @Test
    void blackOfInk_isNoBlackOfAScreen_butIsNoColourThatCantBePrinted() throws IOException {
        SoftProof proof = SoftProof.of(Profile.SRGB, press(), new Conversion(Intent.RELATIVE, true));
        SoftProof.Proofed proofed = proof.of(picture(BLACK));
        double y = Math.pow((InkMaker.lab(new double[] {1, 1, 1, 1})[0] + 16) / 116, 3);
        int grey = (int) Math.round(255 * (1.055 * Math.pow(y, 1 / 2.4) - 0.055));
        assertClose(0xFF << 24 | grey << 16 | grey << 8 | grey, proofed.raster().argb()[0], 4);
        assertEquals(0, proofed.share());
    }

    @Test
    void whatCantBePrinted_liesUnderAVeil_andIsCounted() throws IOException {
        SoftProof proof = SoftProof.of(Profile.SRGB, press(), new Conversion(Intent.RELATIVE, true));
        SoftProof.Proofed proofed = proof.of(picture(SEA_GREEN, CLAY, CLAY, CLAY));
        assertEquals(0.25, proofed.share());
        int veiled = proofed.raster().argb()[0];
        for (int shift = 0; shift < 24; shift += 8) {
            assertEquals(0x80, veiled >> shift & 0xFF, 40, Integer.toHexString(veiled));
        }
    }

    @Test
    void absolute_showsThePaper() throws IOException {
        SoftProof proof = SoftProof.of(Profile.SRGB, press(), new Conversion(Intent.ABSOLUTE, false));
        int paper = proof.of(picture(WHITE)).raster().argb()[0];
        int red = paper >> 16 & 0xFF;
        int blue = paper & 0xFF;
        assertTrue(red < 250 && blue < red - 3, Integer.toHexString(paper) + " is a cream");
    }

    @Test
    void narrowerScreens_areProofedToo() throws IOException {
        SoftProof proof = SoftProof.of(Profile.WIDE, Profile.SRGB, Conversion.DEFAULT);
        SoftProof.Proofed proofed = proof.of(picture(0xFF00FF00, CLAY));
        assertEquals(0.5, proofed.share());
        assertEquals(
                0,
                SoftProof.of(Profile.SRGB, Profile.SRGB, Conversion.DEFAULT)
                        .of(picture(SEA_GREEN))
                        .share());
    }

    @Test
    void whatIsNotOpaque_stays() throws IOException {
        SoftProof proof = SoftProof.of(Profile.SRGB, press(), Conversion.DEFAULT);
        assertEquals(0, proof.of(picture(0)).raster().argb()[0]);
    }

    @Test
    void profileThatLeadsOnlyFromInks_isRefused() {
        Profile oneWay = Profile.of(InkMaker.profile(false)).orElseThrow();
        assertThrows(ToldException.class, () -> SoftProof.of(Profile.SRGB, oneWay, Conversion.DEFAULT));
    }
}
