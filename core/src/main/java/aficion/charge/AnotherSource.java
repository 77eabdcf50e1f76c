package aficion.charge;

import aficion.catalogue.WireSize;
import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.check.Findings;
import aficion.check.Settled;
import aficion.check.finding.Finding;
import aficion.job.Design;
import aficion.job.Job;
import aficion.job.LoadKind;
import aficion.job.OutputCurve;
import aficion.job.Part;
import aficion.job.Pulleys;
import aficion.job.SourceKind;
import aficion.job.SourceKind.Alternator;
import aficion.job.SourceKind.Dynamo;
import aficion.job.SourceKind.Flywheel;
import aficion.job.SourceKind.RegulatorRectifier;
import aficion.job.Wire;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.netlist.SourceCurves;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.Guards;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Other sources held against the one that is there: what each would give, and what must change for
 * it. Every candidate is put into a copy of the design, and what is then found is mended; so its
 * lead and its guard are what the whole program would ask for.
 */
public final class AnotherSource {
    /**
     * What an alternator gives of what it takes from the engine (HANDBOOK: P = V·I/0.55, typical).
     */
    private static final double EFFICIENCY = 0.55;

    /** So many times as much the same coils give once both halves of a turn charge (typical). */
    private static final double BOTH_HALVES = 2;

    /** By so much a ratio that stands may be off the one that was measured. */
    private static final double SAME = 0.005;

    /** What an ammeter or its shunt is marked, amps. */
    private static final List<Integer> RANGES = List.of(30, 40, 60, 80, 100, 150, 200);

    private final Job job;
    private final Part source;
    private final Situation situation;
    private final Assessment before;
    private final List<Finding> found;

    private AnotherSource(Job job, Part source, Situation situation, Assessment before) {
        this.job = job;
        this.source = source;
        this.situation = situation;
        this.before = before;
        this.found = Findings.of(before);
    }

    /**
     * A source that might be put in.
     *
     * @param id by which it is asked for
     * @param name what it is, in words
     * @param with the regulator that comes with it, for what needs another one
     */
    public record Candidate(
            String id, String name, SourceKind kind, Optional<RegulatorRectifier> with) {}

    /** Why one cannot be put in. */
    public enum Refusal {
        /** It is the one that is there. */
        SAME,
        /** It is woken through a lamp, and there is none. */
        NO_LAMP,
        /** It wants a switched feed, and there is none to take it from. */
        NO_FEED,
        /** It works another way: magnets for a belt, or the other way round. */
        OTHER_SORT
    }

    /**
     * A source in its place: the one that is there, or another.
     *
     * @param atTop how fast its own shaft turns at the top speed of the engine
     * @param limit how fast that may be
     * @param takes what it takes from the engine where it gives all, watts; nothing is known of
     *     magnets on the crankshaft
     * @param lead the size of its charging lead
     * @param guard the marking of what guards it; empty where nothing does
     * @param ammeter what its ammeter may carry; empty without one
     * @param edit puts it in, with all that follows from it; empty for the one that is there
     * @param changes what comes off, moves, is new
     * @param left what would still be found, and was not before
     */
    public record Offer(
            Candidate candidate,
            Balance balance,
            Optional<Rpm> atTop,
            Optional<Rpm> limit,
            Optional<Watts> takes,
            Optional<WireSize> lead,
            Optional<Amps> guard,
            Optional<Amps> ammeter,
            Optional<Edit> edit,
            List<Change> changes,
            List<Finding> left) {
        public Offer {
            changes = List.copyOf(changes);
            left = List.copyOf(left);
        }

        /** Whether its shaft would turn faster than it may. */
        public boolean isTooFast() {
            return atTop.isPresent()
                    && limit.isPresent()
                    && atTop.get().value() > limit.get().value();
        }
    }

    /** What became of a candidate. */
    public sealed interface Answer {
        /** It can be put in. */
        record Offered(Offer offer) implements Answer {}

        /** It cannot. */
        record Refused(Candidate candidate, Refusal why) implements Answer {}
    }

