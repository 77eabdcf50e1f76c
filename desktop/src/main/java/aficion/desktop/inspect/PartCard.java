package aficion.desktop.inspect;

import aficion.bench.PartTest;
import aficion.catalogue.FuseType;
import aficion.check.finding.Subject;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Controls;
import aficion.quantity.Amps;
import aficion.size.Guard;
import aficion.size.GuardChoice;
import aficion.words.Words;
import java.util.List;

/** A part: its terminals, its light or its fuses, what is wrong, what can be changed. */
final class PartCard extends Card {
    PartCard(Workbench bench, Verbs verbs, Workings shown, Part part) {
        super(bench, verbs, shown);
        part(part);
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
        tried(part);
        section(Words.of("inspect.whatIf"));
        add(VerbKeys.trying(verbs));
    }

    /** What is tried of it before it is fitted. */
    private void tried(Part part) {
        var tests = PartTest.of(bench.design(), part);
        if (!tests.isEmpty()) {
            section(Words.of("tried.title"));
            add(Texts.wrapped(Words.of("tried.caution"), "caution"));
            tests.forEach(test -> add(new Tried(bench, part, test)));
        }
    }

    private static boolean isAbout(Subject subject, Part part) {
        return switch (subject) {
            case Subject.OfWire _, Subject.OfStation _ -> false;
            case Subject.OfPart(var id) -> id.equals(part.id());
            case Subject.OfTerminal(var terminal) -> terminal.part().equals(part.id());
        };
    }

    private void hand(Part part) {
        if (part.kind() instanceof ControlKind.Switch hand) {
            Controls.of(bench.design())
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
