package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.fault.Fault;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.simulate.Probe;
import aficion.simulate.Script;
import aficion.simulate.Simulation;
import aficion.simulate.SimulationEvent;
import aficion.size.Assessment;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.sweep.Consequence;
import aficion.sweep.Sweep;
import aficion.verb.Attempt;
import aficion.verb.Plugging;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The motorcycle and the tractor: whole vehicles with honest mistakes. */
class DemoJobsTest {
    private static final Design MOTORCYCLE = DemoJobs.find("motorcycle").orElseThrow().design();
    private static final Design TRACTOR = DemoJobs.find("tractor").orElseThrow().design();

    private static OperatingPoint solved(Design design, Conditions conditions) {
        return ((Outcome.Solved) new Solver(Netlist.of(design)).solve(conditions)).point();
    }

    private static double volts(OperatingPoint point, String terminal) {
        return point.voltsAt(Terminal.parse(terminal).orElseThrow()).orElseThrow().value();
    }

    private static List<String> mistakes(Design design) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(finding -> finding.severity().compareTo(Severity.FIX) <= 0)
                .map(Finding::rule)
                .toList();
    }

    /** A feed past the main fuse, a label twice, a diode lamp the wrong way round, a rear lamp. */
    @Test
    void theMotorcycleHasItsMistakes() {
        assertThat(mistakes(MOTORCYCLE))
                .containsExactly(
                        "LeadWithoutGuard", "SameLabel", "PolarityReversed", "FlasherLoad");
    }

    /**
     * Thin heater plug lead, a ring too large for the starter's stud, control box without earth,
     * gauge and sender that do not match.
     */
    @Test
    void theTractorHasItsMistakes() {
        assertThat(mistakes(TRACTOR))
                .containsExactly(
                        "GuardLargerThanWire",
                        "RingDoesNotFit",
                        "TerminalUnconnected",
                        "FamiliesDiffer");
    }

    static Stream<Design> demos() {
        return Stream.of(MOTORCYCLE, TRACTOR);
    }

    /** Wherever a demo is made to come apart, nothing passes whole and nothing stops working. */
    @ParameterizedTest
    @MethodSource("demos")
    void aPlugAnywherePartsAllThatPasses(Design design) {
        var assessment = Assessment.of(design);
        var dead = dead(assessment);
        for (var station : design.body().orElseThrow().plan().stations()) {
            if (Plugging.at(assessment, station.id()) instanceof Attempt.Possible(var plug)) {
                var after = Assessment.of(plug.apply(design));
                assertThat(Plugging.undivided(after, station.id())).isEmpty();
                assertThat(dead(after)).as(station.id().toString()).isEqualTo(dead);
            }
        }
    }

    /** What is not joined, doubled or never works. */
    private static List<String> dead(Assessment assessment) {
        return Findings.of(assessment).stream()
                .filter(finding ->
                        finding instanceof Finding.TerminalUnconnected
                                || finding.rule().equals("SameLabel")
                                || finding.rule().equals("NeverWorks"))
                .map(finding -> finding.rule() + finding.subject())
                .toList();
    }

    /** Positive earth: the live side is below earth; charging, 14.2 V at the sense lead. */
    @Test
    void theMotorcycleRunsWithItsPositivePoleEarthed() {
        var point =
                solved(
                        MOTORCYCLE,
                        Conditions.REST
                                .with("key", "run")
                                .withEngine(new Rpm(4500))
                                .withCharge(new Ratio(1)));

        assertThat(volts(point, "FB1.4b")).isCloseTo(-14.2, within(0.05));
        assertThat(point.light(new PartId("H2"), "+").orElseThrow().value())
                .isCloseTo(0, within(1e-12));
    }

    /** Without its earth the control box never closes; with it the dynamo carries the vehicle. */
    @Test
    void theTractorChargesOnceItsControlBoxIsEarthed() {
        var road = Conditions.REST.with("key", "run").withEngine(new Rpm(2000));
        var finding =
                Findings.of(Assessment.of(TRACTOR)).stream()
                        .filter(Finding.TerminalUnconnected.class::isInstance)
                        .findFirst()
                        .orElseThrow();
        var mended = finding.remedies().getFirst().apply(TRACTOR);

        assertThat(solved(TRACTOR, road).closed(new PartId("N1"), "D-A")).isFalse();
        assertThat(solved(mended, road).closed(new PartId("N1"), "D-A")).isTrue();
        assertThat(volts(solved(mended, road), "B1.+")).isGreaterThan(13.2);
    }

    /** Three plugs of 0.55 Ω cold draw some 60 A, and half of it warm. */
    @Test
    void theHeaterPlugsWarm() {
        var heat = Conditions.REST.with("key", "heat");
        var result =
                Simulation.run(
                        Netlist.of(TRACTOR),
                        Script.of(Conditions.REST, heat, new Seconds(40)),
                        List.of(new Probe.AmpsInside(new PartId("K1"), "30-87")));
        var trace = result.traces().getFirst();

        assertThat(trace.most().orElseThrow()).isBetween(50.0, 65.0);
        assertThat(trace.at(40)).isBetween(28.0, 36.0);
        assertThat(result.count(SimulationEvent.Opened.class)).isZero();
    }

    @Test
    void theSweepOfTheMotorcycleNamesItsHornAndItsUnguardedLead() {
        var effects = Sweep.of(Netlist.of(MOTORCYCLE)).effects();

        assertThat(effects)
                .anyMatch(effect ->
                        effect.danger() == Consequence.Danger.RUNS
                                && effect.consequences().getFirst()
                                        instanceof Consequence.RunsByItself(var part, _, _)
                                && part.equals(new PartId("X1")))
                .noneMatch(effect -> effect.danger() == Consequence.Danger.UNSTABLE);
        assertThat(effects.getFirst().danger()).isEqualTo(Consequence.Danger.BURNS);
    }

    /**
     * A bad engine strap: the solenoid's own starter takes its volts, it lets go and pulls again.
     */
    @Test
    void theSweepOfTheTractorHearsTheSolenoidBuzz() {
        assertThat(Sweep.of(Netlist.of(TRACTOR)).effects())
                .anyMatch(effect ->
                        effect.danger() == Consequence.Danger.UNSTABLE
                                && effect.fault() instanceof Fault.BadJoint(var wire, _)
                                && TRACTOR.wire(wire).number().equals("1.03"));
    }

    @ParameterizedTest
    @CsvSource({"roadster", "motorcycle", "tractor"})
    void everyDemoComesBackFromItsFileAsItWas(String demo) throws JobFileException {
        var job = DemoJobs.find(demo).orElseThrow();

        assertThat(JobCodec.read(JobCodec.write(job))).isEqualTo(job);
    }
}
