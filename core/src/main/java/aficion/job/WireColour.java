package aficion.job;

import aficion.catalogue.Colour;
import java.util.Optional;

/** Main colour of a wire and the tracer along it, when it has one. */
public record WireColour(Colour base, Optional<Colour> tracer) {

    /** A colour without a tracer. */
    public static WireColour plain(Colour base) {
        return new WireColour(base, Optional.empty());
    }

    /** The letters of BS AU 7: {@code UR} for blue with a red tracer. */
    public String british() {
        return base.british() + tracer.map(Colour::british).orElse("");
    }
}
