package nexa.shoot.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.Alternate;
import nexa.core.brief.Crop;
import nexa.core.brief.Framing;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.shape.Shape;
import nexa.core.told.Told;
import nexa.shoot.edit.Edit.FramingChange;

/** The photos' crops and alternates, each by photo and then by format. */
final class CropTable {
    private static final String COLUMNS =
            "photo, format, centre_x, centre_y, width, height, own_shape, outside, checked, fill";
    private static final String PLACES = " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)";

    private final Connection connection;
    private final Spoiled spoiled;

    CropTable(Connection connection, Spoiled spoiled) {
        this.connection = connection;
        this.spoiled = spoiled;
    }

    Map<Long, Map<Integer, Crop>> crops() throws SQLException {
        Map<Long, Map<Integer, Crop>> crops = new HashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT " + COLUMNS + " FROM crop")) {
            while (row.next()) {
                long photo = row.getLong(1);
                int format = row.getInt(2);
                good(row).ifPresent(crop -> crops.computeIfAbsent(photo, id -> new HashMap<>())
                        .put(format, crop));
            }
        }
        return crops;
    }

    Map<Long, Map<Integer, List<Alternate>>> alternates() throws SQLException {
        Map<Long, Map<Integer, List<Alternate>>> alternates = new HashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT " + COLUMNS + ", name FROM alternate ORDER BY place")) {
            while (row.next()) {
                long photo = row.getLong(1);
                int format = row.getInt(2);
                String name = row.getString("name");
                good(row).ifPresent(crop -> alternates
                        .computeIfAbsent(photo, id -> new HashMap<>())
                        .computeIfAbsent(format, id -> new ArrayList<>())
                        .add(new Alternate(name, crop)));
            }
        }
        return alternates;
    }

    private Optional<Crop> good(ResultSet row) throws SQLException {
        try {
            return Optional.of(crop(row));
        } catch (RuntimeException bad) { // of whichever value
            spoiled.add(Told.of("told.store.crop-spoiled", name(row.getLong(1))), bad);
            return Optional.empty();
        }
    }

    private String name(long photo) throws SQLException {
        try (PreparedStatement query = connection.prepareStatement("SELECT file FROM photo WHERE id = ?")) {
            query.setLong(1, photo);
            try (ResultSet row = query.executeQuery()) {
                return row.next() ? row.getString(1) : "?";
            }
        }
    }

    private static Crop crop(ResultSet row) throws SQLException {
        Frame wish = new Frame(
                Cells.number(row, "centre_x"),
                Cells.number(row, "centre_y"),
                Cells.number(row, "width"),
                Cells.number(row, "height"));
        Optional<Shape> own = Optional.ofNullable(row.getString("own_shape")).map(Shape::parse);
        Optional<Fill> fill = Optional.ofNullable(row.getString("fill")).map(Fill::parse);
        return new Crop(wish, own, Cells.flag(row, "outside"), Cells.flag(row, "checked"), fill);
    }

    /** Puts photos' crops and alternates in place of what was there. */
    void save(List<FramingChange> changes) throws SQLException {
        clear("crop", changes);
        clear("alternate", changes);
        try (PreparedStatement insert = connection.prepareStatement("INSERT INTO crop (" + COLUMNS + ")" + PLACES)) {
            for (FramingChange change : changes) {
                for (Map.Entry<Integer, Crop> crop : change.after().crops().entrySet()) {
                    bind(insert, change.photo(), crop.getKey(), crop.getValue());
                    insert.addBatch();
                }
            }
            insert.executeBatch();
        }
        try (PreparedStatement insert = connection.prepareStatement(
                "INSERT INTO alternate (" + COLUMNS + ", place, name) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)")) {
            for (FramingChange change : changes) {
                addAlternates(insert, change.photo(), change.after());
            }
            insert.executeBatch();
        }
    }

    private void clear(String table, List<FramingChange> changes) throws SQLException {
        try (PreparedStatement delete = connection.prepareStatement(
                "DELETE FROM " + table + " WHERE photo IN (SELECT value FROM json_each(?))")) { // one for thousands
            delete.setString(
                    1, changes.stream().map(FramingChange::photo).toList().toString());
            delete.executeUpdate();
        }
    }

    private static void addAlternates(PreparedStatement insert, long photo, Framing framing) throws SQLException {
        for (Map.Entry<Integer, List<Alternate>> ofFormat : framing.alternates().entrySet()) {
            for (int place = 0; place < ofFormat.getValue().size(); place++) {
                Alternate alternate = ofFormat.getValue().get(place);
                bind(insert, photo, ofFormat.getKey(), alternate.crop());
                insert.setInt(11, place);
                insert.setString(12, alternate.name());
                insert.addBatch();
            }
        }
    }

    private static void bind(PreparedStatement insert, long photo, int format, Crop crop) throws SQLException {
        Frame wish = crop.wish();
        insert.setLong(1, photo);
        insert.setInt(2, format);
        insert.setDouble(3, wish.centreX());
        insert.setDouble(4, wish.centreY());
        insert.setDouble(5, wish.width());
        insert.setDouble(6, wish.height());
        insert.setString(7, crop.ownShape().map(Shape::text).orElse(null));
        insert.setBoolean(8, crop.outside());
        insert.setBoolean(9, crop.checked());
        insert.setString(10, crop.fill().map(Fill::text).orElse(null));
    }
}
