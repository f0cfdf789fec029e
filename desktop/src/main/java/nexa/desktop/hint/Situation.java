package nexa.desktop.hint;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.desktop.session.MainView;
import nexa.desktop.setting.Hint;

/**
 * How far somebody is.
 *
 * @param hasFormats whether the brief has any
 * @param several whether there are other photos to carry to
 * @param current the current photo's frame; derived if there is none
 * @param isCarrying whether it shows what a carry would do
 * @param hasChecked whether any frame in the active format was checked
 */
record Situation(
        MainView view,
        boolean hasFormats,
        boolean several,
        FrameState current,
        boolean isCarrying,
        boolean hasChecked) {

    /** The steps that were taken by now. */
    Set<Hint> taken(Set<Hint> before) {
        Set<Hint> taken = EnumSet.noneOf(Hint.class);
        taken.addAll(before);
        Stream.of(Hint.values()).filter(this::takes).forEach(taken::add);
        return taken;
    }

    private boolean takes(Hint hint) {
        return switch (hint) {
            case SHAPES -> hasFormats;
            case LOOK -> view == MainView.BENCH;
            case CARRY -> isCarrying;
            case HANDOVER -> view == MainView.HANDOVER;
        };
    }

    /** What is pointed out: of the steps that were not taken the first that makes sense here. */
    Optional<Hint> pointedOut(Set<Hint> taken) {
        return Stream.of(Hint.values())
                .filter(hint -> !taken.contains(hint) && makesSense(hint))
                .findFirst();
    }

    private boolean makesSense(Hint hint) {
        return switch (hint) {
            case SHAPES -> view == MainView.WALL && !hasFormats;
            case LOOK -> view == MainView.WALL && hasFormats;
            case CARRY -> view == MainView.BENCH && several && current != FrameState.DERIVED;
            case HANDOVER -> view == MainView.WALL && hasChecked; // on the Bench it would move the photo one works on
        };
    }
}
