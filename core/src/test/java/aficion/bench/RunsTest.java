package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.reason.Sign.Look;
import aficion.job.BenchRun.Setting;
import aficion.job.ControlKind;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.Solver;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The runs of a small car, step by step, for every place where it is tested. */
class RunsTest {
    private static final List<String> LOOKS =
            List.of(
                    "look at B1",
                    "look at E1",
                    "look at M1",
                    "look at S1",
                    "look at G1",
                    "look at H1",
                    "look at F1",
                    "look at S2",
                    "look at H2",
                    "look at K1",
                    "look at S3",
                    "look at H3",
                    "look at F2",
                    "look at S4",
                    "look at X1",
                    "look at S5",
                    "look at H4");

    /**
     * No volts show a charging lead, a lamp's lead or the start lead broken with all else right.
     */
    private static final List<String> OHMS =
            List.of("ohms w5: at most 0.30", "ohms w6: at most 0.31", "ohms w7: at most 0.32");

    /** The first terminal of what hangs together; the strap is on the earth side. */
    private static final List<String> ISOLATION =
            List.of(
                    "isolation B1.+: at least 1e6",
                    "isolation S1.50: at least 1e6",
                    "isolation S1.15: at least 1e6",
                    "isolation H1.2: at least 1e6",
                    "isolation F1.2: at least 1e6",
                    "isolation S2.2: at least 1e6",
                    "isolation K1.49a: at least 1e6",
                    "isolation S3.2: at least 1e6",
                    "isolation F2.2: at least 1e6",
                    "isolation S4.2: at least 1e6",
                    "isolation S5.2: at least 1e6");

    /**
     * At rest what hangs on the battery has its volts, and what is behind the key none; each switch
     * is worked once alone; the readings are few, and taken where most is on.
     */
    private static final List<String> POWERED =
            List.of(
                    "quiet: 0.00 +- 0.02",
                    "volts S1.15: 0.00 +- 0.25",
                    "volts G1.B+: 12.70 +- 0.51",
                    "volts S4.1: 12.70 +- 0.51",
                    "volts S5.1: 12.70 +- 0.51",
                    "works horn=on: X1 WORKS",
                    "works brake=on: H4 BURNS",
                    "works key=run: H1 BURNS",
                    "works key=run,light=on: H1 BURNS, H2 BURNS",
                    "amps w2 key=run,light=on: 4.10 +- 0.33",
                    "volts S3.1 key=run,light=on: 12.58 +- 0.50",
                    "works key=run,turn=on: H1 BURNS, H3 BLINKS",
                    "amps w2 brake=on,horn=on,key=run,light=on,turn=on: 12.17 +- 0.97",
                    "volts H1.2 brake=on,horn=on,key=run,light=on,turn=on: 0.83 +- 0.25",
                    "volts H3.58 brake=on,horn=on,key=run,light=on,turn=on: 12.36 +- 0.49",
                    "works key=start: H1 DIM",
                    "works brake=on,key=start: H1 DIM, H4 DIM",
                    "volts H4.58 brake=on,key=start: 10.64 +- 0.43",
                    "volts S2.2 brake=on,key=start: 0.00 +- 0.25");

    private static final List<String> BATTERY =
            List.of("volts B1.+: 12.50 to 12.70", "standing BATTERY: at most 0.05");

    private static final String CRANKING = "volts B1.+ key=start: 9.60 to 12.70";

    private static List<String> all(List<List<String>> lists) {
        return lists.stream().flatMap(List::stream).toList();
    }

    /** On the bench: a look, ohms for what volts do not show, isolation, then power. */
    @Test
    void onTheBench() {
        assertThat(SmallCar.lines(SmallCar.plan(Setting.BENCH)))
                .containsExactlyElementsOf(
                        all(List.of(LOOKS, OHMS, ISOLATION, POWERED, List.of("leave"))));
    }

    /** On the vehicle the battery is read first, and while the starter turns. */
    @Test
    void onTheVehicleWithTheEngineStill() {
        assertThat(SmallCar.lines(SmallCar.plan(Setting.STILL)))
                .containsExactlyElementsOf(
                        all(
                                List.of(
                                        LOOKS,
                                        OHMS,
                                        ISOLATION,
                                        BATTERY,
                                        POWERED,
                                        List.of(CRANKING, "leave"))));
    }

    /** The pedal switch is the one that would burn a lamp off the vehicle. */
    @Test
    void whatWouldFlattenTheBatteryIsLeftUnplugged() {
        var plan = SmallCar.plan(Setting.BENCH);

        assertThat(plan.find("leave").orElseThrow().task())
                .isEqualTo(new TestStep.Leave(List.of(new PartId("S5"))));
        assertThat(plan.find("quiet").orElseThrow().stage()).isEqualTo(TestStep.Stage.QUIET);
        assertThat(plan.find("no such step")).isEmpty();
    }

    /** What the run notices first at each reading adds up to all that it notices. */
    @Test
    void whatTheReadingsNoticeIsCounted() {
        var coverage = SmallCar.plan(Setting.BENCH).coverage().orElseThrow();

        assertThat(coverage.notices().values().stream().mapToInt(count -> count).sum())
                .isEqualTo(coverage.noticed());
        assertThat(coverage.notices()).hasSize(11);
        assertThat(coverage.unnoticed()).isEqualTo(14);
        assertThat(coverage.drawn().value()).isCloseTo(218.6, within(0.1));
    }

