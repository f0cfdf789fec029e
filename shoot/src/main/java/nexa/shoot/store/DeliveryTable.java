package nexa.shoot.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import nexa.shoot.scan.DeliveredFiles.Delivered;

/** The files that were delivered into the shoot's folder. */
final class DeliveryTable {
    private final Connection connection;

    DeliveryTable(Connection connection) {
        this.connection = connection;
    }

    List<Delivered> all() throws SQLException {
        List<Delivered> all = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT file, bytes, modified, sha256 FROM delivery")) {
            while (row.next()) {
                all.add(new Delivered(row.getString(1), row.getLong(2), row.getLong(3), row.getString(4)));
            }
        }
        return all;
    }

    int save(Collection<Delivered> delivered) throws SQLException {
        try (PreparedStatement insert =
                connection.prepareStatement("INSERT OR REPLACE INTO delivery VALUES (?, ?, ?, ?)")) {
            for (Delivered each : delivered) {
                insert.setString(1, each.file());
                insert.setLong(2, each.bytes());
                insert.setLong(3, each.modified());
                insert.setString(4, each.sha256());
                insert.addBatch();
            }
            return insert.executeBatch().length;
        }
    }
}
