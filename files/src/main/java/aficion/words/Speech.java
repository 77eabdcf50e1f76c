package aficion.words;

import aficion.bench.Expected;
import aficion.bench.PartTest;
import aficion.bench.TestStep;
import aficion.bench.TestStep.Task;
import aficion.bench.reason.Sign;
import aficion.catalogue.Coverings;
import aficion.catalogue.FuseType;
import aficion.catalogue.Housings;
import aficion.catalogue.Purpose;
import aficion.catalogue.WireSize;
import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Subject;
import aficion.fault.Fault;
import aficion.harness.FittingList;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.CircuitEdit;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.Noted;
import aficion.job.edit.PartEdit;
import aficion.job.edit.Step;
import aficion.job.edit.VehicleEdit;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
import aficion.make.StudStack;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.quantity.Amps;
import aficion.quantity.Quantity;
import aficion.quantity.Ratio;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.recipe.Place;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.size.Guard;
import aficion.sweep.Consequence;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Puts wires, findings, edits and test steps of one job into words, in the units of one user. */
public final class Speech {
    private final Design design;
    private final UserUnits units;

    public Speech(Design design, UserUnits units) {
        this.design = design;
        this.units = units;
    }

    public String say(Quantity quantity) {
        return units.print(quantity);
    }

    /** A volt reading, or that it floats. */
    public String volts(Optional<Volts> volts) {
        return volts.map(this::say).orElseGet(() -> Words.of("volts.floating"));
    }

    public String colour(WireColour colour) {
        return colour(colour, "colour.traced");
    }

    /** The colour spelled out: blue with red. */
    public String longColour(WireColour colour) {
        return colour(colour, "colour.traced.long");
    }

    private static String colour(WireColour colour, String traced) {
        var base = Words.of("colour", colour.base());
        return colour.tracer()
                .map(tracer -> Words.of(traced, base, Words.of("colour", tracer)))
                .orElse(base);
    }

    public String size(WireSize size) {
        return switch (size.standard()) {
            case METRIC -> Words.of("wire.size.metric", size.designation());
            case AWG -> Words.of("wire.size.awg", size.designation());
            case GAUGE -> Words.of("wire.size.gauge", size.designation());
        };
    }

    public String length(RunLength length) {
        return switch (length) {
            case RunLength.Measured(var metres) -> say(metres);
            case RunLength.Assumed(var metres) -> Words.of("length.assumed", say(metres));
        };
    }

    /** What stands on a wire of the drawing: number, colour and size. */
    public String label(Wire wire) {
        return Words.of(
                "wire.label", wire.number(), colour(wire.colour()), wire.size().designation());
    }

    public String kind(Part part) {
        return Words.of("kind." + part.kind().getClass().getSimpleName());
    }

    /** The name of a part and what it is; once, where the name says no more. */
    public String nameAndKind(Part part) {
        var kind = kind(part);
        return part.name().equalsIgnoreCase(kind) ? kind : part.name() + ", " + kind;
    }

    public String ends(Wire wire) {
        var from = termination(wire.from().termination());
        var to = termination(wire.to().termination());
        return from.equals(to)
                ? Words.of("wire.ends.alike", from)
                : Words.of("wire.between", from, to);
    }

    public String termination(Termination termination) {
        return Words.of("termination." + termination.key());
    }

    /** What a circuit may lose, by the rules of the house. */
    public String drops(Circuit.Drops drops) {
        return Words.of(
                "change.drops.share",
                Words.of("drops", drops),
                100 * design.rules().drop(drops).value());
    }

    /** What is seen to at a part. */
    public String fitting(FittingList.Line line) {
        return line.least()
                .map(least ->
                        Words.of(
                                "fitting." + line.line(),
                                say(least),
                                line.from().stream()
                                        .map(PartId::value)
                                        .collect(Collectors.joining(", "))))
                .orElseGet(() -> Words.of("fitting." + line.line()));
    }

