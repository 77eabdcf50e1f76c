package aficion.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.check.finding.FitFinding;
import aficion.desktop.workbench.Selection;
import aficion.forming.Loom;
import aficion.harness.Dress;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.Laid;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.make.CutLength;
import aficion.make.Making;
import aficion.quantity.Metres;
import aficion.quantity.SquareMillimetres;
import aficion.route.Plan;
import aficion.route.Run;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.WireSizing;
import aficion.stock.Stock;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The harness of a new car, by keys and presses: from its run lengths to a loom that is made. */
class FromNothingTest extends WindowTest {
    private static final int RUNS = 10;
    private static final StationId BOOT = new StationId("boot");

    @TempDir Path folder;

    private Plan plan() {
        return bench.design().body().orElseThrow().plan();
    }

    private Set<RunId> measured() {
        return plan().runs().stream()
                .filter(run -> run.measured().isPresent())
                .map(Run::id)
                .collect(Collectors.toSet());
    }

    /** Off screen alone: what it presses is pressed in a real window elsewhere. */
    @Test
    @Tag("off-screen")
    void aHarnessIsMeasuredFittedPrintedAndMade() throws IOException {
        newCar();
        runsAreMeasured();
        sizesFollow();
        aGrommetIsMended();
        listsAreSaved();
        aLoomIsMade();
    }

    private void newCar() {
        settle();
        push(KeyCode.CONTROL, KeyCode.N);
        typeInto("new-job-name", "Wren");
        typeInto("new-job-year", "1964");
        clickOn(node("new-job-begin"));
        until(() -> byId("new-job").isEmpty());
        settle();
        assertThat(bench.design().wires())
                .hasSizeGreaterThan(60)
                .filteredOn(wire -> wire.unguarded().isEmpty())
                .allSatisfy(wire -> {
                    assertThat(wire.laid()).isInstanceOf(Laid.Routed.class);
                    assertThat(wire.length() instanceof RunLength.Assumed)
                            .isEqualTo(!ridden(bench.design(), wire).isEmpty());
                });
        assertThat(measured()).isEmpty();
    }

    private Map<WireId, SquareMillimetres> needed() {
        until(() ->
                bench.assessed()
                        .get()
                        .filter(found -> found.design() == bench.design())
                        .isPresent());
        var needed = new HashMap<WireId, SquareMillimetres>();
        bench.assessed()
                .get()
                .orElseThrow()
                .assessment()
                .sizings()
                .forEach((wire, sizing) ->
                        sizing.needed().ifPresent(size -> needed.put(wire, size.copper())));
        return needed;
    }

    private WireSizing sizing(WireId wire) {
        return bench.assessed().get().orElseThrow().assessment().sizing(wire).orElseThrow();
    }

    /** A car twice as large as was assumed: what needs more copper rides what was measured. */
    private void runsAreMeasured() {
        var before = needed();
        push(KeyCode.DIGIT2);
        until(() -> byId("board-drawing").isPresent());
        for (int i = 1; i <= RUNS; i++) {
            int now = i;
            typeInto("next-length", "3.0");
            interact(() -> node("next-length").requestFocus());
            push(KeyCode.ENTER);
            until(() -> measured().size() == now);
            until(() -> ((TextField) node("next-length")).getText().isEmpty());
        }
        var after = needed();
        var more =
                after.keySet().stream()
                        .filter(wire -> after.get(wire).value() > before.get(wire).value())
                        .toList();
        assertThat(more).isNotEmpty();
        assertThat(more)
                .allSatisfy(wire ->
                        assertThat(sizing(wire).path().wires())
                                .anySatisfy(each ->
                                        assertThat(ridden(bench.design(), each))
                                                .containsAnyElementsOf(measured())));
    }

    private static List<RunId> ridden(Design design, Wire wire) {
        return design.way(wire).orElseThrow().runs();
    }

    private Set<WireId> thin() {
        var thin = new HashSet<WireId>();
        needed().forEach((wire, copper) -> {
            if (bench.design().wire(wire).conductor().copper().value() < 0.999 * copper.value()) {
                thin.add(wire);
            }
        });
        return thin;
    }

    /**
     * The size of what is now too thin follows by a key, where most is; twice, since more flows
     * where a feed has become thicker.
     */
    private void sizesFollow() {
        var most =
                thin().stream()
                        .map(wire -> bench.design().wire(wire).circuit())
                        .collect(Collectors.groupingBy(each -> each, Collectors.counting()))
                        .entrySet()
                        .stream()
                        .max(Map.Entry.comparingByValue())
                        .orElseThrow()
                        .getKey();
        onScreen(() -> node("board").requestFocus());
        focusOn(most.value());
        for (int pass = 0; pass < 2; pass++) {
            push(KeyCode.ALT, KeyCode.S);
            settle();
        }
        assertThat(thin()).noneMatch(wire -> bench.design().wire(wire).circuit().equals(most));
    }

    private Optional<FitFinding.GrommetTooSmall> tooSmall() {
        return bench.assessed().get().stream()
                .filter(found -> found.design() == bench.design())
                .flatMap(found -> found.findings().stream())
                .filter(FitFinding.GrommetTooSmall.class::isInstance)
                .map(FitFinding.GrommetTooSmall.class::cast)
                .findFirst();
    }

