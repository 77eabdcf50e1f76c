package aficion.sweep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.fault.Fault;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Ratio;
import aficion.size.WorstCase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What each fault does, worked out by hand. */
class SweepTest {
    /** Battery, fuse F1, switch S1, lamp H1; wires 2 to 4 in that order. */
    private static DesignBuilder lamp(double fuse, String size) {
        return DesignBuilder.twelveVolts()
                .fuse("F1", fuse)
                .onOff("S1", "lights", 10)
                .lamp("H1", 55)
                .wire("B1.+", "F1.1", "6mm2", 0.2)
                .wire("F1.2", "S1.1", size, 1)
                .wire("S1.2", "H1.58", size, 3);
    }

    private static List<Effect> sweep(DesignBuilder design) {
        return Sweep.of(Netlist.of(design.build())).effects();
    }

    private static Effect effect(List<Effect> effects, Fault fault) {
        return effects.stream()
                .filter(effect -> effect.fault().equals(fault))
                .findFirst()
                .orElseThrow(() -> new AssertionError("nothing of " + fault + " in " + effects));
    }

    private static Fault chafed(String wire, Fault.Place place) {
        return new Fault.Chafed(new WireId(wire), place);
    }

    /**
     * 1 mm² to the switch: battery 6 mΩ, fuse 9 mΩ, leads about 20 mΩ: some 250 A or more, far over
     * 6 times 10 A; a blade opens in a few ms, and (115·1)² = 13 225 A²s are not reached.
     */
    @Test
    void aGoodFuseOpensBeforeTheWireBurns() {
        var effect = effect(sweep(lamp(10, "1mm2")), chafed("w3", Fault.Place.SECOND_END));

        assertThat(effect.danger()).isEqualTo(Consequence.Danger.OPENS);
        var opens = (Consequence.Opens) effect.consequences().getFirst();
        assertThat(opens.guard()).hasToString("F1");
        assertThat(opens.amps().value()).isBetween(150.0, 400.0);
        double multiple = opens.amps().value() / 10;
        assertThat(opens.within().value()).isCloseTo(0.1 * Math.pow(6 / multiple, 2), within(1e-9));
    }

    /** What a weak battery gives opens no 40 A: full it burns the lead, flat it cannot for long. */
    @Test
    void aFlatBatteryBurnsNothingForLong() {
        var weak =
                new DesignBuilder(12)
                        .battery(0.24)
                        .fuse("F1", 40)
                        .lamp("H1", 21)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .wire("B1.+", "F1.1", "10mm2", 0.2)
                        .wire("F1.2", "H1.58", "2.5mm2", 0.2)
                        .build();
        var sweep = Sweep.of(Netlist.of(weak));
        var flat = Conditions.REST.withCharge(new Ratio(0));
        var bare = chafed("w3", Fault.Place.MIDDLE);

        assertThat(effect(sweep.effects(List.of(Conditions.REST), _ -> true), bare).danger())
                .isEqualTo(Consequence.Danger.BURNS);
        assertThat(effect(sweep.effects(List.of(flat), _ -> true), bare).danger())
                .isNotEqualTo(Consequence.Danger.BURNS);
    }

    /** Before the fuse nothing opens: the lead of 0.35 mm² burns. */
    @Test
    void aLeadWithoutAGuardBurns() {
        var design = DesignBuilder.twelveVolts().lamp("H1", 21).wire("B1.+", "H1.58", "0.35mm2", 2);

        var effect = effect(sweep(design), chafed("w2", Fault.Place.SECOND_END));

        assertThat(effect.danger()).isEqualTo(Consequence.Danger.BURNS);
        var burns = (Consequence.Burns) effect.consequences().getFirst();
        assertThat(burns.wire()).isEqualTo(new WireId("w2"));
        double limit = Math.pow(115 * 0.35, 2);
        assertThat(burns.within().value())
                .isCloseTo(limit / Math.pow(burns.amps().value(), 2), within(1e-6));
    }

    /** The middle of the wire has half its resistance before it, so more flows than at its end. */
    @Test
    void aChafeInTheMiddleLeadsMoreThanAtTheEnd() {
        var effects = sweep(lamp(10, "1mm2"));
        double middle = opens(effects, Fault.Place.MIDDLE);
        double end = opens(effects, Fault.Place.SECOND_END);
        double first = opens(effects, Fault.Place.FIRST_END);

        assertThat(first).isGreaterThan(middle);
        assertThat(middle).isGreaterThan(end);
    }

    private static double opens(List<Effect> effects, Fault.Place place) {
        var consequences = effect(effects, chafed("w4", place)).consequences();
        return consequences.stream()
                .filter(Consequence.Opens.class::isInstance)
                .mapToDouble(each -> ((Consequence.Opens) each).amps().value())
                .findFirst()
                .orElseThrow();
    }

