package aficion.desktop.inspect;

import aficion.desktop.field.Choice;
import aficion.desktop.field.Field;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.harness.Detour;
import aficion.harness.Dress;
import aficion.harness.Load;
import aficion.job.Wire;
import aficion.job.edit.BodyEdit;
import aficion.quantity.Metres;
import aficion.route.Covering;
import aficion.route.Plan;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One run: its length, its bundle, who rides it, how warm it gets, and another way. */
final class RunCard extends Card {
    private static final int SHOWN = 8;

    private final RunId id;
    private final Plan plan;
    private final Dress dress;

    RunCard(Workbench bench, Verbs verbs, Workings shown, RunId id) {
        super(bench, verbs, shown);
        this.id = id;
        this.plan = bench.design().body().orElseThrow().plan();
        this.dress = Dress.of(bench.design(), id);
        add(
                Texts.wrapped(bench.speech().run(id), "inspector-title"),
                Texts.label(Words.of("run.riders", dress.riders().size()), "quiet"));
        length();
        bundle();
        warmth();
        riders();
        way();
        work();
    }

    private void length() {
        var length = plan.length(plan.run(id));
        section(Words.of("run.length"));
        add(
                new Field(
                        "run-length",
                        Words.of(
                                length instanceof RunLength.Measured
                                        ? "run.measured"
                                        : "run.assumed"),
                        bench.units().print(length.metres()),
                        text ->
                                bench.units()
                                        .parseLength(text)
                                        .filter(metres -> metres.value() > 0)
                                        .map(metres -> measured(Optional.of(metres)))
                                        .orElse(false),
                        Words.of("change.length.refused")));
    }

    private boolean measured(Optional<Metres> metres) {
        bench.perform(new BodyEdit.Measure(id, metres));
        return true;
    }

    private void bundle() {
        if (dress.riders().isEmpty()) {
            return;
        }
        var speech = bench.speech();
        section(Words.of("run.bundle"));
        add(
                Texts.figure(Words.of("run.across"), speech.say(dress.diameter())),
                Texts.figure(
                        Words.of("run.sleeve"),
                        dress.sleeve()
                                .map(size -> speech.say(size.bore()))
                                .orElse(Words.of("run.none"))),
                Texts.figure(Words.of("run.bend"), speech.say(dress.bend())),
                Texts.figure(
                        Words.of("run.held"), Words.of("run.ties", dress.ties(), dress.clips())),
                Texts.figure(Words.of("run.tape"), speech.say(dress.tape())));
        Stream.of(id.one(), id.other())
                .map(plan::station)
                .filter(station -> station.bore().isPresent())
                .forEach(this::grommet);
        var box =
                Choices.of(
                        Stream.concat(
                                        Stream.of(Optional.<Covering>empty()),
                                        Arrays.stream(Covering.values()).map(Optional::of))
                                .toList(),
                        each ->
                                each.map(covering -> Words.of("covering", covering))
                                        .orElseGet(() -> Words.of("run.bare")));
        box.setValue(plan.run(id).covering());
        add(
                new Choice<>(
                        "run-dress",
                        Words.of("run.dress"),
                        box,
                        chosen -> bench.perform(new BodyEdit.Dress(id, chosen))));
    }

    private void grommet(Station station) {
        var speech = bench.speech();
        boolean fits = Dress.passes(bench.design(), station);
        add(
                Texts.figure(
                        Words.of("run.hole", speech.station(station.id())),
                        Words.of(
                                fits ? "run.fits" : "run.tight",
                                speech.say(station.bore().orElseThrow()))));
    }

    private void warmth() {
        assessment()
                .ifPresent(found -> {
                    found.bundles().stream()
                            .filter(bundle -> bundle.name().equals(id.toString()))
                            .forEach(bundle -> {
                                section(Words.of("run.warmth"), workingToggle());
                                workings(bundle.working(), List.of(bundle.working()));
                                add(
                                        Texts.label(
                                                Words.of("run.hottest", bundle.hottest().number()),
                                                "quiet"));
                            });
                    bench.point()
                            .filter(point ->
                                    point.netlist().design().wires().containsAll(dress.riders()))
                            .flatMap(point -> Load.of(found, point, dress.riders()))
                            .ifPresent(load ->
                                    add(
                                            Texts.figure(
                                                    Words.of("run.now", load.wire().number()),
                                                    Speech.percent(load.share().value()))));
                });
    }

    private void riders() {
        section(Words.of("run.who"));
        dress.riders().stream()
                .limit(SHOWN)
                .forEach(wire ->
                        add(
                                Texts.button(
                                        bench.speech().label(wire),
                                        "plain-button",
                                        () ->
                                                bench.selection()
                                                        .set(new Selection.OfWire(wire.id())))));
        if (dress.riders().size() > SHOWN) {
            add(Texts.label(Words.of("run.more", dress.riders().size() - SHOWN), "quiet"));
        }
    }

    /** What it would cost to go without this run, told of the wire that rides it first. */
    private void way() {
        dress.riders().stream().findFirst().ifPresent(this::otherWay);
    }

    private void otherWay(Wire wire) {
        section(Words.of("run.why"));
        add(
                Detour.of(bench.design(), wire, id)
                        .map(detour ->
                                Texts.wrapped(
                                        Words.of(
                                                detour.isLonger()
                                                        ? "run.other.longer"
                                                        : "run.other.shorter",
                                                wire.number(),
                                                bench.speech().say(detour.by()),
                                                bench.units().print(detour.way().zone().ambient())),
                                        "quiet"))
                        .orElseGet(() -> Texts.wrapped(Words.of("run.only"), "quiet")));
    }

    private void work() {
        section(Words.of("inspect.change"));
        var split = Texts.button(Words.of("run.split"), "plain-button", this::split);
        split.setId("run-split");
        add(split);
        if (plan.run(id).measured().isPresent()) {
            var forget =
                    Texts.button(
                            Words.of("run.forget"),
                            "plain-button",
                            () -> measured(Optional.empty()));
            forget.setId("run-forget");
            add(forget);
        }
    }

    private void split() {
        int number = 1;
        while (plan.find(new StationId("take-out-" + number)).isPresent()) {
            number++;
        }
        var at = plan.station(id.one()).at().halfway(plan.station(id.other()).at());
        bench.perform(
                new BodyEdit.Split(
                        id,
                        new Station(
                                new StationId("take-out-" + number),
                                Optional.of(Words.of("run.takeOut", number)),
                                at,
                                plan.zone(plan.run(id)),
                                Station.Form.TAKE_OUT)));
    }
}
