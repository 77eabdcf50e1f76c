package aficion.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Holes;
import aficion.diagram.Mark;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.job.Cap;
import aficion.job.Damper;
import aficion.job.Panel;
import aficion.job.Panel.Hole;
import aficion.job.Pickup;
import aficion.plot.CapPicture;
import aficion.plot.FullSize;
import aficion.plot.Plot;
import aficion.plot.Plot.At;
import aficion.plot.Plot.Axis;
import aficion.plot.Plot.Curve;
import aficion.plot.Plot.Ground;
import aficion.quantity.Metres;
import aficion.quantity.Ratio;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Shapes that hands mark out, and plots, by hand. */
class ShapeTest {
    /** Four marks on 60 mm: 42.4 mm apart; the third is struck backwards from the first. */
    @Test
    void marksAreSetOutBothWaysFromTheFirst() {
        var chords = Chords.of(new Metres(0.06), 4);

        assertThat(chords.step().value()).isCloseTo(0.0424, within(0.00005));
        assertThat(chords.marks()).extracting(Chords.Mark::place).containsExactly(0, 1, 3, 2);
        assertThat(chords.marks().get(2).from()).isZero();
        assertThat(chords.marks().get(2).back()).isTrue();
        assertThatThrownBy(() -> Chords.of(new Metres(0.06), 1)).hasMessageContaining("two");
    }

