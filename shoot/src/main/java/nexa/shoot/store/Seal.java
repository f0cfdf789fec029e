package nexa.shoot.store;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HexFormat;
import java.util.List;
import nexa.shoot.scan.Sha256;
import org.jspecify.annotations.Nullable;

/**
 * A checksum over all that a store holds, put into it when it is closed and taken out with the first change: SQLite
 * notices damage to its structure, but not a digit that became another one. A store that was not closed, as by a crash,
 * has none.
 */
final class Seal {
    private static final String NAME = "seal";
    private static final List<String> CONTENT = List.of(
            "SELECT * FROM photo ORDER BY id",
            "SELECT * FROM format ORDER BY id",
            "SELECT * FROM crop ORDER BY photo, format",
            "SELECT * FROM alternate ORDER BY photo, format, place",
            "SELECT * FROM delivery ORDER BY file",
            "SELECT * FROM step ORDER BY place",
            "SELECT * FROM sound ORDER BY fingerprint",
            "SELECT * FROM setting WHERE name <> '" + NAME + "' ORDER BY name");

    private final Connection connection;
    private boolean opened;

    Seal(Connection connection) {
        this.connection = connection;
    }

    /** In the transaction of each change. */
    void open() throws SQLException {
        if (!opened) {
            try (Statement statement = connection.createStatement()) {
                statement.executeUpdate("DELETE FROM setting WHERE name = '" + NAME + "'");
            }
            opened = true;
        }
    }

    /** If anything changed. */
    void close() throws SQLException {
        if (opened) {
            SettingTable.save(connection, NAME, checksum());
        }
    }

    /** Whether the store holds what it held when it was closed, or was not closed. */
    boolean isWhole() throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT value FROM setting WHERE name = '" + NAME + "'")) {
            return !row.next() || row.getString(1).equals(checksum());
        }
    }

    private String checksum() throws SQLException {
        MessageDigest digest = Sha256.digest();
        for (String rows : CONTENT) {
            try (Statement statement = connection.createStatement();
                    ResultSet row = statement.executeQuery(rows)) {
                int columns = row.getMetaData().getColumnCount();
                while (row.next()) {
                    for (int column = 1; column <= columns; column++) {
                        add(digest, row.getObject(column));
                    }
                }
            }
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    private static void add(MessageDigest digest, @Nullable Object value) {
        byte[] bytes =
                value instanceof byte[] blob ? blob : String.valueOf(value).getBytes(StandardCharsets.UTF_8);
        digest.update(bytes);
        digest.update((byte) 0);
    }
}
