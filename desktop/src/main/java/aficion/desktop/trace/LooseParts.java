package aficion.desktop.trace;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.words.Words;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.layout.HBox;

/**
 * The parts that no wire reaches yet: they lie beside the drawing until they are joined. Pressing
 * one while a verb waits for a terminal takes its first pin.
 */
final class LooseParts extends HBox {
    private final Workbench bench;
    private final Verbs verbs;

    LooseParts(Workbench bench, Verbs verbs) {
        super(6);
        this.bench = bench;
        this.verbs = verbs;
        setId("loose-parts");
        setAlignment(Pos.CENTER_LEFT);
        bench.history().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void refresh() {
        var design = bench.design();
        var reached =
                design.wires().stream()
                        .flatMap(wire -> wire.terminals().stream())
                        .map(end -> end.part())
                        .collect(Collectors.toSet());
        design.parts().forEach(part -> part.mount().ifPresent(reached::add));
        var loose =
                design.parts().stream()
                        .filter(part -> !reached.contains(part.id()))
                        .filter(part -> !(part.kind() instanceof JoinKind.EarthPoint))
                        .toList();
        getChildren().clear();
        if (!loose.isEmpty()) {
            getChildren().add(Texts.label(Words.of("trace.loose"), "quiet"));
        }
        loose.stream().limit(6).forEach(part -> getChildren().add(chip(part)));
    }

    private javafx.scene.control.Button chip(Part part) {
        var chip =
                Texts.button(
                        part.id() + " " + part.name(),
                        "chip",
                        () -> {
                            if (verbs.armed().get().isPresent()) {
                                verbs.pick(part.terminals().getFirst());
                            } else {
                                bench.selection().set(new Selection.OfPart(part.id()));
                            }
                        });
        chip.setId("loose-" + part.id());
        return chip;
    }
}
