package aficion.route;

import aficion.quantity.Metres;

/**
 * A place on the vehicle's plan.
 *
 * @param along behind the front axle; before it below zero
 * @param across right of the middle, looking forward; left of it below zero
 * @param up above the ground
 */
public record Spot(Metres along, Metres across, Metres up) {
    private static final double FARTHEST = 20;

    public Spot {
        for (var part : new Metres[] {along, across, up}) {
            if (Math.abs(part.value()) > FARTHEST) {
                throw new IllegalArgumentException(
                        "a place is within " + FARTHEST + " m, not at " + part.value() + " m");
            }
        }
    }

    /** The straight way to another place. */
    public Metres to(Spot other) {
        double x = along.value() - other.along.value();
        double y = across.value() - other.across.value();
        double z = up.value() - other.up.value();
        return new Metres(Math.sqrt(x * x + y * y + z * z));
    }

    /** The place between this and another. */
    public Spot halfway(Spot other) {
        return new Spot(
                new Metres((along.value() + other.along.value()) / 2),
                new Metres((across.value() + other.across.value()) / 2),
                new Metres((up.value() + other.up.value()) / 2));
    }
}
