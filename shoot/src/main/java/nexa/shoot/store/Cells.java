package nexa.shoot.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import nexa.core.told.InvalidException;

/** Cells as what they are to be: SQLite keeps any kind of value in any column, and reads a word as the number 0. */
final class Cells {
    private Cells() {}

    /** @throws IllegalArgumentException if it is no finite number */
    static double number(ResultSet row, String column) throws SQLException {
        if (row.getObject(column) instanceof Number number && Double.isFinite(number.doubleValue())) {
            return number.doubleValue();
        }
        throw new InvalidException("told.store.is", column, row.getObject(column));
    }

    /** @throws IllegalArgumentException if it is no whole number */
    static int whole(ResultSet row, String column) throws SQLException {
        double number = number(row, column);
        if (number == Math.rint(number) && Math.abs(number) <= Integer.MAX_VALUE) {
            return (int) number;
        }
        throw new InvalidException("told.store.is", column, number);
    }

    /** @throws IllegalArgumentException if it is neither 0 nor 1 */
    static boolean flag(ResultSet row, String column) throws SQLException {
        int number = whole(row, column);
        if (number == 0 || number == 1) {
            return number == 1;
        }
        throw new InvalidException("told.store.is", column, number);
    }
}
