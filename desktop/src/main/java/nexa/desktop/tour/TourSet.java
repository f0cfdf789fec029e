package nexa.desktop.tour;

import java.io.IOException;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.event.ActionEvent;
import javafx.scene.input.KeyCode;
import nexa.core.carry.By;
import nexa.core.carry.Change;
import nexa.core.carry.Part;
import nexa.core.geometry.Frame;
import nexa.desktop.MainWindow;
import nexa.desktop.session.MainView;
import nexa.shoot.photo.Photo;

/** Through what the tour shows of the set: marks are proposed, carried by, and measured; then some photos are changed together. */
final class TourSet {
    private final MainWindow window;
    private final TourGuide guide;

    TourSet(MainWindow window, TourGuide guide) {
        this.window = window;
        this.guide = guide;
    }

    void walk() throws IOException {
        marks();
        lineUp();
        together();
    }

    private void marks() throws IOException {
        guide.press("wall-filter", KeyCode.W, true);
        TourGuide.onFx(() -> {
            guide.fire(KeyCode.ESCAPE, false);
            guide.session().selection().property().set(pots());
            window.models().orElseThrow().marking().suggest();
        });
        guide.settle();
        TourGuide.onFx(() -> guide.fireShortcut(KeyCode.K));
        guide.picture("wall-marks");
        TourGuide.onFx(() -> {
            guide.fire(KeyCode.ESCAPE, false);
            window.models().orElseThrow().marking().accept();
            guide.session().settings().carryByProperty().set(By.MARKS);
            guide.session().settings().carryPartsProperty().set(Set.of(Part.SHAPE, Part.PLACE));
            TourGuide.choose(guide.session(), "kiln_0207.jpg");
            guide.session().frameEdits().place("edit.frame", new Frame(-0.159, -0.011, 0.66, 0.528));
        });
        guide.press("wall-carry", KeyCode.B, true);
    }

    private void lineUp() throws IOException {
        TourGuide.onFx(() -> {
            guide.session().carry().apply();
            guide.fire(KeyCode.ESCAPE, false);
            guide.session().settings().carryByProperty().set(By.PLACE);
            guide.session().settings().carryPartsProperty().set(Set.of(Part.SHAPE, Part.PLACE, Part.TILT));
            guide.fireShortcut(KeyCode.L);
        });
        TourGuide.onFx(() -> {
            guide.session()
                    .selection()
                    .property()
                    .set(Set.of(guide.session().going().listed().get(3)));
            guide.session().together().add(Change.moved(0.06, 0.02).and(Change.sized(1.12)));
            guide.session().selection().property().set(Set.of());
        });
        TourGuide.until(() ->
                window.models().orElseThrow().light().shownProperty().get().isPresent());
        guide.picture("lineup");
        TourGuide.onFx(() -> {
            guide.session().going().step(3);
            guide.fireShortcut(KeyCode.J);
        });
        guide.picture("lineup-flip");
    }

    private void together() throws IOException {
        TourGuide.onFx(() -> {
            guide.fire(KeyCode.ESCAPE, false);
            guide.session().viewProperty().set(MainView.WALL);
            guide.session().selection().property().set(pots());
        });
        guide.picture("wall-together");
        TourGuide.onFx(() -> {
            guide.session().selection().property().set(Set.of());
        });
        guide.show("bench-rail", s -> {
            s.viewProperty().set(MainView.BENCH);
            TourGuide.choose(s, "kiln_0212.jpg");
        });
        TourGuide.onFx(() -> window.scene().getRoot().lookup("#shelf").fireEvent(new ActionEvent()));
        guide.picture("shelf");
        TourGuide.onFx(() -> guide.fire(KeyCode.ESCAPE, false));
    }

    /** Photos of one pot each, and three near-repeats. */
    private Set<Photo> pots() {
        return guide.session().shoot().photos().stream()
                .filter(photo -> photo.file().matches("kiln_02(0[12679]|08|1[1236]|3[26]).jpg"))
                .collect(Collectors.toSet());
    }
}
