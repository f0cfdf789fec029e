package nexa.shoot.edit;

import java.util.Optional;
import nexa.shoot.edit.Edit.FramingChange;

/** One of the actions that can be taken back or done again. What a stored one changed is read when it is asked for. */
public interface Step {
    /** What the photographer did, as a key of the interface's words. */
    String label();

    /** How many photos it changed; 0 if only the brief, or if that can't be read. */
    int photoCount();

    /** What it changed of the first of them; empty if there is none, or if that can't be read. */
    Optional<FramingChange> first();

    /** Whether all that it changed is in memory. Any thread may ask. */
    boolean isAtHand();

    /**
     * All that it changed. Any thread may ask.
     *
     * @throws UnreadableStepException if that can't be read any more
     */
    Edit edit();
}
