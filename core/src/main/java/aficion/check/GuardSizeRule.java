package aficion.check;

import aficion.catalogue.Conductors;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.WireSizing;
import java.util.ArrayList;
import java.util.Optional;
import java.util.stream.Stream;

/** Fuses larger than a wire they guard. */
final class GuardSizeRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.sizings().values().stream()
                .filter(sizing -> !endsAtItsFuse(sizing.wire()))
                .flatMap(sizing ->
                        assessment.guard(sizing.wire().id()).fuse().stream()
                                .filter(fuse -> fuse.carries().value() > carries(sizing).value())
                                .map(fuse -> finding(assessment, sizing, fuse)));
    }

    /**
     * A short lead that is stated to end at its fuse: that fuse bounds its load, and it is too
     * short to be hurt.
     */
    private static boolean endsAtItsFuse(Wire wire) {
        return wire.unguarded().filter(why -> why == Unguarded.WITHIN_REACH).isPresent()
                && wire.length().metres().value() <= 0.3;
    }

    private static Amps carries(WireSizing sizing) {
        return new Amps(sizing.carries().result().value());
    }

    private static Finding finding(Assessment assessment, WireSizing sizing, Guard.Fitted fuse) {
        var remedies = new ArrayList<Edit>();
        smallerFuse(assessment, sizing, fuse).ifPresent(remedies::add);
        largerWire(assessment, sizing.wire(), fuse).ifPresent(remedies::add);
        return new Finding.GuardLargerThanWire(
                sizing.wire().id(), fuse.seat(), fuse.carries(), carries(sizing), remedies);
    }

    private static Optional<Edit> smallerFuse(
            Assessment assessment, WireSizing sizing, Guard.Fitted fuse) {
        double load =
                assessment
                        .worst()
                        .steady(fuse.seat().part(), fuse.seat().way())
                        .map(peak -> Math.abs(peak.amps().value()))
                        .orElse(0.0);
        double held =
                assessment
                        .worst()
                        .largest(fuse.seat().part(), fuse.seat().way())
                        .map(peak -> Math.abs(peak.amps().value()))
                        .orElse(0.0);
        double least = Math.max(held, load / assessment.job().rules().fuseLoad().value());
        var weakest = assessment.weakestBehind(fuse).orElse(carries(sizing));
        return fuse.type()
                .largestWithin(weakest)
                .filter(marking -> fuse.type().carries(marking).value() >= least)
                .map(marking -> new Edit.FitFuse(fuse.seat().part(), fuse.seat().way(), marking));
    }

    private static Optional<Edit> largerWire(Assessment assessment, Wire wire, Guard.Fitted fuse) {
        return Conductors.of(wire.size().standard()).stream()
                .filter(conductor ->
                        conductor.copper().value() > wire.conductor().copper().value()
                                && assessment.carries(wire, conductor, fuse))
                .findFirst()
                .map(conductor -> new Edit.Resize(wire.id(), conductor.size()));
    }
}
