package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.charge.AnotherSource;
import aficion.charge.Balance;
import aficion.charge.Drawn;
import aficion.charge.Situation;
import aficion.diagram.Pen.Look;
import aficion.gauge.Correction;
import aficion.gauge.Needle;
import aficion.ignite.Ignition;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.plot.Plot;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.words.Plots;
import aficion.words.PowerWords;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Plots show the figures they are made of. */
class PlotsTest {
    private static final Plots PLOTS = new Plots(UserUnits.METRIC);

    private static Design demo(String name) {
        return DemoJobs.find(name).orElseThrow().design();
    }

    private static Balance night(String name) {
        var design = demo(name);
        return Balance.of(design, Situation.find(design, Situation.WET_NIGHT).orElseThrow());
    }

    private static Plot.Curve named(Plot plot, String name) {
        return plot.curves().stream()
                .filter(curve -> curve.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** Every point of the balance is a point of the curves, and all of them are on the picture. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void aBalanceIsPlottedPointByPoint(String name) {
        var balance = night(name);
        var plot = PLOTS.balance(balance, Optional.empty(), Optional.of(new Rpm(1500)), false);
        var source = named(plot, "source can give").points();
        var load = named(plot, "loads").points();

        assertThat(source).hasSameSizeAs(balance.points());
        for (int i = 0; i < source.size(); i++) {
            var point = balance.points().get(i);
            assertThat(source.get(i).y()).isEqualTo(point.source().value());
            assertThat(load.get(i).y()).isEqualTo(point.load().value());
            assertThat(source.get(i).x()).isLessThanOrEqualTo(plot.across().to());
            assertThat(Math.max(source.get(i).y(), load.get(i).y()))
                    .isLessThanOrEqualTo(plot.up().to());
        }
        assertThat(plot.uprights()).extracting(Plot.Upright::words).contains("now 1500").hasSize(4);
        assertThat(plot.spots()).hasSize(balance.breaksEven().isPresent() ? 2 : 1);
    }

    @Test
    void anotherSourceIsDashedBesideTheOneThatIsThere() {
        var balance = night("roadster");
        var plot = PLOTS.balance(balance, Optional.of(balance), Optional.empty(), false);

        assertThat(named(plot, "the other source").look()).isEqualTo(Look.DIM);
        assertThat(plot.uprights()).hasSize(3);
        assertThat(AnotherSource.source(demo("roadster"))).isPresent();
    }

    /** Watts are amps times the volts of the battery, load by load too. */
    @Test
    void aMotorcycleIsToldInWatts() {
        var balance = night("motorcycle");
        var plot = PLOTS.balance(balance, Optional.empty(), Optional.empty(), true);
        var source = named(plot, "source can give").points();

        for (int i = 0; i < source.size(); i++) {
            var point = balance.points().get(i);
            assertThat(source.get(i).y())
                    .isCloseTo(point.source().value() * point.battery().value(), within(1e-9));
        }
        assertThat(plot.up().name()).isEqualTo("W");
        assertThat(Balance.isInWatts(demo("motorcycle").vehicle())).isTrue();
        assertThat(Balance.isInWatts(demo("tractor").vehicle())).isFalse();
        var lamp = new Drawn(new PartId("H1"), new Amps(5), 0.5);
        var words = new PowerWords(UserUnits.METRIC);
        assertThat(words.drawn(lamp, Optional.of(new Volts(12))))
                .isEqualTo("60 W \u00d7 0.5 = 30 W");
        assertThat(words.drawn(lamp, Optional.empty())).isEqualTo("5.0 A \u00d7 0.5 = 2.5 A");
    }

    /** The motorcycle loses at idle: from 100 % to what is left after an hour. */
    @Test
    void theHourEndsAtWhatIsLeft() {
        var balance = night("motorcycle");
        var last = PLOTS.hour(balance).curves().getFirst();
        double flat = balance.lasts(balance.idle().orElseThrow()).orElseThrow().value() / 3600;

        assertThat(last.points().getFirst().y()).isEqualTo(100);
        assertThat(last.points().getLast().y())
                .isCloseTo(100 * Math.max(0, 1 - 1 / flat), within(1e-6));
        assertThat(last.look()).isEqualTo(Look.WRONG);
    }

    /** The current falls with speed, and a coil without its ballast lies above what is there. */
    @Test
    void theCurrentOfACoilFallsWithSpeed() {
        var ignition = Ignition.of(demo("roadster")).orElseThrow();
        var bare = ignition.primary().behind(new aficion.quantity.Ohms(0));
        var plot = PLOTS.rise(ignition, Optional.of(bare), new Rpm(6000));
        var now = named(plot, "coil as fitted").points();
        var other = named(plot, "the other coil").points();

        assertThat(now).hasSameSizeAs(other);
        for (int i = 1; i < now.size(); i++) {
            assertThat(now.get(i).y()).isLessThanOrEqualTo(now.get(i - 1).y());
            assertThat(other.get(i).y()).isGreaterThan(now.get(i).y());
        }
        assertThat(named(plot, "limit 5.5 A").points())
                .allSatisfy(at -> assertThat(at.y()).isEqualTo(5.5));
    }

    /** A needle that lies is drawn as wrong; one that does not, plainly. */
    @Test
    void aNeedleThatLiesIsDrawnAsWrong() {
        var right = Needle.of(demo("roadster")).getFirst();
        var wrong = Needle.of(demo("tractor")).getFirst();
        var best = Correction.best(wrong);

        assertThat(named(PLOTS.needle(right, Optional.empty()), "as built").look())
                .isEqualTo(Look.PLAIN);
        var plot = PLOTS.needle(wrong, Optional.of(best.of(wrong)));
        assertThat(named(plot, "as built").look()).isEqualTo(Look.WRONG);
        assertThat(named(plot, "corrected").points()).hasSize(wrong.points(best.of(wrong)).size());
        assertThat(named(plot, "as it ought to").points())
                .allSatisfy(at -> assertThat(at.y()).isEqualTo(at.x()));
    }
}
