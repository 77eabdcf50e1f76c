package aficion.make;

import aficion.catalogue.Ends;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.Wire;
import aficion.quantity.Metres;
import java.util.List;

/**
 * How long a wire is cut, term by term (docs/SOURCES.md): its way, slack, and for each end the rise
 * to the terminal, a loop to make the end again from, and the copper that is stripped; rounded up
 * to 10 mm. A wire with a length of its own rises nowhere: it was measured from terminal to
 * terminal.
 *
 * @param along the way it rides, or the length it was given
 * @param slack what it has to spare on the way
 * @param ends of both ends, the first one first
 * @param cut all of it, rounded up
 */
public record CutLength(Wire wire, Metres along, Metres slack, List<AtEnd> ends, Metres cut) {
    /** Slack of the way, typical. */
    public static final double SLACK = 0.03;

    private static final double LOOP = 0.05;
    private static final double LOOP_AT_PLUG = 0.12;
    private static final double ROUNDED = 0.01;

    /** What one end adds. */
    public record AtEnd(Metres rise, Metres loop, Metres strip) {
        /** All of it. */
        public Metres sum() {
            return new Metres(rise.value() + loop.value() + strip.value());
        }
    }

    public CutLength {
        ends = List.copyOf(ends);
    }

    /** What both ends add. */
    public Metres atEnds() {
        return new Metres(ends.stream().mapToDouble(end -> end.sum().value()).sum());
    }

    /** How long a wire of a design is cut. */
    public static CutLength of(Design design, Wire wire) {
        boolean routed = wire.laid() instanceof Laid.Routed;
        double rise = routed ? Body.RISE.value() : 0;
        double along = wire.length().metres().value() - 2 * rise;
        double slack = wire.slack().map(Metres::value).orElse(0.0) + SLACK * along;
        var ends =
                List.of(wire.from(), wire.to()).stream()
                        .map(end -> atEnd(design, end, rise))
                        .toList();
        double sum = along + slack + ends.stream().mapToDouble(end -> end.sum().value()).sum();
        return new CutLength(
                wire, new Metres(along), new Metres(slack), ends, new Metres(rounded(sum)));
    }

    private static AtEnd atEnd(Design design, End end, double rise) {
        boolean plug = design.part(end.terminal().part()).kind() instanceof JoinKind.Connector;
        return new AtEnd(
                new Metres(rise),
                new Metres(plug ? LOOP_AT_PLUG : LOOP),
                Ends.of(end.termination().fitting().family()).strip());
    }

    private static double rounded(double metres) {
        return Math.ceil(metres / ROUNDED - 1e-6) * ROUNDED;
    }
}
