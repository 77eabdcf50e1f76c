package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.WireSize;
import aficion.job.AnyJob;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.WireId;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How a solver moves what moves until it rests, and what it leaves alone. */
class SolverTest {
    private static final Conditions ROAD = Conditions.REST.withEngine(new Rpm(3000));
    private static final List<PartId> K1 = List.of(new PartId("K1"));

    private static OperatingPoint point(Outcome outcome) {
        assertThat(outcome).isInstanceOf(Outcome.Solved.class);
        return ((Outcome.Solved) outcome).point();
    }

    private static double amps(OperatingPoint point, String wire) {
        var design = point.netlist().design();
        return point.through(design.wire(new WireId(wire))).value();
    }

    /** A relay that buzzes is asked for as if it stayed in, and as if it stayed out. */
    @Test
    void aRestlessRelayIsHeldInOrOut() {
        var solver = new Solver(Netlist.of(DesignBuilder.buzzing().build()));
        assertThat(solver.demand(Conditions.REST)).isEqualTo(new Outcome.Chattering(K1));

        var in = point(solver.demand(Conditions.REST, K1, true));
        var out = point(solver.demand(Conditions.REST, K1, false));

        assertThat(in.pulledIn(new PartId("K1"))).isTrue();
        assertThat(in.pulled(0)).isTrue();
        assertThat(out.pulled(0)).isFalse();
        assertThat(out.pulledIn(new PartId("K1"))).isFalse();
        assertThat(amps(in, "w4")).isBetween(8.0, 12.0);
        assertThat(amps(out, "w4")).isZero();
        assertThat(solver.demand(Conditions.REST)).isEqualTo(new Outcome.Chattering(K1));
    }

    @Test
    void whatNeverRestsIsSaidNotTo() {
        var solver = new Solver(Netlist.of(DesignBuilder.buzzing().build()));
        solver.arrive(Conditions.REST);
        assertThat(solver.comesToRest()).isFalse();
        solver.arrive(Conditions.REST);
        assertThat(solver.movesCoils()).isFalse();
    }

    /** Whatever was asked of a solver before, it finds what a new one finds. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void whatWasAskedBeforeDoesNotMatter(long seed) {
        var design = AnyJob.of(seed);
        var used = new Solver(Netlist.of(design));
        for (long other = seed; other < seed + 6; other++) {
            var conditions = AnyJob.conditions(design, other);
            for (boolean fuses : List.of(true, false)) {
                var fresh = new Solver(Netlist.of(design));
                var now = fuses ? used.solve(conditions) : used.demand(conditions);
                var then = fuses ? fresh.solve(conditions) : fresh.demand(conditions);

                assertThat(now.getClass()).isEqualTo(then.getClass());
                then.settled()
                        .ifPresent(point -> {
                            for (var wire : design.wires()) {
                                double amps = point.through(wire).value();
                                assertThat(point(now).through(wire).value())
                                        .isCloseTo(amps, within(1e-5 + 1e-5 * Math.abs(amps)));
                            }
                        });
            }
        }
    }

    private static DesignBuilder chain(double first, double second, double amps) {
        return DesignBuilder.twelveVolts()
                .fuse("F1", first)
                .fuse("F2", second)
                .load("X1", amps)
                .load("X2", 1)
                .wire("B1.+", "F1.1", "6mm2", 0.3)
                .wire("F1.2", "F2.1", "6mm2", 0.3)
                .wire("F2.2", "X1.+", "6mm2", 0.3)
                .wire("F1.2", "X2.+", "1mm2", 1);
    }

    /** Of two fuses in a row the one that is overloaded most opens, and then the other holds. */
    @ParameterizedTest
    @CsvSource({"20, 5, F2", "5, 20, F1", "10, 10, F1"})
    void theFuseThatIsOverloadedMostOpensAlone(double first, double second, String opens) {
        var point =
                point(
                        new Solver(Netlist.of(chain(first, second, 25).build()))
                                .solve(Conditions.REST));

        assertThat(point.blown()).hasToString("[" + opens + "]");
        assertThat(point.whole(point.netlist().inside(new PartId(opens)).get(""))).isFalse();
        assertThat(amps(point, "w4")).isZero();
        assertThat(amps(point, "w5")).isCloseTo(opens.equals("F1") ? 0 : 1.05, within(0.02));
        var asked =
                point(
                        new Solver(Netlist.of(chain(first, second, 25).build()))
                                .demand(Conditions.REST));
        assertThat(asked.blown()).isEmpty();
        assertThat(amps(asked, "w4")).isGreaterThan(20);
    }

