package nexa.imaging.border;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.geometry.PixelSize;
import nexa.core.trim.FoundSide;
import nexa.core.trim.Side;
import nexa.core.trim.Trim;
import nexa.core.trim.TrimFinding;
import nexa.core.trim.TrimRefusal;

/** What the sides come to: a trim, and whether it may be anything but a border. */
final class BorderVerdict {
    /** Share of each side's lines that end on its edge, for no doubt; a soft edge has to be one for more of them. */
    private static final double SURE = 0.3;

    private static final double SURE_SOFT = 0.6;

    /** Of the surest of two opposite sides. */
    private static final double SUREST = 0.55;

    /** Of a single side, to be shown. */
    private static final double CLEAR = 0.9;

    /** Of a border's pixels; more is a picture's texture. */
    private static final double MOST_NOISE = 8;

    /** And for certainty. */
    private static final double CERTAIN = 0.8;

    /** Of the confidence, if something speaks against it. */
    private static final double REFUSED = 0.4;

    private final PixelSize picture;
    private final int longEdge;
    private final Sides looked;
    private final Agreement agreement;

    BorderVerdict(PixelSize picture, int longEdge, Sides looked) {
        this.picture = picture;
        this.longEdge = longEdge;
        this.looked = looked;
        agreement = Agreement.of(looked, picture);
    }

    TrimFinding finding() {
        Sides sides = agreement.sides();
        if (sides.borders().findAny().isEmpty()) {
            boolean even =
                    looked.all().stream().anyMatch(side -> side.departures().isEven());
            return TrimFinding.nothing(even ? TrimRefusal.NOT_STRAIGHT : TrimRefusal.NO_BORDER);
        }
        Optional<TrimRefusal> refusal = refusal();
        if (refusal.isPresent() && !isWorthALook()) {
            return TrimFinding.nothing(refusal.get());
        }
        double mean = sides.borders()
                .mapToDouble(side -> Math.min(1, side.line().on() / CERTAIN))
                .average()
                .orElseThrow();
        double confidence = mean * (refusal.isPresent() ? REFUSED : 1);
        return trim().map(trim -> new TrimFinding(trim, confidence, refusal, evidence()))
                .orElse(TrimFinding.nothing(TrimRefusal.NOT_STRAIGHT));
    }

    private Map<Side, FoundSide> evidence() {
        double scale = (double) longEdge / picture.longEdge();
        return agreement
                .sides()
                .borders()
                .collect(Collectors.toMap(SideBorder::side, border -> border.evidence(border.depth() * scale)));
    }

    /** Empty if it would leave next to nothing. */
    private Optional<Trim> trim() {
        double left = place(Side.LEFT, -1);
        double top = place(Side.TOP, -1);
        double right = place(Side.RIGHT, 1);
        double bottom = place(Side.BOTTOM, 1);
        double shorter = Math.min(right - left, bottom - top);
        if (shorter < 5 * Trim.SMALLEST) {
            return Optional.empty();
        }
        double round = Math.min(RoundCorners.radius(agreement.sides()) / picture.longEdge(), shorter / 2);
        return Optional.of(new Trim(left, top, right, bottom, agreement.lean(), round));
    }

    private double place(Side side, double none) {
        return agreement
                .sides()
                .border(side)
                .map(border -> Math.clamp(border.place(agreement.lean()) / picture.longEdge(), -1, 1))
                .orElse(none);
    }

    private Optional<TrimRefusal> refusal() {
        Sides sides = agreement.sides();
        boolean unlike = looked.borders()
                .anyMatch(side ->
                        sides.border(side.side()).isEmpty() && side.line().on() >= SUREST);
        long count = sides.borders().count();
        if (count == 1 && unlike) {
            return Optional.of(TrimRefusal.UNLIKE_COLOURS);
        }
        if (agreement.isCrooked() || sides.borders().anyMatch(side -> !isSure(side))) {
            return Optional.of(TrimRefusal.NOT_STRAIGHT);
        }
        if (agreement.isAnyLost()) {
            return Optional.of(TrimRefusal.LOST_SIDE);
        }
        boolean transparent = sides.borders().allMatch(side -> side.evidence(0).isTransparent());
        return count == 1 && !transparent ? Optional.of(TrimRefusal.ONE_SIDE) : Optional.empty();
    }

    /** Of pictures without a border hardly one has as much. */
    private boolean isWorthALook() {
        List<SideBorder> clear = agreement
                .sides()
                .borders()
                .filter(side -> side.line().on() >= SUREST && side.departures().noise() <= MOST_NOISE)
                .toList();
        return clear.size() > 1
                || clear.stream()
                        .anyMatch(side -> side.line().on() >= CLEAR
                                && !side.edge().isSoft()
                                && side.evidence(0).isUsual());
    }

    /** A side may be less sure where the opposite one leaves no doubt. */
    private boolean isSure(SideBorder side) {
        double least = side.edge().isSoft() ? SURE_SOFT : SURE;
        double opposite = agreement
                .sides()
                .border(side.side().opposite())
                .map(other -> other.line().on())
                .orElse(0.0);
        return side.departures().noise() <= MOST_NOISE
                && side.line().on() >= least
                && Math.max(side.line().on(), opposite) >= SUREST;
    }
}
