package aficion.files.sheet;

import static aficion.files.sheet.PdfText.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import aficion.files.DemoJobs;
import aficion.forming.Loom;
import aficion.job.Cut;
import aficion.job.Job;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.WorkshopPractice;
import aficion.job.edit.VehicleEdit;
import aficion.job.edit.WorkEdit;
import aficion.make.Bands;
import aficion.make.Making;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.stock.Stock;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jgrapht.alg.clique.BronKerboschCliqueFinder;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Steps and labels as hands take them to the bench. */
class HandSheetsTest {
    private static Job demo(String name) {
        return DemoJobs.find(name).orElseThrow();
    }

    /** Every wire of a loom is on its sheet, every other one on that of the wires apart. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void theStepsOfEveryWireAreOnOneSheet(String name) throws IOException {
        var job = demo(name);
        var looms = Loom.of(job.design());
        var sheet = new StepSheet(job, Stock.EMPTY, UserUnits.METRIC);
        var all = new StringBuilder();
        for (var loom : looms) {
            var text = text(sheet.of(loom));
            assertThat(loom.wires(job.design()))
                    .allSatisfy(wire -> assertThat(text).contains(wire.number()));
            all.append(text);
        }
        sheet.apart(looms)
                .ifPresent(pdf -> {
                    try {
                        all.append(text(pdf));
                    } catch (IOException e) {
                        throw new AssertionError(e);
                    }
                });
        assertThat(job.design().wires())
                .allSatisfy(wire -> assertThat(all).contains(wire.number()));
        assertThat(all).contains("Slide on", "Strip", "no strand cut", "until it clicks");
    }

    /** What is cut says from which spool, and a wire through a hole is led through its grommet. */
    @Test
    void stepsSaySpoolAndGrommet() throws IOException {
        var job = demo("roadster");
        var loom = Loom.of(job.design()).getFirst();
        var wire = loom.wires(job.design()).getFirst();
        var stock =
                Stock.EMPTY.adding(
                        new Cut(wire.size(), wire.insulation(), wire.colour()), new Metres(30));

        var text = text(new StepSheet(job, stock, UserUnits.METRIC).of(loom));

        assertThat(text).contains("from spool 1", "through the grommet");
    }

    /** Two labels a wire; as many sheets as it takes. */
    @Test
    void aLabelForEachEnd() throws IOException {
        var design = demo("motorcycle").design();
        int labels = 2 * design.wires().size();
        try (var document = Loader.loadPDF(new LabelSheet(3, 8, 60, 25).of(design))) {
            assertThat(document.getNumberOfPages()).isEqualTo((labels + 23) / 24);
            assertThat(document.getPage(0).getMediaBox().getWidth())
                    .isEqualTo(PDRectangle.A4.getWidth());
            var text = new PDFTextStripper().getText(document);
            for (var work : Making.of(design).wires()) {
                for (var end : work.ends()) {
                    assertThat(text)
                            .contains(work.wire().number() + " ")
                            .contains(end.at().toString());
                }
            }
        }
    }

    @Test
    void aSheetIsReadAsItIsWritten() {
        assertThat(LabelSheet.parse("3 x 8, 60 x 25 mm")).contains(new LabelSheet(3, 8, 60, 25));
        assertThat(LabelSheet.parse(LabelSheet.USUAL.toString())).contains(LabelSheet.USUAL);
        for (var wrong :
                new String[] {"", "3 x 8", "9 x 9, 60 x 25", "1 x 1, 5 x 30", "2 x 2, 20 x 3"}) {
            assertThat(LabelSheet.parse(wrong)).as(wrong).isEmpty();
        }
        assertThatIllegalArgumentException().isThrownBy(() -> new LabelSheet(0, 1, 50, 20));
    }

    /** An open barrel is closed as the house does it, and the list to buy has its tool. */
    @Test
    void openBarrelsAreClosedAsTheHouseDoes() throws IOException {
        var job = demo("roadster");
        var rules = job.design().rules().withSchool(WorkshopPractice.INSULATION_SET);
        var other = job.with(new VehicleEdit.SetRules(rules).apply(job.design()));
        var loom = Loom.of(job.design()).getFirst();

        assertThat(text(new StepSheet(job, Stock.EMPTY, UserUnits.METRIC).of(loom)))
                .contains("conductor, then insulation");
        assertThat(text(new StepSheet(other, Stock.EMPTY, UserUnits.METRIC).of(loom)))
                .contains("insulation set lightly");
        assertThat(Listings.Kind.BUY.of(job, Stock.EMPTY, UserUnits.METRIC).rows())
                .extracting(List::getFirst)
                .contains("open barrel: conductor, then insulation");
    }

    /**
     * Wires that all meet each other need a code each; one more than the most of them is allowed.
     */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void bandsAreAsFewAsCanBe(String name) {
        var design = demo(name).design();
        var meeting = new SimpleGraph<WireId, DefaultEdge>(DefaultEdge.class);
        design.wires().forEach(wire -> meeting.addVertex(wire.id()));
        var groups = new ArrayList<>(design.riders().values());
        design.wires().stream()
                .filter(wire -> wire.bundle().isPresent())
                .collect(Collectors.groupingBy(Wire::bundle))
                .values()
                .forEach(groups::add);
        for (var group : groups) {
            for (var one : group) {
                group.stream()
                        .filter(other -> !other.equals(one))
                        .forEach(other -> meeting.addEdge(one.id(), other.id()));
            }
        }
        int most = new BronKerboschCliqueFinder<>(meeting).maximumIterator().next().size();

        assertThat(new HashSet<>(Bands.of(design).worn().values())).hasSizeBetween(most, most + 1);
    }

    /** The list of what is cut names the spool, and what is cut already says so. */
    @Test
    void theCutListKnowsTheStock() {
        var job = demo("roadster");
        var first = Making.of(job.design()).wires().getFirst();
        var wire = first.wire();
        var stock =
                Stock.EMPTY.adding(
                        new Cut(wire.size(), wire.insulation(), wire.colour()), new Metres(40));
        var list = Listings.Kind.CUT.of(job, stock, UserUnits.METRIC);
        assertThat(list.rows().getFirst().getLast()).isEqualTo("spool 1");
        assertThat(list.rows().getLast().getLast()).isEqualTo("none has enough");

        var cut = new WorkEdit.Make(wire.id(), 1).apply(job);
        assertThat(Listings.Kind.CUT.of(cut, stock, UserUnits.METRIC).rows().getFirst().getLast())
                .isEqualTo("is cut");
    }

    /** What is in stock is not bought, and what has a price is summed. */
    @Test
    void whatIsInStockIsNotBought() {
        var job = demo("roadster");
        var wire = Making.of(job.design()).wires().getFirst().wire();
        var all = Listings.Kind.BUY.of(job, Stock.EMPTY, UserUnits.METRIC);
        var stock =
                Stock.EMPTY
                        .adding(
                                new Cut(wire.size(), wire.insulation(), wire.colour()),
                                new Metres(40))
                        .counting(wire.from().termination(), 1000)
                        .pricing("1.5mm2", 0.5);
        var less = Listings.Kind.BUY.of(job, stock, UserUnits.METRIC);

        assertThat(all.rows()).allSatisfy(row -> assertThat(row.getLast()).isEmpty());
        assertThat(less.rows()).hasSize(all.rows().size() - 2 + 1);
        assertThat(less.rows().getLast().getFirst()).isEqualTo("Sum");
        assertThat(Double.parseDouble(less.rows().getLast().getLast())).isPositive();
    }
}
