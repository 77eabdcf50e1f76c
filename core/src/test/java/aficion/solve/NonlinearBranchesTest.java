package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.netlist.Branch;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The laws of the branches that bend, by hand. */
class NonlinearBranchesTest {
    private final NonlinearBranches bends = new NonlinearBranches(1, Network.Accuracy.FINE);

    /**
     * A 21 W lamp of 13.5 V draws 1.5556 A there; at 12 V (12/13.5)^0.55 of it, 1.4580 A; at 1 V
     * 0.3717 A.
     */
    @Test
    void aFilamentFollowsItsPowerLaw() {
        bends.filament(0, new Branch.Filament(1, 0, 13.5, 21 / 13.5));

        assertThat(bends.amps(0, 13.5)).isCloseTo(1.5556, within(0.0001));
        assertThat(bends.amps(0, 12)).isCloseTo(1.4580, within(0.0001));
        assertThat(bends.amps(0, 1)).isCloseTo(0.3717, within(0.0001));
        assertThat(bends.amps(0, -12)).isEqualTo(-bends.amps(0, 12));
        assertThat(bends.amps(0, 0)).isZero();
    }

    /** Stone cold it has a tenth of its hot resistance: 13.5²/21/10 = 0.868 Ω. */
    @Test
    void aColdFilamentHasATenthOfItsHotResistance() {
        var filament = new Branch.Filament(1, 0, 13.5, 21 / 13.5);
        bends.filament(0, filament);

        assertThat(filament.coldOhms()).isCloseTo(13.5 * 13.5 / 21 / 10, within(1e-9));
        double knee = 13.5 * Math.pow(0.1, 1 / 0.45);
        assertThat(knee / bends.amps(0, knee * (1 - 1e-9)))
                .isCloseTo(filament.coldOhms(), within(1e-6));
        assertThat(bends.amps(0, knee * (1 - 1e-9)))
                .isCloseTo(bends.amps(0, knee * (1 + 1e-9)), within(1e-6));
    }

    /**
     * 10 A at 12 V, 0.3 Ω of windings: 9 V of back-emf at full speed. Below 0.2·10·0.3 = 0.6 V it
     * stands: 0.3 V drive 1 A. At half speed the load takes 0.2 + 0.8·(0.3·0.5 + 0.7·0.25) = 0.46
     * of 10 A, which needs 4.6·0.3 + 4.5 = 5.88 V.
     */
    @Test
    void aMotorTurnsAsFastAsItsLoadLets() {
        bends.motor(0, new Branch.Motor(1, 0, 12, 10, 0.3, 0.3));

        assertThat(bends.amps(0, 12)).isCloseTo(10, within(1e-9));
        assertThat(bends.amps(0, 0.3)).isCloseTo(1, within(1e-9));
        assertThat(bends.amps(0, 5.88)).isCloseTo(4.6, within(1e-9));
        assertThat(bends.amps(0, -5.88)).isCloseTo(-4.6, within(1e-9));
    }

    /** 14 V behind 10 mΩ, at most 30 A: 5 A at 13.95 V, all of it at 12 V, nothing at 15 V. */
    @Test
    void aLimitedSourceGivesNoMoreThanItHasAndTakesNothing() {
        bends.limited(
                0, new Branch.Limited(1, 0, 14, 0.01, 30, List.of(), 1, Optional.empty()), 14);

        assertThat(bends.amps(0, 13.95)).isCloseTo(-5, within(1e-9));
        assertThat(bends.amps(0, 12)).isCloseTo(-30, within(1e-6));
        assertThat(bends.amps(0, 15)).isCloseTo(0, within(1e-6));
    }

    private static final Branch.Filament LAMP = new Branch.Filament(1, 0, 13.5, 21 / 13.5);
    private static final Branch.Rectifier DIODE = new Branch.Rectifier(1, 0, 1e-9, 0.05);
    private static final Branch.Source BATTERY = new Branch.Source(1, 0, 12.6, 0.01, 0.05);
    private static final Branch.Motor MOTOR = new Branch.Motor(1, 0, 12, 10, 0.3, 0.3);
    private static final Branch.Limited GIVER =
            new Branch.Limited(1, 0, 14, 0.01, 30, List.of(), 1, Optional.empty());

