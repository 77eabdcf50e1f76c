package aficion.check.sizing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WorstCase;
import aficion.verb.RelayInsertion;
import java.util.List;
import java.util.stream.Stream;

/** Switch and relay contacts that carry more than their rating. */
public final class ContactRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.design().parts().stream().flatMap(part -> contacts(assessment, part));
    }

    private static Stream<Finding> contacts(Assessment assessment, Part part) {
        return part.kind().passes().stream()
                .flatMap(pass ->
                        pass.rating().stream()
                                .flatMap(
                                        rating -> overload(assessment, part, pass.role(), rating)));
    }

    private static Stream<Finding> overload(
            Assessment assessment, Part part, String contact, Amps rating) {
        return assessment.worst().largest(part.id(), contact).stream()
                .filter(peak -> Math.abs(peak.amps().value()) > rating.value())
                .map(peak ->
                        new Finding.ContactOverloaded(
                                part.id(),
                                contact,
                                new Amps(Math.abs(peak.amps().value())),
                                rating,
                                remedies(assessment.design(), part, contact, peak)));
    }

    private static List<Edit> remedies(
            Design design, Part part, String contact, WorstCase.Peak peak) {
        if (!(part.kind() instanceof ControlKind.Switch)) {
            return List.of();
        }
        int dash = contact.indexOf('-');
        boolean forward = peak.amps().value() > 0;
        var in = part.terminal(forward ? contact.substring(0, dash) : contact.substring(dash + 1));
        var out = part.terminal(forward ? contact.substring(dash + 1) : contact.substring(0, dash));
        return feeds(design, in).stream()
                .flatMap(feed ->
                        leaving(design, out).stream()
                                .flatMap(load -> RelayInsertion.of(design, load, feed).stream()))
                .toList();
    }

    /** The only wire that brings current to a terminal; empty when there are more. */
    private static List<Wire> feeds(Design design, Terminal terminal) {
        var wires = design.wiresAt(terminal);
        return wires.size() == 1 ? wires : List.of();
    }

    private static List<Wire> leaving(Design design, Terminal terminal) {
        return design.wiresAt(terminal).stream()
                .filter(wire -> wire.from().terminal().equals(terminal))
                .limit(1)
                .toList();
    }
}
