package aficion.job;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was measured or set down around the design for the sums of a restorer: how the vehicle is
 * used, how fast it turns, its pulleys, distributor cap and marks, tanks, panels.
 *
 * @param usages the user's own situations, each by a name of its own
 * @param speeds idle, cruise and top of the engine, where they are known
 * @param pulleys of each source that has any measured or assumed
 * @param cap the distributor cap
 * @param damper what carries the timing marks
 * @param fills what a sender showed, by its part, in the order of the level
 * @param panels each by a name of its own
 * @param pickup what counts turns
 */
public record Sums(
        List<Usage> usages,
        Optional<Speeds> speeds,
        Map<PartId, Pulleys> pulleys,
        Optional<Cap> cap,
        Optional<Damper> damper,
        Map<PartId, List<Fill>> fills,
        List<Panel> panels,
        Optional<Pickup> pickup) {

    /** Nothing set down. */
    public static final Sums NONE =
            new Sums(
                    List.of(),
                    Optional.empty(),
                    Map.of(),
                    Optional.empty(),
                    Optional.empty(),
                    Map.of(),
                    List.of(),
                    Optional.empty());

    public Sums {
        usages = List.copyOf(usages);
        pulleys = Collections.unmodifiableMap(new LinkedHashMap<>(pulleys));
        var kept = new LinkedHashMap<PartId, List<Fill>>();
        fills.forEach((part, read) -> {
            if (!read.isEmpty()) {
                kept.put(
                        part,
                        read.stream()
                                .sorted((a, b) -> Double.compare(a.level(), b.level()))
                                .toList());
            }
        });
        fills = Collections.unmodifiableMap(kept);
        panels = List.copyOf(panels);
    }

    /** The same with a situation, in the place of the one of its name. */
    public Sums with(Usage usage) {
        return new Sums(
                Listed.in(usages, usage, each -> each.name().equals(usage.name())),
                speeds,
                pulleys,
                cap,
                damper,
                fills,
                panels,
                pickup);
    }

    /** The same without a situation. */
    public Sums without(Usage usage) {
        return new Sums(
                Listed.without(usages, usage::equals),
                speeds,
                pulleys,
                cap,
                damper,
                fills,
                panels,
                pickup);
    }

    /** The same with the speeds of the engine. */
    public Sums with(Speeds turns) {
        return new Sums(usages, Optional.of(turns), pulleys, cap, damper, fills, panels, pickup);
    }

    /** The same with the pulleys of a source. */
    public Sums with(PartId source, Pulleys measured) {
        var changed = new LinkedHashMap<>(pulleys);
        changed.put(source, measured);
        return new Sums(usages, speeds, changed, cap, damper, fills, panels, pickup);
    }

    /** The same with a distributor cap. */
    public Sums with(Cap seen) {
        return new Sums(usages, speeds, pulleys, Optional.of(seen), damper, fills, panels, pickup);
    }

    /** The same with what carries the marks. */
    public Sums with(Damper measured) {
        return new Sums(usages, speeds, pulleys, cap, Optional.of(measured), fills, panels, pickup);
    }

    /** What a sender showed, by rising level. */
    public List<Fill> fills(PartId sender) {
        return fills.getOrDefault(sender, List.of());
    }

    /** The same with what a sender showed at a level, in the place of what it showed there. */
    public Sums with(PartId sender, Fill fill) {
        return withFills(
                sender, Listed.in(fills(sender), fill, each -> each.level() == fill.level()));
    }

    /** The same without what a sender showed at a level. */
    public Sums without(PartId sender, Fill fill) {
        return withFills(sender, Listed.without(fills(sender), fill::equals));
    }

    private Sums withFills(PartId sender, List<Fill> read) {
        var changed = new LinkedHashMap<>(fills);
        changed.put(sender, read);
        return new Sums(usages, speeds, pulleys, cap, damper, changed, panels, pickup);
    }

    /** The same with a panel, in the place of the one of its name. */
    public Sums with(Panel panel) {
        return new Sums(
                usages,
                speeds,
                pulleys,
                cap,
                damper,
                fills,
                Listed.in(panels, panel, each -> each.name().equals(panel.name())),
                pickup);
    }

    /** The same without a panel. */
    public Sums without(Panel panel) {
        return new Sums(
                usages,
                speeds,
                pulleys,
                cap,
                damper,
                fills,
                Listed.without(panels, panel::equals),
                pickup);
    }

    /** The same with what counts turns. */
    public Sums with(Pickup counter) {
        return new Sums(usages, speeds, pulleys, cap, damper, fills, panels, Optional.of(counter));
    }

    /** What of it is about parts that a design holds. */
    Sums of(Design design) {
        var sources = new LinkedHashMap<>(pulleys);
        sources.keySet().removeIf(part -> design.find(part).isEmpty());
        var senders = new LinkedHashMap<>(fills);
        senders.keySet().removeIf(part -> design.find(part).isEmpty());
        return new Sums(usages, speeds, sources, cap, damper, senders, panels, pickup);
    }
}
