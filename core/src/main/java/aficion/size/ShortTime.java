package aficion.size;

import aficion.catalogue.Conductor;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Kelvins;
import aficion.quantity.Seconds;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.List;
import java.util.Optional;

/**
 * What a wire can carry for a short time, as if no heat left it: I = A·√(c·ΔT/(ρ(T)·t)), with c =
 * 3.45 J/(cm³·K) for copper (IEC 60949, without its allowance for loss) and ρ at the temperature it
 * ends at.
 */
public final class ShortTime {
    private static final double HEAT_CAPACITY = 3.45;

    private ShortTime() {}

    /** The current that warms the copper by the rise in the time given; the result is in amps. */
    public static Working carries(
            Conductor conductor, Celsius ambient, Kelvins rise, Seconds time) {
        double section = conductor.copper().value();
        double hot = ambient.value() + Math.max(0, rise.value());
        double ohmMetre = conductor.perMetre().value() * section * Conductor.warmth(hot);
        double amps =
                section
                        * Math.sqrt(
                                HEAT_CAPACITY
                                        * Math.max(0, rise.value())
                                        / (ohmMetre * time.value()));
        return new Working(
                Working.Topic.SHORT_TIME,
                "I = A · √(c · ΔT / (ρ(T) · t))",
                List.of(
                        new Given("A", conductor.copper(), Origin.TABLE),
                        new Given("ΔT", new Kelvins(Math.max(0, rise.value())), Origin.HOUSE_RULE),
                        new Given("t", time, Origin.HOUSE_RULE)),
                List.of(new Step("T", new Celsius(hot)), new Step("I", new Amps(amps))),
                Optional.empty(),
                "IEC 60949, adiabatic");
    }
}
