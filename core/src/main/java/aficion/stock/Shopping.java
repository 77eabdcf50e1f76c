package aficion.stock;

import aficion.catalogue.Coverings;
import aficion.catalogue.Ends;
import aficion.catalogue.FuseType;
import aficion.harness.Dress;
import aficion.job.Body;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.Work;
import aficion.job.WorkshopPractice;
import aficion.make.Making;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.route.Station;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * What is bought to make a harness, with what is wasted on the way (typical, docs/SOURCES.md): an
 * eighth more wire and tape, a tenth more terminals, one spare fuse of each; less what is in stock.
 */
public final class Shopping {
    private static final double MORE_WIRE = 0.12;
    private static final double MORE_ENDS = 0.1;

    /** Ways to work that use something up. */
    private static final List<WorkshopPractice> SUPPLIES =
            List.of(
                    WorkshopPractice.SOLDERED,
                    WorkshopPractice.SOLDER_SLEEVED,
                    WorkshopPractice.GREASED);

    /** Length of a label sleeve and of a shrink over a crimp, metres. */
    private static final double SLEEVE = 0.04;

    private Shopping() {}

    /** One thing to buy. */
    public sealed interface Item {
        /** Wire off a reel, in whole metres. */
        record OfWire(Cut cut, Metres length) implements Item {}

        record OfTerminal(Termination termination, int count) implements Item {}

        /** Sleeves, shrink and tubes, by the metre. */
        record OfCovering(Coverings.Size size, Metres length) implements Item {}

        /** Grommets and clips. */
        record OfPiece(Coverings.Size size, int count) implements Item {}

        record OfFuse(FuseType type, Amps marking, int count) implements Item {}

        record OfTape(Metres length) implements Item {}

        record OfTies(int count) implements Item {}

        /** What ends are made with. */
        record OfTool(Ends.Tool tool, int ends) implements Item {}

        /** What is used up as the house works. */
        record OfSupply(WorkshopPractice practice) implements Item {}
    }

    /** All that is bought for what is not made yet of a design: wire first, thinnest first. */
    public static List<Item> of(Design design, Work work, Stock stock) {
        var making = Making.of(design).left(work);
        var items = new ArrayList<Item>();
        items.addAll(wire(Cutting.of(design, work, stock)));
        items.addAll(terminals(making, stock));
        items.addAll(coverings(design, making, stock));
        items.addAll(fuses(design));
        items.addAll(tools(making));
        SUPPLIES.stream()
                .filter(design.rules()::workBy)
                .forEach(practice -> items.add(new Item.OfSupply(practice)));
        return List.copyOf(items);
    }

    /** What an item costs, where the user has given its price; of some no price is kept. */
    public static Optional<Double> cost(Item item, Stock stock) {
        return switch (item) {
            case Item.OfWire(var cut, var length) -> cost(stock, Stock.key(cut.size()), length);
            case Item.OfTerminal(var termination, var count) ->
                    stock.price(termination.key()).map(price -> price * count);
            case Item.OfCovering(var size, var length) -> cost(stock, Stock.key(size), length);
            case Item.OfPiece(var size, var count) ->
                    stock.price(Stock.key(size)).map(price -> price * count);
            case Item.OfFuse _, Item.OfTape _, Item.OfTies _, Item.OfTool _, Item.OfSupply _ ->
                    Optional.empty();
        };
    }

    private static Optional<Double> cost(Stock stock, String key, Metres length) {
        return stock.price(key).map(price -> price * length.value());
    }

    /** So many whole metres are bought for a length, with what is wasted. */
    static double metres(double length) {
        return Math.ceil((1 + MORE_WIRE) * length);
    }

    private static List<Item> wire(Cutting cutting) {
        return cutting.shortfalls().stream()
                .<Item>map(lacking ->
                        new Item.OfWire(
                                lacking.cut(), new Metres(metres(lacking.length().value()))))
                .toList();
    }

