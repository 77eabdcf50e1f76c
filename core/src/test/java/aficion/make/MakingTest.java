package aficion.make;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.catalogue.Ends;
import aficion.catalogue.Terminals;
import aficion.job.AnyJob;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Work;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
import aficion.make.EndWork.Act;
import aficion.quantity.SquareMillimetres;
import aficion.stock.Shopping;
import aficion.stock.Shopping.Item;
import aficion.stock.Stock;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Cut lengths, ends, the order of hands and what is bought, by hand. */
class MakingTest {
    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .lamp("H1", 21)
                    .lamp("H2", 21)
                    .wire("B1.+", "F1.1", "2.5mm2", 0.5)
                    .wire("F1.2", "H1.58", "1mm2", 2)
                    .wire("F1.2", "H2.58", "1mm2", 3)
                    .build();

    /** 2 m + 3 % + 2 · 50 mm for loops + what is stripped, rounded up to 10 mm. */
    @Test
    void aCutLengthIsTheSumOfItsTerms() {
        var wire = DESIGN.wires().get(2);
        var cut = CutLength.of(DESIGN, wire);
        double ends =
                cut.ends().stream()
                        .mapToDouble(end ->
                                end.rise().value() + end.loop().value() + end.strip().value())
                        .sum();
        double sum = cut.along().value() + cut.slack().value() + ends;

        assertThat(cut.along().value()).isEqualTo(2);
        assertThat(cut.slack().value()).isCloseTo(0.06, within(1e-12));
        assertThat(cut.ends()).allSatisfy(end -> assertThat(end.loop().value()).isEqualTo(0.05));
        assertThat(cut.cut().value()).isBetween(sum, sum + 0.01);
        assertThat(100 * cut.cut().value())
                .isCloseTo(Math.rint(100 * cut.cut().value()), within(1e-9));
    }

    /** On one stud the most copper lies lowest; a bolt to the body has one nut, M8 6 N·m. */
    @Test
    void ringsAreStackedByTheirCopper() {
        var design =
                DesignBuilder.twelveVolts()
                        .earth("E2")
                        .lamp("H1", 21)
                        .lamp("H2", 21)
                        .wire("H1.31", "E2.E", "1mm2", 1)
                        .wire("E2.E", "B1.-", "16mm2", 1)
                        .wire("H2.31", "E2.E", "2.5mm2", 1)
                        .build();
        for (var wire : design.wiresAt(Terminal.parse("E2.E").orElseThrow())) {
            design =
                    new WireEdit.Crimp(
                                    wire.id(),
                                    Terminal.parse("E2.E").orElseThrow(),
                                    Termination.RING_M8)
                            .apply(design);
        }
        var stack = StudStack.of(design, Terminal.parse("E2.E").orElseThrow()).orElseThrow();

        assertThat(stack.rings())
                .extracting(wire -> wire.size().toString())
                .containsExactly("16mm2", "2.5mm2", "1mm2");
        assertThat(stack.place(stack.rings().getLast())).isEqualTo(3);
        assertThat(stack.nuts()).isEqualTo(1);
        assertThat(stack.torque()).contains(6.0);
        assertThat(StudStack.of(design, Terminal.parse("H1.58").orElseThrow())).isEmpty();
    }

    /** IEC 60352-2: 60 N at 0.5 mm², 150 at 1.5, 230 at 2.5; between two the lower one. */
    @ParameterizedTest
    @CsvSource({"0.5, 60", "1, 108", "1.5, 150", "2, 150", "2.5, 230", "4, 310", "10, 380"})
    void aCrimpMustStandWhatItsCopperStands(double section, double newtons) {
        assertThat(Ends.pull(new SquareMillimetres(section))).contains(newtons);
    }

    @Test
    void noHandPullsEnoughOnThickCopper() {
        assertThat(Ends.pull(new SquareMillimetres(25))).isEmpty();
        assertThat(Ends.pull(new SquareMillimetres(0.1))).isEmpty();
    }

    @Test
    void everyFamilyOfTerminalsIsMadeSomehow() {
        assertThat(Terminals.Family.values())
                .allSatisfy(family -> assertThat(Ends.of(family).strip().value()).isPositive());
    }

