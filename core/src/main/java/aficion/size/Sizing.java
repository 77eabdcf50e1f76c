package aficion.size;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize.Standard;
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
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

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
        var sizes = Conductors.of(wire.size().standard());
        var bearing = bearing(wire);
        IntPredicate cool =
                size -> {
                    double more = freed(wire, sizes.get(size), current);
                    return bearing.get(size)
                            .coolEnough(steadyAmps.value() * more, heldAmps.value() * more);
                };
        IntPredicate little =
                size -> {
                    double more = freed(wire, sizes.get(size), current);
                    var freed = new Amps(current.value() * more);
                    return losesLittle(wire, sizes.get(size), freed, path.carrying(more));
                };
        IntPredicate strong =
                size ->
                        sizes.get(size).copper().value()
                                >= design.rules().leastSection().value() * 0.999;
        int needed =
                IntStream.range(0, sizes.size())
                        .filter(strong.and(cool).and(little))
                        .findFirst()
                        .orElse(sizes.size());
        var bears = bearing.get(sizes.indexOf(wire.conductor()));
        return new WireSizing(
                wire,
                steadyAmps,
                heldAmps,
                bears.lasting,
                bears.shortly,
                known.map(WireSizing::bears).orElseGet(() -> ShortCircuit.of(wire)),
                drop(wire, wire.conductor(), current, path),
                path,
                sizes.stream().skip(needed).findFirst(),
                reason(needed, cool, little),
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

    /** Why none thinner than the one needed will do. */
    private static WireSizing.Reason reason(int needed, IntPredicate cool, IntPredicate little) {
        int thinner = needed - 1;
        if (thinner >= 0 && !cool.test(thinner)) {
            return WireSizing.Reason.HEAT;
        }
        return thinner < 0 || little.test(thinner)
                ? WireSizing.Reason.STRENGTH
                : WireSizing.Reason.DROP;
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

    /** What a conductor carries for good where a wire lies, and what shortly. */
    private record Bearing(Working lasting, Working shortly) {
        boolean coolEnough(double steady, double held) {
            double carries = lasting.result().value();
            return steady <= carries && held <= Math.max(carries, shortly.result().value());
        }
    }

    /** The conductors that may be asked what they carry: of that cover, where a wire lies. */
    private record Sold(Standard standard, Insulation cover, Zone zone) {}

    /** What each conductor of the standard of a wire carries in its place, thinnest first. */
    private List<Bearing> bearing(Wire wire) {
        var standard = wire.size().standard();
        return lasting.of(
                new Sold(standard, wire.insulation(), wire.zone()),
                () ->
                        Conductors.of(standard).stream()
                                .map(conductor -> bearing(wire, conductor))
                                .toList());
    }

    private Bearing bearing(Wire wire, Conductor conductor) {
        return new Bearing(
                HeatBalance.carries(conductor, wire, design.rules()),
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
