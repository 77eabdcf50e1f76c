package aficion.solve;

import aficion.netlist.Branch;

/** Current and slope of a branch at given volts, in a given state. */
final class Laws {
    /**
     * Slope of a source that gives all or nothing; keeps an island of its own solvable, siemens.
     */
    private static final double FLAT = 1e-9;

    private Laws() {}

    static boolean conducts(Branch branch, State state, int index) {
        return switch (branch) {
            case Branch.Contact contact -> contact.closed();
            case Branch.Driven driven -> state.pulled[driven.coil()] == driven.makes();
            case Branch.Trip _ -> state.whole[index];
            case Branch.Limited limited -> state.pulled[limited.coil()];
            case Branch.Resistance _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Settling _ ->
                    true;
        };
    }

    static boolean bends(Branch branch) {
        return branch instanceof Branch.Filament
                || branch instanceof Branch.Rectifier
                || branch instanceof Branch.Source
                || branch instanceof Branch.Limited;
    }

    private static double inner(Branch.Source source, double volts) {
        return volts > source.emf() ? source.filling() : source.ohms();
    }

    /** Current from a to b when a is {@code volts} above b. */
    static double amps(Branch branch, double volts, State state, int index) {
        if (!conducts(branch, state, index)) {
            return 0;
        }
        return switch (branch) {
            case Branch.Resistance(_, _, var ohms) -> volts / ohms;
            case Branch.Contact(_, _, var ohms, _) -> volts / ohms;
            case Branch.Driven(_, _, var ohms, _, _) -> volts / ohms;
            case Branch.Trip(_, _, var ohms, _, _) -> volts / ohms;
            case Branch.Settling _ -> volts / state.settled[index];
            case Branch.Filament filament -> filament.amps(volts);
            case Branch.Rectifier(_, _, var saturation, var thermal) ->
                    saturation * Math.expm1(volts / thermal);
            case Branch.Source source -> (volts - source.emf()) / inner(source, volts);
            case Branch.Limited limited -> -limited.sign() * given(limited, limited.sign() * volts);
        };
    }

    /** Slope of {@link #amps}. */
    static double slope(Branch branch, double volts, State state, int index) {
        if (!conducts(branch, state, index)) {
            return 0;
        }
        return switch (branch) {
            case Branch.Resistance(_, _, var ohms) -> 1 / ohms;
            case Branch.Contact(_, _, var ohms, _) -> 1 / ohms;
            case Branch.Driven(_, _, var ohms, _, _) -> 1 / ohms;
            case Branch.Trip(_, _, var ohms, _, _) -> 1 / ohms;
            case Branch.Settling _ -> 1 / state.settled[index];
            case Branch.Filament filament -> filament.slope(volts);
            case Branch.Rectifier(_, _, var saturation, var thermal) ->
                    saturation / thermal * Math.exp(volts / thermal);
            case Branch.Source source -> 1 / inner(source, volts);
            case Branch.Limited limited ->
                    region(limited, limited.sign() * volts) == Region.REGULATING
                            ? 1 / limited.ohms()
                            : FLAT;
        };
    }

    /** Where a limited source works. */
    enum Region {
        FULL,
        REGULATING,
        IDLE
    }

    static Region region(Branch.Limited source, double volts) {
        if (volts >= source.emf()) {
            return Region.IDLE;
        }
        return volts > floor(source) ? Region.REGULATING : Region.FULL;
    }

    /** The volts below which a limited source gives all it can. */
    static double floor(Branch.Limited source) {
        return source.emf() - source.limit() * source.ohms();
    }

    private static double given(Branch.Limited source, double volts) {
        return switch (region(source, volts)) {
            case IDLE -> FLAT * (source.emf() - volts);
            case REGULATING -> (source.emf() - volts) / source.ohms();
            case FULL -> source.limit() + FLAT * (floor(source) - volts);
        };
    }
}
