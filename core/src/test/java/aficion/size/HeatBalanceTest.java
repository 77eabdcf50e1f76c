package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.catalogue.WireSize;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Kelvins;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.working.Working;
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
}
