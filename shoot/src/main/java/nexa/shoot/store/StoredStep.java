package nexa.shoot.store;

import java.io.IOException;
import java.lang.ref.SoftReference;
import java.util.Optional;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.edit.Step;
import nexa.shoot.edit.UnreadableStepException;
import nexa.shoot.store.EditReader.Summary;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A step of an earlier session, kept as its bytes: most are never taken back, and all that steps of ten thousand photos
 * changed takes seconds to read.
 */
final class StoredStep implements Step {
    private static final Logger LOG = LoggerFactory.getLogger(StoredStep.class);
    private static final Summary NOTHING = new Summary(0, Optional.empty());

    private final byte[] bytes;
    private final String label;
    private @Nullable Summary summary;

    /** Of ten thousand photos it takes some megabytes, so it goes where memory is short. */
    private volatile SoftReference<Edit> known = new SoftReference<>(null);

    /**
     * From what {@link EditWriter} wrote.
     *
     * @throws IOException if it does not begin as such
     */
    StoredStep(byte[] bytes) throws IOException {
        this.bytes = bytes.clone();
        this.label = EditReader.label(bytes);
    }

    @Override
    public String label() {
        return label;
    }

    @Override
    public int photoCount() {
        return summary().photos();
    }

    @Override
    public Optional<FramingChange> first() {
        return summary().first();
    }

    private Summary summary() {
        Summary read = summary;
        if (read == null) {
            read = read();
            summary = read;
        }
        return read;
    }

    private Summary read() {
        try {
            return EditReader.summary(bytes);
        } catch (IOException | RuntimeException spoiled) { // told when it is to be taken back
            LOG.info("A step can't be read: {}", spoiled.toString());
            return NOTHING;
        }
    }

    @Override
    public boolean isAtHand() {
        return known.get() != null;
    }

    /** Whoever comes while it is read waits for it. */
    @Override
    public synchronized Edit edit() {
        Edit edit = known.get();
        if (edit == null) {
            edit = all();
            known = new SoftReference<>(edit);
        }
        return edit;
    }

    private Edit all() {
        try {
            return EditReader.edit(bytes);
        } catch (IOException | RuntimeException spoiled) {
            throw new UnreadableStepException(spoiled);
        }
    }
}
