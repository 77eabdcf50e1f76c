package aficion.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.CircuitId;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What has a small lamp for it on the bench, what a larger one, and what stays. */
class StandInsTest {
    private static final Volts TWELVE = new Volts(12);
    private static final CircuitId CIRCUIT = new CircuitId("1");

    private static List<String> clipped(Kind kind) {
        var builder = DesignBuilder.twelveVolts().part("X1", kind);
        var pin = kind.pins().getFirst();
        var design = builder.wire("B1.+", "X1." + pin, "1mm2", 1).build();
        var found = StandIns.of(design, CIRCUIT);
        assertThat(found.design().equals(design)).isEqualTo(found.list().isEmpty());
        return found.list().stream().map(each -> each.pin() + " " + each.lamp().value()).toList();
    }

    /** Up to 12 W five watts, above it twenty-one; of 13.5 V. */
    @Test
    void whatIsSmallAndWhatIsLarge() {
        assertThat(clipped(new LoadKind.Motor(new Amps(0.88), TWELVE))).containsExactly("+ 5.0");
        assertThat(clipped(new LoadKind.Motor(new Amps(0.9), TWELVE))).containsExactly("+ 21.0");
        assertThat(
                        clipped(
                                new LoadKind.TwoSpeedMotor(
                                        new Amps(0.5),
                                        new Amps(5),
                                        TWELVE,
                                        Optional.empty(),
                                        true)))
                .containsExactly("53 5.0", "53b 21.0");
        assertThat(
                        clipped(
                                new LoadKind.Lamp(
                                        new Volts(13.5),
                                        List.of(
                                                new LoadKind.Filament("a", new Watts(12)),
                                                new LoadKind.Filament("b", new Watts(12.1))))))
                .containsExactly("a 5.0", "b 21.0");
        assertThat(clipped(new LoadKind.Load(new Demand.InAmps(new Amps(0.7)), TWELVE)))
                .containsExactly("+ 5.0");
        assertThat(clipped(new LoadKind.Load(new Demand.InAmps(new Amps(0.9)), TWELVE)))
                .containsExactly("+ 21.0");
        assertThat(clipped(new LoadKind.Heater(new Ohms(1), new Ohms(16), new Seconds(5))))
                .containsExactly("+ 5.0");
        assertThat(clipped(new LoadKind.Heater(new Ohms(1), new Ohms(15), new Seconds(5))))
                .containsExactly("+ 21.0");
    }

    /** What reads, winds, sparks or lights by itself stays as it is. */
    @Test
    void whatStays() {
        for (var kind :
                List.of(
                        new LoadKind.WarningLamp(new Watts(2), TWELVE),
                        new LoadKind.WiperMotor(
                                "park", new Amps(3), TWELVE, Optional.of(new Ratio(3))),
                        new LoadKind.Starter(new Ohms(0.05), new Ohms(1)),
                        new LoadKind.IgnitionCoil(new Ohms(3), new Henries(0.01)),
                        new LoadKind.Gauge(new Ohms(60), new Amps(0.1)),
                        new LoadKind.Ammeter(new Amps(30)),
                        new LoadKind.Voltmeter(new Volts(16)),
                        new LoadKind.LedLamp(TWELVE, new Watts(2)),
                        new LoadKind.Buzzer(TWELVE, new Amps(0.1)),
                        new LoadKind.Magneto(new Ohms(1)))) {
            assertThat(clipped(kind)).as(kind.toString()).isEmpty();
        }
    }

    /** What is in another circuit stays, and a lamp of a 6 V vehicle is one of 6.75 V. */
    @Test
    void onlyTheCircuitsOwnAndOfItsVolts() {
        var design =
                DesignBuilder.twelveVolts()
                        .lamp("H1", 21)
                        .lamp("H2", 21)
                        .wire("B1.+", "H1.58", "1mm2", 1)
                        .build();

        assertThat(StandIns.of(design, CIRCUIT).list())
                .extracting(StandIns.StandIn::part)
                .containsExactly(new PartId("H1"));
        assertThat(StandIns.rated(new DesignBuilder(6).build()).value())
                .isCloseTo(6.75, within(1e-9));
    }
}
