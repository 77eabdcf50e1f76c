package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.bench.BenchPlan;
import aficion.bench.TestStep;
import aficion.catalogue.WireSize;
import aficion.desktop.workbench.Selection;
import aficion.fault.Fault;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Setting;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.Work.Stage;
import aficion.job.edit.CircuitEdit;
import aficion.job.edit.WireEdit;
import aficion.netlist.Conditions.FuseSeat;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Testing where the circuit is, what is noticed without a meter, practice, and new parts. */
class BenchTest extends WindowTest {
    private static final CircuitId HEADLAMPS = new CircuitId("5");

    @TempDir Path folder;

    @BeforeEach
    void ready() {
        settle();
    }

    @SuppressWarnings("unchecked")
    private void where(Setting setting) {
        onScreen(() -> ((ComboBox<Setting>) node("bench-where")).setValue(setting));
        until(() -> plan().filter(found -> found.setting() == setting).isPresent());
        settle();
    }

    private Optional<BenchPlan> plan() {
        return bench.plan().get().map(found -> found.made());
    }

    private void at(String circuit) {
        focusOn(circuit);
        press("view-bench");
        until(() -> plan().isPresent());
        settle();
    }

    /** The charging circuit on the vehicle: Space for what is right, and the pip is set. */
    @Test
    void aRunIsTakenWithTheEngineRunning() throws Exception {
        at("2");
        where(Setting.RUNNING);
        onScreen(() -> ((TextField) node("bench-by")).setText("A. Tester"));
        assertThat(byId("bench-lamps")).isPresent();
        assertShows("proves itself with the key");
        interact(() -> node("bench-field").requestFocus());
        int steps = plan().orElseThrow().steps().size();
        for (int i = 0; i < steps; i++) {
            if (text("bench-task").startsWith("Measure the volts at B1")
                    && text("bench-expected").contains("13.80 V to 14.60 V")) {
                write("14.2");
                push(KeyCode.ENTER);
            } else {
                push(KeyCode.SPACE);
            }
        }
        settle();

        var run = bench.job().work().latestRun(new CircuitId("2")).orElseThrow();
        assertThat(run.setting()).isEqualTo(Setting.RUNNING);
        assertThat(run.by()).contains("A. Tester");
        assertThat(run.readings()).hasSize(steps);
        assertThat(run.readings()).anyMatch(reading -> reading.value().equals(Optional.of(14.2)));
        assertThat(bench.job().work().done(new CircuitId("2"))).contains(Stage.TESTED);

        var sheet = folder.resolve("bench.pdf");
        answers.write = Optional.of(sheet);
        clickOn("#print");
        clickOn("#menu-print-bench");
        settle();
        push(KeyCode.ENTER);
        push(KeyCode.ESCAPE);
        assertThat(read(sheet)).contains("vehicle, engine running", "A. Tester", "14.2");
        var all = folder.resolve("tests.pdf");
        answers.write = Optional.of(all);
        clickOn("#print");
        clickOn("#menu-print-tests");
        settle();
        push(KeyCode.ENTER);
        push(KeyCode.ESCAPE);
        assertThat(read(all)).contains("Hand-over sheet", "Charging", "not tested");
    }

    private static String read(Path pdf) throws Exception {
        try (var file = Loader.loadPDF(Files.readAllBytes(pdf))) {
            return new PDFTextStripper().getText(file);
        }
    }

    /** With stand-ins the lamps are said first, and what is expected follows from them. */
    @Test
    void standInsAreClippedInFirst() {
        at("5");
        where(Setting.STAND_INS);
        var step =
                plan().orElseThrow().steps().stream()
                        .filter(each -> each.task() instanceof TestStep.ClipIn)
                        .findFirst()
                        .orElseThrow();

        assertThat(bench.speech().task(step.task())).contains("H1.56b 21 W", "H2.56a 21 W");
        where(Setting.PROOF);
        assertThat(plan().orElseThrow().steps()).hasSizeLessThan(8);
        where(Setting.STILL);
        assertThat(plan().orElseThrow().steps())
                .extracting(TestStep::stage)
                .contains(TestStep.Stage.BATTERY);
        // A list lets go of what it has with Control held; a place stays chosen.
        onScreen(() -> ((ComboBox<?>) node("bench-where")).getSelectionModel().clearSelection());
        assertThat(bench.setting().get()).isEqualTo(Setting.STILL);
    }

    private String likeliest() {
        return all(stage.getScene().getRoot())
                .filter(node -> node.getStyleClass().contains("reason-suspect"))
                .map(node -> ((Label) node).getText())
                .findFirst()
                .orElse("");
    }

    /** A fuse that is gone, and a trouble that comes and goes, without any reading. */
    @Test
    void whatIsNoticedIsSaidWithAPress() {
        at("5");
        press("bench-start");
        fire("gone-F5");
        until(() -> likeliest().contains("F5") || likeliest().contains("chafes"));
        assertThat(text("gone-F5")).isEqualTo("F5 gone");
        fire("gone-F5");
        until(() -> text("gone-F5").equals("F5 gone?"));

        onScreen(() -> ((CheckBox) node("reason-comes")).fire());
        until(() -> byId("reason-moves").isPresent());
        int before = bench.job().work().latestRun(HEADLAMPS).orElseThrow().readings().size();
        fire("reason-moves");
        settle();
        assertThat(bench.job().work().latestRun(HEADLAMPS).orElseThrow().readings())
                .hasSize(before + 1)
                .last()
                .satisfies(said -> assertThat(said.step()).startsWith("moves "));
    }

