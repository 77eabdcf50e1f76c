package aficion.check;

import aficion.check.finding.About;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.check.finding.Subject;
import aficion.job.Design;
import aficion.job.edit.Edit;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A design that was changed on purpose, with what is found of it and was not found before mended by
 * its own remedies, round after round, until nothing can be mended any more.
 *
 * @param design as it is then
 * @param done what was mended, in order
 * @param left what is found then, was not found before, and is worth a mend or more
 */
public record Settled(Design design, List<Mended> done, List<Finding> left) {
    /** So often what is found is mended and looked at again. */
    private static final int ROUNDS = 10;

    /** What was found, and the edit that mended it. */
    public record Mended(Finding finding, Edit remedy) {}

    public Settled {
        done = List.copyOf(done);
        left = List.copyOf(left);
    }

    /** Mends what a change brought. */
    public static Settled of(Design before, Design changed) {
        return of(Assessment.of(before), changed);
    }

    /** The same, where all is worked out already of the design before. */
    public static Settled of(Assessment before, Design changed) {
        return of(before, Findings.of(before), changed);
    }

    /** The same, where it is known too what is found of it. */
    public static Settled of(Assessment before, List<Finding> found, Design changed) {
        var known = found.stream().map(Finding::about).collect(Collectors.toSet());
        return new Settling(before, known).settle(changed);
    }

    /** One on the way. */
    private static final class Settling {
        private final Assessment before;
        private final Set<About> known;
        private final List<Mended> done = new ArrayList<>();

        Settling(Assessment before, Set<About> known) {
            this.before = before;
            this.known = known;
        }

        Settled settle(Design changed) {
            var at = look(changed);
            for (int round = 0; round < ROUNDS; round++) {
                var next = better(at);
                if (next.design().equals(at.design())) {
                    break;
                }
                at = next;
            }
            return new Settled(at.design(), done, at.fresh());
        }

        /** A design, and what is found of it that was not found before. */
        private record Look(Assessment assessment, List<Finding> fresh) {
            Design design() {
                return assessment.design();
            }
        }

        private Look look(Design design) {
            var assessment = before.after(design);
            return new Look(
                    assessment,
                    Findings.of(assessment).stream()
                            .filter(finding -> finding.severity().compareTo(Severity.ADVISE) <= 0)
                            .filter(finding -> !known.contains(finding.about()))
                            .toList());
        }

        private Look better(Look at) {
            return together(at).orElseGet(() -> oneByOne(at));
        }

        /**
         * Every remedy that brings no part, all at once; empty where that leaves as much to be
         * found or brings anything new.
         */
        private Optional<Look> together(Look at) {
            var mended = new ArrayList<Mended>();
            var touched = new HashSet<Subject>();
            var design = at.design();
            for (var finding : at.fresh()) {
                var remedy =
                        finding.remedies().stream().filter(each -> !brings(at, each)).findFirst();
                var so = design;
                var then = remedy.flatMap(each -> applied(each, so));
                if (then.isPresent() && touched.add(finding.subject())) {
                    design = then.get();
                    mended.add(new Mended(finding, remedy.get()));
                }
            }
            if (mended.isEmpty()) {
                return Optional.empty();
            }
            var then = look(design);
            var were = at.fresh().stream().map(Finding::about).collect(Collectors.toSet());
            boolean helps =
                    then.fresh().size() < at.fresh().size()
                            && then.fresh().stream().map(Finding::about).allMatch(were::contains);
            if (helps) {
                done.addAll(mended);
            }
            return Optional.of(then).filter(_ -> helps);
        }

        private static boolean brings(Look at, Edit remedy) {
            return remedy.apply(at.design()).parts().size() != at.design().parts().size();
        }

        /** A remedy after others; empty where one of them has taken away what it is about. */
        private static Optional<Design> applied(Edit remedy, Design design) {
            try {
                return Optional.of(remedy.apply(design));
            } catch (IllegalArgumentException gone) {
                return Optional.empty();
            }
        }

        /**
         * A remedy for each that is found, each tried alone; of those that bring a part, which all
         * would call theirs alike, one alone, and none besides.
         */
        private Look oneByOne(Look at) {
            var design = at.design();
            var touched = new HashSet<Subject>();
            var mending = new Mending(at.assessment());
            for (var finding : at.fresh()) {
                if (touched.contains(finding.subject())) {
                    continue;
                }
                var remedy = mending.first(finding);
                if (remedy.isEmpty()) {
                    continue;
                }
                touched.add(finding.subject());
                boolean brings = brings(at, remedy.get());
                var then = applied(remedy.get(), design);
                if (then.isPresent() && (!brings || design == at.design())) {
                    design = then.get();
                    done.add(new Mended(finding, remedy.get()));
                }
                if (brings) {
                    break;
                }
            }
            return design == at.design() ? at : look(design);
        }
    }
}
