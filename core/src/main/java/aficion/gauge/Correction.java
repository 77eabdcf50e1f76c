package aficion.gauge;

import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Terminal;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.netlist.Netlist;
import aficion.quantity.Ohms;
import aficion.verb.Attempt;
import aficion.verb.Connection;
import aficion.verb.Earths;
import aficion.verb.Placing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The resistors of a shelf that make a gauge lie least with a sender of another family.
 *
 * @param series before the sender; empty where none helps
 * @param parallel across the sender; empty where none helps
 * @param worst the largest error that is left, share of the scale
 */
public record Correction(Optional<Ohms> series, Optional<Ohms> parallel, double worst) {
    /** The values of a decade that resistors are sold in (IEC 60063, E12). */
    private static final double[] E12 = {1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2};

    private static final double[] DECADES = {1, 10, 100};

    /** Less than that gained is not worth a resistor, share of the scale. */
    private static final double WORTH = 0.02;

    /** The best that resistors can do: none, one or two. */
    public static Correction best(Needle needle) {
        var none =
                new Correction(Optional.empty(), Optional.empty(), needle.worst(needle.asBuilt()));
        var best = none;
        var values = new ArrayList<Optional<Ohms>>();
        values.add(Optional.empty());
        for (double decade : DECADES) {
            for (double value : E12) {
                values.add(Optional.of(new Ohms(decade * value)));
            }
        }
        for (var series : values) {
            for (var parallel : values) {
                double cost = parts(series, parallel) * WORTH;
                double worst = needle.worst(needle.with(series, parallel));
                if (worst + cost < best.worst() + parts(best.series(), best.parallel()) * WORTH) {
                    best = new Correction(series, parallel, worst);
                }
            }
        }
        return best;
    }

    private static int parts(Optional<Ohms> one, Optional<Ohms> other) {
        return (one.isPresent() ? 1 : 0) + (other.isPresent() ? 1 : 0);
    }

    /** With these resistors. */
    public Needle.Beside of(Needle needle) {
        return needle.with(series, parallel);
    }

    /** Whether the needle can be believed then. */
    public boolean mends() {
        return worst <= Needle.LIES;
    }

    /** Whether there is anything to put in. */
    public boolean helps() {
        return series.isPresent() || parallel.isPresent();
    }

    /**
     * Puts them in: one into the lead of the sender, one from the gauge's side of it to earth;
     * empty where there is nothing to put in, or no lead or earth point to put it at.
     */
    public Optional<Edit> edit(Design design, Needle needle, String name) {
        var edits = new ArrayList<Edit>();
        if (series.isPresent()) {
            var lead = design.wiresAt(needle.sender().terminal("T")).stream().findFirst();
            var kind = new JoinKind.Resistor(series.get());
            if (lead.isEmpty()
                    || !(Placing.into(design, lead.get().id(), name, kind)
                            instanceof Attempt.Possible(var edit))) {
                return Optional.empty();
            }
            edits.add(edit);
        }
        if (parallel.isPresent()) {
            var across = across(together(edits).apply(design), needle, parallel.get(), name);
            if (across.isEmpty()) {
                return Optional.empty();
            }
            edits.addAll(across);
        }
        return edits.isEmpty() ? Optional.empty() : Optional.of(together(edits));
    }

    private static Edit together(List<Edit> edits) {
        return new CompositeEdit(Reason.GAUGE, edits);
    }

    /** A resistor from what is joined to the gauge, nearest to the sender, to earth. */
    private static List<Edit> across(Design design, Needle needle, Ohms ohms, String name) {
        var earth = Earths.of(design).stream().findFirst();
        var joined = Netlist.joined(design, needle.gauge().terminal("T"));
        var node =
                design.parts().stream()
                        .filter(part -> !part.id().equals(needle.gauge().id()))
                        .flatMap(part -> part.terminals().stream())
                        .filter(joined::contains)
                        .filter(at -> !design.wiresAt(at).isEmpty())
                        .findFirst();
        if (earth.isEmpty() || node.isEmpty()) {
            return List.of();
        }
        var circuit = design.wiresAt(node.get()).getFirst().circuit();
        var zone = needle.sender().zone();
        var part = NewNames.part(design, "R", zone, new JoinKind.Resistor(ohms)).withName(name);
        var edits = new ArrayList<Edit>(List.of(new PartEdit.AddPart(part)));
        join(edits, design, circuit, part.terminal("1"), node.get());
        join(edits, design, circuit, part.terminal("2"), earth.get().terminal("E"));
        return edits;
    }

    private static void join(
            List<Edit> edits, Design design, CircuitId circuit, Terminal from, Terminal to) {
        edits.add(
                new WireEdit.AddWire(
                        Connection.between(together(edits).apply(design), circuit, from, to)));
    }
}
