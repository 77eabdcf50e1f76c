package aficion.files;

import aficion.job.Design;
import aficion.netlist.Branch;
import aficion.solve.OperatingPoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;

/**
 * An operating point as a SPICE netlist, so that any general circuit solver can check our sums: the
 * state is frozen (contacts, fuses, regions of sources, settled resistances), lamps, motors and
 * diodes are laws, so that their volts and amps are found anew.
 *
 * <p>Node 0 is the vehicle's earth, every other node is {@code n} and its number. A comment {@code
 * * terminal H1.56b node n42} stands for every terminal, with {@code floating} after it where it
 * has no way to earth; such an island is held by 1 GΩ. The last line is {@code .op}.
 */
public final class SpiceNetlist {
    /** Temperature of 300 K, at which {@link Branch.Rectifier} states its thermal volts. */
    private static final double THERMAL = 1.380649e-23 * 300 / 1.602176634e-19;

    private final OperatingPoint point;
    private final StringBuilder text = new StringBuilder();

    private SpiceNetlist(OperatingPoint point) {
        this.point = point;
    }

    /** The netlist, lines ended by a line feed. */
    public static String of(OperatingPoint point) {
        var netlist = new SpiceNetlist(point);
        netlist.write();
        return netlist.text.toString();
    }

    private void write() {
        var design = point.netlist().design();
        line("* %s", design.vehicle().name().replaceAll("\\R", " "));
        line("* %s", point.conditions());
        terminals(design);
        for (int i = 0; i < point.netlist().size(); i++) {
            if (point.conducts(i)) {
                branch(i);
            }
        }
        islands();
        line(".options temp=26.85 tnom=26.85 reltol=1e-7 abstol=1e-13 vntol=1e-10 gmin=1e-15");
        line(".op");
    }

    private void terminals(Design design) {
        for (var part : design.parts()) {
            for (var terminal : part.terminals()) {
                int node = point.netlist().node(terminal);
                line(
                        "* terminal %s node %s%s",
                        terminal, node(node), point.floats(node) ? " floating" : "");
            }
        }
    }

    private void branch(int i) {
        var branch = point.branch(i);
        switch (branch) {
            case Branch.Resistance(_, _, var ohms) -> resistor(i, ohms);
            case Branch.Contact(_, _, var ohms, _) -> resistor(i, ohms);
            case Branch.Driven(_, _, var ohms, _) -> resistor(i, ohms);
            case Branch.Blinker(_, _, var ohms, _) -> resistor(i, ohms);
            case Branch.Warming(_, _, var ohms, _, _) -> resistor(i, ohms);
            case Branch.FuseBranch fuse -> resistor(i, fuse.ohms());
            case Branch.ControlledResistance _ -> resistor(i, point.settled(i));
            case Branch.Filament lamp -> filament(i, lamp);
            case Branch.Motor motor -> motor(i, motor);
            case Branch.Rectifier(_, _, var saturation, var thermal, _) -> {
                line("D%d %s m%d", i, ends(i), i);
                line(".model m%d D(IS=%s N=%s)", i, saturation, thermal / THERMAL);
                resistor(i, 1 / Branch.Rectifier.LEAK);
            }
            case Branch.Source source -> {
                double emf = source.sense().isPresent() ? point.settled(i) : source.emf();
                behind(i, emf, point.branchVolts(i) > emf ? source.filling() : source.ohms());
            }
            case Branch.Limited source -> limited(i, source);
            case Branch.Capacitance(_, _, var farads) -> line("C%d %s %s", i, ends(i), farads);
        }
    }

    private void resistor(int i, double ohms) {
        line("R%d %s %s", i, ends(i), ohms);
    }

    private void behind(int i, double emf, double ohms) {
        line("V%d %s x%d %s", i, node(point.branch(i).a()), i, emf);
        line("R%d x%d %s %s", i, i, node(point.branch(i).b()), ohms);
    }

    private void limited(int i, Branch.Limited source) {
        double volts = source.sign() * point.branchVolts(i);
        double emf = point.settled(i);
        if (volts >= emf) {
            resistor(i, 1e9);
        } else if (volts > emf - source.limit() * source.ohms()) {
            behind(i, source.sign() * emf, source.ohms());
        } else {
            line(
                    "I%d %s %s %s",
                    i, node(source.b()), node(source.a()), source.sign() * source.limit());
        }
    }

    private void filament(int i, Branch.Filament lamp) {
        var volts = volts(i);
        line(
                "B%d %s I = abs(%s) < %s ? %s/%s : sgn(%s)*%s*(abs(%s)/%s)^%s",
                i,
                ends(i),
                volts,
                lamp.knee(),
                volts,
                lamp.coldOhms(),
                volts,
                lamp.ratedAmps(),
                volts,
                lamp.ratedVolts(),
                Branch.Filament.POWER);
    }

    /** The speed solves a·s² + b·s = |V| − knee; the current follows from the speed. */
    private void motor(int i, Branch.Motor motor) {
        double load = (1 - Branch.Motor.FRICTION) * motor.ratedAmps();
        double square = load * (1 - Branch.Motor.VISCOUS) * motor.stall();
        double linear = load * Branch.Motor.VISCOUS * motor.stall() + motor.backEmf();
        var volts = volts(i);
        var over = "max(abs(%s)-%s,0)".formatted(volts, motor.knee());
        var speed =
                "(2*%s/(%s+sqrt(%s+%s*%s)))"
                        .formatted(over, linear, linear * linear, 4 * square, over);
        line(
                "B%d %s I = abs(%s) <= %s ? %s/%s : sgn(%s)*(%s+%s*%s+%s*%s*%s)",
                i,
                ends(i),
                volts,
                motor.knee(),
                volts,
                motor.stall(),
                volts,
                Branch.Motor.FRICTION * motor.ratedAmps(),
                load * Branch.Motor.VISCOUS,
                speed,
                load * (1 - Branch.Motor.VISCOUS),
                speed,
                speed);
    }

    private String volts(int i) {
        return "V(%s,%s)".formatted(node(point.branch(i).a()), node(point.branch(i).b()));
    }

    private String ends(int i) {
        return node(point.branch(i).a()) + " " + node(point.branch(i).b());
    }

    private static String node(int node) {
        return node == 0 ? "0" : "n" + node;
    }

    /** One resistor to earth for each floating island, at its lowest node. */
    private void islands() {
        var netlist = point.netlist();
        var island = new TreeMap<Integer, List<Integer>>();
        var leader = new int[netlist.nodes()];
        for (int node = 0; node < leader.length; node++) {
            leader[node] = node;
            island.put(node, new ArrayList<>(List.of(node)));
        }
        for (int i = 0; i < netlist.size(); i++) {
            int one = leader[netlist.a(i)];
            int other = leader[netlist.b(i)];
            if (point.conducts(i) && one != other) {
                int kept = Math.min(one, other);
                var joined = island.remove(Math.max(one, other));
                joined.forEach(node -> leader[node] = kept);
                island.get(kept).addAll(joined);
            }
        }
        island.keySet().stream()
                .filter(node -> node > 0)
                .forEach(node -> line("Rfloat%d %s 0 1e9", node, node(node)));
    }

    private void line(String format, Object... values) {
        text.append(String.format(Locale.ROOT, format, values)).append('\n');
    }
}
