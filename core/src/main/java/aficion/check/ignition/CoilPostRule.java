package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.PathFinding;
import aficion.check.finding.Rule;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.size.Assessment;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What is fed from the post of an ignition coil: an electronic box there misfires, and so may
 * whatever else takes its feed there (docs/SOURCES.md: nothing else on the coil posts).
 */
public final class CoilPostRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        return design.parts().stream()
                .filter(part -> part.kind() instanceof LoadKind.IgnitionCoil)
                .flatMap(coil -> Stream.of("15", "1").map(coil::terminal))
                .flatMap(post -> found(design, post));
    }

    private static Stream<Finding> found(Design design, Terminal post) {
        return design.wiresAt(post).stream()
                .map(wire -> wire.beyond(post).terminal())
                .flatMap(end -> fed(design, end, post).stream())
                .distinct()
                .map(load ->
                        load.kind() instanceof ControlKind.IgnitionBox
                                ? new PathFinding.BoxOnCoilPost(load.id(), post.part())
                                : new PathFinding.CoilPostFeeds(post.part(), load.id(), post));
    }

    /** What a wire from a post feeds, by way of joints: a load at its own feed. */
    private static Optional<Part> fed(Design design, Terminal start, Terminal post) {
        var seen = new HashSet<>(Set.of(post, start));
        var at = start;
        while (design.part(at.part()).kind() instanceof JoinKind.Splice) {
            var here = at;
            var next =
                    design.wiresAt(at).stream()
                            .map(wire -> wire.beyond(here).terminal())
                            .filter(seen::add)
                            .toList();
            if (next.size() != 1) {
                return Optional.empty();
            }
            at = next.getFirst();
        }
        var end = at;
        return Optional.of(design.part(end.part())).filter(part -> takesFeed(part, end.pin()));
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
