package aficion.forming;

import aficion.forming.Folding.Outcome;
import aficion.forming.Loom.Knot;
import aficion.forming.Loom.Strand;
import aficion.harness.Board.At;
import aficion.job.Design;
import aficion.quantity.Metres;
import aficion.route.StationId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A loom as it lies on its forming board: every strand at its true length, none crossing another.
 * Places are metres from the upper left corner.
 *
 * @param knots where strands end or part
 */
public record FormingBoard(Loom loom, Surface surface, List<Lying> strands, Map<Knot, At> knots) {
    /** Room between strands that is looked for first, from edge to edge, metres. */
    private static final double ROOM = 0.06;

    /**
     * Room between strands where there is not as much: enough for 40 mm wherever it is measured.
     */
    private static final double LEAST_ROOM = 0.048;

    /** An eighth of a turn is made in as many bend radii, its corners cut. */
    private static final double EIGHTH = 0.766;

    private static final double LEAST_STEP = 0.045;

    /** Of a board that is covered by strands and the room they keep, more is never found. */
    private static final double FULL = 0.45;

    private static final double LARGEST = 25;

    /** Room for words round what lies on a board, metres. */
    private static final double AROUND = 0.13;

    private static final double LEAST_SIDE = 0.3;

    /** A strand where it lies, from its first knot to its last. */
    public record Lying(Strand strand, List<At> way) {
        public Lying {
            way = List.copyOf(way);
        }

        /** How far a place is from it, metres. */
        double far(At at) {
            return new Course(way).far(at);
        }

        /** The place so far along it from its first knot. */
        Course.Place on(double metres) {
            return new Course(way).on(metres);
        }
    }

    /**
     * A strand as it leaves a knot.
     *
     * @param angle its direction there, radians
     */
    record Leaving(Lying lying, At at, double angle) {
        Metres diameter() {
            return lying.strand().dress().diameter();
        }
    }

    /** The strands that meet a knot. */
    List<Leaving> meeting(Knot knot) {
        var meeting = new ArrayList<Leaving>();
        for (var lying : strands) {
            var way = lying.way;
            if (lying.strand.from().equals(knot)) {
                meeting.add(leaving(lying, way.getFirst(), way.get(1)));
            }
            if (lying.strand.to().equals(knot)) {
                meeting.add(leaving(lying, way.getLast(), way.get(way.size() - 2)));
            }
        }
        return meeting;
    }

    private static Leaving leaving(Lying lying, At at, At next) {
        return new Leaving(lying, at, at.angle(next));
    }

    /** Whether a loom fits a board. */
    public sealed interface Fit {
        /** It does. */
        record Fits(FormingBoard board) implements Fit {}

        /**
         * No room was found for what leaves a station, or there is more harness than board.
         *
         * @param station where it most often failed
         * @param full whether no board as small as that can take as much harness
         */
        record TooSmall(Loom loom, Surface surface, StationId station, boolean full)
                implements Fit {}
    }

    public FormingBoard {
        strands = List.copyOf(strands);
        knots = Map.copyOf(knots);
    }

    /**
     * How one of the looms of a design lies.
     *
     * @param looms how many there are
     * @param fit of the one; empty when there is none of its number
     */
    public record Answer(int looms, Optional<Fit> fit) {
        /** The board, where the loom lies on it. */
        public Optional<FormingBoard> board() {
            return fit.flatMap(found ->
                    found instanceof Fit.Fits(var board) ? Optional.of(board) : Optional.empty());
        }
    }

    /** Lays one of the looms of a design, on a board or on one as large as needed. */
    public static Answer of(Design design, int number, Optional<Surface> surface) {
        var looms = Loom.of(design);
        return new Answer(
                looms.size(),
                looms.stream()
                        .filter(loom -> loom.number() == number)
                        .findFirst()
                        .map(loom ->
                                surface.map(board -> of(loom, board))
                                        .orElseGet(() -> asNeeded(loom))));
    }

