package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.brief.Framing;
import nexa.imaging.TestPhotos;
import nexa.shoot.incoming.FolderWatch;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Photos that come into the folder of an open shoot. */
class IncomingTest {
    @TempDir
    Path base;

    private TestShoot test;
    private final BlockingQueue<Arrivals> arrivals = new LinkedBlockingQueue<>();

    @BeforeEach
    void makeShoot() throws IOException {
        test = new TestShoot(base);
        test.photo("k2.jpg", 300, 200);
    }

    /** Takes arrivals on this thread, which edits, until a photo is there. */
    private void takeUntil(Shoot shoot, String file) throws InterruptedException {
        while (shoot.photos().stream().noneMatch(photo -> photo.file().equals(file))) {
            Arrivals next = arrivals.poll(30, TimeUnit.SECONDS);
            assertTrue(next != null, file + " arrives");
            shoot.take(next);
        }
    }

    private static List<String> files(Shoot shoot) {
        return shoot.photos().stream().map(Photo::file).toList();
    }

    @Test
    void photosFromTheCamera_appearInOrder_wholeAndDerived() throws Exception {
        Path camera = Files.createDirectories(base.resolve("camera"));
        Path ten = TestPhotos.jpeg(camera.resolve("k10.jpg"), 900, 600, 6);
        Path one = TestPhotos.jpeg(camera.resolve("k1.jpg"), 900, 600, 1);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            try (FolderWatch watch = FolderWatch.of(shoot, arrivals::add);
                    DemoCamera shooting =
                            DemoCamera.start(List.of(ten, one), shoot.folder(), Duration.ofMillis(1200))) {
                takeUntil(shoot, "k1.jpg");
                takeUntil(shoot, "k10.jpg");
            }
            assertEquals(List.of("k1.jpg", "k2.jpg", "k10.jpg"), files(shoot));
            for (Photo photo : shoot.photos()) {
                assertTrue(photo.isReadable(), photo.file() + " was taken when it was whole");
                assertTrue(shoot.frame(photo, print).isPresent());
                assertEquals(FrameState.DERIVED, shoot.framing(photo).state(print));
            }
        }
        try (Shoot again = test.open()) {
            assertEquals(List.of("k1.jpg", "k2.jpg", "k10.jpg"), files(again));
        }
    }

    @Test
    void photoWrittenInPart_waitsUntilItIsWhole() throws Exception {
        byte[] whole = Files.readAllBytes(TestPhotos.jpeg(base.resolve("w.jpg"), 900, 600, 1));
        try (Shoot shoot = test.open()) {
            Path file = shoot.folder().resolve("k3.jpg");
            Files.write(file, Arrays.copyOf(whole, whole.length / 2));
            assertEquals(Arrivals.NONE, shoot.look(found -> false, 10));
            try (FolderWatch watch = FolderWatch.of(shoot, arrivals::add)) {
                assertEquals(null, arrivals.poll(2, TimeUnit.SECONDS), "half a photo is none");
                Files.write(file, whole);
                takeUntil(shoot, "k3.jpg");
            }
            assertTrue(TestShoot.photo(shoot, "k3.jpg").isReadable());
        }
    }

    /** One that nobody completes is shown with its reason, not passed over. */
    @Test
    void photoThatStaysCut_isShownAsSuch() throws Exception {
        byte[] whole = Files.readAllBytes(TestPhotos.jpeg(base.resolve("w.jpg"), 900, 600, 1));
        try (Shoot shoot = test.open()) {
            Path file = shoot.folder().resolve("k3.jpg");
            Files.write(file, Arrays.copyOf(whole, whole.length / 2));
            Files.setLastModifiedTime(
                    file, java.nio.file.attribute.FileTime.fromMillis(System.currentTimeMillis() - 60_000));
            try (FolderWatch watch = FolderWatch.of(shoot, arrivals::add)) {
                takeUntil(shoot, "k3.jpg");
            }
            assertFalse(TestShoot.photo(shoot, "k3.jpg").isReadable());
        }
    }

    @Test
    void renamedAndReplacedPhotos_keepTheirCrops() throws Exception {
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo photo = TestShoot.photo(shoot, "k2.jpg");
            TestShoot.place(shoot, photo, print, TestShoot.WISH);
            Framing placed = shoot.framing(photo);
            Files.createDirectories(shoot.folder().resolve("day 2"));
            Files.move(shoot.folder().resolve("k2.jpg"), shoot.folder().resolve("day 2/n.jpg"));
            shoot.take(shoot.look(found -> true, 10));
            assertEquals(List.of("day 2/n.jpg"), files(shoot));
            assertEquals(placed, shoot.framing(shoot.photos().getFirst()));
            TestPhotos.jpeg(shoot.folder().resolve("day 2/n.jpg"), 600, 900, 1);
            shoot.take(shoot.look(found -> true, 10));
            Photo changed = shoot.photos().getFirst();
            assertEquals(photo.id(), changed.id());
            assertEquals(600, changed.facts().orElseThrow().asShot().width());
            assertEquals(placed, shoot.framing(changed));
        }
    }

    @Test
    void folderThatIsGone_losesNothing() throws Exception {
        try (Shoot shoot = test.open()) {
            Path away = base.resolve("away");
            Files.move(shoot.folder(), away);
            try (FolderWatch watch = FolderWatch.of(shoot, arrivals::add)) {
                assertEquals(null, arrivals.poll(500, TimeUnit.MILLISECONDS));
            }
            assertEquals(List.of("k2.jpg"), files(shoot));
            Files.move(away, shoot.folder());
        }
    }

    /** Of a large folder the first photos show at once, the others come in order. */
    @Test
    void largeFolder_isReadInParts() throws Exception {
        for (int i = 3; i < 10; i++) {
            test.photo("k" + i + ".jpg", 300, 200);
        }
        try (Shoot shoot = Shoot.open(test.folder(), test.locations(), Opening.WHOLE.withFirst(3))) {
            assertEquals(List.of("k2.jpg", "k3.jpg", "k4.jpg"), files(shoot));
            Arrivals next = shoot.look(found -> true, 4);
            assertTrue(next.more());
            shoot.take(next);
            assertEquals(7, shoot.photos().size());
            assertEquals("k8.jpg", shoot.photos().getLast().file());
            shoot.take(shoot.look(found -> true, 4));
            assertEquals(8, shoot.photos().size());
            assertEquals(Arrivals.NONE, shoot.look(found -> true, 4));
        }
        try (Shoot again = Shoot.open(test.folder(), test.locations(), Opening.WHOLE.withFirst(0))) {
            assertEquals(8, again.photos().size(), "known ones need no reading");
        }
    }

    @Test
    void secondProgram_seesArrivalsToo() throws Exception {
        try (Shoot first = test.open();
                Shoot second = test.open()) {
            assertFalse(second.mayEdit());
            test.photo("k5.jpg", 300, 200);
            test.photo("k6.jpg", 200, 300);
            second.take(second.look(found -> true, 10));
            first.take(first.look(found -> true, 10));
            assertEquals(List.of("k2.jpg", "k5.jpg", "k6.jpg"), files(second));
            assertEquals(files(second), files(first));
            assertEquals(3, second.photos().stream().map(Photo::id).distinct().count());
        }
    }
}
