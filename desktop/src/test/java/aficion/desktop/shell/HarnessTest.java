package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.desktop.workbench.Selection;
import aficion.forming.Surface;
import aficion.job.CircuitId;
import aficion.job.Cut;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.PartId;
import aficion.job.UnusedLead;
import aficion.job.Work;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.WorkEdit;
import aficion.make.Making;
import aficion.quantity.Metres;
import aficion.route.Plan;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.StationId;
import aficion.stock.Stock;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The harness as a body, and one wire after another: Board and Make by keys and presses. */
class HarnessTest extends WindowTest {
    private static final RunId TO_BOOT = new RunId(new StationId("cabin"), new StationId("boot"));

    private Plan plan() {
        return bench.design().body().orElseThrow().plan();
    }

    private void write(String id, String text) {
        until(() -> byId(id).isPresent());
        clickOn("#" + id);
        interact(() -> ((TextField) node(id)).setText(text));
        push(KeyCode.ENTER);
        settle();
    }

    private void board() {
        push(KeyCode.DIGIT2);
        settle();
        until(() -> byId("board-drawing").isPresent());
    }

    /** A run is pressed, its length written, and every wire that rides it is as long. */
    @Test
    void aLengthIsMeasuredOnTheBoard() {
        board();
        clickOn("#run-boot-cabin");
        settle();
        assertThat(bench.selection().get()).isEqualTo(new Selection.OfRun(TO_BOOT));
        write("run-length", "1.9 m");

        assertThat(plan().run(TO_BOOT).measured()).contains(new Metres(1.9));
        assertThat(bench.design().riders().get(TO_BOOT))
                .filteredOn(wire -> wire.laid() instanceof Laid.Routed)
                .isNotEmpty()
                .allSatisfy(wire -> assertThat(wire.length().metres().value()).isGreaterThan(1.9));
        assertThat(text("undo")).contains("1.90 m");
        press("undo");
        assertThat(plan().run(TO_BOOT).measured()).isEmpty();
        write("run-length", "long");
        assertThat(plan().run(TO_BOOT).measured()).isEmpty();
    }

    private long measured() {
        return plan().runs().stream().filter(run -> run.measured().isPresent()).count();
    }

    /** Lengths are called out one after another; each goes to the run that moves most. */
    @Test
    void lengthsAreEnteredOneAfterAnother() {
        board();
        long before = measured();
        for (int i = 1; i <= 3; i++) {
            write("next-length", "0." + (4 + i));
            assertThat(measured()).isEqualTo(before + i);
            assertThat(((TextField) node("next-length")).getText()).isEmpty();
        }
    }

    /** What is being written stays while it is worked out anew which run comes first. */
    @Test
    void aLengthThatIsBeingWrittenStays() {
        board();
        until(() -> byId("next-length").isPresent());
        clickOn("#next-length");
        typeInto("next-length", "0.5");
        onScreen(() -> bench.perform(new BodyEdit.Measure(TO_BOOT, Optional.of(new Metres(1.9)))));
        until(bench::isOffered);
        assertThat(((TextField) node("next-length")).getText()).isEqualTo("0.5");

        push(KeyCode.ENTER);
        settle();
        assertThat(plan().runs())
                .filteredOn(run -> run.measured().equals(Optional.of(new Metres(0.5))))
                .hasSize(1);
    }

    /** Which run comes first may change while a press is on its way to the field. */
    @Test
    void whereALengthIsWrittenStays() {
        board();
        until(() -> byId("next-length").isPresent());
        var field = node("next-length");
        onScreen(() -> bench.perform(new BodyEdit.Measure(TO_BOOT, Optional.of(new Metres(1.9)))));
        until(bench::isOffered);
        settle();
        assertThat(node("next-length")).isSameAs(field);
    }

