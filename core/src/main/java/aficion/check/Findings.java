package aficion.check;

import aficion.job.Acceptance;
import aficion.job.Work;
import aficion.job.edit.WorkEdit;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;

/** Every finding of a design, worst first, in a stable order. */
public final class Findings {
    private static final List<Rule> RULES =
            List.of(
                    new GuardOpensRule(),
                    new ShortRule(),
                    new UnknownRule(),
                    new BatteryRule(),
                    new PartingRule(),
                    new ChargingRule(),
                    new LeadLimitRule(),
                    new NeverWorksRule(),
                    new JointRule(),
                    new TwoGuardsRule(),
                    new CoilRule(),
                    new CoilPostRule(),
                    new PlugLeadRule(),
                    new LampPinsRule(),
                    new NeedsOtherRule(),
                    new CrossedLeadsRule(),
                    new GaugeRule(),
                    new EndRule(),
                    new BarrelRule(),
                    new LookRule(),
                    new PumpRule(),
                    new ParkRule(),
                    new SideRule(),
                    new HeatRule(),
                    new BundleRule(),
                    new GuardSizeRule(),
                    new NoGuardRule(),
                    new ChatterRule(),
                    new DropRule(),
                    new FuseLoadRule(),
                    new InrushRule(),
                    new ContactRule(),
                    new TerminationRule(),
                    new ConnectionRule(),
                    new LabelRule(),
                    new SuppressionRule(),
                    new OffRule(),
                    new WindRule(),
                    new MagnetoRule(),
                    new PolarityRule(),
                    new DirectionRule(),
                    new AmmeterRule(),
                    new VoltageRule(),
                    new CoverRule(),
                    new ChargeRule(),
                    new StartRule(),
                    new InterlockRule(),
                    new FamilyRule(),
                    new FlasherRule(),
                    new CoilPolarityRule(),
                    new RelayLoadRule(),
                    new SourceRule(),
                    new SharedEarthRule(),
                    new SelectivityRule(),
                    new LightRule(),
                    new EarthSwitchRule(),
                    new RestDrawRule(),
                    new ColourRule(),
                    new FeedPostRule(),
                    new OverloadRule(),
                    new WireReturnRule(),
                    new WakeUpRule());

    private Findings() {}

    /** A finding that the user lets stand, with the reason. */
    public record Standing(Finding finding, Acceptance acceptance) {}

    /**
     * The findings of a design, parted.
     *
     * @param open those that ask for something
     * @param standing those that the user lets stand
     */
    public record Judged(List<Finding> open, List<Standing> standing) {
        public Judged {
            open = List.copyOf(open);
            standing = List.copyOf(standing);
        }
    }

    /** Findings, those that the user lets stand apart from the rest. */
    public static Judged judged(List<Finding> findings, Work work) {
        var open = new ArrayList<Finding>();
        var standing = new ArrayList<Standing>();
        for (var finding : findings) {
            accepted(work, finding)
                    .filter(kept -> kept.covers(finding.figures()))
                    .ifPresentOrElse(
                            kept -> standing.add(new Standing(finding, kept)),
                            () -> open.add(finding));
        }
        return new Judged(open, standing);
    }

    /** The findings of a design, parted, with the remedies that may be offered. */
    public static Judged offered(Assessment assessment, Work work) {
        var judged = judged(of(assessment), work);
        return new Judged(Mending.offered(assessment, judged.open()), judged.standing());
    }

    /**
     * Findings that stand as one: of one cause with one remedy, in several places.
     *
     * @param findings one or more, the same remedy first in each
     */
    public record Group(List<Finding> findings) {
        public Group {
            findings = List.copyOf(findings);
        }

        /** The one that speaks for all. */
        public Finding first() {
            return findings.getFirst();
        }
    }

    /** Findings of one rule whose first remedy is the same, put together, in their order. */
    public static List<Group> grouped(List<Finding> findings) {
        var groups = new LinkedHashMap<Object, List<Finding>>();
        for (var finding : findings) {
            Object key =
                    finding.remedies().isEmpty()
                            ? finding
                            : List.of(finding.rule(), finding.remedies().getFirst());
            groups.computeIfAbsent(key, _ -> new ArrayList<>()).add(finding);
        }
        return groups.values().stream().map(Group::new).toList();
    }

    /** What was said of a finding when it was let stand, be its figures those of then or not. */
    public static Optional<Acceptance> accepted(Work work, Finding finding) {
        return work.accepted().stream()
                .filter(kept -> kept.isAbout(finding.key(), finding.subject().place()))
                .findFirst();
    }

    /** What lets a finding stand, as long as its figures stay about what they are. */
    public static WorkEdit accept(Finding finding, String reason) {
        return new WorkEdit.Accept(
                new Acceptance(
                        finding.key(),
                        finding.subject().place(),
                        reason,
                        Optional.of(finding.figures())));
    }

    /** What every rule finds, dangers first; remedies are proposed, not tried. */
    public static List<Finding> of(Assessment assessment) {
        return RULES.stream()
                .flatMap(rule -> rule.check(assessment))
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }
}
