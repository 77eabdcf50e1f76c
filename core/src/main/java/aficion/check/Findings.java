package aficion.check;

import aficion.size.Assessment;
import java.util.Comparator;
import java.util.List;

/** Every finding of a job, worst first, in a stable order. */
public final class Findings {
    private static final List<Rule> RULES =
            List.of(
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
                    new BackfeedRule(),
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
                    new ReachRule(),
                    new LightRule(),
                    new EarthSwitchRule(),
                    new RestDrawRule());

    private Findings() {}

    public static List<Finding> of(Assessment assessment) {
        return RULES.stream()
                .flatMap(rule -> rule.check(assessment))
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }
}