    @Test
    void arrowsLeadFromStationToStation() {
        board();
        onScreen(() -> {
            bench.selection().set(new Selection.OfStation(new StationId("nose")));
            node("board").requestFocus();
        });
        push(KeyCode.RIGHT);
        settle();
        assertThat(bench.selection().get())
                .isEqualTo(new Selection.OfStation(new StationId("wing")));
        push(KeyCode.LEFT);
        settle();
        assertThat(bench.selection().get())
                .isEqualTo(new Selection.OfStation(new StationId("nose")));
    }

    /** A vehicle without a body is asked for one, and then has its whole harness. */
    @Test
    void aVehicleWithoutABodyIsAskedForOne() {
        onScreen(() -> bench.perform(new BodyEdit.SetBody(Optional.empty())));
        push(KeyCode.DIGIT2);
        settle();
        write("body-wheelbase", "2.6");
        press("body-lay");
        until(() -> byId("board-drawing").isPresent());

        assertThat(bench.design().wires())
                .filteredOn(wire -> !(wire.laid() instanceof Laid.Routed))
                .isNotEmpty()
                .allMatch(wire -> wire.length() instanceof RunLength.Measured);
        assertThat(plan().runs()).allSatisfy(run -> assertThat(run.measured()).isEmpty());
        push(KeyCode.CONTROL, KeyCode.Z);
        settle();
        assertThat(bench.design().body()).isEmpty();
    }

    /** What keeps the length it was given is counted, and laid along the runs by a press. */
    @Test
    void whatHasALengthOfItsOwnIsLaidAlongTheRunsByAPress() {
        focusOn("5");
        board();
        assertThat(text("board-loose")).startsWith("16 wires keep the lengths");
        press("board-loose-lay");
        assertThat(bench.design().wiresOf(new CircuitId("5")))
                .filteredOn(wire -> !(wire.laid() instanceof Laid.Routed))
                .isNotEmpty()
                .allMatch(wire -> wire.unguarded().isPresent());
        assertThat(text("board-loose")).isEmpty();
        assertThat(text("undo")).contains("16 wires");
    }

    /** Space is always the next thing, B takes it back, and a wire done is followed by the next. */
    @Test
    void aWireIsMadeStepByStep() {
        push(KeyCode.DIGIT4);
        settle();
        press("make-tab-steps");
        until(() -> byId("step-wire").isPresent());
        var first = Making.of(bench.design()).wires().getFirst();
        assertThat(text("step-wire")).isEqualTo(first.wire().number());

        push(KeyCode.SPACE);
        push(KeyCode.SPACE);
        push(KeyCode.B);
        until(() -> bench.job().work().made(first.wire().id()) == 1);
        for (int i = 1; i < first.steps().size(); i++) {
            push(KeyCode.SPACE);
        }
        settle();
        assertThat(first.isMade(bench.job().work())).isTrue();
        assertThat(text("step-wire"))
                .isEqualTo(Making.of(bench.design()).wires().get(1).wire().number());
    }

    /** A circuit is made with its last wire; what was marked by hand is not taken back. */
    @Test
    void theLastWireMakesItsCircuit() {
        var clock = new CircuitId("10");
        var marked = new CircuitId("1");
        var making = Making.of(bench.design());
        assertThat(bench.design().wiresOf(clock)).hasSize(1);
        onScreen(() ->
                making.wires().stream()
                        .filter(work -> !work.wire().circuit().equals(clock))
                        .skip(1)
                        .forEach(work ->
                                bench.perform(
                                        new WorkEdit.Make(work.wire().id(), work.steps().size()))));
        push(KeyCode.DIGIT4);
        settle();
        press("make-tab-steps");
        until(() -> byId("step-wire").isPresent());
        assertThat(bench.job().work().done(clock)).doesNotContain(Work.Stage.MADE);
        for (int i = 0; i < 40 && !bench.job().work().done(clock).contains(Work.Stage.MADE); i++) {
            push(KeyCode.SPACE);
        }
        settle();
        assertThat(bench.job().work().done(clock)).contains(Work.Stage.MADE);
        assertThat(bench.job().work().done(marked)).contains(Work.Stage.MADE);
    }

