package nexa.desktop.model;

import java.util.Collection;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Function;
import nexa.desktop.delivering.HandoverChoice;
import nexa.desktop.delivering.HandoverModel;
import nexa.desktop.repair.EyeMending;
import nexa.desktop.repair.Filling;
import nexa.desktop.repair.LightModel;
import nexa.desktop.repair.Neutrals;
import nexa.desktop.repair.Trimming;
import nexa.desktop.session.Session;
import nexa.shoot.exchange.Shelf;
import nexa.shoot.lens.Lenses;
import nexa.shoot.photo.Photo;
import nexa.shoot.prepare.Preparer;

/** The models of an open shoot. */
public record ShootModels(
        Session session,
        Levelling levelling,
        Plumbing plumbing,
        Trimming trimming,
        Filling filling,
        Neutrals neutrals,
        EyeMending eyes,
        LightModel light,
        LensModel lens,
        BendByLine bendByLine,
        Marking marking,
        Counts counts,
        RepeatsModel repeats,
        InStep inStep,
        RawModel raw,
        HandoverModel handover,
        Preparer preparer,
        Shelf shelf) {

    /**
     * @param screen the largest picture of a photo that is in memory; any thread may ask
     * @param work where photos are decoded and counted
     * @param fx the interface's thread
     */
    public static ShootModels of(
            Session session,
            Shelf shelf,
            Lenses lenses,
            Function<Photo, Optional<Filling.OnScreen>> screen,
            Executor work,
            Executor fx) {
        LensModel lens = new LensModel(session, lenses, work, fx);
        session.carry().correctBy(lens);
        return new ShootModels(
                session,
                new Levelling(session, work, fx),
                new Plumbing(session, lenses, work, fx),
                new Trimming(session, work, fx),
                new Filling(session, screen, work, fx),
                new Neutrals(session, work, fx),
                new EyeMending(session, work, fx),
                new LightModel(session, work, fx),
                lens,
                new BendByLine(session),
                new Marking(session, work, fx),
                new Counts(session, work, fx),
                new RepeatsModel(session, work, fx),
                new InStep(session, work, fx),
                new RawModel(session, work, fx),
                new HandoverModel(session.shoot(), around(session), work, fx),
                new Preparer(session.shoot(), lenses),
                shelf);
    }

    private static HandoverChoice.Around around(Session session) {
        return new HandoverChoice.Around() {
            @Override
            public Collection<Photo> selected() {
                return session.selection().chosen();
            }

            @Override
            public Collection<Photo> filtered() {
                return session.list().photos();
            }
        };
    }

    public void dispose() {
        counts.dispose();
        handover.dispose();
        inStep.dispose();
        filling.dispose();
        light.dispose();
        marking.decline();
        raw.dispose();
        session.dispose();
    }
}
