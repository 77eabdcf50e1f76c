package aficion.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.job.edit.WorkEdit;
import aficion.job.edit.WorkEdit.Asked;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is set down for sums: each in the place of the one of its name, and none that cannot be. */
class SumsKeptTest {
    private static final PartId SENDER = new PartId("R1");

    private static Usage usage(String name, boolean turns) {
        return new Usage(name, Map.of("key", "run"), List.of(), turns, new Celsius(20));
    }

    private static Panel panel(String name, double wide) {
        return new Panel(name, new Metres(wide), new Metres(0.1), List.of());
    }

    @Test
    void oneOfANameTakesThePlaceOfTheOther() {
        var sums = Sums.NONE.with(usage("shed", true)).with(usage("road", true));
        var changed = sums.with(usage("shed", false));

        assertThat(changed.usages()).extracting(Usage::name).containsExactly("shed", "road");
        assertThat(changed.usages().getFirst().turns()).isFalse();
        assertThat(changed.without(usage("shed", false)).usages())
                .extracting(Usage::name)
                .containsExactly("road");
        var panels = Sums.NONE.with(panel("dash", 0.3)).with(panel("dash", 0.4));
        assertThat(panels.panels()).singleElement();
        assertThat(panels.panels().getFirst().width()).isEqualTo(new Metres(0.4));
        assertThat(panels.without(panels.panels().getFirst())).isEqualTo(Sums.NONE);
    }

    @Test
    void aSenderIsReadByRisingLevel() {
        var sums =
                Sums.NONE
                        .with(SENDER, new Fill(40, new Ohms(50)))
                        .with(SENDER, new Fill(10, new Ohms(200)))
                        .with(SENDER, new Fill(40, new Ohms(60)));

        assertThat(sums.fills(SENDER))
                .containsExactly(new Fill(10, new Ohms(200)), new Fill(40, new Ohms(60)));
        assertThat(
                        sums.without(SENDER, new Fill(10, new Ohms(200)))
                                .without(SENDER, new Fill(40, new Ohms(60))))
                .isEqualTo(Sums.NONE);
        assertThat(sums.fills(new PartId("R2"))).isEmpty();
    }

    /**
     * What is set down costs no physics: the design stays the same one, and undo brings it back.
     */
    @Test
    void settingDownIsANoteOfTheWork() {
        var vehicle = new Vehicle("one", 1960, new Volts(12), Vehicle.Pole.NEGATIVE);
        var job = Job.of(Design.empty(vehicle, HouseRules.USUAL));
        var speeds = new Speeds(new Rpm(700), new Rpm(2000), new Rpm(5000));
        var noted = new WorkEdit.SetDown(Asked.SPEEDS, sums -> sums.with(speeds)).apply(job);

        assertThat(noted.design()).isSameAs(job.design());
        assertThat(noted.work().sums().speeds()).contains(speeds);
        assertThat(job.work().sums()).isEqualTo(Sums.NONE);
    }

    /** Idle below cruise below top, from above nothing. */
    @ParameterizedTest
    @CsvSource({"0, 2000, 5000", "2000, 2000, 5000", "800, 6000, 5000", "800, 2000, 90000"})
    void speedsThatDoNotRiseAreRefused(double idle, double cruise, double top) {
        assertThatThrownBy(() -> new Speeds(new Rpm(idle), new Rpm(cruise), new Rpm(top)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("idles");
    }

    /** Nothing below the first point, straight between them, as at the last above it. */
    @ParameterizedTest
    @CsvSource({"0, 0", "999, 0", "1000, 5", "2000, 15", "3000, 25", "9000, 25"})
    void aCurveIsStraightBetweenItsPoints(double rpm, double amps) {
        var curve =
                new OutputCurve(
                        List.of(
                                new OutputCurve.Point(new Rpm(1000), new Amps(5)),
                                new OutputCurve.Point(new Rpm(3000), new Amps(25))),
                        Optional.empty());

        assertThat(curve.at(new Rpm(rpm)).value()).isCloseTo(amps, within(1e-9));
    }

    @Test
    void aCurveThatDoesNotRiseIsRefused() {
        var one = new OutputCurve.Point(new Rpm(1000), new Amps(5));
        var less = new OutputCurve.Point(new Rpm(2000), new Amps(-1));

        assertThatThrownBy(() -> new OutputCurve(List.of(one, one), Optional.empty()))
                .hasMessageContaining("rise");
        assertThatThrownBy(() -> new OutputCurve(List.of(one, less), Optional.empty()))
                .hasMessageContaining("no less than nothing");
    }

    /** 165 on 60 mm, 300 mm apart: 2·300 + π·112.5 + 105²/1200 = 962.6 mm of belt. */
    @Test
    void aBeltGoesRoundBothPulleys() {
        var pulleys =
                new Pulleys(
                        new Metres(0.165), new Metres(0.060), Optional.of(new Metres(0.3)), true);

        assertThat(pulleys.belt().orElseThrow().value()).isCloseTo(0.9626, within(0.0001));
        assertThat(pulleys.source(new Rpm(1000)).value()).isCloseTo(2750, within(0.001));
        assertThat(pulleys.ratio()).isEqualTo(new Ratio(0.165 / 0.060));
    }

    /** The rotor of six cylinders half a turn out points three towers on. */
    @Test
    void halfATurnOutIsTheTowerOpposite() {
        var cap = new Cap(List.of(1, 5, 3, 6, 2, 4), true, 2);

        assertThat(cap.cylinders()).containsExactly(4, 1, 5, 3, 6, 2);
        assertThat(cap.halfOut().first()).isEqualTo(5);
        assertThat(cap.halfOut().halfOut()).isEqualTo(cap);
        assertThatThrownBy(() -> new Cap(List.of(), true, 1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** 12 V and in proportion: 6.3 at rest, 7.1 running, 4.8 cranking at 6 V. */
    @Test
    void voltsOfAVehicleAreInProportion() {
        var vehicle = new Vehicle("old", 1950, new Volts(6), Vehicle.Pole.POSITIVE);

        assertThat(vehicle.rested().value()).isCloseTo(6.3, within(1e-9));
        assertThat(vehicle.running().value()).isCloseTo(7.1, within(1e-9));
        assertThat(vehicle.cranking().value()).isCloseTo(4.8, within(1e-9));
    }
}
