package aficion.plan;

import aficion.bench.PartTest;
import aficion.change.Change;
import aficion.forming.Loom;
import aficion.ignite.Ignition;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Diary;
import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.Work.Stage;
import aficion.make.Making;
import aficion.plan.Task.Before;
import aficion.plan.Task.Kind;
import aficion.plan.Task.Of;
import aficion.quantity.Metres;
import aficion.route.RunId;
import aficion.route.StationId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** The tasks of a job, made from what is worked of it and what is done of that. */
final class TaskList {
    private final Design design;
    private final Work work;
    private final Workload load;
    private final Map<WireId, Making.WireWork> making = new HashMap<>();
    private final List<Task> tasks = new ArrayList<>();

    TaskList(Job job) {
        this.design = job.design();
        this.work = job.work();
        this.load = new Workload(job);
        Making.of(design).wires().forEach(each -> making.put(each.wire().id(), each));
    }

    List<Task> tasks() {
        survey();
        measure();
        holes();
        panels();
        load.circuits().forEach(this::bench);
        load.looms().forEach(this::lay);
        vehicle();
        open();
        return isLiveWithWorkLeft() ? tasks.stream().map(TaskList::reopened).toList() : tasks;
    }

    /** Whether the battery was connected, and something is left to do on the vehicle. */
    private boolean isLiveWithWorkLeft() {
        return diary().isDone(Task.POWER)
                && tasks.stream().anyMatch(task -> task.kind().isOnVehicle() && !task.isDone());
    }

    /** That the battery was off once, and on again, counts no longer. */
    private static Task reopened(Task task) {
        return task.kind() == Kind.BATTERY_OFF || task.kind() == Kind.POWER ? task.open() : task;
    }

    private Diary diary() {
        return work.diary();
    }

    private static Before after(String key, Why why) {
        return new Before(key, why);
    }

    private static String key(String what, Object of) {
        return what + "/" + of;
    }

    /** A task that is done once all its units are, or once somebody ticked it. */
    private void add(String key, Kind kind, Of of, Count count, List<Before> after) {
        if (count.units > 0) {
            int left = diary().isDone(key) ? 0 : count.left;
            tasks.add(new Task(key, kind, of, count.units, left, after));
        }
    }

    private record Count(int units, int left) {
        static Count one(boolean done) {
            return new Count(1, done ? 0 : 1);
        }
    }

    private void survey() {
        var leads = work.survey().leads();
        int left = (int) leads.stream().filter(lead -> lead.verdict().isEmpty()).count();
        add("survey", Kind.SURVEY, new Of.OfVehicle(), new Count(leads.size(), left), List.of());
    }

    /** The strands that something new rides. */
    private Stream<Loom.Strand> strands() {
        return load.looms().stream()
                .flatMap(loom -> loom.strands().stream())
                .filter(strand -> strand.dress().riders().stream().anyMatch(load::isWorked));
    }

    private static String key(RunId run) {
        return "measure/" + run.one().value() + "-" + run.other().value();
    }

    private void measure() {
        var seen = new HashSet<RunId>();
        strands()
                .filter(strand -> seen.add(strand.run()))
                .forEach(strand ->
                        add(
                                key(strand.run()),
                                Kind.MEASURE,
                                new Of.OfRun(strand.run()),
                                Count.one(strand.measured()),
                                List.of()));
    }

    private void holes() {
        var bores = new LinkedHashMap<StationId, Metres>();
        strands()
                .forEach(strand ->
                        strand.holes()
                                .forEach((at, bore) ->
                                        bores.merge(
                                                at,
                                                bore,
                                                (one, other) ->
                                                        one.value() >= other.value()
                                                                ? one
                                                                : other)));
        bores.forEach((at, bore) ->
                add(
                        key("hole", at),
                        Kind.HOLE,
                        new Of.OfHole(at, bore),
                        Count.one(false),
                        List.of(after(Task.BATTERY_OFF, Why.BATTERY_OFF_FIRST))));
    }

    /** What a circuit needs until it is tested on the bench. */
    private void bench(Circuit circuit) {
        var id = circuit.id();
        var ours = load.wires(id);
        var stages = work.done(id);
        tryOut(id, stages);
        label(id, ours, stages);
        make(id, ours, stages);
        var laid =
                load.loomsOf(id).stream()
                        .map(loom -> after(key("lay", loom.number()), Why.LAID_BEFORE_TEST));
        boolean tested = stages.contains(Stage.TESTED);
        add(
                key("bench", id),
                Kind.BENCH,
                new Of.OfCircuit(id, numbers(ours), List.of()),
                new Count(ours.size(), tested ? 0 : ours.size()),
                Stream.concat(Stream.of(after(key("make", id), Why.LAID_BEFORE_TEST)), laid)
                        .toList());
    }

