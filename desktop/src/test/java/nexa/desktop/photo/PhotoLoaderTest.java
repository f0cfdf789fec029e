package nexa.desktop.photo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import nexa.imaging.codec.PhotoCodec;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.preview.PreviewCache;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.AdditionalAnswers;

class PhotoLoaderTest {
    private static final Path DEMO = Path.of("..", "demo", "fennick-kiln");

    @TempDir
    Path base;

    private Shoot shoot(int photos) throws Exception {
        Path folder = Files.createDirectories(base.resolve("shoot"));
        for (int i = 0; i < photos; i++) {
            String name = "kiln_02%02d.jpg".formatted(i + 1);
            Files.copy(DEMO.resolve(name), folder.resolve(name));
        }
        return Shoot.open(folder, new Locations(base.resolve("data"), base.resolve("cache")));
    }

    private PreviewCache cache() {
        return new PreviewCache(base.resolve("previews"), Long.MAX_VALUE, new PreviewMaker(PhotoCodecs.STANDARD));
    }

    @Test
    void queue_givesTheMostUrgentFirst_thenTheFirstThatCame() {
        PriorityBlockingQueue<Queued> queue = new PriorityBlockingQueue<>();
        List<String> done = new ArrayList<>();
        List<Urgency> came = List.of(
                Urgency.REST, Urgency.VISIBLE, Urgency.NEXT, Urgency.VISIBLE, Urgency.CURRENT, Urgency.FIRST_LOOK);
        for (int i = 0; i < came.size(); i++) {
            String name = came.get(i) + " " + i;
            queue.add(new Queued(came.get(i), i, () -> done.add(name)));
        }
        while (!queue.isEmpty()) {
            queue.poll().run();
        }
        assertEquals(List.of("CURRENT 4", "FIRST_LOOK 5", "VISIBLE 1", "VISIBLE 3", "NEXT 2", "REST 0"), done);
    }

    @Test
    void job_isGivenUpOnlyWhenNobodyWaitsAndItIsNotBegun() {
        Job job = new Job(
                urgency -> {
                    throw new AssertionError("given up");
                },
                Urgency.VISIBLE);
        job.want();
        job.want();
        assertFalse(job.leave(), "another one waits");
        assertTrue(job.raise(Urgency.CURRENT));
        assertFalse(job.raise(Urgency.NEXT), "never less urgent");
        assertTrue(job.leave());
        job.run();
        assertThrows(CancellationException.class, () -> job.result().getNow(null));
    }

    @Test
    void photosNobodyWantsAnyMore_areNotDecoded() throws Exception {
        try (Shoot shoot = shoot(12);
                PhotoLoader loader = new PhotoLoader(cache())) {
            List<Photo> photos = shoot.photos();
            List<CompletableFuture<ScreenPhoto>> loading = photos.stream()
                    .map(p -> loader.load(p, shoot.fileOf(p), PhotoLoader.MIDDLE, Urgency.VISIBLE))
                    .toList();
            photos.subList(4, 12).forEach(p -> loader.leave(p, PhotoLoader.MIDDLE));
            for (CompletableFuture<ScreenPhoto> wanted : loading.subList(0, 4)) {
                assertEquals(1280, longEdge(wanted.get(20, TimeUnit.SECONDS)));
            }
            long cancelled =
                    loading.stream().filter(CompletableFuture::isCancelled).count();
            assertTrue(cancelled >= 6, "only those begun already go on: " + cancelled);
            Photo last = photos.getLast();
            assertEquals(
                    1280,
                    longEdge(loader.load(last, shoot.fileOf(last), PhotoLoader.MIDDLE, Urgency.CURRENT)
                            .get(20, TimeUnit.SECONDS)),
                    "wanted again it is loaded");
        }
    }

