package aficion.diagram;

import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Wire;

/** The words of a drawing and how wide they are, so that room can be left for them. */
public interface Lettering {

    /** What stands on a wire. */
    String wire(Wire wire);

    /** What stands on a wire where there is little room. */
    String shortWire(Wire wire);

    /** What stands over a part. */
    String part(Part part);

    /** What stands at an earth sign. */
    String earth(PartId earth);

    /** Width of a text as it will be drawn, in drawing units. */
    double width(String text);
}
