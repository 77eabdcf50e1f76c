package aficion.size;

import aficion.catalogue.Conductor;
import aficion.job.HouseRules;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Kelvins;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Watts;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

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
    private static final double SHAPE = Math.pow(1 + Math.pow(0.559 / PRANDTL, 9.0 / 16), 8.0 / 27);
    private static final double GAS = 287.05;
    private static final double PRESSURE = 101325;
    private static final double ZERO = 273.15;
    private static final double HOTTEST = 400;
    private static final double CLOSE = 1e-7;

    /** Conductivity of PVC, W/mK, typical; cross-linked polyethylene is better. */
    private static final double INSULATION_CONDUCTIVITY = 0.17;

    /** A strand bundle is about a tenth wider than solid copper of the same section, typical. */
    private static final double STRANDING = 1.1;

    private static final String SOURCE = "Churchill, Chu 1975, eq. 9; Stefan-Boltzmann";

    private HeatBalance() {}

    /** What a wire could carry for good where it runs, were it of that conductor. */
    public static Working carries(Conductor conductor, Wire wire, HouseRules rules) {
        return carries(conductor, wire.zone().ambient(), rise(wire, rules));
    }

    /** What a wire could carry for good up to the limit of its cover, were it of that conductor. */
    public static Working limit(Conductor conductor, Wire wire) {
        double rise = wire.insulation().limit().value() - wire.zone().ambient().value();
        return carries(conductor, wire.zone().ambient(), new Kelvins(rise));
    }

    /** How much warmer than the air around it a wire may get. */
    static Kelvins rise(Wire wire, HouseRules rules) {
        double limit = wire.insulation().limit().value() - rules.margin().value();
        return new Kelvins(limit - wire.zone().ambient().value());
    }

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
                        new Given("Ta", ambient, Origin.TABLE),
                        new Given("ΔT", new Kelvins(Math.max(0, rise.value())), Origin.HOUSE_RULE)),
                List.of(
                        new Step("T", new Celsius(hot)),
                        new Step("R(T)", new Ohms(resistance)),
                        new Step("q", new Watts(shed)),
                        new Step("I", new Amps(amps))),
                Optional.empty(),
                SOURCE);
    }

    /**
     * How warm the conductor gets that carries the current for good; never above 400 °C. Sought is
     * the warmth of its surface, from which that of its copper follows.
     */
    public static Celsius temperature(Conductor conductor, Celsius ambient, Amps current) {
        double cold = conductor.perMetre().value() * current.value() * current.value();
        double outside = conductor.outside().value();
        double wall = wall(conductor);
        double surface =
                zero(
                        at -> {
                            double shed = fromSurface(outside, ambient.value(), at);
                            return shed - cold * Conductor.warmth(at + shed * wall);
                        },
                        ambient.value(),
                        HOTTEST);
        double hot = surface + fromSurface(outside, ambient.value(), surface) * wall;
        return new Celsius(Math.min(hot, HOTTEST));
    }

    /** Watts a metre sheds when its copper is that hot. */
    private static double shed(Conductor conductor, double ambient, double hot) {
        double outside = conductor.outside().value();
        double wall = wall(conductor);
        double surface =
                zero(at -> fromSurface(outside, ambient, at) * wall - (hot - at), ambient, hot);
        return fromSurface(outside, ambient, surface);
    }

    /** Kelvins between copper and surface for each watt a metre. */
    static double wall(Conductor conductor) {
        double copper = STRANDING * 2 * Math.sqrt(conductor.copper().value() / Math.PI) / 1000;
        return Math.log(Math.max(1, conductor.outside().value() / copper))
                / (2 * Math.PI * INSULATION_CONDUCTIVITY);
    }

    /**
     * Where a rising function passes zero between two bounds, or the bound it would pass (regula
     * falsi, Illinois).
     */
    static double zero(DoubleUnaryOperator rising, double low, double high) {
        double left = low;
        double right = high;
        double below = rising.applyAsDouble(left);
        double above = rising.applyAsDouble(right);
        if (below >= 0) {
            return left;
        }
        if (above <= 0) {
            return right;
        }
        int side = 0;
        for (int i = 0; i < 100 && right - left > CLOSE; i++) {
            double middle = (left * above - right * below) / (above - below);
            double value = rising.applyAsDouble(middle);
            if (Math.abs(value) < 1e-12) {
                return middle;
            }
            if (value < 0) {
                left = middle;
                below = value;
                above = side < 0 ? above / 2 : above;
                side = -1;
            } else {
                right = middle;
                above = value;
                below = side > 0 ? below / 2 : below;
                side = 1;
            }
        }
        return (left + right) / 2;
    }

    /** Watts a metre of a horizontal cylinder sheds from its surface. */
    static double fromSurface(double diameter, double ambient, double surface) {
        double rise = surface - ambient;
        if (rise <= 0) {
            return 0;
        }
        double film = (surface + ambient) / 2 + ZERO;
        double conductivity = 0.0257 * Math.pow(film / 293, 0.9);
        double viscosity =
                1.458e-6 * film * Math.sqrt(film) / (film + 110.4) * GAS * film / PRESSURE;
        double rayleigh = GRAVITY / film * rise * cube(diameter) / square(viscosity) * PRANDTL;
        double nusselt = square(0.60 + 0.387 * Math.pow(rayleigh, 1.0 / 6) / SHAPE);
        double radiated =
                EMISSIVITY
                        * STEFAN_BOLTZMANN
                        * (square(square(surface + ZERO)) - square(square(ambient + ZERO)));
        return Math.PI * diameter * (nusselt * conductivity / diameter * rise + radiated);
    }

    private static double square(double x) {
        return x * x;
    }

    private static double cube(double x) {
        return x * x * x;
    }
}
