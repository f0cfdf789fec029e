package nexa.shoot.edit;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The actions that can be undone and redone, newest first; they survive the program's end. Not thread-safe. */
public final class History {
    /** Most steps that can be taken back. */
    public static final int DEEPEST = 500;

    private static final Logger LOG = LoggerFactory.getLogger(History.class);

    /** Most changes of photos in memory, of some two hundred bytes each; older steps are forgotten beyond it. */
    private static final long MOST_CHANGES = 1_000_000;

    /** What becomes of a step, to be stored with the edit. Places count up from the oldest step. */
    public sealed interface Move {
        /**
         * A new step; what was undone is forgotten, and so are steps too far back.
         *
         * @param edit all of the step; it takes the place of what was there
         */
        record Did(long place, Edit edit) implements Move {}

        record Undid(long place) implements Move {}

        record Redid(long place) implements Move {}
    }

    /** An edit to be made, and what it is among the steps. */
    public record Change(Edit edit, Move move) {}

    private final Deque<Step> done = new ArrayDeque<>();
    private final Deque<Step> undone = new ArrayDeque<>();
    private long newest;

    public History() {}

    /**
     * As it was left.
     *
     * @param done oldest first
     * @param undone the next to be done again first
     * @param newest place of the newest done step
     */
    public History(List<Step> done, List<Step> undone, long newest) {
        done.forEach(this.done::push);
        undone.forEach(this.undone::addLast);
        this.newest = newest;
    }

    /** Small steps of the same kind, one right after the other, become one. */
    public Move did(Edit edit) {
        Optional<Edit> joined = undone.isEmpty() ? joined(edit) : Optional.empty();
        if (joined.isPresent()) {
            done.pop();
            done.push(joined.get());
            return new Move.Did(newest, joined.get());
        }
        done.push(edit);
        undone.clear();
        newest++;
        while (done.size() > DEEPEST || done.size() > 1 && changes() > MOST_CHANGES) {
            done.removeLast();
        }
        return new Move.Did(newest, edit);
    }

    private long changes() {
        return done.stream().filter(Step::isAtHand).mapToLong(Step::photoCount).sum();
    }

    /** With the step before, if it is one more of the same. */
    private Optional<Edit> joined(Edit edit) {
        try {
            return Optional.ofNullable(done.peek()).filter(edit::continues).map(before -> edit.joined(before.edit()));
        } catch (UnreadableStepException spoiled) { // told when it is to be taken back
            return Optional.empty();
        }
    }

    /**
     * What takes the newest action back.
     *
     * @throws UnreadableStepException if it can't be read any more; neither it nor what lies behind can be reached then
     */
    public Optional<Change> undo() {
        return move(done, undone).map(edit -> new Change(edit.inverse(), new Move.Undid(newest--)));
    }

    /**
     * What does the last undone action again.
     *
     * @throws UnreadableStepException if it can't be read any more; neither it nor what lies behind can be reached then
     */
    public Optional<Change> redo() {
        return move(undone, done).map(edit -> new Change(edit, new Move.Redid(++newest)));
    }

    /**
     * Has read what the next step back or forward needs, so that nobody waits for it.
     *
     * @param background has work done on other threads
     */
    public void readAhead(Executor background) {
        Stream.of(done, undone)
                .flatMap(steps -> Stream.ofNullable(steps.peek()))
                .filter(step -> !step.isAtHand())
                .forEach(step -> background.execute(() -> read(step)));
    }

    private static void read(Step step) {
        try {
            step.edit();
        } catch (UnreadableStepException spoiled) { // told when it is to be taken back
            LOG.info("A step can't be read", spoiled);
        }
    }

    /** The actions that can be taken back, newest first. */
    public List<Step> done() {
        return List.copyOf(done);
    }

    /** The actions that can be done again, next first. */
    public List<Step> undone() {
        return List.copyOf(undone);
    }

    public Optional<String> nextUndo() {
        return Optional.ofNullable(done.peek()).map(Step::label);
    }

    public Optional<String> nextRedo() {
        return Optional.ofNullable(undone.peek()).map(Step::label);
    }

    private static Optional<Edit> move(Deque<Step> from, Deque<Step> to) {
        try {
            Optional<Edit> moved = Optional.ofNullable(from.peek()).map(Step::edit);
            moved.ifPresent(edit -> to.push(from.pop()));
            return moved;
        } catch (UnreadableStepException spoiled) {
            from.clear();
            throw spoiled;
        }
    }
}
