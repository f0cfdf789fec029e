package nexa.core.geometry;

/**
 * Leaves bands of a plane out, so that what lies on both sides of each meets, or opens them again. It is one to one only
 * outside the bands: all of a band comes to lie on the line where its sides meet, and what opens it brings that line to one
 * of them, so that {@code inverse().apply(apply(p))} is p except in a band. Nothing is stretched anywhere.
 *
 * @param across bands from top to bottom, by their x
 * @param down bands from left to right, by their y
 * @param undone whether the bands are opened
 */
public record Closing(Gaps across, Gaps down, boolean undone) implements Mapping {
    @Override
    public Point apply(Point p) {
        return new Point(p.x() + moved(across, p.x()), p.y() + moved(down, p.y()));
    }

    private double moved(Gaps gaps, double place) {
        return undone ? gaps.back(place) : gaps.shift(place);
    }

    @Override
    public void map(double[] xs, double[] ys, int count) {
        for (int i = 0; i < count; i++) {
            xs[i] += moved(across, xs[i]);
            ys[i] += moved(down, ys[i]);
        }
    }

    @Override
    public Closing inverse() {
        return new Closing(across, down, !undone);
    }

    @Override
    public Affine tangent(Point at) {
        return Affine.translation(moved(across, at.x()), moved(down, at.y()));
    }

    @Override
    public boolean breaks() {
        return undone;
    }

    @Override
    public boolean isIdentity() {
        return across.isNone() && down.isNone();
    }
}