    private static List<Arguments> laws() {
        return List.of(
                law("filament", bends -> bends.filament(0, LAMP), 0.05, 0.3, 6, -11, 14),
                law("diode", bends -> bends.rectifier(0, DIODE), -5, -0.2, 0.3, 0.6, 0.9),
                law("battery", bends -> bends.source(0, BATTERY, 12.6), -3, 9, 12.5, 12.7, 16),
                law("giver", bends -> bends.limited(0, GIVER, 14), 3, 13.6, 13.9, 14.2, 15),
                law("motor", bends -> bends.motor(0, MOTOR), 0.3, 0.7, 5.88, -8, 14),
                law("line", bends -> bends.straight(0, 0.25, 1), -3, 0.5, 12));
    }

    private static Arguments law(String name, Consumer<NonlinearBranches> put, double... volts) {
        return Arguments.of(name, put, volts);
    }

    /** The line through a place touches the law there: its slope is that of the law. */
    @ParameterizedTest
    @MethodSource("laws")
    void aLineTouchesItsLaw(String name, Consumer<NonlinearBranches> put, double[] places) {
        put.accept(bends);
        for (double volts : places) {
            bends.begin(0, volts);
            double amps = bends.amps(0, volts);
            double step = 1e-5 * Math.max(1, Math.abs(volts));
            double rise = (bends.amps(0, volts + step) - bends.amps(0, volts - step)) / (2 * step);

            assertThat(bends.slope[0]).isCloseTo(rise, within(1e-9 + 1e-4 * Math.abs(rise)));
            assertThat(bends.slope[0] * volts + bends.offset[0])
                    .isCloseTo(amps, within(1e-9 + 1e-12 * Math.abs(amps)));
        }
    }

    /** Close to where a filament was its series gives what the power gives, to the last digits. */
    @ParameterizedTest
    @ValueSource(doubles = {-9.9e-4, -3e-4, 0, 2e-5, 9.9e-4, 1.1e-3, 0.3})
    void theSeriesOfAFilamentIsItsPower(double share) {
        bends.filament(0, LAMP);
        for (double volts : new double[] {12, -7, 0.5}) {
            bends.begin(0, volts);
            double there = volts * (1 + share);
            double power = 21 / 13.5 * Math.pow(Math.abs(there) / 13.5, 0.55);

            assertThat(bends.amps(0, there))
                    .isCloseTo(Math.copySign(power, there), within(1e-14 * power));
        }
    }

    private NonlinearBranches.Distance moved(double from, double to) {
        bends.begin(0, from);
        var distance = bends.advance(0, to);
        return distance;
    }

    private double at() {
        return bends.places()[0];
    }

    /** So near that the old line tells its current, a branch is found; a little off, it is near. */
    @Test
    void howFarALineIsOffIsTold() {
        bends.filament(0, LAMP);

        assertThat(moved(12, 12 + 1e-9)).isEqualTo(NonlinearBranches.Distance.NONE);
        assertThat(moved(12, 12.01)).isEqualTo(NonlinearBranches.Distance.NEAR);
        assertThat(moved(12, 8)).isEqualTo(NonlinearBranches.Distance.FAR);
        assertThat(at()).isEqualTo(8);
        assertThat(moved(12, Double.NaN)).isEqualTo(NonlinearBranches.Distance.FAR);
        bends.open(0);
        assertThat(bends.advance(0, 5)).isEqualTo(NonlinearBranches.Distance.NONE);
        assertThat(bends.amps(0, 5)).isZero();
    }

    /** A battery that begins to take needs another slope, however little it takes. */
    @Test
    void pastAKinkNothingIsNear() {
        bends.source(0, BATTERY, 12.6);

        assertThat(moved(12.5, 12.55)).isEqualTo(NonlinearBranches.Distance.NONE);
        assertThat(moved(12.59999, 12.60000001)).isEqualTo(NonlinearBranches.Distance.FAR);
    }

    /** After a shift the line has the old slope and goes through where the branch is. */
    @Test
    void aShiftKeepsTheSlope() {
        bends.filament(0, LAMP);
        moved(12, 12.01);
        double slope = bends.slope[0];
        bends.shift(0);

        assertThat(bends.slope[0]).isEqualTo(slope);
        assertThat(slope * 12.01 + bends.offset[0]).isCloseTo(bends.amps(0, 12.01), within(1e-12));
        assertThat(bends.sloped()).isTrue();
        bends.forgetSlopes();
        bends.touch(0);
        assertThat(bends.slope[0]).isLessThan(slope);
        assertThat(bends.sloped()).isTrue();
        bends.forgetSlopes();
        bends.touch(0);
        assertThat(bends.sloped()).isFalse();
    }

