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
    /** What a shop sells on a roll, metres. */
    private static final double[] ROLLS = {5, 10, 30};

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
        var left = new LinkedHashMap<Integer, Double>();
        stock.spools().forEach(spool -> left.put(spool.number(), spool.left().value()));
        var lacking = new LinkedHashMap<Cut, List<WireWork>>();
        double opened = 0;
        for (var kind : kinds.entrySet()) {
            opened +=
                    cut(
                            kind.getValue(),
                            spools(stock, kind.getKey()),
                            new Found(from, left, lacking));
        }
        var shortfalls =
                lacking.entrySet().stream()
                        .map(each -> shortfall(each.getKey(), each.getValue(), stock, left))
                        .toList();
        double rest = from.values().stream().distinct().mapToDouble(left::get).sum();
        return new Cutting(from, shortfalls, new Metres(opened), new Metres(Math.max(0, rest)));
    }

    private record Found(
            Map<WireId, Integer> from,
            Map<Integer, Double> left,
            Map<Cut, List<WireWork>> lacking) {}

    private static Cut kind(Wire wire) {
        return new Cut(wire.conductor().size(), wire.insulation(), wire.colour());
    }

    private static List<Spool> spools(Stock stock, Cut kind) {
        return stock.spools().stream().filter(spool -> spool.holds(kind)).toList();
    }

    /** Cuts wires of a kind from their spools; returns the metres on those that are opened. */
    private static double cut(List<WireWork> wires, List<Spool> spools, Found found) {
        var packed =
                new Packing(
                                wires.stream()
                                        .mapToDouble(each -> each.cut().cut().value())
                                        .toArray(),
                                spools.stream().mapToDouble(each -> each.left().value()).toArray())
                        .best();
        double opened = 0;
        var seen = new ArrayList<Integer>();
        for (int i = 0; i < packed.length; i++) {
            var wire = wires.get(i);
            if (packed[i] < 0) {
                found.lacking.computeIfAbsent(kind(wire.wire()), _ -> new ArrayList<>()).add(wire);
            } else {
                var spool = spools.get(packed[i]);
                found.from.put(wire.wire().id(), spool.number());
                found.left.merge(spool.number(), -wire.cut().cut().value(), Double::sum);
                if (!seen.contains(packed[i])) {
                    seen.add(packed[i]);
                    opened += spool.left().value();
                }
            }
        }
        return opened;
    }

    private static Shortfall shortfall(
            Cut cut, List<WireWork> wires, Stock stock, Map<Integer, Double> left) {
        double length = wires.stream().mapToDouble(each -> each.cut().cut().value()).sum();
        var remedies = new ArrayList<Remedy>();
        spare(stock, left, length)
                .filter(spool ->
                        spool.cut().size().equals(cut.size()) && spool.cut().cover() == cut.cover())
                .findFirst()
                .ifPresent(spool -> remedies.add(new Remedy.OtherColour(spool)));
        spare(stock, left, length)
                .filter(spool -> isThicker(spool, cut))
                .filter(spool -> wires.stream().allMatch(wire -> fits(spool, wire.wire())))
                .min(
                        Comparator.comparing(
                                        (Spool spool) -> !spool.cut().colour().equals(cut.colour()))
                                .thenComparing(spool -> spool.cut().conductor().copper().value()))
                .ifPresent(spool -> remedies.add(new Remedy.Thicker(spool)));
        remedies.add(buy(cut, length, stock));
        return new Shortfall(
                cut, wires.stream().map(WireWork::wire).toList(), new Metres(length), remedies);
    }

    /** Spools with enough to spare, the one with least to spare first. */
    private static Stream<Spool> spare(Stock stock, Map<Integer, Double> left, double length) {
        return stock.spools().stream()
                .filter(spool -> left.get(spool.number()) >= length)
                .sorted(Comparator.comparingDouble(spool -> left.get(spool.number())));
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
        double metres = Math.ceil((1 + Shopping.MORE_WIRE) * length);
        Optional<Metres> roll = Optional.empty();
        for (double each : ROLLS) {
            if (roll.isEmpty() && each >= length) {
                roll = Optional.of(new Metres(each));
            }
        }
        return new Remedy.Buy(
                new Metres(metres),
                roll,
                Optional.ofNullable(stock.prices().get(cut.size().toString()))
                        .map(price -> price * metres));
    }
}
