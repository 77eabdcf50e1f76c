package aficion.job.edit;

import aficion.catalogue.Zone;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Job;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.WireId;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Names that a job has not used yet. */
public final class NewNames {
    private NewNames() {}

    /** A part with the next free number behind the letter. */
    public static Part part(Job job, String letter, Zone zone, Kind kind) {
        var id = part(job, letter);
        return new Part(id, id.value(), zone, Optional.empty(), kind);
    }

    /** The letter with the next number that no part has. */
    public static PartId part(Job job, String letter) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> new PartId(letter + n))
                .filter(candidate -> job.find(candidate).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    /** A circuit at the end of the working order. */
    public static Circuit circuit(Job job, String name, Circuit.Drops drops) {
        int number = job.circuits().stream().mapToInt(Circuit::number).max().orElse(0) + 1;
        var id =
                IntStream.iterate(number, n -> n + 1)
                        .mapToObj(n -> new CircuitId(String.valueOf(n)))
                        .filter(candidate -> job.find(candidate).isEmpty())
                        .findFirst()
                        .orElseThrow();
        return new Circuit(id, number, name, drops, Set.of());
    }

    /** The switch with a control that no other switch of the job has. */
    public static ControlKind.Switch control(Job job, ControlKind.Switch hand) {
        var taken =
                job.parts().stream()
                        .map(Part::kind)
                        .filter(ControlKind.Switch.class::isInstance)
                        .map(kind -> ((ControlKind.Switch) kind).control())
                        .collect(Collectors.toSet());
        var control = hand.control();
        for (int n = 2; taken.contains(control); n++) {
            control = hand.control() + "-" + n;
        }
        return new ControlKind.Switch(
                hand.action(), control, hand.pins(), hand.positions(), hand.rating());
    }

    public static WireId wire(Job job) {
        return wire(job, 0);
    }

    /** The wire identity after {@code skipped} other free ones. */
    public static WireId wire(Job job, int skipped) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> new WireId("w" + n))
                .filter(candidate -> job.find(candidate).isEmpty())
                .skip(skipped)
                .findFirst()
                .orElseThrow();
    }

    public static String number(Job job, CircuitId circuit) {
        return number(job, circuit, 0);
    }

    /** The wire number in a circuit after {@code skipped} other free ones: {@code 5.12}. */
    public static String number(Job job, CircuitId circuit, int skipped) {
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
