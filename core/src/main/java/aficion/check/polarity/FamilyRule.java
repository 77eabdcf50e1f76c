package aficion.check.polarity;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Gauges joined to a sender of another family: they lie. */
public final class FamilyRule implements EndsRule {
    private static final Pattern FAMILY = Pattern.compile("(\\d+)-(\\d+)");

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .flatMap(part ->
                        part.kind() instanceof LoadKind.Gauge gauge
                                ? gauge.family().stream()
                                        .flatMap(family -> others(design, part, family))
                                : Stream.empty());
    }

    private static Stream<Finding> others(Design design, Part gauge, String family) {
        return Stream.of("B", "T")
                .flatMap(pin -> Netlist.joined(design, gauge.terminal(pin)).stream())
                .map(terminal -> design.part(terminal.part()))
                .distinct()
                .flatMap(part ->
                        part.kind() instanceof JoinKind.Sender sender
                                ? sender.family().stream()
                                        .filter(made -> !made.equals(family))
                                        .map(made ->
                                                new Finding.FamiliesDiffer(
                                                        gauge.id(),
                                                        part.id(),
                                                        family,
                                                        made,
                                                        matched(part, sender, family)))
                                : Stream.empty());
    }

    /** A sender of the gauge's family, whose name gives its ends: {@code 240-33}. */
    private static List<Edit> matched(Part part, JoinKind.Sender sender, String family) {
        var ends = FAMILY.matcher(family);
        if (!ends.matches()) {
            return List.of();
        }
        var other =
                new JoinKind.Sender(
                        sender.level(),
                        ohms(ends.group(1)),
                        ohms(ends.group(2)),
                        Optional.empty(),
                        Optional.of(family));
        return List.of(new PartEdit.Refit(part.id(), other));
    }

    /** A sender never quite comes to nothing. */
    private static Ohms ohms(String text) {
        return new Ohms(Math.max(0.5, Double.parseDouble(text)));
    }
}
