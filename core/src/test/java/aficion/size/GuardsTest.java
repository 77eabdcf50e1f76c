package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.catalogue.WireSize;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.WorkshopPractice;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.solve.Solver;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Guards, what they open at, what they bound, and what the house fits behind them. */
class GuardsTest {
    private static Design fused(double marking, double amps) {
        return DesignBuilder.twelveVolts()
                .fuse("F1", marking)
                .load("X1", amps)
                .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                .wire("F1.2", "X1.+", "2.5mm2", 1)
                .build();
    }

    private static Wire wire(Design design, String id) {
        return design.wire(new WireId(id));
    }

    private static Optional<Guards.Opened> opened(Design design) {
        return Guards.opened(
                new Solver(Netlist.of(design)).demand(Conditions.REST).settled().orElseThrow());
    }

    /** A lead that a fuse of the first row feeds and, from behind, one of the second. */
    @Test
    void everyGuardThatFeedsAWireGuardsIt() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 40)
                        .fuse("F2", 30)
                        .fuse("F3", 5)
                        .fuse("F4", 10)
                        .load("X1", 1)
                        .wire("B1.+", "F1.1", "10mm2", 0.2)
                        .wire("F1.2", "F2.1", "6mm2", 1)
                        .wire("B1.+", "F3.1", "1mm2", 0.2)
                        .wire("F3.2", "F2.2", "1mm2", 1)
                        .wire("F2.2", "F4.1", "1mm2", 1)
                        .wire("F4.2", "X1.+", "1mm2", 1)
                        .build();
        var guards = Guards.in(design);

        assertThat(markings(guards, "w2")).isEmpty();
        assertThat(markings(guards, "w3")).containsExactlyInAnyOrder(40.0, 30.0);
        assertThat(markings(guards, "w5")).containsExactlyInAnyOrder(5.0, 30.0);
        assertThat(markings(guards, "w6")).containsExactlyInAnyOrder(5.0, 30.0);
        assertThat(markings(guards, "w7")).containsExactly(10.0);
    }

    /**
     * A rectifier lets nothing back to its windings where it is right; where it is not, it does.
     */
    @ParameterizedTest
    @CsvSource({
        "false, FULL_WAVE, B+, G1, false",
        "false, FULL_WAVE, G1, B+, true",
        "false, FULL_WAVE, B-, G1, true",
        "false, HALF_WAVE, B-, G1, false",
        "true, FULL_WAVE, B-, G1, false",
        "true, FULL_WAVE, G1, B-, true",
        "true, HALF_WAVE, G1, B-, true",
        "true, HALF_WAVE, B+, G1, false"
    })
    void aRectifierLeadsOneWay(
            boolean positive,
            SourceKind.RegulatorRectifier.Bridge bridge,
            String fed,
            String beyond,
            boolean leads) {
        var car = new DesignBuilder(12);
        var design =
                (positive ? car.positiveEarth() : car)
                        .battery(0.006)
                        .part("N1", new SourceKind.RegulatorRectifier(bridge, new Volts(14.4)))
                        .load("X1", 1)
                        .wire(positive ? "B1.-" : "B1.+", "N1." + fed, "2.5mm2", 1)
                        .wire("N1." + beyond, "X1.+", "2.5mm2", 1)
                        .build();

        assertThat(Guards.in(design).of(new WireId("w2")))
                .isInstanceOf(leads ? Guard.Unguarded.class : Guard.BehindLoad.class);
    }

    @Test
    void whatComesBackByAValveIsGuardedByWhatFeedsItFirst() {
        var design =
                new DesignBuilder(12)
                        .battery(0.006)
                        .fuse("F1", 20)
                        .part("J1", new JoinKind.Splice())
                        .fuse("F2", 5)
                        .part(
                                "N1",
                                new SourceKind.RegulatorRectifier(
                                        SourceKind.RegulatorRectifier.Bridge.FULL_WAVE,
                                        new Volts(14.4)))
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .wire("F1.2", "J1.J", "2.5mm2", 1)
                        .wire("J1.J", "F2.1", "2.5mm2", 1)
                        .wire("F2.2", "N1.G1", "2.5mm2", 1)
                        .wire("N1.B+", "J1.J", "2.5mm2", 1)
                        .build();
        var guards = Guards.in(design);

        assertThat(markings(guards, "w5")).containsExactly(20.0);
        assertThat(markings(guards, "w4")).containsExactly(5.0);
    }

    /**
     * Fed at the wrong side, a coil's diode feeds back what its switch is guarded for otherwise.
     */
    @ParameterizedTest
    @CsvSource({"DIODE_TO_86, true", "DIODE_TO_85, false", "RESISTOR, false"})
    void aCoilsDiodeLeadsOneWay(ControlKind.Suppression suppression, boolean leads) {
        var relay =
                new ControlKind.Relay(
                        new Volts(12),
                        new Ohms(90),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(40),
                        Optional.empty(),
                        Optional.of(suppression));
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 40)
                        .fuse("F2", 5)
                        .part("K1", relay)
                        .wire("B1.+", "F1.1", "6mm2", 0.1)
                        .wire("B1.+", "F2.1", "6mm2", 0.1)
                        .wire("F1.2", "K1.85", "6mm2", 1)
                        .wire("F2.2", "K1.86", "1mm2", 1)
                        .build();

        assertThat(markings(Guards.in(design), "w5"))
                .isEqualTo(leads ? List.of(40.0, 5.0) : List.of(5.0));
    }

    /** The field is fed from D: from the battery where that comes in there, not by the cut-out. */
    @ParameterizedTest
    @CsvSource({"D, true", "A, false", "A1, false"})
    void aBoxThatIsFedWhereTheDynamoBelongsFeedsTheField(String fed, boolean field) {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 30)
                        .part(
                                "N1",
                                new SourceKind.ControlBox(
                                        new Volts(14), new Volts(12.7), new Amps(25)))
                        .load("X1", 2)
                        .wire("B1.+", "F1.1", "6mm2", 0.1)
                        .wire("F1.2", "N1." + fed, "6mm2", 1)
                        .wire("N1.F", "X1.+", "1.5mm2", 1)
                        .build();

        assertThat(markings(Guards.in(design), "w4")).isEqualTo(field ? List.of(30.0) : List.of());
    }

    private static List<Double> markings(Guards guards, String wire) {
        return guards.of(new WireId(wire)) instanceof Guard.Guarded(var fuses)
                ? fuses.stream().map(fuse -> fuse.marking().value()).toList()
                : List.of();
    }

    /** A blade fuse opens from 1.35 times its marking on (ISO 8820-3). */
    @Test
    void whatIsAskedForOpensAGuard() {
        assertThat(opened(fused(10, 12))).isEmpty();
        assertThat(opened(fused(10, 15)))
                .hasValueSatisfying(guard -> {
                    assertThat(guard.seat()).isEqualTo(new FuseSeat(new PartId("F1"), ""));
                    assertThat(guard.demand().value()).isCloseTo(15.6, within(0.3));
                });
        var two =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .fuse("F2", 5)
                        .load("X1", 15)
                        .load("X2", 15)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                        .wire("F1.2", "X1.+", "2.5mm2", 1)
                        .wire("B1.+", "F2.1", "2.5mm2", 0.2)
                        .wire("F2.2", "X2.+", "2.5mm2", 1)
                        .build();
        assertThat(opened(two).orElseThrow().seat().part()).isEqualTo(new PartId("F2"));
    }

    /**
     * A lead of up to 0.3 m ends at the fuse it meets; a longer one, or one behind it, does not.
     */
    @Test
    void aShortLeadEndsAtItsFuse() {
        for (double metres : new double[] {0.1, 0.3, 0.31}) {
            var design =
                    DesignBuilder.twelveVolts()
                            .fuse("F1", 10)
                            .load("X1", 5)
                            .wire("B1.+", "F1.1", "2.5mm2", metres)
                            .wire("F1.2", "X1.+", "2.5mm2", 0.1)
                            .build();
            var guards = Guards.in(design);
            var before = wire(design, "w2");
            var behind = wire(design, "w3");
            var fitted =
                    new Guard.Fitted(
                            new FuseSeat(new PartId("F1"), ""), FuseType.BLADE, new Amps(10));

            assertThat(guards.ending(before, guards.of(before.id())))
                    .isEqualTo(metres <= 0.3 ? Optional.of(fitted) : Optional.empty());
            assertThat(guards.ending(behind, guards.of(behind.id()))).isEmpty();
            assertThat(guards.first()).containsExactly(fitted);
            assertThat(guards.next(before)).contains(fitted);
            assertThat(guards.beyond(before).guards()).containsExactly(fitted);
        }
    }

    /** 8 A want a fuse of 10 A at four fifths, which the thinnest wire behind it has to carry. */
    @Test
    void theFuseThatFits() {
        var design = fused(20, 8);
        var assessment = Assessment.of(design);
        var fuse = assessment.guard(new WireId("w3")).fuse().orElseThrow();

        assertThat(assessment.choice(fuse).marking()).contains(new Amps(15));
        assertThat(assessment.fuse(new WireId("w3"), FuseType.BLADE)).contains(new Amps(15));
        assertThat(assessment.fuse(new WireId("w9"), FuseType.BLADE)).isEmpty();
        assertThat(assessment.weakestBehind(fuse).orElseThrow())
                .isEqualTo(
                        new Amps(
                                assessment
                                        .sizing(new WireId("w3"))
                                        .orElseThrow()
                                        .carries()
                                        .result()
                                        .value()));
        var other =
                new Guard.Fitted(new FuseSeat(new PartId("F9"), ""), FuseType.BLADE, new Amps(10));
        assertThat(assessment.weakestBehind(other)).isEmpty();
        assertThat(assessment.beyond(wire(design, "w2")))
                .extracting(String::valueOf)
                .contains("F1.1");
        var thin = WireSize.parse("0.5mm2").orElseThrow();
        var thick = WireSize.parse("6mm2").orElseThrow();
        assertThat(assessment.carries(wire(design, "w3"), Conductors.get(thick), fuse)).isTrue();
        assertThat(assessment.carries(wire(design, "w3"), Conductors.get(thin), fuse)).isFalse();
    }

    /** A lead that is stated to have none, and has none; one that has is not listed. */
    @Test
    void whatIsSaidToHaveNoGuard() {
        var design =
                DesignBuilder.twelveVolts()
                        .load("X1", 5)
                        .fuse("F1", 10)
                        .load("X2", 5)
                        .wire("B1.+", "X1.+", "2.5mm2", 1)
                        .stated(Unguarded.values()[0])
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .wire("F1.2", "X2.+", "2.5mm2", 1)
                        .stated(Unguarded.values()[0])
                        .build();

        assertThat(Assessment.of(design).unguarded())
                .extracting(wire -> wire.id().value())
                .containsExactly("w2");
    }

    /** 10 % of 12 V less 16 mV of joints; 3 %, and with its joints 0.5 V, where that is more. */
    @Test
    void whatAWayMayLose() {
        assertThat(allowance(false).wires()).isCloseTo(1.184, within(1e-3));
        assertThat(allowance(false).total()).isCloseTo(1.2, within(1e-9));
        assertThat(allowance(true).wires()).isCloseTo(0.36, within(1e-9));
        assertThat(allowance(true).total()).isCloseTo(0.5, within(1e-9));
    }

    private static Allowance allowance(boolean strict) {
        var builder = DesignBuilder.twelveVolts().load("X1", 5).wire("B1.+", "X1.+", "2.5mm2", 1);
        if (strict) {
            builder.strict();
        }
        var design = builder.build();
        var wire = design.wires().getLast();
        var path = Assessment.of(design).sizing(wire.id()).orElseThrow().path();
        return Allowance.of(design, wire, path);
    }

    /** What an alternator, a dynamo and a rectifier charge by, and that nothing else does. */
    @Test
    void whatCharges() {
        var alternator =
                new SourceKind.Alternator(new Volts(14), new Amps(45), new Ohms(4), new Ratio(2.5));
        var dynamo =
                new SourceKind.Dynamo(new Amps(20), new Ohms(6), new Ratio(1.5), new Rpm(1000));
        var flywheel =
                new SourceKind.Flywheel(
                        SourceKind.Flywheel.Winding.SINGLE, new Amps(15), new Rpm(2500));
        var rectifier =
                new SourceKind.RegulatorRectifier(
                        SourceKind.RegulatorRectifier.Bridge.FULL_WAVE, new Volts(14));
        for (boolean positive : new boolean[] {false, true}) {
            var builder =
                    new DesignBuilder(12)
                            .battery(0.006)
                            .part("G1", alternator)
                            .part("G2", dynamo)
                            .part("G3", flywheel)
                            .part("U1", rectifier)
                            .part(
                                    "S9",
                                    new SourceKind.ControlBox(
                                            new Volts(14), new Volts(13), new Amps(20)))
                            .lamp("H1", 5);
            var design = (positive ? builder.positiveEarth() : builder).build();

            assertThat(charger(design, "G1")).isEqualTo("G1.B+ G1.31 45.0");
            assertThat(charger(design, "G2")).isEqualTo("G2.D G2.31 20.0");
            assertThat(charger(design, "U1"))
                    .isEqualTo(positive ? "U1.B- U1.B+ 15.0" : "U1.B+ U1.B- 15.0");
            for (var none : List.of("B1", "G3", "S9", "E1", "H1")) {
                assertThat(charger(design, none)).as(none).isEmpty();
            }
            var of = Charger.of(design, design.part(new PartId("G1"))).orElseThrow();
            assertThat(of.batteries())
                    .extracting(String::valueOf)
                    .containsExactly(positive ? "B1.-" : "B1.+");
            assertThat(of.earthed())
                    .extracting(String::valueOf)
                    .containsExactly(positive ? "B1.+" : "B1.-");
        }
    }

    private static String charger(Design design, String part) {
        return Charger.of(design, design.part(new PartId(part)))
                .map(found -> found.output() + " " + found.back() + " " + found.rated().value())
                .orElse("");
    }

    /** What charges a battery is not drawn: a load of 5 A behind an alternator that gives 9. */
    @Test
    void whatIsDrawnAndWhatCharges() {
        var design =
                DesignBuilder.twelveVolts()
                        .alternator("G1", 45)
                        .load("X1", 5)
                        .wire("G1.B+", "B1.+", "10mm2", 1)
                        .wire("B1.+", "X1.+", "2.5mm2", 1)
                        .build();
        var solver = new Solver(Netlist.of(design));
        var still = Supply.of(solver.solve(Conditions.REST).settled().orElseThrow());
        var running =
                Supply.of(
                        solver.solve(Conditions.REST.withEngine(new Rpm(3000)))
                                .settled()
                                .orElseThrow());

        assertThat(still.generated().value()).isCloseTo(0, within(1e-6));
        assertThat(still.drawn().value()).isCloseTo(5.25, within(0.1));
        assertThat(still.battery()).isEqualTo(still.drawn());
        assertThat(still.volts().orElseThrow().value()).isCloseTo(12.67, within(0.03));
        assertThat(running.drawn().value()).isCloseTo(5.85, within(0.15));
        assertThat(running.battery().value()).isNegative();
        assertThat(running.generated().value())
                .isCloseTo(running.drawn().value() - running.battery().value(), within(1e-9));
        assertThat(running.volts().orElseThrow().value()).isBetween(13.9, 14.3);
        var none = Netlist.of(new DesignBuilder(12).earth("E1").build());
        assertThat(
                        Supply.of(new Solver(none).solve(Conditions.REST).settled().orElseThrow())
                                .volts())
                .isEmpty();
    }

    private static Optional<String> house(
            HouseRules rules, String size, double marking, double amps) {
        var design =
                DesignBuilder.twelveVolts()
                        .rules(rules)
                        .fuse("F1", marking)
                        .load("X1", amps)
                        .wire("B1.+", "F1.1", "6mm2", 0.2)
                        .wire("F1.2", "X1.+", size, 1)
                        .build();
        var assessment = Assessment.of(design);
        return HouseSize.of(assessment, assessment.sizing(new WireId("w3")).orElseThrow())
                .map(conductor -> conductor.size().toString());
    }

    /** What it needs; never thinner than its fuse allows; or the largest that both ends take. */
    @Test
    void theSizeThatTheHouseGives() {
        var largest = HouseRules.USUAL.withSchool(WorkshopPractice.LARGEST_SIZE);

        assertThat(house(HouseRules.USUAL, "0.5mm2", 10, 1)).contains("0.5mm2");
        assertThat(house(HouseRules.USUAL, "2.5mm2", 5, 1)).contains("0.5mm2");
        assertThat(house(HouseRules.USUAL, "4mm2", 20, 1)).isNotEqualTo(Optional.of("0.5mm2"));
        assertThat(house(largest, "0.5mm2", 10, 1)).contains("2.5mm2");
        assertThat(house(largest, "4mm2", 30, 25))
                .isEqualTo(house(HouseRules.USUAL, "4mm2", 30, 25));
    }

    /** Nine parallel ways of a loop: metal leads past one, and past none where there is one. */
    @Test
    void whatHangsTogetherByMetal() {
        var builder =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .fuse("F2", 10)
                        .part("R1", new JoinKind.Resistor(new Ohms(10)))
                        .wire("B1.+", "F1.1", "2.5mm2", 1)
                        .wire("B1.+", "F2.1", "2.5mm2", 1)
                        .wire("F1.2", "R1.1", "2.5mm2", 1)
                        .wire("F2.2", "R1.1", "2.5mm2", 1)
                        .wire("R1.2", "E1.E", "2.5mm2", 1);
        var netlist = Netlist.of(builder.build());
        var metal = new Metal(netlist);
        var loop = netlist.branch(netlist.design().wire(new WireId("w2")));
        var tail = netlist.branch(netlist.design().wire(new WireId("w6")));

        assertThat(metal.leadsPast(loop)).isTrue();
        assertThat(metal.leadsPast(tail)).isFalse();
        int live = netlist.a(loop);
        var closed = metal.closed(live, _ -> false);
        assertThat(closed.get(netlist.b(tail))).isFalse();
        assertThat(closed.get(netlist.a(tail)) || closed.get(netlist.b(tail))).isFalse();
        assertThat(metal.closed(live, branch -> netlist.partOf(branch).isPresent()).cardinality())
                .isLessThan(closed.cardinality());
    }
}
