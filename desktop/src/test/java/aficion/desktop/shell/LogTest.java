package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.files.JobStore;
import aficion.files.Photographs;
import aficion.identify.KeyName;
import aficion.identify.KeySwitch;
import aficion.job.BenchRun;
import aficion.job.ControlKind;
import aficion.job.Diary;
import aficion.job.FoundBox;
import aficion.job.OldLead;
import aficion.job.OldLead.Verdict;
import aficion.job.Work;
import aficion.job.edit.WorkEdit;
import aficion.plan.Plan;
import aficion.words.Words;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.control.TableView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** From the old loom to the signed sheet, by keys and presses. */
class LogTest extends WindowTest {
    /** What a real window would show no otherwise, and so is not repeated in one. */
    private static final String OFF_SCREEN = "off-screen";

    @TempDir private Path folder;

    private void log(String tab) {
        push(KeyCode.DIGIT6);
        settle();
        press("log-tab-" + tab);
    }

    /** A job without a survey. */
    @Override
    String demo() {
        return "tractor";
    }

    private void chip(String id) {
        var chip = (ToggleButton) node(id);
        interact(chip::fire);
    }

    private TableView<?> table(String id) {
        return (TableView<?>) node(id);
    }

    private List<OldLead> leads() {
        return bench.job().work().survey().leads();
    }

    private Path picture(String name) throws IOException {
        var path = folder.resolve(name);
        var image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
        image.setRGB(name.length(), 3, 0xFF0000);
        ImageIO.write(image, "png", path.toFile());
        return path;
    }

    private void lead(String name, String along) {
        interact(() -> {
            ((TextField) node("survey-name")).setText(name);
            ((TextField) node("survey-from")).setText("fuse box " + name);
            ((TextField) node("survey-to")).setText("lamp " + name);
            ((TextField) node("survey-bare")).setText("1.7");
            for (var chip : List.of("first-sound", "along-" + along, "last-sound")) {
                ((ToggleButton) node("survey-" + chip)).fire();
            }
            node("survey-words").requestFocus();
        });
        push(KeyCode.ENTER);
        settle();
    }

    /** Twelve leads, three of them condemned, two photographs; saved, and whole when opened. */
    @Test
    void anOldLoomIsSurveyed() throws Exception {
        log("survey");
        for (int i = 1; i <= 12; i++) {
            lead("lead" + i, i % 4 == 0 ? "melted" : "sound");
        }
        assertThat(leads()).hasSize(12);
        interact(() -> table("survey-table").getSelectionModel().clearAndSelect(0));
        assertShows("Keep: sound at both ends and along it.");
        interact(() -> {
            table("survey-table").requestFocus();
            table("survey-table").getSelectionModel().clearAndSelect(3);
        });
        assertShows("Condemn: it got so hot once that its cover melted.");
        for (int row : new int[] {3, 7, 11}) {
            interact(() -> table("survey-table").getSelectionModel().clearAndSelect(row));
            push(KeyCode.C);
            settle();
        }
        interact(() -> table("survey-table").getSelectionModel().clearAndSelect(0));
        push(KeyCode.K);
        settle();
        assertThat(leads())
                .filteredOn(lead -> lead.verdict().equals(Optional.of(Verdict.CONDEMN)))
                .extracting(OldLead::name)
                .containsExactly("lead4", "lead8", "lead12");
        assertThat(leads().getFirst().verdict()).contains(Verdict.KEEP);

        interact(() -> table("survey-table").getSelectionModel().clearAndSelect(3));
        answers.open = Optional.of(picture("one.png"));
        press("photograph-add");
        answers.open = Optional.of(picture("second.png"));
        press("photograph-add");
        assertThat(leads().get(3).photographs()).hasSize(2);
        Files.writeString(folder.resolve("text.png"), "no picture");
        answers.open = Optional.of(folder.resolve("text.png"));
        press("photograph-add");
        assertShows("text.png is not taken in: it is no picture");
        assertThat(leads().get(3).photographs()).hasSize(2);

        var job = folder.resolve("old.aficion");
        answers.write = Optional.of(job);
        push(KeyCode.CONTROL, KeyCode.S);
        until(() -> Files.exists(job));
        assertThat(Photographs.folder(job)).isDirectory();
        assertThat(JobStore.open(job).job().work().survey()).isEqualTo(bench.job().work().survey());
        for (var file : leads().get(3).photographs()) {
            assertThat(Photographs.folder(job).resolve(file)).isRegularFile();
        }
        Files.delete(Photographs.folder(job).resolve(leads().get(3).photographs().getFirst()));
        press("log-tab-handover");
        assertShows("(the file is missing)");
    }

