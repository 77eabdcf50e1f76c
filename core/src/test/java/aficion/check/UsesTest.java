package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Colour;
import aficion.catalogue.Insulation;
import aficion.catalogue.Purpose;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.PathFinding;
import aficion.job.Colouring;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Lamps, pumps, wipers, fans and covers: what each has to do, and when. */
class UsesTest {
    private static final Volts TWELVE = new Volts(12);

    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static DesignBuilder lamps(String main, String dip, String other, String otherDip) {
        var lamp =
                new LoadKind.Lamp(
                        new Volts(13.5),
                        List.of(
                                new LoadKind.Filament("56a", new Watts(45)),
                                new LoadKind.Filament("56b", new Watts(40))));
        return with().part(
                        "S1",
                        DesignBuilder.selector(
                                "beam",
                                20,
                                DesignBuilder.joins("dip", "56", "56b"),
                                DesignBuilder.joins("main", "56", "56a")))
                .mounted("H1", "E1", lamp)
                .mounted("H2", "E1", lamp)
                .wire("B1.+", "S1.56", "2.5mm2", 1)
                .wire("S1.56a", "H1." + main, "1.5mm2", 1)
                .wire("S1.56b", "H1." + dip, "1.5mm2", 1)
                .wire("S1.56a", "H2." + other, "1.5mm2", 1)
                .wire("S1.56b", "H2." + otherDip, "1.5mm2", 1);
    }

    /** Of two lamps that differ the one is named that disagrees with the switch. */
    @Test
    void theLampWhosePinsAreExchangedIsNamed() {
        var exchanged = PathFinding.FilamentsExchanged.class;
        assertThat(only(lamps("56b", "56a", "56a", "56b"), exchanged).part()).hasToString("H1");
        assertThat(only(lamps("56a", "56b", "56b", "56a"), exchanged).part()).hasToString("H2");
        none(lamps("56a", "56b", "56a", "56b"), exchanged);
    }

    private static DesignBuilder banded(Colouring colouring, Colour first, Colour second) {
        return with().rules(HouseRules.USUAL.withColours(colouring))
                .load("X1", 1)
                .load("X2", 1)
                .wire("B1.+", "X1.+", "1mm2", 1)
                .coloured(WireColour.plain(first))
                .inBundle("left")
                .wire("B1.+", "X2.+", "1mm2", 1)
                .coloured(WireColour.plain(second))
                .inBundle("left");
    }

    /** Where bands tell wires apart no two of a bundle wear the same. */
    @Test
    void bandsAndColours() {
        var white = new Colouring.Banded(Colour.WHITE);
        var brown =
                new Colouring.ByList(
                        List.of(
                                new Colouring.Entry(
                                        Purpose.EARTH, WireColour.plain(Colour.BROWN))));
        var same = only(banded(white, Colour.RED, Colour.RED), FitFinding.SameBands.class);
        assertThat(same.wire()).isEqualTo(new WireId("w3"));
        assertThat(same.other()).isEqualTo(new WireId("w2"));
        none(banded(white, Colour.RED, Colour.GREEN), FitFinding.SameBands.class);
        none(banded(brown, Colour.RED, Colour.RED), FitFinding.SameBands.class);
        assertThat(
                        found(
                                banded(brown, Colour.BROWN, Colour.RED),
                                FitFinding.EarthColourOnLive.class))
                .extracting(each -> each.wire().value())
                .containsExactly("w2");
        none(banded(white, Colour.RED, Colour.GREEN), FitFinding.EarthColourOnLive.class);
    }

    private static DesignBuilder fans(String second) {
        var fan = new LoadKind.Motor(new Amps(10), TWELVE);
        return with().relay("K1")
                .onOff("S1", "fan", 5)
                .onOff("S2", "blower", 20)
                .mounted("M1", "E1", fan)
                .mounted("M2", "E1", fan)
                .wire("B1.+", "S1.1", "1mm2", 1)
                .wire("S1.2", "K1.86", "1mm2", 1)
                .wire("K1.85", "E1.E", "1mm2", 1)
                .wire("B1.+", "K1.30", "4mm2", 1)
                .wire("K1.87", "M1.+", "4mm2", 1)
                .wire("B1.+", "S2.1", "4mm2", 1)
                .wire(second, "M2.+", "4mm2", 1)
                .wire("M1.31", "E1.E", "4mm2", 1)
                .wire("M2.31", "E1.E", "4mm2", 1);
    }

    @Test
    void oneRelayAFan() {
        assertThat(only(fans("K1.87"), Finding.TwoMotorsOneRelay.class).motors()).isEqualTo(2);
        none(fans("S2.2"), Finding.TwoMotorsOneRelay.class);
        none(fans("B1.+"), Finding.TwoMotorsOneRelay.class);
    }

