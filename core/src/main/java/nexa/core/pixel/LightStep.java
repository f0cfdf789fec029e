package nexa.core.pixel;

import java.util.List;

/** A change of the light that a photo was made of: done before sampling, on its own pixels, in linear light. */
public sealed interface LightStep permits CornerLight, CornerLift {
    /**
     * How many times as much light there is.
     *
     * @param squared R², the distance from the photo's centre, 1 at its corners
     */
    double gain(double squared);

    /** The same of several steps, one after the other. */
    static double gain(List<LightStep> steps, double squared) {
        double gain = 1;
        for (LightStep step : steps) {
            gain *= step.gain(squared);
        }
        return gain;
    }
}
