package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.change.Change;
import aficion.charge.Balance;
import aficion.charge.Drawn;
import aficion.charge.Situation;
import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.convert.Conversion;
import aficion.convert.Conversion.Action;
import aficion.job.Design;
import aficion.job.SourceKind;
import aficion.job.Vehicle.Pole;
import aficion.netlist.OperatingStates;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Source against loads, and conversions, of the demos. */
class PowerTest {
    /** What the field of a source and the coils of relays take at most, amps. */
    private static final double FIELD = 3;

    private static Design demo(String name) {
        return DemoJobs.find(name).orElseThrow().design();
    }

    private static Balance balance(String demo, String situation) {
        var design = demo(demo);
        return Balance.of(design, Situation.find(design, situation).orElseThrow());
    }

    /** What the source gives, the loads take and the battery gets add up, at every speed. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void whatIsGivenIsTakenOrKept(String demo) {
        for (var situation : Situation.of(demo(demo))) {
            var balance = Balance.of(demo(demo), situation);

            assertThat(balance.points()).as(situation.name()).isNotEmpty();
            for (var point : balance.points()) {
                assertThat(point.source().value() - point.load().value())
                        .as("%s at %s", situation.name(), point.engine())
                        .isCloseTo(point.net().value(), within(1e-6));
            }
        }
    }

    @Test
    void aWetNightTakesMoreThanADayAndTheSourceCarriesItOnTheRoad() {
        var day = balance("roadster", Situation.DAY);
        var night = balance("roadster", Situation.WET_NIGHT);
        var road = OperatingStates.ROAD;

        assertThat(night.at(road).orElseThrow().load().value())
                .isGreaterThan(day.at(road).orElseThrow().load().value() + 5);
        assertThat(night.breaksEven()).isPresent();
        assertThat(night.breaksEven().orElseThrow().value())
                .isGreaterThanOrEqualTo(day.breaksEven().orElseThrow().value());
    }

    @Test
    void crankingDrainsAndParkingHardlyDoes() {
        var cranking = balance("roadster", Situation.CRANKING);
        var parked = balance("roadster", Situation.PARKED);

        assertThat(cranking.points().getFirst().net().value()).isLessThan(-100);
        assertThat(parked.points()).hasSize(1);
        assertThat(parked.points().getFirst().net().value()).isBetween(-3.0, 0.0);
        assertThat(Situation.find(demo("roadster"), "flying")).isEmpty();
    }

    /**
     * What the loads take one by one is what the balance says they take, but for coils of relays.
     */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void theLoadsOneByOneAddUp(String demo) {
        for (var name : List.of(Situation.DAY, Situation.WET_NIGHT)) {
            var situation = Situation.find(demo(demo), name).orElseThrow();
            var drawn = Drawn.of(demo(demo), situation, OperatingStates.ROAD);
            double all = drawn.stream().mapToDouble(each -> each.mean().value()).sum();
            double load = balance(demo, name).at(OperatingStates.ROAD).orElseThrow().load().value();

            assertThat(load - all).as("%s, %s", demo, name).isBetween(-0.02 * load, FIELD);
        }
    }

    /** The stop filament of a lamp whose tail filament burns anyway is told with its share. */
    @Test
    void whatIsDrawnMoreForAShareOfTheTimeIsToldToo() {
        var night = Situation.find(demo("roadster"), Situation.WET_NIGHT).orElseThrow();
        var twice =
                Drawn.of(demo("roadster"), night, OperatingStates.ROAD).stream()
                        .collect(Collectors.groupingBy(Drawn::part))
                        .values()
                        .stream()
                        .filter(each -> each.size() > 1)
                        .toList();

        assertThat(twice)
                .isNotEmpty()
                .allSatisfy(
                        each -> assertThat(each).filteredOn(one -> one.share() < 1).isNotEmpty());
    }

