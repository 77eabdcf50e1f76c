package aficion.check.earthing;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.Wire;
import aficion.job.WorkshopPractice;
import aficion.job.edit.PartEdit;
import aficion.size.Assessment;
import aficion.verb.Connection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Cases on the body that return through it where the house returns by wire. */
public final class WireReturnRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.rules().workBy(WorkshopPractice.WIRE_RETURN)
                ? design.parts().stream()
                        .filter(part -> part.kind().consumes() && isOnBody(design, part))
                        .flatMap(part -> found(design, part).stream())
                : Stream.empty();
    }

    private static boolean isOnBody(Design design, Part part) {
        return part.mount()
                .map(design::part)
                .filter(earth ->
                        earth.kind() instanceof JoinKind.EarthPoint point
                                && point.mass() == JoinKind.Mass.BODY)
                .isPresent();
    }

    /** What nothing leads to is found otherwise. */
    private static Optional<Finding> found(Design design, Part part) {
        var earth = design.part(part.mount().orElseThrow()).terminal("E");
        var casing = part.terminal(part.kind().casePin().orElseThrow());
        return design.wires().stream()
                .filter(wire ->
                        wire.terminals().stream().anyMatch(end -> end.part().equals(part.id())))
                .findFirst()
                .map(Wire::circuit)
                .map(circuit -> Connection.between(design, circuit, casing, earth))
                .map(wire -> new PartEdit.ReturnByWire(part.id(), wire))
                .map(edit -> new Finding.ReturnsByBody(part.id(), List.of(edit)));
    }
}