    /** However many: each mark is there once, a step from one that is struck before it. */
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 5, 6, 7, 12, 23})
    void everyMarkIsAStepFromOneThatIsThere(int count) {
        var marks = Chords.of(new Metres(0.1), count).marks();

        assertThat(marks).hasSize(count).extracting(Chords.Mark::place).doesNotHaveDuplicates();
        for (int i = 1; i < count; i++) {
            var mark = marks.get(i);
            assertThat(marks.subList(0, i)).extracting(Chords.Mark::place).contains(mark.from());
            assertThat(Math.floorMod(mark.place() - mark.from(), count)).isIn(1, count - 1);
        }
    }

    /** Four magnets, 3.9 to 1, 620 mm: 4·3.9/(π·0.62) = 8.01 a metre, 111.2 a second at 50. */
    @Test
    void aSensorPulsesByWheelAxleAndMarks() {
        var pickup = new Pickup(new Metres(0.06), 4, new Metres(0.62), new Ratio(3.9));

        assertThat(Pulses.metre(pickup)).isCloseTo(8.009, within(0.001));
        assertThat(Pulses.second(pickup, 50)).isCloseTo(111.2, within(0.1));
        assertThat(Pulses.fromJoint(pickup)).isEqualTo(new Metres(0.06));
        assertThatThrownBy(() -> new Pickup(new Metres(0.06), 0, new Metres(0.62), new Ratio(1)))
                .hasMessageContaining("marks");
    }

    /**
     * 170 mm and 12°: the mark lies 17.8 mm from the middle, 35.6 half millimetres; to the right
     * where the rim moves to the right, which it does where it turns clockwise: there it passes the
     * pointer before dead centre does.
     */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aTapeCarriesItsMarksAtFullSize(boolean clockwise) {
        var tape = FullSize.tape(new Damper(new Metres(0.17), List.of(12.0), clockwise));
        var ticks =
                lines(tape.marks())
                        .filter(line -> line.pen().ink() == Ink.LINE)
                        .map(line -> line.points().getFirst().x())
                        .toList();
        var arrow =
                lines(tape.marks())
                        .filter(line -> line.pen().ink() == Ink.EARTH)
                        .findFirst()
                        .orElseThrow()
                        .points();

        assertThat(ticks).hasSize(2);
        double ahead = clockwise ? 1 : -1;
        assertThat(ahead * (ticks.getLast() - ticks.getFirst())).isCloseTo(35.6, within(0.05));
        assertThat(ahead * (arrow.getLast().x() - arrow.getFirst().x())).isPositive();
        // once round is 534.07 mm
        assertThat(tape.wide()).isBetween(1068.0, 1125.0);
        assertThatThrownBy(() -> new Damper(new Metres(0.17), List.of(200.0), true))
                .hasMessageContaining("180");
    }

    private static Stream<Mark.Line> lines(List<Mark> marks) {
        return marks.stream().filter(Mark.Line.class::isInstance).map(Mark.Line.class::cast);
    }

    private static Hole hole(String name, double x, double y, double diameter) {
        return new Hole(name, new Metres(x), new Metres(y), new Metres(diameter));
    }

    @Test
    void aPanelHoldsItsHolesAndNoneBeside() {
        var panel =
                new Panel("dash", new Metres(0.3), new Metres(0.1), List.of())
                        .with(hole("horn", 0.05, 0.02, 0.016))
                        .with(hole("lamp", 0.1, 0.05, 0.008));
        var rings =
                FullSize.panel(panel).marks().stream()
                        .filter(Mark.Ring.class::isInstance)
                        .map(Mark.Ring.class::cast)
                        .toList();

        assertThat(rings).hasSize(2);
        // y is counted from below: 100 − 20 = 80 mm down, in half millimetres
        assertThat(rings.getFirst().at().y()).isCloseTo(160, within(1e-9));
        assertThat(rings.getFirst().radius()).isCloseTo(16, within(1e-9));
        assertThat(panel.with(hole("horn", 0.06, 0.02, 0.016)).holes()).hasSize(2);
        assertThat(panel.without(panel.holes().getFirst()).holes()).hasSize(1);
        assertThatThrownBy(() -> panel.with(hole("edge", 0.295, 0.05, 0.02)))
                .hasMessageContaining("not wholly on the panel");
        assertThatThrownBy(() -> new Panel("wide", new Metres(2), new Metres(0.1), List.of()))
                .hasMessageContaining("metre");
        assertThat(Holes.all())
                .filteredOn(each -> each.what().equals("m6"))
                .singleElement()
                .satisfies(m6 -> assertThat(m6.diameter().value()).isCloseTo(0.0066, within(1e-9)));
    }

    /** Each tower shows its cylinder; the rotor points to the first. */
    @Test
    void aCapIsDrawnAsItIsSeenFromAbove() {
        var cap = new Cap(List.of(1, 3, 4, 2), false, 1);
        var words =
                CapPicture.of(cap, 200, false).stream()
                        .filter(Mark.Word.class::isInstance)
                        .map(Mark.Word.class::cast)
                        .filter(word -> word.pen().ink() == Ink.TEXT)
                        .toList();

        assertThat(words)
                .extracting(word -> word.phrase().toString())
                .containsExactly(
                        "Plain[text=1]", "Plain[text=2]", "Plain[text=4]", "Plain[text=3]");
        // tower 1 on top, tower 2 to the right
        assertThat(words.getFirst().at().x()).isCloseTo(100, within(1e-6));
        assertThat(words.get(1).at().x()).isGreaterThan(150);
    }

    private static final Plot PLOT =
            new Plot(
                    new Axis("x", 0, 10),
                    Axis.holding("y", 9.5),
                    List.of(
                            new Ground(
                                    List.of(new At(0, 0), new At(10, 10)),
                                    List.of(new At(0, 10), new At(10, 0)))),
                    List.of(new Curve(List.of(new At(0, 0), new At(10, 10)), "up", Look.PLAIN)),
                    List.of(),
                    List.of());

    /** Where two curves cross, the ground is parted: bad before, good after. */
    @Test
    void theGroundIsPartedWhereCurvesCross() {
        var areas =
                PLOT.marks(400, 200).stream()
                        .filter(Mark.Area.class::isInstance)
                        .map(Mark.Area.class::cast)
                        .toList();

        assertThat(areas)
                .extracting(area -> area.pen().look())
                .containsExactly(Look.WRONG, Look.PLAIN);
        assertThat(areas.getFirst().points()).hasSize(3);
    }

    /** A place on the picture stands for a value within the axis, and back. */
    @Test
    void aPlaceAcrossIsAValueWithinTheAxis() {
        var curve =
                lines(PLOT.marks(400, 200))
                        .filter(line -> line.pen().ink() == Ink.CURVE)
                        .findFirst()
                        .orElseThrow();

        assertThat(PLOT.across(curve.points().getFirst().x(), 400)).isCloseTo(0, within(1e-9));
        assertThat(PLOT.across(curve.points().getLast().x(), 400)).isCloseTo(10, within(1e-9));
        assertThat(PLOT.across(-50, 400)).isZero();
        assertThat(PLOT.across(5000, 400)).isEqualTo(10);
        assertThat(Axis.holding("y", 9.5).to()).isGreaterThan(9.5);
        assertThatThrownBy(() -> new Axis("none", 1, 1)).hasMessageContaining("less to more");
    }

    /** Any size at all makes marks, and none of them lies nowhere. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 1, 30, 200, 2000})
    void aPlotOfAnySizeIsDrawn(double size) {
        assertThat(PLOT.marks(size, size))
                .isNotEmpty()
                .allSatisfy(mark -> {
                    if (mark instanceof Mark.Line line) {
                        assertThat(line.points())
                                .allMatch(at -> Double.isFinite(at.x()) && Double.isFinite(at.y()));
                    }
                });
    }
}
