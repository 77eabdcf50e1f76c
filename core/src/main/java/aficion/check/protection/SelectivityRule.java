package aficion.check.protection;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Part;
import aficion.size.Assessment;
import aficion.size.Guard;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A short behind a branch guard should open that one alone: what a main guard carries must be
 * {@value #APART} times what the branch guard carries, or more (typical, for guards of like kind).
 */
public final class SelectivityRule implements Rule {
    private static final double APART = 1.6;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.lasting(SelectivityRule.class, () -> found(assessment).toList()).stream();
    }

    private static Stream<Finding> found(Assessment assessment) {
        var before = feeding(assessment);
        return assessment.design().parts().stream()
                .flatMap(part ->
                        part.kind().seats().stream().map(seat -> Guard.Fitted.of(part, seat)))
                .flatMap(branch ->
                        before.getOrDefault(branch, Set.of()).stream()
                                .filter(main ->
                                        main.carries().value() < APART * branch.carries().value())
                                .map(main ->
                                        new Finding.NotSelective(
                                                branch.seat().part(), main.seat(), branch.seat())));
    }

    /** For each fuse those that guard the wire to its feed. */
    private static Map<Guard.Fitted, Set<Guard.Fitted>> feeding(Assessment assessment) {
        var design = assessment.design();
        var found = new HashMap<Guard.Fitted, Set<Guard.Fitted>>();
        for (Part part : design.parts()) {
            for (var seat : part.kind().seats()) {
                var fuse = Guard.Fitted.of(part, seat);
                var mains = new LinkedHashSet<Guard.Fitted>();
                var ends = new HashSet<>(design.wiresAt(part.terminal(seat.in())));
                ends.addAll(design.wiresAt(part.terminal(seat.out())));
                for (var wire : ends) {
                    if (assessment.guard(wire.id()) instanceof Guard.Guarded(var fuses)
                            && !fuses.contains(fuse)
                            && fuses.size() == 1) {
                        mains.addAll(fuses);
                    }
                }
                found.put(fuse, mains);
            }
        }
        return found;
    }
}
