package aficion.size;

import aficion.catalogue.FuseType;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What stands between a wire and the full current of the source. */
public sealed interface Guard {

    /** Fuses; any of them can feed the wire, so the largest counts. */
    record Guarded(List<Fitted> fuses) implements Guard {
        public Guarded {
            fuses = List.copyOf(fuses);
        }

        /** The fuse that lets most through. */
        public Fitted largest() {
            return fuses.stream()
                    .max(Comparator.comparingDouble(fuse -> fuse.carries().value()))
                    .orElseThrow();
        }
    }

    /** Nothing: a short here draws what battery and leads can give. */
    record Unguarded() implements Guard {}

    /** A load lies before it, which limits the current. */
    record BehindLoad() implements Guard {}

    /** It belongs to the earth side. */
    record EarthSide() implements Guard {}

    /** A fuse in its seat. */
    record Fitted(FuseSeat seat, FuseType type, Amps marking) {
        /** The fuse in a seat of a part. */
        public static Fitted of(Part part, Kind.Seat seat) {
            return new Fitted(new FuseSeat(part.id(), seat.way()), seat.type(), seat.marking());
        }

        /** What it carries for good, amps. */
        public Amps carries() {
            return type.carries(marking);
        }
    }

    /** The fuse that counts, when there is one. */
    default Optional<Fitted> fuse() {
        return this instanceof Guarded guarded ? Optional.of(guarded.largest()) : Optional.empty();
    }
}
