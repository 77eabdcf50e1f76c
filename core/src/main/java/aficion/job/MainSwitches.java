package aficion.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The switches that part the battery from the vehicle: isolators, battery keys. One stays where it
 * is put, stands in a lead of the battery itself, and without it nothing works that the key
 * governs, and little else. Where there is no key it stands before any guard: what stands behind
 * one may be the ignition's own switch.
 */
final class MainSwitches {
    /** What may work without it, share of all (typical: a clock, an alarm). */
    private static final double LEFT = 0.25;

    private final Design design;
    private final Map<String, List<Part>> switches = new HashMap<>();
    private final Map<String, Set<PartId>> needing = new HashMap<>();
    private final Set<PartId> all;

    private MainSwitches(Design design) {
        this.design = design;
        for (var part : design.parts()) {
            if (part.kind() instanceof ControlKind.Switch hand) {
                switches.computeIfAbsent(hand.control(), _ -> new ArrayList<>()).add(part);
            }
        }
        this.all = working("");
    }

    /** The names of their controls. */
    static Set<String> of(Design design) {
        var atBattery = atBattery(design);
        return atBattery.isEmpty() ? Set.of() : new MainSwitches(design).among(atBattery);
    }

    /** The controls of switches that stay where they are put, in a lead of the battery itself. */
    private static Set<String> atBattery(Design design) {
        boolean hasKey = design.parts().stream().anyMatch(MainSwitches::isKey);
        var poles = batteries(design).flatMap(battery -> battery.terminals().stream()).toList();
        var reached =
                Joints.reached(
                        design,
                        poles,
                        at -> {
                            var part = design.part(at.part());
                            return Stream.concat(
                                    Joints.inPlug(part, at),
                                    hasKey ? Joints.guarded(part, at) : Stream.empty());
                        });
        return reached.stream()
                .map(at -> design.part(at.part()).kind())
                .filter(ControlKind.Switch.class::isInstance)
                .map(ControlKind.Switch.class::cast)
                .filter(hand -> hand.positions().stream().noneMatch(Position::springs))
                .map(ControlKind.Switch::control)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The last of the keys is none, however much needs it. */
    private Set<String> among(Set<String> candidates) {
        var governors = governors();
        var keys =
                switches.keySet().stream()
                        .filter(this::isKey)
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        var mains = new LinkedHashSet<String>();
        for (var candidate : candidates) {
            boolean lastKey = keys.equals(Set.of(candidate));
            if (!lastKey && parts(candidate, governors)) {
                mains.add(candidate);
                keys.remove(candidate);
            }
        }
        return Set.copyOf(mains);
    }

    private boolean isKey(String control) {
        return switches.get(control).stream().anyMatch(MainSwitches::isKey);
    }

    private static boolean isKey(Part part) {
        return part.kind() instanceof ControlKind.Switch hand && hand.action() == Action.KEY;
    }

    /** What governs the vehicle: its keys, else what its ignition needs. */
    private Set<String> governors() {
        var keys = switches.keySet().stream().filter(this::isKey).collect(Collectors.toSet());
        var ignitions =
                all.stream()
                        .filter(part -> design.part(part).kind().ignites())
                        .collect(Collectors.toSet());
        return keys.isEmpty()
                ? switches.keySet().stream()
                        .filter(control -> needing(control).stream().anyMatch(ignitions::contains))
                        .collect(Collectors.toSet())
                : keys;
    }

    private boolean parts(String control, Set<String> governors) {
        var others = governors.stream().filter(governor -> !governor.equals(control)).toList();
        var dead = needing(control);
        return !others.isEmpty()
                && all.size() - dead.size() <= LEFT * all.size()
                && others.stream().allMatch(other -> dead.containsAll(needing(other)));
    }

    /** What works with everything closed, but not without a control. */
    private Set<PartId> needing(String control) {
        return needing.computeIfAbsent(
                control,
                without -> {
                    var dead = new LinkedHashSet<>(all);
                    dead.removeAll(working(without));
                    return dead;
                });
    }

    /**
     * What metal would lead to from both poles if all but the contacts of a control were closed.
     */
    private Set<PartId> working(String without) {
        var live = reached(design.vehicle().livePin(), without);
        var back = reached(design.vehicle().earthedPin(), without);
        return design.parts().stream()
                .filter(part -> part.kind().consumes())
                .filter(part ->
                        part.terminals().stream().anyMatch(live::contains)
                                && part.terminals().stream().anyMatch(back::contains))
                .map(Part::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private Set<Terminal> reached(String pole, String without) {
        return Joints.reached(
                design,
                batteries(design).map(battery -> battery.terminal(pole)).toList(),
                at -> inside(at, without));
    }

    private static Stream<Part> batteries(Design design) {
        return design.parts().stream().filter(part -> part.kind() instanceof SourceKind.Battery);
    }

    private Stream<Terminal> inside(Terminal at, String without) {
        var part = design.part(at.part());
        boolean open =
                part.kind() instanceof ControlKind.Switch hand && hand.control().equals(without);
        return Stream.of(
                        open ? Stream.<Terminal>empty() : Joints.across(part, at),
                        Joints.guarded(part, at),
                        mounts(part, at))
                .flatMap(found -> found);
    }

    /** From a case to the earth it is bolted to, and back. */
    private Stream<Terminal> mounts(Part part, Terminal at) {
        var earth =
                part.mount()
                        .filter(_ -> part.kind().casePin().filter(at.pin()::equals).isPresent())
                        .map(mount -> design.part(mount).terminal("E"));
        var cases =
                design.mountedOn(part.id()).stream()
                        .flatMap(bolted -> bolted.kind().casePin().map(bolted::terminal).stream());
        return Stream.concat(earth.stream(), cases);
    }
}
