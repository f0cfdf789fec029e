package nexa.shoot.store;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Rows of a damaged store that can still be read. */
final class Salvage {
    private static final Logger LOG = LoggerFactory.getLogger(Salvage.class);
    private static final List<String> TABLES = List.of("photo", "format", "crop", "alternate", "delivery", "setting");

    private Salvage() {}

    /**
     * Puts them into a new store; how many they are.
     *
     * @throws StoreException if the new one can't be made
     */
    static int rows(Path damaged, Path file) throws StoreException {
        Store.open(file).close();
        int rows = 0;
        try (Connection from = DriverManager.getConnection("jdbc:sqlite:" + damaged);
                Connection to = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            to.setAutoCommit(false);
            for (String table : TABLES) {
                rows += rows(table, from, to);
            }
            Seal.remove(to); // it was over what the damaged one held
            to.commit();
        } catch (SQLException unreadable) { // then so many were read before
            LOG.warn("{} can't be read on", damaged, unreadable);
        }
        return rows;
    }

    /** Until one can't be read. */
    private static int rows(String table, Connection from, Connection to) {
        int rows = 0;
        try (Statement statement = from.createStatement();
                ResultSet row = statement.executeQuery("SELECT * FROM " + table);
                PreparedStatement insert = insert(table, row.getMetaData(), to)) {
            int columns = row.getMetaData().getColumnCount();
            while (row.next()) {
                for (int column = 1; column <= columns; column++) {
                    insert.setObject(column, row.getObject(column));
                }
                rows += insert.executeUpdate();
            }
        } catch (SQLException damaged) {
            LOG.warn("Of the table {} {} rows were read: {}", table, rows, damaged.toString());
        }
        return rows;
    }

    private static PreparedStatement insert(String table, ResultSetMetaData meta, Connection to) throws SQLException {
        List<String> columns = new ArrayList<>();
        for (int column = 1; column <= meta.getColumnCount(); column++) {
            columns.add(meta.getColumnName(column));
        }
        String places = Collections.nCopies(columns.size(), "?").stream().collect(Collectors.joining(", "));
        return to.prepareStatement(
                "INSERT OR IGNORE INTO " + table + " (" + String.join(", ", columns) + ") VALUES (" + places + ")");
    }
}
