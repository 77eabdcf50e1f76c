package aficion.netlist;

import aficion.job.Action;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Position;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a hand can work on a vehicle, and the levels its senders feel.
 *
 * @param key the key switch, when there is one: of several the one that cranks, else the first
 */
public record Controls(List<Control> controls, List<String> levels, Optional<Control> key) {

    public Controls {
        controls = List.copyOf(controls);
        levels = List.copyOf(levels);
    }

    private Controls(List<Control> controls, List<String> levels) {
        this(controls, levels, key(controls));
    }

    /**
     * One control: a switch, or several that move together.
     *
     * @param name its name in the conditions
     * @param action how it is worked
     * @param positions what it can be put to, the position of rest first
     */
    public record Control(String name, Action action, List<Position> positions) {
        public Control {
            positions = List.copyOf(positions);
        }

        /** The name of the position it rests in. */
        public String rest() {
            return positions.getFirst().name();
        }

        /** Whether a position springs back when it is let go. */
        public boolean springs(String position) {
            return position(position).map(Position::springs).orElse(false);
        }

        /** Where it springs back to: a key to the last position it stays in, all else to rest. */
        public String sprungBack() {
            return positions.stream()
                    .filter(position -> action == Action.KEY && !position.springs())
                    .reduce((_, last) -> last)
                    .map(Position::name)
                    .orElse(rest());
        }

        /** The position of a name; empty when it has none. */
        public Optional<Position> position(String wanted) {
            for (var position : positions) {
                if (position.name().equals(wanted)) {
                    return Optional.of(position);
                }
            }
            return Optional.empty();
        }
    }

    /**
     * The values of a level that between them move everything it moves: its ends, and one between
     * each two neighbouring levels at which a switch acts.
     */
    public static List<Double> values(Design design, String level) {
        var acts =
                design.parts().stream()
                        .map(Part::kind)
                        .filter(ControlKind.LevelSwitch.class::isInstance)
                        .map(ControlKind.LevelSwitch.class::cast)
                        .filter(contact -> contact.level().equals(level))
                        .map(ControlKind.LevelSwitch::actsAt)
                        .sorted()
                        .distinct()
                        .toList();
        var values = new ArrayList<>(List.of(0.0));
        for (int i = 1; i < acts.size(); i++) {
            values.add((acts.get(i - 1) + acts.get(i)) / 2);
        }
        values.add(1.0);
        return List.copyOf(values);
    }

    /** Whether a level is a temperature: a thermal switch follows it. */
    public static boolean isHeat(Design design, String level) {
        return design.parts().stream()
                .anyMatch(part ->
                        part.kind() instanceof ControlKind.LevelSwitch contact
                                && contact.level().equals(level)
                                && contact.heat().isPresent());
    }

    /** Every control and level of a design, in the order of its parts. */
    public static Controls of(Design design) {
        return of(design, design.parts());
    }

    /** The controls whose switches the wires of a circuit reach. */
    public static Controls of(Design design, CircuitId circuit) {
        return of(design, design.partsOf(circuit));
    }

    private static Controls of(Design design, List<Part> parts) {
        Map<String, Control> controls = new LinkedHashMap<>();
        Set<String> levels =
                parts.stream()
                        .flatMap(part -> part.kind().feels().stream())
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        for (var part : parts) {
            if (part.kind() instanceof ControlKind.Switch hand) {
                controls.putIfAbsent(
                        hand.control(),
                        new Control(hand.control(), action(design, hand), design.positions(hand)));
            }
        }
        return new Controls(List.copyOf(controls.values()), List.copyOf(levels));
    }

    /** What parts the battery is a lever, a key that does so too. */
    private static Action action(Design design, ControlKind.Switch hand) {
        return design.isMain(hand) ? Action.LEVER : hand.action();
    }

    /** The control of a name; empty when there is none. */
    public Optional<Control> find(String name) {
        return controls.stream().filter(control -> control.name().equals(name)).findFirst();
    }

    private static Optional<Control> key(List<Control> controls) {
        return controls.stream()
                .filter(control -> control.action() == Action.KEY)
                .min(
                        Comparator.comparing(control ->
                                control.positions().stream().noneMatch(Position::springs)));
    }

    /** Where a control stands under the conditions. */
    public static String position(Control control, Conditions conditions) {
        return conditions.positions().getOrDefault(control.name(), control.rest());
    }
}
