package aficion.harness;

import aficion.catalogue.Fittings;
import aficion.catalogue.Placings;
import aficion.catalogue.Placings.Apart;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Work;
import aficion.quantity.Metres;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a person sees to when parts are fitted and no rule can check: how they hang, what they are
 * bolted to, and how far from one another they stand where the plan cannot tell.
 */
public final class FittingList {
    private static final String APART = "apart";

    private FittingList() {}

    /**
     * A line of it.
     *
     * @param line its name in files, by which its words are found
     * @param from the parts it keeps its distance from
     * @param least how far
     */
    public record Line(PartId part, String line, List<PartId> from, Optional<Metres> least) {
        public Line {
            from = List.copyOf(from);
        }

        /** What is noted of it once it is seen to. */
        public Work.Fitted fitted() {
            return new Work.Fitted(part, line);
        }
    }

    /** All lines of a design, part by part as they stand in it. */
    public static List<Line> of(Design design) {
        var lines = new ArrayList<Line>();
        for (var part : design.parts()) {
            var kind = name(part);
            Fittings.all().stream()
                    .filter(fitting -> fitting.kind().equals(kind))
                    .map(fitting ->
                            new Line(part.id(), fitting.line(), List.of(), Optional.empty()))
                    .forEach(lines::add);
            Placings.of(kind)
                    .flatMap(Placings.Placing::apart)
                    .ifPresent(apart -> {
                        var close = close(design, part, apart);
                        if (!close.isEmpty()) {
                            lines.add(
                                    new Line(part.id(), APART, close, Optional.of(apart.least())));
                        }
                    });
        }
        return List.copyOf(lines);
    }

    private static String name(Part part) {
        return part.kind().getClass().getSimpleName();
    }

    /** The parts of a kind at the same station, or anywhere where there is no body. */
    private static List<PartId> close(Design design, Part part, Apart apart) {
        return disturbing(design, apart).stream()
                .filter(other -> distance(design, part, other).filter(far -> far > 0).isEmpty())
                .map(Part::id)
                .toList();
    }

    private static List<Part> disturbing(Design design, Apart apart) {
        return design.parts().stream().filter(part -> name(part).equals(apart.kind())).toList();
    }

    /** How far the stations of two parts are from each other, metres; empty without a body. */
    private static Optional<Double> distance(Design design, Part part, Part other) {
        return design.body()
                .map(body ->
                        body.plan()
                                .station(body.station(part))
                                .at()
                                .to(body.plan().station(body.station(other)).at())
                                .value());
    }

    /**
     * The part that disturbs another from a station too near, the nearest; one at the same station
     * may stand far enough away there.
     */
    public static Optional<Part> tooNear(Design design, Part part, Apart apart) {
        return disturbing(design, apart).stream()
                .filter(other ->
                        distance(design, part, other)
                                .filter(far -> far > 0 && far < apart.least().value())
                                .isPresent())
                .min(Comparator.comparing(other -> distance(design, part, other).orElseThrow()));
    }
}
