package aficion.identify;

import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Names;
import aficion.job.Position;
import aficion.job.Probed.Closed;
import aficion.quantity.Amps;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Any switch by continuity: which of its terminals are joined in which position. Not every pair has
 * to be tried: what is joined to one is joined to all that this one is joined to, and apart from
 * all that it is apart from. The pair to try next is the one that settles most pairs in most
 * positions, if a contact is closed as seldom as in most switches.
 */
public final class ContactTable {
    /** How often a contact that is tried is closed (typical). */
    private static final double CLOSED = 0.3;

    private final List<String> terminals;
    private final List<String> positions;
    private final List<Groups> groups = new ArrayList<>();
    private final List<Closed> contradictions = new ArrayList<>();

    /** What a terminal is to the others. */
    public enum Role {
        /** Joined to one after another of the others. */
        COMMON,
        /** One of several that may be the common: nothing but a supply tells which. */
        COMMON_OR,
        /** Joined to the common in some position. */
        OUTPUT,
        /** One of two that are joined in some position, and to nothing else. */
        CONTACT,
        /** Joined to nothing in any position. */
        NEVER,
        /** Not tried enough to tell. */
        UNKNOWN
    }

    /**
     * A terminal with what it is.
     *
     * @param joined the terminals that it is joined to, by position
     */
    public record Named(String terminal, Role role, Map<String, List<String>> joined) {
        public Named {
            joined = Collections.unmodifiableMap(new LinkedHashMap<>(joined));
        }
    }

    /** Two terminals to try. */
    public record Pair(String one, String other) {}

    private ContactTable(List<String> terminals, List<String> positions) {
        this.terminals = List.copyOf(terminals);
        this.positions = List.copyOf(positions);
        positions.forEach(_ -> groups.add(new Groups(terminals.size())));
    }

    /** What readings tell of a switch whose terminals and positions are those that were read. */
    public static ContactTable of(List<Closed> readings) {
        return of(
                readings.stream()
                        .flatMap(each -> Stream.of(each.one(), each.other()))
                        .distinct()
                        .toList(),
                readings.stream().map(Closed::position).distinct().toList(),
                readings);
    }

    /**
     * What readings tell of a switch with some terminals and positions.
     *
     * @throws IllegalArgumentException when a reading is of another terminal or position
     */
    public static ContactTable of(
            List<String> terminals, List<String> positions, List<Closed> readings) {
        var table = new ContactTable(terminals, positions);
        readings.stream()
                .sorted(Comparator.comparing(reading -> !reading.closed()))
                .forEach(table::take);
        return table;
    }

    private void take(Closed reading) {
        int one = terminals.indexOf(reading.one());
        int other = terminals.indexOf(reading.other());
        int at = positions.indexOf(reading.position());
        if (one < 0 || other < 0 || at < 0) {
            throw new IllegalArgumentException(reading + " is of another switch");
        }
        var known = groups.get(at);
        if (known.told(one, other).filter(told -> told != reading.closed()).isPresent()) {
            contradictions.add(reading);
        } else {
            known.note(one, other, reading.closed());
        }
    }

    public List<String> positions() {
        return positions;
    }

    /** The readings that others rule out. */
    public List<Closed> contradictions() {
        return List.copyOf(contradictions);
    }

    /** Whether every pair is known in every position. */
    public boolean isWhole() {
        return next().isEmpty();
    }

    /** The pair to try next, in every position; empty when all is known. */
    public Optional<Pair> next() {
        double best = 0;
        var next = Optional.<Pair>empty();
        for (int one = 0; one < terminals.size(); one++) {
            for (int other = one + 1; other < terminals.size(); other++) {
                double worth = 0;
                for (var known : groups) {
                    worth += known.worth(one, other);
                }
                if (worth > best + 1e-9) {
                    best = worth;
                    next = Optional.of(new Pair(terminals.get(one), terminals.get(other)));
                }
            }
        }
        return next;
    }

    /** Every terminal with what it is, in the order in which they were named. */
    public List<Named> named() {
        return IntStream.range(0, terminals.size()).mapToObj(this::named).toList();
    }

    private Named named(int terminal) {
        var joined = new LinkedHashMap<String, List<String>>();
        for (int i = 0; i < positions.size(); i++) {
            var others = groups.get(i).joined(terminal);
            if (!others.isEmpty()) {
                joined.put(positions.get(i), others.stream().map(terminals::get).toList());
            }
        }
        return new Named(terminals.get(terminal), role(terminal), joined);
    }

    private Role role(int terminal) {
        if (!isKnown(terminal)) {
            return Role.UNKNOWN;
        }
        var pole = pole(terminal);
        if (pole.size() == 1) {
            return Role.NEVER;
        }
        if (pole.size() == 2) {
            return Role.CONTACT;
        }
        if (!pole.stream().allMatch(this::isKnown)) {
            return Role.UNKNOWN;
        }
        var commons = commons(pole);
        return !commons.contains(terminal)
                ? Role.OUTPUT
                : commons.size() == 1 ? Role.COMMON : Role.COMMON_OR;
    }

