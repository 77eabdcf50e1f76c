package aficion.size;

import aficion.quantity.Amps;
import aficion.size.WorstCase.Peak;
import aficion.solve.OperatingPoint;
import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The largest current of every branch over some states, each with the state it flows in. */
final class Peaks {
    /** By so small a share no state asks more than another. */
    private static final double MORE = 1e-9;

    private final double[] amps;
    private final double[] toBeat;
    private final @Nullable OperatingPoint[] at;
    private final Set<Object> taken = Collections.newSetFromMap(new IdentityHashMap<>());

    Peaks(int branches) {
        amps = new double[branches];
        toBeat = new double[branches];
        at = new OperatingPoint[branches];
        Arrays.fill(toBeat, -1);
    }

    /** Takes what every branch carries in a state; whether nothing like it was taken before. */
    boolean take(OperatingPoint point) {
        if (!taken.add(point.flow())) {
            return false;
        }
        for (int branch = 0; branch < amps.length; branch++) {
            double now = point.branchAmps(branch);
            if (Math.abs(now) > toBeat[branch]) {
                put(branch, now, point);
            }
        }
        return true;
    }

    /** Takes it that a branch carries so much at least, the way round it carries anything. */
    void raise(int branch, Amps least, OperatingPoint point) {
        if (Math.abs(amps[branch]) < least.value()) {
            put(branch, Math.copySign(least.value(), amps[branch]), point);
        }
    }

    private void put(int branch, double now, OperatingPoint point) {
        amps[branch] = now;
        toBeat[branch] = Math.abs(now) * (1 + MORE);
        at[branch] = point;
    }

    /** That of a branch; empty where no state was taken. */
    Optional<Peak> of(int branch) {
        return Optional.ofNullable(at[branch])
                .map(point -> new Peak(new Amps(amps[branch]), point));
    }

    /** A state that was taken; empty where there is none. */
    Optional<OperatingPoint> any() {
        return Stream.of(at).filter(Objects::nonNull).findFirst();
    }
}
