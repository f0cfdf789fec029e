package nexa.imaging.fill;

import nexa.imaging.pixels.Picture;
import org.bytedeco.javacpp.ShortPointer;
import org.bytedeco.javacpp.indexer.UByteRawIndexer;
import org.bytedeco.javacpp.indexer.UShortRawIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/** A picture's values one by one, of 8 or 16 bits. */
interface Samples {
    /** @param index counted through rows, pixels and channels */
    int get(long index);

    void put(long index, int value);

    static Samples of(Picture picture) {
        Mat mat = picture.mat();
        long count = mat.total() * mat.channels();
        if (picture.bits() == 16) {
            UShortRawIndexer values = new UShortRawIndexer(
                    new ShortPointer(mat.data()).capacity(count), new long[] {count}, new long[] {1});
            return new Samples() {
                @Override
                public int get(long index) {
                    return values.get(index);
                }

                @Override
                public void put(long index, int value) {
                    values.put(index, value);
                }
            };
        }
        UByteRawIndexer values = new UByteRawIndexer(mat.data().capacity(count), new long[] {count}, new long[] {1});
        return new Samples() {
            @Override
            public int get(long index) {
                return values.get(index);
            }

            @Override
            public void put(long index, int value) {
                values.put(index, value);
            }
        };
    }
}
