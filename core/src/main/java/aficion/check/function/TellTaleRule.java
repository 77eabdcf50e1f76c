package aficion.check.function;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.PathFinding.Tale;
import aficion.check.finding.Quiet;
import aficion.check.finding.Rule;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Ratio;
import aficion.size.Assessment;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import aficion.verb.OtherSide.Side;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Warning lamps that do not tell what their name says. Of main beam: lit while a headlamp is on and
 * main beam is not, fed before the dip switch or from dip beam. Of the signals of a side: lit while
 * none of its side is. Of the charge: lit with everything off or while the battery is charged, or
 * dark with the key on and the engine still.
 */
public final class TellTaleRule implements Rule {
    private static final List<Telling> TELLING =
            List.of(
                    new Telling("(main|high)[ -]?beam", TellTaleRule::ofBeam),
                    new Telling("charg(e|ing)|generator|dynamo|alternator", TellTaleRule::ofCharge),
                    new Telling("(signal|turn|indicator|flasher)s?", TellTaleRule::ofSide));

    private static final String MAIN = "56a";
    private static final String DIP = "56b";
    private static final double LIT = 0.3;

    @Override
    public Stream<Finding> check(Assessment assessment) {
        return Quiet.found(
                assessment,
                TellTaleRule.class,
                sight(assessment),
                List.<Finding>of(),
                () -> found(assessment).toList())
                .stream();
    }

    /** What gets what it wants in which states, and what else its lamps are held against. */
    private static Object sight(Assessment assessment) {
        var netlist = assessment.netlist();
        var telling = Wants.of(assessment).stream().filter(TellTaleRule::tells).toList();
        return List.of(
                Wants.sight(assessment),
                telling.stream().map(want -> want.met(assessment)).toList(),
                Quiet.volts(
                        assessment,
                        Stream.of(DIP, MAIN)
                                .flatMapToInt(number -> IntStream.of(filaments(netlist, number)))
                                .mapToObj(branch -> litAcross(netlist, branch))
                                .toList()),
                assessment.worst().bases().stream()
                        .map(base ->
                                List.of(
                                        base.conditions(),
                                        Supply.of(base).charges(),
                                        telling.stream().map(want -> want.metIn(base)).toList()))
                        .toList());
    }

    /** The volts from which a filament is lit. */
    private static Quiet.Across litAcross(Netlist netlist, int branch) {
        var filament = (Branch.Filament) netlist.branch(branch, Conditions.REST);
        return new Quiet.Across(
                netlist.a(branch),
                netlist.b(branch),
                OperatingPoint.volts(filament, new Ratio(LIT)).value());
    }

    private static Stream<Finding> found(Assessment assessment) {
        return Wants.of(assessment).stream()
                .filter(TellTaleRule::tells)
                .flatMap(want ->
                        TELLING.stream()
                                .filter(telling -> telling.isNamed(want.part()))
                                .limit(1)
                                .flatMap(telling -> telling.asked.apply(assessment, want)));
    }

    private static boolean tells(Wants want) {
        return want.part().kind() instanceof LoadKind.WarningLamp
                || want.part().kind() instanceof LoadKind.LedLamp;
    }

    /** What lamps of a name are asked. */
    private record Telling(Pattern name, BiFunction<Assessment, Wants, Stream<Finding>> asked) {
        Telling(String words, BiFunction<Assessment, Wants, Stream<Finding>> asked) {
            this(Pattern.compile("\\b(" + words + ")\\b", Pattern.CASE_INSENSITIVE), asked);
        }

        boolean isNamed(Part part) {
            return name.matcher(part.name()).find();
        }
    }

    private static Stream<Finding> ofBeam(Assessment assessment, Wants want) {
        return dippedWith(assessment, want)
                .map(point -> wrong(want, Tale.MAIN_BEAM, point, moved(assessment, want)))
                .stream();
    }

    /** A state in which it is lit while dip beam is and main beam is not. */
    private static Optional<OperatingPoint> dippedWith(Assessment assessment, Wants want) {
        int[] dip = filaments(assessment.netlist(), DIP);
        int[] main = filaments(assessment.netlist(), MAIN);
        int lamp = want.branch(assessment.netlist());
        return assessment.worst().points().stream()
                .filter(point -> want.metBy(point, lamp))
                .filter(point -> isAnyLit(point, dip) && !isAnyLit(point, main))
                .findFirst();
    }

