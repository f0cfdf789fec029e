package nexa.desktop;

import javafx.beans.property.ObjectProperty;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Keys;
import nexa.desktop.model.ShootModels;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;

/** What is found by itself: for the photo on the Bench at once; for several chosen on the Wall as a list to decide. */
final class Automatics {
    private final ShootModels models;
    private final ReviewLists lists;
    private final Keys keys;
    private final ObjectProperty<BenchMode> mode;

    /** @param mode what the next drag in the Bench does */
    Automatics(ShootModels models, ReviewLists lists, Keys keys, ObjectProperty<BenchMode> mode) {
        this.models = models;
        this.lists = lists;
        this.keys = keys;
        this.mode = mode;
    }

    /** Levels. */
    void level() {
        if (mayEdit() && areSeveral()) {
            lists.openLevels();
        } else if (mayEdit()) {
            session().viewProperty().set(MainView.BENCH);
            models.levelling().automatic();
        }
    }

    /** Stands the photo on the Bench up by its own lines. */
    void plumb() {
        if (mayEdit()) {
            mode.set(BenchMode.PLUMB);
            models.plumbing().automatic();
        }
    }

    /** All of it, for the chosen photos or for all. */
    void prepare() {
        if (mayEdit()) {
            session().viewProperty().set(MainView.WALL);
            lists.openPrepare(keys);
        }
    }

    /** Looks for borders. */
    void trim() {
        if (mayEdit() && areSeveral()) {
            lists.openTrims();
        } else if (mayEdit()) {
            mode.set(BenchMode.TRIM);
            models.trimming().automatic();
        }
    }

    /** The other picture of the chosen raw files. */
    void raw() {
        if (mayEdit()) {
            models.raw().toggle();
        }
    }

    private Session session() {
        return models.session();
    }

    private boolean mayEdit() {
        return session().shoot().mayEdit();
    }

    private boolean areSeveral() {
        return session().viewProperty().get() == MainView.WALL
                && session().selection().chosen().size() > 1;
    }
}