    /** What is not condemned becomes wires of the job at one press, and undo takes them back. */
    @Test
    @Tag(OFF_SCREEN)
    void aSurveyedLoomBecomesWires() {
        log("survey");
        lead("a", "sound");
        lead("b", "bare");
        interact(() -> table("survey-table").getSelectionModel().clearAndSelect(1));
        press("survey-verdict-condemn");
        var before = bench.design();
        press("survey-take");
        assertThat(bench.design().labelled("a")).isPresent();
        assertThat(bench.design().labelled("b")).isEmpty();
        assertThat(bench.design().circuits().getLast().name()).isEqualTo("Old loom");
        press("undo");
        assertThat(bench.design()).isEqualTo(before);
        press("survey-found");
        assertThat(bench.job().work().found().orElseThrow().wires()).hasSize(2);
    }

    @Test
    @Tag(OFF_SCREEN)
    void badInputInTheSurveyIsToldAndChangesNothing() {
        log("survey");
        enterInto("survey-name", "x");
        assertShows("Not noted: where a lead begins is missing");
        typeInto("survey-bare", "thick");
        typeInto("survey-from", "a");
        typeInto("survey-to", "b");
        enterInto("survey-name", "x");
        assertShows("measured in millimetres");
        assertThat(leads()).isEmpty();
        press("survey-take");
        assertShows("There is no lead to take");
    }

    /** Nine readings of three terminals name the switch, which is then a part. */
    @Test
    @Tag(OFF_SCREEN)
    void aKeySwitchIsNamedFromNineReadings() {
        log("identify");
        var volts =
                new String[][] {{"12.6", "12.5", "10.1"}, {"0", "12.4", "10.0"}, {"0", "0", "9.9"}};
        var terminals = List.of("30", "15", "50");
        var positions = List.of("off", "run", "start");
        for (int i = 0; i < 3; i++) {
            typeInto("key-terminal", terminals.get(i));
            for (int j = 0; j < 3; j++) {
                typeInto("key-position", positions.get(j));
                enterInto("key-volts", volts[i][j]);
            }
        }
        var found = KeySwitch.of(bench.job().work().survey().probed().key());
        assertThat(found.terminals())
                .extracting(KeySwitch.Named::name)
                .containsExactly(KeyName.ALWAYS, KeyName.IGNITION, KeyName.START);
        assertThat(table("probe-results-key").getItems().toString())
                .contains("always live (30)", "ignition (15)", "start only (50)");
        press("key-keep");
        assertThat(bench.design().parts().getLast().kind()).isInstanceOf(ControlKind.Switch.class);
        enterInto("key-volts", "much");
        assertShows("Volts is a number, not \"much\"");
    }

    /** The page asks for one pair after the other until the switch is known. */
    @Test
    @Tag(OFF_SCREEN)
    void aSwitchIsFoundPairByPair() {
        log("identify");
        chip("identify-switch");
        typeInto("switch-terminals", "A B C");
        enterInto("switch-positions", "up down");
        assertThat(text("switch-next")).isEqualTo("Try A and B. Closed in:");
        clickOn(node("switch-at-up"));
        press("switch-note");
        assertThat(text("switch-next")).isEqualTo("Try A and C. Closed in:");
        clickOn(node("switch-at-down"));
        press("switch-note");
        assertThat(byId("switch-next")).isEmpty();
        assertThat(table("probe-results-switch").getItems().toString()).contains("A, common");
        press("switch-keep");
        assertThat(bench.design().parts().getLast().kind().pins()).containsExactly("A", "B", "C");
    }

