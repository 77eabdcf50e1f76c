package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.catalogue.WireSize;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.SourceFinding;
import aficion.job.AnyJob;
import aficion.job.CircuitId;
import aficion.job.Colouring;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What findings say of themselves, what of them stands, and what an edit would do to them. */
class JudgedTest {
    /** A wire too thick for its blade, and one too thick for another. */
    private static DesignBuilder tight(int wires) {
        var builder = DesignBuilder.twelveVolts().fuse("F1", 5).wire("B1.+", "F1.1", "1mm2", 0.2);
        for (int i = 1; i <= wires; i++) {
            builder.load("X" + i, 1)
                    .wire("F1.2", "X" + i + ".+", "4mm2", 1)
                    .ends("ring-m8", "blade-2-8");
        }
        return builder;
    }

    private static List<Finding> findings(Design design) {
        return Findings.of(Assessment.of(design));
    }

    /** Of what is thrown together at random one finds no rest: that is said, of a source. */
    @Test
    void whatCannotBeWorkedOutIsSaid() {
        var assessment = Assessment.of(AnyJob.of(377));
        var unknown =
                Findings.of(assessment).stream()
                        .filter(PathFinding.StateUnknown.class::isInstance)
                        .map(PathFinding.StateUnknown.class::cast)
                        .toList();

        assertThat(unknown).hasSize(1);
        assertThat(unknown.getFirst().part()).isEqualTo(new PartId("B1"));
        assertThat(assessment.answers().demand(unknown.getFirst().when()))
                .isInstanceOf(Outcome.Unsolvable.class);
    }

    @Test
    void whatStandsIsPartedFromTheRestUntilItsFiguresMove() {
        var design = tight(1).build();
        var small = only(tight(1), FitFinding.EndTooSmall.class);
        var work = Findings.accept(small, "it holds").apply(Work.NONE);
        var judged = Findings.judged(findings(design), work);

        assertThat(judged.standing())
                .singleElement()
                .satisfies(standing -> {
                    assertThat(standing.finding()).isEqualTo(small);
                    assertThat(standing.acceptance().reason()).isEqualTo("it holds");
                });
        assertThat(judged.open()).doesNotContain(small).hasSize(findings(design).size() - 1);
        assertThat(Findings.accepted(work, small)).isPresent();
        var thicker = new WireEdit.Resize(new WireId("w3"), sized("6mm2")).apply(design);
        var again = Findings.judged(findings(thicker), work);
        assertThat(again.standing()).isEmpty();
        assertThat(again.open()).hasAtLeastOneElementOfType(FitFinding.EndTooSmall.class);
        var other = only(ringed(), FitFinding.RingDoesNotFit.class);
        assertThat(Findings.accepted(work, other)).isEmpty();
    }

    private static WireSize sized(String size) {
        return WireSize.parse(size).orElseThrow();
    }

    private static DesignBuilder ringed() {
        return DesignBuilder.twelveVolts()
                .mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .wire("B1.+", "M1.30", "10mm2", 1)
                .ends("post-clamp", "ring-m6");
    }

    /** Copper and what the end takes are its figures; remedies and states are none. */
    @Test
    void aFindingTellsAllButItsRemedies() {
        var small = only(tight(1), FitFinding.EndTooSmall.class);
        assertThat(small.key()).isEqualTo("end-too-small");
        assertThat(small.rule()).isEqualTo("EndTooSmall");
        assertThat(small.figures())
                .hasSize(2)
                .satisfies(each -> {
                    assertThat(each.getFirst()).isCloseTo(4, within(0.3));
                    assertThat(each.getLast()).isEqualTo(1);
                });
        assertThat(small.told())
                .startsWith(new WireId("w3"))
                .doesNotContain(small.remedies())
                .hasSize(5);
        var over =
                new PathFinding.StateUnknown(
                        new PartId("B1"), Conditions.REST.withEngine(OperatingStates.ROAD));
        assertThat(over.figures()).isEmpty();
    }

