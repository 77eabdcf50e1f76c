package aficion.size;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.catalogue.Zone;
import aficion.job.Design;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.route.RunLength;
import aficion.solve.Once;
import aficion.solve.OperatingPoint;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/** Sizes every wire of a design from its worst case. */
public final class Sizing {
    /** What rounding may leave where nothing flows, and what warms nothing, amps. */
    private static final double NOTHING = 1e-4;

    /** A wire that loses more of the volts there are is taken to lose this share of them. */
    private static final double NEARLY_ALL = 0.9;

    private final Design design;
    private final WorstCase worst;
    private final OperatingPoint rest;

    /** What follows from a conductor, its cover and the zone it lies in. */
    private final Once lasting;

    private Sizing(Design design, WorstCase worst, OperatingPoint rest, Once lasting) {
        this.design = design;
        this.worst = worst;
        this.rest = rest;
        this.lasting = lasting;
    }

    /**
     * The sizing of every wire, in the order of the design; empty when no state can be solved.
     *
     * @param lasting keeps what stands however wires are cut
     */
    static Map<WireId, WireSizing> of(Design design, WorstCase worst, Once lasting) {
        return of(design, worst, lasting, (sizing, wire) -> sizing.size(wire, Optional.empty()));
    }

    /**
     * The same after an earlier assessment: what it has found of a wire and still holds is kept.
     */
    static Map<WireId, WireSizing> of(Design design, WorstCase worst, Assessment earlier) {
        return of(
                design,
                worst,
                earlier.lasting(),
                (sizing, wire) -> {
                    var known = earlier.sizing(wire.id()).filter(each -> each.wire().equals(wire));
                    return known.flatMap(each -> sizing.kept(each, earlier.worst()))
                            .orElseGet(() -> sizing.size(wire, known));
                });
    }

    private static Map<WireId, WireSizing> of(
            Design design,
            WorstCase worst,
            Once lasting,
            BiFunction<Sizing, Wire, WireSizing> how) {
        var sized = new LinkedHashMap<WireId, WireSizing>();
        worst.any()
                .map(point -> new Sizing(design, worst, point, lasting))
                .ifPresent(sizing ->
                        design.wires()
                                .forEach(wire -> sized.put(wire.id(), how.apply(sizing, wire))));
        return sized;
    }

    /** What was found of the same wire, where it has the same peaks by the same way. */
    private Optional<WireSizing> kept(WireSizing known, WorstCase earlier) {
        var wire = known.wire();
        boolean same =
                isSame(worst.steady(wire), earlier.steady(wire))
                        && isSame(worst.held(wire), earlier.held(wire))
                        && known.path().wires().stream().allMatch(this::stands);
        return peak(worst, wire).filter(_ -> same).map(peak -> known.in(peak.point()));
    }

    private boolean stands(Wire wire) {
        return design.wire(wire.id()).equals(wire);
    }

    private static boolean isSame(Optional<WorstCase.Peak> now, Optional<WorstCase.Peak> then) {
        return now.isEmpty() ? then.isEmpty() : then.filter(now.get()::isSameAs).isPresent();
    }

    /** The largest current of a wire, lasting or held. */
    private static Optional<WorstCase.Peak> peak(WorstCase worst, Wire wire) {
        var steady = worst.steady(wire);
        var held = worst.held(wire);
        return magnitude(held).value() > magnitude(steady).value() ? held : steady;
    }

    /**
     * @param known what was found of the same wire before, if anything was
     */
    private WireSizing size(Wire wire, Optional<WireSizing> known) {
        var steady = worst.steady(wire);
        var held = worst.held(wire);
        var steadyAmps = magnitude(steady);
        var heldAmps = magnitude(held);
        var peak = peak(worst, wire);
        var path =
                FlowPath.through(peak.map(WorstCase.Peak::point).orElse(rest), wire, worst.metal());
        var current = new Amps(Math.max(steadyAmps.value(), heldAmps.value()));
        Predicate<Conductor> cool =
                conductor -> {
                    double more = freed(wire, conductor, current);
                    return coolEnough(
                            wire,
                            conductor,
                            new Amps(steadyAmps.value() * more),
                            new Amps(heldAmps.value() * more));
                };
        Predicate<Conductor> little =
                conductor -> {
                    double more = freed(wire, conductor, current);
                    var freed = new Amps(current.value() * more);
                    return losesLittle(wire, conductor, freed, path.carrying(more));
                };
        Predicate<Conductor> strong =
                conductor ->
                        conductor.copper().value() >= design.rules().leastSection().value() * 0.999;
        var sizes = Conductors.of(wire.size().standard());
        var needed = sizes.stream().filter(strong.and(cool).and(little)).findFirst();
        return new WireSizing(
                wire,
                steadyAmps,
                heldAmps,
                carries(wire, wire.conductor()),
                carriesShortly(wire, wire.conductor()),
                known.map(WireSizing::bears).orElseGet(() -> ShortCircuit.of(wire)),
                drop(wire, wire.conductor(), current, path),
                path,
                needed,
                reason(sizes, needed, cool, little),
                Allowance.of(design, wire, path).kept(path));
    }

