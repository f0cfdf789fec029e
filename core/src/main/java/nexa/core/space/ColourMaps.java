package nexa.core.space;

import java.util.function.UnaryOperator;
import nexa.core.geometry.Mapping;

/** One map for each of a picture's colours, as a lens brings them to different places. Equal ones are the same object. */
public record ColourMaps(Mapping red, Mapping green, Mapping blue) {
    /** All colours alike. */
    public static ColourMaps alike(Mapping map) {
        return new ColourMaps(map, map, map);
    }

    /** These, each after the same first step. */
    public ColourMaps after(Mapping first) {
        return changed(first::then);
    }

    /** These, each followed by the same step. */
    public ColourMaps then(Mapping next) {
        return changed(map -> map.then(next));
    }

    private ColourMaps changed(UnaryOperator<Mapping> change) {
        Mapping changed = change.apply(green);
        return new ColourMaps(
                red == green ? changed : change.apply(red), changed, blue == green ? changed : change.apply(blue));
    }

    public boolean areAlike() {
        return red == green && green == blue;
    }
}
