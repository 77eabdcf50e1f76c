package aficion.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Coverings;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.check.Findings;
import aficion.check.finding.ConnectorFinding;
import aficion.check.finding.FitFinding;
import aficion.forming.Loom;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.InvalidJob;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.make.Bands;
import aficion.quantity.Metres;
import aficion.route.Covering;
import aficion.route.Outline;
import aficion.route.Plan;
import aficion.route.Run;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Spot;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.Assessment;
import aficion.size.Bundle;
import aficion.verb.Attempt;
import aficion.verb.Plugging;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A harness of a few lamps in a body of three stations, by hand. */
class HarnessTest {
    private static final StationId BATTERY = new StationId("battery");
    private static final StationId HOLE = new StationId("hole");
    private static final StationId TAIL = new StationId("tail");
    private static final RunId FRONT = new RunId(BATTERY, HOLE);
    private static final RunId REAR = new RunId(HOLE, TAIL);

    private static Station station(StationId id, double along, Station.Form form) {
        return new Station(
                id,
                Optional.empty(),
                new Spot(new Metres(along), new Metres(0), new Metres(0)),
                Zone.CABIN,
                form);
    }

    /** Battery and fuse in front, a hole at 1 m, lamps behind at 3 m. */
    private static Plan plan() {
        return new Plan(
                List.of(
                        station(BATTERY, 0, Station.Form.DEVICE),
                        station(HOLE, 1, Station.Form.HOLE).withBore(new Metres(0.004)),
                        station(TAIL, 3, Station.Form.DEVICE)),
                List.of(new Run(FRONT).measuring(Optional.of(new Metres(1))), new Run(REAR)));
    }

    private static Design lamps(int count) {
        var builder =
                DesignBuilder.twelveVolts().fuse("F1", 10).wire("B1.+", "F1.1", "2.5mm2", 0.1);
        IntStream.rangeClosed(1, count)
                .forEach(i -> builder.lamp("H" + i, 21).wire("F1.2", "H" + i + ".58", "1mm2", 1));
        return builder.build();
    }

    /** The same in the body, lamps at the tail, every lamp's wire laid along it. */
    private static Design lying(int count) {
        var design = lamps(count);
        var body = new Body(plan());
        for (var part : design.parts()) {
            body = body.standing(part.id(), part.id().value().startsWith("H") ? TAIL : BATTERY);
        }
        design = new BodyEdit.SetBody(Optional.of(body)).apply(design);
        for (var wire : leads(design)) {
            design = new WireEdit.Lay(wire.id(), Laid.Routed.cheapest()).apply(design);
        }
        return design;
    }

    private static List<Wire> leads(Design design) {
        return design.wires().stream()
                .filter(wire -> wire.to().terminal().part().value().startsWith("H"))
                .toList();
    }

    /** 1 m measured, 2 m · 1.15 assumed, 0.1 m at each end: 3.5 m. */
    @Test
    void aWireIsAsLongAsItsWayAndItsRises() {
        var wire = leads(lying(1)).getFirst();

        assertThat(wire.length()).isInstanceOf(RunLength.Assumed.class);
        assertThat(wire.length().metres().value()).isCloseTo(3.5, within(1e-9));
    }

    /** A measured run changes every wire that rides it, and its size where that hangs on it. */
    @Test
    void aMeasuredRunResizesWhatRidesIt() {
        var before = lying(2);
        var after = new BodyEdit.Measure(REAR, Optional.of(new Metres(25))).apply(before);
        var needed = Assessment.of(before).sizing(leads(before).getFirst().id()).orElseThrow();
        var now = Assessment.of(before).after(after).sizing(leads(after).getFirst().id());

        assertThat(leads(after))
                .allSatisfy(wire ->
                        assertThat(wire.length())
                                .isEqualTo(new RunLength.Measured(new Metres(26.2))));
        assertThat(now.orElseThrow().needed().orElseThrow().copper().value())
                .isGreaterThan(needed.needed().orElseThrow().copper().value());
        assertThat(after.wires().getFirst()).isEqualTo(before.wires().getFirst());
    }

    @Test
    void whatIsMeasuredCanBeForgotten() {
        var before = lying(1);
        var after =
                new BodyEdit.Measure(REAR, Optional.empty())
                        .apply(
                                new BodyEdit.Measure(REAR, Optional.of(new Metres(5)))
                                        .apply(before));

        assertThat(after).isEqualTo(before);
    }

    @Test
    void aPartAtAnotherStationTakesItsWiresThere() {
        var design = new BodyEdit.Stand(new PartId("H1"), HOLE).apply(lying(1));
        var wire = leads(design).getFirst();

        assertThat(design.way(wire).orElseThrow().runs()).containsExactly(FRONT);
        assertThat(wire.length()).isEqualTo(new RunLength.Measured(new Metres(1.2)));
    }

