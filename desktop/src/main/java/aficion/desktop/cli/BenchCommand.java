package aficion.desktop.cli;

import aficion.bench.BenchPlan;
import aficion.bench.Expected;
import aficion.bench.TestStep;
import aficion.bench.reason.FaultTable;
import aficion.job.Design;
import aficion.netlist.Netlist;
import aficion.netlist.StateText;
import aficion.words.Words;
import java.io.IOException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/**
 * Prints the test run of a circuit, a row a step: the state, where the meter goes, what it should
 * show and how far off it may be, and how many faults the step is the first to notice.
 */
@Command(name = "bench", description = "Prints the test run of a circuit.")
final class BenchCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;
    @Mixin private CircuitOption circuit;
    @Mixin private WhereOption where;

    @Override
    public Integer call() throws IOException {
        var design = job.load().design();
        var asked = circuit.of(design);
        var setting = where.setting();
        var there = BenchPlan.tested(setting, design, asked);
        var plan = BenchPlan.of(setting, FaultTable.of(Netlist.of(there), asked), asked);
        var printer = printer();
        printer.printRecord(
                "step", "state", "where", "quantity", "expected", "tolerance", "notices");
        int step = 0;
        for (var each : plan.steps()) {
            var expected = each.expected();
            printer.printRecord(
                    ++step,
                    each.task().state().map(state -> StateText.of(design, state)).orElse(""),
                    where(design, each.task()),
                    quantity(each.task()),
                    expected.flatMap(Expected::figure).map(String::valueOf).orElse(""),
                    expected.flatMap(Expected::tolerated).map(String::valueOf).orElse(""),
                    plan.coverage()
                            .map(found -> found.notices().getOrDefault(each.key(), 0))
                            .orElse(0));
        }
        printer.flush();
        plan.coverage()
                .ifPresent(found ->
                        err().println(
                                        Words.of(
                                                "bench.coverage",
                                                found.noticed(),
                                                found.noticed(),
                                                found.unnoticed())));
        return 0;
    }

    private static String where(Design design, TestStep.Task task) {
        return switch (task.about()) {
            case TestStep.Subject.OfWire(var wire) -> design.wire(wire).number();
            case TestStep.Subject.OfPart(var part) -> part.value();
            case TestStep.Subject.OfTerminal(var at) -> at.toString();
        };
    }

    private static String quantity(TestStep.Task task) {
        return switch (task) {
            case TestStep.Look _,
                    TestStep.LookAt _,
                    TestStep.Works _,
                    TestStep.Check _,
                    TestStep.ClipIn _,
                    TestStep.Leave _ ->
                    "look";
            case TestStep.Continuity _, TestStep.Through _, TestStep.Isolation _ -> "ohms";
            case TestStep.Quiet _, TestStep.AmpsIn _ -> "amps";
            case TestStep.VoltsAt _ -> "volts";
        };
    }
}
