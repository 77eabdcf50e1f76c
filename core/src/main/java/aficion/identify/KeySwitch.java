package aficion.identify;

import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Names;
import aficion.job.Position;
import aficion.job.Probed.KeyVolts;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A key switch as a meter shows it: which of its terminals is live in which position, and so what
 * each is. A terminal is live that shows four fifths of the highest reading in that position, since
 * a battery sags while it cranks; it is dead below a seventh. Either pole may be earthed.
 *
 * @param positions as they were called, in the order in which they were read first
 * @param terminals each with what it is
 * @param troubles what does not fit
 */
public record KeySwitch(List<String> positions, List<Named> terminals, List<Trouble> troubles) {
    private static final double LIVE = 0.8;
    private static final double DEAD = 0.15;

    /** Below that share of the highest of all, nothing was live in a position. */
    private static final double FED = 0.5;

    /** How far two readings of one terminal may lie apart, as a share. */
    private static final double AGREE = 0.1;

    public KeySwitch {
        positions = List.copyOf(positions);
        terminals = List.copyOf(terminals);
        troubles = List.copyOf(troubles);
    }

    /**
     * A terminal.
     *
     * @param live the positions in which it is
     * @param unread the positions in which it was not read
     */
    public record Named(String terminal, KeyName name, List<String> live, List<String> unread) {
        public Named {
            live = List.copyOf(live);
            unread = List.copyOf(unread);
        }
    }

    /** Something that does not fit. */
    public sealed interface Trouble {
        /** A terminal read twice in a position, and not the same. */
        record Twice(String terminal, String position, Volts one, Volts other) implements Trouble {}

        /** Neither live nor dead: a poor contact, or fed through something. */
        record Between(String terminal, String position, Volts volts) implements Trouble {}

        /** Live where no terminal of a key switch is live alone. */
        record Odd(String terminal, List<String> live) implements Trouble {}

        /** No terminal is live in every position: the feed is missing, or not read. */
        record NoFeed() implements Trouble {}

        /** Not read in a position yet. */
        record Unread(String terminal, String position) implements Trouble {}
    }

    /** What readings tell of a switch. */
    public static KeySwitch of(List<KeyVolts> readings) {
        return new Naming(readings).switchFound();
    }

    /** The positions that tell two terminals apart; none where they are alike so far. */
    public List<String> apart(String one, String other) {
        var first = find(one);
        var second = find(other);
        if (first.isEmpty() || second.isEmpty()) {
            return List.of();
        }
        return positions.stream()
                .filter(position ->
                        !first.get().unread().contains(position)
                                && !second.get().unread().contains(position)
                                && first.get().live().contains(position)
                                        != second.get().live().contains(position))
                .toList();
    }

    private Optional<Named> find(String terminal) {
        return terminals.stream().filter(each -> each.terminal().equals(terminal)).findFirst();
    }

    /**
     * The switch as a part: what is always live is joined to what is live in each position. Empty
     * while something does not fit, or where names cannot be pins.
     *
     * @param control the name that the conditions know it by
     * @param rating what a contact may carry
     */
    public Optional<ControlKind.Switch> part(String control, Amps rating) {
        var feed = terminals.stream().filter(each -> each.name() == KeyName.ALWAYS).findFirst();
        boolean whole =
                troubles.isEmpty()
                        && positions.size() > 1
                        && terminals.size() > 1
                        && Stream.concat(
                                        positions.stream(), terminals.stream().map(Named::terminal))
                                .allMatch(Names::isName);
        if (feed.isEmpty() || !whole) {
            return Optional.empty();
        }
        var roles = KeyPosition.of(positions);
        var made = new ArrayList<Position>();
        for (int i = 0; i < positions.size(); i++) {
            var name = positions.get(i);
            var joins =
                    terminals.stream()
                            .filter(each -> each != feed.get() && each.live().contains(name))
                            .map(each -> new Contact(feed.get().terminal(), each.terminal()))
                            .toList();
            boolean springs = roles.get(i) == KeyPosition.START || roles.get(i) == KeyPosition.HEAT;
            made.add(new Position(name, springs, joins));
        }
        return Optional.of(
                new ControlKind.Switch(
                        Action.KEY,
                        control,
                        terminals.stream().map(Named::terminal).toList(),
                        made,
                        rating));
    }

