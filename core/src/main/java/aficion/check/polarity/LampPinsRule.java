package aficion.check.polarity;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Lamps whose two filaments are fed the other way round than those of their like: the one is named
 * that works as the other's number says, or agrees less with the numbers of what feeds it. And
 * lamps whose two filaments, motors whose two speeds bare metal feeds together: stop and tail, main
 * and dip, slow and fast tell nothing apart then.
 */
public final class LampPinsRule implements Rule {
    private static final List<String> SPEEDS = List.of("53", "53b");

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        var lamps = design.parts().stream().filter(part -> pins(part).size() == 2).toList();
        return Stream.concat(
                        design.parts().stream().flatMap(part -> together(assessment, part)),
                        lamps.stream()
                                .flatMap(lamp ->
                                        lamps.stream()
                                                .filter(other -> pins(other).equals(pins(lamp)))
                                                .filter(other ->
                                                        lamps.indexOf(other) > lamps.indexOf(lamp))
                                                .flatMap(other ->
                                                        crossed(assessment, lamp, other).stream())))
                .distinct();
    }

    private static Stream<Finding> together(Assessment assessment, Part part) {
        var fed = part.kind() instanceof LoadKind.TwoSpeedMotor ? SPEEDS : pins(part);
        if (fed.size() != 2) {
            return Stream.empty();
        }
        var one = part.terminal(fed.getFirst());
        var two = part.terminal(fed.getLast());
        var netlist = assessment.netlist();
        return assessment.worst().metal().alwaysJoins(netlist.node(one), netlist.node(two))
                ? Stream.of(
                        new PathFinding.FedTogether(
                                part.id(),
                                one.pin(),
                                two.pin(),
                                Exchanges.parted(assessment.design(), one, two)))
                : Stream.empty();
    }

    private static List<String> pins(Part part) {
        return part.kind() instanceof LoadKind.Lamp(_, var filaments)
                ? filaments.stream().map(LoadKind.Filament::pin).toList()
                : List.of();
    }

    private static Optional<Finding> crossed(Assessment assessment, Part lamp, Part other) {
        var design = assessment.design();
        var one = pins(lamp).getFirst();
        var two = pins(lamp).getLast();
        boolean crossed =
                Netlist.joined(design, lamp.terminal(one)).contains(other.terminal(two))
                        && Netlist.joined(design, lamp.terminal(two)).contains(other.terminal(one));
        if (!crossed) {
            return Optional.empty();
        }
        var workings = Workings.of(assessment);
        return Stream.of(other, lamp)
                .min(
                        Comparator.comparing(
                                        (Part each) -> !workings.tally(each, one, two).isCrossed())
                                .thenComparing(each -> agreement(design, each)))
                .map(wrong ->
                        new PathFinding.FilamentsExchanged(
                                wrong.id(), one, two, Exchanges.feeds(design, wrong, one, two)));
    }

    /** How many terminals of the same number its filaments meet. */
    private static long agreement(Design design, Part lamp) {
        return pins(lamp).stream()
                .mapToLong(pin ->
                        Netlist.joined(design, lamp.terminal(pin)).stream()
                                .map(Terminal::pin)
                                .filter(pin::equals)
                                .count())
                .sum();
    }
}
