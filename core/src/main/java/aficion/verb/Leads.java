package aficion.verb;

import aficion.job.Design;
import aficion.job.End;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;

/** Leads ends elsewhere. */
public final class Leads {
    private Leads() {}

    /** Leads one end of a wire to another terminal. */
    public static Attempt move(Design design, WireId wire, boolean first, Terminal to) {
        var found = design.wire(wire);
        var stays = (first ? found.to() : found.from()).terminal();
        var moves = (first ? found.from() : found.to()).terminal();
        if (stays.equals(to)) {
            return new Refused(Refusal.SAME_TERMINAL);
        }
        if (moves.equals(to)) {
            return new Refused(Refusal.NOTHING_TO_DO);
        }
        End end = Ends.on(design, to);
        return new Possible(new WireEdit.MoveEnd(wire, first, end));
    }

    /** Exchanges the two leads of a part that has two. */
    public static Attempt exchange(Design design, PartId part) {
        var used =
                design.part(part).terminals().stream()
                        .filter(at -> !design.wiresAt(at).isEmpty())
                        .map(Terminal::pin)
                        .toList();
        return used.size() == 2
                ? new Possible(new PartEdit.Exchange(part, used.getFirst(), used.getLast()))
                : new Refused(Refusal.NOT_TWO_LEADS);
    }
}