    /** One naming. */
    private static final class Naming {
        private final List<String> positions;
        private final Map<String, Map<String, Double>> read = new LinkedHashMap<>();
        private final Map<String, Double> highest = new LinkedHashMap<>();
        private final List<Trouble> troubles = new ArrayList<>();
        private final List<KeyPosition> roles;

        Naming(List<KeyVolts> readings) {
            positions = readings.stream().map(KeyVolts::position).distinct().toList();
            roles = KeyPosition.of(positions);
            readings.forEach(this::take);
            double most = highest.values().stream().mapToDouble(each -> each).max().orElse(0);
            highest.replaceAll((_, volts) -> volts < FED * most ? most : volts);
        }

        private void take(KeyVolts reading) {
            double volts = Math.abs(reading.volts().value());
            var there = read.computeIfAbsent(reading.terminal(), _ -> new LinkedHashMap<>());
            var before = there.put(reading.position(), volts);
            highest.merge(reading.position(), volts, Math::max);
            if (before != null && Math.abs(before - volts) > AGREE * Math.max(before, volts)) {
                troubles.add(
                        new Trouble.Twice(
                                reading.terminal(),
                                reading.position(),
                                new Volts(before),
                                reading.volts()));
            }
        }

        KeySwitch switchFound() {
            var named = new ArrayList<Named>();
            for (var terminal : read.keySet()) {
                named.add(named(terminal));
            }
            boolean fed = named.stream().anyMatch(each -> each.name() == KeyName.ALWAYS);
            if (!fed && !named.isEmpty()) {
                troubles.add(new Trouble.NoFeed());
            }
            return new KeySwitch(positions, named, troubles);
        }

        private Named named(String terminal) {
            var there = read.get(terminal);
            var live = new LinkedHashSet<String>();
            var unread = new ArrayList<String>();
            boolean clear =
                    troubles.stream()
                            .noneMatch(trouble ->
                                    trouble instanceof Trouble.Twice twice
                                            && twice.terminal().equals(terminal));
            for (var position : positions) {
                var volts = there.get(position);
                if (volts == null) {
                    unread.add(position);
                    troubles.add(new Trouble.Unread(terminal, position));
                    continue;
                }
                double share = highest.get(position) == 0 ? 0 : volts / highest.get(position);
                if (share >= LIVE) {
                    live.add(position);
                } else if (share > DEAD) {
                    clear = false;
                    troubles.add(new Trouble.Between(terminal, position, new Volts(volts)));
                }
            }
            var name = clear && unread.isEmpty() ? name(live) : KeyName.UNKNOWN;
            if (clear && unread.isEmpty() && name == KeyName.UNKNOWN) {
                troubles.add(new Trouble.Odd(terminal, List.copyOf(live)));
            }
            return new Named(terminal, name, List.copyOf(live), unread);
        }

        private KeyName name(LinkedHashSet<String> live) {
            if (live.isEmpty()) {
                return KeyName.NEVER;
            }
            if (live.size() == positions.size()) {
                return KeyName.ALWAYS;
            }
            var in = new EnumMap<KeyPosition, Boolean>(KeyPosition.class);
            for (int i = 0; i < positions.size(); i++) {
                in.merge(roles.get(i), live.contains(positions.get(i)), Boolean::logicalAnd);
            }
            boolean off = in.getOrDefault(KeyPosition.OFF, false);
            boolean run = in.getOrDefault(KeyPosition.RUN, false);
            boolean park = in.getOrDefault(KeyPosition.PARK, false);
            boolean start = in.getOrDefault(KeyPosition.START, false);
            boolean heat = in.getOrDefault(KeyPosition.HEAT, false);
            boolean early = in.getOrDefault(KeyPosition.ACCESSORY, false);
            if (off || park) {
                return !run && !start && !early && !heat ? KeyName.PARKING : KeyName.UNKNOWN;
            }
            if (run) {
                boolean holds = start || !in.containsKey(KeyPosition.START);
                return !holds
                        ? KeyName.ACCESSORY_DROPS
                        : early ? KeyName.ACCESSORY : KeyName.IGNITION;
            }
            if (early) {
                return KeyName.UNKNOWN;
            }
            return heat ? KeyName.HEAT : start ? KeyName.START : KeyName.UNKNOWN;
        }
    }
}
