package aficion.identify;

import aficion.job.GuardKind;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.School;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Wire;
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
    public static Optional<Terminal> post(Job job) {
        var battery = livePost(job);
        if (job.rules().workBy(School.FROM_ALTERNATOR)) {
            return alternator(job).or(() -> battery);
        }
        return job.rules().workBy(School.FROM_SOLENOID)
                ? battery.flatMap(post -> starter(job, post)).or(() -> battery)
                : battery;
    }

    /**
     * The leads that take it from the battery's post: to a guard that no source charges through.
     */
    public static List<Wire> fromBattery(Job job) {
        return livePost(job).stream()
                .flatMap(post -> job.wiresAt(post).stream())
                .filter(wire -> feedsThroughGuard(job, wire))
                .toList();
    }

    private static boolean feedsThroughGuard(Job job, Wire wire) {
        var guard = far(job, wire);
        return guard.kind() instanceof GuardKind
                && guard.terminals().stream()
                        .flatMap(terminal -> job.wiresAt(terminal).stream())
                        .filter(other -> !other.equals(wire))
                        .flatMap(other -> other.terminals().stream())
                        .noneMatch(end -> job.part(end.part()).kind() instanceof SourceKind);
    }

    /** The guard at the end of a lead from the battery's post. */
    public static Part far(Job job, Wire wire) {
        var battery = livePost(job).orElseThrow();
        return job.part(wire.beyond(battery).terminal().part());
    }

    private static Optional<Terminal> livePost(Job job) {
        return job.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .findFirst()
                .map(part -> part.terminal(job.vehicle().livePin()));
    }

    private static Optional<Terminal> alternator(Job job) {
        return job.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Alternator)
                .findFirst()
                .map(part -> part.terminal("B+"));
    }

    /** Where the lead from the battery to the starter ends. */
    private static Optional<Terminal> starter(Job job, Terminal post) {
        return job.wiresAt(post).stream()
                .filter(wire -> wire.unguarded().filter(Unguarded.STARTER_FEED::equals).isPresent())
                .flatMap(wire -> wire.terminals().stream())
                .filter(terminal -> !terminal.equals(post))
                .findFirst();
    }
}
