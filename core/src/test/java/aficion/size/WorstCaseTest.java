package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.FuseType;
import aficion.catalogue.WireSize;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.Position;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.WireId;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What every state together asks of wires and parts, and what an assessment says of guards. */
class WorstCaseTest {
    private static final ControlKind.Switch KEY =
            new ControlKind.Switch(
                    Action.KEY,
                    "key",
                    List.of("30", "15"),
                    List.of(
                            new Position("off", false, List.of()),
                            new Position("run", false, List.of(new Contact("30", "15")))),
                    new Amps(30));

    /** A lamp behind key, fuse and switch, a horn behind its push, a clock always on, a spare. */
    private static DesignBuilder vehicle() {
        return DesignBuilder.twelveVolts()
                .part("S1", KEY)
                .fuse("F1", 10)
                .onOff("S2", "light", 10)
                .push("S3", "horn", 10)
                .lamp("H1", 21)
                .load("X1", 5)
                .load("X2", 0.1)
                .load("X3", 3)
                .wire("B1.+", "S1.30", "4mm2", 0.5)
                .wire("S1.15", "F1.1", "2.5mm2", 0.5)
                .wire("F1.2", "S2.1", "1mm2", 0.5)
                .wire("S2.2", "H1.58", "1mm2", 1)
                .wire("F1.2", "S3.1", "1mm2", 0.5)
                .wire("S3.2", "X1.+", "1mm2", 1)
                .wire("B1.+", "X2.+", "0.5mm2", 1);
    }

    private static final Design VEHICLE = vehicle().build();

    /** Assessed for each test anew. */
    private final Assessment vehicle = Assessment.of(VEHICLE);

    private final WorstCase asked = vehicle.worst();

    private static double amps(Optional<WorstCase.Peak> peak) {
        return Math.abs(peak.orElseThrow().amps().value());
    }

    private static double steady(Design design, String wire) {
        return amps(Assessment.of(design).worst().steady(design.wire(new WireId(wire))));
    }

    private static Terminal at(String terminal) {
        return Terminal.parse(terminal).orElseThrow();
    }

    private static PartId part(String id) {
        return new PartId(id);
    }

    /** 21 W at 13.5 V are 1.556 A; (12.65/13.5)^0.55 of it at the battery. 5 A at 12 V: 2.4 Ω. */
    @Test
    void whatLastsIsToldFromWhatAHandHolds() {
        var lamp = VEHICLE.wire(new WireId("w5"));
        var horn = VEHICLE.wire(new WireId("w7"));

        assertThat(amps(asked.steady(lamp))).isCloseTo(1.501, within(0.01));
        assertThat(amps(asked.steady(horn))).isLessThan(1e-9);
        assertThat(amps(asked.held(horn))).isCloseTo(12.55 / 2.4, within(0.1));
        assertThat(amps(asked.held(part("X1"), "body")))
                .isCloseTo(amps(asked.held(horn)), within(1e-9));
        assertThat(amps(asked.largest(part("X1"), "body")))
                .isCloseTo(amps(asked.held(horn)), within(1e-9));
        assertThat(amps(asked.largest(part("H1"), "58")))
                .isCloseTo(amps(asked.steady(lamp)), within(1e-9));
        assertThat(asked.largest(part("H1"), "59")).isEmpty();
        assertThat(asked.steady(lamp).orElseThrow().point().conditions().positions())
                .containsEntry("light", "on")
                .containsEntry("key", "run");
        assertThat(asked.held(horn).orElseThrow().point().conditions().positions())
                .containsEntry("horn", "on");
    }

    @Test
    void atRestOnlyTheClockDraws() {
        assertThat(amps(asked.atRest(part("X2"), "body"))).isCloseTo(0.1058, within(1e-3));
        assertThat(amps(asked.keyOff(part("X2"), "body"))).isCloseTo(0.1058, within(1e-3));
        assertThat(amps(asked.atRest(part("H1"), "58"))).isLessThan(1e-9);
        assertThat(amps(asked.keyOff(part("H1"), "58"))).isLessThan(1e-9);
    }

    @Test
    void whatMetalEverReachesIsKnown() {
        assertThat(asked.everLive(at("F1.2"))).isTrue();
        assertThat(asked.everLive(at("X1.+"))).isTrue();
        assertThat(asked.everLive(at("X3.+"))).isFalse();
        assertThat(asked.everLive(at("E1.E"))).isFalse();
        assertThat(asked.everEarthed(at("B1.-"))).isTrue();
        assertThat(asked.everEarthed(at("H1.58"))).isFalse();
        assertThat(asked.everTogether(part("H1"), "58")).isTrue();
        assertThat(asked.everTogether(part("X1"), "body")).isTrue();
        assertThat(asked.everTogether(part("X3"), "body")).isFalse();
        assertThat(asked.everTogether(part("H1"), "no such branch")).isFalse();
    }

