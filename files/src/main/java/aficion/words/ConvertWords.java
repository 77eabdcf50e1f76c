package aficion.words;

import aficion.change.Change;
import aficion.convert.Conversion.PartChange;
import aficion.job.Design;
import aficion.quantity.UserUnits;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what is done with each part of a conversion, and why. */
public final class ConvertWords {
    private final Design design;
    private final PlanWords words;
    private final Speech speech;

    /**
     * @param design as it becomes
     */
    public ConvertWords(Design design) {
        this.design = design;
        this.words = new PlanWords(design, UserUnits.METRIC);
        this.speech = new Speech(design, UserUnits.METRIC);
    }

    /** What else is another: what it was, or from where it goes to where. */
    public String besides(Change change) {
        return Words.of(
                "convert.besides",
                words.what(change),
                Words.of("change", change.sort()),
                was(change).orElseGet(() -> way(change)));
    }

    private Optional<String> was(Change change) {
        return change instanceof Change.OfWire wire && wire.sort() == Change.Sort.REPLACED
                ? wire.was().map(before -> Words.of("convert.was", speech.size(before.size())))
                : Optional.empty();
    }

    private String way(Change change) {
        return Stream.of(words.from(change), words.to(change))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining(" \u2192 "));
    }

    /** Why, with what the part becomes or what its resistor is, without its name. */
    public String reason(PartChange change) {
        var figures = figures(change);
        var why = Words.of("convert.why", change.why());
        return figures.isEmpty() ? why : Words.of("convert.reason", why, figures);
    }

    private static String figures(PartChange change) {
        return change.figures().stream()
                .map(UserUnits.METRIC::print)
                .collect(Collectors.joining(", "));
    }

    /** Why, with what the part becomes or what its resistor is. */
    public String why(PartChange change) {
        var name =
                design.find(change.part()).map(part -> part.name()).orElse(change.part().value());
        var why = Words.of("convert.why", change.why());
        var figures = figures(change);
        return figures.isEmpty()
                ? Words.of("convert.said", name, why)
                : Words.of("convert.figures", name, why, figures);
    }
}
