package aficion.stock;

import aficion.catalogue.Conductors;
import aficion.catalogue.Coverings;
import aficion.catalogue.WireSize;
import aficion.job.Cut;
import aficion.job.Termination;
import aficion.quantity.Metres;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a user has in stock, for every job.
 *
 * @param spools each with wire of one kind on it
 * @param terminals how many there are, by {@link Termination#key}
 * @param sleeves metres of sleeve, shrink and tube, by {@link #key}
 * @param prices what one, or one metre, costs in the user's money: of a terminal by its key, of a
 *     covering by its key, of wire by its size
 */
public record Stock(
        List<Spool> spools,
        Map<String, Integer> terminals,
        Map<String, Metres> sleeves,
        Map<String, Double> prices) {
    /** Nothing. */
    public static final Stock EMPTY = new Stock(List.of(), Map.of(), Map.of(), Map.of());

    private static final double MOST = 1000;
    private static final int MANY = 100_000;

    /**
     * Wire of one kind.
     *
     * @param number what it is called by; its own
     * @param left on it
     */
    public record Spool(int number, Cut cut, Metres left) {
        public Spool {
            if (number < 1 || number > MANY) {
                throw new IllegalArgumentException("a spool has a number from 1, not " + number);
            }
            if (!(left.value() >= 0 && left.value() <= MOST)) {
                throw new IllegalArgumentException(
                        "a spool has 0 to 1000 m on it, not " + left.value());
            }
        }

        /** Whether wires of a kind are cut from it. */
        public boolean holds(Cut other) {
            return Conductors.get(cut.size()).equals(Conductors.get(other.size()))
                    && cut.cover() == other.cover()
                    && cut.colour().equals(other.colour());
        }

        private Spool with(double metres) {
            return new Spool(number, cut, new Metres(Math.clamp(metres, 0, MOST)));
        }
    }

    /** One thing that is counted. */
    public sealed interface Thing {
        /** What its price is kept by. */
        String key();

        record OfSpool(Spool spool) implements Thing {
            @Override
            public String key() {
                return Stock.key(spool.cut.size());
            }
        }

        record OfTerminal(Termination terminal) implements Thing {
            @Override
            public String key() {
                return terminal.key();
            }
        }

        record OfCovering(Coverings.Size size) implements Thing {
            @Override
            public String key() {
                return Stock.key(size);
            }
        }
    }

    /**
     * @throws IllegalArgumentException when two spools have one number, or there is less than
     *     nothing of something
     */
    public Stock {
        spools = List.copyOf(spools);
        terminals = Collections.unmodifiableMap(new LinkedHashMap<>(terminals));
        sleeves = Collections.unmodifiableMap(new LinkedHashMap<>(sleeves));
        prices = Collections.unmodifiableMap(new LinkedHashMap<>(prices));
        require(
                spools.stream().map(Spool::number).distinct().count() == spools.size(),
                "two spools have the same number");
        require(
                terminals.values().stream().allMatch(count -> count >= 0 && count <= MANY),
                "there are 0 to 100 000 of a terminal");
        require(
                sleeves.values().stream()
                        .allMatch(length -> length.value() >= 0 && length.value() <= MOST),
                "there are 0 to 1000 m of a sleeve");
        require(
                prices.values().stream().allMatch(price -> price >= 0 && price <= MANY),
                "a price is 0 to 100 000");
    }

    private static void require(boolean holds, String what) {
        if (!holds) {
            throw new IllegalArgumentException(what);
        }
    }

    /** What a sleeve, shrink, tube, grommet or clip of a size is known by. */
    public static String key(Coverings.Size size) {
        return size.sort().name() + ":" + Math.round(10_000 * size.bore().value()) / 10.0;
    }

    /** What wire of a size is known by. */
    public static String key(WireSize size) {
        return size.toString();
    }

    /** All that is counted: spools, terminals, coverings by their size. */
    public List<Thing> things() {
        var things = new ArrayList<Thing>();
        spools.forEach(spool -> things.add(new Thing.OfSpool(spool)));
        terminals.keySet().forEach(key -> things.add(new Thing.OfTerminal(new Termination(key))));
        Arrays.stream(Coverings.Sort.values())
                .flatMap(sort -> Coverings.of(sort).stream())
                .filter(size -> sleeves.containsKey(key(size)))
                .forEach(size -> things.add(new Thing.OfCovering(size)));
        return things;
    }

    /** The same with so many, or so many metres, of a thing. */
    public Stock having(Thing thing, double amount) {
        return switch (thing) {
            case Thing.OfSpool(var spool) -> holding(spool.number, new Metres(amount));
            case Thing.OfTerminal(var terminal) -> counting(terminal, (int) amount);
            case Thing.OfCovering(var size) -> holding(size, new Metres(amount));
        };
    }

    /** The same without a thing. */
    public Stock without(Thing thing) {
        return switch (thing) {
            case Thing.OfSpool(var spool) -> without(spool.number);
            case Thing.OfTerminal _, Thing.OfCovering _ -> having(thing, 0);
        };
    }

    /** The price of one, or of a metre, of what goes by a key. */
    public Optional<Double> price(String key) {
        return Optional.ofNullable(prices.get(key));
    }

    /** The spool of a kind with least left that has so much; empty where none has. */
    public Optional<Spool> enough(Cut kind, Metres length) {
        return spools.stream()
                .filter(spool -> spool.holds(kind) && spool.left.value() >= length.value())
                .min(Comparator.comparingDouble(spool -> spool.left.value()));
    }

    /** The spool of a number; empty when there is none. */
    public Optional<Spool> spool(int number) {
        return spools.stream().filter(spool -> spool.number == number).findFirst();
    }

    /** How many of a terminal there are. */
    public int count(Termination terminal) {
        return terminals.getOrDefault(terminal.key(), 0);
    }

    /** How much of a covering there is. */
    public Metres length(Coverings.Size size) {
        return sleeves.getOrDefault(key(size), new Metres(0));
    }

    /** The same with another spool, under the next number that is free. */
    public Stock adding(Cut cut, Metres length) {
        int next = spools.stream().mapToInt(Spool::number).max().orElse(0) + 1;
        var more = new ArrayList<>(spools);
        more.add(new Spool(next, cut, length));
        return new Stock(more, terminals, sleeves, prices);
    }

    /** The same with so much on a spool. */
    public Stock holding(int number, Metres length) {
        return new Stock(
                spools.stream()
                        .map(spool -> spool.number == number ? spool.with(length.value()) : spool)
                        .toList(),
                terminals,
                sleeves,
                prices);
    }

    /** The same with less on a spool, or with more where it is less than nothing. */
    public Stock taking(int number, Metres length) {
        return spool(number)
                .map(spool ->
                        holding(
                                number,
                                new Metres(
                                        Math.clamp(spool.left.value() - length.value(), 0, MOST))))
                .orElse(this);
    }

    /** The same without a spool. */
    public Stock without(int number) {
        return new Stock(
                spools.stream().filter(spool -> spool.number != number).toList(),
                terminals,
                sleeves,
                prices);
    }

    /** The same with so many of a terminal. */
    public Stock counting(Termination terminal, int count) {
        var changed = new LinkedHashMap<>(terminals);
        changed.put(terminal.key(), count);
        changed.values().removeIf(each -> each == 0);
        return new Stock(spools, changed, sleeves, prices);
    }

    /** The same with so much of a covering. */
    public Stock holding(Coverings.Size size, Metres length) {
        var changed = new LinkedHashMap<>(sleeves);
        changed.put(key(size), length);
        changed.values().removeIf(each -> each.value() == 0);
        return new Stock(spools, terminals, changed, prices);
    }

    /** The same at another price; none where it is nought. */
    public Stock pricing(String key, double price) {
        var changed = new LinkedHashMap<>(prices);
        changed.put(key, price);
        changed.values().removeIf(each -> each == 0);
        return new Stock(spools, terminals, sleeves, changed);
    }
}
