package aficion.check.protection;

import aficion.netlist.Branch;
import aficion.solve.Network;
import java.util.stream.IntStream;

/**
 * Whether what rushes into cold lamps and standing motors has passed: nothing is about to move or
 * blinks, nothing draws more as it warms, and no guard is near a current at which it opens at all.
 */
final class Ebb {
    /**
     * So many times its volts a coil may come to feel yet, and a guard to carry what it carries,
     * once a starter has got going and the battery is back at its volts.
     */
    private static final double MORE = 1.5;

    private static final double AMPS = 0.01;
    private static final double VOLTS = 0.5;

    private final Network network;
    private final int[] guards;
    private final int[] blinkers;
    private final boolean draws;

    Ebb(Network network) {
        this.network = network;
        this.guards = branches(Branch.FuseBranch.class);
        this.blinkers = branches(Branch.Blinker.class);
        this.draws =
                IntStream.of(branches(Branch.Warming.class))
                        .mapToObj(i -> (Branch.Warming) network.branch(i))
                        .anyMatch(warming -> warming.first() > warming.ohms());
    }

    private int[] branches(Class<? extends Branch> kind) {
        return IntStream.range(0, network.netlist().size())
                .filter(i -> kind.isInstance(network.branch(i)))
                .toArray();
    }

    boolean isOver() {
        return !draws && isStill() && !isAnyGuardNear();
    }

    private boolean isStill() {
        for (int coil = 0; coil < network.coils(); coil++) {
            boolean pulled = network.pulled(coil);
            boolean soon = !pulled && network.wantsIn(coil, MORE * network.felt(coil));
            if (soon || network.wantsIn(coil) != pulled) {
                return false;
            }
        }
        for (int i : blinkers) {
            if (Math.abs(network.amps(i)) > AMPS || Math.abs(network.across(i)) > VOLTS) {
                return false;
            }
        }
        return true;
    }

    private boolean isAnyGuardNear() {
        for (int i : guards) {
            var fuse = (Branch.FuseBranch) network.branch(i);
            double near = fuse.type().timedFrom(fuse.marking()).value() / MORE;
            if (network.whole(i) && Math.abs(network.amps(i)) >= near) {
                return true;
            }
        }
        return false;
    }
}
