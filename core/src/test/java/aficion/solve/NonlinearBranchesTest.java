package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.netlist.Branch;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

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
}
