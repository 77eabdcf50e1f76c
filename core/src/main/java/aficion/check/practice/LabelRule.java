package aficion.check.practice;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.Wire;
import aficion.job.edit.NewNames;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.stream.Stream;

/** Wires whose labels say the same as an earlier one's. */
public final class LabelRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var first = new HashMap<String, Wire>();
        var found = new ArrayList<Finding>();
        for (var wire : assessment.design().wires()) {
            var earlier = first.putIfAbsent(wire.number(), wire);
            if (earlier != null) {
                var free = NewNames.number(assessment.design(), wire.circuit());
                found.add(
                        new Finding.SameLabel(
                                wire.id(),
                                earlier.id(),
                                wire.number(),
                                List.of(new WireEdit.Renumber(wire.id(), free))));
            }
        }
        return found.stream();
    }
}
