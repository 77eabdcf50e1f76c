package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.FuseType;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Severity;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Unguarded;
import aficion.job.Work;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Guards that open, guards too large for what is behind them, and what is offered against it. */
class ProtectionTest {
    private static final PartId F1 = new PartId("F1");

    private static DesignBuilder fused(double marking) {
        return DesignBuilder.twelveVolts()
                .fuse("F1", marking)
                .wire("B1.+", "F1.1", "4mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH);
    }

    private static DesignBuilder lasting(double marking, double amps) {
        return fused(marking)
                .onOff("S1", "heater", 100)
                .load("X1", amps)
                .wire("F1.2", "S1.1", "25mm2", 1)
                .wire("S1.2", "X1.+", "25mm2", 1);
    }

    /** A blade opens for certain from 1.35 times its marking on; the next carries load and more. */
    @ParameterizedTest
    @CsvSource({"5, 6.2, 0, 0", "5, 6.8, 1, 10", "10, 14, 1, 20", "7.5, 26, 1, 35"})
    void whatLastsOpensAGuard(double marking, double amps, int findings, double next) {
        var wired = lasting(marking, amps);
        var found = found(wired, PathFinding.GuardOpens.class);

        assertThat(found).hasSize(findings);
        for (var each : found) {
            assertThat(each.opens().value()).isCloseTo(1.35 * marking, within(1e-9));
            assertThat(each.asked().value()).isBetween(0.98 * amps, 1.06 * amps);
            assertThat(each.when().positions()).containsEntry("heater", "on");
            assertThat(each.load()).contains(new PartId("X1"));
            assertThat(each.remedies())
                    .containsExactly(new PartEdit.FitFuse(F1, "", new Amps(next)));
            mends(wired, each);
        }
    }

    /** Past the largest blade a bolted fuse takes its place. */
    @Test
    void whatNoBladeCarriesIsBolted() {
        var found = only(lasting(30, 60), PathFinding.GuardOpens.class);

        assertThat(found.remedies()).singleElement().isInstanceOf(PartEdit.Refit.class);
        assertThat(((PartEdit.Refit) found.remedies().getFirst()).kind().seats().getFirst().type())
                .isEqualTo(FuseType.BOLTED);
        mends(lasting(30, 60), found);
    }

    private static DesignBuilder held(double marking, double amps) {
        return fused(marking)
                .push("S1", "horn", 60)
                .load("X1", amps)
                .wire("F1.2", "S1.1", "4mm2", 1)
                .wire("S1.2", "X1.+", "4mm2", 1);
    }

    /** What a hand holds has to pass for the short time of the house only. */
    @ParameterizedTest
    @CsvSource({"15, 14, 0", "10, 25, 1", "5, 30, 1", "30, 25, 0"})
    void whatAHandHoldsOpensAQuickGuard(double marking, double amps, int findings) {
        var found = found(held(marking, amps), PathFinding.GuardOpens.class);

        assertThat(found).hasSize(findings);
        found.forEach(each -> mends(held(marking, amps), each));
    }

    private static DesignBuilder guarded(double marking, String size) {
        return fused(marking)
                .onOff("S1", "lights", 30)
                .lamp("H1", 21)
                .wire("F1.2", "S1.1", size, 1)
                .wire("S1.2", "H1.58", size, 1);
    }

    /** 1 mm² carries 19.9 A in the cabin to the limit of its cover; the house wants a margin. */
    @ParameterizedTest
    @CsvSource({
        "10, 1mm2, 0, 0",
        "15, 1mm2, 0, 0",
        "25, 1.5mm2, 0, 2",
        "30, 1mm2, 2, 0",
        "30, 4mm2, 0, 0"
    })
    void aGuardIsNoLargerThanItsWires(double marking, String size, int dangers, int advice) {
        var wired = guarded(marking, size);
        var larger = found(wired, Finding.GuardLargerThanWire.class);
        var above = found(wired, PathFinding.GuardAboveMargin.class);

        assertThat(larger).hasSize(dangers);
        assertThat(above).hasSize(advice);
        for (var each : larger) {
            assertThat(each.passes().value()).isEqualTo(marking);
            assertThat(each.carries().value()).isLessThan(marking);
            assertThat(each.remedies()).hasSize(2);
            assertThat(each.remedies().getFirst()).isInstanceOf(PartEdit.FitFuse.class);
            assertThat(each.remedies().getLast()).isInstanceOf(WireEdit.Resize.class);
            mends(wired, each);
        }
        for (var each : above) {
            assertThat(each.passes().value()).isEqualTo(marking);
            assertThat(each.remedies().getFirst())
                    .isEqualTo(new PartEdit.FitFuse(F1, "", new Amps(20)));
        }
    }

    /** With a load that a smaller fuse would not carry only a thicker wire is left. */
    @Test
    void aGuardThatItsLoadNeedsStays() {
        var wired = lastingThin();

        assertThat(found(wired, Finding.GuardLargerThanWire.class))
                .hasSize(1)
                .allSatisfy(each ->
                        assertThat(each.remedies())
                                .singleElement()
                                .isInstanceOf(WireEdit.Resize.class));
    }

    private static DesignBuilder lastingThin() {
        return fused(30)
                .onOff("S1", "heater", 40)
                .load("X1", 21)
                .lamp("H1", 5)
                .wire("F1.2", "S1.1", "6mm2", 1)
                .wire("S1.2", "X1.+", "6mm2", 1)
                .wire("S1.2", "H1.58", "0.75mm2", 1);
    }

    /** A lead before its guard is never thinner than the guard it ends at needs. */
    @ParameterizedTest
    @CsvSource({"0.5mm2, 1", "4mm2, 0"})
    void aLeadBeforeItsGuardOutlivesIt(String size, int findings) {
        var wired =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 30)
                        .load("X1", 5)
                        .wire("B1.+", "F1.1", size, 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "X1.+", "6mm2", 1);

        assertThat(found(wired, Finding.GuardLargerThanWire.class)).hasSize(findings);
    }

