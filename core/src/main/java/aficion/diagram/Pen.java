package aficion.diagram;

import aficion.catalogue.Colour;
import java.util.Optional;

/**
 * What a mark is drawn with: who draws it says how thick and how dark that is.
 *
 * @param colour of a wire; empty for all that is drawn in ink
 */
public record Pen(Ink ink, Look look, Optional<Colour> colour) {

    /** What a mark is. */
    public enum Ink {
        /** A line inside a symbol. */
        LINE,
        /** What moves what, dashed and thin. */
        THIN,
        /** A shape inside a symbol, with paper inside. */
        SHAPE,
        /** A shape that leaves what it lies on to be seen. */
        HOLLOW,
        /** A contact of a switch. */
        SEAT,
        /** A joint. */
        SOLID,
        /** The body of a part. */
        BODY,
        /** The dark edge of a wire. */
        CASE,
        /** The wire itself, in its colour. */
        CORE,
        /** The tracer along it, dashed. */
        TRACER,
        /** The dark edge of a feed that circuits share, and the feed in its colour. */
        TRUNK_CASE,
        TRUNK_CORE,
        /** Where wires meet on their way. */
        DOT,
        EARTH,
        /** The flag of a wire that goes on in another circuit. */
        JUMP,
        /** Words. */
        TEXT,
        /** The name of a pin. */
        PIN,
        /** Paper behind words. */
        BACK,
        /** A curve of a plot. */
        CURVE,
        /** The ground between two curves: good, or wrong. */
        GROUND,
        /** A line of a plot's grid. */
        GRID,
        /** Where something stands now. */
        MARKER
    }

    /** How a mark stands out. */
    public enum Look {
        PLAIN,
        /** Current flows. */
        LIVE,
        DIM,
        WRONG
    }

    /** A pen for what stands out in no way. */
    public static Pen of(Ink ink) {
        return of(ink, Look.PLAIN);
    }

    /** A pen without a colour of its own. */
    public static Pen of(Ink ink, Look look) {
        return new Pen(ink, look, Optional.empty());
    }

    static Pen of(Ink ink, Colour colour) {
        return new Pen(ink, Look.PLAIN, Optional.of(colour));
    }
}
