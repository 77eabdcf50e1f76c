package aficion.sweep;

import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.netlist.Branch;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.solve.Network;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/** What works on a vehicle, and how its current before a fault compares with that after. */
final class LoadBaseline {
    /** Below this share of its rated current a thing is off. */
    private static final double OFF = 0.05;

    /** From this share on it runs. */
    private static final double RUNS = 0.3;

    private static final double GLOWS = 0.35;
    private static final double DARK = 0.25;
    private static final double WEAK = 0.9;
    private static final double MOVED = 0.1;

    /** A needle below this share of its scale lies at rest. */
    private static final double DEAD = 0.05;

    private final List<Work> works = new ArrayList<>();
    private final double[] before;

    private record Work(PartId part, String role, int branch, double rated, Sort sort) {}

    private enum Sort {
        RUNS,
        LIGHTS,
        POINTS
    }

    LoadBaseline(Netlist netlist, Network network) {
        double nominal = netlist.design().vehicle().system().value();
        for (var part : netlist.design().parts()) {
            netlist.inside(part.id())
                    .forEach((role, branch) -> {
                        switch (network.branch(branch)) {
                            case Branch.Filament lamp ->
                                    add(part, role, branch, lamp.ratedAmps(), Sort.LIGHTS);
                            case Branch.Motor motor ->
                                    add(part, role, branch, motor.ratedAmps(), Sort.RUNS);
                            case Branch.Warming warm ->
                                    add(part, role, branch, nominal / warm.ohms(), Sort.RUNS);
                            default -> {
                                if (role.equals("body")) {
                                    body(part, branch, nominal);
                                }
                            }
                        }
                    });
        }
        before = new double[works.size()];
    }

    private void body(Part part, int branch, double nominal) {
        switch (part.kind()) {
            case LoadKind.Load load ->
                    add(
                            part,
                            "body",
                            branch,
                            load.rated().value() / load.resistance().value(),
                            Sort.RUNS);
            case LoadKind.LedLamp(var rated, var watts) ->
                    add(part, "body", branch, watts.value() / rated.value(), Sort.LIGHTS);
            case LoadKind.Buzzer(_, var draws) ->
                    add(part, "body", branch, draws.value(), Sort.RUNS);
            case LoadKind.Gauge gauge ->
                    add(part, "body", branch, gauge.fullScale().value(), Sort.POINTS);
            case LoadKind.IgnitionCoil(var primary, _, _) ->
                    add(part, "body", branch, nominal / primary.value(), Sort.RUNS);
            case SourceKind _,
                    GuardKind _,
                    ControlKind _,
                    LoadKind.Lamp _,
                    LoadKind.WarningLamp _,
                    LoadKind.Motor _,
                    LoadKind.WiperMotor _,
                    LoadKind.TwoSpeedMotor _,
                    LoadKind.Starter _,
                    LoadKind.Ammeter _,
                    LoadKind.Voltmeter _,
                    LoadKind.Heater _,
                    LoadKind.Magneto _,
                    JoinKind _ -> {}
        }
    }

    private void add(Part part, String role, int branch, double rated, Sort sort) {
        works.add(new Work(part.id(), role, branch, rated, sort));
    }

    /** Remembers what everything takes before the faults. */
    void remember(Network network) {
        for (int i = 0; i < before.length; i++) {
            before[i] = share(network::amps, i);
        }
    }

    private double share(IntToDoubleFunction amps, int i) {
        var work = works.get(i);
        return Math.abs(amps.applyAsDouble(work.branch())) / work.rated();
    }

    /** Whether a needle has moved with those amps in the branches, to rest or elsewhere. */
    boolean moved(IntToDoubleFunction amps) {
        for (int i = 0; i < before.length; i++) {
            if (works.get(i).sort() == Sort.POINTS
                    && Math.abs(share(amps, i) - before[i]) > MOVED) {
                return true;
            }
        }
        return false;
    }

    /** What has become of everything, with those amps in the branches. */
    void compare(IntToDoubleFunction amps, List<Consequence> found) {
        for (int i = 0; i < before.length; i++) {
            double was = before[i];
            double is = share(amps, i);
            if (Math.abs(is - was) < 0.01) {
                continue;
            }
            var work = works.get(i);
            switch (work.sort()) {
                case POINTS -> {
                    if (is < DEAD) {
                        found.add(new Consequence.GoesDark(work.part(), work.role()));
                    } else if (Math.abs(is - was) > MOVED) {
                        found.add(
                                new Consequence.Moves(work.part(), new Ratio(was), new Ratio(is)));
                    }
                }
                case RUNS, LIGHTS -> {
                    if (was > OFF && is < DARK * was) {
                        found.add(new Consequence.GoesDark(work.part(), work.role()));
                    } else if (was > OFF && is < WEAK * was) {
                        found.add(
                                new Consequence.Weakens(
                                        work.part(), work.role(), new Ratio(is / was)));
                    }
                }
            }
        }
    }

    /** What runs or glows with those amps in the branches that did not before. */
    void awakened(IntToDoubleFunction amps, List<Consequence> found) {
        for (int i = 0; i < before.length; i++) {
            var work = works.get(i);
            double is = share(amps, i);
            if (before[i] >= OFF || is < before[i] + OFF) {
                continue;
            }
            if (work.sort() == Sort.RUNS && is > RUNS) {
                found.add(
                        new Consequence.RunsByItself(
                                work.part(), work.role(), new Amps(is * work.rated())));
            } else if (work.sort() == Sort.LIGHTS && is > GLOWS) {
                found.add(new Consequence.Glows(work.part(), work.role(), new Ratio(is)));
            }
        }
    }
}
