package aficion.ignite;

import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.LoadKind.IgnitionCoil;
import aficion.job.Part;
import aficion.job.Wire;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.route.RunLength;
import aficion.verb.Attempt;
import aficion.verb.Placing;
import java.util.ArrayList;
import java.util.Optional;

/** Puts another coil into an ignition, one more in series, or a ballast before it. */
public final class OtherCoil {
    /** How long the lead between two coils is, until it is measured. */
    private static final Metres BETWEEN = new Metres(0.3);

    private final Design design;
    private final Ignition ignition;

    /** An ignition of a design. */
    public OtherCoil(Design design, Ignition ignition) {
        this.design = design;
        this.ignition = ignition;
    }

    /**
     * So many coils of a kind in place of those that are there; empty where there are more than two
     * of them, or no wire leads on from the first.
     */
    public Optional<Edit> put(IgnitionCoil kind, int count) {
        var edits = new ArrayList<Edit>();
        var coils = ignition.coils();
        coils.stream()
                .limit(count)
                .forEach(coil -> edits.add(new PartEdit.Refit(coil.id(), with(coil, kind))));
        if (coils.size() > count) {
            return Optional.empty();
        }
        if (coils.size() < count) {
            var second = second(coils.getLast(), kind);
            if (count > 2 || second.isEmpty()) {
                return Optional.empty();
            }
            edits.add(second.get());
        }
        return Optional.of(new CompositeEdit(Reason.OTHER_COIL, edits));
    }

    /** The plug leads stay what they are. */
    private static IgnitionCoil with(Part coil, IgnitionCoil kind) {
        var leads = kind.leads().or(((IgnitionCoil) coil.kind())::leads);
        return new IgnitionCoil(kind.primary(), kind.inductance(), leads);
    }

    /** One more behind a coil: the wire from its terminal 1 is cut and led through it. */
    private Optional<Edit> second(Part coil, IgnitionCoil kind) {
        var from = coil.terminal("1");
        return design.wiresAt(from).stream()
                .findFirst()
                .map(wire -> {
                    var part = NewNames.part(design, "T", coil.zone(), kind).withName(coil.name());
                    var end = wire.from().terminal().equals(from) ? wire.from() : wire.to();
                    return new PartEdit.InsertPart(
                            wire.id(), part, "15", "1", lead(wire, end, part));
                });
    }

    private Wire lead(Wire wire, End end, Part part) {
        return wire.like(
                        NewNames.wire(design),
                        NewNames.number(design, wire.circuit()),
                        end,
                        new End(part.terminal("15"), end.termination()))
                .withLength(new RunLength.Assumed(BETWEEN));
    }

    /**
     * A ballast of so many ohms before the coil: the one that is there by another, or a new one in
     * its feed; empty where no wire feeds it.
     */
    public Optional<Edit> ballast(String name, Ohms ohms) {
        var kind = new JoinKind.Resistor(ohms);
        if (ignition.ballast().isPresent()) {
            return Optional.of(new PartEdit.Refit(ignition.ballast().get().id(), kind));
        }
        return design.wiresAt(ignition.coils().getFirst().terminal("15")).stream()
                .findFirst()
                .flatMap(wire ->
                        Placing.into(design, wire.id(), name, kind)
                                        instanceof Attempt.Possible(var edit)
                                ? Optional.of(edit)
                                : Optional.empty());
    }
}
