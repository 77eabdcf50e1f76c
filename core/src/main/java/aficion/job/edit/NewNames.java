package aficion.job.edit;

import aficion.catalogue.Zone;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.WireId;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Names that a design has not used yet. */
public final class NewNames {
    private NewNames() {}

    /** A part with the next free number behind the letter. */
    public static Part part(Design design, String letter, Zone zone, Kind kind) {
        var id = part(design, letter);
        return new Part(id, id.value(), zone, Optional.empty(), kind);
    }

    /** The letter with the next number that no part has. */
    public static PartId part(Design design, String letter) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> new PartId(letter + n))
                .filter(candidate -> design.find(candidate).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    /** A circuit at the end of the working order. */
    public static Circuit circuit(Design design, String name, Circuit.Drops drops) {
        int number = design.circuits().stream().mapToInt(Circuit::number).max().orElse(0) + 1;
        var id =
                IntStream.iterate(number, n -> n + 1)
                        .mapToObj(n -> new CircuitId(String.valueOf(n)))
                        .filter(candidate -> design.find(candidate).isEmpty())
                        .findFirst()
                        .orElseThrow();
        return new Circuit(id, number, name, drops);
    }

    /** The switch with a control that no other switch of the design has. */
    public static ControlKind.Switch control(Design design, ControlKind.Switch hand) {
        var taken =
                design.parts().stream()
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

    /** An identity that no wire has. */
    public static WireId wire(Design design) {
        return wire(design, 0);
    }

    /** The wire identity after {@code skipped} other free ones. */
    public static WireId wire(Design design, int skipped) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> new WireId("w" + n))
                .filter(candidate -> design.find(candidate).isEmpty())
                .skip(skipped)
                .findFirst()
                .orElseThrow();
    }

    /** A wire number in a circuit, with the digits every file and every label has: {@code 5.12}. */
    public static String number(int circuit, int wire) {
        return String.format(Locale.ROOT, "%d.%02d", circuit, wire);
    }

    /** The next free number of a circuit, such as {@code 5.13}. */
    public static String number(Design design, CircuitId circuit) {
        return number(design, circuit, 0);
    }

    /** The wire number in a circuit after {@code skipped} other free ones: {@code 5.12}. */
    public static String number(Design design, CircuitId circuit, int skipped) {
        int prefix = design.circuit(circuit).number();
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> number(prefix, n))
                .filter(number ->
                        design.wires().stream().noneMatch(wire -> wire.number().equals(number)))
                .skip(skipped)
                .findFirst()
                .orElseThrow();
    }
}
