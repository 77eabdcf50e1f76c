package aficion.job;

import aficion.catalogue.WireSize.Standard;
import aficion.quantity.Kelvins;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.SquareMillimetres;

/**
 * Where good people differ, one choice each.
 *
 * @param strictDrop share of the system volts a strict circuit may lose, out and back
 * @param ordinaryDrop share of the system volts any other circuit may lose
 * @param fuseLoad share of what a fuse carries that a steady load may take
 * @param margin how far a conductor stays below the limit of its insulation
 * @param leastSection the thinnest copper that is strong enough to handle
 * @param joint resistance of one crimped end
 * @param shortTime how long a load counts that a hand has to hold on
 * @param sizes the standard wire is bought by
 */
public record HouseRules(
        Ratio strictDrop,
        Ratio ordinaryDrop,
        Ratio fuseLoad,
        Kelvins margin,
        SquareMillimetres leastSection,
        Ohms joint,
        Seconds shortTime,
        Standard sizes) {

    /** 3 % and 10 %, four fifths of a fuse, 20 K, 0.5 mm², 0.5 mΩ a crimp, 30 s, metric. */
    public static final HouseRules USUAL =
            new HouseRules(
                    new Ratio(0.03),
                    new Ratio(0.10),
                    new Ratio(0.8),
                    new Kelvins(20),
                    new SquareMillimetres(0.5),
                    new Ohms(0.0005),
                    new Seconds(30),
                    Standard.METRIC);

    public HouseRules {
        share("strict drop", strictDrop);
        share("ordinary drop", ordinaryDrop);
        share("fuse load", fuseLoad);
        Positive.require("joint resistance", joint);
        Positive.require("short time", shortTime);
        if (margin.value() < 0 || margin.value() > 50) {
            throw new IllegalArgumentException("the margin is 0 to 50 K, not " + margin.value());
        }
    }

    public Ratio drop(Circuit.Drops drops) {
        return switch (drops) {
            case STRICT -> strictDrop;
            case ORDINARY -> ordinaryDrop;
        };
    }

    private static void share(String what, Ratio ratio) {
        if (!(ratio.value() > 0 && ratio.value() <= 1)) {
            throw new IllegalArgumentException(
                    what + " is a share above 0 and up to 1, not " + ratio.value());
        }
    }

    /** The same rules with wire bought by another standard. */
    public HouseRules withSizes(Standard changed) {
        return new HouseRules(
                strictDrop,
                ordinaryDrop,
                fuseLoad,
                margin,
                leastSection,
                joint,
                shortTime,
                changed);
    }
}
