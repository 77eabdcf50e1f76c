package aficion.solve.linear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
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
        matrix.addLeak(0, 1);
        matrix.addLink(matrix.entry(0, 1), 1 / 2.0);
        matrix.addLeak(1, 1 / 3.0);
        var volts = new double[] {10, 0};

        assertThat(matrix.factor()).isTrue();
        matrix.solve(volts);

        assertThat(volts[0]).isCloseTo(10 * 5 / 6.0, within(1e-12));
        assertThat(volts[1]).isCloseTo(10 * 3 / 6.0, within(1e-12));
    }

    @Test
    void aNodeWithoutAWayToTheReferenceIsToldApart() {
        var matrix = new Conductances(Elimination.of(2, new int[] {0}, new int[] {1}));
        matrix.addLink(matrix.entry(0, 1), 1);

        assertThat(matrix.factor()).isFalse();
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
        matrix.addLeak(size / 2, 1e-12);
        var volts = new double[size];
        volts[0] = 1e-12;

        assertThat(matrix.factor()).isTrue();
        matrix.solve(volts);

        for (double value : volts) {
            assertThat(value).isCloseTo(1, within(1e-10));
        }
    }

    @RepeatedTest(30)
    void anyNetworkAgreesWithDenseElimination(RepetitionInfo repetition) {
        var random = new Random(repetition.getCurrentRepetition());
        int size = 2 + random.nextInt(40);
        int links = size + random.nextInt(2 * size);
        var one = new int[links];
        var other = new int[links];
        for (int i = 0; i < links; i++) {
            one[i] = random.nextInt(size);
            other[i] = random.nextInt(size);
        }
        var matrix = new Conductances(Elimination.of(size, one, other));
        var dense = new double[size][size];
        for (int i = 0; i < links; i++) {
            if (one[i] != other[i]) {
                double siemens = Math.pow(10, random.nextDouble(-2, 3));
                matrix.addLink(matrix.entry(one[i], other[i]), siemens);
                dense[one[i]][other[i]] -= siemens;
                dense[other[i]][one[i]] -= siemens;
                dense[one[i]][one[i]] += siemens;
                dense[other[i]][other[i]] += siemens;
            }
        }
        var injected = new double[size];
        for (int i = 0; i < size; i++) {
            double leak = random.nextDouble(0.1, 2);
            matrix.addLeak(i, leak);
            dense[i][i] += leak;
            injected[i] = random.nextDouble(-5, 5);
        }
        var expected = eliminated(dense, injected.clone());

        assertThat(matrix.factor()).isTrue();
        matrix.solve(injected);

        for (int i = 0; i < size; i++) {
            assertThat(injected[i]).isCloseTo(expected[i], within(1e-9));
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
