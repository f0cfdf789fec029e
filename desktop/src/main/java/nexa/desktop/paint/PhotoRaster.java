package nexa.desktop.paint;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Rectangle2D;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;
import nexa.core.geometry.Mapping;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.imaging.boxes.PixelRectangle;
import nexa.imaging.pixels.Raster;
import nexa.imaging.render.ScreenWarp;
import nexa.imaging.render.ScreenWarp.Quality;
import nexa.imaging.render.ScreenWarp.Screen;
import nexa.imaging.render.ScreenWarp.View;
import nexa.imaging.render.Veil;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A photo as one picture of the screen's own pixels, through whatever bends and turns it. It is made off the interface's
 * thread, quickly while something moves and well once nothing does; of several wishes the last one wins, and until its
 * picture is there the one before stays. Wishes that are likely to come next may be prepared. A draft has its veil around
 * the opening of its moment; once nothing moves there is a plain picture and a veiled one, so that the opening moves without
 * another.
 */
public final class PhotoRaster extends Region {
    private static final Logger LOG = LoggerFactory.getLogger(PhotoRaster.class);

    /** Milliseconds without another wish after which nothing moves any more. */
    private static final long AT_REST = 120;

    /** Pictures that wait for their turn: one may still be on its way to the screen. */
    private static final int PICTURES = 2;

    /**
     * What is to be seen.
     *
     * @param screenToPicture from the screen's pixels in the box to the picture's, both continuous
     * @param box where it lies, in the view's units
     * @param width of the box, in the screen's pixels
     * @param beyond the colour of what is not photo, see {@link ScreenWarp}
     * @param squares whether the picture's pixels show as squares
     * @param veil over all but the opening, see {@link Veil}; 0 = none
     */
    public record Wish(
            Raster picture,
            Mapping screenToPicture,
            ScreenBox box,
            int width,
            int height,
            int beyond,
            boolean squares,
            int veil) {}

    private static final PixelRectangle NOTHING = new PixelRectangle(0, 0, 0, 0);
    private static final ScreenBox NOWHERE = new ScreenBox(0, 0, 0, 0);

