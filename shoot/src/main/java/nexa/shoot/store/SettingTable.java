package nexa.shoot.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;

/** Values by name. */
final class SettingTable {
    private SettingTable() {}

    /** Adds a value, or puts it in place of the one of that name. */
    static int save(Connection connection, String name, String value) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(
                "INSERT INTO setting VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value")) {
            statement.setString(1, name);
            statement.setString(2, value);
            return statement.executeUpdate();
        }
    }
}
