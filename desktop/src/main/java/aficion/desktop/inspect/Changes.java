package aficion.desktop.inspect;

import aficion.catalogue.WireSize;
import aficion.desktop.field.Field;
import aficion.desktop.field.FigureFields;
import aficion.desktop.workbench.Workbench;
import aficion.job.Part;
import aficion.job.RunLength;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.words.Words;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.layout.VBox;

/**
 * What can be changed of what is chosen, in place: written figures with their units, and what takes
 * it away. What does not fit is said beside it and changes nothing.
 */
final class Changes extends VBox {
    private final Workbench bench;

    private Changes(Workbench bench) {
        super(6);
        this.bench = bench;
    }

    static Changes of(Workbench bench, Wire wire) {
        var changes = new Changes(bench);
        var id = wire.id();
        changes.field("number", wire.number(), text -> number(wire, text));
        changes.field(
                "size",
                wire.size().toString(),
                text -> WireSize.parse(text).map(size -> new Edit.Resize(id, size)));
        changes.field(
                "length",
                bench.units().print(wire.length().metres()),
                text ->
                        bench.units()
                                .parseLength(text)
                                .filter(metres -> metres.value() > 0)
                                .map(metres ->
                                        new Edit.SetLength(id, new RunLength.Measured(metres))));
        return changes;
    }

    static Changes of(Workbench bench, Part part) {
        var changes = new Changes(bench);
        changes.field(
                "name",
                part.name(),
                text ->
                        text.isBlank()
                                ? Optional.empty()
                                : Optional.of(new Edit.Rename(part.id(), text)));
        changes.getChildren()
                .add(
                        new FigureFields(
                                part.kind(),
                                bench.units(),
                                kind -> bench.perform(new Edit.Refit(part.id(), kind))));
        return changes;
    }

    private static Optional<Edit> number(Wire wire, String text) {
        return text.isBlank() ? Optional.empty() : Optional.of(new Edit.Renumber(wire.id(), text));
    }

    private void field(String what, String value, Function<String, Optional<? extends Edit>> read) {
        getChildren()
                .add(
                        new Field(
                                "change-" + what,
                                Words.of("change." + what),
                                value,
                                text -> take(read.apply(text)),
                                Words.of("change." + what + ".refused")));
    }

    private boolean take(Optional<? extends Edit> edit) {
        edit.ifPresent(bench::perform);
        return edit.isPresent();
    }
}
