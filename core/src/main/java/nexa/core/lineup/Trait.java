package nexa.core.lineup;

/** In what a result can stand out from a set. */
public enum Trait {
    PLACE,
    SIZE,
    LEAN
}
