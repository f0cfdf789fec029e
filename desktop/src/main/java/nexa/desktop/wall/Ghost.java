package nexa.desktop.wall;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import nexa.core.brief.Derivation;
import nexa.core.brief.Format;
import nexa.core.carry.Carried;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.session.Session;

/** What a carry that is being prepared would make of a photo, dashed on the photo as it is held now. */
final class Ghost {
    private Ghost() {}

    static void draw(
            GraphicsContext canvas, LevelView view, PhotoSpace space, Carried carried, Format format, Session session) {
        if (carried.leftAlone()) {
            return;
        }
        List<Point> corners = corners(space, carried, format, session).stream()
                .map(view::toScreen)
                .toList();
        canvas.setLineDashes(6, 4);
        canvas.setLineWidth(2);
        canvas.setStroke(Palette.ACCENT);
        canvas.strokePolygon(
                corners.stream().mapToDouble(Point::x).toArray(),
                corners.stream().mapToDouble(Point::y).toArray(),
                corners.size());
        canvas.setLineDashes();
    }

    /** In level space as the photo is held now. */
    private static List<Point> corners(PhotoSpace space, Carried carried, Format format, Session session) {
        PhotoSpace after = new PhotoSpace(space.asShot(), carried.framing().pose());
        Frame frame = Derivation.frame(space.asShot(), carried.framing(), format, session.brief());
        return frame.corners().stream()
                .map(after::toAsShot)
                .map(space::fromAsShot)
                .toList();
    }
}
