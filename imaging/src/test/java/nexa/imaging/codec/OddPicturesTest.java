package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.Tools;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.preview.PreviewMaker;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures of rare kinds, made by another program: right, or refused with the reason, and what is left out is said. */
class OddPicturesTest {
    private static final PixelSize SIZE = new PixelSize(160, 120);

    @TempDir
    Path folder;

    private Path source() throws IOException {
        Tools.need("convert");
        return TestPhotos.png(folder.resolve("source.png"), SIZE.width(), SIZE.height(), false);
    }

    /** As ImageMagick shows it. */
    @ParameterizedTest
    @CsvSource({
        "grey.png,-colorspace gray -depth 16 -define png:bit-depth=16",
        "grey.tif,-colorspace gray -depth 16",
        "palette.png,-colors 64 -type palette",
        "palette.tif,-colors 64 -type palette",
        "bits.png,-monochrome",
        "fax.tif,-monochrome -compress group4",
        "bits.tif,-monochrome -compress none",
        "interlaced.png,-interlace plane",
        "alpha.tif,-alpha set -channel A -evaluate set 60% -compress zip"
    })
    void rarePixels_areShownRight(String name, String options) throws IOException {
        Path file = folder.resolve(name);
        Tools.run("sh", "-c", "convert " + source() + " " + options + " " + file);
        Path theirs = folder.resolve("theirs.png");
        Tools.run(
                "sh",
                "-c",
                "convert " + file + " -background white -flatten -colorspace sRGB -depth 8 PNG24:" + theirs);
        PhotoFacts facts = facts(file);
        assertEquals(SIZE, facts.asShot());
        try (Picture ours = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 1000);
                Picture plain = ours.plain();
                Picture expected = Decoder.decode(theirs, Reduction.NONE)) {
            assertTrue(TestPhotos.psnr(expected, plain) >= 45, name + ": " + TestPhotos.psnr(expected, plain));
        }
    }

    @ParameterizedTest
    @CsvSource({"lab.tif,-colorspace Lab", "float.tif,-define quantum:format=floating-point -depth 32"})
    void numbersThatAreNotRead_areRefusedAsSuch(String name, String options) throws IOException {
        Path file = folder.resolve(name);
        Tools.run("sh", "-c", "convert " + source() + " " + options + " " + file);
        assertEquals(Probe.unreadable(Trouble.Kind.UNSUPPORTED), PhotoCodecs.STANDARD.probe(file));
    }

    @ParameterizedTest
    @ValueSource(strings = {"moving.gif", "moving.webp"})
    void movingPictures_showTheirFirst_andSaySo(String name) throws IOException {
        Path file = folder.resolve(name);
        Tools.run("sh", "-c", "convert " + source() + " \\( +clone -rotate 180 \\) " + file);
        PhotoFacts facts = facts(file);
        assertTrue(facts.remarks().contains(Remark.FIRST_OF_SEVERAL));
        try (Picture shown = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 1000);
                Picture scene = TestPhotos.scene(SIZE.width(), SIZE.height())) {
            assertTrue(TestPhotos.psnr(scene, shown) > 19, "it is the first");
        }
    }

    @Test
    void jpegWithGainMap_isShownAsItIs_andSaysSo() throws IOException {
        Path file = folder.resolve("bright.jpg");
        try (Picture scene = TestPhotos.scene(SIZE.width(), SIZE.height())) {
            byte[] jpeg = Encoder.plainJpeg(scene, 95);
            byte[] xmp = ("http://ns.adobe.com/xap/1.0/\0<x:xmpmeta xmlns:x='adobe:ns:meta/'>"
                            + "<rdf:RDF xmlns:rdf='http://www.w3.org/1999/02/22-rdf-syntax-ns#'><rdf:Description rdf:about=''"
                            + " xmlns:hdrgm='http://ns.adobe.com/hdr-gain-map/1.0/' hdrgm:Version='1.0'/></rdf:RDF></x:xmpmeta>")
                    .getBytes(StandardCharsets.UTF_8);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            out.write(jpeg, 0, 2);
            out.write(0xFF);
            out.write(0xE1);
            out.write(xmp.length + 2 >> 8);
            out.write(xmp.length + 2);
            out.write(xmp);
            out.write(jpeg, 2, jpeg.length - 2);
            Files.write(file, out.toByteArray());
            assertTrue(facts(file).remarks().contains(Remark.GAIN_MAP));
            try (Picture shown = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts(file), 1000)) {
                assertTrue(TestPhotos.psnr(scene, shown) > 35);
            }
        }
    }
}
