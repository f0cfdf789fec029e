package nexa.core.lens;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.geometry.Point;
import nexa.core.pixel.CornerLight;

/**
 * A lens's setting as one line: the use, then {@code name=numbers} parted by spaces, the lens's own name last. Numbers read
 * back to the last bit. What stands as it does when nobody asked for anything is left out.
 */
final class LensText {
    private static final String NAME = " lens=";

    private LensText() {}

    static String of(Lens lens) {
        StringBuilder text = new StringBuilder(lens.use().name().toLowerCase(Locale.ROOT));
        if (!lens.terms().equals(LensTerms.NONE)) {
            put(text, "unit", List.of(lens.terms().unit()));
            Point centre = lens.terms().centre();
            if (!centre.equals(Point.ORIGIN)) {
                put(text, "centre", List.of(centre.x(), centre.y()));
            }
            put(text, "bend", lens.terms().distortion().terms());
            put(text, "red", lens.terms().red().terms());
            put(text, "blue", lens.terms().blue().terms());
        }
        lens.terms().light().ifPresent(light -> put(text, "light", List.of(light.k1(), light.k2(), light.k3())));
        LensAmounts amounts = lens.amounts();
        if (!amounts.equals(LensAmounts.MEASURED)) {
            put(text, "amounts", List.of(amounts.distortion(), amounts.fringes(), amounts.corners()));
        }
        lens.hand().numbers().ifPresent(numbers -> put(text, "hand", numbers));
        if (!lens.name().isEmpty()) {
            text.append(NAME).append(lens.name());
        }
        return text.toString();
    }

    private static void put(StringBuilder text, String name, List<Double> numbers) {
        text.append(' ')
                .append(name)
                .append('=')
                .append(numbers.stream().map(String::valueOf).collect(Collectors.joining(",")));
    }

    static Lens parse(String text) {
        int named = text.indexOf(NAME);
        String name = named < 0 ? "" : text.substring(named + NAME.length());
        String[] fields = (named < 0 ? text : text.substring(0, named)).strip().split(" +");
        Map<String, List<Double>> numbers = new HashMap<>();
        for (String field : Arrays.asList(fields).subList(1, fields.length)) {
            String[] sides = field.split("=", 2);
            numbers.put(sides[0], numbers(sides.length == 2 ? sides[1] : ""));
        }
        return new Lens(
                LensUse.valueOf(fields[0].toUpperCase(Locale.ROOT)),
                name,
                terms(numbers),
                amounts(numbers),
                hand(numbers));
    }

    private static List<Double> numbers(String text) {
        List<Double> numbers = new ArrayList<>();
        for (String each : text.split(",")) {
            numbers.add(Double.valueOf(each));
        }
        return numbers;
    }

    private static Optional<List<Double>> numbers(Map<String, List<Double>> all, String name, int count) {
        List<Double> numbers = all.get(name);
        if (numbers != null && numbers.size() != count) {
            throw new IllegalArgumentException(name + " has " + numbers.size() + " numbers");
        }
        return Optional.ofNullable(numbers);
    }

    private static LensTerms terms(Map<String, List<Double>> all) {
        return new LensTerms(
                numbers(all, "unit", 1).map(List::getFirst).orElse(1.0),
                numbers(all, "centre", 2)
                        .map(at -> new Point(at.get(0), at.get(1)))
                        .orElse(Point.ORIGIN),
                numbers(all, "bend", 5).map(Bend::of).orElse(Bend.NONE),
                numbers(all, "red", 5).map(Bend::of).orElse(Bend.NONE),
                numbers(all, "blue", 5).map(Bend::of).orElse(Bend.NONE),
                numbers(all, "light", 3).map(k -> new CornerLight(k.get(0), k.get(1), k.get(2))));
    }

    private static LensAmounts amounts(Map<String, List<Double>> all) {
        return numbers(all, "amounts", 3)
                .map(amounts -> new LensAmounts(amounts.get(0), amounts.get(1), amounts.get(2)))
                .orElse(LensAmounts.MEASURED);
    }

    private static ByHand hand(Map<String, List<Double>> all) {
        return numbers(all, "hand", 3)
                .map(hand -> new ByHand(hand.get(0), hand.get(1), hand.get(2)))
                .orElse(ByHand.NONE);
    }
}
