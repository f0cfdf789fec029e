package nexa.imaging.render;

import java.util.Optional;
import nexa.core.geometry.Affine;
import org.bytedeco.opencv.opencv_core.Mat;

/** A tile that is reduced by the same everywhere: one filter serves it. */
final class EvenTile {
    private EvenTile() {}

    static void render(Looked source, Affine tileToSource, Mat tile) {
        double reduction = LowPass.reduction(tileToSource);
        int block = SourcePart.block(reduction);
        Optional<LowPass> filter = LowPass.forReduction(reduction / block, block * source.mean());
        Seen seen = Seen.of(tileToSource, tile.cols(), tile.rows());
        int reach = filter.map(LowPass::reach).orElse(0);
        try (SourcePart part = SourcePart.of(source, seen, block, reach);
                Sampling sampling = Sampling.of(part.seenFrom(tileToSource), tile.cols(), tile.rows())) {
            if (filter.isEmpty()) {
                sampling.sample(part.pixels(), tile);
                return;
            }
            sampling.sampleFiltered(part.pixels(), filter.get(), tile);
        }
    }
}
