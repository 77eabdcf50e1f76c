package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.ColourScheme;
import aficion.catalogue.Purpose;
import aficion.check.Findings;
import aficion.check.Preview;
import aficion.check.finding.Finding;
import aficion.identify.Purposes;
import aficion.job.Colouring;
import aficion.job.Design;
import aficion.job.Work;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the wires of the demos are for, against what their makers' colours say. */
class PurposesTest {
    private final Design design = DemoJobs.find("roadster").orElseThrow().design();

    @ParameterizedTest
    @CsvSource({
        "1.01, EARTH",
        "3.01, LIVE",
        "3.07, IGNITION",
        "5.02, HEADLAMP",
        "5.03, DIP_BEAM",
        "5.04, MAIN_BEAM",
        "5.11, DIP_BEAM",
        "2.04, CHARGE_LAMP"
    })
    void aWireIsForWhatItMeets(String number, Purpose purpose) {
        var wire =
                design.wires().stream()
                        .filter(each -> each.number().equals(number))
                        .findFirst()
                        .orElseThrow();

        assertThat(Purposes.of(design)).containsEntry(wire.id(), purpose);
    }

    /** The roadster is wired in British colours: most wires wear what BS AU 7 asks. */
    @Test
    void theRoadstersColoursAgreeWithItsScheme() {
        var purposes = Purposes.of(design);
        var scheme = new Colouring.ByScheme(ColourScheme.BS_AU_7);
        long agree =
                design.wires().stream()
                        .filter(wire ->
                                purposes.containsKey(wire.id())
                                        && scheme.colour(purposes.get(wire.id()))
                                                .filter(wire.colour()::equals)
                                                .isPresent())
                        .count();

        assertThat(purposes.size()).isGreaterThan(design.wires().size() * 8 / 10);
        assertThat((double) agree / purposes.size()).isGreaterThan(0.6);
    }

    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void joinedWiresServeOnePurpose(String name) {
        var demo = DemoJobs.find(name).orElseThrow().design();
        var purposes = Purposes.of(demo);
        Map<Object, Purpose> byTerminal = new HashMap<>();
        for (var wire : demo.wires()) {
            for (var end : wire.terminals()) {
                var before = byTerminal.putIfAbsent(end, purposes.get(wire.id()));
                assertThat(before == null || before == purposes.get(wire.id()))
                        .as("%s at %s", wire.number(), end)
                        .isTrue();
            }
        }
    }

    /** The preview of a remedy tells what making it then does. */
    @Test
    void aPreviewTellsWhatTheRemedyDoes() {
        var before = Assessment.of(design);
        for (var finding : Findings.of(before)) {
            for (var remedy : finding.remedies()) {
                var preview = Preview.of(before, remedy, Work.NONE);
                var after = Findings.of(Assessment.of(remedy.apply(design)));

                assertThat(after.size())
                        .as("%s of %s", remedy, finding)
                        .isEqualTo(
                                Findings.of(before).size()
                                        - preview.mended().size()
                                        + preview.brought().size());
                if (remedy instanceof WireEdit.Resize(var wire, _)) {
                    assertThat(preview.changed())
                            .singleElement()
                            .satisfies(changed -> assertThat(changed.id()).isEqualTo(wire));
                }
            }
        }
        assertThat(Findings.of(before)).anyMatch(Finding.GuardLargerThanWire.class::isInstance);
    }
}
