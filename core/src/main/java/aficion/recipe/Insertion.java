package aficion.recipe;

import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.identify.Feed;
import aficion.identify.Feeds;
import aficion.job.Circuit;
import aficion.job.ControlKind;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.Work;
import aficion.job.WorkshopPractice;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.CircuitEdit;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.Noted;
import aficion.job.edit.PartEdit;
import aficion.job.edit.Step;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.route.StationId;
import aficion.size.Assessment;
import aficion.verb.Attempt;
import aficion.verb.Connection;
import aficion.verb.Ends;
import aficion.verb.Tidying;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Puts a recipe into a design: names what is new, finds what it is to be joined to, and lets the
 * remedies of the findings it brings choose sizes, fuses, terminals and polarity until none is left
 * that these can mend.
 */
public final class Insertion {
    private static final int MOST_ROUNDS = 12;

    /** Where a fuse of its own is put: within reach of the source (typical, docs/SOURCES.md). */
    private static final Metres REACH = new Metres(0.15);

    /** No lead is shorter than its ends need (typical, docs/SOURCES.md). */
    private static final double SHORTEST = 0.15;

    private static final Amps FIRST_FUSE = new Amps(10);

    private final Design design;
    private final Recipe recipe;
    private final Fragment fragment;
    private final List<Feeds.Offer> offers;
    private final Map<PartId, PartId> names = new HashMap<>();
    private final Map<String, String> controls = new HashMap<>();
    private final List<Edit> edits = new ArrayList<>();
    private final Set<Place> lacking = new LinkedHashSet<>();
    private final Map<Place, Terminal> found = new HashMap<>();
    private Design now;
    private @Nullable Assessment assessed;

    /** Whether a recipe fits into a job. */
    public sealed interface Fit {
        /** It does: the circuit it becomes and the edit that puts it in. */
        record Fits(Circuit circuit, Edit edit, Design design) implements Fit {
            /** The edit with the note that the circuit is planned and sized. */
            public Step step() {
                return new Noted(
                        edit,
                        Stream.of(Work.Stage.PLANNED, Work.Stage.SIZED)
                                .<WorkEdit>map(
                                        stage -> new WorkEdit.SetStage(circuit.id(), stage, true))
                                .toList());
            }
        }

        /** It does not: the design has none of these places. */
        record Lacks(List<Place> places) implements Fit {
            public Lacks {
                places = List.copyOf(places);
            }
        }
    }

    private Insertion(Design design, Recipe recipe, Fragment fragment) {
        this.design = design;
        this.now = design;
        this.recipe = recipe;
        this.fragment = fragment;
        this.offers = Feeds.of(design);
    }

    /**
     * The edit that puts a recipe into a job.
     *
     * @throws IllegalArgumentException when an answer is out of bounds
     */
    public static Fit of(Design design, Recipe recipe, Map<String, String> answers) {
        return new Insertion(design, recipe, recipe.with(design.vehicle(), design.rules(), answers))
                .fit();
    }

    private Fit fit() {
        var circuit = NewNames.circuit(design, recipe.circuit(), recipe.drops());
        make(new CircuitEdit.AddCircuit(circuit));
        fragment.parts().forEach(this::add);
        fragment.mounts().forEach((part, mass) -> mount(part, mass, circuit));
        fragment.moves().forEach(this::move);
        for (var lead : fragment.leads()) {
            var from = place(lead.from(), circuit, lead);
            var to = place(lead.to(), circuit, lead);
            if (from.isPresent() && to.isPresent()) {
                make(new WireEdit.AddWire(wire(lead, circuit, from.get(), to.get())));
            } else if (!lead.optional()) {
                from.or(() -> lacks(lead.from()));
                to.or(() -> lacks(lead.to()));
            }
        }
        if (!lacking.isEmpty()) {
            return new Fit.Lacks(List.copyOf(lacking));
        }
        choose();
        if (design.rules().workBy(WorkshopPractice.LARGEST_SIZE)) {
            tidy(Tidying.resize(assessed(), circuit.id()));
        }
        tidy(Tidying.recolour(now, circuit.id()));
        return new Fit.Fits(
                circuit, new CompositeEdit(CompositeEdit.Reason.INSERT_RECIPE, edits), now);
    }

    /** Leads what ends at one place of the vehicle to another. */
    private void move(Fragment.Move move) {
        var from = there(move.from());
        var to = there(move.to());
        if (from.isEmpty() || to.isEmpty()) {
            from.or(() -> lacks(move.from()));
            to.or(() -> lacks(move.to()));
            return;
        }
        var end = Ends.on(now, to.get());
        for (var wire : now.wiresAt(from.get())) {
            boolean first = wire.from().terminal().equals(from.get());
            make(new WireEdit.MoveEnd(wire.id(), first, end));
        }
    }

