package aficion.forming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.forming.Folding.Outcome;
import aficion.harness.Board.At;
import aficion.quantity.Metres;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Trees of strands laid flat: at true length, apart, on the board. */
class FoldingTest {
    /** Between strands; and close to where they part, as a share of the way between them. */
    private static final double APART = 0.04;

    private static final double PARTING = 0.36;
    private static final double SAMPLED = 0.01;

    private record Sample(double x, double y, int strand, double along) {}

    private static Tree tree(double[]... strands) {
        var all = new ArrayList<Tree.Strand>();
        for (var each : strands) {
            all.add(new Tree.Strand((int) each[0], (int) each[1], each[2], 0.05));
        }
        return new Tree(strands.length + 1, all);
    }

    /** A harness as they are: mostly growing on from where it last ended, up to five at a knot. */
    static Tree random(long seed, int knots) {
        var random = new Random(seed);
        var degree = new int[knots];
        var strands = new ArrayList<Tree.Strand>();
        for (int knot = 1; knot < knots; knot++) {
            int from = knot;
            while (from == knot || degree[from] >= 5) {
                from =
                        random.nextInt(3) == 0
                                ? random.nextInt(knot)
                                : Math.max(0, knot - 1 - random.nextInt(Math.min(knot, 4)));
            }
            degree[from]++;
            degree[knot]++;
            double length = Math.round(60 * Math.pow(12, random.nextDouble())) / 1000.0;
            strands.add(new Tree.Strand(from, knot, length, 0.05));
        }
        return new Tree(knots, strands);
    }

    private static List<List<At>> laid(Tree tree, Surface surface) {
        var outcome = new Folding(tree, surface, 0.048).fold();
        assertThat(outcome).isInstanceOf(Outcome.Lies.class);
        return ((Outcome.Lies) outcome).ways();
    }

    private static double length(List<At> way) {
        double length = 0;
        for (int i = 1; i < way.size(); i++) {
            length +=
                    Math.hypot(
                            way.get(i).x() - way.get(i - 1).x(),
                            way.get(i).y() - way.get(i - 1).y());
        }
        return length;
    }

    private static List<Sample> samples(List<List<At>> ways) {
        var samples = new ArrayList<Sample>();
        for (int strand = 0; strand < ways.size(); strand++) {
            double passed = 0;
            var way = ways.get(strand);
            for (int i = 1; i < way.size(); i++) {
                var from = way.get(i - 1);
                var to = way.get(i);
                double far = Math.hypot(to.x() - from.x(), to.y() - from.y());
                for (double on = 0; on < far; on += SAMPLED) {
                    samples.add(
                            new Sample(
                                    from.x() + (to.x() - from.x()) * on / far,
                                    from.y() + (to.y() - from.y()) * on / far,
                                    strand,
                                    passed + on));
                }
                passed += far;
            }
        }
        return samples;
    }

    /** Every pair of places keeps its distance; close to a knot, a share of the way by it. */
    private static void isApart(Tree tree, List<List<At>> ways, double near) {
        var far = new double[tree.knots()][];
        for (int knot = 0; knot < tree.knots(); knot++) {
            far[knot] = tree.distances(knot);
        }
        var samples = samples(ways);
        for (int i = 0; i < samples.size(); i++) {
            for (int j = 0; j < i; j++) {
                var one = samples.get(i);
                var other = samples.get(j);
                double flat = Math.hypot(one.x - other.x, one.y - other.y);
                if (flat < APART) {
                    double way = between(tree, far, one, other);
                    assertThat(flat + 1e-9)
                            .as("%s and %s, %.3f m apart along the strands", one, other, way)
                            .isGreaterThanOrEqualTo(Math.min(APART, near * way - 0.008));
                }
            }
        }
    }

    private static double between(Tree tree, double[][] far, Sample one, Sample other) {
        if (one.strand == other.strand) {
            return Math.abs(one.along - other.along);
        }
        var a = tree.strands().get(one.strand);
        var b = tree.strands().get(other.strand);
        double least = Double.POSITIVE_INFINITY;
        for (double[] start :
                new double[][] {{a.from(), one.along}, {a.to(), a.length() - one.along}}) {
            for (double[] end :
                    new double[][] {{b.from(), other.along}, {b.to(), b.length() - other.along}}) {
                least = Math.min(least, start[1] + far[(int) start[0]][(int) end[0]] + end[1]);
            }
        }
        return least;
    }

    private static void isTrue(Tree tree, List<List<At>> ways, Surface surface) {
        var knots = new At[tree.knots()];
        for (int i = 0; i < ways.size(); i++) {
            var strand = tree.strands().get(i);
            var way = ways.get(i);
            assertThat(length(way)).isCloseTo(strand.length(), within(1e-6));
            meets(knots, strand.from(), way.getFirst());
            meets(knots, strand.to(), way.getLast());
            assertThat(way)
                    .allSatisfy(at -> {
                        assertThat(at.x()).isBetween(0.03, surface.wide().value() - 0.03);
                        assertThat(at.y()).isBetween(0.03, surface.high().value() - 0.03);
                    });
        }
    }

