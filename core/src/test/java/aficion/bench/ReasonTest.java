package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.reason.Belief;
import aficion.bench.reason.Diagnosis;
import aficion.bench.reason.Evidence;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Measure;
import aficion.bench.reason.NextReading;
import aficion.bench.reason.Pairs;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Sight;
import aficion.bench.reason.Telltale;
import aficion.bench.reason.TestCover;
import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ratio;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A lamp behind a fuse and a switch: w2 to the fuse, w3 to the switch, w4 to the lamp. */
class ReasonTest {
    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .onOff("S1", "light", 10)
                    .lamp("H1", 21)
                    .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                    .wire("F1.2", "S1.1", "1mm2", 1)
                    .wire("S1.2", "H1.58", "1mm2", 1)
                    .build();

    private static final Netlist NETLIST = Netlist.of(DESIGN);
    private static final CircuitId CIRCUIT = DESIGN.circuits().getFirst().id();
    private static final FaultTable TABLE = FaultTable.of(NETLIST, CIRCUIT);
    private static final Conditions ON = Conditions.REST.with("light", "on");
    private static final WireId LAST = wire("H1.58");

    private static WireId wire(String end) {
        return DESIGN.wiresAt(at(end)).getFirst().id();
    }

    private static Terminal at(String text) {
        return Terminal.parse(text).orElseThrow();
    }

    private static Reading volts(String where, double volts) {
        return new Reading(ON, new Measure.VoltsAt(at(where)), volts);
    }

    private static List<Fault> likeliest(Belief belief) {
        return belief.verdicts().getFirst().suspects().stream()
                .flatMap(suspect -> suspect.faults().stream())
                .toList();
    }

    /** Twelve volts leave the switch and none come to the lamp: the wire between is broken. */
    @Test
    void anOpenWireIsNamed() {
        var belief = Belief.of(TABLE).after(volts("S1.2", 12.6)).after(volts("H1.58", 0.01));

        assertThat(likeliest(belief)).contains(new Fault.Broken(LAST));
        assertThat(belief.verdicts().getFirst().weight()).isGreaterThan(0.9);
        assertThat(Pairs.explained(belief)).isTrue();
    }

    /** A slip says that the switch gets nothing; what is read after it is believed. */
    @Test
    void oneSlipDoesNotMisleadForGood() {
        var belief =
                Belief.of(TABLE)
                        .after(volts("S1.1", 3.3))
                        .after(volts("S1.2", 12.6))
                        .after(volts("H1.58", 0.01))
                        .after(volts("F1.2", 12.65));

        assertThat(likeliest(belief)).contains(new Fault.Broken(LAST));
    }

    /** What is seen speaks too: the lamp is dark, so nothing that leaves it bright is left. */
    @Test
    void whatIsSeenIsWeighed() {
        var dark = new Measure.LightOf(new PartId("H1"), "58");
        var belief = Belief.of(TABLE).after(new Reading(ON, dark, Sight.DARK.share()));
        var nothing = Belief.of(TABLE).verdicts().getFirst().weight();

        assertThat(likeliest(belief)).isNotEmpty();
        assertThat(belief.verdicts())
                .filteredOn(each -> each.suspects().getFirst().faults().isEmpty())
                .allSatisfy(each -> assertThat(each.weight()).isLessThan(nothing));
    }

    /** What is advised tells something, and following it names every fault but for those alike. */
    @Test
    void followingTheAdviceNamesEveryFault() {
        for (int i = 1; i < TABLE.suspects().size(); i++) {
            var readings = new ArrayList<Reading>();
            var diagnosis = Diagnosis.of(TABLE, Evidence.of(readings), Conditions.REST, () -> true);
            while (diagnosis.named().isEmpty() && diagnosis.next().isPresent()) {
                var next = diagnosis.next().get();
                assertThat(next.bits()).isPositive();
                double shown = TABLE.predicted(next.state(), new Measure.VoltsAt(next.at()))[i];
                readings.add(new Reading(next.state(), new Measure.VoltsAt(next.at()), shown));
                diagnosis = Diagnosis.of(TABLE, Evidence.of(readings), next.state(), () -> true);
            }
            assertThat(readings).hasSizeLessThanOrEqualTo(8);
            assertThat(diagnosis.verdicts().getFirst().suspects())
                    .contains(TABLE.suspects().get(i));
        }
    }

    /** Two faults that no single one explains are looked for together. */
    @Test
    void twoFaultsAreFoundTogether() {
        var first = wire("S1.1");
        var belief =
                Belief.of(TABLE)
                        .after(volts("F1.2", 12.6))
                        .after(volts("S1.1", 9.4))
                        .after(volts("S1.2", 9.4))
                        .after(volts("H1.58", 6.1));
        var both = Pairs.where(belief, TABLE, () -> true);

        assertThat(both.misfit()).isLessThan(belief.misfit());
        assertThat(likeliest(both)).isNotEmpty().doesNotContain(new Fault.Broken(first));
    }