    /** The size of a stud as it is written on a ring. */
    public String stud(Optional<String> stud) {
        return stud.map(size -> size.toUpperCase(Locale.ROOT).replace('-', '.'))
                .orElseGet(() -> Words.of("stud.unknown"));
    }

    /** Where a ring lies on its stud, and how tight the nut is made. */
    public String stacked(StudStack stack, Wire wire) {
        int count = stack.rings().size();
        return Words.of("stack.place", stack.place(wire), count, tight(stack));
    }

    /** The same in few words. */
    public String onStud(StudStack stack, Wire wire) {
        return Words.of(
                "list.onStud",
                stack.place(wire),
                stack.rings().size(),
                stud(stack.stud()),
                stack.torque().map(torque -> Words.of("list.torque", torque)).orElse(""));
    }

    /** Stud, nuts and torque of a stack. */
    public String tight(StudStack stack) {
        return stack.torque()
                .map(torque -> Words.of("stack.tight", stud(stack.stud()), stack.nuts(), torque))
                .orElseGet(() -> Words.of("stack.unknown", stack.nuts()));
    }

    /** The fuse that guards a wire, or why there is none. */
    public String guard(Guard guard, Wire wire) {
        return switch (guard) {
            case Guard.Guarded guarded ->
                    Words.of(
                            "guard.fuse",
                            guarded.largest().seat(),
                            plain(guarded.largest().marking().value()));
            case Guard.Unguarded() ->
                    wire.unguarded()
                            .map(why -> Words.of("guard.stated", Words.of("unguarded", why)))
                            .orElseGet(() -> Words.of("guard.none"));
            case Guard.BehindLoad() -> Words.of("guard.load");
            case Guard.EarthSide() -> Words.of("guard.earth");
        };
    }

    /** A fuse as it is bought: 15 A blade. */
    public String fuse(FuseType family, Amps marking) {
        return Words.of("fuse." + family.name(), plain(marking.value()));
    }

    public String title(Finding finding) {
        return Words.of("finding." + finding.rule() + ".title");
    }

    /** The reason of a finding with its figures. */
    public String reason(Finding finding) {
        return Words.of(
                "finding." + finding.rule() + ".reason",
                finding.told().stream().map(this::word).toArray());
    }

    /** Anything a finding names, as it is said. */
    private Object word(Object told) {
        return switch (told) {
            case Ratio share -> percent(share.value());
            case Quantity quantity -> say(quantity);
            case Integer count -> count;
            case PartId part -> name(part);
            case StationId station -> station(station);
            case WireId wire -> led(wire);
            case Terminal terminal ->
                    Words.of("terminal.of", terminal, design.part(terminal.part()).name());
            case WireColour colour -> colour(colour);
            case WireSize size -> size(size);
            case Termination termination -> termination(termination);
            case Conditions conditions -> conditions(conditions);
            case Purpose purpose -> Words.of("purpose", purpose);
            case FuseType family -> Words.of("fuse.family", family);
            case Enum<?> constant ->
                    Words.of("finding." + constant.getDeclaringClass().getSimpleName(), constant);
            case Optional<?> some -> some.map(this::word).orElse("");
            case List<?> several ->
                    several.stream()
                            .map(each -> String.valueOf(word(each)))
                            .collect(Collectors.joining(", "));
            default -> told.toString();
        };
    }

    /** Where a finding is: a wire by its number, a part or a terminal by its name. */
    public String where(Subject subject) {
        return switch (subject) {
            case Subject.OfWire(var wire) -> design.wire(wire).number();
            case Subject.OfPart(var part) -> part.value();
            case Subject.OfTerminal(var terminal) -> terminal.toString();
            case Subject.OfStation(var station) -> station(station);
        };
    }

