package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Statement;
import java.util.List;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Shoots of earlier versions are brought up to date. */
class OlderShootTest {
    @TempDir
    Path base;

    private TestShoot test;

    @BeforeEach
    void begin() throws IOException {
        test = new TestShoot(base);
    }

    @Test
    void open_databaseOfTheFirstVersion_keepsItsCrops() throws Exception {
        test.photo("a.jpg", 300, 200);
        Framing framing;
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Photo a = TestShoot.photo(shoot, "a.jpg");
            TestShoot.place(shoot, a, print, TestShoot.WISH);
            framing = shoot.framing(a);
        }
        try (Connection database = test.database();
                Statement statement = database.createStatement()) {
            statement.executeUpdate("ALTER TABLE crop DROP COLUMN own_shape");
            statement.executeUpdate("ALTER TABLE crop DROP COLUMN outside");
            statement.executeUpdate("ALTER TABLE crop DROP COLUMN fill");
            for (String table : List.of("alternate", "delivery", "step", "sound")) {
                statement.executeUpdate("DROP TABLE " + table);
            }
            for (String column : List.of(
                    "marks", "rule", "level", "overlay", "profile", "remarks", "lens", "plumb", "trim", "camera",
                    "neutral", "eyes", "sight", "bands")) {
                statement.executeUpdate("ALTER TABLE photo DROP COLUMN " + column);
            }
            for (String column : List.of("target", "note", "files", "centred")) {
                statement.executeUpdate("ALTER TABLE format DROP COLUMN " + column);
            }
            statement.executeUpdate("PRAGMA user_version = 1");
        }
        try (Shoot shoot = test.open()) {
            assertEquals(framing, shoot.framing(TestShoot.photo(shoot, "a.jpg")));
        }
    }

    /** What older versions sealed has other columns. */
    @Test
    void open_databaseInWhichNothingIsLookedAtAgain_isNotTakenForDamagedLater() throws Exception {
        test.photo("a.jpg", 200, 300);
        test.open().close();
        try (Connection database = test.database();
                Statement statement = database.createStatement()) {
            statement.executeUpdate("ALTER TABLE photo DROP COLUMN bands");
            statement.executeUpdate("UPDATE photo SET kind = 'PNG'");
            statement.executeUpdate("PRAGMA user_version = 11");
        }
        for (int times = 0; times < 3; times++) {
            try (Shoot shoot = test.open()) {
                assertEquals(List.of(), shoot.told());
                assertEquals(new PixelSize(200, 300), size(shoot, "a.jpg"));
            }
        }
    }

    private static PixelSize size(Shoot shoot, String file) {
        return TestShoot.photo(shoot, file).facts().orElseThrow().asShot();
    }

    /** Their headers were not read, so that upright ones lay on their side; crops that were made so stay where they are. */
    @Test
    void open_cr3PhotosOfTheVersionBefore_areLookedAtAgain_unlessWorkIsBuiltOnThem() throws Exception {
        test.photo("a.cr3", 200, 300);
        test.photo("b.CR3", 200, 301);
        test.photo("c.nef", 200, 302);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.place(shoot, TestShoot.photo(shoot, "b.CR3"), print, TestShoot.WISH);
        }
        try (Connection database = test.database();
                Statement statement = database.createStatement()) {
            statement.executeUpdate("UPDATE photo SET kind = 'RAW', width = height, height = 200, profile = 'known'");
            statement.executeUpdate("PRAGMA user_version = 12");
        }
        try (Shoot shoot = test.open()) {
            assertEquals(new PixelSize(200, 300), size(shoot, "a.cr3"));
            assertEquals(new PixelSize(301, 200), size(shoot, "b.CR3"));
            assertEquals(new PixelSize(302, 200), size(shoot, "c.nef"));
        }
    }

    /** They were refused. */
    @Test
    void open_photosForHdrScreensOfTheVersionBefore_areLookedAtAgain() throws Exception {
        test.photo("a.jpg", 200, 300);
        test.open().close();
        try (Connection database = test.database();
                Statement statement = database.createStatement()) {
            statement.executeUpdate("UPDATE photo SET kind = NULL, width = NULL, height = NULL, trouble = 'HDR'");
            statement.executeUpdate("PRAGMA user_version = 13");
        }
        try (Shoot shoot = test.open()) {
            assertEquals(new PixelSize(200, 300), size(shoot, "a.jpg"));
        }
    }
}
