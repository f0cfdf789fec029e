package nexa.core.lens.data;

import nexa.core.neutral.Receptors;

/**
 * What a photo's file says of what it was taken with; empty texts and 0 where it says nothing.
 *
 * @param maker as EXIF has it
 * @param model as EXIF has it
 * @param lens the lens's name
 * @param focal the lens's own focal length, in mm
 * @param focal35 the focal length that has the same diagonal angle of view on 36 × 24 mm
 * @param aperture f-number
 * @param distance to what is sharp, in metres
 * @param corrected whether the camera says that the picture is corrected already
 * @param receptors of its sensor, if the photo is developed from that; the eye's otherwise
 */
public record Camera(
        String maker,
        String model,
        String lens,
        double focal,
        double focal35,
        double aperture,
        double distance,
        boolean corrected,
        Receptors receptors) {
    public static final Camera UNKNOWN = new Camera("", "", "", 0, 0, 0, 0, false, Receptors.EYE);

    /** Of a text; earlier ones had none for the receptors. */
    private static final int CELLS = 9;

    /** The diagonal of 36 × 24 mm. */
    private static final double FULL_DIAGONAL = Math.hypot(36, 24);

    /** Of a picture that the camera itself developed. */
    public Camera(
            String maker,
            String model,
            String lens,
            double focal,
            double focal35,
            double aperture,
            double distance,
            boolean corrected) {
        this(maker, model, lens, focal, focal35, aperture, distance, corrected, Receptors.EYE);
    }

    /** What is no number, or nothing that a lens can have, is not known. */
    public Camera {
        focal = known(focal);
        focal35 = known(focal35);
        aperture = known(aperture);
        distance = known(distance);
        maker = plain(maker);
        model = plain(model);
        lens = plain(lens);
    }

    /** On one line, and nothing that only fills up. */
    private static String plain(String text) {
        return text.replaceAll("[\\p{Cntrl}\\s]+", " ").strip();
    }

    /** The same, developed from what its sensor saw. */
    public Camera seeing(Receptors sensor) {
        return new Camera(maker, model, lens, focal, focal35, aperture, distance, corrected, sensor);
    }

    private static double known(double value) {
        return value > 0 && value < 1e5 ? value : 0;
    }

    /** As {@link #parse} reads it; empty if nothing is known. */
    public String text() {
        return equals(UNKNOWN)
                ? ""
                : String.join(
                        "\t",
                        maker,
                        model,
                        lens,
                        Double.toString(focal),
                        Double.toString(focal35),
                        Double.toString(aperture),
                        Double.toString(distance),
                        Boolean.toString(corrected),
                        receptors.text());
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static Camera parse(String text) {
        if (text.isEmpty()) {
            return UNKNOWN;
        }
        String[] cells = text.split("\t", -1);
        if (cells.length != CELLS && cells.length != CELLS - 1) {
            throw new IllegalArgumentException("No camera: " + text);
        }
        return new Camera(
                cells[0],
                cells[1],
                cells[2],
                Double.parseDouble(cells[3]),
                Double.parseDouble(cells[4]),
                Double.parseDouble(cells[5]),
                Double.parseDouble(cells[6]),
                Boolean.parseBoolean(cells[7]),
                cells.length == CELLS ? Receptors.parse(cells[8]) : Receptors.EYE);
    }

    public boolean isKnown() {
        return !model.isEmpty();
    }

    /** Maker and model, the maker not twice; empty if not known. */
    public String name() {
        String first = maker.split(" ", 2)[0];
        return model.regionMatches(true, 0, first, 0, first.length()) ? model : (maker + " " + model).strip();
    }

    /** How many times longer the diagonal of 36 × 24 mm is than the sensor's; 0 if the file does not tell. */
    public double crop() {
        return focal > 0 && focal35 > 0 ? focal35 / focal : 0;
    }

    /**
     * The focal length in the photo's long edges, which is what a turned camera needs; 0 if not known.
     *
     * @param crop of the camera, 0 if not known
     * @param aspect the photo's long side to its short one
     */
    public double inLongEdges(double crop, double aspect) {
        double equivalent = focal35 > 0 ? focal35 : focal * crop;
        double longEdge = FULL_DIAGONAL * aspect / Math.sqrt(aspect * aspect + 1);
        return equivalent / longEdge;
    }
}
