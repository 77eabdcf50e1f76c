package aficion.files;

import aficion.charge.AnotherSource;
import aficion.charge.AnotherSource.Candidate;
import aficion.job.Design;
import aficion.job.SourceKind;
import aficion.job.SourceKind.Alternator;
import aficion.job.SourceKind.Dynamo;
import aficion.job.SourceKind.Flywheel;
import aficion.job.SourceKind.Flywheel.Winding;
import aficion.job.SourceKind.RegulatorRectifier;
import aficion.job.SourceKind.RegulatorRectifier.Bridge;
import aficion.job.Vehicle;
import aficion.quantity.Volts;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The sources of the shelf, and the user's own, that might take the place of one. */
public final class Candidates {
    private Candidates() {}

    /**
     * Those that work the way the one of the design does: belted ones for a belted one, coils on
     * the flywheel for such, each with the rectifier that goes with them.
     *
     * @param shelf the parts to choose from
     */
    public static List<Candidate> of(Design design, List<PartsBook.Entry> shelf) {
        return AnotherSource.source(design).stream()
                .flatMap(source ->
                        Stream.concat(
                                inFull(design, (SourceKind) source.kind(), shelf).stream(),
                                shelf.stream()
                                        .flatMap(entry ->
                                                candidate(
                                                        (SourceKind) source.kind(), entry, shelf))))
                .toList();
    }

    /** The coils that are there, where half of each turn goes unused, behind a full bridge. */
    private static Optional<Candidate> inFull(
            Design design, SourceKind fitted, List<PartsBook.Entry> shelf) {
        boolean half =
                design.parts().stream()
                        .anyMatch(part ->
                                part.kind() instanceof RegulatorRectifier kind
                                        && kind.bridge() == Bridge.HALF_WAVE);
        return fitted instanceof Flywheel kind && kind.winding() == Winding.SINGLE && half
                ? Optional.of(
                        new Candidate(
                                "full-wave",
                                Words.of("candidate.full"),
                                AnotherSource.inFull(kind),
                                rectifier(shelf, kind.winding())))
                : Optional.empty();
    }

    /** The same made for other volts than those of the vehicle it was looked up for. */
    public static Candidate made(Candidate candidate, Vehicle vehicle, Volts system) {
        double times = system.value() / vehicle.system().value();
        var kind =
                candidate.kind() instanceof Alternator of
                        ? new Alternator(
                                new Volts(of.setPoint().value() * times),
                                of.rated(),
                                of.field(),
                                of.pulleys(),
                                of.style(),
                                of.curve())
                        : candidate.kind();
        var with =
                candidate
                        .with()
                        .map(of ->
                                new RegulatorRectifier(
                                        of.bridge(), new Volts(of.setPoint().value() * times)));
        return new Candidate(candidate.id(), candidate.name(), kind, with);
    }

    private static Stream<Candidate> candidate(
            SourceKind fitted, PartsBook.Entry entry, List<PartsBook.Entry> shelf) {
        return switch (entry.kind()) {
            case Alternator kind when !(fitted instanceof Flywheel) ->
                    Stream.of(of(entry, kind, Optional.empty()));
            case Dynamo kind when fitted instanceof Dynamo ->
                    Stream.of(of(entry, kind, Optional.empty()));
            case Flywheel kind
                    when fitted instanceof Flywheel && kind.winding() != Winding.LIGHTING ->
                    Stream.of(of(entry, kind, rectifier(shelf, kind.winding())));
            default -> Stream.empty();
        };
    }

    private static Candidate of(
            PartsBook.Entry entry, SourceKind kind, Optional<RegulatorRectifier> with) {
        return new Candidate(entry.id(), entry.name() + ", " + entry.says(), kind, with);
    }

    /** What rectifies so many leads. */
    private static Optional<RegulatorRectifier> rectifier(
            List<PartsBook.Entry> shelf, Winding winding) {
        var bridge = winding == Winding.THREE_PHASE ? Bridge.THREE_PHASE : Bridge.FULL_WAVE;
        return shelf.stream()
                .map(PartsBook.Entry::kind)
                .filter(RegulatorRectifier.class::isInstance)
                .map(RegulatorRectifier.class::cast)
                .filter(kind -> kind.bridge() == bridge)
                .findFirst();
    }
}
