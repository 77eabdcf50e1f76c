package aficion.bench;

import aficion.job.BenchRun.Verdict;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Quantity;
import aficion.quantity.Unit;
import java.util.Optional;

/** What a reading should be. */
public sealed interface Expected {

    /** What adding and taking away in binary may leave of a decimal reading. */
    double ROUNDING = 1e-9;

    Unit unit();

    Verdict judge(double reading);

    /** The figure that it is about, in its unit; empty where there is none to read. */
    default Optional<Double> figure() {
        return switch (this) {
            case Near(var value, _) -> Optional.of(value.value());
            case AtMost(var most) -> Optional.of(most.value());
            case AtLeast(var least) -> Optional.of(least.value());
            case Between(var least, var most) -> Optional.of((least.value() + most.value()) / 2);
            case Opens _ -> Optional.empty();
        };
    }

    /** How far off the figure a reading may be either way; empty where it is a limit. */
    default Optional<Double> tolerated() {
        return switch (this) {
            case Near(_, var tolerance) -> Optional.of(tolerance);
            case Between(var least, var most) -> Optional.of((most.value() - least.value()) / 2);
            case AtMost _, AtLeast _, Opens _ -> Optional.empty();
        };
    }

    /** What it counts as where somebody says how it was, without a reading. */
    default Verdict said(Verdict by) {
        return by;
    }

    /**
     * A value with a tolerance either way: within it passes, within twice of it is near.
     *
     * @param tolerance in the unit of the value
     */
    record Near(Quantity value, double tolerance) implements Expected {
        @Override
        public Unit unit() {
            return value.unit();
        }

        @Override
        public Verdict judge(double reading) {
            double off = Math.abs(reading - value.value()) - ROUNDING;
            if (off <= tolerance) {
                return Verdict.PASS;
            }
            return off <= 2 * tolerance ? Verdict.NEAR : Verdict.FAIL;
        }
    }

    /**
     * No reading to pass: as the design stands a guard opens there, or metal shorts the battery.
     */
    record Opens(Optional<FuseSeat> guard, Amps demand) implements Expected {
        @Override
        public Unit unit() {
            return demand.unit();
        }

        @Override
        public Verdict judge(double reading) {
            return Verdict.FAIL;
        }

        /** What must not be tried cannot have been right. */
        @Override
        public Verdict said(Verdict by) {
            return by == Verdict.FAIL ? Verdict.FAIL : Verdict.NOT_TESTED;
        }
    }

    /** A greatest value: up to that passes, up to twice of it is near. */
    record AtMost(Quantity value) implements Expected {
        @Override
        public Unit unit() {
            return value.unit();
        }

        @Override
        public Verdict judge(double reading) {
            if (reading <= value.value()) {
                return Verdict.PASS;
            }
            return reading <= 2 * value.value() ? Verdict.NEAR : Verdict.FAIL;
        }
    }

    /** A least value: at least that passes, at least half of it is near. */
    record AtLeast(Quantity value) implements Expected {
        @Override
        public Unit unit() {
            return value.unit();
        }

        @Override
        public Verdict judge(double reading) {
            if (reading >= value.value()) {
                return Verdict.PASS;
            }
            return reading >= value.value() / 2 ? Verdict.NEAR : Verdict.FAIL;
        }
    }

    /**
     * A least and a greatest value: between them it passes, within a fiftieth beyond either it is
     * near, however wide the band is.
     */
    record Between(Quantity least, Quantity most) implements Expected {
        private static final double NEAR_SHARE = 0.02;

        public Between {
            if (least.unit() != most.unit() || least.value() > most.value()) {
                throw new IllegalArgumentException(least + " is not below " + most);
            }
        }

        @Override
        public Unit unit() {
            return least.unit();
        }

        @Override
        public Verdict judge(double reading) {
            double beyond = reading < least.value() ? least.value() : most.value();
            double off = Math.max(least.value() - reading, reading - most.value()) - ROUNDING;
            if (off <= 0) {
                return Verdict.PASS;
            }
            return off <= NEAR_SHARE * Math.abs(beyond) ? Verdict.NEAR : Verdict.FAIL;
        }
    }
}
