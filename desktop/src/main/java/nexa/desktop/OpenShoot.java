package nexa.desktop;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.util.Duration;
import javafx.util.Subscription;
import nexa.desktop.model.ShootModels;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.repair.Filling;
import nexa.desktop.session.Session;
import nexa.desktop.setting.PictureSettings;
import nexa.imaging.preview.ScreenColours;
import nexa.shoot.Arrivals;
import nexa.shoot.Shoot;
import nexa.shoot.incoming.FolderWatch;
import nexa.shoot.photo.Photo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * All that lives as long as a shoot is open: its session and models, its pictures in memory, the watch over its folder,
 * and what listens to the program's settings on its behalf. Closing ends all of that; the shoot itself is closed by
 * {@link Doors}. On the interface's thread.
 */
final class OpenShoot implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(OpenShoot.class);
    private static final Duration FIRST_SCREEN_ASKED = Duration.millis(250);
    private static final int FIRST_SCREEN_ASKS = 40;

    /** Between two looks whether photos are still loaded, in milliseconds. */
    private static final long LOOK_AGAIN = 200;

    private final Shoot shoot;
    private final Program program;
    private final PhotoLoader loader;
    private final ShootModels models;
    private final Timeline firstScreen = new Timeline();
    private final Subscription pictures;
    private final Looking looking;
    private Optional<FolderWatch> watch = Optional.empty();
    private volatile boolean closed;

    OpenShoot(Shoot shoot, Program program) {
        this.shoot = shoot;
        this.program = program;
        this.loader = new PhotoLoader(program.previews(), program.pictures());
        this.pictures = follow(program.settings().pictures());
        this.models = ShootModels.of(
                new Session(shoot, program.settings()),
                program.shelf(),
                program.lenses(),
                photo -> loader.largestReady(photo)
                        .map(shown -> new Filling.OnScreen(shown.raster(), loader.light(shown))),
                program.work(),
                program.fx());
        this.looking = new Looking(shoot, program, this::isCalm);
        afterFirstScreen();
    }

    private Subscription follow(PictureSettings pictures) {
        loader.memory(pictures.memoryBytes());
        loader.screen(pictures.screenColours());
        return pictures.memoryProperty().subscribe((before, now) -> loader.memory(pictures.memoryBytes()));
    }

    Shoot shoot() {
        return shoot;
    }

    Session session() {
        return models.session();
    }

    ShootModels models() {
        return models;
    }

    PhotoLoader loader() {
        return loader;
    }

    /** Colours for a screen; all pictures are to be loaded anew. */
    void show(ScreenColours screen) {
        loader.screen(screen);
    }

    /**
     * What is not in sight waits until what is shows: reading and decoding take all cores. The first time it is asked is
     * before the window is laid out, when nothing was wished for yet.
     */
    private void afterFirstScreen() {
        AtomicInteger asked = new AtomicInteger();
        firstScreen.getKeyFrames().add(new KeyFrame(FIRST_SCREEN_ASKED, event -> {
            if (asked.getAndIncrement() > 0 && loader.isIdle()) {
                firstScreen.stop();
            }
        }));
        firstScreen.setCycleCount(FIRST_SCREEN_ASKS);
        firstScreen.statusProperty().subscribe((before, now) -> {
            if (now == Animation.Status.STOPPED && !closed) {
                loader.prepare(shoot);
                watch = Optional.of(
                        FolderWatch.of(shoot, arrivals -> program.fx().execute(() -> take(arrivals))));
                looking.begin();
                session().editsProperty().subscribe(count -> shoot.history().readAhead(program.patient()));
                program.patient().execute(this::lookThrough);
            }
        });
        firstScreen.play();
    }

    /** Damage shows once there is time to look for it; while photos are loaded there is none. */
    private void lookThrough() {
        try {
            for (Photo photo : shoot.photos()) {
                while (!closed
                        && !CompletableFuture.supplyAsync(this::isCalm, program.fx())
                                .join()) {
                    Thread.sleep(LOOK_AGAIN);
                }
                Arrivals damaged = shoot.lookThrough(List.of(photo), () -> !closed);
                if (!damaged.photos().isEmpty()) {
                    program.fx().execute(() -> take(damaged));
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } catch (IOException unstored) {
            LOG.warn("Damage in photos of {} is not kept", shoot.folder(), unstored);
        }
    }

    /** Whether no picture is waited for and nobody does anything; asked on the interface's thread, whose the loader is. */
    private boolean isCalm() {
        return loader.isIdle() && program.rest().isNow();
    }

    /** Photos came into the folder; of a shoot that was closed meanwhile they wait for the next time. */
    private void take(Arrivals arrivals) {
        if (!closed) {
            shoot.take(arrivals);
            loader.prepare(shoot);
            looking.begin();
        }
    }

    @Override
    public void close() {
        closed = true;
        firstScreen.stop();
        watch.ifPresent(FolderWatch::close);
        looking.close();
        pictures.unsubscribe();
        models.dispose();
        loader.close();
    }
}
