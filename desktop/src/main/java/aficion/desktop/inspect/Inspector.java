package aficion.desktop.inspect;

import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.check.Finding;
import aficion.check.Subject;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Theme;
import aficion.desktop.workbench.Assessed;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.Circuit;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Controls;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.GuardChoice;
import aficion.size.WireSizing;
import aficion.solve.OperatingPoint;
import aficion.words.Words;
import aficion.working.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

/**
 * Answers what a person asks of what is chosen, in that order: what is it, what does it carry, why
 * this size, what is wrong and what do I do.
 */
public final class Inspector extends StackPane {
    private final Workbench bench;
    private final Verbs verbs;
    private final Printing printing;
    private final VBox body = new VBox();
    private boolean workingShown;

    /** Prints workings under a title. */
    public interface Printing {
        void print(String title, List<Working> workings);
    }

    public Inspector(Workbench bench, Verbs verbs, Printing printing) {
        this.bench = bench;
        this.verbs = verbs;
        this.printing = printing;
        setId("inspector");
        getStyleClass().add("inspector");
        body.getStyleClass().add("inspector-body");
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        getChildren().add(scroll);
        bench.selection()
                .addListener((_, _, _) -> {
                    scroll.setVvalue(0);
                    refresh();
                });
        bench.outcome().addListener((_, _, _) -> refreshUnlessWriting());
        bench.assessed().addListener((_, _, _) -> refreshUnlessWriting());
        bench.focus().addListener((_, _, _) -> refresh());
        bench.history().addListener((_, _, _) -> refresh());
        refresh();
    }

    /**
     * Shows everything anew and leaves the keyboard where it was, as far as that place is still
     * there.
     */
    private void refresh() {
        var focused = getScene() == null ? null : getScene().getFocusOwner();
        var place = focused != null && isInside(focused) ? focused.getId() : null;
        rebuild();
        var again = place == null ? null : body.lookup("#" + place);
        if (again != null) {
            again.requestFocus();
        }
    }

    /** New figures wait while something is being written here. */
    private void refreshUnlessWriting() {
        var focused = getScene() == null ? null : getScene().getFocusOwner();
        if (!(focused instanceof TextInputControl && isInside(focused))) {
            refresh();
        }
    }

