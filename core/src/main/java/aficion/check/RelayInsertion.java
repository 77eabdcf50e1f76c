package aficion.check;

import aficion.catalogue.Conductors;
import aficion.job.ControlKind;
import aficion.job.End;
import aficion.job.Job;
import aficion.job.JoinKind;
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
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Puts a relay into the wire behind a switch: the switch works the coil, the contact takes its feed
 * where the switch does, and the coil returns at the nearest earth point.
 */
final class RelayInsertion {
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
    static Optional<Edit> of(Job job, Wire load, Wire feed) {
        return new RelayInsertion(job, load).edit(feed);
    }

    private Optional<Edit> edit(Wire feed) {
        return earth().map(earth ->
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

    private Optional<Part> earth() {
        return job.parts().stream()
                .filter(part ->
                        part.kind() instanceof JoinKind.EarthPoint(var mass, _)
                                && mass == JoinKind.Mass.BODY)
                .min(Comparator.comparing(part -> part.zone() == load.zone() ? 0 : 1));
    }

    private static WireColour black() {
        return WireColour.plain(aficion.catalogue.Colour.BLACK);
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
