package aficion.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.fault.Fault.Place;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.sweep.Consequence;
import aficion.sweep.Sweep;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What each fault does to a lamp that a relay feeds; battery B1, fuse F1, switch S1, relay K1. */
class FaultyTest {
    private static final Conditions ON = Conditions.REST.with("lights", "on");

    private static Design design() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 15)
                .onOff("S1", "lights", 10)
                .relay("K1")
                .lamp("H1", 55)
                .earth("E2")
                .mounted("H2", "E2", lamp(5))
                .wire("B1.+", "F1.1", "4mm2", 0.2)
                .wire("F1.2", "K1.30", "2mm2", 1)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "K1.86", "1mm2", 1)
                .wire("K1.87", "H1.58", "2mm2", 2)
                .wire("S1.2", "H2.58", "1mm2", 2)
                .wire("K1.85", "E1.E", "1mm2", 0.5)
                .build();
    }

    private static LoadKind lamp(double watts) {
        var filament = new LoadKind.Filament("58", new Watts(watts));
        return new LoadKind.Lamp(new Volts(13.5), List.of(filament));
    }

    private static OperatingPoint with(Fault fault, Conditions state) {
        var netlist = Faulty.of(Netlist.of(design()), fault);
        var outcome = new Solver(netlist).solve(state);
        assertThat(outcome).isInstanceOf(Outcome.Solved.class);
        return ((Outcome.Solved) outcome).point();
    }

    private static double amps(OperatingPoint point, String lamp) {
        return point.through(new PartId(lamp), "58").orElseThrow().value();
    }

    private static double sound(String lamp) {
        return amps(with(new Fault.BadJoint(wire("K1.87"), new Ohms(1e-9)), ON), lamp);
    }

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    private static WireId wire(String from) {
        return design().wires().stream()
                .filter(wire -> wire.from().terminal().equals(at(from)))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void aBrokenWireCarriesNothingAndIsStillThere() {
        var point = with(new Fault.Broken(wire("K1.87")), ON);

        assertThat(amps(point, "H1")).isCloseTo(0, within(1e-9));
        assertThat(point.through(design().wire(wire("K1.87"))).value()).isCloseTo(0, within(1e-9));
        assertThat(point.pulledIn(new PartId("K1"))).isTrue();
        assertThat(point.voltsAt(at("K1.87")).orElseThrow().value()).isGreaterThan(12);
    }

    /** 55 W at 12 V is about 4.6 A; 1 Ω more takes about a quarter of it. */
    @Test
    void aBadJointTakesVoltsFromTheLamp() {
        double weak = amps(with(new Fault.BadJoint(wire("K1.87"), new Ohms(1)), ON), "H1");

        assertThat(weak).isBetween(0.7 * sound("H1"), 0.9 * sound("H1"));
    }

    @Test
    void aChafeOpensTheFuseWhereverItIs() {
        for (var place : Place.values()) {
            assertThat(with(new Fault.Chafed(wire("K1.87"), place), ON).blown())
                    .containsExactly(new FuseSeat(new PartId("F1"), ""));
        }
        assertThat(with(new Fault.Chafed(wire("K1.87"), Place.MIDDLE), Conditions.REST).blown())
                .isEmpty();
    }

    @Test
    void exchangedLeadsFeedTheCoilForGood() {
        var fault = new Fault.Exchanged(at("K1.30"), at("K1.86"));

        assertThat(with(fault, Conditions.REST).pulledIn(new PartId("K1"))).isTrue();
        assertThat(amps(with(fault, ON), "H1")).isCloseTo(sound("H1"), within(0.05));
    }

    @Test
    void touchingTerminalsFeedEachOther() {
        var fault = new Fault.Touching(at("K1.30"), at("K1.87"));

        assertThat(amps(with(fault, Conditions.REST), "H1")).isCloseTo(sound("H1"), within(0.05));
    }

    @Test
    void aLostEarthLeavesDarkAndAPoorOneDims() {
        var earth = new PartId("E2");

        assertThat(amps(with(new Fault.EarthLost(earth), ON), "H2")).isLessThan(0.001);
        assertThat(amps(with(new Fault.PoorEarth(earth, new Ohms(5)), ON), "H2"))
                .isBetween(0.8 * sound("H2"), 0.95 * sound("H2"));
        assertThat(amps(with(new Fault.EarthLost(earth), ON), "H1"))
                .isCloseTo(sound("H1"), within(0.05));
    }

    @Test
    void whatARelaySuffers() {
        var relay = new PartId("K1");

        assertThat(amps(with(new Fault.DeadCoil(relay), ON), "H1")).isCloseTo(0, within(1e-9));
        assertThat(with(new Fault.DeadCoil(relay), ON).through(relay, "coil").orElseThrow().value())
                .isCloseTo(0, within(1e-9));
        assertThat(amps(with(new Fault.Stuck(relay, "30-87"), Conditions.REST), "H1"))
                .isCloseTo(sound("H1"), within(0.05));
        assertThat(amps(with(new Fault.Burnt(relay, "30-87", new Ohms(1)), ON), "H1"))
                .isBetween(0.7 * sound("H1"), 0.9 * sound("H1"));
        assertThat(amps(with(new Fault.DeadPart(relay), ON), "H1")).isCloseTo(0, within(1e-9));
    }

    @Test
    void whatASwitchAGuardAndALampSuffer() {
        assertThat(amps(with(new Fault.Stuck(new PartId("S1"), "1-2"), Conditions.REST), "H2"))
                .isCloseTo(sound("H2"), within(0.01));
        assertThat(amps(with(new Fault.Blown(new FuseSeat(new PartId("F1"), "")), ON), "H2"))
                .isCloseTo(0, within(1e-9));
        assertThat(amps(with(new Fault.Dead(new PartId("H1"), "58"), ON), "H1"))
                .isCloseTo(0, within(1e-9));
        assertThat(amps(with(new Fault.Dead(new PartId("H1"), "58"), ON), "H2"))
                .isCloseTo(sound("H2"), within(0.01));
    }

    @Test
    void anotherLampAndATiredBattery() {
        var lamp = lamp(21);
        var battery = new SourceKind.Battery(new Volts(12), new Ohms(0.8), Optional.empty());

        assertThat(amps(with(new Fault.Another(new PartId("H1"), lamp), ON), "H1"))
                .isCloseTo(21 / 55.0 * sound("H1"), within(0.1));
        assertThat(amps(with(new Fault.Another(new PartId("B1"), battery), ON), "H1"))
                .isLessThan(0.95 * sound("H1"));
    }

    @Test
    void whatIsNotThereCannotGiveWay() {
        var netlist = Netlist.of(design());

        assertThatThrownBy(() -> Faulty.of(netlist, new Fault.Dead(new PartId("H1"), "99")))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Faulty.of(netlist, new Fault.DeadCoil(new PartId("H1"))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() ->
                        Faulty.of(netlist, new Fault.Burnt(new PartId("H1"), "58", new Ohms(1))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() ->
                        Faulty.of(
                                netlist,
                                new Fault.Another(
                                        new PartId("H1"),
                                        new LoadKind.WarningLamp(new Watts(2), new Volts(12)))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** The sweep disturbs its network, the screen solves a faulty netlist: both find the same. */
    @Test
    void theSweepAndAFaultyNetlistAgree() {
        var netlist = Netlist.of(design());
        int compared = 0;
        for (var effect : Sweep.of(netlist).effects()) {
            for (var consequence : effect.consequences()) {
                var outcome = new Solver(Faulty.of(netlist, effect.fault())).solve(effect.state());
                var before = new Solver(netlist).solve(effect.state());
                if (outcome instanceof Outcome.Solved(var now)
                        && before instanceof Outcome.Solved(var was)) {
                    compared += agrees(consequence, was, now);
                }
            }
        }

        assertThat(compared).isGreaterThan(20);
    }

    private static int agrees(Consequence consequence, OperatingPoint was, OperatingPoint now) {
        switch (consequence) {
            case Consequence.GoesDark(var part, var role) ->
                    assertThat(share(part, role, was, now)).isLessThan(0.25);
            case Consequence.Weakens(var part, var role, var left) ->
                    assertThat(share(part, role, was, now)).isCloseTo(left.value(), within(0.01));
            case Consequence.Opens(var guard, _, _) -> assertThat(now.blown()).contains(guard);
            case Consequence.Overheats _,
                    Consequence.Burns _,
                    Consequence.RunsByItself _,
                    Consequence.Glows _,
                    Consequence.Moves _,
                    Consequence.Restless _ -> {
                return 0;
            }
        }
        return 1;
    }

    private static double share(PartId part, String role, OperatingPoint was, OperatingPoint now) {
        return Stream.of(now, was)
                .map(point -> Math.abs(point.through(part, role).orElseThrow().value()))
                .reduce((after, before) -> after / before)
                .orElseThrow();
    }
}
