package nexa.desktop.tour;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.level.LevelLine;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.print.SizeTarget;
import nexa.core.space.PhotoSpace;
import nexa.core.trim.Side;
import nexa.desktop.MainWindow;
import nexa.desktop.Theme;
import nexa.desktop.model.Levelling;
import nexa.desktop.repair.Filling;
import nexa.desktop.session.MainView;
import nexa.desktop.setting.Hint;
import nexa.shoot.DemoShoot;
import nexa.shoot.Locations;
import org.jspecify.annotations.Nullable;

/** Shows the real window view by view and writes a picture of each. */
public final class WindowTour {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private final MainWindow window;
    private final TourGuide guide;

    private WindowTour(Path out, MainWindow window) {
        this.window = window;
        this.guide = new TourGuide(out, window);
    }

    /**
     * Walks through the main views without a display and writes a picture of each.
     *
     * @param shoot the user's own, which is only looked at; null = the demo shoot
     * @throws IOException if the folder can't be opened or the pictures can't be written
     */
    public static void run(Path out, @Nullable Path shoot) throws IOException {
        System.setProperty("glass.platform", "Headless");
        System.setProperty("prism.order", "sw");
        Files.createDirectories(out);
        Path folder = shoot == null ? DemoShoot.freshCopy() : shoot;
        Platform.startup(Theme::install);
        WindowTour tour = new WindowTour(
                out, TourGuide.ask(() -> new MainWindow(new Stage(), Locations.ofThisUser(), WIDTH, HEIGHT)));
        try {
            TourGuide.onFx(tour.window::show);
            tour.guide.picture("first-start");
            tour.openAndWait(folder);
            if (shoot == null) {
                tour.walkDemo();
                tour.openAndWait(TourScans.of(folder));
                tour.walkScans();
            } else {
                tour.walk();
            }
        } finally {
            TourGuide.onFx(tour.window::close);
            Platform.exit();
        }
    }

    private void openAndWait(Path folder) throws IOException {
        TourGuide.ask(() -> window.open(folder)).join();
        if (TourGuide.ask(() -> window.session().isEmpty())) {
            throw new IOException(folder + " can't be opened as a shoot");
        }
        TourGuide.onFx(() -> guide.session().settings().hintsTakenProperty().set(Set.of(Hint.values())));
        guide.untilSeen();
    }

    /** A shoot of the user's: nothing is changed. */
    private void walk() throws IOException {
        guide.show("wall", s -> s.viewProperty().set(MainView.WALL));
        guide.show("bench", s -> s.viewProperty().set(MainView.BENCH));
        guide.show("handover", s -> s.viewProperty().set(MainView.HANDOVER));
        guide.press("keys", KeyCode.F1);
    }

    /** The demo's copy is framed a little first, so that there is something to see. */
    private void walkDemo() throws IOException {
        guide.show("wall-derived", s -> s.viewProperty().set(MainView.WALL));
        TourGuide.onFx(() -> guide.fireShortcut(KeyCode.M));
        guide.snapAfter("prepare", this::isPrepared);
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
        guide.show("bench", s -> {
            s.viewProperty().set(MainView.BENCH);
            TourGuide.choose(s, "kiln_0201.jpg");
            s.overlayProperty().set(OverlayChoice.of(Overlay.THIRDS));
            Frame frame = s.frame().orElseThrow();
            s.gestures().preview(s.gestures().placed(frame.scaled(0.86).movedBy(new Point(0.02, 0.01))));
            s.gestures().commit("edit.frame");
        });
        guide.show("bench-vertical-spiral", s -> {
            TourGuide.choose(s, "kiln_0206.jpg");
            s.poseEdits().tiltBy(-2.1);
            s.overlayProperty().set(OverlayChoice.of(Overlay.GOLDEN_SPIRAL));
        });
        panes();
        walkLevelling();
        walkCorrecting();
        walkRepairs();
        for (int i = 0; i < 6; i++) {
            TourGuide.onFx(() -> guide.session().going().checkAndNext());
        }
        guide.show("wall", s -> {
            s.viewProperty().set(MainView.WALL);
            TourGuide.choose(s, "kiln_0201.jpg");
        });
        new TourSet(window, guide).walk();
        guide.press("keys", KeyCode.F1);
        TourGuide.onFx(window::showKeys);
        TourGuide.onFx(() -> guide.fireShortcut(KeyCode.COMMA));
        guide.picture("settings");
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
        handOver();
    }

    private void handOver() throws IOException {
        guide.show("handover", s -> {
            Format print = s.brief().formats().getFirst();
            s.briefEdits()
                    .change(
                            "edit.brief.edit",
                            s.brief()
                                    .changed(print.sized(SizeTarget.parse("8 x 10 in at 300 ppi"))
                                            .filed(FileSettings.parse("jpeg 95; sharpened for gloss"))));
            s.viewProperty().set(MainView.HANDOVER);
        });
        TourGuide.onFx(() -> ((Button) window.scene().lookup("#files-1")).fire());
        guide.picture("handover-files");
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
        TourGuide.onFx(() -> ((Button) window.scene().lookup("#handover-paper")).fire());
        guide.picture("handover-paper");
        TourGuide.onFx(() -> ((Button) window.scene().lookup("#handover-exchange")).fire());
        guide.picture("handover-exchange");
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
        TourGuide.onFx(() -> ((Button) window.scene().lookup("#handover-start")).fire());
        guide.snapAfter("handover-run", () -> bar() > 0.3);
        guide.picture("handover-result");
    }

