package nexa.desktop.delivering;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Executor;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.exchange.Changes;
import nexa.shoot.exchange.CropsTable;
import nexa.shoot.exchange.Exchanged;
import nexa.shoot.exchange.Sidecars;
import nexa.shoot.guard.WriteGuard.IfTaken;

/** Crops that leave the shoot's store or come into it, and what came of it. Reading is one step that can be undone. */
public final class ExchangeModel {
    /** What came of the last thing that was done. */
    public sealed interface State {
        record Idle() implements State {}

        record Busy() implements State {}

        record Wrote(Exchanged exchanged) implements State {}

        record Read(Exchanged exchanged) implements State {}

        record WroteTable(int rows, Path file) implements State {}

        record Failed(Told reason) implements State {}
    }

    /** One of the things to do; how it ends is found out on the interface's thread, where edits are done. */
    private interface Task {
        Supplier<State> run() throws IOException;
    }

    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(new State.Idle());

    /** @param work reads and writes files, off the interface's thread */
    public ExchangeModel(Shoot shoot, Executor work, Executor fx) {
        this.shoot = shoot;
        this.work = work;
        this.fx = fx;
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public void writeSidecars() {
        begin(() -> {
            Exchanged exchanged = Sidecars.write(shoot, photo -> true);
            return () -> new State.Wrote(exchanged);
        });
    }

    public void readSidecars() {
        begin(() -> applied(Sidecars.read(shoot)));
    }

    /** @param file a file of that name is replaced: whoever chose it was asked */
    public void writeTable(Path file) {
        begin(() -> {
            int rows = CropsTable.write(shoot, file.toAbsolutePath(), IfTaken.REPLACE);
            return () -> new State.WroteTable(rows, file);
        });
    }

    public void readTable(Path file) {
        begin(() -> applied(CropsTable.read(shoot, file)));
    }

    private static Supplier<State> applied(Changes changes) {
        return () -> new State.Read(changes.apply());
    }

    private void begin(Task task) {
        state.set(new State.Busy());
        work.execute(() -> {
            Supplier<State> end = done(task);
            fx.execute(() -> state.set(end.get()));
        });
    }

    private static Supplier<State> done(Task task) {
        try {
            return task.run();
        } catch (IOException failed) {
            return () -> new State.Failed(Told.of(failed));
        }
    }
}
