package aficion.bench.reason;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.reason.Sign.Look;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is seen and heard of loads, and in which order a driver works a vehicle. */
class SignTest {
    private static final Volts TWELVE = new Volts(12);
    private static final CircuitId CIRCUIT = new CircuitId("1");

    private static List<String> signs(DesignBuilder builder) {
        var design = builder.build();
        var point = new Solver(Netlist.of(design)).solve(Conditions.REST).settled().orElseThrow();
        return Sign.of(point, design.parts()).stream()
                .map(sign -> sign.part() + "." + sign.role() + " " + sign.look())
                .toList();
    }

    private static DesignBuilder with(String id, Kind kind) {
        return DesignBuilder.twelveVolts().part(id, kind);
    }

    /**
     * A buzzer works from half its volts on: behind 10 Ω it does, behind as many as its own not.
     */
    @Test
    void whatSoundsFromHalfItsVoltsOn() {
        var buzzer = new LoadKind.Buzzer(TWELVE, new Amps(1));
        for (var row : List.of("10 WORKS", "14 STILL")) {
            var in = new JoinKind.Resistor(new Ohms(Double.parseDouble(row.split(" ")[0])));
            assertThat(
                            signs(
                                    with("X1", buzzer)
                                            .part("R1", in)
                                            .wire("B1.+", "R1.1", "1mm2", 0.1)
                                            .wire("R1.2", "X1.+", "1mm2", 0.1)
                                            .wire("X1.31", "E1.E", "1mm2", 0.1)))
                    .containsExactly("X1. " + row.split(" ")[1]);
        }
    }

    /** A motor turns from half its current on; a load works from half its volts on. */
    @Test
    void whatTurns() {
        var motor = new LoadKind.Motor(new Amps(4), TWELVE);

        assertThat(
                        signs(
                                with("M1", motor)
                                        .wire("B1.+", "M1.+", "1mm2", 1)
                                        .wire("M1.31", "E1.E", "1mm2", 1)))
                .containsExactly("M1. WORKS");
        assertThat(signs(with("M1", motor).wire("B1.+", "M1.+", "1mm2", 1)))
                .containsExactly("M1. STILL");
        var load = new LoadKind.Load(new Demand.InAmps(new Amps(4)), TWELVE);
        assertThat(
                        signs(
                                with("X1", load)
                                        .wire("B1.+", "X1.+", "1mm2", 1)
                                        .wire("X1.31", "E1.E", "1mm2", 1)))
                .containsExactly("X1. WORKS");
    }

    /** A warning lamp lights whichever way it is fed, and is named by its first pin. */
    @Test
    void aWarningLampEitherWay() {
        var lamp = new LoadKind.WarningLamp(new Watts(2), TWELVE);

        assertThat(
                        signs(
                                with("H1", lamp)
                                        .wire("B1.+", "H1.2", "1mm2", 1)
                                        .wire("H1.1", "E1.E", "1mm2", 1)))
                .containsExactly("H1.1 BURNS");
        assertThat(signs(with("H1", lamp).wire("B1.+", "H1.2", "1mm2", 1)))
                .containsExactly("H1.1 DARK");
    }

    /** Two filaments are two signs; what is no load shows nothing. */
    @Test
    void everyFilamentIsASign() {
        var two =
                new LoadKind.Lamp(
                        new Volts(13.5),
                        List.of(
                                new LoadKind.Filament("56a", new Watts(21)),
                                new LoadKind.Filament("56b", new Watts(5))));

        assertThat(
                        signs(
                                DesignBuilder.twelveVolts()
                                        .mounted("H1", "E1", two)
                                        .fuse("F1", 5)
                                        .wire("B1.+", "F1.1", "1mm2", 1)
                                        .wire("F1.2", "H1.56b", "1mm2", 1)))
                .containsExactly("H1.56a DARK", "H1.56b BURNS");
        var sign = new Sign(new PartId("H1"), "56a", Look.BURNS);
        assertThat(sign.isOf(sign.blinking())).isTrue();
        assertThat(sign.isOf(new Sign(new PartId("H1"), "56b", Look.BURNS))).isFalse();
        assertThat(sign.isOf(new Sign(new PartId("H2"), "56a", Look.BURNS))).isFalse();
        assertThat(
                        Stream.of(Look.values())
                                .filter(look -> new Sign(new PartId("H1"), "", look).isAwake()))
                .containsExactly(Look.DIM, Look.BURNS, Look.BRIGHT, Look.BLINKS, Look.WORKS);
    }

