package nexa.shoot.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/** The database's tables, version by version. A database is brought up to date in one transaction when opened. */
final class Schema {
    /** Each entry leads from the version of its index to the next. Never change one that was released; add another. */
    private static final List<String> STEPS =
            List.of("""
            CREATE TABLE photo (
              id INTEGER PRIMARY KEY,
              file TEXT NOT NULL UNIQUE,
              bytes INTEGER NOT NULL,
              modified INTEGER NOT NULL,
              fingerprint TEXT NOT NULL,
              kind TEXT, width INTEGER, height INTEGER, exif_orientation INTEGER, taken TEXT,
              trouble TEXT, percent INTEGER,
              quarter_turns INTEGER NOT NULL DEFAULT 0,
              mirrored INTEGER NOT NULL DEFAULT 0,
              tilt REAL NOT NULL DEFAULT 0,
              set_aside INTEGER NOT NULL DEFAULT 0);
            CREATE INDEX photo_by_fingerprint ON photo (fingerprint);
            CREATE TABLE format (
              id INTEGER PRIMARY KEY,
              place INTEGER NOT NULL,
              name TEXT NOT NULL,
              shape TEXT NOT NULL,
              rule TEXT NOT NULL);
            CREATE TABLE crop (
              photo INTEGER NOT NULL REFERENCES photo (id),
              format INTEGER NOT NULL,
              centre_x REAL NOT NULL, centre_y REAL NOT NULL, width REAL NOT NULL, height REAL NOT NULL,
              checked INTEGER NOT NULL,
              PRIMARY KEY (photo, format)) WITHOUT ROWID;
            CREATE TABLE setting (name TEXT PRIMARY KEY, value TEXT NOT NULL) WITHOUT ROWID;
            """, """
            ALTER TABLE crop ADD COLUMN own_shape TEXT;
            ALTER TABLE crop ADD COLUMN outside INTEGER NOT NULL DEFAULT 0;
            CREATE TABLE alternate (
              photo INTEGER NOT NULL REFERENCES photo (id),
              format INTEGER NOT NULL,
              place INTEGER NOT NULL,
              name TEXT NOT NULL,
              centre_x REAL NOT NULL, centre_y REAL NOT NULL, width REAL NOT NULL, height REAL NOT NULL,
              own_shape TEXT,
              outside INTEGER NOT NULL,
              checked INTEGER NOT NULL,
              PRIMARY KEY (photo, format, place)) WITHOUT ROWID;
            """, """
            ALTER TABLE photo ADD COLUMN marks TEXT;
            ALTER TABLE photo ADD COLUMN rule TEXT;
            ALTER TABLE photo ADD COLUMN level REAL;
            ALTER TABLE format ADD COLUMN target TEXT;
            ALTER TABLE format ADD COLUMN note TEXT;
            """, """
            ALTER TABLE photo ADD COLUMN overlay TEXT;
            ALTER TABLE format ADD COLUMN files TEXT;
            """, """
            ALTER TABLE photo ADD COLUMN profile TEXT;
            ALTER TABLE photo ADD COLUMN remarks TEXT;
            UPDATE photo SET bytes = -1; -- so that all are looked at again
            """, """
            CREATE TABLE delivery (
              file TEXT PRIMARY KEY,
              bytes INTEGER NOT NULL,
              modified INTEGER NOT NULL,
              sha256 TEXT NOT NULL) WITHOUT ROWID;
            CREATE TABLE step (
              place INTEGER PRIMARY KEY,
              undone INTEGER NOT NULL DEFAULT 0,
              edit BLOB NOT NULL);
            CREATE TABLE sound (fingerprint TEXT PRIMARY KEY) WITHOUT ROWID; -- contents whose data was looked through
            UPDATE photo SET bytes = -1;
            """, """
            ALTER TABLE photo ADD COLUMN lens TEXT; -- corrections; null = none
            ALTER TABLE photo ADD COLUMN plumb TEXT;
            ALTER TABLE photo ADD COLUMN trim TEXT;
            """, """
            ALTER TABLE photo ADD COLUMN camera TEXT;
            UPDATE photo SET bytes = -1;
            """, """
            ALTER TABLE crop ADD COLUMN fill TEXT; -- null = the format's
            ALTER TABLE alternate ADD COLUMN fill TEXT;
            """, """
            ALTER TABLE photo ADD COLUMN neutral TEXT; -- null = as the file has it
            ALTER TABLE photo ADD COLUMN eyes TEXT;
            """, """
            ALTER TABLE photo ADD COLUMN sight TEXT; -- null = nobody looked
            ALTER TABLE format ADD COLUMN centred INTEGER NOT NULL DEFAULT 0;
            """, """
            ALTER TABLE photo ADD COLUMN bands TEXT; -- null = none is left out
            UPDATE photo SET bytes = -1 WHERE kind = 'RAW_DATA'; -- what their sensors see is asked
            """, """
            UPDATE photo SET bytes = -1 -- headers of CR3 files were not read; work that is built on how they lay stays
              WHERE kind = 'RAW' AND file LIKE '%.cr3'
                AND quarter_turns = 0 AND mirrored = 0 AND tilt = 0
                AND lens IS NULL AND plumb IS NULL AND trim IS NULL AND bands IS NULL AND marks IS NULL
                AND id NOT IN (SELECT photo FROM crop) AND id NOT IN (SELECT photo FROM alternate);
            UPDATE photo SET bytes = -1 -- cameras' codes for colours were not read
              WHERE kind = 'JPEG' AND profile IS NULL OR kind = 'RAW' AND profile IS NULL AND file NOT LIKE '%.cr3';
            """, """
            UPDATE photo SET bytes = -1, trouble = 'UNSUPPORTED' WHERE trouble = 'HDR'; -- such pictures are read now
            UPDATE photo SET bytes = -1 WHERE kind = 'JPEG_XL'; -- they were shown nearly black
            """);

