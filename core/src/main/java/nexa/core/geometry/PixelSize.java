package nexa.core.geometry;

/**
 * Width and height of a picture in pixels, each at least 1.
 *
 * @throws IllegalArgumentException if a side is below 1
 */
public record PixelSize(int width, int height) {
    public PixelSize {
        if (width < 1 || height < 1) {
            throw new IllegalArgumentException("A picture has at least 1 × 1 pixels, not " + width + " × " + height);
        }
    }

    public int longEdge() {
        return Math.max(width, height);
    }

    public double aspect() {
        return (double) width / height;
    }

    public long area() {
        return (long) width * height;
    }

    public Orientation orientation() {
        return Orientation.of(width, height);
    }

    public PixelSize transposed() {
        return new PixelSize(height, width);
    }

    @Override
    public String toString() {
        return width + " × " + height;
    }
}
