package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import org.junit.jupiter.api.Test;

/** What a change leads to when every slope stays. */
class SuperpositionEstimateTest {
    private static final Netlist TWO_LOADS =
            Netlist.of(
                    DesignBuilder.twelveVolts()
                            .load("X1", 5)
                            .load("X2", 3)
                            .wire("B1.+", "X1.+", "1mm2", 2)
                            .wire("X1.+", "X2.+", "1mm2", 3)
                            .build());

    private final Network network = new Network(TWO_LOADS, Conditions.REST);
    private final SuperpositionEstimate expectation = new SuperpositionEstimate(network);

    private static int wire(String id) {
        return TWO_LOADS.branch(TWO_LOADS.design().wire(new WireId(id)));
    }

    /** In a straight network the expected change is twice what comes. */
    @Test
    void aBadJointIsExpectedToDoTwiceWhatItDoes() {
        assertThat(network.solve()).isTrue();
        int joint = wire("w3");
        int feed = wire("w2");
        double before = network.amps(feed);
        expectation.at(joint);
        assertThat(expectation.of(1 / 0.2)).isTrue();
        double expected = expectation.amps(feed);

        network.disturb(joint, 1 / 0.2, 0, 0);
        assertThat(network.solve()).isTrue();

        assertThat(expected - before).isCloseTo(2 * (network.amps(feed) - before), within(1e-6));
        assertThat(network.amps(feed)).isLessThan(before);
    }

    /** The last wire to a load that is fed by nothing else: all of its current goes. */
    @Test
    void aBrokenWireLeavesItsLoadWithoutCurrent() {
        assertThat(network.solve()).isTrue();
        int load = TWO_LOADS.inside(new PartId("X2")).get("body");

        assertThat(network.amps(load)).isGreaterThan(2);
        expectation.at(wire("w3"));
        assertThat(expectation.of(0)).isTrue();
        assertThat(expectation.amps(load)).isZero();
    }

    /** What hangs on one wire alone has no volts that could be told without it. */
    @Test
    void withoutTheOnlyWayNothingIsTold() {
        var netlist =
                Netlist.of(
                        DesignBuilder.twelveVolts()
                                .onOff("S1", "light", 10)
                                .wire("B1.+", "S1.1", "1mm2", 2)
                                .build());
        var open = new Network(netlist, Conditions.REST);
        assertThat(open.solve()).isTrue();
        var estimate = new SuperpositionEstimate(open);
        estimate.at(netlist.branch(netlist.design().wire(new WireId("w2"))));

        assertThat(estimate.of(0)).isFalse();
        assertThat(estimate.of(1)).isTrue();
    }

    /** A rough answer lies within a ten thousandth of a fine one. */
    @Test
    void aRoughAnswerComesClose() {
        var netlist =
                Netlist.of(
                        DesignBuilder.twelveVolts()
                                .lamp("H1", 55)
                                .wire("B1.+", "H1.58", "1mm2", 4)
                                .build());
        var fine = new Network(netlist, Conditions.REST);
        var rough = new Network(netlist, Conditions.REST, Network.Accuracy.ROUGH);
        int feed = netlist.branch(netlist.design().wire(new WireId("w2")));

        assertThat(fine.solve()).isTrue();
        assertThat(rough.solve()).isTrue();

        assertThat(rough.amps(feed)).isCloseTo(fine.amps(feed), within(1e-4 * fine.amps(feed)));
    }

    /** A broken feed lets the relay go that hangs on it; a little more in it does not. */
    @Test
    void aCoilIsExpectedToMoveWhereItLosesItsVolts() {
        var netlist =
                Netlist.of(
                        DesignBuilder.twelveVolts()
                                .relay("K1")
                                .load("X1", 5)
                                .wire("B1.+", "K1.86", "1mm2", 2)
                                .wire("K1.85", "E1.E", "1mm2", 1)
                                .wire("B1.+", "X1.+", "1mm2", 1)
                                .build());
        var relayed = new Network(netlist, Conditions.REST);
        relayed.pull(0, true);
        assertThat(relayed.solve()).isTrue();
        var estimate = new SuperpositionEstimate(relayed);
        int feed = netlist.branch(netlist.design().wire(new WireId("w2")));
        int other = netlist.branch(netlist.design().wire(new WireId("w4")));

        estimate.at(feed);
        assertThat(estimate.of(1e-4)).isTrue();
        assertThat(estimate.moves(0)).isTrue();
        assertThat(estimate.of(1 / 0.5)).isTrue();
        assertThat(estimate.moves(0)).isFalse();
        estimate.at(other);
        assertThat(estimate.of(1e-4)).isTrue();
        assertThat(estimate.moves(0)).isFalse();
        relayed.pull(0, false);
        assertThat(relayed.solve()).isTrue();
        estimate.at(other);
        assertThat(estimate.of(1e-4)).isTrue();
        assertThat(estimate.moves(0)).isTrue();
    }
}