    /** What a fuse takes away lets a relay go; what the relay fed is dark then. */
    @Test
    void aFuseThatOpensLetsARelayGo() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .relay("K1")
                        .load("X1", 30)
                        .load("X2", 2)
                        .wire("B1.+", "F1.1", "6mm2", 0.3)
                        .wire("F1.2", "K1.86", "1mm2", 0.3)
                        .wire("K1.85", "E1.E", "1mm2", 0.3)
                        .wire("F1.2", "X1.+", "6mm2", 0.3)
                        .wire("B1.+", "K1.30", "2.5mm2", 0.3)
                        .wire("K1.87", "X2.+", "2.5mm2", 0.3)
                        .build();
        var solver = new Solver(Netlist.of(design));

        assertThat(amps(point(solver.demand(Conditions.REST)), "w7")).isGreaterThan(1.9);
        assertThat(amps(point(solver.solve(Conditions.REST)), "w7")).isCloseTo(0, within(1e-9));
        assertThat(solver.comesToRest()).isTrue();
        assertThat(solver.coils().isEmpty()).isTrue();
        solver.arrive(Conditions.REST);
        assertThat(solver.movesCoils()).isTrue();
        assertThat(solver.coils().cardinality()).isEqualTo(1);
    }

    private static Design sensing(double amps, double rated, double load, String sensed) {
        return DesignBuilder.twelveVolts()
                .mounted(
                        "G1",
                        "E1",
                        new SourceKind.Alternator(
                                new Volts(14.2),
                                new Amps(rated),
                                new Ohms(4),
                                new Ratio(2.5),
                                Optional.of(SourceKind.Alternator.Style.SWITCHED)))
                .load("X1", load)
                .wire("G1.B+", "B1.+", "4mm2", 3)
                .wire("B1.+", "X1.+", "10mm2", 0.5)
                .wire("B1.+", "G1.IG", "1mm2", 1)
                .wire("G1.S", sensed, "1mm2", amps)
                .build();
    }

    /** What its sense lead feels is held while it can give it; no more than it has is given. */
    @ParameterizedTest
    @CsvSource({"45, 5, true", "45, 20, true", "45, 33, true", "10, 30, false", "15, 40, false"})
    void aSensingSourceMakesUpForItsLeadWhileItCan(double rated, double load, boolean can) {
        var point = point(new Solver(Netlist.of(sensing(1, rated, load, "B1.+"))).solve(ROAD));
        double battery =
                point.voltsAt(point.netlist().design().part(new PartId("B1")).terminal("+"))
                        .orElseThrow()
                        .value();

        if (can) {
            assertThat(battery).isCloseTo(14.2, within(0.05));
            assertThat(amps(point, "w2")).isLessThan(rated);
        } else {
            assertThat(battery).isLessThan(13.5);
            assertThat(amps(point, "w2")).isCloseTo(rated, within(0.05 * rated));
        }
    }

    /** A sense lead that hangs in the air leaves the source to its own terminal. */
    @Test
    void aSenseLeadThatFeelsNothingIsNotHeeded() {
        var loose =
                sensing(1, 45, 10, "B1.+")
                        .withWires(
                                sensing(1, 45, 10, "B1.+").wires().stream()
                                        .filter(wire -> !wire.id().equals(new WireId("w5")))
                                        .toList());
        var point = point(new Solver(Netlist.of(loose)).solve(ROAD));

        assertThat(point.voltsAt(loose.part(new PartId("G1")).terminal("B+")).orElseThrow().value())
                .isCloseTo(14.2, within(0.2));
    }

    /** From where it was with another wire a solver finds what it finds from rest. */
    @Test
    void whatIsNearIsFoundFromWhereItWas() {
        var design = chain(40, 40, 25).lamp("H1", 55).wire("F2.2", "H1.58", "1mm2", 2).build();
        var thicker =
                new WireEdit.Resize(new WireId("w6"), WireSize.parse("2.5mm2").orElseThrow())
                        .apply(design);
        var before = point(new Solver(Netlist.of(design)).demand(Conditions.REST));
        var next = new Solver(Netlist.of(thicker));
        var near = next.demandNear(before).orElseThrow();
        var fresh = point(new Solver(Netlist.of(thicker)).demand(Conditions.REST));

        assertThat(near.conditions()).isEqualTo(Conditions.REST);
        assertThat(amps(near, "w6")).isGreaterThan(amps(before, "w6") + 1e-3);
        for (var wire : thicker.wires()) {
            assertThat(near.through(wire).value())
                    .isCloseTo(fresh.through(wire).value(), within(1e-7));
        }
    }

    /** A coil that would move is not looked for nearby. */
    @Test
    void whereACoilMovesNothingIsNear() {
        var design =
                DesignBuilder.twelveVolts()
                        .relay("K1")
                        .load("X1", 60)
                        .wire("B1.+", "K1.86", "25mm2", 0.3)
                        .wire("K1.86", "K1.30", "25mm2", 0.1)
                        .wire("K1.87", "X1.+", "25mm2", 0.1)
                        .wire("K1.85", "E1.E", "1mm2", 0.1)
                        .build();
        var before = point(new Solver(Netlist.of(design)).demand(Conditions.REST));
        var buzzing = new Solver(Netlist.of(DesignBuilder.buzzing().build()));

        assertThat(before.pulledIn(new PartId("K1"))).isTrue();
        assertThat(buzzing.demandNear(before)).isEmpty();
    }

    @Test
    void aPointTellsWhatEachBranchDoes() {
        var design =
                chain(40, 40, 25)
                        .lamp("H1", 55)
                        .wire("F2.2", "H1.58", "1mm2", 2)
                        .onOff("S1", "spare", 5)
                        .wire("F2.2", "S1.1", "1mm2", 1);
        var point = point(new Solver(Netlist.of(design.build())).solve(Conditions.REST));
        var netlist = point.netlist();
        int fuse = netlist.inside(new PartId("F1")).get("");
        int contact = netlist.inside(new PartId("S1")).get("1-2");
        var loose = netlist.design().part(new PartId("S1")).terminal("2");

        assertThat(point.conducts(fuse)).isTrue();
        assertThat(point.closed(new PartId("F1"), "")).isTrue();
        assertThat(point.whole(fuse)).isTrue();
        assertThat(point.conducts(contact)).isFalse();
        assertThat(point.closed(new PartId("S1"), "1-2")).isFalse();
        assertThat(point.closed(new PartId("S1"), "none")).isFalse();
        assertThat(point.floats(netlist.node(loose))).isTrue();
        assertThat(point.floats(0)).isFalse();
        assertThat(point.voltsAt(loose)).isEmpty();
        assertThat(point.branchAmps(fuse)).isCloseTo(amps(point, "w2"), within(1e-9));
        int pole = netlist.node(netlist.design().part(new PartId("B1")).terminal("+"));
        assertThat(point.nodeVolts(pole)).isBetween(12.3, 12.7);
        double volts = point.across(new PartId("H1"), "58").orElseThrow().value();
        assertThat(point.light(new PartId("H1"), "58").orElseThrow().value())
                .isCloseTo(Math.pow(volts / 13.5, 3.4), within(1e-12));
        assertThat(point.light(new PartId("X1"), "body")).isEmpty();
        int battery = netlist.inside(new PartId("B1")).get("output");
        assertThat(point.settled(battery)).isCloseTo(12.7, within(0.01));
    }
}