    private Optional<Button> remedy(String says) {
        return lookup(".main-button").queryAllAs(Button.class).stream()
                .filter(button -> button.getText().contains(says))
                .findFirst();
    }

    /**
     * The narrowest grommet in the hole that most passes is found, and the next that fits taken.
     */
    private void aGrommetIsMended() {
        var hole =
                plan().stations().stream()
                        .filter(station -> station.form() == Station.Form.HOLE)
                        .max((one, other) ->
                                Dress.passing(bench.design(), one).size()
                                        - Dress.passing(bench.design(), other).size())
                        .orElseThrow();
        onScreen(() -> bench.selection().set(new Selection.OfStation(hole.id())));
        until(() -> byId("station-bore").isPresent());
        onScreen(() -> node("station-bore").requestFocus());
        push(KeyCode.DOWN);
        push(KeyCode.HOME);
        push(KeyCode.ENTER);
        until(() -> tooSmall().isPresent());
        var found = tooSmall().orElseThrow();
        assertThat(found.bore().value()).isLessThan(found.bundle().value());
        until(() -> remedy("grommet").isPresent());
        onScreen(() -> remedy("grommet").orElseThrow().fire());
        until(() -> tooSmall().isEmpty());
        settle();
        assertThat(plan().station(hole.id()).bore().orElseThrow().value())
                .isGreaterThanOrEqualTo(Dress.GROMMET_ROOM * found.bundle().value());
    }

    /** Presses what saves a list, beside it. */
    private void save(String list, String how) {
        onScreen(() ->
                node("list-" + list).getParent().lookupAll(".plain-button").stream()
                        .map(Button.class::cast)
                        .filter(button -> button.getText().equals(how))
                        .forEach(Button::fire));
    }

    /** Labels, two lines a wire, and the cut list, one. */
    private void listsAreSaved() throws IOException {
        press("view-make");
        for (var list : List.of("labels", "cut")) {
            var csv = folder.resolve(list + ".csv");
            var pdf = folder.resolve(list + ".pdf");
            press("make-tab-" + list);
            until(() -> byId("list-" + list).isPresent());
            answers.write = Optional.of(csv);
            save(list, "Save as CSV");
            until(() -> Files.exists(csv));
            answers.write = Optional.of(pdf);
            save(list, "Save as PDF");
            press("preview-write");
            until(() -> Files.exists(pdf));
            push(KeyCode.ESCAPE);
            until(() -> byId("preview").isEmpty());
        }
        int wires = bench.design().wires().size();
        assertThat(Files.readAllLines(folder.resolve("labels.csv"))).hasSize(2 * wires + 1);
        assertThat(Files.readAllLines(folder.resolve("cut.csv"))).hasSize(wires + 1);
    }

    /** A plug at the boot makes a loom of its own: wire after wire it is made, off its spools. */
    private void aLoomIsMade() throws IOException {
        press("view-board");
        onScreen(() -> bench.selection().set(new Selection.OfStation(BOOT)));
        until(() -> byId("station-form").isPresent());
        clickOn("#station-form");
        push(KeyCode.END);
        push(KeyCode.ENTER);
        until(() -> plan().station(BOOT).form() == Station.Form.PLUG);
        settle();
        press("view-make");
        var design = bench.design();
        var looms = Loom.of(design);
        int number = 1;
        for (int i = 0; i < looms.size(); i++) {
            if (looms.get(i).wires(design).size() < looms.get(number - 1).wires(design).size()) {
                number = i + 1;
            }
        }
        var wires = looms.get(number - 1).wires(design);
        var stock = Stock.EMPTY;
        double cut = 0;
        for (var wire : wires) {
            double length = CutLength.of(design, wire).cut().value();
            cut += length;
            stock =
                    stock.adding(
                            new Cut(wire.size(), wire.insulation(), wire.colour()),
                            new Metres(length + 1));
        }
        var kept = stock;
        files.drawer().change(_ -> kept);
        double had = metres();
        press("make-tab-steps");
        until(() -> byId("steps-loom").isPresent());
        clickOn("#steps-loom");
        for (int i = 0; i < number; i++) {
            push(KeyCode.DOWN);
        }
        push(KeyCode.ENTER);
        settle();
        assertThat(((ComboBox<?>) node("steps-loom")).getValue()).isEqualTo(number);
        until(() ->
                wires.stream()
                        .allMatch(wire ->
                                files.drawer().cutting().get().from().containsKey(wire.id())));
        int steps =
                Making.of(design).of(wires).wires().stream()
                        .mapToInt(work -> work.steps().size())
                        .sum();
        for (int i = 0; i < steps; i++) {
            push(KeyCode.SPACE);
        }
        settle();
        assertThat(Making.of(design).of(wires).left(bench.job().work()).wires()).isEmpty();
        assertThat(had - metres()).isCloseTo(cut, within(1e-6));
        push(KeyCode.B);
        settle();
        assertThat(Making.of(design).of(wires).left(bench.job().work()).wires()).hasSize(1);
    }

    private double metres() {
        return files.drawer().stock().get().spools().stream()
                .mapToDouble(spool -> spool.left().value())
                .sum();
    }
}