    private void tidy(Attempt attempt) {
        if (attempt instanceof Attempt.Possible(var edit)) {
            make(edit);
        }
    }

    private void make(Edit edit) {
        now = edit.apply(now);
        edits.add(edit);
    }

    /** A part under a free name; a vehicle that has a battery needs no second one. */
    private void add(Part part) {
        var there =
                design.parts().stream()
                        .filter(each -> each.kind() instanceof SourceKind.Battery)
                        .findFirst();
        if (part.kind() instanceof SourceKind.Battery && there.isPresent()) {
            names.put(part.id(), there.get().id());
            return;
        }
        var letter = part.id().value().replaceAll("\\d+$", "");
        var id = NewNames.part(now, letter);
        names.put(part.id(), id);
        var kind = part.kind() instanceof ControlKind.Switch hand ? renamed(hand) : part.kind();
        make(new PartEdit.AddPart(new Part(id, part.name(), part.zone(), Optional.empty(), kind)));
        station(part.id()).ifPresent(station -> make(new BodyEdit.Stand(id, station)));
    }

    /** Where the recipe has a part stand, in a body that has the place. */
    private Optional<StationId> station(PartId part) {
        return Optional.ofNullable(fragment.stands().get(part))
                .filter(station ->
                        design.body().flatMap(body -> body.plan().find(station)).isPresent());
    }

    /** The switch with a control that no other switch has. */
    private ControlKind.Switch renamed(ControlKind.Switch hand) {
        var free = NewNames.control(now, hand);
        controls.put(hand.control(), free.control());
        return free;
    }

    /**
     * Returns a case to earth: bolted down, or off the body by a wire where the house has it so.
     */
    private void mount(PartId part, JoinKind.Mass mass, Circuit circuit) {
        finder().earth(mass)
                .map(Terminal::part)
                .ifPresentOrElse(
                        point -> make(returned(now.part(names.get(part)), mass, point, circuit)),
                        () -> lacking.add(new Place.EarthOn(mass)));
    }

    private Edit returned(Part part, JoinKind.Mass mass, PartId point, Circuit circuit) {
        boolean byWire =
                mass == JoinKind.Mass.BODY && design.rules().workBy(WorkshopPractice.WIRE_RETURN);
        var pin = part.kind().casePin();
        return byWire && pin.isPresent()
                ? new WireEdit.AddWire(
                        Connection.between(
                                now,
                                circuit.id(),
                                part.terminal(pin.get()),
                                now.part(point).terminal("E")))
                : new PartEdit.Mount(part.id(), point);
    }

    /** A place that is there already: no feed is made for it. */
    private Optional<Terminal> there(Place place) {
        return place(place, (feed, _) -> unfused(feed));
    }

    private Optional<Terminal> place(Place place, Circuit circuit, Lead lead) {
        return place(place, (feed, fused) -> feed(feed, fused, circuit, lead));
    }

    private Optional<Terminal> place(
            Place place, BiFunction<Feed, Boolean, Optional<Terminal>> feeding) {
        var known = found.get(place);
        if (known != null) {
            return Optional.of(known);
        }
        var terminal =
                switch (place) {
                    case Place.Own(var own) ->
                            Optional.of(now.part(names.get(own.part())).terminal(own.pin()));
                    case Place.FeedFrom(var feed, var fused) -> feeding.apply(feed, fused);
                    case Place.EarthOn(var mass) -> finder().earth(mass);
                    case Place.SwitchPin(var control, var pin) ->
                            finder().switchPin(controls.getOrDefault(control, control), pin);
                    case Place.PartPin(var kind, var pin) -> finder().partPin(kind, pin);
                    case Place.NamedPin(var name, var pin) -> finder().namedPin(name, pin);
                    case Place.Post(var live) -> finder().post(live);
                };
        terminal.ifPresent(at -> found.put(place, at));
        return terminal;
    }

    private PlaceFinder finder() {
        return new PlaceFinder(now);
    }

    private Optional<Terminal> lacks(Place place) {
        lacking.add(place);
        return Optional.empty();
    }

    private Optional<Terminal> feed(Feed feed, boolean fused, Circuit circuit, Lead lead) {
        var best = Feeds.best(offers, feed, fused);
        if (best.isPresent() || !fused) {
            return best.or(() -> unfused(feed));
        }
        return unfused(feed).map(source -> inline(source, circuit, lead));
    }

    private Optional<Terminal> unfused(Feed feed) {
        return Feeds.best(offers, feed, false);
    }

