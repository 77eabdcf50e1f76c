package aficion.bench.reason;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Zone;
import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.Kind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Two lamps of 21 W behind a flasher, a switch, and a fuse: w5 and w6 go to the lamps. */
class TelltaleTest {
    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .part(
                            "K1",
                            new ControlKind.Flasher(
                                    ControlKind.Flasher.Form.THERMAL,
                                    new Watts(42),
                                    new Volts(12),
                                    90))
                    .onOff("S1", "turn", 10)
                    .lamp("H1", 21)
                    .lamp("H2", 21)
                    .relay("K2")
                    .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                    .wire("F1.2", "K1.49", "1mm2", 1)
                    .wire("K1.49a", "S1.1", "1mm2", 1)
                    .wire("S1.2", "H1.58", "1mm2", 1)
                    .wire("S1.2", "H2.58", "1mm2", 1)
                    .wire("S1.2", "K2.86", "1mm2", 1)
                    .wire("K2.85", "E1.E", "1mm2", 1)
                    .build();
    private static final Netlist NETLIST = Netlist.of(DESIGN);
    private static final Conditions ON = Conditions.REST.with("turn", "on");
    private static final CircuitId CIRCUIT = new CircuitId("1");
    private static final PartId FLASHER = new PartId("K1");
    private static final WireId FIRST = new WireId("w5");
    private static final Ohms BAD = Fault.BAD.getLast();

    private static Suspect suspect(Fault... faults) {
        return new Suspect(List.of(faults), 1);
    }

    private static OperatingPoint point(Suspect suspect, Conditions state) {
        return new Solver(FaultTable.faulty(NETLIST, suspect)).solve(state).settled().orElseThrow();
    }

    private static boolean holds(Telltale telltale, Fault... faults) {
        var suspect = suspect(faults);
        return telltale.holds(suspect, point(suspect, ON), point(Suspect.NOTHING, ON));
    }

    private static Fault fault(String text) {
        return Notation.parse(NETLIST, text).orElseThrow();
    }

    /** A lamp touching earth blows the fuse; one that is dark does not. */
    @Test
    void aFuseIsGone() {
        var gone = new Telltale.FuseGone(new FuseSeat(new PartId("F1"), ""));

        assertThat(holds(gone, new Fault.Blown(new FuseSeat(new PartId("F1"), "")))).isTrue();
        assertThat(holds(gone, fault("H1.58/E1.E=touching"))).isTrue();
        assertThat(holds(gone, new Fault.Broken(FIRST))).isFalse();
        assertThat(holds(gone)).isFalse();
    }

    /** An ohm at 1.4 A is 2 W, at a joint where a sound lead has some 40 mW. */
    @Test
    void aBadJointIsWarm() {
        var lead = new WireId("w3");

        assertThat(holds(new Telltale.Warm(lead), new Fault.BadJoint(lead, BAD))).isTrue();
        assertThat(holds(new Telltale.Warm(lead), new Fault.BadJoint(lead, new Ohms(0.1))))
                .isFalse();
        assertThat(holds(new Telltale.Warm(lead), new Fault.BadJoint(FIRST, BAD))).isFalse();
        assertThat(holds(new Telltale.Warm(lead))).isFalse();
    }

    /** 57 mΩ at 19.4 A are 21 W; with 0.1 Ω more 46 W, with 0.5 Ω 67 W: three times as much. */
    @Test
    void whatIsWarmAnywayTellsNothing() {
        var cold = DesignBuilder.twelveVolts().load("X1", 20).wire("B1.+", "X1.+", "1mm2", 3);
        var netlist = Netlist.of(cold.build());
        var sound = new Solver(netlist).solve(Conditions.REST).settled().orElseThrow();
        var lead = new Telltale.Warm(new WireId("w2"));
        var little = suspect(new Fault.BadJoint(new WireId("w2"), new Ohms(0.1)));
        var much = suspect(new Fault.BadJoint(new WireId("w2"), new Ohms(0.5)));

        assertThat(lead.holds(little, faulty(netlist, little), sound)).isFalse();
        assertThat(lead.holds(much, faulty(netlist, much), sound)).isTrue();
    }

