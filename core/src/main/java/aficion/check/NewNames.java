package aficion.check;

import aficion.catalogue.Zone;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.WireId;
import java.util.Optional;
import java.util.stream.IntStream;

/** Names that a job has not used yet. */
final class NewNames {
    private NewNames() {}

    /** A part with the next free number behind the letter. */
    static Part part(Job job, String letter, Zone zone, Kind kind) {
        var id =
                IntStream.iterate(1, n -> n + 1)
                        .mapToObj(n -> new PartId(letter + n))
                        .filter(candidate -> job.find(candidate).isEmpty())
                        .findFirst()
                        .orElseThrow();
        return new Part(id, id.value(), zone, Optional.empty(), kind);
    }

    static WireId wire(Job job) {
        return wire(job, 0);
    }

    /** The wire identity after {@code skipped} other free ones. */
    static WireId wire(Job job, int skipped) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> new WireId("w" + n))
                .filter(candidate -> job.find(candidate).isEmpty())
                .skip(skipped)
                .findFirst()
                .orElseThrow();
    }

    static String number(Job job, CircuitId circuit) {
        return number(job, circuit, 0);
    }

    /** The wire number in a circuit after {@code skipped} other free ones: {@code 5.12}. */
    static String number(Job job, CircuitId circuit, int skipped) {
        int prefix = job.circuit(circuit).number();
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> "%d.%02d".formatted(prefix, n))
                .filter(number ->
                        job.wires().stream().noneMatch(wire -> wire.number().equals(number)))
                .skip(skipped)
                .findFirst()
                .orElseThrow();
    }
}
