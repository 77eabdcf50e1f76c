package aficion.check.protection;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.ShortCircuit;
import aficion.size.WireSizing;
import aficion.solve.Once;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * Fuses larger than a wire they guard, leads thinner than the one guard they end at, and earths of
 * the battery thinner than the largest guard that takes its feed there; and what hangs on a source
 * that charges, thinner than what that gives. Above what a wire carries to the limit of its cover
 * it is a danger; within the margin of the house, advice. A short lead whose load its own fuse
 * bounds need only outlive a short until the guard before it opens.
 */
public final class GuardSizeRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var sourced = assessment.sourced();
        var made = new Once();
        Supplier<Solver> solver = () -> made.of(Solver.class, () -> assessment.answers().solver());
        return assessment.sizings().values().stream()
                .flatMap(sizing ->
                        Stream.of(
                                        behind(assessment, solver, sizing),
                                        before(assessment, sizing),
                                        returning(assessment, sizing),
                                        Optional.ofNullable(sourced.get(sizing.wire().id()))
                                                .flatMap(from -> given(assessment, sizing, from)))
                                .flatMap(Optional::stream));
    }

    /**
     * A wire that what charges gives to before any guard, and that is not on the way it charges by:
     * a chafe there takes all that the source gives, and no guard between them opens.
     */
    private static Optional<Finding> given(
            Assessment assessment, WireSizing sizing, Assessment.Source source) {
        var wire = sizing.wire();
        boolean charges = sizing.steady().value() >= source.gives().value();
        boolean guarded =
                switch (assessment.guard(wire.id())) {
                    case Guard.Guarded _ -> assessment.ending(wire).isPresent();
                    case Guard.Unguarded _, Guard.EarthSide _ -> true;
                    case Guard.BehindLoad _ -> false;
                };
        double bears = sizing.bears().forGood();
        return charges || guarded || source.gives().value() <= bears
                ? Optional.empty()
                : Optional.of(
                        new Finding.SourceLargerThanWire(
                                wire.id(),
                                source.part(),
                                source.gives(),
                                new Amps(bears),
                                thicker(
                                        wire,
                                        conductor ->
                                                ShortCircuit.of(wire, conductor).forGood()
                                                        >= source.gives().value())));
    }

    /** An earth by which the battery gets back what a short behind its largest guard draws. */
    private static Optional<Finding> returning(Assessment assessment, WireSizing sizing) {
        return assessment
                .returned(sizing.wire())
                .flatMap(fuse -> melting(assessment, sizing, fuse, heat -> heat.isGuardedBy(fuse)));
    }

    private static Optional<Finding> behind(
            Assessment assessment, Supplier<Solver> solver, WireSizing sizing) {
        var wire = sizing.wire();
        return assessment
                .guard(wire.id())
                .fuse()
                .flatMap(fuse ->
                        assessment.ending(wire).isPresent()
                                ? ending(assessment, solver, sizing, fuse)
                                : found(assessment, sizing, fuse));
    }

    /** What is asked of a wire and a guard, and follows from these alone. */
    private record Guarding(Guard.Fitted fuse, ShortCircuit wire) {}

    private static boolean guards(Assessment assessment, Guard.Fitted fuse, ShortCircuit wire) {
        return assessment.lasting(new Guarding(fuse, wire), () -> wire.isGuardedBy(fuse));
    }

    /** A short lead to its own fuse: of what the source gives in a short it bears each. */
    private static Optional<Finding> ending(
            Assessment assessment, Supplier<Solver> solver, WireSizing sizing, Guard.Fitted fuse) {
        var wire = sizing.wire();
        var heat = sizing.bears();
        if (guards(assessment, fuse, heat) || heat.outlivesAny(fuse)) {
            return Optional.empty();
        }
        var least = assessment.shorted(wire, solver, ShortCircuit.dead(fuse));
        return melting(assessment, sizing, fuse, each -> each.outlives(fuse, least));
    }

    /** A lead without a guard before the guard it ends at, and never a thinner one. */
    private static Optional<Finding> before(Assessment assessment, WireSizing sizing) {
        return assessment.guard(sizing.wire().id()) instanceof Guard.Unguarded
                ? assessment
                        .guarding()
                        .next(sizing.wire())
                        .flatMap(fuse ->
                                melting(assessment, sizing, fuse, heat -> heat.isGuardedBy(fuse)))
                : Optional.empty();
    }

    /** A wire that a short melts before its fuse opens. */
    private static Optional<Finding> melting(
            Assessment assessment,
            WireSizing sizing,
            Guard.Fitted fuse,
            Predicate<ShortCircuit> holds) {
        var wire = sizing.wire();
        return holds.test(sizing.bears())
                ? Optional.empty()
                : Optional.of(
                        larger(
                                assessment,
                                sizing,
                                fuse,
                                thicker(
                                        wire,
                                        conductor ->
                                                holds.test(ShortCircuit.of(wire, conductor)))));
    }

    private static Optional<Finding> found(
            Assessment assessment, WireSizing sizing, Guard.Fitted fuse) {
        var wire = sizing.wire();
        if (fuse.carries().value() <= carries(sizing).value()
                && guards(assessment, fuse, sizing.bears())) {
            return Optional.empty();
        }
        var remedies = new ArrayList<Edit>();
        smallerFuse(assessment, sizing, fuse).ifPresent(remedies::add);
        remedies.addAll(
                thicker(
                        wire,
                        conductor ->
                                assessment.carries(wire, conductor, fuse)
                                        && ShortCircuit.of(wire, conductor).isGuardedBy(fuse)));
        return Optional.of(
                guards(assessment, fuse, sizing.bears())
                        ? new PathFinding.GuardAboveMargin(
                                wire.id(), fuse.seat(), fuse.carries(), carries(sizing), remedies)
                        : larger(assessment, sizing, fuse, remedies));
    }

    private static Finding larger(
            Assessment assessment, WireSizing sizing, Guard.Fitted fuse, List<Edit> remedies) {
        var wire = sizing.wire();
        return new Finding.GuardLargerThanWire(
                wire.id(),
                fuse.seat(),
                fuse.carries(),
                new Amps(sizing.bears().forGood()),
                remedies);
    }

    private static Amps carries(WireSizing sizing) {
        return new Amps(sizing.carries().result().value());
    }

    private static Optional<Edit> smallerFuse(
            Assessment assessment, WireSizing sizing, Guard.Fitted fuse) {
        double load = magnitude(assessment, fuse, false);
        double held = magnitude(assessment, fuse, true);
        double least = Math.max(held, load / assessment.design().rules().fuseLoad().value());
        var weakest = assessment.weakestBehind(fuse).orElse(carries(sizing));
        return fuse.type()
                .largestWithin(weakest)
                .filter(marking -> fuse.type().carries(marking).value() >= least)
                .map(marking ->
                        new PartEdit.FitFuse(fuse.seat().part(), fuse.seat().way(), marking));
    }

    private static double magnitude(Assessment assessment, Guard.Fitted fuse, boolean held) {
        var seat = fuse.seat();
        return (held
                        ? assessment.worst().largest(seat.part(), seat.way())
                        : assessment.worst().steady(seat.part(), seat.way()))
                .map(peak -> Math.abs(peak.amps().value()))
                .orElse(0.0);
    }

    private static List<Edit> thicker(Wire wire, Predicate<Conductor> enough) {
        return Conductors.of(wire.size().standard()).stream()
                .filter(conductor -> conductor.copper().value() > wire.conductor().copper().value())
                .filter(enough)
                .limit(1)
                .<Edit>map(conductor -> new WireEdit.Resize(wire.id(), conductor.size()))
                .toList();
    }
}
