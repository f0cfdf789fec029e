package nexa.desktop.widget;

import java.util.ArrayList;
import java.util.List;
import nexa.core.told.Told;
import nexa.words.Words;

/** What went wrong, below what came of it; a long list is cut. */
public final class TroubleWords {
    private static final int MOST = 6;

    private TroubleWords() {}

    public static String below(String done, List<Told> troubles) {
        List<String> lines = new ArrayList<>(List.of(done));
        troubles.stream().limit(MOST).map(Words::of).forEach(lines::add);
        if (troubles.size() > MOST) {
            lines.add(Words.of("paper.more", troubles.size() - MOST));
        }
        return String.join("\n", lines);
    }
}