    private static void meets(At[] knots, int knot, At at) {
        if (knots[knot] != null) {
            assertThat(Math.hypot(knots[knot].x() - at.x(), knots[knot].y() - at.y()))
                    .isLessThan(1e-6);
        }
        knots[knot] = at;
    }

    /** The board of a straight trunk with square branches to either side by turns. */
    private static double square(Tree tree) {
        var trunk = tree.trunk();
        double[] reach = {0, 0};
        int side = 0;
        for (var limb : trunk.limbs()) {
            reach[side] = Math.max(reach[side], limb.length());
            side = 1 - side;
        }
        return trunk.length() * (reach[0] + reach[1]);
    }

    private static double boxed(List<List<At>> ways) {
        var all = ways.stream().flatMap(List::stream).toList();
        double wide =
                all.stream().mapToDouble(At::x).max().orElseThrow()
                        - all.stream().mapToDouble(At::x).min().orElseThrow();
        double high =
                all.stream().mapToDouble(At::y).max().orElseThrow()
                        - all.stream().mapToDouble(At::y).min().orElseThrow();
        return wide * high;
    }

    @Test
    void whatFitsLiesStraightAndLeavesAtAnEighthOrAQuarterTurn() {
        var tree =
                tree(new double[] {0, 1, 0.6}, new double[] {1, 2, 0.7}, new double[] {1, 3, 0.3});

        var ways = laid(tree, Surface.DOOR);

        assertThat(ways.get(0)).hasSize(2);
        assertThat(ways.get(1)).hasSize(2);
        assertThat(ways.get(0).getFirst().y()).isEqualTo(ways.get(1).getLast().y(), within(1e-9));
        assertThat(ways.get(2)).hasSize(2);
        var leaves = ways.get(2);
        double angle =
                Math.toDegrees(
                        Math.atan2(
                                leaves.getLast().y() - leaves.getFirst().y(),
                                leaves.getLast().x() - leaves.getFirst().x()));
        assertThat(angle % 45).isCloseTo(0, within(1e-6));
        isTrue(tree, ways, Surface.DOOR);
    }

    @Test
    void aTrunkLongerThanTheBoardIsFolded() {
        var tree =
                tree(new double[] {0, 1, 2.5}, new double[] {1, 2, 1.7}, new double[] {1, 3, 0.3});

        var ways = laid(tree, Surface.DOOR);

        isTrue(tree, ways, Surface.DOOR);
        isApart(tree, ways, PARTING);
    }

    @Test
    void whatDoesNotFitSaysWhere() {
        var strands = new double[6][];
        for (int i = 0; i < strands.length; i++) {
            strands[i] = new double[] {0, i + 1, 1.5};
        }

        var outcome =
                new Folding(tree(strands), new Surface(new Metres(0.5), new Metres(0.4)), 0.048)
                        .fold();

        assertThat(outcome).isEqualTo(new Outcome.NoRoom(1));
    }

    /** More strands than there are eighths of a turn leave at sixteenths. */
    @Test
    void manyStrandsLeaveOneKnot() {
        var strands = new double[11][];
        for (int i = 0; i < strands.length; i++) {
            strands[i] = new double[] {0, i + 1, 0.2 + 0.02 * i};
        }
        var tree = tree(strands);

        var ways = laid(tree, Surface.DOOR);

        isTrue(tree, ways, Surface.DOOR);
        isApart(tree, ways, PARTING / 2);
    }

    private record OnBoard(Surface surface, List<List<At>> ways) {}

    /** On the first board on which a tree finds room, of ever larger ones. */
    private static OnBoard asNeeded(Tree tree) {
        double length = tree.strands().stream().mapToDouble(Tree.Strand::length).sum();
        var surface = Surface.DOOR;
        while (surface.area() < 12) {
            if (length * 0.048 < 0.4 * surface.area()
                    && new Folding(tree, surface, 0.048).fold() instanceof Outcome.Lies lies) {
                return new OnBoard(surface, lies.ways());
            }
            surface = surface.equals(Surface.DOOR) ? Surface.TWO_DOORS : surface.larger();
        }
        throw new AssertionError("no board for " + tree);
    }

    /**
     * None cross, and where a straight trunk with square branches would take more than two doors,
     * half of that board is enough but for one tree in thirty.
     */
    @Test
    void ofRandomTreesNoStrandsCrossAndAllAreTrue() {
        var shares = new ConcurrentLinkedQueue<Double>();
        IntStream.range(0, 200)
                .parallel()
                .forEach(seed -> {
                    var tree = random(seed, 5 + seed * 75 / 199);
                    var on = asNeeded(tree);
                    isTrue(tree, on.ways, on.surface);
                    isApart(tree, on.ways, PARTING);
                    if (square(tree) > Surface.TWO_DOORS.area()) {
                        shares.add(boxed(on.ways) / square(tree));
                    }
                });

        assertThat(shares).hasSizeGreaterThan(100).allMatch(share -> share < 0.7);
        assertThat(shares.stream().filter(share -> share > 0.5).count())
                .isLessThanOrEqualTo(shares.size() / 30);
    }
}
