package aficion.desktop.workbench;

import aficion.check.finding.Subject;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.route.RunId;
import aficion.route.StationId;

/** What is chosen. */
public sealed interface Selection {

    record Nothing() implements Selection {}

    record OfWire(WireId wire) implements Selection {}

    record OfPart(PartId part) implements Selection {}

    record OfTerminal(Terminal terminal) implements Selection {}

    record OfRun(RunId run) implements Selection {}

    record OfStation(StationId station) implements Selection {}

    /** What to choose to see what a finding is about. */
    static Selection of(Subject subject) {
        return switch (subject) {
            case Subject.OfWire(var wire) -> new OfWire(wire);
            case Subject.OfPart(var part) -> new OfPart(part);
            case Subject.OfTerminal(var terminal) -> new OfTerminal(terminal);
            case Subject.OfStation(var station) -> new OfStation(station);
        };
    }

    /** The name it goes by: a wire's identity, a part or a terminal; nothing is empty. */
    default String place() {
        return switch (this) {
            case Nothing() -> "";
            case OfWire(var wire) -> wire.value();
            case OfPart(var part) -> part.value();
            case OfTerminal(var terminal) -> terminal.toString();
            case OfRun(var run) -> run.toString();
            case OfStation(var station) -> station.value();
        };
    }

    /** Whether a job still has it. */
    default boolean isIn(Design design) {
        return switch (this) {
            case Nothing() -> true;
            case OfWire(var wire) -> design.find(wire).isPresent();
            case OfPart(var part) -> design.find(part).isPresent();
            case OfRun(var run) ->
                    design.body().filter(body -> body.plan().find(run).isPresent()).isPresent();
            case OfStation(var station) ->
                    design.body().filter(body -> body.plan().find(station).isPresent()).isPresent();
            case OfTerminal(var terminal) ->
                    design.find(terminal.part())
                            .filter(part -> part.kind().pins().contains(terminal.pin()))
                            .isPresent();
        };
    }
}