    private static List<Item> terminals(Making making, Stock stock) {
        var count = new TreeMap<String, Integer>();
        for (var work : making.wires()) {
            for (var end : work.ends()) {
                boolean shared =
                        end.with().stream()
                                .anyMatch(other -> comesBefore(making, other, end.wire()));
                if (!shared) {
                    count.merge(end.termination().key(), 1, Integer::sum);
                }
            }
        }
        return count.entrySet().stream()
                .map(each -> {
                    var termination = new Termination(each.getKey());
                    int needed = (int) Math.ceil((1 + MORE_ENDS) * each.getValue());
                    return new Item.OfTerminal(termination, needed - stock.count(termination));
                })
                .filter(item -> item.count() > 0)
                .<Item>map(Function.identity())
                .toList();
    }

    /** Of wires in one barrel, the one made first brings its terminal. */
    private static boolean comesBefore(Making making, Wire one, Wire other) {
        for (var work : making.wires()) {
            if (work.wire().equals(one) || work.wire().equals(other)) {
                return work.wire().equals(one);
            }
        }
        return false;
    }

    private static List<Item> coverings(Design design, Making making, Stock stock) {
        var metres = new LinkedHashMap<Coverings.Size, Double>();
        for (var work : making.wires()) {
            for (var end : work.ends()) {
                end.label().ifPresent(size -> metres.merge(size, SLEEVE, Double::sum));
                end.shrink().ifPresent(size -> metres.merge(size, SLEEVE, Double::sum));
            }
        }
        var pieces = new LinkedHashMap<Coverings.Size, Integer>();
        double tape = 0;
        int ties = 0;
        var plan = design.body().map(Body::plan);
        if (plan.isPresent()) {
            for (var run : plan.get().runs()) {
                var dress = Dress.of(design, run.id());
                tape += dress.tape().value();
                ties += dress.ties();
                dress.clip()
                        .filter(_ -> dress.clips() > 0)
                        .ifPresent(size -> pieces.merge(size, dress.clips(), Integer::sum));
            }
            plan.get().stations().stream()
                    .filter(station -> station.form() == Station.Form.HOLE)
                    .flatMap(station -> Dress.grommet(design, station).stream())
                    .flatMap(bore -> Coverings.over(Coverings.Sort.GROMMET, bore, 1).stream())
                    .forEach(size -> pieces.merge(size, 1, Integer::sum));
        }
        var items = new ArrayList<Item>();
        sorted(metres)
                .forEach((size, length) -> {
                    double needed = (1 + MORE_WIRE) * length - stock.length(size).value();
                    if (needed > 0) {
                        items.add(
                                new Item.OfCovering(size, new Metres(Math.ceil(needed * 10) / 10)));
                    }
                });
        sorted(pieces).forEach((size, count) -> items.add(new Item.OfPiece(size, count)));
        if (tape > 0) {
            items.add(new Item.OfTape(new Metres(Math.ceil((1 + MORE_WIRE) * tape))));
            items.add(new Item.OfTies(ties));
        }
        return items;
    }

    private static <T> Map<Coverings.Size, T> sorted(Map<Coverings.Size, T> of) {
        var sorted =
                new TreeMap<Coverings.Size, T>(
                        Comparator.comparing(Coverings.Size::sort)
                                .thenComparing(size -> size.bore().value()));
        sorted.putAll(of);
        return sorted;
    }

    private static List<Item> tools(Making making) {
        var ends = new EnumMap<Ends.Tool, Integer>(Ends.Tool.class);
        making.wires().stream()
                .flatMap(work -> work.ends().stream())
                .forEach(end -> ends.merge(end.making().tool(), 1, Integer::sum));
        return ends.entrySet().stream()
                .<Item>map(each -> new Item.OfTool(each.getKey(), each.getValue()))
                .toList();
    }

    private static List<Item> fuses(Design design) {
        var count = new LinkedHashMap<List<Object>, Integer>();
        for (var part : design.parts()) {
            part.kind()
                    .seats()
                    .forEach(seat ->
                            count.merge(List.of(seat.type(), seat.marking()), 1, Integer::sum));
        }
        return count.entrySet().stream()
                .<Item>map(each ->
                        new Item.OfFuse(
                                (FuseType) each.getKey().get(0),
                                (Amps) each.getKey().get(1),
                                each.getValue() + 1))
                .toList();
    }
}
