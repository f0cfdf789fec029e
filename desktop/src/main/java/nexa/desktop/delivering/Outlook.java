package nexa.desktop.delivering;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import nexa.core.brief.Format;
import nexa.core.print.SetSense;
import nexa.core.told.Told;
import nexa.imaging.colour.Profile;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.Estimate;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.HandoverPlan.OnGrid;

/**
 * What a run would do.
 *
 * @param files to be written
 * @param photos that they are of
 * @param unchecked files of crops that nobody checked
 * @param there files that are there already and stay
 * @param replaced files that are there and would be replaced
 * @param unfinished whether a run into the folder did not come to its end
 * @param senses by a format's id
 * @param onGrid by the id of a format that wants its pixels untouched
 * @param withoutProfile why the files of a format can't be made, by its id: its profile can't be used
 * @param proofs a few of the files of each format, one format after the other
 * @param estimate empty until it is known
 */
public record Outlook(
        int files,
        long photos,
        long unchecked,
        int there,
        long replaced,
        boolean unfinished,
        Map<Integer, SetSense> senses,
        Map<Integer, OnGrid> onGrid,
        Map<Integer, Told> withoutProfile,
        List<Delivery> proofs,
        Optional<Estimate> estimate) {
    static final Outlook NOTHING =
            new Outlook(0, 0, 0, 0, 0, false, Map.of(), Map.of(), Map.of(), List.of(), Optional.empty());

    /** Of each format. */
    private static final int PROOFS = 6;

    /** Whether something was looked at; until then nothing of it is known. */
    public boolean isKnown() {
        return this != NOTHING;
    }

    static Outlook of(HandoverPlan plan) {
        return new Outlook(
                plan.deliveries().size(),
                plan.photos(),
                plan.unchecked(),
                plan.there().size(),
                plan.replaced(),
                HandoverPlan.isUnfinished(plan.request().folder()),
                plan.senses(),
                plan.onGrid(),
                withoutProfile(plan.request().formats()),
                plan.request().formats().stream()
                        .flatMap(format -> proofs(plan, format).stream())
                        .toList(),
                Optional.empty());
    }

    private static Map<Integer, Told> withoutProfile(List<Format> formats) {
        Map<Integer, Told> reasons = new HashMap<>();
        for (Format format : formats) {
            try {
                Profile.delivered(format.files().colour());
            } catch (IOException gone) { // that is what is told
                reasons.put(format.id(), Told.of(gone));
            }
        }
        return Map.copyOf(reasons);
    }

    private static List<Delivery> proofs(HandoverPlan plan, Format format) {
        return Delivery.samples(
                plan.deliveries().stream()
                        .filter(delivery -> delivery.format().equals(format))
                        .toList(),
                PROOFS);
    }

    Outlook with(Estimate known) {
        return new Outlook(
                files,
                photos,
                unchecked,
                there,
                replaced,
                unfinished,
                senses,
                onGrid,
                withoutProfile,
                proofs,
                Optional.of(known));
    }
}
