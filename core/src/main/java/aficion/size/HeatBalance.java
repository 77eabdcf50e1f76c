package aficion.size;

import aficion.catalogue.Conductor;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Kelvins;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.List;
import java.util.Optional;

/**
 * What one wire in still air can carry, and how warm it gets.
 *
 * <p>The heat made in a metre, I²·R(T), leaves through the insulation and from its surface: by
 * natural convection of a horizontal cylinder [1] and by radiation with an emissivity of 0.9. The
 * properties of air are taken at the mean of surface and air temperature [2].
 *
 * <p>[1] S. W. Churchill, H. H. S. Chu, "Correlating equations for laminar and turbulent free
 * convection from a horizontal cylinder", Int. J. Heat Mass Transfer 18 (1975), equation 9.<br>
 * [2] W. Sutherland's law for viscosity; conductivity of dry air in proportion to T^0.9 from 0.0257
 * W/mK at 293 K.
 */
public final class HeatBalance {
    private static final double STEFAN_BOLTZMANN = 5.670374419e-8;
    private static final double EMISSIVITY = 0.9;
    private static final double GRAVITY = 9.80665;
    private static final double PRANDTL = 0.71;
    private static final double GAS = 287.05;
    private static final double PRESSURE = 101325;
    private static final double ZERO = 273.15;

    /** Conductivity of PVC, W/mK, typical; cross-linked polyethylene is better. */
    private static final double INSULATION_CONDUCTIVITY = 0.17;

    /** A strand bundle is about a tenth wider than solid copper of the same section, typical. */
    private static final double STRANDING = 1.1;

    private static final String SOURCE = "Churchill, Chu 1975, eq. 9; Stefan-Boltzmann";

    private HeatBalance() {}

    /**
     * The steady current that warms a wire from the ambient temperature by the rise given.
     *
     * @return the working; its result is in amps, zero when there is no rise to use
     */
    public static Working carries(Conductor conductor, Celsius ambient, Kelvins rise) {
        double hot = ambient.value() + Math.max(0, rise.value());
        double shed = shed(conductor, ambient.value(), hot);
        double resistance = conductor.perMetre().value() * Conductor.warmth(hot);
        double amps = Math.sqrt(shed / resistance);
        return new Working(
                Working.Topic.AMPACITY,
                "I = √(q / R(T))",
                List.of(
                        new Given("A", conductor.copper(), Origin.TABLE),
                        new Given("d", new Metres(conductor.outside().value()), Origin.TABLE),
                        new Given("T₀", ambient, Origin.TABLE),
                        new Given("ΔT", new Kelvins(Math.max(0, rise.value())), Origin.HOUSE_RULE)),
                List.of(
                        new Step("T", new Celsius(hot)),
                        new Step("R(T)", new Ohms(resistance)),
                        new Step("q", new aficion.quantity.Watts(shed)),
                        new Step("I", new Amps(amps))),
                Optional.empty(),
                SOURCE);
    }

    /** How warm the conductor gets that carries the current for good; never above 400 °C. */
    public static Celsius temperature(Conductor conductor, Celsius ambient, Amps current) {
        double low = ambient.value();
        double high = 400;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            double made =
                    current.value()
                            * current.value()
                            * conductor.perMetre().value()
                            * Conductor.warmth(middle);
            if (made > shed(conductor, ambient.value(), middle)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return new Celsius((low + high) / 2);
    }

    /** Watts a metre sheds when its copper is that hot. */
    private static double shed(Conductor conductor, double ambient, double hot) {
        double outside = conductor.outside().value();
        double copper = STRANDING * 2 * Math.sqrt(conductor.copper().value() / Math.PI) / 1000;
        double wall =
                Math.log(Math.max(1, outside / copper)) / (2 * Math.PI * INSULATION_CONDUCTIVITY);
        double low = ambient;
        double high = hot;
        for (int i = 0; i < 50; i++) {
            double surface = (low + high) / 2;
            if (fromSurface(outside, ambient, surface) * wall > hot - surface) {
                high = surface;
            } else {
                low = surface;
            }
        }
        return fromSurface(outside, ambient, (low + high) / 2);
    }

    private static double fromSurface(double diameter, double ambient, double surface) {
        double rise = surface - ambient;
        if (rise <= 0) {
            return 0;
        }
        double film = (surface + ambient) / 2 + ZERO;
        double conductivity = 0.0257 * Math.pow(film / 293, 0.9);
        double viscosity = 1.458e-6 * Math.pow(film, 1.5) / (film + 110.4) * GAS * film / PRESSURE;
        double rayleigh =
                GRAVITY / film * rise * Math.pow(diameter, 3) / (viscosity * viscosity) * PRANDTL;
        double shape = Math.pow(1 + Math.pow(0.559 / PRANDTL, 9.0 / 16), 8.0 / 27);
        double nusselt = Math.pow(0.60 + 0.387 * Math.pow(rayleigh, 1.0 / 6) / shape, 2);
        double radiated =
                EMISSIVITY
                        * STEFAN_BOLTZMANN
                        * (Math.pow(surface + ZERO, 4) - Math.pow(ambient + ZERO, 4));
        return Math.PI * diameter * (nusselt * conductivity / diameter * rise + radiated);
    }
}
