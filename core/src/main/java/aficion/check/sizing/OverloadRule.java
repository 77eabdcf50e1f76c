package aficion.check.sizing;

import aficion.catalogue.FuseType;
import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.identify.MainFeed;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.job.edit.PartEdit;
import aficion.netlist.Conditions.FuseSeat;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.size.Overload;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Fuses where the house wants a breaker: before what must not stay dead, or as isolator. */
public final class OverloadRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        var returning =
                design.wires().stream()
                        .filter(wire -> leadsToWhatMustReturn(design, wire))
                        .flatMap(wire -> seats(assessment.guard(wire.id())))
                        .distinct()
                        .flatMap(seat -> returning(design, seat).stream());
        var isolating =
                MainFeed.fromBattery(design).stream()
                        .map(wire -> MainFeed.far(design, wire).id())
                        .distinct()
                        .flatMap(part -> isolating(design, part).stream());
        return Stream.concat(returning, isolating);
    }

    private static boolean leadsToWhatMustReturn(Design design, Wire wire) {
        return wire.terminals().stream()
                .anyMatch(end -> Overload.mustReturn(design.part(end.part()).kind()));
    }

    private static Stream<FuseSeat> seats(Guard guard) {
        return guard instanceof Guard.Guarded(var fuses)
                ? fuses.stream().map(Guard.Fitted::seat)
                : Stream.empty();
    }

    private static Optional<Finding> returning(Design design, FuseSeat seat) {
        return design.part(seat.part()).kind() instanceof GuardKind kind
                ? Overload.returning(design.rules(), kind, seat.way())
                        .map(breaker -> found(seat, FuseType.BREAKER_SELF, breaker))
                : Optional.empty();
    }

    private static Optional<Finding> isolating(Design design, PartId part) {
        return design.part(part).kind() instanceof GuardKind kind
                ? Overload.isolating(design.rules(), kind)
                        .map(breaker ->
                                found(new FuseSeat(part, ""), FuseType.BREAKER_MANUAL, breaker))
                : Optional.empty();
    }

    private static Finding found(FuseSeat seat, FuseType wanted, GuardKind breaker) {
        return new Finding.FuseNotBreaker(
                seat, wanted, List.of(new PartEdit.Refit(seat.part(), breaker)));
    }
}
