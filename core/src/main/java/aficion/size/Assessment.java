package aficion.size;

import aficion.catalogue.Conductor;
import aficion.catalogue.FuseType;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.solve.Answers;
import aficion.solve.Once;
import aficion.solve.Solver;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BinaryOperator;
import java.util.function.Supplier;

/**
 * All that is worked out of one design, once: its worst case, the sizing of every wire and the
 * guard of every wire.
 *
 * @param answers what its netlist answers, states solved once
 * @param sizings by wire, in the order of the design
 * @param guarding what guards what
 * @param bundles how warm each bundle gets at its worst
 * @param own what follows from it and has been asked for
 * @param lasting what follows from its parts and from where wires end, and has been asked for
 */
public record Assessment(
        Design design,
        Answers answers,
        WorstCase worst,
        Map<WireId, WireSizing> sizings,
        Guards guarding,
        List<Bundle> bundles,
        Once own,
        Once lasting) {

    /** Works out everything, from every operating state; takes a while for a large design. */
    public static Assessment of(Design design) {
        var answers = new Answers(Netlist.of(design));
        var worst = WorstCase.of(answers);
        var lasting = new Once();
        return new Assessment(
                design,
                answers,
                worst,
                Sizing.of(design, worst, lasting),
                Guards.in(design),
                bundles(worst),
                new Once(),
                lasting);
    }

    /**
     * The same for what has become of the design. Where only wires are cut or laid otherwise, what
     * they have no part in is not worked out again.
     */
    public Assessment after(Design next) {
        return netlist().with(next).map(this::after).orElseGet(() -> of(next));
    }

    private Assessment after(Netlist next) {
        var answers = this.answers.of(next);
        var worst = this.worst.after(answers);
        return new Assessment(
                next.design(),
                answers,
                worst,
                Sizing.of(next.design(), worst, this),
                guarding,
                bundles(worst),
                new Once(),
                lasting);
    }

    /** What follows from it, by a key that is asked for this alone. */
    public <T> T once(Object key, Supplier<T> how) {
        return own.of(key, how);
    }

    /**
     * The same of what follows from its parts and from where its wires end alone: it stands however
     * they are cut and laid.
     */
    public <T> T lasting(Object key, Supplier<T> how) {
        return lasting.of(key, how);
    }

    /** The netlist of the design. */
    public Netlist netlist() {
        return answers.netlist();
    }

    /** The sizing of a wire; empty when no state could be solved. */
    public Optional<WireSizing> sizing(WireId wire) {
        return Optional.ofNullable(sizings.get(wire));
    }

    /** What stands between a wire and the source. */
    public Guard guard(WireId wire) {
        return guarding.of(wire);
    }

    /** Whether a wire, were it of that conductor, would carry what a fuse lets through. */
    public boolean carries(Wire wire, Conductor conductor, Guard.Fitted fuse) {
        return HeatBalance.carries(conductor, wire, design.rules()).result().value()
                >= fuse.carries().value();
    }

    /** The fuse that a short lead ends at, which bounds its load. */
    public Optional<Guard.Fitted> ending(Wire wire) {
        return guarding.ending(wire, guard(wire.id()));
    }

    /** What a lead leads to away from the source, up to the next guards. */
    public Set<Terminal> beyond(Wire wire) {
        return guarding.beyond(wire).terminals();
    }

    /**
     * What a dead short at the far end of a wire draws through it at the least, in the state in
     * which it carries most, from full batteries alone; empty where it is dead in it.
     *
     * @param solver one of its own netlist, which is worked with where one is needed
     * @param enough more than that is not asked for
     */
    public Optional<Amps> shorted(Wire wire, Supplier<Solver> solver, Amps enough) {
        return DeadShort.of(this).draws(this, wire, solver, enough);
    }

    /** What charges, and the most that it gives. */
    public record Source(PartId part, Amps gives) {}

    /** The wires that what charges gives to before any guard, with the largest that does. */
    public Map<WireId, Source> sourced() {
        return lasting(Source.class, this::findSourced);
    }

    private Map<WireId, Source> findSourced() {
        var sourced = new HashMap<WireId, Source>();
        for (var part : design.parts()) {
            Charger.of(design, part)
                    .ifPresent(charger ->
                            guarding.givenBy(charger.output())
                                    .forEach(wire ->
                                            sourced.merge(
                                                    wire,
                                                    new Source(part.id(), charger.rated()),
                                                    BinaryOperator.maxBy(
                                                            Comparator.comparingDouble(source ->
                                                                    source.gives().value())))));
        }
        return sourced;
    }

    /**
     * For a wire by which the body leads back to a battery, the largest guard that is fed from the
     * battery: what a short behind it draws comes back here.
     */
    public Optional<Guard.Fitted> returned(Wire wire) {
        return worst.returns(netlist().branch(wire))
                ? guarding.first().stream()
                        .max(Comparator.comparingDouble(fuse -> fuse.carries().value()))
                : Optional.empty();
    }

    private static List<Bundle> bundles(WorstCase worst) {
        return worst.warmest().stream().map(each -> Bundle.in(each.point(), each.mates())).toList();
    }

    /** The leads that nothing guards, as is stated of them: a chafe there burns them. */
    public List<Wire> unguarded() {
        return design.wires().stream()
                .filter(wire -> wire.unguarded().isPresent())
                .filter(wire -> guard(wire.id()) instanceof Guard.Unguarded)
                .toList();
    }

    /**
     * The fuse that fits a seat: by the largest lasting load through it and the thinnest wire
     * behind it.
     */
    public GuardChoice choice(Guard.Fitted fuse) {
        var load =
                worst.steady(fuse.seat().part(), fuse.seat().way())
                        .map(peak -> new Amps(Math.abs(peak.amps().value())))
                        .orElse(new Amps(0));
        var wire = weakestBehind(fuse).orElse(new Amps(0));
        return GuardChoice.of(fuse.type(), load, wire, design.rules().fuseLoad());
    }

    /** The fuse of a family that a wire and its lasting load allow. */
    public Optional<Amps> fuse(WireId wire, FuseType type) {
        return sizing(wire)
                .flatMap(sizing ->
                        GuardChoice.of(
                                        type,
                                        sizing.steady(),
                                        new Amps(sizing.carries().result().value()),
                                        design.rules().fuseLoad())
                                .marking());
    }

    /**
     * What the thinnest wire carries that a fuse alone stands before; empty when it guards none.
     */
    public Optional<Amps> weakestBehind(Guard.Fitted fuse) {
        return design.wires().stream()
                .filter(wire ->
                        guard(wire.id()) instanceof Guard.Guarded guarded
                                && guarded.fuses().contains(fuse))
                .flatMap(wire -> sizing(wire.id()).stream())
                .map(sizing -> new Amps(sizing.carries().result().value()))
                .min((one, other) -> Double.compare(one.value(), other.value()));
    }
}
