package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.Job;
import aficion.job.JobBuilder;
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

    private static Metal.Bond bond(Job job, Conditions conditions) {
        var netlist = Netlist.of(job);
        var outcome = new Solver(netlist).demand(conditions);
        assertThat(outcome).isInstanceOf(Outcome.Solved.class);
        return new Metal(netlist).in(((Outcome.Solved) outcome).point());
    }

    private static int node(Job job, String terminal) {
        return Netlist.of(job).node(Terminal.parse(terminal).orElseThrow());
    }

    private static JobBuilder lit() {
        return JobBuilder.twelveVolts()
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
        var job = lit().build();

        var off = bond(job, Conditions.REST);
        assertThat(off.live(node(job, "S1.1"))).isTrue();
        assertThat(off.live(node(job, "H1.58"))).isFalse();
        assertThat(off.earthed(node(job, "H1.58"))).isFalse();

        var on = bond(job, ON);
        assertThat(on.live(node(job, "H1.58"))).isTrue();
        assertThat(on.together(node(job, "B1.+"), node(job, "H1.58"))).isTrue();
        assertThat(on.earthed(node(job, "E1.E"))).isTrue();
        assertThat(on.shorted()).isFalse();
    }

    /** A wire from behind the switch to earth is a dead short once the switch is closed. */
    @Test
    void aWireToEarthIsAShortWhereTheSwitchCloses() {
        var job = lit().wire("S1.2", "E1.E", "1mm2", 1).build();

        assertThat(bond(job, Conditions.REST).shorted()).isFalse();
        assertThat(bond(job, ON).shorted()).isTrue();
    }

    /** Two batteries in a row add up and short nothing; against each other they do. */
    @Test
    void aRowOfBatteriesIsNoShortAndOneTurnedRoundIs() {
        assertThat(bond(pair("B2.-", "B2.+"), Conditions.REST).shorted()).isFalse();
        assertThat(bond(across("B2.+", "B2.-"), Conditions.REST).shorted()).isFalse();
        assertThat(bond(across("B2.-", "B2.+"), Conditions.REST).shorted()).isTrue();
    }

    private static JobBuilder two() {
        return new JobBuilder(6)
                .battery(0.006)
                .part("B2", new SourceKind.Battery(new Volts(6), new Ohms(0.006)))
                .wire("B1.-", "E1.E", "25mm2", 0.3);
    }

    private static Job pair(String low, String high) {
        return two().wire("B1.+", low, "25mm2", 0.3)
                .load("X1", 5)
                .wire(high, "X1.+", "1mm2", 1)
                .build();
    }

    private static Job across(String atPlus, String atMinus) {
        return two().wire("B1.+", atPlus, "25mm2", 0.3).wire("B1.-", atMinus, "25mm2", 0.3).build();
    }
}
