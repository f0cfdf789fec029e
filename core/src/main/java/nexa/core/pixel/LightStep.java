package nexa.core.pixel;

/** A change of the light that a photo was made of: done before sampling, on its own pixels, in linear light. */
public sealed interface LightStep permits CornerLight, CornerLift {
    /**
     * How many times as much light there is.
     *
     * @param squared R², the distance from the photo's centre, 1 at its corners
     */
    double gain(double squared);
}
