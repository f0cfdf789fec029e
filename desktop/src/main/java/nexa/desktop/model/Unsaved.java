package nexa.desktop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.CropsTable;
import nexa.shoot.guard.WriteGuard.IfTaken;

/** Changes that could not be stored, when the shoot is to be closed. */
public final class Unsaved {
    /** How it stands. */
    public sealed interface State {
        record Unstored(Told reason) implements State {}

        record Stored() implements State {}

        /** All crops are in a table elsewhere. */
        record Kept(int rows, Path file) implements State {}

        record NotKept(Told reason) implements State {}
    }

    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<State> state;

    /** @param work writes files, off the interface's thread */
    public Unsaved(Shoot shoot, Executor work, Executor fx) {
        this.shoot = shoot;
        this.work = work;
        this.fx = fx;
        this.state = new ReadOnlyObjectWrapper<>(now());
    }

    private State now() {
        return shoot.savingTrouble().<State>map(State.Unstored::new).orElseGet(State.Stored::new);
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public String usualName() {
        return shoot.name() + ".csv";
    }

    /** Tries to store them once more. */
    public void tryAgain() {
        work.execute(() -> {
            try {
                shoot.tryToSave();
                show(now());
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        });
    }

    /** Writes all crops to a table. @param file one of that name is replaced: whoever chose it was asked */
    public void keep(Path file) {
        work.execute(() -> {
            try {
                show(new State.Kept(CropsTable.write(shoot, file.toAbsolutePath(), IfTaken.REPLACE), file));
            } catch (IOException failed) {
                show(new State.NotKept(Told.of(failed)));
            }
        });
    }

    private void show(State next) {
        fx.execute(() -> state.set(next));
    }
}
