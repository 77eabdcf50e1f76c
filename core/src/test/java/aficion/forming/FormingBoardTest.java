package aficion.forming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Zone;
import aficion.diagram.Mark;
import aficion.forming.FormingBoard.Fit;
import aficion.forming.Loom.Knot;
import aficion.forming.Loom.Strand;
import aficion.harness.Board.At;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.Laid;
import aficion.job.Wire;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.Plan;
import aficion.route.Run;
import aficion.route.RunId;
import aficion.route.Spot;
import aficion.route.Station;
import aficion.route.StationId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A fuse that feeds four lamps round a square of four stations. */
class FormingBoardTest {
    private static final StationId FUSES = new StationId("fuses");
    private static final StationId LEFT = new StationId("left");
    private static final StationId RIGHT = new StationId("right");
    private static final StationId TAIL = new StationId("tail");

    private static Station station(StationId id, double along, double across, Station.Form form) {
        return new Station(
                id,
                Optional.empty(),
                new Spot(new Metres(along), new Metres(across), new Metres(0)),
                Zone.CABIN,
                form);
    }

    private static Run run(StationId one, StationId other, double metres) {
        return new Run(new RunId(one, other)).measuring(Optional.of(new Metres(metres)));
    }

    /** Fuses in front, left and right behind them, the tail behind both: a loop of four runs. */
    private static Design square(Station.Form left) {
        var plan =
                new Plan(
                        List.of(
                                station(FUSES, 0, 0, Station.Form.DEVICE),
                                station(LEFT, 1, -0.5, left),
                                station(RIGHT, 1, 0.5, Station.Form.DEVICE),
                                station(TAIL, 2, 0, Station.Form.DEVICE)),
                        List.of(
                                run(FUSES, LEFT, 0.6),
                                run(FUSES, RIGHT, 0.7),
                                run(LEFT, TAIL, 0.8),
                                run(RIGHT, TAIL, 0.9)));
        var builder =
                DesignBuilder.twelveVolts().fuse("F1", 10).wire("B1.+", "F1.1", "2.5mm2", 0.1);
        for (int i = 1; i <= 4; i++) {
            builder.lamp("H" + i, 5).wire("F1.2", "H" + i + ".58", "1mm2", 1);
        }
        var design = builder.build();
        var body = new Body(plan);
        var at = List.of(LEFT, RIGHT, TAIL, TAIL);
        for (var part : design.parts()) {
            var id = part.id().value();
            body =
                    body.standing(
                            part.id(), id.startsWith("H") ? at.get(id.charAt(1) - '1') : FUSES);
        }
        design = new BodyEdit.SetBody(Optional.of(body)).apply(design);
        for (var wire : design.wires()) {
            if (!wire.to().terminal().part().value().equals("F1")) {
                var via =
                        wire.to().terminal().part().value().equals("H4")
                                ? Optional.of(RIGHT)
                                : Optional.<StationId>empty();
                design =
                        new WireEdit.Lay(wire.id(), Laid.Routed.by(via, Optional.empty()))
                                .apply(design);
            }
        }
        return design;
    }

    private static FormingBoard board(Loom loom) {
        assertThat(FormingBoard.asNeeded(loom)).isInstanceOf(Fit.Fits.class);
        return ((Fit.Fits) FormingBoard.asNeeded(loom)).board();
    }

    /** Two wires ride to the left, two to the right, one on to the tail on either side. */
    @Test
    void aLoopIsOpenedWhereNoWireGoesOn() {
        var looms = Loom.of(square(Station.Form.DEVICE));

        assertThat(looms).hasSize(1);
        var loom = looms.getFirst();
        assertThat(loom.strands()).hasSize(4);
        assertThat(loom.knots()).hasSize(5);
        assertThat(loom.length().value()).isCloseTo(3.0, within(1e-9));
        var loose = loom.knots().stream().filter(knot -> knot.loose().isPresent()).toList();
        assertThat(loose).hasSize(1);
        assertThat(loose.getFirst().station()).isEqualTo(TAIL);
        assertThat(loom.strands()).allSatisfy(each -> assertThat(each.goingOn()).isEmpty());
    }

