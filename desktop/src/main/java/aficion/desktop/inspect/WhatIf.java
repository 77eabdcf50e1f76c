package aficion.desktop.inspect;

import aficion.check.finding.Severity;
import aficion.desktop.theme.Marks;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.fault.Fault;
import aficion.job.WireId;
import aficion.sweep.Consequence;
import aficion.sweep.Effect;
import aficion.words.Words;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * What happens when a wire gives way, with everything as it stands: broken, lying bare against the
 * body, a joint gone bad. Tried on a copy; the job stays as it is.
 */
final class WhatIf extends VBox {
    private final Workbench bench;
    private final WireId wire;
    private final VBox found = new VBox(8);
    private final Button trial;

    WhatIf(Workbench bench, WireId wire) {
        super(6);
        this.bench = bench;
        this.wire = wire;
        setId("what-if");
        trial = Texts.button(Words.of("whatIf.try"), "outline-button", this::tryOut);
        trial.setId("what-if-try");
        getChildren().addAll(trial, found);
    }

    private void tryOut() {
        trial.setDisable(true);
        bench.ask().tryFaults(this::show);
    }

    private void show(List<Effect> effects) {
        trial.setDisable(false);
        found.getChildren().clear();
        for (var effect : effects) {
            if (effect.fault() instanceof Fault.OfWire gone && gone.wire().equals(wire)) {
                found.getChildren().add(line(effect, gone));
            }
        }
        if (found.getChildren().isEmpty()) {
            found.getChildren().add(Texts.wrapped(Words.of("whatIf.nothing"), "quiet"));
        }
    }

    private VBox line(Effect effect, Fault.OfWire gone) {
        var speech = bench.speech();
        var title = Texts.wrapped(speech.whatIf(gone), "strong");
        var head = new HBox(8, Marks.of(severity(effect.danger())), title);
        head.setAlignment(Pos.CENTER_LEFT);
        var says =
                effect.consequences().stream()
                        .map(speech::consequence)
                        .collect(Collectors.joining("; "));
        return new VBox(2, head, Texts.wrapped(Words.of("whatIf.says", says)));
    }

    private static Severity severity(Consequence.Danger danger) {
        return switch (danger) {
            case BURNS, RUNS -> Severity.DANGER;
            case UNSTABLE, MISLEADS -> Severity.FIX;
            case OPENS, DARK, LESS -> Severity.ADVISE;
        };
    }
}
