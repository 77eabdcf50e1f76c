package aficion.desktop.inspect;

import aficion.catalogue.Conductors;
import aficion.check.finding.Subject;
import aficion.desktop.theme.Swatches;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.size.WireSizing;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A wire: what it is, what it carries, why this size, what is wrong, what if. */
final class WireCard extends Card {
    WireCard(Workbench bench, Verbs verbs, Workings shown, Wire wire) {
        super(bench, verbs, shown);
        wire(wire);
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
                Swatches.of(wire.colour()),
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
        add(Changes.way(bench, wire));
        assessment()
                .ifPresent(found ->
                        add(
                                Texts.figure(
                                        Words.of("inspect.guard"),
                                        speech.guard(found.guard(wire.id()), wire))));
        section(Words.of("inspect.change"));
        add(Changes.of(bench, wire), new FeedChoice(bench, wire), VerbKeys.changing(verbs));
    }

    private String name(PartId part) {
        return bench.design().part(part).name();
    }

    private Optional<WireSizing> sizing(Wire wire) {
        return assessment().flatMap(found -> found.sizing(wire.id()));
    }

    private void sized(Wire wire, WireSizing sizing) {
        var speech = bench.speech();
        section(Words.of("inspect.carries"));
        bench.point()
                .filter(point -> point.netlist().design().find(wire.id()).isPresent())
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
        if (has < wants && sizing.coolEnough() && sizing.losesLittle()) {
            return Words.of(
                    "reason.way",
                    speech.size(wire.size()),
                    speech.say(sizing.path().lost()),
                    speech.say(sizing.drop().limit().orElseThrow().value()),
                    size);
        }
        var verdict =
                has == wants ? "reason.fits" : has > wants ? "reason.larger" : "reason.smaller";
        var text = Words.of(verdict, size);
        var sizes = Conductors.of(wire.size().standard());
        int index = sizes.indexOf(needed);
        var thinner = index > 0 ? speech.size(sizes.get(index - 1).size()) : size;
        return text + " " + Words.of("reason." + sizing.reason().name(), thinner);
    }
}