    /** A fuse of its own behind a feed that has none. */
    private Terminal inline(Terminal source, Circuit circuit, Lead lead) {
        var fuse =
                NewNames.part(
                        now, "F", lead.zone(), new GuardKind.Fuse(FuseType.BLADE, FIRST_FUSE));
        make(
                new PartEdit.AddPart(
                        fuse.withName(recipe.circuit().toLowerCase(Locale.ROOT) + " fuse")));
        var reach =
                new Lead(
                        lead.from(),
                        lead.to(),
                        lead.colour(),
                        lead.zone(),
                        REACH,
                        Optional.of(Unguarded.WITHIN_REACH),
                        false);
        make(new WireEdit.AddWire(wire(reach, circuit, source, fuse.terminal("1"))));
        return fuse.terminal("2");
    }

    private Wire wire(Lead lead, Circuit circuit, Terminal from, Terminal to) {
        return new Wire(
                NewNames.wire(now),
                NewNames.number(now, circuit.id()),
                circuit.id(),
                Ends.on(now, from),
                Ends.on(now, to),
                new Cut(Ends.thinnest(design), Ends.cover(lead.zone()), lead.colour()),
                laid(lead),
                lead.unguarded(),
                Optional.empty());
    }

    /** A lead that is stated to go without a guard has to be as short as it is stated to be. */
    private Laid laid(Lead lead) {
        var length = new RunLength.Assumed(reach(lead));
        return lead.unguarded().isPresent()
                ? new Laid.Stated(length, lead.zone())
                : now.laid(length, lead.zone());
    }

    /** How long a lead mostly is in this kind of vehicle. */
    private Metres reach(Lead lead) {
        double share = design.vehicle().sort().map(Vehicle.Sort::reach).orElse(1.0);
        return new Metres(Math.max(SHORTEST, lead.length().value() * share));
    }

    /**
     * Lets findings that came with the circuit be mended as long as a size or a fuse mends them, on
     * its own wires and on those that feed it.
     */
    private void choose() {
        var before =
                Findings.of(Assessment.of(design)).stream()
                        .map(Finding::about)
                        .collect(Collectors.toSet());
        var tried = new HashSet<Edit>();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            var mending =
                    Findings.of(assessed()).stream()
                            .filter(finding -> !before.contains(finding.about()))
                            .flatMap(finding ->
                                    finding.remedies().stream()
                                            .filter(this::chooses)
                                            .filter(edit -> !tried.contains(edit))
                                            .filter(edit -> !PartEdit.takesBack(edit, tried))
                                            .limit(1))
                            .distinct()
                            .filter(tried::add)
                            .toList();
            if (mending.isEmpty()) {
                return;
            }
            mending.stream().filter(this::chooses).forEach(this::make);
        }
    }

    /** What is worked out of the design as it is now; from what was before where that holds. */
    private Assessment assessed() {
        assessed = assessed == null ? Assessment.of(now) : assessed.after(now);
        return assessed;
    }

    /**
     * A fuse or the breaker of the house, a thicker wire (what one finding asked for another does
     * not take back), a larger terminal, a lead to the post the house takes feeds from, or the two
     * leads of a new part exchanged, as the other earthed pole asks.
     */
    private boolean chooses(Edit edit) {
        return edit instanceof PartEdit.FitFuse fitted && !weakens(fitted)
                || edit instanceof WireEdit.MoveEnd
                || edit instanceof WireEdit.Crimp
                || edit instanceof CompositeEdit(var reason, var edits)
                        && reason == CompositeEdit.Reason.MEND
                        && edits.stream().allMatch(WireEdit.Crimp.class::isInstance)
                || edit instanceof PartEdit.Refit(_, var kind) && kind instanceof GuardKind
                || edit instanceof PartEdit.Exchange(var part, _, _) && design.find(part).isEmpty()
                || edit instanceof WireEdit.Resize(var wire, var size)
                        && Conductors.get(size).copper().value()
                                > now.wire(wire).conductor().copper().value();
    }

    /**
     * Whether it would take from a guard what other circuits may need: from one that was there
     * before, or from that of a source or of a main feed.
     */
    private boolean weakens(PartEdit.FitFuse edit) {
        boolean shared =
                recipe.group() == Recipe.Group.DISTRIBUTION
                        || recipe.group() == Recipe.Group.CHARGING
                        || design.find(edit.part()).isPresent();
        return shared
                && edit.way().isEmpty()
                && now.part(edit.part()).kind().seats().stream()
                        .anyMatch(seat -> seat.marking().value() > edit.marking().value());
    }
}
