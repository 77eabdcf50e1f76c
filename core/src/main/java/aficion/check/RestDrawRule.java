package aficion.check;

import aficion.job.Kind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import java.util.Set;
import java.util.stream.Stream;

/** What draws current with everything off: a clock by intent, a fan by mistake. */
final class RestDrawRule implements Rule {
    private static final double DRAWS = 0.05;
    private static final Set<String> ROLES =
            Set.of("body", "coil", "rest", "58", "54", "56a", "56b", "53", "53b");

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.worst().bases().stream()
                .filter(point -> point.conditions().equals(Conditions.REST))
                .limit(1)
                .flatMap(point ->
                        assessment.job().parts().stream()
                                .filter(part -> consumes(part.kind()))
                                .flatMap(part ->
                                        point.netlist().inside(part.id()).keySet().stream()
                                                .filter(ROLES::contains)
                                                .flatMap(role ->
                                                        point.through(part.id(), role).stream())
                                                .filter(amps -> Math.abs(amps.value()) > DRAWS)
                                                .limit(1)
                                                .map(amps -> finding(part, amps))));
    }

    private static boolean consumes(Kind kind) {
        return kind.consumes();
    }

    private static Finding finding(Part part, Amps amps) {
        return new Finding.DrawsAtRest(part.id(), new Amps(Math.abs(amps.value())));
    }
}