    /** The strand that is nearest to a place and no farther than so many metres. */
    public Optional<Strand> nearest(At at, double metres) {
        return strands.stream()
                .filter(lying -> lying.far(at) <= metres)
                .min(Comparator.comparingDouble(lying -> lying.far(at)))
                .map(Lying::strand);
    }

    /** Lays a loom on a board. */
    public static Fit of(Loom loom, Surface surface) {
        boolean full = loom.length().value() * LEAST_ROOM > FULL * surface.area();
        var knots = loom.knots();
        if (full) {
            return new Fit.TooSmall(loom, surface, knots.getFirst().station(), true);
        }
        var tree = tree(loom, knots);
        Outcome outcome = new Outcome.NoRoom(0);
        for (double room : new double[] {ROOM, LEAST_ROOM}) {
            outcome = new Folding(tree, surface, room + widest(loom)).fold();
            if (outcome instanceof Outcome.Lies(var ways)) {
                return new Fit.Fits(lying(loom, surface, ways));
            }
        }
        int worst = ((Outcome.NoRoom) outcome).knot();
        return new Fit.TooSmall(loom, surface, knots.get(worst).station(), false);
    }

    /** Lays a loom on a door, on two, or on the smallest of ever larger boards that takes it. */
    public static Fit asNeeded(Loom loom) {
        var surface = Surface.DOOR;
        var fit = of(loom, surface);
        while (fit instanceof Fit.TooSmall && surface.area() < LARGEST) {
            surface = surface.equals(Surface.DOOR) ? Surface.TWO_DOORS : surface.larger();
            fit = of(loom, surface);
        }
        return fit;
    }

    /** The same on the part of the board that it takes, with room for words around it. */
    public FormingBoard trimmed() {
        var all = strands.stream().flatMap(lying -> lying.way().stream()).toList();
        double left = all.stream().mapToDouble(At::x).min().orElse(0) - AROUND;
        double top = all.stream().mapToDouble(At::y).min().orElse(0) - AROUND;
        double right = all.stream().mapToDouble(At::x).max().orElse(0) + AROUND;
        double bottom = all.stream().mapToDouble(At::y).max().orElse(0) + AROUND;
        return new FormingBoard(
                loom,
                new Surface(
                        new Metres(Math.max(LEAST_SIDE, right - left)),
                        new Metres(Math.max(LEAST_SIDE, bottom - top))),
                strands.stream()
                        .map(lying ->
                                new Lying(
                                        lying.strand(),
                                        lying.way().stream()
                                                .map(at -> new At(at.x() - left, at.y() - top))
                                                .toList()))
                        .toList(),
                knots.entrySet().stream()
                        .collect(
                                Collectors.toMap(
                                        Map.Entry::getKey,
                                        each ->
                                                new At(
                                                        each.getValue().x() - left,
                                                        each.getValue().y() - top))));
    }

    private static double widest(Loom loom) {
        return loom.strands().stream()
                .mapToDouble(strand -> strand.dress().diameter().value())
                .max()
                .orElse(0);
    }

    private static Tree tree(Loom loom, List<Knot> knots) {
        return new Tree(
                knots.size(),
                loom.strands().stream()
                        .map(strand ->
                                new Tree.Strand(
                                        knots.indexOf(strand.from()),
                                        knots.indexOf(strand.to()),
                                        strand.length().value(),
                                        Math.max(
                                                LEAST_STEP,
                                                EIGHTH * strand.dress().bend().value())))
                        .toList());
    }

    private static FormingBoard lying(Loom loom, Surface surface, List<List<At>> ways) {
        var strands = new ArrayList<Lying>();
        var at = new LinkedHashMap<Knot, At>();
        for (int i = 0; i < ways.size(); i++) {
            var strand = loom.strands().get(i);
            strands.add(new Lying(strand, ways.get(i)));
            at.put(strand.from(), ways.get(i).getFirst());
            at.put(strand.to(), ways.get(i).getLast());
        }
        return new FormingBoard(loom, surface, strands, at);
    }
}
