package aficion.desktop.power;

import aficion.charge.AnotherSource;
import aficion.charge.Balance;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.OutputCurve;
import aficion.job.Part;
import aficion.job.Pulleys;
import aficion.job.SourceKind;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WorkEdit.Asked;
import aficion.words.CurveText;
import aficion.words.ShapeWords;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Pulleys and curve of the source that is there: measured, and taken into the job. */
final class SourceBox extends SumBox {
    private final TextField crank = field("pulley-crank", "power.pulleys.crank", 6, this::pulleys);
    private final TextField source =
            field("pulley-source", "power.pulleys.source", 6, this::pulleys);
    private final TextField apart = field("pulley-apart", "power.pulleys.apart", 8, this::pulleys);
    private final CheckBox measured = new CheckBox(Words.of("power.pulleys.measured"));
    private final TextField curve = field("source-curve", "power.curve", 22, this::curve);
    private final VBox ratio = new VBox(3);
    private final Trouble trouble = new Trouble();

    SourceBox(Workbench bench) {
        super(bench, 7);
        measured.setId("pulley-measured");
        measured.setSelected(true);
        getChildren()
                .addAll(
                        Texts.caption(Words.of("power.pulleys")),
                        row(crank, source, apart, measured),
                        button(
                                "pulley-note",
                                "power.pulleys.note",
                                "outline-button",
                                this::pulleys),
                        ratio,
                        Texts.caption(Words.of("power.curve")),
                        Texts.wrapped(Words.of("power.curve.hint"), "quiet"),
                        curve,
                        trouble);
    }

    /** Shows what is known of the source. */
    void show() {
        ratio.getChildren().clear();
        AnotherSource.source(bench.design()).ifPresent(this::show);
    }

    private void show(Part fitted) {
        var noted = Optional.ofNullable(sums().pulleys().get(fitted.id()));
        var stands = AnotherSource.ratio(fitted);
        List.of(crank, source, apart, measured).forEach(each -> each.setDisable(stands.isEmpty()));
        put(curve, () -> curve(fitted).map(CurveText::of).orElse(""));
        if (stands.isEmpty()) {
            say("power.pulleys.none.flywheel");
            return;
        }
        noted.ifPresentOrElse(
                pulleys -> show(fitted, pulleys),
                () -> say("power.pulleys.none", print(stands.get())));
        say("power.ratio.use");
    }

    private void say(String words, Object... figures) {
        ratio.getChildren().add(Texts.wrapped(Words.of(words, figures), "quiet"));
    }

    private void show(Part fitted, Pulleys pulleys) {
        put(crank, () -> millimetres(pulleys.crank()));
        put(source, () -> millimetres(pulleys.source()));
        put(apart, () -> pulleys.apart().map(SumBox::millimetres).orElse(""));
        measured.setSelected(pulleys.measured());
        var speeds = Balance.speeds(bench.design().vehicle(), sums());
        ratio.getChildren()
                .addAll(
                        Texts.figure(Words.of("power.ratio"), print(pulleys.ratio())),
                        Texts.figure(
                                Words.of("plot.idle", speeds.idle().value()),
                                print(pulleys.source(speeds.idle()))),
                        Texts.figure(
                                Words.of("plot.top", speeds.top().value()),
                                print(pulleys.source(speeds.top()))),
                        Texts.wrapped(new ShapeWords(bench.units()).belt(pulleys), "quiet"));
        if (!AnotherSource.turnsBy(fitted, pulleys.ratio())) {
            var set =
                    Texts.button(
                            Words.of("power.pulleys.set", print(pulleys.ratio())),
                            "outline-button",
                            () -> turn(fitted, pulleys));
            set.setId("pulley-set");
            ratio.getChildren().add(set);
        }
    }

    private void turn(Part fitted, Pulleys pulleys) {
        bench.perform(
                new PartEdit.Refit(
                        fitted.id(),
                        AnotherSource.turning((SourceKind) fitted.kind(), pulleys.ratio())));
    }

    private void pulleys() {
        AnotherSource.source(bench.design())
                .ifPresent(fitted ->
                        setDown(
                                Asked.PULLEYS,
                                trouble,
                                "power.pulleys.refused",
                                sums ->
                                        sums.with(
                                                fitted.id(),
                                                new Pulleys(
                                                        millimetres(crank),
                                                        millimetres(source),
                                                        apart.getText().isBlank()
                                                                ? Optional.empty()
                                                                : Optional.of(millimetres(apart)),
                                                        measured.isSelected()))));
    }

    private static Optional<OutputCurve> curve(Part fitted) {
        return ((SourceKind) fitted.kind()).output();
    }

    /** What its maker states, or what was measured, goes before what is typical. */
    private void curve() {
        AnotherSource.source(bench.design())
                .ifPresent(fitted ->
                        attempt(
                                trouble,
                                "power.curve.refused",
                                () ->
                                        bench.perform(
                                                new PartEdit.Refit(
                                                        fitted.id(),
                                                        AnotherSource.giving(
                                                                (SourceKind) fitted.kind(),
                                                                CurveText.read(
                                                                        curve.getText()))))));
    }
}