    private static Stream<Finding> ofSide(Assessment assessment, Wants want) {
        return Side.ofName(want.part().name()).stream()
                .map(side -> lamps(assessment, side == Side.LEFT ? "L" : "R"))
                .filter(lamps -> !lamps.isEmpty())
                .flatMap(lamps ->
                        assessment.worst().points().stream()
                                .filter(point -> !isHeld(assessment, point))
                                .filter(want::metIn)
                                .filter(point ->
                                        lamps.stream().noneMatch(each -> each.metIn(point)))
                                .limit(1))
                .map(point -> wrong(want, Tale.SIDE, point, List.of()));
    }

    private static List<Wants> lamps(Assessment assessment, String pin) {
        return Wants.of(assessment).stream()
                .filter(each -> each.part().kind() instanceof LoadKind.Lamp)
                .filter(each -> each.role().equals(pin))
                .toList();
    }

    private static Stream<Finding> ofCharge(Assessment assessment, Wants want) {
        var controls = assessment.netlist().controls();
        var points = assessment.worst().bases();
        if (controls.key().isEmpty() || !want.met(assessment)) {
            return Stream.empty();
        }
        var lit =
                points.stream()
                        .filter(want::metIn)
                        .filter(point -> isCharging(controls, point) || isParked(controls, point))
                        .findFirst();
        var still = points.stream().filter(point -> isAwake(controls, point)).toList();
        return lit.isPresent()
                ? lit.stream().map(point -> wrong(want, Tale.CHARGE_LIT, point, List.of()))
                : still.stream()
                        .filter(_ -> still.stream().noneMatch(want::metIn))
                        .limit(1)
                        .map(point -> wrong(want, Tale.CHARGE_DARK, point, List.of()));
    }

    private static boolean isCharging(Controls controls, OperatingPoint point) {
        return point.conditions().engine().value() > 0
                && !OperatingStates.isOff(controls, point.conditions())
                && Supply.of(point).charges();
    }

    private static boolean isParked(Controls controls, OperatingPoint point) {
        return point.conditions().engine().value() == 0
                && OperatingStates.isOff(controls, point.conditions());
    }

    /** With the key on and the engine still, with nothing held. */
    private static boolean isAwake(Controls controls, OperatingPoint point) {
        return point.conditions().engine().value() == 0
                && !OperatingStates.isOff(controls, point.conditions())
                && !OperatingStates.isHeld(controls, point.conditions());
    }

    /** A starter that turns leaves too few volts to tell what is lit. */
    private static boolean isHeld(Assessment assessment, OperatingPoint point) {
        return OperatingStates.isHeld(assessment.netlist().controls(), point.conditions());
    }

    private static Finding wrong(Wants want, Tale tale, OperatingPoint point, List<Edit> remedies) {
        return new PathFinding.TellsWrongly(want.part().id(), tale, point.conditions(), remedies);
    }

    /** The filaments of a number in lamps, by their branches. */
    private static int[] filaments(Netlist netlist, String number) {
        return netlist.design().parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.Lamp)
                .flatMap(part -> Stream.ofNullable(netlist.inside(part.id()).get(number)))
                .mapToInt(branch -> branch)
                .toArray();
    }

    private static boolean isAnyLit(OperatingPoint point, int[] filaments) {
        for (int branch : filaments) {
            if (point.light(branch).filter(light -> light.value() > LIT).isPresent()) {
                return true;
            }
        }
        return false;
    }

    /** Its feed, led to main beam of the switch that it comes from. */
    private static List<Edit> moved(Assessment assessment, Wants want) {
        var design = assessment.design();
        var feed = want.part().terminal(want.feed());
        return design.wiresAt(feed).stream()
                .flatMap(wire -> {
                    var from = wire.beyond(feed).terminal();
                    var part = design.part(from.part());
                    return part.kind().pins().contains(MAIN) && !from.pin().equals(MAIN)
                            ? Stream.<Edit>of(WireEdit.MoveEnd.of(wire, from, part.terminal(MAIN)))
                            : Stream.empty();
                })
                .limit(1)
                .toList();
    }
}
