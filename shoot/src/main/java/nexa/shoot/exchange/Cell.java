package nexa.shoot.exchange;

/**
 * Cells of a table that a spreadsheet may open: it takes a text that begins like a formula for one, and computes whatever
 * a file's name says. Such a text gets an apostrophe in front, which reading takes away.
 */
final class Cell {
    private static final String FORMULA = "=+-@\t\r";
    private static final char GUARD = '\'';

    private Cell() {}

    /** Numbers stay as they are. */
    static String written(String text) {
        boolean suspicious = !text.isEmpty() && (FORMULA.indexOf(text.charAt(0)) >= 0 || text.charAt(0) == GUARD);
        return suspicious && !isNumber(text) ? GUARD + text : text;
    }

    static String read(String cell) {
        boolean guarded = cell.length() > 1
                && cell.charAt(0) == GUARD
                && (FORMULA.indexOf(cell.charAt(1)) >= 0 || cell.charAt(1) == GUARD);
        return guarded ? cell.substring(1) : cell;
    }

    private static boolean isNumber(String text) {
        try {
            return Double.isFinite(Double.parseDouble(text));
        } catch (NumberFormatException words) { // then it is text
            return false;
        }
    }
}
