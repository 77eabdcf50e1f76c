package aficion.files.sheet;

import aficion.catalogue.Threads;
import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.change.Proposal;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Diary;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.OldLead;
import aficion.job.Part;
import aficion.make.StudStack;
import aficion.plan.Plan;
import aficion.quantity.UserUnits;
import aficion.words.PlanWords;
import aficion.words.Speech;
import aficion.words.Words;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The lists around the design: what was found, what changes, what is left, what was written. */
public final class WorkListings {
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

    private WorkListings() {}

    /** The old loom, lead by lead. */
    static Listing survey(Job job, UserUnits units) {
        var speech = new Speech(job.design(), units);
        var standard = job.design().rules().sizes();
        return Listings.of(
                "survey",
                List.of("lead", "from", "to", "colour", "size", "state", "added", "verdict", "why"),
                job.work().survey().leads().stream()
                        .map(lead -> {
                            var proposal = Proposal.of(lead);
                            return List.of(
                                    lead.name(),
                                    lead.from(),
                                    lead.to(),
                                    lead.colour().map(speech::longColour).orElse(""),
                                    lead.bare()
                                            .map(bare -> speech.size(Proposal.size(bare, standard)))
                                            .orElse(""),
                                    states(lead),
                                    Words.of(lead.added() ? "survey.added" : "survey.factory"),
                                    lead.verdict()
                                            .map(verdict -> Words.of("verdict.lead", verdict))
                                            .orElse(""),
                                    Words.of("proposal", proposal.reason()));
                        })
                        .toList());
    }

    /** How a lead is: what is wrong with it and where, and where nobody looked. */
    public static String states(OldLead lead) {
        var states = lead.states();
        var said = new ArrayList<String>();
        if (lead.cover() != OldLead.Cover.PLASTIC) {
            said.add(Words.of("cover", lead.cover()));
        }
        add(said, "survey.first", states.first());
        add(said, "survey.along", states.along());
        add(said, "survey.last", states.last());
        return said.isEmpty() ? Words.of("survey.sound") : String.join("; ", said);
    }

    private static void add(List<String> said, String where, Collection<OldLead.Condition> seen) {
        if (seen.isEmpty()) {
            said.add(Words.of(where, Words.of("survey.unseen")));
        } else if (!seen.contains(OldLead.Condition.SOUND)) {
            said.add(
                    Words.of(
                            where,
                            seen.stream()
                                    .map(each -> Words.of("condition", each))
                                    .collect(Collectors.joining(", "))));
        }
    }

    /** What comes off, moves and is new, in the order of the work; what stays is not told. */
    static Listing changes(Job job, UserUnits units) {
        var words = new PlanWords(job.design(), units);
        return Listings.of(
                "changes",
                List.of("change", "item", "from", "to", "ticked"),
                ChangeList.of(job).stream()
                        .filter(change -> change.sort() != Change.Sort.STAYS)
                        .map(change ->
                                List.of(
                                        Words.of("change", change.sort()),
                                        words.what(change),
                                        words.from(change),
                                        words.to(change),
                                        job.work().diary().isDone(change.key())
                                                ? Words.of("fitting.done")
                                                : ""))
                        .toList());
    }

    /** Every task: what is left of it, what it waits for, what is to hand, what can hurt. */
    static Listing plan(Job job, UserUnits units) {
        var plan = Plan.of(job);
        var words = new PlanWords(job.design(), units);
        return Listings.of(
                "plan",
                List.of("task", "time", "waits", "hand", "caution"),
                plan.tasks().stream()
                        .filter(task -> !task.isDone())
                        .map(task ->
                                List.of(
                                        words.name(task),
                                        PlanWords.time(plan.pace().left(task)),
                                        words.waits(plan, task),
                                        String.join(", ", words.toHand(task)),
                                        PlanWords.caution(task).orElse("")))
                        .toList());
    }

    /** When something was written, by the clock of this place. */
    public static String when(Instant at) {
        return DAY.format(at.atZone(ZoneId.systemDefault()));
    }