    private static List<Finding> severe(Design design) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(finding -> finding.severity().compareTo(Severity.FIX) <= 0)
                .toList();
    }

    /** Nothing is found of what a job becomes that was not found of it before. */
    @ParameterizedTest
    @CsvSource({"motorcycle, 12, NEGATIVE", "tractor, 12, POSITIVE"})
    void aConvertedJobHasNoFindingMore(String demo, double volts, Pole pole) {
        var before = demo(demo);
        var conversion = Conversion.of(before, new Volts(volts), pole);
        var known = severe(before).stream().map(Finding::about).collect(Collectors.toSet());

        assertThat(conversion.design().vehicle().system()).isEqualTo(new Volts(volts));
        assertThat(conversion.design().vehicle().earthed()).isEqualTo(pole);
        assertThat(conversion.changes()).hasSameSizeAs(before.parts());
        assertThat(severe(conversion.design()))
                .filteredOn(finding -> !known.contains(finding.about()))
                .isEmpty();
    }

    /** The tractor as it left the works, at 6 V with plus at the body, taken to 12 V and minus. */
    @Test
    void aSixVoltTractorComesToTwelveVoltsWithoutAFinding() {
        var demo = demo("tractor");
        var old = Conversion.of(demo, new Volts(6), Pole.POSITIVE).design();
        var now = Conversion.of(old, new Volts(12), Pole.NEGATIVE);
        var known = severe(demo).stream().map(Finding::about).collect(Collectors.toSet());

        assertThat(old.vehicle().system()).isEqualTo(new Volts(6));
        assertThat(severe(now.design()))
                .filteredOn(finding -> !known.contains(finding.about()))
                .isEmpty();
        assertThat(now.changes())
                .extracting(Conversion.PartChange::action)
                .contains(Action.REPLACE, Action.STAYS);
    }

    /** Whoever exchanges leads by the list has the design: no wire is another unsaid. */
    @ParameterizedTest
    @CsvSource({"motorcycle, 12, NEGATIVE", "motorcycle, 12, POSITIVE", "tractor, 12, POSITIVE"})
    void aConversionSaysWhichWiresAreOthers(String demo, double volts, Pole pole) {
        var before = demo(demo);
        if (before.vehicle().system().value() == volts && before.vehicle().earthed() == pole) {
            return;
        }
        var conversion = Conversion.of(before, new Volts(volts), pole);
        var said =
                conversion.besides().stream()
                        .flatMap(change ->
                                change instanceof Change.OfWire wire
                                        ? Stream.of(wire.wire().id())
                                        : Stream.of())
                        .toList();

        for (var wire : conversion.design().wires()) {
            boolean same = before.find(wire.id()).filter(wire::equals).isPresent();
            assertThat(said.contains(wire.id())).as(wire.number()).isEqualTo(!same);
        }
    }

    /**
     * From 6 to 12 V a coil keeps its current behind a ballast of its own ohms and half the watts.
     */
    @Test
    void aCoilMayStayBehindABallast() {
        var old = Conversion.of(demo("motorcycle"), new Volts(6), Pole.POSITIVE).design();
        var coil =
                Conversion.of(old, new Volts(12), Pole.POSITIVE).changes().stream()
                        .filter(change -> change.why() == Conversion.Why.OR_BALLAST)
                        .findFirst()
                        .orElseThrow();
        var ignition = aficion.ignite.Ignition.of(old).orElseThrow();
        double ohms = ignition.primary().all().value();

        assertThat(coil.figures()).hasSize(3);
        assertThat(coil.figures().get(0).value()).isCloseTo(2 * ohms, within(1e-6));
        assertThat(coil.figures().get(1).value()).isCloseTo(ohms, within(1e-6));
        // 7.1 V over those ohms, squared, for the share of the time that the points are closed
        assertThat(coil.figures().get(2).value())
                .isCloseTo(7.1 * 7.1 / ohms * ignition.dwell(), within(1e-3));
    }

    @Test
    void aConversionSaysWhatBecomesOfEachPart() {
        var before = demo("tractor");
        var other = before.vehicle().earthed() == Pole.NEGATIVE ? Pole.POSITIVE : Pole.NEGATIVE;
        var conversion = Conversion.of(before, before.vehicle().system(), other);

        assertThat(conversion.changes())
                .filteredOn(
                        change -> before.part(change.part()).kind() instanceof SourceKind.Battery)
                .extracting(Conversion.PartChange::action)
                .containsOnly(Action.TURN);
        assertThat(conversion.changes())
                .filteredOn(
                        change -> before.part(change.part()).kind() instanceof SourceKind.Dynamo)
                .extracting(Conversion.PartChange::action)
                .containsOnly(Action.REPOLARISE);
        assertThatThrownBy(() ->
                        Conversion.of(
                                before, before.vehicle().system(), before.vehicle().earthed()))
                .hasMessageContaining("already");
        assertThatThrownBy(() -> Conversion.of(demo("roadster"), new Volts(12), Pole.POSITIVE))
                .hasMessageContaining("alternator is minus");
    }
}
