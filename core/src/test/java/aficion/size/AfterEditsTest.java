package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.SmallCar;
import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.catalogue.Zone;
import aficion.job.AnyJob;
import aficion.job.Design;
import aficion.job.Laid;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** After any row of edits of wires all is worked out as it would be from nothing. */
class AfterEditsTest {
    private static final int EDITS = 12;

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void aSmallCar(long seed) {
        assertSame(SmallCar.DESIGN, new Random(seed));
    }

    /** Parts of every kind thrown together: shorted, looped and floating ones among them. */
    @ParameterizedTest
    @ValueSource(
            longs = {
                3, 7, 11, 19, 23, 31, 42, 57, 64, 78, 101, 102, 103, 104, 105, 106, 107, 108, 109,
                110, 111, 112, 113, 114, 115, 116, 117, 118, 119, 120
            })
    void anything(long seed) {
        assertSame(AnyJob.of(seed), new Random(seed));
    }

    private static void assertSame(Design begun, Random random) {
        var design = begun;
        var kept = Assessment.of(design);
        for (int i = 0; i < EDITS; i++) {
            design = edit(design, random).apply(design);
            kept = kept.after(design);
            if (i % 3 == 2) {
                assertSame(kept, Assessment.of(design));
            }
        }
    }

    private static Edit edit(Design design, Random random) {
        var wire = any(design.wires(), random);
        return switch (random.nextInt(5)) {
            case 0, 1 ->
                    new WireEdit.Resize(
                            wire.id(), any(Conductors.of(wire.size().standard()), random).size());
            case 2 ->
                    new WireEdit.SetLength(
                            wire.id(),
                            new RunLength.Measured(
                                    new Metres(Math.exp(4 * random.nextDouble() - 2))));
            case 3 -> new WireEdit.Insulate(wire.id(), any(List.of(Insulation.values()), random));
            default -> new WireEdit.Lay(wire.id(), laid(wire, random));
        };
    }

    private static Laid laid(Wire wire, Random random) {
        return new Laid.Stated(wire.length(), any(List.of(Zone.values()), random))
                .with(random.nextBoolean() ? Optional.of("loom") : Optional.empty());
    }

    private static <T> T any(List<T> from, Random random) {
        return from.get(random.nextInt(from.size()));
    }

    private static void assertSame(Assessment kept, Assessment anew) {
        assertThat(kept.sizings().keySet()).isEqualTo(anew.sizings().keySet());
        for (var wire : anew.design().wires()) {
            var known = kept.sizing(wire.id());
            anew.sizing(wire.id())
                    .ifPresent(found ->
                            assertThat(said(known.orElseThrow()))
                                    .as(wire.number())
                                    .isEqualTo(said(found)));
            assertThat(rounded(kept.worst().steady(wire)))
                    .isEqualTo(rounded(anew.worst().steady(wire)));
            assertThat(rounded(kept.worst().held(wire)))
                    .isEqualTo(rounded(anew.worst().held(wire)));
            assertThat(kept.guard(wire.id()).getClass())
                    .isEqualTo(anew.guard(wire.id()).getClass());
        }
        assertThat(bundles(kept)).isEqualTo(bundles(anew));
    }

    private static List<String> bundles(Assessment of) {
        return of.bundles().stream()
                .map(bundle ->
                        bundle.name()
                                + " "
                                + bundle.hottest().id()
                                + " "
                                + rounded(bundle.working().result().value()))
                .toList();
    }

    private static String said(WireSizing sizing) {
        return sizing.wire().id()
                + " "
                + sizing.needed().map(conductor -> conductor.size().toString()).orElse("none")
                + " "
                + sizing.reason()
                + " "
                + sizing.coolEnough()
                + " "
                + sizing.losesLittle()
                + " "
                + rounded(sizing.steady().value())
                + " "
                + rounded(sizing.held().value())
                + " "
                + rounded(sizing.lost().value())
                + " "
                + rounded(sizing.drop().result().value());
    }

    private static String rounded(Optional<WorstCase.Peak> peak) {
        return peak.map(found -> rounded(found.amps().value())).orElse("none");
    }

    /** Four figures; what is below a milliampere or a millivolt is nothing. */
    private static String rounded(double value) {
        double most = Math.abs(value) < 1e-3 ? 0 : Math.abs(value);
        return String.format(Locale.ROOT, "%.3g", most);
    }
}
