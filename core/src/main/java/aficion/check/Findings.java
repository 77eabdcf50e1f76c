package aficion.check;

import aficion.check.earthing.EarthSwitchRule;
import aficion.check.earthing.GaugeRule;
import aficion.check.earthing.SharedEarthRule;
import aficion.check.earthing.StrapRule;
import aficion.check.earthing.WireReturnRule;
import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.function.BridgedRule;
import aficion.check.function.ChatterRule;
import aficion.check.function.ConnectionRule;
import aficion.check.function.FlasherRule;
import aficion.check.function.HeldKeyRule;
import aficion.check.function.IdlePositionRule;
import aficion.check.function.NeedsOtherRule;
import aficion.check.function.NeverWorksRule;
import aficion.check.function.ParkRule;
import aficion.check.function.TellTaleRule;
import aficion.check.function.UnknownRule;
import aficion.check.harness.ConnectorRule;
import aficion.check.harness.GrommetRule;
import aficion.check.harness.PlacingRule;
import aficion.check.harness.PlugRule;
import aficion.check.ignition.CoilPostRule;
import aficion.check.ignition.CoilRule;
import aficion.check.ignition.InterlockRule;
import aficion.check.ignition.MagnetoRule;
import aficion.check.ignition.OffRule;
import aficion.check.ignition.PlugLeadRule;
import aficion.check.ignition.PumpRule;
import aficion.check.ignition.StartRule;
import aficion.check.ignition.WindRule;
import aficion.check.polarity.BatteryRule;
import aficion.check.polarity.CoilPolarityRule;
import aficion.check.polarity.CrossedLeadsRule;
import aficion.check.polarity.DirectionRule;
import aficion.check.polarity.FamilyRule;
import aficion.check.polarity.LampPinsRule;
import aficion.check.polarity.MeterRule;
import aficion.check.polarity.NumbersRule;
import aficion.check.polarity.PolarityRule;
import aficion.check.polarity.SideRule;
import aficion.check.polarity.SuppressionRule;
import aficion.check.polarity.VoltageRule;
import aficion.check.practice.BarrelRule;
import aficion.check.practice.ColourRule;
import aficion.check.practice.EndRule;
import aficion.check.practice.FeedPostRule;
import aficion.check.practice.LabelRule;
import aficion.check.practice.LookRule;
import aficion.check.practice.TerminationRule;
import aficion.check.protection.FuseLoadRule;
import aficion.check.protection.GuardOpensRule;
import aficion.check.protection.GuardSizeRule;
import aficion.check.protection.InrushRule;
import aficion.check.protection.LeadLimitRule;
import aficion.check.protection.NoGuardRule;
import aficion.check.protection.SelectivityRule;
import aficion.check.protection.ShortRule;
import aficion.check.protection.TwoGuardsRule;
import aficion.check.sizing.BundleRule;
import aficion.check.sizing.ContactRule;
import aficion.check.sizing.CoverRule;
import aficion.check.sizing.DropRule;
import aficion.check.sizing.HeatRule;
import aficion.check.sizing.JointRule;
import aficion.check.sizing.LightRule;
import aficion.check.sizing.OverloadRule;
import aficion.check.sizing.RelayLoadRule;
import aficion.check.sources.ChargeRule;
import aficion.check.sources.ChargingRule;
import aficion.check.sources.PartingRule;
import aficion.check.sources.RestDrawRule;
import aficion.check.sources.SourceRule;
import aficion.check.sources.WakeUpRule;
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
                    new StrapRule(),
                    new ChargingRule(),
                    new LeadLimitRule(),
                    new NeverWorksRule(),
                    new JointRule(),
                    new TwoGuardsRule(),
                    new CoilRule(),
                    new CoilPostRule(),
                    new PlugLeadRule(),
                    new LampPinsRule(),
                    new NumbersRule(),
                    new NeedsOtherRule(),
                    new HeldKeyRule(),
                    new IdlePositionRule(),
                    new CrossedLeadsRule(),
                    new GaugeRule(),
                    new EndRule(),
                    new BarrelRule(),
                    new LookRule(),
                    new GrommetRule(),
                    new ConnectorRule(),
                    new PlugRule(),
                    new PlacingRule(),
                    new PumpRule(),
                    new ParkRule(),
                    new BridgedRule(),
                    new SideRule(),
                    new TellTaleRule(),
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
                    new MeterRule(),
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
                .flatMap(rule -> Rule.found(rule, assessment).stream())
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }
}