    @Test
    void voltsSpanEveryState() {
        var lamp = asked.volts(part("H1"), "58").orElseThrow();

        assertThat(lamp.least().value()).isZero();
        assertThat(lamp.most().value()).isBetween(12.5, 12.7);
        assertThat(lamp.largest()).isEqualTo(lamp.most().value());
        var turned = new WorstCase.Span(new Volts(-13), new Volts(2));
        assertThat(turned.largest()).isEqualTo(13);
    }

    @Test
    void theHeaviestStatesHaveEverythingOnThatStaysOn() {
        assertThat(asked.bases().stream().map(each -> each.conditions().positions()))
                .anySatisfy(positions -> assertThat(positions).isEmpty())
                .anySatisfy(positions ->
                        assertThat(positions)
                                .containsEntry("key", "run")
                                .containsEntry("light", "on")
                                .doesNotContainKey("horn"));
        assertThat(asked.shorts()).isEmpty();
        assertThat(asked.troubles()).isEmpty();
    }

    /** The fuse opens, and what is left is judged: nothing flows behind it. */
    @Test
    void aShortIsNamedOnceAndWhatItsGuardLeavesIsJudged() {
        var shorted = vehicle().wire("S2.2", "E1.E", "1mm2", 1).build();
        var worst = Assessment.of(shorted).worst();

        assertThat(worst.shorts()).hasSize(1);
        var found = worst.shorts().getFirst();
        assertThat(found.conditions().positions()).containsEntry("light", "on");
        var netlist = found.point().netlist();
        assertThat(found.way())
                .contains(netlist.branch(shorted.wire(new WireId("w9"))))
                .contains(netlist.inside(part("F1")).get(""));
        assertThat(amps(worst.steady(shorted.wire(new WireId("w9"))))).isLessThan(1e-3);
    }

    /** The state in which both wires of the loom carry is the one it is judged in. */
    @Test
    void aBundleIsJudgedWhereItLosesMost() {
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "one", 20)
                        .onOff("S2", "other", 20)
                        .load("X1", 10)
                        .load("X2", 5)
                        .wire("B1.+", "S1.1", "2.5mm2", 1)
                        .wire("S1.2", "X1.+", "2.5mm2", 1)
                        .inBundle("loom")
                        .wire("B1.+", "S2.1", "2.5mm2", 1)
                        .wire("S2.2", "X2.+", "2.5mm2", 1)
                        .inBundle("loom")
                        .build();
        var warmest = warmest(design, "loom").orElseThrow();

