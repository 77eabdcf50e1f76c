package aficion.check;

import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.School;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.size.Assessment;
import aficion.verb.Connection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Cases on the body that return through it where the house returns by wire. */
final class WireReturnRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        return job.rules().workBy(School.WIRE_RETURN)
                ? job.parts().stream()
                        .filter(part -> part.kind().consumes() && isOnBody(job, part))
                        .flatMap(part -> found(job, part).stream())
                : Stream.empty();
    }

    private static boolean isOnBody(Job job, Part part) {
        return part.mount()
                .map(job::part)
                .filter(earth ->
                        earth.kind() instanceof JoinKind.EarthPoint point
                                && point.mass() == JoinKind.Mass.BODY)
                .isPresent();
    }

    /** What nothing leads to is found otherwise. */
    private static Optional<Finding> found(Job job, Part part) {
        var earth = job.part(part.mount().orElseThrow()).terminal("E");
        var casing = part.terminal(part.kind().casePin().orElseThrow());
        return job.wires().stream()
                .filter(wire ->
                        wire.terminals().stream().anyMatch(end -> end.part().equals(part.id())))
                .findFirst()
                .map(Wire::circuit)
                .map(circuit -> Connection.between(job, circuit, casing, earth))
                .map(wire -> new Edit.ReturnByWire(part.id(), wire))
                .map(edit -> new Finding.ReturnsByBody(part.id(), List.of(edit)));
    }
}
