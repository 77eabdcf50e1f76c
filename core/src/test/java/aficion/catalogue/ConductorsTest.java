package aficion.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.WireSize.Standard;
import java.util.Comparator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ConductorsTest {

    private static Conductor conductor(String size) {
        return Conductors.get(WireSize.parse(size).orElseThrow());
    }

    /** Greatest resistance at 20 °C, mΩ/m, as published in ISO 6722-1, table of conductors. */
    @ParameterizedTest
    @CsvSource({
        "0.35mm2, 52.0", "0.5mm2, 37.1", "0.75mm2, 24.7", "1mm2, 18.5", "1.5mm2, 12.7",
                "2mm2, 9.42", "2.5mm2, 7.60",
        "3mm2, 6.15", "4mm2, 4.71", "5mm2, 3.94", "6mm2, 3.14", "8mm2, 2.38", "10mm2, 1.82",
                "16mm2, 1.16",
        "20mm2, 0.955", "25mm2, 0.743", "35mm2, 0.527", "50mm2, 0.368", "70mm2, 0.259",
                "95mm2, 0.196", "120mm2, 0.153"
    })
    void metricResistancesAreThoseOfTheStandard(String size, double milliohms) {
        assertThat(conductor(size).perMetre().value() * 1000).isCloseTo(milliohms, within(1e-9));
    }

    /** Sections of ASTM B258, mm², and its resistances at 20 °C, mΩ/m, to three digits. */
    @ParameterizedTest
    @CsvSource({
        "18awg, 0.823, 20.95",
        "14awg, 2.08, 8.286",
        "10awg, 5.26, 3.277",
        "4awg, 21.15, 0.8152",
        "1/0awg, 53.49, 0.3224",
        "4/0awg, 107.2, 0.1608"
    })
    void americanGaugesFollowTheFormula(String size, double section, double milliohms) {
        assertThat(conductor(size).copper().value()).isCloseTo(section, within(section * 0.003));
        assertThat(conductor(size).perMetre().value() * 1000)
                .isCloseTo(milliohms, within(milliohms * 0.003));
    }

    @ParameterizedTest
    @EnumSource(Standard.class)
    void sizesRiseInCopperAndDiameterAndFallInResistance(Standard standard) {
        var sizes = Conductors.of(standard);

        assertThat(sizes).isSortedAccordingTo(Comparator.comparing(size -> size.copper().value()));
        assertThat(sizes).isSortedAccordingTo(Comparator.comparing(size -> size.outside().value()));
        assertThat(sizes)
                .isSortedAccordingTo(Comparator.comparing(size -> -size.perMetre().value()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"1.5mm2", "1.5 mm\u00b2", "1.5MM", "1.50mm2"})
    void aMetricSizeIsReadHoweverItIsWritten(String text) {
        assertThat(WireSize.parse(text))
                .hasValueSatisfying(size -> assertThat(size).hasToString("1.5mm2"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1.4mm2", "13awg", "mm2", "-1mm2", "14", "14 swg"})
    void aSizeThatIsNotSoldIsNoSize(String text) {
        assertThat(WireSize.parse(text)).isEmpty();
    }

    @Test
    void askingForASizeThatIsNotSoldIsACallersMistake() {
        assertThatThrownBy(() -> Conductors.get(new WireSize(Standard.METRIC, "1.4")))
                .hasMessageContaining("1.4mm2");
    }

    /** 100 K warmer copper resists 39.3 % more (IEC 60028). */
    @Test
    void copperResistsMoreWhenItIsWarm() {
        assertThat(Conductor.warmth(20)).isEqualTo(1);
        assertThat(Conductor.warmth(120)).isCloseTo(1.393, within(1e-12));
    }
}
