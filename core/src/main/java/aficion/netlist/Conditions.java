package aficion.netlist;

import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.quantity.Celsius;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What the vehicle is doing.
 *
 * @param positions the position of each control that is not at rest, by the control's name
 * @param levels how full or hot what the senders feel is, 0 to 1, by the level's name; one half
 *     where nothing is said
 * @param engine speed of the engine
 * @param charge state of charge of the battery
 * @param air temperature of the air and of copper that carries little
 * @param pulled fuses that are out
 * @param before what it was doing before, where that matters: relays that hold and alternators that
 *     turn go on from there
 */
public record Conditions(
        Map<String, String> positions,
        Map<String, Double> levels,
        Rpm engine,
        Ratio charge,
        Celsius air,
        Set<FuseSeat> pulled,
        Optional<Conditions> before) {
    /** Everything off, engine still, battery full, 20 °C, every fuse in. */
    public static final Conditions REST =
            new Conditions(
                    Map.of(),
                    Map.of(),
                    new Rpm(0),
                    new Ratio(1),
                    new Celsius(20),
                    Set.of(),
                    Optional.empty());

    public Conditions {
        positions = Map.copyOf(positions);
        levels = Map.copyOf(levels);
        pulled = Set.copyOf(pulled);
        require(
                engine.value() >= 0 && engine.value() <= 20000,
                "the engine turns at 0 to 20000 rpm");
        require(charge.value() >= 0 && charge.value() <= 1, "the battery is charged from 0 to 1");
        require(air.value() >= -50 && air.value() <= 150, "the air has -50 to 150 °C");
        levels.forEach(
                (name, level) -> require(level >= 0 && level <= 1, "level " + name + " is 0 to 1"));
    }

    /** What conditions may differ in. */
    public enum Aspect {
        POSITIONS,
        LEVELS,
        ENGINE,
        CHARGE,
        AIR,
        PULLED
    }

    /** Whether two conditions differ in an aspect. */
    public boolean differs(Conditions other, Aspect aspect) {
        return switch (aspect) {
            case POSITIONS -> !positions.equals(other.positions);
            case LEVELS -> !levels.equals(other.levels);
            case ENGINE -> !engine.equals(other.engine);
            case CHARGE -> !charge.equals(other.charge);
            case AIR -> !air.equals(other.air);
            case PULLED -> !pulled.equals(other.pulled);
        };
    }

    /** Where a fuse sits: a fuse holder, or one way of a fuse box. */
    public record FuseSeat(PartId part, String way) {
        /** Every seat there is, in the order of the design. */
        public static List<FuseSeat> of(Design design) {
            return design.parts().stream()
                    .flatMap(part ->
                            part.kind().seats().stream()
                                    .map(seat -> new FuseSeat(part.id(), seat.way())))
                    .toList();
        }

        /** The seats that leads of a circuit end at, in the order of the design. */
        public static List<FuseSeat> of(Design design, CircuitId circuit) {
            var ends =
                    design.wiresOf(circuit).stream()
                            .flatMap(wire -> wire.terminals().stream())
                            .collect(Collectors.toSet());
            return design.partsOf(circuit).stream()
                    .flatMap(part ->
                            part.kind().seats().stream()
                                    .filter(seat ->
                                            ends.contains(part.terminal(seat.in()))
                                                    || ends.contains(part.terminal(seat.out())))
                                    .map(seat -> new FuseSeat(part.id(), seat.way())))
                    .toList();
        }

        @Override
        public String toString() {
            return way.isEmpty() ? part.toString() : part + "." + way;
        }
    }

    private static void require(boolean holds, String what) {
        if (!holds) {
            throw new IllegalArgumentException(what);
        }
    }

    /** How full or hot something is, 0 to 1. */
    public double level(String name) {
        return levels.getOrDefault(name, 0.5);
    }

    /** The same with a control in a position; at its rest where nothing is said. */
    public Conditions with(String control, String position) {
        var changed = new TreeMap<>(positions);
        changed.put(control, position);
        return new Conditions(changed, levels, engine, charge, air, pulled, before);
    }

    /** The same with a level at a share of its range, 0 to 1. */
    public Conditions withLevel(String level, double value) {
        var changed = new TreeMap<>(levels);
        changed.put(level, value);
        return new Conditions(positions, changed, engine, charge, air, pulled, before);
    }

    /** The same at another speed of the engine, turns a minute. */
    public Conditions withEngine(Rpm changed) {
        return new Conditions(positions, levels, changed, charge, air, pulled, before);
    }

    /** The same with the batteries charged to a share, 0 to 1. */
    public Conditions withCharge(Ratio changed) {
        return new Conditions(positions, levels, engine, changed, air, pulled, before);
    }

    /** The same in warmer or colder air. */
    public Conditions withAir(Celsius changed) {
        return new Conditions(positions, levels, engine, charge, changed, pulled, before);
    }

    /** The same with a guard taken out, or put back. */
    public Conditions withPulled(FuseSeat seat, boolean out) {
        var changed = new HashSet<>(pulled);
        if (out) {
            changed.add(seat);
        } else {
            changed.remove(seat);
        }
        return new Conditions(positions, levels, engine, charge, air, changed, before);
    }

    /** The same, whatever was before. */
    public Conditions alone() {
        return new Conditions(positions, levels, engine, charge, air, pulled, Optional.empty());
    }

    /** The same, come to from other conditions. */
    public Conditions after(Conditions earlier) {
        return new Conditions(positions, levels, engine, charge, air, pulled, Optional.of(earlier));
    }
}
