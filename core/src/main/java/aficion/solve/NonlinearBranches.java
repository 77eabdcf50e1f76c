package aficion.solve;

import aficion.netlist.Branch;
import java.util.Arrays;

/**
 * The branches whose current does not follow their volts in a straight line, or whose resistance
 * changes from step to step: each as the line that touches its law where it was tried last.
 *
 * <p>Three rules keep Newton's method from circling on them:
 *
 * <ul>
 *   <li>a filament or motor whose volts change sign starts again from 0 V, and after three such
 *       turns follows its chord;
 *   <li>a diode's step is limited by current, not by volts, and only on the way on [1]; one that
 *       has been cut off goes to 0 V at once, not by a thermal voltage a step;
 *   <li>a limited source that would jump from one flat region to the other, or off a flat one,
 *       lands in between.
 * </ul>
 *
 * <p>[1] L. W. Nagel, "SPICE2: a computer program to simulate semiconductor circuits", ERL-M520,
 * Berkeley (1975), section 4.2.
 */
final class NonlinearBranches {
    private static final byte OPEN = 0;
    private static final byte STRAIGHT = 1;
    private static final byte FILAMENT = 2;
    private static final byte RECTIFIER = 3;
    private static final byte SOURCE = 4;
    private static final byte LIMITED = 5;
    private static final byte MOTOR = 6;

    /**
     * Slope of a source that gives all or nothing; keeps an island of its own solvable, siemens.
     */
    private static final double FLAT = 1e-9;

    /** So near, the slope of the last step still serves. */
    private static final double NEAR_SHARE = 1e-4;

    private static final double NEAR = 1e-7;

    /** Within so small a share of where it was, a power is found by its series. */
    private static final double SERIES = 1e-3;

    private static final int MOST_TURNS = 3;

    /** A diode whose line leaves so small a share of its current has been cut off. */
    private static final double CUT = 1e-6;

    private static final double C1 = Branch.Filament.POWER;
    private static final double C2 = C1 * (C1 - 1) / 2;
    private static final double C3 = C2 * (C1 - 2) / 3;
    private static final double C4 = C3 * (C1 - 3) / 4;
    private static final double C5 = C4 * (C1 - 4) / 5;

    private final Network.Accuracy accuracy;
    private final byte[] law;
    private final double[] p;
    private final double[] q;
    private final double[] r;
    private final double[] s;
    private final double[] at;
    private final double[] current;
    private final double[] gradient;
    private final byte[] turns;
    final double[] slope;
    final double[] offset;
    private double amps;
    private double steep;
    private boolean sloped = true;

    /** How far a branch was from where its line took it. */
    enum Distance {
        NONE,
        NEAR,
        FAR
    }

    NonlinearBranches(int count, Network.Accuracy accuracy) {
        this.accuracy = accuracy;
        law = new byte[count];
        p = new double[count];
        q = new double[count];
        r = new double[count];
        s = new double[count];
        at = new double[count];
        current = new double[count];
        gradient = new double[count];
        turns = new byte[count];
        slope = new double[count];
        offset = new double[count];
    }

    int count() {
        return law.length;
    }

    /** A branch that does not conduct. */
    void open(int k) {
        set(k, OPEN, 0, 0, 0, 0);
    }

    /** A straight line: the current that flows at 0 V, and the slope. */
    void straight(int k, double siemens, double ampsAtZero) {
        set(k, STRAIGHT, siemens, ampsAtZero, 0, 0);
    }

    void filament(int k, Branch.Filament lamp) {
        set(k, FILAMENT, lamp.ratedVolts(), lamp.ratedAmps(), lamp.knee(), 1 / lamp.coldOhms());
    }

    void rectifier(int k, Branch.Rectifier diode) {
        double thermal = diode.thermal();
        double critical = thermal * Math.log(thermal / (Math.sqrt(2) * diode.saturation()));
        set(k, RECTIFIER, diode.saturation(), thermal, critical, 0);
    }

    void source(int k, Branch.Source source, double emf) {
        set(k, SOURCE, emf, 1 / source.ohms(), 1 / source.filling(), 0);
    }

    /** A limited source that aims at its own volts of {@code emf}. */
    void limited(int k, Branch.Limited source, double emf) {
        set(k, LIMITED, emf, 1 / source.ohms(), source.limit(), source.sign());
    }

