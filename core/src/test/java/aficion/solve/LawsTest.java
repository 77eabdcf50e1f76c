package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.Job;
import aficion.job.JobBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** Laws that hold for every circuit, tried on many. */
class LawsTest {

    @RepeatedTest(60)
    void currentsAtEveryJointSumToNothingAndPowerBalances(RepetitionInfo repetition) {
        var random = new Random(repetition.getCurrentRepetition() * 31L);
        var job = anyJob(random);
        var conditions = Conditions.REST;
        for (int i = 0; i < 4; i++) {
            conditions = random.nextBoolean() ? conditions.with("s" + i, "on") : conditions;
        }
        conditions =
                conditions
                        .withEngine(new Rpm(random.nextInt(5000)))
                        .withCharge(new Ratio(random.nextDouble()));

        var outcome = new Solver(Netlist.of(job)).solve(conditions);

        assertThat(outcome).isInstanceOfAny(Outcome.Solved.class, Outcome.Chattering.class);
        if (outcome instanceof Outcome.Solved(var point)) {
            assertJointsSum(job, point);
        }
    }

    /** At a joint nothing but wires meet, so their currents must cancel. */
    private static void assertJointsSum(Job job, OperatingPoint point) {
        var sums = new HashMap<Terminal, Double>();
        for (var wire : job.wires()) {
            double amps = point.through(wire).value();
            sums.merge(wire.from().terminal(), -amps, Double::sum);
            sums.merge(wire.to().terminal(), amps, Double::sum);
        }
        for (var part : job.parts()) {
            if (part.kind() instanceof JoinKind.Splice) {
                assertThat(sums.getOrDefault(part.terminal("J"), 0.0)).isCloseTo(0, within(2e-6));
            }
        }
    }

    /**
     * Parts of every sort thrown together and wired at random: open, shorted, floating and looped
     * circuits among them.
     */
    private static Job anyJob(Random random) {
        var builder = JobBuilder.twelveVolts().earth("E2");
        var pins = new ArrayList<>(List.of("B1.+", "B1.+", "E1.E", "E2.E"));
        for (int i = 0; i < 4; i++) {
            builder.onOff("S" + i, "s" + i, 10);
            pins.addAll(List.of("S" + i + ".1", "S" + i + ".2"));
            builder.lamp("H" + i, 5 + random.nextInt(55));
            pins.add("H" + i + ".58");
            builder.part("J" + i, new JoinKind.Splice());
            pins.addAll(List.of("J" + i + ".J", "J" + i + ".J"));
            builder.fuse("F" + i, 5 + random.nextInt(25));
            pins.addAll(List.of("F" + i + ".1", "F" + i + ".2"));
        }
        builder.relay("K1").relay("K2");
        pins.addAll(
                List.of("K1.85", "K1.86", "K1.30", "K1.87", "K2.85", "K2.86", "K2.30", "K2.87"));
        builder.part("D1", new JoinKind.Diode(new Amps(6)))
                .part("L1", new LoadKind.WarningLamp(new Watts(2.2), new Volts(13.5)));
        pins.addAll(List.of("D1.A", "D1.K", "L1.1", "L1.2", "G1.B+", "G1.D+", "R1.1", "R1.2"));
        builder.mounted(
                "G1",
                "E1",
                new SourceKind.Alternator(
                        new Volts(14.2), new Amps(45), new Ohms(4), new Ratio(2.5)));
        builder.part("R1", new JoinKind.Resistor(new Ohms(0.5 + random.nextDouble(20))));
        var sizes = List.of("0.5mm2", "1mm2", "2.5mm2", "10mm2");
        for (int i = 0; i < 26; i++) {
            var from = pins.get(random.nextInt(pins.size()));
            var to = pins.get(random.nextInt(pins.size()));
            if (!from.equals(to)) {
                builder.wire(from, to, sizes.get(random.nextInt(4)), random.nextDouble(4));
            }
        }
        return builder.build();
    }

    /**
     * With the common earth of two lamps lost, each returns through the other: a lamp glows that is
     * not switched on.
     */
    @Test
    void aLostEarthMakesCurrentFindAnotherWay() {
        var stop = new LoadKind.Filament("54", new Watts(21));
        var tail = new LoadKind.Filament("58", new Watts(5));
        var job =
                JobBuilder.twelveVolts()
                        .onOff("S1", "brake", 10)
                        .part("H1", new LoadKind.Lamp(new Volts(13.5), List.of(tail, stop)))
                        .mounted(
                                "H2", "E1", new LoadKind.Lamp(new Volts(13.5), List.of(tail, stop)))
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.54", "1mm2", 1)
                        .wire("H1.58", "H2.58", "1mm2", 1)
                        .build();

        var outcome = new Solver(Netlist.of(job)).solve(Conditions.REST.with("brake", "on"));

        var point = ((Outcome.Solved) outcome).point();
        assertThat(point.light(new PartId("H2"), "58").orElseThrow().value()).isBetween(0.05, 0.9);
        assertThat(point.light(new PartId("H1"), "58").orElseThrow().value()).isBetween(0.05, 0.9);
    }

    /** Doubling all copper never raises what a wire loses. */
    @Test
    void moreCopperNeverLosesMore() {
        double before = Double.MAX_VALUE;
        for (var size : List.of("0.5mm2", "1mm2", "2mm2", "4mm2", "8mm2", "16mm2")) {
            var job =
                    JobBuilder.twelveVolts().lamp("H1", 55).wire("B1.+", "H1.58", size, 5).build();
            var point =
                    ((Outcome.Solved) new Solver(Netlist.of(job)).solve(Conditions.REST)).point();
            double lost = point.lostIn(job.wires().getLast()).value();
            assertThat(lost).isPositive().isLessThan(before);
            before = lost;
        }
    }

    /** At 120 °C copper resists 39.3 % more, so the same current loses more. */
    @Test
    void warmAirMakesWiresLoseMore() {
        var job = JobBuilder.twelveVolts().load("X1", 10).wire("B1.+", "X1.+", "1mm2", 5).build();
        var solver = new Solver(Netlist.of(job));
        var cold = ((Outcome.Solved) solver.solve(Conditions.REST)).point();
        var warm =
                ((Outcome.Solved)
                                solver.solve(
                                        Conditions.REST.withAir(new aficion.quantity.Celsius(120))))
                        .point();

        assertThat(warm.through(job.wires().getLast()).value())
                .isLessThan(cold.through(job.wires().getLast()).value());
        assertThat(warm.lostIn(job.wires().getLast()).value())
                .isGreaterThan(cold.lostIn(job.wires().getLast()).value() * 1.3);
    }
}
