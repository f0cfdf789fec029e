package nexa.core.pixel;

/** A change of the light that a photo was made of: done before sampling, on its own pixels, in linear light. */
public sealed interface LightStep permits CornerLight {}