    /** A find is noted, mended, and only what it touched is read again. */
    @Test
    void aFindIsMendedAndReadAgain() {
        at("5");
        press("bench-start");
        interact(() -> node("bench-field").requestFocus());
        push(KeyCode.SPACE);
        push(KeyCode.SPACE);
        var fault = new Fault.Broken(bench.design().labelled("5.12").orElseThrow().id());
        followAdvice(fault);
        fire("reason-mended");
        settle();

        var runs = bench.job().work().bench().stream().filter(this::isOurs).toList();
        assertThat(runs).hasSize(2);
        assertThat(runs.getFirst().readings())
                .anySatisfy(found -> {
                    assertThat(found.step()).startsWith("found ");
                    assertThat(found.note().orElseThrow()).contains("5.12");
                });
        assertThat(runs.getLast().readings())
                .isNotEmpty()
                .allMatch(kept -> kept.verdict() == Verdict.PASS);
        assertThat(runs.getLast().readings()).hasSizeLessThan(runs.getFirst().readings().size());
    }

    private boolean isOurs(BenchRun run) {
        return run.circuit().equals(HEADLAMPS);
    }

    /** What was read before a wire was changed says so, and the step is not sound any more. */
    @Test
    void aChangedDesignShowsWhatIsStale() {
        at("5");
        interact(() -> node("bench-field").requestFocus());
        push(KeyCode.SPACE);
        settle();
        var looked = plan().orElseThrow().steps().getFirst();
        var about = ((TestStep.LookAt) looked.task()).part();
        var wire =
                bench.design().wiresOf(HEADLAMPS).stream()
                        .filter(each ->
                                each.terminals().stream().anyMatch(at -> at.part().equals(about)))
                        .findFirst()
                        .orElseThrow();
        onScreen(() ->
                bench.perform(
                        new WireEdit.Resize(wire.id(), WireSize.parse("6mm2").orElseThrow())));
        until(() -> plan().isPresent());
        settle();
        interact(() -> node("bench-field").requestFocus());
        push(KeyCode.B);
        settle();

        assertShows("read before the design was changed");
    }

    /** A round: read, guess wrong, name what it is; the ways stand side by side. */
    @Test
    @SuppressWarnings("unchecked")
    void aRoundOfPracticeIsPlayed() {
        at("7");
        press("bench-practice");
        assertShows("Practice: Stop lamps");
        press("practice-easy");
        until(() -> text("practice-says").startsWith("Something is wrong"));
        press("practice-glance");
        until(() -> !text("practice-cost").equals("0 min"));
        var lamp = bench.design().partsOf(new CircuitId("7")).getLast();
        press("look-" + lamp.id());
        var list = (ListView<Fault>) node("practice-faults");
        for (int i = 0; i < list.getItems().size(); i++) {
            int at = i;
            onScreen(() -> list.getSelectionModel().select(at));
            press("practice-name");
            if (text("practice-says").startsWith("That is wrong indeed")
                    || text("practice-says").startsWith("Found")) {
                break;
            }
            assertThat(text("practice-says")).startsWith("That is sound");
        }
        until(() -> text("practice-says").startsWith("Found"));
        assertShows("The reasoner's way");
        assertShows("Stop lamps, Marlowe Tern 1600");
        push(KeyCode.ESCAPE);
        assertThat(byId("practice")).isEmpty();
        assertThat(byId("bench")).isPresent();
        assertThat(bench.practising().get()).isFalse();
    }

    /** An edit under a round ends it; what was pulled is put back, and nothing is broken. */
    @Test
    void anEditUnderARoundEndsIt() {
        at("7");
        press("bench-practice");
        press("practice-fair");
        until(() -> text("practice-says").startsWith("Something is wrong"));
        var fuse = FuseSeat.of(bench.design(), new CircuitId("7")).getFirst();
        fire("pull-" + fuse);
        assertThat(bench.conditions().get().pulled()).containsExactly(fuse);
        onScreen(() -> bench.perform(new CircuitEdit.RemoveCircuit(new CircuitId("7"))));
        settle();

        assertThat(text("practice-says")).startsWith("The design was changed");
        assertThat(bench.conditions().get().pulled()).isEmpty();
        press("practice-easy");
        assertThat(text("practice-says")).startsWith("This circuit has nothing");
        press("practice-back");
        press("undo");
        assertThat(bench.design().find(new CircuitId("7"))).isPresent();
    }

    /** A relay is tried before it is fitted: its coil is not what the shelf said, so the job is. */
    @Test
    void aNewPartIsTriedAndTheJobSaysWhatItIs() {
        focusOn("5");
        press("view-trace");
        onScreen(() -> bench.selection().set(new Selection.OfPart(new PartId("K1"))));
        settle();
        onScreen(() -> ((TextField) node("tried-winding")).setText("rubbish"));
        onScreen(() -> ((TextField) node("tried-winding")).fireEvent(new ActionEvent()));
        assertShows("rubbish is no reading");
        onScreen(() -> ((TextField) node("tried-winding")).setText("40"));
        onScreen(() -> ((TextField) node("tried-winding")).fireEvent(new ActionEvent()));
        settle();
        fire("tried-click-pass");
        fire("tried-take-winding");

        assertThat(bench.job().work().tried(new PartId("K1"), "winding").orElseThrow().verdict())
                .isEqualTo(Verdict.FAIL);
        assertThat(bench.job().work().tried(new PartId("K1"), "click")).isPresent();
        assertThat(bench.design().part(new PartId("K1")).kind().toString())
                .contains("coil=Ohms[value=40");
    }
}
