package nexa.desktop.paint;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** Two pictures of a photo for the screen: the plain one, and the veiled one; of a draft under a veil only the latter is made. */
record PicturePair(Picture plain, Picture veiled) {
    static PicturePair of(int width, int height) {
        return new PicturePair(Picture.of(width, height), Picture.of(width, height));
    }

    /**
     * One of them.
     *
     * @param pixels what the image shows, once the buffer was told that they changed
     */
    record Picture(IntBuffer pixels, PixelBuffer<IntBuffer> buffer, WritableImage image) {
        private static Picture of(int width, int height) {
            IntBuffer pixels = ByteBuffer.allocateDirect(4 * width * height)
                    .order(ByteOrder.nativeOrder())
                    .asIntBuffer();
            PixelBuffer<IntBuffer> buffer =
                    new PixelBuffer<>(width, height, pixels, PixelFormat.getIntArgbPreInstance());
            return new Picture(pixels, buffer, new WritableImage(buffer));
        }

        boolean hasSize(int width, int height) {
            return buffer.getWidth() == width && buffer.getHeight() == height;
        }
    }
}
