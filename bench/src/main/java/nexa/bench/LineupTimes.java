package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import javafx.application.Platform;
import javafx.scene.Scene;
import nexa.bench.base.Figures;
import nexa.bench.base.Frames;
import nexa.bench.base.Fx;
import nexa.bench.base.Scrolling;
import nexa.bench.base.SmallPhotos;
import nexa.core.brief.Framing;
import nexa.core.carry.Change;
import nexa.core.geometry.Point;
import nexa.core.mark.Marks;
import nexa.core.shape.Shape;
import nexa.desktop.MainWindow;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;

/** Many photos with two marks each, lined up in the usual window: measured, scrolled, one of them dragged, pulled in. */
final class LineupTimes {
    private static final int USUAL = 10_000;
    private static final long SEED = 7;

    private LineupTimes() {}

    /** @param count of photos; 0 = as many as a large shoot has */
    static void run(int count) throws IOException {
        Fx.prepare();
        Path base = Files.createTempDirectory("nexa-lineup");
        Path folder = Files.createDirectory(base.resolve("shoot"));
        SmallPhotos.write(folder, count == 0 ? USUAL : count);
        Locations locations = new Locations(base.resolve("data"), base.resolve("cache"));
        try (Shoot shoot = Shoot.open(folder, locations)) {
            shoot.apply(Edit.brief("edit.brief", shoot.brief(), shoot.brief().with("Print", Shape.parse("4:5"))));
            shoot.apply(marked(shoot.photos(), shoot));
        }
        MainWindow window = Fx.opened(folder, locations);
        measure(Fx.on(() -> window.session().orElseThrow()), Fx.on(window::scene));
        Fx.run(window::close);
        Platform.exit();
    }

    /** A pot's top and foot, somewhere about the middle. */
    private static Edit marked(List<Photo> photos, Shoot shoot) {
        Random random = new Random(SEED);
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : photos) {
            Framing before = shoot.framing(photo);
            Point middle = new Point(0.04 * random.nextGaussian(), 0.04 * random.nextGaussian());
            double half = 0.15 * Math.exp(0.1 * random.nextGaussian());
            List<Point> ends = List.of(
                    middle.plus(new Point(0, -half)), middle.plus(new Point(0.01 * random.nextGaussian(), half)));
            Marks marks = Marks.of(photo.space(before.pose()), ends);
            changes.add(new FramingChange(photo.id(), before, before.withMarks(marks)));
        }
        return new Edit("edit.mark", changes, null);
    }

    private static void measure(Session session, Scene scene) {
        long begun = System.nanoTime();
        Fx.run(() -> session.viewProperty().set(MainView.LINEUP));
        Fx.layout(scene);
        Figures.say("opened and measured", Figures.since(begun));
        Scrolling.measure("Line-up", ".lineup-rows", scene);
        Photo one = Fx.on(() -> session.lineup().shownProperty().get().photos().get(2));
        Fx.run(() -> session.selection().property().set(Set.of(one)));
        Fx.run(() -> session.together().add(Change.sized(0.8)));
        Frames.measure("one dragged", step -> session.together().preview(Change.moved(0.1 * Math.sin(step / 20.0), 0)));
        Fx.run(session.together()::abandon);
        begun = System.nanoTime();
        Fx.run(() -> session.selection().property().set(Set.of()));
        Fx.run(session.lineup()::pullIn);
        Fx.layout(scene);
        Figures.say("those that stand out pulled in", Figures.since(begun));
    }
}
