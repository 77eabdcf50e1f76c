package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.Expected;
import aficion.bench.TestStep;
import aficion.check.finding.Finding;
import aficion.desktop.shell.JobFiles.Answer;
import aficion.desktop.workbench.Selection;
import aficion.fault.Fault;
import aficion.files.DemoJobs;
import aficion.files.JobStore;
import aficion.files.Recovery;
import aficion.files.sheet.PaperFormat;
import aficion.instruments.StandIn;
import aficion.instruments.StandInServer;
import aficion.instruments.StandInServer.Role;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.PartId;
import aficion.job.Vehicle;
import aficion.job.WireId;
import aficion.job.Work.Stage;
import aficion.job.edit.CircuitEdit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Mending, saving, printing, testing on the bench: nothing is lost. */
class WorkTest extends WindowTest {
    private static final Job DEMO = DemoJobs.find("roadster").orElseThrow();

    @TempDir Path folder;

    @BeforeEach
    void ready() {
        settle();
    }

    @Test
    void aRemedyIsAppliedUndoneSavedAndOpenedAgain() throws IOException {
        clickOn("Clock and radio");
        settle();
        assertShows("Lead without a guard");
        var before = bench.design();

        clickOn(button("Put a 3 A fuse into wire 10.01"));
        settle();

        assertThat(bench.assessed().get().orElseThrow().of(new CircuitId("10")))
                .allMatch(Finding.DrawsAtRest.class::isInstance);
        assertThat(text("saved")).isEqualTo("not saved");
        assertThat(text("undo")).isEqualTo("Undo: Put a 3 A fuse into wire 10.01");
        assertThat(byId("part-F3")).isPresent();

        clickOn("#undo");
        settle();
        assertThat(bench.design()).isEqualTo(before);
        assertShows("Lead without a guard");

        clickOn("#redo");
        settle();
        var mended = bench.design();
        var file = folder.resolve("tern.aficion");
        answers.write = Optional.of(file);
        push(KeyCode.CONTROL, KeyCode.S);
        settle();
        assertThat(text("saved")).startsWith("saved ");

        answers.open = Optional.of(file);
        push(KeyCode.CONTROL, KeyCode.O);
        settle();

        assertThat(bench.design()).isEqualTo(mended);
        assertThat(JobStore.open(file).job().design()).isEqualTo(mended);
        assertThat(answers.askedAboutUnsaved).isZero();
    }

    /** A remedy that changes no wire and no place still shows in the drawing. */
    @Test
    void anotherFuseShowsInTheDrawing() {
        focusOn("5");
        onScreen(() -> bench.perform(new PartEdit.FitFuse(new PartId("F6"), "", new Amps(7.5))));

        assertThat(drawnWords()).contains("7.5 A").doesNotContain("25 A");

        onScreen(bench::undo);
        assertThat(drawnWords()).contains("25 A").doesNotContain("7.5 A");
    }

    private List<String> drawnWords() {
        return all((javafx.scene.Parent) byId("part-F6").orElseThrow())
                .filter(Text.class::isInstance)
                .map(node -> ((Text) node).getText())
                .toList();
    }

    /** A wire that is labelled anew is called so in the test run too. */
    @Test
    void anotherNumberShowsInTheTestRun() {
        focusOn("8");
        press("view-bench");
        press("bench-whole");
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w54"), "8.99")));

        assertShows("Measure wire 8.99 from end to end");
    }

