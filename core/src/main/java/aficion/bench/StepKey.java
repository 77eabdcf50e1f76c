package aficion.bench;

import aficion.bench.reason.NextReading.Advice;
import aficion.bench.reason.Telltale;
import aficion.job.Action;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.StateText;
import java.util.Optional;
import java.util.TreeMap;

/** What steps are called in the records: what is read, where, and how everything stands. */
public final class StepKey {
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

    static String through(Terminal from, Terminal to) {
        return "ohms " + from + " " + to;
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

    static String works(String state) {
        return "works " + state;
    }

    static String check(TestStep.Topic topic, PartId part) {
        return "check " + topic.name() + " " + part;
    }

    /** What is seen of a lamp, in a state. */
    public static String seen(Terminal lamp, String state) {
        return "sees " + lamp + " " + state;
    }

    /** Something that is so or is not, in a state. */
    public static String told(Telltale telltale, String state) {
        return switch (telltale) {
            case Telltale.FuseGone(var guard) -> "gone " + guard + " " + state;
            case Telltale.Warm(var wire) -> "warm " + wire + " " + state;
            case Telltale.Fast(var flasher) -> "fast " + flasher + " " + state;
            case Telltale.Moves(var part) -> "moves " + part + " " + state;
            case Telltale.Warms(var part) -> "warms " + part + " " + state;
            case Telltale.Loads _ -> "loads - " + state;
            case Telltale.Restless _ -> "restless - " + state;
            case Telltale.AsDrawn _ -> works(state);
        };
    }

    /** A reading that is advised, as a step. */
    public static TestStep step(Design design, CircuitId circuit, Advice advice) {
        return new TestStep(
                volts(advice.at(), state(design, circuit, advice.state())),
                TestStep.Stage.STATES,
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
        StateText.moveBesides(conditions, named);
        return StateText.joined(named);
    }
}
