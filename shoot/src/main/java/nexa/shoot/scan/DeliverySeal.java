package nexa.shoot.scan;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import nexa.shoot.disk.AtomicFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A mark that only this user's Nexa can put on an entry of a list of deliveries (HMAC-SHA-256, RFC 2104): so that no list
 * that lies in a folder makes a photo pass for a delivered file.
 */
public final class DeliverySeal {
    private static final Logger LOG = LoggerFactory.getLogger(DeliverySeal.class);
    private static final String ALGORITHM = "HmacSHA256";
    private static final int KEY = 32;
    private static final int SHOWN = 16;

    private final byte[] key;

    private DeliverySeal(byte[] key) {
        this.key = key;
    }

    /** @param data the user's data folder; where it can't be written, seals hold as long as the program runs */
    public static DeliverySeal ofUser(Path data) {
        Path file = data.resolve("delivery.key");
        try {
            byte[] known = Files.exists(file) ? Files.readAllBytes(file) : new byte[0];
            if (known.length == KEY) {
                return new DeliverySeal(known);
            }
            byte[] fresh = fresh();
            Files.createDirectories(data);
            AtomicFile.write(file, fresh);
            if (Files.getFileStore(file).supportsFileAttributeView("posix")) {
                Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
            }
            return new DeliverySeal(fresh);
        } catch (IOException unwritable) {
            LOG.info("Deliveries are not recognised another time: {}", unwritable.toString());
            return new DeliverySeal(fresh());
        }
    }

    private static byte[] fresh() {
        byte[] fresh = new byte[KEY];
        new SecureRandom().nextBytes(fresh);
        return fresh;
    }

    /** @param file relative to the list's folder */
    public String of(String file, long bytes, String sha256) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(key, ALGORITHM));
            byte[] seal = mac.doFinal((file + "|" + bytes + "|" + sha256).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(seal, 0, SHOWN);
        } catch (GeneralSecurityException impossible) { // every Java platform has it
            throw new IllegalStateException(impossible);
        }
    }

    boolean fits(String seal, String file, long bytes, String sha256) {
        return MessageDigest.isEqual(
                seal.getBytes(StandardCharsets.UTF_8), of(file, bytes, sha256).getBytes(StandardCharsets.UTF_8));
    }
}
