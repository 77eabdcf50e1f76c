package aficion.job;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import aficion.route.Outline;
import aficion.route.Plan;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.route.Way;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The vehicle as the harness lies in it: its plan, and at which station each part stands. A part of
 * which that has not been said stands where such parts mostly do.
 *
 * @param stands the station of a part, where it has been said
 */
public record Body(Plan plan, Map<PartId, StationId> stands) {
    /** From the bundle to the terminal of a part, at each end of a wire (docs/SOURCES.md). */
    public static final Metres RISE = new Metres(0.1);

    private static final Map<String, String> SIDES =
            Map.of("left", "left", "links", "left", "right", "right", "rechts", "right");

    /**
     * @throws IllegalArgumentException when a part stands at a station that is not there, or the
     *     plan has none
     */
    public Body {
        var copy = new LinkedHashMap<PartId, StationId>();
        for (var stand : stands.entrySet()) {
            plan.station(stand.getValue());
            copy.put(stand.getKey(), stand.getValue());
        }
        stands = Collections.unmodifiableMap(copy);
        if (plan.stations().isEmpty()) {
            throw new IllegalArgumentException("a body has one station at least");
        }
    }

    /** The body that a vehicle of a sort mostly has. */
    public static Body usual(Vehicle.Sort sort) {
        var outline = Outline.of(sort.name()).getFirst();
        return new Body(outline.plan(outline.usual()));
    }

    /** A body in which every part stands where such parts mostly do. */
    public Body(Plan plan) {
        this(plan, Map.of());
    }

    /**
     * The same with another plan; what stood at a station that is gone stands where it mostly does.
     */
    public Body with(Plan changed) {
        var left = new LinkedHashMap<>(stands);
        left.values().removeIf(station -> changed.find(station).isEmpty());
        return new Body(changed, left);
    }

    /** The same with a part at a station. */
    public Body standing(PartId part, StationId station) {
        var changed = new LinkedHashMap<>(stands);
        changed.put(part, station);
        return new Body(plan, changed);
    }

    /** The same with a part that stands no longer at a station of another zone. */
    public Body within(PartId part, Zone zone) {
        var said = stands.get(part);
        if (said == null || plan.station(said).zone() == zone) {
            return this;
        }
        var left = new LinkedHashMap<>(stands);
        left.remove(part);
        return new Body(plan, left);
    }

    /** The same of those parts that are still there. */
    Body of(Map<PartId, Part> parts) {
        if (parts.keySet().containsAll(stands.keySet())) {
            return this;
        }
        var left = new LinkedHashMap<>(stands);
        left.keySet().retainAll(parts.keySet());
        return new Body(plan, left);
    }

    /** Where a part stands. */
    public StationId station(Part part) {
        var said = stands.get(part.id());
        return said != null ? said : usual(part);
    }

    /** Where a part of its kind, zone and side mostly stands. */
    private StationId usual(Part part) {
        return Stream.concat(
                        tags(part).stream().flatMap(tag -> taking(tag)),
                        Stream.concat(
                                plan.stations().stream()
                                        .filter(station -> station.zone() == part.zone()),
                                plan.stations().stream()))
                .findFirst()
                .map(Station::id)
                .orElseThrow();
    }

    private Stream<Station> taking(String tag) {
        return plan.stations().stream().filter(station -> station.takes(tag));
    }

    /** What a part goes by, the narrowest first. */
    private static List<String> tags(Part part) {
        var tags = new ArrayList<String>();
        var names = new ArrayList<String>();
        switch (part.kind()) {
            case SourceKind.Battery _ -> names.add("battery");
            case ControlKind.Switch hand when hand.action() == Action.PEDAL -> names.add("pedal");
            case ControlKind.Switch _ when part.zone() == Zone.FRONT -> names.add("bars");
            case LoadKind.Gauge _, LoadKind.WarningLamp _ -> names.add("gauge");
            case LoadKind.Lamp _, LoadKind.LedLamp _ when part.zone() == Zone.BOOT ->
                    names.add("tail");
            case SourceKind _, ControlKind _, GuardKind _, LoadKind _, JoinKind _ -> {}
        }
        names.add(part.zone().key());
        for (var name : names) {
            side(part.name()).forEach(side -> tags.add(name + ":" + side));
            tags.add(name);
        }
        return tags;
    }

    private static Stream<String> side(String name) {
        return Stream.of(name.toLowerCase(Locale.ROOT).split("\\P{L}+"))
                .flatMap(word -> Stream.ofNullable(SIDES.get(word)));
    }

    /** The way of a wire between two stations, by a third one where it is led so. */
    public Way way(StationId start, StationId end, Optional<StationId> via) {
        return via.filter(station -> plan.find(station).isPresent())
                .map(station -> plan.way(start, station, end))
                .orElseGet(() -> plan.way(start, end));
    }

    /** How long a wire along a way is: the way, and what it rises at both ends. */
    public static RunLength along(Way way) {
        var metres = new Metres(way.length().metres().value() + 2 * RISE.value());
        return way.length() instanceof RunLength.Measured
                ? new RunLength.Measured(metres)
                : new RunLength.Assumed(metres);
    }
}
