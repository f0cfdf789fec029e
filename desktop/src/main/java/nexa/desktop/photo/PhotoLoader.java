package nexa.desktop.photo;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Raster;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.ScreenColours;
import nexa.imaging.system.PatientThreads;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.preview.PreviewCache;

/**
 * Loads pictures on threads of its own, the most urgent first, and keeps the last used in memory. To be used from one
 * thread, the interface's; the futures complete on a loading thread.
 */
public final class PhotoLoader implements AutoCloseable {
    /** Sizes that previews are made in: for tiles and cards, for the Bench, for large screens. */
    public static final int SMALL = PreviewCache.SMALL;

    public static final int MIDDLE = PreviewCache.MIDDLE;
    public static final int LARGE = 2560;

    /** Every pixel of the photo, up to what a screen's textures hold. */
    public static final int FULL = 8192;

    private record Key(String fingerprint, int edge) {
        /** Of a camera's own picture. */
        static Key ofLook(Photo photo, int edge) {
            return new Key(photo.pixels(), -edge);
        }
    }

    private final PreviewCache cache;
    private final PreviewCache patient;
    /** For the photo being worked on. */
    private final Foremost foremost = new Foremost("nexa-current-");

    /** For first looks, so that all in sight have theirs before the first of them is decoded. */
    private final Foremost looks = new Foremost("nexa-look-");

    /** For what is in sight. */
    private final ThreadPoolExecutor workers;

    /** For what is not yet. */
    private final ThreadPoolExecutor later;

    /** Those that are not done, or failed. */
    private final Map<Key, Job> jobs = new HashMap<>();

    private final PictureMemory pictures;
    private final Background background;
    private final CorrectedPictures corrected;
    private final ProofedPictures proofed;

    /** Jobs that somebody waits for. */
    private final AtomicInteger wanted = new AtomicInteger();

    private volatile ScreenColours screen = ScreenColours.SRGB;
    private long places;

    /** With a memory of its own. */
    public PhotoLoader(PreviewCache cache) {
        this(cache, new PictureMemory());
    }

    /** @param pictures what is in memory already, and is kept in it */
    public PhotoLoader(PreviewCache cache, PictureMemory pictures) {
        this.cache = cache;
        this.patient = cache.madeBy(cache.maker().patient());
        this.pictures = pictures;
        int cores = Math.max(2, Runtime.getRuntime().availableProcessors());
        this.workers =
                pool(cores, Thread.ofPlatform().name("nexa-loader-", 0).daemon().factory());
        this.later = pool(cores, new PatientThreads("nexa-later"));
        this.corrected = new CorrectedPictures(foremost, () -> screen.profile());
        this.proofed = new ProofedPictures(foremost, () -> screen.profile());
        this.background = new Background(patient, later, cores, () -> wanted.get() > 0);
    }

    /** The most urgent first. */
    private static ThreadPoolExecutor pool(int threads, ThreadFactory factory) {
        return new ThreadPoolExecutor(threads, threads, 0, TimeUnit.SECONDS, new PriorityBlockingQueue<>(), factory);
    }

    /** The smallest preview size that has the asked pixels. */
    public static int edgeFor(double pixels) {
        if (pixels <= MIDDLE) {
            return pixels <= SMALL ? SMALL : MIDDLE;
        }
        return pixels <= LARGE ? LARGE : FULL;
    }

    /** What is in memory already. */
    public Optional<ScreenPhoto> ready(Photo photo, int edge) {
        return pictures.get(photo.pixels(), edge);
    }

    /** The largest picture of a photo that is in memory already. */
    public Optional<ScreenPhoto> largestReady(Photo photo) {
        return Stream.of(FULL, LARGE, MIDDLE, SMALL)
                .flatMap(edge -> ready(photo, edge).stream())
                .findFirst();
    }

    /** What light a picture's numbers stand for. */
    public PictureLight light(ScreenPhoto picture) {
        return picture.light(screen.profile());
    }

    /**
     * Loads a readable photo; fails with {@link UnreadablePhotoException} as the cause if it can't be decoded. Whoever
     * no longer wants it says so by {@link #leave}.
     */
    public CompletableFuture<ScreenPhoto> load(Photo photo, Path file, int edge, Urgency urgency) {
        PhotoFacts facts = photo.facts().orElseThrow();
        return wanted(new Key(photo.pixels(), edge), urgency, begun -> {
            if (begun == Urgency.CURRENT && isSlow(photo)) {
                looks.giveWay();
            }
            PreviewCache previews = begun == Urgency.CURRENT ? cache : patient;
            try (Preview preview = previews.preview(file, photo.pixels(), facts, edge)) {
                return shown(preview, facts);
            }
        });
    }

    /**
     * Whether a photo takes longer to load than anybody likes to wait, so that the camera's picture of it, as sharp, comes
     * first: sensor data are developed.
     */
    public static boolean isSlow(Photo photo) {
        return photo.facts().filter(facts -> facts.kind() == FileKind.RAW_DATA).isPresent();
    }

