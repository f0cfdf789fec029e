package nexa.core.level;

/** Why line evidence does not tell how a photo leans. */
public enum Refusal {
    /** Hardly any straight line near level or plumb. */
    FEW_LINES,
    /** Lines point to several leans, as in perspective. */
    RIVAL_DIRECTIONS,
    /** Lines near the best lean differ too much among themselves, as along curves and grain. */
    SCATTERED
}