    /** Small lamps where the big loads are: what they draw is less, what they show the same. */
    @Test
    void withStandInsClippedIn() {
        var lines = SmallCar.lines(SmallCar.plan(Setting.STAND_INS));

        assertThat(lines)
                .containsSubsequence(
                        "isolation S5.2: at least 1e6",
                        "clip in",
                        "quiet: 0.00 +- 0.02",
                        "works horn=on: X1 BURNS",
                        "works key=run,light=on: H1 BURNS, H2 BURNS",
                        "amps w2 brake=on,horn=on,key=run,light=on,turn=on: 6.17 +- 0.49",
                        "leave");
    }

    /** At idle and faster the lamp goes out, the source gives, and each function is worked. */
    @Test
    void withTheEngineRunning() {
        var plan = SmallCar.plan(Setting.RUNNING);

        assertThat(SmallCar.lines(plan))
                .containsExactlyElementsOf(
                        all(
                                List.of(
                                        BATTERY,
                                        List.of(
                                                CRANKING,
                                                "volts B1.+ key=run,rpm=800.0: 13.80 to 14.60",
                                                "volts B1.+ key=run,rpm=2000.0: 13.80 to 14.60",
                                                "volts B1.+ key=run,light=on,rpm=2000.0,turn=on:"
                                                        + " 13.20 to 14.60",
                                                "works key=run: H1 BURNS",
                                                "works key=run,rpm=800.0: ",
                                                "works key=run,light=on,rpm=800.0: H2 BURNS",
                                                "works key=run,rpm=800.0,turn=on: H3 BLINKS",
                                                "volts M1.30 key=run,light=on,rpm=800.0,turn=on:"
                                                        + " 14.12 +- 0.56",
                                                "check RATIO G1",
                                                "check WARMTH G1",
                                                "standing AFTER: at most 0.05"))));
        assertThat(plan.coverage()).isEmpty();
        assertThat(plan.lamps().orElseThrow().rows())
                .containsOnlyKeys(new PartId("H1"))
                .containsValue(List.of(Look.DARK, Look.BURNS, Look.DARK));
    }

    /** The few readings after a change. */
    @Test
    void toProveAChange() {
        assertThat(SmallCar.lines(SmallCar.plan(Setting.PROOF)))
                .containsExactly(
                        "quiet: 0.00 +- 0.02",
                        "volts M1.30 key=start: 10.75 +- 0.43",
                        "works horn=on: X1 WORKS",
                        "works brake=on: H4 BURNS",
                        "works key=run: H1 BURNS",
                        "works key=run,light=on: H1 BURNS, H2 BURNS",
                        "works key=run,turn=on: H1 BURNS, H3 BLINKS",
                        "works key=start: H1 DIM",
                        "works brake=on,key=start: H1 DIM, H4 DIM",
                        "volts M1.30 key=run,light=on,rpm=800.0,turn=on: 14.12 +- 0.56",
                        "leave");
    }

    /** Every reading there is: the feed, and what each part is fed with, state by state. */
    @Test
    void everyReading() {
        var solver = new Solver(Netlist.of(SmallCar.DESIGN));
        var lines = SmallCar.lines(BenchPlan.of(solver, SmallCar.CIRCUIT));

        assertThat(lines)
                .contains(
                        "look w10",
                        "ohms w10: at most 0.33",
                        "isolation S2.2: at least 1e6",
                        "quiet: 0.00 +- 0.02",
                        "amps w2: 0.00 +- 0.05",
                        "amps w2 brake=on: 1.50 +- 0.12",
                        "volts S1.30 brake=on: 12.69 +- 0.38",
                        "volts S1.15 brake=on: 0.00 +- 0.20",
                        "volts H1.2 key=run: 0.83 +- 0.20",
                        "volts H2.58 key=start,light=on: 10.47 +- 0.31")
                .noneMatch(line -> line.startsWith("volts B1") || line.startsWith("volts F1"))
                .doesNotHaveDuplicates();
        assertThat(lines.stream().filter(line -> line.startsWith("amps w2"))).hasSize(36);
    }

    private static List<String> measured(Kind kind) {
        var builder = DesignBuilder.twelveVolts().part("X1", kind);
        for (var pin : kind.pins()) {
            builder.wire("B1.+", "X1." + pin, "1mm2", 1);
        }
        var solver = new Solver(Netlist.of(builder.build()));
        return BenchPlan.of(solver, SmallCar.CIRCUIT).steps().stream()
                .map(TestStep::task)
                .filter(TestStep.VoltsAt.class::isInstance)
                .map(task -> ((TestStep.VoltsAt) task).terminal())
                .filter(at -> at.part().value().equals("X1"))
                .map(Terminal::pin)
                .distinct()
                .toList();
    }

    /** Where each kind of part is fed; what only joins or guards is not read at. */
    @Test
    void whereEachKindIsRead() {
        var twelve = SmallCar.TWELVE;
        assertThat(measured(new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.01))))
                .containsExactly("15");
        assertThat(measured(new JoinKind.Stabiliser(new Volts(10)))).containsExactly("B", "I");
        assertThat(measured(new JoinKind.Resistor(new Ohms(2)))).containsExactly("2");
        assertThat(measured(new JoinKind.Splice())).isEmpty();
        assertThat(measured(new JoinKind.Diode(new Amps(1)))).isEmpty();
        assertThat(measured(new ControlKind.Points(4, new Ratio(0.5)))).isEmpty();
        assertThat(measured(new LoadKind.Buzzer(twelve, new Amps(0.1)))).containsExactly("+");
        assertThat(measured(new LoadKind.WarningLamp(new Watts(2), twelve)))
                .containsExactly("1", "2");
        assertThat(measured(new LoadKind.Motor(new Amps(4), twelve))).containsExactly("+");
        assertThat(measured(new LoadKind.Gauge(new Ohms(60), new Amps(0.1))))
                .containsExactly("B", "T");
        assertThat(measured(SmallCar.flasher())).containsExactly("49", "49a");
    }
}
