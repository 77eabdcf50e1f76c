package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.check.Findings;
import aficion.job.Design;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.size.Assessment;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What an edit does not touch is not worked out again; what is found is as from nothing. */
class AssessmentAfterTest {
    /** A millionth of a volt over the thinnest copper there is, amps. */
    private static final double NEAR = 1e-3;

    private static Edit another(Wire wire, Random random) {
        var sizes = Conductors.of(wire.size().standard());
        return switch (random.nextInt(4)) {
            case 0 ->
                    new WireEdit.SetLength(
                            wire.id(),
                            new RunLength.Measured(new Metres(0.2 + 4 * random.nextDouble())));
            case 1 -> new WireEdit.Insulate(wire.id(), Insulation.values()[random.nextInt(2)]);
            default ->
                    new WireEdit.Resize(wire.id(), sizes.get(random.nextInt(sizes.size())).size());
        };
    }

    private static void assertAsFromNothing(Assessment after, Design design) {
        var anew = Assessment.of(design);
        assertThat(Findings.of(after).stream().map(each -> each.about() + " " + each.severity()))
                .isEqualTo(
                        Findings.of(anew).stream()
                                .map(each -> each.about() + " " + each.severity())
                                .toList());
        assertThat(after.design()).isSameAs(design);
        assertThat(after.sizings().keySet()).isEqualTo(anew.sizings().keySet());
        anew.sizings()
                .forEach((wire, sizing) -> {
                    var kept = after.sizing(wire).orElseThrow();
                    assertThat(kept.wire()).isEqualTo(sizing.wire());
                    assertThat(kept.needed()).isEqualTo(sizing.needed());
                    assertThat(kept.reason()).isEqualTo(sizing.reason());
                    assertThat(kept.steady().value())
                            .isCloseTo(sizing.steady().value(), within(NEAR));
                    assertThat(kept.held().value()).isCloseTo(sizing.held().value(), within(NEAR));
                    assertThat(kept.drop().result().value())
                            .isCloseTo(sizing.drop().result().value(), within(1e-4));
                    assertThat(kept.path().wires()).isEqualTo(sizing.path().wires());
                    assertThat(kept.path().point().netlist().design()).isSameAs(design);
                });
    }

    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void oneWireAfterAnotherIsJudgedAsFromNothing(String demo) {
        var design = DemoJobs.find(demo).orElseThrow().design();
        var before = Assessment.of(design);
        var random = new Random(7);
        for (var wire : design.wires()) {
            var next = another(wire, random).apply(design);
            assertAsFromNothing(before.after(next), next);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void aLongRowOfEditsIsJudgedAsFromNothing(String demo) {
        var now = DemoJobs.find(demo).orElseThrow().design();
        var assessment = Assessment.of(now);
        var random = new Random(11);
        for (int i = 0; i < 60; i++) {
            var wires = now.wires();
            now = another(wires.get(random.nextInt(wires.size())), random).apply(now);
            assessment = assessment.after(now);
        }
        assertAsFromNothing(assessment, now);
    }

    /** A part taken away leaves another topology: nothing is taken over that does not hold. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void aWireLessIsJudgedAsFromNothing(String demo) {
        var design = DemoJobs.find(demo).orElseThrow().design();
        var before = Assessment.of(design);
        for (var wire : List.of(design.wires().getFirst(), design.wires().getLast())) {
            var next = new WireEdit.RemoveWire(wire.id()).apply(design);
            assertAsFromNothing(before.after(next), next);
        }
    }
}