    private boolean isPrepared() {
        return window.scene().lookup("#prepare-view .progress-bar") instanceof ProgressBar looking
                && !looking.isVisible();
    }

    private double bar() {
        return ((ProgressBar) window.scene().lookup("#handover-progress")).getProgress();
    }

    private void panes() throws IOException {
        guide.press("bench-shape", KeyCode.F);
        TourGuide.onFx(() -> {
            guide.session().frameEdits().keep("wide");
            guide.session().frameEdits().grow(-200);
            guide.session().frameEdits().keep("close");
        });
        guide.press("bench-alternates", KeyCode.Y);
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false)); // the name's field has the keyboard
        guide.press("bench-numbers", KeyCode.D, true);
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
        guide.press("bench-steps", KeyCode.U, true);
        TourGuide.onFx(() -> {
            guide.session()
                    .frameEdits()
                    .use(guide.session().frameEdits().alternates().getFirst());
            guide.session().overlayProperty().set(OverlayChoice.of(Overlay.NESTED));
        });
        TourGuide.onFx(() -> window.scene().getRoot().lookup("#open-OVERLAY").fireEvent(new ActionEvent()));
        guide.picture("bench-overlays");
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
    }

    private void walkLevelling() throws IOException {
        guide.show("bench-level-line", s -> {
            s.overlayProperty().set(OverlayChoice.of(Overlay.THIRDS));
            TourGuide.choose(s, "kiln_0222.jpg");
            levelling().add(new LevelLine(new Point(210, 668), new Point(1500, 708)));
            levelling().add(new LevelLine(new Point(640, 160), new Point(627, 560)));
        });
        TourGuide.onFx(() -> TourGuide.choose(guide.session(), "kiln_0208.jpg"));
        guide.press("bench-automatic-level", KeyCode.L, true);
        TourGuide.onFx(() -> {
            guide.session().viewProperty().set(MainView.WALL);
            guide.session()
                    .selection()
                    .property()
                    .set(Set.copyOf(guide.session().shoot().photos().subList(3, 20)));
        });
        guide.press("level-review", KeyCode.L, true);
        TourGuide.onFx(() -> {
            guide.fire(KeyCode.ESCAPE, false);
            guide.session().selection().property().set(Set.of());
            guide.session().viewProperty().set(MainView.BENCH);
            TourGuide.choose(guide.session(), "kiln_0206.jpg");
        });
    }

    private void walkCorrecting() throws IOException {
        guide.show("bench-plumb", s -> {
            TourGuide.choose(s, "kiln_0237.jpg");
            ((ToggleButton) window.scene().lookup("#plumb")).fire();
            PhotoSpace space = s.space().orElseThrow();
            line(space, new Point(85, 1047), new Point(183, 201));
            line(space, new Point(1548, 1047), new Point(1470, 201));
        });
        TourGuide.onFx(() -> {
            window.models().orElseThrow().plumbing().clear();
            ((Button) window.scene().lookup("#plumb-done")).fire();
            TourGuide.choose(guide.session(), "kiln_0225.jpg");
        });
        TourGuide.onFx(() -> ((Button) window.scene().lookup("#open-LENS")).fire());
        guide.picture("lens");
        TourGuide.onFx(() -> ((Button) window.scene().lookup("#lens-all")).fire());
        guide.picture("lens-list");
        TourGuide.onFx(() -> {
            guide.fire(KeyCode.ESCAPE, false);
            TourGuide.choose(guide.session(), "kiln_0206.jpg");
        });
    }

    /** Room is made above a shelf, where a fill will show. */
    private void walkRepairs() throws IOException {
        TourGuide.onFx(() -> {
            TourGuide.choose(guide.session(), "kiln_0237.jpg");
            ((Button) window.scene().lookup("#open-FILL")).fire();
            filling().makeRoom(Side.TOP, 0.12, new Fill.Surroundings());
        });
        guide.snapAfter(
                "bench-fill",
                () -> filling().current().filter(shown -> !shown.draft()).isPresent());
        TourGuide.onFx(() -> {
            guide.fire(KeyCode.ESCAPE, false);
            guide.session().shoot().undo();
            TourGuide.choose(guide.session(), "kiln_0206.jpg");
        });
    }

    /** Scans: what borders they have. */
    private void walkScans() throws IOException {
        guide.show("scans", s -> s.viewProperty().set(MainView.WALL));
        TourGuide.onFx(() -> {
            guide.session()
                    .selection()
                    .property()
                    .set(Set.copyOf(guide.session().shoot().photos()));
            ((Button) window.scene().lookup("#auto-trim")).fire();
        });
        guide.picture("trim-review");
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
    }

    private Filling filling() {
        return window.models().orElseThrow().filling();
    }

    /** Along something upright, in the photo's pixels. */
    private void line(PhotoSpace space, Point from, Point to) {
        window.models().orElseThrow().plumbing().add(space, space.toLevel(from), space.toLevel(to));
    }

    private Levelling levelling() {
        return window.models().orElseThrow().levelling();
    }
}
