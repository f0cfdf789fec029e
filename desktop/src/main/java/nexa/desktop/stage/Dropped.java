package nexa.desktop.stage;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;

/** Folders and photos that are dropped onto the window. */
public final class Dropped {
    private final Consumer<Path> open;

    private Dropped(Consumer<Path> open) {
        this.open = open;
    }

    /** @param open given what was dropped first, a folder or a photo in one */
    public static void onto(Scene scene, Consumer<Path> open) {
        Dropped dropped = new Dropped(open);
        scene.setOnDragOver(dropped::over);
        scene.setOnDragDropped(dropped::dropped);
    }

    private void over(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY_OR_MOVE);
        }
        event.consume();
    }

    private void dropped(DragEvent event) {
        List<File> files = event.getDragboard().getFiles();
        if (!files.isEmpty()) {
            open.accept(files.getFirst().toPath());
        }
        event.setDropCompleted(!files.isEmpty());
        event.consume();
    }
}
