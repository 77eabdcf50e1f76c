package aficion.forming;

import aficion.forming.Tree.Limb;
import aficion.forming.Walk.Space;
import aficion.harness.Board.At;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Lays a tree of strands flat on a board at their true lengths, so that none cross and all keep
 * room between them.
 *
 * <p>The longest way is the trunk: straight where the board is long enough, else in as many passes
 * as it takes with room between them. What hangs on it is laid limb by limb, the one with most to
 * come first, each where it is in the way of the least. Where a limb finds no room all is taken up
 * and laid again, that limb earlier (rip up and try again, as in laying out circuit boards).
 */
final class Folding {
    /** Between strands as a share of the way between them, close to where they part by 45°. */
    private static final double EIGHTH = 0.38;

    private static final double EDGE = 0.035;
    private static final double BEYOND = 0.06;
    private static final int TRIALS = 30;
    private static final double IN_THE_WAY = 30;

    private final Tree tree;
    private final Space space;
    private final Limb trunk;

    /** How often a limb found no room, by its first strand: so much sooner it is laid. */
    private final int[] sooner;

    private final int[] failed;

    /** How a tree comes to lie; places in metres. */
    sealed interface Outcome {
        /** Its strands, each from its first knot to its last. */
        record Lies(List<List<At>> ways) implements Outcome {}

        /** No room was found; most often not at that knot. */
        record NoRoom(int knot) implements Outcome {}
    }

    Folding(Tree tree, Surface surface, double room) {
        this.tree = tree;
        int most = 0;
        for (int knot = 0; knot < tree.knots(); knot++) {
            most = Math.max(most, tree.meeting(knot).size());
        }
        int turns = 8;
        double near = EIGHTH;
        while (turns < most) {
            turns *= 2;
            near /= 2;
        }
        this.space =
                new Space(
                        surface.wide().value(),
                        surface.high().value(),
                        room,
                        near,
                        EDGE,
                        BEYOND,
                        turns);
        this.trunk = tree.trunk();
        this.sooner = new int[tree.strands().size()];
        this.failed = new int[tree.knots()];
    }

    Outcome fold() {
        double inside = space.wide() - 2 * EDGE - BEYOND;
        int least = (int) Math.ceil(trunk.length() / inside);
        int most = (int) Math.max(1, (space.high() - 2 * EDGE) / (2 * space.room()));
        for (int trial = 0; trial < TRIALS; trial++) {
            int passes = Math.min(most, least + trial % 3);
            var laying = new Laying(new Random(trial), passes, trial);
            if (laying.lay()) {
                return new Outcome.Lies(laying.lain.ways());
            }
        }
        int worst = 0;
        for (int knot = 0; knot < failed.length; knot++) {
            worst = failed[knot] > failed[worst] ? knot : worst;
        }
        return new Outcome.NoRoom(worst);
    }

    private int sooner(Limb limb) {
        int most = sooner[limb.first()];
        for (var each : limb.limbs()) {
            most = Math.max(most, sooner(each));
        }
        return most;
    }

    /** One trial. */
    private final class Laying {
        private final Lain lain = new Lain(tree, space.wide(), space.high(), space.room());
        private final Random random;
        private final int passes;
        private final int trial;
        private final At[] knots = new At[tree.knots()];
        private final Map<Integer, List<Double>> leaving = new HashMap<>();
        private final List<Limb> waiting = new ArrayList<>();

        Laying(Random random, int passes, int trial) {
            this.random = random;
            this.passes = passes;
            this.trial = trial;
        }

        boolean lay() {
            double high = space.high() - 2 * EDGE;
            double[] starts =
                    passes == 1
                            ? new double[] {0.5, 0.35, 0.65, 0.2, 0.8}
                            : new double[] {
                                0.5 / passes, 0.25 / passes, 0.75 / passes, 1.0 / passes, 0.02
                            };
            double y = EDGE + high * starts[trial / 3 % starts.length];
            double self = passes == 1 ? space.room() : Math.max(space.room(), 0.85 * high / passes);
            lain.from(trunk.start());
            if (!lay(trunk, new At(EDGE + BEYOND, y), self, List.of(0), BEYOND)) {
                failed[trunk.start()]++;
                return false;
            }
            while (!waiting.isEmpty()) {
                var limb =
                        waiting.stream()
                                .max(
                                        Comparator.<Limb>comparingInt(Folding.this::sooner)
                                                .thenComparingDouble(Limb::load))
                                .orElseThrow();
                waiting.remove(limb);
                lain.from(limb.start());
                if (!lay(limb, knots[limb.start()], space.room(), open(limb.start()), 0)) {
                    sooner[limb.first()]++;
                    failed[limb.start()]++;
                    return false;
                }
            }
            return true;
        }

        /** The directions in which nothing leaves a knot yet, nor beside them. */
        private List<Integer> open(int knot) {
            var open = new ArrayList<Integer>();
            for (int turn = 0; turn < space.turns(); turn++) {
                double angle = 2 * Math.PI * turn / space.turns();
                boolean free =
                        leaving.getOrDefault(knot, List.of()).stream()
                                .allMatch(other ->
                                        Math.abs(Math.IEEEremainder(angle - other, 2 * Math.PI))
                                                > 2 * Math.PI / space.turns() - 1e-6);
                if (free) {
                    open.add(turn);
                }
            }
            return open;
        }

        private boolean lay(Limb limb, At start, double self, List<Integer> open, double before) {
            double step =
                    limb.strands().stream()
                            .mapToDouble(strand -> tree.strands().get(strand).step())
                            .max()
                            .orElseThrow();
            var found =
                    new Walk(lain, space, self, this::price, random)
                            .find(start, limb.length(), step, open);
            found.ifPresent(corners -> take(limb, corners, before));
            return found.isPresent();
        }

        /** How much a place is in the way of what is still to come. */
        private double price(double x, double y) {
            double price = 0;
            for (var limb : waiting) {
                var at = knots[limb.start()];
                double reach = Math.min(0.4, 0.06 + 0.25 * limb.load());
                double far = at.to(new At(x, y));
                price += far < reach ? IN_THE_WAY * (1 - far / reach) : 0;
            }
            return price;
        }

        private void take(Limb limb, List<At> corners, double before) {
            int knot = limb.start();
            knots[knot] = corners.getFirst();
            var left = new Course(corners);
            for (int i = 0; i < limb.strands().size(); i++) {
                int number = limb.strands().get(i);
                var strand = tree.strands().get(number);
                var way = left.upTo(strand.length());
                left = new Course(left.after(strand.length()));
                int next = strand.beyond(knot);
                knots[next] = way.getLast();
                leaves(knot, way.get(0), way.get(1));
                leaves(next, way.getLast(), way.get(way.size() - 2));
                boolean forward = strand.from() == knot;
                boolean last = i == limb.strands().size() - 1;
                var laid = forward ? way : way.reversed();
                lain.lay(number, laid, last ? BEYOND : i == 0 ? before : 0, last == forward);
                knot = next;
            }
            waiting.addAll(limb.limbs());
        }

        private void leaves(int knot, At at, At next) {
            leaving.computeIfAbsent(knot, _ -> new ArrayList<>()).add(at.angle(next));
        }
    }
}