    /** The source of a design that charges, where it has one. */
    public static Optional<Part> source(Design design) {
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof Alternator
                                || part.kind() instanceof Dynamo
                                || part.kind() instanceof Flywheel)
                .findFirst();
    }

    /**
     * The edits that put a source in, and nothing that follows from it; empty where it cannot be.
     */
    public static Optional<List<Edit>> swap(Design design, Candidate candidate) {
        return source(design)
                .map(part -> Swap.of(design, part, candidate))
                .flatMap(outcome ->
                        outcome instanceof Swap.Outcome.Done(var edits)
                                ? Optional.of(edits)
                                : Optional.empty());
    }

    /** Holds candidates against the source of a job; empty where it has none. */
    public static Optional<AnotherSource> of(Job job, Situation situation) {
        return of(job, situation, Assessment.of(job.design()));
    }

    /** The same, where all is worked out already of its design. */
    public static Optional<AnotherSource> of(Job job, Situation situation, Assessment assessment) {
        return source(job.design())
                .map(part -> new AnotherSource(job, part, situation, assessment));
    }

    /** What is there, as an offer that changes nothing. */
    public Offer fitted() {
        var kind = (SourceKind) source.kind();
        var candidate = new Candidate(source.id().value(), source.name(), kind, Optional.empty());
        return offer(candidate, job.design(), source, Optional.empty(), List.of());
    }

    /** The figures of one candidate. */
    public Answer answer(Candidate shelf) {
        var candidate = withPulleys(shelf);
        return switch (Swap.of(job.design(), source, candidate)) {
            case Swap.Outcome.Refused(var why) -> new Answer.Refused(candidate, why);
            case Swap.Outcome.Done(var edits) -> new Answer.Offered(put(candidate, edits));
        };
    }

    /** The candidate by the pulleys that are noted of the source; else by its own ratio. */
    private Candidate withPulleys(Candidate shelf) {
        return Optional.ofNullable(job.work().sums().pulleys().get(source.id()))
                .map(Pulleys::ratio)
                .map(ratio ->
                        new Candidate(
                                shelf.id(),
                                shelf.name(),
                                turning(shelf.kind(), ratio),
                                shelf.with()))
                .orElse(shelf);
    }

    /** A source by another ratio of its pulleys; what has none as it is. */
    public static SourceKind turning(SourceKind kind, Ratio ratio) {
        return switch (kind) {
            case Alternator of ->
                    new Alternator(
                            of.setPoint(), of.rated(), of.field(), ratio, of.style(), of.curve());
            case Dynamo of -> new Dynamo(of.rated(), of.field(), ratio, of.cutIn(), of.curve());
            case SourceKind other -> other;
        };
    }

    /** A source that gives by a curve of its own; by what is typical where there is none. */
    public static SourceKind giving(SourceKind kind, Optional<OutputCurve> curve) {
        return switch (kind) {
            case Alternator of ->
                    new Alternator(
                            of.setPoint(), of.rated(), of.field(), of.pulleys(), of.style(), curve);
            case Dynamo of -> new Dynamo(of.rated(), of.field(), of.pulleys(), of.cutIn(), curve);
            case Flywheel of -> new Flywheel(of.winding(), of.amps(), of.full(), curve);
            case SourceKind other -> other;
        };
    }

    /** Coils of which half of each turn charged, once both halves do. */
    public static Flywheel inFull(Flywheel half) {
        return new Flywheel(
                half.winding(),
                new Amps(BOTH_HALVES * half.amps().value()),
                half.full(),
                half.curve().map(curve -> curve.times(BOTH_HALVES)));
    }

    private Offer put(Candidate candidate, List<Edit> edits) {
        var all = new ArrayList<>(edits);
        var settled = settled(all);
        var meters = largerMeters(settled);
        if (!meters.isEmpty()) {
            all.addAll(meters);
            settled = settled(all);
        }
        var design = settled.design();
        var made = source(design).orElseThrow();
        return offer(
                candidate,
                design,
                made,
                Optional.of(together(all)),
                settled.left().stream().filter(finding -> !wasSo(made, finding)).toList());
    }

    /** Mends what edits bring, and adds to them what mends it. */
    private Settled settled(List<Edit> all) {
        var settled = Settled.of(before, found, together(all).apply(job.design()));
        settled.done().forEach(mended -> all.add(mended.remedy()));
        return settled;
    }

    /** Whether the same was found of the old source, which went by another name. */
    private boolean wasSo(Part made, Finding finding) {
        return finding instanceof Finding.AboutPart about
                && about.part().equals(made.id())
                && found.stream()
                        .anyMatch(each ->
                                each.getClass() == finding.getClass()
                                        && each instanceof Finding.AboutPart old
                                        && old.part().equals(source.id()));
    }

    private static Edit together(List<Edit> edits) {
        return new CompositeEdit(CompositeEdit.Reason.OTHER_SOURCE, edits);
    }

    /** An ammeter that would carry more than its scale gives way to one of a larger range. */
    private static List<Edit> largerMeters(Settled settled) {
        var edits = new ArrayList<Edit>();
        for (var finding : settled.left()) {
            if (finding instanceof Finding.ContactOverloaded over
                    && settled.design().part(over.part()).kind() instanceof LoadKind.Ammeter) {
                RANGES.stream()
                        .filter(range -> range >= over.carried().value())
                        .findFirst()
                        .ifPresent(range ->
                                edits.add(
                                        new PartEdit.Refit(
                                                over.part(),
                                                new LoadKind.Ammeter(new Amps(range)))));
            }
        }
        return edits;
    }

    private Offer offer(
            Candidate candidate,
            Design design,
            Part made,
            Optional<Edit> edit,
            List<Finding> left) {
        var sums = job.work().sums();
        var balance = Balance.of(design, situation, sums);
        var lead = lead(design, made);
        return new Offer(
                candidate,
                balance,
                atTop(made, balance),
                limit(made),
                takes(made),
                lead.map(Wire::size),
                lead.flatMap(wire -> guard(design, wire)),
                ammeter(design),
                edit,
                edit.isPresent()
                        ? ChangeList.of(job.design(), design, List.of()).stream()
                                .filter(change -> change.sort() != Change.Sort.STAYS)
                                .toList()
                        : List.of(),
                left);
    }

    private static Optional<Rpm> atTop(Part made, Balance balance) {
        return ratio(made).map(ratio -> new Rpm(balance.speeds().top().value() * ratio.value()));
    }

    /** How many times its shaft turns for each turn of the engine. */
    public static Optional<Ratio> ratio(Part made) {
        return switch (made.kind()) {
            case Alternator alternator -> Optional.of(alternator.pulleys());
            case Dynamo dynamo -> Optional.of(dynamo.pulleys());
            default -> Optional.empty();
        };
    }

    /** Whether a source of a design turns as its pulleys were measured, within what is read. */
    public static boolean turnsBy(Part made, Ratio measured) {
        return ratio(made)
                .filter(stands -> Math.abs(measured.value() - stands.value()) < SAME)
                .isPresent();
    }

    private static Optional<Rpm> limit(Part made) {
        return switch (made.kind()) {
            case Alternator alternator ->
                    Optional.of(
                            alternator
                                    .curve()
                                    .flatMap(curve -> curve.limit())
                                    .orElse(new Rpm(SourceCurves.ALTERNATOR_LIMIT)));
            case Dynamo dynamo ->
                    Optional.of(
                            dynamo.curve()
                                    .flatMap(curve -> curve.limit())
                                    .orElse(new Rpm(SourceCurves.DYNAMO_LIMIT)));
            default -> Optional.empty();
        };
    }

    private Optional<Watts> takes(Part made) {
        double charged = job.design().vehicle().running().value();
        return switch (made.kind()) {
            case Alternator of ->
                    Optional.of(new Watts(of.setPoint().value() * of.rated().value() / EFFICIENCY));
            case Dynamo of -> Optional.of(new Watts(charged * of.rated().value() / EFFICIENCY));
            default -> Optional.empty();
        };
    }

    /** The thickest wire at what gives the charge: the source itself, or its rectifier. */
    private static Optional<Wire> lead(Design design, Part made) {
        return design.parts().stream()
                .filter(part ->
                        part.id().equals(made.id()) || part.kind() instanceof RegulatorRectifier)
                .filter(part -> part.kind().chargingPin().isPresent())
                .flatMap(part ->
                        design
                                .wiresAt(part.terminal(part.kind().chargingPin().orElseThrow()))
                                .stream())
                .max(Comparator.comparingDouble(wire -> wire.conductor().copper().value()));
    }

    /** What guards it, or stands at its far end. */
    private static Optional<Amps> guard(Design design, Wire lead) {
        var guards = Guards.in(design);
        return guards.of(lead.id()).fuse().or(() -> guards.next(lead)).map(Guard.Fitted::marking);
    }

    private static Optional<Amps> ammeter(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.Ammeter)
                .map(part -> ((LoadKind.Ammeter) part.kind()).range())
                .findFirst();
    }
}
