package aficion.bench.reason;

import aficion.netlist.Conditions;

/**
 * What was read.
 *
 * @param state where everything stood
 * @param value in volts, amps, or as a share of full light
 */
public record Reading(Conditions state, Measure what, double value) {
    public Reading {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("a reading is a finite number");
        }
    }
}
