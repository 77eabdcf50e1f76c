package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.files.DemoJobs;
import aficion.netlist.Netlist;
import aficion.size.WorstCase;
import java.util.HashMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Where the same is live the same flows, in every state of every demo, solved each by itself. */
class LiveStatesTest {
    private static final double AMPS = 1e-5;

    /** What hangs by diodes that block alone is known no better: a nanoampere moves it. */
    private static final double VOLTS = 1e-3;

    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void whatIsLiveTellsWhatFlows(String demo) {
        var netlist = Netlist.of(DemoJobs.find(demo).orElseThrow().design());
        var solver = new Solver(netlist);
        var found = new HashMap<Live, OperatingPoint>();
        int alike = 0;
        for (var state : WorstCase.states(netlist)) {
            var point = solver.demand(state).settled().orElseThrow();
            var live = point.live().orElseThrow();
            var known = found.putIfAbsent(live, point);
            if (known != null) {
                assertSame(point, OperatingPoint.like(known, point, live));
                alike++;
            }
        }
        assertThat(alike).isGreaterThan(found.size() / 2);
    }

    private static void assertSame(OperatingPoint point, OperatingPoint like) {
        for (int i = 0; i < point.netlist().size(); i++) {
            assertThat(like.branchAmps(i)).isCloseTo(point.branchAmps(i), within(AMPS));
        }
        for (int node = 0; node < point.netlist().nodes(); node++) {
            assertThat(like.nodeVolts(node)).isCloseTo(point.nodeVolts(node), within(VOLTS));
        }
    }
}
