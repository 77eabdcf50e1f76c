package aficion.stock;

import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.make.Making;
import aficion.make.Making.WireWork;
import aficion.quantity.Metres;
import aficion.stock.Stock.Spool;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * From which spools the wires that are not cut yet come: fewest metres opened, no joint in a wire.
 *
 * @param from the spool of each wire that finds one
 * @param shortfalls what the stock does not have, kind by kind
 * @param opened metres on the spools that are cut from
 * @param left metres on them afterwards
 */
public record Cutting(
        Map<WireId, Integer> from, List<Shortfall> shortfalls, Metres opened, Metres left) {
    /** No wire from no spool. */
    public static final Cutting NOTHING =
            new Cutting(Map.of(), List.of(), new Metres(0), new Metres(0));

    /** What a shop sells on a roll. */
    private static final List<Metres> ROLLS =
            List.of(new Metres(5), new Metres(10), new Metres(30));

    /** Wires of one kind that find no spool, with what helps. */
    public record Shortfall(Cut cut, List<Wire> wires, Metres length, List<Remedy> remedies) {
        public Shortfall {
            wires = List.copyOf(wires);
            remedies = List.copyOf(remedies);
        }
    }

    /** What helps where the stock does not suffice. */
    public sealed interface Remedy {
        /** The same wire in another colour, with bands to tell it by. */
        record OtherColour(Spool spool) implements Remedy {}

        /** Thicker wire, which goes into the terminals at both ends. */
        record Thicker(Spool spool) implements Remedy {}

        /**
         * Wire from a shop.
         *
         * @param metres by the metre, with what is wasted
         * @param roll the shortest roll that is long enough; empty above the longest
         * @param price of the metres, where the user has given one
         */
        record Buy(Metres metres, Optional<Metres> roll, Optional<Double> price)
                implements Remedy {}
    }

    public Cutting {
        from = Collections.unmodifiableMap(new LinkedHashMap<>(from));
        shortfalls = List.copyOf(shortfalls);
    }

    /** How what is not cut yet of a design is cut from a stock. */
    public static Cutting of(Design design, Work work, Stock stock) {
        var kinds = new LinkedHashMap<Cut, List<WireWork>>();
        for (var wire : Making.of(design).wires()) {
            if (wire.done(work) == 0) {
                kinds.computeIfAbsent(kind(wire.wire()), _ -> new ArrayList<>()).add(wire);
            }
        }
        var from = new LinkedHashMap<WireId, Integer>();
        kinds.forEach((kind, wires) -> from.putAll(cut(wires, spools(stock, kind))));
        var after = stock;
        for (var wire : kinds.values().stream().flatMap(List::stream).toList()) {
            var spool = from.get(wire.wire().id());
            after = spool == null ? after : after.taking(spool, wire.cut().cut());
        }
        return new Cutting(
                from,
                shortfalls(kinds, from, after),
                sum(stock, from.values()),
                sum(after, from.values()));
    }

    private static Metres sum(Stock stock, Collection<Integer> spools) {
        return new Metres(
                stock.spools().stream()
                        .filter(spool -> spools.contains(spool.number()))
                        .mapToDouble(spool -> spool.left().value())
                        .sum());
    }

    private static List<Shortfall> shortfalls(
            Map<Cut, List<WireWork>> kinds, Map<WireId, Integer> from, Stock left) {
        var shortfalls = new ArrayList<Shortfall>();
        kinds.forEach((kind, wires) -> {
            var lacking =
                    wires.stream().filter(wire -> !from.containsKey(wire.wire().id())).toList();
            if (!lacking.isEmpty()) {
                shortfalls.add(shortfall(kind, lacking, left));
            }
        });
        return shortfalls;
    }

    /** The kind of wire that a wire is cut from. */
    public static Cut kind(Wire wire) {
        return new Cut(wire.conductor().size(), wire.insulation(), wire.colour());
    }

    private static List<Spool> spools(Stock stock, Cut kind) {
        return stock.spools().stream().filter(spool -> spool.holds(kind)).toList();
    }

    /** The spool that each wire of a kind is cut from, where one has enough. */
    private static Map<WireId, Integer> cut(List<WireWork> wires, List<Spool> spools) {
        var packed =
                new Packing(
                                wires.stream()
                                        .mapToDouble(each -> each.cut().cut().value())
                                        .toArray(),
                                spools.stream().mapToDouble(each -> each.left().value()).toArray())
                        .best();
        var from = new LinkedHashMap<WireId, Integer>();
        for (int i = 0; i < packed.length; i++) {
            if (packed[i] >= 0) {
                from.put(wires.get(i).wire().id(), spools.get(packed[i]).number());
            }
        }
        return from;
    }

    private static Shortfall shortfall(Cut cut, List<WireWork> wires, Stock left) {
        double length = wires.stream().mapToDouble(each -> each.cut().cut().value()).sum();
        var remedies = new ArrayList<Remedy>();
        spare(left, length)
                .filter(spool ->
                        spool.cut().conductor().equals(cut.conductor())
                                && spool.cut().cover() == cut.cover())
                .findFirst()
                .ifPresent(spool -> remedies.add(new Remedy.OtherColour(spool)));
        spare(left, length)
                .filter(spool -> isThicker(spool, cut))
                .filter(spool -> wires.stream().allMatch(wire -> fits(spool, wire.wire())))
                .min(
                        Comparator.comparing(
                                        (Spool spool) -> !spool.cut().colour().equals(cut.colour()))
                                .thenComparing(spool -> spool.cut().conductor().copper().value()))
                .ifPresent(spool -> remedies.add(new Remedy.Thicker(spool)));
        remedies.add(buy(cut, length, left));
        return new Shortfall(
                cut, wires.stream().map(WireWork::wire).toList(), new Metres(length), remedies);
    }

    /** Spools with enough to spare, the one with least to spare first. */
    private static Stream<Spool> spare(Stock left, double length) {
        return left.spools().stream()
                .filter(spool -> spool.left().value() >= length)
                .sorted(Comparator.comparingDouble(spool -> spool.left().value()));
    }

    private static boolean isThicker(Spool spool, Cut cut) {
        return spool.cut().cover() == cut.cover()
                && spool.cut().conductor().copper().value() > cut.conductor().copper().value();
    }

    private static boolean fits(Spool spool, Wire wire) {
        return Stream.of(wire.from(), wire.to())
                .map(End::termination)
                .allMatch(end -> end.fitting().takes(spool.cut().conductor().copper()));
    }

    private static Remedy.Buy buy(Cut cut, double length, Stock stock) {
        double metres = Shopping.metres(length);
        return new Remedy.Buy(
                new Metres(metres),
                ROLLS.stream().filter(roll -> roll.value() >= length).findFirst(),
                stock.price(Stock.key(cut.size())).map(price -> price * metres));
    }
}
