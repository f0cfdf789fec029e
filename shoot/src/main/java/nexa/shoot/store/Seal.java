package nexa.shoot.store;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import nexa.shoot.scan.Sha256;
import org.jspecify.annotations.Nullable;

/**
 * A checksum over all that a store holds, put into it when it is closed and taken out with the first change: SQLite
 * notices damage to its structure, but not a digit that became another one. A store that was not closed, as by a crash,
 * has none.
 */
final class Seal {
    private static final String NAME = "seal";
    private static final List<Content> CONTENT = List.of(
            new Content("photo", "ORDER BY id"),
            new Content("format", "ORDER BY id"),
            new Content("crop", "ORDER BY photo, format"),
            new Content("alternate", "ORDER BY photo, format, place"),
            new Content("delivery", "ORDER BY file"),
            new Content("step", "ORDER BY place"),
            new Content("sound", "ORDER BY fingerprint"),
            new Content("setting", "WHERE name <> '" + NAME + "' ORDER BY name"));

    /** Columns of these types are read one by one. */
    private static final Set<String> ALONE = Set.of("REAL", "BLOB");

    /** @param rows which ones of a table, and in which order */
    private record Content(String table, String rows) {}

    private final Connection connection;
    private boolean opened;

    Seal(Connection connection) {
        this.connection = connection;
    }

    /** In the transaction of each change. */
    void open() throws SQLException {
        if (!opened) {
            remove(connection);
            opened = true;
        }
    }

    /** In the transaction of a change that is made without a store. */
    static void remove(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.executeUpdate("DELETE FROM setting WHERE name = '" + NAME + "'");
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
        for (Content content : CONTENT) {
            String rows = "SELECT " + columns(content.table()) + " FROM " + content.table() + " " + content.rows();
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

    /**
     * A table's columns, each ended by a zero. Texts and whole numbers that stand together come as one, put together by
     * SQLite, since asking for each of a row's thirty cells takes longer than all else.
     */
    private String columns(String table) throws SQLException {
        List<String> columns = new ArrayList<>();
        List<String> together = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet column = statement.executeQuery("PRAGMA table_info(" + table + ")")) {
            while (column.next()) {
                String name = column.getString("name");
                if (ALONE.contains(column.getString("type"))) {
                    addTogether(together, columns);
                    columns.add(name);
                } else {
                    together.add("ifnull(" + name + ", 'null')");
                }
            }
        }
        addTogether(together, columns);
        return String.join(", ", columns);
    }

    private static void addTogether(List<String> together, List<String> columns) {
        if (!together.isEmpty()) {
            columns.add("CAST(" + String.join(" || char(0) || ", together) + " AS BLOB)");
            together.clear();
        }
    }

    private static void add(MessageDigest digest, @Nullable Object value) {
        byte[] bytes =
                value instanceof byte[] blob ? blob : String.valueOf(value).getBytes(StandardCharsets.UTF_8);
        digest.update(bytes);
        digest.update((byte) 0);
    }
}
