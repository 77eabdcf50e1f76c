package aficion.check.practice;

import aficion.catalogue.Purpose;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.identify.Purposes;
import aficion.job.Colouring;
import aficion.job.Pinned.Trait;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import java.util.List;
import java.util.stream.Stream;

/** Wires of another colour than the scheme of the house asks for what they are for. */
public final class ColourRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        var design = assessment.design();
        var colouring = design.rules().colours();
        if (colouring.isEmpty()) {
            return Stream.empty();
        }
        var purposes = Purposes.of(design);
        return design.wires().stream()
                .filter(wire -> purposes.containsKey(wire.id()) && !wire.isSettled(Trait.COLOUR))
                .flatMap(wire ->
                        colouring.get().colour(purposes.get(wire.id())).stream()
                                .filter(wanted -> !wears(colouring.get(), wire, wanted))
                                .map(wanted -> found(wire, purposes.get(wire.id()), wanted)));
    }

    private static Finding found(Wire wire, Purpose purpose, WireColour wanted) {
        return new Finding.ColourNotOfScheme(
                wire.id(),
                purpose,
                wire.colour(),
                wanted,
                List.of(new WireEdit.Recolour(wire.id(), wanted)));
    }

    /** Where bands tell wires apart, its colour is that of the reel, whatever its bands. */
    private static boolean wears(Colouring colouring, Wire wire, WireColour wanted) {
        return colouring instanceof Colouring.Banded
                ? wire.colour().base() == wanted.base()
                : wire.colour().equals(wanted);
    }
}
