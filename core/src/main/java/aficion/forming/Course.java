package aficion.forming;

import aficion.harness.Board.At;
import java.util.ArrayList;
import java.util.List;

/** The way of a strand over a board, straight from corner to corner; lengths in metres. */
record Course(List<At> corners) {
    private static final double ROUNDED = 1e-9;

    /**
     * A place on a course.
     *
     * @param leg the corner it comes after, from nought
     * @param angle the direction there, radians
     */
    record Place(At at, int leg, double angle) {}

    /** The place after so far; the end where the course is shorter. */
    Place on(double metres) {
        double left = metres;
        int leg = 0;
        while (leg + 2 < corners.size() && left > leg(leg) + ROUNDED) {
            left -= leg(leg);
            leg++;
        }
        var from = corners.get(leg);
        var to = corners.get(leg + 1);
        return new Place(from.towards(to, Math.min(left, leg(leg))), leg, from.angle(to));
    }

    private double leg(int from) {
        return corners.get(from).to(corners.get(from + 1));
    }

    /** It up to a length. */
    List<At> upTo(double metres) {
        var place = on(metres);
        var part = new ArrayList<>(corners.subList(0, place.leg + 1));
        part.add(place.at);
        return part;
    }

    /** It from a length on; the end alone where that is all of it. */
    List<At> after(double metres) {
        var place = on(metres);
        var part = new ArrayList<>(List.of(place.at));
        corners.stream()
                .skip(place.leg + 1L)
                .dropWhile(corner -> corner.to(place.at) < ROUNDED)
                .forEach(part::add);
        return part;
    }

    /** How far a place is from it. */
    double far(At at) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i + 1 < corners.size(); i++) {
            var from = corners.get(i);
            double angle = from.angle(corners.get(i + 1));
            double along =
                    (at.x() - from.x()) * Math.cos(angle) + (at.y() - from.y()) * Math.sin(angle);
            var nearest = from.moved(angle, Math.clamp(along, 0, leg(i)));
            least = Math.min(least, nearest.to(at));
        }
        return least;
    }
}
