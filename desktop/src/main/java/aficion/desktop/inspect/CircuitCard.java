package aficion.desktop.inspect;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.Circuit;
import aficion.job.Work;
import aficion.job.edit.WorkEdit;
import aficion.words.Words;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.FlowPane;

/** The circuit in focus: how far the work on it is, and what was found. */
final class CircuitCard extends Card {
    CircuitCard(Workbench bench, Verbs verbs, Workings shown, Optional<Circuit> circuit) {
        super(bench, verbs, shown);
        circuit(circuit);
    }

    private void circuit(Optional<Circuit> circuit) {
        if (circuit.isEmpty()) {
            add(Texts.wrapped(Words.of("inspect.nothing"), "quiet"));
            return;
        }
        var found = circuit.get();
        add(
                Texts.wrapped(found.name(), "inspector-title"),
                Texts.label(
                        Words.of(
                                "inspect.circuit",
                                bench.design().wiresOf(found.id()).size(),
                                bench.design().partsOf(found.id()).size()),
                        "quiet"),
                Texts.wrapped(Words.of("inspect.nothing"), "quiet"));
        section(Words.of("inspect.stages"));
        stages(found);
        section(Words.of("inspect.tidy"));
        add(Changes.of(bench, found), VerbKeys.tidying(verbs));
        section(Words.of("inspect.findings"));
        bench.assessed().get().ifPresent(assessed -> findings(assessed.of(found.id()), true));
        add(Texts.wrapped(Words.of("inspect.caution"), "caution"));
    }

    private void stages(Circuit circuit) {
        var boxes = new FlowPane(14, 6);
        var done = bench.job().work().done(circuit.id());
        for (var stage : Work.Stage.values()) {
            var box = new CheckBox(Words.of("stage", stage));
            box.setSelected(done.contains(stage));
            box.setOnAction(_ ->
                    bench.perform(new WorkEdit.SetStage(circuit.id(), stage, box.isSelected())));
            boxes.getChildren().add(box);
        }
        add(boxes);
    }
}
