package nexa.shoot.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.print.SizeTarget;
import nexa.core.space.Pose;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.RunControl;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Delivered files as programs of others see them: exiftool and ImageMagick, where they are installed. */
class ForeignToolsTest {
    private static final String XMP = """
            <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
            <rdf:Description rdf:about="" xmlns:tiff="http://ns.adobe.com/tiff/1.0/"
              xmlns:exif="http://ns.adobe.com/exif/1.0/" xmlns:xmp="http://ns.adobe.com/xap/1.0/"
              xmlns:photoshop="http://ns.adobe.com/photoshop/1.0/" tiff:Orientation="6" xmp:Rating="4"
              exif:GPSLatitude="51,30.0N" photoshop:City="Aldermoor" photoshop:Credit="Fennick Kiln"/>
            </rdf:RDF></x:xmpmeta>""";

    @TempDir
    Path base;

    private TestShoot test;

    @BeforeAll
    static void toolsAreThere() {
        assumeTrue(prints("exiftool", "-ver").isPresent(), "exiftool is not installed");
        assumeTrue(prints("identify", "-version").isPresent(), "ImageMagick is not installed");
    }

    private static Optional<String> prints(String... command) {
        try {
            Process process = new ProcessBuilder(command).start();
            String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            return process.waitFor() == 0 ? Optional.of(out) : Optional.empty();
        } catch (IOException missing) {
            return Optional.empty();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        }
    }

    @BeforeEach
    void photos() throws IOException {
        test = new TestShoot(base);
        try (Picture scene = TestPhotos.scene(900, 600);
                Picture deep = TestPhotos.deepScene(900, 600)) {
            SourceMetadata said =
                    new SourceMetadata(exif(), Profile.WIDE.bytes(), XMP.getBytes(StandardCharsets.UTF_8));
            Files.write(
                    test.folder().resolve("wide.jpg"),
                    Encoder.encode(scene, new Source(scene, said), FileSettings.DEFAULT));
            Files.write(
                    test.folder().resolve("deep.tif"),
                    Encoder.encode(deep, new Source(deep, said), new FileSettings(FileType.TIFF, 90)));
        }
    }

