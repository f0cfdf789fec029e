package nexa.desktop;

import java.util.Optional;
import java.util.function.Supplier;
import nexa.desktop.bench.BenchView;
import nexa.desktop.beside.SideView;
import nexa.desktop.session.Session;
import nexa.desktop.wall.WallView;
import nexa.desktop.widget.Wheel;

/** How close one looks, by keys: at the Bench or what is side by side in its place, and how large the Wall's photos are. */
final class Zooming {
    private final Session session;
    private final WallView wall;
    private final BenchView bench;
    private final Supplier<Optional<SideView>> side;

    /** @param side what is side by side, if it shows */
    Zooming(Session session, WallView wall, BenchView bench, Supplier<Optional<SideView>> side) {
        this.session = session;
        this.wall = wall;
        this.bench = bench;
        this.side = side;
    }

    /** All of the photo, every pixel, twice that; side by side the first two. */
    void next() {
        side.get().ifPresentOrElse(SideView::toggleZoom, bench::nextZoom);
    }

    void toFrame() {
        bench.zoomToFrame();
    }

    void toFit() {
        side.get().ifPresentOrElse(SideView::zoomToFit, bench::zoomToFit);
    }

    void closer() {
        by(Wheel.CLOSER);
    }

    void farther() {
        by(1 / Wheel.CLOSER);
    }

    private void by(double factor) {
        switch (session.viewProperty().get()) {
            case WALL -> wall.larger(factor);
            case BENCH -> side.get().ifPresentOrElse(both -> both.zoom(factor), () -> bench.zoom(factor));
            case LINEUP, HANDOVER -> {}
        }
    }
}
