package aficion.identify;

import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.WorkshopPractice;
import java.util.List;
import java.util.Optional;

/**
 * Where everything but the starter is fed from: the battery's post, the alternator's, or the
 * starter's.
 */
public final class MainFeed {
    private MainFeed() {}

    /**
     * The post the house takes it from; the battery's live one where the vehicle lacks the other so
     * far. Empty without a battery.
     */
    public static Optional<Terminal> post(Design design) {
        var battery = livePost(design);
        if (design.rules().workBy(WorkshopPractice.FROM_ALTERNATOR)) {
            return alternator(design).or(() -> battery);
        }
        return design.rules().workBy(WorkshopPractice.FROM_SOLENOID)
                ? battery.flatMap(post -> starter(design, post)).or(() -> battery)
                : battery;
    }

    /**
     * The leads that take it from the battery's post: to a guard that no source charges through.
     */
    public static List<Wire> fromBattery(Design design) {
        return livePost(design).stream()
                .flatMap(post -> design.wiresAt(post).stream())
                .filter(wire -> feedsThroughGuard(design, wire))
                .toList();
    }

    private static boolean feedsThroughGuard(Design design, Wire wire) {
        var guard = far(design, wire);
        return guard.kind() instanceof GuardKind
                && guard.terminals().stream()
                        .flatMap(terminal -> design.wiresAt(terminal).stream())
                        .filter(other -> !other.equals(wire))
                        .flatMap(other -> other.terminals().stream())
                        .noneMatch(end -> design.part(end.part()).kind() instanceof SourceKind);
    }

    /** The guard at the end of a lead from the battery's post. */
    public static Part far(Design design, Wire wire) {
        var battery = livePost(design).orElseThrow();
        return design.part(wire.beyond(battery).terminal().part());
    }

    private static Optional<Terminal> livePost(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .findFirst()
                .map(part -> part.terminal(design.vehicle().livePin()));
    }

    private static Optional<Terminal> alternator(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Alternator)
                .findFirst()
                .map(part -> part.terminal("B+"));
    }

    /** Where the lead from the battery to the starter ends. */
    private static Optional<Terminal> starter(Design design, Terminal post) {
        return design.wiresAt(post).stream()
                .filter(wire -> wire.unguarded().filter(Unguarded.STARTER_FEED::equals).isPresent())
                .flatMap(wire -> wire.terminals().stream())
                .filter(terminal -> !terminal.equals(post))
                .findFirst();
    }
}
