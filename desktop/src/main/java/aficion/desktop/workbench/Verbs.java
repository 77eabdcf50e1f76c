package aficion.desktop.workbench;

import aficion.catalogue.FuseType;
import aficion.desktop.workbench.Verb.On;
import aficion.fault.Fault;
import aficion.files.PartsBook;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.PartId;
import aficion.job.Pinned.Trait;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.route.StationId;
import aficion.verb.Attempt;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import aficion.verb.Connection;
import aficion.verb.Earths;
import aficion.verb.Leads;
import aficion.verb.OtherSide;
import aficion.verb.Placing;
import aficion.verb.Plugging;
import aficion.verb.Tidying;
import aficion.verb.Trials;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * Does verbs to what is chosen on a bench. What cannot be done is kept as a refusal, to be worded
 * at the place, until something else is chosen or done. To be used on the application thread.
 */
public final class Verbs {
    /** Where nothing is known of the load yet. */
    private static final Amps USUAL_FUSE = new Amps(10);

    private final Workbench bench;
    private final Consumer<Boolean> shelf;
    private final ReadOnlyObjectWrapper<Optional<Refusal>> refusal =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Verb>> armed =
            new ReadOnlyObjectWrapper<>(Optional.empty());

    /**
     * @param shelf shows the parts to take from: to add, or, when told so, to replace
     */
    public Verbs(Workbench bench, Consumer<Boolean> shelf) {
        this.bench = bench;
        this.shelf = shelf;
        bench.selection().addListener((_, _, _) -> forget());
        bench.history().addListener((_, _, _) -> forget());
    }

    /** Why the last verb could not be done. */
    public ReadOnlyObjectProperty<Optional<Refusal>> refusal() {
        return refusal.getReadOnlyProperty();
    }

    /** The verb that waits for a terminal to be picked. */
    public ReadOnlyObjectProperty<Optional<Verb>> armed() {
        return armed.getReadOnlyProperty();
    }

    /** Waits for nothing and says nothing any more. */
    public void forget() {
        refusal.set(Optional.empty());
        armed.set(Optional.empty());
    }

    /** Whether there is something chosen that a verb can be done to. */
    public boolean serves(Verb verb) {
        var selection = bench.selection().get();
        return switch (verb.on()) {
            case WIRE -> selection instanceof Selection.OfWire;
            case PART ->
                    part().filter(id ->
                                    verb != Verb.FOLD
                                            || bench.design().part(id).kind()
                                                    instanceof GuardKind.FuseBox)
                            .isPresent();
            case TERMINAL -> selection instanceof Selection.OfTerminal;
            case ANYTHING ->
                    !(selection instanceof Selection.Nothing)
                            && !(verb == Verb.CHAFE && selection instanceof Selection.OfPart);
            case CIRCUIT -> bench.focus().get().isPresent();
            case JOB -> true;
        };
    }

    private Optional<PartId> part() {
        return switch (bench.selection().get()) {
            case Selection.OfPart(var id) -> Optional.of(id);
            case Selection.OfTerminal(var terminal) -> Optional.of(terminal.part());
            case Selection.OfWire _,
                    Selection.Nothing _,
                    Selection.OfRun _,
                    Selection.OfStation _ ->
                    Optional.empty();
        };
    }

    /** Does a verb to what is chosen; nothing where it does not serve. */
    public void perform(Verb verb) {
        if (!serves(verb)) {
            return;
        }
        switch (verb) {
            case CONNECT, LEAD_FIRST, LEAD_SECOND -> arm(verb);
            case GROUP -> group();
            case RECOLOUR -> recolour(bench.focus().get().orElseThrow());
            case RESIZE -> resize(bench.focus().get().orElseThrow());
            case FOLD ->
                    part().ifPresent(box -> bench.options().set(bench.options().get().turned(box)));
            case ADD_PART -> shelf.accept(false);
            case REPLACE -> shelf.accept(true);
            case RELAY,
                    GUARD,
                    SWITCH,
                    DIODE,
                    CONNECTOR,
                    JOINT,
                    TURN,
                    SETTLE_SIZE,
                    SETTLE_COLOUR,
                    SETTLE_LENGTH,
                    EXCHANGE,
                    OTHER_SIDE,
                    EARTHS,
                    REMOVE,
                    RENUMBER ->
                    take(attempt(verb));
            case BREAK, CHAFE, CORRODE -> tryOut(verb);
        }
    }