    /**
     * A lead to its own guard bears less for good than the guard before it passes: it lasts as long
     * as a short opens that, and 12.6 V over a quarter of an ohm, 50 A, do not.
     */
    @ParameterizedTest
    @CsvSource({"0.006, 0", "0.24, 1"})
    void aShortLeadNeedsASourceThatOpensTheGuardBeforeIt(double ohms, int findings) {
        var wired =
                new DesignBuilder(12)
                        .battery(ohms)
                        .fuse("F1", 40)
                        .fuse("F2", 10)
                        .load("X1", 2)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .wire("B1.+", "F1.1", "10mm2", 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "F2.1", "2.5mm2", 0.2)
                        .wire("F2.2", "X1.+", "2.5mm2", 1);

        assertThat(found(wired, Finding.GuardLargerThanWire.class))
                .hasSize(findings)
                .allSatisfy(each -> assertThat(each.wire()).hasToString("w3"));
    }

    /** What hangs on the stud of an alternator before any guard bears what that gives. */
    @ParameterizedTest
    @CsvSource({"1mm2, 1", "6mm2, 0"})
    void whatHangsOnASourceBearsIt(String size, int findings) {
        var wired =
                fused(30)
                        .alternator("G1", 33)
                        .lamp("H1", 2)
                        .wire("F1.2", "H1.58", "6mm2", 1)
                        .part("R1", new JoinKind.Resistor(new Ohms(100)))
                        .wire("F1.2", "R1.1", "6mm2", 1)
                        .wire("R1.2", "G1.B+", size, 1);

        assertThat(found(wired, Finding.SourceLargerThanWire.class))
                .hasSize(findings)
                .allSatisfy(each -> {
                    assertThat(each.wire()).hasToString("w5");
                    assertThat(each.source()).isEqualTo(new PartId("G1"));
                    assertThat(each.gives().value()).isEqualTo(33);
                    mends(wired, each);
                });
    }

    private static DesignBuilder bolted() {
        return DesignBuilder.twelveVolts()
                .part("E2", new JoinKind.EarthPoint(JoinKind.Mass.ENGINE, new Ohms(0.001)));
    }

    private static DesignBuilder onRubber(String back, Kind heavy) {
        return bolted().mounted("M1", "E2", heavy).wire("E2.E", back, "25mm2", 0.4);
    }

