package aficion.words;

import aficion.catalogue.Ends;
import aficion.job.Design;
import aficion.job.WorkshopPractice;
import aficion.make.EndWork;
import aficion.make.Making.Step;
import aficion.make.Making.WireWork;
import aficion.make.StudStack;
import aficion.quantity.UserUnits;
import aficion.stock.Cutting;
import aficion.stock.Stock;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what is done at each step of the making of a wire, for hands. */
public final class StepWords {
    private final Design design;
    private final Speech speech;
    private final Stock stock;
    private final Cutting cutting;
    private final boolean insulationSet;

    /**
     * @param stock what wires are cut from
     * @param cutting which of it each is cut from
     */
    public StepWords(Design design, Stock stock, Cutting cutting, UserUnits units) {
        this.design = design;
        this.speech = new Speech(design, units);
        this.stock = stock;
        this.insulationSet = design.rules().workBy(WorkshopPractice.INSULATION_SET);
        this.cutting = cutting;
    }

    /** From what terminal to what. */
    public String leads(WireWork work) {
        var from = work.wire().from().terminal();
        var to = work.wire().to().terminal();
        return Words.of("steps.leads", speech.name(from.part()), from, speech.name(to.part()), to);
    }

    /** The terms of its length. */
    public String sum(WireWork work) {
        var cut = work.cut();
        return Words.of(
                "steps.sum",
                speech.say(cut.along()),
                speech.say(cut.slack()),
                speech.say(cut.atEnds()));
    }

    /** What is done at a step. */
    public String says(WireWork work, Step step) {
        if (step.end().isEmpty()) {
            return cut(work);
        }
        var end = step.end().get();
        return switch (step.act()) {
            case CUT, LOOK -> Words.of("act.LOOK.says");
            case SLIDE_ON -> slides(end, speech);
            case STRIP -> Words.of("act.STRIP.says", speech.say(end.making().strip()));
            case CRIMP ->
                    end.with().isEmpty()
                            ? tool(end)
                            : Words.of("act.CRIMP.with", tool(end), end.with().size());
            case PULL -> Words.of("act.PULL.says", end.pull().orElse(0.0));
            case SHRINK -> Words.of("act.SHRINK.says");
            case PLACE -> place(end);
        };
    }

    private String place(EndWork end) {
        var part = speech.name(end.at().part());
        return StudStack.of(design, end.at())
                .filter(stack -> stack.rings().contains(end.wire()))
                .map(stack ->
                        Words.of(
                                "act.PLACE.stacked",
                                end.at(),
                                part,
                                speech.stacked(stack, end.wire())))
                .orElseGet(() -> Words.of("act.PLACE.says", end.at(), part));
    }

    /** The tool of an end; an open barrel is closed as the house does it. */
    private String tool(EndWork end) {
        var tool = end.making().tool();
        return tool == Ends.Tool.OPEN_BARREL && insulationSet
                ? Words.of("tool.OPEN_BARREL.set")
                : Words.of("tool", tool);
    }

    /** How long it is cut, and from which spool, where the stock has one. */
    private String cut(WireWork work) {
        var length = speech.say(work.cut().cut());
        return Optional.ofNullable(cutting.from().get(work.wire().id()))
                .flatMap(stock::spool)
                .map(spool ->
                        Words.of("act.CUT.from", length, spool.number(), speech.say(spool.left())))
                .orElseGet(() -> Words.of("act.CUT.says", length));
    }

    /** What goes over a wire before its terminal, in order. */
    public static String slides(EndWork end, Speech speech) {
        return String.join(
                ", ",
                Stream.of(
                                end.label().map(_ -> Words.of("slide.label", end.wire().number())),
                                end.booted()
                                        ? Optional.of(Words.of("slide.boot"))
                                        : Optional.<String>empty(),
                                end.shrink()
                                        .map(size ->
                                                Words.of("slide.shrink", speech.say(size.bore()))),
                                end.sealed()
                                        ? Optional.of(Words.of("slide.seal"))
                                        : Optional.<String>empty(),
                                end.through().isEmpty()
                                        ? Optional.<String>empty()
                                        : Optional.of(
                                                Words.of(
                                                        "slide.grommet",
                                                        end.through().stream()
                                                                .map(speech::station)
                                                                .collect(
                                                                        Collectors.joining(", ")))))
                        .flatMap(Optional::stream)
                        .toList());
    }
}
