package aficion.desktop.inspect;

import aficion.catalogue.Housings;
import aficion.catalogue.Housings.Housing;
import aficion.catalogue.Insulation;
import aficion.catalogue.Terminals;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.desktop.drawing.Faces;
import aficion.desktop.field.Choice;
import aficion.desktop.field.Field;
import aficion.desktop.field.FigureFields;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.ColourChoices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.forming.Face;
import aficion.job.Circuit;
import aficion.job.JoinKind;
import aficion.job.JoinKind.Half;
import aficion.job.JoinKind.Housed;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.CircuitEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.verb.Ends;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.VBox;

/**
 * What can be changed of what is chosen, in place: written figures with their units, one of a few,
 * and what takes it away. What does not fit is said beside it and changes nothing.
 */
final class Changes extends VBox {
    private final Workbench bench;

    private Changes(Workbench bench) {
        super(6);
        this.bench = bench;
    }

    /** What a wire is cut from. */
    static Changes of(Workbench bench, Wire wire) {
        var changes = new Changes(bench);
        var id = wire.id();
        changes.field("number", wire.number(), text -> number(wire, text));
        changes.field(
                "size",
                wire.size().toString(),
                text -> WireSize.parse(text).map(size -> new WireEdit.Resize(id, size)));
        changes.colours(wire);
        changes.choice(
                "cover",
                words(List.of(Insulation.values()), "insulation"),
                wire.insulation(),
                cover -> new WireEdit.Insulate(id, cover));
        return changes;
    }

