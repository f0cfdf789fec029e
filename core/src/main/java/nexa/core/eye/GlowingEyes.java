package nexa.core.eye;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.eye.GlowingEye.Glow;
import nexa.core.geometry.Point;

/** A photo's eyes that glow, in the order they were found or drawn. */
public record GlowingEyes(List<GlowingEye> all) {
    public static final GlowingEyes NONE = new GlowingEyes(List.of());

    public GlowingEyes {
        all = List.copyOf(all);
    }

    public boolean isNone() {
        return all.isEmpty();
    }

    /** The smallest one that holds a place of the photo as shot. */
    public OptionalInt at(Point asShot) {
        return IntStream.range(0, all.size())
                .filter(i -> all.get(i).holds(asShot))
                .boxed()
                .min((a, b) -> Double.compare(all.get(a).radius(), all.get(b).radius()))
                .map(OptionalInt::of)
                .orElseGet(OptionalInt::empty);
    }

    public GlowingEyes with(GlowingEye another) {
        return new GlowingEyes(Stream.concat(all.stream(), Stream.of(another)).toList());
    }

    public GlowingEyes with(int which, GlowingEye instead) {
        List<GlowingEye> changed = new ArrayList<>(all);
        changed.set(which, instead);
        return new GlowingEyes(changed);
    }

    public GlowingEyes without(int which) {
        List<GlowingEye> fewer = new ArrayList<>(all);
        fewer.remove(which);
        return new GlowingEyes(fewer);
    }

    /** With those found that are not there yet: none whose centre lies in one of these. */
    public GlowingEyes and(List<GlowingEye> found) {
        GlowingEyes more = this;
        for (GlowingEye eye : found) {
            if (more.at(eye.centre()).isEmpty()) {
                more = more.with(eye);
            }
        }
        return more;
    }

    /** As {@link #parse} reads it, to the last bit; empty if there are none. */
    public String text() {
        return all.stream().map(GlowingEyes::text).collect(Collectors.joining("; "));
    }

    private static String text(GlowingEye eye) {
        return eye.glow().name().toLowerCase(Locale.ROOT) + " " + eye.centre().x() + " "
                + eye.centre().y() + " " + eye.radius() + " " + eye.strength();
    }

    /** @throws IllegalArgumentException if it is not such a text */
    public static GlowingEyes parse(String text) {
        return text.isBlank()
                ? NONE
                : new GlowingEyes(
                        Stream.of(text.split(";")).map(GlowingEyes::eye).toList());
    }

    private static GlowingEye eye(String text) {
        String[] parts = text.strip().split(" +");
        if (parts.length != 5) {
            throw new IllegalArgumentException("No glowing eye: " + text);
        }
        double[] numbers = IntStream.range(1, 5)
                .mapToDouble(i -> Double.parseDouble(parts[i]))
                .toArray();
        return new GlowingEye(
                new Point(numbers[0], numbers[1]),
                numbers[2],
                Glow.valueOf(parts[0].toUpperCase(Locale.ROOT)),
                numbers[3]);
    }
}