    /** Where the findings of a group are, one after another. */
    public String where(Findings.Group group) {
        return group.findings().stream()
                .map(finding -> where(finding.subject()))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    /** What a step does, as an undo step names it. The design may be the one before or after it. */
    public String step(Step step) {
        return switch (step) {
            case Edit edit -> edit(edit);
            case WorkEdit note -> note(note);
            case Noted(var edit, _) -> edit(edit);
        };
    }

    /** What an edit does, as a button names it. The design may be the one before or after it. */
    public String edit(Edit edit) {
        return switch (edit) {
            case WireEdit wire -> edit(wire);
            case PartEdit part -> edit(part);
            case CircuitEdit circuit -> edit(circuit);
            case VehicleEdit vehicle -> edit(vehicle);
            case BodyEdit body -> edit(body);
            case CompositeEdit several -> edit(several);
        };
    }

    /** What a sleeve, shrink, tube, grommet or clip of a size is called. */
    public String covering(Coverings.Size size) {
        return Words.of("buy.covering", Words.of("covering.sort", size.sort()), say(size.bore()));
    }

    /** What a body of a connector is called, by its key. */
    public String housing(String key) {
        int ways = Housings.find(key).map(Housings.Housing::ways).orElse(0);
        return Words.of("housing." + key.replaceFirst("-\\d+$", ""), ways);
    }

    /** Where a part stands: its station, or its zone where there is no body. */
    public String standing(Part part) {
        return design.body()
                .map(body -> station(body.station(part)))
                .orElseGet(() -> Words.of("zone", part.zone()));
    }

    /** What a station is called: by the user, else by the words of its outline. */
    public String station(StationId id) {
        return design.body()
                .flatMap(body -> body.plan().find(id))
                .flatMap(Station::name)
                .or(() -> Words.find("station." + id))
                .orElse(id.value());
    }

    /** A run by its two stations. */
    public String run(RunId run) {
        return Words.of("run", station(run.one()), station(run.other()));
    }

    private String edit(BodyEdit edit) {
        return switch (edit) {
            case BodyEdit.SetBody(var body) ->
                    Words.of(body.isPresent() ? "edit.SetBody" : "edit.SetBody.none");
            case BodyEdit.Measure(var run, var length) ->
                    length.map(metres -> Words.of("edit.Measure", run(run), say(metres)))
                            .orElseGet(() -> Words.of("edit.Measure.assumed", run(run)));
            case BodyEdit.Dress(var run, var covering) ->
                    covering.map(dress ->
                                    Words.of("edit.Dress", run(run), Words.of("covering", dress)))
                            .orElseGet(() -> Words.of("edit.Dress.bare", run(run)));
            case BodyEdit.SetStation(var station) ->
                    station.bore()
                            .map(bore ->
                                    Words.of(
                                            "edit.SetStation.bore",
                                            station(station.id()),
                                            say(bore)))
                            .orElseGet(() ->
                                    Words.of(
                                            "edit.SetStation",
                                            station(station.id()),
                                            Words.of("form", station.form())));
            case BodyEdit.Split(var run, _) -> Words.of("edit.Split", run(run));
            case BodyEdit.Stand(var part, var station) ->
                    Words.of("edit.Stand", part, station(station));
            case BodyEdit.LayAlong(var wires) -> Words.of("edit.LayAlong", wires.size());
        };
    }

    private String edit(WireEdit edit) {
        return switch (edit) {
            case WireEdit.Resize(var wire, var size) ->
                    Words.of("edit.Resize", number(wire), size(size));
            case WireEdit.Renumber(var wire, var number) ->
                    Words.of("edit.Renumber", number(wire), number);
            case WireEdit.SetLength(var wire, var length) ->
                    Words.of("edit.SetLength", number(wire), length(length));
            case WireEdit.Pin(var wire, var trait, var held) ->
                    Words.of(
                            held ? "edit.Pin" : "edit.Pin.free",
                            number(wire),
                            Words.of("trait", trait));
            case WireEdit.AddWire(var wire) -> Words.of("edit.AddWire", wire.number());
            case WireEdit.RemoveWire(var wire) -> Words.of("edit.RemoveWire", number(wire));
            case WireEdit.Recolour(var wire, var colour) ->
                    Words.of("edit.Recolour", number(wire), colour(colour));
            case WireEdit.Crimp(var wire, var at, var termination) ->
                    Words.of("edit.Crimp", number(wire), at, termination(termination));
            case WireEdit.MoveEnd(var wire, _, var end) ->
                    Words.of("edit.MoveEnd", number(wire), end.terminal());
            case WireEdit.Lay(var wire, _) -> Words.of("edit.Lay", number(wire));
            case WireEdit.Exempt(var wire, var reason) ->
                    Words.of(
                            "edit.Exempt",
                            number(wire),
                            reason.map(why -> Words.of("unguarded", why))
                                    .orElseGet(() -> Words.of("unguarded.no")));
            case WireEdit.Insulate(var wire, var cover) ->
                    Words.of("edit.Insulate", number(wire), Words.of("insulation", cover));
            case WireEdit.TurnRound(var wire) -> Words.of("edit.TurnRound", number(wire));
        };
    }

    private String edit(PartEdit edit) {
        return switch (edit) {
            case PartEdit.FitFuse(var part, var way, var marking) ->
                    Words.of(
                            "edit.FitFuse",
                            new Conditions.FuseSeat(part, way),
                            plain(marking.value()));
            case PartEdit.InsertPart(var wire, var part, _, _, _)
                    when part.kind() instanceof GuardKind.Fuse(_, var marking) ->
                    Words.of("edit.InsertFuse", number(wire), plain(marking.value()));
            case PartEdit.InsertPart(var wire, var part, _, _, _) ->
                    Words.of("edit.InsertPart", number(wire), part.name());
            case PartEdit.InsertRelay(var wire, _, _) -> Words.of("edit.InsertRelay", number(wire));
            case PartEdit.Mount(var part, var earth) -> Words.of("edit.Mount", part, earth);
            case PartEdit.ReturnByWire(var part, _) -> Words.of("edit.ReturnByWire", part);
            case PartEdit.Exchange(var part, var one, var other) ->
                    Words.of("edit.Exchange", part, one, other);
            case PartEdit.Refit(var part, _) -> Words.of("edit.Refit", part);
            case PartEdit.Place(var part, var zone) ->
                    Words.of("edit.Place", part, Words.of("zone", zone));
            case PartEdit.House(var part, var body) ->
                    body.map(known -> Words.of("edit.House", part, housing(known.body())))
                            .orElseGet(() -> Words.of("edit.House.none", part));
            case PartEdit.StateStud(var part, var pin, var stud) ->
                    Words.of("edit.StateStud", part, pin, stud(stud));
            case PartEdit.AddPart(var part) -> Words.of("edit.AddPart", part.id(), part.name());
            case PartEdit.Rename(var part, var name) -> Words.of("edit.Rename", part, name);
            case PartEdit.RemovePart(var part) -> Words.of("edit.RemovePart", part);
        };
    }

    private String edit(CircuitEdit edit) {
        return switch (edit) {
            case CircuitEdit.AllowDrop(var circuit, var drops) ->
                    Words.of("edit.AllowDrop", name(circuit), Words.of("drops", drops));
            case CircuitEdit.AddCircuit(var circuit) -> Words.of("edit.AddCircuit", circuit.name());
            case CircuitEdit.AddHarness _ -> Words.of("edit.Together", CompositeEdit.Reason.IMPORT);
            case CircuitEdit.RenameCircuit(var circuit, var name) ->
                    Words.of("edit.RenameCircuit", name(circuit), name);
            case CircuitEdit.RemoveCircuit(var circuit) ->
                    Words.of("edit.RemoveCircuit", name(circuit));
        };
    }

    private String edit(VehicleEdit edit) {
        return switch (edit) {
            case VehicleEdit.SetRules _ -> Words.of("edit.SetRules");
            case VehicleEdit.SetVehicle(var vehicle) ->
                    Words.of(
                            "edit.SetVehicle",
                            vehicle.name(),
                            Math.round(vehicle.system().value()),
                            Words.of("pole", vehicle.earthed()));
        };
    }

    private String edit(CompositeEdit edit) {
        return switch (edit) {
            case CompositeEdit(var reason, var edits) when reason == CompositeEdit.Reason.MEND ->
                    edits.stream()
                            .map(this::edit)
                            .reduce((one, next) ->
                                    Words.of("edit.Together.each", one, goesOn(next)))
                            .orElseGet(() -> Words.of("edit.Together", reason));
            case CompositeEdit(var reason, var edits) ->
                    edits.stream()
                            .filter(each ->
                                    each instanceof CircuitEdit.AddCircuit
                                            || each instanceof PartEdit.AddPart)
                            .filter(_ ->
                                    reason == CompositeEdit.Reason.INSERT_RECIPE
                                            || reason == CompositeEdit.Reason.ADD_PART)
                            .findFirst()
                            .map(this::edit)
                            .orElseGet(() -> Words.of("edit.Together", reason));
        };
    }

    private String note(WorkEdit edit) {
        return switch (edit) {
            case WorkEdit.Accept(var acceptance) ->
                    Words.of("edit.Accept", place(acceptance.place()));
            case WorkEdit.Reject(var acceptance) ->
                    Words.of("edit.Reject", place(acceptance.place()));
            case WorkEdit.SetStage(var circuit, var stage, var finished) ->
                    Words.of(
                            finished ? "edit.SetStage.done" : "edit.SetStage.undone",
                            name(circuit),
                            Words.of("stage", stage));
            case WorkEdit.Fit(var line, _) -> Words.of("edit.Fit", line.part());
            case WorkEdit.Try(var part, _) -> Words.of("edit.Try", part);
            case WorkEdit.NoteSurvey(var about, _) -> Words.of("edit.About", about);
            case WorkEdit.Write(var about, _) -> Words.of("edit.About", about);
            case WorkEdit.SetDown(var about, _) -> Words.of("edit.SetDown", about);
            case WorkEdit.NoteUnused(var lead) -> Words.of("edit.NoteUnused", lead.name());
            case WorkEdit.ForgetUnused(var lead) -> Words.of("edit.ForgetUnused", lead.name());
            case WorkEdit.Make(var wire, _) -> Words.of("edit.Make", number(wire));
            case WorkEdit.KeepRun(var run) -> Words.of("edit.KeepRun", name(run.circuit()));
        };
    }

    /** A sentence as the end of another. */
    private static String goesOn(String sentence) {
        return sentence.substring(0, 1).toLowerCase(Locale.ROOT) + sentence.substring(1);
    }

    /** Where a lead of a recipe wants to go, as something the vehicle lacks. */
    public String place(Place place) {
        return switch (place) {
            case Place.Own(var terminal) -> terminal.toString();
            case Place.FeedFrom(var feed, var fused) ->
                    Words.of(fused ? "place.feed.fused" : "place.feed", Words.of("feed", feed));
            case Place.EarthOn(var mass) -> Words.of("place.earth", Words.of("mass", mass));
            case Place.SwitchPin(var control, var pin) -> Words.of("place.switch", control, pin);
            case Place.PartPin(var kind, var pin) -> Words.of("place.part", kind, pin);
            case Place.NamedPin(var name, _) -> Words.of("place.named", name);
            case Place.Post(var live) -> Words.of(live ? "place.live" : "place.earthed");
        };
    }

    /** What to do in a step of a run. */
    public String task(Task task) {
        return switch (task) {
            case TestStep.Look(var wire) -> Words.of("bench.task.look", number(wire));
            case TestStep.LookAt(var part) ->
                    Words.of("bench.task.lookAt", part, design.part(part).name());
            case TestStep.Continuity(var wire) -> Words.of("bench.task.continuity", number(wire));
            case TestStep.Through(var wires, var from, var to, _) ->
                    Words.of(
                            "bench.task.through",
                            from,
                            to,
                            wires.stream().map(this::number).collect(Collectors.joining(", ")));
            case TestStep.Isolation(var terminal) -> Words.of("bench.task.isolation", terminal);
            case TestStep.Quiet(var feed, _) -> Words.of("bench.task.quiet", number(feed));
            case TestStep.AmpsIn(var wire, _) -> Words.of("bench.task.amps", number(wire));
            case TestStep.VoltsAt(var terminal, _) -> Words.of("bench.task.volts", terminal);
            case TestStep.Works(var signs, _) -> Words.of("bench.task.works", signs(signs));
            case TestStep.Check(var topic, var part, _) ->
                    Words.of("bench.check." + topic, part, design.part(part).name());
            case TestStep.ClipIn(var lamps) ->
                    Words.of(
                            "bench.task.clipIn",
                            lamps.stream()
                                    .map(lamp ->
                                            Words.of(
                                                    "bench.standIn",
                                                    lamp.part(),
                                                    lamp.pin(),
                                                    say(lamp.lamp())))
                                    .collect(Collectors.joining(", ")));
            case TestStep.Leave(var parts) ->
                    Words.of(
                            "bench.task.leave",
                            parts.stream().map(PartId::value).collect(Collectors.joining(", ")));
        };
    }

    /** A step by its name in the records, whether the design still has it or not. */
    public String kept(String step) {
        var words = step.split(" ", 3);
        var word = words[0];
        var where = words.length > 1 ? words[1] : "";
        var state = words.length > 2 ? words[2] : "";
        return switch (word) {
            case "look" -> Words.of("kept.look", where.equals("at") ? state : lead(where));
            case "ohms" ->
                    state.isEmpty()
                            ? Words.of("kept.ohms", lead(where))
                            : Words.of("kept.through", where, state);
            case "amps", "warm" -> Words.of("kept." + word, lead(where), state);
            case "check" -> Words.of("kept.check", state);
            case "works" -> Words.of("kept.works", where);
            case "moved" -> Words.of("kept.moved");
            case "standing", "quiet" -> Words.of("kept.quiet");
            case "isolation",
                    "restless",
                    "warms",
                    "loads",
                    "volts",
                    "sees",
                    "gone",
                    "fast",
                    "moves",
                    "leave",
                    "clip",
                    "comes",
                    "found" ->
                    Words.of("kept." + word, where, state);
            default -> step;
        };
    }

    /** The number of a wire by its name in the records; that name where it is gone. */
    private String lead(String id) {
        return design.identified(id).map(Wire::number).orElse(id);
    }

    /** What is tried of a part before it is fitted. */
    public String tried(Part part, PartTest test) {
        var joined = test.joined(part.kind());
        return Words.of(
                "tried." + test.topic(),
                test.detail(),
                joined.isEmpty() ? Words.of("tried.open") : String.join(", ", joined));
    }

    /** What works, by what it does, and that all else is dark and still. */
    public String signs(List<Sign> signs) {
        var awake =
                signs.stream()
                        .filter(Sign::isAwake)
                        .collect(
                                Collectors.groupingBy(
                                        Sign::look,
                                        TreeMap::new,
                                        Collectors.mapping(this::load, Collectors.joining(", "))));
        if (awake.isEmpty()) {
            return Words.of("bench.sign.none");
        }
        var all =
                awake.entrySet().stream()
                        .map(each -> Words.of("bench.sign." + each.getKey(), each.getValue()))
                        .collect(Collectors.joining("; "));
        boolean rest = signs.stream().anyMatch(sign -> !sign.isAwake());
        return rest ? Words.of("bench.sign.only", all) : all;
    }

    /** A load by its name, and its pin where it has several lights. */
    private String load(Sign sign) {
        var part = design.part(sign.part());
        boolean several = part.kind().lightPins().size() > 1;
        return Words.of(
                several ? "bench.sign.pin" : "bench.sign.part",
                part.id(),
                sign.role(),
                part.name());
    }

    public String expected(Optional<Expected> expected) {
        return expected.map(value ->
                        switch (value) {
                            case Expected.Near(var middle, var tolerance) ->
                                    Words.of(
                                            "bench.near",
                                            say(middle),
                                            UserUnits.plain(Math.rint(100 * tolerance) / 100)
                                                    + " "
                                                    + middle.unit().symbol());
                            case Expected.AtLeast(var least) ->
                                    Words.of("bench.atLeast", say(least));
                            case Expected.AtMost(var most) -> Words.of("bench.atMost", say(most));
                            case Expected.Between(var least, var most) ->
                                    Words.of("bench.between", say(least), say(most));
                            case Expected.Opens(var guard, var demand) ->
                                    guard.map(seat -> Words.of("bench.opens", seat, say(demand)))
                                            .orElseGet(() -> Words.of("bench.shorted"));
                        })
                .orElseGet(() -> Words.of("bench.looks"));
    }

    /**
     * The positions of the controls that are not at rest, the levels that are moved, engine and
     * battery where they are not still and full, and what was before.
     */
    public String conditions(Conditions conditions) {
        var controls =
                Controls.of(design).controls().stream()
                        .filter(control ->
                                !Controls.position(control, conditions).equals(control.rest()))
                        .map(control ->
                                Words.of(
                                        "condition.one",
                                        control.name(),
                                        Controls.position(control, conditions)));
        var levels =
                new TreeMap<>(conditions.levels())
                        .entrySet().stream()
                                .map(level ->
                                        Words.of(
                                                "condition.one",
                                                level.getKey(),
                                                level(level.getKey(), level.getValue())));
        var engine =
                Stream.of(conditions.engine())
                        .filter(speed -> speed.value() > 0)
                        .map(speed -> Words.of("condition.engine", say(speed)));
        var charge =
                Stream.of(conditions.charge())
                        .filter(share -> share.value() < 1)
                        .map(share -> Words.of("condition.charge", percent(share.value())));
        var text =
                Stream.of(controls, levels, engine, charge)
                        .flatMap(words -> words)
                        .collect(Collectors.joining(", "));
        var now = text.isEmpty() ? Words.of("condition.rest") : text;
        return conditions
                .before()
                .map(earlier -> Words.of("condition.after", now, conditions(earlier)))
                .orElse(now);
    }

    /** A level as it is read: a temperature, or how full. */
    public String level(String level, double value) {
        return Controls.isHeat(design, level)
                ? say(ControlKind.Heat.temperature(value))
                : percent(value);
    }

    /** What gives way, the wire with where it goes. */
    public String fault(Fault fault) {
        return switch (fault) {
            case Fault.Broken(var wire) -> Words.of("fault.Broken", led(wire));
            case Fault.Chafed(var wire, var place) ->
                    Words.of(
                            "fault.Chafed." + place.name(),
                            led(wire),
                            design.wire(wire).from().terminal(),
                            design.wire(wire).to().terminal());
            case Fault.EarthLost(var earth) -> Words.of("fault.EarthLost", name(earth));
            case Fault.BadJoint(var wire, var more) ->
                    Words.of("fault.BadJoint", led(wire), say(more));
            case Fault.Exchanged(var one, var other) -> Words.of("fault.Exchanged", one, other);
            case Fault.Touching(var one, var other) -> Words.of("fault.Touching", one, other);
            case Fault.PoorEarth(var earth, var more) ->
                    Words.of("fault.PoorEarth", name(earth), say(more));
            case Fault.Blown(var guard) -> Words.of("fault.Blown", guard);
            case Fault.DeadCoil(var part) -> Words.of("fault.DeadCoil", name(part));
            case Fault.Stuck(var part, var contact) -> Words.of("fault.Stuck", contact, name(part));
            case Fault.Burnt(var part, var contact, var more) ->
                    Words.of("fault.Burnt", contact, name(part), say(more));
            case Fault.Dead(var part, var role) -> Words.of("fault.Dead", role, name(part));
            case Fault.DeadPart(var part) -> Words.of("fault.DeadPart", name(part));
            case Fault.Another(var part, _) -> Words.of("fault.Another", name(part));
        };
    }

    /** What gives way of a wire that has been named already. */
    public String whatIf(Fault.OfWire fault) {
        return switch (fault) {
            case Fault.Broken _ -> Words.of("whatIf.Broken");
            case Fault.Chafed(var wire, var place) ->
                    Words.of(
                            "whatIf.Chafed." + place.name(),
                            design.wire(wire).from().terminal(),
                            design.wire(wire).to().terminal());
            case Fault.BadJoint(_, var more) -> Words.of("whatIf.BadJoint", say(more));
        };
    }

    /** What a fault does. */
    public String consequence(Consequence consequence) {
        var key = "consequence." + consequence.getClass().getSimpleName();
        return switch (consequence) {
            case Consequence.Burns(var wire, var amps, var within) ->
                    Words.of(key, number(wire), say(amps), say(within));
            case Consequence.Overheats(var wire, var amps, var carries) ->
                    Words.of(key, number(wire), say(amps), say(carries));
            case Consequence.Opens(var guard, var amps, var within) ->
                    Words.of(key, guard, say(amps), say(within));
            case Consequence.RunsByItself(var part, var role, var amps) ->
                    Words.of(key, name(part, role), say(amps));
            case Consequence.Glows(var part, var role, var share) ->
                    Words.of(key, name(part, role), percent(share.value()));
            case Consequence.Moves(var gauge, var from, var to) ->
                    Words.of(key, name(gauge), percent(from.value()), percent(to.value()));
            case Consequence.GoesDark(var part, var role) -> Words.of(key, name(part, role));
            case Consequence.Weakens(var part, var role, var left) ->
                    Words.of(key, name(part, role), percent(left.value()));
            case Consequence.Restless() -> Words.of(key);
        };
    }

    /** A wire by its number, its colour and its two ends. */
    private String led(WireId wire) {
        var found = design.wire(wire);
        return Words.of(
                "wire.led",
                found.number(),
                colour(found.colour()),
                found.from().terminal(),
                found.to().terminal());
    }

    public static String percent(double share) {
        return Math.round(share * 100) + " %";
    }

    /** A place as it is kept in the job: a wire by its number, all else as it is. */
    public String place(String kept) {
        return design.wires().stream()
                .filter(wire -> wire.id().value().equals(kept))
                .findFirst()
                .map(Wire::number)
                .orElse(kept);
    }

    private static String plain(double number) {
        return UserUnits.plain(number);
    }

    String number(WireId wire) {
        return design.find(wire).map(Wire::number).orElse(wire.value());
    }

    /** A part by its short name and what the user calls it. */
    public String name(PartId part) {
        return design.find(part).map(found -> part + " " + found.name()).orElse(part.value());
    }

    /** A part by its name, with which of its two filaments or speeds is meant. */
    private String name(PartId part, String role) {
        boolean two =
                design.find(part)
                        .map(Part::kind)
                        .filter(kind ->
                                kind instanceof LoadKind.TwoSpeedMotor
                                        || kind instanceof LoadKind.Lamp lamp
                                                && lamp.filaments().size() > 1)
                        .isPresent();
        return two ? Words.of("part.which", name(part), role) : name(part);
    }

    private String name(CircuitId circuit) {
        return design.find(circuit).map(Circuit::name).orElse(circuit.value());
    }
}
