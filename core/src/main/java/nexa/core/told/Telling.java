package nexa.core.told;

/** Something, mostly an exception, that has a reason to tell. */
public interface Telling {
    Told told();
}
