package aficion.size;

import aficion.job.Terminal;
import aficion.job.WireId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What lies on the side of a lead away from the poles, of all leads in one walk from the poles:
 * what was met behind a lead, where nothing met there leads back before it (bridges by lowest
 * reach; Tarjan 1974).
 */
final class Sides {
    /** What leads on from a terminal; by no lead inside a part. */
    record Way(Terminal to, Optional<WireId> lead) {}

    /** Where ways lead from. */
    interface Ways {
        List<Way> from(Terminal terminal);
    }

    private final Ways ways;
    private final List<Terminal> met = new ArrayList<>();
    private final Map<Terminal, Integer> place = new HashMap<>();
    private final Map<WireId, Beyond> beyond = new HashMap<>();

    /** The terminals met from one place up to another. */
    private record Beyond(int from, int to) {}

    /** A terminal whose ways are walked. */
    private final class Visit {
        private final int own = met.size();
        private final Optional<WireId> by;
        private final List<Way> onward;
        private int next;

        /** The earliest met that leads on from here, or from what was met behind it. */
        private int lowest;

        Visit(Terminal terminal, Optional<WireId> by, boolean isPole) {
            this.by = by;
            this.onward = ways.from(terminal);
            this.lowest = isPole ? -1 : own;
            place.put(terminal, own);
            met.add(terminal);
        }
    }

    /**
     * @param poles count as one
     */
    Sides(Collection<Terminal> poles, Ways ways) {
        this.ways = ways;
        for (var pole : poles) {
            if (!place.containsKey(pole)) {
                walk(pole, poles);
            }
        }
    }

    private void walk(Terminal start, Collection<Terminal> poles) {
        var open = new ArrayDeque<Visit>();
        open.push(new Visit(start, Optional.empty(), true));
        while (!open.isEmpty()) {
            var visit = open.element();
            if (visit.next < visit.onward.size()) {
                step(visit, visit.onward.get(visit.next++), open, poles);
            } else {
                open.pop();
                leave(visit, open.peek());
            }
        }
    }

    private void step(Visit visit, Way way, Deque<Visit> open, Collection<Terminal> poles) {
        if (way.lead().isPresent() && way.lead().equals(visit.by)) {
            return;
        }
        var known = place.get(way.to());
        if (known == null) {
            open.push(new Visit(way.to(), way.lead(), poles.contains(way.to())));
        } else {
            visit.lowest = Math.min(visit.lowest, known);
        }
    }

    private void leave(Visit visit, @Nullable Visit before) {
        if (before == null) {
            return;
        }
        if (visit.lowest > before.own) {
            visit.by.ifPresent(lead -> beyond.put(lead, new Beyond(visit.own, met.size())));
        }
        before.lowest = Math.min(before.lowest, visit.lowest);
    }

    /** Whether a terminal was met. */
    boolean meets(Terminal terminal) {
        return place.containsKey(terminal);
    }

    /** Whether a terminal lies beyond a lead. */
    boolean isBeyond(Terminal terminal, WireId lead) {
        var far = beyond.get(lead);
        var at = place.get(terminal);
        return far != null && at != null && at >= far.from && at < far.to;
    }

    /** The terminals beyond a lead; none where both its ends lead to a pole. */
    List<Terminal> beyond(WireId lead) {
        var far = beyond.get(lead);
        return far == null ? List.of() : met.subList(far.from, far.to);
    }
}
