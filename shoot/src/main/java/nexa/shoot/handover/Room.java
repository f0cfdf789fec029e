package nexa.shoot.handover;

import java.util.Optional;
import java.util.concurrent.Semaphore;
import nexa.core.files.FileType;
import nexa.core.files.Packing.Depth;
import nexa.core.geometry.PixelSize;
import nexa.core.told.Told;

/**
 * Memory for deliveries. Each takes what it needs at most before it is begun, so that large ones wait for each other; one
 * that needs more than there is is refused beforehand.
 */
final class Room {
    /** Pixels, encoded, outside the heap: rendered, in other colours, sharpened, of another depth. */
    private static final int COPIES = 4;

    /** A TIFF's strips, and the one that is packed. */
    private static final double TIFF_COPIES = 1.05;

    /** Well packed, and twice. */
    private static final double PACKED = 0.8;

    private static final long NATIVE = 4L << 30;
    private static final double SHARE_OF_HEAP = 0.6;
    private static final int CHANNELS = 3;
    private static final int UNIT = 1 << 20;

    private final Semaphore heap = new Semaphore(units(heap()), true);
    private final Semaphore pixels = new Semaphore(units(NATIVE), true);

    /** To be closed when the delivery is done. */
    record Held(Room room, int heap, int pixels) implements AutoCloseable {
        @Override
        public void close() {
            room.heap.release(heap);
            room.pixels.release(pixels);
        }
    }

    /** Waits until there is enough. */
    Held take(Delivery delivery) {
        int needed = units((long) heapOf(delivery));
        int pixelsNeeded = units((long) nativeOf(delivery));
        heap.acquireUninterruptibly(needed);
        pixels.acquireUninterruptibly(pixelsNeeded);
        return new Held(this, needed, pixelsNeeded);
    }

    /** Why a delivery can't be made, with the size that could be; empty if it can. */
    static Optional<Told> refusal(Delivery delivery) {
        double share = Math.max(heapOf(delivery) / heap(), nativeOf(delivery) / NATIVE);
        if (share <= 1) {
            return Optional.empty();
        }
        PixelSize size = delivery.size();
        double scale = Math.sqrt(0.99 / share);
        return Optional.of(Told.of(
                "told.handover.too-large",
                size,
                delivery.format().files().type().label(),
                String.valueOf((int) (size.width() * scale)),
                String.valueOf((int) (size.height() * scale))));
    }

    private static long heap() {
        return (long) (Runtime.getRuntime().maxMemory() * SHARE_OF_HEAP);
    }

    private static int units(long bytes) {
        return (int) Math.clamp(Math.ceilDiv(bytes, UNIT), 1, Integer.MAX_VALUE);
    }

    private static double nativeOf(Delivery delivery) {
        return raw(delivery) * COPIES;
    }

    private static double heapOf(Delivery delivery) {
        return delivery.format().files().type() == FileType.TIFF ? raw(delivery) * TIFF_COPIES : raw(delivery) * PACKED;
    }

    /** Bytes of the delivered pixels. */
    private static double raw(Delivery delivery) {
        return (double) delivery.size().area() * CHANNELS * (isDeep(delivery) ? 2 : 1);
    }

    /** Where the depth is the photo's own, only of a JPEG is it known beforehand. */
    private static boolean isDeep(Delivery delivery) {
        Depth depth = delivery.format().files().packing().depth();
        boolean asPhoto =
                depth == Depth.PHOTO && Rendering.facts(delivery).kind().mayBeDeep();
        return delivery.format().files().type().mostBits() == 16 && (depth == Depth.SIXTEEN || asPhoto);
    }
}