    private static OperatingPoint faulty(Netlist netlist, Suspect suspect) {
        return new Solver(FaultTable.faulty(netlist, suspect))
                .solve(Conditions.REST)
                .settled()
                .orElseThrow();
    }

    /** With one lamp of two it goes fast; with both, or with none at all, it does not. */
    @Test
    void aFlasherGoesFast() {
        var fast = new Telltale.Fast(FLASHER);

        assertThat(holds(fast, new Fault.Broken(FIRST))).isTrue();
        assertThat(holds(fast)).isFalse();
        assertThat(holds(fast, fault("K2=dead"))).isFalse();
        assertThat(holds(fast, fault("F1=blown"))).isFalse();
    }

    /** A lamp that is dark is not as drawn; a coil that nobody sees is. */
    @Test
    void allIsAsDrawn() {
        var drawn = new Telltale.AsDrawn(CIRCUIT);

        assertThat(holds(drawn)).isTrue();
        assertThat(holds(drawn, fault("K2=dead"))).isTrue();
        assertThat(holds(drawn, new Fault.Broken(FIRST))).isFalse();
    }

    /** What is moved tells of the parts that a fault sits at, whatever it is. */
    @Test
    void movingAPartTellsWhereItIs() {
        var lamp = new Telltale.Moves(new PartId("H1"));

        assertThat(holds(lamp, new Fault.Broken(FIRST))).isTrue();
        assertThat(holds(lamp, fault("H1.58/H2.58=touching"))).isTrue();
        assertThat(holds(lamp, new Fault.Broken(new WireId("w6")))).isFalse();
        assertThat(holds(lamp, new Fault.Broken(new WireId("w6")), fault("H1.58=dead"))).isTrue();
    }

    /** Warmth opens joints, contacts and coils; it blows no fuse and exchanges nothing. */
    @Test
    void warmthBringsOutJointsAndContacts() {
        for (var minds : List.of("5=open", "5=bad", "S1.1-2=stuck", "S1.1-2=bad", "H1.58=dead")) {
            assertThat(warms(minds)).as(minds).isTrue();
        }
        assertThat(warms("K2=dead")).isTrue();
        assertThat(warms("K1=dead")).isTrue();
        assertThat(warms("E1=lost")).isTrue();
        assertThat(warms("E1=bad")).isTrue();
        for (var not : List.of("5=short", "F1=blown", "H1.58/H2.58=touching", "S1=turned")) {
            assertThat(warms(not)).as(not).isFalse();
        }
        assertThat(warms(new Fault.Another(new PartId("H1"), kind("H1")))).isFalse();
    }

    /** More current brings out what has too many ohms, and a battery that is tired. */
    @Test
    void moreCurrentBringsOutResistance() {
        var loads = new Telltale.Loads();
        for (var yields : List.of("5=bad", "E1=bad", "S1.1-2=bad")) {
            assertThat(holds(loads, fault(yields))).as(yields).isTrue();
        }
        assertThat(holds(loads, new Fault.Another(new PartId("B1"), kind("B1")))).isTrue();
        assertThat(holds(loads, new Fault.Another(new PartId("H1"), kind("H1")))).isFalse();
        for (var not :
                List.of(
                        "5=open",
                        "H1.58=dead",
                        "K2=dead",
                        "K1=dead",
                        "E1=lost",
                        "F1=blown",
                        "S1.1-2=stuck",
                        "S1=turned",
                        "H1.58/H2.58=touching",
                        "6=short")) {
            assertThat(holds(loads, fault(not))).as(not).isFalse();
        }
    }

    private static boolean warms(String text) {
        return warms(fault(text));
    }

    /** Where the fault sits. */
    private static boolean warms(Fault fault) {
        return fault.parts(DESIGN).allMatch(part -> holds(new Telltale.Warms(part), fault));
    }

