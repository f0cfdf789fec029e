package nexa.desktop.bench;

import java.util.Optional;
import nexa.core.space.PhotoSpace;
import nexa.desktop.camera.Camera;
import nexa.desktop.session.Moment;
import nexa.desktop.session.Session;
import nexa.desktop.setting.Mover;
import nexa.shoot.photo.Photo;

/** What the Bench's camera looks at: the current photo, with its neighbours. */
record BenchSubject(Session session) implements Camera.Subject {
    @Override
    public Moment moment() {
        return session.moment();
    }

    @Override
    public boolean isPhotoMoved() {
        return session.settings().moverProperty().get() == Mover.PHOTO;
    }

    @Override
    public boolean showsNeighbours() {
        return session.settings().neighboursProperty().get();
    }

    @Override
    public Optional<Photo> neighbour(int side) {
        return session.list().beside(side);
    }

    @Override
    public Optional<PhotoSpace> space(Photo photo) {
        return session.shoot().space(photo);
    }
}
