package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.job.DesignBuilder;
import org.junit.jupiter.api.Test;

class BundleTest {
    private static DesignBuilder bundle(int wires, double amps) {
        var design = DesignBuilder.twelveVolts();
        for (int i = 0; i < wires; i++) {
            design.load("X" + i, amps).wire("B1.+", "X" + i + ".+", "1mm2", 1).inBundle("wing");
        }
        return design;
    }

    private static Bundle of(DesignBuilder design) {
        return Assessment.of(design.build()).bundles().getFirst();
    }

    /** Nine wires of 2.0 mm: 1.2 · √(9 · 4) = 7.2 mm. */
    @Test
    void theDiameterIsThatOfTheWiresLaidTogether() {
        var wires = Bundle.of(bundle(9, 5).build()).getFirst().wires();

        assertThat(Bundle.diameter(wires).value()).isCloseTo(0.0072, within(1e-9));
    }

    /** One wire is no bundle: it gets as warm as alone, but for the fifth its cylinder is wider. */
    @Test
    void aBundleOfOneIsNearlyTheWireAlone() {
        var design = bundle(1, 10).build();
        var assessment = Assessment.of(design);
        var bundle = assessment.bundles().getFirst();
        var wire = design.wires().getLast();
        var alone =
                HeatBalance.temperature(
                        wire.conductor(),
                        wire.zone().ambient(),
                        assessment.sizing(wire.id()).orElseThrow().steady());

        assertThat(bundle.working().result().value()).isBetween(alone.value() - 6, alone.value());
    }

    /** What its surface sheds is what its wires lose. */
    @Test
    void heatInIsHeatOut() {
        var bundle = of(bundle(9, 5));
        double lost = bundle.working().steps().getFirst().value().value();
        double surface = bundle.working().steps().get(1).value().value();

        assertThat(HeatBalance.fromSurface(0.0072, 45, surface)).isCloseTo(lost, within(1e-4));
    }

    @Test
    void moreWiresMakeItWarmer() {
        double few = of(bundle(3, 8)).working().result().value();
        double many = of(bundle(9, 8)).working().result().value();

        assertThat(many).isGreaterThan(few + 5);
    }

    /** A link of no length is in a bundle without telling how warm it gets. */
    @Test
    void aWireOfNoLengthHidesNothing() {
        var all = bundle(9, 5);
        var with = bundle(9, 5).load("X9", 5).wire("B1.+", "X9.+", "1mm2", 0).inBundle("wing");

        var warm = of(all).working().result().value();
        assertThat(of(with).working().result().value()).isGreaterThanOrEqualTo(warm);
    }
}
