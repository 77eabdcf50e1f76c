package aficion.bench.practice;

import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Suspect;
import aficion.fault.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * What is wrong in a round.
 *
 * @param faults one, or two at once
 * @param comesAndGoes whether it is there at times only
 */
public record Hidden(List<Fault> faults, boolean comesAndGoes) {
    /** How often two faults are tried before one that comes and goes is taken. */
    private static final int TRIES = 20;

    public Hidden {
        faults = List.copyOf(faults);
        if (faults.isEmpty()) {
            throw new IllegalArgumentException("something has to be wrong");
        }
    }

    /**
     * Hides a fault in a circuit, likely ones more often; empty where it has none that a meter
     * notices.
     */
    public static Optional<Hidden> in(
            FaultTable table, Difficulty difficulty, RandomGenerator random) {
        var noticed = noticed(table);
        return switch (difficulty) {
            case EASY ->
                    drawn(noticed.stream().filter(Hidden::isPlain).toList(), random)
                            .or(() -> drawn(noticed, random))
                            .map(suspect -> new Hidden(suspect.faults(), false));
            case FAIR -> drawn(noticed, random).map(suspect -> new Hidden(suspect.faults(), false));
            case HARD ->
                    random.nextBoolean()
                            ? drawn(noticed, random)
                                    .map(suspect -> new Hidden(suspect.faults(), true))
                            : two(table, noticed, random);
        };
    }

    /** What a voltmeter tells from nothing. */
    private static List<Suspect> noticed(FaultTable table) {
        var all = table.suspects();
        var nothing = table.looksLike(0);
        return all.stream()
                .filter(suspect -> !nothing.contains(suspect) && !suspect.faults().isEmpty())
                .toList();
    }

    private static boolean isPlain(Suspect suspect) {
        return suspect.faults().stream()
                .allMatch(fault ->
                        switch (fault) {
                            case Fault.Broken _,
                                    Fault.Blown _,
                                    Fault.Chafed _,
                                    Fault.EarthLost _,
                                    Fault.Dead _,
                                    Fault.DeadCoil _,
                                    Fault.DeadPart _ ->
                                    true;
                            case Fault.BadJoint _,
                                    Fault.Exchanged _,
                                    Fault.Touching _,
                                    Fault.PoorEarth _,
                                    Fault.Stuck _,
                                    Fault.Burnt _,
                                    Fault.Another _ ->
                                    false;
                        });
    }

    private static Optional<Suspect> drawn(List<Suspect> from, RandomGenerator random) {
        double all = from.stream().mapToDouble(Suspect::weight).sum();
        double at = all * random.nextDouble();
        for (var suspect : from) {
            at -= suspect.weight();
            if (at <= 0) {
                return Optional.of(suspect);
            }
        }
        return from.isEmpty() ? Optional.empty() : Optional.of(from.getLast());
    }

    private static Optional<Hidden> two(
            FaultTable table, List<Suspect> noticed, RandomGenerator random) {
        for (int i = 0; i < TRIES; i++) {
            var one = drawn(noticed, random);
            var other = drawn(noticed, random);
            if (one.isPresent() && !one.equals(other)) {
                var both = new ArrayList<>(one.get().faults());
                other.ifPresent(found -> both.addAll(found.faults()));
                if (table.canHave(both)) {
                    return Optional.of(new Hidden(both, false));
                }
            }
        }
        return drawn(noticed, random).map(suspect -> new Hidden(suspect.faults(), true));
    }
}
