package aficion.words;

import aficion.catalogue.TaskTable;
import aficion.change.Change;
import aficion.job.Design;
import aficion.job.Diary;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.make.Making;
import aficion.make.StudStack;
import aficion.plan.Pace;
import aficion.plan.Plan;
import aficion.plan.Task;
import aficion.quantity.UserUnits;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what a task is, why it waits, what is to hand for it, and what changes. */
public final class PlanWords {
    private static final int FEW = 3;

    private final Design design;
    private final Speech speech;

    public PlanWords(Design design, UserUnits units) {
        this.design = design;
        this.speech = new Speech(design, units);
    }

    /** What is done. */
    public String name(Task task) {
        var key = "task." + task.kind().name();
        return switch (task.of()) {
            case Task.Of.OfCircuit(var circuit, var wires, var parts)
                    when task.kind() == Task.Kind.FIT && parts.isEmpty() ->
                    Words.of("task.join", design.circuit(circuit).name());
            case Task.Of.OfCircuit(var circuit, var wires, var parts) ->
                    Words.of(key, design.circuit(circuit).name(), what(wires, parts));
            case Task.Of.OfRun(var run) -> Words.of(key, speech.run(run));
            case Task.Of.OfHole(var at, var bore) ->
                    Words.of(key, speech.station(at), speech.say(bore));
            case Task.Of.OfLoom(var loom) -> Words.of(key, loom);
            case Task.Of.OfVehicle _ -> Words.of(key, task.left());
            case Task.Of.OfNote(var words) -> Words.of(key, line(words));
        };
    }

    /** What of a task is done in an evening. */
    public String name(Plan.Pick pick) {
        return pick.whole()
                ? name(pick.task())
                : Words.of("task.part", name(pick.task()), pick.units(), pick.task().left());
    }

    private static String line(String words) {
        return words.lines().findFirst().orElse("");
    }

    private String what(List<String> wires, List<PartId> parts) {
        if (!wires.isEmpty()) {
            return wires.size() <= FEW
                    ? String.join(", ", wires)
                    : Words.of("task.fromTo", wires.getFirst(), wires.getLast());
        }
        return parts.size() <= FEW
                ? parts.stream().map(PartId::value).collect(Collectors.joining(", "))
                : Words.of("task.parts", parts.size());
    }

    /** Why it waits: for what, and the reason. */
    public String waits(Plan plan, Task task) {
        return plan.waits(task).stream()
                .limit(FEW)
                .map(before ->
                        Words.of(
                                "task.after",
                                plan.find(before.key()).map(this::name).orElse(before.key()),
                                Words.of("why", before.why())))
                .collect(Collectors.joining("; "));
    }

    /** A reason for its place, of all that it comes after. */
    public List<String> reasons(Task task) {
        return task.after().stream()
                .map(Task.Before::why)
                .distinct()
                .map(why -> Words.of("why", why))
                .toList();
    }

    /** Hours and minutes. */
    public static String time(double minutes) {
        long all = Math.round(minutes);
        return String.format(Locale.ROOT, "%d:%02d", all / 60, all % 60);
    }

    /** What can hurt at it; empty where nothing does. */
    public static Optional<String> caution(Task task) {
        return Words.find("task.caution." + task.kind().name());
    }

    /** Tools, consumables and torques that are to hand for it. */
    public List<String> toHand(Task task) {
        var line = TaskTable.of(task.kind().name());
        var hand = new ArrayList<String>();
        Stream.concat(line.tools().stream(), line.supplies().stream())
                .map(word -> Words.of("hand." + word))
                .forEach(hand::add);
        if (task.kind() == Task.Kind.MAKE && task.of() instanceof Task.Of.OfCircuit of) {
            Making.of(design).wires().stream()
                    .filter(each -> of.wires().contains(each.wire().number()))
                    .flatMap(each -> each.ends().stream())
                    .map(end -> Words.of("tool", end.making().tool()))
                    .distinct()
                    .forEach(hand::add);
        }
        if (task.kind() == Task.Kind.HOLE && task.of() instanceof Task.Of.OfHole(_, var bore)) {
            hand.addFirst(Words.of("hand.grommet", speech.say(bore)));
        }
        torques(task).forEach(hand::add);
        return hand;
    }

