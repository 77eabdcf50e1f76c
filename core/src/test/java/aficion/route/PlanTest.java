package aficion.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Stations, runs and ways, by hand. */
class PlanTest {
    private static Station station(String name, double along, double across, Zone zone) {
        return new Station(
                new StationId(name),
                Optional.empty(),
                new Spot(new Metres(along), new Metres(across), new Metres(0)),
                zone,
                Station.Form.DEVICE);
    }

    private static RunId id(String one, String other) {
        return new RunId(new StationId(one), new StationId(other));
    }

    private static Run run(String one, String other) {
        return new Run(id(one, other));
    }

    /** A square of 1 m: a – b – d over the engine, a – c – d through the cabin. */
    private static Plan square() {
        return new Plan(
                List.of(
                        station("a", 0, 0, Zone.CABIN),
                        station("b", 1, 0, Zone.ON_ENGINE),
                        station("c", 0, 1, Zone.CABIN),
                        station("d", 1, 1, Zone.CABIN)),
                List.of(run("a", "b"), run("b", "d"), run("a", "c"), run("c", "d")));
    }

    private static Way way(Plan plan, String from, String to) {
        return plan.way(new StationId(from), new StationId(to));
    }

    /** 1 m over the plan and 15 % for the way round things. */
    @Test
    void aRunIsAssumedFromThePlanUntilItIsMeasured() {
        var plan = square();

        assertThat(plan.length(plan.run(id("a", "b"))))
                .isEqualTo(new RunLength.Assumed(new Metres(1.15)));
        assertThat(
                        plan.with(plan.run(id("a", "b")).measuring(Optional.of(new Metres(1.4))))
                                .length(
                                        new Run(id("a", "b"))
                                                .measuring(Optional.of(new Metres(1.4)))))
                .isEqualTo(new RunLength.Measured(new Metres(1.4)));
    }

    /** Both ways are 2.3 m; that over the engine counts half as much again. */
    @Test
    void theCheapestWayShunsTheHeat() {
        var found = way(square(), "a", "d");

        assertThat(found.stations()).extracting(StationId::value).containsExactly("a", "c", "d");
        assertThat(found.length().metres().value()).isCloseTo(2.3, within(1e-9));
        assertThat(found.zone()).isEqualTo(Zone.CABIN);
    }

    /** Through the cabin 1.15 + 3; over the engine 1.5 · 2.3 = 3.45 counts less. */
    @Test
    void aMeasuredRunChangesTheWay() {
        var plan = square();
        var longer = plan.with(plan.run(id("c", "d")).measuring(Optional.of(new Metres(3))));
        var found = way(longer, "a", "d");

        assertThat(found.stations()).extracting(StationId::value).containsExactly("a", "b", "d");
        assertThat(found.zone()).isEqualTo(Zone.ON_ENGINE);
    }

    @Test
    void aWayIsMeasuredOnlyWhenAllOfItIs() {
        var plan = square();
        var half = plan.with(plan.run(id("a", "c")).measuring(Optional.of(new Metres(1))));
        var whole = half.with(half.run(id("c", "d")).measuring(Optional.of(new Metres(1))));

        assertThat(way(half, "a", "d").length()).isInstanceOf(RunLength.Assumed.class);
        assertThat(way(whole, "a", "d").length()).isEqualTo(new RunLength.Measured(new Metres(2)));
    }

    @Test
    void aWayMayBeLedByAThirdStation() {
        var found = square().way(new StationId("a"), new StationId("b"), new StationId("d"));

        assertThat(found.runs()).containsExactly(id("a", "b"), id("b", "d"));
        assertThat(found.zone()).isEqualTo(Zone.ON_ENGINE);
        assertThat(square().wayWithout(new StationId("a"), new StationId("d"), id("c", "d")))
                .hasValueSatisfying(other -> assertThat(other.rides(id("a", "b"))).isTrue());
    }

    @Test
    void fromAStationToItselfThereIsNoWayToGo() {
        var found = way(square(), "a", "a");

        assertThat(found.runs()).isEmpty();
        assertThat(found.length().metres().value()).isZero();
    }

    /** Where no run leads, the wire lies straight, and says that it is assumed. */
    @Test
    void withoutARunTheWayIsStraight() {
        var plan = new Plan(square().stations(), List.of());
        var found = way(plan, "a", "b");

        assertThat(found.runs()).isEmpty();
        assertThat(found.length()).isEqualTo(new RunLength.Assumed(new Metres(1.15)));
        assertThat(plan.wayWithout(new StationId("a"), new StationId("b"), id("a", "b"))).isEmpty();
    }

    @Test
    void aRunIsTheSameWhicheverEndIsNamedFirst() {
        assertThat(id("b", "a")).isEqualTo(id("a", "b"));
        assertThat(id("a", "b").beyond(new StationId("a"))).isEqualTo(new StationId("b"));
    }

