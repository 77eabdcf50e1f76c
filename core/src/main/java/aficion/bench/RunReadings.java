package aficion.bench;

import aficion.bench.reason.Evidence;
import aficion.bench.reason.Measure;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Sight;
import aficion.bench.reason.Sign;
import aficion.bench.reason.Telltale;
import aficion.job.BenchRun;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.StateText;
import aficion.netlist.StateText.Read;
import aficion.quantity.Ratio;
import java.time.Instant;
import java.util.Optional;

/** What was read with the power on in a run, as it bears on what is wrong. */
public final class RunReadings {
    /** What is said of a whole run, by the keys it is kept under. */
    private static final String COMES = "comes and goes";

    private static final String MOVED_LAST = "moved last";

    /** What was found wrong, followed by what. */
    static final String FOUND = "found ";

    private RunReadings() {}

    /**
     * What a run tells of the design as it is; what is of it no more is left out, and what was only
     * said to be right is taken as seen to be so.
     */
    public static Evidence of(Design design, BenchRun run) {
        return new Evidence(
                run.readings().stream()
                        .flatMap(each -> of(design, run.circuit(), each).stream())
                        .toList(),
                comesAndGoes(run),
                movedLast(run).flatMap(id -> part(design, id)));
    }

    /** The part that somebody worked at last, as it was said of a run. */
    public static Optional<String> movedLast(BenchRun run) {
        return run.reading(MOVED_LAST).flatMap(BenchRun.Reading::note);
    }

    /** That somebody worked at a part last, kept in a run. */
    public static BenchRun.Reading movedLast(PartId part, Instant at) {
        return new BenchRun.Reading(
                MOVED_LAST,
                Optional.empty(),
                Optional.empty(),
                BenchRun.Verdict.NEAR,
                at,
                Optional.of(part.value()));
    }

    /** Whether a reading is of something read or looked at, not only said of the whole run. */
    public static boolean isTaken(BenchRun.Reading reading) {
        var step = reading.step();
        return !step.equals(COMES) && !step.equals(MOVED_LAST) && !step.startsWith(FOUND);
    }

    /** Whether it was said of a run that the trouble is there at times only. */
    public static boolean comesAndGoes(BenchRun run) {
        return run.reading(COMES)
                .flatMap(BenchRun.Reading::value)
                .filter(said -> said > 0)
                .isPresent();
    }

    /** That the trouble is there at times only, or that it stays, kept in a run. */
    public static BenchRun.Reading comesAndGoes(boolean comes, Instant at) {
        return new BenchRun.Reading(
                COMES, Optional.of(comes ? 1.0 : 0.0), BenchRun.Verdict.NEAR, at);
    }

    /** Something that is so or is not, kept in a run. */
    public static BenchRun.Reading told(Telltale what, String state, boolean so, Instant at) {
        return new BenchRun.Reading(
                StepKey.told(what, state),
                Optional.of(so ? 1.0 : 0.0),
                so ? BenchRun.Verdict.FAIL : BenchRun.Verdict.PASS,
                at);
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

    private static Optional<Reading> of(
            Design design, CircuitId circuit, BenchRun.Reading reading) {
        var words = reading.step().split(" ", 3);
        if (words.length == 2 && words[0].equals("works")) {
            return read(
                    design,
                    words[1],
                    new Measure.Told(new Telltale.AsDrawn(circuit)),
                    said(reading));
        }
        return words.length < 3
                ? Optional.empty()
                : measure(design, words[0], words[1])
                        .flatMap(what -> read(design, words[2], what, reading.value()));
    }

    private static Optional<Reading> read(
            Design design, String state, Measure what, Optional<Double> value) {
        return value.flatMap(
                shown -> state(design, state).map(found -> new Reading(found, what, shown)));
    }

    /** What a verdict says of something that is so, 1, or is not, 0. */
    private static Optional<Double> said(BenchRun.Reading reading) {
        return switch (reading.verdict()) {
            case PASS -> Optional.of(1.0);
            case FAIL -> Optional.of(0.0);
            case NEAR, NOT_TESTED -> Optional.empty();
        };
    }

    private static Optional<Measure> measure(Design design, String quantity, String where) {
        return switch (quantity) {
            case "volts" -> design.terminal(where).map(Measure.VoltsAt::new);
            case "sees" ->
                    design.terminal(where)
                            .filter(at ->
                                    Sign.lit(design.part(at.part()).kind()).contains(at.pin()))
                            .map(at -> new Measure.LightOf(at.part(), at.pin()));
            case "amps" -> wire(design, where).map(Measure.AmpsIn::new);
            case "restless" -> Optional.of(new Measure.Told(new Telltale.Restless()));
            case "warm" -> wire(design, where).map(Telltale.Warm::new).map(Measure.Told::new);
            case "gone" -> guard(design, where).map(Telltale.FuseGone::new).map(Measure.Told::new);
            case "fast" -> part(design, where).map(Telltale.Fast::new).map(Measure.Told::new);
            case "warms" -> part(design, where).map(Telltale.Warms::new).map(Measure.Told::new);
            case "loads" -> Optional.of(new Measure.Told(new Telltale.Loads()));
            case "moves" -> part(design, where).map(Telltale.Moves::new).map(Measure.Told::new);
            default -> Optional.empty();
        };
    }

    private static Optional<WireId> wire(Design design, String id) {
        return design.identified(id).map(Wire::id);
    }

    private static Optional<PartId> part(Design design, String id) {
        return design.named(id).map(Part::id);
    }

    /** The guard that sits in a seat, by its name. */
    public static Optional<FuseSeat> guard(Design design, String name) {
        return FuseSeat.of(design).stream()
                .filter(seat -> seat.toString().equals(name))
                .findFirst();
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
