package aficion.catalogue;

import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.SquareMillimetres;

/**
 * One size of stranded copper wire.
 *
 * @param size its designation
 * @param copper copper section
 * @param perMetre resistance of one metre at 20 °C
 * @param outside diameter over the insulation
 */
public record Conductor(WireSize size, SquareMillimetres copper, Ohms perMetre, Metres outside) {

    /** Temperature coefficient of the resistance of copper at 20 °C, 1/K (IEC 60028). */
    public static final double TEMPERATURE_COEFFICIENT = 0.00393;

    /** Resistivity of annealed copper at 20 °C, Ω·mm²/m (IEC 60028). */
    public static final double RESISTIVITY = 0.017241;

    /** How much more than at 20 °C copper resists at the temperature given, as a factor. */
    public static double warmth(double celsius) {
        return 1 + TEMPERATURE_COEFFICIENT * (celsius - 20);
    }
}
