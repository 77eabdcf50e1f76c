package aficion.job;

import aficion.catalogue.WireSize.Standard;
import aficion.quantity.Kelvins;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.SquareMillimetres;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

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
 * @param colours how wires are told apart by colour, where that has been said
 * @param schools the ways of doing it that are not the default
 * @param law what local law asks of this vehicle, in the user's words; never assumed
 */
public record HouseRules(
        Ratio strictDrop,
        Ratio ordinaryDrop,
        Ratio fuseLoad,
        Kelvins margin,
        SquareMillimetres leastSection,
        Ohms joint,
        Seconds shortTime,
        Standard sizes,
        Optional<Colouring> colours,
        Optional<List<WorkshopPractice>> schools,
        Optional<String> law) {

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
                    Standard.METRIC,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());

    public HouseRules {
        schools = schools.map(List::copyOf);
        share("strict drop", strictDrop);
        share("ordinary drop", ordinaryDrop);
        share("fuse load", fuseLoad);
        Positive.require("joint resistance", joint);
        Positive.require("short time", shortTime);
        if (margin.value() < 0 || margin.value() > 50) {
            throw new IllegalArgumentException("the margin is 0 to 50 K, not " + margin.value());
        }
    }

    /** The volts a circuit of that rule may lose, as a share of the vehicle's. */
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

    /** The way a question of practice is answered. */
    public WorkshopPractice school(WorkshopPractice.Question question) {
        return schools.orElse(List.of()).stream()
                .filter(school -> school.question() == question)
                .findFirst()
                .orElse(question.schools().getFirst());
    }

    /** Whether this is how the house answers the question of a school. */
    public boolean workBy(WorkshopPractice school) {
        return school(school.question()) == school;
    }

    /** The same rules with wire bought by another standard. */
    public HouseRules withSizes(Standard changed) {
        return with(changed, colours, schools, law);
    }

    /** The same with wires coloured otherwise. */
    public HouseRules withColours(Colouring changed) {
        return withColouring(Optional.of(changed));
    }

    /** The same rules with wires told apart otherwise, or in no way of their own. */
    public HouseRules withColouring(Optional<Colouring> changed) {
        return with(sizes, changed, schools, law);
    }

    /** The same rules with other drops. */
    public HouseRules withDrops(Ratio strict, Ratio ordinary) {
        return new HouseRules(
                strict,
                ordinary,
                fuseLoad,
                margin,
                leastSection,
                joint,
                shortTime,
                sizes,
                colours,
                schools,
                law);
    }

    /** The same rules with one question of practice answered otherwise. */
    public HouseRules withSchool(WorkshopPractice school) {
        var others =
                schools.orElse(List.of()).stream()
                        .filter(other -> other.question() != school.question());
        boolean usual = school == school.question().schools().getFirst();
        var changed = Stream.concat(others, usual ? Stream.empty() : Stream.of(school)).toList();
        return with(sizes, colours, Optional.of(changed).filter(list -> !list.isEmpty()), law);
    }

    /** The same rules with what local law asks; nothing where the text is blank. */
    public HouseRules withLaw(String text) {
        return with(sizes, colours, schools, Optional.of(text.strip()).filter(t -> !t.isEmpty()));
    }

    private HouseRules with(
            Standard standard,
            Optional<Colouring> colouring,
            Optional<List<WorkshopPractice>> practice,
            Optional<String> asked) {
        return new HouseRules(
                strictDrop,
                ordinaryDrop,
                fuseLoad,
                margin,
                leastSection,
                joint,
                shortTime,
                standard,
                colouring,
                practice,
                asked);
    }
}