    private static DesignBuilder keyed() {
        return DesignBuilder.twelveVolts()
                .part("S1", DesignBuilder.offRunStart())
                .onOff("S2", "light", 10)
                .push("S3", "horn", 10)
                .part("S4", new ControlKind.LevelSwitch("oil", new Ratio(0.5), true, new Amps(1)))
                .wire("B1.+", "S1.30", "1mm2", 1)
                .wire("S1.15", "S2.1", "1mm2", 1)
                .wire("S1.15", "S3.1", "1mm2", 1);
    }

    /** Engine still first; what is held last; key by key; one alone before two together. */
    @Test
    void theOrderOfADriver() {
        var off = Conditions.REST;
        var run = off.with("key", "run");
        var order = DriversOrder.of(Controls.of(keyed().build()));
        var wanted =
                List.of(
                        off,
                        off.with("light", "on"),
                        off.with("horn", "on"),
                        run,
                        run.with("light", "on"),
                        run.withLevel("oil", 0.2),
                        run.withLevel("oil", 0.8),
                        run.with("light", "on").withLevel("oil", 0.8),
                        run.with("horn", "on"),
                        off.with("key", "start"),
                        run.withEngine(new Rpm(800)),
                        run.withEngine(new Rpm(3000)));
        var shuffled = new ArrayList<>(wanted);
        Collections.shuffle(shuffled, new Random(5));

        assertThat(shuffled.stream().sorted(order)).containsExactlyElementsOf(wanted);
    }

    /** What can be read: each node once, the feed that carries most; held elsewhere is left out. */
    @Test
    void whatAPersonCanRead() {
        var design =
                keyed().lamp("H1", 21)
                        .load("X1", 5)
                        .wire("S2.2", "H1.58", "1mm2", 1)
                        .wire("S3.2", "X1.+", "1mm2", 1)
                        .build();
        var readable = Readable.of(Netlist.of(design), CIRCUIT);

        assertThat(readable.places()).extracting(String::valueOf).contains("B1.-", "H1.58");
        assertThat(readable.feed())
                .hasValueSatisfying(feed -> assertThat(feed.value()).isEqualTo("w2"));
        assertThat(readable.forbidden()).isEmpty();
        assertThat(readable.states()).hasSize(12).allMatch(state -> state.engine().value() == 0);
        assertThat(readable.measures()).hasSize(readable.places().size() + 1);
        assertThat(readable.upTo(2).states()).hasSize(2);
        assertThat(Readable.feed(design.wires(), List.of())).isEqualTo(Optional.empty());
    }

    /**
     * With a source in the circuit what no hand has to hold is read with the engine running too.
     */
    @Test
    void withASourceTheEngineRunsToo() {
        var design =
                keyed().alternator("G1", 45)
                        .lamp("H1", 21)
                        .wire("G1.B+", "B1.+", "10mm2", 1)
                        .wire("S2.2", "H1.58", "1mm2", 1)
                        .build();
        var states = Readable.of(Netlist.of(design), CIRCUIT).states();
        var running = states.stream().filter(state -> state.engine().value() > 0).toList();

        assertThat(running)
                .hasSize(4)
                .noneMatch(state -> "start".equals(state.positions().get("key")))
                .noneMatch(state -> "on".equals(state.positions().get("horn")));
        assertThat(states).hasSize(12 + 4);
    }

    /** Of more states than a person goes through those are left that look unlike each other. */
    @Test
    void ofManyStatesThoseThatLookUnlike() {
        var builder = keyed();
        for (int i = 0; i < 3; i++) {
            builder.onOff("T" + i, "spare" + i, 5).wire("S2.2", "T" + i + ".1", "1mm2", 1);
        }
        var states = Readable.of(Netlist.of(builder.build()), CIRCUIT).states();

        assertThat(states)
                .hasSizeLessThanOrEqualTo(24)
                .hasSizeGreaterThan(2)
                .doesNotHaveDuplicates();
    }
}
