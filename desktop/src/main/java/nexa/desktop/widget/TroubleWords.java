package nexa.desktop.widget;

import java.util.ArrayList;
import java.util.List;
import nexa.desktop.words.Words;

/** What went wrong, below what came of it; a long list is cut. */
public final class TroubleWords {
    private static final int MOST = 6;

    private TroubleWords() {}

    public static String below(String done, List<String> troubles) {
        List<String> lines = new ArrayList<>(List.of(done));
        lines.addAll(troubles.subList(0, Math.min(MOST, troubles.size())));
        if (troubles.size() > MOST) {
            lines.add(Words.of("paper.more", troubles.size() - MOST));
        }
        return String.join("\n", lines);
    }
}