    private void tryOut(CircuitId id, Set<Stage> stages) {
        var tried =
                load.parts(id).stream()
                        .filter(part -> !PartTest.of(design, part).isEmpty())
                        .toList();
        var open =
                tried.stream()
                        .filter(part ->
                                PartTest.of(design, part).stream()
                                        .anyMatch(test ->
                                                work.tried(part.id(), test.key()).isEmpty()))
                        .toList();
        boolean past = stages.contains(Stage.MADE) || stages.contains(Stage.TESTED);
        add(
                key("try", id),
                Kind.TRY,
                new Of.OfCircuit(
                        id, List.of(), (past ? tried : open).stream().map(Part::id).toList()),
                new Count(tried.size(), past ? 0 : open.size()),
                List.of());
    }

    private void label(CircuitId id, List<Wire> ours, Set<Stage> stages) {
        boolean done = stages.contains(Stage.LABELLED) || stages.contains(Stage.MADE);
        add(
                key("label", id),
                Kind.LABEL,
                new Of.OfCircuit(id, numbers(ours), List.of()),
                new Count(ours.size(), done ? 0 : ours.size()),
                List.of(after("survey", Why.SURVEY_FIRST)));
    }

    private void make(CircuitId id, List<Wire> ours, Set<Stage> stages) {
        var open =
                stages.contains(Stage.MADE)
                        ? List.<Wire>of()
                        : ours.stream().filter(wire -> !isMade(wire)).toList();
        var before = new ArrayList<Before>();
        before.add(after(key("label", id), Why.LABEL_BEFORE_TERMINAL));
        before.add(after(key("try", id), Why.PART_BEFORE_WIRE));
        var ridden = new LinkedHashSet<RunId>();
        open.forEach(wire -> design.way(wire).ifPresent(way -> ridden.addAll(way.runs())));
        ridden.forEach(run -> before.add(after(key(run), Why.LENGTH_BEFORE_CUT)));
        add(
                key("make", id),
                Kind.MAKE,
                new Of.OfCircuit(id, numbers(open.isEmpty() ? ours : open), List.of()),
                new Count(ours.size(), open.size()),
                before);
    }

    private boolean isMade(Wire wire) {
        return Optional.ofNullable(making.get(wire.id()))
                .filter(each -> each.isMade(work))
                .isPresent();
    }

    private static List<String> numbers(List<Wire> wires) {
        return wires.stream().map(Wire::number).toList();
    }

    /** Laying, sleeving and putting in of a loom. */
    private void lay(Loom loom) {
        var ids = load.circuitsOf(loom);
        int riders = load.riders(loom);
        if (riders == 0) {
            return;
        }
        var of = new Of.OfLoom(loom.number());
        boolean tested = ids.stream().allMatch(id -> work.done(id).contains(Stage.TESTED));
        boolean fitted = ids.stream().allMatch(id -> work.done(id).contains(Stage.FITTED));
        add(
                key("lay", loom.number()),
                Kind.LAY,
                of,
                new Count(riders, tested || fitted ? 0 : riders),
                ids.stream().map(id -> after(key("make", id), Why.MADE_BEFORE_LAID)).toList());
        add(
                key("sleeve", loom.number()),
                Kind.SLEEVE,
                of,
                new Count(loom.strands().size(), fitted ? 0 : loom.strands().size()),
                ids.stream().map(id -> after(key("bench", id), Why.SLEEVE_AFTER_TEST)).toList());
        var before = new ArrayList<Before>();
        before.add(after(key("sleeve", loom.number()), Why.SLEEVE_AFTER_TEST));
        before.add(after(Task.BATTERY_OFF, Why.BATTERY_OFF_FIRST));
        before.add(after("comes-off", Why.OLD_OUT_FIRST));
        loom.strands()
                .forEach(strand ->
                        strand.holes()
                                .keySet()
                                .forEach(at ->
                                        before.add(after(key("hole", at), Why.PANEL_BEFORE_PLUG))));
        add(
                key("loom", loom.number()),
                Kind.LOOM,
                of,
                new Count(loom.strands().size(), fitted ? 0 : loom.strands().size()),
                before);
    }

