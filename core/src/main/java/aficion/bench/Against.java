package aficion.bench;

import aficion.job.BenchRun;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Wire;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a step is held against, as a line kept with its reading: the figure that was expected, or
 * what was there to be looked at. A reading is stale once the design says something else.
 */
public final class Against {
    /** Figures nearer than that share of the larger are the same. */
    private static final double SAME_SHARE = 0.02;

    private static final double SAME = 0.02;

    private Against() {}

    /** What a step of a run of the design is held against. */
    public static String of(Design design, TestStep step) {
        return step.expected().map(Against::figure).orElseGet(() -> looked(design, step.task()));
    }

    private static String figure(Expected expected) {
        return switch (expected) {
            case Expected.Near(var value, _) -> String.valueOf(value.value());
            case Expected.AtMost(var most) -> String.valueOf(most.value());
            case Expected.AtLeast(var least) -> String.valueOf(least.value());
            case Expected.Between(var least, var most) -> least.value() + " to " + most.value();
            case Expected.Opens(var guard, _) -> "opens " + guard.map(Object::toString).orElse("");
        };
    }

    private static String looked(Design design, TestStep.Task task) {
        return switch (task) {
            case TestStep.Look(var wire) -> lead(design.wire(wire));
            case TestStep.LookAt(var part) -> leads(design, part);
            case TestStep.Works(var signs, _) ->
                    signs.stream()
                            .map(sign -> sign.part() + "." + sign.role() + "=" + sign.look())
                            .collect(Collectors.joining(" "));
            case TestStep.Check(_, var part, _) -> leads(design, part);
            case TestStep.Leave(var parts) ->
                    parts.stream().map(PartId::value).collect(Collectors.joining(" "));
            case TestStep.ClipIn(var lamps) ->
                    lamps.stream()
                            .map(lamp -> lamp.part() + "." + lamp.pin() + "=" + lamp.lamp())
                            .collect(Collectors.joining(" "));
            case TestStep.Continuity _,
                    TestStep.Through _,
                    TestStep.Isolation _,
                    TestStep.Quiet _,
                    TestStep.AmpsIn _,
                    TestStep.VoltsAt _ ->
                    "";
        };
    }

    private static String leads(Design design, PartId part) {
        return design.wires().stream()
                .filter(wire -> wire.terminals().stream().anyMatch(at -> at.part().equals(part)))
                .map(Against::lead)
                .sorted()
                .collect(Collectors.joining(" "));
    }

    private static String lead(Wire wire) {
        return Stream.of(
                        wire.id().value(),
                        wire.size().toString(),
                        wire.from().terminal().toString(),
                        wire.to().terminal().toString())
                .collect(Collectors.joining("/"));
    }

    /** Whether a reading was taken of something else than the design says now. */
    public static boolean isStale(Design design, TestStep step, BenchRun.Reading reading) {
        return reading.against().filter(then -> !isSame(then, of(design, step))).isPresent();
    }

    private static boolean isSame(String then, String now) {
        if (then.equals(now)) {
            return true;
        }
        var before = number(then);
        var after = number(now);
        return before.isPresent()
                && after.isPresent()
                && Math.abs(before.get() - after.get())
                        <= SAME + SAME_SHARE * Math.abs(after.get());
    }

    private static Optional<Double> number(String text) {
        try {
            return Optional.of(Double.valueOf(text));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
