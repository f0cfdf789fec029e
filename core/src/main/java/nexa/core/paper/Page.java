package nexa.core.paper;

/**
 * A page in millimetres.
 *
 * @param margin that stays white on each side
 */
public record Page(double width, double height, double margin) {
    /** @throws IllegalArgumentException if nothing is left between the margins */
    public Page {
        if (!(margin >= 0 && width > 2 * margin && height > 2 * margin)) {
            throw new IllegalArgumentException("A page has room between its margins");
        }
    }

    public Box inside() {
        return new Box(0, 0, width, height).grown(-margin);
    }
}
