package aficion.bench.reason;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.FuseType;
import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.job.WireId;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What may be wrong with circuits of a few parts, each with how often it is. */
class SuspectsTest {
    private static final Volts TWELVE = new Volts(12);

    private static List<Suspect> suspects(Design design) {
        return Suspects.of(Netlist.of(design), new CircuitId("1"));
    }

    /** In short, each with its weight; without what every wire, the battery and its earth have. */
    private static List<String> ofParts(DesignBuilder builder) {
        var design = builder.build();
        var all =
                suspects(design).stream()
                        .skip(1)
                        .map(suspect ->
                                Notation.of(design, suspect.faults().getFirst())
                                        + " "
                                        + suspect.weight())
                        .toList();
        var usual =
                Stream.concat(
                                IntStream.rangeClosed(1, design.wires().size())
                                        .boxed()
                                        .flatMap(SuspectsTest::ofWire),
                                Stream.of("B1=tired 1.0", "E1=lost 3.0", "E1=bad 3.0"))
                        .toList();
        assertThat(all).startsWith(usual.toArray(String[]::new));
        return all.subList(usual.size(), all.size());
    }

    private static Stream<String> ofWire(int number) {
        return Stream.of("open 3.0", "bad 3.0", "short 1.0", "short:second 1.0")
                .map(each -> number + "=" + each);
    }

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    /** A fuse blows, a contact burns, sticks or opens, a lamp is dead, or another. */
    @Test
    void aLampBehindAFuseAndASwitch() {
        var lamp =
                with().fuse("F1", 10)
                        .onOff("S1", "light", 10)
                        .lamp("H1", 21)
                        .wire("B1.+", "F1.1", "1mm2", 1)
                        .wire("F1.2", "S1.1", "1mm2", 1)
                        .wire("S1.2", "H1.58", "1mm2", 1);

        assertThat(suspects(lamp.build()).getFirst()).isEqualTo(Suspect.NOTHING);
        assertThat(ofParts(lamp))
                .containsExactly(
                        "F1=blown 2.0",
                        "S1.1-2=dead 2.0",
                        "S1.1-2=bad 2.0",
                        "S1.1-2=stuck 1.0",
                        "S1=turned 1.0",
                        "S1.1/S1.2=touching 0.5",
                        "H1.58=dead 2.0",
                        "H1.mount=dead 2.0",
                        "H1=other:volts 0.5",
                        "H1=other:watts 0.5");
    }

    /** A bad joint is of as many ohms as the worst that is tried; a tired battery a tenth less. */
    @Test
    void faultsHaveFigures() {
        var all =
                suspects(with().lamp("H1", 21).wire("B1.+", "H1.58", "1mm2", 1).build()).stream()
                        .flatMap(suspect -> suspect.faults().stream())
                        .toList();

        assertThat(all).contains(new Fault.BadJoint(new WireId("w2"), Fault.BAD.getLast()));
        assertThat(kinds(all, SourceKind.Battery.class))
                .singleElement()
                .satisfies(tired -> {
                    assertThat(tired.nominal().value()).isCloseTo(10.8, within(1e-9));
                    assertThat(tired.internal().value()).isCloseTo(0.06, within(1e-9));
                });
        assertThat(kinds(all, LoadKind.Lamp.class))
                .extracting(lamp -> lamp.test().value() + " V " + watts(lamp))
                .containsExactly("6.75 V [21.0]", "13.5 V [5.0]");
    }

    private static List<Double> watts(LoadKind.Lamp lamp) {
        return lamp.filaments().stream().map(each -> each.watts().value()).toList();
    }

    private static <T> List<T> kinds(List<Fault> faults, Class<T> kind) {
        return faults.stream()
                .flatMap(fault ->
                        fault instanceof Fault.Another(_, var other) && kind.isInstance(other)
                                ? Stream.of(kind.cast(other))
                                : Stream.<T>empty())
                .toList();
    }

    /** Up to ten watts a lamp is mistaken for a large one, from there for a small one. */
    @Test
    void aSmallLampIsMistakenForALargeOne() {
        for (double watts : new double[] {4, 10, 10.5}) {
            var all = suspects(with().lamp("H1", watts).wire("B1.+", "H1.58", "1mm2", 1).build());
            var lamps =
                    kinds(
                            all.stream().flatMap(each -> each.faults().stream()).toList(),
                            LoadKind.Lamp.class);

            assertThat(watts(lamps.getLast())).containsExactly(watts <= 10 ? 21.0 : 5.0);
        }
    }

    /** The coil of a relay is dead, not its branch besides; four leads change places any way. */
    @Test
    void aRelay() {
        assertThat(
                        ofParts(
                                with().relay("K1")
                                        .load("X1", 10)
                                        .wire("B1.+", "K1.30", "1mm2", 1)
                                        .wire("K1.87", "X1.+", "1mm2", 1)
                                        .wire("K1.85", "E1.E", "1mm2", 1)
                                        .wire("B1.+", "K1.86", "1mm2", 1)))
                .containsExactly(
                        "K1=dead 2.0",
                        "K1.30-87=dead 2.0",
                        "K1.30-87=bad 2.0",
                        "K1.30-87=stuck 1.0",
                        "K1.86/K1.85=exchanged 1.0",
                        "K1.86/K1.30=exchanged 1.0",
                        "K1.86/K1.87=exchanged 1.0",
                        "K1.86/K1.85=touching 0.5",
                        "K1.85/K1.30=exchanged 1.0",
                        "K1.85/K1.87=exchanged 1.0",
                        "K1.85/K1.30=touching 0.5",
                        "K1.30/K1.87=exchanged 1.0",
                        "K1.30/K1.87=touching 0.5",
                        "X1.body=dead 2.0",
                        "X1.mount=dead 2.0");
    }