    /** Two wires leave the fuse in one barrel: their copper adds up. */
    @Test
    void wiresInOneBarrelAreCrimpedTogether() {
        var end = EndWork.of(DESIGN, DESIGN.wires().get(2), DESIGN.wires().get(2).from());

        assertThat(end.with()).containsExactly(DESIGN.wires().get(3));
        assertThat(end.copper().value()).isEqualTo(2);
        assertThat(end.pull()).contains(150.0);
    }

    /** One reel after another, the longest wire of each first. */
    @Test
    void wiresAreMadeReelByReelLongestFirst() {
        assertThat(Making.of(DESIGN).wires())
                .extracting(work -> work.wire().number())
                .containsExactly("4", "3", "2", "1");
    }

    static List<Design> designs() {
        return IntStream.range(0, 500).mapToObj(seed -> AnyJob.of(seed)).toList();
    }

    /** Nothing is slid on behind its terminal, and nothing is pulled before it is crimped. */
    @ParameterizedTest
    @MethodSource("designs")
    void noStepTrapsTheNext(Design design) {
        for (var work : Making.of(design).wires()) {
            var steps = work.steps();
            assertThat(steps.getFirst().act()).isEqualTo(Act.CUT);
            assertThat(steps).filteredOn(step -> step.act() == Act.CUT).hasSize(1);
            for (var end : work.ends()) {
                var acts =
                        steps.stream()
                                .filter(step -> step.end().filter(end::equals).isPresent())
                                .map(Making.Step::act)
                                .toList();
                assertThat(acts).isSorted().doesNotHaveDuplicates();
                assertThat(acts).contains(Act.SLIDE_ON, Act.STRIP, Act.CRIMP, Act.PLACE);
                assertThat(acts.indexOf(Act.SLIDE_ON)).isLessThan(acts.indexOf(Act.CRIMP));
            }
            // A grommet goes on while one end is still bare.
            assertThat(work.ends().getFirst().through()).isEmpty();
        }
    }

    @Test
    void theWorkSaysWhatIsMadeAndWhatComesNext() {
        var making = Making.of(DESIGN);
        var first = making.wires().getFirst();
        var begun = new WorkEdit.Make(first.wire().id(), 3).apply(Work.NONE);
        var made = new WorkEdit.Make(first.wire().id(), first.steps().size()).apply(begun);
        var undone = new WorkEdit.Make(first.wire().id(), 0).apply(made);

        assertThat(first.done(begun)).isEqualTo(3);
        assertThat(making.next(begun)).contains(first);
        assertThat(making.made(made)).isEqualTo(1);
        assertThat(making.next(made)).contains(making.wires().get(1));
        assertThat(undone).isEqualTo(Work.NONE);
    }

    /** 1 mm²: 2.18 + 3.21 m and an eighth are 7 m; and one spare fuse. */
    @Test
    void whatIsBoughtIsWhatIsCutAndABitMore() {
        var items = Shopping.of(DESIGN, Work.NONE, Stock.EMPTY);
        var thin =
                items.stream()
                        .filter(item ->
                                item instanceof Item.OfWire(var cut, _)
                                        && cut.size().designation().equals("1"))
                        .map(Item.OfWire.class::cast)
                        .toList();

        assertThat(thin)
                .singleElement()
                .satisfies(wire -> assertThat(wire.length().value()).isEqualTo(7));
        assertThat(items)
                .filteredOn(Item.OfFuse.class::isInstance)
                .singleElement()
                .satisfies(fuse -> assertThat(((Item.OfFuse) fuse).count()).isEqualTo(2));
        assertThat(items).noneMatch(Item.OfTape.class::isInstance);
    }

    /** No two wires that are seen together wear the same, whatever the job. */
    @ParameterizedTest
    @MethodSource("designs")
    void noTwoMatesWearTheSameBands(Design design) {
        var worn = Bands.of(design).worn();

        assertThat(worn).hasSize(design.wires().size());
        assertThat(worn.values()).allSatisfy(bands -> assertThat(bands).hasSizeBetween(1, 3));
        for (var group : Bands.together(design)) {
            assertThat(group.stream().distinct().map(wire -> worn.get(wire.id())))
                    .doesNotHaveDuplicates();
        }
    }

    /** Wires that never meet wear the same single band. */
    @Test
    void wiresThatNeverMeetWearTheSame() {
        assertThat(Bands.of(DESIGN).worn().values()).containsOnly(List.of(Colour.WHITE));
    }
}