    /**
     * A camera's own picture of a photo, as large as is of use; fails if there is none, or the cache has something better.
     */
    public CompletableFuture<ScreenPhoto> firstLook(Photo photo, Path file, int edge) {
        PhotoFacts facts = photo.facts().orElseThrow();
        return wanted(Key.ofLook(photo, edge), Urgency.FIRST_LOOK, begun -> {
            if (cache.has(photo.pixels(), SMALL)) {
                throw new NoSuchElementException("it is as quick to show it well");
            }
            try (Preview preview = cache.maker().embedded(file, facts, edge).orElseThrow()) {
                return shown(preview, facts);
            }
        });
    }

    /** Whether a first look is worth it: nothing better is in memory. */
    public boolean wantsFirstLook(Photo photo) {
        return ready(photo, SMALL).isEmpty();
    }

    /** Pictures as corrections leave them. */
    public CorrectedPictures corrected() {
        return corrected;
    }

    /** Pictures as they will be printed. */
    public ProofedPictures proofed() {
        return proofed;
    }

    private ScreenPhoto shown(Preview preview, PhotoFacts facts) {
        Raster raster = preview.raster(screen);
        return ScreenPhoto.of(raster, facts.camera().receptors());
    }

    private CompletableFuture<ScreenPhoto> wanted(Key key, Urgency urgency, Job.Loading loading) {
        if (urgency == Urgency.CURRENT) {
            foremost.begins();
        }
        Optional<ScreenPhoto> there = pictures.get(key.fingerprint(), key.edge());
        if (there.isPresent()) {
            return CompletableFuture.completedFuture(there.get());
        }
        jobs.values().removeIf(Job::isLoaded);
        Job known = jobs.get(key);
        if (known == null || known.result().isCompletedExceptionally()) { // a card may have been put back
            known = new Job(begun -> kept(key, loading, begun), urgency);
            jobs.put(key, known);
            wanted.incrementAndGet();
            known.result().whenComplete((loaded, failed) -> wanted.decrementAndGet());
            enter(known, urgency);
        } else if (known.raise(urgency)) {
            enter(known, urgency);
        }
        known.want();
        return known.result();
    }

    /** Remembered before anybody is told of it; unless colours changed meanwhile. */
    private ScreenPhoto kept(Key key, Job.Loading loading, Urgency urgency) throws UnreadablePhotoException {
        ScreenColours colours = screen;
        ScreenPhoto picture = loading.load(urgency);
        pictures.put(key.fingerprint(), key.edge(), picture, colours);
        return picture;
    }

    private void enter(Job job, Urgency urgency) {
        try {
            switch (urgency) {
                case CURRENT -> foremost.execute(job::run);
                case FIRST_LOOK -> looks.execute(job::run);
                case VISIBLE -> workers.execute(inTurn(job, urgency));
                case NEXT, REST -> later.execute(inTurn(job, urgency));
            }
        } catch (RejectedExecutionException closed) {
            job.fail(closed);
        }
    }

    private Queued inTurn(Job job, Urgency urgency) {
        return new Queued(urgency, places++, () -> {
            looks.giveWay();
            foremost.giveWay();
            job.run();
        });
    }

    /** Takes a wish back: what nobody wants any more and is not begun is not loaded. */
    public void leave(Photo photo, int edge) {
        leave(new Key(photo.pixels(), edge));
    }

    /** The same for a first look; that a photo has none need not be remembered, as thousands may have none. */
    public void leaveFirstLook(Photo photo, int edge) {
        Key key = Key.ofLook(photo, edge);
        leave(key);
        Optional.ofNullable(jobs.get(key))
                .filter(job -> job.result().isCompletedExceptionally())
                .ifPresent(job -> jobs.remove(key));
    }

    private void leave(Key key) {
        Job job = jobs.get(key);
        if (job != null && job.leave()) {
            jobs.remove(key);
        }
    }

    /** Makes the small previews of a whole shoot, in order, whenever there is nothing more urgent. */
    public void prepare(Shoot shoot) {
        background.prepare(shoot.photos(), shoot::fileOf, SMALL);
    }

    /** Stops that. */
    public void stopPreparing() {
        background.stop();
    }

    /** Whether nothing is being loaded. */
    public boolean isIdle() {
        return jobs.values().stream().allMatch(job -> job.result().isDone()) && background.isIdle();
    }

    /** Sets the colours that pictures are shown in; all are to be loaded anew. */
    public void screen(ScreenColours colours) {
        if (!colours.equals(screen)) {
            screen = colours;
            jobs.values().removeIf(job -> job.result().isDone());
        }
        pictures.show(colours);
    }

    /** Sets how many bytes of pictures are kept in memory. */
    public void memory(long bytes) {
        pictures.limit(bytes);
    }

    /** Bytes of previews on disk; looks through their folder when first asked. */
    public long onDisk() {
        return cache.size();
    }

    /** Sets how many bytes of previews are kept on disk. May remove files. */
    public void disk(long bytes) {
        cache.limit(bytes);
    }

    /** Removes the previews on disk. */
    public void emptyDisk() {
        cache.clear();
    }

    /** Bytes of pictures in memory. */
    public long weight() {
        return pictures.weight();
    }

    @Override
    public void close() {
        background.stop();
        workers.shutdownNow();
        later.shutdownNow();
        foremost.close();
        looks.close();
    }
}
