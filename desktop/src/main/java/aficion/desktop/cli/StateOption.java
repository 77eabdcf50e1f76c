package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.job.Design;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.StateText;
import aficion.netlist.StateText.Read;
import aficion.quantity.UserUnits;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
        return parse(design, String.join(",", settings));
    }

    /**
     * The conditions of a text such as {@code key=run,lights=head}, or {@code rest}.
     *
     * @throws BadInput as above
     */
    static Conditions parse(Design design, String text) {
        return switch (StateText.read(design, text, StateOption::number)) {
            case Read.Done(var conditions) -> conditions;
            case Read.NoSetting(var setting) ->
                    throw new BadInput(Words.of("cli.set.form", setting));
            case Read.Unknown(var name) ->
                    throw new BadInput(
                            Words.of("cli.set.control", name, known(Controls.of(design))));
            case Read.NoPosition(var control, var position) ->
                    throw new BadInput(
                            Words.of(
                                    "cli.set.position",
                                    control.name(),
                                    position,
                                    control.positions().stream()
                                            .map(each -> each.name())
                                            .collect(Collectors.joining(", "))));
            case Read.OutOfBounds(var name, var value, var least, var most) ->
                    throw new BadInput(
                            Words.of("cli.set.number", name, least + " - " + most, value));
        };
    }

    private static Optional<Double> number(String text) {
        return UserUnits.parseNumber(text).stream().boxed().findFirst();
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

    private static String known(Controls controls) {
        var names =
                new ArrayList<>(controls.controls().stream().map(Controls.Control::name).toList());
        names.addAll(controls.levels());
        names.addAll(List.of("rpm", "charge", "air"));
        return String.join(", ", names);
    }
}
