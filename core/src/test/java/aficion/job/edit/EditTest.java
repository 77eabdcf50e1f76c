package aficion.job.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.catalogue.FuseType;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.BenchRun;
import aficion.job.BenchRun.Verdict;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Termination;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.Work.Stage;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class EditTest {
    private static final CircuitId CIRCUIT = new CircuitId("1");
    private static final WireId LAMP_WIRE = new WireId("w3");

    private final Design design =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .part(
                            "FB1",
                            new GuardKind.FuseBox(
                                    List.of(
                                            new GuardKind.Way("1", FuseType.BLADE, new Amps(5)),
                                            new GuardKind.Way("2", FuseType.GLASS, new Amps(35)))))
                    .lamp("H1", 21)
                    .wire("B1.+", "F1.1", "2.5mm2", 0.2)
                    .wire("F1.2", "H1.58", "1mm2", 3)
                    .build();

    @Test
    void aWireIsResizedRenumberedAndMeasured() {
        var size = WireSize.parse("1.5mm2").orElseThrow();
        var length = new RunLength.Measured(new Metres(4.2));
        var edit =
                new CompositeEdit(
                        CompositeEdit.Reason.GROUP,
                        List.of(
                                new WireEdit.Resize(LAMP_WIRE, size),
                                new WireEdit.Renumber(LAMP_WIRE, "5.07"),
                                new WireEdit.SetLength(LAMP_WIRE, length)));

        var wire = edit.apply(design).wire(LAMP_WIRE);

        assertThat(wire.size()).isEqualTo(size);
        assertThat(wire.number()).isEqualTo("5.07");
        assertThat(wire.length()).isEqualTo(length);
        assertThat(design.wire(LAMP_WIRE).number()).isEqualTo("3");
    }

    @Test
    void aFuseIsChangedInItsHolderOrItsWay() {
        var single = new PartEdit.FitFuse(new PartId("F1"), "", new Amps(15)).apply(design);
        var boxed = new PartEdit.FitFuse(new PartId("FB1"), "2", new Amps(25)).apply(design);

        assertThat(single.part(new PartId("F1")).kind())
                .isEqualTo(new GuardKind.Fuse(FuseType.BLADE, new Amps(15)));
        assertThat(((GuardKind.FuseBox) boxed.part(new PartId("FB1")).kind()).ways())
                .containsExactly(
                        new GuardKind.Way("1", FuseType.BLADE, new Amps(5)),
                        new GuardKind.Way("2", FuseType.GLASS, new Amps(25)));
    }

    @Test
    void aFuseIsNotFittedWhereThereIsNoSeat() {
        assertThatThrownBy(() ->
                        new PartEdit.FitFuse(new PartId("FB1"), "3", new Amps(5)).apply(design))
                .hasMessageContaining("FB1 holds no fuse 3");
        assertThatThrownBy(
                        () -> new PartEdit.FitFuse(new PartId("H1"), "", new Amps(5)).apply(design))
                .hasMessageContaining("H1 holds no fuse");
        assertThatThrownBy(
                        () -> new PartEdit.FitFuse(new PartId("F9"), "", new Amps(5)).apply(design))
                .hasMessageContaining("no part F9");
    }

    @Test
    void insertingAFuseCutsTheWireNearItsSource() {
        var fuse =
                new Part(
                        new PartId("F2"),
                        "F2",
                        Zone.DASH,
                        Optional.empty(),
                        new GuardKind.Fuse(FuseType.BLADE, new Amps(5)));
        var cut = design.wire(LAMP_WIRE);
        var lead =
                new aficion.job.Wire(
                        new WireId("new"),
                        "9",
                        CIRCUIT,
                        cut.from(),
                        new End(fuse.terminal("1"), Termination.BLADE_6_3),
                        new aficion.job.Cut(cut.size(), cut.insulation(), cut.colour()),
                        new aficion.job.Laid.Stated(cut.length(), cut.zone()));

        var changed = new PartEdit.InsertPart(LAMP_WIRE, fuse, "1", "2", lead).apply(design);

        assertThat(changed.wire(LAMP_WIRE).from().terminal()).hasToString("F2.2");
        assertThat(changed.wire(LAMP_WIRE).to()).isEqualTo(cut.to());
        assertThat(changed.wire(new WireId("new")).from()).isEqualTo(cut.from());
    }

    @Test
    void whatIsNotThereCannotBeChanged() {
        var nothing = new WireId("none");

        assertThatThrownBy(() -> new WireEdit.Renumber(nothing, "1").apply(design))
                .hasMessageContaining("no wire none");
        assertThatThrownBy(() -> new WireEdit.RemoveWire(nothing).apply(design))
                .hasMessageContaining("no wire none");
        assertThatThrownBy(() ->
                        new WorkEdit.SetStage(new CircuitId("7"), Stage.MADE, true)
                                .apply(Job.of(design)))
                .hasMessageContaining("circuit 7, which is not there");
        assertThatThrownBy(
                        () -> new PartEdit.Mount(new PartId("H9"), new PartId("E1")).apply(design))
                .hasMessageContaining("no part H9");
    }

    @Test
    void aWireAddedTwiceIsRefusedAndTheHistoryStays() {
        var history = History.of(Job.of(design));

        assertThatThrownBy(() -> history.then(new WireEdit.AddWire(design.wire(LAMP_WIRE))))
                .hasMessageContaining("w3 stands twice");
        assertThat(history.present()).isEqualTo(Job.of(design));
        assertThat(history.undoable()).isEmpty();
    }

    @Test
    void aBenchRunReplacesTheOneBegunAtTheSameTime() {
        var begun = Instant.parse("2026-11-25T10:00:00Z");
        var run = BenchRun.begun(CIRCUIT, BenchRun.Setting.BENCH, Optional.empty(), begun);
        var read = run.with(new BenchRun.Reading("a", Optional.of(12.1), Verdict.PASS, begun));
        var corrected = read.with(new BenchRun.Reading("a", Optional.of(2.1), Verdict.FAIL, begun));

        var changed =
                new WorkEdit.KeepRun(corrected).apply(new WorkEdit.KeepRun(run).apply(Work.NONE));

        assertThat(changed.bench()).containsExactly(corrected);
        assertThat(changed.latestRun(CIRCUIT).orElseThrow().readings())
                .extracting(BenchRun.Reading::verdict)
                .containsExactly(Verdict.FAIL);
    }

    @Test
    void undoAndRedoNameWhatTheyDo() {
        var first = new WireEdit.Renumber(LAMP_WIRE, "7");
        var second = new WorkEdit.SetStage(CIRCUIT, Stage.MADE, true);
        var history = History.of(Job.of(design)).then(first).then(second);

        assertThat(history.undoable()).contains(second);
        assertThat(history.undo().undoable()).contains(first);
        assertThat(history.undo().redoable()).contains(second);
        assertThat(history.undo().redo()).isEqualTo(history);
        assertThat(history.undo().then(first).redoable()).isEmpty();
        assertThat(History.of(Job.of(design)).undo().present()).isEqualTo(Job.of(design));
        assertThat(History.of(Job.of(design)).redo().present()).isEqualTo(Job.of(design));
    }

    /**
     * Whatever is done, undoing all of it gives the job that was, and redoing all of it the job
     * that is.
     */
    @RepeatedTest(40)
    void undoingEverythingGivesTheEqualJob(RepetitionInfo repetition) {
        var random = new Random(repetition.getCurrentRepetition());
        var history = History.of(Job.of(design));
        int made = 0;
        for (int i = 0; i < 25; i++) {
            try {
                history = history.then(anything(history.present().design(), random));
                made++;
            } catch (IllegalArgumentException _) {
                continue;
            }
        }
        var end = history.present();
        for (int i = 0; i < made; i++) {
            history = history.undo();
        }
        assertThat(history.present()).isEqualTo(Job.of(design));
        assertThat(history.past()).isEmpty();
        for (int i = 0; i < made; i++) {
            history = history.redo();
        }
        assertThat(history.present()).isEqualTo(end);
        assertThat(made).isGreaterThan(3);
    }

    private static Step anything(Design now, Random random) {
        var wires = new ArrayList<>(now.wires());
        var wire =
                wires.isEmpty() ? new WireId("none") : wires.get(random.nextInt(wires.size())).id();
        var sizes = aficion.catalogue.Conductors.of(WireSize.Standard.METRIC);
        return switch (random.nextInt(7)) {
            case 0 -> new WireEdit.Resize(wire, sizes.get(random.nextInt(sizes.size())).size());
            case 1 -> new WireEdit.Renumber(wire, String.valueOf(random.nextInt(9)));
            case 2 ->
                    new WireEdit.SetLength(
                            wire, new RunLength.Assumed(new Metres(random.nextDouble(120))));
            case 3 ->
                    new PartEdit.FitFuse(
                            new PartId(random.nextBoolean() ? "F1" : "H1"),
                            "",
                            new Amps(1 + random.nextInt(30)));
            case 4 -> new WireEdit.RemoveWire(wire);
            case 5 ->
                    new WorkEdit.SetStage(
                            CIRCUIT, Stage.values()[random.nextInt(6)], random.nextBoolean());
            default -> new PartEdit.Mount(new PartId("H1"), new PartId("E1"));
        };
    }
}
