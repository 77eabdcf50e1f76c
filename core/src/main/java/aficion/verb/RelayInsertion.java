package aficion.verb;

import aficion.catalogue.Colour;
import aficion.catalogue.Conductors;
import aficion.job.ControlKind;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Laid;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.route.RunLength;
import java.util.List;
import java.util.Optional;

/**
 * Puts a relay into the wire behind a switch: the switch works the coil, the contact takes its feed
 * where the switch does, and the coil returns at the nearest earth point.
 */
public final class RelayInsertion {
    /** A plain make relay: 85 Ω a 12 V coil, pulls in at 65 %, lets go at 20 %, 30 A (typical). */
    private static final double COIL_OHMS_AT_12 = 85;

    private final Design design;
    private final Wire load;
    private final Part relay;
    private int added;

    private RelayInsertion(Design design, Wire load) {
        this.design = design;
        this.load = load;
        double system = design.vehicle().system().value();
        this.relay =
                NewNames.part(
                        design,
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

    /** The edit; empty when the design has no earth point to return to. */
    public static Optional<Edit> of(Design design, Wire load, Wire feed) {
        return new RelayInsertion(design, load).edit(feed);
    }

    /**
     * The same into any wire: behind a switch the contact takes its feed where the switch does,
     * else where the wire does.
     */
    public static Optional<Edit> into(Design design, Wire load) {
        var from = load.from().terminal();
        var feed =
                design.part(from.part()).kind() instanceof ControlKind.Switch hand
                        ? hand.passes().stream()
                                .flatMap(pass -> pass.across(from.pin()).stream())
                                .flatMap(pin ->
                                        design.wiresAt(new Terminal(from.part(), pin)).stream())
                                .filter(wire -> wire.to().terminal().part().equals(from.part()))
                                .findFirst()
                        : Optional.<Wire>empty();
        return of(design, load, feed.orElse(load));
    }

    private Optional<Edit> edit(Wire feed) {
        return Earths.nearest(design, load.zone())
                .map(earth ->
                        new PartEdit.InsertRelay(
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
                                        >= design.rules().leastSection().value() * 0.999)
                        .findFirst()
                        .orElseThrow()
                        .size();
        return load.withSize(size);
    }

    private Wire lead(Terminal from, String pin, WireColour colour, Metres length, Wire like) {
        var wire =
                new Wire(
                        NewNames.wire(design, added),
                        NewNames.number(design, load.circuit(), added),
                        load.circuit(),
                        Ends.on(design, from),
                        new End(relay.terminal(pin), Termination.BLADE_6_3),
                        new Cut(like.size(), load.insulation(), colour),
                        new Laid.Stated(new RunLength.Assumed(length), load.zone()));
        added++;
        return wire;
    }
}
