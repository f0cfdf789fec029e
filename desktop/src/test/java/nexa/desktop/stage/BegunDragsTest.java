package nexa.desktop.stage;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.util.ArrayList;
import java.util.List;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Slider;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

@ExtendWith(ApplicationExtension.class)
class BegunDragsTest {
    private final List<Throwable> mistakes = new ArrayList<>();
    private Slider slider;

    @BeforeEach
    void show() throws Exception {
        FxToolkit.setupStage(stage -> {
            Thread.currentThread().setUncaughtExceptionHandler((thread, mistake) -> mistakes.add(mistake));
            slider = new Slider(0, 10, 5);
            Scene scene = new Scene(slider, 400, 60);
            BegunDrags.guard(scene);
            stage.setScene(scene);
            stage.show();
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void tell(EventType<MouseEvent> type, double by) {
        WaitForAsyncUtils.asyncFx(() -> {
            Node thumb = slider.lookup(".thumb");
            Point2D at = thumb.localToScene(5, 5).add(by, 0);
            boolean held = type != MouseEvent.MOUSE_RELEASED;
            Event.fireEvent(
                    thumb,
                    new MouseEvent(
                            type,
                            at.getX(),
                            at.getY(),
                            at.getX(),
                            at.getY(),
                            MouseButton.PRIMARY,
                            1,
                            false,
                            false,
                            false,
                            false,
                            held,
                            false,
                            false,
                            false,
                            false,
                            true,
                            new PickResult(thumb, at.getX(), at.getY())));
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void dragWhosePressWentElsewhere_movesNothing() {
        tell(MouseEvent.MOUSE_DRAGGED, 40);
        assertEquals(List.of(), mistakes);
        assertEquals(5, slider.getValue());
    }

    @Test
    void dragThatBeganHere_moves_andTheNextHasToBeginToo() {
        tell(MouseEvent.MOUSE_PRESSED, 0);
        tell(MouseEvent.MOUSE_DRAGGED, 40);
        assertNotEquals(5, slider.getValue());
        double moved = slider.getValue();
        tell(MouseEvent.MOUSE_RELEASED, 40);
        tell(MouseEvent.MOUSE_DRAGGED, -40);
        assertEquals(moved, slider.getValue());
        assertEquals(List.of(), mistakes);
    }
}