    private byte[] exif() throws IOException {
        TiffOutputSet exif = new TiffOutputSet();
        exif.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_MAKE, "Aldermoor");
        exif.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_ARTIST, "Somebody");
        exif.setGpsInDegrees(-1.5, 51.5);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Picture small = TestPhotos.scene(30, 20)) {
            new ExifRewriter().updateExifMetadataLossless(Encoder.plainJpeg(small, 80), out, exif);
        }
        Path file = Files.write(base.resolve("exif.jpg"), out.toByteArray());
        var facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
        try (Source source = PhotoCodecs.STANDARD.open(file, facts)) {
            return source.metadata().exif();
        }
    }

    /** Of both photos, tilted, 4:5, what exiftool tells of the delivered files by photo. */
    private Map<String, JsonNode> delivered(String files, SizeTarget target) throws IOException {
        Path out = Files.createTempDirectory(base, "out");
        try (Shoot shoot = test.open()) {
            Format format = shoot.brief()
                    .find("Print")
                    .orElseGet(() -> TestShoot.addFormat(shoot, "Print", "4:5"))
                    .filed(FileSettings.parse(files))
                    .sized(target);
            for (Photo photo : shoot.photos()) {
                var before = shoot.framing(photo);
                var after = before.withPose(new Pose(Turn.NONE, new Tilt(2)));
                shoot.apply(Edit.framing("edit.tilt", photo.id(), before, after));
            }
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out, List.of(format)));
            for (Outcome outcome : new Handover(plan, told -> {}, new RunControl()).run(shoot)) {
                assertTrue(outcome instanceof Outcome.Written, outcome::toString);
            }
        }
        String extension = FileSettings.parse(files).type().extension();
        return Map.of(
                "wide", told(out.resolve("wide_Print." + extension)),
                "deep", told(out.resolve("deep_Print." + extension)));
    }

    private static JsonNode told(Path file) throws IOException {
        String json = prints("exiftool", "-json", "-n", "-G0", file.toString()).orElseThrow();
        String identified =
                prints("identify", "-format", "%m %w %h %z %x", file.toString()).orElseThrow();
        var told = (ObjectNode) new ObjectMapper().readTree(json).get(0);
        return told.put("identify", identified);
    }

    private static List<String> names(JsonNode told) {
        List<String> names = new ArrayList<>();
        told.fieldNames().forEachRemaining(names::add);
        return names;
    }

    @ParameterizedTest
    @EnumSource
    void size_orientation_profile_exif_xmp(FileType type) throws IOException {
        Map<String, JsonNode> all = delivered(type.name() + "; 300 ppi", new SizeTarget.Pixels(320, 400));
        for (JsonNode told : all.values()) {
            String words = told.toPrettyString();
            assertEquals(1, told.path("EXIF:Orientation").asInt(), words);
            assertEquals("Aldermoor", told.path("EXIF:Make").asText(), words);
            assertEquals(300, told.path("EXIF:XResolution").asInt(), words);
            assertEquals(4, told.path("XMP:Rating").asInt(), words);
            assertFalse(told.has("XMP:Orientation"), words);
            assertTrue(told.has("ICC_Profile:ProfileDescription"), words);
            assertEquals(51.5, told.path("Composite:GPSLatitude").asDouble(), 1e-3, words);
            assertTrue(told.path("identify").asText().contains(" 400 320 "), words);
        }
        String bits = type.mostBits() == 16 ? " 16 " : " 8 ";
        assertTrue(all.get("deep").path("identify").asText().contains(bits), all.get("deep")::toString);
        assertTrue(all.get("wide").path("identify").asText().contains(" 8 "), all.get("wide")::toString);
    }

    @ParameterizedTest
    @EnumSource
    void place_isGoneWhenAsked(FileType type) throws IOException {
        for (JsonNode told :
                delivered(type.name() + "; no place", SizeTarget.NONE).values()) {
            assertFalse(names(told).stream().anyMatch(name -> name.contains("GPS")), told::toPrettyString);
            assertFalse(told.has("XMP:City"), told::toPrettyString);
            assertEquals("Aldermoor", told.path("EXIF:Make").asText());
            assertEquals("Fennick Kiln", told.path("XMP:Credit").asText(), told::toPrettyString);
        }
    }

    @ParameterizedTest
    @EnumSource
    void creditAlone_withWordsAdded(FileType type) throws IOException {
        String files = type.name() + " srgb; keep credit; creator \"Änne Fennick\"; copyright \"© 2026 Fennick Kiln\";"
                + " caption \"Blue bowl\"";
        for (JsonNode told : delivered(files, SizeTarget.NONE).values()) {
            String words = told.toPrettyString();
            for (String name : List.of("EXIF:Artist", "XMP:Creator")) {
                assertEquals("Änne Fennick", told.path(name).asText(), words);
            }
            for (String name : List.of("EXIF:Copyright", "XMP:Rights")) {
                assertEquals("© 2026 Fennick Kiln", told.path(name).asText(), words);
            }
            for (String name : List.of("EXIF:ImageDescription", "XMP:Description")) {
                assertEquals("Blue bowl", told.path(name).asText(), words);
            }
            assertEquals("Fennick Kiln", told.path("XMP:Credit").asText(), words);
            assertFalse(told.has("EXIF:Make") || told.has("XMP:Rating"), words);
            assertFalse(names(told).stream().anyMatch(name -> name.contains("GPS")), words);
            assertTrue(told.path("ICC_Profile:ProfileDescription").asText().contains("sRGB"), words);
        }
    }

    @ParameterizedTest
    @EnumSource
    void nothingKept(FileType type) throws IOException {
        for (JsonNode told :
                delivered(type.name() + "; keep none", SizeTarget.NONE).values()) {
            List<String> kept = names(told).stream()
                    .filter(name -> name.startsWith("XMP:") && !name.contains("Toolkit"))
                    .toList();
            assertEquals(List.of(), kept, told::toPrettyString);
            assertFalse(told.has("EXIF:Make") || told.has("EXIF:Artist"), told::toPrettyString);
        }
    }

    @Test
    void resolution_isThePrints() throws IOException {
        SizeTarget print = SizeTarget.parse("2 x 2.5 cm at 250 ppi");
        for (FileType type : List.of(FileType.JPEG, FileType.PNG, FileType.TIFF)) {
            for (JsonNode told : delivered(type.name(), print).values()) {
                double ppi = Double.parseDouble(told.path("identify").asText().split(" ")[4]);
                assertEquals(250, type == FileType.PNG ? ppi * 2.54 : ppi, 0.5, told::toPrettyString);
            }
        }
    }

    @Test
    void packing_isAsAsked() throws IOException {
        JsonNode jpeg = delivered("jpeg 92; at most 12 kB; half chroma; progressive", SizeTarget.NONE)
                .get("wide");
        assertTrue(jpeg.path("File:FileSize").asInt() <= 12_000, jpeg::toPrettyString);
        assertEquals("2 1", jpeg.path("File:YCbCrSubSampling").asText(), jpeg::toPrettyString);
        assertEquals(2, jpeg.path("File:EncodingProcess").asInt(), jpeg::toPrettyString);
        JsonNode lzw =
                delivered("tiff; 8 bits; lzw compression", SizeTarget.NONE).get("deep");
        assertEquals(5, lzw.path("EXIF:Compression").asInt(), lzw::toPrettyString);
        assertTrue(lzw.path("identify").asText().contains(" 8 "), lzw::toPrettyString);
        JsonNode plain =
                delivered("tiff; 16 bits; no compression", SizeTarget.NONE).get("wide");
        assertEquals(1, plain.path("EXIF:Compression").asInt(), plain::toPrettyString);
        assertTrue(plain.path("identify").asText().contains(" 16 "), plain::toPrettyString);
    }

    /** The demo's photos as they are, some of them vertical, in every type. */
    @ParameterizedTest
    @EnumSource
    void demoPhotos_ofEachType(FileType type) throws IOException {
        Path out = Files.createTempDirectory(base, "demo");
        TestShoot demo = new TestShoot(out);
        for (String name : List.of("kiln_0201.jpg", "kiln_0206.jpg", "kiln_0230.jpg")) {
            Files.copy(
                    Path.of("..", "demo", "fennick-kiln", name), demo.folder().resolve(name));
        }
        try (Shoot shoot = demo.open()) {
            Format format = TestShoot.addFormat(shoot, "Web", "4:5")
                    .filed(FileSettings.parse(type.name() + " srgb; 72 ppi; copyright \"Fennick Kiln\""))
                    .sized(new SizeTarget.Pixels(640, 800));
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out.resolve("files"), List.of(format)));
            for (Outcome outcome : new Handover(plan, told -> {}, new RunControl()).run(shoot)) {
                assertTrue(outcome instanceof Outcome.Written, outcome::toString);
                JsonNode told = told(outcome.delivery().output());
                PixelSize upright =
                        shoot.space(outcome.delivery().photo()).orElseThrow().upright();
                boolean lying = upright.width() > upright.height();
                assertTrue(
                        told.path("identify").asText().contains(lying ? " 800 640 " : " 640 800 "),
                        told::toPrettyString);
                assertEquals(1, told.path("EXIF:Orientation").asInt(), told::toPrettyString);
                assertEquals("Fennick Kiln", told.path("EXIF:Copyright").asText(), told::toPrettyString);
                assertTrue(told.path("ICC_Profile:ProfileDescription").asText().contains("sRGB"), told::toPrettyString);
            }
        }
    }

    /** Every kind of source in every type: other programs find nothing to complain about in what is delivered. */
    @ParameterizedTest
    @EnumSource
    void validators_findNothing(FileType type) throws IOException {
        TestShoot odd = new TestShoot(Files.createTempDirectory(base, "odd"));
        Path folder = odd.folder();
        Files.copy(Path.of("..", "demo", "fennick-kiln", "kiln_0201.jpg"), folder.resolve("demo.jpg"));
        for (String unit : List.of("65535", "4", "0")) {
            Path file = TestPhotos.jpeg(folder.resolve("unit" + unit + ".jpg"), 300, 200, 1);
            run(
                    "exiftool",
                    "-q",
                    "-overwrite_original",
                    "-n",
                    "-ResolutionUnit=" + unit,
                    "-XResolution=300",
                    "-YResolution=300",
                    file.toString());
        }
        Path words = TestPhotos.jpeg(folder.resolve("words.jpg"), 300, 200, 6);
        run(
                "exiftool",
                "-q",
                "-overwrite_original",
                "-codedcharacterset=",
                "-iptc:caption-abstract=Blue bowl",
                "-iptc:city=Aldermoor",
                "-iptc:sub-location=Kiln",
                "-xmp:city=Aldermoor",
                "-gpslatitude=51.5",
                "-gpslatituderef=N",
                words.toString());
        Path bare = folder.resolve("bare.jpg");
        try (Picture scene = TestPhotos.scene(300, 200)) {
            Files.write(bare, Encoder.plainJpeg(scene, 90));
        }
        Path out = Files.createTempDirectory(base, "out");
        try (Shoot shoot = odd.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5");
            for (String settings : List.of("", "; no place", "; keep none", "; keep credit", "; untouched pixels")) {
                Format filed = format.filed(FileSettings.parse(type.name() + settings));
                HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out, List.of(filed)));
                for (Outcome outcome : new Handover(plan, told -> {}, new RunControl()).run(shoot)) {
                    assertTrue(outcome instanceof Outcome.Written, outcome::toString);
                    validate(outcome.delivery().output(), type);
                    if (settings.contains("place")) {
                        String all = prints(
                                        "exiftool",
                                        "-a",
                                        "-G1",
                                        outcome.delivery().output().toString())
                                .orElseThrow();
                        assertFalse(all.contains("Aldermoor\n") && all.contains("City"), all);
                        assertFalse(all.contains("Kiln\n") && all.contains("Sub-location"), all);
                        assertFalse(all.contains("GPS"), all);
                    }
                }
            }
        }
    }

    private static void run(String... command) {
        assertTrue(prints(command).isPresent(), String.join(" ", command));
    }

    private static void validate(Path file, FileType type) throws IOException {
        String said = prints("exiftool", "-validate", "-warning", "-a", file.toString())
                .orElseThrow();
        List<String> complaints = said.lines()
                .filter(line -> line.startsWith("Warning") || line.startsWith("Error"))
                .filter(line -> !line.contains("[minor]"))
                // which satellites were asked: EXIF asks it of nobody
                .filter(line -> !line.contains("GPSProcessingMethod"))
                // a technical note's, and what is asked for; EXIF's table of compressions ends before it
                .filter(line -> !(type == FileType.TIFF && line.contains("tag 0x0103 Compression")))
                .toList();
        assertEquals(List.of(), complaints, file + " " + said);
        if (type == FileType.TIFF && prints("tiffinfo", "-v").isPresent()) {
            Process process = new ProcessBuilder("tiffinfo", file.toString())
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            String warnings = new String(process.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
            assertEquals("", warnings, file::toString);
        }
    }
}
