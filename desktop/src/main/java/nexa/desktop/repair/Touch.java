package nexa.desktop.repair;

import nexa.core.brief.Framing;
import nexa.core.geometry.Point;

/** A place of the photo that is touched: what a press there leads to. Points are in the isotropic unit of the photo as shot. */
public interface Touch {
    /** What it leads to while the pointer is somewhere. */
    Framing at(Framing framing, Point asShot);

    /**
     * The pointer is let go.
     *
     * @param clicked whether it hardly moved
     */
    void done(Point asShot, boolean clicked);
}
