package aficion.check;

import aficion.catalogue.FuseType;
import aficion.identify.MainFeed;
import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions.FuseSeat;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.Overload;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Fuses where the house wants a breaker: before what must not stay dead, or as isolator. */
final class OverloadRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var job = assessment.job();
        var returning =
                job.wires().stream()
                        .filter(wire -> leadsToWhatMustReturn(job, wire))
                        .flatMap(wire -> seats(assessment.guard(wire.id())))
                        .distinct()
                        .flatMap(seat -> returning(job, seat).stream());
        var isolating =
                MainFeed.fromBattery(job).stream()
                        .map(wire -> MainFeed.far(job, wire).id())
                        .distinct()
                        .flatMap(part -> isolating(job, part).stream());
        return Stream.concat(returning, isolating);
    }

    private static boolean leadsToWhatMustReturn(Job job, Wire wire) {
        return wire.terminals().stream()
                .anyMatch(end -> Overload.mustReturn(job.part(end.part()).kind()));
    }

    private static Stream<FuseSeat> seats(Guard guard) {
        return guard instanceof Guard.Guarded(var fuses)
                ? fuses.stream().map(Guard.Fitted::seat)
                : Stream.empty();
    }

    private static Optional<Finding> returning(Job job, FuseSeat seat) {
        return job.part(seat.part()).kind() instanceof GuardKind kind
                ? Overload.returning(job.rules(), kind, seat.way())
                        .map(breaker -> found(seat, FuseType.BREAKER_SELF, breaker))
                : Optional.empty();
    }

    private static Optional<Finding> isolating(Job job, PartId part) {
        return job.part(part).kind() instanceof GuardKind kind
                ? Overload.isolating(job.rules(), kind)
                        .map(breaker ->
                                found(new FuseSeat(part, ""), FuseType.BREAKER_MANUAL, breaker))
                : Optional.empty();
    }

    private static Finding found(FuseSeat seat, FuseType wanted, GuardKind breaker) {
        return new Finding.FuseNotBreaker(
                seat, wanted, List.of(new Edit.Refit(seat.part(), breaker)));
    }
}
