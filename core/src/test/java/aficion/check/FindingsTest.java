package aficion.check;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Unguarded;
import aficion.job.WireId;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class FindingsTest {

    /** All but the notes. */
    private static List<Finding> findings(Design design) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .toList();
    }

    private static <F extends Finding> F only(Design design, Class<F> kind) {
        var found = findings(design).stream().filter(kind::isInstance).toList();
        assertThat(found).hasSize(1);
        return kind.cast(found.getFirst());
    }

    /** A finding's first remedy, once applied, must take the finding away. */
    private static void assertMended(Design design, Finding finding) {
        var mended = finding.remedies().getFirst().apply(design);
        assertThat(findings(mended))
                .noneMatch(found ->
                        found.rule().equals(finding.rule())
                                && found.subject().equals(finding.subject()));
    }

    /** A fused, sound circuit: 8 A over 2.5 mm² behind 15 A. */
    private static DesignBuilder sound() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 15)
                .onOff("S1", "x", 20)
                .load("X1", 8)
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "S1.1", "2.5mm2", 1)
                .wire("S1.2", "X1.+", "2.5mm2", 2);
    }

    @Test
    void aSoundCircuitHasNoFindings() {
        assertThat(findings(sound().build())).isEmpty();
    }

    @Test
    void anEmptyJobHasNoFindings() {
        assertThat(findings(new DesignBuilder(12).build())).isEmpty();
    }

    @Test
    void aWireThatGetsTooHotIsFoundAndMended() {
        var design = sound().load("X2", 20).wire("F1.2", "X2.+", "0.5mm2", 0.3).build();
        var changed = new PartEdit.FitFuse(new PartId("F1"), "", new Amps(40)).apply(design);

        var found = only(changed, Finding.WireTooThinByHeat.class);

        assertThat(found.wire()).isEqualTo(new WireId("w5"));
        assertThat(found.severity()).isEqualTo(Severity.DANGER);
        assertThat(found.carried().value()).isGreaterThan(found.limit().value());
        assertMended(changed, found);
    }

    @Test
    void aWireThatLosesTooMuchIsFoundAndMended() {
        var design = sound().load("X2", 3).wire("S1.2", "X2.+", "0.5mm2", 14).build();

        var found = only(design, Finding.WireTooThinByDrop.class);

        assertThat(found.lost().value()).isGreaterThan(found.limit().value());
        assertThat(found.severity()).isEqualTo(Severity.FIX);
        assertMended(design, found);
    }

    @Test
    void aFuseLargerThanItsWireIsFoundAndMended() {
        var design = sound().lamp("H1", 5).wire("S1.2", "H1.58", "0.5mm2", 1).build();

        var found = only(design, Finding.GuardLargerThanWire.class);

        assertThat(found.fuse()).hasToString("F1");
        assertThat(found.passes()).isEqualTo(new Amps(15));
        assertThat(found.remedies()).allMatch(edit -> edit instanceof WireEdit.Resize);
        assertMended(design, found);
    }

    @Test
    void aSmallerFuseIsOfferedFirstWhereTheLoadAllowsIt() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 15)
                        .lamp("H1", 5)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "H1.58", "0.5mm2", 1)
                        .build();

        var found = only(design, Finding.GuardLargerThanWire.class);

        assertThat(found.remedies().getFirst())
                .isEqualTo(new PartEdit.FitFuse(new PartId("F1"), "", new Amps(10)));
        assertMended(design, found);
    }

    @Test
    void anUnguardedLeadIsFoundAndGivenAFuse() {
        var design =
                DesignBuilder.twelveVolts().load("X1", 2).wire("B1.+", "X1.+", "1mm2", 2).build();

        var found = only(design, Finding.LeadWithoutGuard.class);

        assertThat(found.severity()).isEqualTo(Severity.DANGER);
        assertThat(found.remedies().getFirst()).isInstanceOf(PartEdit.InsertPart.class);
        assertMended(design, found);
        assertThat(findings(found.remedies().getFirst().apply(design))).isEmpty();
    }

    /** Written from the load to the source, it is still cut where the source is. */
    @Test
    void theFuseGoesWhereTheSourceIsWhicheverEndIsWrittenFirst() {
        var design =
                DesignBuilder.twelveVolts()
                        .load("X1", 2)
                        .part("J1", new JoinKind.Splice())
                        .wire("X1.+", "J1.J", "1mm2", 2)
                        .wire("J1.J", "B1.+", "1mm2", 1)
                        .build();

        var found = only(design, Finding.LeadWithoutGuard.class);
        var mended = found.remedies().getFirst().apply(design);

        assertThat(found.wire()).isEqualTo(new WireId("w3"));
        assertThat(mended.wire(new WireId("w3")).to().terminal()).hasToString("F1.2");
        assertMended(design, found);
        assertThat(findings(mended)).isEmpty();
    }

    @Test
    void aLeadThatIsStatedUnguardedIsLeftAlone() {
        var design =
                DesignBuilder.twelveVolts()
                        .load("X1", 2)
                        .wire("B1.+", "X1.+", "1mm2", 0.25)
                        .stated(Unguarded.SHORT_AND_SLEEVED)
                        .build();

        assertThat(findings(design)).isEmpty();
    }

    @Test
    void onlyTheFirstOfUnguardedLeadsInARowIsNamed() {
        var design =
                DesignBuilder.twelveVolts()
                        .part("J1", new JoinKind.Splice())
                        .load("X1", 2)
                        .wire("B1.+", "J1.J", "1mm2", 2)
                        .wire("J1.J", "X1.+", "1mm2", 2)
                        .build();

        assertThat(only(design, Finding.LeadWithoutGuard.class).wire()).isEqualTo(new WireId("w2"));
    }

    /**
     * 8 A are 80 % of 10; a 10 A fuse with 8.4 A steady is overloaded, and 15 A still guards 2.5
     * mm².
     */
    @Test
    void aFuseNearItsLimitIsFoundAndMended() {
        var design =
                new PartEdit.FitFuse(new PartId("F1"), "", new Amps(10)).apply(sound().build());

        var found = only(design, Finding.FuseOverloaded.class);

        assertThat(found.carried().value()).isBetween(8.0, 8.6);
        assertThat(found.remedies().getFirst())
                .isEqualTo(new PartEdit.FitFuse(new PartId("F1"), "", new Amps(15)));
        assertMended(design, found);
    }

    private static Design overloadedSwitch() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 15)
                .onOff("S1", "lights", 6)
                .load("X1", 8)
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "S1.1", "2.5mm2", 1)
                .wire("S1.2", "X1.+", "2.5mm2", 2)
                .build();
    }

    @Test
    void anOverloadedSwitchIsFoundAndGivenARelay() {
        var design = overloadedSwitch();
        var found = only(design, Finding.ContactOverloaded.class);

        assertThat(found.contact()).isEqualTo("1-2");
        assertThat(found.rating()).isEqualTo(new Amps(6));
        assertMended(design, found);
        var mended = found.remedies().getFirst().apply(design);
        assertThat(mended.part(new PartId("K1")).kind()).isInstanceOf(ControlKind.Relay.class);
        assertThat(mended.wiresAt(mended.part(new PartId("K1")).terminal("87")))
                .extracting(wire -> wire.number())
                .containsExactly("4");
    }

    @Test
    void anOverloadedRelayContactIsFound() {
        var design =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 25)
                        .onOff("S1", "fan", 5)
                        .part(
                                "K1",
                                new ControlKind.Relay(
                                        new Volts(12),
                                        new Ohms(85),
                                        new Ratio(0.65),
                                        new Ratio(0.2),
                                        new Amps(10),
                                        Optional.empty()))
                        .load("X1", 15)
                        .wire("B1.+", "F1.1", "4mm2", 0.15)
                        .stated(Unguarded.WITHIN_REACH)
                        .wire("F1.2", "K1.30", "4mm2", 1)
                        .wire("F1.2", "S1.1", "4mm2", 1)
                        .wire("S1.2", "K1.86", "4mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .wire("K1.87", "X1.+", "4mm2", 1)
                        .build();

        var found = only(design, Finding.ContactOverloaded.class);

        assertThat(found.part()).isEqualTo(new PartId("K1"));
        assertThat(found.remedies()).isEmpty();
    }

    @Test
    void aCaseThatIsNotEarthedIsFoundAndMended() {
        var design =
                sound().part("R1", new JoinKind.Sender("fuel", new Ohms(240), new Ohms(33)))
                        .part("P1", new LoadKind.Gauge(new Ohms(60), new Amps(0.1)))
                        .wire("S1.2", "P1.B", "2.5mm2", 1)
                        .wire("P1.T", "R1.T", "0.75mm2", 3)
                        .build();

        var found = only(design, Finding.TerminalUnconnected.class);

        assertThat(found.terminal()).hasToString("R1.31");
        assertThat(found.remedies().getFirst())
                .isEqualTo(new PartEdit.Mount(new PartId("R1"), new PartId("E1")));
        assertMended(design, found);
        assertThat(findings(design)).noneMatch(Finding.NoWayBack.class::isInstance);
    }

    @Test
    void spareWaysAndContactsMayStayOpen() {
        var design =
                sound().part(
                                "FB1",
                                new GuardKind.FuseBox(
                                        List.of(
                                                new GuardKind.Way(
                                                        "1",
                                                        aficion.catalogue.FuseType.BLADE,
                                                        new Amps(10)))))
                        .build();

        assertThat(findings(design)).isEmpty();
    }

    @Test
    void aSwitchWithOneWireOnlyIsFound() {
        var design = sound().onOff("S2", "lost", 5).wire("S1.2", "S2.1", "2.5mm2", 1).build();

        assertThat(only(design, Finding.TerminalUnconnected.class).terminal()).hasToString("S2.2");
    }

    @Test
    void aPartOnAnIslandHasNoWayBack() {
        var design =
                sound().part(
                                "L1",
                                new LoadKind.WarningLamp(
                                        new aficion.quantity.Watts(2.2), new Volts(13.5)))
                        .part("R1", new JoinKind.Resistor(new Ohms(10)))
                        .wire("L1.1", "R1.1", "0.75mm2", 1)
                        .wire("R1.2", "L1.2", "0.75mm2", 1)
                        .build();

        var found = only(design, Finding.NoWayBack.class);

        assertThat(found.part()).isEqualTo(new PartId("L1"));
        assertThat(found.remedies()).isEmpty();
    }

    @Test
    void twoWiresWithOneLabelAreFoundAndMended() {
        var design = new WireEdit.Renumber(new WireId("w4"), "2").apply(sound().build());

        var found = only(design, Finding.SameLabel.class);

        assertThat(found.number()).isEqualTo("2");
        assertThat(found.wire()).isEqualTo(new WireId("w4"));
        assertThat(found.other()).isEqualTo(new WireId("w2"));
        assertThat(found.remedies().getFirst())
                .isEqualTo(new WireEdit.Renumber(new WireId("w4"), "1.01"));
        assertMended(design, found);
    }

    @Test
    void aChatteringRelayIsADanger() {
        var design =
                sound().part(
                                "K1",
                                new ControlKind.Relay(
                                        new Volts(12),
                                        new Ohms(85),
                                        new Ratio(0.6),
                                        new Ratio(0.2),
                                        new Amps(30),
                                        Optional.of(new Amps(20))))
                        .wire("S1.2", "K1.30", "2.5mm2", 1)
                        .wire("K1.87a", "K1.86", "2.5mm2", 1)
                        .wire("K1.85", "E1.E", "1mm2", 1)
                        .build();

        var found = only(design, Finding.RelaysChatter.class);

        assertThat(found.relay()).isEqualTo(new PartId("K1"));
        assertThat(found.severity()).isEqualTo(Severity.DANGER);
    }

    @Test
    void theWorstFindingsComeFirst() {
        var design =
                new WireEdit.Renumber(new WireId("w4"), "2")
                        .apply(sound().lamp("H1", 5).wire("B1.+", "H1.58", "0.5mm2", 1).build());

        assertThat(findings(design)).extracting(Finding::severity).isSorted();
        assertThat(findings(design))
                .extracting(Finding::rule)
                .containsExactly("LeadWithoutGuard", "SameLabel", "DrawsAtRest");
        assertThat(findings(design).getFirst().subject().circuits(design))
                .containsExactly(new aficion.job.CircuitId("1"));
    }
}
