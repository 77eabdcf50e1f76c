package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import org.junit.jupiter.api.Test;

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
}
