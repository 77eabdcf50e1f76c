package aficion.forming;

import aficion.forming.FormingBoard.Lying;
import aficion.forming.Loom.Knot;
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
            var meeting = meeting(board, knot);
            fixings.addAll(nails(meeting));
            if (meeting.size() == 1) {
                fixings.addAll(end(meeting.getFirst()));
            }
            meeting.getFirst()
                    .lying()
                    .strand()
                    .grommet(knot)
                    .ifPresent(_ -> {
                        var leaving = meeting.getFirst();
                        fixings.add(new Grommet(leaving.at(), leaving.angle(), leaving.diameter()));
                    });
        }
        return List.copyOf(fixings);
    }

    /** A strand as it leaves a knot. */
    record Leaving(Lying lying, At at, double angle) {
        Metres diameter() {
            return lying.strand().dress().diameter();
        }

        At beyond(double metres) {
            return new At(at.x() + metres * Math.cos(angle), at.y() + metres * Math.sin(angle));
        }
    }

    /** The strands that meet a knot. */
    static List<Leaving> meeting(FormingBoard board, Knot knot) {
        var meeting = new ArrayList<Leaving>();
        for (var lying : board.strands()) {
            var way = lying.way();
            if (lying.strand().from().equals(knot)) {
                meeting.add(leaving(lying, way.getFirst(), way.get(1)));
            }
            if (lying.strand().to().equals(knot)) {
                meeting.add(leaving(lying, way.getLast(), way.get(way.size() - 2)));
            }
        }
        return meeting;
    }

    private static Leaving leaving(Lying lying, At at, At next) {
        return new Leaving(lying, at, Math.atan2(next.y() - at.y(), next.x() - at.x()));
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
            double x = towards(at, way.get(i - 1)).x() + towards(at, way.get(i + 1)).x();
            double y = towards(at, way.get(i - 1)).y() + towards(at, way.get(i + 1)).y();
            nails.add(nail(at, Math.atan2(y, x), lying.strand().dress().diameter()));
        }
        return nails;
    }

    private static At towards(At from, At to) {
        double far = Math.hypot(to.x() - from.x(), to.y() - from.y());
        return new At((to.x() - from.x()) / far, (to.y() - from.y()) / far);
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
                nails.add(new Nail(moved(at, angles[i] + half, away)));
            }
        }
        return nails;
    }

    private static Nail nail(At at, double angle, Metres diameter) {
        return new Nail(moved(at, angle, diameter.value() / 2 + NAIL_AWAY));
    }

    private static At moved(At at, double angle, double metres) {
        return new At(at.x() + metres * Math.cos(angle), at.y() + metres * Math.sin(angle));
    }

    private static List<Fixing> end(Leaving leaving) {
        var fixings = new ArrayList<Fixing>();
        fixings.add(
                new Tail(
                        leaving.at(),
                        moved(leaving.at(), leaving.angle() + Math.PI, TO_LABEL),
                        leaving.diameter()));
        if (leaving.lying().strand().dress().tape().value() > 0) {
            fixings.add(
                    new TapeEnd(leaving.beyond(TAPE_SHORT), leaving.angle(), leaving.diameter()));
        }
        return fixings;
    }
}
