package nexa.desktop.photo;

import java.io.IOException;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Supplier;
import nexa.core.files.DeliveredColour;
import nexa.imaging.colour.Profile;
import nexa.imaging.colour.SoftProof;
import org.jspecify.annotations.Nullable;

/**
 * What the colours that files are to have make of pictures on the screen: made off the interface's thread; the last is
 * kept, and what it was made with. To be used from one thread, the interface's.
 */
public final class ProofedPictures {
    /**
     * @param profile name of the one that is proofed
     * @param share of the picture, 0 to 1, that can't be as it is on the screen
     */
    public record Proofed(ScreenPhoto picture, String profile, double share) {}

    private record Key(ScreenPhoto plain, DeliveredColour colour, Profile screen) {}

    private record Making(DeliveredColour colour, Profile screen, CompletableFuture<Optional<Press>> press) {}

    private record Press(String name, SoftProof proof) {}

    private final Executor workers;
    private final Supplier<Profile> screen;
    private @Nullable Key last;
    private CompletableFuture<Optional<Proofed>> picture = CompletableFuture.completedFuture(Optional.empty());
    private @Nullable Making making;

    ProofedPictures(Executor workers, Supplier<Profile> screen) {
        this.workers = workers;
        this.screen = screen;
    }

    /**
     * A picture as it will look; empty if files keep the photo's own colours. Fails with an {@link IOException} with words
     * for the user as the cause if the profile can't be used.
     */
    public CompletableFuture<Optional<Proofed>> of(ScreenPhoto plain, DeliveredColour colour) {
        Key key = new Key(plain, colour, screen.get());
        if (!key.equals(last)) {
            last = key;
            picture =
                    press(colour, key.screen).thenApplyAsync(press -> press.map(used -> proofed(plain, used)), workers);
        }
        return picture;
    }

    private CompletableFuture<Optional<Press>> press(DeliveredColour colour, Profile shown) {
        if (making == null || !making.colour.equals(colour) || !making.screen.equals(shown)) {
            making = new Making(colour, shown, made(() -> press(Profile.delivered(colour), colour, shown)));
        }
        return making.press;
    }

    private interface PressMaking {
        Optional<Press> make() throws IOException;
    }

    private CompletableFuture<Optional<Press>> made(PressMaking press) {
        try {
            return CompletableFuture.supplyAsync(
                    () -> {
                        try {
                            return press.make();
                        } catch (IOException refused) {
                            throw new CompletionException(refused);
                        }
                    },
                    workers);
        } catch (RejectedExecutionException closed) {
            return CompletableFuture.failedFuture(closed);
        }
    }

    private static Optional<Press> press(Optional<Profile> target, DeliveredColour colour, Profile shown)
            throws IOException {
        return target.isEmpty()
                ? Optional.empty()
                : Optional.of(new Press(target.get().name(), SoftProof.of(shown, target.get(), colour.how())));
    }

    private static Proofed proofed(ScreenPhoto plain, Press press) {
        SoftProof.Proofed proofed = press.proof.of(plain.raster());
        return new Proofed(plain.withPixels(proofed.raster()), press.name, proofed.share());
    }
}
