package aficion.check.function;

import aficion.check.finding.Quiet;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.netlist.Branch;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a part has to get in some state to be of any use: so many volts across one of its branches.
 *
 * @param feed the pin it is fed at
 * @param back the pin it returns at
 */
public record Wants(Part part, String role, double volts, String feed, String back) {
    /** The share of its rated volts below which a thing does nothing to speak of. */
    private static final double LEAST = 0.3;

    /** The share of the system's volts that a coil at its points sees, be it behind a ballast. */
    private static final double COIL = 0.2;

    /** The same where there is a quick electronic box. */
    private static final double COIL_AT_BOX = 0.02;

    /** By which it is kept across what all of a design want their volts. */
    private static final Object ACROSS = new Object();

    /** What the parts of a design want, those without a wire at their feed left out. */
    public static List<Wants> of(Assessment assessment) {
        return assessment.lasting(Wants.class, () -> of(assessment.design()));
    }

    private static List<Wants> of(Design design) {
        return design.parts().stream()
                .flatMap(part -> of(design, part))
                .filter(want -> !design.wiresAt(want.part.terminal(want.feed)).isEmpty())
                .toList();
    }

    private static Stream<Wants> of(Design design, Part part) {
        double system = design.vehicle().system().value();
        return switch (part.kind()) {
            case LoadKind.Lamp(var test, var filaments) ->
                    filaments.stream()
                            .map(filament ->
                                    want(part, filament.pin(), test.value(), filament.pin()));
            case LoadKind.WarningLamp lamp ->
                    Stream.of(new Wants(part, "1", LEAST * lamp.test().value(), "1", "2"));
            case LoadKind.LedLamp lamp -> Stream.of(want(part, "body", lamp.rated().value(), "+"));
            case LoadKind.Buzzer buzzer -> Stream.of(want(part, "+", buzzer.rated().value(), "+"));
            case LoadKind.Motor motor -> Stream.of(want(part, "body", motor.rated().value(), "+"));
            case LoadKind.WiperMotor motor ->
                    Stream.of(want(part, "body", motor.rated().value(), "53"));
            case LoadKind.TwoSpeedMotor motor ->
                    Stream.of("53", "53b").map(pin -> want(part, pin, motor.rated().value(), pin));
            case LoadKind.Starter _ -> Stream.of(want(part, "motor", 0.5 * system, "30"));
            case LoadKind.IgnitionCoil _ -> coil(design, part, system);
            case LoadKind.Load load -> Stream.of(want(part, "body", load.rated().value(), "+"));
            case LoadKind.Heater _ -> Stream.of(want(part, "body", system, "+"));
            case LoadKind.Voltmeter _ -> Stream.of(want(part, "body", system, "+"));
            case LoadKind.Gauge(var winding, var full, _, _) ->
                    Stream.of(
                            new Wants(
                                    part, "body", 0.1 * winding.value() * full.value(), "B", "T"));
            case ControlKind.Relay relay ->
                    Stream.of(
                            new Wants(
                                    part,
                                    "coil",
                                    relay.pickUp().value() * relay.rated().value(),
                                    "86",
                                    "85"));
            case ControlKind.LatchingRelay relay ->
                    Stream.of(want(part, "set", 2 * relay.rated().value(), "S"));
            case ControlKind.Module module ->
                    Stream.of(want(part, "rest", module.rated().value(), "15"));
            case ControlKind.IgnitionBox box ->
                    Stream.of(
                            want(
                                    part,
                                    box.form() == ControlKind.IgnitionBox.Form.DISCHARGE
                                            ? "body"
                                            : "rest",
                                    system,
                                    "15"));
            case SourceKind _,
                    GuardKind _,
                    ControlKind.Switch _,
                    ControlKind.LevelSwitch _,
                    ControlKind.Flasher _,
                    ControlKind.Points _,
                    LoadKind.Ammeter _,
                    LoadKind.Magneto _,
                    JoinKind _ ->
                    Stream.empty();
        };
    }

    private static Wants want(Part part, String role, double rated, String feed) {
        return new Wants(part, role, LEAST * rated, feed, "31");
    }

    /** Behind a box a coil sees volts for a moment; a discharge box makes its current itself. */
    private static Stream<Wants> coil(Design design, Part part, double system) {
        boolean charged =
                Stream.of("15", "1")
                        .flatMap(pin -> Netlist.joined(design, part.terminal(pin)).stream())
                        .map(terminal -> design.part(terminal.part()).kind())
                        .anyMatch(kind ->
                                kind instanceof ControlKind.IgnitionBox box
                                        && box.form() == ControlKind.IgnitionBox.Form.DISCHARGE);
        boolean boxed =
                design.parts().stream()
                        .anyMatch(each -> each.kind() instanceof ControlKind.IgnitionBox);
        return charged
                ? Stream.empty()
                : Stream.of(
                        new Wants(part, "body", (boxed ? COIL_AT_BOX : COIL) * system, "15", "1"));
    }

    /** Whether it gets it in some state. */
    boolean met(Assessment assessment) {
        return assessment
                .worst()
                .volts(part.id(), role)
                .filter(span -> span.largest() >= volts)
                .isPresent();
    }

    /** Whether it gets it in a state. */
    public boolean metIn(OperatingPoint point) {
        return metBy(point, branch(point.netlist()));
    }

    /** The same, where it is known which branch is asked, or that there is none. */
    boolean metBy(OperatingPoint point, int branch) {
        return branch != Branch.NONE && Math.abs(point.branchVolts(branch)) >= volts;
    }

    /** What a rule sees that asks which parts get what they want in which states. */
    static Object sight(Assessment assessment) {
        return assessment.once(Wants.class, () -> seen(assessment));
    }

    private static Object seen(Assessment assessment) {
        List<Quiet.Across> asked =
                assessment.lasting(
                        ACROSS,
                        () ->
                                of(assessment).stream()
                                        .flatMap(want -> want.across(assessment.netlist()))
                                        .toList());
        return Quiet.volts(assessment, asked);
    }

    private Stream<Quiet.Across> across(Netlist netlist) {
        int branch = branch(netlist);
        return branch == Branch.NONE
                ? Stream.empty()
                : Stream.of(new Quiet.Across(netlist.a(branch), netlist.b(branch), volts));
    }

    /** The branch that is asked; {@link Branch#NONE} where there is none. */
    int branch(Netlist netlist) {
        return netlist.inside(part.id()).getOrDefault(role, Branch.NONE);
    }

    Terminal feedEnd() {
        return part.terminal(feed);
    }

    Terminal backEnd() {
        return part.terminal(back);
    }
}
