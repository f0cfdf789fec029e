package nexa.shoot.handover;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import javax.imageio.ImageIO;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.print.SizeTarget;
import nexa.core.space.Pose;
import nexa.core.told.Told;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import nexa.shoot.preview.PreviewCache;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class HandoverTest {
    @TempDir
    Path base;

    private TestShoot test;
    private Path out;

    @BeforeEach
    void folders() throws IOException {
        test = new TestShoot(base);
        out = base.resolve("out");
    }

    private List<Outcome> deliver(Shoot shoot, Format format, FileType type) throws IOException {
        HandoverRequest request = new HandoverRequest(out, List.of(format.filed(new FileSettings(type, 95))));
        return new Handover(HandoverPlan.of(shoot, request), told -> {}, new RunControl()).run(shoot);
    }

    private static Path written(Outcome outcome) {
        return assertInstanceOf(Outcome.Written.class, outcome, outcome::toString)
                .delivery()
                .output();
    }

    @Test
    void allEightOrientationsOfAPhoto_giveTheSamePicture() throws IOException {
        for (int orientation = 1; orientation <= 8; orientation++) {
            TestPhotos.jpeg(test.folder().resolve("o" + orientation + ".jpg"), 600, 400, orientation);
        }
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            for (Photo photo : shoot.photos()) {
                TestShoot.place(shoot, photo, print, TestShoot.WISH);
                Framing placed = shoot.framing(photo);
                shoot.apply(Edit.framing(
                        "edit.tilt", photo.id(), placed, placed.withPose(new Pose(Turn.NONE, new Tilt(3)))));
            }
            List<Outcome> outcomes = deliver(shoot, print, FileType.PNG);
            try (Picture first = Decoder.decode(written(outcomes.getFirst()), Reduction.NONE)) {
                assertEquals(new PixelSize(300, 240), first.size());
                for (Outcome outcome : outcomes) {
                    try (Picture other = Decoder.decode(written(outcome), Reduction.NONE)) {
                        assertTrue(TestPhotos.psnr(first, other) > 45, outcome.toString());
                    }
                }
            }
        }
    }

    @Test
    void frameThatLeavesThePhoto_isWhiteBeyondIt() throws IOException {
        test.photo("a.jpg", 300, 200);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo photo = shoot.photos().getFirst();
            Crop outside = new Crop(new Frame(0.5, 0, 0.5, 0.4), Optional.empty(), true, false);
            shoot.apply(Edit.framing(
                    "edit.frame", photo.id(), Framing.UNTOUCHED, Framing.UNTOUCHED.withCrop(print, outside)));
            Path written = written(deliver(shoot, print, FileType.PNG).getFirst());
            try (Picture picture = Decoder.decode(written, Reduction.NONE)) {
                int[] argb = picture.toRaster().argb();
                assertEquals(new PixelSize(150, 120), picture.size());
                int row = 60 * 150;
                assertEquals(0xFFFFFFFF, argb[row + 76], "just beyond the photo's edge");
                assertEquals(0xFFFFFFFF, argb[row + 149]);
                assertTrue(argb[row + 74] != 0xFFFFFFFF, "just inside");
            }
        }
    }

    @Test
    void originals_areByteForByteWhatTheyWere() throws IOException {
        test.photo("a.jpg", 300, 200);
        test.photo("b.jpg", 200, 300);
        Map<String, String> before = TestShoot.hashes(test.folder());
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.place(shoot, shoot.photos().getFirst(), print, TestShoot.WISH);
            deliver(shoot, print, FileType.JPEG);
            deliver(shoot, print, FileType.TIFF);
        }
        assertEquals(before, TestShoot.hashes(test.folder()));
    }

    @Test
    void existingFiles_areNumberedOnNeverWrittenOver() throws IOException {
        test.photo("a.jpg", 300, 200);
        Files.createDirectories(out);
        Path there = Files.writeString(out.resolve("a_Print.jpg"), "mine");
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            assertEquals(
                    out.resolve("a_Print-2.jpg"),
                    written(deliver(shoot, print, FileType.JPEG).getFirst()));
        }
        assertEquals("mine", Files.readString(there));
    }

    @Test
    void folderInsideTheShoot_isNotTakenForPhotosLater() throws IOException {
        test.photo("a.jpg", 300, 200);
        out = test.folder().resolve("delivered");
        try (Shoot shoot = test.open()) {
            deliver(shoot, TestShoot.addFormat(shoot, "Print", "4:5"), FileType.JPEG);
        }
        assertTrue(Files.exists(out.resolve("a_Print.jpg")));
        try (Shoot shoot = test.open()) {
            assertEquals(1, shoot.photos().size());
        }
    }

    @Test
    void photoThatVanished_failsAloneWithItsReason() throws IOException {
        test.photo("a.jpg", 300, 200);
        test.photo("b.jpg", 300, 200);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Files.delete(test.folder().resolve("a.jpg"));
            List<Outcome> outcomes = deliver(shoot, print, FileType.JPEG);
            assertEquals(
                    Told.of("trouble.missing"),
                    assertInstanceOf(Outcome.Failed.class, outcomes.get(0)).reason());
            assertTrue(Files.exists(written(outcomes.get(1))));
        }
    }

    @Test
    void cancelled_beginsNoFurtherFileAndLeavesNoParts() throws IOException {
        for (int i = 0; i < 12; i++) {
            test.photo("p" + i + ".jpg", 300, 200);
        }
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out, List.of(print)));
            RunControl control = new RunControl();
            AtomicInteger done = new AtomicInteger();
            Consumer<Outcome> cancels = told -> {
                if (done.incrementAndGet() >= 3) {
                    control.cancel();
                }
            };
            List<Outcome> outcomes = new Handover(plan, cancels, control).run(shoot);
            assertTrue(outcomes.size() >= 3 && outcomes.size() < 12, "" + outcomes.size());
            try (var files = Files.list(out)) {
                assertFalse(files.anyMatch(file -> file.getFileName().toString().contains("part")));
            }
        }
    }

    @Test
    void setAside_isNotDelivered() throws IOException {
        test.photo("a.jpg", 300, 200);
        try (Shoot shoot = test.open()) {
            Photo a = shoot.photos().getFirst();
            shoot.apply(Edit.framing("edit.aside", a.id(), Framing.UNTOUCHED, Framing.UNTOUCHED.withSetAside(true)));
            assertTrue(deliver(shoot, TestShoot.addFormat(shoot, "Print", "4:5"), FileType.JPEG)
                    .isEmpty());
        }
    }

    @Test
    void previews_comeFromTheCacheAndSurviveATornFile() throws IOException {
        Path file = test.photo("a.jpg", 900, 600);
        PreviewCache cache =
                new PreviewCache(base.resolve("cache"), Long.MAX_VALUE, new PreviewMaker(PhotoCodecs.STANDARD));
        try (Shoot shoot = test.open()) {
            Photo a = shoot.photos().getFirst();
            assertEquals(new PixelSize(300, 200), sizeOf(cache, file, a));
            Path cached = onlyFile(base.resolve("cache"));
            Files.delete(file);
            assertEquals(new PixelSize(300, 200), sizeOf(cache, file, a));
            test.photo("a.jpg", 900, 600);
            byte[] whole = Files.readAllBytes(cached);
            whole[whole.length / 2] ^= 1;
            Files.write(cached, whole);
            assertEquals(new PixelSize(300, 200), sizeOf(cache, file, a), "made anew");
            Files.writeString(cached, "torn");
            assertEquals(new PixelSize(300, 200), sizeOf(cache, file, a), "made anew");
        }
    }

    private static PixelSize sizeOf(PreviewCache cache, Path file, Photo photo) throws IOException {
        try (Preview preview =
                cache.preview(file, photo.fingerprint(), photo.facts().orElseThrow(), 300)) {
            return preview.picture().size();
        }
    }

    private static Path onlyFile(Path folder) throws IOException {
        try (var files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile).findFirst().orElseThrow();
        }
    }

    /** A PNG is decoded whole even for a tile; of a JPEG only so much as a tile needs. */
    @Test
    void smallPreview_bringsTheMiddleOne_whereAllPixelsWereDecodedAnyway() throws IOException {
        Path png = test.folder().resolve("a.png");
        ImageIO.write(new BufferedImage(1500, 1000, BufferedImage.TYPE_3BYTE_BGR), "png", png.toFile());
        Path jpeg = test.photo("b.jpg", 4000, 3000);
        PreviewCache cache =
                new PreviewCache(base.resolve("cache"), Long.MAX_VALUE, new PreviewMaker(PhotoCodecs.STANDARD));
        try (Shoot shoot = test.open()) {
            for (Photo photo : shoot.photos()) {
                cache.prepare(shoot.fileOf(photo), photo.pixels(), photo.facts().orElseThrow(), PreviewCache.SMALL);
                assertTrue(cache.has(photo.pixels(), PreviewCache.SMALL));
                assertEquals(shoot.fileOf(photo).equals(png), cache.has(photo.pixels(), PreviewCache.MIDDLE));
            }
            Files.delete(png);
            Photo a = shoot.photos().getFirst();
            try (Preview middle = cache.preview(png, a.pixels(), a.facts().orElseThrow(), PreviewCache.MIDDLE)) {
                assertEquals(new PixelSize(1280, 853), middle.picture().size());
            }
        }
        assertTrue(Files.exists(jpeg));
    }

    @Test
    void previews_keepToTheirLimit_theOldestGo() throws IOException {
        test.photo("a.jpg", 900, 600);
        try (Shoot shoot = test.open()) {
            Photo photo = shoot.photos().getFirst();
            PhotoFacts facts = photo.facts().orElseThrow();
            PreviewCache cache =
                    new PreviewCache(base.resolve("cache"), Long.MAX_VALUE, new PreviewMaker(PhotoCodecs.STANDARD));
            for (int i = 0; i < 20; i++) {
                cache.prepare(shoot.fileOf(photo), String.format("%032d", i), facts, 300);
            }
            long each = cache.size() / 20;
            assertTrue(each > 1000);
            for (int i = 0; i < 20; i++) {
                Path file = base.resolve("cache/00").resolve(String.format("%032d-300.jpg", i));
                Files.setLastModifiedTime(file, FileTime.fromMillis(1_000_000L * (i + 1)));
            }
            cache.limit(10 * each);
            assertTrue(cache.size() <= 10 * each);
            assertTrue(cache.has(String.format("%032d", 19), 300), "the newest stays");
            assertFalse(cache.has(String.format("%032d", 0), 300), "the oldest is gone");
            cache.clear();
            assertEquals(0, cache.size());
        }
    }

    /** Twenty-four megapixels, four times as wide, 16 bits: no file is begun, and a size that works is named. */
    @Test
    void deliveriesBeyondTheMemory_areRefusedBeforehand() throws IOException {
        TestShoot large = new TestShoot(base.resolve("large"));
        TestPhotos.jpeg(large.folder().resolve("a.jpg"), 600, 400, 1);
        Path out = base.resolve("large out");
        try (Shoot shoot = large.open()) {
            Format format = TestShoot.addFormat(shoot, "Wall", "3:2")
                    .sized(new SizeTarget.Pixels(24_000, 16_000))
                    .filed(FileSettings.parse("tiff; 16 bits; enlarged up to 400 %"));
            Photo photo = shoot.photos().getFirst();
            Delivery asked = HandoverPlan.sample(shoot, photo, format);
            Delivery huge = new Delivery(
                    photo,
                    shoot.fileOf(photo),
                    shoot.framing(photo),
                    format,
                    asked.frame(),
                    new nexa.core.geometry.PixelSize(24_000, 16_000),
                    out.resolve("a.tif"),
                    java.util.Optional.empty());
            HandoverPlan plan = new HandoverPlan(
                    new HandoverRequest(out, List.of(format)), List.of(huge), List.of(), List.of(), "");
            Outcome outcome =
                    new Handover(plan, told -> {}, new RunControl()).run(shoot).getFirst();
            assertTrue(outcome instanceof Outcome.Failed, outcome::toString);
            Told reason = ((Outcome.Failed) outcome).reason();
            assertEquals("told.handover.too-large", reason.code());
            assertFalse(Files.exists(out.resolve("a.tif")));
        }
    }

    @Test
    void damagedPhoto_isDeliveredAndToldSo() throws IOException {
        TestShoot bad = new TestShoot(base.resolve("bad"));
        byte[] file = Files.readAllBytes(Path.of("..", "demo", "fennick-kiln", "kiln_0202.jpg"));
        java.util.Arrays.fill(file, file.length / 2, file.length / 2 + 400, (byte) 0x5A);
        Files.write(bad.folder().resolve("a.jpg"), file);
        Path out = base.resolve("bad out");
        try (Shoot shoot = bad.open()) {
            Format format = TestShoot.addFormat(shoot, "Print", "4:5");
            HandoverPlan plan = HandoverPlan.of(shoot, new HandoverRequest(out, List.of(format)));
            Outcome outcome =
                    new Handover(plan, told -> {}, new RunControl()).run(shoot).getFirst();
            assertTrue(outcome instanceof Outcome.Written written && written.damaged(), outcome::toString);
        }
        assertTrue(Files.readString(out.resolve("handover.json")).contains("\"damaged\" : true"));
    }
}
