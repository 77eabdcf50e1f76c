package aficion.files.sheet;

import aficion.harness.FittingList;
import aficion.job.Design;
import aficion.job.Job;
import aficion.make.Bands;
import aficion.make.Making;
import aficion.make.StudStack;
import aficion.quantity.UserUnits;
import aficion.stock.Cutting;
import aficion.stock.Shopping;
import aficion.stock.Shopping.Item;
import aficion.stock.Stock;
import aficion.words.Speech;
import aficion.words.StepWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The lists that hands need while a harness is made, in the order it is made. */
public final class Listings {
    private Listings() {}

    /** Which lists there are. */
    public enum Kind {
        LABELS((job, _, units) -> labels(job.design(), units)),
        BANDS((job, _, units) -> bands(job.design(), units)),
        CUT(Listings::cut),
        ENDS((job, _, units) -> ends(job.design(), units)),
        BUY(Listings::buy),
        FITTING((job, _, units) -> fitting(job, units)),
        UNUSED((job, _, units) -> unused(job, units)),
        TESTS((job, _, units) -> TestListing.of(job, units)),
        SURVEY((job, _, units) -> WorkListings.survey(job, units)),
        CHANGES((job, _, units) -> WorkListings.changes(job, units)),
        PLAN((job, _, units) -> WorkListings.plan(job, units)),
        DIARY((job, _, units) -> WorkListings.diary(job)),
        TORQUE((job, _, units) -> WorkListings.torque(job, units)),
        CARD((job, _, units) -> WorkListings.card(job, units));

        private final Source making;

        Kind(Source making) {
            this.making = making;
        }

        /** What its files are called and the key of its words. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The list of a job, with what is in stock, in the units of a user. */
        public Listing of(Job job, Stock stock, UserUnits units) {
            return making.of(job, stock, units);
        }
    }

    /** What makes a list. */
    private interface Source {
        Listing of(Job job, Stock stock, UserUnits units);
    }

    static Listing of(String name, List<String> columns, List<List<String>> rows) {
        return new Listing(
                name, columns.stream().map(column -> Words.of("list." + column)).toList(), rows);
    }

    /** A label for each end: number, circuit, what is there, and the other end. */
    private static Listing labels(Design design, UserUnits units) {
        var speech = new Speech(design, units);
        var rows = new ArrayList<List<String>>();
        for (var work : Making.of(design).wires()) {
            for (var end : work.ends()) {
                var wire = work.wire();
                rows.add(
                        List.of(
                                wire.number(),
                                end.at().toString(),
                                design.circuit(wire.circuit()).name(),
                                speech.name(end.at().part()),
                                end.other().terminal().toString(),
                                end.label()
                                        .map(size -> speech.say(size.bore()))
                                        .orElse(Words.of("run.none"))));
            }
        }
        return of("labels", List.of("number", "end", "circuit", "what", "other", "sleeve"), rows);
    }

    /** The bands of every wire, for a house that has wire of one colour. */
    private static Listing bands(Design design, UserUnits units) {
        var speech = new Speech(design, units);
        var bands = Bands.of(design);
        return of(
                "bands",
                List.of("number", "bands", "what", "other"),
                design.wires().stream()
                        .map(wire ->
                                List.of(
                                        wire.number(),
                                        bands.worn().get(wire.id()).stream()
                                                .map(tape -> Words.of("colour", tape))
                                                .collect(Collectors.joining(", ")),
                                        speech.name(wire.from().terminal().part()),
                                        speech.name(wire.to().terminal().part())))
                        .toList());
    }

    /** Every wire with its cut length, term by term. */
    private static Listing cut(Job job, Stock stock, UserUnits units) {
        var design = job.design();
        var cutting = Cutting.of(design, job.work(), stock);
        var speech = new Speech(design, units);
        var rows = new ArrayList<List<String>>();
        for (var work : Making.of(design).wires()) {
            var cut = work.cut();
            var first = cut.ends().getFirst();
            var last = cut.ends().getLast();
            rows.add(
                    List.of(
                            work.wire().number(),
                            speech.size(work.wire().size()),
                            speech.colour(work.wire().colour()),
                            speech.say(cut.along()),
                            speech.say(cut.slack()),
                            speech.say(first.rise()) + " + " + speech.say(last.rise()),
                            speech.say(first.loop()) + " + " + speech.say(last.loop()),
                            speech.say(first.strip()) + " + " + speech.say(last.strip()),
                            speech.say(cut.cut()),
                            spool(work, job, cutting)));
        }
        return of(
                "cut",
                List.of(
                        "number", "size", "colour", "along", "slack", "rise", "loop", "strip",
                        "cut", "spool"),
                rows);
    }

    /** The spool that a wire comes from, or that it is cut, or that none has enough. */
    private static String spool(Making.WireWork wire, Job job, Cutting cutting) {
        var from = cutting.from().get(wire.wire().id());
        if (wire.done(job.work()) > 0) {
            return Words.of("list.spool.cut");
        }
        return from == null ? Words.of("list.spool.none") : Words.of("list.spool.of", from);
    }