    /** What is at a wire's ends, and how it is laid between them. */
    static Changes way(Workbench bench, Wire wire) {
        var changes = new Changes(bench);
        var laid = wire.laid();
        changes.end("first", wire, wire.from().terminal());
        changes.end("second", wire, wire.to().terminal());
        changes.length(wire);
        changes.choice(
                "zone",
                words(List.of(Zone.values()), "zone"),
                wire.zone(),
                zone -> new WireEdit.Lay(wire.id(), laid.in(zone)));
        changes.field(
                "bundle",
                wire.bundle().orElse(""),
                text ->
                        Optional.of(
                                new WireEdit.Lay(
                                        wire.id(),
                                        laid.with(Optional.of(text).filter(t -> !t.isEmpty())))));
        if (wire.zone() == Zone.MOVING || wire.slack().isPresent()) {
            changes.slack(wire);
        }
        changes.choice(
                "unguarded",
                some(Unguarded.values(), "unguarded", "unguarded.no"),
                wire.unguarded(),
                reason -> new WireEdit.Exempt(wire.id(), reason));
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
                                : Optional.of(new PartEdit.Rename(part.id(), text)));
        changes.choice(
                "place",
                words(List.of(Zone.values()), "zone"),
                part.zone(),
                zone -> new PartEdit.Place(part.id(), zone));
        bench.design()
                .body()
                .ifPresent(body ->
                        changes.choice(
                                "station",
                                Choices.of(
                                        body.plan().stations().stream().map(Station::id).toList(),
                                        bench.speech()::station),
                                body.station(part),
                                station -> new BodyEdit.Stand(part.id(), station)));
        if (part.kind() instanceof JoinKind.Connector connector) {
            changes.connector(part, connector);
        }
        changes.getChildren()
                .add(
                        new FigureFields(
                                part.kind(),
                                bench.units(),
                                kind -> bench.perform(new PartEdit.Refit(part.id(), kind))));
        return changes;
    }

    static Changes of(Workbench bench, Terminal terminal) {
        var changes = new Changes(bench);
        var part = bench.design().part(terminal.part());
        var studs = options(List.copyOf(Terminals.holes()));
        changes.choice(
                "stud",
                Choices.of(studs, bench.speech()::stud),
                part.stud(terminal.pin()),
                stud -> new PartEdit.StateStud(part.id(), terminal.pin(), stud));
        return changes;
    }

    static Changes of(Workbench bench, Circuit circuit) {
        var changes = new Changes(bench);
        changes.choice(
                "drops",
                Choices.of(List.of(Circuit.Drops.values()), bench.speech()::drops),
                circuit.drops(),
                drops -> new CircuitEdit.AllowDrop(circuit.id(), drops));
        return changes;
    }

    /** The body of a connector, which half has the sockets, and how it is seen. */
    private void connector(Part part, JoinKind.Connector connector) {
        var now = connector.housed();
        var start = now.orElse(new Housed(Housings.all().getFirst().key(), Half.A, false));
        choice(
                "housing",
                Choices.of(
                        options(
                                Housings.all().stream()
                                        .filter(each -> each.ways() >= connector.ways().size())
                                        .map(Housing::key)
                                        .toList()),
                        key -> key.map(bench.speech()::housing).orElse(Words.of("housing.none"))),
                now.map(Housed::body),
                key -> new PartEdit.House(part.id(), key.map(start::in)));
        now.ifPresent(body -> housed(part, body));
    }

    private void housed(Part part, Housed body) {
        choice(
                "sockets",
                words(List.of(Half.values()), "change.sockets"),
                body.sockets(),
                half -> new PartEdit.House(part.id(), Optional.of(body.withSockets(half))));
        choice(
                "blanked",
                Choices.of(List.of(true, false), each -> Words.of("change.blanked." + each)),
                body.blanked(),
                plugged -> new PartEdit.House(part.id(), Optional.of(body.withBlanks(plugged))));
        getChildren().add(Texts.label(Words.of("inspect.face"), "quiet"));
        for (var half : Half.values()) {
            Face.of(bench.design(), part, half)
                    .ifPresent(face -> getChildren().add(Faces.of(face, Optional.empty())));
        }
    }

    private void length(Wire wire) {
        field(
                "length",
                bench.units().print(wire.length().metres()),
                text ->
                        bench.units()
                                .parseLength(text)
                                .filter(metres -> metres.value() > 0)
                                .map(metres ->
                                        new WireEdit.SetLength(
                                                wire.id(), new RunLength.Measured(metres))));
    }

    private void slack(Wire wire) {
        field(
                "slack",
                wire.slack().map(bench.units()::print).orElse(""),
                text ->
                        slack(text)
                                .map(spare ->
                                        new WireEdit.Lay(wire.id(), wire.laid().sparing(spare))));
    }

    /** What is spared, or that nothing is said of it; empty where the text says neither. */
    private Optional<Optional<Metres>> slack(String text) {
        return text.isBlank()
                ? Optional.of(Optional.empty())
                : bench.units().parseLength(text).map(Optional::of);
    }

    private void colours(Wire wire) {
        var colour = wire.colour();
        choice(
                "colour",
                ColourChoices.all(),
                colour.base(),
                each -> new WireEdit.Recolour(wire.id(), new WireColour(each, colour.tracer())));
        choice(
                "tracer",
                ColourChoices.orNone(Words.of("newJob.none")),
                colour.tracer(),
                each -> new WireEdit.Recolour(wire.id(), new WireColour(colour.base(), each)));
    }

    private void end(String which, Wire wire, Terminal terminal) {
        var box =
                Choices.of(
                        Ends.fitting(bench.design(), wire, terminal), bench.speech()::termination);
        box.setValue(wire.at(terminal).termination());
        getChildren()
                .add(
                        new Choice<>(
                                "change-" + which + "-end",
                                terminal.toString(),
                                box,
                                chosen ->
                                        bench.perform(
                                                new WireEdit.Crimp(wire.id(), terminal, chosen))));
    }

    private static Optional<Edit> number(Wire wire, String text) {
        return text.isBlank()
                ? Optional.empty()
                : Optional.of(new WireEdit.Renumber(wire.id(), text));
    }

    private static <E extends Enum<E>> ComboBox<E> words(List<E> values, String key) {
        return Choices.of(values, value -> Words.of(key, value));
    }

    private static <E extends Enum<E>> ComboBox<Optional<E>> some(
            E[] values, String key, String none) {
        return Choices.of(
                options(List.of(values)),
                value -> value.map(found -> Words.of(key, found)).orElseGet(() -> Words.of(none)));
    }

    /** None, and each. */
    private static <T> List<Optional<T>> options(List<T> values) {
        return Stream.concat(Stream.of(Optional.<T>empty()), values.stream().map(Optional::of))
                .toList();
    }

    private <T> void choice(String what, ComboBox<T> box, T now, Function<T, Edit> edit) {
        box.setValue(now);
        getChildren()
                .add(
                        new Choice<>(
                                "change-" + what,
                                Words.of("change." + what),
                                box,
                                chosen -> bench.perform(edit.apply(chosen))));
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
