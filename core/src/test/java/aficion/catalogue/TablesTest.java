package aficion.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.io.StringReader;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class TablesTest {

    @Test
    void aValueOutOfItsRangeNamesFileRecordAndKey() {
        assertThatThrownBy(() ->
                        Table.read(
                                "some.csv",
                                new StringReader("a,b\n1,2\n1,200\n"),
                                row -> row.number("b", 0, 100)))
                .hasMessageContaining("some.csv")
                .hasMessageContaining("record 2")
                .hasMessageContaining("b is outside");
    }

    @Test
    void aWordWhereANumberBelongsIsRefused() {
        assertThatThrownBy(() ->
                        Table.read(
                                "some.csv",
                                new StringReader("a\nmany\n"),
                                row -> row.number("a", 0, 1)))
                .hasMessageContaining("a is no number: many");
    }

    @Test
    void aMissingColumnIsRefused() {
        assertThatThrownBy(() ->
                        Table.read("some.csv", new StringReader("a\n1\n"), row -> row.text("b")))
                .hasMessageContaining("b is missing");
    }

    @Test
    void aMissingFileIsRefused() {
        assertThatThrownBy(() -> Table.read("nowhere.csv", row -> row.text("a")))
                .hasMessageContaining("nowhere.csv");
    }

    @ParameterizedTest
    @EnumSource(FuseType.class)
    void everyFuseTypeHasRisingMarkings(FuseType type) {
        assertThat(type.markings().stream().map(Amps::value).toList()).isSorted().isNotEmpty();
    }

    /** The old British "35" carries 17.5 A for ever and blows at 35. */
    @Test
    void anOldGlassFuseCarriesHalfItsMarking() {
        assertThat(FuseType.GLASS.carries(new Amps(35))).isEqualTo(new Amps(17.5));
        assertThat(FuseType.GLASS.opens(new Amps(35))).isEqualTo(new Amps(35));
        assertThat(FuseType.GLASS.smallestCarrying(new Amps(12))).contains(new Amps(25));
    }

    /** ISO 8820-3: a blade opens for certain at 1.35 times its marking. */
    @Test
    void aBladeCarriesItsMarkingAndOpensAboveIt() {
        assertThat(FuseType.BLADE.carries(new Amps(20))).isEqualTo(new Amps(20));
        assertThat(FuseType.BLADE.opens(new Amps(20))).isEqualTo(new Amps(27));
        assertThat(FuseType.BLADE.smallestCarrying(new Amps(41))).isEmpty();
        assertThat(FuseType.BLADE.largestWithin(new Amps(19.1))).contains(new Amps(15));
        assertThat(FuseType.BLADE.largestWithin(new Amps(2))).isEmpty();
    }

    @Test
    void everyConstantHasItsLineInItsTable() {
        assertThat(Arrays.stream(Zone.values()).map(Zone::ambient))
                .allSatisfy(ambient -> assertThat(ambient.value()).isBetween(20.0, 120.0));
        assertThat(Arrays.stream(Insulation.values()).map(Insulation::limit))
                .allSatisfy(limit -> assertThat(limit.value()).isBetween(60.0, 200.0));
        assertThat(Arrays.stream(Colour.values()).map(Colour::british)).doesNotHaveDuplicates();
        assertThat(Arrays.stream(Colour.values()).map(Colour::german)).doesNotHaveDuplicates();
    }

    /** k of the adiabatic equation: 115 for PVC, 143 for cross-linked (IEC 60364-5-54). */
    @Test
    void adiabaticConstantsAreThoseOfTheStandard() {
        assertThat(Insulation.PVC105.adiabaticConstant()).isEqualTo(115);
        assertThat(Insulation.XLPE125.adiabaticConstant()).isEqualTo(143);
    }

    @Test
    void commonLampsAreKnownForEverySystem() {
        assertThat(LampTable.of(new Volts(6))).hasSameSizeAs(LampTable.of(new Volts(12)));
        assertThat(LampTable.testVoltage(new Volts(12), new Watts(55))).isEqualTo(new Volts(13.2));
        assertThat(LampTable.testVoltage(new Volts(12), new Watts(37))).isEqualTo(new Volts(13.5));
    }
}