    /** Without a body what was laid along it keeps the length it had. */
    @Test
    void withoutABodyLengthsAreKept() {
        var design = lying(1);
        var bare = new BodyEdit.SetBody(Optional.empty()).apply(design);

        assertThat(leads(bare).getFirst().length()).isEqualTo(leads(design).getFirst().length());
        assertThat(leads(bare).getFirst().laid()).isInstanceOf(Laid.Stated.class);
        assertThat(bare.riders()).isEmpty();
        Assertions.assertThatThrownBy(() ->
                        new WireEdit.Lay(leads(bare).getFirst().id(), Laid.Routed.cheapest())
                                .apply(bare))
                .isInstanceOf(InvalidJob.class)
                .hasMessageContaining("body");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new BodyEdit.Measure(REAR, Optional.empty()).apply(bare));
    }

    @Test
    void aPartTakenAwayStandsNowhere() {
        var design = new PartEdit.RemovePart(new PartId("H2")).apply(lying(2));

        assertThat(design.body().orElseThrow().stands()).doesNotContainKey(new PartId("H2"));
        assertThat(design.riders().get(REAR)).hasSize(1);
    }

    /** Wires of 1 mm² are 1.9 mm thick: two 3.8, seven 5.7 mm (circles in a circle). */
    @ParameterizedTest
    @CsvSource({"1, 1", "2, 2", "3, 2.155", "4, 2.414", "5, 2.701", "6, 3", "7, 3"})
    void wiresAlikeLieInTheCircleThatJustHoldsThem(int count, double times) {
        var design = lying(count);
        double one = leads(design).getFirst().conductor().outside().value();

        assertThat(Bundle.diameter(leads(design)).value()).isCloseTo(times * one, within(1e-9));
        assertThat(Dress.of(design, REAR).diameter().value()).isCloseTo(times * one, within(1e-9));
    }

    /** Over 2.3 m: a tie every 20 cm and one more, a clip every 30 cm; half lapped 19 mm tape. */
    @Test
    void aBundleIsDressedByWhatRidesIt() {
        var dress = Dress.of(lying(3), REAR);
        double across = dress.diameter().value();

        assertThat(dress.riders()).hasSize(3);
        assertThat(dress.ties()).isEqualTo(13);
        assertThat(dress.clips()).isEqualTo(7);
        assertThat(dress.tape().value()).isCloseTo(Math.PI * across * 2.3 / 0.0095, within(1e-9));
        assertThat(dress.bend().value()).isCloseTo(5 * across, within(1e-12));
        assertThat(dress.sleeve().orElseThrow().bore().value())
                .isBetween(1.1 * across, 1.1 * across + 0.003);
        assertThat(Dress.of(lying(1), REAR).ties()).isZero();
    }

    /** What shrinks must go over as supplied and grip once shrunk. */
    @Test
    void shrinkGripsWhatItGoesOver() {
        var size = Coverings.over(Coverings.Sort.SHRINK, new Metres(0.003), 1).orElseThrow();

        assertThat(size.bore().value()).isEqualTo(0.0032);
        assertThat(size.recovered().orElseThrow().value()).isLessThan(0.003);
        assertThat(Coverings.over(Coverings.Sort.SHRINK, new Metres(0.2), 1)).isEmpty();
    }

    /** Three wires are 4.1 mm thick; the grommet has 4 and should have 4.7: the next is 5 mm. */
    @Test
    void aGrommetTooSmallIsFoundAndItsRemedyTaken() {
        var design = lying(3);
        var found =
                Findings.of(Assessment.of(design)).stream()
                        .filter(FitFinding.GrommetTooSmall.class::isInstance)
                        .toList();

        assertThat(found).hasSize(1);
        assertThat(found.getFirst().subject().place()).isEqualTo("hole");
        var mended = found.getFirst().remedies().getFirst().apply(design);
        assertThat(mended.body().orElseThrow().plan().station(HOLE).bore().orElseThrow().value())
                .isEqualTo(0.005);
        assertThat(Findings.of(Assessment.of(mended)))
                .noneMatch(FitFinding.GrommetTooSmall.class::isInstance);
    }

    private static Station plugAt(Design design, StationId id) {
        return design.body().orElseThrow().plan().station(id).as(Station.Form.PLUG);
    }

    /**
     * Three wires go through a plug at one metre of three; each comes apart there and is mended.
     */
    @Test
    void whatPassesAPlugInOnePieceIsFoundAndParted() {
        var design = new BodyEdit.SetStation(plugAt(lying(3), HOLE)).apply(lying(3));
        var found = Findings.of(Assessment.of(design));
        var whole =
                found.stream().filter(ConnectorFinding.UndividedAtPlug.class::isInstance).toList();

        assertThat(whole)
                .singleElement()
                .satisfies(finding -> assertThat(finding.told()).contains(HOLE, 3));
        var parted = whole.getFirst().remedies().getFirst().apply(design);
        assertThat(Findings.of(Assessment.of(parted)))
                .hasSize(found.size() - 1)
                .noneMatch(ConnectorFinding.UndividedAtPlug.class::isInstance);
        assertThat(parted.wires()).hasSize(design.wires().size() + 3);
        assertThat(Loom.of(parted))
                .hasSize(2)
                .allSatisfy(loom -> assertThat(loom.wires(parted)).hasSize(3));
        var behind = parted.wiresAt(new Terminal(new PartId("H2"), "58")).getFirst();
        assertThat(behind.length().metres().value()).isCloseTo(2.3 + 0.2, within(1e-9));
        assertThat(behind.from().termination().key()).isEqualTo("tab-6-3");
    }

    /** A lead too thick for every body goes past the plug; with nothing to part nothing is done. */
    @Test
    void aThickLeadGoesPastAPlug() {
        var design = new BodyEdit.SetStation(plugAt(lying(1), HOLE)).apply(lying(1));
        var lamp = leads(design).getFirst();
        var thick =
                new WireEdit.Resize(lamp.id(), WireSize.parse("16mm2").orElseThrow()).apply(design);

        assertThat(Plugging.undivided(Assessment.of(design), HOLE)).hasSize(1);
        assertThat(Plugging.undivided(Assessment.of(thick), HOLE)).isEmpty();
        assertThat(Plugging.at(Assessment.of(thick), HOLE)).isInstanceOf(Attempt.Refused.class);
    }

    /** Of a given length each piece gets its share of the way: one metre of 3.3 as it is drawn. */
    @Test
    void aWireOfAGivenLengthIsPartedByItsShareOfTheWay() {
        var design = lying(1);
        var lead = leads(design).getFirst();
        design =
                new WireEdit.Lay(
                                lead.id(),
                                new Laid.Stated(
                                        new RunLength.Measured(new Metres(6.6)), Zone.CABIN))
                        .apply(design);
        var parted = plugged(design, HOLE);

        var behind = parted.wiresAt(new Terminal(new PartId("H1"), "58")).getFirst();
        var before =
                parted.wires().stream()
                        .filter(wire ->
                                !wire.id().equals(lead.id()) && wire.from().equals(lead.from()))
                        .findFirst()
                        .orElseThrow();
        assertThat(before.length().metres().value()).isCloseTo(2, within(1e-9));
        assertThat(behind.length().metres().value()).isCloseTo(4.6, within(1e-9));
        assertThat(behind.length()).isInstanceOf(RunLength.Assumed.class);
    }

    /** No body takes sixty wires: they are shared out, and none is left in one piece. */
    @Test
    void manyWiresAreSharedOutOverSeveralBodies() {
        var design = lying(60);
        var parted = plugged(design, HOLE);

        assertThat(Plugging.undivided(Assessment.of(parted), HOLE)).isEmpty();
        assertThat(parted.wires()).hasSize(design.wires().size() + 60);
        var bodies =
                parted.parts().stream()
                        .filter(part -> part.kind() instanceof JoinKind.Connector)
                        .map(part -> (JoinKind.Connector) part.kind())
                        .toList();
        assertThat(bodies).hasSizeGreaterThan(1);
        assertThat(bodies.stream().mapToInt(body -> body.ways().size()).sum()).isEqualTo(60);
        assertThat(bodies)
                .allSatisfy(body ->
                        assertThat(body.housed().orElseThrow().sockets())
                                .isEqualTo(JoinKind.Half.A));
        assertThat(parted.wires()).extracting(Wire::number).doesNotHaveDuplicates();
    }

    private static Design plugged(Design design, StationId at) {
        var attempt = Plugging.at(Assessment.of(design), at);
        assertThat(attempt).isInstanceOf(Attempt.Possible.class);
        return ((Attempt.Possible) attempt).edit().apply(design);
    }

    /** One wire of 1.9 mm passes a grommet of 4. */
    @Test
    void aGrommetThatFitsIsNotFound() {
        assertThat(Findings.of(Assessment.of(lying(1))))
                .noneMatch(FitFinding.GrommetTooSmall.class::isInstance);
    }

    /** Only the run nobody measured is in doubt: 0.46 m either way on each of three wires. */
    @Test
    void whatIsNotMeasuredIsMeasuredFirst() {
        var assessment = Assessment.of(lying(3));
        var doubts = Doubt.ranked(assessment, () -> true).orElseThrow();

        assertThat(doubts).extracting(Doubt::run).containsExactly(REAR);
        assertThat(doubts.getFirst().off().value()).isCloseTo(0.46, within(1e-9));
        assertThat(doubts.getFirst().copper().value()).isCloseTo(3 * 0.46, within(1e-9));
        assertThat(Doubt.ranked(assessment, () -> false)).isEmpty();
        var measured = new BodyEdit.Measure(REAR, Optional.of(new Metres(2))).apply(lying(3));
        assertThat(Doubt.ranked(Assessment.of(measured), () -> true).orElseThrow()).isEmpty();
    }

    @Test
    void theBoardShowsWhatStandsWhere() {
        var board = Board.of(lying(2)).orElseThrow();

        assertThat(board.wide()).isCloseTo(3.44, within(1e-9));
        assertThat(board.stations())
                .filteredOn(each -> each.station().id().equals(TAIL))
                .singleElement()
                .satisfies(tail ->
                        assertThat(tail.parts())
                                .extracting(part -> part.id().value())
                                .containsExactly("H1", "H2"));
        assertThat(board.towards(BATTERY, 1, 0)).map(Station::id).contains(HOLE);
        assertThat(board.towards(HOLE, -1, 0)).map(Station::id).contains(BATTERY);
        assertThat(board.towards(TAIL, 1, 0)).isEmpty();
        assertThat(Board.of(lamps(1))).isEmpty();
    }

    @Test
    void editsOfTheBodyAreTakenAndRefused() {
        var design = lying(2);
        var dressed = new BodyEdit.Dress(REAR, Optional.of(Covering.BRAID)).apply(design);
        var split =
                new BodyEdit.Split(REAR, station(new StationId("mid"), 2, Station.Form.TAKE_OUT))
                        .apply(design);
        Edit elsewhere = new BodyEdit.Stand(new PartId("H1"), new StationId("attic"));

        assertThat(dressed.body().orElseThrow().plan().run(REAR).covering())
                .contains(Covering.BRAID);
        assertThat(dressed.wires()).isEqualTo(design.wires());
        assertThat(split.riders().get(new RunId(new StationId("mid"), TAIL))).hasSize(2);
        assertThatIllegalArgumentException().isThrownBy(() -> elsewhere.apply(design));
        assertThat(BodyEdit.LayAlong.of(design, _ -> true).apply(design).wires())
                .allSatisfy(wire -> assertThat(wire.laid()).isInstanceOf(Laid.Routed.class));
    }

    /** Parts stand where such parts mostly do: by zone, by kind and by the side in their name. */
    @Test
    void aPartStandsWhereSuchPartsMostlyDo() {
        var outline = Outline.of("car").getFirst();
        var design = DesignBuilder.twelveVolts().zone(Zone.FRONT).lamp("H1", 50).build();
        var body = new Body(outline.plan(outline.usual()));
        var lamp = design.part(new PartId("H1"));

        assertThat(body.station(lamp.withName("headlamp, left"))).hasToString("front-left");
        assertThat(body.station(lamp.withName("Scheinwerfer rechts"))).hasToString("front-right");
        assertThat(body.station(lamp.withName("horn"))).hasToString("nose");
        assertThat(body.station(lamp.withZone(Zone.BOOT).withName("left tail")))
                .hasToString("tail-left");
        assertThat(body.station(design.part(new PartId("B1")))).hasToString("battery");
    }

    /** A body of 80 stations and 400 wires is laid in a moment, and all of it comes out. */
    @Test
    void everyWireOfALargeBodyFindsItsWay() {
        var design = lamps(60);
        var outline = Outline.of("car").getFirst();
        var within =
                new BodyEdit.SetBody(Optional.of(new Body(outline.plan(outline.usual()))))
                        .apply(design);
        var lain = BodyEdit.LayAlong.of(within, _ -> true).apply(within);
        double riding =
                lain.riders().entrySet().stream()
                        .mapToDouble(run ->
                                run.getValue().size()
                                        * lain.body()
                                                .orElseThrow()
                                                .plan()
                                                .length(
                                                        lain.body()
                                                                .orElseThrow()
                                                                .plan()
                                                                .run(run.getKey()))
                                                .metres()
                                                .value())
                        .sum();
        double cut =
                lain.wires().stream()
                        .mapToDouble(wire -> wire.length().metres().value() - 2 * Body.RISE.value())
                        .sum();

        assertThat(riding).isCloseTo(cut, within(1e-6));
    }

    /** Seven that ride together: six wear one band each, the seventh two. */
    @Test
    void whatRidesTogetherWearsOtherBands() {
        var design = lying(7);
        var worn = Bands.of(design).worn();

        assertThat(leads(design))
                .extracting(wire -> worn.get(wire.id()))
                .doesNotHaveDuplicates()
                .extracting(List::size)
                .containsOnlyOnce(2)
                .containsOnly(1, 2);
    }
}
