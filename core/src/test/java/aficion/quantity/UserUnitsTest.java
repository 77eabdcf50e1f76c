package aficion.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UserUnitsTest {

    @ParameterizedTest
    @CsvSource({
        "1.2, 1.2",
        "'1,2 m', 1.2",
        "80 cm, 0.8",
        "450mm, 0.45",
        "4 ft, 1.2192",
        "3ft 2, 0.9652",
        "3' 2\", 0.9652",
        "12 in, 0.3048"
    })
    void lengthsAreReadAsPeopleWriteThem(String text, double metres) {
        assertThat(UserUnits.METRIC.parseLength(text).orElseThrow().value())
                .isCloseTo(metres, within(1e-9));
    }

    @Test
    void aBareNumberIsInTheUsersOwnUnit() {
        assertThat(UserUnits.FOOT.parseLength("10").orElseThrow().value())
                .isCloseTo(3.048, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "m", "two metres", "1.2.3", "5 V", "-"})
    void whatIsNoLengthIsRefused(String text) {
        assertThat(UserUnits.METRIC.parseLength(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"12.4, 12.4", "'12,4V', 12.4", "250 mV, 0.25", "-0.3 V, -0.3", "1.2 kV, 1200"})
    void readingsAreReadWithTheirPrefix(String text, double volts) {
        assertThat(UserUnits.parseReading(text, Unit.VOLT))
                .hasValueSatisfying(value -> assertThat(value).isCloseTo(volts, within(1e-12)));
    }

    @Test
    void ohmsMayBeSpelledOutAndOverRangeIsAReading() {
        assertThat(UserUnits.parseReading("5 ohm", Unit.OHM)).contains(5.0);
        assertThat(UserUnits.parseReading("2 M\u03a9", Unit.OHM)).contains(2e6);
        assertThat(UserUnits.parseReading("OL", Unit.OHM)).contains(1e9);
        assertThat(UserUnits.parseReading("OL", Unit.VOLT)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "twelve", "12 A", "1e5", "NaN", "Infinity"})
    void whatIsNoReadingIsRefused(String text) {
        assertThat(UserUnits.parseReading(text, Unit.VOLT)).isEmpty();
    }

    @Test
    void quantitiesPrintWithTheDigitsABenchCanUse() {
        var units = UserUnits.METRIC;

        assertThat(units.print(new Volts(12.4149))).isEqualTo("12.41 V");
        assertThat(units.print(new Volts(0.25))).isEqualTo("0.250 V");
        assertThat(units.print(new Amps(4.77))).isEqualTo("4.8 A");
        assertThat(units.print(new Amps(0.154))).isEqualTo("0.15 A");
        assertThat(units.print(new Ohms(0.01234))).isEqualTo("12.3 m\u03a9");
        assertThat(units.print(new Ohms(240))).isEqualTo("240 \u03a9");
        assertThat(units.print(new Ohms(1e6))).isEqualTo("1 M\u03a9");
        assertThat(units.print(new SquareMillimetres(1.5))).isEqualTo("1.5 mm\u00b2");
        assertThat(units.print(new Metres(3.6))).isEqualTo("3.60 m");
        assertThat(units.print(new Celsius(65.4))).isEqualTo("65 \u00b0C");
        assertThat(units.print(new Rpm(1450))).isEqualTo("1450 rpm");
        assertThat(units.print(new Henries(0.004))).isEqualTo("4 mH");
        assertThat(units.print(new Seconds(30))).isEqualTo("30 s");
        assertThat(units.print(new Kelvins(20))).isEqualTo("20 K");
        assertThat(units.print(new Ratio(0.03))).isEqualTo("0.03");
    }

    @Test
    void aTinyNegativeIsNotPrintedAsMinusNought() {
        assertThat(UserUnits.METRIC.print(new Amps(-1e-14))).isEqualTo("0.00 A");
    }

    @Test
    void feetAndFahrenheitAreForThoseWhoUseThem() {
        assertThat(UserUnits.FOOT.print(new Metres(3.048))).isEqualTo("10.0 ft");
        assertThat(UserUnits.FOOT.print(new Celsius(20))).isEqualTo("68 \u00b0F");
    }

    @Test
    void aQuantityIsAFiniteNumber() {
        assertThatThrownBy(() -> new Volts(Double.NaN))
                .hasMessageContaining("finite")
                .hasMessageContaining("V");
        assertThatThrownBy(() -> new Metres(Double.POSITIVE_INFINITY))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(Optional.of(new Amps(1).unit())).contains(Unit.AMPERE);
    }

    /** What is thinner than a hand is broad is told in millimetres or inches. */
    @Test
    void thicknessesAreTold() {
        assertThat(UserUnits.METRIC.print(new Metres(0.0071))).isEqualTo("7.1 mm");
        assertThat(UserUnits.FOOT.print(new Metres(0.0254))).isEqualTo("1 in");
        assertThat(UserUnits.METRIC.print(new Metres(0.1))).isEqualTo("0.10 m");
        assertThat(UserUnits.METRIC.parseLength("7.1 mm").orElseThrow().value())
                .isCloseTo(0.0071, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"5, 5", "'5,5', 5.5", "-0.25, -0.25", ".5, 0.5"})
    void aPlainNumberIsRead(String text, double value) {
        assertThat(UserUnits.parseNumber(text)).hasValue(value);
        assertThat(UserUnits.parseNumber(UserUnits.plain(value))).hasValue(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "5 A", "1e3", "0x1p3", "NaN", "Infinity", "1d", "--1", "1.2.3"})
    void whatIsNoPlainNumberIsNone(String text) {
        assertThat(UserUnits.parseNumber(text)).isEmpty();
    }

    /** 0.1 mV, as it is kept, is shown as it is read back. */
    @Test
    void smallReadingsAreReadBack() {
        assertThat(UserUnits.plain(1.0E-4)).isEqualTo("0.0001");
        assertThat(UserUnits.parseReading(UserUnits.plain(1.0E-4), Unit.VOLT)).contains(1.0E-4);
    }
}
