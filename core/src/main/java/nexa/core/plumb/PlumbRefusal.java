package nexa.core.plumb;

/** Why line evidence does not tell how a camera was turned. */
public enum PlumbRefusal {
    /** Hardly any long line that could be upright. */
    FEW_UPRIGHTS,
    /** All that is upright stands in one place, so it does not tell a pitch from a roll. */
    ONE_PLACE,
    /** The lines fit more than one turn. */
    RIVAL_TURNS,
    /** The uprights stand upright already. */
    PLUMB_ALREADY
}