    @Test
    void aSplitRunSharesWhatWasMeasured() {
        var plan = square();
        var measured = plan.with(plan.run(id("a", "c")).measuring(Optional.of(new Metres(1.3))));
        var split = measured.split(id("a", "c"), station("m", 0, 0.5, Zone.CABIN));

        assertThat(split.find(id("a", "c"))).isEmpty();
        assertThat(split.run(id("a", "m")).measured()).contains(new Metres(0.65));
        assertThat(way(split, "a", "c").length())
                .isEqualTo(new RunLength.Measured(new Metres(1.3)));
    }

    /** A plug between b and d, and c and d: two looms. */
    @Test
    void aSeparablePlugCutsItIntoLooms() {
        var plan = square();
        var plugged =
                plan.with(plan.station(new StationId("b")).as(Station.Form.PLUG))
                        .with(plan.station(new StationId("c")).as(Station.Form.PLUG));

        assertThat(plan.looms(_ -> true)).hasSize(1);
        assertThat(plugged.looms(_ -> true))
                .extracting(loom -> loom.stream().map(Run::id).toList())
                .containsExactly(
                        List.of(id("a", "b"), id("a", "c")), List.of(id("b", "d"), id("c", "d")));
    }

    @Test
    void whatDoesNotHangTogetherIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Plan(square().stations(), List.of(run("a", "x"))))
                .withMessageContaining("x");
        assertThatIllegalArgumentException()
                .isThrownBy(
                        () -> new Plan(square().stations(), List.of(run("a", "b"), run("b", "a"))))
                .withMessageContaining("twice");
        assertThatIllegalArgumentException().isThrownBy(() -> run("a", "a"));
        assertThatIllegalArgumentException().isThrownBy(() -> new StationId("Front Left"));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> run("a", "b").measuring(Optional.of(new Metres(0))));
        assertThatIllegalArgumentException()
                .isThrownBy(() ->
                        new Station(
                                new StationId("a"),
                                Optional.empty(),
                                new Spot(new Metres(0), new Metres(0), new Metres(0)),
                                Zone.DASH,
                                Station.Form.DEVICE,
                                Optional.of(new Metres(0.02)),
                                Optional.empty()));
    }

    /** Doubling every run doubles every way, whatever the plan. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void doublingEveryRunDoublesEveryWay(long seed) {
        var random = new Random(seed);
        int count = 5 + random.nextInt(40);
        var stations = new ArrayList<Station>();
        var runs = new ArrayList<Run>();
        for (int i = 0; i < count; i++) {
            stations.add(
                    station(
                            "s" + i,
                            4 * random.nextDouble(),
                            2 * random.nextDouble(),
                            Zone.values()[random.nextInt(Zone.values().length)]));
            if (i > 0) {
                runs.add(
                        run("s" + i, "s" + random.nextInt(i))
                                .measuring(Optional.of(new Metres(0.1 + random.nextDouble()))));
            }
        }
        var once = new Plan(stations, runs);
        var twice =
                new Plan(
                        stations,
                        runs.stream()
                                .map(each ->
                                        each.measuring(
                                                each.measured()
                                                        .map(length ->
                                                                new Metres(2 * length.value()))))
                                .toList());

        IntStream.range(0, count)
                .forEach(i -> {
                    var short1 = way(once, "s0", "s" + i);
                    var long1 = way(twice, "s0", "s" + i);
                    assertThat(long1.stations()).isEqualTo(short1.stations());
                    assertThat(long1.length().metres().value())
                            .isCloseTo(2 * short1.length().metres().value(), within(1e-9));
                });
    }

    static List<Outline> outlines() {
        return Outline.all();
    }

    /** Every outline hangs together, has a place for everything and is as long as it is said. */
    @ParameterizedTest
    @MethodSource("outlines")
    void everyOutlineHangsTogether(Outline outline) {
        for (var plan :
                List.of(outline.plan(outline.usual()), outline.plan(outline.usual(), true))) {
            var first = plan.stations().getFirst().id();
            assertThat(plan.stations())
                    .allSatisfy(station ->
                            assertThat(plan.way(first, station.id()).runs().isEmpty())
                                    .isEqualTo(station.id().equals(first)));
            var size = outline.usual();
            assertThat(plan.stations())
                    .allSatisfy(station ->
                            assertThat(station.at().along().value())
                                    .isBetween(
                                            -size.front().value(),
                                            size.wheelbase().value() + size.rear().value()));
        }
    }

    @Test
    void theWheelOnTheOtherSideMirrorsWhatHasNoSideInItsName() {
        var outline = Outline.of("car").getFirst();
        var plan = outline.plan(outline.usual());
        var mirrored = outline.plan(outline.usual(), true);
        var battery = new StationId("battery");
        var left = new StationId("front-left");

        assertThat(mirrored.station(battery).at().across().value())
                .isEqualTo(-plan.station(battery).at().across().value());
        assertThat(mirrored.station(left)).isEqualTo(plan.station(left));
    }
}
