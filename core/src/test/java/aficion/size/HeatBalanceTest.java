package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.DesignBuilder;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Kelvins;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.working.Working;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HeatBalanceTest {
    private static final Celsius AIR = new Celsius(27.5);

    /**
     * The rise at which the model agrees with the published figures for a single wire in free air.
     */
    private static final Kelvins RISE = new Kelvins(48);

    private static Conductor conductor(String size) {
        return Conductors.get(WireSize.parse(size).orElseThrow());
    }

    private static double carries(String size, Celsius ambient, Kelvins rise) {
        return HeatBalance.carries(conductor(size), ambient, rise).result().value();
    }

    /**
     * Widely published currents of single thin-wall wires in free air, within 15 % at a rise of 48
     * K.
     */
    @ParameterizedTest
    @CsvSource({
        "0.5mm2, 11",
        "0.75mm2, 14",
        "1mm2, 16.5",
        "1.5mm2, 21",
        "2mm2, 25",
        "2.5mm2, 29",
        "3mm2, 33",
        "4mm2, 39",
        "6mm2, 50",
        "10mm2, 70",
        "16mm2, 110",
        "25mm2, 170"
    })
    void agreesWithThePublishedCurrents(String size, double published) {
        assertThat(carries(size, AIR, RISE)).isCloseTo(published, within(0.15 * published));
    }

    /** The temperature that follows from the current is the one the current was worked out for. */
    @ParameterizedTest
    @CsvSource({"0.5mm2", "1.5mm2", "10mm2", "35mm2", "14awg"})
    void currentAndTemperatureAreTwoSidesOfOneBalance(String size) {
        double amps = carries(size, AIR, RISE);

        assertThat(HeatBalance.temperature(conductor(size), AIR, new Amps(amps)).value())
                .isCloseTo(75.5, within(0.001));
    }

    @Test
    void aWireThatCarriesNothingIsAsWarmAsTheAir() {
        assertThat(HeatBalance.temperature(conductor("1mm2"), AIR, new Amps(0)).value())
                .isCloseTo(27.5, within(1e-6));
    }

    @Test
    void aWireInAPlaceHotterThanItsLimitCarriesNothing() {
        assertThat(carries("1mm2", new Celsius(110), new Kelvins(-25))).isZero();
    }

    @Test
    void nextToTheEngineAWireCarriesLess() {
        assertThat(carries("1mm2", new Celsius(75), new Kelvins(10)))
                .isLessThan(0.6 * carries("1mm2", AIR, RISE));
    }

    @Test
    void aHopelessOverloadIsHotButFinite() {
        assertThat(HeatBalance.temperature(conductor("0.5mm2"), AIR, new Amps(500)).value())
                .isEqualTo(400);
    }

    @Test
    void theWorkingShowsItsInputsAndSteps() {
        var working = HeatBalance.carries(conductor("1mm2"), AIR, RISE);

        assertThat(working.topic()).isEqualTo(Working.Topic.AMPACITY);
        assertThat(working.givens())
                .extracting(Working.Given::symbol)
                .containsExactly("A", "d", "Ta", "ΔT");
        assertThat(working.steps().getLast().symbol()).isEqualTo("I");
        assertThat(working.source()).contains("Churchill");
    }

    /**
     * 25 mm², 60 K in 30 s: ρ(85 °C) = 0.743 mΩ/m · 25 · 1.2554 = 0.023320 Ω·mm²/m; I =
     * 25·√(3.45·60/(0.02332·30)) = 430 A.
     */
    @Test
    void theShortTimeCurrentIsThatOfTheAdiabaticFormula() {
        var working =
                ShortTime.carries(
                        conductor("25mm2"), new Celsius(25), new Kelvins(60), new Seconds(30));

        assertThat(working.result().value()).isCloseTo(430.0, within(0.5));
    }

    /** 8.6 A with a reserve of a fifth needs 10.75 A: 15 A; a wire for 14 A has no such fuse. */
    @Test
    void aFuseLiesBetweenLoadAndWire() {
        var share = new Ratio(0.8);

        var fits = GuardChoice.of(FuseType.BLADE, new Amps(8.6), new Amps(19), share);
        var none = GuardChoice.of(FuseType.BLADE, new Amps(8.6), new Amps(14), share);

        assertThat(fits.marking()).contains(new Amps(15));
        assertThat(fits.working().limit().orElseThrow().kept()).isTrue();
        assertThat(none.marking()).isEmpty();
        assertThat(none.working().limit().orElseThrow().kept()).isFalse();
    }

    /**
     * By hand, a cylinder of 2.5 mm at 75.5 °C in air of 27.5: film 324.65 K, λ = 0.0282 W/mK, ν =
     * 18.0 mm²/s, Ra = 49.9, Nu = 1.23; with 5.1 W/m² radiated 8.93 W a metre. Of 10 mm at 60 °C in
     * 20 °C: 19.4 W.
     */
    @ParameterizedTest
    @CsvSource({
        "0.0025, 27.5, 75.5, 8.928000127892556",
        "0.01, 20, 60, 19.35658221273644",
        "0.01, 60, 60, 0",
        "0.01, 60, 20, 0"
    })
    void aCylinderShedsWhatItsRiseDrives(
            double diameter, double ambient, double surface, double watts) {
        assertThat(HeatBalance.fromSurface(diameter, ambient, surface))
                .isCloseTo(watts, within(1e-9));
    }

    /** Found between the bounds, or the bound it would pass. */
    @Test
    void aZeroIsFoundBetweenItsBounds() {
        assertThat(HeatBalance.zero(x -> x - 3, 0, 10)).isCloseTo(3, within(1e-7));
        assertThat(HeatBalance.zero(x -> x * x * x - 2, 0, 10))
                .isCloseTo(Math.cbrt(2), within(1e-6));
        assertThat(HeatBalance.zero(x -> Math.exp(x) - 5000, 0, 10))
                .isCloseTo(Math.log(5000), within(1e-6));
        assertThat(HeatBalance.zero(x -> 2 - Math.exp(-x), -5, 100))
                .isCloseTo(-Math.log(2), within(1e-6));
        assertThat(HeatBalance.zero(x -> x + 1, 0, 10)).isZero();
        assertThat(HeatBalance.zero(x -> x, 0, 10)).isZero();
        assertThat(HeatBalance.zero(x -> x - 20, 0, 10)).isEqualTo(10);
        assertThat(HeatBalance.zero(x -> x - 10, 0, 10)).isEqualTo(10);
    }

    /** Both ends close in: a steep or a flat end does not keep one bound where it was. */
    @ParameterizedTest
    @CsvSource({"1", "3", "9", "0.2"})
    void aZeroIsFoundInFewSteps(double power) {
        var asked = new AtomicInteger();

        double found =
                HeatBalance.zero(
                        x -> {
                            asked.incrementAndGet();
                            return Math.pow(x, power) - Math.pow(1.5, power);
                        },
                        0,
                        10);

        assertThat(found).isCloseTo(1.5, within(1e-6));
        assertThat(asked.get()).isLessThan(40);
    }

    /** Up to the limit of its cover: 105 °C in a cabin of 40 °C are 65 K. */
    @Test
    void theLimitOfTheCoverIsTheRiseFromTheAir() {
        var wire =
                DesignBuilder.twelveVolts()
                        .zone(Zone.CABIN)
                        .load("X1", 1)
                        .wire("B1.+", "X1.+", "1mm2", 1)
                        .build()
                        .wires()
                        .getLast();
        var air = wire.zone().ambient();
        double rise = 105 - air.value();

        assertThat(HeatBalance.limit(wire.conductor(), wire).result().value())
                .isEqualTo(carries("1mm2", air, new Kelvins(rise)));
        double heat = 1 / ShortCircuit.of(wire).seconds();
        double second =
                ShortTime.carries(wire.conductor(), air, new Kelvins(rise), new Seconds(1))
                        .result()
                        .value();
        double good = carries("1mm2", air, new Kelvins(rise));
        assertThat(heat).isCloseTo(good * good / second / second, within(1e-9));
    }
}
