package nexa.desktop;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import javafx.util.Subscription;
import nexa.core.sight.Sight;
import nexa.shoot.Shoot;
import nexa.shoot.mark.Onlooker;
import nexa.shoot.photo.Photo;

/**
 * Looks at the photos of an open shoot for what they show, one after another while no picture is waited for, so that frames
 * nobody placed keep people and subjects. Unless the user does not want it. On the interface's thread.
 */
final class Looking implements AutoCloseable {
    /** Frames move when something is seen, and all of the shoot is counted anew: several photos at once, but so many times. */
    private static final int AT_ONCE = 12;

    private static final int TIMES = 100;

    /** Between two looks whether all is calm, in milliseconds. */
    private static final long LOOK_AGAIN = 200;

    private final Shoot shoot;
    private final Program program;
    private final BooleanSupplier calm;
    private final Onlooker onlooker;
    private final Subscription wish;
    private boolean begun;
    private boolean looking;
    private boolean closed;

    /** @param calm whether no picture is waited for and nobody does anything; asked on the interface's thread */
    Looking(Shoot shoot, Program program, BooleanSupplier calm) {
        this.shoot = shoot;
        this.program = program;
        this.calm = calm;
        this.onlooker = new Onlooker(shoot, program.previews());
        this.wish = program.settings().lookProperty().subscribe((before, now) -> lookIfWished());
    }

    /** Begins; from now on also with photos that come later. */
    void begin() {
        begun = true;
        lookIfWished();
    }

    private boolean isWished() {
        return begun && !closed && program.settings().lookProperty().get();
    }

    private void lookIfWished() {
        List<Photo> unseen = isWished() && !looking ? Onlooker.unseen(shoot) : List.of();
        if (!unseen.isEmpty()) {
            looking = true;
            program.patient().execute(() -> lookAt(unseen));
        }
    }

    private void lookAt(List<Photo> photos) {
        Map<Photo, Sight> seen = new HashMap<>();
        int atOnce = Math.max(AT_ONCE, photos.size() / TIMES);
        try {
            for (Photo photo : photos) {
                if (!mayGoOn()) {
                    break;
                }
                seen.put(photo, onlooker.look(photo));
                if (seen.size() == atOnce) {
                    tell(Map.copyOf(seen));
                    seen.clear();
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } finally {
            Map<Photo, Sight> last = Map.copyOf(seen);
            program.fx().execute(() -> {
                saw(last);
                looking = false;
                lookIfWished();
            });
        }
    }

    private void tell(Map<Photo, Sight> seen) {
        program.fx().execute(() -> saw(seen));
    }

    private void saw(Map<Photo, Sight> seen) {
        if (!closed) {
            shoot.saw(seen);
        }
    }

    /** Waits until all is calm; false if this is no longer wished. */
    private boolean mayGoOn() throws InterruptedException {
        while (isSo(this::isWished)) {
            if (isSo(calm)) {
                return true;
            }
            Thread.sleep(LOOK_AGAIN);
        }
        return false;
    }

    /** Asked on the interface's thread. */
    private boolean isSo(BooleanSupplier question) {
        return CompletableFuture.supplyAsync(question::getAsBoolean, program.fx())
                .join();
    }

    @Override
    public void close() {
        closed = true;
        wish.unsubscribe();
    }
}
