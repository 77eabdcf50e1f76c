package aficion.job;

import aficion.quantity.Metres;
import java.util.List;

/**
 * A panel or a bracket to be cut and drilled.
 *
 * @param width across, and height, of the sheet
 */
public record Panel(String name, Metres width, Metres height, List<Hole> holes) {
    private static final int LONGEST = 40;

    /** The largest there is: a metre, so that it is still printed in tiles. */
    private static final double LARGEST = 1;

    /**
     * A hole, by where its middle is from the lower left corner.
     *
     * @param name what goes there
     */
    public record Hole(String name, Metres x, Metres y, Metres diameter) {
        /**
         * @throws IllegalArgumentException when it has no size
         */
        public Hole {
            Names.requireSaid("what goes into a hole", name, LONGEST);
            Positive.require("diameter", diameter);
        }
    }

    /**
     * @throws IllegalArgumentException when it has no size or is wider than a metre, or a hole is
     *     not wholly on it
     */
    public Panel {
        Names.requireSaid("the name of a panel", name, LONGEST);
        Positive.require("width", width);
        Positive.require("height", height);
        holes = List.copyOf(holes);
        if (width.value() > LARGEST || height.value() > LARGEST) {
            throw new IllegalArgumentException("a panel is a metre at most");
        }
        for (var hole : holes) {
            double half = hole.diameter().value() / 2;
            boolean inside =
                    hole.x().value() >= half
                            && hole.y().value() >= half
                            && hole.x().value() + half <= width.value()
                            && hole.y().value() + half <= height.value();
            if (!inside) {
                throw new IllegalArgumentException(
                        "the hole for " + hole.name() + " is not wholly on the panel");
            }
        }
    }

    /** The same with a hole, in the place of the one of its name. */
    public Panel with(Hole hole) {
        return new Panel(
                name,
                width,
                height,
                Listed.in(holes, hole, each -> each.name().equals(hole.name())));
    }

    /** The same without a hole. */
    public Panel without(Hole hole) {
        return new Panel(name, width, height, Listed.without(holes, hole::equals));
    }
}
