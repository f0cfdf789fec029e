package nexa.core.fit;

import nexa.core.outline.Sides;

/**
 * Centres on one side of a line: x·nx + y·ny ≥ offset + size · reach, for frames of a given size factor. The larger the
 * frame, the farther away the line, if it is one that frames have to keep off: the reach is then positive.
 *
 * @param nx of the unit normal, which points to where centres may be
 * @param reach how far a frame of size factor 1 goes from its centre along the normal
 */
record HalfPlane(double nx, double ny, double offset, double reach) {

    /** Where frames lie wholly to the right of a side, as seen along it with y down. */
    static HalfPlane rightOf(Sides sides, int side, double halfWidth, double halfHeight) {
        double nx = sides.nx(side);
        double ny = sides.ny(side);
        return new HalfPlane(nx, ny, sides.offset(side), Math.abs(nx) * halfWidth + Math.abs(ny) * halfHeight);
    }

    /** Where frames lie wholly to the left of a side. */
    static HalfPlane leftOf(Sides sides, int side, double halfWidth, double halfHeight) {
        HalfPlane right = rightOf(sides, side, halfWidth, halfHeight);
        return new HalfPlane(-right.nx, -right.ny, -right.offset, right.reach);
    }

    /** How far outside a centre is; negative inside. */
    double depth(double x, double y, double size) {
        return limit(size) - (x * nx + y * ny);
    }

    double limit(double size) {
        return offset + size * reach;
    }

    /** The other side of the line. */
    HalfPlane opposite() {
        return new HalfPlane(-nx, -ny, -offset, -reach);
    }

    /** Whether at every size it is part of a parallel one. */
    boolean isWithin(HalfPlane other) {
        return nx == other.nx && ny == other.ny && reach == other.reach && offset >= other.offset;
    }

    double cross(HalfPlane other) {
        return nx * other.ny - ny * other.nx;
    }
}
