package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.catalogue.FuseType;
import aficion.netlist.Branch;
import aficion.netlist.Coil;
import aficion.quantity.Amps;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

/** What each kind of branch is as things stand, by itself. */
class SwitchStateTest {
    private static final Branch.FuseBranch FUSE =
            new Branch.FuseBranch(0, 1, FuseType.BLADE, new Amps(10), true);

    /** Each that is straight, what it begins with, and what it resists then. */
    private record Straight(Branch branch, boolean conducts, double ohms) {}

    static final List<Straight> STRAIGHT =
            List.of(
                    new Straight(new Branch.Resistance(0, 1, 3), true, 3),
                    new Straight(new Branch.Contact(0, 1, 0.2, true), true, 0.2),
                    new Straight(new Branch.Contact(0, 1, 0.2, false), false, 0.2),
                    new Straight(driven(false), true, 0.3),
                    new Straight(driven(true), false, 0.3),
                    new Straight(
                            new Branch.Blinker(0, 1, 0.4, new Branch.Rhythm.Clocked(1)), true, 0.4),
                    new Straight(FUSE, true, FUSE.ohms()),
                    new Straight(
                            new Branch.FuseBranch(0, 1, FuseType.BLADE, new Amps(10), false),
                            false,
                            FUSE.ohms()),
                    new Straight(
                            new Branch.ControlledResistance(
                                    0, 1, 0.6, new Branch.Law.MeanVolts(1, 10)),
                            true,
                            0.6),
                    new Straight(new Branch.Warming(0, 1, 0.7, 0.1, 5), true, 0.7),
                    new Straight(
                            new Branch.Capacitance(0, 1, 1e-3), false, Double.POSITIVE_INFINITY));

    static final List<Branch> BENDING =
            List.of(
                    new Branch.Filament(0, 1, 12, 2),
                    new Branch.Rectifier(0, 1, 1e-9, 0.05),
                    new Branch.Source(0, 1, 12.7, 0.006, 0.02),
                    limited(List.of()),
                    new Branch.Motor(0, 1, 12, 5, 0.5, 0.1));

    private static Branch driven(boolean pulled) {
        return new Branch.Driven(0, 1, 0.3, List.of(new Branch.Need(0, pulled)));
    }

    private static Branch limited(List<Branch.Need> needs) {
        return new Branch.Limited(0, 1, 14.2, 0.01, 30, needs, 1, Optional.empty());
    }

    private static SwitchState begun(Branch branch) {
        var state = new SwitchState(new Branch[] {branch}, new Coil[1]);
        state.begin(0);
        return state;
    }

    @ParameterizedTest
    @FieldSource("STRAIGHT")
    void whatIsStraightConductsAndResists(Straight each) {
        var state = begun(each.branch());

        assertThat(state.conducting(0)).isEqualTo(each.conducts());
        assertThat(state.ohms(0)).isEqualTo(each.ohms());
    }

    @ParameterizedTest
    @FieldSource("BENDING")
    void whatBendsConductsAndHasNoOhms(Branch branch) {
        var state = begun(branch);

        assertThat(state.conducting(0)).isTrue();
        assertThatThrownBy(() -> state.ohms(0)).isInstanceOf(IllegalStateException.class);
    }

    @Test
    void whatHasMovedSinceIsHeeded() {
        var fuse = begun(FUSE);
        fuse.whole[0] = false;
        assertThat(fuse.conducting(0)).isFalse();

        var contact = begun(driven(true));
        contact.pulled[0] = true;
        assertThat(contact.conducting(0)).isTrue();

        var source = begun(limited(List.of(new Branch.Need(0, true))));
        assertThat(source.settled[0]).isEqualTo(14.2);
        assertThat(source.conducting(0)).isFalse();
        assertThat(begun(new Branch.Source(0, 1, 12.7, 0.006, 0.02)).settled[0]).isEqualTo(12.7);
    }
}
