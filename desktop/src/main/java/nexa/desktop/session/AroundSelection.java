package nexa.desktop.session;

import java.util.List;
import java.util.Set;
import nexa.shoot.photo.Photo;

/** What the selection asks of the session whose it is. */
record AroundSelection(Session session) implements Selection.Around {
    @Override
    public List<Photo> ordered(Set<Photo> some) {
        return session.list().ordered(some);
    }

    @Override
    public List<Photo> current() {
        return session.photo().stream().toList();
    }

    @Override
    public List<Photo> listed() {
        return view() == MainView.LINEUP
                ? session.going().listed()
                : session.list().matching();
    }

    @Override
    public MainView view() {
        return session.viewProperty().get();
    }
}
