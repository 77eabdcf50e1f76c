package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.BenchPlan;
import aficion.bench.Expected;
import aficion.bench.TestStep;
import aficion.bench.reason.Belief;
import aficion.bench.reason.Belief.Verdict;
import aficion.bench.reason.Diagnosis;
import aficion.bench.reason.DriversOrder;
import aficion.bench.reason.Evidence;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Functions;
import aficion.bench.reason.Measure;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Suspect;
import aficion.bench.reason.Telltale;
import aficion.bench.reason.TestCover;
import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.BenchRun.Setting;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.UserUnits;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.words.Speech;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every fault of every circuit of a demo is looked for by following the advice, with a meter. */
class ReasonFiguresTest {
    /** A meter is off by half a percent and 0.02 V; one reading in a hundred is a slip. */
    private static final double SHARE = 0.005;

    /** So many faults on is the next one looked for: 1 for the figures of docs/PERFORMANCE.md. */
    private static final int EACH = Integer.getInteger("aficion.faults", 4);

    private static final double OFF = 0.02;
    private static final double SLIPS = 0.01;
    private static final int MOST = 15;

    private double slips = SLIPS;
    private int tried;
    private int named;
    private double readings;
    private double bits;
    private int circuits;

    private static Stream<Circuit> circuits(Design design) {
        return design.circuits().stream()
                .filter(circuit -> !design.wiresOf(circuit.id()).isEmpty());
    }

    @Test
    void theRightFaultIsNamedInFewReadings() {
        for (var demo : DemoJobs.names()) {
            var design = DemoJobs.find(demo).orElseThrow().design();
            var netlist = Netlist.of(design);
            circuits(design).forEach(circuit -> look(FaultTable.of(netlist, circuit.id())));
        }
        assertThat(named / (double) tried).isGreaterThanOrEqualTo(0.98);
        assertThat(readings / circuits).isLessThanOrEqualTo(bits / circuits);
    }

    private void look(FaultTable table) {
        var random = new Random(7);
        double weights = 0;
        double sum = 0;
        for (int fault = 1; fault < table.suspects().size(); fault += EACH) {
            double weight = table.suspects().get(fault).weight();
            weights += weight;
            sum += weight * follow(table, fault, random);
        }
        readings += sum / weights;
        bits += bits(table);
        circuits++;
    }

    /** What is missing to know which of those faults it is that do not look the same, in bits. */
    private static double bits(FaultTable table) {
        double all = table.suspects().stream().mapToDouble(Suspect::weight).sum();
        double faults = all - table.suspects().getFirst().weight();
        return Belief.of(table).verdicts().stream()
                .map(Verdict::suspects)
                .mapToDouble(alike ->
                        alike.stream()
                                        .filter(each -> !each.faults().isEmpty())
                                        .mapToDouble(Suspect::weight)
                                        .sum()
                                / faults)
                .filter(share -> share > 0)
                .map(share -> -share * Math.log(share) / Math.log(2))
                .sum();
    }

    private int follow(FaultTable table, int fault, Random random) {
        return follow(table, fault, random, List.of());
    }

    /** How many readings it takes after what is known already. */
    private int follow(FaultTable table, int fault, Random random, List<Reading> known) {
        List<Reading> read = new ArrayList<>(known);
        var diagnosis = Diagnosis.of(table, Evidence.of(read), Conditions.REST, () -> true);
        while (diagnosis.named().isEmpty()
                && diagnosis.next().isPresent()
                && read.size() - known.size() < MOST) {
            var next = diagnosis.next().get();
            double real = table.predicted(next.state(), new Measure.VoltsAt(next.at()))[fault];
            if (Double.isNaN(real)) {
                read.add(restless(next.state()));
                diagnosis = Diagnosis.of(table, Evidence.of(read), next.state(), () -> true);
                continue;
            }
            double shown = real;
            shown += random.nextGaussian() * (SHARE * Math.abs(shown) + OFF);
            if (random.nextDouble() < slips) {
                shown = 14 * random.nextDouble();
            }
            read.add(new Reading(next.state(), new Measure.VoltsAt(next.at()), shown));
            diagnosis = Diagnosis.of(table, Evidence.of(read), next.state(), () -> true);
        }
        tried++;
        if (diagnosis.verdicts().getFirst().suspects().contains(table.suspects().get(fault))) {
            named++;
        }
        return read.size() - known.size();
    }

