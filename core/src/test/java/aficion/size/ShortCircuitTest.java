package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize.Standard;
import aficion.catalogue.Zone;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ShortCircuitTest {
    private static Wire wire(String size, Insulation cover) {
        var design =
                DesignBuilder.twelveVolts()
                        .insulation(cover)
                        .zone(Zone.CABIN)
                        .load("X1", 1)
                        .wire("B1.+", "X1.+", size, 1)
                        .build();
        return design.wires().getLast();
    }

    private static Guard.Fitted fuse(FuseType type, double marking) {
        return new Guard.Fitted(new FuseSeat(new PartId("F1"), ""), type, new Amps(marking));
    }

    /** (k·S)² by hand: PVC 115, rubber 100, cross-linked 143 A·√s/mm² (IEC 60364-5-54). */
    @ParameterizedTest
    @CsvSource({"1mm2, PVC105, 13225", "1.5mm2, RUBBER, 22500", "2mm2, XLPE125, 81796"})
    void standsTheAdiabaticHeat(String size, Insulation cover, double stands) {
        assertThat(ShortCircuit.of(wire(size, cover)).stands())
                .isCloseTo(stands, within(0.01 * stands));
    }

    /** What a wire carries for a time falls to what it carries for good, and not below it. */
    @Test
    void carriesLessTheLongerItLasts() {
        var heat = ShortCircuit.of(wire("1mm2", Insulation.PVC105));
        double last = Double.MAX_VALUE;
        for (double seconds = 1; seconds < 3600; seconds *= 2) {
            double carries = heat.carries(seconds);
            assertThat(carries).isLessThanOrEqualTo(last).isGreaterThanOrEqualTo(heat.forGood());
            last = carries;
        }
        assertThat(heat.carries(Double.POSITIVE_INFINITY)).isEqualTo(heat.forGood());
    }

    /** The trade's usual pairs hold; a fuse that passes more than the wire for good does not. */
    @ParameterizedTest
    @CsvSource({
        "0.5mm2, 5, true",
        "1mm2, 10, true",
        "2mm2, 20, true",
        "1mm2, 30, false",
        "0.5mm2, 20, false",
        "2.5mm2, 60, false"
    })
    void aBladeFuseGuardsWhatIsThickEnough(String size, double marking, boolean guards) {
        assertThat(
                        ShortCircuit.of(wire(size, Insulation.PVC105))
                                .isGuardedBy(fuse(FuseType.BLADE, marking)))
                .isEqualTo(guards);
    }

    /** More copper never makes a wire less guarded, for any guard that is sold. */
    @ParameterizedTest
    @EnumSource(FuseType.class)
    void aThickerWireIsNeverGuardedWorse(FuseType type) {
        var wire = wire("1mm2", Insulation.PVC80);
        for (var marking : type.markings()) {
            boolean guarded = false;
            for (var conductor : Conductors.of(Standard.METRIC)) {
                boolean now =
                        ShortCircuit.of(wire, conductor).isGuardedBy(fuse(type, marking.value()));
                assertThat(now || !guarded)
                        .as("%s behind %s %s", conductor, type, marking)
                        .isTrue();
                guarded = now;
            }
            assertThat(guarded).as("the thickest behind %s %s", type, marking).isTrue();
        }
    }

    /**
     * At the bulkhead: a fuse that is slow at twice its marking lets a wire warm for longer than no
     * heat leaves it; one that is quick is held to the adiabatic heat alone.
     */
    @ParameterizedTest
    @CsvSource({
        "0.35mm2, BLADE, 3, true",
        "0.35mm2, BLADE, 7.5, true",
        "0.35mm2, BLADE, 15, false",
        "0.5mm2, BLADE, 10, true",
        "2mm2, CERAMIC, 25, false",
        "3mm2, CERAMIC, 40, false",
        "2.5mm2, BOLTED, 30, false",
        "10mm2, BOLTED, 30, true"
    })
    void aWireLastsUntilTheSlowestFuseOpens(
            String size, FuseType type, double marking, boolean lasts) {
        var wire =
                DesignBuilder.twelveVolts()
                        .zone(Zone.BULKHEAD)
                        .load("X1", 1)
                        .wire("B1.+", "X1.+", size, 1)
                        .build()
                        .wires()
                        .getLast();

        assertThat(ShortCircuit.of(wire).outlives(fuse(type, marking))).isEqualTo(lasts);
    }

    /** Twice the marking where the fuse guards it; nothing is known where it does not. */
    @Test
    void isOverloadedWithNoMoreThanTwiceTheMarking() {
        var heat = ShortCircuit.of(wire("1mm2", Insulation.PVC105));

        assertThat(heat.overload(fuse(FuseType.BLADE, 10))).isEqualTo(20);
        assertThat(heat.overload(fuse(FuseType.BLADE, 30))).isZero();
    }

    /** A cover that is at its limit in the air around it bears nothing, however little is given. */
    @Test
    void aCoverAsHotAsItMayGetBearsNoShort() {
        var hot =
                DesignBuilder.twelveVolts()
                        .insulation(Insulation.RUBBER)
                        .zone(Zone.ON_ENGINE)
                        .load("X1", 1)
                        .wire("B1.+", "X1.+", "4mm2", 1)
                        .build();
        var heat = ShortCircuit.of(hot.wires().getLast());

        assertThat(heat.forGood()).isZero();
        assertThat(heat.outlivesAny(fuse(FuseType.BLADE, 1))).isFalse();
    }
}
