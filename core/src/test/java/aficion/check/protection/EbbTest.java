package aficion.check.protection;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.TimeBand;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.solve.Network;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A rush that has passed opens nothing any more. */
class EbbTest {
    private static Netlist lamps(double marking) {
        return lamps(marking, "K1.86");
    }

    /** A lamp by a relay, whose coil is fed at an end of its own or of what lies before it. */
    private static Netlist lamps(double marking, String coil) {
        var before = new LoadKind.Load(new Demand.InAmps(new Amps(0.1)), new Volts(12));
        return Netlist.of(
                DesignBuilder.twelveVolts()
                        .fuse("F1", marking)
                        .onOff("S1", "light", 40)
                        .relay("K1")
                        .part("X1", before)
                        .lamp("H1", 60)
                        .wire("B1.+", "F1.1", "6mm2", 0.2)
                        .wire("F1.2", "K1.30", "6mm2", 1)
                        .wire("F1.2", "S1.1", "1mm2", 1)
                        .wire("S1.2", coil, "1mm2", 1)
                        .wire("X1.31", "K1.86", "1mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("K1.87", "H1.58", "6mm2", 1)
                        .wire("H1.31", "E1.E", "6mm2", 1)
                        .build());
    }

    private static final Conditions ON = Conditions.REST.with("light", "on");

    @ParameterizedTest
    @ValueSource(doubles = {3, 5, 7.5, 10, 20})
    void nothingOpensAfterIt(double marking) {
        var script = Script.of(Conditions.REST, ON, new Seconds(3));
        var whole = new Network(lamps(marking), Conditions.REST);
        var all = Simulation.run(whole, script, TimeBand.Edge.FASTEST, List.of(), _ -> true);
        var network = new Network(lamps(marking), Conditions.REST);
        var ebb = new Ebb(network);
        var some =
                Simulation.run(
                        network, script, TimeBand.Edge.FASTEST, List.of(), _ -> !ebb.isOver());

        assertThat(some.events()).isEqualTo(all.events());
        assertThat(ebb.isOver()).isEqualTo(some.steps() < all.steps());
    }

    @Test
    void aRelayThatIsAboutToMoveIsNoEnd() {
        var network = new Network(lamps(20), Conditions.REST);
        network.solve();
        assertThat(new Ebb(network).isOver()).isTrue();

        network.meet(ON);
        network.solve();
        assertThat(new Ebb(network).isOver()).isFalse();
    }

    /** 90 of 210 ohms leave it 5.4 V, and it pulls in at 7.2: it would with half as much more. */
    @Test
    void aRelayThatIsAboutToHaveItsVoltsIsNoEnd() {
        var network = new Network(lamps(20, "X1.+"), ON);
        network.solve();

        assertThat(network.wantsIn(0)).isFalse();
        assertThat(new Ebb(network).isOver()).isFalse();
    }

    /** What draws ever more as it warms is no end; what draws less is one. */
    @ParameterizedTest
    @CsvSource({"30, 20, false", "20, 20, true", "10, 20, true"})
    void whatDrawsMoreAsItWarmsIsNoEnd(double first, double ohms, boolean over) {
        var network = new Network(lamps(20), Conditions.REST);
        int load = network.netlist().inside(new PartId("X1")).get("body");
        var at = network.branch(load);
        network.set(load, new Branch.Warming(at.a(), at.b(), ohms, first, 5));
        network.solve();

        assertThat(new Ebb(network).isOver()).isEqualTo(over);
    }

    /** A flasher goes on for as long as it has volts or carries something, be it open or closed. */
    @Test
    void aFlasherThatIsFedIsNoEnd() {
        var unit =
                new ControlKind.Flasher(
                        ControlKind.Flasher.Form.THERMAL, new Watts(42), new Volts(12), 90);
        var network =
                new Network(
                        Netlist.of(
                                DesignBuilder.twelveVolts()
                                        .onOff("S1", "light", 10)
                                        .part("K1", unit)
                                        .lamp("H1", 21)
                                        .wire("B1.+", "S1.1", "1mm2", 1)
                                        .wire("S1.2", "K1.49", "1mm2", 1)
                                        .wire("K1.49a", "H1.58", "1mm2", 1)
                                        .build()),
                        Conditions.REST);
        network.solve();
        assertThat(new Ebb(network).isOver()).isTrue();

        network.meet(ON);
        network.solve();
        assertThat(new Ebb(network).isOver()).isFalse();
        for (int i = 0; i < network.netlist().size(); i++) {
            if (network.branch(i) instanceof Branch.Blinker) {
                network.blink(i, false);
            }
        }
        network.solve();
        assertThat(new Ebb(network).isOver()).isFalse();
    }
}