    /** The engine stands on rubber: without its strap the starter's amps go where they can. */
    @Test
    void anEngineHasItsStrap() {
        var starter = new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2));
        var alone = onRubber("M1.31", starter);
        var found = found(alone, PathFinding.StrapMissing.class);

        assertThat(found).singleElement().satisfies(each -> mends(alone, each));
        assertThat(found.getFirst().part()).isEqualTo(new PartId("E2"));
        var bolted = bolted().mounted("M1", "E2", starter).wire("B1.+", "M1.30", "25mm2", 1);
        assertThat(found(bolted, PathFinding.StrapMissing.class))
                .singleElement()
                .satisfies(each -> assertThat(each.subject().circuits(bolted.build())).hasSize(1));
        assertThat(found(onRubber("E1.E", starter), PathFinding.StrapMissing.class)).isEmpty();
        var lamp =
                new LoadKind.Lamp(
                        new Volts(12), List.of(new LoadKind.Filament("58", new Watts(5))));
        assertThat(found(onRubber("M1.31", lamp), PathFinding.StrapMissing.class)).isEmpty();
    }

    /** The strap of the battery takes back what a short behind its largest guard draws. */
    @ParameterizedTest
    @CsvSource({"0.5mm2, 1", "10mm2, 0"})
    void theStrapIsNoThinnerThanTheLargestGuard(String strap, int findings) {
        var wired =
                new DesignBuilder(12)
                        .battery(0.006)
                        .fuse("F1", 30)
                        .load("X1", 2)
                        .wire("B1.-", "E1.E", strap, 0.3)
                        .wire("B1.+", "F1.1", "4mm2", 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "X1.+", "6mm2", 1);
        var found = found(wired, Finding.GuardLargerThanWire.class);

        assertThat(found).hasSize(findings);
        found.forEach(each -> {
            assertThat(each.wire()).hasToString("w1");
            assertThat(each.remedies()).singleElement().isInstanceOf(WireEdit.Resize.class);
        });
    }

    private static List<Finding> offered(DesignBuilder wired) {
        return Findings.offered(Assessment.of(wired.build()), Work.NONE).open();
    }

    /** Whatever is offered ends its finding and brings nothing to mend that was not there. */
    @Test
    void whatIsOfferedMendsAndDoesNoHarm() {
        for (var wired :
                List.of(
                        lasting(5, 8),
                        lasting(30, 60),
                        held(5, 30),
                        guarded(30, "1mm2"),
                        lastingThin(),
                        starting())) {
            var design = wired.build();
            var known =
                    toMend(Findings.of(Assessment.of(design))).stream()
                            .map(Finding::about)
                            .collect(Collectors.toSet());
            for (var finding : offered(wired)) {
                for (var remedy : finding.remedies()) {
                    var after = Findings.of(Assessment.of(remedy.apply(design)));
                    assertThat(after).noneMatch(each -> each.about().equals(finding.about()));
                    assertThat(toMend(after)).allMatch(each -> known.contains(each.about()));
                }
            }
        }
    }

    private static List<Finding> toMend(List<Finding> findings) {
        return findings.stream()
                .filter(each -> each.severity().compareTo(Severity.FIX) <= 0)
                .toList();
    }

    /** A fan of 10 A that starts with four times as much, its wires too thin for a larger fuse. */
    private static DesignBuilder starting() {
        var fan =
                new LoadKind.Motor(
                        new Amps(10),
                        new Volts(12),
                        Optional.of(new Ratio(5)),
                        Optional.empty(),
                        Optional.empty());
        return fused(15)
                .onOff("S1", "fan", 30)
                .mounted("X1", "E1", fan)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "X1.+", "1mm2", 1);
    }

    /** The larger fuse that a rush asks for brings the thicker wires it needs along. */
    @Test
    void aLargerFuseBringsItsWires() {
        var rush =
                offered(starting()).stream()
                        .filter(Finding.FuseOpensOnInrush.class::isInstance)
                        .findFirst()
                        .orElseThrow();

        assertThat(rush.remedies())
                .singleElement()
                .isInstanceOfSatisfying(
                        CompositeEdit.class,
                        together -> {
                            assertThat(together.reason()).isEqualTo(CompositeEdit.Reason.MEND);
                            assertThat(together.edits().getFirst())
                                    .isInstanceOf(PartEdit.FitFuse.class);
                            assertThat(together.edits())
                                    .filteredOn(WireEdit.Resize.class::isInstance)
                                    .hasSize(2);
                        });
    }

    @Test
    void remediesAreTriedOneFindingAfterAnotherUntilStopped() {
        var assessed = Assessment.of(lasting(5, 8).build());
        var findings = Findings.of(assessed);

        assertThat(new Mending(assessed).offered(findings, () -> false)).isEmpty();
        assertThat(new Mending(assessed).offered(findings, () -> true)).isPresent();
        assertThat(Mending.withoutRemedies(findings))
                .hasSameSizeAs(findings)
                .allMatch(each -> each.remedies().isEmpty());
        assertThat(findings).anyMatch(each -> !each.remedies().isEmpty());
    }

    @Test
    void aSmallerFuseAfterALargerOneTakesItBack() {
        var larger = new PartEdit.FitFuse(F1, "", new Amps(20));
        List<Edit> made = List.of(larger);

        assertThat(PartEdit.takesBack(new PartEdit.FitFuse(F1, "", new Amps(15)), made)).isTrue();
        assertThat(PartEdit.takesBack(larger, made)).isFalse();
        assertThat(PartEdit.takesBack(new PartEdit.FitFuse(F1, "", new Amps(25)), made)).isFalse();
        assertThat(PartEdit.takesBack(new PartEdit.FitFuse(F1, "2", new Amps(15)), made)).isFalse();
        assertThat(
                        PartEdit.takesBack(
                                new PartEdit.FitFuse(new PartId("F2"), "", new Amps(15)), made))
                .isFalse();
        assertThat(PartEdit.takesBack(new PartEdit.RemovePart(F1), made)).isFalse();
    }

    private static DesignBuilder charged(double rated, double amps) {
        return DesignBuilder.twelveVolts()
                .alternator("G1", rated)
                .onOff("S1", "heater", 60)
                .load("X1", amps)
                .wire("G1.B+", "B1.+", "16mm2", 1)
                .wire("B1.+", "S1.1", "6mm2", 1)
                .wire("S1.2", "X1.+", "6mm2", 1);
    }

    /** The fastest speed at which more is drawn than comes is told; a third at idle, mostly. */
    @ParameterizedTest
    @CsvSource({"10, 20, 3000", "45, 38, 800", "45, 8, 0", "55, 3, 0"})
    void aSourceThatGivesLessThanIsDrawn(double rated, double amps, double rpm) {
        var found = found(charged(rated, amps), Finding.SourceTooSmall.class);

        if (rpm == 0) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found).hasSize(1);
            assertThat(found.getFirst().part()).hasToString("G1");
            assertThat(found.getFirst().engine().value()).isEqualTo(rpm);
            assertThat(found.getFirst().drawn().value())
                    .isGreaterThan(found.getFirst().given().value());
        }
    }

    /** A guard in a box is named by its way, and only its way is fitted anew. */
    @Test
    void aWayOfABoxIsFittedAnew() {
        var box =
                new GuardKind.FuseBox(
                        List.of(
                                new GuardKind.Way("1", FuseType.BLADE, new Amps(5)),
                                new GuardKind.Way("2", FuseType.BLADE, new Amps(5))));
        var wired =
                DesignBuilder.twelveVolts()
                        .part("FB1", box)
                        .load("X1", 8)
                        .load("X2", 2)
                        .wire("B1.+", "FB1.1a", "4mm2", 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("FB1.1a", "FB1.2a", "4mm2", 0.1)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("FB1.1b", "X1.+", "2.5mm2", 1)
                        .wire("FB1.2b", "X2.+", "2.5mm2", 1);
        var found = only(wired, PathFinding.GuardOpens.class);

        assertThat(found.fuse()).hasToString("FB1.1");
        assertThat(found.remedies())
                .containsExactly(new PartEdit.FitFuse(new PartId("FB1"), "1", new Amps(15)));
        none(lasting(30, 5), PathFinding.GuardOpens.class);
    }
}
