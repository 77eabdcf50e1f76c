package aficion.forming;

import aficion.forming.FormingBoard.Leaving;
import aficion.forming.FormingBoard.Lying;
import aficion.harness.Board.At;
import aficion.harness.Dress;
import aficion.quantity.Metres;
import java.util.ArrayList;
import java.util.List;

/**
 * What holds or marks a loom on its forming board, each at its true place. Ties come every 200 mm
 * and 30 mm either side of a branch, tape begins 20 mm short of an end (docs/SOURCES.md).
 */
public sealed interface Fixing {
    /** Where it is, metres. */
    At at();

    /** A nail that the loom is led round. */
    record Nail(At at) implements Fixing {}

    /**
     * Something across a strand.
     *
     * @param angle the direction of the strand there, radians
     * @param diameter of the strand
     */
    sealed interface Across extends Fixing {
        double angle();

        Metres diameter();
    }

    /** A tie round a strand. */
    record Tie(At at, double angle, Metres diameter) implements Across {}

    /** Where tape begins or ends. */
    record TapeEnd(At at, double angle, Metres diameter) implements Across {}

    /** A grommet, which goes on before the plugs that do not pass it. */
    record Grommet(At at, double angle, Metres diameter) implements Across {}

    /** Where the wires of an end go on to their terminals, to a place for their labels. */
    record Tail(At at, At label, Metres diameter) implements Fixing {}

    double TIE_BESIDE = 0.03;
    double TAPE_SHORT = 0.02;

    /** From an end to the labels, with 40 mm left to the terminal. */
    double TO_LABEL = 0.06;

    double NAIL_AWAY = 0.006;

    /** All fixings of a board. */
    static List<Fixing> of(FormingBoard board) {
        var fixings = new ArrayList<Fixing>();
        for (var lying : board.strands()) {
            fixings.addAll(ties(lying));
            fixings.addAll(nailsAtBends(lying));
        }
        for (var knot : board.knots().keySet()) {
            var meeting = board.meeting(knot);
            var first = meeting.getFirst();
            fixings.addAll(nails(meeting));
            if (meeting.size() == 1) {
                fixings.addAll(end(first));
            }
            first.lying()
                    .strand()
                    .grommet(knot)
                    .map(_ -> new Grommet(first.at(), first.angle(), first.diameter()))
                    .ifPresent(fixings::add);
        }
        return List.copyOf(fixings);
    }

    private static List<Fixing> ties(Lying lying) {
        var strand = lying.strand();
        double length = strand.length().value();
        if (strand.dress().ties() == 0 || length < 3 * TIE_BESIDE) {
            return List.of();
        }
        var ties = new ArrayList<Fixing>();
        double between = length - 2 * TIE_BESIDE;
        int spaces = (int) Math.ceil(between / Dress.TIE_EVERY);
        for (int i = 0; i <= spaces; i++) {
            var place = lying.on(TIE_BESIDE + between * i / spaces);
            ties.add(new Tie(place.at(), place.angle(), strand.dress().diameter()));
        }
        return ties;
    }

    /** One nail inside every bend. */
    private static List<Fixing> nailsAtBends(Lying lying) {
        var nails = new ArrayList<Fixing>();
        var way = lying.way();
        for (int i = 1; i + 1 < way.size(); i++) {
            var at = way.get(i);
            var one = at.towards(way.get(i - 1), 1);
            var other = at.towards(way.get(i + 1), 1);
            var between = new At((one.x() + other.x()) / 2, (one.y() + other.y()) / 2);
            nails.add(nail(at, at.angle(between), lying.strand().dress().diameter()));
        }
        return nails;
    }

    /** At a branch one nail in every crook, at an end one on either side. */
    private static List<Fixing> nails(List<Leaving> meeting) {
        var angles = meeting.stream().mapToDouble(Leaving::angle).sorted().toArray();
        var thickest =
                new Metres(
                        meeting.stream()
                                .mapToDouble(each -> each.diameter().value())
                                .max()
                                .orElse(0));
        var at = meeting.getFirst().at();
        var nails = new ArrayList<Fixing>();
        if (angles.length == 1) {
            nails.add(nail(at, angles[0] + Math.PI / 2, thickest));
            nails.add(nail(at, angles[0] - Math.PI / 2, thickest));
        }
        for (int i = 0; i < angles.length && angles.length > 1; i++) {
            double next = i + 1 < angles.length ? angles[i + 1] : angles[0] + 2 * Math.PI;
            double half = (next - angles[i]) / 2;
            if (half < Math.PI * 0.75) {
                double away = (thickest.value() / 2 + NAIL_AWAY) / Math.max(0.3, Math.sin(half));
                nails.add(new Nail(at.moved(angles[i] + half, away)));
            }
        }
        return nails;
    }

    private static Nail nail(At at, double angle, Metres diameter) {
        return new Nail(at.moved(angle, diameter.value() / 2 + NAIL_AWAY));
    }

    private static List<Fixing> end(Leaving leaving) {
        var fixings = new ArrayList<Fixing>();
        fixings.add(
                new Tail(
                        leaving.at(),
                        leaving.at().moved(leaving.angle() + Math.PI, TO_LABEL),
                        leaving.diameter()));
        if (leaving.lying().strand().dress().tape().value() > 0) {
            fixings.add(
                    new TapeEnd(
                            leaving.at().moved(leaving.angle(), TAPE_SHORT),
                            leaving.angle(),
                            leaving.diameter()));
        }
        return fixings;
    }
}
