package aficion.check.practice;

import aficion.job.Terminal;
import aficion.size.Assessment;
import java.util.List;

/** The terminals at which several wires end, in the order of parts and pins. */
record Shared(List<Terminal> terminals) {
    static List<Terminal> terminals(Assessment assessment) {
        return assessment.lasting(Shared.class, () -> of(assessment)).terminals;
    }

    private static Shared of(Assessment assessment) {
        var design = assessment.design();
        return new Shared(
                design.parts().stream()
                        .flatMap(part -> part.terminals().stream())
                        .filter(terminal -> design.wiresAt(terminal).size() > 1)
                        .toList());
    }
}