    /** Main 60 W, dip 55 W, tail 5 W at 12.6 V, and an 18 W lamp for 6 V. */
    @Test
    @Tag(OFF_SCREEN)
    void fourLampLeadsAreToldApart() {
        log("identify");
        chip("identify-leads");
        for (var read : List.of("one 4.43", "two 4.06", "three 0.357", "four 3.76")) {
            typeInto("lead-name", read.split(" ")[0]);
            enterInto("lead-amps", read.split(" ")[1]);
        }
        assertThat(table("probe-results-leads").getItems().toString())
                .contains(
                        "[one, 1, headlamp main, 60 W",
                        "[two, 1, headlamp dip, 55 W",
                        "[three, 1, tail, 5 W",
                        "[four, 1, half-volts lamp, made for 6 V: stop or flasher, 18 W");
        assertShows("no motor through it");
    }

    /** Fourteen ways, three of which go round in a circle: one of them waits in the spare place. */
    @Test
    @Tag(OFF_SCREEN)
    void aDashPlugIsMoved() {
        var was = "a b c d e f g h i j k l m n".split(" ");
        var wants = "b c a d e f g h i j k l n m".split(" ");
        box("plug, as it is", was);
        box("plug, as the device wants it", wants);
        log("change");
        chip("change-plug");
        choose("plug-from", 1);
        choose("plug-to", 2);
        assertThat(table("plug-table").getItems()).hasSize(7 + 9);
        var first = table("plug-table").getItems().getFirst().toString();
        assertThat(first).contains("MOVE", "to=spare");
        interact(() -> {
            table("plug-table").requestFocus();
            table("plug-table").getSelectionModel().clearAndSelect(0);
        });
        push(KeyCode.SPACE);
        push(KeyCode.SPACE);
        settle();
        assertThat(bench.job().work().diary().ticked()).hasSize(2);
        press("plug-print");
        until(() -> byId("preview").isPresent());
    }

    /** A line of a plug says what a function is given and whether its lamp proves out. */
    @Test
    @Tag(OFF_SCREEN)
    void aPlugSaysWhatEachWayIsGiven() {
        box("was", new String[] {"1, oil, white, oil lamp, live, silent"});
        box("wants", new String[] {"A, oil lamp, , , earth, proves"});
        log("change");
        chip("change-plug");
        choose("plug-from", 1);
        choose("plug-to", 2);
        assertShows("oil lamp: was given live, now wants earth");
        assertShows("a diode keeps them apart");
        log("survey");
        interact(() -> ((TextArea) node("box-ways")).setText("1, oil, white, , sideways"));
        typeInto("box-name", "third");
        press("box-note");
        assertShows("a function is given live or earth, not sideways");
    }

    @Test
    @Tag(OFF_SCREEN)
    void boltsAreNoted() {
        log("plan");
        chip("plan-torque");
        typeInto("fastener-name", "alternator bracket");
        typeInto("fastener-thread", "m8");
        assertShows("class 8.8: 25 N\u00b7m");
        enterInto("fastener-torque", "very");
        assertShows("Not noted");
        enterInto("fastener-torque", "22");
        assertThat(bench.job().work().diary().fasteners())
                .singleElement()
                .satisfies(bolt -> assertThat(bolt.torque()).isEqualTo(22));
        interact(() -> {
            table("fastener-table").requestFocus();
            table("fastener-table").getSelectionModel().clearAndSelect(0);
        });
        push(KeyCode.DELETE);
        settle();
        assertThat(bench.job().work().diary().fasteners()).isEmpty();
    }