    /** One that stays has the coil that sets it as its coil; what no wire reaches is left out. */
    @Test
    void aRelayThatStays() {
        var stays = new ControlKind.LatchingRelay(TWELVE, new Ohms(90), new Amps(30));

        assertThat(
                        ofParts(
                                with().part("K1", stays)
                                        .load("X1", 10)
                                        .wire("B1.+", "K1.30", "1mm2", 1)
                                        .wire("K1.87", "X1.+", "1mm2", 1)))
                .containsExactly(
                        "K1=dead 2.0",
                        "K1.30-87=dead 2.0",
                        "K1.30-87=bad 2.0",
                        "K1.30-87=stuck 1.0",
                        "K1.30/K1.87=exchanged 1.0",
                        "K1.30/K1.87=touching 0.5",
                        "X1.body=dead 2.0",
                        "X1.mount=dead 2.0");
    }

    /** Of more leads than four only those beside each other are mixed up. */
    @Test
    void aConnectorOfFiveWays() {
        var ways = new JoinKind.Connector(List.of("1", "2", "3", "4", "5"), new Amps(10));
        var builder = with().part("C1", ways);
        for (int i = 1; i <= 5; i++) {
            builder.wire("B1.+", "C1." + i + "a", "1mm2", i);
        }

        assertThat(ofParts(builder))
                .containsExactly(
                        "C1.1a/C1.2a=exchanged 1.0",
                        "C1.1a/C1.2a=touching 0.5",
                        "C1.2a/C1.3a=exchanged 1.0",
                        "C1.2a/C1.3a=touching 0.5",
                        "C1.3a/C1.4a=exchanged 1.0",
                        "C1.3a/C1.4a=touching 0.5",
                        "C1.4a/C1.5a=exchanged 1.0",
                        "C1.4a/C1.5a=touching 0.5");
    }

    /** The two ends of a way touch anyway; a way that no wire leaves has nothing to blow. */
    @Test
    void aFuseBox() {
        var box =
                new GuardKind.FuseBox(
                        List.of(
                                new GuardKind.Way("a", FuseType.BLADE, new Amps(10)),
                                new GuardKind.Way("b", FuseType.BLADE, new Amps(5))));

        assertThat(
                        ofParts(
                                with().part("F1", box)
                                        .wire("B1.+", "F1.aa", "1mm2", 1)
                                        .wire("F1.ab", "E1.E", "1mm2", 1)
                                        .wire("B1.+", "F1.ba", "1mm2", 1)))
                .containsExactly(
                        "F1.a=blown 2.0",
                        "F1.aa/F1.ab=exchanged 1.0",
                        "F1.aa/F1.ba=exchanged 1.0",
                        "F1.ab/F1.ba=exchanged 1.0",
                        "F1.ab/F1.ba=touching 0.5");
    }

    /** A joint has nothing inside; a diode is turned round; a clock stops. */
    @Test
    void aDiodeBehindAJointAndAFlasher() {
        var two =
                new LoadKind.Lamp(
                        new Volts(13.5),
                        List.of(
                                new LoadKind.Filament("56a", new Watts(21)),
                                new LoadKind.Filament("56b", new Watts(5))));
        assertThat(
                        ofParts(
                                with().mounted("H1", "E1", two)
                                        .part("J1", new JoinKind.Splice())
                                        .part("D1", new JoinKind.Diode(new Amps(1)))
                                        .wire("B1.+", "J1.J", "1mm2", 1)
                                        .wire("J1.J", "H1.56a", "1mm2", 1)
                                        .wire("J1.J", "D1.A", "1mm2", 1)
                                        .wire("D1.K", "H1.56b", "1mm2", 1)))
                .containsExactly(
                        "H1.56a=dead 2.0",
                        "H1.56b=dead 2.0",
                        "H1.mount=dead 2.0",
                        "H1=other:volts 0.5",
                        "H1=other:watts 0.5",
                        "H1.56a/H1.56b=exchanged 1.0",
                        "H1.56a/H1.56b=touching 0.5",
                        "D1.A-K=dead 2.0",
                        "D1=turned 1.0",
                        "D1.A/D1.K=touching 0.5");
        var clock =
                new ControlKind.Flasher(
                        ControlKind.Flasher.Form.ELECTRONIC, new Watts(21), TWELVE, 90);
        assertThat(
                        ofParts(
                                with().part("K1", clock)
                                        .wire("B1.+", "K1.49", "1mm2", 1)
                                        .wire("K1.49a", "E1.E", "1mm2", 1)))
                .contains("K1.49-49a=dead 2.0", "K1.49/K1.49a=touching 0.5");
    }

    /** The earth that a part of the circuit sits on may be lost, though no wire goes to it. */
    @Test
    void theEarthAPartSitsOn() {
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament("58", new Watts(21))));

        assertThat(
                        ofParts(
                                with().earth("E2")
                                        .mounted("H1", "E2", lamp)
                                        .wire("B1.+", "H1.58", "1mm2", 1)))
                .containsExactly(
                        "H1.58=dead 2.0",
                        "H1=other:volts 0.5",
                        "H1=other:watts 0.5",
                        "E2=lost 3.0",
                        "E2=bad 3.0");
    }
}