    @Test
    void aPlugPartsTwoLooms() {
        var looms = Loom.of(square(Station.Form.PLUG));

        assertThat(looms).hasSize(1);
        assertThat(looms.getFirst().knots())
                .as("both sides of the plug, apart")
                .filteredOn(knot -> knot.station().equals(LEFT))
                .hasSize(1);
        var parted =
                new BodyEdit.SetStation(
                                square(Station.Form.PLUG)
                                        .body()
                                        .orElseThrow()
                                        .plan()
                                        .station(RIGHT)
                                        .as(Station.Form.PLUG))
                        .apply(square(Station.Form.PLUG));
        assertThat(Loom.of(parted)).hasSize(2);
        assertThat(Loom.of(parted)).allSatisfy(loom -> assertThat(loom.strands()).hasSize(2));
    }

    /** The run from the fuses is fuller than either behind the plug: those two are one loom. */
    @Test
    void whatIsBeyondAPlugIsOneLoom() {
        var body = square(Station.Form.PLUG).body().orElseThrow();
        var forked =
                new Plan(
                        body.plan().stations(),
                        List.of(
                                run(FUSES, LEFT, 0.6),
                                run(LEFT, TAIL, 0.8),
                                run(LEFT, RIGHT, 0.9)));
        var design =
                new BodyEdit.SetBody(Optional.of(body.with(forked)))
                        .apply(square(Station.Form.PLUG));

        assertThat(Loom.of(design)).extracting(loom -> loom.strands().size()).containsExactly(2, 1);
        assertThat(Loom.of(design).getLast().strands().getFirst().run())
                .isEqualTo(new RunId(FUSES, LEFT));
    }

    @Test
    void nothingRidesNothing() {
        assertThat(Loom.of(DesignBuilder.twelveVolts().build())).isEmpty();
    }

    @Test
    void everyStrandIsDrawnAtItsLengthWithItsTies() {
        var board = board(Loom.of(square(Station.Form.DEVICE)).getFirst());

        assertThat(board.surface()).isEqualTo(Surface.DOOR);
        for (var lying : board.strands()) {
            double drawn = 0;
            for (int i = 1; i < lying.way().size(); i++) {
                drawn += far(lying.way().get(i - 1), lying.way().get(i));
            }
            assertThat(drawn).isCloseTo(lying.strand().length().value(), within(1e-6));
        }
        var ties = Fixing.of(board).stream().filter(Fixing.Tie.class::isInstance).toList();
        long bundles =
                board.strands().stream().filter(each -> each.strand().dress().ties() > 0).count();
        assertThat(bundles).isEqualTo(2);
        // 0.54 m and 0.64 m between the ties at branches, 200 mm apart at most: 4 and 5.
        assertThat(ties).hasSize(4 + 5);
    }

    private static double far(At one, At other) {
        return Math.hypot(one.x() - other.x(), one.y() - other.y());
    }

    /** At each end two nails, a tail, and where more than one wire ends the tape's end. */
    @Test
    void everyEndHasNailsAndATail() {
        var board = board(Loom.of(square(Station.Form.DEVICE)).getFirst());
        var fixings = Fixing.of(board);
        var ends =
                board.knots().keySet().stream()
                        .filter(knot -> board.meeting(knot).size() == 1)
                        .toList();

        assertThat(fixings.stream().filter(Fixing.Tail.class::isInstance)).hasSameSizeAs(ends);
        for (var end : ends) {
            assertThat(fixings)
                    .filteredOn(fixing ->
                            fixing instanceof Fixing.Nail
                                    && far(fixing.at(), board.knots().get(end)) < 0.012)
                    .hasSize(2);
        }
    }

    @Test
    void aStrandIsFoundWhereItLies() {
        var board = board(Loom.of(square(Station.Form.DEVICE)).getFirst());
        var lying = board.strands().getFirst();
        var middle = lying.on(0.3).at();

        assertThat(board.nearest(middle, 0.03)).contains(lying.strand());
        assertThat(board.nearest(new At(-3, -3), 0.03)).isEmpty();
    }

