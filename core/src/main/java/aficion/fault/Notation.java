package aficion.fault;

import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Names;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.netlist.Conditions.FuseSeat;
import aficion.netlist.Netlist;
import java.util.List;
import java.util.Optional;

/**
 * Faults in short, as they are given to a command and come from one: {@code 5.12=open}, {@code
 * K1=dead}, {@code E2=lost}.
 */
public final class Notation {
    private Notation() {}

    /** A fault in short. */
    public static String of(Design design, Fault fault) {
        return switch (fault) {
            case Fault.Broken(var wire) -> design.wire(wire).number() + "=open";
            case Fault.Chafed(var wire, var place) ->
                    design.wire(wire).number()
                            + switch (place) {
                                case FIRST_END -> "=short";
                                case MIDDLE -> "=short:middle";
                                case SECOND_END -> "=short:second";
                            };
            case Fault.BadJoint(var wire, _) -> design.wire(wire).number() + "=bad";
            case Fault.Exchanged(var one, var other) ->
                    design.part(one.part()).kind().pins().size() == 2
                            ? one.part() + "=turned"
                            : one + "/" + other + "=exchanged";
            case Fault.Touching(var one, var other) -> one + "/" + other + "=touching";
            case Fault.EarthLost(var earth) -> earth + "=lost";
            case Fault.PoorEarth(var earth, _) -> earth + "=bad";
            case Fault.Blown(var guard) -> guard + "=blown";
            case Fault.DeadCoil(var part) -> part + "=dead";
            case Fault.Stuck(var part, var contact) -> part + "." + contact + "=stuck";
            case Fault.Burnt(var part, var contact, _) -> part + "." + contact + "=bad";
            case Fault.Dead(var part, var role) -> part + "." + role + "=dead";
            case Fault.DeadPart(var part) -> part + "=dead";
            case Fault.Another(var part, var kind) -> part + "=" + another(design.part(part), kind);
        };
    }

    private static String another(Part meant, Kind kind) {
        if (kind instanceof SourceKind.Battery) {
            return "tired";
        }
        boolean volts =
                kind instanceof LoadKind.Lamp lamp
                        && meant.kind() instanceof LoadKind.Lamp was
                        && !lamp.test().equals(was.test());
        return volts ? "other:volts" : "other:watts";
    }

    /**
     * The fault that a text says: a wire by its number ({@code open}, {@code short}, {@code bad}),
     * a part ({@code dead}, {@code stuck}, {@code blown}, {@code turned}), an earth ({@code lost},
     * {@code bad}); empty where it says none that the design can have.
     */
    public static Optional<Fault> parse(Netlist netlist, String text) {
        int equals = text.lastIndexOf('=');
        if (equals <= 0) {
            return Optional.empty();
        }
        var what = text.substring(0, equals).strip();
        var how = text.substring(equals + 1).strip();
        var design = netlist.design();
        var wire = design.labelled(what);
        if (wire.isPresent()) {
            return ofWire(wire.get(), how);
        }
        int slash = what.indexOf('/');
        return slash > 0
                ? between(design, what.substring(0, slash), what.substring(slash + 1), how)
                : ofPart(netlist, what, how);
    }

    private static Optional<Fault> ofWire(Wire wire, String how) {
        return switch (how) {
            case "open" -> Optional.of(new Fault.Broken(wire.id()));
            case "short" -> Optional.of(new Fault.Chafed(wire.id(), Fault.Place.FIRST_END));
            case "short:middle" -> Optional.of(new Fault.Chafed(wire.id(), Fault.Place.MIDDLE));
            case "short:second" -> Optional.of(new Fault.Chafed(wire.id(), Fault.Place.SECOND_END));
            case "bad" -> Optional.of(new Fault.BadJoint(wire.id(), Fault.BAD.getLast()));
            default -> Optional.empty();
        };
    }

    private static Optional<Fault> between(Design design, String one, String other, String how) {
        var first = design.terminal(one);
        var second = design.terminal(other);
        if (first.isEmpty() || second.isEmpty() || first.equals(second)) {
            return Optional.empty();
        }
        return switch (how) {
            case "exchanged" -> Optional.of(new Fault.Exchanged(first.get(), second.get()));
            case "touching" -> Optional.of(new Fault.Touching(first.get(), second.get()));
            default -> Optional.empty();
        };
    }

    private static Optional<Fault> ofPart(Netlist netlist, String what, String how) {
        int point = what.indexOf('.');
        var name = point > 0 ? what.substring(0, point) : what;
        var role = point > 0 ? what.substring(point + 1) : "";
        if (!Names.isIdentity(name)) {
            return Optional.empty();
        }
        return netlist.design()
                .find(new PartId(name))
                .flatMap(part ->
                        role.isEmpty()
                                ? whole(netlist, part, how)
                                : inside(netlist, part, role, how));
    }

    private static Optional<Fault> whole(Netlist netlist, Part part, String how) {
        var id = part.id();
        boolean earth = part.kind() instanceof JoinKind.EarthPoint;
        var roles = netlist.inside(id).keySet();
        return switch (how) {
            case "lost" -> earth ? Optional.of(new Fault.EarthLost(id)) : Optional.empty();
            case "bad" ->
                    earth
                            ? Optional.of(new Fault.PoorEarth(id, Fault.BAD.getLast()))
                            : Optional.empty();
            case "dead" ->
                    Optional.of(
                            netlist.coilOf(id).isPresent()
                                    ? new Fault.DeadCoil(id)
                                    : new Fault.DeadPart(id));
            case "blown" ->
                    part.kind().seats().stream()
                            .findFirst()
                            .map(seat -> new Fault.Blown(new FuseSeat(id, seat.way())));
            case "stuck" ->
                    roles.stream()
                            .filter(role ->
                                    part.kind().passes().stream()
                                            .anyMatch(pass -> pass.role().equals(role)))
                            .findFirst()
                            .map(role -> new Fault.Stuck(id, role));
            case "turned" -> turned(part);
            default -> Optional.empty();
        };
    }

    private static Optional<Fault> turned(Part part) {
        List<Terminal> ends = part.terminals();
        return ends.size() < 2
                ? Optional.empty()
                : Optional.of(new Fault.Exchanged(ends.getFirst(), ends.get(1)));
    }

    private static Optional<Fault> inside(Netlist netlist, Part part, String role, String how) {
        if (!netlist.inside(part.id()).containsKey(role)) {
            return Optional.empty();
        }
        return switch (how) {
            case "dead" -> Optional.of(new Fault.Dead(part.id(), role));
            case "stuck" -> Optional.of(new Fault.Stuck(part.id(), role));
            case "bad" -> Optional.of(new Fault.Burnt(part.id(), role, Fault.BAD.getLast()));
            case "blown" -> Optional.of(new Fault.Blown(new FuseSeat(part.id(), role)));
            default -> Optional.empty();
        };
    }
}
