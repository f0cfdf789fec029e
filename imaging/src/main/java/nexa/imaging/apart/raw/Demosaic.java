package nexa.imaging.apart.raw;

/** How a colour for every pixel is made of a sensor's elements, each of which saw one. */
public enum Demosaic {
    /** Each cell of four elements becomes one pixel, so that the picture is half as large each way. */
    CELLS,

    /**
     * Patterned pixel grouping: takes half the time of the adaptive one, and a picture that is made smaller afterwards is as
     * near to what the sensor would have seen in full ({@code ./nexa bench demosaic}).
     */
    GROUPED,

    /** Adaptive homogeneity-directed, for pixels that are looked at one by one. */
    ADAPTIVE
}
