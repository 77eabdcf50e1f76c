package aficion.words;

import aficion.convert.Conversion.PartChange;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import java.util.stream.Collectors;

/** Says what is done with each part of a conversion, and why. */
public final class ConvertWords {
    private final Design design;

    public ConvertWords(Design design) {
        this.design = design;
    }

    /** Why, with what the part becomes or what its resistor is. */
    public String why(PartChange change) {
        var name =
                design.find(change.part()).map(part -> part.name()).orElse(change.part().value());
        var why = Words.of("convert.why", change.why());
        var figures =
                change.figures().stream()
                        .map(UserUnits.METRIC::print)
                        .collect(Collectors.joining(", "));
        return figures.isEmpty()
                ? Words.of("convert.said", name, why)
                : Words.of("convert.figures", name, why, figures);
    }
}
