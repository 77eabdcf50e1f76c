package aficion.desktop.inspect;

import aficion.catalogue.Coverings;
import aficion.check.finding.Subject;
import aficion.desktop.field.Choice;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.harness.Dress;
import aficion.job.edit.BodyEdit;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.Bundle;
import aficion.words.Words;
import java.util.List;

/** One station: what it is, what stands there, what passes it, and what leads from there. */
final class StationCard extends Card {
    StationCard(Workbench bench, Verbs verbs, Workings shown, StationId id) {
        super(bench, verbs, shown);
        var body = bench.design().body().orElseThrow();
        var station = body.plan().station(id);
        var speech = bench.speech();
        add(
                Texts.label(speech.station(id), "inspector-title"),
                Texts.wrapped(
                        Words.of("form", station.form()) + ", " + Words.of("zone", station.zone()),
                        "quiet"));
        section(Words.of("station.parts"));
        var parts =
                bench.design().parts().stream()
                        .filter(part -> body.station(part).equals(id))
                        .toList();
        if (parts.isEmpty()) {
            add(Texts.label(Words.of("station.parts.none"), "quiet"));
        }
        parts.forEach(part ->
                add(
                        Texts.button(
                                part.id() + " " + part.name(),
                                "plain-button",
                                () -> bench.selection().set(new Selection.OfPart(part.id())))));
        section(Words.of("station.runs"));
        body.plan()
                .meeting(id)
                .forEach(run ->
                        add(
                                Texts.button(
                                        speech.run(run.id()),
                                        "plain-button",
                                        () ->
                                                bench.selection()
                                                        .set(new Selection.OfRun(run.id())))));
        section(Words.of("inspect.findings"));
        bench.assessed()
                .get()
                .ifPresent(assessed -> findings(about(assessed, new Subject.OfStation(id)), false));
        section(Words.of("inspect.change"));
        form(station);
        bore(station);
    }

    private void form(Station station) {
        var box = Choices.of(List.of(Station.Form.values()), form -> Words.of("form", form));
        box.setValue(station.form());
        add(
                new Choice<>(
                        "station-form",
                        Words.of("station.form"),
                        box,
                        form -> {
                            if (form == Station.Form.PLUG) {
                                verbs.plug(station.id());
                            } else {
                                bench.perform(new BodyEdit.SetStation(station.as(form)));
                            }
                        }));
    }

    private void bore(Station station) {
        if (station.form() != Station.Form.HOLE) {
            return;
        }
        var passing = Dress.passing(bench.design(), station);
        if (!passing.isEmpty()) {
            add(
                    Texts.figure(
                            Words.of("station.passing", passing.size()),
                            bench.speech().say(Bundle.diameter(passing))));
        }
        var box =
                Choices.of(
                        Coverings.of(Coverings.Sort.GROMMET).stream()
                                .map(Coverings.Size::bore)
                                .toList(),
                        bench.speech()::say);
        Dress.grommet(bench.design(), station).ifPresent(box::setValue);
        add(
                new Choice<>(
                        "station-bore",
                        Words.of("station.bore"),
                        box,
                        chosen ->
                                bench.perform(new BodyEdit.SetStation(station.withBore(chosen)))));
    }
}