    private void box(String name, String[] functions) {
        log("survey");
        typeInto("box-name", name);
        interact(() -> {
            @SuppressWarnings("unchecked")
            var sort = (ComboBox<FoundBox.Sort>) node("box-sort");
            sort.setValue(FoundBox.Sort.PLUG);
            ((TextArea) node("box-ways")).setText(String.join("\n", functions));
        });
        press("box-note");
        interact(() -> ((ComboBox<?>) node("box-all")).getSelectionModel().select(0));
    }

    private void choose(String id, int index) {
        interact(() -> ((ComboBox<?>) node(id)).getSelectionModel().select(index));
        settle();
    }

    /** One relay into one lamp circuit: the smallest job, the verb, the changes, a quick proof. */
    @Test
    void oneThingIsChanged() throws Exception {
        log("change");
        chip("change-one");
        press("one-make");
        assertThat(bench.design().parts()).hasSize(6);
        assertThat(bench.job().work().found()).contains(bench.design());
        settle();
        push(KeyCode.DIGIT1);
        settle();
        clickOn(wire("4"));
        settle();
        push(KeyCode.R);
        settle();
        assertThat(bench.design().parts().getLast().kind()).isInstanceOf(ControlKind.Relay.class);
        var changes = ChangeList.of(bench.job());
        assertThat(changes)
                .filteredOn(each -> each instanceof Change.OfPart)
                .filteredOn(each -> each.sort() == Change.Sort.NEW)
                .hasSize(1);
        log("change");
        chip("change-list");
        until(() -> !table("change-table").getItems().isEmpty());
        interact(() -> {
            table("change-table").requestFocus();
            table("change-table").getSelectionModel().clearAndSelect(0);
        });
        push(KeyCode.SPACE);
        settle();
        assertThat(bench.job().work().diary().ticked()).hasSize(1);
        assertThat(text("change-state")).contains("1 done");
        answers.write = Optional.of(folder.resolve("changes.csv"));
        clickOn(button("Save as CSV"));
        until(() -> Files.exists(folder.resolve("changes.csv")));
        assertThat(Files.readString(folder.resolve("changes.csv")))
                .startsWith("Change,What,From,To,Done")
                .contains("new,\"K1");
        push(KeyCode.DIGIT5);
        settle();
        interact(() -> bench.setting().set(BenchRun.Setting.PROOF));
        until(() -> bench.plan().get().isPresent());
        settle();
        assertThat(bench.plan().get().orElseThrow().made().steps()).isNotEmpty();
    }

    /** Two hours tonight: picked, ticked with Space, timed with L. */
    @Test
    void anEveningIsPlannedAndTimed() {
        log("plan");
        until(() -> !evening().getItems().isEmpty());
        var plan = Plan.of(bench.job());
        assertThat(evening().getItems()).hasSameSizeAs(plan.evening(120).picks());
        interact(() -> {
            evening().requestFocus();
            evening().getSelectionModel().clearAndSelect(0);
        });
        var first = plan.evening(120).picks().getFirst();
        push(KeyCode.L);
        settle();
        assertThat(bench.job().work().diary().running().orElseThrow().task())
                .contains(first.task().key());
        push(KeyCode.L);
        settle();
        assertThat(bench.job().work().diary().entries())
                .singleElement()
                .satisfies(entry -> assertThat(entry.minutes()).isEqualTo(1));
        interact(() -> evening().requestFocus());
        push(KeyCode.SPACE);
        settle();
        assertThat(Plan.of(bench.job()).find(first.task().key()).orElseThrow().isDone()).isTrue();
        int before = evening().getItems().size();
        interact(() -> ((Slider) node("plan-hours")).setValue(4));
        assertThat(evening().getItems().size()).isGreaterThan(before);
        assertThat(((Labeled) node("plan-asked")).getText()).isEqualTo("4 h");
        assertShows(Words.of("plan.ends", Plan.of(bench.job()).evening(240).battery()));
    }

    private ListView<?> evening() {
        return (ListView<?>) node("plan-tonight");
    }

