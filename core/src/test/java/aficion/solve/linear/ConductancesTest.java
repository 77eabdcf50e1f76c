package aficion.solve.linear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class ConductancesTest {

    /**
     * 10 V behind 1 Ω over two resistors of 2 Ω and 3 Ω in series: as a Norton source, 10 A beside
     * 1 S; by hand 8.333 and 5 V.
     */
    @Test
    void aVoltageDividerIsSolvedAsByHand() {
        var matrix = new Conductances(Elimination.of(2, new int[] {0}, new int[] {1}));
        matrix.addLeak(matrix.rank(0), 1);
        matrix.addLink(matrix.entry(0, 1), 1 / 2.0);
        matrix.addLeak(matrix.rank(1), 1 / 3.0);
        var volts = solved(matrix, 10, 0);

        assertThat(volts[0]).isCloseTo(10 * 5 / 6.0, within(1e-12));
        assertThat(volts[1]).isCloseTo(10 * 3 / 6.0, within(1e-12));
    }

    @Test
    void aNodeWithoutAWayToTheReferenceIsToldApart() {
        var matrix = new Conductances(Elimination.of(2, new int[] {0}, new int[] {1}));
        matrix.addLink(matrix.entry(0, 1), 1);

        assertThat(matrix.reduce()).isFalse();
    }

    @Test
    void aTailWithoutAWayToTheReferenceIsToldApart() {
        var both = new BitSet();
        both.set(0, 2);
        var matrix = new Conductances(Elimination.of(2, new int[] {0}, new int[] {1}, both));
        matrix.addLink(matrix.entry(0, 1), 1);
        assertThat(matrix.reduce()).isTrue();
        matrix.begin();
        assertThat(matrix.factor()).isFalse();
    }

    /** Between two nodes, and from either to the reference, which has no rank; 1 A at each. */
    @Test
    void whatLiesBetweenIsAddedWhereItBelongs() {
        var order = Elimination.of(2, new int[] {0}, new int[] {1});
        assertThat(order.size()).isEqualTo(2);
        assertThat(order.entries()).isEqualTo(1);
        for (int[] toEarth : new int[][] {{0, -1}, {-1, 0}, {1, -1}, {-1, 1}}) {
            var matrix = new Conductances(order);
            matrix.addBetween(0, 1, 0, 2);
            matrix.addBetween(toEarth[0], toEarth[1], -1, 0.5);
            matrix.addBetween(-1, -1, -1, 7);
            int leaks = Math.max(toEarth[0], toEarth[1]);
            var volts = solved(matrix, 1, 1);

            assertThat(volts[matrix.rank(leaks)]).isCloseTo(4, within(1e-12));
            assertThat(volts[1 - matrix.rank(leaks)]).isCloseTo(4.5, within(1e-12));
        }
    }

    /** Volts by node from the amps injected into each. */
    private static double[] solved(Conductances matrix, double... amps) {
        for (int node = 0; node < amps.length; node++) {
            matrix.inject(matrix.rank(node), amps[node]);
        }
        assertThat(matrix.reduce()).isTrue();
        matrix.begin();
        return finished(matrix, amps.length);
    }

    private static double[] finished(Conductances matrix, int size) {
        assertThat(matrix.factor()).isTrue();
        matrix.solve();
        var found = new double[size];
        matrix.spread(found);
        return IntStream.range(0, size).mapToDouble(node -> found[matrix.rank(node)]).toArray();
    }

    /**
     * An island of milliohms that leaks 1 pS to earth, fed with 1 pA: 1 V by hand at every node. An
     * elimination that forms diagonals by subtraction loses all digits here.
     */
    @Test
    void milliohmIslandsBehindALargeResistanceKeepTheirDigits() {
        int size = 40;
        var one = new int[size - 1];
        var other = new int[size - 1];
        for (int i = 0; i < size - 1; i++) {
            one[i] = i;
            other[i] = i + 1;
        }
        var matrix = new Conductances(Elimination.of(size, one, other));
        for (int i = 0; i < size - 1; i++) {
            matrix.addLink(matrix.entry(i, i + 1), 2000);
        }
        matrix.addLeak(matrix.rank(size / 2), 1e-12);
        var amps = new double[size];
        amps[0] = 1e-12;

        var volts = solved(matrix, amps);

        for (double value : volts) {
            assertThat(value).isCloseTo(1, within(1e-10));
        }
    }

    /**
     * Some nodes are kept for the tail; the links and leaks among them are added only in the step,
     * and once more with other values in a second step.
     */
    @RepeatedTest(60)
    void anyNetworkAgreesWithDenseElimination(RepetitionInfo repetition) {
        var random = new Random(repetition.getCurrentRepetition());
        int size = 2 + random.nextInt(40);
        int links = size + random.nextInt(2 * size);
        var one = random.ints(links, 0, size).toArray();
        var other = random.ints(links, 0, size).toArray();
        var tail = new BitSet();
        random.ints(size / 3, 0, size).forEach(tail::set);
        var matrix = new Conductances(Elimination.of(size, one, other, tail));
        var dense = new Dense(size);
        var amps = new double[size];
        for (int i = 0; i < links; i++) {
            if (one[i] != other[i] && !(tail.get(one[i]) && tail.get(other[i]))) {
                double siemens = Math.pow(10, random.nextDouble(-2, 3));
                matrix.addLink(matrix.entry(one[i], other[i]), siemens);
                dense.add(one[i], other[i], siemens);
            }
        }
        for (int i = 0; i < size; i++) {
            double leak = random.nextDouble(0.1, 2);
            matrix.addLeak(matrix.rank(i), leak);
            dense.a[i][i] += leak;
            amps[i] = random.nextDouble(-5, 5);
            matrix.inject(matrix.rank(i), amps[i]);
        }
        assertThat(matrix.reduce()).isTrue();

        for (int step = 0; step < 2; step++) {
            matrix.begin();
            var stepped = dense.copy();
            for (int i = 0; i < links; i++) {
                if (one[i] != other[i] && tail.get(one[i]) && tail.get(other[i])) {
                    double siemens = Math.pow(10, random.nextDouble(-2, 3));
                    matrix.addLink(matrix.entry(one[i], other[i]), siemens);
                    stepped.add(one[i], other[i], siemens);
                }
            }
            var volts = finished(matrix, size);
            var expected = eliminated(stepped.a, amps.clone());
            for (int i = 0; i < size; i++) {
                assertThat(volts[i]).isCloseTo(expected[i], within(1e-9));
            }
        }
    }

    private record Dense(double[][] a) {
        Dense(int size) {
            this(new double[size][size]);
        }

        void add(int i, int j, double siemens) {
            a[i][j] -= siemens;
            a[j][i] -= siemens;
            a[i][i] += siemens;
            a[j][j] += siemens;
        }

        Dense copy() {
            return new Dense(Arrays.stream(a).map(double[]::clone).toArray(double[][]::new));
        }
    }

    /** Gauss with partial pivoting, for comparison. */
    private static double[] eliminated(double[][] a, double[] b) {
        int n = b.length;
        for (int k = 0; k < n; k++) {
            int pivot = k;
            for (int i = k + 1; i < n; i++) {
                if (Math.abs(a[i][k]) > Math.abs(a[pivot][k])) {
                    pivot = i;
                }
            }
            var row = a[k];
            a[k] = a[pivot];
            a[pivot] = row;
            double value = b[k];
            b[k] = b[pivot];
            b[pivot] = value;
            for (int i = k + 1; i < n; i++) {
                double share = a[i][k] / a[k][k];
                for (int j = k; j < n; j++) {
                    a[i][j] -= share * a[k][j];
                }
                b[i] -= share * b[k];
            }
        }
        for (int k = n - 1; k >= 0; k--) {
            for (int j = k + 1; j < n; j++) {
                b[k] -= a[k][j] * b[j];
            }
            b[k] /= a[k][k];
        }
        return b;
    }
}