    /** A spool is counted, a wire cut off it, taken back, cut again: what is left says so. */
    @Test
    void whatIsCutComesOffItsSpool() throws IOException {
        var first = Making.of(bench.design()).wires().getFirst();
        var library = userState.library();
        library.keep(
                Stock.EMPTY.adding(
                        new Cut(
                                first.wire().size(),
                                first.wire().insulation(),
                                first.wire().colour()),
                        new Metres(10)));
        push(KeyCode.DIGIT4);
        settle();
        press("make-tab-stock");
        until(() -> byId("stock-amount").isPresent());
        write("stock-amount", "some");
        assertThat(files.drawer().stock().get().spools()).hasSize(0);
        write("stock-amount", "7.5");
        until(() -> files.drawer().stock().get().spools().size() == 2);
        assertThat(files.drawer().stock().get().spool(2).orElseThrow().left())
                .isEqualTo(new Metres(7.5));
        until(() -> ((TableView<?>) node("stock-table")).getItems().size() == 2);

        press("make-tab-steps");
        until(() -> byId("step-wire").isPresent());
        until(() -> files.drawer().cutting().get().from().containsKey(first.wire().id()));
        settle();
        assertShows("from spool 1");
        push(KeyCode.SPACE);
        settle();
        double length = first.cut().cut().value();
        assertThat(library.stock().spool(1).orElseThrow().left().value())
                .isCloseTo(10 - length, within(1e-9));
        push(KeyCode.B);
        settle();
        assertThat(library.stock().spool(1).orElseThrow().left().value())
                .isCloseTo(10, within(1e-9));
        push(KeyCode.CONTROL, KeyCode.Z);
        settle();
        assertThat(library.stock().spool(1).orElseThrow().left().value())
                .isCloseTo(10 - length, within(1e-9));
    }

    /** A lead that nothing needs is noted with what was done with it, and forgotten by undo. */
    @Test
    void anUnusedLeadIsNoted() {
        push(KeyCode.DIGIT4);
        settle();
        press("make-tab-unused");
        until(() -> byId("unused-name").isPresent());
        write("unused-name", "air con feed");
        assertThat(bench.job().work().unused())
                .singleElement()
                .satisfies(lead -> assertThat(lead.done()).isEqualTo(UnusedLead.Done.SEALED));
        assertThat(text("undo")).contains("air con feed");
        press("undo");
        assertThat(bench.job().work().unused()).isEmpty();
    }

    /** What no rule can check is ticked line by line with Space, and unticked by undo. */
    @Test
    void theFittingListIsTicked() {
        push(KeyCode.DIGIT4);
        settle();
        press("make-tab-fitting");
        until(() -> byId("fitting-table").isPresent());
        push(KeyCode.SPACE);
        push(KeyCode.SPACE);
        assertThat(bench.job().work().fitted()).hasSize(2);
        assertThat(text("fitting-left")).startsWith("2 of ");
        press("undo");
        assertThat(text("fitting-left")).startsWith("1 of ");
    }

    /** A station is made a plug by its card: what passes is parted, as one step to undo. */
    @Test
    void aStationIsMadeAPlug() {
        push(KeyCode.DIGIT2);
        settle();
        int wires = bench.design().wires().size();
        onScreen(() -> bench.selection().set(new Selection.OfStation(new StationId("nose"))));
        until(() -> byId("station-form").isPresent());
        clickOn("#station-form");
        push(KeyCode.END);
        push(KeyCode.ENTER);
        until(() -> bench.design().wires().size() > wires);
        assertThat(text("undo")).contains("Part the wires at the plug");
        press("undo");
        assertThat(bench.design().wires()).hasSize(wires);
    }