    private final Executor fx;
    private final Runnable settled;
    private final ImageView ground = new ImageView();
    private final ImageView opening = new ImageView();
    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().name("nexa-bench").daemon().factory());

    /** The number of the last wish; any thread may ask whether its own is still the last. */
    private final AtomicLong latest = new AtomicLong();

    private final ScreenWarp warp = new ScreenWarp(); // the worker's
    private long finished; // the worker's: the last wish made as well as it can be; it is not made so again
    private final Queue<PicturePair> free = new ConcurrentLinkedQueue<>();
    private Optional<PicturePair> shown = Optional.empty();
    private Optional<Wish> wished = Optional.empty();
    private Set<Wish> expected = Set.of(); // next; they are prepared, or about to be
    private final Map<Wish, PicturePair> prepared = new HashMap<>();
    private ScreenBox box = NOWHERE;
    private double scale = 1; // the picture's pixels in a unit of the view
    private Optional<ScreenBox> opened = Optional.empty();
    private boolean opensItself = true; // and is not in the picture that shows
    private long drawn; // the last wish of which something shows
    private long fine; // the last one that shows as well as it can

    /** @param settled called when what was wished for last shows as well as it can */
    public PhotoRaster(Executor fx, Runnable settled) {
        this.fx = fx;
        this.settled = settled;
        ground.setSmooth(false);
        opening.setSmooth(false);
        getChildren().addAll(ground, opening);
        setManaged(false);
        setMouseTransparent(true);
    }

    /** @param part where nothing is veiled, in the view's units */
    public void show(Wish wish, Optional<ScreenBox> part) {
        long mine = latest.incrementAndGet();
        boolean moves = wished.filter(before -> before.picture.equals(wish.picture))
                .isPresent(); // another photo appears and stays
        wished = Optional.of(wish);
        opened = part;
        PicturePair made = prepared.remove(wish);
        if (made != null) {
            expected = Set.of();
            take(mine, wish, Quality.FINE, made);
            return;
        }
        worker.execute(() -> {
            if (wish.squares) {
                make(mine, wish, Quality.PIXELS);
            } else {
                draft(mine, wish, part.map(open -> inPicture(open, wish)).orElse(NOTHING));
                worker.schedule(() -> make(mine, wish, Quality.FINE), moves ? AT_REST : 0, TimeUnit.MILLISECONDS);
            }
        });
    }

    /**
     * Makes what is likely to be wished for next, if something shows and nothing else is to be made; what is no longer likely is
     * forgotten.
     *
     * @param next the likeliest first; asked only if there is time
     */
    public void prepare(Supplier<List<Wish>> next) {
        if (wished.isPresent() && isSettled()) {
            Set<Wish> likely = next.get().stream()
                    .filter(wish -> !wish.squares)
                    .collect(Collectors.toCollection(LinkedHashSet::new));
            if (!likely.equals(expected)) {
                expected = likely;
                forgetUnlikely();
                long now = latest.get();
                likely.stream()
                        .filter(wish -> !prepared.containsKey(wish))
                        .forEach(wish -> worker.execute(() -> makeAhead(now, wish)));
            }
        }
    }

    private void forgetUnlikely() {
        prepared.forEach((wish, pair) -> {
            if (!expected.contains(wish)) {
                free.add(pair);
            }
        });
        prepared.keySet().retainAll(expected);
    }

    private void makeAhead(long now, Wish wish) {
        try {
            Optional<PicturePair> made = now == latest.get() ? Optional.of(fine(wish)) : Optional.empty();
            fx.execute(() -> takeAhead(wish, made));
        } catch (RuntimeException failed) {
            LOG.error("The next photo is not drawn", failed);
        }
    }

    /** @param made nothing if something else had to be made; then it is prepared another time */
    private void takeAhead(Wish wish, Optional<PicturePair> made) {
        if (!expected.contains(wish) || prepared.containsKey(wish)) {
            made.ifPresent(free::add);
        } else if (made.isEmpty()) {
            expected = Set.of();
        } else {
            prepared.put(wish, made.get());
        }
    }

    public void hide() {
        fine = latest.incrementAndGet();
        drawn = fine;
        shown = Optional.empty();
        wished = Optional.empty();
        expected = Set.of();
        prepared.clear();
        free.clear();
        ground.setImage(null);
        opening.setImage(null);
    }

    /** Whether what was wished for last shows, if only as a draft. */
    public boolean isDrawn() {
        return drawn == latest.get();
    }

    /** Whether what was wished for last shows as well as it can. */
    public boolean isSettled() {
        return fine == latest.get();
    }

    /** How many likely wishes are made. */
    public int prepared() {
        return prepared.size();
    }

    /** Opens another part of what shows; one that is veiled around another opening is made well at once. */
    public void open(Optional<ScreenBox> part) {
        if (!opened.equals(part)) {
            opened = part;
            showOpening();
            if (!opensItself && isDrawn()) {
                long mine = latest.get();
                wished.ifPresent(wish -> worker.execute(() -> make(mine, wish, Quality.FINE)));
            }
        }
    }

    private void showOpening() {
        ScreenBox part = opened.map(this::within).orElse(NOWHERE);
        opening.setVisible(part.width() > 0 && part.height() > 0);
        if (opening.isVisible()) {
            opening.setViewport(new Rectangle2D(
                    (part.x() - box.x()) * scale,
                    (part.y() - box.y()) * scale,
                    part.width() * scale,
                    part.height() * scale));
            opening.setFitWidth(part.width());
            opening.setFitHeight(part.height());
            opening.relocate(part.x(), part.y());
        }
    }

    private ScreenBox within(ScreenBox part) {
        double left = Math.max(box.x(), part.x());
        double top = Math.max(box.y(), part.y());
        return new ScreenBox(
                left,
                top,
                Math.max(0, Math.min(box.x() + box.width(), part.x() + part.width()) - left),
                Math.max(0, Math.min(box.y() + box.height(), part.y() + part.height()) - top));
    }

    /** Quickly, and the veil only around the opening. */
    private void draft(long mine, Wish wish, PixelRectangle open) {
        if (wish.veil == 0) {
            make(mine, wish, Quality.DRAFT);
            return;
        }
        making(
                mine,
                wish,
                Quality.DRAFT,
                pair -> warp.show(
                        wish.picture, view(wish, Quality.DRAFT), wish.veil, open, screen(wish, pair.veiled())));
    }

    private void make(long mine, Wish wish, Quality quality) {
        making(mine, wish, quality, pair -> draw(wish, quality, pair));
    }

    private PicturePair fine(Wish wish) {
        PicturePair pair = pair(wish.width, wish.height);
        draw(wish, Quality.FINE, pair);
        return pair;
    }

    private void draw(Wish wish, Quality quality, PicturePair pair) {
        warp.show(wish.picture, view(wish, quality), screen(wish, pair.plain()));
        if (wish.veil != 0) {
            new Veil(wish.veil).over(pair.plain().pixels(), pair.veiled().pixels(), wish.width, wish.height);
        }
    }

    private void making(long mine, Wish wish, Quality quality, Consumer<PicturePair> making) {
        if (mine == latest.get() && mine != finished) {
            try {
                PicturePair pair = pair(wish.width, wish.height);
                making.accept(pair);
                fx.execute(() -> take(mine, wish, quality, pair));
                finished = quality == Quality.DRAFT ? finished : mine;
            } catch (RuntimeException failed) {
                LOG.error("The photo is not drawn", failed);
            }
        }
    }

    private static View view(Wish wish, Quality quality) {
        return new View(wish.screenToPicture, quality, wish.beyond);
    }

    private static Screen screen(Wish wish, PicturePair.Picture into) {
        return new Screen(into.pixels(), wish.width, wish.height);
    }

    /** A part of the view in the picture's pixels. */
    private static PixelRectangle inPicture(ScreenBox part, Wish wish) {
        double scale = wish.width / wish.box.width();
        int left = within((part.x() - wish.box.x()) * scale, wish.width);
        int top = within((part.y() - wish.box.y()) * scale, wish.height);
        int right = within((part.x() + part.width() - wish.box.x()) * scale, wish.width);
        int bottom = within((part.y() + part.height() - wish.box.y()) * scale, wish.height);
        return new PixelRectangle(left, top, right - left, bottom - top);
    }

    private static int within(double place, int side) {
        return (int) Math.clamp(Math.round(place), 0, side);
    }

    private PicturePair pair(int width, int height) {
        PicturePair used = free.size() >= PICTURES ? free.poll() : null;
        return used != null && used.plain().hasSize(width, height) ? used : PicturePair.of(width, height);
    }

    /** A picture of an earlier wish shows as well, if there is no later one yet: it is nearer to what is wished. */
    private void take(long mine, Wish wish, Quality quality, PicturePair pair) {
        if (fine == latest.get() && mine != latest.get()) {
            return; // hidden meanwhile
        }
        shown.ifPresent(free::add);
        shown = Optional.of(pair);
        box = wish.box;
        scale = wish.width / wish.box.width();
        opensItself = wish.veil == 0 || quality != Quality.DRAFT;
        PicturePair.Picture below = wish.veil == 0 ? pair.plain() : pair.veiled();
        below.buffer().updateBuffer(all -> null);
        if (wish.veil != 0 && opensItself) {
            pair.plain().buffer().updateBuffer(all -> null);
        }
        ground.setImage(below.image());
        ground.setFitWidth(box.width());
        ground.setFitHeight(box.height());
        ground.relocate(box.x(), box.y());
        opening.setImage(wish.veil != 0 && opensItself ? pair.plain().image() : null);
        showOpening();
        drawn = mine;
        if (quality != Quality.DRAFT && mine == latest.get()) {
            fine = mine;
            settled.run();
        }
    }

    public void dispose() {
        hide();
        worker.execute(warp::close);
        worker.shutdown();
    }
}
