package nexa.desktop.bench.layer;

import java.util.Optional;
import javafx.scene.paint.Color;
import nexa.core.geometry.Affine;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Mapping;
import nexa.core.space.PhotoSpace;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.PhotoRaster;
import nexa.desktop.photo.ScreenPhoto;
import nexa.imaging.render.CorrectedRaster;

/** What of the photo the Bench shows, as a wish for its raster. */
final class BenchRaster {
    /** A handover puts this beyond the photo. */
    private static final int WHITE = 0xFFFFFFFF;

    private static final int NOTHING = 0;

    /** From so many screen pixels to a photo's pixel on, those show as squares. */
    private static final double SQUARES = 2;

    /** The Bench's size in its units, and the screen's pixels in one. */
    record Screen(double width, double height, double pixelScale) {}

    private BenchRaster() {}

    /**
     * @param only the frame, where nothing beyond it shows
     * @param veil over all beyond the frame
     * @return nothing if it lies outside the screen
     */
    static Optional<PhotoRaster.Wish> wish(
            ScreenPhoto photo,
            PhotoSpace space,
            LevelView view,
            Optional<Frame> only,
            Optional<Color> veil,
            Screen screen) {
        ScreenBox box = only.map(view::toScreen)
                .map(frame -> cut(frame, screen))
                .orElseGet(() ->
                        LayerBox.of(space, view, screen.width, screen.height).box());
        int width = (int) Math.round(box.width() * screen.pixelScale);
        int height = (int) Math.round(box.height() * screen.pixelScale);
        if (width < 1 || height < 1) {
            return Optional.empty();
        }
        Mapping toLevel = Affine.scale(1 / screen.pixelScale, 1 / screen.pixelScale)
                .then(Affine.translation(box.x(), box.y()))
                .then(view.canvasToLevel());
        boolean squares =
                view.scale() * screen.pixelScale >= SQUARES * space.asShot().longEdge();
        return Optional.of(new PhotoRaster.Wish(
                photo.raster(),
                toLevel.then(space.asShotToLevel().inverse()).then(CorrectedRaster.toPicture(space, photo.raster())),
                box,
                width,
                height,
                only.isPresent() ? WHITE : NOTHING,
                squares,
                veil.map(BenchRaster::argb).orElse(NOTHING)));
    }

    private static int argb(Color colour) {
        return channel(colour.getOpacity()) << 24
                | channel(colour.getRed()) << 16
                | channel(colour.getGreen()) << 8
                | channel(colour.getBlue());
    }

    private static int channel(double part) {
        return (int) Math.round(part * 255);
    }

    private static ScreenBox cut(ScreenBox box, Screen screen) {
        double left = Math.max(0, box.x());
        double top = Math.max(0, box.y());
        return new ScreenBox(
                left,
                top,
                Math.min(screen.width, box.x() + box.width()) - left,
                Math.min(screen.height, box.y() + box.height()) - top);
    }
}
