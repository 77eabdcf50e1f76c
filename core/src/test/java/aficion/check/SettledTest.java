package aficion.check;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Unguarded;
import aficion.job.WireId;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a change brings is mended, round after round, and nothing else is touched. */
class SettledTest {
    private static DesignBuilder car() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 10)
                .fuse("F2", 5)
                .onOff("S1", "heater", 40)
                .onOff("S2", "panel", 5)
                .load("X1", 4)
                .lamp("H1", 5)
                .wire("B1.+", "F1.1", "1.5mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.1", "F2.1", "1.5mm2", 0.1)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "X1.+", "1mm2", 1)
                .wire("F2.2", "S2.1", "1mm2", 1)
                .wire("S2.2", "H1.58", "1mm2", 1);
    }

    private static Design heated(Design design, double amps) {
        var kind = new LoadKind.Load(new Demand.InAmps(new Amps(amps)), new Volts(12));
        return new PartEdit.Refit(new PartId("X1"), kind).apply(design);
    }

    private static List<Finding> toMend(Design design) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(finding -> finding.severity().compareTo(Severity.ADVISE) <= 0)
                .toList();
    }

    private static Set<Object> about(List<Finding> findings) {
        return findings.stream().map(Finding::about).collect(Collectors.toSet());
    }

    /** A heavier heater opens its fuse; a larger fuse wants thicker wires; then all is well. */
    @ParameterizedTest
    @ValueSource(doubles = {9, 14, 20, 28})
    void aHeavierLoadIsFollowedByItsFuseAndItsWires(double amps) {
        var before = car().build();
        var changed = heated(before, amps);
        assertThat(about(toMend(changed))).isNotEqualTo(about(toMend(before)));

        var settled = Settled.of(before, changed);

        assertThat(settled.left()).isEmpty();
        assertThat(settled.done()).isNotEmpty();
        assertThat(about(toMend(before))).containsAll(about(toMend(settled.design())));
        var replayed = changed;
        for (var mended : settled.done()) {
            replayed = mended.remedy().apply(replayed);
        }
        assertThat(replayed).isEqualTo(settled.design());
        assertThat(settled.design().part(new PartId("X1")))
                .isEqualTo(changed.part(new PartId("X1")));
        assertThat(settled.design().wire(new WireId("w7")))
                .isEqualTo(before.wire(new WireId("w7")));
    }

    @Test
    void whatBringsNothingIsLeftAsItIs() {
        var before = car().build();
        var settled = Settled.of(before, heated(before, 4.2));

        assertThat(settled.done()).isEmpty();
        assertThat(settled.left()).isEmpty();
        assertThat(settled.design()).isEqualTo(heated(before, 4.2));
    }

    /** What was found before stays as it was found: it is no business of the change. */
    @Test
    void whatWasFoundBeforeStays() {
        var before = car().load("X2", 30).wire("F2.2", "X2.+", "0.5mm2", 1).build();
        var settled = Settled.of(before, heated(before, 4.2));

        assertThat(toMend(before)).isNotEmpty();
        assertThat(settled.done()).isEmpty();
        assertThat(settled.left()).isEmpty();
        assertThat(about(toMend(settled.design()))).isEqualTo(about(toMend(before)));
    }

    /** A lamp whose feed is taken away has no remedy: it is named, and left. */
    @Test
    void whatCannotBeMendedIsNamed() {
        var before = car().build();
        var cut = new WireEdit.RemoveWire(new WireId("w7")).apply(before);
        var settled = Settled.of(before, cut);

        assertThat(settled.left()).isNotEmpty();
        assertThat(settled.done()).isEmpty();
        assertThat(settled.design()).isEqualTo(cut);
    }
}
