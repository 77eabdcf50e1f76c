package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.desktop.drawing.MarksPane;
import aficion.files.JobCodec;
import aficion.files.JobStore;
import aficion.gauge.Needle;
import aficion.ignite.Ignition;
import aficion.job.JoinKind;
import aficion.job.Panel;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Sums;
import aficion.job.Vehicle.Pole;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The sums around the design, by keys and presses. */
class PowerTest extends WindowTest {
    /** What a real window would show no otherwise, and so is not repeated in one. */
    private static final String OFF_SCREEN = "off-screen";

    @TempDir private Path folder;

    private void power(String page) {
        push(KeyCode.DIGIT3);
        settle();
        interact(() -> ((ToggleButton) node("power-tab-" + page)).fire());
        settle();
    }

    private Sums sums() {
        return bench.job().work().sums();
    }

    private String words(String id) {
        return ((Labeled) node(id)).getText();
    }

    private static int strokes(Node plot) {
        return ((MarksPane) plot).getChildren().size();
    }

    /** Situations by a press; a drag over the plot turns the engine; the own one is kept. */
    @Test
    void aSituationIsChosenDraggedAndKept() throws Exception {
        power("balance");
        until(() -> byId("power-day").isPresent());
        assertThat(((ToggleButton) node("power-wet-night")).isSelected()).isTrue();
        assertThat(words("power-battery")).contains("At idle");
        until(() -> strokes(node("power-plot")) > 20);
        var plot = node("power-plot");
        var middle = plot.localToScene(plot.getBoundsInLocal().getWidth() / 2, 50);
        interact(() -> plot.fireEvent(mouse(MouseEvent.MOUSE_DRAGGED, middle)));
        assertThat(bench.conditions().get().engine().value()).isBetween(2500.0, 3500.0);
        answers.write = Optional.of(folder.resolve("plot.svg"));
        press("power-svg");
        until(() -> Files.exists(folder.resolve("plot.svg")));
        assertThat(Files.readString(folder.resolve("plot.svg")))
                .contains("source can give")
                .contains("polygon");
        press("power-parked");
        until(() -> words("power-still").startsWith("Drawn"));
        assertThat(plot.isVisible()).isFalse();
        press("power-cranking");
        until(() -> words("power-battery").contains("minutes"));
        enterInto("power-own-name", "to the show");
        assertThat(sums().usages()).singleElement();
        until(() -> byId("power-to the show").isPresent());
        enterInto("power-idle", "900");
        assertThat(sums().speeds().orElseThrow().idle().value()).isEqualTo(900);
        enterInto("power-top", "100");
        assertThat(sums().speeds().orElseThrow().top().value()).isEqualTo(5500);
        assertShows("cruises faster than it idles");

        var path = folder.resolve("own.aficion");
        JobStore.save(path, bench.job(), Optional.empty());
        assertThat(JobCodec.read(Files.readString(path))).isEqualTo(bench.job());
        push(KeyCode.Z, KeyCode.CONTROL);
    }

    /** Pulleys measured, the shelf held against it, one chosen, put in, taken back. */
    @Test
    @Tag(OFF_SCREEN)
    void anotherSourceIsPutInAndTakenBack() {
        power("balance");
        until(() -> byId("power-day").isPresent());
        typeInto("pulley-crank", "165");
        typeInto("pulley-source", "60");
        enterInto("pulley-apart", "300");
        assertThat(sums().pulleys().get(new PartId("G1")).ratio().value())
                .isCloseTo(2.75, within(1e-9));
        assertShows("wrapped 160\u00b0");
        enterInto("pulley-source", "0");
        assertShows("The pulleys are not taken");
        enterInto("source-curve", "1000 0, 2000");
        assertShows("pairs of speed and amps");
        enterInto("source-curve", "1000 0, 3000 30, 6000 45, max 12000");
        assertThat(((SourceKind) bench.design().part(new PartId("G1")).kind()).output())
                .hasValueSatisfying(
                        curve -> assertThat(curve.limit().orElseThrow().value()).isEqualTo(12000));
        onScreen(bench::undo);
        press("another-go");
        until(() -> byId("offer-alternator-lamp-70").isPresent());
        var before = bench.design();
        interact(() -> ((ToggleButton) node("offer-alternator-lamp-70")).fire());
        settle();
        assertShows("\u2192 25 mm\u00b2");
        press("offer-put");
        settle();
        var kind = (SourceKind.Alternator) bench.design().part(new PartId("G1")).kind();
        assertThat(kind.rated().value()).isEqualTo(70);
        assertThat(kind.pulleys().value()).isCloseTo(2.75, within(1e-9));
        assertThat(bench.job().work().found()).contains(before);
        onScreen(bench::undo);
        assertThat(bench.design()).isEqualTo(before);
    }