    private static DesignBuilder pump(String name, LoadKind kind, String from) {
        return with().part("S1", DesignBuilder.offRunStart())
                .named("M1", name, kind)
                .load("X1", 1)
                .wire("B1.+", "S1.30", "2.5mm2", 1)
                .wire("S1.50", "X1.+", "1mm2", 1)
                .wire(from, "M1.+", "1.5mm2", 1)
                .wire("M1.31", "E1.E", "1.5mm2", 1);
    }

    /** With the key on and the engine still; what only primes while it cranks stops by itself. */
    @Test
    void aFuelPumpThatGoesOn() {
        var runs = PathFinding.PumpRuns.class;
        var motor = new LoadKind.Motor(new Amps(3), TWELVE);
        var load = new LoadKind.Load(new Demand.InAmps(new Amps(3)), TWELVE);
        assertThat(only(pump("Fuel pump", motor, "S1.15"), runs).when().positions())
                .containsEntry("key", "run");
        only(pump("petrol pump", load, "S1.15"), runs);
        none(pump("water pump", motor, "S1.15"), runs);
        none(pump("fuel heater", load, "S1.15"), runs);
        none(pump("fuel pump", motor, "S1.50"), runs);
        none(pump("fuel pump", new LoadKind.Buzzer(TWELVE, new Amps(1)), "S1.15"), runs);
    }

    private static DesignBuilder wiper(String feed, String park) {
        var hand = DesignBuilder.selector("wipe", 10, DesignBuilder.joins("on", "1", "2"));
        var builder =
                with().part("S1", DesignBuilder.offRunStart())
                        .part("S2", hand)
                        .load("X1", 1)
                        .mounted(
                                "M1",
                                "E1",
                                new LoadKind.WiperMotor(
                                        "blades", new Amps(3), TWELVE, Optional.empty()))
                        .wire("B1.+", "S1.30", "2.5mm2", 1)
                        .wire("S1.50", "X1.+", "1mm2", 1)
                        .wire(feed, "M1.53a", "1.5mm2", 1);
        return park.isEmpty()
                ? builder.wire("M1.31b", "S2.1", "1.5mm2", 1)
                : builder.wire("M1.31b", park, "1.5mm2", 1);
    }

    /** It runs home in a position of the key that stays; one that nothing drives need not. */
    @Test
    void aWiperRunsHome() {
        none(wiper("S1.15", "M1.53"), PathFinding.NeverParks.class);
        only(wiper("S1.50", "M1.53"), PathFinding.NeverParks.class);
        none(wiper("S1.15", ""), PathFinding.NeverParks.class);
    }

    private static DesignBuilder lit(double metres, double ohms) {
        return new DesignBuilder(12)
                .positiveEarth()
                .battery(0.006)
                .wire("B1.+", "E1.E", "25mm2", 0.3)
                .part("R1", new JoinKind.Resistor(new Ohms(ohms)))
                .lamp("H1", 55)
                .wire("B1.-", "R1.1", "1mm2", metres)
                .wire("R1.2", "H1.58", "1mm2", 0.2);
    }

    /** Dim with the plus earthed as well; what hardly glows is no lamp that is dim. */
    @Test
    void aLampThatIsDim() {
        var dim = only(lit(14, 0.01), Finding.LampDim.class);
        assertThat(dim.light().value()).isBetween(0.2, 0.75);
        none(lit(1, 0.01), Finding.LampDim.class);
        none(lit(1, 30), Finding.LampDim.class);
    }

    private static DesignBuilder charged(Insulation cover) {
        return with().insulation(cover)
                .part("T1", new LoadKind.IgnitionCoil(new Ohms(1.5), new Henries(0.004)))
                .mounted(
                        "U1",
                        "E1",
                        new ControlKind.IgnitionBox(
                                ControlKind.IgnitionBox.Form.DISCHARGE,
                                4,
                                new Ratio(0.4),
                                new Amps(0.5)))
                .wire("U1.1", "T1.1", "1mm2", 0.3);
    }

    /** The cover that holds the volts and comes closest to what it stood in warmth. */
    @Test
    void aCoverForADischargeBox() {
        for (var cover : Insulation.values()) {
            var found = found(charged(cover), Finding.CoverTooWeak.class);
            assertThat(found).hasSize(cover.holds().value() < 400 ? 1 : 0);
            found.forEach(each ->
                    assertThat(each.remedies())
                            .isEqualTo(
                                    Arrays.stream(Insulation.values())
                                            .filter(one -> one.holds().value() >= 400)
                                            .filter(one ->
                                                    one.limit().value() >= cover.limit().value())
                                            .sorted(
                                                    Comparator.comparing(
                                                            one -> one.limit().value()))
                                            .limit(1)
                                            .map(one ->
                                                    new WireEdit.Insulate(new WireId("w2"), one))
                                            .toList()));
        }
    }
}