    /** A filament that turns starts from nothing; after three turns it follows its chord. */
    @Test
    void aFilamentThatKeepsTurningFollowsItsChord() {
        bends.filament(0, LAMP);
        bends.begin(0, 5);
        for (int turn = 0; turn < 3; turn++) {
            bends.advance(0, -4);
            assertThat(at()).isZero();
            bends.touch(0);
            bends.advance(0, 5);
            assertThat(at()).isEqualTo(5);
            bends.touch(0);
        }
        bends.advance(0, -4);
        assertThat(at()).isEqualTo(-4);
        bends.touch(0);
        assertThat(bends.slope[0]).isCloseTo(bends.amps(0, -4) / -4, within(1e-12));
        assertThat(bends.offset[0]).isCloseTo(0, within(1e-12));
        bends.forgiveTurns();
        bends.touch(0);
        assertThat(bends.slope[0]).isCloseTo(0.55 * bends.amps(0, -4) / -4, within(1e-12));
    }

    /**
     * A step far past where a diode turns on is taken in its current: with U = 0.05 V, from 0.7 to
     * 1.7 V it goes 0.05 · ln(1 + 1/0.05) = 0.152 V; from nothing to 0.05 · ln(3/0.05) = 0.205 V.
     */
    @Test
    void aDiodeIsSteppedByItsCurrent() {
        bends.rectifier(0, DIODE);
        double critical = 0.05 * Math.log(0.05 / (Math.sqrt(2) * 1e-9));

        moved(0.7, 1.7);
        assertThat(at()).isCloseTo(0.7 + 0.05 * Math.log(1 + 1 / 0.05), within(1e-12));
        moved(-1, 3);
        assertThat(at()).isCloseTo(0.05 * Math.log(3 / 0.05), within(1e-12));
        moved(-1, 1e15);
        assertThat(at()).isCloseTo(critical, within(1e-12));
        moved(0.7, critical - 1e-3);
        assertThat(at()).isEqualTo(critical - 1e-3);
        moved(critical, critical + 0.09);
        assertThat(at()).isEqualTo(critical + 0.09);
        moved(critical, critical + 0.11);
        assertThat(at()).isLessThan(critical + 0.11);
    }

    /** One whose line leaves it nothing has been cut off, and goes to 0 V at once. */
    @Test
    void aDiodeThatIsCutOffIsAtNothingAtOnce() {
        bends.rectifier(0, DIODE);

        moved(0.8, 0.75);
        assertThat(at()).isZero();
        moved(0.8, -3);
        assertThat(at()).isEqualTo(-3);
        moved(0.8, 0.79);
        assertThat(at()).isEqualTo(0.79);
    }

    /** 14 V, 30 A behind 10 mΩ regulate from 13.7 V on: jumps out of there land at 13.85 V. */
    @Test
    void aLimitedSourceLandsWhereItRegulates() {
        bends.limited(0, GIVER, 14);

        assertThat(at()).isCloseTo(13.85, within(1e-12));
        moved(10, 15);
        assertThat(at()).isCloseTo(13.85, within(1e-12));
        moved(10, 13.9);
        assertThat(at()).isCloseTo(13.85, within(1e-12));
        moved(10, 11);
        assertThat(at()).isEqualTo(11);
        moved(13.8, 15);
        assertThat(at()).isEqualTo(15);
        bends.limited(
                0, new Branch.Limited(1, 0, 14, 0.01, 30, List.of(), -1, Optional.empty()), 14);
        moved(-10, -15);
        assertThat(at()).isCloseTo(-13.85, within(1e-12));
        assertThat(bends.amps(0, -13.9)).isCloseTo(10, within(1e-9));
    }

    /** What becomes another law begins anew; what stays one goes on from where it was. */
    @Test
    void anotherLawBeginsAnew() {
        bends.filament(0, LAMP);
        assertThat(at()).isEqualTo(13.5);
        bends.begin(0, 6);
        bends.filament(0, new Branch.Filament(1, 0, 12, 2));
        assertThat(at()).isEqualTo(6);
        assertThat(bends.slope[0] * 6 + bends.offset[0]).isCloseTo(bends.amps(0, 6), within(1e-12));
        bends.motor(0, MOTOR);
        assertThat(at()).isZero();
        bends.begin(0, 6);
        bends.restart();
        assertThat(at()).isZero();
        bends.place(new double[] {7});
        assertThat(at()).isEqualTo(7);
        bends.straight(0, 0.5, 0);
        bends.begin(0, 4);
        assertThat(at()).isZero();
        assertThat(bends.count()).isEqualTo(1);
    }
}
