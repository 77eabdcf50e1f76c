package aficion.bench.reason;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Rpm;
import aficion.solve.Solver;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A lamp behind a fuse and a switch, and a horn behind the same fuse and its push. */
class FaultTableTest {
    private static final Design DESIGN = builder().build();
    private static final CircuitId CIRCUIT = new CircuitId("1");
    private static final Conditions OFF = Conditions.REST.with("light", "off").with("horn", "off");
    private static final Conditions ON = OFF.with("light", "on");
    private static final Measure AT_LAMP = volts("H1.58");
    private static final Measure IN_FEED = new Measure.AmpsIn(new WireId("w2"));

    private final FaultTable table = FaultTable.of(Netlist.of(DESIGN), CIRCUIT);

    private static DesignBuilder builder() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 10)
                .onOff("S1", "light", 10)
                .lamp("H1", 21)
                .push("S2", "horn", 10)
                .load("X1", 5)
                .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "H1.58", "1mm2", 1)
                .wire("F1.2", "S2.1", "1mm2", 1)
                .wire("S2.2", "X1.+", "1mm2", 1);
    }

    private static Measure volts(String at) {
        return new Measure.VoltsAt(Terminal.parse(at).orElseThrow());
    }

    private Fault fault(String text) {
        return Notation.parse(table.netlist(), text).orElseThrow();
    }

    private int index(String text) {
        var fault = fault(text);
        return FaultTable.suspects(table.netlist(), CIRCUIT).stream()
                .map(Suspect::faults)
                .toList()
                .indexOf(List.of(fault));
    }

    private double shown(Conditions state, Measure what, String fault) {
        return table.predicted(state, what)[fault.isEmpty() ? 0 : index(fault)];
    }

    /** The lamp has the battery's volts; none where its lead is broken, or the fuse is gone. */
    @Test
    void everySuspectIsAskedInEveryState() {
        assertThat(table.states()).hasSize(4).contains(OFF, ON);
        assertThat(table.standing()).isEqualTo(table.states());
        assertThat(table.measures()).contains(AT_LAMP).last().isEqualTo(IN_FEED);
        assertThat(shown(ON, AT_LAMP, "")).isCloseTo(12.6, within(0.05));
        assertThat(shown(OFF, AT_LAMP, "")).isCloseTo(0, within(1e-6));
        assertThat(shown(ON, AT_LAMP, "4=open")).isCloseTo(0, within(1e-6));
        assertThat(shown(OFF, AT_LAMP, "S1.1-2=stuck")).isCloseTo(12.6, within(0.05));
        assertThat(shown(ON, IN_FEED, "")).isCloseTo(1.49, within(0.02));
        assertThat(shown(ON, IN_FEED, "F1=blown")).isCloseTo(0, within(1e-6));
    }

    /** What is asked in a state that nobody is advised to try is worked out then. */
    @Test
    void whatIsNotInTheTableIsWorkedOutWhenAsked() {
        var cold = ON.withEngine(new Rpm(900));
        var light = new Measure.LightOf(new PartId("H1"), "58");

        assertThat(shown(cold, AT_LAMP, "")).isCloseTo(12.6, within(0.05));
        assertThat(shown(cold, AT_LAMP, "4=open")).isCloseTo(0, within(1e-6));
        assertThat(shown(ON, light, "")).isBetween(0.7, 0.9);
        assertThat(shown(OFF, light, "")).isCloseTo(0, within(1e-6));
        assertThat(shown(ON, light, "4=open")).isCloseTo(0, within(1e-6));
        assertThat(shown(ON, volts("B1.+"), "")).isCloseTo(12.7, within(0.05));
        assertThat(table.predicted(cold, AT_LAMP)).isSameAs(table.predicted(cold, AT_LAMP));
    }

    /** What blew a fuse in one state leaves it gone in every other. */
    @Test
    void aFuseThatIsGoneStaysSo() {
        var gone = new Measure.Told(new Telltale.FuseGone(new FuseSeat(new PartId("F1"), "")));
        var shorted = "4=short";

        assertThat(shown(ON, gone, shorted)).isEqualTo(1);
        assertThat(shown(OFF, gone, shorted)).isEqualTo(1);
        assertThat(shown(OFF, gone, "")).isEqualTo(0);
        assertThat(shown(OFF, gone, "4=open")).isEqualTo(0);
        assertThat(shown(OFF, gone, "F1=blown")).isEqualTo(1);
    }

    /** A quarter of a volt and 4 %, of amps 0.2 and 8 %, is the same to a meter. */
    @Test
    void whatAMeterTellsApart() {
        assertThat(table.nearVolts(2)).isEqualTo(0.25);
        assertThat(table.nearVolts(-12)).isCloseTo(0.48, within(1e-9));
        assertThat(table.near(AT_LAMP, 12)).isCloseTo(0.48, within(1e-9));
        assertThat(table.near(IN_FEED, 1)).isEqualTo(0.2);
        assertThat(table.near(IN_FEED, -10)).isCloseTo(0.8, within(1e-9));
        assertThat(table.tells(AT_LAMP, 12, 12.6)).isTrue();
        assertThat(table.tells(AT_LAMP, 12, 12.4)).isFalse();
        assertThat(table.tells(AT_LAMP, 0, 0.25)).isFalse();
        assertThat(table.tells(AT_LAMP, 12, Double.NaN)).isTrue();
        assertThat(table.tells(AT_LAMP, Double.NaN, 12)).isTrue();
        assertThat(table.tells(AT_LAMP, Double.NaN, Double.NaN)).isFalse();
        var six =
                new DesignBuilder(6)
                        .battery(0.006)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .lamp("H1", 21)
                        .wire("B1.+", "H1.58", "1mm2", 1)
                        .build();
        assertThat(FaultTable.of(Netlist.of(six), CIRCUIT).nearVolts(1)).isEqualTo(0.125);
    }

    /** A lead that is broken and a lamp that is dead look alike at one place each, and no other. */
    @Test
    void whatLooksAlikeIsNamedTogether() {
        assertThat(alike("4=open")).doesNotContain("H1.58=dead");
        assertThat(alike("H1.58=dead")).contains("H1.58=dead", "H1.mount=dead");
        assertThat(alike("F1=blown")).contains("F1=blown", "5=short").doesNotContain("2=open");
        assertThat(table.looksLike(0)).contains(Suspect.NOTHING);
        for (int i = 0; i < table.suspects().size(); i++) {
            assertThat(table.looksLike(i)).contains(table.suspects().get(i));
            for (var like : table.looksLike(i)) {
                assertThat(table.look(table.suspects().indexOf(like))).isEqualTo(table.look(i));
            }
        }
    }

    private List<String> alike(String text) {
        return table.looksLike(index(text)).stream()
                .flatMap(suspect -> suspect.faults().stream())
                .map(fault -> Notation.of(DESIGN, fault))
                .toList();
    }

    /** Two faults of which one leaves the other nothing to change cannot be at once. */
    @Test
    void whatCannotBeAtOnce() {
        assertThat(table.canHave(List.of(fault("4=open"), fault("6=open")))).isTrue();
        assertThat(table.canHave(List.of(new Fault.Broken(new WireId("w99"))))).isFalse();
    }

    /** Another part goes in first, since it makes everything anew. */
    @Test
    void faultsAreAppliedOneAfterAnother() {
        var lamp =
                table.suspects().stream()
                        .flatMap(suspect -> suspect.faults().stream())
                        .filter(Fault.Another.class::isInstance)
                        .filter(fault -> fault.parts(DESIGN).anyMatch(new PartId("H1")::equals))
                        .findFirst()
                        .orElseThrow();
        var broken = table.with(List.of(fault("4=open"), lamp));
        var point = new Solver(broken).solve(ON).settled().orElseThrow();

        assertThat(broken.design()).isNotEqualTo(DESIGN);
        assertThat(point.light(new PartId("H1"), "58").orElseThrow().value())
                .isCloseTo(0, within(1e-6));
        assertThat(table.with(List.of())).isSameAs(table.netlist());
    }

    /** A table that nobody wants any more is given up. */
    @Test
    void aTableMayBeGivenUp() {
        assertThat(FaultTable.of(table.netlist(), CIRCUIT, () -> false)).isEmpty();
        assertThat(FaultTable.of(table.netlist(), CIRCUIT, () -> true)).isPresent();
        assertThat(table.moved(OFF, ON)).isEqualTo(1);
        assertThat(table.reach(new PartId("H1"))).isEqualTo(0.05);
        assertThat(table.feed()).isEqualTo(Optional.of(new WireId("w2")));
    }

    /** Where nothing comes to rest a meter shows nothing, and that is told. */
    @Test
    void whatNeverComesToRestIsRestless() {
        var buzzing = DesignBuilder.buzzing().build();
        var buzzes = FaultTable.of(Netlist.of(buzzing), CIRCUIT);
        var restless = new Measure.Told(new Telltale.Restless());

        assertThat(buzzes.states()).isEmpty();
        assertThat(buzzes.predicted(Conditions.REST, restless)[0]).isEqualTo(1);
        assertThat(buzzes.predicted(Conditions.REST, volts("X1.+"))[0]).isNaN();
        assertThat(table.predicted(ON, restless)).containsOnly(0);
    }
}
