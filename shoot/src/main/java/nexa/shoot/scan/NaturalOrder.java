package nexa.shoot.scan;

import java.math.BigInteger;
import java.util.Comparator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Names as people order them: letters ignoring case, runs of digits by value; {@code p9} before {@code P10}. */
enum NaturalOrder implements Comparator<String> {
    INSTANCE;

    private static final Pattern RUN = Pattern.compile("\\d+|\\D+");

    @Override
    public int compare(String a, String b) {
        Matcher runA = RUN.matcher(a);
        Matcher runB = RUN.matcher(b);
        while (runA.find() && runB.find()) {
            int order = compareRuns(runA.group(), runB.group());
            if (order != 0) {
                return order;
            }
        }
        int byLength = Integer.compare(a.length(), b.length());
        return byLength != 0 ? byLength : a.compareTo(b);
    }

    private static int compareRuns(String a, String b) {
        return Character.isDigit(a.charAt(0)) && Character.isDigit(b.charAt(0))
                ? new BigInteger(a).compareTo(new BigInteger(b))
                : a.compareToIgnoreCase(b);
    }
}
