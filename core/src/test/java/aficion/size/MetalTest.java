package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.AnyJob;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What hangs together by metal, in small circuits a glance can follow. */
class MetalTest {
    private static final Conditions ON = Conditions.REST.with("light", "on");

    private static Metal.Bond bond(Design design, Conditions conditions) {
        var netlist = Netlist.of(design);
        var outcome = new Solver(netlist).demand(conditions);
        assertThat(outcome).isInstanceOf(Outcome.Solved.class);
        return new Metal(netlist).in(((Outcome.Solved) outcome).point());
    }

    private static int node(Design design, String terminal) {
        return Netlist.of(design).node(Terminal.parse(terminal).orElseThrow());
    }

    private static DesignBuilder lit() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 5)
                .onOff("S1", "light", 10)
                .lamp("H1", 21)
                .wire("B1.+", "F1.1", "1mm2", 0.5)
                .wire("F1.2", "S1.1", "1mm2", 0.5)
                .wire("S1.2", "H1.58", "1mm2", 1);
    }

    /**
     * A lamp is no metal: what it leads to is neither live nor earthed while the switch is open.
     */
    @Test
    void aSwitchMakesLiveWhatALampDoesNotEarth() {
        var design = lit().build();

        var off = bond(design, Conditions.REST);
        assertThat(off.live(node(design, "S1.1"))).isTrue();
        assertThat(off.live(node(design, "H1.58"))).isFalse();
        assertThat(off.earthed(node(design, "H1.58"))).isFalse();

        var on = bond(design, ON);
        assertThat(on.live(node(design, "H1.58"))).isTrue();
        assertThat(on.together(node(design, "B1.+"), node(design, "H1.58"))).isTrue();
        assertThat(on.earthed(node(design, "E1.E"))).isTrue();
        assertThat(on.shorted()).isFalse();
    }

    /** A wire from behind the switch to earth is a dead short once the switch is closed. */
    @Test
    void aWireToEarthIsAShortWhereTheSwitchCloses() {
        var design = lit().wire("S1.2", "E1.E", "1mm2", 1).build();

        assertThat(bond(design, Conditions.REST).shorted()).isFalse();
        assertThat(bond(design, ON).shorted()).isTrue();
    }

    /** Two batteries in a row add up and short nothing; against each other they do. */
    @Test
    void aRowOfBatteriesIsNoShortAndOneTurnedRoundIs() {
        assertThat(bond(pair("B2.-", "B2.+"), Conditions.REST).shorted()).isFalse();
        assertThat(bond(across("B2.+", "B2.-"), Conditions.REST).shorted()).isFalse();
        assertThat(bond(across("B2.-", "B2.+"), Conditions.REST).shorted()).isTrue();
    }

    private static DesignBuilder two() {
        return new DesignBuilder(6)
                .battery(0.006)
                .part("B2", new SourceKind.Battery(new Volts(6), new Ohms(0.006)))
                .wire("B1.-", "E1.E", "25mm2", 0.3);
    }

    private static Design pair(String low, String high) {
        return two().wire("B1.+", low, "25mm2", 0.3)
                .load("X1", 5)
                .wire(high, "X1.+", "1mm2", 1)
                .build();
    }

    private static Design across(String atPlus, String atMinus) {
        return two().wire("B1.+", atPlus, "25mm2", 0.3).wire("B1.-", atMinus, "25mm2", 0.3).build();
    }

    /** Wires, bolts, earths and plugs join always; contacts, guards and loads do not. */
    @Test
    void whatAlwaysJoinsIsBareMetal() {
        var design =
                lit().part("X1", new JoinKind.Connector(List.of("1"), new Amps(15)))
                        .load("X2", 1)
                        .wire("S1.2", "X1.1a", "1mm2", 1)
                        .wire("X1.1b", "X2.+", "1mm2", 1)
                        .build();
        var metal = new Metal(Netlist.of(design));

        assertThat(joins(metal, design, "B1.+", "F1.1")).isTrue();
        assertThat(joins(metal, design, "S1.2", "X2.+")).isTrue();
        assertThat(joins(metal, design, "X2.31", "B1.-")).isTrue();
        assertThat(joins(metal, design, "X2.31", "H1.31")).isTrue();
        assertThat(joins(metal, design, "F1.1", "F1.2")).isFalse();
        assertThat(joins(metal, design, "S1.1", "S1.2")).isFalse();
        assertThat(joins(metal, design, "H1.58", "H1.31")).isFalse();
        assertThat(joins(metal, design, "B1.+", "B1.-")).isFalse();
    }

    private static boolean joins(Metal metal, Design design, String one, String other) {
        return metal.alwaysJoins(node(design, one), node(design, other));
    }

    /** A relay's contact, a blinking one and an earth of the body are metal while they conduct. */
    @Test
    void everyContactIsMetalWhileItConducts() {
        var design =
                DesignBuilder.twelveVolts()
                        .relay("K1")
                        .onOff("S1", "light", 10)
                        .part(
                                "K2",
                                new ControlKind.Flasher(
                                        ControlKind.Flasher.Form.THERMAL,
                                        new Watts(42),
                                        new Volts(12),
                                        90))
                        .lamp("H1", 21)
                        .lamp("H2", 21)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("B1.+", "K1.30", "1mm2", 1)
                        .wire("K1.87", "H1.58", "1mm2", 1)
                        .wire("B1.+", "K2.49", "1mm2", 1)
                        .wire("K2.49a", "H2.58", "1mm2", 1)
                        .build();

        assertThat(bond(design, Conditions.REST).live(node(design, "H1.58"))).isFalse();
        assertThat(bond(design, ON).live(node(design, "H1.58"))).isTrue();
        assertThat(bond(design, ON).live(node(design, "H2.58"))).isTrue();
        assertThat(bond(design, ON).together(node(design, "H1.58"), node(design, "H1.31")))
                .isFalse();
    }

    /** What a battery feeds is named by it; earth and what no battery reaches by none. */
    @Test
    void theBatteriesBehindANodeAreNamed() {
        var design = lit().build();
        var bond = bond(design, Conditions.REST);
        int battery = Netlist.of(design).inside(new PartId("B1")).get("output");

        assertThat(bond.batteries(node(design, "S1.1"))).containsExactly(battery);
        assertThat(bond.batteries(node(design, "H1.58"))).isEmpty();
        assertThat(bond.batteries(node(design, "E1.E"))).isEmpty();
    }

    /** A starting alternator's pole is live only with the battery behind it. */
    @Test
    void aSourceThatHasToBeWokenMakesNothingLive() {
        var loose = DesignBuilder.twelveVolts().alternator("G1", 45).lamp("H1", 5);
        var alone = loose.wire("G1.B+", "H1.58", "1mm2", 1).build();

        assertThat(bond(alone, Conditions.REST).live(node(alone, "H1.58"))).isFalse();
        assertThat(bond(alone, Conditions.REST).live(node(alone, "B1.+"))).isTrue();
    }

    /** Metal leads past a branch where its ends hang together without it, in anything. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void whatMetalLeadsPastHangsTogetherWithoutIt(long seed) {
        var netlist = Netlist.of(AnyJob.of(seed));
        var metal = new Metal(netlist);
        var conditions = AnyJob.conditions(netlist.design(), seed);
        new Solver(netlist)
                .demand(conditions)
                .settled()
                .ifPresent(point -> {
                    var led = metal.ledPast(point);
                    for (int i = 0; i < netlist.size(); i++) {
                        int branch = i;
                        boolean past =
                                metal.joins(point, i)
                                        && netlist.leads(
                                                netlist.a(i),
                                                netlist.b(i),
                                                other ->
                                                        other != branch
                                                                && metal.joins(point, other));
                        assertThat(led.get(i)).as("branch %s", i).isEqualTo(past);
                    }
                });
    }
}
