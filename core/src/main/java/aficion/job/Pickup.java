package aficion.job;

import aficion.quantity.Metres;
import aficion.quantity.Ratio;

/**
 * What counts the turns of a shaft for a speedometer or a rev counter.
 *
 * @param shaft diameter that carries the marks
 * @param marks how many magnets, teeth or bolts pass the sensor in a turn
 * @param wheel rolling diameter of the driven wheel
 * @param drive turns of the shaft for each of the wheel: the axle's ratio at a propeller shaft, 1
 *     at a wheel
 */
public record Pickup(Metres shaft, int marks, Metres wheel, Ratio drive) {
    private static final int MOST = 200;

    /**
     * @throws IllegalArgumentException when something of it has no size or there is no mark
     */
    public Pickup {
        Positive.require("diameter of the shaft", shaft);
        Positive.require("diameter of the wheel", wheel);
        Positive.require("turns of the shaft", drive);
        if (marks < 1 || marks > MOST) {
            throw new IllegalArgumentException("there are 1 to " + MOST + " marks");
        }
    }
}
