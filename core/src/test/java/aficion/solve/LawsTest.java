package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.AnyJob;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.HashMap;
import java.util.List;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** Laws that hold for every circuit, tried on many. */
class LawsTest {

    @RepeatedTest(60)
    void currentsAtEveryJointSumToNothingAndPowerBalances(RepetitionInfo repetition) {
        long seed = repetition.getCurrentRepetition();
        var design = AnyJob.of(seed);

        var outcome = new Solver(Netlist.of(design)).solve(AnyJob.conditions(design, seed));

        assertThat(outcome).isInstanceOfAny(Outcome.Solved.class, Outcome.Chattering.class);
        if (outcome instanceof Outcome.Solved(var point)) {
            assertJointsSum(design, point);
        }
    }

    /** At a joint nothing but wires meet, so their currents must cancel. */
    private static void assertJointsSum(Design design, OperatingPoint point) {
        var sums = new HashMap<Terminal, Double>();
        for (var wire : design.wires()) {
            double amps = point.through(wire).value();
            sums.merge(wire.from().terminal(), -amps, Double::sum);
            sums.merge(wire.to().terminal(), amps, Double::sum);
        }
        for (var part : design.parts()) {
            if (part.kind() instanceof JoinKind.Splice) {
                assertThat(sums.getOrDefault(part.terminal("J"), 0.0)).isCloseTo(0, within(2e-6));
            }
        }
    }

    /**
     * With the common earth of two lamps lost, each returns through the other: a lamp glows that is
     * not switched on.
     */
    @Test
    void aLostEarthMakesCurrentFindAnotherWay() {
        var stop = new LoadKind.Filament("54", new Watts(21));
        var tail = new LoadKind.Filament("58", new Watts(5));
        var design =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "brake", 10)
                        .part("H1", new LoadKind.Lamp(new Volts(13.5), List.of(tail, stop)))
                        .mounted(
                                "H2", "E1", new LoadKind.Lamp(new Volts(13.5), List.of(tail, stop)))
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.54", "1mm2", 1)
                        .wire("H1.58", "H2.58", "1mm2", 1)
                        .build();

        var outcome = new Solver(Netlist.of(design)).solve(Conditions.REST.with("brake", "on"));

        var point = ((Outcome.Solved) outcome).point();
        assertThat(point.light(new PartId("H2"), "58").orElseThrow().value()).isBetween(0.05, 0.9);
        assertThat(point.light(new PartId("H1"), "58").orElseThrow().value()).isBetween(0.05, 0.9);
    }

    /** Doubling all copper never raises what a wire loses. */
    @Test
    void moreCopperNeverLosesMore() {
        double before = Double.MAX_VALUE;
        for (var size : List.of("0.5mm2", "1mm2", "2mm2", "4mm2", "8mm2", "16mm2")) {
            var design =
                    DesignBuilder.twelveVolts()
                            .lamp("H1", 55)
                            .wire("B1.+", "H1.58", size, 5)
                            .build();
            var point =
                    ((Outcome.Solved) new Solver(Netlist.of(design)).solve(Conditions.REST))
                            .point();
            double lost = point.lostIn(design.wires().getLast()).value();
            assertThat(lost).isPositive().isLessThan(before);
            before = lost;
        }
    }

    /** At 120 °C copper resists 39.3 % more, so the same current loses more. */
    @Test
    void warmAirMakesWiresLoseMore() {
        var design =
                DesignBuilder.twelveVolts().load("X1", 10).wire("B1.+", "X1.+", "1mm2", 5).build();
        var solver = new Solver(Netlist.of(design));
        var cold = ((Outcome.Solved) solver.solve(Conditions.REST)).point();
        var warm =
                ((Outcome.Solved)
                                solver.solve(
                                        Conditions.REST.withAir(new aficion.quantity.Celsius(120))))
                        .point();

        assertThat(warm.through(design.wires().getLast()).value())
                .isLessThan(cold.through(design.wires().getLast()).value());
        assertThat(warm.lostIn(design.wires().getLast()).value())
                .isGreaterThan(cold.lostIn(design.wires().getLast()).value() * 1.3);
    }
}
