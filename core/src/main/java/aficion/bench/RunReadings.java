package aficion.bench;

import aficion.bench.reason.Measure;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Sight;
import aficion.job.BenchRun;
import aficion.job.Design;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.StateText;
import aficion.netlist.StateText.Read;
import aficion.quantity.Ratio;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What was read with the power on in a run, as it bears on what is wrong. */
public final class RunReadings {
    private RunReadings() {}

    /**
     * The readings of a run that tell of the design as it is; what is of it no more is left out.
     */
    public static List<Reading> of(Design design, BenchRun run) {
        return run.readings().stream().flatMap(each -> of(design, each).stream()).toList();
    }

    /**
     * What is seen of a lamp, kept in a run.
     *
     * @param state how everything stands, as text
     * @param light what the lamp should give there, as a share of its full light
     */
    public static BenchRun.Reading seen(
            Terminal lamp, String state, Sight sight, Optional<Ratio> light, Instant at) {
        boolean right = light.filter(share -> Sight.of(share.value()) == sight).isPresent();
        return new BenchRun.Reading(
                StepKey.seen(lamp, state),
                Optional.of(sight.share()),
                right ? BenchRun.Verdict.PASS : BenchRun.Verdict.FAIL,
                at);
    }

    private static Optional<Reading> of(Design design, BenchRun.Reading reading) {
        var words = reading.step().split(" ", 3);
        if (words.length < 3 || reading.value().isEmpty()) {
            return Optional.empty();
        }
        return state(design, words[2])
                .flatMap(state ->
                        measure(design, words[0], words[1])
                                .map(what -> new Reading(state, what, reading.value().get())));
    }

    private static Optional<Measure> measure(Design design, String quantity, String where) {
        return switch (quantity) {
            case "volts" -> design.terminal(where).map(Measure.VoltsAt::new);
            case "sees" ->
                    design.terminal(where)
                            .filter(at ->
                                    design.part(at.part()).kind().lightPins().contains(at.pin()))
                            .map(at -> new Measure.LightOf(at.part(), at.pin()));
            case "amps" ->
                    design.wires().stream()
                            .map(wire -> wire.id())
                            .filter(id -> id.value().equals(where))
                            .findFirst()
                            .<Measure>map((WireId id) -> new Measure.AmpsIn(id));
            default -> Optional.empty();
        };
    }

    private static Optional<Conditions> state(Design design, String text) {
        return StateText.read(design, text, RunReadings::number) instanceof Read.Done(var found)
                ? Optional.of(found)
                : Optional.empty();
    }

    private static Optional<Double> number(String text) {
        try {
            return Optional.of(Double.valueOf(text));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
