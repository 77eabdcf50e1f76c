package aficion.check.ignition;

import aficion.check.finding.EndsRule;
import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.job.Action;
import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.size.Assessment;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What is fed from the post of an ignition coil: an electronic box there misfires, and so may
 * whatever else takes its feed there, by itself or behind a switch or a guard (docs/SOURCES.md:
 * nothing else on the coil posts).
 */
public final class CoilPostRule implements EndsRule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.IgnitionCoil)
                .flatMap(coil -> Stream.of("15", "1").map(coil::terminal))
                .flatMap(post -> found(assessment, post));
    }

    private static Stream<Finding> found(Assessment assessment, Terminal post) {
        return assessment.design().wiresAt(post).stream()
                .flatMap(wire -> fed(assessment, wire, post).stream())
                .distinct()
                .map(load ->
                        load.kind() instanceof ControlKind.IgnitionBox
                                ? new PathFinding.BoxOnCoilPost(load.id(), post.part())
                                : new PathFinding.CoilPostFeeds(post.part(), load.id(), post));
    }

    /**
     * What a wire from a post feeds, by way of joints: a load at its own feed, or what leads on.
     */
    private static Optional<Part> fed(Assessment assessment, Wire wire, Terminal post) {
        var design = assessment.design();
        var start = wire.beyond(post).terminal();
        var seen = new HashSet<>(Set.of(post, start));
        var at = start;
        while (design.part(at.part()).kind() instanceof JoinKind.Splice) {
            var here = at;
            var next =
                    design.wiresAt(at).stream()
                            .map(each -> each.beyond(here).terminal())
                            .filter(seen::add)
                            .toList();
            if (next.size() != 1) {
                return Optional.empty();
            }
            at = next.getFirst();
        }
        var end = at;
        return Optional.of(design.part(end.part()))
                .filter(part ->
                        takesFeed(part, end.pin())
                                || post.pin().equals("15")
                                        && leadsOn(part)
                                        && assessment.beyond(wire).contains(start));
    }

    /** Whether it hands on what it is fed with; the key is what feeds the coil. */
    private static boolean leadsOn(Part part) {
        return switch (part.kind()) {
            case GuardKind _, ControlKind.LevelSwitch _, ControlKind.Flasher _ -> true;
            case ControlKind.Switch hand -> hand.action() != Action.KEY;
            case SourceKind _, ControlKind _, LoadKind _, JoinKind _ -> false;
        };
    }

    private static boolean takesFeed(Part part, String pin) {
        return switch (part.kind()) {
            case LoadKind.IgnitionCoil _,
                    LoadKind.Gauge _,
                    LoadKind.Ammeter _,
                    LoadKind.Magneto _,
                    LoadKind.Starter _ ->
                    false;
            case LoadKind.Lamp _,
                    LoadKind.WarningLamp _,
                    LoadKind.Motor _,
                    LoadKind.WiperMotor _,
                    LoadKind.TwoSpeedMotor _,
                    LoadKind.Voltmeter _,
                    LoadKind.Load _,
                    LoadKind.LedLamp _,
                    LoadKind.Buzzer _,
                    LoadKind.Heater _ ->
                    !pin.equals("31");
            case ControlKind.IgnitionBox _, ControlKind.Module _ -> pin.equals("15");
            case ControlKind.Relay _ -> pin.equals("86") || pin.equals("30");
            case SourceKind _,
                    GuardKind _,
                    ControlKind.Switch _,
                    ControlKind.LatchingRelay _,
                    ControlKind.LevelSwitch _,
                    ControlKind.Flasher _,
                    ControlKind.Points _,
                    JoinKind _ ->
                    false;
        };
    }
}
