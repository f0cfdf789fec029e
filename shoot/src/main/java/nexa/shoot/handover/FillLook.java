package nexa.shoot.handover;

import nexa.imaging.fill.Seam;
import nexa.imaging.pixels.Raster;

/**
 * How a delivery with blank will look.
 *
 * @param picture the whole frame, filled
 * @param seam where its fill will show
 * @param blank share of the frame that shows no photo
 */
public record FillLook(Raster picture, Seam seam, double blank) {}
