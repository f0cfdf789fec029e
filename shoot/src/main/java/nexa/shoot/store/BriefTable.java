package nexa.shoot.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.told.Told;

/** The formats in their order. */
final class BriefTable {
    private static final String NEXT_ID = "next format";

    private final Connection connection;
    private final Spoiled spoiled;

    BriefTable(Connection connection, Spoiled spoiled) {
        this.connection = connection;
        this.spoiled = spoiled;
    }

    Brief load() throws SQLException {
        List<Format> formats = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "SELECT id, name, shape, rule, target, note, files, centred FROM format ORDER BY place")) {
            while (rows.next()) {
                add(rows, formats);
            }
        }
        int highest = formats.stream().mapToInt(Format::id).max().orElse(0);
        return new Brief(formats, Math.max(nextId(), highest + 1));
    }

    private void add(ResultSet row, List<Format> formats) throws SQLException {
        try {
            formats.add(format(row));
        } catch (RuntimeException bad) { // of whichever value
            spoiled.add(Told.of("told.store.format-spoiled", String.valueOf(row.getString(2))), bad);
        }
    }

    private static Format format(ResultSet row) throws SQLException {
        return new Format(
                Cells.whole(row, "id"),
                row.getString(2),
                Shape.parse(row.getString(3)),
                OrientationRule.valueOf(row.getString(4)),
                row.getString(5) == null ? SizeTarget.NONE : SizeTarget.parse(row.getString(5)),
                row.getString(6) == null ? "" : row.getString(6),
                row.getString(7) == null ? FileSettings.DEFAULT : FileSettings.parse(row.getString(7)),
                row.getBoolean(8));
    }

    void save(Brief brief) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.executeUpdate("DELETE FROM format");
        }
        try (PreparedStatement insert = connection.prepareStatement(
                "INSERT INTO format (id, place, name, shape, rule, target, note, files, centred) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)")) {
            for (Format format : brief.formats()) {
                insert.setInt(1, format.id());
                insert.setInt(2, brief.formats().indexOf(format));
                insert.setString(3, format.name());
                insert.setString(4, format.shape().text());
                insert.setString(5, format.rule().name());
                insert.setString(6, format.target().text());
                insert.setString(7, format.note());
                insert.setString(8, format.files().text());
                insert.setBoolean(9, format.centred());
                insert.executeUpdate();
            }
        }
        SettingTable.save(connection, NEXT_ID, Integer.toString(brief.nextId()));
    }

    private int nextId() throws SQLException {
        try (PreparedStatement query = connection.prepareStatement("SELECT value FROM setting WHERE name = ?")) {
            query.setString(1, NEXT_ID);
            try (ResultSet row = query.executeQuery()) {
                return row.next() ? number(row.getString(1)) : Brief.EMPTY.nextId();
            }
        }
    }

    private int number(String text) {
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException bad) {
            spoiled.add(Told.of("told.store.count-spoiled"), bad);
            return Brief.EMPTY.nextId();
        }
    }
}
