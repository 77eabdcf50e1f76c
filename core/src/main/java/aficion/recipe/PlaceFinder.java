package aficion.recipe;

import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import java.util.Optional;
import java.util.function.Predicate;

/** Finds what the leads of a recipe are to be joined to among the parts of a design. */
record PlaceFinder(Design design) {

    /** The pin of the switch that has a control. */
    Optional<Terminal> switchPin(String control, String pin) {
        return pin(
                pin,
                part ->
                        part.kind() instanceof ControlKind.Switch hand
                                && hand.control().equals(control));
    }

    /** The pin of the first part of a kind, such as {@code warning-lamp}, that has it. */
    Optional<Terminal> partPin(String kind, String pin) {
        var name = kind.replace("-", "");
        return pin(pin, part -> part.kind().getClass().getSimpleName().equalsIgnoreCase(name));
    }

    /** The pin of the part that goes by a name. */
    Optional<Terminal> namedPin(String name, String pin) {
        return pin(pin, part -> part.name().equals(name));
    }

    /** The live post of the battery, or the earthed one. */
    Optional<Terminal> post(boolean live) {
        var vehicle = design.vehicle();
        return pin(
                live ? vehicle.livePin() : vehicle.earthedPin(),
                part -> part.kind() instanceof SourceKind.Battery);
    }

    /** An earth point of that mass; whatever earth there is where it has none. */
    Optional<Terminal> earth(JoinKind.Mass mass) {
        return pin(
                        "E",
                        part ->
                                part.kind() instanceof JoinKind.EarthPoint point
                                        && point.mass() == mass)
                .or(() -> pin("E", part -> part.kind() instanceof JoinKind.EarthPoint));
    }

    private Optional<Terminal> pin(String pin, Predicate<Part> wanted) {
        return design.parts().stream()
                .filter(wanted)
                .filter(part -> part.kind().pins().contains(pin))
                .findFirst()
                .map(part -> part.terminal(pin));
    }
}