    private boolean isInside(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (at == this) {
                return true;
            }
        }
        return false;
    }

    private void rebuild() {
        body.getChildren().clear();
        switch (bench.selection().get()) {
            case Selection.Nothing() -> circuit();
            case Selection.OfWire(var id) -> bench.job().find(id).ifPresent(this::wire);
            case Selection.OfPart(var id) -> bench.job().find(id).ifPresent(this::part);
            case Selection.OfTerminal(var at) -> terminal(at);
        }
    }

    private void add(Node... nodes) {
        body.getChildren().addAll(nodes);
    }

    private void section(String caption, Node... beside) {
        var head = new HBox(Texts.caption(caption), Texts.spring());
        head.setAlignment(Pos.CENTER_LEFT);
        head.getChildren().addAll(beside);
        add(Texts.rule(), head);
    }

    private void circuit() {
        var circuit = bench.focus().get().flatMap(bench.job()::find);
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
                                bench.job().wiresOf(found.id()).size(),
                                bench.job().partsOf(found.id()).size()),
                        "quiet"),
                Texts.wrapped(Words.of("inspect.nothing"), "quiet"));
        section(Words.of("inspect.stages"));
        stages(found);
        section(Words.of("inspect.tidy"));
        add(VerbKeys.tidying(verbs));
        section(Words.of("inspect.findings"));
        bench.assessed().get().ifPresent(assessed -> findings(assessed.of(found.id()), true));
        add(Texts.wrapped(Words.of("inspect.caution"), "caution"));
    }

    private void stages(Circuit circuit) {
        var boxes = new FlowPane(14, 6);
        for (var stage : Circuit.Stage.values()) {
            var box = new CheckBox(Words.of("stage", stage));
            box.setSelected(circuit.done().contains(stage));
            box.setOnAction(
                    _ -> bench.perform(new Edit.SetStage(circuit.id(), stage, box.isSelected())));
            boxes.getChildren().add(box);
        }
        add(boxes);
    }

    private void wire(Wire wire) {
        var speech = bench.speech();
        add(
                Texts.label(Words.of("inspect.wire", wire.number()), "inspector-title"),
                Texts.wrapped(
                        Words.of(
                                "wire.between",
                                name(wire.from().terminal().part()) + " " + wire.from().terminal(),
                                name(wire.to().terminal().part()) + " " + wire.to().terminal()),
                        "quiet"),
                swatch(wire),
                Texts.wrapped(
                        String.join(
                                ", ",
                                speech.longColour(wire.colour()),
                                speech.size(wire.size()),
                                Words.of("insulation", wire.insulation())),
                        "quiet"));
        sizing(wire)
                .ifPresentOrElse(
                        sizing -> sized(wire, sizing), () -> section(Words.of("inspect.carries")));
        section(Words.of("inspect.findings"));
        bench.assessed()
                .get()
                .ifPresent(assessed ->
                        findings(about(assessed, new Subject.OfWire(wire.id())), false));
        section(Words.of("inspect.whatIf"));
        add(VerbKeys.trying(verbs), new WhatIf(bench, wire.id()));
        section(Words.of("inspect.ends"));
        add(
                Texts.wrapped(speech.ends(wire)),
                Texts.figure(Words.of("inspect.length"), speech.length(wire.length())),
                Texts.figure(Words.of("inspect.runs"), Words.of("zone", wire.zone())));
        assessment()
                .ifPresent(found ->
                        add(
                                Texts.figure(
                                        Words.of("inspect.guard"),
                                        speech.guard(found.guard(wire.id()), wire))));
        section(Words.of("inspect.change"));
        add(Changes.of(bench, wire), new FeedChoice(bench, wire), VerbKeys.changing(verbs));
    }

    /** The operating point, when it has a part: what is tried may lack it. */
    private Optional<OperatingPoint> pointWith(PartId part) {
        return bench.point().filter(point -> point.netlist().job().find(part).isPresent());
    }

    private String name(PartId part) {
        return bench.job().part(part).name();
    }

    private Optional<Assessment> assessment() {
        return bench.assessed()
                .get()
                .map(Assessed::assessment)
                .filter(found -> found.job() == bench.job());
    }

    private Optional<WireSizing> sizing(Wire wire) {
        return assessment().flatMap(found -> found.sizing(wire.id()));
    }

    private static Node swatch(Wire wire) {
        var swatch = new Region();
        swatch.getStyleClass().add("swatch");
        var base = web(Theme.colour(wire.colour().base()));
        var middle = wire.colour().tracer().map(tracer -> web(Theme.colour(tracer))).orElse(base);
        swatch.setStyle(
                "-fx-background-color: -case, "
                        + base
                        + ", "
                        + middle
                        + "; -fx-background-insets: 0, 1, 3 1 3 1;");
        return swatch;
    }

    private static String web(Color colour) {
        return String.format(
                Locale.ROOT,
                "rgb(%d,%d,%d)",
                Math.round(colour.getRed() * 255),
                Math.round(colour.getGreen() * 255),
                Math.round(colour.getBlue() * 255));
    }

    private void sized(Wire wire, WireSizing sizing) {
        var speech = bench.speech();
        section(Words.of("inspect.carries"));
        bench.point()
                .filter(point -> point.netlist().job().find(wire.id()).isPresent())
                .ifPresent(point -> {
                    add(
                            Texts.figure(
                                    Words.of("inspect.now"),
                                    speech.say(new Amps(Math.abs(point.through(wire).value())))));
                    add(
                            Texts.figure(
                                    Words.of("inspect.drop"),
                                    speech.say(new Volts(Math.abs(point.lostIn(wire).value())))));
                });
        add(Texts.figure(Words.of("inspect.worst"), speech.say(sizing.steady())));
        if (sizing.held().value() > sizing.steady().value()) {
            add(Texts.figure(Words.of("inspect.held"), speech.say(sizing.held())));
        }
        add(Texts.figure(Words.of("inspect.can"), speech.say(sizing.carries().result())));
        sizing.drop()
                .limit()
                .ifPresent(limit ->
                        add(
                                Texts.figure(
                                        Words.of("inspect.way"),
                                        Words.of(
                                                "inspect.of",
                                                speech.say(sizing.drop().result()),
                                                speech.say(limit.value())))));
        section(Words.of("inspect.why"), workingToggle());
        add(Texts.wrapped(why(wire, sizing)));
        boolean hot = sizing.reason() == WireSizing.Reason.HEAT;
        var all = new ArrayList<>(List.of(sizing.drop(), sizing.carries()));
        if (sizing.held().value() > sizing.steady().value()) {
            all.add(sizing.carriesShortly());
        }
        assessment()
                .flatMap(found ->
                        found.bundles().stream()
                                .filter(bundle ->
                                        wire.bundle().filter(bundle.name()::equals).isPresent())
                                .findFirst())
                .ifPresent(bundle -> all.add(bundle.working()));
        workings(hot ? sizing.carries() : sizing.drop(), all);
    }

    private String why(Wire wire, WireSizing sizing) {
        var speech = bench.speech();
        if (sizing.needed().isEmpty()) {
            return Words.of("reason.none");
        }
        var needed = sizing.needed().get();
        var size = speech.size(needed.size());
        double has = wire.conductor().copper().value();
        double wants = needed.copper().value();
        var verdict =
                has == wants ? "reason.fits" : has > wants ? "reason.larger" : "reason.smaller";
        var text = Words.of(verdict, size);
        var sizes = Conductors.of(wire.size().standard());
        int index = sizes.indexOf(needed);
        var thinner = index > 0 ? speech.size(sizes.get(index - 1).size()) : size;
        return text + " " + Words.of("reason." + sizing.reason().name(), thinner);
    }

    /**
     * The workings in full where the user has asked for them, else the one that decides in brief.
     */
    private void workings(Working deciding, List<Working> all) {
        var speech = bench.speech();
        if (workingShown) {
            all.forEach(working -> add(WorkingBox.full(working, speech)));
            var print =
                    Texts.button(
                            Words.of("inspect.working.print"),
                            "plain-button",
                            () ->
                                    printing.print(
                                            Words.of(
                                                    "sheet.working",
                                                    speech.place(bench.selection().get().place())),
                                            all));
            print.setId("print-working");
            add(print);
        } else {
            add(WorkingBox.brief(deciding, speech));
        }
    }

    /** Shows all there is to the workings, or only what decides. */
    private Hyperlink workingToggle() {
        var toggle =
                new Hyperlink(Words.of(workingShown ? "inspect.working.hide" : "inspect.working"));
        toggle.setId("show-working");
        toggle.getStyleClass().add("plain-button");
        toggle.setOnAction(_ -> {
            workingShown = !workingShown;
            refresh();
        });
        return toggle;
    }

    private static List<Finding> about(Assessed assessed, Subject subject) {
        return assessed.findings().stream()
                .filter(finding -> finding.subject().equals(subject))
                .toList();
    }

    private void findings(List<Finding> findings, boolean withPlace) {
        if (findings.isEmpty()) {
            add(Texts.label(Words.of("inspect.findings.none"), "quiet"));
        }
        findings.forEach(finding -> add(finding(finding, withPlace)));
    }

    private Node finding(Finding finding, boolean withPlace) {
        return withPlace
                ? FindingBox.placed(
                        bench,
                        finding,
                        () -> bench.selection().set(Selection.of(finding.subject())))
                : new FindingBox(bench, finding);
    }

    private void part(Part part) {
        var speech = bench.speech();
        add(
                Texts.wrapped(part.id() + " " + part.name(), "inspector-title"),
                Texts.label(speech.kind(part) + ", " + Words.of("zone", part.zone()), "quiet"));
        hand(part);
        section(Words.of("inspect.terminals"));
        for (var terminal : part.terminals()) {
            var volts =
                    pointWith(part.id())
                            .map(point -> speech.volts(point.voltsAt(terminal)))
                            .orElse("");
            add(Texts.figure(terminal.pin(), volts));
        }
        if (part.kind() instanceof LoadKind.Lamp(_, var filaments)) {
            section(Words.of("inspect.light"));
            for (var filament : filaments) {
                pointWith(part.id())
                        .flatMap(point -> point.light(part.id(), filament.pin()))
                        .ifPresent(light ->
                                add(
                                        Texts.figure(
                                                filament.pin()
                                                        + ", "
                                                        + speech.say(filament.watts()),
                                                Words.of(
                                                        "trace.light",
                                                        Math.round(light.value() * 100)))));
            }
        }
        seats(part);
        section(Words.of("inspect.findings"));
        bench.assessed()
                .get()
                .ifPresent(assessed ->
                        findings(
                                assessed.findings().stream()
                                        .filter(finding -> isAbout(finding.subject(), part))
                                        .toList(),
                                false));
        section(Words.of("inspect.change"));
        add(Changes.of(bench, part), VerbKeys.changing(verbs));
        section(Words.of("inspect.whatIf"));
        add(VerbKeys.trying(verbs));
    }

    /** One terminal: its volts, the wires on it, and what can be done there. */
    private void terminal(Terminal at) {
        var part = bench.job().part(at.part());
        var speech = bench.speech();
        add(
                Texts.label(at.toString(), "inspector-title"),
                Texts.wrapped(part.name() + ", " + speech.kind(part), "quiet"));
        pointWith(at.part())
                .ifPresent(point ->
                        add(
                                Texts.figure(
                                        Words.of("inspect.volts"),
                                        speech.volts(point.voltsAt(at)))));
        section(Words.of("inspect.wires"));
        var wires = bench.job().wiresAt(at);
        if (wires.isEmpty()) {
            add(Texts.label(Words.of("inspect.wires.none"), "quiet"));
        }
        wires.forEach(wire ->
                add(
                        Texts.button(
                                speech.label(wire),
                                "plain-button",
                                () -> bench.selection().set(new Selection.OfWire(wire.id())))));
        section(Words.of("inspect.findings"));
        bench.assessed()
                .get()
                .ifPresent(
                        assessed -> findings(about(assessed, new Subject.OfTerminal(at)), false));
        section(Words.of("inspect.change"));
        add(VerbKeys.changing(verbs));
        section(Words.of("inspect.whatIf"));
        add(VerbKeys.trying(verbs));
    }

    private static boolean isAbout(Subject subject, Part part) {
        return switch (subject) {
            case Subject.OfWire _ -> false;
            case Subject.OfPart(var id) -> id.equals(part.id());
            case Subject.OfTerminal(var terminal) -> terminal.part().equals(part.id());
        };
    }

    private void hand(Part part) {
        if (part.kind() instanceof ControlKind.Switch hand) {
            Controls.of(bench.job())
                    .find(hand.control())
                    .ifPresent(control ->
                            add(
                                    Texts.figure(
                                            control.name(),
                                            Controls.position(control, bench.conditions().get())),
                                    Texts.button(
                                            Words.of("inspect.throw"),
                                            "plain-button",
                                            () -> bench.advance(control.name()))));
        }
    }

    private void seats(Part part) {
        if (part.kind() instanceof GuardKind.Fuse(var family, var marking)) {
            section(Words.of("inspect.carries"), workingToggle());
            seat(new FuseSeat(part.id(), ""), family, marking);
        }
        if (part.kind() instanceof GuardKind.FuseBox(var ways)) {
            section(Words.of("inspect.carries"), workingToggle());
            ways.forEach(
                    way -> seat(new FuseSeat(part.id(), way.name()), way.family(), way.marking()));
        }
    }

    private void seat(FuseSeat seat, FuseType family, Amps marking) {
        var speech = bench.speech();
        var carries = speech.say(family.carries(marking));
        var conditions = bench.conditions().get();
        boolean out = conditions.pulled().contains(seat);
        var amps =
                pointWith(seat.part())
                        .flatMap(point -> point.through(seat.part(), seat.way()))
                        .map(through -> speech.say(new Amps(Math.abs(through.value()))))
                        .orElse("");
        add(
                Texts.figure(
                        seat + ", " + speech.fuse(family, marking),
                        Words.of("inspect.fuse.carries", amps, carries)));
        assessment()
                .map(found -> found.choice(new Guard.Fitted(seat, family, marking)))
                .ifPresent(choice -> choice(choice, family, marking));
        add(
                Texts.button(
                        Words.of(out ? "inspect.push" : "inspect.pull"),
                        "plain-button",
                        () -> bench.conditions().set(conditions.withPulled(seat, !out))));
    }

    /** Which fuse fits between load and wire, with its working. */
    private void choice(GuardChoice choice, FuseType family, Amps marking) {
        var fitting = choice.marking();
        var verdict = fitting.isEmpty() ? "none" : fitting.get().equals(marking) ? "fits" : "other";
        var fuse = fitting.map(found -> bench.speech().fuse(family, found)).orElse("");
        add(Texts.wrapped(Words.of("guard.choice." + verdict, fuse)));
        workings(choice.working(), List.of(choice.working()));
    }
}
