package nexa.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import nexa.core.brief.Preset;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.Probe;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.disk.UnpackedSqlite;
import nexa.shoot.scan.Fingerprint;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;
import org.kordamp.ikonli.materialdesign2.MaterialDesignB;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignD;
import org.kordamp.ikonli.materialdesign2.MaterialDesignE;
import org.kordamp.ikonli.materialdesign2.MaterialDesignF;
import org.kordamp.ikonli.materialdesign2.MaterialDesignH;
import org.kordamp.ikonli.materialdesign2.MaterialDesignI;
import org.kordamp.ikonli.materialdesign2.MaterialDesignL;
import org.kordamp.ikonli.materialdesign2.MaterialDesignM;
import org.kordamp.ikonli.materialdesign2.MaterialDesignP;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignS;
import org.kordamp.ikonli.materialdesign2.MaterialDesignT;
import org.kordamp.ikonli.materialdesign2.MaterialDesignU;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Loads native libraries and readers while somebody still looks for a folder: the first photo would otherwise wait a
 * second for them.
 */
final class Warming {
    private static final Logger LOG = LoggerFactory.getLogger(Warming.class);

    /** So often what dresses controls is called that it is compiled. */
    private static final int DRESSED = 10;

    /** The names of icons are kept by their first letters. */
    private static final List<Class<? extends Ikon>> ICONS = List.of(
            MaterialDesignA.class,
            MaterialDesignB.class,
            MaterialDesignC.class,
            MaterialDesignD.class,
            MaterialDesignE.class,
            MaterialDesignF.class,
            MaterialDesignH.class,
            MaterialDesignI.class,
            MaterialDesignL.class,
            MaterialDesignM.class,
            MaterialDesignP.class,
            MaterialDesignR.class,
            MaterialDesignS.class,
            MaterialDesignT.class,
            MaterialDesignU.class);

    private static final AtomicBoolean BEGUN = new AtomicBoolean();

    private Warming() {}

    /**
     * Takes a second or so; to be called on a thread of its own.
     *
     * @param cache folder for what can be made again
     */
    static void run(Path cache) {
        UnpackedSqlite.keptIn(cache);
        try {
            Path photo = Files.createTempFile("nexa-warming", ".png");
            try (var picture = Warming.class.getResourceAsStream("warming.png");
                    Connection database = DriverManager.getConnection("jdbc:sqlite::memory:")) {
                Files.write(photo, picture.readAllBytes());
                if (PhotoCodecs.STANDARD.probe(photo) instanceof Probe.Readable(var facts)) {
                    new PreviewMaker(PhotoCodecs.STANDARD)
                            .make(photo, facts, 16)
                            .close();
                }
                ColourTransform.between(Profile.WIDE, Profile.SRGB);
            } finally {
                Files.deleteIfExists(photo);
            }
        } catch (IOException | SQLException | RuntimeException cold) { // then the first photo waits
            LOG.info("Not warmed up: {}", cold.toString());
        }
    }

    /**
     * What an open shoot needs besides, once in a program: presets, icons, the hash by which photos are recognised, and
     * controls of its kinds, dressed a few times where nobody sees them. Compiled, or made once, all of it shows the sooner.
     *
     * @param work for what takes a tenth of a second
     * @param fx the interface's thread
     */
    static void further(Executor work, Executor fx) {
        if (BEGUN.compareAndSet(false, true)) {
            work.execute(() -> {
                Preset.values();
                ICONS.forEach(names -> new FontIcon(names.getEnumConstants()[0]));
                Fingerprint.rehearse();
                for (int i = 0; i < DRESSED; i++) {
                    fx.execute(Warming::dress);
                }
            });
        }
    }

    private static void dress() {
        Button button = new Button(null, new FontIcon(MaterialDesignC.CHECK));
        button.getStyleClass().add("icon-button");
        HBox controls = new HBox(
                button,
                new ToggleButton("Nexa"),
                new Label("Nexa"),
                new TextField("4:5"),
                new Slider(),
                new ScrollPane(new Label("Nexa")));
        HBox desk = new HBox(controls);
        desk.getStyleClass().addAll("nexa", "desk");
        Scene scene = new Scene(desk);
        scene.getStylesheets().add(Theme.stylesheet());
        desk.applyCss();
        desk.layout();
    }
}
