package nexa.shoot.prepare;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import nexa.core.brief.Framing;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;

/**
 * What became of what help proposed in a shoot, kept with it so that one sees how far to trust it.
 *
 * @param byPhoto by the photo's id how it was prepared, as {@link #of} says it; empty = left as it was
 */
public record HelpRecord(Map<Long, String> byPhoto) {
    private static final String SETTING = "help.record";

    public HelpRecord {
        byPhoto = Map.copyOf(byPhoto);
    }

    /**
     * How the prepared photos stand now.
     *
     * @param asProposed those that nobody changed since
     * @param adjusted those that somebody changed, right then or later
     * @param left those whose proposal was left
     */
    public record Counts(long asProposed, long adjusted, long left) {
        public long all() {
            return asProposed + adjusted + left;
        }
    }

    public static HelpRecord read(Shoot shoot) {
        Map<Long, String> byPhoto = new LinkedHashMap<>();
        for (String entry : shoot.setting(SETTING).orElse("").split(";")) {
            String[] parts = entry.split("=", 2);
            if (parts.length == 2 && parts[0].matches("\\d{1,18}")) {
                byPhoto.put(Long.valueOf(parts[0]), parts[1]);
            }
        }
        return new HelpRecord(byPhoto);
    }

    public HelpRecord with(Photo photo, Framing prepared, boolean left) {
        Map<Long, String> more = new LinkedHashMap<>(byPhoto);
        more.put(photo.id(), left ? "" : of(prepared));
        return new HelpRecord(more);
    }

    public void keep(Shoot shoot) {
        shoot.remember(
                SETTING,
                byPhoto.entrySet().stream()
                        .map(entry -> entry.getKey() + "=" + entry.getValue())
                        .collect(Collectors.joining(";")));
    }

    public Counts counts(Shoot shoot) {
        Map<Boolean, Long> standing = shoot.photos().stream()
                .filter(photo -> !byPhoto.getOrDefault(photo.id(), "").isEmpty())
                .collect(Collectors.partitioningBy(
                        photo -> of(shoot.framing(photo)).equals(byPhoto.get(photo.id())), Collectors.counting()));
        long left = byPhoto.values().stream().filter(String::isEmpty).count();
        return new Counts(standing.getOrDefault(true, 0L), standing.getOrDefault(false, 0L), left);
    }

    /** What help can change, in short. */
    private static String of(Framing framing) {
        int hash = Objects.hash(
                framing.pose().tilt().degrees(),
                framing.pose().plumb().text(),
                framing.pose().lens().text(),
                framing.marks().text());
        return Integer.toHexString(hash);
    }
}