    private static Reading restless(Conditions state) {
        return new Reading(state, new Measure.Told(new Telltale.Restless()), 1);
    }

    /**
     * What an eye sees of the lamps, function by function, before anything is measured: no meter is
     * taken up for that.
     */
    private static List<Reading> seen(FaultTable table, CircuitId circuit, int fault) {
        var seen = new ArrayList<Reading>();
        var functions = Functions.of(table.netlist(), circuit).unlike(table.states().stream());
        for (var function : functions) {
            for (var sign : function.signs()) {
                var light = new Measure.LightOf(sign.part(), sign.role());
                double shown = table.predicted(function.state(), light)[fault];
                if (!Double.isNaN(shown) && !sign.role().isEmpty()) {
                    seen.add(new Reading(function.state(), light, shown));
                }
            }
        }
        return seen;
    }

    /**
     * How many readings it takes from the source to the load, point by point and position by
     * position, until one is not as it should be; empty where none ever is.
     */
    private static OptionalInt pointByPoint(FaultTable table, int fault) {
        int read = 0;
        var states =
                table.states().stream()
                        .sorted(DriversOrder.of(table.netlist().controls()))
                        .toList();
        for (var state : states) {
            for (var what : table.measures()) {
                if (what instanceof Measure.VoltsAt) {
                    read++;
                    var values = table.predicted(state, what);
                    if (Math.abs(values[fault] - values[0]) > table.nearVolts(values[0])) {
                        return OptionalInt.of(read);
                    }
                }
            }
        }
        return OptionalInt.empty();
    }

    /**
     * With what an eye sees of the lamps first, and a meter then: fewer than the classes have bits,
     * far fewer than from the source to the load point by point, and never more than ten while the
     * meter does not slip.
     */
    @Test
    void eyesFirstLeaveLittleToMeasure() {
        var random = new Random(7);
        slips = 0;
        double walk = 0;
        int worst = 0;
        for (var demo : DemoJobs.names()) {
            var design = DemoJobs.find(demo).orElseThrow().design();
            var netlist = Netlist.of(design);
            for (var circuit : circuits(design).toList()) {
                var table = FaultTable.of(netlist, circuit.id());
                double sum = 0;
                double weights = 0;
                double points = 0;
                double noticed = 0;
                for (int fault = 1; fault < table.suspects().size(); fault += EACH) {
                    double weight = table.suspects().get(fault).weight();
                    int took = follow(table, fault, random, seen(table, circuit.id(), fault));
                    worst = Math.max(worst, took);
                    weights += weight;
                    sum += weight * took;
                    var byPoint = pointByPoint(table, fault);
                    points += weight * byPoint.orElse(0);
                    noticed += byPoint.isPresent() ? weight : 0;
                }
                readings += sum / weights;
                walk += points / noticed;
                bits += bits(table);
                circuits++;
            }
        }

        assertThat(named).isEqualTo(tried);
        assertThat(worst).isLessThanOrEqualTo(10);
        assertThat(readings / circuits).isLessThanOrEqualTo(bits / circuits);
        assertThat(readings).isLessThanOrEqualTo(0.6 * walk);
    }

