package nexa.shoot.scan;

import java.util.Comparator;

/**
 * Names as people order them: letters ignoring case, runs of the digits 0 to 9 by value; {@code p9} before {@code P10}.
 * Digits of other scripts are letters, as their places among letters are not those of their values. Names that are alike
 * so come by length, and then by their characters.
 */
enum NaturalOrder implements Comparator<String> {
    INSTANCE;

    @Override
    public int compare(String a, String b) {
        int atA = 0;
        int atB = 0;
        while (atA < a.length() && atB < b.length()) {
            int endA = endOfRun(a, atA);
            int endB = endOfRun(b, atB);
            int order = isDigit(a.charAt(atA)) && isDigit(b.charAt(atB))
                    ? byValue(a, atA, endA, b, atB, endB)
                    : a.substring(atA, endA).compareToIgnoreCase(b.substring(atB, endB));
            if (order != 0) {
                return order;
            }
            atA = endA;
            atB = endB;
        }
        int goesOn = Boolean.compare(atA < a.length(), atB < b.length());
        int byLength = goesOn != 0 ? goesOn : Integer.compare(a.length(), b.length());
        return byLength != 0 ? byLength : a.compareTo(b);
    }

    private static int endOfRun(String name, int start) {
        boolean digits = isDigit(name.charAt(start));
        int end = start + 1;
        while (end < name.length() && isDigit(name.charAt(end)) == digits) {
            end++;
        }
        return end;
    }

    private static boolean isDigit(char character) {
        return character >= '0' && character <= '9';
    }

    /** Of any length: without zeros in front the longer one is larger. */
    private static int byValue(String a, int startA, int endA, String b, int startB, int endB) {
        int fromA = withoutZeros(a, startA, endA);
        int fromB = withoutZeros(b, startB, endB);
        int byLength = Integer.compare(endA - fromA, endB - fromB);
        return byLength != 0 ? byLength : a.substring(fromA, endA).compareTo(b.substring(fromB, endB));
    }

    private static int withoutZeros(String name, int start, int end) {
        int from = start;
        while (from < end && name.charAt(from) == '0') {
            from++;
        }
        return from;
    }
}
