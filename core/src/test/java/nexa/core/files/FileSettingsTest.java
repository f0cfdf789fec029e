package nexa.core.files;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.stream.Stream;
import nexa.core.Cases;
import nexa.core.files.Description.Keep;
import nexa.core.files.Finish.Sharpening;
import nexa.core.files.Packing.Chroma;
import nexa.core.files.Packing.Compression;
import nexa.core.files.Packing.Depth;
import nexa.core.fill.Fill;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class FileSettingsTest {
    private static final String[] TEXTS = {
        "", "Anna", "Fennick; Kiln", "the \"blue\" pot", "\"", "©; 300 ppi", "é – ü", "\"\";\""
    };

    static Stream<FileSettings> settings() {
        return Cases.some(300).map(FileSettingsTest::any);
    }

    private static FileSettings any(Cases cases) {
        return new FileSettings(
                one(cases, FileType.values()),
                1 + cases.below(100),
                one(
                                cases,
                                DeliveredColour.KEEP,
                                DeliveredColour.SRGB,
                                DeliveredColour.profile("/a; \"b\"/lab paper.icc"))
                        .converted(new Conversion(one(cases, Conversion.Intent.values()), cases.below(2) == 0)),
                new Packing(
                        cases.below(3) * 450,
                        one(cases, Chroma.values()),
                        cases.below(2) == 0,
                        one(cases, Depth.values()),
                        one(cases, Compression.values()),
                        cases.below(2) == 0),
                new Finish(
                        one(cases, Sharpening.values()),
                        1 + cases.below(300),
                        cases.below(2) * 300,
                        100 + cases.below(2) * 50),
                new Description(
                        one(cases, Keep.values()),
                        cases.below(2) == 0,
                        one(cases, TEXTS),
                        one(cases, TEXTS),
                        one(cases, TEXTS)),
                one(
                        cases,
                        Fill.WHITE,
                        new Fill.Colour(cases.below(256), 7, 255),
                        new Fill.Transparent(),
                        new Fill.Mirror(),
                        new Fill.Stretch(Fill.Stretch.USUAL),
                        new Fill.Stretch(0.235),
                        new Fill.Blurred(),
                        new Fill.Surroundings()),
                cases.below(101));
    }

    @SafeVarargs
    private static <T> T one(Cases cases, T... values) {
        return values[cases.below(values.length)];
    }

    @ParameterizedTest
    @MethodSource("settings")
    void text_isReadBack(FileSettings settings) {
        assertEquals(settings, FileSettings.parse(settings.text()));
    }

    @Test
    void text_ofTheUsual_isShort() {
        assertEquals("jpeg 92", FileSettings.DEFAULT.text());
    }

    @Test
    void parse_asAPersonWrites() {
        FileSettings files = FileSettings.parse(
                "JPEG 85 srgb ;at most 500 KB; Progressive; sharpened for MATT; 300 PPI; keep credit;"
                        + " no place; Creator \"Anna\";");
        assertEquals(
                new FileSettings(FileType.JPEG, 85, DeliveredColour.SRGB)
                        .packed(Packing.DEFAULT.atMost(500).progressive(true))
                        .finished(Finish.DEFAULT.sharpened(Sharpening.MATT, 100).tagged(300))
                        .described(
                                Description.DEFAULT.keeping(Keep.CREDIT, true).saying("Anna", "", "")),
                files);
    }

    @Test
    void parse_waysOfConversion_inAnyOrder() {
        assertEquals(
                DeliveredColour.profile("/ink.icc").converted(new Conversion(Conversion.Intent.RELATIVE, true)),
                FileSettings.parse("tiff profile \"/ink.icc\"; Black stays black; relative intent")
                        .colour());
    }

    @Test
    void keptColours_haveNoWayOfConversion() {
        assertEquals(
                DeliveredColour.KEEP,
                FileSettings.parse("tiff; relative intent").colour());
    }

    @Test
    void parse_withoutQuality_takesTheUsual() {
        assertEquals(new FileSettings(FileType.PNG, 92), FileSettings.parse(" PNG "));
    }

    @ParameterizedTest
    @CsvSource({
        "jpeg 80 srgb, jpeg 80 srgb",
        "webp 70, webp 70",
        "png 80, png",
        "tiff 80 srgb; lzw compression, tiff srgb; lzw compression"
    })
    void textToRead_hasAQualityWhereTheTypeHasOne(String text, String toRead) {
        FileSettings files = FileSettings.parse(text);
        assertEquals(toRead, files.textToRead());
        assertEquals(text, files.text(), "what is stored keeps it");
    }

    /** As briefs have it that an earlier version wrote. */
    @ParameterizedTest
    @ValueSource(strings = {"png 92 profile /a folder/lab; paper.icc", "png profile /a folder/lab; paper.icc"})
    void parse_profileWithoutQuotes(String text) {
        assertEquals(
                DeliveredColour.profile("/a folder/lab; paper.icc"),
                FileSettings.parse(text).colour());
    }

    @Test
    void parse_coloursWithoutQuality() {
        assertEquals(FileSettings.DEFAULT.coloured(DeliveredColour.SRGB), FileSettings.parse("jpeg sRGB"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                ";",
                "jpeg 90 blue",
                "jpeg 90 profile",
                "jpeg 90 srgb /a.icc",
                "gif",
                "jpeg 0",
                "jpeg 101",
                "jpeg much",
                "jpeg 90; nonsense",
                "jpeg 90; at most 0.5 kB",
                "jpeg 90; at most 999999999 kB",
                "jpeg 90; sharpened for canvas",
                "jpeg 90; sharpened for matt 0 %",
                "jpeg 90; enlarged up to 500 %",
                "jpeg 90; 9999 ppi",
                "jpeg 90; creator \"Anna",
                "jpeg 90; creator \"An\"na\"",
                "jpeg 90; creator Anna"
            })
    void parse_anythingElse_isRefusedWithWords(String text) {
        assertThrows(IllegalArgumentException.class, () -> FileSettings.parse(text));
    }

    @Test
    void clausesBehindABareProfile_areClauses() {
        FileSettings files = FileSettings.parse("jpeg 92 profile /x.icc; no place; at most 300 kB");
        assertEquals("/x.icc", files.colour().file());
        assertEquals(true, files.description().dropsPlace());
        assertEquals(300, files.packing().mostKilobytes());
        assertEquals(
                "/a; b/x.icc",
                FileSettings.parse("jpeg 92 profile /a; b/x.icc").colour().file());
    }

    @Test
    void longCaptions_areReadBack() {
        for (String text : new String[] {"x".repeat(2000), "\"".repeat(1990) + "; x", "a\"; ".repeat(400)}) {
            FileSettings files = FileSettings.DEFAULT.described(Description.DEFAULT.saying("", "", text));
            assertEquals(files, FileSettings.parse(files.text()));
        }
    }
}