    void motor(int k, Branch.Motor motor) {
        set(k, MOTOR, motor.ratedAmps(), motor.stall(), motor.backEmf(), motor.knee());
    }

    private void set(int k, byte kind, double one, double two, double three, double four) {
        boolean another = law[k] != kind;
        law[k] = kind;
        p[k] = one;
        q[k] = two;
        r[k] = three;
        s[k] = four;
        if (another) {
            restart(k);
        } else {
            place(k, at[k]);
        }
    }

    /** Takes every branch back to where a search begins. */
    void restart() {
        for (int k = 0; k < law.length; k++) {
            restart(k);
        }
    }

    private void restart(int k) {
        turns[k] = 0;
        place(
                k,
                switch (law[k]) {
                    case FILAMENT -> p[k];
                    case LIMITED -> s[k] * middle(k);
                    default -> 0;
                });
    }

    /** Where every branch is. */
    double[] places() {
        return at.clone();
    }

    /** Puts every branch where it was. */
    void place(double[] places) {
        for (int k = 0; k < law.length; k++) {
            begin(k, places[k]);
        }
    }

    /** Puts a branch where its volts are, if it bends. */
    void begin(int k, double volts) {
        if (law[k] > STRAIGHT && !touches(k, volts)) {
            place(k, volts);
        }
    }

    /** Whether its line is the one that touches its law there. */
    private boolean touches(int k, double volts) {
        return at[k] == volts
                && slope[k] == gradient[k]
                && offset[k] == current[k] - slope[k] * volts;
    }

    void forgiveTurns() {
        Arrays.fill(turns, (byte) 0);
    }

    /**
     * Moves a branch towards its new volts; its line follows with {@link #touch} or {@link #shift}.
     *
     * @return how far it was from there
     */
    Distance advance(int k, double volts) {
        if (law[k] <= STRAIGHT) {
            return Distance.NONE;
        }
        evaluate(k, volts);
        double miss = Math.abs(amps - (slope[k] * volts + offset[k]));
        boolean found =
                miss < Double.POSITIVE_INFINITY
                        && miss <= accuracy.amps + accuracy.share * Math.abs(amps);
        double next =
                found
                        ? volts
                        : switch (law[k]) {
                            case FILAMENT, MOTOR -> turned(k, volts);
                            case RECTIFIER -> limited(k, volts);
                            case LIMITED -> landed(k, volts);
                            default -> volts;
                        };
        if (next != volts) {
            evaluate(k, next);
        }
        boolean near =
                next == volts && miss <= NEAR + NEAR_SHARE * Math.abs(amps) && !isPastKink(k);
        at[k] = next;
        current[k] = amps;
        gradient[k] = steep;
        return found ? Distance.NONE : near ? Distance.NEAR : Distance.FAR;
    }

    /** Whether a branch of straight pieces has come to another one, whose slope it needs. */
    private boolean isPastKink(int k) {
        return (law[k] == SOURCE || law[k] == LIMITED) && steep != slope[k];
    }

    /** The line that touches the law where the branch is now. */
    void touch(int k) {
        if (law[k] > STRAIGHT) {
            boolean circling = turns[k] > MOST_TURNS && at[k] != 0;
            double next = circling ? current[k] / at[k] : gradient[k];
            sloped |= next != slope[k];
            slope[k] = next;
            offset[k] = current[k] - slope[k] * at[k];
        }
    }

    /** The line through where the branch is now, with the slope it had. */
    void shift(int k) {
        if (law[k] > STRAIGHT) {
            offset[k] = current[k] - slope[k] * at[k];
        }
    }

    /** The current of a branch at those volts. */
    double amps(int k, double volts) {
        evaluate(k, volts);
        return amps;
    }

    /** Whether a slope has changed since {@link #forgetSlopes}. */
    boolean sloped() {
        return sloped;
    }

    void forgetSlopes() {
        sloped = false;
    }

    /** Puts a branch there, whatever it was and wherever. */
    private void place(int k, double volts) {
        at[k] = 0;
        evaluate(k, volts);
        at[k] = volts;
        current[k] = amps;
        gradient[k] = steep;
        sloped |= slope[k] != steep;
        slope[k] = steep;
        offset[k] = amps - steep * volts;
    }

