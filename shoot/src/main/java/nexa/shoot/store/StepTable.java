package nexa.shoot.store;

import java.io.IOException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import nexa.core.told.Told;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.History;
import nexa.shoot.edit.History.Move;
import nexa.shoot.edit.Step;

/** The steps that can be taken back or done again. */
final class StepTable {
    /**
     * What lies deeper can't be taken back any more once the shoot is opened again: steps of ten thousand photos each would
     * make the store larger than the photos.
     */
    private static final long MOST_BYTES = 8 << 20;

    private final Connection connection;
    private final Spoiled spoiled;

    StepTable(Connection connection, Spoiled spoiled) {
        this.connection = connection;
        this.spoiled = spoiled;
    }

    /** Newest steps first, until there is one that does not begin as such: what lies behind it can't be reached. */
    History load() throws SQLException {
        LinkedList<Step> done = new LinkedList<>();
        List<Step> undone = new ArrayList<>();
        long newest = 0;
        long left = MOST_BYTES;
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT place, undone, edit FROM step ORDER BY place DESC")) {
            while (row.next() && left > 0) {
                byte[] bytes = row.getBytes("edit");
                left -= bytes.length;
                Step step = new StoredStep(bytes);
                if (row.getBoolean("undone")) {
                    undone.addFirst(step);
                } else {
                    newest = Math.max(newest, row.getLong("place"));
                    done.addFirst(step);
                }
            }
        } catch (IOException | RuntimeException bad) { // of whichever value
            spoiled.add(Told.of("told.store.steps-spoiled"), new IllegalArgumentException(bad));
        }
        return new History(done, undone, newest);
    }

    /** What is to be changed in the table. */
    @FunctionalInterface
    interface Change {
        void save() throws SQLException;
    }

    /** What becomes of a step, which is turned into bytes while other things are stored: it may change thousands of photos. */
    Change change(Move move) {
        return switch (move) {
            case Move.Did(long place, Edit edit) -> {
                CompletableFuture<byte[]> bytes = CompletableFuture.supplyAsync(() -> EditWriter.bytes(edit));
                yield () -> add(place, bytes.join());
            }
            case Move.Undid(long place) -> () -> mark(place, true);
            case Move.Redid(long place) -> () -> mark(place, false);
        };
    }

    private void add(long place, byte[] edit) throws SQLException {
        try (PreparedStatement clear = connection.prepareStatement("DELETE FROM step WHERE place >= ? OR place <= ?");
                PreparedStatement insert =
                        connection.prepareStatement("INSERT INTO step (place, edit) VALUES (?, ?)")) {
            clear.setLong(1, place);
            clear.setLong(2, place - History.DEEPEST);
            clear.executeUpdate();
            insert.setLong(1, place);
            insert.setBytes(2, edit);
            insert.executeUpdate();
        }
        try (PreparedStatement forget = connection.prepareStatement("""
                DELETE FROM step WHERE place IN (
                  SELECT place FROM (SELECT place, SUM(length(edit)) OVER (ORDER BY place DESC) AS bytes FROM step)
                  WHERE bytes > ? AND place < ?)""")) {
            forget.setLong(1, MOST_BYTES);
            forget.setLong(2, place);
            forget.executeUpdate();
        }
    }

    private void mark(long place, boolean undone) throws SQLException {
        try (PreparedStatement update = connection.prepareStatement("UPDATE step SET undone = ? WHERE place = ?")) {
            update.setBoolean(1, undone);
            update.setLong(2, place);
            update.executeUpdate();
        }
    }
}