    /** One cause with one remedy, in several places, stands as one; what has none by itself. */
    @Test
    void findingsOfOneRemedyStandTogether() {
        var design = tight(2).build();
        var small = found(design, FitFinding.EndTooSmall.class);
        var alike = List.<Finding>of(small.getFirst(), small.getFirst(), small.getLast());
        var bare = new SourceFinding.SenseMissing(new PartId("G1"));

        assertThat(small).hasSize(2);
        assertThat(Findings.grouped(alike))
                .extracting(group -> group.findings().size())
                .containsExactly(2, 1);
        assertThat(
                        Findings.grouped(
                                List.of(bare, new SourceFinding.SenseMissing(new PartId("G2")))))
                .hasSize(2);
        assertThat(Findings.grouped(alike).getLast().first()).isEqualTo(small.getLast());
    }

    @Test
    void aFindingIsAtAPlaceAndOfCircuits() {
        var design = tight(1).load("X9", 1).build();
        var wire = only(tight(1), FitFinding.EndTooSmall.class).subject();
        var part = new SourceFinding.SenseMissing(new PartId("B1")).subject();
        var terminal =
                new Finding.TerminalUnconnected(new Terminal(new PartId("X9"), "+"), List.of())
                        .subject();

        assertThat(wire.place()).isEqualTo("w3");
        assertThat(part.place()).isEqualTo("B1");
        assertThat(terminal.place()).isEqualTo("X9.+");
        assertThat(wire.circuits(design)).containsExactly(new CircuitId("1"));
        assertThat(part.circuits(design)).containsExactly(new CircuitId("1"));
        assertThat(terminal.circuits(design)).isEmpty();
    }

    /** A wider blade mends; a load of 40 A brings what it burns; what stands is not told. */
    @Test
    void aPreviewTellsWhatWouldBe() {
        var before = Assessment.of(tight(1).build());
        var small = only(tight(1), FitFinding.EndTooSmall.class);
        var mended = Preview.of(before, small.remedies().getFirst(), Work.NONE);
        assertThat(mended.mended()).containsExactly(small);
        assertThat(mended.brought()).isEmpty();
        assertThat(mended.changed()).extracting(each -> each.id().value()).containsExactly("w3");
        assertThat(mended.parts()).isZero();

        var heavy = new LoadKind.Load(new Demand.InAmps(new Amps(40)), new Volts(12));
        var worse = Preview.of(before, new PartEdit.Refit(new PartId("X1"), heavy), Work.NONE);
        assertThat(worse.brought()).isNotEmpty().doesNotContain(small);
        assertThat(worse.mended()).isEmpty();
        assertThat(worse.changed()).isEmpty();
        var gone = Preview.of(before, new PartEdit.RemovePart(new PartId("X1")), Work.NONE);
        assertThat(gone.parts()).isEqualTo(-1);
        var work = Findings.accept(small, "it holds").apply(Work.NONE);
        assertThat(Preview.of(before, small.remedies().getFirst(), work).mended()).isEmpty();
    }

    private static DesignBuilder coloured(Colouring colouring, WireColour wears) {
        return DesignBuilder.twelveVolts()
                .coloured(WireColour.plain(Colour.BLACK))
                .rules(HouseRules.USUAL.withColours(colouring))
                .fuse("F1", 5)
                .load("X1", 2)
                .wire("B1.+", "F1.1", "1mm2", 0.2)
                .coloured(wears)
                .wire("F1.2", "X1.+", "1mm2", 1)
                .coloured(wears);
    }

    /** Bands tell wires of one reel apart: their colour under the bands is all that is asked. */
    @Test
    void whatAWireWearsIsHeldAgainstTheScheme() {
        var other = Finding.ColourNotOfScheme.class;
        var banded = new Colouring.Banded(Colour.WHITE);
        var red = WireColour.plain(Colour.RED);
        var found = found(coloured(banded, red), other);
        assertThat(found)
                .isNotEmpty()
                .allSatisfy(each -> {
                    assertThat(each.wears()).isIn(red, WireColour.plain(Colour.BLACK));
                    assertThat(each.wanted().base()).isEqualTo(Colour.WHITE);
                });
        var mended = coloured(banded, red).build();
        for (var each : found) {
            mended = each.remedies().getFirst().apply(mended);
        }
        assertThat(found(mended, other)).isEmpty();
        none(tight(1), other);
    }
}
