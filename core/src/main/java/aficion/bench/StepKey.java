package aficion.bench;

import aficion.bench.reason.NextReading.Advice;
import aficion.job.Action;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.quantity.Rpm;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** What steps are called in the records: what is read, where, and how everything stands. */
public final class StepKey {
    private static final String ENGINE = "rpm";

    private StepKey() {}

    static String look(WireId wire) {
        return "look " + wire;
    }

    static String look(PartId part) {
        return "look at " + part;
    }

    static String ohms(WireId wire) {
        return "ohms " + wire;
    }

    static String isolation(Terminal at) {
        return "isolation " + at;
    }

    static String amps(WireId wire, String state) {
        return "amps " + wire + " " + state;
    }

    static String volts(Terminal at, String state) {
        return "volts " + at + " " + state;
    }

    /** What is seen of a lamp, in a state. */
    public static String seen(Terminal lamp, String state) {
        return "sees " + lamp + " " + state;
    }

    /** A reading that is advised, as a step. */
    public static TestStep step(Design design, CircuitId circuit, Advice advice) {
        return new TestStep(
                volts(advice.at(), state(design, circuit, advice.state())),
                new TestStep.VoltsAt(advice.at(), advice.state()),
                Optional.of(new Expected.Near(advice.expected(), advice.tolerance())));
    }

    /** The key and the circuit's own controls where they stand, and what else is moved. */
    public static String state(Design design, CircuitId circuit, Conditions conditions) {
        var named = new TreeMap<String, String>();
        var own = Controls.of(design, circuit).controls();
        for (var control : Controls.of(design).controls()) {
            var position = conditions.positions().get(control.name());
            if (position != null
                    && (own.contains(control)
                            || control.action() == Action.KEY
                            || !position.equals(control.rest()))) {
                named.put(control.name(), position);
            }
        }
        conditions.levels().forEach((level, value) -> named.put(level, value.toString()));
        if (conditions.engine().value() > 0) {
            named.put(ENGINE, String.valueOf(conditions.engine().value()));
        }
        return named.entrySet().stream()
                .map(entry -> entry.getKey() + "=" + entry.getValue())
                .collect(Collectors.joining(","));
    }

    /** The conditions that a state says; empty where the design has no such control or level. */
    public static Optional<Conditions> conditions(Design design, String state) {
        var conditions = Conditions.REST;
        var controls = Controls.of(design);
        for (var each : state.isEmpty() ? new String[0] : state.split(",")) {
            int equals = each.indexOf('=');
            if (equals <= 0) {
                return Optional.empty();
            }
            var name = each.substring(0, equals);
            var value = each.substring(equals + 1);
            var control = controls.find(name);
            if (control.isPresent()) {
                if (control.get().position(value).isEmpty()) {
                    return Optional.empty();
                }
                conditions = conditions.with(name, value);
            } else {
                var moved = moved(controls, conditions, name, value);
                if (moved.isEmpty()) {
                    return Optional.empty();
                }
                conditions = moved.get();
            }
        }
        return Optional.of(conditions);
    }

    private static Optional<Conditions> moved(
            Controls controls, Conditions conditions, String name, String value) {
        try {
            double number = Double.parseDouble(value);
            if (name.equals(ENGINE)) {
                return Optional.of(conditions.withEngine(new Rpm(number)));
            }
            return controls.levels().contains(name)
                    ? Optional.of(conditions.withLevel(name, number))
                    : Optional.empty();
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