    /** What is worked on the vehicle. */
    private void vehicle() {
        if (load.isEmpty()) {
            return;
        }
        add(Task.BATTERY_OFF, Kind.BATTERY_OFF, new Of.OfVehicle(), Count.one(false), List.of());
        comesOff();
        load.circuits().forEach(this::fit);
        var fitted =
                load.circuits().stream()
                        .flatMap(circuit ->
                                Stream.of(
                                        after(key("fit", circuit.id()), Why.EARTH_LAST),
                                        after(key("guards", circuit.id()), Why.EARTH_LAST)))
                        .toList();
        add(Task.POWER, Kind.POWER, new Of.OfVehicle(), Count.one(false), fitted);
        for (var circuit : load.circuits()) {
            boolean touched = !load.wires(circuit.id()).isEmpty();
            add(
                    key("prove", circuit.id()),
                    Kind.PROVE,
                    new Of.OfCircuit(circuit.id(), List.of(), List.of()),
                    touched ? Count.one(isProved(circuit.id())) : new Count(0, 0),
                    List.of(after(Task.POWER, Why.POWER_BEFORE_TEST)));
        }
        var proved =
                load.circuits().stream()
                        .map(circuit -> after(key("prove", circuit.id()), Why.TRIM_LAST))
                        .toList();
        timing(proved);
        add("trim", Kind.TRIM, new Of.OfVehicle(), Count.one(false), proved);
        add(
                "road",
                Kind.ROAD,
                new Of.OfVehicle(),
                Count.one(false),
                List.of(after("trim", Why.ROAD_LAST), after("timing", Why.ROAD_LAST)));
    }

    /** The ignition is timed where its cap was noted, once all that is fed is proved. */
    private void timing(List<Before> proved) {
        boolean noted = work.sums().cap().isPresent() && Ignition.of(design).isPresent();
        add(
                "timing",
                Kind.TIMING,
                new Of.OfVehicle(),
                noted ? Count.one(false) : new Count(0, 0),
                proved.stream()
                        .map(before -> after(before.key(), Why.PROVED_BEFORE_TIMED))
                        .toList());
    }

    /** Panels are cut and drilled on the bench. */
    private void panels() {
        for (var panel : work.sums().panels()) {
            add(
                    key("panel", panel.name()),
                    Kind.PANEL,
                    new Of.OfNote(panel.name()),
                    Count.one(false),
                    List.of());
        }
    }

    private boolean isProved(CircuitId circuit) {
        return work.bench().stream()
                .anyMatch(run ->
                        run.circuit().equals(circuit)
                                && run.setting().isOnVehicle()
                                && !run.readings().isEmpty());
    }

    private void comesOff() {
        var off =
                load.changes().stream()
                        .filter(change ->
                                change.sort() == Change.Sort.OFF
                                        || change.sort() == Change.Sort.SEALED)
                        .toList();
        int left = (int) off.stream().filter(change -> !diary().isDone(change.key())).count();
        var before = new ArrayList<Before>();
        before.add(after(Task.BATTERY_OFF, Why.BATTERY_OFF_FIRST));
        load.circuits()
                .forEach(circuit ->
                        before.add(after(key("bench", circuit.id()), Why.OLD_UNTIL_TESTED)));
        add("comes-off", Kind.COMES_OFF, new Of.OfVehicle(), new Count(off.size(), left), before);
    }

    /** Guards and relays first, then all else of a circuit. */
    private void fit(Circuit circuit) {
        var id = circuit.id();
        var all = load.parts(id);
        var first =
                all.stream()
                        .filter(part ->
                                part.kind() instanceof GuardKind
                                        || part.kind() instanceof ControlKind.Relay)
                        .toList();
        var rest = all.stream().filter(part -> !first.contains(part)).toList();
        boolean done = work.done(id).contains(Stage.FITTED);
        var before = new ArrayList<Before>();
        before.add(after(Task.BATTERY_OFF, Why.BATTERY_OFF_FIRST));
        before.add(after(key("bench", id), Why.SLEEVE_AFTER_TEST));
        load.loomsOf(id)
                .forEach(loom ->
                        before.add(after(key("loom", loom.number()), Why.LOOM_BEFORE_PARTS)));
        load.givers(id)
                .forEach(each -> before.add(after(key("fit", each), Why.SOURCE_BEFORE_LOAD)));
        add(
                key("guards", id),
                Kind.GUARDS,
                new Of.OfCircuit(id, List.of(), ids(first)),
                new Count(first.size(), done ? 0 : first.size()),
                before);
        var later = new ArrayList<>(before);
        later.add(after(key("guards", id), Why.RELAY_BEFORE_SWITCH));
        boolean touched = !rest.isEmpty() || !load.wires(id).isEmpty();
        int units = touched ? Math.max(1, rest.size()) : 0;
        add(
                key("fit", id),
                Kind.FIT,
                new Of.OfCircuit(id, List.of(), ids(rest)),
                new Count(units, done ? 0 : units),
                later);
    }

    private static List<PartId> ids(List<Part> parts) {
        return parts.stream().map(Part::id).toList();
    }

    private void open() {
        diary().entries().stream()
                .filter(note -> note.sort() == Diary.Sort.OPEN)
                .forEach(note ->
                        add(
                                key("open", note.at()),
                                Kind.OPEN,
                                new Of.OfNote(note.words()),
                                Count.one(note.closed()),
                                List.of()));
    }
}
