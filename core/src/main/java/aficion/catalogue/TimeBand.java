package aficion.catalogue;

/**
 * How long a family of fuses takes to open: for each multiple of the marking the fastest and the
 * slowest it may. Straight between the points where both axes are logarithmic; beyond the last
 * point the heat I²·t stays the same; below the first there is no time.
 */
public final class TimeBand {
    private final double[] multiples;
    private final double[] fastest;
    private final double[] slowest;

    /** Where in the band a fuse lies. */
    public enum Edge {
        FASTEST,
        /** The geometric mean of the two others. */
        NOMINAL,
        SLOWEST
    }

    private TimeBand(double[] multiples, double[] fastest, double[] slowest) {
        this.multiples = multiples;
        this.fastest = fastest;
        this.slowest = slowest;
    }

    static TimeBand read(Table.Row row, String column) {
        var points = row.groups(column, 3);
        var band =
                new TimeBand(
                        points.stream().mapToDouble(point -> point[0]).toArray(),
                        points.stream().mapToDouble(point -> point[1]).toArray(),
                        points.stream().mapToDouble(point -> point[2]).toArray());
        for (int i = 0; i < points.size(); i++) {
            boolean ordered =
                    band.fastest[i] <= band.slowest[i]
                            && (i == 0
                                    || band.multiples[i] > band.multiples[i - 1]
                                            && band.fastest[i] < band.fastest[i - 1]
                                            && band.slowest[i] < band.slowest[i - 1]);
            if (!ordered) {
                throw row.wrong(column, "does not fall from point to point");
            }
        }
        return band;
    }

    /** The multiple of the marking below which there is no time. */
    double begins() {
        return multiples[0];
    }

    /** Seconds at a multiple of the marking; infinite where there is no time. */
    double seconds(double multiple, Edge edge) {
        return switch (edge) {
            case FASTEST -> seconds(multiple, fastest);
            case SLOWEST -> seconds(multiple, slowest);
            case NOMINAL -> Math.sqrt(seconds(multiple, fastest) * seconds(multiple, slowest));
        };
    }

    private double seconds(double multiple, double[] times) {
        if (multiple < multiples[0]) {
            return Double.POSITIVE_INFINITY;
        }
        int last = multiples.length - 1;
        if (multiple >= multiples[last]) {
            double ratio = multiples[last] / multiple;
            return times[last] * ratio * ratio;
        }
        int i = 0;
        while (multiple >= multiples[i + 1]) {
            i++;
        }
        double share =
                Math.log(multiple / multiples[i]) / Math.log(multiples[i + 1] / multiples[i]);
        return times[i] * Math.pow(times[i + 1] / times[i], share);
    }
}