    @Test
    void tooMuchHarnessForABoardIsSaid() {
        var loom = Loom.of(square(Station.Form.DEVICE)).getFirst();

        assertThat(FormingBoard.of(loom, new Surface(new Metres(0.4), new Metres(0.4))))
                .isInstanceOfSatisfying(
                        Fit.TooSmall.class, small -> assertThat(small.full()).isTrue());
        assertThat(FormingBoard.of(loom, new Surface(new Metres(0.57), new Metres(0.57))))
                .isInstanceOfSatisfying(
                        Fit.TooSmall.class,
                        small -> {
                            assertThat(small.full()).isFalse();
                            assertThat(loom.knots())
                                    .extracting(Knot::station)
                                    .contains(small.station());
                        });
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Surface(new Metres(0.1), new Metres(1)));
    }

    /** Trimmed, nothing is nearer to the edge than the room for words, and nothing is longer. */
    @Test
    void theTrimmedBoardHoldsTheSame() {
        var board = board(Loom.of(square(Station.Form.DEVICE)).getFirst());
        var trimmed = board.trimmed();

        assertThat(trimmed.surface().area()).isLessThan(board.surface().area());
        assertThat(trimmed.strands())
                .allSatisfy(lying ->
                        assertThat(lying.way())
                                .allSatisfy(at -> {
                                    assertThat(at.x()).isGreaterThan(0.129);
                                    assertThat(at.x())
                                            .isLessThan(trimmed.surface().wide().value() - 0.129);
                                }));
        assertThat(
                        far(
                                trimmed.strands().getFirst().way().getFirst(),
                                trimmed.strands().getFirst().way().getLast()))
                .isCloseTo(
                        far(
                                board.strands().getFirst().way().getFirst(),
                                board.strands().getFirst().way().getLast()),
                        within(1e-9));
    }

    @Test
    void thePictureSaysWhatIsWhere() {
        var board = board(Loom.of(square(Station.Form.DEVICE)).getFirst());
        var words =
                new FormingPicture.BoardWords() {
                    @Override
                    public List<String> strand(Strand strand) {
                        return List.of("strand " + strand.run());
                    }

                    @Override
                    public List<String> knot(Knot knot) {
                        return List.of("knot " + knot.station());
                    }

                    @Override
                    public List<Face> faces(Knot knot) {
                        return List.of();
                    }

                    @Override
                    public double width(String text) {
                        return 6.0 * text.length();
                    }
                };

        var marks = new FormingPicture(board, 1000, words).marks();

        assertThat(marks.stream().filter(Mark.Area.class::isInstance)).hasSize(4);
        assertThat(marks.stream().filter(Mark.Word.class::isInstance)).hasSize(4 + 5);
        assertThat(marks)
                .filteredOn(Mark.Word.class::isInstance)
                .allSatisfy(mark -> {
                    var at = ((Mark.Word) mark).at();
                    assertThat(at.x()).isBetween(0.0, 2000.0);
                    assertThat(at.y()).isBetween(0.0, 800.0);
                });
    }

    /** A wire that must go on at a loose end is named there. */
    @Test
    void whatGoesOnBeyondALooseEndIsNamed() {
        var design = square(Station.Form.DEVICE);
        var extra = design.wires().getLast();
        var round =
                new WireEdit.Lay(extra.id(), Laid.Routed.by(Optional.of(LEFT), Optional.empty()))
                        .apply(design);
        // Both tail wires go by the left now, so nothing rides from right to tail.
        assertThat(Loom.of(round).getFirst().strands()).hasSize(3);
        assertThat(Loom.of(round).getFirst().strands())
                .allSatisfy(each -> assertThat(each.goingOn()).isEmpty());
        List<Wire> all = Loom.of(round).getFirst().wires(round);
        assertThat(all).hasSize(4);
    }
}
