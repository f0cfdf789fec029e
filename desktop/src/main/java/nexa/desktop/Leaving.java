package nexa.desktop;

import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import javafx.scene.layout.Pane;
import nexa.desktop.model.Unsaved;
import nexa.desktop.pane.UnsavedView;
import nexa.shoot.Shoot;

/** Sees to it that a shoot is not left with changes that are not stored, unless the user gives them up. */
final class Leaving {
    private final Pane over;
    private final Executor work;
    private final Executor fx;
    private Optional<UnsavedView> asking = Optional.empty();

    /** @param over where the question is shown, above all else */
    Leaving(Pane over, Executor work, Executor fx) {
        this.over = over;
        this.work = work;
        this.fx = fx;
    }

    /**
     * Waits, off the interface's thread, until all is stored; asks where that does not work. Completes with whether the
     * shoot may be closed, at once if nothing is to be stored.
     */
    CompletableFuture<Boolean> leave(Shoot shoot) {
        if (asking.isPresent()) {
            return CompletableFuture.completedFuture(false); // one answer is enough
        }
        if (shoot.isStored()) {
            return CompletableFuture.completedFuture(true);
        }
        if (shoot.savingTrouble().isPresent()) { // trying again would take a while
            return ask(shoot);
        }
        return CompletableFuture.supplyAsync(() -> stored(shoot), work)
                .thenComposeAsync(stored -> stored ? CompletableFuture.completedFuture(true) : ask(shoot), fx);
    }

    private static boolean stored(Shoot shoot) {
        try {
            return shoot.tryToSave();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private CompletableFuture<Boolean> ask(Shoot shoot) {
        CompletableFuture<Boolean> answer = new CompletableFuture<>();
        if (asking.isPresent()) {
            answer.complete(false);
            return answer;
        }
        UnsavedView view = new UnsavedView(
                new Unsaved(shoot, work, fx), () -> answer.complete(true), () -> answer.complete(false));
        asking = Optional.of(view);
        over.getChildren().add(view);
        return answer.whenComplete((may, never) -> {
            asking = Optional.empty();
            view.dispose();
            over.getChildren().remove(view);
        });
    }
}
