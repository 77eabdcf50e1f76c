package aficion.desktop.cli;

import aficion.desktop.cli.Commands.BadInput;
import aficion.job.Job;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.quantity.Celsius;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Prints the operating point: a row for each terminal (volts against earth; none when it floats)
 * and each wire (volts dropped from its first to its second end, amps in that direction), in full
 * precision.
 */
@Command(name = "solve", description = "Prints volts at every terminal and amps in every wire.")
final class SolveCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;

    @Option(
            names = "--set",
            paramLabel = "NAME=VALUE",
            description = {
                "a control's position (key=run), or rpm, charge (0 to 1), air (degrees C), or a level (fuel=0.5);",
                "several at once with commas"
            },
            split = ",")
    private List<String> settings = new ArrayList<>();

    @Option(
            names = "--format",
            paramLabel = "csv",
            description = "the form of the output",
            defaultValue = "csv")
    private String format;

    @Override
    public Integer call() throws IOException {
        if (!format.equals("csv")) {
            throw new BadInput(Words.of("cli.format", format));
        }
        var loaded = job.load();
        var conditions = Conditions.REST;
        for (var setting : settings) {
            conditions = set(loaded, conditions, setting);
        }
        return switch (new Solver(Netlist.of(loaded)).solve(conditions)) {
            case Outcome.Solved(var point) -> print(loaded, point);
            case Outcome.Chattering(var relays) ->
                    throw new BadInput(Words.of("cli.chatter", relays));
            case Outcome.Unsolvable(var reason, _) ->
                    throw new BadInput(Words.of("cli.unsolvable", reason));
        };
    }

    private static Conditions set(Job job, Conditions conditions, String setting) {
        int equals = setting.indexOf('=');
        if (equals <= 0) {
            throw new BadInput(Words.of("cli.set.form", setting));
        }
        var name = setting.substring(0, equals).strip();
        var value = setting.substring(equals + 1).strip();
        var controls = Controls.of(job);
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
        try {
            double number = Double.parseDouble(value);
            if (number >= least && number <= most) {
                return number;
            }
        } catch (NumberFormatException e) {
            throw new BadInput(range(name, value, least, most));
        }
        throw new BadInput(range(name, value, least, most));
    }

    private static String range(String name, String value, double least, double most) {
        return Words.of("cli.set.number", name, least + " - " + most, value);
    }

    private int print(Job job, OperatingPoint point) throws IOException {
        var printer = CSVFormat.RFC4180.builder().setRecordSeparator("\n").get().print(out());
        printer.printRecord("kind", "name", "volts", "amps", "state");
        for (var part : job.parts()) {
            for (var terminal : part.terminals()) {
                var volts = point.voltsAt(terminal);
                printer.printRecord(
                        "terminal",
                        terminal,
                        volts.map(found -> String.valueOf(found.value())).orElse(""),
                        "",
                        volts.isPresent() ? "driven" : "floating");
            }
        }
        for (var wire : job.wires()) {
            boolean floating = point.voltsAt(wire.from().terminal()).isEmpty();
            printer.printRecord(
                    "wire",
                    wire.number(),
                    point.lostIn(wire).value(),
                    point.through(wire).value(),
                    floating ? "floating" : "driven");
        }
        printer.flush();
        return 0;
    }
}
