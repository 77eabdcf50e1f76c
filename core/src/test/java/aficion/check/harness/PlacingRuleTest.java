package aficion.check.harness;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Fittings;
import aficion.catalogue.Placings;
import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.FitFinding.PlacedTooHot;
import aficion.check.finding.FitFinding.PlacedTooNear;
import aficion.harness.FittingList;
import aficion.harness.FittingList.Line;
import aficion.job.Body;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Vehicle;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Henries;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.route.Plan;
import aficion.route.Run;
import aficion.route.RunId;
import aficion.route.Spot;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.Assessment;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A fuse that may stand on the engine, at the bulkhead or in the boot. */
class PlacingRuleTest {
    private static final PartId FUSE = new PartId("F1");
    private static final StationId ENGINE = new StationId("engine");
    private static final StationId BULKHEAD = new StationId("bulkhead");
    private static final StationId BOOT = new StationId("boot");

    private static Station station(StationId id, double along, Zone zone) {
        return new Station(
                id,
                Optional.empty(),
                new Spot(new Metres(along), new Metres(0), new Metres(0)),
                zone,
                Station.Form.DEVICE);
    }

    private static Design lamp() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 10)
                .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                .lamp("H1", 5)
                .wire("F1.2", "H1.58", "1mm2", 1)
                .build();
    }

    private static List<Finding> found(Design design) {
        return new PlacingRule().check(Assessment.of(design)).toList();
    }

    /** 90 °C on the engine, of which a fuse lasts in 85; the bulkhead is nearer than the boot. */
    @Test
    void aPartOnTheEngineIsMovedToTheNearestPlaceItLastsIn() {
        var plan =
                new Plan(
                        List.of(
                                station(ENGINE, 0, Zone.ON_ENGINE),
                                station(BOOT, 3, Zone.BOOT),
                                station(BULKHEAD, 1, Zone.BULKHEAD)),
                        List.of(
                                new Run(new RunId(ENGINE, BULKHEAD)),
                                new Run(new RunId(BULKHEAD, BOOT))));
        var lying = new BodyEdit.SetBody(Optional.of(new Body(plan))).apply(lamp());
        var design = new BodyEdit.Stand(FUSE, ENGINE).apply(lying);

        assertThat(found(design))
                .singleElement()
                .isInstanceOfSatisfying(
                        PlacedTooHot.class,
                        hot -> {
                            assertThat(hot.air()).isEqualTo(new Celsius(90));
                            assertThat(hot.lasts()).isEqualTo(new Celsius(85));
                            var mended = hot.remedies().getFirst().apply(design);
                            assertThat(mended.body().orElseThrow().station(mended.part(FUSE)))
                                    .isEqualTo(BULKHEAD);
                            assertThat(found(mended)).isEmpty();
                        });
    }

    /**
     * What stands at a station is where the station is; placed elsewhere it stands there no longer.
     */
    @Test
    void aStationIsAPlace() {
        var plan =
                new Plan(
                        List.of(station(ENGINE, 0, Zone.ON_ENGINE), station(BOOT, 3, Zone.BOOT)),
                        List.of(new Run(new RunId(ENGINE, BOOT))));
        var lying = new BodyEdit.SetBody(Optional.of(new Body(plan))).apply(lamp());
        var stands = new BodyEdit.Stand(FUSE, ENGINE).apply(lying);
        var placed = new PartEdit.Place(FUSE, Zone.BOOT).apply(stands);

        assertThat(stands.part(FUSE).zone()).isEqualTo(Zone.ON_ENGINE);
        assertThat(placed.body().orElseThrow().stands()).isEmpty();
        assertThat(placed.body().orElseThrow().station(placed.part(FUSE))).isEqualTo(BOOT);
        assertThat(new PartEdit.Place(FUSE, Zone.ON_ENGINE).apply(stands)).isEqualTo(stands);
    }

    private static Design sparks(double between) {
        var plan =
                new Plan(
                        List.of(
                                station(ENGINE, 0, Zone.CABIN),
                                station(BULKHEAD, between, Zone.CABIN),
                                station(BOOT, 3, Zone.BOOT)),
                        List.of(
                                new Run(new RunId(ENGINE, BULKHEAD)),
                                new Run(new RunId(BULKHEAD, BOOT))));
        var design =
                DesignBuilder.twelveVolts()
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.008)))
                        .part(
                                "A1",
                                new ControlKind.Module(
                                        new Volts(12), new Amps(0.01), List.of("in"), List.of()))
                        .build();
        var lying = new BodyEdit.SetBody(Optional.of(new Body(plan))).apply(design);
        return new BodyEdit.Stand(new PartId("A1"), BULKHEAD)
                .apply(new BodyEdit.Stand(new PartId("T1"), ENGINE).apply(lying));
    }

    /**
     * A speed unit 0.2 m from the coil is found, where 0.25 is asked; at the same place it is a
     * line.
     */
    @Test
    void whatIsDisturbedStandsApart() {
        var near = sparks(0.2);

        assertThat(found(near))
                .singleElement()
                .isInstanceOfSatisfying(
                        PlacedTooNear.class,
                        finding -> {
                            assertThat(finding.other()).isEqualTo(new PartId("T1"));
                            var mended = finding.remedies().getFirst().apply(near);
                            assertThat(found(mended)).isEmpty();
                        });
        assertThat(found(sparks(0.26))).isEmpty();
        var together = new BodyEdit.Stand(new PartId("A1"), ENGINE).apply(near);
        assertThat(found(together)).isEmpty();
        assertThat(FittingList.of(together))
                .filteredOn(line -> line.line().equals("apart"))
                .singleElement()
                .satisfies(line -> assertThat(line.least()).contains(new Metres(0.25)));
        assertThat(FittingList.of(near)).extracting(Line::line).doesNotContain("apart");
    }

    private static final ControlKind.IgnitionBox BOX =
            new ControlKind.IgnitionBox(
                    ControlKind.IgnitionBox.Form.TRANSISTOR, 4, new Ratio(0.5), new Amps(0.1));

    private static Design standing(Vehicle.Sort sort, Zone zone, Kind kind) {
        return DesignBuilder.twelveVolts().sort(sort).zone(zone).part("U1", kind).build();
    }

    /** A box of high volts stands outside, a flasher in the dry; a motorcycle has neither. */
    @Test
    void sprayAndCabin() {
        var flasher =
                new ControlKind.Flasher(
                        ControlKind.Flasher.Form.THERMAL, new Watts(21), new Volts(12), 90);
        for (var sort : List.of(Vehicle.Sort.CAR, Vehicle.Sort.TRACTOR)) {
            var inside = standing(sort, Zone.DASH, BOX);
            var spray = standing(sort, Zone.FRONT, flasher);
            assertThat(found(inside))
                    .singleElement()
                    .isInstanceOf(FitFinding.PlacedInCabin.class)
                    .satisfies(each ->
                            assertThat(found(each.remedies().getFirst().apply(inside))).isEmpty());
            assertThat(found(spray))
                    .singleElement()
                    .isInstanceOf(FitFinding.PlacedInSpray.class)
                    .satisfies(each ->
                            assertThat(found(each.remedies().getFirst().apply(spray))).isEmpty());
            assertThat(found(standing(sort, Zone.FRONT, BOX))).isEmpty();
            assertThat(found(standing(sort, Zone.DASH, flasher))).isEmpty();
        }
        assertThat(found(standing(Vehicle.Sort.MOTORCYCLE, Zone.DASH, BOX))).isEmpty();
        assertThat(found(standing(Vehicle.Sort.MOTORCYCLE, Zone.FRONT, flasher))).isEmpty();
        assertThat(found(DesignBuilder.twelveVolts().zone(Zone.DASH).part("U1", BOX).build()))
                .isEmpty();
    }

    /** A hole is no place to stand, be it the nearest; what moves with a door neither. */
    @Test
    void notInAHoleAndNotInADoor() {
        var plan =
                new Plan(
                        List.of(
                                station(ENGINE, 0, Zone.ON_ENGINE),
                                station(BULKHEAD, 1, Zone.BULKHEAD).as(Station.Form.HOLE),
                                station(new StationId("door"), 2, Zone.MOVING),
                                station(BOOT, 3, Zone.BOOT)),
                        List.of(
                                new Run(new RunId(ENGINE, BULKHEAD)),
                                new Run(new RunId(BULKHEAD, BOOT)),
                                new Run(new RunId(BULKHEAD, new StationId("door")))));
        var lying = new BodyEdit.SetBody(Optional.of(new Body(plan))).apply(lamp());

        assertThat(found(new BodyEdit.Stand(FUSE, ENGINE).apply(lying)).getFirst().remedies())
                .containsExactly(new BodyEdit.Stand(FUSE, BOOT));
    }

    /** Every row of the table is about a kind of part that there is. */
    @Test
    void everyRuleIsAboutAKind() {
        var kinds =
                Arrays.stream(Kind.class.getPermittedSubclasses())
                        .flatMap(group -> Arrays.stream(group.getPermittedSubclasses()))
                        .map(Class::getSimpleName)
                        .toList();

        assertThat(Placings.all()).isNotEmpty();
        assertThat(Placings.all()).allSatisfy(rule -> assertThat(kinds).contains(rule.kind()));
        assertThat(Fittings.all()).allSatisfy(line -> assertThat(kinds).contains(line.kind()));
    }

    @Test
    void withoutABodyItsZoneCounts() {
        var hot = new PartEdit.Place(FUSE, Zone.ON_ENGINE).apply(lamp());

        assertThat(found(lamp())).isEmpty();
        assertThat(found(hot))
                .singleElement()
                .satisfies(finding ->
                        assertThat(found(finding.remedies().getFirst().apply(hot))).isEmpty());
    }
}