    /** What wires are for and what they carry is found beside, not on the application thread. */
    private void recolour(CircuitId circuit) {
        forget();
        bench.ask().prepare(design -> Tidying.recolour(design, circuit), this::take);
    }

    private void resize(CircuitId circuit) {
        forget();
        bench.ask().prepareAssessed(found -> Tidying.resize(found, circuit), this::take);
    }

    /** Makes a station a separable plug, and parts what passes it. */
    public void plug(StationId station) {
        forget();
        bench.ask().prepareAssessed(found -> Plugging.at(found, station), this::take);
    }

    private void group() {
        if (bench.group().get().isPresent()) {
            bench.endGroup();
        } else {
            bench.beginGroup();
        }
    }

    private void arm(Verb verb) {
        refusal.set(Optional.empty());
        armed.set(Optional.of(verb));
    }

    private void take(Attempt attempt) {
        forget();
        switch (attempt) {
            case Refused(var why) -> refusal.set(Optional.of(why));
            case Possible(var edit) -> bench.perform(edit);
        }
    }

    private void tryOut(Verb verb, Attempt attempt) {
        forget();
        switch (attempt) {
            case Refused(var why) -> refusal.set(Optional.of(why));
            case Possible(var edit) -> bench.tryOut(edit, bench.selection().get(), verb);
        }
    }

    private void tryOut(Verb verb) {
        forget();
        var about = bench.selection().get();
        fault(verb, about)
                .ifPresentOrElse(
                        fault -> bench.tryOut(fault, about, verb),
                        () -> refusal.set(Optional.of(Refusal.NOTHING_TO_DO)));
    }

    /** What gives way when a verb is tried on something. */
    private Optional<Fault> fault(Verb verb, Selection about) {
        var design = bench.design();
        return switch (about) {
            case Selection.OfWire(var wire) ->
                    switch (verb) {
                        case BREAK -> Optional.of(new Fault.Broken(wire));
                        case CHAFE -> Optional.of(Trials.chafed(design, wire));
                        case CORRODE -> Optional.of(Trials.corroded(wire));
                        default -> Optional.empty();
                    };
            case Selection.OfTerminal(var at) ->
                    switch (verb) {
                        case BREAK -> Optional.of(Trials.broken(design, at.part()));
                        case CHAFE -> Trials.chafed(design, at);
                        case CORRODE -> Trials.corroded(design, at);
                        default -> Optional.empty();
                    };
            case Selection.OfPart(var part) ->
                    switch (verb) {
                        case BREAK -> Optional.of(Trials.broken(design, part));
                        case CORRODE ->
                                Trials.corroded(design, design.part(part).terminals().getFirst());
                        default -> Optional.empty();
                    };
            case Selection.Nothing _, Selection.OfRun _, Selection.OfStation _ -> Optional.empty();
        };
    }

    private Attempt attempt(Verb verb) {
        return switch (bench.selection().get()) {
            case Selection.OfWire(var wire) when verb.on() == On.WIRE || verb.on() == On.ANYTHING ->
                    onWire(verb, wire);
            case Selection.OfTerminal(var at) when verb.on() == On.ANYTHING -> onTerminal(verb, at);
            case Selection.OfPart(var part) when verb.on() == On.ANYTHING -> onPart(verb, part);
            case Selection.Nothing _,
                    Selection.OfWire _,
                    Selection.OfPart _,
                    Selection.OfTerminal _,
                    Selection.OfRun _,
                    Selection.OfStation _ ->
                    verb.on() == On.PART
                            ? onPart(verb, part().orElseThrow())
                            : onCircuit(verb, bench.focus().get().orElseThrow());
        };
    }

    private Attempt onWire(Verb verb, WireId wire) {
        var design = bench.design();
        return switch (verb) {
            case RELAY -> into(wire, "relay");
            case GUARD -> guard(wire);
            case SWITCH -> into(wire, "switch");
            case DIODE -> into(wire, "diode");
            case CONNECTOR -> into(wire, "connector-1");
            case JOINT -> into(wire, "splice");
            case TURN -> new Possible(new WireEdit.TurnRound(wire));
            case SETTLE_SIZE -> settle(wire, Trait.SIZE);
            case SETTLE_COLOUR -> settle(wire, Trait.COLOUR);
            case SETTLE_LENGTH -> settle(wire, Trait.LENGTH);
            case REMOVE -> new Possible(new WireEdit.RemoveWire(wire));
            default -> new Refused(Refusal.NOTHING_TO_DO);
        };
    }

