package nexa.core.plumb;

import nexa.core.geometry.Point;
import nexa.core.geometry.Projective;
import nexa.core.geometry.Turn;

/**
 * How a camera was held, in radians: rolled first, then looking up by the pitch, then to the right by the yaw. What it saw in
 * a direction (x to the right, y down, z ahead) lies for a camera held straight at R = yaw · pitch · roll of it.
 */
record CameraTurn(double roll, double pitch, double yaw) {

    /** A photo's tilt and what is then left for its plumb; all in radians. */
    record Parts(double tilt, double pitch, double yaw) {
        private double[] matrix() {
            double ct = Math.cos(tilt);
            double st = Math.sin(tilt);
            double[] r = new CameraTurn(0, pitch, yaw).matrix();
            double[] rows = r.clone();
            for (int i = 0; i < 3; i++) {
                rows[i] = ct * r[i] - st * r[3 + i];
                rows[3 + i] = st * r[i] + ct * r[3 + i];
            }
            return rows;
        }

        /** The same turn of a photo that is laid down so afterwards, counted before that. */
        Parts before(Turn turn) {
            Point x = turn.apply(new Point(1, 0));
            Point y = turn.apply(new Point(0, 1));
            double[] t = {x.x(), y.x(), 0, x.y(), y.y(), 0, 0, 0, 1};
            return of(product(transposed(t), product(matrix(), t)));
        }

        private static Parts of(double[] r) {
            return new Parts(Math.atan2(r[3], r[0]), Math.atan2(r[7], r[8]), Math.asin(Math.clamp(-r[6], -1, 1)));
        }

        private static double[] product(double[] a, double[] b) {
            double[] product = new double[9];
            for (int i = 0; i < 9; i++) {
                for (int k = 0; k < 3; k++) {
                    product[i] += a[i / 3 * 3 + k] * b[k * 3 + i % 3];
                }
            }
            return product;
        }

        private static double[] transposed(double[] m) {
            return new double[] {m[0], m[3], m[6], m[1], m[4], m[7], m[2], m[5], m[8]};
        }
    }

    /** Row by row. */
    private double[] matrix() {
        double cr = Math.cos(roll);
        double sr = Math.sin(roll);
        double cp = Math.cos(pitch);
        double sp = Math.sin(pitch);
        double cy = Math.cos(yaw);
        double sy = Math.sin(yaw);
        return new double[] {
            cy * cr + sy * sp * sr,
            -cy * sr + sy * sp * cr,
            sy * cp,
            cp * sr,
            cp * cr,
            -sp,
            -sy * cr + cy * sp * sr,
            sy * sr + cy * sp * cr,
            cy * cp
        };
    }

    /**
     * The same turn as a photo is held: plumb first, in its own order, then the tilt (a rotation's angles about z, y and x;
     * G. Slabaugh, Computing Euler angles from a rotation matrix, 1999).
     */
    Parts parts() {
        return Parts.of(matrix());
    }

    /** Where a camera held straight sees what this one sees at a place: K R K⁻¹, both in the isotropic unit. */
    Projective straight(double focal) {
        double[] r = matrix();
        return new Projective(r[0], r[1], focal * r[2], r[3], r[4], focal * r[5], r[6] / focal, r[7] / focal, r[8]);
    }
}
