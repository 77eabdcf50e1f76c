package aficion.netlist;

import aficion.job.Design;
import aficion.netlist.Controls.Control;
import aficion.quantity.Celsius;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;

/**
 * Conditions as a line, {@code key=run,lights=head,rpm=2000}: positions of controls, levels of 0 to
 * 1, and {@code rpm}, {@code charge}, {@code air}; {@code rest} where nothing is moved.
 */
public final class StateText {
    private static final String REST = "rest";

    private StateText() {}

    /** What reading a line came to. */
    public sealed interface Read {
        /** The conditions it says. */
        record Done(Conditions conditions) implements Read {}

        /** A setting that is no name and value. */
        record NoSetting(String text) implements Read {}

        /** The design has no control or level of that name. */
        record Unknown(String name) implements Read {}

        /** A control that has no such position. */
        record NoPosition(Control control, String position) implements Read {}

        /** No number, or one out of bounds. */
        record OutOfBounds(String name, String value, double least, double most) implements Read {}
    }

    /** How numbers are read: empty where a text is none. */
    @FunctionalInterface
    public interface Numbers {
        Optional<Double> read(String text);
    }

    /** Reads a line, from everything at rest on. */
    public static Read read(Design design, String line, Numbers numbers) {
        var conditions = Conditions.REST;
        var controls = Controls.of(design);
        var settings = line.strip();
        if (settings.isEmpty() || settings.equals(REST)) {
            return new Read.Done(conditions);
        }
        for (var setting : settings.split(",")) {
            var read = set(controls, conditions, setting, numbers);
            if (!(read instanceof Read.Done(var moved))) {
                return read;
            }
            conditions = moved;
        }
        return new Read.Done(conditions);
    }

    private static Read set(Controls controls, Conditions from, String setting, Numbers numbers) {
        int equals = setting.indexOf('=');
        if (equals <= 0) {
            return new Read.NoSetting(setting);
        }
        var name = setting.substring(0, equals).strip();
        var value = setting.substring(equals + 1).strip();
        return switch (name) {
            case "rpm" ->
                    new Bounds(name, 0, 20000)
                            .read(value, numbers, found -> from.withEngine(new Rpm(found)));
            case "charge" ->
                    new Bounds(name, 0, 1)
                            .read(value, numbers, found -> from.withCharge(new Ratio(found)));
            case "air" ->
                    new Bounds(name, -50, 150)
                            .read(value, numbers, found -> from.withAir(new Celsius(found)));
            default ->
                    controls.levels().contains(name)
                            ? new Bounds(name, 0, 1)
                                    .read(value, numbers, found -> from.withLevel(name, found))
                            : position(controls, from, name, value);
        };
    }

    private record Bounds(String name, double least, double most) {
        Read read(String value, Numbers numbers, DoubleFunction<Conditions> moving) {
            return numbers.read(value)
                    .filter(found -> found >= least && found <= most)
                    .<Read>map(found -> new Read.Done(moving.apply(found)))
                    .orElse(new Read.OutOfBounds(name, value, least, most));
        }
    }

    private static Read position(Controls controls, Conditions from, String name, String value) {
        var control = controls.find(name);
        if (control.isEmpty()) {
            return new Read.Unknown(name);
        }
        return control.get().position(value).isPresent()
                ? new Read.Done(from.with(name, value))
                : new Read.NoPosition(control.get(), value);
    }

    /** The line of conditions: what is moved, by name. */
    public static String of(Design design, Conditions state) {
        var moved = new TreeMap<String, String>();
        for (var control : Controls.of(design).controls()) {
            var position = Controls.position(control, state);
            if (!position.equals(control.rest())) {
                moved.put(control.name(), position);
            }
        }
        moveBesides(state, moved);
        return moved.isEmpty() ? REST : joined(moved);
    }

    /** Levels and engine, which are in every line. */
    public static void moveBesides(Conditions state, Map<String, String> moved) {
        state.levels().forEach((level, value) -> moved.put(level, String.valueOf(value)));
        if (state.engine().value() > 0) {
            moved.put("rpm", String.valueOf(state.engine().value()));
        }
    }

    /** Names with their values, in order. */
    public static String joined(Map<String, String> moved) {
        return moved.entrySet().stream()
                .map(each -> each.getKey() + "=" + each.getValue())
                .collect(Collectors.joining(","));
    }
}
