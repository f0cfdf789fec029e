package nexa.core.lineup;

import java.util.OptionalDouble;

/**
 * How much a set differs within itself. Each figure is the worst, not an average: nobody in the set is further off.
 *
 * @param place the largest distance of a subject's place from the set's median place, in fractions of the frame
 * @param size the largest subject over the smallest, less 1; empty if fewer than two have a size
 * @param lean between the two that lean most differently, in degrees; empty if fewer than two have a direction
 */
public record Spread(double place, OptionalDouble size, OptionalDouble lean) {}
