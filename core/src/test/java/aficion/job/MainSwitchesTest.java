package aficion.job;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What parts the battery from the vehicle rests where it joins, and is no key. */
class MainSwitchesTest {
    private static final Position OFF = new Position("off", false, List.of());
    private static final Position ON = new Position("on", false, List.of(new Contact("1", "2")));

    private static ControlKind.Switch isolator(Action action) {
        return new ControlKind.Switch(
                action, "isolator", List.of("1", "2"), List.of(OFF, ON), new Amps(250));
    }

    /** Lights and horn of their own, an ignition behind the key S1; all behind the joint J1. */
    private static DesignBuilder vehicle(DesignBuilder from, String feed) {
        return from.part("S1", DesignBuilder.offRunStart())
                .part("J1", new JoinKind.Splice())
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                .onOff("S2", "lights", 10)
                .lamp("H1", 50)
                .lamp("H2", 50)
                .load("X1", 3)
                .wire(feed, "J1.J", "6mm2", 1)
                .wire("J1.J", "S1.30", "4mm2", 1)
                .wire("S1.15", "T1.15", "1.5mm2", 1)
                .wire("T1.1", "E1.E", "1.5mm2", 1)
                .wire("J1.J", "S2.1", "2.5mm2", 1)
                .wire("S2.2", "H1.58", "1.5mm2", 1)
                .wire("S2.2", "H2.58", "1.5mm2", 1)
                .wire("S1.50", "X1.+", "1mm2", 1);
    }

    private static DesignBuilder inFeed(Action action) {
        var from =
                DesignBuilder.twelveVolts()
                        .part("S9", isolator(action))
                        .wire("B1.+", "S9.1", "25mm2", 0.3);
        return vehicle(from, "S9.2");
    }

    private static DesignBuilder inEarth(Action action) {
        var from =
                new DesignBuilder(12)
                        .battery(0.006)
                        .part("S9", isolator(action))
                        .wire("B1.-", "S9.1", "25mm2", 0.3)
                        .wire("S9.2", "E1.E", "25mm2", 0.3);
        return vehicle(from, "B1.+");
    }

    @Test
    void anIsolatorInEitherLeadRestsWhereItJoins() {
        for (var action : List.of(Action.KEY, Action.LEVER)) {
            for (var builder : List.of(inFeed(action), inEarth(action))) {
                var design = builder.build();
                var controls = Controls.of(design);

                assertThat(design.isMain("isolator")).isTrue();
                assertThat(controls.find("isolator").orElseThrow().rest()).isEqualTo("on");
                assertThat(Controls.position(controls.find("isolator").get(), Conditions.REST))
                        .isEqualTo("on");
                assertThat(controls.key().orElseThrow().name()).isEqualTo("key");
                assertThat(List.of("key", "lights")).noneMatch(design::isMain);
            }
        }
    }

    /** A key by itself governs; what leaves half of all alive parts nothing. */
    @Test
    void whatGovernsOrPartsALittleIsNoMainSwitch() {
        var alone = vehicle(DesignBuilder.twelveVolts(), "B1.+").build();
        assertThat(List.of("key", "lights")).noneMatch(alone::isMain);

        var half = inFeed(Action.LEVER).load("X5", 1).load("X6", 1).load("X7", 1);
        half.wire("B1.+", "X5.+", "1mm2", 1)
                .wire("B1.+", "X6.+", "1mm2", 1)
                .wire("B1.+", "X7.+", "1mm2", 1);
        assertThat(half.build().isMain("isolator")).isFalse();
        assertThat(Controls.of(half.build()).find("isolator").orElseThrow().rest())
                .isEqualTo("off");
    }

    /** Behind the main guard it parts the vehicle as well. */
    @Test
    void aMainSwitchMayStandBehindTheMainGuard() {
        var guarded =
                vehicle(
                        DesignBuilder.twelveVolts()
                                .fuse("F1", 60)
                                .part("S9", isolator(Action.LEVER))
                                .wire("B1.+", "F1.1", "10mm2", 0.2)
                                .wire("F1.2", "S9.1", "10mm2", 0.3),
                        "S9.2");

        assertThat(guarded.build().isMain("isolator")).isTrue();
        assertThat(guarded.build().isMain("lights")).isFalse();
    }

    /**
     * Without a key the ignition's own switch governs: an isolator before it is one all the same.
     */
    @Test
    void withoutAKeyTheIgnitionGoverns() {
        var tractor =
                DesignBuilder.twelveVolts()
                        .part("S9", isolator(Action.LEVER))
                        .onOff("S1", "ignition", 20)
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                        .load("X1", 3)
                        .wire("B1.+", "S9.1", "25mm2", 0.3)
                        .wire("S9.2", "S1.1", "4mm2", 1)
                        .wire("S1.2", "T1.15", "1.5mm2", 1)
                        .wire("T1.1", "E1.E", "1.5mm2", 1)
                        .wire("S9.2", "X1.+", "1.5mm2", 1)
                        .build();

        assertThat(tractor.isMain("isolator")).isTrue();
        assertThat(tractor.isMain("ignition")).isFalse();
    }

    /** A switch that all goes through, the ignition's behind it, may be the key of such a one. */
    @Test
    void behindAGuardAndWithoutAKeyNothingIsParted() {
        var bike =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 20)
                        .onOff("S1", "ignition", 20)
                        .onOff("S2", "kill", 5)
                        .part("T1", new LoadKind.IgnitionCoil(new Ohms(3.2), new Henries(0.007)))
                        .load("X1", 3)
                        .wire("B1.+", "F1.1", "4mm2", 0.2)
                        .wire("F1.2", "S1.1", "2.5mm2", 1)
                        .wire("S1.2", "S2.1", "1.5mm2", 1)
                        .wire("S2.2", "T1.15", "1.5mm2", 1)
                        .wire("T1.1", "E1.E", "1.5mm2", 1)
                        .wire("S1.2", "X1.+", "1.5mm2", 1)
                        .build();

        assertThat(List.of("ignition", "kill")).noneMatch(bike::isMain);
    }
}