    /** What was written as the work went. */
    static Listing diary(Job job) {
        return Listings.of(
                "diary",
                List.of("when", "sort", "circuit", "time", "words", "reason"),
                job.work().diary().entries().stream()
                        .map(entry ->
                                List.of(
                                        when(entry.at()),
                                        Words.of("entry", entry.sort()),
                                        entry.circuit()
                                                .flatMap(job.design()::find)
                                                .map(circuit -> circuit.name())
                                                .orElse(""),
                                        entry.minutes() > 0 ? PlanWords.time(entry.minutes()) : "",
                                        line(said(entry)),
                                        line(entry.why())))
                        .toList());
    }

    private static String said(Diary.Entry entry) {
        return entry.sort() == Diary.Sort.OPEN && entry.closed()
                ? Words.of("entry.closed", entry.words())
                : entry.words();
    }

    private static String line(String text) {
        return text.replace('\n', ' ');
    }

    /** How tight bolts are made: the user's own first, then studs of the harness, then typical. */
    static Listing torque(Job job, UserUnits units) {
        var speech = new Speech(job.design(), units);
        var own =
                job.work().diary().fasteners().stream()
                        .map(each ->
                                List.of(
                                        each.name(),
                                        each.thread(),
                                        UserUnits.plain(each.torque()),
                                        each.with()));
        var studs =
                job.design().parts().stream()
                        .flatMap(part -> part.terminals().stream())
                        .flatMap(at -> StudStack.of(job.design(), at).stream())
                        .flatMap(stack ->
                                stack.torque().stream()
                                        .map(torque ->
                                                List.of(
                                                        stack.at().toString(),
                                                        stack.stud()
                                                                .orElse("")
                                                                .toUpperCase(Locale.ROOT),
                                                        UserUnits.plain(torque),
                                                        Words.of(
                                                                "torque.nut",
                                                                speech.name(stack.at().part())))));
        var typical =
                Threads.all().stream()
                        .map(each ->
                                List.of(
                                        Words.of("torque.typical", each.strength()),
                                        each.name(),
                                        UserUnits.plain(each.torque()),
                                        Words.of("torque.maker")));
        return Listings.of(
                "torque",
                List.of("fastener", "thread", "newtonMetres", "with"),
                Stream.of(own, studs, typical).flatMap(each -> each).toList());
    }

    /** The card for the glove box: fuses by way, main isolator, earth points. */
    static Listing card(Job job, UserUnits units) {
        var design = job.design();
        var speech = new Speech(design, units);
        return Listings.of(
                "card",
                List.of("part", "what", "where", "guards"),
                Stream.of(seats(design, speech), isolators(design, speech), earths(design, speech))
                        .flatMap(each -> each)
                        .toList());
    }

    private static Stream<List<String>> seats(Design design, Speech speech) {
        return design.parts().stream()
                .flatMap(part ->
                        part.kind().seats().stream()
                                .map(seat ->
                                        List.of(
                                                seat.way().isEmpty()
                                                        ? part.id().value()
                                                        : part.id() + " " + seat.way(),
                                                speech.fuse(seat.type(), seat.marking()),
                                                speech.standing(part),
                                                guards(design, part, seat.out()))));
    }

    /** The circuits that a fuse guards. */
    private static String guards(Design design, Part part, String out) {
        return design.wiresAt(part.terminal(out)).stream()
                .map(wire -> design.circuit(wire.circuit()).name())
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static Stream<List<String>> isolators(Design design, Speech speech) {
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof ControlKind.Switch hand
                                && hand.control().contains("isolator"))
                .map(part ->
                        List.of(
                                part.id().value(),
                                part.name(),
                                speech.standing(part),
                                Words.of("card.isolator")));
    }

    private static Stream<List<String>> earths(Design design, Speech speech) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof JoinKind.EarthPoint)
                .map(part ->
                        List.of(
                                part.id().value(),
                                part.name(),
                                speech.standing(part),
                                Words.of(
                                        "card.earth",
                                        design.wiresAt(part.terminal("E")).size()
                                                + design.mountedOn(part.id()).size())));
    }
}
