package aficion.job;

import aficion.quantity.Metres;
import java.util.List;

/**
 * A damper, pulley or flywheel that carries timing marks.
 *
 * @param diameter where the marks stand
 * @param degrees before top dead centre at which marks are wanted; after it, where below nothing
 * @param clockwise whether it turns clockwise, seen from where the marks are read
 */
public record Damper(Metres diameter, List<Double> degrees, boolean clockwise) {
    /**
     * @throws IllegalArgumentException when it has no size, or a mark is further than half a turn
     */
    public Damper {
        Positive.require("diameter", diameter);
        degrees = List.copyOf(degrees);
        if (degrees.stream().anyMatch(each -> !(Math.abs(each) <= 180))) {
            throw new IllegalArgumentException("a mark is 180 degrees from dead centre at most");
        }
    }
}
