package aficion.netlist;

import aficion.job.SourceKind;
import aficion.quantity.Rpm;

/** What batteries and alternators give; typical figures of the trade. */
public final class SourceCurves {
    /** The field current at which an alternator wakes, amps, typical. */
    static final double WAKING_FIELD_CURRENT = 0.1;

    /** The heater of a gauge stabiliser, ohms, typical. */
    static final double STABILISER_HEATER = 65;

    /** The speed at which an alternator without a field lead wakes, rpm of its own, typical. */
    static final double SELF_WAKING_RPM = 1500;

    /** A lighting coil without lamps reaches this many times the nominal volts. */
    static final double LIGHTING_VOLTS = 2;

    /** Exponent of Peukert's law for a lead-acid battery, typical (docs/SOURCES.md). */
    public static final double USUAL_PEUKERT = 1.2;

    /** The fastest an alternator may turn, rpm of its own shaft (typical). */
    public static final double ALTERNATOR_LIMIT = 18_000;

    /** The fastest a dynamo may turn, rpm of its own shaft (typical). */
    public static final double DYNAMO_LIMIT = 9_000;

    private static final double FALLS_PER_KELVIN = -0.007 / 14;
    private static final double[] REST_VOLTS = {11.9, 12.05, 12.2, 12.45, 12.7};
    private static final double CUT_IN_RPM = 1100;
    private static final double FULL_RPM = 6000;
    private static final double RISE_RPM = 1600;

    private SourceCurves() {}

    /**
     * Rested volts of a lead-acid battery: 11.9 flat to 12.7 full for 12 V, straight between the
     * quarters.
     */
    public static double restVolts(double nominal, double charge) {
        double quarter = Math.clamp(charge, 0, 1) * (REST_VOLTS.length - 1);
        int below = Math.min((int) quarter, REST_VOLTS.length - 2);
        double volts =
                REST_VOLTS[below] + (quarter - below) * (REST_VOLTS[below + 1] - REST_VOLTS[below]);
        return volts * nominal / 12;
    }

    /**
     * What a lead-acid battery resists while it gives: more as it is drawn down, ten times as much
     * flat, and 2 % more for each kelvin below 20 °C (typical), so that a flat one does not crank.
     */
    public static double givingOhms(double internal, double charge, double celsius) {
        double empty = 1 - Math.clamp(charge, 0, 1);
        double cold = Math.max(0, 20 - celsius);
        return internal * (1 + 9 * empty * empty * empty) * (1 + 0.02 * cold);
    }

    /**
     * What a lead-acid battery resists while it is charged, ohms: at 14.2 V a flat 12 V battery
     * takes about 40 A, a half full one 16 A, a full one 4 A (typical).
     */
    public static double fillingOhms(double nominal, double internal, double charge) {
        double share = Math.clamp(charge, 0, 1);
        return internal + (0.05 + 0.07 * share + 0.25 * share * share) * nominal / 12;
    }

    /**
     * The most an alternator gives at a speed of its own shaft: nothing below 1100 rpm, then rising
     * as 1 − e^(−n/1600) to its rating at 6000 rpm.
     */
    public static double alternatorAmps(double rated, double rpm) {
        if (rpm <= CUT_IN_RPM) {
            return 0;
        }
        double share =
                -Math.expm1(-(rpm - CUT_IN_RPM) / RISE_RPM)
                        / -Math.expm1(-(FULL_RPM - CUT_IN_RPM) / RISE_RPM);
        return rated * Math.min(1, share);
    }

    /**
     * The most an alternator gives at a speed of its own shaft, by its own curve where it has one.
     */
    public static double amps(SourceKind.Alternator alternator, Rpm shaft) {
        return alternator
                .curve()
                .map(curve -> curve.at(shaft).value())
                .orElseGet(() -> alternatorAmps(alternator.rated().value(), shaft.value()));
    }

    /** The most a dynamo gives at a speed of its own shaft, by its own curve where it has one. */
    public static double amps(SourceKind.Dynamo dynamo, Rpm shaft) {
        return dynamo.curve()
                .map(curve -> curve.at(shaft).value())
                .orElseGet(() ->
                        dynamoAmps(dynamo.rated().value(), shaft.value() / dynamo.cutIn().value()));
    }

    /** What a flywheel alternator gives at an engine speed, by its own curve where it has one. */
    public static double amps(SourceKind.Flywheel flywheel, Rpm engine) {
        return flywheel.curve()
                .map(curve -> curve.at(engine).value())
                .orElseGet(() ->
                        flywheelAmps(
                                flywheel.amps().value(), engine.value() / flywheel.full().value()));
    }

    /**
     * What a regulator holds at a temperature: 7 mV less for each kelvin above 20 °C at 14 V
     * (typical).
     */
    static double warmed(double setPoint, double celsius) {
        return setPoint * (1 + FALLS_PER_KELVIN * (celsius - 20));
    }

    /**
     * What a dynamo could hold with its full field, at a speed as a share of its cut-in speed: its
     * nominal volts there, rising with speed to twice that.
     */
    static double dynamoVolts(double nominal, double speed) {
        return nominal * Math.min(2, 1.06 * speed);
    }

    /** The most a dynamo gives: nothing at its cut-in speed, all of it from 1.8 times that on. */
    static double dynamoAmps(double rated, double speed) {
        return rated * Math.clamp((speed - 1) / 0.8, 0, 1);
    }

    /**
     * What a flywheel alternator gives: rising as 1 − e^(−2.5 n) to its rating at full speed, then
     * nearly level.
     */
    static double flywheelAmps(double rated, double speed) {
        return rated * -Math.expm1(-2.5 * Math.max(0, speed)) / -Math.expm1(-2.5);
    }

    /**
     * What a lead-acid battery of that inner resistance mostly holds, ampere-hours: 45 Ah at 8 mΩ
     * for 12 V (typical).
     */
    public static double usualCapacity(double nominal, double internal) {
        return 0.36 / internal * nominal / 12;
    }
}