    @Test
    void undoAndRedoHaveTheirKeys() {
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));
        interact(() -> byId("circuits").orElseThrow().requestFocus());

        push(KeyCode.CONTROL, KeyCode.Z);
        settle();
        assertThat(bench.job()).isEqualTo(DEMO);
        push(KeyCode.CONTROL, KeyCode.Y);
        settle();
        assertThat(wireOf("w1").number()).isEqualTo("1.77");
    }

    @Test
    void theWorstOfACircuitShowsInTheList() {
        assertThat(text("dangers")).isEqualTo("3 dangers");
        assertThat(byId("circuit-5").orElseThrow().getAccessibleText())
                .contains("Headlamps", "planned, sized", "Danger");
        assertThat(byId("circuit-8").orElseThrow().getAccessibleText()).contains("Advise: 1");
        assertThat(byId("circuit-7").orElseThrow().getAccessibleText()).contains("nothing found");
    }

    @Test
    void aStageOfTheWorkIsTicked() {
        clickOn("Horn");
        settle();
        var box =
                all(stage.getScene().getRoot())
                        .filter(node ->
                                node instanceof CheckBox check && check.getText().equals("sized"))
                        .findFirst()
                        .orElseThrow();
        var worked = bench.assessed().get().orElseThrow().assessment();
        var drawn = bench.drawing().get();
        clickOn(box);
        settle();

        assertThat(bench.assessed().get().orElseThrow().assessment()).isSameAs(worked);
        assertThat(bench.drawing().get()).isSameAs(drawn);
        assertThat(bench.job().work().done(new CircuitId("8")))
                .containsExactly(Stage.PLANNED, Stage.SIZED);
        assertThat(text("undo")).isEqualTo("Undo: Mark Horn sized");
    }

    @Test
    void unsavedWorkIsAskedAboutBeforeItIsPutAway() {
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));
        var changed = bench.design();

        answers.unsaved = Answer.STAY;
        interact(() ->
                stage.fireEvent(
                        new javafx.stage.WindowEvent(
                                stage, javafx.stage.WindowEvent.WINDOW_CLOSE_REQUEST)));
        assertThat(stage.isShowing()).isTrue();
        assertThat(answers.askedAboutUnsaved).isEqualTo(1);

        interact(() -> files.openDemo("roadster"));
        assertThat(bench.design()).isEqualTo(changed);
        assertThat(answers.askedAboutUnsaved).isEqualTo(2);

        answers.unsaved = Answer.DISCARD;
        onScreen(() -> files.openDemo("roadster"));
        assertThat(bench.job()).isEqualTo(DEMO);
    }

    @Test
    void choosingToSaveSavesBeforeItIsPutAway() throws IOException {
        var file = folder.resolve("kept.aficion");
        answers.write = Optional.of(file);
        answers.unsaved = Answer.SAVE;
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));
        var changed = bench.design();

        onScreen(() -> files.openDemo("roadster"));

        assertThat(JobStore.open(file).job().design()).isEqualTo(changed);
        assertThat(bench.job()).isEqualTo(DEMO);
    }

    @Test
    void aSaveThatIsThoughtBetterOfKeepsTheWorkOnTheBench() {
        answers.unsaved = Answer.SAVE;
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));
        var changed = bench.design();

        onScreen(() -> files.openDemo("roadster"));

        assertThat(bench.design()).isEqualTo(changed);
    }

    @Test
    void aDamagedFileIsExplainedAndTheBenchStaysAsItWas() throws IOException {
        var file = folder.resolve("bad.aficion");
        Files.writeString(
                file,
                "{ \"format\" : \"aficion-job\",\n \"version\" : 1,\n \"vehicle\" : { \"name\" ");
        answers.open = Optional.of(file);

        push(KeyCode.CONTROL, KeyCode.O);
        settle();

        assertThat(answers.told)
                .singleElement()
                .satisfies(text ->
                        assertThat(text)
                                .contains(
                                        "Could not open bad.aficion",
                                        "line 3",
                                        "Nothing was changed"));
        assertThat(bench.job()).isEqualTo(DEMO);
    }

    @Test
    void aFileChangedByAnotherProgramIsNotOverwritten() throws IOException {
        var file = folder.resolve("tern.aficion");
        JobStore.save(file, DEMO, Optional.empty());
        interact(() -> files.open(file));
        settle();
        Files.writeString(file, Files.readString(file) + "\n");
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));

        push(KeyCode.CONTROL, KeyCode.S);
        settle();

        assertThat(answers.told)
                .singleElement()
                .satisfies(text -> assertThat(text).contains("changed by another program"));
        assertThat(text("saved")).isEqualTo("not saved");
    }

    @Test
    void theScheduleIsFilteredSortedAndLeadsToItsWire() {
        press("view-make");
        TableView<?> table = (TableView<?>) node("schedule");
        assertThat(table.getItems()).hasSize(62);

        clickOn("#make-filter");
        write("blue/red");
        assertThat(table.getItems()).hasSize(3);
        assertShows("3 of 62 wires");
        var size = table.getColumns().get(4);
        interact(() -> {
            table.getSortOrder().clear();
            size.setSortType(javafx.scene.control.TableColumn.SortType.DESCENDING);
            sort(table, 4);
        });
        interact(() -> table.getSelectionModel().select(0));
        assertThat(bench.selection().get())
                .isEqualTo(new aficion.desktop.workbench.Selection.OfWire(new WireId("w31")));

        interact(() -> ((TextField) byId("make-filter").orElseThrow()).setText("no such thing"));
        assertThat(table.getItems()).isEmpty();
    }

    private static <T> void sort(TableView<T> table, int column) {
        table.getSortOrder().add(table.getColumns().get(column));
        table.sort();
    }

    @Test
    void sheetsAreWrittenWhereTheUserSays() throws IOException {
        focusOn("5");
        for (var key : java.util.List.of("schedule", "path", "bench", "csv")) {
            var file = folder.resolve(key);
            answers.write = Optional.of(file);
            clickOn("#print");
            clickOn("#menu-print-" + key);
            settle();
            if (!key.equals("csv")) {
                push(KeyCode.ENTER);
                push(KeyCode.ESCAPE);
            }
            assertThat(Files.size(file)).isGreaterThan(1000);
            assertThat(Files.readString(file, java.nio.charset.StandardCharsets.ISO_8859_1))
                    .startsWith(key.equals("csv") ? "No.," : "%PDF");
        }
        answers.write = Optional.of(folder.resolve("no/such/place.pdf"));
        push(KeyCode.CONTROL, KeyCode.P);
        settle();
        push(KeyCode.ENTER);
        assertThat(answers.told)
                .singleElement()
                .satisfies(text -> assertThat(text).contains("Could not write place.pdf"));
    }

    /** What a meter that is right would show. */
    private static String right(Expected expected) {
        return switch (expected) {
            case Expected.Near(var value, _) -> String.format(Locale.ROOT, "%.2f", value.value());
            case Expected.AtLeast _ -> "OL";
            case Expected.AtMost _ -> "0.1";
            case Expected.Between(var least, _) ->
                    String.format(Locale.ROOT, "%.2f", least.value());
            case Expected.Opens _ -> "0";
        };
    }

    private TextField field(TestStep step) {
        return (TextField)
                all((javafx.scene.Parent) byId("step-" + step.key()).orElseThrow())
                        .filter(TextField.class::isInstance)
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void aBenchRunIsWorkedThroughWithOneFailingReading() {
        clickOn("Horn");
        settle();
        press("view-bench");
        press("bench-whole");
        assertShows("Not tested yet.");
        press("bench-start");
        assertShows("Run begun 25 November 2026");
        var plan = bench.plan().get().orElseThrow().made();
        var wrong =
                plan.steps().stream()
                        .filter(step ->
                                step.key().startsWith("amps") && step.key().contains("horn=on"))
                        .findFirst()
                        .orElseThrow();

        for (var step : plan.steps()) {
            if (step.expected().isEmpty()) {
                var sound =
                        all((javafx.scene.Parent) byId("step-" + step.key()).orElseThrow())
                                .filter(node ->
                                        node instanceof javafx.scene.control.Button button
                                                && button.getText().equals("Sound"))
                                .findFirst()
                                .orElseThrow();
                interact(() -> ((javafx.scene.control.Button) sound).fire());
            } else {
                interact(() -> field(step).requestFocus());
                write(step.equals(wrong) ? "0.2 A" : right(step.expected().get()));
                type(KeyCode.ENTER);
            }
        }
        settle();

        var run = bench.job().work().latestRun(new CircuitId("8")).orElseThrow();
        assertThat(run.readings()).hasSameSizeAs(plan.steps());
        assertThat(run.reading(wrong.key()).orElseThrow().verdict()).isEqualTo(Verdict.FAIL);
        assertThat(run.readings().stream().filter(reading -> reading.verdict() != Verdict.PASS))
                .hasSize(1);
        assertThat(text("bench-progress"))
                .isEqualTo(
                        "All steps done: " + (plan.steps().size() - 1) + " pass, 0 near, 1 fail.");
        assertThat(text("undo")).isEqualTo("Undo: Keep readings of Horn");
    }

    /** A wire is open; following what is advised leads to it, by keys alone. */
    @Test
    void theHiddenFaultIsFoundByFollowingTheAdvice() {
        clickOn("Headlamps");
        settle();
        press("view-bench");
        press("bench-start");
        var fault = new Fault.Broken(wireNumbered("5.12"));
        followAdvice(fault);

        assertThat(byId("reason-named")).isPresent();
        assertThat(
                        all(stage.getScene().getRoot())
                                .filter(node -> node.getStyleClass().contains("reason-suspect"))
                                .map(node -> ((Label) node).getText())
                                .findFirst()
                                .orElseThrow())
                .contains("5.12");
        assertThat(bench.job().work().latestRun(new CircuitId("5")).orElseThrow().readings())
                .hasSizeLessThanOrEqualTo(10);
    }

    private void write(String id, String text) {
        interact(() -> ((TextField) node(id)).setText(text));
    }

    private boolean says(String words) {
        return byId("instruments-says")
                .filter(node -> ((Label) node).getText().contains(words))
                .isPresent();
    }

    /**
     * The headlamps on the bench with supply and meter: a wire is open, the advice leads to it; it
     * is mended, the run is taken again, and the circuit is tested.
     */
    @Test
    void aCircuitIsTestedWithInstruments() throws IOException {
        focusOn("5");
        press("view-bench");
        press("bench-start");
        var design = bench.design();
        var open = new Fault.Broken(wireNumbered("5.12"));
        var broken = new StandIn(design, List.of(open), Optional.empty());
        int first;
        int second;
        try (var supply = StandInServer.open(broken, Role.SUPPLY, 0);
                var meter = StandInServer.open(broken, Role.METER, 0)) {
            first = supply.port();
            second = meter.port();
            write("instruments-supply", "127.0.0.1:" + first);
            write("instruments-meter", "127.0.0.1:" + second);
            press("instruments-connect");
            until(() -> says("The supply is off"));
            press("instruments-output");
            until(() -> says("On, giving"));
            for (int i = 0; i < 12 && byId("reason-named").isEmpty(); i++) {
                press("reason-read");
                until(() -> says("steady") && !text("instruments-shows").isEmpty());
                press("instruments-take");
            }
            assertThat(byId("reason-named")).isPresent();
            press("instruments-connect");
            until(() -> !broken.output());
        }
        var mended = new StandIn(design, List.of(), Optional.empty());
        try (var supply = StandInServer.open(mended, Role.SUPPLY, first);
                var meter = StandInServer.open(mended, Role.METER, second)) {
            assertThat(List.of(supply.port(), meter.port())).containsExactly(first, second);
            press("bench-start");
            press("instruments-connect");
            interact(() -> ((CheckBox) node("instruments-alone")).setSelected(true));
            for (int i = 0; i < 60 && !text("bench-progress").startsWith("All"); i++) {
                var before = text("bench-progress");
                var task = text("bench-task");
                boolean volts = task.startsWith("Measure the") || task.startsWith("Everything off");
                if (volts && !mended.output()) {
                    press("instruments-output");
                }
                if (volts || task.startsWith("Measure wire")) {
                    until(() -> !text("bench-progress").equals(before));
                } else {
                    interact(() -> node("bench-field").requestFocus());
                    push(KeyCode.SPACE);
                }
            }
            assertThat(text("bench-progress")).startsWith("All steps done").contains("0 fail");
            assertThat(bench.job().work().done(new CircuitId("5"))).contains(Stage.TESTED);
            onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));
            until(() -> !mended.output());
        }
    }

    /** One step at a time: Space passes, U asks why not, B goes back; a number is judged. */
    @Test
    void aRunIsWorkedThroughByKeys() {
        clickOn("Horn");
        settle();
        press("view-bench");
        push(KeyCode.SPACE);
        push(KeyCode.F);
        push(KeyCode.U);
        write("no key yet");
        push(KeyCode.ENTER);
        settle();
        var run = bench.job().work().latestRun(new CircuitId("8")).orElseThrow();
        assertThat(run.readings())
                .extracting(BenchRun.Reading::verdict)
                .containsExactly(Verdict.PASS, Verdict.FAIL, Verdict.NOT_TESTED);
        assertThat(run.readings().getLast().note()).contains("no key yet");
        assertThat(text("bench-progress")).startsWith("3 of ");
        push(KeyCode.B);
        assertShows("not tested");
        var task = text("bench-task");
        press("bench-show");
        assertThat(bench.selection().get()).isInstanceOf(Selection.OfPart.class);
        press("view-bench");
        push(KeyCode.B);
        assertThat(text("bench-task")).isEqualTo(task);
        push(KeyCode.SPACE);
        settle();
        assertThat(bench.job().work().latestRun(new CircuitId("8")).orElseThrow().readings())
                .hasSize(3)
                .last()
                .satisfies(last -> assertThat(last.verdict()).isEqualTo(Verdict.PASS));
    }

    /** What a run is about may be taken away under it, and put back. */
    @Test
    void anEditUnderARunLeavesNothingBroken() {
        focusOn("5");
        press("view-bench");
        press("bench-start");
        press("reason-read");
        for (var gone : List.of("H1", "K1", "F5")) {
            onScreen(() -> bench.perform(new PartEdit.RemovePart(new PartId(gone))));
            assertThat(bench.plan().get().orElseThrow().design()).isSameAs(bench.design());
            assertThat(bench.plan().get().orElseThrow().made().steps())
                    .extracting(TestStep::key)
                    .doesNotContain("look at " + gone);
            press("undo");
            push(KeyCode.SPACE);
            settle();
        }
        onScreen(() -> bench.perform(new CircuitEdit.RemoveCircuit(new CircuitId("5"))));
        press("undo");
        focusOn("5");
        assertThat(text("bench-progress")).startsWith("3 of ");
    }

    @Test
    void aReadingThatIsNoneIsExplainedAtItsPlace() {
        clickOn("Horn");
        settle();
        press("view-bench");
        press("bench-whole");
        var step = bench.plan().get().orElseThrow().made().find("quiet").orElseThrow();
        interact(() -> field(step).requestFocus());
        write("plenty");
        type(KeyCode.ENTER);

        assertShows("plenty is no reading in A");
        assertThat(bench.job()).isEqualTo(DEMO);
    }

    @Test
    void theVehicleIsSetAsAStepWantsIt() {
        clickOn("Horn");
        settle();
        press("view-bench");
        press("bench-whole");
        var wanted =
                bench.plan().get().orElseThrow().made().steps().stream()
                        .filter(step ->
                                step.task()
                                        .state()
                                        .filter(state -> "on".equals(state.positions().get("horn")))
                                        .isPresent())
                        .findFirst()
                        .orElseThrow();
        var set =
                all(stage.getScene().getRoot())
                        .filter(node ->
                                node instanceof javafx.scene.control.Button button
                                        && button.getText().equals("Set it so"))
                        .toList();
        interact(() -> ((javafx.scene.control.Button) set.getLast()).fire());
        settle();

        assertThat(wanted.task().state()).isPresent();
        assertThat(bench.conditions().get().positions()).containsEntry("horn", "on");
    }

    @Test
    void anEmptyJobSaysWhatToDo() {
        onScreen(() ->
                bench.take(
                        Job.of(
                                Design.empty(
                                        new Vehicle(
                                                "Quill 350",
                                                1969,
                                                new Volts(6),
                                                Vehicle.Pole.POSITIVE),
                                        HouseRules.USUAL))));

        assertShows("Nothing is on the bench.");
        assertShows("6 V, positive earth");
        assertThat(text("dangers")).isEqualTo("no dangers");
        press("view-make");
        assertShows("0 of 0 wires");
        press("view-bench");
        press("bench-whole");
        assertShows("This circuit has no wires to test yet.");
    }

    @Test
    void theDarkThemeIsASwitchInTheMenu() {
        clickOn("#view");
        clickOn("Dark");
        assertThat(stage.getScene().getRoot().getStyleClass()).contains("dark");
        clickOn("#view");
        clickOn("Dark");
        assertThat(stage.getScene().getRoot().getStyleClass()).doesNotContain("dark");
    }

    /** What could not be worked out is said in the window until it can be. */
    @Test
    void aFailureOfTheEngineReachesTheWindow() {
        assertThat(byId("failure").orElseThrow().isVisible()).isFalse();
        onScreen(() ->
                bench.ask()
                        .work(
                                _ -> {
                                    throw new IllegalStateException("on purpose");
                                },
                                _ -> {}));
        until(() -> byId("failure").orElseThrow().isVisible());
        assertShows("This step could not be worked out.");

        press("failure-again");

        assertThat(byId("failure").orElseThrow().isVisible()).isFalse();
    }

    /** What is edited is kept beside within a second; a program that was killed leaves it. */
    @Test
    void workThatWasNotSavedIsTakenUpAfterAKill() throws Exception {
        var killed = new Recovery(folder);
        var safekeeping = new Safekeeping(bench, killed);
        onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.77")));
        var edited = bench.job();
        until(() -> copies().equals(List.of(edited)));

        safekeeping.close();
        onScreen(() -> bench.take(DEMO));
        var next = new Safekeeping(bench, new Recovery(folder));
        killed.keep(edited, Optional.empty());
        killed.close();
        answers.left = JobFiles.Answer.SAVE;
        onScreen(() -> next.offer(answers));

        assertThat(answers.askedAboutLeft).containsExactly(DEMO.design().vehicle().name());
        assertThat(bench.job()).isEqualTo(edited);
        assertThat(bench.isUnsaved()).isTrue();
        next.close();
        assertThat(folder).isEmptyDirectory();
    }

    private List<Job> copies() throws IOException {
        var jobs = new ArrayList<Job>();
        try (var copies = Files.newDirectoryStream(folder, "*" + JobStore.SUFFIX)) {
            for (var copy : copies) {
                jobs.add(JobStore.open(copy).job());
            }
        }
        return jobs;
    }

    /** Someone who edits without a pause is kept all the same. */
    @Test
    void steadyEditingDoesNotPutTheCopyOff() throws Exception {
        var safekeeping = new Safekeeping(bench, new Recovery(folder));
        for (int i = 0; i < 200 && copies().isEmpty(); i++) {
            var number = "1." + (100 + i);
            onScreen(() -> bench.perform(new WireEdit.Renumber(new WireId("w1"), number)));
            Thread.sleep(20);
        }

        assertThat(copies()).isNotEmpty();
        safekeeping.close();
    }

    @Test
    void everyFindingIsListedMendedAndReached() {
        clickOn(byId("dangers").orElseThrow());
        assertShows("All that was found");
        assertShows("Lead without a guard");
        clickOn(button("Put a 3 A fuse into wire 10.01"));
        settle();
        assertThat(text("dangers")).isEqualTo("2 dangers");
        assertThat(byId("findings")).isPresent();

        clickOn(button("5.13"));
        settle();
        assertThat(byId("findings")).isEmpty();
        assertShows("Wire 5.13");
        assertThat(bench.focus().get()).contains(new CircuitId("5"));
    }

    /** A sheet is looked at page by page, on paper of choice, without colours; then written. */
    @Test
    @SuppressWarnings("unchecked")
    void aSheetIsLookedAtBeforeItIsWritten() throws IOException {
        var file = folder.resolve("schedule.pdf");
        answers.write = Optional.of(file);
        push(KeyCode.CONTROL, KeyCode.P);
        settle();
        assertShows("1 of 3");
        push(KeyCode.PAGE_DOWN);
        settle();
        assertShows("2 of 3");
        clickOn("#preview-grey");
        interact(() -> ((ComboBox<PaperFormat>) node("preview-paper")).setValue(PaperFormat.A3));
        settle();
        push(KeyCode.F1);
        push(KeyCode.ESCAPE);
        assertThat(byId("preview")).isPresent();
        assertThat(file).doesNotExist();
        clickOn("#preview-write");
        try (var pdf = Loader.loadPDF(Files.readAllBytes(file))) {
            assertThat(pdf.getPage(0).getMediaBox().getWidth()).isCloseTo(1190.55f, within(0.1f));
        }
        push(KeyCode.ESCAPE);
        assertThat(byId("preview")).isEmpty();
    }

    /** What is printed right after an edit is of the job as it is then. */
    @Test
    void whatIsPrintedIsOfTheJobAsItIs() throws IOException {
        var file = folder.resolve("schedule.csv");
        answers.write = Optional.of(file);
        interact(() -> {
            bench.perform(new WireEdit.Renumber(new WireId("w1"), "1.88"));
            files.exportCsv();
        });
        settle();

        assertThat(Files.readString(file)).contains("1.88");
    }
}