    @Test
    void theDiaryIsWrittenAndTheBookPrinted() throws Exception {
        log("diary");
        @SuppressWarnings("unchecked")
        var sort = (ComboBox<Diary.Sort>) node("diary-sort");
        interact(() -> sort.setValue(Diary.Sort.OPEN));
        enterInto("diary-words", "paint the edge");
        assertThat(bench.job().work().diary().entries())
                .singleElement()
                .satisfies(entry -> assertThat(entry.closed()).isFalse());
        interact(() -> table("diary-table").requestFocus());
        push(KeyCode.SPACE);
        settle();
        assertThat(bench.job().work().diary().entries().getFirst().closed()).isTrue();
        push(KeyCode.DELETE);
        settle();
        assertThat(bench.job().work().diary().entries()).isEmpty();
        press("undo");
        assertThat(bench.job().work().diary().entries()).hasSize(1);
        typeInto("diary-minutes", "long");
        enterInto("diary-words", "x");
        assertShows("Not written: Minutes is a number");

        press("log-tab-handover");
        press("handover-print");
        until(() -> byId("preview").isPresent());
        answers.write = Optional.of(folder.resolve("book.pdf"));
        push(KeyCode.ENTER);
        until(() -> Files.exists(folder.resolve("book.pdf")));
        assertThat(Files.size(folder.resolve("book.pdf"))).isGreaterThan(20_000);
    }

    /** A diary of years stays usable: written to and read within the time of a press. */
    @Test
    @Tag(OFF_SCREEN)
    void aDiaryOfFiveThousandEntriesIsShown() {
        var entries = new ArrayList<Diary.Entry>();
        var at = Instant.parse("2020-01-01T08:00:00Z");
        for (int i = 0; i < 5000; i++) {
            entries.add(
                    new Diary.Entry(
                            at.plusSeconds(3600L * i),
                            Diary.Sort.WORK,
                            Optional.empty(),
                            Optional.empty(),
                            30,
                            "entry " + i,
                            "",
                            List.of(),
                            false));
        }
        onScreen(() ->
                bench.perform(
                        new WorkEdit.Write(
                                WorkEdit.About.ENTRY,
                                diary ->
                                        new Diary(
                                                entries,
                                                diary.ticked(),
                                                diary.running(),
                                                diary.rate(),
                                                diary.fasteners()))));
        log("diary");
        enterInto("diary-words", "one more");
        assertThat(table("diary-table").getItems()).hasSize(5001);
        assertThat(bench.job().work().diary().entries().getLast().words()).isEqualTo("one more");
        assertThat(bench.job().work()).isNotEqualTo(Work.NONE);
    }

    /** Of a kit every lead goes somewhere or is unused, and its settings are kept. */
    @Test
    @Tag(OFF_SCREEN)
    void aKitIsNoted() {
        log("change");
        chip("change-kit");
        typeInto("kit-name", "fan kit");
        typeInto("kit-what", "air conditioning");
        enterInto("kit-lead", "a");
        typeInto("kit-what", "feed");
        enterInto("kit-lead", "b");
        interact(() -> table("kit-table").getSelectionModel().clearAndSelect(0));
        press("kit-leave");
        enterInto("kit-goes", "nowhere");
        assertShows("There is no terminal nowhere");
        enterInto("kit-goes", "B1.+");
        typeInto("kit-value", "on");
        enterInto("kit-setting", "switch 1");
        var kit = bench.job().work().survey().kits().getFirst();
        assertThat(kit.leads().get(0).done()).isPresent();
        assertThat(kit.leads().get(1).goes().map(Object::toString)).contains("B1.+");
        assertThat(kit.settings()).hasSize(1);
        enterInto("kit-into", "B1");
        assertShows("There is no connector B1");
        typeInto("kit-size", "0.5");
        typeInto("kit-fuse", "30");
        enterInto("kit-lead", "c");
        assertShows("Lead c: its fuse of 30.0 A is larger than what the lead carries");
        assertThat(bench.job().work().allUnused()).hasSize(1);
    }
}
