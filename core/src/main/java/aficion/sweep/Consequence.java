package aficion.sweep;

import aficion.job.PartId;
import aficion.job.WireId;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;

/** What a fault does. */
public sealed interface Consequence {

    Danger danger();

    /** How bad it is, worst first. */
    enum Danger {
        /** Something burns. */
        BURNS,
        /** Something starts by itself. */
        RUNS,
        /** Relays buzz, or no rest is found. */
        UNSTABLE,
        /** Something glows or points where it should not. */
        MISLEADS,
        /** A guard opens in time. */
        OPENS,
        /** Something no longer works. */
        DARK,
        /** Something works less well. */
        LESS
    }

    /**
     * More flows for longer than a few seconds than a conductor carries at the limit of its cover.
     */
    record Overheats(WireId wire, Amps amps, Amps carries) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.BURNS;
        }
    }

    /** A conductor passes its adiabatic limit before a guard opens. */
    record Burns(WireId wire, Amps amps, Seconds within) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.BURNS;
        }
    }

    /** A guard opens, at the latest after that time, before any conductor passes its limit. */
    record Opens(FuseSeat guard, Amps amps, Seconds within) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.OPENS;
        }
    }

    /** A part runs that is not switched on. */
    record RunsByItself(PartId part, String role, Amps amps) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.RUNS;
        }
    }

    /** A lamp that is off glows. */
    record Glows(PartId part, String role, Ratio share) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.MISLEADS;
        }
    }

    /** A gauge points elsewhere. */
    record Moves(PartId gauge, Ratio from, Ratio to) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.MISLEADS;
        }
    }

    /** A part that is on no longer works. */
    record GoesDark(PartId part, String role) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.DARK;
        }
    }

    /** A part that is on has that share of its current left. */
    record Weakens(PartId part, String role, Ratio left) implements Consequence {
        @Override
        public Danger danger() {
            return Danger.LESS;
        }
    }

    /** No rest was found. */
    record Restless() implements Consequence {
        @Override
        public Danger danger() {
            return Danger.UNSTABLE;
        }
    }
}
