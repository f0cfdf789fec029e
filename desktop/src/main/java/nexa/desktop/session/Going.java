package nexa.desktop.session;

import java.util.List;
import java.util.Optional;
import nexa.shoot.photo.Photo;

/** Going on from photo to photo, checking frames on the way. */
public final class Going {
    private final Session session;

    Going(Session session) {
        this.session = session;
    }

    /** The photos one is going through, in their order: in the Line-up its own, else those the filter lets through. */
    public List<Photo> listed() {
        return session.viewProperty().get() == MainView.LINEUP
                ? session.lineup().shownProperty().get().photos()
                : session.list().photos();
    }

    /** Goes on by so many photos; stays at the ends. */
    public void step(int by) {
        next(by).ifPresent(session::choose);
    }

    public void first() {
        listed().stream().findFirst().ifPresent(session::choose);
    }

    public void last() {
        listed().reversed().stream().findFirst().ifPresent(session::choose);
    }

    private Optional<Photo> next(int by) {
        return session.photo().flatMap(current -> PhotoList.from(listed(), current, by));
    }

    /** To the next photo that is not checked yet. */
    public void nextUnchecked() {
        session.list().nextUnchecked().ifPresent(session::choose);
    }

    /** Accepts the frame as it stands and goes to the next photo; of several chosen photos, accepts all. */
    public void checkAndNext() {
        if (session.together().isOn()) {
            session.frameEdits().checkAll();
            return;
        }
        Optional<Photo> next = next(1);
        session.moment().crop().ifPresent(crop -> session.gestures()
                .edit("edit.check", session.gestures().placed(crop.asChecked())));
        next.ifPresent(session::choose);
    }
}
