package aficion.verb;

import aficion.catalogue.Colour;
import aficion.catalogue.Conductors;
import aficion.job.ControlKind;
import aficion.job.End;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.RunLength;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;

/**
 * Puts a relay into the wire behind a switch: the switch works the coil, the contact takes its feed
 * where the switch does, and the coil returns at the nearest earth point.
 */
public final class RelayInsertion {
    /** A plain make relay: 85 Ω a 12 V coil, pulls in at 65 %, lets go at 20 %, 30 A (typical). */
    private static final double COIL_OHMS_AT_12 = 85;

    private final Job job;
    private final Wire load;
    private final Part relay;
    private int added;

    private RelayInsertion(Job job, Wire load) {
        this.job = job;
        this.load = load;
        double system = job.vehicle().system().value();
        this.relay =
                NewNames.part(
                        job,
                        "K",
                        load.zone(),
                        new ControlKind.Relay(
                                new Volts(system),
                                new Ohms(COIL_OHMS_AT_12 * system * system / 144),
                                new Ratio(0.65),
                                new Ratio(0.2),
                                new Amps(30),
                                Optional.empty()));
    }

    /** The edit; empty when the job has no earth point to return to. */
    public static Optional<Edit> of(Job job, Wire load, Wire feed) {
        return new RelayInsertion(job, load).edit(feed);
    }

    /**
     * The same into any wire: behind a switch the contact takes its feed where the switch does,
     * else where the wire does.
     */
    public static Optional<Edit> into(Job job, Wire load) {
        var from = load.from().terminal();
        var feed =
                job.part(from.part()).kind() instanceof ControlKind.Switch hand
                        ? hand.passes().stream()
                                .flatMap(pass -> pass.across(from.pin()).stream())
                                .flatMap(
                                        pin -> job.wiresAt(new Terminal(from.part(), pin)).stream())
                                .filter(wire -> wire.to().terminal().part().equals(from.part()))
                                .findFirst()
                        : Optional.<Wire>empty();
        return of(job, load, feed.orElse(load));
    }

    private Optional<Edit> edit(Wire feed) {
        return Earths.nearest(job, load.zone())
                .map(earth ->
                        new Edit.InsertRelay(
                                load.id(),
                                relay,
                                List.of(
                                        lead(
                                                load.from().terminal(),
                                                "86",
                                                load.colour(),
                                                new Metres(0.5),
                                                thin()),
                                        lead(
                                                feed.from().terminal(),
                                                "30",
                                                feed.colour(),
                                                feed.length().metres(),
                                                feed),
                                        lead(
                                                earth.terminal("E"),
                                                "85",
                                                black(),
                                                new Metres(0.4),
                                                thin()))));
    }

    private static WireColour black() {
        return WireColour.plain(Colour.BLACK);
    }

    private Wire thin() {
        var size =
                Conductors.of(load.size().standard()).stream()
                        .filter(conductor ->
                                conductor.copper().value()
                                        >= job.rules().leastSection().value() * 0.999)
                        .findFirst()
                        .orElseThrow()
                        .size();
        return load.withSize(size);
    }

    private Wire lead(Terminal from, String pin, WireColour colour, Metres length, Wire like) {
        var wire =
                new Wire(
                        NewNames.wire(job, added),
                        NewNames.number(job, load.circuit(), added),
                        load.circuit(),
                        new End(from, Termination.BLADE_6_3),
                        new End(relay.terminal(pin), Termination.BLADE_6_3),
                        colour,
                        like.size(),
                        load.insulation(),
                        new RunLength.Assumed(length),
                        load.zone(),
                        Optional.empty());
        added++;
        return wire;
    }
}