    /** What is to hand for all of an evening, each once, what its first tasks need first. */
    public List<String> toHand(Plan.Evening evening) {
        return evening.picks().stream()
                .flatMap(pick -> toHand(pick.task()).stream())
                .distinct()
                .toList();
    }

    /** How an evening ends: how long it takes, and how it leaves the vehicle. */
    public static String ends(Plan.Evening evening) {
        return Words.of(
                "plan.all", time(evening.minutes()), Words.of("plan.ends", evening.battery()));
    }

    /** How long has been worked, and how long is left. */
    public static String summary(Plan plan, Diary diary) {
        return Words.of(
                "plan.summary", Math.round(diary.minutes() / 60.0), Math.round(plan.left() / 60));
    }

    /** The user's own pace, of each kind that has been timed. */
    public static String pace(Pace pace) {
        return pace.own().isEmpty()
                ? Words.of("plan.pace.typical")
                : pace.own().entrySet().stream()
                        .map(own ->
                                Words.of(
                                        "plan.pace",
                                        Words.of("plan.kind", own.getKey()),
                                        UserUnits.plain(Math.round(10 * own.getValue()) / 10.0),
                                        pace.units().getOrDefault(own.getKey(), 0),
                                        UserUnits.plain(own.getKey().minutes())))
                        .collect(Collectors.joining(" "));
    }

    /** How tight the nuts on the studs of its parts are made. */
    private Stream<String> torques(Task task) {
        boolean bolted = task.kind() == Task.Kind.FIT || task.kind() == Task.Kind.GUARDS;
        return bolted && task.of() instanceof Task.Of.OfCircuit of
                ? of.parts().stream()
                        .map(design::part)
                        .flatMap(part -> part.terminals().stream())
                        .flatMap(at -> StudStack.of(design, at).stream())
                        .flatMap(stack ->
                                stack.torque().stream()
                                        .map(torque ->
                                                Words.of(
                                                        "hand.torque",
                                                        stack.at(),
                                                        stack.stud()
                                                                .orElse("")
                                                                .toUpperCase(Locale.ROOT),
                                                        UserUnits.plain(torque))))
                        .distinct()
                : Stream.of();
    }

    /** A change: what it is of. */
    public String what(Change change) {
        return switch (change) {
            case Change.OfPart of -> Words.of("change.part", of.part().id(), of.part().name());
            case Change.OfWire of ->
                    Words.of(
                            "change.wire",
                            of.wire().number(),
                            speech.size(of.wire().size()),
                            speech.colour(of.wire().colour()));
            case Change.OfLead of -> Words.of("change.lead", of.lead().name());
        };
    }

    /** From where: the place or the terminal that it leaves. */
    public String from(Change change) {
        return switch (change) {
            case Change.OfPart of -> of.was().map(this::standing).orElse("");
            case Change.OfWire of ->
                    change.sort() == Change.Sort.MOVES
                            ? of.from().map(Object::toString).orElse("")
                            : of.was().map(PlanWords::ends).orElse("");
            case Change.OfLead of -> of.lead().where();
        };
    }

    /** To where: the place or the terminal that it goes to. */
    public String to(Change change) {
        return switch (change) {
            case Change.OfPart of -> of.is().map(this::standing).orElse("");
            case Change.OfWire of ->
                    change.sort() == Change.Sort.MOVES
                            ? of.to().map(Object::toString).orElse("")
                            : of.is().map(PlanWords::ends).orElse("");
            case Change.OfLead of -> Words.of("unused", of.lead().done());
        };
    }

    private static String ends(Wire wire) {
        return wire.from().terminal() + " \u2013 " + wire.to().terminal();
    }

    private String standing(Part part) {
        return design.find(part.id()).isPresent()
                ? speech.standing(part)
                : Words.of("zone", part.zone());
    }
}
