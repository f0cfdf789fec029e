package nexa.shoot.edit;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** The actions that can be undone and redone, newest first; they survive the program's end. Not thread-safe. */
public final class History {
    /** An edit holds a few hundred bytes a photo, so even carries to thousands stay below tens of megabytes. */
    public static final int DEEPEST = 500;

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

    private final Deque<Edit> done = new ArrayDeque<>();
    private final Deque<Edit> undone = new ArrayDeque<>();
    private long newest;

    public History() {}

    /**
     * As it was left.
     *
     * @param done oldest first
     * @param undone the next to be done again first
     * @param newest place of the newest done step
     */
    public History(List<Edit> done, List<Edit> undone, long newest) {
        done.forEach(this.done::push);
        undone.forEach(this.undone::addLast);
        this.newest = newest;
    }

    /** Small steps of the same kind, one right after the other, become one. */
    public Move did(Edit edit) {
        Edit before = done.peek();
        if (before != null && undone.isEmpty() && edit.continues(before)) {
            done.pop();
            done.push(edit.joined(before));
            return new Move.Did(newest, done.getFirst());
        }
        done.push(edit);
        undone.clear();
        newest++;
        if (done.size() > DEEPEST) {
            done.removeLast();
        }
        return new Move.Did(newest, edit);
    }

    /** What takes the newest action back. */
    public Optional<Change> undo() {
        return move(done, undone).map(edit -> new Change(edit.inverse(), new Move.Undid(newest--)));
    }

    /** What does the last undone action again. */
    public Optional<Change> redo() {
        return move(undone, done).map(edit -> new Change(edit, new Move.Redid(++newest)));
    }

    /** The actions that can be taken back, newest first. */
    public List<Edit> done() {
        return List.copyOf(done);
    }

    /** The actions that can be done again, next first. */
    public List<Edit> undone() {
        return List.copyOf(undone);
    }

    public Optional<String> nextUndo() {
        return Optional.ofNullable(done.peek()).map(Edit::label);
    }

    public Optional<String> nextRedo() {
        return Optional.ofNullable(undone.peek()).map(Edit::label);
    }

    private static Optional<Edit> move(Deque<Edit> from, Deque<Edit> to) {
        Optional<Edit> moved = Optional.ofNullable(from.poll());
        moved.ifPresent(to::push);
        return moved;
    }
}
