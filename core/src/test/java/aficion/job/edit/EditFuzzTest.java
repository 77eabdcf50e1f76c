package aficion.job.edit;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Colour;
import aficion.catalogue.Insulation;
import aficion.catalogue.Terminals;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.AnyJob;
import aficion.job.Circuit;
import aficion.job.Circuit.Drops;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.Part;
import aficion.job.Pinned.Trait;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import aficion.route.RunLength;
import aficion.verb.Attempt;
import aficion.verb.Earths;
import aficion.verb.Leads;
import aficion.verb.OtherSide;
import aficion.verb.Placing;
import aficion.verb.Tidying;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Thousands of verbs at random: a job stays whole, and every step can be taken back. */
class EditFuzzTest {
    private static final int STEPS = 400;
    private static final GuardKind.Fuse FUSE =
            new GuardKind.Fuse(aficion.catalogue.FuseType.BLADE, new Amps(10));

    private Random random = new Random(0);
    private Design design = AnyJob.of(0);

    private <T> T any(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private Terminal terminal() {
        var part = any(design.parts());
        return part.terminals().isEmpty() ? terminal() : any(part.terminals());
    }

    private Edit edit() {
        var wire = any(design.wires());
        var part = any(design.parts());
        return switch (random.nextInt(38)) {
            case 0 -> new WireEdit.Resize(wire.id(), WireSize.parse("4mm2").orElseThrow());
            case 1 -> new WireEdit.Renumber(wire.id(), "9." + random.nextInt(99));
            case 2 -> new WireEdit.SetLength(wire.id(), new RunLength.Measured(new Metres(2)));
            case 3 -> new PartEdit.FitFuse(part.id(), "1", new Amps(10));
            case 4 -> new PartEdit.Mount(part.id(), any(design.parts()).id());
            case 5 ->
                    new WireEdit.Recolour(
                            wire.id(), WireColour.plain(any(List.of(Colour.values()))));
            case 6 -> new WireEdit.TurnRound(wire.id());
            case 7 -> new WireEdit.RemoveWire(wire.id());
            case 8 -> new PartEdit.RemovePart(part.id());
            case 9 ->
                    new PartEdit.AddPart(
                            new Part(
                                    NewNames.part(design, "J"),
                                    "joint",
                                    part.zone(),
                                    Optional.empty(),
                                    new JoinKind.Splice()));
            case 10 -> new PartEdit.Rename(part.id(), "part " + random.nextInt(9));
            case 11 ->
                    new CircuitEdit.AddCircuit(
                            NewNames.circuit(design, "more", Circuit.Drops.ORDINARY));
            case 12 -> new CircuitEdit.RenameCircuit(any(design.circuits()).id(), "other");
            case 13 ->
                    new WireEdit.MoveEnd(
                            wire.id(),
                            random.nextBoolean(),
                            new End(terminal(), wire.to().termination()));
            case 14 ->
                    new WireEdit.AddWire(
                            wire.withFrom(new End(terminal(), wire.to().termination())));
            case 15 ->
                    new WireEdit.Pin(wire.id(), any(List.of(Trait.values())), random.nextBoolean());
            case 16 ->
                    made(Placing.into(design, wire.id(), "diode", new JoinKind.Diode(new Amps(3))));
            case 17 -> made(Placing.into(design, wire.id(), "joint", new JoinKind.Splice()));
            case 18 -> made(Placing.into(design, wire.id(), "fuse", FUSE));
            case 19 -> made(Placing.into(design, wire.id(), "same again", part.kind()));
            case 20 -> made(Placing.onto(design, circuit(), terminal(), "one more", part.kind()));
            case 21 -> made(Placing.instead(design, part.id(), any(design.parts()).kind()));
            case 22 -> made(Earths.combine(design, circuit(), any(Earths.of(design)).id()));
            case 23 -> made(OtherSide.of(design, part.id()));
            case 24 -> made(Tidying.renumber(design, circuit()));
            case 25 -> made(Leads.move(design, wire.id(), random.nextBoolean(), terminal()));
            case 26 -> made(Leads.exchange(design, part.id()));
            case 27 -> Placing.loose(design, "loose", part.kind());
            case 28 -> new WireEdit.TurnRound(wire.id());
            case 29 -> new WireEdit.Lay(wire.id(), laid(wire));
            case 30 -> new WireEdit.Exempt(wire.id(), some(List.of(Unguarded.values())));
            case 31 -> new PartEdit.Place(part.id(), any(List.of(Zone.values())));
            case 32 ->
                    new PartEdit.StateStud(
                            part.id(),
                            any(part.terminals()).pin(),
                            some(List.copyOf(Terminals.holes())));
            case 33 ->
                    new CircuitEdit.AllowDrop(
                            any(design.circuits()).id(), any(List.of(Drops.values())));
            case 34 -> new VehicleEdit.SetVehicle(vehicle());
            case 35 -> new WireEdit.Insulate(wire.id(), any(List.of(Insulation.values())));
            case 36 ->
                    new WireEdit.Crimp(
                            wire.id(),
                            any(wire.terminals()),
                            new Termination(any(Terminals.all()).key()));
            default ->
                    new PartEdit.Exchange(
                            part.id(), any(part.terminals()).pin(), any(part.terminals()).pin());
        };
    }

    private Laid laid(Wire wire) {
        return wire.laid()
                .in(any(List.of(Zone.values())))
                .with(some(List.of("main", "front")))
                .sparing(some(List.of(new Metres(0), new Metres(0.1))));
    }

    private Vehicle vehicle() {
        var poles = List.of(Vehicle.Pole.values());
        return new Vehicle("other", 1950, new Volts(any(List.of(6, 12, 24))), any(poles));
    }

    private <T> Optional<T> some(List<T> values) {
        return random.nextBoolean() ? Optional.of(any(values)) : Optional.empty();
    }

    private CircuitId circuit() {
        return any(design.circuits()).id();
    }

    private static Edit made(Attempt attempt) {
        return switch (attempt) {
            case Attempt.Possible(var edit) -> edit;
            case Attempt.Refused(var why) -> throw new IllegalArgumentException(why.name());
        };
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void aJobStaysWholeAndEveryStepCanBeTakenBack(long seed) {
        random = new Random(seed);
        design = AnyJob.of(seed);
        var first = design;
        var history = History.of(Job.of(design));
        int refused = 0;
        for (int step = 0; step < STEPS && !design.wires().isEmpty(); step++) {
            try {
                history = history.then(edit());
            } catch (IllegalArgumentException | NoSuchElementException notFitting) {
                refused++;
            }
            design = history.present().design();
        }

        assertThat(refused).isLessThan(STEPS);
        assertThat(Netlist.of(design).nodes()).isPositive();
        assertThat(design.wires())
                .allSatisfy(wire ->
                        assertThat(wire.terminals())
                                .allMatch(end -> design.find(end.part()).isPresent()));
        while (history.undoable().isPresent()) {
            history = history.undo();
        }
        assertThat(history.present().design()).isEqualTo(first);
    }
}
