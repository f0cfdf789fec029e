package nexa.shoot.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HexFormat;
import java.util.List;
import nexa.core.brief.Alternate;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.mark.Marks;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.scan.Sha256;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a closed store is sealed with. */
class SealTest {
    @TempDir
    Path base;

    private TestShoot test;

    /** With texts beyond ASCII, empty cells, alternates, and numbers of all kinds. */
    @BeforeEach
    void fill() throws Exception {
        test = new TestShoot(base);
        test.photo("ünicode ☂ 名.jpg", 90, 60);
        test.photo("'quoted' %.jpg", 60, 90);
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Größe, 4:5", "4:5");
            for (Photo photo : shoot.photos()) {
                Framing before = shoot.framing(photo);
                Framing after = before.withCrop(print, new Crop(TestShoot.WISH))
                        .keeping(print, new Alternate("näher", new Crop(TestShoot.WISH)))
                        .withMarks(new Marks(List.of(new Point(1 / 3.0, 1e-7))))
                        .levelledAt(new Tilt(photo.id() / 7.0));
                shoot.apply(Edit.framing("edit.frame", photo.id(), before, after));
            }
            shoot.remember("remembered", "");
        }
    }

    private static String seal(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT value FROM setting WHERE name = 'seal'")) {
            return row.getString(1);
        }
    }

    /** Every cell's text, or bytes, ended by a zero: as stores of all versions are sealed. */
    private static String cellByCell(Connection connection) throws SQLException {
        MessageDigest digest = Sha256.digest();
        for (String rows : List.of(
                "photo ORDER BY id",
                "format ORDER BY id",
                "crop ORDER BY photo, format",
                "alternate ORDER BY photo, format, place",
                "delivery ORDER BY file",
                "step ORDER BY place",
                "sound ORDER BY fingerprint",
                "setting WHERE name <> 'seal' ORDER BY name")) {
            try (Statement statement = connection.createStatement();
                    ResultSet row = statement.executeQuery("SELECT * FROM " + rows)) {
                while (row.next()) {
                    for (int column = 1; column <= row.getMetaData().getColumnCount(); column++) {
                        Object value = row.getObject(column);
                        digest.update(
                                value instanceof byte[] blob
                                        ? blob
                                        : String.valueOf(value).getBytes(StandardCharsets.UTF_8));
                        digest.update((byte) 0);
                    }
                }
            }
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    @Test
    void isThatOfEveryCell() throws SQLException {
        try (Connection connection = test.database()) {
            assertEquals(cellByCell(connection), seal(connection));
        }
    }

    @Test
    void storeWhoseRowsWereKept_isNotTakenForDamagedOnceMore() throws Exception {
        TestShoot.clear(test.store().resolveSibling("copies"));
        try (Connection connection = test.database();
                Statement statement = connection.createStatement()) {
            statement.executeUpdate("UPDATE crop SET width = width + 0.001");
        }
        try (Shoot shoot = test.open()) {
            assertTrue(
                    shoot.told().toString().contains("rows-kept"), shoot.told().toString());
        }
        try (Shoot shoot = test.open()) {
            assertEquals(List.of(), shoot.told());
            assertEquals(2, shoot.photos().size());
        }
    }

    @Test
    void cellThatBecameAnother_breaksIt() throws SQLException {
        for (String change : List.of(
                "photo SET marks = '0.4,0.1' WHERE id = 1",
                "photo SET overlay = 'null ' WHERE id = 1",
                "photo SET level = level + 1e-9 WHERE id = 2",
                "photo SET bytes = bytes + 1 WHERE id = 2",
                "crop SET checked = 1 - checked WHERE photo = 1",
                "alternate SET name = 'naher' WHERE photo = 2",
                "step SET edit = edit || x'00' WHERE place = 1",
                "setting SET value = '-' WHERE name = 'remembered'")) {
            try (Connection connection = test.database();
                    Statement statement = connection.createStatement()) {
                connection.setAutoCommit(false);
                assertTrue(new Seal(connection).isWhole());
                assertEquals(1, statement.executeUpdate("UPDATE " + change), change);
                assertFalse(new Seal(connection).isWhole(), change);
                connection.rollback();
            }
        }
    }
}
