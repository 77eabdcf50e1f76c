package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What flows is told by the blocks that hold a source. */
class LiveTest {
    /** A lamp behind a switch, and behind a second one a lead that ends nowhere. */
    private static final Netlist NETLIST =
            Netlist.of(
                    DesignBuilder.twelveVolts()
                            .fuse("F1", 20)
                            .onOff("S1", "light", 20)
                            .onOff("S2", "spare", 20)
                            .lamp("H1", 21)
                            .onOff("S3", "none", 20)
                            .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                            .wire("F1.2", "S1.1", "2.5mm2", 1)
                            .wire("S1.1", "S2.1", "2.5mm2", 1)
                            .wire("S1.2", "H1.58", "1mm2", 2)
                            .wire("H1.31", "E1.E", "1mm2", 2)
                            .wire("S2.2", "S3.1", "1mm2", 2)
                            .build());

    private static OperatingPoint at(String light, String spare) {
        var state = Conditions.REST.with("light", light).with("spare", spare);
        return new Solver(NETLIST).demand(state).settled().orElseThrow();
    }

    private static Live live(OperatingPoint point) {
        return point.live().orElseThrow();
    }

    @Test
    void aLeadThatEndsNowhereChangesNothing() {
        var bare = at("on", "off");
        var joined = at("on", "on");

        assertThat(live(joined)).isEqualTo(live(bare)).hasSameHashCodeAs(live(bare));
        assertThat(live(at("off", "off"))).isNotEqualTo(live(bare)).isNotEqualTo("live");
    }

    @Test
    void onlyWhatHoldsASourceCarries() {
        var live = live(at("on", "on"));
        var inside = NETLIST.design().wires().stream().map(NETLIST::branch).toList();

        assertThat(inside.stream().filter(live::carries)).hasSize(5);
    }

    /** What hangs on a dead end has the volts of where it hangs; what hangs on nothing has none. */
    @Test
    void voltsFollowFromWhereItHangs() {
        var joined = at("on", "on");
        var like = OperatingPoint.like(at("on", "off"), joined, live(joined));

        for (int node = 0; node < NETLIST.nodes(); node++) {
            assertThat(like.nodeVolts(node)).isCloseTo(joined.nodeVolts(node), within(1e-7));
        }
        for (int branch = 0; branch < NETLIST.size(); branch++) {
            assertThat(like.branchAmps(branch)).isCloseTo(joined.branchAmps(branch), within(1e-7));
        }
        assertThat(like.conditions()).isEqualTo(joined.conditions());
        assertThat(like.live()).isSameAs(joined.live());
    }

    /**
     * A second battery that nothing joins to earth: what its volts are counted from is not told.
     */
    @Test
    void aSourceThatFloatsIsNotTold() {
        var apart =
                DesignBuilder.twelveVolts()
                        .part("B2", DesignBuilder.twelveVolts().build().parts().getFirst().kind());
        var point = new Solver(Netlist.of(apart.build())).demand(Conditions.REST).settled();

        assertThat(point.orElseThrow().live()).isEmpty();
    }

    /** A node of the spare lead, which the second switch joins to the lamp's feed. */
    private static final int SPARE = NETLIST.node(Terminal.parse("S2.2").orElseThrow());

    private static Optional<Live> with(String spare, Branch instead) {
        var point = at("on", spare);
        var all =
                IntStream.range(0, NETLIST.size())
                        .mapToObj(point::branch)
                        .map(each -> lies(each, instead) ? instead : each)
                        .toArray(Branch[]::new);
        var conducting = new boolean[all.length];
        for (int i = 0; i < all.length; i++) {
            conducting[i] = point.conducts(i);
        }
        return Live.of(NETLIST, Conditions.REST.air(), all, conducting);
    }

    private static boolean lies(Branch one, Branch other) {
        return one.getClass() != Branch.Resistance.class
                && one.a() == other.a()
                && one.b() == other.b();
    }

    private static Branch of(String part) {
        int inside =
                NETLIST.inside(new PartId(part)).values().stream()
                        .filter(each -> !(at("on", "on").branch(each) instanceof Branch.Resistance))
                        .findFirst()
                        .orElseThrow();
        return at("on", "on").branch(inside);
    }

    /** What a source or a regulator senses hangs elsewhere once the spare lead is joined. */
    @Test
    void whatIsSensedElsewhereIsNotTheSame() {
        var source = of("B1");
        var lamp = of("H1");
        int a = source.a();
        int b = source.b();
        var above = Optional.of(new Branch.Sense(SPARE, 0));
        var below = Optional.of(new Branch.Sense(a, SPARE));
        for (var sense : List.of(above, below)) {
            assertTold(new Branch.Source(a, b, 12.7, 0.006, 0.02, sense), false);
            assertTold(new Branch.Limited(a, b, 14, 0.01, 30, List.of(), 1, sense), false);
        }
        assertTold(new Branch.Limited(a, b, 14, 0.01, 30, List.of(), 1, Optional.empty()), true);
        assertTold(settling(lamp, new Branch.Law.MeanVolts(SPARE, 10)), false);
        assertTold(settling(lamp, new Branch.Law.Dwell(0.6, 0.01, 0.004)), true);
    }

    private static Branch settling(Branch at, Branch.Law law) {
        return new Branch.ControlledResistance(at.a(), at.b(), 1, law);
    }

    private static void assertTold(Branch instead, boolean alike) {
        assertThat(with("off", instead).equals(with("on", instead))).isEqualTo(alike);
        assertThat(with("on", instead)).isPresent().isEqualTo(with("on", instead));
    }

    @Test
    void whatWasNotGoneToIsNotedAsWell() {
        var point = at("on", "on");
        var track = new Track(NETLIST.wires());
        track.note(point);

        for (var wire : NETLIST.design().wires()) {
            assertThat(track.most[NETLIST.branch(wire)])
                    .isEqualTo((float) Math.abs(point.through(wire).value()));
        }
    }
}
