package nexa.shoot.photo;

import java.util.List;
import java.util.Map;
import nexa.core.brief.Alternate;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;

/** What was asked of two photos that turned out to be one. */
public final class Joining {
    private Joining() {}

    /**
     * What is asked of the one that stays: what was asked of it, with the crops of the other as alternates; all that was
     * asked of the other if nothing was asked of it.
     *
     * @param name of the other, by which its crops are known then
     */
    public static Framing of(Framing stays, Framing other, String name, Brief brief) {
        if (stays.isUntouched() || other.isUntouched()) {
            return stays.isUntouched() ? other : stays;
        }
        Framing joined = stays;
        for (Map.Entry<Integer, Crop> crop : other.crops().entrySet()) {
            Format format = brief.find(crop.getKey()).orElse(null);
            if (format != null
                    && !stays.crop(format).filter(crop.getValue()::equals).isPresent()) {
                joined = joined.keeping(format, new Alternate(shortened(name), crop.getValue()));
            }
        }
        for (Map.Entry<Integer, List<Alternate>> kept : other.alternates().entrySet()) {
            Format format = brief.find(kept.getKey()).orElse(null);
            for (Alternate alternate : kept.getValue()) {
                joined = format == null ? joined : joined.keeping(format, alternate);
            }
        }
        return joined;
    }

    private static String shortened(String name) {
        return name.substring(Math.max(0, name.length() - Alternate.LONGEST_NAME));
    }
}
