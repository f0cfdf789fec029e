package nexa.shoot.store;

import java.util.ArrayList;
import java.util.List;
import nexa.core.told.Told;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What of a store could not be read, so that it is told and nothing else is lost with it. */
final class Spoiled {
    private static final Logger LOG = LoggerFactory.getLogger(Spoiled.class);

    private final List<Told> told = new ArrayList<>();

    /**
     * Notes something.
     *
     * @param what it is and what becomes of it
     * @param why what its cell held
     */
    void add(Told what, RuntimeException why) {
        LOG.warn("{}: {}", what, why.toString());
        told.add(what);
    }

    List<Told> told() {
        return List.copyOf(told);
    }
}