    private static Kind kind(String part) {
        return DESIGN.part(new PartId(part)).kind();
    }

    /** What comes to rest is not restless; what somebody does something for is known. */
    @Test
    void whatIsDoneForItIsKnown() {
        assertThat(holds(new Telltale.Restless(), new Fault.Broken(FIRST))).isFalse();
        assertThat(
                        List.of(
                                new Telltale.Moves(FLASHER),
                                new Telltale.Warms(FLASHER),
                                new Telltale.Loads()))
                .allMatch(Telltale::provokes);
        assertThat(
                        List.of(
                                new Telltale.Fast(FLASHER),
                                new Telltale.Warm(FIRST),
                                new Telltale.AsDrawn(CIRCUIT),
                                new Telltale.Restless(),
                                new Telltale.FuseGone(new FuseSeat(new PartId("F1"), ""))))
                .noneMatch(Telltale::provokes);
    }

    /** A lamp glows from 3 % of its light, burns from 55 %, and is too bright from 145 %. */
    @Test
    void whatAnEyeSaysOfALamp() {
        assertThat(Sight.of(0.029)).isEqualTo(Sight.DARK);
        assertThat(Sight.of(0.03)).isEqualTo(Sight.DIM);
        assertThat(Sight.of(0.549)).isEqualTo(Sight.DIM);
        assertThat(Sight.of(0.55)).isEqualTo(Sight.RIGHT);
        assertThat(Sight.of(1.449)).isEqualTo(Sight.RIGHT);
        assertThat(Sight.of(1.45)).isEqualTo(Sight.BRIGHT);
        for (var sight : Sight.values()) {
            assertThat(Sight.of(sight.share())).isEqualTo(sight);
        }
    }

    /** Meter in place of a fuse half a reading; of what is in the dash 0.15 of one. */
    @Test
    void whatIsHardToReachCosts() {
        var dash =
                DesignBuilder.twelveVolts()
                        .zone(Zone.DASH)
                        .lamp("H1", 5)
                        .fuse("F1", 5)
                        .zone(Zone.UNDERBODY)
                        .lamp("H2", 5)
                        .zone(Zone.MOVING)
                        .lamp("H3", 5)
                        .build();
        var netlist = Netlist.of(dash);

        assertThat(Trouble.reach(netlist, new PartId("H1"))).isEqualTo(0.15);
        assertThat(Trouble.reach(netlist, new PartId("H2"))).isEqualTo(0.3);
        assertThat(Trouble.reach(netlist, new PartId("H3"))).isEqualTo(0.1);
        assertThat(Trouble.reach(netlist, new PartId("E1"))).isEqualTo(0.05);
        assertThat(Trouble.reach(netlist, new PartId("F1"))).isZero();
        assertThat(Trouble.reach(netlist, new Measure.AmpsIn(new WireId("w1")))).isEqualTo(0.5);
        assertThat(
                        Trouble.reach(
                                netlist,
                                new Measure.VoltsAt(Terminal.parse("H2.58").orElseThrow())))
                .isEqualTo(0.3);
        assertThat(Trouble.reach(netlist, new Measure.LightOf(new PartId("H2"), "58"))).isZero();
    }

    /** A switch counts one, an engine that is started six, one that goes on running none. */
    @Test
    void whatIsMovedIsCounted() {
        var runs = ON.withEngine(new Rpm(3000));

        assertThat(Trouble.moved(NETLIST, Conditions.REST, ON)).isEqualTo(1);
        assertThat(Trouble.moved(NETLIST, Conditions.REST, runs)).isEqualTo(7);
        assertThat(Trouble.moved(NETLIST, runs, runs)).isZero();
        assertThat(Trouble.moved(NETLIST, runs, Conditions.REST)).isEqualTo(1);
        assertThat(Trouble.moved(NETLIST, ON, ON.withLevel("oil", 1))).isEqualTo(2);
    }
}
