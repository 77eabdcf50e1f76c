package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.FuseType;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import org.junit.jupiter.api.Test;

/** The way of a current, what it loses there, what the sources give and which guards open. */
class FlowPathTest {
    private static final Conditions ON = Conditions.REST.with("light", "on");

    private static OperatingPoint demanded(Design design, Conditions conditions) {
        return new Solver(Netlist.of(design)).demand(conditions).settled().orElseThrow();
    }

    private static FlowPath path(OperatingPoint point, String wire) {
        var netlist = point.netlist();
        return FlowPath.through(point, netlist.design().wire(new WireId(wire)), new Metal(netlist));
    }

    /** A lamp and beside it a lesser one, behind a fuse and a switch. */
    private static DesignBuilder lit() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 5)
                .onOff("S1", "light", 10)
                .lamp("H1", 21)
                .lamp("H2", 5)
                .wire("B1.+", "F1.1", "1mm2", 0.5)
                .wire("F1.2", "S1.1", "1mm2", 0.6)
                .wire("S1.2", "H1.58", "1mm2", 1)
                .wire("S1.2", "H2.58", "1mm2", 2);
    }

    /** Where the way parts it follows the larger lamp; a wire of the lesser one leads there. */
    @Test
    void aWayLeadsOutAndBack() {
        var point = demanded(lit().build(), ON);
        var way = path(point, "w2");

        assertThat(way.wires().stream().map(Wire::id).map(WireId::value))
                .containsExactly("w2", "w3", "w4", "w1");
        assertThat(way.length().value()).isCloseTo(0.5 + 0.6 + 1 + 0.3, within(1e-9));
        assertThat(path(point, "w5").wires().stream().map(Wire::id).map(WireId::value))
                .containsExactly("w2", "w3", "w5", "w1");
        assertThat(way.cranks()).isFalse();
        double lost =
                way.wires().stream()
                        .mapToDouble(wire -> Math.abs(point.lostIn(wire).value()))
                        .sum();
        assertThat(way.lost().value()).isCloseTo(lost, within(1e-12));
    }

    /**
     * Its joints: two ends of each of four wires, and the volts over fuse, switch and earths; what
     * the lamp itself takes is none.
     */
    @Test
    void jointsLoseWhatIsNotInWiresAndLoads() {
        var point = demanded(lit().build(), ON);
        var way = path(point, "w2");
        double lamp = point.across(new PartId("H1"), "58").orElseThrow().value();
        double battery =
                point.voltsAt(Terminal.parse("B1.+").orElseThrow()).orElseThrow().value()
                        - point.voltsAt(Terminal.parse("B1.-").orElseThrow()).orElseThrow().value();
        double end = point.netlist().design().rules().joint().value();
        double ends =
                way.wires().stream()
                        .mapToDouble(wire -> 2 * end * Math.abs(point.through(wire).value()))
                        .sum();

        assertThat(way.joints().value())
                .isCloseTo(battery - Math.abs(lamp) - way.lost().value() + ends, within(1e-3));
        assertThat(way.joints().value()).isPositive();
    }

    @Test
    void aWireThatCarriesNothingIsItsOwnWay() {
        var way = path(demanded(lit().build(), Conditions.REST), "w4");

        assertThat(way.wires()).hasSize(1);
        assertThat(way.joints().value()).isZero();
    }

    @Test
    void theLoadOfAWireIsWhatItsCurrentWorks() {
        var point = demanded(lit().build(), ON);
        var netlist = point.netlist();
        var design = netlist.design();

        assertThat(FlowPath.load(point, netlist.branch(design.wire(new WireId("w3")))))
                .contains(new PartId("H1"));
        assertThat(FlowPath.load(point, netlist.branch(design.wire(new WireId("w5")))))
                .contains(new PartId("H2"));
        assertThat(FlowPath.load(point, netlist.branch(design.wire(new WireId("w1")))))
                .contains(new PartId("H1"));
        var dark = demanded(design, Conditions.REST);
        assertThat(FlowPath.load(dark, netlist.branch(design.wire(new WireId("w3"))))).isEmpty();
    }

    /** While a starter turns it takes its own volts: the joints of no way are counted then. */
    @Test
    void aStarterCranksOnItsOwnWayAlone() {
        var design =
                lit().mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.04), new Ohms(0.8)))
                        .onOff("S2", "start", 20)
                        .wire("B1.+", "M1.30", "25mm2", 0.8)
                        .wire("B1.+", "S2.1", "2.5mm2", 0.5)
                        .wire("S2.2", "M1.50", "2.5mm2", 0.5)
                        .build();
        var cranking = demanded(design, ON.with("start", "on"));
        var still = demanded(design, ON);

        assertThat(path(cranking, "w6").cranks()).isTrue();
        assertThat(path(cranking, "w2").cranks()).isFalse();
        assertThat(path(cranking, "w2").joints().value()).isZero();
        assertThat(path(still, "w2").joints().value()).isPositive();
        assertThat(path(still, "w2").cranks()).isFalse();
    }

    /** What the battery gives and the alternator, and what of it charges. */
    @Test
    void sourcesShareWhatIsDrawn() {
        var design = lit().alternator("G1", 45).wire("G1.B+", "B1.+", "10mm2", 1).build();
        var still = Supply.of(demanded(design, ON));
        var running = Supply.of(demanded(design, ON.withEngine(new Rpm(3000))));

        assertThat(still.generated().value()).isLessThan(1e-3);
        assertThat(still.battery().value()).isCloseTo(still.drawn().value(), within(1e-3));
        assertThat(still.drawn().value()).isBetween(1.7, 2.0);
        assertThat(running.generated().value()).isPositive();
        assertThat(running.battery().value()).isNegative();
        assertThat(running.drawn().value())
                .isCloseTo(running.generated().value() + running.battery().value(), within(1e-9));
        assertThat(running.volts().orElseThrow().value()).isBetween(13.8, 14.3);
        assertThat(still.volts().orElseThrow().value()).isBetween(12.5, 12.7);
    }

    /** Of two guards that are overloaded the one that is so most; none where none is. */
    @Test
    void theGuardThatIsOverloadedMostOpens() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 5)
                        .fuse("F2", 3)
                        .onOff("S1", "light", 40)
                        .load("X1", 20)
                        .load("X2", 20)
                        .wire("B1.+", "S1.1", "4mm2", 0.5)
                        .wire("S1.2", "F1.1", "4mm2", 0.5)
                        .wire("S1.2", "F2.1", "4mm2", 0.5)
                        .wire("F1.2", "X1.+", "4mm2", 0.5)
                        .wire("F2.2", "X2.+", "4mm2", 0.5)
                        .build();
        var opened = Guards.opened(demanded(design, ON)).orElseThrow();

        assertThat(opened.seat().part()).isEqualTo(new PartId("F2"));
        assertThat(opened.demand().value()).isBetween(18.0, 21.5);
        assertThat(Guards.opened(demanded(design, Conditions.REST))).isEmpty();
    }

    /** What is fed at which end, what stands before and behind, over a lead between two fuses. */
    @Test
    void guardsAreFollowedFromTheBattery() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 30)
                        .fuse("F2", 10)
                        .load("X1", 5)
                        .load("X2", 5)
                        .wire("F1.1", "B1.+", "4mm2", 0.5)
                        .wire("F1.2", "F2.1", "4mm2", 0.5)
                        .wire("F2.2", "X1.+", "1mm2", 0.5)
                        .wire("X2.+", "F1.2", "2.5mm2", 0.5)
                        .build();
        var guards = Guards.in(design);
        var main = design.wire(new WireId("w2"));

        assertThat(guards.of(main.id())).isInstanceOf(Guard.Unguarded.class);
        assertThat(guards.of(new WireId("w1"))).isInstanceOf(Guard.EarthSide.class);
        assertThat(guards.of(new WireId("w4")).fuse().orElseThrow().marking().value())
                .isEqualTo(10);
        assertThat(guards.of(new WireId("w5")).fuse().orElseThrow().marking().value())
                .isEqualTo(30);
        assertThat(guards.fed(main).terminal()).hasToString("B1.+");
        assertThat(guards.next(main).orElseThrow().marking().value()).isEqualTo(30);
        assertThat(guards.first()).hasSize(1);
        assertThat(guards.first().getFirst().marking().value()).isEqualTo(30);
        assertThat(guards.ofWires()).hasSize(design.wires().size());
        assertThat(guards.beyond(design.wire(new WireId("w3"))).guards())
                .extracting(Guard.Fitted::type)
                .contains(FuseType.BLADE);
    }

    private static int node(OperatingPoint point, String terminal) {
        return point.netlist().node(Terminal.parse(terminal).orElseThrow());
    }

    /** The battery a node comes to, what lies between two nodes, and ways past a fuse. */
    @Test
    void metalKnowsItsBatteriesAndWhatCannotBeSpared() {
        var point = demanded(lit().build(), ON);
        var netlist = point.netlist();
        var metal = new Metal(netlist);
        var bond = metal.in(point);
        int battery = netlist.inside(new PartId("B1")).get("output");
        int fuse = netlist.inside(new PartId("F1")).get("");

        assertThat(bond.batteries(node(point, "H1.58"))).containsExactly(battery);
        assertThat(bond.batteries(node(point, "E1.E"))).isEmpty();
        assertThat(bond.between(node(point, "B1.+"), node(point, "S1.1")))
                .containsExactlyInAnyOrder(
                        netlist.branch(netlist.design().wire(new WireId("w2"))),
                        fuse,
                        netlist.branch(netlist.design().wire(new WireId("w3"))));
        assertThat(metal.leadsPast(fuse)).isFalse();
        assertThat(metal.closed(node(point, "F1.1"), _ -> false).get(node(point, "H1.58")))
                .isTrue();
        assertThat(
                        metal.closed(node(point, "F1.1"), branch -> branch == fuse)
                                .get(node(point, "H1.58")))
                .isFalse();
        var past =
                lit().fuse("F2", 5)
                        .wire("B1.+", "F2.1", "1mm2", 1)
                        .wire("F2.2", "F1.2", "1mm2", 1)
                        .build();
        var other = demanded(past, ON);
        var both = new Metal(other.netlist());
        assertThat(both.leadsPast(other.netlist().inside(new PartId("F1")).get(""))).isTrue();
        assertThat(both.in(other).between(node(other, "B1.+"), node(other, "F1.2"))).isEmpty();
    }

    /**
     * 10 % of 12 V in the wires of an ordinary circuit, 3 % of a strict one and with its joints no
     * less than 0.5 V in all; joints leave at least half of it to the wires.
     */
    @Test
    void aWayMayLoseWhatTheHouseSaysAndHalfAVoltWithItsJoints() {
        var ordinary = demanded(lit().build(), ON);
        var strict = demanded(lit().strict().build(), ON);
        var wide = allowance(ordinary, new Volts(0.2));
        var narrow = allowance(strict, new Volts(0.2));

        assertThat(wide.total()).isCloseTo(1.2, within(1e-9));
        assertThat(wide.wires()).isCloseTo(1.0, within(1e-9));
        assertThat(narrow.total()).isCloseTo(0.5, within(1e-9));
        assertThat(narrow.wires()).isCloseTo(0.3, within(1e-9));
        assertThat(allowance(strict, new Volts(0.02)).wires()).isCloseTo(0.36, within(1e-9));
        assertThat(allowance(strict, new Volts(0.4)).wires()).isCloseTo(0.25, within(1e-9));
    }

    private static Allowance allowance(OperatingPoint point, Volts joints) {
        var design = point.netlist().design();
        var lead = design.wire(new WireId("w4"));
        var path = path(point, "w4");
        return Allowance.of(
                design, lead, new FlowPath(path.wires(), path.length(), joints, false, point));
    }

    /** Kept where the wires lose no more, and with their joints no more in all. */
    @Test
    void anAllowanceIsKeptByWiresAndWithJoints() {
        var point = demanded(lit().build(), ON);
        var way = path(point, "w4");
        double lost = way.lost().value();
        double joints = way.joints().value();

        assertThat(new Allowance(lost, lost + joints).kept(way)).isTrue();
        assertThat(new Allowance(lost * 0.99, 12).kept(way)).isFalse();
        assertThat(new Allowance(12, (lost + joints) * 0.99).kept(way)).isFalse();
    }

    /** 0.05 of 0.1 A at full scale is half of it; nothing where no current flows. */
    @Test
    void aGaugeStandsWhereItsCurrentIs() {
        var gauge = new LoadKind.Gauge(new Ohms(60), new Amps(0.1));
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "light", 5)
                        .part("P1", gauge)
                        .part("R1", new JoinKind.Resistor(new Ohms(180)))
                        .wire("B1.+", "S1.1", "1mm2", 0.5)
                        .wire("S1.2", "P1.B", "1mm2", 0.5)
                        .wire("P1.T", "R1.1", "1mm2", 0.5)
                        .wire("R1.2", "E1.E", "1mm2", 0.5)
                        .build();
        var part = design.part(new PartId("P1"));

        assertThat(GaugeReading.of(demanded(design, ON), part, gauge).value())
                .isCloseTo(12.7 / 240 / 0.1, within(0.005));
        assertThat(GaugeReading.of(demanded(design, Conditions.REST), part, gauge).value())
                .isLessThan(1e-6);
    }
}
