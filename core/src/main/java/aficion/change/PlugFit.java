package aficion.change;

import aficion.catalogue.Conductors;
import aficion.catalogue.Housings;
import aficion.catalogue.Housings.Housing;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Kit;
import aficion.job.Kit.KitLead;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Kelvins;
import aficion.size.HeatBalance;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether a bought kit fits: its plug against the connector it goes into, its fuses its leads. */
public final class PlugFit {
    /** Air around a lead, and how much warmer it may get (typical). */
    private static final Celsius WARM = new Celsius(30);

    private static final Kelvins RISE = new Kelvins(40);

    private PlugFit() {}

    /** Something that does not fit. */
    public sealed interface Misfit {
        /** Other terminals: another width or family. */
        record OtherTerminals(String theirs, String ours) implements Misfit {}

        /** More ways than ours, or fewer. */
        record OtherWays(int theirs, int ours) implements Misfit {}

        /** Both halves have sockets, or both have pins. */
        record SameGender(boolean sockets) implements Misfit {}

        /** One is keyed and the other is not: it goes in the wrong way round. */
        record NotKeyed(boolean theirs) implements Misfit {}

        /** A way of theirs carries less than ours is rated for. */
        record LessAmps(Amps theirs, Amps ours) implements Misfit {}

        /** One of them is sealed, the other lets the wet in. */
        record NotSealed(boolean theirs) implements Misfit {}

        /** The body of our connector has not been said. */
        record BodyUnknown() implements Misfit {}

        /** The kit's fuse is larger than its lead carries. */
        record FuseTooLarge(KitLead lead, Amps carries) implements Misfit {}
    }

    /** All that does not fit. */
    public static List<Misfit> of(Design design, Kit kit) {
        var misfits = new ArrayList<Misfit>();
        kit.plug()
                .ifPresent(plug -> {
                    var theirs = Housings.find(plug.body()).orElseThrow();
                    design.find(plug.into())
                            .filter(part -> part.kind() instanceof JoinKind.Connector)
                            .map(part -> (JoinKind.Connector) part.kind())
                            .ifPresent(ours -> plug(plug, theirs, ours, misfits));
                });
        kit.leads().forEach(lead -> fuse(lead).ifPresent(misfits::add));
        return misfits;
    }

    private static void plug(
            Kit.Plug plug, Housing theirs, JoinKind.Connector connector, List<Misfit> misfits) {
        if (theirs.ways() != connector.ways().size()) {
            misfits.add(new Misfit.OtherWays(theirs.ways(), connector.ways().size()));
        }
        if (theirs.carries().value() < connector.rating().value()) {
            misfits.add(new Misfit.LessAmps(theirs.carries(), connector.rating()));
        }
        if (connector.housed().isEmpty()) {
            misfits.add(new Misfit.BodyUnknown());
            return;
        }
        var housed = connector.housed().get();
        var ours = housed.housing();
        if (!theirs.isOfTheSort(ours)) {
            misfits.add(new Misfit.OtherTerminals(theirs.sockets(), ours.sockets()));
        }
        if (theirs.keyed() != ours.keyed()) {
            misfits.add(new Misfit.NotKeyed(theirs.keyed()));
        }
        if (theirs.sealed() != ours.sealed()) {
            misfits.add(new Misfit.NotSealed(theirs.sealed()));
        }
        // Our half that stays live has the sockets: what is plugged to it has the pins.
        if (plug.sockets()) {
            misfits.add(new Misfit.SameGender(true));
        }
    }

    /** A guard protects its wire: no larger than the lead carries alone, in air of 30 °C. */
    private static Optional<Misfit> fuse(KitLead lead) {
        return lead.size()
                .flatMap(Conductors::find)
                .map(conductor -> HeatBalance.carries(conductor, WARM, RISE).result())
                .map(carries -> new Amps(carries.value()))
                .filter(carries ->
                        lead.fuse().filter(fuse -> fuse.value() > carries.value()).isPresent())
                .map(carries -> new Misfit.FuseTooLarge(lead, carries));
    }
}
