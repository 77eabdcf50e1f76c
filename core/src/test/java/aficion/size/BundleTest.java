package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Insulation;
import aficion.catalogue.Zone;
import aficion.job.Body;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.Laid;
import aficion.job.Vehicle;
import java.util.Optional;
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

    /** 2.9 mm and 2.0 mm: 1.2·√(8.41 + 4); seven alike lie round one of them, eight do not. */
    @Test
    void unlikeWiresAndManyAreTakenRoughly() {
        var two = bundle(1, 5).load("X9", 5).wire("B1.+", "X9.+", "2.5mm2", 1).inBundle("wing");

        assertThat(diameter(two)).isCloseTo(1.2 * Math.sqrt(8.41 + 4) / 1000, within(1e-9));
        assertThat(diameter(bundle(1, 5))).isCloseTo(0.002, within(1e-9));
        assertThat(diameter(bundle(2, 5))).isCloseTo(0.004, within(1e-9));
        assertThat(diameter(bundle(7, 5))).isCloseTo(0.006, within(1e-9));
        assertThat(diameter(bundle(8, 5))).isCloseTo(1.2 * Math.sqrt(32) / 1000, within(1e-9));
    }

    private static double diameter(DesignBuilder design) {
        return Bundle.diameter(Bundle.of(design.build()).getFirst().wires()).value();
    }

    /** The thin one is the hottest, the one that carries most loses most. */
    @Test
    void theHottestAndTheHeaviestAreTold() {
        var unlike =
                DesignBuilder.twelveVolts()
                        .load("X1", 20)
                        .load("X2", 4)
                        .insulation(Insulation.XLPE125)
                        .wire("B1.+", "X1.+", "2.5mm2", 1)
                        .inBundle("wing")
                        .insulation(Insulation.PVC105)
                        .wire("B1.+", "X2.+", "0.5mm2", 1)
                        .inBundle("wing");
        var bundle = of(unlike);

        assertThat(bundle.heaviest().number()).isEqualTo("2");
        assertThat(bundle.hottest().number()).isEqualTo("3");
        double limit = bundle.working().limit().orElseThrow().value().value();
        assertThat(limit).isEqualTo(105 - HouseRules.USUAL.margin().value());
    }

    /** Copper is warmer than the surface by q · ln(d/copper)/(2π·λ), and more with more current. */
    @Test
    void theWarmestIsWarmerThanTheSurface() {
        var bundle = of(bundle(3, 8));
        var steps = bundle.working().steps();
        double surface = steps.get(1).value().value();
        double loss = steps.getFirst().value().value() / 3;
        double wall = HeatBalance.wall(bundle.hottest().conductor());

        assertThat(steps.get(2).value().value()).isCloseTo(surface + loss * wall, within(1e-6));
    }

    /** The air around a bundle is the warmest that one of its wires lies in. */
    @Test
    void theWarmestPlaceCounts() {
        var mixed =
                bundle(1, 5)
                        .zone(Zone.ENGINE_BAY)
                        .load("X9", 5)
                        .wire("B1.+", "X9.+", "1mm2", 1)
                        .inBundle("wing");

        assertThat(Bundle.of(mixed.build()))
                .singleElement()
                .satisfies(mates -> assertThat(mates.ambient().value()).isEqualTo(75));
    }

    /** What rides a run together is a bundle; what is said to lie somewhere, or alone, is none. */
    @Test
    void whatRidesARunTogetherIsABundle() {
        var car = bundle(3, 5).build().withBody(Optional.of(Body.usual(Vehicle.Sort.CAR)));
        var routed =
                car.wires().stream()
                        .map(wire ->
                                wire.number().equals("1")
                                        ? wire
                                        : wire.withLaid(Laid.Routed.cheapest()))
                        .toList();

        assertThat(Bundle.of(car)).extracting(Bundle.Mates::name).containsExactly("wing");
        assertThat(Bundle.of(car.withWires(routed)))
                .isNotEmpty()
                .allSatisfy(mates ->
                        assertThat(mates.wires())
                                .hasSizeGreaterThan(1)
                                .allMatch(wire -> wire.laid() instanceof Laid.Routed));
    }
}
