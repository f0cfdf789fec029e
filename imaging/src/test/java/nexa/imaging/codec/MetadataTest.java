package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import nexa.core.files.FileSettings;
import nexa.core.told.Told;
import nexa.imaging.TestPhotos;
import nexa.imaging.TiffWriter;
import nexa.imaging.TiffWriter.Directory;
import nexa.imaging.blocks.BlockCut;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.deliver.UntouchedJpeg;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a photo's file says in words, read in whatever order, and delivered. */
class MetadataTest {
    private static final Path NAME = Path.of("a.jpg");
    private static final byte[] EXIF = "II*\0\10\0\0\0\0\0\0\0\0\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final String XMP = """
            <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
            <rdf:Description rdf:about="" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmp:Rating="4"/></rdf:RDF></x:xmpmeta>""";

    private static byte[] segment(int marker, String prefix, byte[] payload) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int length = 2 + prefix.length() + payload.length;
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) marker, (byte) (length >> 8), (byte) length});
        out.writeBytes(prefix.getBytes(StandardCharsets.ISO_8859_1));
        out.writeBytes(payload);
        return out.toByteArray();
    }

    /** One piece of a profile. */
    private static byte[] piece(byte[] icc, int number, int of) {
        int from = icc.length * (number - 1) / of;
        int to = icc.length * number / of;
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(number);
        out.write(of);
        out.write(icc, from, to - from);
        return segment(0xE2, "ICC_PROFILE\0", out.toByteArray());
    }

    static byte[] iptc(Charset charset, String... numbersAndTexts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (int i = 0; i < numbersAndTexts.length; i += 2) {
            byte[] text = numbersAndTexts[i + 1].getBytes(charset);
            out.writeBytes(new byte[] {
                0x1C, 2, (byte) Integer.parseInt(numbersAndTexts[i]), (byte) (text.length >> 8), (byte) text.length
            });
            out.writeBytes(text);
        }
        return out.toByteArray();
    }

    static byte[] resources(byte[] iptc) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        // another resource first, with a name of odd length
        out.writeBytes("8BIM\4\14\3abc\0\0\0\3xyz\0".getBytes(StandardCharsets.ISO_8859_1));
        out.writeBytes("8BIM\4\4\0\0\0\0".getBytes(StandardCharsets.ISO_8859_1));
        out.write(iptc.length >> 8);
        out.write(iptc.length);
        out.writeBytes(iptc);
        return segment(0xED, "Photoshop 3.0\0", out.toByteArray());
    }

    private static byte[] jpegWith(List<byte[]> segments) throws IOException {
        try (Picture scene = TestPhotos.scene(64, 48)) {
            byte[] plain = Encoder.plainJpeg(scene, 90);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            out.write(plain, 0, 2);
            segments.forEach(out::writeBytes);
            out.write(plain, 2, plain.length - 2);
            return out.toByteArray();
        }
    }

    @Test
    void segments_inAnyOrder_areAllRead() throws IOException {
        byte[] icc = Profile.WIDE.bytes();
        byte[] iptc = iptc(StandardCharsets.UTF_8, "120", "Blue bowl");
        List<byte[]> segments = new ArrayList<>(List.of(
                segment(0xE1, "Exif\0\0", EXIF),
                segment(0xE1, "http://ns.adobe.com/xap/1.0/\0", XMP.getBytes(StandardCharsets.UTF_8)),
                segment(0xE2, "MPF\0", "MM\0*\0\0\0\10".getBytes(StandardCharsets.ISO_8859_1)),
                piece(icc, 1, 3),
                piece(icc, 2, 3),
                piece(icc, 3, 3),
                resources(iptc),
                segment(0xE3, "something\0", new byte[10])));
        for (int i = 0; i < 60; i++) {
            Collections.shuffle(segments, new Random(i));
            try (Source source = JpegCodec.decode(NAME, jpegWith(segments), Reduction.NONE)) {
                assertArrayEquals(icc, source.metadata().icc());
                assertEquals(Profile.WIDE, source.profile().orElseThrow());
                assertArrayEquals(EXIF, source.metadata().exif());
                assertArrayEquals(iptc, source.metadata().iptc());
                assertArrayEquals(
                        XMP.getBytes(StandardCharsets.UTF_8), source.metadata().xmp());
            }
        }
    }

    @Test
    void profileWithAPieceMissing_isNone() throws IOException {
        byte[] icc = Profile.WIDE.bytes();
        try (Source source =
                JpegCodec.decode(NAME, jpegWith(List.of(piece(icc, 1, 3), piece(icc, 3, 3))), Reduction.NONE)) {
            assertNull(source.metadata().icc());
        }
    }

    private static SourceMetadata delivered(SourceMetadata from, String settings, List<Told> notes) throws IOException {
        try (Picture scene = TestPhotos.scene(64, 48);
                Source source = new Source(scene, from)) {
            byte[] file = Encoder.encode(scene, source, FileSettings.parse(settings), 0, notes::add);
            boolean jpeg = file[0] == (byte) 0xFF;
            try (Mat encoded = new Mat(file);
                    Source read =
                            jpeg ? JpegCodec.decode(NAME, file, Reduction.NONE) : TaggedCodec.decode(NAME, encoded)) {
                return read.metadata();
            }
        }
    }

    @Test
    void iptc_isKeptInUtf8_withoutThePlaceIfAsked() throws IOException {
        byte[] latin = iptc(
                StandardCharsets.ISO_8859_1,
                "120",
                "Blaue Schüssel",
                "90",
                "Köln",
                "92",
                "Werkstatt",
                "101",
                "Deutschland",
                "80",
                "Ines Fennick",
                "202",
                "a small picture of the whole");
        SourceMetadata from = SourceMetadata.NONE.withIptc(latin);
        String all = text(delivered(from, "jpeg 90", new ArrayList<>()).iptc());
        assertTrue(all.contains("Blaue Schüssel") && all.contains("Köln"), all);
        assertTrue(!all.contains("small picture"), all);
        String noPlace =
                text(delivered(from, "jpeg 90; no place", new ArrayList<>()).iptc());
        assertTrue(noPlace.contains("Blaue Schüssel"), noPlace);
        for (String place : List.of("Köln", "Werkstatt", "Deutschland")) {
            assertTrue(!noPlace.contains(place), noPlace);
        }
        String credit = text(delivered(from, "jpeg 90; keep credit; caption \"Bowl\"", new ArrayList<>())
                .iptc());
        assertTrue(credit.contains("Ines Fennick") && !credit.contains("Schüssel"), credit);
        assertNull(delivered(from, "jpeg 90; keep none", new ArrayList<>()).iptc());
    }

    private static String text(byte[] iptc) {
        return new String(iptc, StandardCharsets.UTF_8);
    }

    /** They have no place for an IPTC record. */
    @ParameterizedTest
    @ValueSource(strings = {"png", "webp 90"})
    void iptc_isSaidInXmp_ofOtherKinds(String type) throws IOException {
        byte[] iptc = iptc(StandardCharsets.UTF_8, "120", "Blue bowl", "25", "bowl", "25", "blue", "90", "Aldermoor");
        SourceMetadata from = SourceMetadata.NONE.withIptc(iptc);
        String xmp = text(delivered(from, type, new ArrayList<>()).xmp());
        for (String word : List.of("Blue bowl", ">bowl<", ">blue<", "Aldermoor")) {
            assertTrue(xmp.contains(word), xmp);
        }
        assertTrue(!text(delivered(from, type + "; no place", new ArrayList<>()).xmp())
                .contains("Aldermoor"));
    }

    /** As some programs write into it all that EXIF says, of the photo and of its small picture. */
    @Test
    void xmpThatSaysAThingTwice_keepsTheRest() throws IOException {
        String twice = XMP.replace("xmp:Rating=\"4\"/>", """
                xmlns:exif="http://ns.adobe.com/exif/1.0/" xmp:Rating="4"><exif:FNumber>28/10</exif:FNumber>
                <exif:XResolution>180</exif:XResolution><exif:XResolution>72</exif:XResolution></rdf:Description>""");
        List<Told> notes = new ArrayList<>();
        SourceMetadata from = new SourceMetadata(null, null, twice.getBytes(StandardCharsets.UTF_8));
        String kept = text(delivered(from, "jpeg 90", notes).xmp());
        assertEquals(List.of(), notes);
        assertTrue(kept.contains("Rating=\"4\"") && kept.contains("28/10"), kept);
        assertTrue(kept.contains("180") && !kept.contains("72"), kept);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "no XML",
                "<a><b/></c>",
                "<rdf:Description xmlns:rdf=\"http://www.w3.org/1999/02/22-rdf-syntax-ns#\"><b/><b/></rdf:Description>",
                "<!DOCTYPE a [<!ENTITY e SYSTEM \"file:///etc/hostname\">]><a>&e;</a>"
            })
    void damagedXmp_isLeftOutAndTold_orSaysNothing(String packet) throws IOException {
        List<Told> notes = new ArrayList<>();
        SourceMetadata from = new SourceMetadata(null, null, packet.getBytes(StandardCharsets.UTF_8));
        byte[] kept = delivered(from, "jpeg 90; keep credit", notes).xmp();
        assertNull(kept);
        assertTrue(List.of(Told.of("told.note.xmp-damaged")).containsAll(notes), notes::toString);
    }

    /** Depths of a picture that is cut would fit it no longer; nothing may point to them. */
    @Test
    void aSecondPacketOfXmp_isToldToBeLeftOut() throws IOException {
        String first = XMP.replace(
                "xmp:Rating",
                "xmlns:xmpNote=\"http://ns.adobe.com/xmp/note/\" xmpNote:HasExtendedXMP=\"ABC\" xmp:Rating");
        List<Told> notes = new ArrayList<>();
        SourceMetadata from = new SourceMetadata(null, null, first.getBytes(StandardCharsets.UTF_8));
        String kept = text(delivered(from, "jpeg 90", notes).xmp());
        assertEquals(List.of(Told.of("told.note.xmp-more")), notes);
        assertTrue(kept.contains("Rating=\"4\"") && !kept.contains("HasExtendedXMP"), kept);
    }

    /** Letters that are not UTF-8, and a value of a kind that the tag is not of. */
    @Test
    void exifWrittenInAnotherWayThanItShould_keepsItsBytes() throws IOException {
        byte[] copyright = "\u00a9 2026 Fennick Kiln\0".getBytes(StandardCharsets.ISO_8859_1);
        Directory first = new Directory()
                .block(33432, copyright)
                .tag(270, 7)
                .tag(305, 1, 2, 3)
                .text(271, "Aldermoor");
        List<Told> notes = new ArrayList<>();
        SourceMetadata from = new SourceMetadata(TiffWriter.bytes(first), null, null);
        String kept = new String(delivered(from, "jpeg 90", notes).exif(), StandardCharsets.ISO_8859_1);
        assertEquals(List.of(), notes);
        assertTrue(kept.contains("\u00a9 2026 Fennick Kiln\0") && kept.contains("Aldermoor"), kept);
    }

    @Test
    void metadataTooLargeForAJpeg_isSplitOrCut_andTold() throws IOException {
        byte[] icc = java.util.Arrays.copyOf(Profile.WIDE.bytes(), 200_000);
        java.nio.ByteBuffer.wrap(icc).putInt(0, icc.length);
        String large = XMP.replace("xmp:Rating=\"4\"", "xmp:Rating=\"4\" xmp:Label=\"" + "x".repeat(70_000) + "\"");
        List<Told> notes = new ArrayList<>();
        SourceMetadata from = new SourceMetadata(null, icc, large.getBytes(StandardCharsets.UTF_8), null);
        SourceMetadata read = delivered(from, "jpeg 90", notes);
        assertArrayEquals(icc, read.icc());
        assertTrue(notes.contains(Told.of("told.note.xmp-cut")), notes::toString);
    }

    /** In all the places where cameras and programs put one. */
    @Test
    void smallPicturesOfTheWhole_doNotGoAlongWithUntouchedPixels() throws IOException {
        byte[] small = "a small picture of the whole".getBytes(StandardCharsets.ISO_8859_1);
        ByteArrayOutputStream jfif = new ByteArrayOutputStream();
        jfif.writeBytes(new byte[] {1, 2, 1, 0, 72, 0, 72, 3, 3});
        jfif.write(small, 0, 27);
        ByteArrayOutputStream resource = new ByteArrayOutputStream();
        resource.writeBytes("8BIM\4\14\0\0\0\0\0\34".getBytes(StandardCharsets.ISO_8859_1));
        resource.writeBytes(small);
        byte[] file = jpegWith(List.of(
                segment(0xE0, "JFIF\0", jfif.toByteArray()),
                segment(0xE0, "JFXX\0", small),
                segment(0xE2, "MPF\0", small),
                segment(0xE2, "FPXR\0", small),
                segment(0xE3, "Stim\0", small),
                segment(0xEB, "HDR_RI\0", small),
                segment(0xED, "Photoshop 3.0\0", resource.toByteArray()),
                resources(iptc(StandardCharsets.UTF_8, "120", "Blue bowl", "202", "a small picture of the whole")),
                piece(Profile.WIDE.bytes(), 1, 1)));
        byte[] cut = UntouchedJpeg.of(
                file,
                new BlockCut.Part(0, 0, 32, 32),
                JpegBlocks.of(file),
                FileSettings.parse("jpeg 90").description(),
                1,
                0,
                note -> {});
        String all = new String(cut, StandardCharsets.ISO_8859_1);
        assertTrue(!all.contains("small picture"), "nothing of it");
        assertArrayEquals(Profile.WIDE.bytes(), JpegBlocks.of(cut).icc());
        try (Source source = JpegCodec.decode(NAME, cut, Reduction.NONE)) {
            assertEquals(32, source.picture().size().width());
        }
    }

    @Test
    void damagedRecords_neverThrow() throws IOException {
        Random random = new Random(3);
        byte[] good = resources(iptc(StandardCharsets.UTF_8, "120", "Blue bowl", "90", "Aldermoor"));
        for (int i = 0; i < 3000; i++) {
            byte[] bad = good.clone();
            for (int k = 0; k < 1 + random.nextInt(4); k++) {
                bad[4 + random.nextInt(bad.length - 4)] = (byte) random.nextInt(256);
            }
            SourceMetadata read = JpegBlocks.of(jpegStart(bad));
            if (i % 50 == 0) {
                delivered(read, "jpeg 90; no place", new ArrayList<>());
            }
        }
    }

    private static byte[] jpegStart(byte[] segment) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(0xFF);
        out.write(0xD8);
        out.writeBytes(segment);
        return out.toByteArray();
    }
}
