package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.diagram.Diagram;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Layout;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.PartId;
import aficion.quantity.UserUnits;
import aficion.words.DrawingWords;
import java.util.HashSet;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every circuit of the demo is drawn cleanly, by itself. */
class RoadsterDrawingTest {
    private static final Design JOB = DemoJobs.find("roadster").orElseThrow().design();

    static Stream<CircuitId> circuits() {
        return JOB.circuits().stream().map(Circuit::id);
    }

    private static Diagram drawn(CircuitId circuit) {
        return Measures.drawn(JOB, circuit);
    }

    @ParameterizedTest
    @MethodSource("circuits")
    void noBodyStandsOnAnother(CircuitId circuit) {
        var bodies = drawn(circuit).bodies();
        for (var one : bodies) {
            for (var other : bodies) {
                assertThat(one != other && one.box().overlaps(other.box()))
                        .as("%s on %s", one.part(), other.part())
                        .isFalse();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("circuits")
    void everyWireIsDrawnAtRightAnglesAndNoneRunsThroughABody(CircuitId circuit) {
        var diagram = drawn(circuit);

        assertThat(diagram.strokes()).hasSameSizeAs(JOB.wiresOf(circuit));
        for (var stroke : diagram.strokes()) {
            for (var segment : Measures.segments(stroke)) {
                assertThat(segment.width() == 0 || segment.height() == 0).isTrue();
                for (var body : diagram.bodies()) {
                    var box = body.box();
                    var inner =
                            new Box(box.x() + 1, box.y() + 1, box.width() - 2, box.height() - 2);
                    var line =
                            new Box(
                                    segment.x(),
                                    segment.y(),
                                    Math.max(segment.width(), 0.1),
                                    Math.max(segment.height(), 0.1));
                    assertThat(box.width() > 0 && line.overlaps(inner))
                            .as("%s through %s", stroke.wire(), body.part())
                            .isFalse();
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("circuits")
    void noTwoStrokesLieOnEachOther(CircuitId circuit) {
        var taken = new HashSet<String>();
        for (var stroke : drawn(circuit).strokes()) {
            var own = new HashSet<String>();
            for (var segment : Measures.segments(stroke)) {
                for (double x = segment.x(); x < segment.right(); x += 12) {
                    own.add("level " + x + " " + segment.y());
                }
                for (double y = segment.y(); y < segment.bottom(); y += 12) {
                    own.add("upright " + segment.x() + " " + y);
                }
            }
            assertThat(own).as(stroke.wire().toString()).noneMatch(taken::contains);
            taken.addAll(own);
        }
    }

    @ParameterizedTest
    @MethodSource("circuits")
    void wordsDoNotStandOnWordsOrBodies(CircuitId circuit) {
        var diagram = drawn(circuit);
        var labels = diagram.labels();
        for (int i = 0; i < labels.size(); i++) {
            for (int j = i + 1; j < labels.size(); j++) {
                assertThat(labels.get(i).box().overlaps(labels.get(j).box()))
                        .as("%s on %s", labels.get(i).text(), labels.get(j).text())
                        .isFalse();
            }
            for (var body : diagram.bodies()) {
                boolean over =
                        !labels.get(i).backed()
                                && body.box().width() > 0
                                && labels.get(i).box().overlaps(body.box());
                assertThat(over).as("%s on %s", labels.get(i).text(), body.part()).isFalse();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("circuits")
    void theSameJobIsDrawnTheSame(CircuitId circuit) {
        assertThat(drawn(circuit)).isEqualTo(drawn(circuit));
    }

    @ParameterizedTest
    @MethodSource("circuits")
    void lanesRunFromSourceToReturn(CircuitId circuit) {
        var diagram = drawn(circuit);

        assertThat(diagram.bands())
                .extracting(Diagram.Band::lane)
                .isSorted()
                .doesNotHaveDuplicates();
        for (var body : diagram.bodies()) {
            assertThat(body.box().right()).isLessThanOrEqualTo(diagram.width());
            assertThat(body.box().bottom()).isLessThanOrEqualTo(diagram.height());
        }
    }

    @Test
    void relaysAreOneBodyWithAContactRowAndACoilRow() {
        var diagram = drawn(new CircuitId("5"));
        var relay =
                diagram.bodies().stream()
                        .filter(body -> body.part().value().equals("K1"))
                        .findFirst()
                        .orElseThrow();

        assertThat(relay.pin("30").orElseThrow().at().y())
                .isEqualTo(relay.pin("87").orElseThrow().at().y());
        assertThat(relay.pin("86").orElseThrow().at().y())
                .isEqualTo(relay.pin("85").orElseThrow().at().y());
        assertThat(relay.pin("30").orElseThrow().at().y())
                .isLessThan(relay.pin("86").orElseThrow().at().y());
    }

    @Test
    void earthReturnsAreFlagsAtTheirPart() {
        var diagram = drawn(new CircuitId("5"));

        assertThat(diagram.earths())
                .extracting(flag -> flag.pin().toString())
                .contains("H1.31", "H2.31", "K1.85", "K2.85");
        assertThat(diagram.bodies())
                .noneMatch(body -> JOB.part(body.part()).kind() instanceof JoinKind.EarthPoint);
    }

    @Test
    void aCircuitWithoutWiresIsAnEmptySheet() {
        var empty = JOB.withWires(List.of());

        var diagram =
                Layout.of(
                        empty,
                        new CircuitId("1"),
                        new DrawingWords(empty, UserUnits.METRIC, text -> 6.0 * text.length()));

        assertThat(diagram.bodies()).isEmpty();
        assertThat(diagram.strokes()).isEmpty();
    }

    /** Folded, a box is as high as its ways are many; its wires stay on their pins. */
    @Test
    void aFoldedFuseBoxIsLowerAndLosesNothing() {
        var box = new PartId("FB1");
        var open = drawn(new CircuitId("3"));
        var folded = Measures.folded(JOB, new CircuitId("3"), box);

        assertThat(height(folded, box)).isLessThan(height(open, box) / 2);
        assertThat(folded.strokes()).hasSameSizeAs(open.strokes());
        assertThat(Measures.overlaps(folded)).isLessThanOrEqualTo(1);
    }

    private static double height(Diagram diagram, PartId part) {
        return diagram.bodies().stream()
                .filter(body -> body.part().equals(part))
                .findFirst()
                .orElseThrow()
                .box()
                .height();
    }
}
