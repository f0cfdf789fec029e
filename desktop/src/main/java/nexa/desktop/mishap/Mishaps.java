package nexa.desktop.mishap;

import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ButtonType;
import javafx.scene.control.TextArea;
import javafx.stage.Window;
import nexa.words.Words;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Mistakes of the program that nobody caught: logged, and each kind said once, with the way to go on. Every step is stored
 * as it is done, so nothing is lost. On the interface's thread.
 */
public final class Mishaps {
    private static final Logger LOG = LoggerFactory.getLogger(Mishaps.class);

    private final Window owner;
    private final Path log;
    private final Runnable reopen;
    private final Set<String> said = new HashSet<>();

    /**
     * @param log the folder of the program's log
     * @param reopen opens anew what is open
     */
    public Mishaps(Window owner, Path log, Runnable reopen) {
        this.owner = owner;
        this.log = log;
        this.reopen = reopen;
    }

    /** Takes a mistake. What fails at every pulse is not said at every pulse. */
    public void take(Throwable bug) {
        LOG.error("A mistake of the program", bug);
        if (said.add(kind(bug))) {
            say(bug);
        }
    }

    private static String kind(Throwable bug) {
        StackTraceElement[] places = bug.getStackTrace();
        return bug.getClass().getName() + (places.length == 0 ? "" : places[0]);
    }

    private void say(Throwable bug) {
        ButtonType again = new ButtonType(Words.of("mishap.reopen"), ButtonData.OK_DONE);
        ButtonType on = new ButtonType(Words.of("mishap.go-on"), ButtonData.CANCEL_CLOSE);
        Alert alert = new Alert(Alert.AlertType.ERROR, Words.of("mishap.what", log), again, on);
        alert.initOwner(owner);
        alert.setTitle(Words.of("app.name"));
        alert.setHeaderText(Words.of("mishap.title"));
        TextArea details = new TextArea(details(bug));
        details.setEditable(false);
        details.setId("mishap-details");
        details.setAccessibleText(Words.of("mishap.details"));
        alert.getDialogPane().setExpandableContent(details);
        alert.getDialogPane().setId("mishap");
        alert.setOnHidden(event -> {
            if (alert.getResult() == again) {
                reopen.run();
            }
        });
        alert.show(); // not waited for: what was going on comes to its end
    }

    private static String details(Throwable bug) {
        StringBuilder text = new StringBuilder(bug.toString());
        for (StackTraceElement place : bug.getStackTrace()) {
            text.append('\n').append(place);
        }
        return text.toString();
    }
}
