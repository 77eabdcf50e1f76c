package aficion.desktop.inspect;

import aficion.check.finding.Subject;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.Terminal;
import aficion.make.StudStack;
import aficion.words.Words;

/** One terminal: its volts, the wires on it, and what can be done there. */
final class TerminalCard extends Card {
    TerminalCard(Workbench bench, Verbs verbs, Workings shown, Terminal at) {
        super(bench, verbs, shown);
        terminal(at);
    }

    /** One terminal: its volts, the wires on it, and what can be done there. */
    private void terminal(Terminal at) {
        var part = bench.design().part(at.part());
        var speech = bench.speech();
        add(
                Texts.label(at.toString(), "inspector-title"),
                Texts.wrapped(speech.nameAndKind(part), "quiet"));
        pointWith(at.part())
                .ifPresent(point ->
                        add(
                                Texts.figure(
                                        Words.of("inspect.volts"),
                                        speech.volts(point.voltsAt(at)))));
        section(Words.of("inspect.wires"));
        var wires = bench.design().wiresAt(at);
        if (wires.isEmpty()) {
            add(Texts.label(Words.of("inspect.wires.none"), "quiet"));
        }
        wires.forEach(wire ->
                add(
                        Texts.button(
                                speech.label(wire),
                                "plain-button",
                                () -> bench.selection().set(new Selection.OfWire(wire.id())))));
        StudStack.of(bench.design(), at).ifPresent(this::stack);
        section(Words.of("inspect.findings"));
        bench.assessed()
                .get()
                .ifPresent(
                        assessed -> findings(about(assessed, new Subject.OfTerminal(at)), false));
        section(Words.of("inspect.change"));
        add(Changes.of(bench, at), VerbKeys.changing(verbs));
        section(Words.of("inspect.whatIf"));
        add(VerbKeys.trying(verbs));
    }

    /** What is stacked on its stud, the lowest first, and how tight. */
    private void stack(StudStack stack) {
        var speech = bench.speech();
        section(Words.of("stack.title"));
        stack.rings()
                .forEach(wire ->
                        add(
                                Texts.figure(
                                        wire.number(),
                                        speech.size(wire.size())
                                                + ", "
                                                + speech.colour(wire.colour()))));
        add(Texts.wrapped(speech.tight(stack), "quiet"));
    }
}
