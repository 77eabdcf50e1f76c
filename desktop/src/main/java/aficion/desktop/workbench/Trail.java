package aficion.desktop.workbench;

import aficion.netlist.Conditions;
import java.util.ArrayDeque;

/** The last conditions a bench has been in, oldest first: what remembers goes on from there. */
final class Trail {
    /** So many are kept: more than a hand does before it looks again. */
    private static final int KEPT = 12;

    private final ArrayDeque<Conditions> past = new ArrayDeque<>();

    void follow(Conditions left) {
        past.addLast(left);
        if (past.size() > KEPT) {
            past.removeFirst();
        }
    }

    void forget() {
        past.clear();
    }

    /** Conditions as they were come to. */
    Conditions leadingTo(Conditions now) {
        Conditions come = null;
        for (var each : past) {
            come = come == null ? each : each.after(come);
        }
        return come == null ? now : now.after(come);
    }
}