    private static final List<String> COLUMNS = List.of(
            "id, file, bytes, modified, fingerprint, kind, width, height, exif_orientation, taken, trouble, percent,"
                    + " quarter_turns, mirrored, tilt, set_aside, marks, rule, level, overlay, profile, remarks, lens, plumb, trim, camera, neutral, eyes, bands, sight FROM photo",
            "id, place, name, shape, rule, target, note, files, centred FROM format",
            "photo, format, centre_x, centre_y, width, height, own_shape, outside, checked, fill FROM crop",
            "photo, format, place, name, centre_x, centre_y, width, height, own_shape, outside, checked, fill FROM alternate",
            "name, value FROM setting",
            "file, bytes, modified, sha256 FROM delivery",
            "place, undone, edit FROM step",
            "fingerprint FROM sound");

    private Schema() {}

    /** Whether a database that is there is of an earlier version than this program's. */
    static boolean isOlder(Connection connection) throws SQLException {
        int version = version(connection);
        return version > 0 && version < STEPS.size();
    }

    static boolean isOfThisVersion(Connection connection) throws SQLException {
        return version(connection) == STEPS.size();
    }

    /** Whether all columns have the names that this version's queries use; SQLite does not check what describes a table. */
    static boolean isIntact(Connection connection) {
        try (Statement statement = connection.createStatement()) {
            for (String columns : COLUMNS) {
                statement.executeQuery("SELECT " + columns + " LIMIT 0").close();
            }
            return true;
        } catch (SQLException damaged) { // that is the answer
            return false;
        }
    }

    /** @throws SQLException also if the database is of a later version than this program knows */
    static void update(Connection connection) throws SQLException {
        int version = version(connection);
        if (version > STEPS.size()) {
            throw new SQLException("made by a newer version of Nexa");
        }
        if (version == STEPS.size()) {
            return;
        }
        try (Statement statement = connection.createStatement()) {
            statement.execute("BEGIN IMMEDIATE");
            for (String step : STEPS.subList(version(connection), STEPS.size())) {
                statement.executeUpdate(step);
            }
            Seal.remove(connection); // it was over what the tables held before
            statement.executeUpdate("PRAGMA user_version = " + STEPS.size());
            statement.execute("COMMIT");
        }
    }

    private static int version(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery("PRAGMA user_version")) {
            return result.getInt(1);
        }
    }
}
