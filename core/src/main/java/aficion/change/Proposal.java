package aficion.change;

import aficion.catalogue.Conductors;
import aficion.catalogue.WireSize;
import aficion.job.OldLead;
import aficion.job.OldLead.Condition;
import aficion.job.OldLead.Cover;
import aficion.job.OldLead.Verdict;
import aficion.quantity.Metres;
import java.util.Comparator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a rule would do with a lead of the old loom, and why. Ends that look good prove nothing:
 * without a look along a lead there is no verdict that keeps it.
 *
 * @param verdict empty where more is to be seen first
 */
public record Proposal(Optional<Verdict> verdict, Reason reason) {
    /** How much of a stranded conductor's circle is copper (typical). */
    static final double FILL = 0.7;

    /** Why. */
    public enum Reason {
        BARE(Verdict.CONDEMN),
        MELTED(Verdict.CONDEMN),
        RUBBER(Verdict.CONDEMN),
        BRITTLE(Verdict.CONDEMN),
        OILY(Verdict.CONDEMN),
        GREEN_ALONG(Verdict.CONDEMN),
        UNDER_TAPE(null),
        UNSEEN(null),
        GREEN_END(Verdict.TRIM),
        POOR_END(Verdict.TRIM),
        SOUND(Verdict.KEEP);

        private final Optional<Verdict> verdict;

        Reason(@Nullable Verdict verdict) {
            this.verdict = Optional.ofNullable(verdict);
        }
    }

    private static Proposal of(Reason reason) {
        return new Proposal(reason.verdict, reason);
    }

    /** What is proposed for a lead; the gravest reason speaks. */
    public static Proposal of(OldLead lead) {
        var states = lead.states();
        if (states.anywhere(Condition.BARE)) {
            return of(Reason.BARE);
        }
        if (states.anywhere(Condition.MELTED)) {
            return of(Reason.MELTED);
        }
        if (lead.cover() == Cover.RUBBER) {
            return of(Reason.RUBBER);
        }
        if (states.along().contains(Condition.BRITTLE)) {
            return of(Reason.BRITTLE);
        }
        if (states.along().contains(Condition.OIL_SOAKED)) {
            return of(Reason.OILY);
        }
        if (states.along().contains(Condition.GREEN)) {
            return of(Reason.GREEN_ALONG);
        }
        if (states.along().contains(Condition.TAPED)) {
            return of(Reason.UNDER_TAPE);
        }
        if (states.along().isEmpty() || states.first().isEmpty() || states.last().isEmpty()) {
            return of(Reason.UNSEEN);
        }
        if (atAnEnd(lead, Condition.GREEN)) {
            return of(Reason.GREEN_END);
        }
        boolean poor =
                atAnEnd(lead, Condition.BRITTLE)
                        || atAnEnd(lead, Condition.TAPED)
                        || atAnEnd(lead, Condition.OIL_SOAKED);
        return of(poor ? Reason.POOR_END : Reason.SOUND);
    }

    private static boolean atAnEnd(OldLead lead, Condition condition) {
        return lead.states().first().contains(condition)
                || lead.states().last().contains(condition);
    }

    /**
     * The size that a lead most nearly has, by the diameter of its bare strands: copper fills seven
     * tenths of their circle.
     */
    public static WireSize size(Metres bare, WireSize.Standard standard) {
        double section = FILL * Math.PI / 4 * bare.value() * bare.value() * 1e6;
        return Conductors.of(standard).stream()
                .min(
                        Comparator.comparingDouble(conductor ->
                                Math.abs(Math.log(conductor.copper().value() / section))))
                .orElseThrow()
                .size();
    }
}
