package nexa.desktop.session;

import java.util.Optional;
import nexa.core.space.Correction;
import nexa.core.space.Pose;
import nexa.shoot.photo.Photo;

/** What one photo's correction comes to on another. */
@FunctionalInterface
public interface CarriedCorrections {
    /** Of which nothing is known: each photo keeps its own. */
    CarriedCorrections NONE = (from, to, target) -> Optional.of(target.correction());

    /** Empty as long as what it takes is not there; whoever asks is told when it is. */
    Optional<Correction> carried(Pose from, Photo to, Pose target);
}
