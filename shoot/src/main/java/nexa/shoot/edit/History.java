package nexa.shoot.edit;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** The actions that can be undone and redone, newest first. Not thread-safe. */
public final class History {
    /** An edit holds a few hundred bytes a photo, so even carries to thousands stay below tens of megabytes. */
    private static final int DEEPEST = 500;

    private final Deque<Edit> done = new ArrayDeque<>();
    private final Deque<Edit> undone = new ArrayDeque<>();

    /** Small steps of the same kind, one right after the other, become one. */
    public void did(Edit edit) {
        Edit before = done.peek();
        if (before != null && undone.isEmpty() && edit.continues(before)) {
            done.pop();
            done.push(edit.joined(before));
            return;
        }
        done.push(edit);
        undone.clear();
        if (done.size() > DEEPEST) {
            done.removeLast();
        }
    }

    /** The edit that takes the newest action back. */
    public Optional<Edit> undo() {
        return move(done, undone).map(Edit::inverse);
    }

    /** The edit that does the last undone action again. */
    public Optional<Edit> redo() {
        return move(undone, done);
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
