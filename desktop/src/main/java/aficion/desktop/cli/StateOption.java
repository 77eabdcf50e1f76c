package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.job.Design;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.quantity.Celsius;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.UserUnits;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;

/** The state of the vehicle that a command works in. */
final class StateOption {
    @Option(
            names = "--set",
            paramLabel = "NAME=VALUE",
            description = {
                "a control's position (key=run), or rpm, charge (0 to 1), air (degrees C), or a level (fuel=0.5);",
                "several at once with commas"
            },
            split = ",")
    private List<String> settings = new ArrayList<>();

    boolean isGiven() {
        return !settings.isEmpty();
    }

    /**
     * The conditions that were set.
     *
     * @throws BadInput when the job has no such control, position or level, or a number is out of
     *     range
     */
    Conditions conditions(Design design) {
        var conditions = Conditions.REST;
        for (var setting : settings) {
            conditions = set(design, conditions, setting);
        }
        return conditions;
    }

    /** What a state is called that has nothing moved. */
    private static final String REST = "rest";

    /**
     * The conditions of a text such as {@code key=run,lights=head}, or {@code rest}.
     *
     * @throws BadInput as above
     */
    static Conditions parse(Design design, String text) {
        var conditions = Conditions.REST;
        if (!text.equals(REST)) {
            for (var setting : text.split(",")) {
                conditions = set(design, conditions, setting);
            }
        }
        return conditions;
    }

    /** The text of conditions: what is moved, by name. */
    static String text(Design design, Conditions state) {
        var moved = new TreeMap<String, String>();
        for (var control : Controls.of(design).controls()) {
            var position = Controls.position(control, state);
            if (!position.equals(control.rest())) {
                moved.put(control.name(), position);
            }
        }
        state.levels().forEach((level, value) -> moved.put(level, String.valueOf(value)));
        if (state.engine().value() > 0) {
            moved.put("rpm", String.valueOf(state.engine().value()));
        }
        return moved.isEmpty()
                ? REST
                : moved.entrySet().stream()
                        .map(each -> each.getKey() + "=" + each.getValue())
                        .collect(Collectors.joining(","));
    }

    /**
     * The operating point under the conditions that were set.
     *
     * @throws BadInput when there is none
     */
    OperatingPoint solve(Design design) {
        return switch (new Solver(Netlist.of(design)).solve(conditions(design))) {
            case Outcome.Solved(var point) -> point;
            case Outcome.Chattering(var relays) ->
                    throw new BadInput(Words.of("cli.chatter", relays));
            case Outcome.Unsolvable(var reason, _) ->
                    throw new BadInput(Words.of("cli.unsolvable", reason));
        };
    }

    private static Conditions set(Design design, Conditions conditions, String setting) {
        int equals = setting.indexOf('=');
        if (equals <= 0) {
            throw new BadInput(Words.of("cli.set.form", setting));
        }
        var name = setting.substring(0, equals).strip();
        var value = setting.substring(equals + 1).strip();
        var controls = Controls.of(design);
        return switch (name) {
            case "rpm" -> conditions.withEngine(new Rpm(number(name, value, 0, 20000)));
            case "charge" -> conditions.withCharge(new Ratio(number(name, value, 0, 1)));
            case "air" -> conditions.withAir(new Celsius(number(name, value, -50, 150)));
            default ->
                    controls.levels().contains(name)
                            ? conditions.withLevel(name, number(name, value, 0, 1))
                            : position(controls, conditions, name, value);
        };
    }

    private static Conditions position(
            Controls controls, Conditions conditions, String name, String value) {
        var control =
                controls.find(name)
                        .orElseThrow(() ->
                                new BadInput(Words.of("cli.set.control", name, known(controls))));
        if (control.position(value).isEmpty()) {
            var positions =
                    control.positions().stream()
                            .map(position -> position.name())
                            .collect(Collectors.joining(", "));
            throw new BadInput(Words.of("cli.set.position", name, value, positions));
        }
        return conditions.with(name, value);
    }

    private static String known(Controls controls) {
        var names =
                new ArrayList<>(controls.controls().stream().map(Controls.Control::name).toList());
        names.addAll(controls.levels());
        names.addAll(List.of("rpm", "charge", "air"));
        return String.join(", ", names);
    }

    private static double number(String name, String value, double least, double most) {
        return UserUnits.parseNumber(value).stream()
                .filter(number -> number >= least && number <= most)
                .findFirst()
                .orElseThrow(() ->
                        new BadInput(
                                Words.of("cli.set.number", name, least + " - " + most, value)));
    }
}