    /** A run of at most fifteen readings with power on notices all that a meter can notice. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void aRunIsShort(String demo) {
        var design = DemoJobs.find(demo).orElseThrow().design();
        var netlist = Netlist.of(design);
        circuits(design)
                .forEach(circuit -> {
                    var cover = TestCover.of(FaultTable.of(netlist, circuit.id()));
                    assertThat(cover.readings()).as(circuit.name()).hasSizeLessThanOrEqualTo(15);
                    assertThat(cover.noticed()).as(circuit.name()).isPositive();
                });
    }

    /**
     * Whatever is drawn wrong: every circuit of every job of the corpus has a run and a diagnosis.
     */
    @Test
    void whatIsDrawnWrongCanBeTestedToo() {
        int turn = 0;
        for (var mistake : Corpus.cases()) {
            var setting = Setting.values()[turn++ % Setting.values().length];
            var design = mistake.design();
            circuits(design)
                    .forEach(circuit -> {
                        var table = table(design, circuit.id(), setting);
                        var plan = BenchPlan.of(setting, table, circuit.id());
                        var diagnosis =
                                Diagnosis.of(
                                        table, Evidence.of(List.of()), Conditions.REST, () -> true);

                        assertThat(plan.steps()).as(mistake.name()).isNotEmpty();
                        assertThat(diagnosis.verdicts()).as(mistake.name()).isNotEmpty();
                        assertThat(diagnosis.verdicts().stream().mapToDouble(Verdict::weight).sum())
                                .isBetween(0.999, 1.001);
                    });
        }
    }

    private static FaultTable table(Design design, CircuitId circuit, Setting setting) {
        return FaultTable.of(Netlist.of(BenchPlan.tested(setting, design, circuit)), circuit);
    }

    /**
     * Wherever a circuit is tested its steps are in the order of the stages, each has a name of its
     * own, can be said, and has nobody try what opens a guard.
     */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void everyCircuitHasARunForEverySetting(String demo) {
        var design = DemoJobs.find(demo).orElseThrow().design();
        var speech = new Speech(design, UserUnits.METRIC);
        for (var setting : Setting.values()) {
            circuits(design)
                    .forEach(circuit -> {
                        var table = table(design, circuit.id(), setting);
                        var steps = BenchPlan.of(setting, table, circuit.id()).steps();
                        assertThat(steps).as(circuit.name() + " " + setting).isNotEmpty();
                        assertThat(steps).extracting(TestStep::stage).isSorted();
                        assertThat(steps).extracting(TestStep::key).doesNotHaveDuplicates();
                        assertThat(steps)
                                .extracting(step -> speech.task(step.task()))
                                .allSatisfy(
                                        text -> assertThat(text).isNotBlank().doesNotContain("{"));
                        assertThat(steps)
                                .flatExtracting(step -> measured(step.task()))
                                .doesNotHaveDuplicates();
                        var solver = new Solver(table.netlist());
                        assertThat(steps)
                                .filteredOn(step ->
                                        step.expected()
                                                .filter(Expected.Opens.class::isInstance)
                                                .isEmpty())
                                .flatExtracting(step -> step.task().state().stream().toList())
                                .allSatisfy(state ->
                                        assertThat(solver.solve(state))
                                                .isInstanceOfSatisfying(
                                                        Outcome.Solved.class,
                                                        solved ->
                                                                assertThat(solved.point().blown())
                                                                        .isEmpty()));
                    });
        }
    }

    /** The wires whose ohms are measured in a step. */
    private static List<WireId> measured(TestStep.Task task) {
        return switch (task) {
            case TestStep.Continuity(var wire) -> List.of(wire);
            case TestStep.Through(var wires, _, _, _) -> wires;
            case TestStep.Look _,
                    TestStep.LookAt _,
                    TestStep.Isolation _,
                    TestStep.Quiet _,
                    TestStep.AmpsIn _,
                    TestStep.VoltsAt _,
                    TestStep.Works _,
                    TestStep.Check _,
                    TestStep.ClipIn _,
                    TestStep.Leave _ ->
                    List.of();
        };
    }

    /** What a command prints of a fault it reads again. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void everyFaultIsWrittenAndRead(String demo) {
        var design = DemoJobs.find(demo).orElseThrow().design();
        var netlist = Netlist.of(design);
        circuits(design)
                .flatMap(circuit -> FaultTable.suspects(netlist, circuit.id()).stream())
                .flatMap(suspect -> suspect.faults().stream())
                .filter(fault -> !(fault instanceof Fault.Another))
                .forEach(fault ->
                        assertThat(
                                        Notation.parse(netlist, Notation.of(design, fault))
                                                .map(read -> Notation.of(design, read)))
                                .contains(Notation.of(design, fault)));
    }
}
