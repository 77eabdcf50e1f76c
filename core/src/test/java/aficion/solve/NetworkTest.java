package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.job.AnyJob;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.WireId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Celsius;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** A network that is moved, disturbed, remembered and brought back. */
class NetworkTest {
    /** A relay's coil on the battery by a switch, a lamp behind its contact, a plain load. */
    private static DesignBuilder vehicle() {
        return DesignBuilder.twelveVolts()
                .onOff("S1", "lights", 10)
                .relay("K1")
                .lamp("H1", 55)
                .load("X1", 5)
                .fuse("F1", 10)
                .wire("B1.+", "S1.1", "1mm2", 1)
                .wire("S1.2", "K1.86", "1mm2", 1)
                .wire("K1.85", "E1.E", "1mm2", 1)
                .wire("B1.+", "K1.30", "2.5mm2", 1)
                .wire("K1.87", "H1.58", "1mm2", 2)
                .wire("B1.+", "F1.1", "2.5mm2", 0.5)
                .wire("F1.2", "X1.+", "1mm2", 3);
    }

    private final Design design = vehicle().build();
    private final Netlist netlist = Netlist.of(design);
    private final Network network = new Network(netlist, Conditions.REST);

    private int wire(String id) {
        return netlist.branch(design.wire(new WireId(id)));
    }

    private int inside(String part, String role) {
        return netlist.inside(new PartId(part)).get(role);
    }

    private static double[] volts(Network network) {
        assertThat(network.solve()).isTrue();
        return standing(network);
    }

    private static double[] standing(Network network) {
        return IntStream.range(0, network.netlist().nodes()).mapToDouble(network::volts).toArray();
    }

    /** 0.0185 Ω/m at 20 °C; the way past the load is 2.4 Ω and more, which is next to nothing. */
    @Test
    void anAmpereBetweenTwoNodesRaisesTheirResistance() {
        volts(network);
        int feed = wire("w8");
        int load = inside("X1", "body");

        assertThat(network.resistanceBetween(netlist.a(feed), netlist.b(feed)))
                .isCloseTo(0.0555, within(0.002));
        assertThat(network.resistanceBetween(netlist.b(feed), netlist.a(feed)))
                .isEqualTo(network.resistanceBetween(netlist.a(feed), netlist.b(feed)));
        assertThat(network.resistanceBetween(0, netlist.a(load)))
                .isCloseTo(network.resistanceBetween(netlist.a(load), 0), within(1e-12));
        assertThat(network.resistanceBetween(0, 0)).isZero();
        assertThat(1 / network.slope(feed)).isBetween(0.0555, 0.057);
        assertThat(network.slope(load)).isCloseTo(1 / 2.4, within(1e-9));
        assertThat(network.steps()).isPositive();
    }

    /** 12.65 V at 90 Ω: it pulls in from 7.2 V on and lets go under 2.4 V. */
    @Test
    void aCoilSaysHowFarItIsFromMoving() {
        volts(network);
        assertThat(network.wantsIn(0)).isFalse();
        assertThat(network.margin(0)).isCloseTo(7.2, within(1e-9));

        network.meet(Conditions.REST.with("lights", "on"));
        volts(network);
        assertThat(network.wantsIn(0)).isTrue();
        double volts =
                Math.abs(network.volts(network.coil(0).a()) - network.volts(network.coil(0).b()));
        assertThat(network.margin(0)).isCloseTo(volts - 7.2, within(1e-9));
        network.pull(0, true);
        volts(network);
        assertThat(network.margin(0)).isBetween(9.9, 10.3);
        assertThat(network.wantsIn(0)).isTrue();
        assertThat(network.wantsIn(0, 2.41)).isTrue();
        assertThat(network.wantsIn(0, network.coil(0).dropOut())).isFalse();
        network.pull(0, false);
        assertThat(network.wantsIn(0, network.coil(0).pickUp())).isTrue();
        assertThat(network.wantsIn(0, 7.2)).isTrue();
        assertThat(network.wantsIn(0, 7.19)).isFalse();
    }