    /** A horn switched in its earth: its lead chafed to the body sounds it. */
    @Test
    void aChafeInASwitchedEarthMakesTheThingRunByItself() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 15)
                        .part(
                                "X1",
                                new aficion.job.LoadKind.Load(
                                        new aficion.job.Demand.InAmps(new aficion.quantity.Amps(5)),
                                        new aficion.quantity.Volts(12)))
                        .push("S1", "horn", 10)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                        .wire("F1.2", "X1.+", "2.5mm2", 1)
                        .wire("X1.31", "S1.1", "1mm2", 1)
                        .wire("S1.2", "E1.E", "1mm2", 0.5);

        var effect = effect(sweep(design), chafed("w4", Fault.Place.SECOND_END));

        assertThat(effect.danger()).isEqualTo(Consequence.Danger.RUNS);
        assertThat(((Consequence.RunsByItself) effect.consequences().getFirst()).part())
                .isEqualTo(new PartId("X1"));
    }

    @Test
    void aBrokenWireLeavesDarkWhatHangsOnIt() {
        var effects = sweep(lamp(10, "1mm2"));

        var broken = effect(effects, new Fault.Broken(new WireId("w4")));

        assertThat(broken.consequences())
                .containsExactly(new Consequence.GoesDark(new PartId("H1"), "58"));
        assertThat(broken.state().positions()).containsEntry("lights", "on");
    }

    /**
     * 55 W draw some 4 A; 1 Ω more takes a third of the volts and, at V^0.55, a fifth of the amps.
     */
    @Test
    void aBadJointWeakensTheLamp() {
        var effects = sweep(lamp(10, "1mm2"));

        var joint =
                effect(effects, new Fault.BadJoint(new WireId("w4"), new aficion.quantity.Ohms(1)));

        var weak = (Consequence.Weakens) joint.consequences().getFirst();
        assertThat(weak.left().value()).isBetween(0.75, 0.9);
    }

    /** Two lamps on one lost earth: each returns through the other and glows. */
    @Test
    void aLostEarthMakesALampGlow() {
        var stop = new aficion.job.LoadKind.Filament("54", new aficion.quantity.Watts(21));
        var tail = new aficion.job.LoadKind.Filament("58", new aficion.quantity.Watts(5));
        var both =
                new aficion.job.LoadKind.Lamp(
                        new aficion.quantity.Volts(13.5), List.of(tail, stop));
        var design =
                DesignBuilder.twelveVolts()
                        .earth("E2")
                        .onOff("S1", "brake", 10)
                        .mounted("H1", "E2", both)
                        .mounted("H2", "E1", both)
                        .wire("B1.+", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.54", "1mm2", 1)
                        .wire("H1.58", "H2.58", "1mm2", 1);

        var lost = effect(sweep(design), new Fault.EarthLost(new PartId("E2")));

        assertThat(lost.danger()).isEqualTo(Consequence.Danger.MISLEADS);
        assertThat(lost.consequences())
                .anyMatch(each ->
                        each instanceof Consequence.Glows(var part, _, _)
                                && part.equals(new PartId("H2")));
    }

    @Test
    void theWorstStandsFirstAndTheOrderIsStable() {
        var design = lamp(10, "1mm2").lamp("H2", 5).wire("B1.+", "H2.58", "0.35mm2", 2);

        var effects = sweep(design);

        assertThat(effects).isSortedAccordingTo((a, b) -> a.danger().compareTo(b.danger()));
        assertThat(effects.getFirst().danger()).isEqualTo(Consequence.Danger.BURNS);
        assertThat(sweep(design)).isEqualTo(effects);
    }

    @Test
    void itTellsHowFarItIsAndStopsWhenAsked() {
        var netlist = Netlist.of(lamp(10, "1mm2").build());
        var states = WorstCase.states(netlist);
        var sweep = Sweep.of(netlist);
        var told = new ArrayList<Double>();

        var effects = sweep.effects(states, told::add);

        assertThat(told).isNotEmpty().isSorted().allMatch(share -> share <= 1);
        told.clear();
        sweep.effects(
                states,
                share -> {
                    told.add(share);
                    return false;
                });
        assertThat(told).hasSize(1);
        assertThat(sweep.effects(states, _ -> true)).isEqualTo(effects);
    }

    @Test
    void aStateAloneIsSharedOutAndTellsTheSame() {
        var design = lamp(10, "1mm2").lamp("H2", 5).wire("B1.+", "H2.58", "0.35mm2", 2).build();
        var sweep = Sweep.of(Netlist.of(design));

        assertThat(sweep.effects(List.of(Conditions.REST), _ -> true))
                .isNotEmpty()
                .usingElementComparator(
                        Comparator.comparing(effect -> effect.fault() + ":" + effect.danger()))
                .isEqualTo(sweep.effects(List.of(Conditions.REST, Conditions.REST), _ -> true));
    }
}
