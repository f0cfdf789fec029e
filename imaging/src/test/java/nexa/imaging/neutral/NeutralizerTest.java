package nexa.imaging.neutral;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC1;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC3;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import nexa.core.geometry.Point;
import nexa.core.lineup.ResultLight;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.Receptors;
import nexa.core.neutral.White;
import nexa.imaging.colour.LinearRgb;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.ToneTable;
import nexa.imaging.neutral.GreySpot.Doubt;
import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.indexer.Indexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NeutralizerTest {
    private static Picture even(int type, double blue, double green, double red) {
        return new Picture(new Mat(20, 30, type, new Scalar(blue, green, red, 77)));
    }

    private static double value(Picture picture, int channel) {
        try (Indexer values = picture.mat().createIndexer()) {
            return values.getDouble(10, 15, channel);
        }
    }

    /** A grey under some light, as stored values of a profile. */
    private static Picture grey(White light, Optional<Profile> profile, int bits) {
        ToneTable tones = new ToneTable(bits, profile);
        double[] rgb = LinearRgb.of(profile).ofWhite(light.x(), light.y());
        int type = bits == 16 ? CV_16UC3 : CV_8UC3;
        return even(type, tones.toValue(0.2 * rgb[2]), tones.toValue(0.2 * rgb[1]), tones.toValue(0.2 * rgb[0]));
    }

    @ParameterizedTest
    @ValueSource(ints = {2856, 3200, 4200, 5003, 5503, 7500, 9500, 12000})
    void aGreyPickedUnderALight_comesOutGrey(int kelvin) {
        for (Optional<Profile> profile : java.util.List.of(Optional.<Profile>empty(), Optional.of(Profile.WIDE))) {
            for (int bits : new int[] {8, 16}) {
                White light = White.of(kelvin, kelvin % 7 - 3);
                try (Picture grey = grey(light, profile, bits)) {
                    GreySpot spot = GreySpot.at(grey, profile, 15, 10, 3);
                    assertEquals(Doubt.NONE, spot.doubt());
                    assertTrue(spot.white().distance(light) < (bits == 8 ? 0.004 : 1e-4));
                    new Neutralizer(Neutral.AS_FILED.picked(spot.white(), Point.ORIGIN), PictureLight.of(profile))
                            .apply(grey);
                    double most = bits == 8 ? 1 : 12;
                    assertEquals(value(grey, 1), value(grey, 0), most);
                    assertEquals(value(grey, 1), value(grey, 2), most);
                    double expected = new ToneTable(bits, profile).toValue(0.2);
                    assertEquals(expected, value(grey, 1), 2 * most);
                }
            }
        }
    }

    @Test
    void stops_doubleTheLight_alsoOfGreyPictures() {
        ToneTable tones = new ToneTable(8, Optional.empty());
        Neutral lighter = Neutral.AS_FILED.withStops(1);
        try (Picture colour = even(CV_8UC3, 60, 90, 120);
                Picture grey = even(CV_8UC1, 90, 90, 90)) {
            new Neutralizer(lighter, PictureLight.of(Optional.empty())).apply(colour);
            new Neutralizer(lighter, PictureLight.of(Optional.empty())).apply(grey);
            int expected = tones.toValue(2 * tones.toLight(90));
            assertEquals(expected, value(colour, 1), 1);
            assertEquals(expected, value(grey, 0), 1);
        }
    }

    /** What is pulled in has the wanted light, whatever neutral it had. */
    @Test
    void pulledIn_aResultHasTheWantedLight() {
        for (int kelvin : new int[] {3000, 5000, 9000}) {
            try (Picture result = even(CV_16UC3, 9000, 15000, 21000);
                    Picture again = even(CV_16UC3, 9000, 15000, 21000)) {
                Neutral before = Neutral.AS_FILED.withWhite(White.of(kelvin, 2)).withStops(-0.3);
                new Neutralizer(before, PictureLight.of(Optional.empty())).apply(result);
                ResultLight now = LightMeter.of(result, Optional.empty());
                ResultLight wanted = new ResultLight(0.11, White.of(6000, 1));
                new Neutralizer(
                                LightMeter.pulled(before, now, wanted, Receptors.EYE),
                                PictureLight.of(Optional.empty()))
                        .apply(again);
                ResultLight after = LightMeter.of(again, Optional.empty());
                assertEquals(wanted.luminance(), after.luminance(), 0.003);
                assertTrue(after.neutral().distance(wanted.neutral()) < 0.002, after.toString());
            }
        }
    }

    @Test
    void transparency_andWhatIsAsFiled_stay() {
        try (Picture clear = even(CV_8UC4, 60, 90, 120);
                Picture same = even(CV_8UC3, 60, 90, 120)) {
            new Neutralizer(Neutral.AS_FILED.withWhite(White.of(3000, 0)), PictureLight.of(Optional.empty()))
                    .apply(clear);
            assertEquals(77, value(clear, 3));
            assertTrue(value(clear, 0) > 60, "a warm light's picture gets bluer");
            new Neutralizer(Neutral.AS_FILED, PictureLight.of(Optional.empty())).apply(same);
            assertEquals(60, value(same, 0));
        }
    }

    @Test
    void badPlaces_areRefusedOrDoubted() {
        assertEquals(Doubt.CLIPPED, doubt(even(CV_8UC3, 200, 240, 255)));
        assertEquals(Doubt.DARK, doubt(even(CV_8UC3, 5, 5, 5)));
        assertEquals(Doubt.GREY_PICTURE, doubt(even(CV_8UC1, 90, 90, 90)));
        assertEquals(Doubt.COLOURED, doubt(even(CV_8UC3, 40, 60, 200)));
        Picture edge = even(CV_8UC3, 60, 60, 60);
        edge.mat().colRange(15, 30).put(Scalar.all(200));
        assertEquals(Doubt.UNEVEN, doubt(edge));
        assertTrue(Doubt.CLIPPED.refuses() && !Doubt.COLOURED.refuses());
    }

    private static Doubt doubt(Picture picture) {
        try (picture) {
            return GreySpot.at(picture, Optional.empty(), 15, 10, 3).doubt();
        }
    }
}
