package aficion.check.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.catalogue.Housings;
import aficion.catalogue.Housings.Housing;
import aficion.catalogue.Zone;
import aficion.check.finding.ConnectorFinding.CavityDoesNotTake;
import aficion.check.finding.ConnectorFinding.EmptyCavity;
import aficion.check.finding.ConnectorFinding.OpenInWet;
import aficion.check.finding.ConnectorFinding.TooFewCavities;
import aficion.check.finding.ConnectorFinding.WrongGender;
import aficion.check.finding.Finding;
import aficion.diagram.Mark;
import aficion.forming.Face;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.JoinKind.Connector;
import aficion.job.JoinKind.Half;
import aficion.job.JoinKind.Housed;
import aficion.job.Kind;
import aficion.job.PartId;
import aficion.job.Termination;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A connector of three ways, of which two lead to lamps. */
class ConnectorRuleTest {
    private static final PartId X1 = new PartId("X1");

    private static Design design(List<String> ways, Optional<Housed> housed) {
        var builder =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .part("X1", new Connector(ways, new Amps(20), housed));
        for (int i = 1; i <= 2; i++) {
            builder.lamp("H" + i, 5)
                    .wire("F1.2", "X1." + i + "a", "1mm2", 1)
                    .wire("X1." + i + "b", "H" + i + ".58", "1mm2", 1);
        }
        return builder.build();
    }

    private static Connector connector(Design design) {
        return (Connector) design.part(X1).kind();
    }

    /** Housed, with the right terminals on every wire. */
    private static Design housed(String body, boolean blanked) {
        return new PartEdit.House(X1, Optional.of(new Housed(body, Half.A, blanked)))
                .apply(design(List.of("1", "2", "3"), Optional.empty()));
    }

    private static List<Finding> found(Design design) {
        return new ConnectorRule().check(Assessment.of(design)).toList();
    }

    private static Termination end(Design design, String pin) {
        var terminal = design.part(X1).terminal(pin);
        return design.wiresAt(terminal).getFirst().at(terminal).termination();
    }

    @Test
    void whatIsNotSaidIsNotJudged() {
        assertThat(found(design(List.of("1", "2"), Optional.empty()))).isEmpty();
    }

    @Test
    void aHouseTakesSocketsOnOneSideAndPinsOnTheOther() {
        var design = housed("flat-3", false);

        assertThat(end(design, "1a")).isEqualTo(new Termination("blade-6-3"));
        assertThat(end(design, "2b")).isEqualTo(new Termination("tab-6-3"));
        assertThat(found(design)).isEmpty();
        assertThatIllegalArgumentException().isThrownBy(() -> new Housed("flat-99", Half.A, false));
    }

    @Test
    void aTerminalOfTheOtherHalfIsFoundAndCrimpedRight() {
        var right = housed("flat-3", false);
        var terminal = right.part(X1).terminal("1a");
        var wire = right.wiresAt(terminal).getFirst();
        var wrong =
                new WireEdit.Crimp(wire.id(), terminal, new Termination("tab-6-3")).apply(right);

        assertThat(found(wrong))
                .singleElement()
                .isInstanceOfSatisfying(
                        WrongGender.class,
                        finding ->
                                assertThat(finding.remedies().getFirst().apply(wrong))
                                        .isEqualTo(right));
        var other = new WireEdit.Crimp(wire.id(), terminal, new Termination("pin")).apply(right);
        assertThat(found(other)).singleElement().isInstanceOf(CavityDoesNotTake.class);
    }

    @Test
    void moreWaysThanCavitiesNeedALargerBody() {
        var design = housed("flat-2", false);

        assertThat(found(design))
                .singleElement()
                .isInstanceOfSatisfying(
                        TooFewCavities.class,
                        finding -> {
                            assertThat(finding.ways()).isEqualTo(3);
                            assertThat(finding.cavities()).isEqualTo(2);
                            assertThat(found(finding.remedies().getFirst().apply(design)))
                                    .isEmpty();
                        });
    }

    /** Its remedy is a sealed body with its empty cavities plugged. */
    @Test
    void anOpenBodyInTheWetIsFound() {
        var wet = new PartEdit.Place(X1, Zone.FRONT).apply(housed("flat-3", false));

        assertThat(found(wet))
                .singleElement()
                .isInstanceOfSatisfying(
                        OpenInWet.class,
                        finding ->
                                assertThat(found(finding.remedies().getFirst().apply(wet)))
                                        .isEmpty());
    }

    /** Three cavities a half, two wires on either side: two stay open. */
    @Test
    void aSealedBodyIsPluggedWhereNoWireIs() {
        var open = housed("sealed-3", false);

        assertThat(found(open))
                .singleElement()
                .isInstanceOfSatisfying(
                        EmptyCavity.class,
                        finding -> {
                            assertThat(finding.cavities()).isEqualTo(2);
                            assertThat(found(finding.remedies().getFirst().apply(open))).isEmpty();
                        });
        assertThat(found(housed("sealed-3", true))).isEmpty();
    }

    /** A way carries as rated, and no more than its body lets it. */
    @Test
    void aBodyLimitsItsWays() {
        Kind bare = connector(design(List.of("1", "2"), Optional.empty()));
        Kind small = connector(housed("small-flat-4", false));

        assertThat(bare.passes().getFirst().rating()).contains(new Amps(20));
        assertThat(small.passes().getFirst().rating()).contains(new Amps(7));
    }

    /** Sockets count from left to right, pins from right to left, as both are seen from behind. */
    @Test
    void aFaceIsSeenFromTheWireSide() {
        var design = housed("flat-4", true);
        var sockets = Face.of(design, design.part(X1), Half.A).orElseThrow();
        var pins = Face.of(design, design.part(X1), Half.B).orElseThrow();

        assertThat(sockets.sockets()).isTrue();
        assertThat(sockets.cavities()).extracting(Face.Cavity::number).containsExactly(1, 2, 3, 4);
        assertThat(pins.cavities()).extracting(Face.Cavity::number).containsExactly(2, 1, 4, 3);
        assertThat(sockets.cavities().get(0).wires()).hasSize(1);
        assertThat(sockets.cavities().get(2).plugged()).isTrue();
        assertThat(sockets.cavities().get(3).way()).isEmpty();
        var marks = sockets.marks(Optional.of("1a"));
        assertThat(marks)
                .filteredOn(mark -> mark.pen().colour().isPresent())
                .hasSize(2)
                .allSatisfy(mark ->
                        assertThat(mark.pen().colour()).isNotEqualTo(Optional.of(Colour.PINK)));
        assertThat(marks.stream().filter(Mark.Word.class::isInstance)).hasSize(4 + 2);
        assertThat(sockets.wide()).isCloseTo(2 * 46 + 16, within(1e-9));
        assertThat(Face.of(design, design.part(new PartId("F1")), Half.A)).isEmpty();
    }

    @Test
    void theLeastBodyIsTaken() {
        assertThat(Housings.least(3, Housing::sealed).orElseThrow().key()).isEqualTo("sealed-3");
        assertThat(Housings.least(99, Housing::sealed)).isEmpty();
    }
}