    /** Every fault that a reading tells from nothing is noticed by the run, in few readings. */
    @Test
    void theRunNoticesAllThatCanBeNoticed() {
        var cover = TestCover.of(TABLE);

        assertThat(cover.noticed() + cover.unnoticed().size())
                .isEqualTo(TABLE.suspects().size() - 1);
        assertThat(cover.readings()).hasSizeLessThanOrEqualTo(6);
        assertThat(cover.readings())
                .extracting(TestCover.Telling::notices)
                .allSatisfy(notices -> assertThat(notices).isPositive());
        var plan = BenchPlan.telling(TABLE, CIRCUIT);
        assertThat(plan.coverage().orElseThrow().noticed()).isEqualTo(cover.noticed());
        assertThat(plan.steps()).extracting(TestStep::key).doesNotHaveDuplicates();
    }

    /** A switch that shorts the fuse is not thrown to test the rest; the run says so. */
    @Test
    void whatMustNotBeTriedIsSaid() {
        var shorted =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .onOff("S1", "light", 10)
                        .onOff("S2", "trap", 10)
                        .lamp("H1", 21)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .wire("F1.2", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.58", "1mm2", 1)
                        .wire("F1.2", "S2.1", "1mm2", 1)
                        .wire("S2.2", "E1.E", "1mm2", 1)
                        .build();
        var table = FaultTable.of(Netlist.of(shorted), CIRCUIT);
        var plan = BenchPlan.telling(table, CIRCUIT);

        assertThat(table.states())
                .isNotEmpty()
                .noneMatch(state -> "on".equals(state.positions().get("trap")));
        assertThat(table.forbidden())
                .singleElement()
                .satisfies(why ->
                        assertThat(why.guard())
                                .hasValueSatisfying(
                                        seat -> assertThat(seat.part()).hasToString("F1")));
        assertThat(plan.steps())
                .filteredOn(step ->
                        step.expected().filter(Expected.Opens.class::isInstance).isPresent())
                .singleElement()
                .satisfies(step ->
                        assertThat(step.expected().orElseThrow().said(Verdict.PASS))
                                .isEqualTo(Verdict.NOT_TESTED));
    }

    /** 12.6 V of a charged battery, and a fifth over what the run draws, up to a tenth. */
    @Test
    void theSupplyIsSetByWhatTheRunDraws() {
        var plan = BenchPlan.telling(TABLE, CIRCUIT);
        var set = SupplySetting.of(TABLE.netlist().design(), plan);
        double drawn = plan.coverage().orElseThrow().drawn().value();

        assertThat(set.volts().value()).isCloseTo(12.6, within(1e-9));
        assertThat(set.limit().value())
                .isGreaterThanOrEqualTo(1)
                .isBetween(1.2 * drawn, Math.max(1, 1.2 * drawn + 0.1));
    }

    /** A lamp that should be dark and is seen to be is right; one that should burn is not. */
    @Test
    void whatIsSeenIsJudgedByTheLightThereShouldBe() {
        var lamp = new Terminal(new PartId("H1"), "58");
        var now = Instant.EPOCH;

        assertThat(RunReadings.seen(lamp, "", Sight.DARK, Optional.of(new Ratio(0)), now).verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(
                        RunReadings.seen(lamp, "", Sight.DARK, Optional.of(new Ratio(0.9)), now)
                                .verdict())
                .isEqualTo(Verdict.FAIL);
        assertThat(RunReadings.seen(lamp, "", Sight.RIGHT, Optional.empty(), now).verdict())
                .isEqualTo(Verdict.FAIL);
    }

    /** What is advised next moves nothing that need not be moved where two places tell the same. */
    @Test
    void theBestNextReadingTellsMost() {
        var next = NextReading.of(Belief.of(TABLE), ON).orElseThrow();

        assertThat(next.state()).isEqualTo(ON);
        assertThat(next.outcomes()).hasSizeGreaterThan(1);
        assertThat(next.outcomes().stream().mapToDouble(NextReading.Outcome::weight).sum())
                .isBetween(0.999, 1.001);
    }

    private static Reading told(Telltale what, boolean so) {
        return new Reading(ON, new Measure.Told(what), so ? 1 : 0);
    }

    private static List<Fault> first(Evidence evidence) {
        return Diagnosis.of(TABLE, evidence, ON, () -> true)
                .verdicts()
                .getFirst()
                .suspects()
                .getFirst()
                .faults();
    }

    /** A fuse that is gone leaves that, and what blows it; a lead that is broken does not. */
    @Test
    void whatIsNoticedWithoutAMeterCounts() {
        var fuse = new Telltale.FuseGone(RunReadings.guard(DESIGN, "F1").orElseThrow());
        var gone = Diagnosis.of(TABLE, Evidence.of(List.of(told(fuse, true))), ON, () -> true);

        assertThat(gone.verdicts().getFirst().suspects())
                .flatExtracting(suspect -> suspect.faults())
                .isNotEmpty()
                .doesNotContain(new Fault.Broken(LAST));
        var warm = told(new Telltale.Warm(LAST), true);
        assertThat(first(Evidence.of(List.of(warm, warm))))
                .containsExactly(new Fault.BadJoint(LAST, Fault.BAD.getLast()));
        var right = told(new Telltale.AsDrawn(CIRCUIT), true);
        var dark = told(new Telltale.AsDrawn(CIRCUIT), false);
        assertThat(first(Evidence.of(List.of(right)))).isEmpty();
        assertThat(first(Evidence.of(List.of(dark, dark)))).isNotEmpty();
    }

    /** Where somebody worked last it likelier is, and each reading says what it speaks for. */
    @Test
    void whatWasMovedLastAndWhatWasReadSpeakForIt() {
        var dark = volts("H1.58", 0);
        var plain = Evidence.of(List.of(dark));
        var moved = new Evidence(List.of(dark), false, Optional.of(new PartId("H1")));
        var suspect = new Fault.Broken(LAST);

        assertThat(weight(moved, suspect)).isGreaterThan(1.5 * weight(plain, suspect));
        var first = Diagnosis.of(TABLE, plain, ON, () -> true).verdicts().getFirst();
        assertThat(first.speaks())
                .singleElement()
                .satisfies(speaks -> {
                    assertThat(speaks.reading()).isEqualTo(dark);
                    assertThat(speaks.tells()).isPositive();
                });
        var nothing = Diagnosis.of(TABLE, plain, ON, () -> true).verdicts().stream();
        assertThat(nothing)
                .filteredOn(each -> each.suspects().getFirst().faults().isEmpty())
                .allSatisfy(
                        each -> assertThat(each.speaks()).allMatch(speaks -> speaks.tells() < 0));
    }

    private static double weight(Evidence evidence, Fault fault) {
        return Diagnosis.of(TABLE, evidence, ON, () -> true).verdicts().stream()
                .filter(each ->
                        each.suspects().stream()
                                .anyMatch(suspect -> suspect.faults().equals(List.of(fault))))
                .mapToDouble(each -> each.weight())
                .sum();
    }

    /**
     * Of a trouble that comes and goes what is right rules nothing out, and a wiggle tells where.
     */
    @Test
    void whatComesAndGoesIsLookedForByMovingIt() {
        var lamp58 = new Measure.VoltsAt(at("H1.58"));
        var right = volts("H1.58", TABLE.predicted(ON, lamp58)[0]);
        var wrong = volts("H1.58", 0);
        var stays = new Evidence(List.of(wrong, right, right, right), false);
        var comes = new Evidence(List.of(wrong, right, right, right), true);
        var moved = Diagnosis.of(TABLE, comes, ON, () -> true);

        assertThat(first(stays)).isEmpty();
        assertThat(first(comes)).isNotEmpty();
        assertThat(moved.wiggle()).isPresent();
        var lamp = new Telltale.Moves(new PartId("H1"));
        var bad = new Fault.BadJoint(LAST, Fault.BAD.getLast());
        int at =
                TABLE.suspects().stream()
                        .map(suspect -> suspect.faults())
                        .toList()
                        .indexOf(List.of(bad));
        var sags = volts("H1.58", TABLE.predicted(ON, lamp58)[at]);
        var loaded = told(new Telltale.Loads(), true);
        var warmed = told(new Telltale.Warms(new PartId("S1")), false);
        assertThat(first(new Evidence(List.of(sags, loaded, warmed), true)).getFirst())
                .isInstanceOfAny(Fault.BadJoint.class, Fault.PoorEarth.class, Fault.Burnt.class);
        var found = new Evidence(List.of(wrong, right, told(lamp, true), told(lamp, true)), true);
        assertThat(first(found)).containsExactly(new Fault.Broken(LAST));
        assertThat(Diagnosis.of(TABLE, found, ON, () -> true).wiggle())
                .hasValueSatisfying(next -> assertThat(next.part()).isNotEqualTo(lamp.part()));
    }

    /** A fault is written and read again; what is none is refused. */
    @Test
    void faultsAreWrittenInShort() {
        for (var suspect : TABLE.suspects()) {
            for (var fault : suspect.faults()) {
                if (!(fault instanceof Fault.Another)) {
                    assertThat(Notation.parse(NETLIST, Notation.of(DESIGN, fault)))
                            .as(Notation.of(DESIGN, fault))
                            .contains(fault);
                }
            }
        }
        for (var none : List.of("", "=", "9.99=open", "H1=sings", "E9=lost", "a/b=touching")) {
            assertThat(Notation.parse(NETLIST, none)).isEmpty();
        }
    }
}