    /** A connector is put in a body where it is looked at: its ends follow, its face is drawn. */
    @Test
    void aConnectorIsPutInABody() {
        onScreen(() -> files.openDemo("tractor"));
        settle();
        onScreen(() -> {
            bench.focus().set(Optional.of(new CircuitId("8")));
            bench.selection().set(new Selection.OfPart(new PartId("Q1")));
        });
        until(() -> byId("change-housing").isPresent());
        clickOn("#change-housing");
        for (int i = 0; i < 13; i++) {
            push(KeyCode.DOWN);
        }
        push(KeyCode.ENTER);
        settle();
        until(() -> byId("face-a").isPresent());
        var socket = bench.design().part(new PartId("Q1"));
        assertThat(((JoinKind.Connector) socket.kind()).housed().orElseThrow().body())
                .startsWith("sealed-");
        assertThat(
                        bench.design().wires().stream()
                                .filter(wire -> wire.to().terminal().part().equals(socket.id())))
                .allSatisfy(wire ->
                        assertThat(wire.to().termination().key()).isEqualTo("socket-sealed"));
        assertThat(text("undo")).contains("Put a connector in its body");
        press("undo");
        assertThat(((JoinKind.Connector) bench.design().part(new PartId("Q1")).kind()).housed())
                .isEmpty();
    }

    /** A part is moved to another station where it is looked at, and its wires with it. */
    @Test
    void aPartIsMovedToAnotherStation() {
        var fuel = new PartId("X1");
        onScreen(() -> bench.selection().set(new Selection.OfPart(fuel)));
        until(() -> byId("change-station").isPresent());
        var before = bench.design().body().orElseThrow().station(bench.design().part(fuel));
        clickOn("#change-station");
        push(KeyCode.DOWN);
        push(KeyCode.ENTER);
        settle();
        assertThat(bench.design().body().orElseThrow().station(bench.design().part(fuel)))
                .isNotEqualTo(before);
    }

    /** The toggle shows the loom as it will lie; a press on a strand chooses its run. */
    @Test
    void theFormingBoardIsLaidOutAndSaved(@TempDir Path folder) throws IOException {
        board();
        push(KeyCode.SHIFT, KeyCode.N);
        settle();
        until(() -> text("forming-says").contains("nails"));
        assertThat(text("forming-says")).contains("2.00 m").contains("ties");
        clickOn(node("forming-board"));
        write("forming-own", "0.5 x 0.4");
        until(() -> text("forming-says").contains("too small"));
        write("forming-own", "wide");
        assertThat(bench.forming().get().surface())
                .contains(new Surface(new Metres(0.5), new Metres(0.4)));
        answers.write = Optional.of(folder.resolve("none.dxf"));
        press("forming-save-dxf");
        until(() -> !answers.told.isEmpty());
        assertThat(folder.resolve("none.dxf")).doesNotExist();

        write("forming-own", "2 x 1");
        until(() -> text("forming-says").contains("nails"));
        answers.write = Optional.of(folder.resolve("board.dxf"));
        press("forming-save-dxf");
        until(() -> Files.exists(folder.resolve("board.dxf")));
        assertThat(folder.resolve("board.dxf")).content().contains("AC1009");
        push(KeyCode.SHIFT, KeyCode.N);
        settle();
        assertThat(byId("board-drawing")).isPresent();
    }

    @Test
    void listsAreReadBesideTheSchedule() {
        push(KeyCode.DIGIT4);
        settle();
        for (var list : new String[] {"labels", "bands", "cut", "ends", "buy"}) {
            press("make-tab-" + list);
            until(() -> byId("list-" + list).isPresent());
            var table = (TableView<?>) node("list-" + list);
            assertThat(table.getItems()).hasSizeGreaterThan(5);
        }
        assertThat(((TableView<?>) node("list-buy")).getColumns()).hasSize(3);
        assertShows("What to buy");
    }
}