    private boolean isKnown(int terminal) {
        return groups.stream()
                .allMatch(known ->
                        IntStream.range(0, terminals.size())
                                .filter(other -> other != terminal)
                                .allMatch(other -> known.told(terminal, other).isPresent()));
    }

    /** All that a terminal is joined to in some position, over others as well. */
    private Set<Integer> pole(int terminal) {
        var pole = new LinkedHashSet<Integer>(Set.of(terminal));
        var open = new ArrayList<>(pole);
        while (!open.isEmpty()) {
            int at = open.removeLast();
            for (var known : groups) {
                known.joined(at).stream().filter(pole::add).forEach(open::add);
            }
        }
        return pole;
    }

    /**
     * Those of a pole that are in all that is ever joined of it; where none is, those that are
     * joined to most others.
     */
    private Set<Integer> commons(Set<Integer> pole) {
        var always = new LinkedHashSet<>(pole);
        for (var known : groups) {
            var sets =
                    pole.stream()
                            .map(terminal -> {
                                var set = new LinkedHashSet<>(known.joined(terminal));
                                set.add(terminal);
                                return set;
                            })
                            .filter(set -> set.size() > 1)
                            .collect(Collectors.toSet());
            sets.forEach(always::retainAll);
        }
        if (!always.isEmpty()) {
            return always;
        }
        var partners =
                pole.stream()
                        .collect(
                                Collectors.toMap(
                                        terminal -> terminal,
                                        terminal ->
                                                groups.stream()
                                                        .flatMap(known ->
                                                                known.joined(terminal).stream())
                                                        .distinct()
                                                        .count()));
        long most = Collections.max(partners.values());
        return pole.stream()
                .filter(terminal -> partners.get(terminal) == most)
                .collect(Collectors.toSet());
    }

    /**
     * The switch as a part. Empty while something is unknown or contradicts, or where names cannot
     * be pins.
     *
     * @param control the name that the conditions know it by
     */
    public Optional<ControlKind.Switch> part(Action action, String control, Amps rating) {
        boolean named =
                Stream.concat(positions.stream(), terminals.stream()).allMatch(Names::isName);
        if (!named || positions.size() < 2 || !isWhole() || !contradictions.isEmpty()) {
            return Optional.empty();
        }
        var made = new ArrayList<Position>();
        for (int i = 0; i < positions.size(); i++) {
            var known = groups.get(i);
            var joins =
                    IntStream.range(0, terminals.size())
                            .boxed()
                            .flatMap(one ->
                                    known.joined(one).stream()
                                            .filter(other -> other > one)
                                            .limit(1)
                                            .map(other ->
                                                    new Contact(
                                                            terminals.get(one),
                                                            terminals.get(other))))
                            .toList();
            made.add(new Position(positions.get(i), false, joins));
        }
        return Optional.of(new ControlKind.Switch(action, control, terminals, made, rating));
    }

    /** What is joined to what in one position, as far as it is known. */
    private static final class Groups {
        private final int[] group;
        private final boolean[][] apart;

        Groups(int terminals) {
            group = IntStream.range(0, terminals).toArray();
            apart = new boolean[terminals][terminals];
        }

        /** Whether two are joined; empty where that is not known. */
        Optional<Boolean> told(int one, int other) {
            if (group[one] == group[other]) {
                return Optional.of(true);
            }
            return apart[group[one]][group[other]] ? Optional.of(false) : Optional.empty();
        }

        void note(int one, int other, boolean closed) {
            int first = group[one];
            int second = group[other];
            if (!closed) {
                apart[first][second] = true;
                apart[second][first] = true;
                return;
            }
            for (int i = 0; i < group.length; i++) {
                if (group[i] == second) {
                    group[i] = first;
                }
                apart[first][i] |= apart[second][i];
                apart[i][first] |= apart[i][second];
            }
        }

        List<Integer> joined(int terminal) {
            return IntStream.range(0, group.length)
                    .filter(other -> other != terminal && group[other] == group[terminal])
                    .boxed()
                    .toList();
        }

        private long size(int of) {
            return Arrays.stream(group).filter(each -> each == of).count();
        }

        /** How many pairs are told, on average, by trying one. */
        double worth(int one, int other) {
            if (told(one, other).isPresent()) {
                return 0;
            }
            int first = group[one];
            int second = group[other];
            double both = size(first) * size(second);
            double inherited =
                    Arrays.stream(group)
                            .distinct()
                            .filter(third -> third != first && third != second)
                            .filter(third -> apart[first][third] != apart[second][third])
                            .mapToDouble(third ->
                                    size(third)
                                            * (apart[first][third] ? size(second) : size(first)))
                            .sum();
            return both + CLOSED * inherited;
        }
    }
}