    /** Every end: terminal, strip, tool, what goes on first, and what it must stand. */
    private static Listing ends(Design design, UserUnits units) {
        var speech = new Speech(design, units);
        var rows = new ArrayList<List<String>>();
        for (var work : Making.of(design).wires()) {
            for (var end : work.ends()) {
                rows.add(
                        List.of(
                                end.wire().number(),
                                end.at().toString(),
                                speech.termination(end.termination()),
                                StepWords.slides(end, speech),
                                speech.say(end.making().strip()),
                                Words.of("list.tool", end.making().tool()),
                                end.pull()
                                        .map(newtons -> Words.of("list.newtons", newtons))
                                        .orElse(""),
                                StudStack.of(design, end.at())
                                        .filter(stack -> stack.rings().contains(end.wire()))
                                        .map(stack -> speech.onStud(stack, end.wire()))
                                        .orElse("")));
            }
        }
        return of(
                "ends",
                List.of("number", "end", "terminal", "slide", "strip", "tool", "pull", "stack"),
                rows);
    }

    /** What is seen to as parts are fitted, and what of it was. */
    private static Listing fitting(Job job, UserUnits units) {
        var speech = new Speech(job.design(), units);
        return of(
                "fitting",
                List.of("part", "what", "where", "line", "seen"),
                FittingList.of(job.design()).stream()
                        .map(line -> {
                            var part = job.design().part(line.part());
                            return List.of(
                                    part.id().value(),
                                    part.name(),
                                    speech.standing(part),
                                    speech.fitting(line),
                                    job.work().fitted().contains(line.fitted())
                                            ? Words.of("fitting.done")
                                            : "");
                        })
                        .toList());
    }

    /** Leads that nothing needs, and what was done with each. */
    private static Listing unused(Job job, UserUnits units) {
        var speech = new Speech(job.design(), units);
        return of(
                "unused",
                List.of("lead", "colour", "where", "done"),
                job.work().allUnused().stream()
                        .map(lead ->
                                List.of(
                                        lead.name(),
                                        lead.colour().map(speech::longColour).orElse(""),
                                        lead.where(),
                                        Words.of("unused", lead.done())))
                        .toList());
    }

    /** What is bought. */
    private static Listing buy(Job job, Stock stock, UserUnits units) {
        var speech = new Speech(job.design(), units);
        var items = Shopping.of(job.design(), job.work(), stock);
        return of(
                "buy",
                List.of("thing", "amount", "cost"),
                Stream.concat(
                                items.stream().map(item -> bought(item, stock, speech)),
                                sum(items, stock))
                        .toList());
    }

    /** A line with the sum of what has a price. */
    private static Stream<List<String>> sum(List<Item> items, Stock stock) {
        var costs = items.stream().flatMap(item -> Shopping.cost(item, stock).stream()).toList();
        return costs.isEmpty()
                ? Stream.of()
                : Stream.of(
                        List.of(
                                Words.of("buy.sum"),
                                Words.of("buy.priced", costs.size(), items.size()),
                                money(costs.stream().mapToDouble(each -> each).sum())));
    }

    private static String money(double amount) {
        return String.format(Locale.ROOT, "%.2f", amount);
    }

    private static List<String> bought(Item item, Stock stock, Speech speech) {
        var line = new ArrayList<>(bought(item, speech));
        line.add(Shopping.cost(item, stock).map(Listings::money).orElse(""));
        return line;
    }

    private static List<String> bought(Item item, Speech speech) {
        return switch (item) {
            case Item.OfWire(var cut, var length) ->
                    List.of(
                            Words.of(
                                    "buy.wire",
                                    speech.size(cut.size()),
                                    speech.colour(cut.colour()),
                                    Words.of("insulation", cut.cover())),
                            speech.say(length));
            case Item.OfTerminal(var termination, var count) ->
                    List.of(speech.termination(termination), String.valueOf(count));
            case Item.OfCovering(var size, var length) ->
                    List.of(speech.covering(size), speech.say(length));
            case Item.OfPiece(var size, var count) ->
                    List.of(speech.covering(size), String.valueOf(count));
            case Item.OfFuse(var type, var marking, var count) ->
                    List.of(speech.fuse(type, marking), String.valueOf(count));
            case Item.OfTool(var tool, var ends) ->
                    List.of(Words.of("tool", tool), Words.of("buy.tool", ends));
            case Item.OfSupply(var practice) ->
                    List.of(Words.of("buy.supply", practice), Words.of("buy.supply.amount"));
            case Item.OfTape(var length) -> List.of(Words.of("buy.tape"), speech.say(length));
            case Item.OfTies(var count) -> List.of(Words.of("buy.ties"), String.valueOf(count));
        };
    }
}