        assertThat(warmest.conditions().positions())
                .containsEntry("one", "on")
                .containsEntry("other", "on");
        assertThat(warmest(design, "no such loom")).isEmpty();
    }

    private static Optional<OperatingPoint> warmest(Design design, String bundle) {
        return Assessment.of(design).worst().warmest().stream()
                .filter(each -> each.mates().name().equals(bundle))
                .map(WorstCase.Warmest::point)
                .findFirst();
    }

    private static DesignBuilder alternator(double rated) {
        return DesignBuilder.twelveVolts()
                .alternator("G1", rated)
                .load("X1", 5)
                .wire("G1.B+", "B1.+", "10mm2", 1)
                .wire("B1.+", "X1.+", "1mm2", 1);
    }

    /** A flat battery takes all it gives: both ways carry the rating, other wires do not. */
    @ParameterizedTest
    @CsvSource({"45", "70"})
    void theWayOfWhatChargesCarriesItsRating(double rated) {
        var design = alternator(rated).build();

        assertThat(steady(design, "w2")).isEqualTo(rated);
        assertThat(steady(design, "w1")).isEqualTo(rated);
        assertThat(steady(design, "w3")).isBetween(5.0, 6.5);
    }

    @Test
    void theWayOfAFlywheelsBridgeCarriesWhatTheFlywheelGives() {
        var design =
                DesignBuilder.twelveVolts()
                        .load("X1", 6)
                        .flywheel("G1", "G2")
                        .wire("N1.B-", "E1.E", "2.5mm2", 0.5)
                        .wire("N1.B+", "B1.+", "2.5mm2", 0.5)
                        .wire("B1.+", "X1.+", "2.5mm2", 0.5)
                        .build();

        assertThat(steady(design, "w5")).isEqualTo(10);
        assertThat(steady(design, "w4")).isCloseTo(10, within(1e-3));
        assertThat(steady(design, "w6")).isLessThan(10);
    }

    @Test
    void theWayBackToTheBatteryIsKnown() {
        var netlist = vehicle.netlist();

        assertThat(asked.returns(netlist.branch(VEHICLE.wire(new WireId("w1"))))).isTrue();
        assertThat(asked.returns(netlist.branch(VEHICLE.wire(new WireId("w2"))))).isFalse();
    }

    /** A relay that takes its own volts away buzzes; what it switches is asked for all the same. */
    @Test
    void whatARelayThatBuzzesSwitchesIsAskedFor() {
        var design = DesignBuilder.buzzing().build();
        var worst = Assessment.of(design).worst();

        assertThat(worst.troubles())
                .isNotEmpty()
                .allSatisfy(trouble ->
                        assertThat(trouble.outcome()).isInstanceOf(Outcome.Chattering.class));
        assertThat(amps(worst.steady(design.wire(new WireId("w4"))))).isBetween(8.0, 12.0);
    }

    private static Design resized(Design design, String wire, String size) {
        return new WireEdit.Resize(new WireId(wire), WireSize.parse(size).orElseThrow())
                .apply(design);
    }

    /**
     * A lead that carries nothing is no part of the lamp's way: what was worked out of it stays.
     */
    @Test
    void whatAnEditHasNoPartInIsKept() {
        var design =
                vehicle()
                        .wire("S2.2", "X3.+", "1mm2", 1)
                        .onOff("S9", "spare", 1)
                        .wire("S9.1", "S1.15", "1mm2", 1)
                        .build();
        var before = Assessment.of(design);
        var lamp = new WireId("w5");
        var idle = resized(design, "w10", "2.5mm2");
        var kept = before.after(idle);

        assertThat(kept.sizing(lamp).orElseThrow().carries())
                .isSameAs(before.sizing(lamp).orElseThrow().carries());
        assertThat(kept.sizing(lamp).orElseThrow().path().point().netlist().design())
                .isSameAs(idle);
        var thicker = before.after(resized(design, "w4", "2.5mm2"));
        assertThat(thicker.sizing(lamp).orElseThrow().drop())
                .isNotSameAs(before.sizing(lamp).orElseThrow().drop());
        assertThat(thicker.sizing(lamp).orElseThrow().steady().value())
                .isGreaterThan(before.sizing(lamp).orElseThrow().steady().value());
    }

    @Test
    void guardsAndWhatStandsBehindThemAreToldOfAnAssessment() {
        var design =
                vehicle()
                        .wire("B1.+", "X3.+", "2.5mm2", 1)
                        .stated(Unguarded.SHORT_AND_SLEEVED)
                        .build();
        var assessed = Assessment.of(design);
        var fuse = assessed.guard(new WireId("w4")).fuse().orElseThrow();

        assertThat(fuse.marking().value()).isEqualTo(10);
        assertThat(assessed.unguarded()).containsExactly(design.wire(new WireId("w9")));
        double thinnest =
                assessed.sizing(new WireId("w4")).orElseThrow().carries().result().value();
        assertThat(assessed.weakestBehind(fuse).orElseThrow().value()).isEqualTo(thinnest);
        assertThat(assessed.fuse(new WireId("w5"), FuseType.BLADE).orElseThrow().value())
                .isBetween(3.0, 15.0);
        var beyond = assessed.beyond(design.wire(new WireId("w3")));
        assertThat(beyond).contains(at("F1.1")).doesNotContain(at("B1.+"), at("H1.58"));
        assertThat(assessed.returned(design.wire(new WireId("w1")))).contains(fuse);
        assertThat(assessed.returned(design.wire(new WireId("w4")))).isEmpty();
        var lead = design.wire(new WireId("w5"));
        assertThat(assessed.carries(lead, lead.conductor(), fuse)).isTrue();
        assertThat(
                        assessed.carries(
                                resized(design, "w5", "0.5mm2").wire(new WireId("w5")),
                                resized(design, "w5", "0.5mm2").wire(new WireId("w5")).conductor(),
                                new Guard.Fitted(fuse.seat(), FuseType.BLADE, new Amps(30))))
                .isFalse();
    }

    /** Within 0.3 m of what feeds it a lead ends at its fuse; further away it does not. */
    @ParameterizedTest
    @CsvSource({"0.3, true", "0.31, false"})
    void aShortLeadEndsAtItsFuse(double metres, boolean ends) {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .load("X1", 5)
                        .wire("B1.+", "F1.1", "1mm2", metres)
                        .wire("F1.2", "X1.+", "1mm2", 0.2)
                        .build();
        var assessed = Assessment.of(design);

        assertThat(assessed.ending(design.wire(new WireId("w2"))).isPresent()).isEqualTo(ends);
        assertThat(assessed.ending(design.wire(new WireId("w3")))).isEmpty();
        assertThat(assessed.ending(design.wire(new WireId("w1")))).isEmpty();
    }

    /** The states are those of rest, of the key, of each switch with others off and on. */
    @Test
    void everyStateIsThereOnce() {
        var states = WorstCase.states(vehicle.netlist());

        assertThat(states.stream().map(Conditions::positions))
                .contains(Map.of("key", "off", "light", "off", "horn", "off"))
                .contains(Map.of("key", "run", "light", "on", "horn", "off"))
                .contains(Map.of("key", "run", "light", "off", "horn", "on"));
        assertThat(states)
                .anySatisfy(state -> assertThat(state.before()).isPresent())
                .anySatisfy(state -> assertThat(state.charge().value()).isZero());
        assertThat(states.stream().filter(state -> state.before().isPresent()))
                .anySatisfy(state ->
                        assertThat(state.before().orElseThrow().positions())
                                .containsEntry("horn", "on"));
    }
}