    /** A cut-out that its own current helps: what moves it is that much less. */
    @Test
    void aCoilThatACurrentHelpsIsNearerToMoving() {
        var charging = DesignBuilder.twelveVolts().dynamo("B1.+").build();
        var road = Conditions.REST.withEngine(new Rpm(3000));
        var solver = new Solver(Netlist.of(charging));
        assertThat(solver.solve(road).settled()).isPresent();
        var running = solver.network();
        int helped =
                IntStream.range(0, running.coils())
                        .filter(coil -> running.coil(coil).series() >= 0)
                        .findFirst()
                        .orElseThrow();
        var coil = running.coil(helped);
        double volts = Math.abs(running.volts(coil.a()) - running.volts(coil.b()));
        double felt = volts + coil.perAmp() * running.amps(coil.series());
        double slope = running.slope(coil.series());

        assertThat(running.pulled(helped)).isTrue();
        assertThat(running.margin(helped))
                .isCloseTo(
                        Math.abs(felt - coil.dropOut()) / (1 + Math.abs(coil.perAmp() * slope)),
                        within(1e-9));
        assertThat(Math.abs(coil.perAmp() * slope)).isGreaterThan(0.1);
    }

    @Test
    void whatIsRememberedComesBack() {
        network.meet(Conditions.REST.with("lights", "on"));
        network.pull(0, true);
        var before = volts(network);
        var memory = network.remember();
        network.pull(0, false);
        network.fuse(inside("F1", ""), false);
        network.disturb(wire("w5"), 0, 0, 0);
        var between = volts(network);
        assertThat(network.amps(inside("X1", "body"))).isCloseTo(0, within(1e-9));
        assertThat(network.amps(inside("H1", "58"))).isCloseTo(0, within(1e-9));
        assertThat(network.floats(netlist.b(wire("w5")))).isTrue();
        assertThat(between).isNotEqualTo(before);
        assertThat(memory.volts(netlist.b(wire("w6")))).isEqualTo(before[netlist.b(wire("w6"))]);

        network.recall(memory);
        assertThat(network.pulled(0)).isTrue();
        assertThat(network.whole(inside("F1", ""))).isTrue();
        assertThat(network.disturbed(wire("w5"))).isFalse();
        assertThat(network.volts(netlist.b(wire("w6")))).isEqualTo(before[netlist.b(wire("w6"))]);
        assertThat(volts(network)).containsExactly(before, within(1e-9));
    }

    /** Lights on in the heat, the load's fuse blown: all of it is where the point was. */
    @Test
    void aNetworkStandsWhereAPointWas() {
        var hot = Conditions.REST.with("lights", "on").withAir(new Celsius(60));
        network.meet(hot);
        network.pull(0, true);
        network.fuse(inside("F1", ""), false);
        var before = volts(network);
        var point = OperatingPoint.of(hot, network).orElseThrow();

        var other = new Network(netlist, Conditions.REST);
        other.stand(point);
        assertThat(other.pulled(0)).isTrue();
        assertThat(other.whole(inside("F1", ""))).isFalse();
        assertThat(volts(other)).containsExactly(before, within(1e-9));
        assertThat(other.slope(wire("w5"))).isEqualTo(network.slope(wire("w5")));

        other.pull(0, false);
        other.fuse(inside("F1", ""), true);
        other.meet(Conditions.REST);
        assertThat(volts(other)).isNotEqualTo(before);
        other.stand(point);
        assertThat(volts(other)).containsExactly(before, within(1e-9));
    }

