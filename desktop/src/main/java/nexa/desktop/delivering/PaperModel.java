package nexa.desktop.delivering;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import nexa.core.brief.Format;
import nexa.core.paper.Page;
import nexa.core.paper.Paper;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.guard.NameTakenException;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.RunControl;
import nexa.shoot.paper.ContactSheet;
import nexa.shoot.paper.PaperJob;
import nexa.shoot.paper.PaperJob.Printed;
import nexa.shoot.paper.PrintSheet;
import nexa.words.Words;

/** What is to be put on paper, and how far that is. */
public final class PaperModel {
    /** What the sheets are for. */
    public enum Kind {
        /** A contact sheet, each format beginning a page. */
        BY_FORMAT,
        /** A contact sheet, a photo's formats side by side. */
        BY_PHOTO,
        /** Prints in their sizes, to be cut apart. */
        PRINTS
    }

    /** Where it is. */
    public sealed interface State {
        record Idle() implements State {}

        record Running(int done, int of) implements State {}

        record Done(Printed printed) implements State {}

        /** Another file has the name, and nothing was written yet. */
        record Taken(Path file) implements State {}

        record Failed(Told reason) implements State {}
    }

    private static final double MARGIN = 10;
    private static final String PAPER = "paper";

    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final ObjectProperty<Kind> kind = new SimpleObjectProperty<>(Kind.BY_FORMAT);
    private final ObjectProperty<Paper> paper;
    private final BooleanProperty lying = new SimpleBooleanProperty();
    private final ObjectProperty<Integer> columns = new SimpleObjectProperty<>(5);
    private final ObjectProperty<Double> bleed = new SimpleObjectProperty<>(3.0);
    private final BooleanProperty marks = new SimpleBooleanProperty(true);
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(new State.Idle());
    private RunControl control = new RunControl();

    /** @param work makes the sheets, off the interface's thread */
    public PaperModel(Shoot shoot, Executor work, Executor fx) {
        this.shoot = shoot;
        this.work = work;
        this.fx = fx;
        this.paper = new SimpleObjectProperty<>(shoot.setting(PAPER)
                .flatMap(PaperModel::paper)
                .orElse(Paper.inCountry(Locale.getDefault().getCountry()).getFirst()));
    }

    private static Optional<Paper> paper(String name) {
        return List.of(Paper.values()).stream()
                .filter(each -> each.name().equals(name))
                .findFirst();
    }

    public ObjectProperty<Kind> kindProperty() {
        return kind;
    }

    public ObjectProperty<Paper> paperProperty() {
        return paper;
    }

    /** The paper's long side across. */
    public BooleanProperty lyingProperty() {
        return lying;
    }

    /** Pictures in a row of a contact sheet. */
    public ObjectProperty<Integer> columnsProperty() {
        return columns;
    }

    /** Millimetres of picture beyond a print's cut. */
    public ObjectProperty<Double> bleedProperty() {
        return bleed;
    }

    /** Whether lines say where to cut. */
    public BooleanProperty marksProperty() {
        return marks;
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Where a sheet is put if nobody says: beside what was delivered. */
    public Path usualFile() {
        String name = Words.of(kind.get() == Kind.PRINTS ? "paper.file.prints" : "paper.file.contact");
        return shoot.folder().resolve("delivered").resolve(name);
    }

    /** Begins; progress and end show in {@link #stateProperty}. */
    public void write(Path file, List<Format> formats) {
        write(file, formats, IfTaken.REFUSE);
    }

    /** The same, when it was asked whether the file that has the name goes. */
    public void replace(Path file, List<Format> formats) {
        write(file, formats, IfTaken.REPLACE);
    }

    private void write(Path file, List<Format> formats, IfTaken ifTaken) {
        PaperJob job = job(file.toAbsolutePath(), formats);
        shoot.remember(PAPER, paper.get().name());
        control = new RunControl();
        RunControl mine = control;
        state.set(new State.Running(0, 0));
        work.execute(() -> show(written(job, file, ifTaken, mine)));
    }

    private PaperJob job(Path file, List<Format> formats) {
        Page page = paper.get().page(lying.get(), MARGIN);
        return switch (kind.get()) {
            case BY_FORMAT -> new ContactSheet(file, formats, false, page, columns.get());
            case BY_PHOTO -> new ContactSheet(file, formats, true, page, columns.get());
            case PRINTS -> new PrintSheet(file, formats, page, bleed.get(), marks.get());
        };
    }

    private State written(PaperJob job, Path file, IfTaken ifTaken, RunControl mine) {
        try {
            return new State.Done(
                    job.write(shoot, ifTaken, (done, of) -> show(new State.Running(done, of)), mine, Words::of));
        } catch (NameTakenException taken) { // asked for in the window
            return new State.Taken(file);
        } catch (IOException failed) {
            return new State.Failed(Told.of(failed));
        }
    }

    private void show(State next) {
        fx.execute(() -> state.set(next));
    }

    /** Nothing is written then. */
    public void cancel() {
        control.cancel();
    }
}
