package aficion.bench;

import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is done once it is known what was wrong. */
public final class AfterFind {
    private AfterFind() {}

    /** The run with what was found in it noted. */
    public static BenchRun noted(
            Design design, BenchRun run, Fault fault, String words, Instant at) {
        return run.with(
                new Reading(
                        RunReadings.FOUND + Notation.of(design, fault),
                        Optional.empty(),
                        Optional.empty(),
                        Verdict.FAIL,
                        at,
                        Optional.of(words)));
    }

    /**
     * The run that proves the mending: what was right before and is not about what was mended is
     * kept, all else is read again.
     *
     * @param faults that were mended
     */
    public static BenchRun mended(
            Design design, BenchPlan plan, BenchRun run, List<Fault> faults, Instant at) {
        var touched =
                faults.stream().flatMap(fault -> fault.parts(design)).collect(Collectors.toSet());
        var begun = at.isAfter(run.begun()) ? at : run.begun().plusMillis(1);
        var next = BenchRun.begun(run.circuit(), run.setting(), run.by(), begun);
        for (var step : plan.steps()) {
            var right =
                    run.reading(step.key())
                            .filter(reading -> reading.verdict() == Verdict.PASS)
                            .filter(reading -> !Against.isStale(design, step, reading))
                            .filter(_ -> !isAbout(design, step.task().about(), touched));
            next = right.map(next::with).orElse(next);
        }
        return next;
    }

    private static boolean isAbout(Design design, TestStep.Subject about, Set<PartId> touched) {
        var parts =
                switch (about) {
                    case TestStep.Subject.OfWire(var wire) ->
                            design.wire(wire).terminals().stream().map(at -> at.part());
                    case TestStep.Subject.OfPart(var part) -> Stream.of(part);
                    case TestStep.Subject.OfTerminal(var at) -> Stream.of(at.part());
                };
        return parts.anyMatch(touched::contains);
    }

    /**
     * The edit that has the job say what was built, where that may stay: leads that sit the other
     * way round, another lamp. Empty for what has to be mended.
     */
    public static Optional<Edit> asBuilt(Design design, Fault fault) {
        return switch (fault) {
            case Fault.Exchanged(var one, var other) when one.part().equals(other.part()) ->
                    Optional.of(new PartEdit.Exchange(one.part(), one.pin(), other.pin()));
            case Fault.Another(var part, var kind)
                    when design.part(part).kind() instanceof LoadKind.Lamp ->
                    Optional.of(new PartEdit.Refit(part, kind));
            case Fault.OfWire _,
                    Fault.Exchanged _,
                    Fault.Touching _,
                    Fault.EarthLost _,
                    Fault.PoorEarth _,
                    Fault.Blown _,
                    Fault.DeadCoil _,
                    Fault.Stuck _,
                    Fault.Burnt _,
                    Fault.Dead _,
                    Fault.DeadPart _,
                    Fault.Another _ ->
                    Optional.empty();
        };
    }
}
