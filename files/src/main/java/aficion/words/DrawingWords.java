package aficion.words;

import aficion.diagram.Lettering;
import aficion.diagram.Phrase;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.quantity.UserUnits;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/** The words of a job's drawings; how wide they are, whoever draws them says. */
public final class DrawingWords implements Lettering {
    /** The size of words on a drawing, in its units. */
    public static final double SIZE = 12.5;

    private final Design design;
    private final Speech speech;
    private final ToDoubleFunction<String> width;

    public DrawingWords(Design design, UserUnits units, ToDoubleFunction<String> width) {
        this.design = design;
        this.speech = new Speech(design, units);
        this.width = width;
    }

    /** What a drawing says. */
    public static String say(Phrase phrase) {
        return switch (phrase) {
            case Phrase.Plain(var text) -> text;
            case Phrase.Said(var saying) ->
                    Words.of("trace." + saying.name().toLowerCase(Locale.ROOT));
            case Phrase.Glows(var percent) -> Words.of("trace.light", percent);
            case Phrase.Reads(var percent) -> Words.of("trace.reads", percent);
        };
    }

    @Override
    public String wire(Wire wire) {
        return speech.label(wire);
    }

    @Override
    public String shortWire(Wire wire) {
        return wire.number();
    }

    @Override
    public String part(Part part) {
        var id = part.id().value();
        return part.name().equals(id) ? id : id + "  " + part.name();
    }

    @Override
    public String earth(PartId earth) {
        return earth + " " + design.part(earth).name();
    }

    @Override
    public double width(String text) {
        return width.applyAsDouble(text);
    }
}
