package aficion.desktop.cli;

import aficion.netlist.Netlist;
import aficion.quantity.UserUnits;
import aficion.size.WorstCase;
import aficion.sweep.Consequence;
import aficion.sweep.Effect;
import aficion.sweep.Sweep;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Prints a line for each fault that does something, worst first: danger, fault, state, what it
 * does. Ends with 1 when something burns or runs by itself.
 */
@Command(
        name = "sweep",
        description =
                "Prints what happens when a wire breaks or chafes, an earth is lost, a joint goes bad.")
final class SweepCommand extends Commands.Printing {
    @Mixin private Commands.JobArgument job;
    @Mixin private StateOption state;

    @Option(names = "--all", description = "also what only weakens, darkens or is guarded in time")
    private boolean all;

    @Override
    public Integer call() {
        var loaded = job.load().design();
        var netlist = Netlist.of(loaded);
        var states =
                state.isGiven() ? List.of(state.conditions(loaded)) : WorstCase.states(netlist);
        var effects = Sweep.of(netlist).effects(states, _ -> true);
        var speech = new Speech(loaded, UserUnits.METRIC);
        effects.stream()
                .filter(effect -> all || isHarm(effect))
                .forEach(effect -> out().println(line(speech, effect)));
        boolean danger =
                effects.stream()
                        .anyMatch(
                                effect -> effect.danger().compareTo(Consequence.Danger.RUNS) <= 0);
        return danger ? Commands.FOUND_DANGER : 0;
    }

    private static boolean isHarm(Effect effect) {
        return effect.danger().compareTo(Consequence.Danger.MISLEADS) <= 0;
    }

    private static String line(Speech speech, Effect effect) {
        return String.join(
                "\t",
                Words.of("danger", effect.danger()).toLowerCase(Locale.ROOT),
                speech.fault(effect.fault()),
                speech.conditions(effect.state()),
                effect.consequences().stream()
                        .map(speech::consequence)
                        .collect(Collectors.joining("; ")));
    }
}