    @Test
    void firstLooks_areThereBeforeAnythingIsDecoded() throws Exception {
        List<String> done = Collections.synchronizedList(new ArrayList<>());
        try (Shoot shoot = shoot(8);
                PhotoLoader loader = new PhotoLoader(cache())) {
            List<CompletableFuture<?>> all = new ArrayList<>();
            for (Photo photo : shoot.photos()) {
                all.add(loader.firstLook(photo, shoot.fileOf(photo), PhotoLoader.SMALL)
                        .handle((look, none) -> done.add("look")));
                all.add(loader.load(photo, shoot.fileOf(photo), PhotoLoader.MIDDLE, Urgency.VISIBLE)
                        .thenAccept(decoded -> done.add("decoded")));
            }
            CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).get(20, TimeUnit.SECONDS);
        }
        assertEquals(16, done.size());
        long looks = done.subList(0, 8).stream().filter("look"::equals).count();
        assertTrue(looks >= 6, "only those that were begun before the next look was asked for: " + done);
    }

    private static double longEdge(ScreenPhoto photo) {
        return Math.max(photo.image().getWidth(), photo.image().getHeight());
    }

    @Test
    void failedLoad_isTriedAgainWhenTheFileIsBack() throws Exception {
        try (Shoot shoot = shoot(1);
                PhotoLoader loader = new PhotoLoader(cache())) {
            Photo photo = shoot.photos().getFirst();
            Path file = shoot.fileOf(photo);
            Path pulled = base.resolve("pulled");
            Files.move(file, pulled);
            assertThrows(ExecutionException.class, () -> load(loader, photo, file));
            Files.move(pulled, file);
            assertEquals(PhotoLoader.SMALL, longEdge(load(loader, photo, file)));
        }
    }

    private static ScreenPhoto load(PhotoLoader loader, Photo photo, Path file) throws Exception {
        return loader.load(photo, file, PhotoLoader.SMALL, Urgency.VISIBLE).get(20, TimeUnit.SECONDS);
    }

    @Test
    void memory_keepsToItsLimit() throws Exception {
        try (Shoot shoot = shoot(10);
                PhotoLoader loader = new PhotoLoader(cache())) {
            loader.memory(3_000_000);
            for (Photo photo : shoot.photos()) {
                loader.load(photo, shoot.fileOf(photo), PhotoLoader.SMALL, Urgency.VISIBLE)
                        .get(20, TimeUnit.SECONDS);
            }
            loader.memory(3_000_000);
            assertTrue(loader.weight() <= 3_000_000, "held " + loader.weight());
            assertTrue(loader.ready(shoot.photos().getLast(), PhotoLoader.SMALL).isPresent());
            assertTrue(
                    loader.ready(shoot.photos().getFirst(), PhotoLoader.SMALL).isEmpty());
        }
    }

    /** Whoever closed a shoot may take its disk away. */
    @Test
    void decodeThatEndsAfterClosing_writesNothing() throws Exception {
        CountDownLatch decoded = new CountDownLatch(1);
        AtomicBoolean goesOn = new AtomicBoolean();
        PhotoCodec jpeg = PhotoCodecs.STANDARD.inOrder().getFirst();
        PhotoCodec slow = mock(PhotoCodec.class, AdditionalAnswers.delegatesTo(jpeg));
        doAnswer(call -> {
                    Source source = jpeg.open(call.getArgument(0), call.getArgument(1), call.getArgument(2));
                    decoded.countDown();
                    while (!goesOn.get()) { // as native code does, whoever interrupts it
                        Thread.onSpinWait();
                    }
                    return source;
                })
                .when(slow)
                .open(any(), any(), any());
        PreviewCache cache = cache().madeBy(new PreviewMaker(new PhotoCodecs(List.of(slow))));
        try (Shoot shoot = shoot(1)) {
            Photo photo = shoot.photos().getFirst();
            PhotoLoader loader = new PhotoLoader(cache);
            CompletableFuture<ScreenPhoto> loading =
                    loader.load(photo, shoot.fileOf(photo), PhotoLoader.SMALL, Urgency.NEXT);
            assertTrue(decoded.await(20, TimeUnit.SECONDS));
            loader.close();
            goesOn.set(true);
            assertEquals(PhotoLoader.SMALL, longEdge(loading.get(20, TimeUnit.SECONDS)));
            assertFalse(cache.has(photo.pixels(), PhotoLoader.SMALL));
        }
    }

    @Test
    void wholeShoot_isPreparedInTheBackground() throws Exception {
        try (Shoot shoot = shoot(6);
                PhotoLoader loader = new PhotoLoader(cache())) {
            Files.delete(shoot.fileOf(shoot.photos().get(2))); // a card that is pulled out stops nothing
            loader.prepare(shoot);
            while (!loader.isIdle()) {
                Thread.onSpinWait();
            }
            for (int i = 0; i < 6; i++) {
                assertEquals(i != 2, cache().has(shoot.photos().get(i).fingerprint(), PhotoLoader.SMALL));
            }
        }
    }
}