    @Test
    void theCoilTheCapAndTheMarksAreWorkedOut() {
        power("spark");
        assertShows("At 14.20 V a steady 4.7 A");
        typeInto("spark-ohms", "1.5");
        interact(() -> {
            @SuppressWarnings("unchecked")
            var count = (ComboBox<Integer>) node("spark-count");
            count.setValue(2);
        });
        enterInto("spark-henries", "2.5");
        assertThat(words("spark-verdict")).contains("now 4.7 A".replace("now", "Now"));
        press("spark-put");
        settle();
        assertThat(Ignition.of(bench.design()).orElseThrow().coils()).hasSize(2);
        onScreen(bench::undo);
        enterInto("spark-wanted", "3.6");
        assertThat(words("spark-ballast")).contains("R = 2.44 \u03a9");
        press("spark-ballast-put");
        settle();
        assertThat(Ignition.of(bench.design()).orElseThrow().primary().ballast().value())
                .isBetween(2.44, 2.45);
        enterInto("cap-order", "1-3-4-2");
        assertThat(words("cap-towers")).startsWith("tower 1: 1 \u00b7 tower 2: 2");
        enterInto("cap-order", "1-1-4");
        assertShows("This cap is not taken");
        assertThat(sums().cap().orElseThrow().order()).isEqualTo(List.of(1, 3, 4, 2));
        typeInto("marks-diameter", "170");
        enterInto("marks-degrees", "12");
        assertShows("17.8 mm round the rim");
        enterInto("spark-ohms", "none");
        assertShows("These figures are not taken");
    }

    /** Litres and ohms noted, taken as the sender's curve; bad ones change nothing. */
    @Test
    @Tag(OFF_SCREEN)
    void aTankIsCalibrated() {
        power("gauge");
        until(() -> strokes(node("gauge-plot")) > 5);
        assertShows("It is out by 0 % at the most");
        assertShows("proves itself with the key");
        typeInto("fill-level", "10");
        enterInto("fill-ohms", "200");
        typeInto("fill-level", "50");
        enterInto("fill-ohms", "40");
        enterInto("fill-ohms", "many");
        assertShows("That is not taken");
        var sender =
                Needle.of(bench.design()).stream()
                        .map(needle -> needle.sender().id())
                        .filter(part -> sums().fills().containsKey(part))
                        .findFirst()
                        .orElseThrow();
        assertThat(((ListView<?>) node("gauge-fills")).getItems()).hasSize(2);
        typeInto("fill-level", "60");
        enterInto("fill-ohms", "30");
        var read = (ListView<?>) node("gauge-fills");
        interact(() -> read.getSelectionModel().select(2));
        press("fill-forget");
        assertThat(read.getItems()).hasSize(2);
        press("fill-take");
        settle();
        assertThat(bench.design().part(sender).kind())
                .isInstanceOfSatisfying(
                        JoinKind.Sender.class,
                        kind -> assertThat(kind.least()).isEqualTo(new Ohms(200)));
    }

    /** A shaft, a panel with holes; none beside the panel; DXF written. */
    @Test
    void shapesAreSetDownAndWritten() throws Exception {
        power("shape");
        typeInto("pickup-shaft", "60");
        typeInto("pickup-marks", "4");
        typeInto("pickup-wheel", "620");
        enterInto("pickup-drive", "3.9");
        assertShows("8.01 pulses a metre");
        assertShows("s = 42.4 mm");
        typeInto("panel-name", "dash");
        typeInto("panel-wide", "300");
        enterInto("panel-high", "120");
        typeInto("hole-x", "60");
        enterInto("hole-y", "40");
        assertThat(sums().panels().getLast().holes())
                .singleElement()
                .satisfies(hole -> assertThat(hole.x()).isEqualTo(new Metres(0.06)));
        enterInto("hole-y", "119");
        assertShows("not wholly on the panel");
        answers.write = Optional.of(folder.resolve("dash.dxf"));
        press("panel-dxf");
        until(() -> Files.exists(folder.resolve("dash.dxf")));
        assertThat(Files.readString(folder.resolve("dash.dxf")))
                .contains("CIRCLE")
                .contains("300.0000");
        press("hole-remove");
        assertThat(sums().panels().getLast().holes()).isEmpty();
        press("panel-forget");
        assertThat(sums().panels()).extracting(Panel::name).containsExactly("switch panel");
    }

    /** The roadster at 6 V: every part judged; taken in one step, and back in one. */
    @Test
    @Tag(OFF_SCREEN)
    @SuppressWarnings("unchecked")
    void aJobIsConvertedInOneStep() {
        var before = bench.design();
        power("convert");
        press("convert-go");
        until(() -> shows("It cannot be converted"));
        interact(() -> ((ComboBox<Integer>) node("convert-volts")).setValue(6));
        press("convert-go");
        var table = (TableView<?>) node("convert-table");
        until(() -> !table.getItems().isEmpty());
        assertThat(table.getItems()).hasSameSizeAs(before.parts());
        press("convert-take");
        settle();
        assertThat(bench.design().vehicle().system()).isEqualTo(new Volts(6));
        assertThat(bench.design().vehicle().earthed()).isEqualTo(Pole.NEGATIVE);
        assertThat(bench.job().work().found()).contains(before);
        onScreen(bench::undo);
        assertThat(bench.design()).isEqualTo(before);
    }
}
