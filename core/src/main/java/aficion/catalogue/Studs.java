package aficion.catalogue;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Studs that rings and lugs go on; the figures stand in {@code studs.csv}. */
public final class Studs {
    private record Stud(String key, double torque) {}

    private static final Map<String, Double> TORQUES =
            Table.read(
                            "studs.csv",
                            row -> new Stud(row.text("stud"), row.number("torque", 0.1, 100)))
                    .stream()
                    .collect(Collectors.toMap(Stud::key, Stud::torque));

    private Studs() {}

    /** How tight the nut of a stud such as {@code m8} is made, newton metres. */
    public static Optional<Double> torque(String stud) {
        return Optional.ofNullable(TORQUES.get(stud));
    }
}