    private Attempt onTerminal(Verb verb, Terminal at) {
        return onPart(verb, at.part());
    }

    private Attempt onPart(Verb verb, PartId part) {
        var design = bench.design();
        return switch (verb) {
            case EXCHANGE -> Leads.exchange(design, part);
            case OTHER_SIDE -> OtherSide.of(design, part);
            case EARTHS -> earths(design, part);
            case REMOVE -> new Possible(new PartEdit.RemovePart(part));
            default -> new Refused(Refusal.NOTHING_TO_DO);
        };
    }

    private Attempt onCircuit(Verb verb, CircuitId circuit) {
        return verb == Verb.RENUMBER
                ? Tidying.renumber(bench.design(), circuit)
                : new Refused(Refusal.NOTHING_TO_DO);
    }

    /** To the part, when it is an earth point, else to the one its case is bolted to. */
    private Attempt earths(Design design, PartId part) {
        var chosen = design.part(part);
        var earth =
                chosen.kind() instanceof JoinKind.EarthPoint ? Optional.of(part) : chosen.mount();
        return earth.map(at -> Earths.combine(design, bench.focus().get().orElseThrow(), at))
                .orElse(new Refused(Refusal.NO_EARTH_POINT));
    }

    private Attempt settle(WireId wire, Trait trait) {
        boolean held = bench.design().wire(wire).isSettled(trait);
        return new Possible(new WireEdit.Pin(wire, trait, !held));
    }

    private Attempt into(WireId wire, String part) {
        var entry = PartsBook.shipped(part, bench.design().vehicle());
        return Placing.into(bench.design(), wire, entry.name(), entry.kind());
    }

    /** A fuse that the wire and its load allow, where that is known; else one of ten amps. */
    private Attempt guard(WireId wire) {
        var fitting =
                bench.assessed()
                        .get()
                        .filter(found -> found.design() == bench.design())
                        .flatMap(found -> found.assessment().fuse(wire, FuseType.BLADE));
        var fuse = new GuardKind.Fuse(FuseType.BLADE, fitting.orElse(USUAL_FUSE));
        return Placing.into(bench.design(), wire, "fuse", fuse);
    }

    /** Picks a terminal: for the verb that waits for one, else to be looked at. */
    public void pick(Terminal at) {
        var waiting = armed.get();
        if (waiting.isEmpty()) {
            bench.selection().set(new Selection.OfTerminal(at));
            return;
        }
        var verb = waiting.get();
        take(
                switch (bench.selection().get()) {
                    case Selection.OfTerminal(var from) when verb == Verb.CONNECT ->
                            connect(from, at);
                    case Selection.OfWire(var wire) ->
                            Leads.move(bench.design(), wire, verb == Verb.LEAD_FIRST, at);
                    case Selection.OfTerminal _,
                            Selection.OfPart _,
                            Selection.Nothing _,
                            Selection.OfRun _,
                            Selection.OfStation _ ->
                            new Refused(Refusal.NO_TERMINAL);
                });
    }

    private Attempt connect(Terminal from, Terminal to) {
        if (from.equals(to)) {
            return new Refused(Refusal.SAME_TERMINAL);
        }
        return bench.focus()
                .get()
                .<Attempt>map(circuit ->
                        new Possible(
                                new WireEdit.AddWire(
                                        Connection.between(bench.design(), circuit, from, to))))
                .orElse(new Refused(Refusal.NO_TERMINAL));
    }

    /** Puts a part of the shelf into the chosen wire, onto the chosen terminal, or loose. */
    public void place(String name, Kind kind) {
        var design = bench.design();
        take(
                switch (bench.selection().get()) {
                    case Selection.OfWire(var wire) -> Placing.into(design, wire, name, kind);
                    case Selection.OfTerminal(var at) ->
                            Placing.onto(design, bench.focus().get().orElseThrow(), at, name, kind);
                    case Selection.OfPart _,
                            Selection.Nothing _,
                            Selection.OfRun _,
                            Selection.OfStation _ ->
                            new Possible(Placing.loose(design, name, kind));
                });
    }

    /** Puts a part of the shelf where the chosen one is. */
    public void replace(Kind kind) {
        part().ifPresent(id -> take(Placing.instead(bench.design(), id, kind)));
    }

    /** Tries a part of the shelf where the chosen one is, on a copy. */
    public void tryInstead(Kind kind) {
        part().ifPresent(id -> tryOut(Verb.REPLACE, Placing.instead(bench.design(), id, kind)));
    }
}
