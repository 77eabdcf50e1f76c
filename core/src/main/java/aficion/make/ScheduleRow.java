package aficion.make;

import aficion.job.Wire;
import aficion.size.Assessment;
import aficion.size.Guard;
import java.util.Comparator;
import java.util.List;

/**
 * One line of the wire schedule: a wire and the guard that stands before it.
 *
 * @param circuit the number of its circuit
 */
public record ScheduleRow(int circuit, Wire wire, Guard guard) {

    /** The schedule of a design: circuit by circuit, by wire number. */
    public static List<ScheduleRow> of(Assessment assessment) {
        var design = assessment.design();
        return design.wires().stream()
                .map(wire ->
                        new ScheduleRow(
                                design.circuit(wire.circuit()).number(),
                                wire,
                                assessment.guard(wire.id())))
                .sorted(
                        Comparator.comparingInt(ScheduleRow::circuit)
                                .thenComparing(row -> row.wire().number(), ScheduleRow::byNumber))
                .toList();
    }

    /** Compares wire numbers as people do: 5.9 before 5.10. */
    public static int byNumber(String one, String other) {
        var a = one.split("(?<=\\d)(?=\\D)|(?<=\\D)(?=\\d)");
        var b = other.split("(?<=\\d)(?=\\D)|(?<=\\D)(?=\\d)");
        for (int i = 0; i < Math.min(a.length, b.length); i++) {
            boolean numbers =
                    Character.isDigit(a[i].charAt(0)) && Character.isDigit(b[i].charAt(0));
            int order =
                    numbers
                            ? new java.math.BigInteger(a[i])
                                    .compareTo(new java.math.BigInteger(b[i]))
                            : a[i].compareTo(b[i]);
            if (order != 0) {
                return order;
            }
        }
        return Integer.compare(a.length, b.length);
    }
}