    /** Whether it loses no more than it may; mostly told by how warm it is at least and at most. */
    private boolean losesLittle(Wire wire, Conductor conductor, Amps current, FlowPath path) {
        double allowed = Allowance.of(design, wire, path).wires();
        double cold = current.value() * conductor.perMetre().value() * path.length().value();
        double least = cold * Conductor.warmth(wire.zone().ambient().value());
        double most = cold * Conductor.warmth(wire.insulation().limit().value());
        return most <= allowed
                || least <= allowed
                        && drop(wire, conductor, current, path).limit().orElseThrow().kept();
    }

    private static WireSizing.Reason reason(
            List<Conductor> sizes,
            Optional<Conductor> needed,
            Predicate<Conductor> cool,
            Predicate<Conductor> little) {
        int index = needed.map(sizes::indexOf).orElse(sizes.size());
        if (index == 0) {
            return WireSizing.Reason.STRENGTH;
        }
        var thinner = sizes.get(index - 1);
        if (!cool.test(thinner)) {
            return WireSizing.Reason.HEAT;
        }
        return little.test(thinner) ? WireSizing.Reason.STRENGTH : WireSizing.Reason.DROP;
    }

    private static Amps magnitude(Optional<WorstCase.Peak> peak) {
        return new Amps(
                peak.map(found -> Math.abs(found.amps().value()))
                        .filter(amps -> amps > NOTHING)
                        .orElse(0.0));
    }

    /**
     * How much more flows, as a factor, when a wire is replaced by a thicker one: the volts it no
     * longer loses drive a load of resistance, which is the most any load takes; nothing less for a
     * thinner one.
     */
    private double freed(Wire wire, Conductor conductor, Amps current) {
        double saved = wire.conductor().perMetre().value() - conductor.perMetre().value();
        double volts = current.value() * saved * wire.length().metres().value();
        double system = design.vehicle().system().value();
        return volts <= 0 ? 1 : 1 / (1 - Math.min(volts / system, NEARLY_ALL));
    }

    private boolean coolEnough(Wire wire, Conductor conductor, Amps steady, Amps held) {
        double lasting = carries(wire, conductor).result().value();
        double shortly = carriesShortly(wire, conductor).result().value();
        return steady.value() <= lasting && held.value() <= Math.max(lasting, shortly);
    }

    /** What a conductor of that cover is asked where a wire lies. */
    private record Cooled(Conductor conductor, Insulation cover, Zone zone, boolean shortly) {
        static Cooled of(Conductor conductor, Wire wire, boolean shortly) {
            return new Cooled(conductor, wire.insulation(), wire.zone(), shortly);
        }
    }

    private Working carries(Wire wire, Conductor conductor) {
        return lasting.of(
                Cooled.of(conductor, wire, false),
                () -> HeatBalance.carries(conductor, wire, design.rules()));
    }

    private Working carriesShortly(Wire wire, Conductor conductor) {
        return lasting.of(
                Cooled.of(conductor, wire, true),
                () ->
                        ShortTime.carries(
                                conductor,
                                wire.zone().ambient(),
                                HeatBalance.rise(wire, design.rules()),
                                design.rules().shortTime()));
    }

    /**
     * ΔV = I·r(T)·L + Uj with the wire's own worst current, the length of the whole way out and
     * back and what its joints lose: if every wire of the way keeps this, their sum does. The wires
     * alone are held to the rule of the house, with their joints to 0.5 V of 12 where that is more
     * (docs/SOURCES.md); where joints take more than half of it, the wires are held to the other
     * half. The cable of a starter may lose 0.5 V of 12 while it cranks (section 3).
     */
    private Working drop(Wire wire, Conductor conductor, Amps current, FlowPath path) {
        double system = design.vehicle().system().value();
        double joints = path.joints().value();
        double allowed = Allowance.of(design, wire, path).wires();
        var share = new Ratio(allowed / system);
        Celsius warm = HeatBalance.temperature(conductor, wire.zone().ambient(), current);
        double lasting = Math.min(warm.value(), wire.insulation().limit().value());
        double perMetre = conductor.perMetre().value() * Conductor.warmth(lasting);
        double lost = current.value() * perMetre * path.length().value();
        boolean measured =
                path.wires().stream().allMatch(each -> each.length() instanceof RunLength.Measured);
        return new Working(
                Working.Topic.DROP,
                "ΔV = I · r(T) · L ≤ U − Uj",
                List.of(
                        new Given("I", current, Origin.SOLVED),
                        new Given("A", conductor.copper(), Origin.JOB),
                        new Given("T", new Celsius(lasting), Origin.WORKED),
                        new Given("L", path.length(), measured ? Origin.MEASURED : Origin.ASSUMED),
                        new Given("Uj", new Volts(joints), Origin.SOLVED),
                        new Given(
                                "limit", share, path.cranks() ? Origin.TABLE : Origin.HOUSE_RULE)),
                List.of(new Step("r(T)", new Ohms(perMetre)), new Step("ΔV", new Volts(lost))),
                Optional.of(new Working.Limit(new Volts(allowed), lost <= allowed)),
                "Ohm; IEC 60028, ISO 6722-1");
    }
}
