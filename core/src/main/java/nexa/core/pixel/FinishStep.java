package nexa.core.pixel;

/** A change of a delivered picture's pixels: done after sampling, in the delivered colours. */
public sealed interface FinishStep permits Sharpened {}