    /** Puts current and slope at those volts into {@link #amps} and {@link #steep}. */
    private void evaluate(int k, double volts) {
        switch (law[k]) {
            case STRAIGHT -> {
                steep = p[k];
                amps = p[k] * volts + q[k];
            }
            case FILAMENT -> {
                double size = Math.abs(volts);
                if (size < r[k]) {
                    steep = s[k];
                    amps = s[k] * volts;
                } else {
                    double drawn = drawn(k, size);
                    steep = Branch.Filament.POWER * drawn / size;
                    amps = Math.copySign(drawn, volts);
                }
            }
            case RECTIFIER -> {
                double grown = p[k] * Math.exp(volts / q[k]);
                steep = grown / q[k] + Branch.Rectifier.LEAK;
                amps = grown - p[k] + Branch.Rectifier.LEAK * volts;
            }
            case SOURCE -> {
                steep = volts > p[k] ? r[k] : q[k];
                amps = (volts - p[k]) * steep;
            }
            case LIMITED -> {
                double size = s[k] * volts;
                int region = region(k, size);
                steep = region == 0 ? q[k] : FLAT;
                amps = -s[k] * given(k, size, region);
            }
            case MOTOR -> motor(k, volts);
            default -> {
                steep = 0;
                amps = 0;
            }
        }
    }

    /**
     * q·(V/p)^0.55. Close to where the filament was, by the binomial series of (1 + d)^0.55 to the
     * fifth power of d, which is exact to the last digit there and ten times cheaper.
     */
    private double drawn(int k, double size) {
        double before = Math.abs(at[k]);
        double d = size / before - 1;
        if (before >= r[k] && Math.abs(d) < SERIES) {
            double series = 1 + d * (C1 + d * (C2 + d * (C3 + d * (C4 + d * C5))));
            return Math.abs(current[k]) * series;
        }
        return q[k] * Math.pow(size / p[k], Branch.Filament.POWER);
    }

    private void motor(int k, double volts) {
        double size = Math.abs(volts);
        if (size <= s[k]) {
            steep = 1 / q[k];
            amps = volts / q[k];
            return;
        }
        double load = (1 - Branch.Motor.FRICTION) * p[k];
        double square = load * (1 - Branch.Motor.VISCOUS) * q[k];
        double linear = load * Branch.Motor.VISCOUS * q[k] + r[k];
        double root = Math.sqrt(linear * linear + 4 * square * (size - s[k]));
        double speed = 2 * (size - s[k]) / (linear + root);
        steep = load * (Branch.Motor.VISCOUS + 2 * (1 - Branch.Motor.VISCOUS) * speed) / root;
        amps = Math.copySign(p[k] * Branch.Motor.load(speed), volts);
    }

    /** −1 where a limited source gives all, 0 where it regulates, 1 where it idles. */
    private int region(int k, double size) {
        if (size >= p[k]) {
            return 1;
        }
        return size > p[k] - r[k] / q[k] ? 0 : -1;
    }

    private double given(int k, double size, int region) {
        return switch (region) {
            case 1 -> FLAT * (p[k] - size);
            case 0 -> (p[k] - size) * q[k];
            default -> r[k] + FLAT * (p[k] - r[k] / q[k] - size);
        };
    }

    private double middle(int k) {
        return p[k] - r[k] / q[k] / 2;
    }

    private double landed(int k, double volts) {
        int from = region(k, s[k] * at[k]);
        int to = region(k, s[k] * volts);
        return from != 0 && to != from ? s[k] * middle(k) : volts;
    }

    private double turned(int k, double volts) {
        if (at[k] * volts < 0) {
            turns[k]++;
            if (turns[k] <= MOST_TURNS) {
                return 0;
            }
        }
        return volts;
    }

    private double limited(int k, double wanted) {
        double thermal = q[k];
        double before = at[k];
        if (wanted < before && Math.abs(slope[k] * wanted + offset[k]) < CUT * current[k]) {
            return 0;
        }
        if (wanted <= r[k] || Math.abs(wanted - before) <= 2 * thermal) {
            return wanted;
        }
        if (before <= 0) {
            return Math.min(r[k], thermal * Math.log(wanted / thermal));
        }
        double ratio = 1 + (wanted - before) / thermal;
        return ratio > 0 ? before + thermal * Math.log(ratio) : r[k];
    }
}
