package aficion.job.edit;

import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.Acceptance;
import aficion.job.BenchRun;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.Kind;
import aficion.job.Laid;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Pinned;
import aficion.job.RunLength;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.quantity.Amps;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** A change that takes a job to the next. Pure: the job it is given stays as it was. */
public sealed interface Edit {

    /**
     * The job with the change made.
     *
     * @throws IllegalArgumentException when the job lacks what the edit speaks of, or the result
     *     would not hold together
     */
    Job apply(Job job);

    /** Gives a wire another size. */
    record Resize(WireId wire, WireSize size) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withSize(size));
        }
    }

    /** Writes another number on a wire's labels. */
    record Renumber(WireId wire, String number) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withNumber(number));
        }
    }

    /** States how long a wire is. */
    record SetLength(WireId wire, RunLength length) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withLength(length));
        }
    }

    /** Puts another fuse into a seat; the way is empty for a single fuse. */
    record FitFuse(PartId part, String way, Amps marking) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedPart(job, part, found -> found.withKind(fitted(found)));
        }

        private Kind fitted(Part found) {
            if (found.kind() instanceof GuardKind guard) {
                for (var seat : guard.seats()) {
                    if (seat.way().equals(way)) {
                        return guard.fitted(way, seat.type(), marking);
                    }
                }
            }
            throw new IllegalArgumentException(part + " holds no fuse " + way);
        }
    }

    /**
     * Cuts a wire near one of its ends and puts a part there.
     *
     * @param wire the wire to cut; what is left of it leads from the part to where it went, and
     *     ends at the part as the lead does
     * @param part the part
     * @param in the pin that the lead comes to
     * @param out the pin that what is left of the wire begins at
     * @param lead the piece from the end of the wire that it begins at to the part
     */
    record InsertPart(WireId wire, Part part, String in, String out, Wire lead) implements Edit {
        @Override
        public Job apply(Job job) {
            var parts = with(job.parts(), part);
            var rest = job.wire(wire);
            part.terminal(in);
            var behind = new End(part.terminal(out), lead.to().termination());
            boolean first = lead.from().terminal().equals(rest.from().terminal());
            var shortened =
                    changed(
                            job.withParts(parts),
                            wire,
                            found -> first ? found.withFrom(behind) : found.withTo(behind));
            return shortened.withWires(with(shortened.wires(), lead));
        }
    }

    /**
     * Puts a relay into a wire: what came from the switch now works the coil, and the relay feeds
     * what the wire went to.
     *
     * @param wire the wire to cut; it stays on the load
     * @param relay the relay as a part
     * @param leads the new wires, to coil, contact and earth
     */
    record InsertRelay(WireId wire, Part relay, List<Wire> leads) implements Edit {
        public InsertRelay {
            leads = List.copyOf(leads);
        }

        @Override
        public Job apply(Job job) {
            var parts = with(job.parts(), relay);
            var load = job.wire(wire);
            var contact = new End(relay.terminal("87"), load.from().termination());
            var next = changed(job.withParts(parts), wire, found -> found.withFrom(contact));
            var wires = new ArrayList<>(next.wires());
            wires.addAll(leads);
            return next.withWires(wires);
        }
    }

    /** Bolts a part's case to an earth point. */
    record Mount(PartId part, PartId earth) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedPart(job, part, found -> found.withMount(earth));
        }
    }

    /** Takes a case off its earth point and returns it by a wire instead. */
    record ReturnByWire(PartId part, Wire wire) implements Edit {
        @Override
        public Job apply(Job job) {
            var free = changedPart(job, part, Part::unmounted);
            return free.withWires(with(free.wires(), wire));
        }
    }

    /** Exchanges the wires of two terminals of a part. */
    record Exchange(PartId part, String one, String other) implements Edit {
        @Override
        public Job apply(Job job) {
            var first = job.part(part).terminal(one);
            var second = job.part(part).terminal(other);
            return job.withWires(
                    job.wires().stream()
                            .map(wire ->
                                    wire.terminals().containsAll(List.of(first, second))
                                            ? wire
                                            : wire.withFrom(moved(wire.from(), first, second))
                                                    .withTo(moved(wire.to(), first, second)))
                            .toList());
        }

        private static End moved(End end, Terminal first, Terminal second) {
            if (end.terminal().equals(first)) {
                return new End(second, end.termination());
            }
            return end.terminal().equals(second) ? new End(first, end.termination()) : end;
        }
    }

    /** Puts a part with the same terminals in the place of one. */
    record Refit(PartId part, Kind kind) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedPart(job, part, found -> found.withKind(kind));
        }
    }

    /** Adds a wire. */
    record AddWire(Wire wire) implements Edit {
        @Override
        public Job apply(Job job) {
            return job.withWires(with(job.wires(), wire));
        }
    }

    /** Takes a wire out. */
    record RemoveWire(WireId wire) implements Edit {
        @Override
        public Job apply(Job job) {
            job.wire(wire);
            return job.withWires(
                    job.wires().stream().filter(kept -> !kept.id().equals(wire)).toList());
        }
    }

    /** Paints a wire otherwise. */
    record Recolour(WireId wire, WireColour colour) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withColour(colour));
        }
    }

    /** Takes wire of another cover. */
    record Insulate(WireId wire, Insulation cover) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withInsulation(cover));
        }
    }

    /** Lays a wire otherwise: through another place, in another bundle, with more to spare. */
    record Lay(WireId wire, Laid laid) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withLaid(laid));
        }
    }

    /** States why a wire may go without a guard, or that it may not. */
    record Exempt(WireId wire, Optional<Unguarded> reason) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withUnguarded(reason));
        }
    }

    /** Settles a trait of a wire, or leaves it to the program again. */
    record Pin(WireId wire, Pinned.Trait trait, boolean held) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> found.withPinned(trait, held));
        }
    }

    /** Leads an end of a wire elsewhere. */
    record MoveEnd(WireId wire, boolean first, End end) implements Edit {
        /** The end that sits on one terminal, led to another as it is. */
        public static MoveEnd of(Wire wire, Terminal from, Terminal to) {
            return new MoveEnd(
                    wire.id(),
                    wire.from().terminal().equals(from),
                    new End(to, wire.at(from).termination()));
        }

        @Override
        public Job apply(Job job) {
            return changed(job, wire, found -> first ? found.withFrom(end) : found.withTo(end));
        }
    }

    /** Crimps something else to the end of a wire that sits on a terminal. */
    record Crimp(WireId wire, Terminal at, Termination termination) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, this::crimped);
        }

        private Wire crimped(Wire found) {
            if (!found.terminals().contains(at)) {
                throw new IllegalArgumentException("wire " + wire + " does not end on " + at);
            }
            var end = new End(at, termination);
            return found.from().terminal().equals(at) ? found.withFrom(end) : found.withTo(end);
        }
    }

    /** Turns a wire round: its first end becomes its second. */
    record TurnRound(WireId wire) implements Edit {
        @Override
        public Job apply(Job job) {
            return changed(job, wire, Wire::turned);
        }
    }

    /** Adds a part. */
    record AddPart(Part part) implements Edit {
        @Override
        public Job apply(Job job) {
            return job.withParts(with(job.parts(), part));
        }
    }

    /** Calls a part otherwise, in words. */
    record Rename(PartId part, String name) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedPart(job, part, found -> found.withName(name));
        }
    }

    /** Puts a part in another place of the vehicle. */
    record Place(PartId part, Zone zone) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedPart(job, part, found -> found.withZone(zone));
        }
    }

    /** States the size of the stud of a terminal, or leaves it open. */
    record StateStud(PartId part, String pin, Optional<String> stud) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedPart(job, part, found -> found.withStud(pin, stud));
        }
    }

    /** Takes a part out, with the wires that end on it; what was bolted to it hangs free. */
    record RemovePart(PartId part) implements Edit {
        @Override
        public Job apply(Job job) {
            job.part(part);
            var wires =
                    job.wires().stream()
                            .filter(wire ->
                                    wire.terminals().stream()
                                            .noneMatch(end -> end.part().equals(part)))
                            .toList();
            var parts =
                    job.parts().stream()
                            .filter(kept -> !kept.id().equals(part))
                            .map(kept ->
                                    kept.mount().filter(part::equals).isPresent()
                                            ? kept.unmounted()
                                            : kept)
                            .toList();
            return job.withWires(wires).withParts(parts);
        }
    }

    /** Adds a circuit. */
    record AddCircuit(Circuit circuit) implements Edit {
        @Override
        public Job apply(Job job) {
            return job.withCircuits(with(job.circuits(), circuit));
        }
    }

    /** Calls a circuit otherwise. */
    record RenameCircuit(CircuitId circuit, String name) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedCircuit(job, circuit, found -> found.withName(name));
        }
    }

    /** Lets a circuit lose more volts, or less. */
    record AllowDrop(CircuitId circuit, Circuit.Drops drops) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedCircuit(job, circuit, found -> found.withDrops(drops));
        }
    }

    /** Takes a circuit out, with its wires, its bench runs and the parts that no other reaches. */
    record RemoveCircuit(CircuitId circuit) implements Edit {
        @Override
        public Job apply(Job job) {
            var own = job.partsOf(circuit).stream().map(Part::id).collect(Collectors.toSet());
            var wires =
                    job.wires().stream().filter(wire -> !wire.circuit().equals(circuit)).toList();
            for (var wire : wires) {
                wire.terminals().forEach(end -> own.remove(end.part()));
            }
            for (var part : job.parts()) {
                if (!own.contains(part.id())) {
                    part.mount().ifPresent(own::remove);
                }
            }
            job.circuit(circuit);
            return new Job(
                    job.vehicle(),
                    job.rules(),
                    job.circuits().stream().filter(kept -> !kept.id().equals(circuit)).toList(),
                    job.parts().stream().filter(kept -> !own.contains(kept.id())).toList(),
                    wires,
                    job.bench().stream().filter(run -> !run.circuit().equals(circuit)).toList(),
                    job.accepted());
        }
    }

    /** Marks a stage of a circuit as finished or not. */
    record SetStage(CircuitId circuit, Circuit.Stage stage, boolean finished) implements Edit {
        @Override
        public Job apply(Job job) {
            return changedCircuit(job, circuit, found -> found.withDone(stage, finished));
        }
    }

    /** Keeps a bench run, in place of the one of the same circuit begun at the same time. */
    record KeepRun(BenchRun run) implements Edit {
        @Override
        public Job apply(Job job) {
            var runs = new ArrayList<>(job.bench());
            runs.removeIf(kept ->
                    kept.circuit().equals(run.circuit()) && kept.begun().equals(run.begun()));
            runs.add(run);
            return job.withBench(runs);
        }
    }

    /** Lets a finding stand, in place of what was said of it before. */
    record Accept(Acceptance acceptance) implements Edit {
        @Override
        public Job apply(Job job) {
            var others =
                    job.accepted().stream()
                            .filter(kept -> !kept.isAbout(acceptance.finding(), acceptance.place()))
                            .toList();
            return job.withAccepted(with(others, acceptance));
        }
    }

    /** Lets a finding stand no longer. */
    record Reject(Acceptance acceptance) implements Edit {
        @Override
        public Job apply(Job job) {
            return job.withAccepted(
                    job.accepted().stream().filter(kept -> !kept.equals(acceptance)).toList());
        }
    }

    /** Says otherwise what vehicle it is; its parts stay what they are. */
    record SetVehicle(Vehicle vehicle) implements Edit {
        @Override
        public Job apply(Job job) {
            return job.withVehicle(vehicle);
        }
    }

    /** Works by other house rules. */
    record SetRules(HouseRules rules) implements Edit {
        @Override
        public Job apply(Job job) {
            return job.withRules(rules);
        }
    }

    /** What several edits do together. */
    enum Deed {
        INSERT_RECIPE,
        GROUP,
        RENUMBER,
        RECOLOUR,
        RESIZE,
        OTHER_SIDE,
        COMBINE_EARTHS,
        ADD_PART,
        IMPORT,
        MEND,
        SECOND_STUD,
        BUS_BAR
    }

    /** Several edits as one step, in order. */
    record Together(Deed deed, List<Edit> edits) implements Edit {
        public Together {
            edits = List.copyOf(edits);
        }

        @Override
        public Job apply(Job job) {
            var next = job;
            for (var edit : edits) {
                next = edit.apply(next);
            }
            return next;
        }
    }

    private static Job changed(Job job, WireId id, UnaryOperator<Wire> change) {
        job.wire(id);
        return job.withWires(
                job.wires().stream()
                        .map(wire -> wire.id().equals(id) ? change.apply(wire) : wire)
                        .toList());
    }

    private static Job changedPart(Job job, PartId id, UnaryOperator<Part> change) {
        job.part(id);
        return job.withParts(
                job.parts().stream()
                        .map(part -> part.id().equals(id) ? change.apply(part) : part)
                        .toList());
    }

    private static Job changedCircuit(Job job, CircuitId id, UnaryOperator<Circuit> change) {
        job.circuit(id);
        return job.withCircuits(
                job.circuits().stream()
                        .map(circuit -> circuit.id().equals(id) ? change.apply(circuit) : circuit)
                        .toList());
    }

    private static <T> List<T> with(List<T> list, T added) {
        var longer = new ArrayList<>(list);
        longer.add(added);
        return longer;
    }
}
