package aficion.diagram;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.diagram.Diagram.Body;
import aficion.diagram.Diagram.Box;
import aficion.diagram.Diagram.Point;
import aficion.diagram.Pen.Ink;
import aficion.diagram.Pen.Look;
import aficion.diagram.Phrase.Plain;
import aficion.diagram.Phrase.Said;
import aficion.diagram.Phrase.Saying;
import aficion.job.AnyJob;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a path looks like: whatever is in it, and as it stands. */
class PictureTest {
    private static final Conditions ON = Conditions.REST.with("lights", "on");

    private static Design relayLamp() {
        return DesignBuilder.twelveVolts()
                .fuse("F1", 15)
                .onOff("S1", "lights", 10)
                .relay("K1")
                .lamp("H1", 55)
                .wire("B1.+", "F1.1", "4mm2", 0.2)
                .wire("F1.2", "K1.30", "2mm2", 1)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "K1.86", "1mm2", 1)
                .wire("K1.87", "H1.58", "2mm2", 2)
                .wire("K1.85", "E1.E", "1mm2", 0.5)
                .build();
    }

    private static List<Mark> symbol(String part, Conditions state) {
        var design = relayLamp();
        var id = new PartId(part);
        return Picture.symbol(design.part(id), body(design, id), point(design, state), state);
    }

    private static Body body(Design design, PartId part) {
        return Layout.of(design, LayoutTest.CIRCUIT, LayoutTest.WORDS).bodies().stream()
                .filter(body -> body.part().equals(part))
                .findFirst()
                .orElseThrow();
    }

    private static Optional<OperatingPoint> point(Design design, Conditions state) {
        return new Solver(Netlist.of(design)).solve(state) instanceof Outcome.Solved(var point)
                ? Optional.of(point)
                : Optional.empty();
    }

    private static Stream<Phrase> words(List<Mark> marks) {
        return marks.stream()
                .filter(Mark.Word.class::isInstance)
                .map(mark -> ((Mark.Word) mark).phrase());
    }

    static Stream<Design> anything() {
        return LongStream.rangeClosed(1, 40).mapToObj(AnyJob::of);
    }

    /** Every stroke of a symbol stays at its body, words may stand under it. */
    @ParameterizedTest
    @MethodSource("anything")
    void aSymbolStaysAtItsBody(Design design) {
        for (var circuit : design.circuits()) {
            var diagram = Layout.of(design, circuit.id(), LayoutTest.WORDS);
            for (var body : diagram.bodies()) {
                var part = design.part(body.part());
                var marks = Picture.symbol(part, body, Optional.empty(), Conditions.REST);
                var room = body.box().grown(body.box().width() == 0 ? 20 : 12);
                assertThat(marks)
                        .as(part.toString())
                        .isNotEmpty()
                        .allSatisfy(mark ->
                                assertThat(points(mark))
                                        .allMatch(
                                                at -> isWithin(room, at), part.kind().toString()));
            }
        }
    }

    private static boolean isWithin(Box box, Point at) {
        return at.x() >= box.x()
                && at.x() <= box.right()
                && at.y() >= box.y()
                && at.y() <= box.bottom();
    }

    private static Stream<Point> points(Mark mark) {
        return switch (mark) {
            case Mark.Line(var points, _) -> points.stream();
            case Mark.Area(var points, _) -> points.stream();
            case Mark.Plate(var box, _, _) ->
                    Stream.of(new Point(box.x(), box.y()), new Point(box.right(), box.bottom()));
            case Mark.Ring(var at, var radius, _) ->
                    Stream.of(
                            new Point(at.x() - radius, at.y() - radius),
                            new Point(at.x() + radius, at.y() + radius));
            case Mark.Arch(var at, var across, var up, _) ->
                    Stream.of(
                            new Point(at.x() - across, at.y() - up),
                            new Point(at.x() + across, at.y()));
            case Mark.Word word -> Stream.of(word.at());
        };
    }

    /** Each wire with its edge and its colour along the same way, each label with its words. */
    @ParameterizedTest
    @MethodSource("anything")
    void nothingOfAPathIsLeftOut(Design design) {
        for (var circuit : design.circuits()) {
            var diagram = Layout.of(design, circuit.id(), LayoutTest.WORDS);
            var marks = Picture.of(design, diagram);
            for (var stroke : diagram.strokes()) {
                var colour = design.wire(stroke.wire()).colour();
                assertThat(marks)
                        .contains(
                                new Mark.Line(stroke.points(), Pen.of(Ink.CASE)),
                                new Mark.Line(stroke.points(), Pen.of(Ink.CORE, colour.base())));
                assertThat(
                                marks.stream()
                                        .map(Mark::pen)
                                        .map(Pen::ink)
                                        .toList()
                                        .contains(Ink.TRACER))
                        .isEqualTo(
                                diagram.strokes().stream()
                                        .anyMatch(each ->
                                                design.wire(each.wire())
                                                        .colour()
                                                        .tracer()
                                                        .isPresent()));
            }
            assertThat(words(marks).toList())
                    .containsAll(
                            diagram.labels().stream()
                                    .map(label -> (Phrase) new Plain(label.text()))
                                    .toList());
            long bars = marks.stream().filter(mark -> mark.pen().ink() == Ink.EARTH).count();
            assertThat(bars).isGreaterThanOrEqualTo(3L * diagram.earths().size());
        }
    }

    @Test
    void aLampSaysHowItGlows() {
        assertThat(words(symbol("H1", Conditions.REST))).contains(new Said(Saying.DARK));
        assertThat(words(symbol("H1", ON))).anyMatch(Phrase.Glows.class::isInstance);
    }

    @Test
    void aRelayStandsAsItStands() {
        var rest = symbol("K1", Conditions.REST);
        var pulled = symbol("K1", ON);

        assertThat(rest).noneMatch(mark -> mark.pen().look() == Look.LIVE);
        assertThat(pulled).filteredOn(mark -> mark.pen().look() == Look.LIVE).hasSizeGreaterThan(3);
        assertThat(arm(rest)).isNotEqualTo(arm(pulled));
    }

    /** The line that runs slanting, or straight where the contact is closed. */
    private static double arm(List<Mark> marks) {
        return marks.stream()
                .filter(Mark.Line.class::isInstance)
                .map(mark -> ((Mark.Line) mark).points())
                .mapToDouble(points -> Math.abs(points.getFirst().y() - points.getLast().y()))
                .filter(rise -> rise == 13)
                .sum();
    }

    @Test
    void aSwitchSaysWhereItStands() {
        assertThat(words(symbol("S1", Conditions.REST))).contains(new Plain("off"));
        assertThat(words(symbol("S1", ON))).contains(new Plain("on"));
    }

    @Test
    void aFuseThatIsOutSaysSo() {
        var out = ON.withPulled(new FuseSeat(new PartId("F1"), ""), true);

        assertThat(words(symbol("F1", ON))).contains(new Plain("15 A"));
        assertThat(words(symbol("F1", out))).contains(new Said(Saying.BLOWN));
        assertThat(symbol("F1", out)).anyMatch(mark -> mark.pen().look() == Look.WRONG);
    }
}
