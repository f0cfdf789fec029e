package nexa.desktop.delivering;

import java.util.Map;
import java.util.Optional;
import nexa.core.print.SetSense;
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
        Optional<Estimate> estimate) {
    static final Outlook NOTHING = new Outlook(0, 0, 0, 0, 0, false, Map.of(), Map.of(), Optional.empty());

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
                Optional.empty());
    }

    Outlook with(Estimate known) {
        return new Outlook(files, photos, unchecked, there, replaced, unfinished, senses, onGrid, Optional.of(known));
    }
}