    /** 5 Ω from the load's feed to earth, on top of what it draws; a break beside it; neither. */
    @Test
    void aBranchIsDisturbedAndCalmAgain() {
        var before = volts(network);
        int feed = wire("w8");
        double drawn = network.amps(feed);
        network.disturb(feed, network.slope(feed), 0, 1 / 5.0);
        volts(network);
        double load = network.amps(inside("X1", "body"));
        assertThat(network.disturbed(feed)).isTrue();
        assertThat(network.amps(feed))
                .isCloseTo(load + network.volts(netlist.b(feed)) / 5, within(1e-6));

        network.disturb(feed, 0, 1 / 5.0, 0);
        volts(network);
        assertThat(network.amps(feed)).isZero();
        assertThat(network.conducts(feed)).isFalse();
        assertThat(network.amps(wire("w7")))
                .isCloseTo(network.volts(netlist.a(feed)) / 5, within(1e-6));

        network.calm();
        assertThat(network.disturbed(feed)).isFalse();
        assertThat(volts(network)).containsExactly(before, within(1e-9));
        assertThat(network.amps(feed)).isCloseTo(drawn, within(1e-9));
        assertThatThrownBy(() -> network.disturb(inside("H1", "58"), 0, 0, 0))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** A wire that is cut leaves what is behind it floating, until it is chafed to earth. */
    @Test
    void whatACutLeavesFloatsUntilItIsChafed() {
        volts(network);
        int coil = wire("w3");
        assertThat(network.floats(netlist.a(coil))).isFalse();
        assertThat(network.floats(netlist.a(wire("w6")))).isFalse();

        network.disturb(coil, 0, 0, 0);
        volts(network);
        assertThat(network.floats(netlist.a(coil))).isTrue();
        network.disturb(coil, 0, 1, 0);
        volts(network);
        assertThat(network.floats(netlist.a(coil))).isFalse();
        network.disturb(coil, 0, 0, 1);
        volts(network);
        assertThat(network.floats(netlist.a(coil))).isTrue();
        network.calm();
        volts(network);
        assertThat(network.floats(netlist.a(coil))).isFalse();
    }

    /** A wire between two open switches floats; a leak at either end holds it until it is calm. */
    @Test
    void aLeakHoldsWhatFloatsUntilItIsCalm() {
        var between =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "one", 5)
                        .onOff("S2", "two", 5)
                        .load("X1", 2)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "S2.1", "1mm2", 1)
                        .wire("S2.2", "X1.+", "1mm2", 1)
                        .build();
        var open = new Network(Netlist.of(between), Conditions.REST);
        int wire = open.netlist().branch(between.wire(new WireId("w3")));
        int end = open.netlist().a(wire);
        volts(open);
        assertThat(open.floats(end)).isTrue();
        for (double[] leak : new double[][] {{1, 0}, {0, 1}}) {
            open.disturb(wire, open.slope(wire), leak[0], leak[1]);
            volts(open);
            assertThat(open.floats(end)).isFalse();
            assertThat(open.volts(end)).isZero();
            open.calm();
            volts(open);
            assertThat(open.floats(end)).isTrue();
        }
    }

    /** What a resistance has settled at comes back with the rest. */
    @Test
    void whatHasSettledComesBack() {
        var sparking =
                DesignBuilder.twelveVolts()
                        .onOff("S1", "ignition", 10)
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                        .mounted("P1", "E1", new ControlKind.Points(4, new Ratio(0.5)))
                        .wire("B1.+", "S1.1", "1.5mm2", 1)
                        .wire("S1.2", "T1.15", "1.5mm2", 1)
                        .wire("T1.1", "P1.1", "1.5mm2", 1)
                        .build();
        var solver = new Solver(Netlist.of(sparking));
        var running = Conditions.REST.with("ignition", "on").withEngine(new Rpm(3000));
        assertThat(solver.solve(running).settled()).isPresent();
        var settled = solver.network();
        int coil = settled.netlist().inside(new PartId("T1")).get("body");
        double sparks = settled.amps(coil);
        var memory = settled.remember();
        solver.arrive(running);
        volts(settled);
        assertThat(settled.amps(coil)).isGreaterThan(1.1 * sparks);

        var point = solver.solve(running).settled().orElseThrow();
        var other = new Network(settled.netlist(), Conditions.REST);
        other.stand(point);
        volts(other);
        assertThat(other.amps(coil)).isCloseTo(sparks, within(1e-6));
        solver.arrive(running);
        settled.recall(memory);
        volts(settled);
        assertThat(settled.amps(coil)).isCloseTo(sparks, within(1e-6));
    }

    /** 13.5 V at 55 W: a line of 2 Ω in its place draws what a line draws. */
    @Test
    void aBranchIsStraightenedUntilItIsRefreshed() {
        network.meet(Conditions.REST.with("lights", "on"));
        network.pull(0, true);
        volts(network);
        int lamp = inside("H1", "58");
        double lit = network.amps(lamp);
        network.straighten(lamp, 0.5, 1);
        volts(network);
        assertThat(network.amps(lamp)).isCloseTo(0.5 * network.across(lamp) + 1, within(1e-9));
        assertThat(network.slope(lamp)).isEqualTo(0.5);
        network.refresh(lamp);
        volts(network);
        assertThat(network.amps(lamp)).isCloseTo(lit, within(1e-9));
    }

    @Test
    void aBranchStaysBetweenItsNodes() {
        int feed = wire("w8");
        network.set(feed, new Branch.Resistance(netlist.a(feed), netlist.b(feed), 2.4));
        volts(network);
        assertThat(network.amps(feed)).isBetween(2.5, 2.7);
        assertThatThrownBy(() -> network.set(feed, new Branch.Resistance(0, netlist.b(feed), 1)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> network.set(feed, new Branch.Resistance(netlist.a(feed), 0, 1)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** A flasher's contact is closed to begin with. */
    @Test
    void aBlinkingContactOpensAndCloses() {
        var blinking =
                DesignBuilder.twelveVolts()
                        .part(
                                "K1",
                                new ControlKind.Flasher(
                                        ControlKind.Flasher.Form.THERMAL,
                                        new Watts(42),
                                        new Volts(12),
                                        90))
                        .lamp("H1", 21)
                        .wire("B1.+", "K1.49", "1mm2", 1)
                        .wire("K1.49a", "H1.58", "1mm2", 1)
                        .build();
        var flashing = new Network(Netlist.of(blinking), Conditions.REST);
        int contact =
                IntStream.range(0, flashing.netlist().size())
                        .filter(i -> flashing.branch(i) instanceof Branch.Blinker)
                        .findFirst()
                        .orElseThrow();
        volts(flashing);
        assertThat(flashing.closed(contact)).isTrue();
        assertThat(Math.abs(flashing.amps(contact))).isGreaterThan(1);
        flashing.blink(contact, false);
        volts(flashing);
        assertThat(flashing.closed(contact)).isFalse();
        assertThat(flashing.amps(contact)).isZero();
        flashing.blink(contact, true);
        volts(flashing);
        assertThat(Math.abs(flashing.amps(contact))).isGreaterThan(1);
    }

    /**
     * Whatever was done to it, a network that starts over finds what a new one finds, to the bit.
     */
    @RepeatedTest(20)
    void whatStartsOverKnowsNothingOfWhatWas(RepetitionInfo repetition) {
        long seed = repetition.getCurrentRepetition();
        var any = AnyJob.of(seed);
        var conditions = AnyJob.conditions(any, seed);
        var fresh = new Network(Netlist.of(any), conditions);
        var memory = fresh.remember();
        boolean found = fresh.solve();
        var first = standing(fresh);
        var random = new Random(seed);
        for (int i = 0; i < 10; i++) {
            int branch = random.nextInt(fresh.netlist().size());
            if (isStraight(fresh, branch)) {
                fresh.disturb(branch, random.nextBoolean() ? 0 : 3, random.nextDouble(), 0);
            }
            if (fresh.coils() > 0) {
                fresh.pull(random.nextInt(fresh.coils()), random.nextBoolean());
            }
            if (fresh.branch(branch) instanceof Branch.FuseBranch) {
                fresh.fuse(branch, !fresh.whole(branch));
            }
            fresh.solve();
        }
        fresh.startOver(memory);

        assertThat(fresh.solve()).isEqualTo(found);
        assertThat(standing(fresh)).isEqualTo(first);
    }

    private static boolean isStraight(Network network, int branch) {
        return network.branch(branch) instanceof Branch.Resistance
                && network.netlist().bending().noneMatch(bent -> bent == branch);
    }
}
