package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.Findings;
import aficion.check.finding.About;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.Action;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Laid;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.size.Assessment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What parts the battery hides nothing: with an isolator in either of its leads, worked as a lever
 * or a key, said to rest open or closed, all is found that is found without, and every wire asked
 * for as much.
 */
class IsolatorTest {
    private static final Position OFF = new Position("off", false, List.of());
    private static final Position ON = new Position("on", false, List.of(new Contact("1", "2")));
    private static final PartId ISOLATOR = new PartId("S77");

    record Case(Design design, Terminal pole, ControlKind.Switch kind) {
        @Override
        public String toString() {
            return design.vehicle().name()
                    + " at "
                    + pole
                    + ", "
                    + kind.action()
                    + ", "
                    + kind.positions().getFirst().name();
        }

        /** The design with the isolator between a pole and all that was on it. */
        Design parted() {
            var battery = design.part(pole.part());
            var part = new Part(ISOLATOR, "isolator", battery.zone(), Optional.empty(), kind);
            var leads = design.wiresAt(pole);
            var thick = leads.getFirst();
            var now = new PartEdit.AddPart(part).apply(design);
            for (var lead : leads) {
                now = WireEdit.MoveEnd.of(lead, pole, part.terminal("2")).apply(now);
            }
            return new WireEdit.AddWire(
                            new Wire(
                                    new WireId("w999"),
                                    "99.99",
                                    thick.circuit(),
                                    thick.at(pole),
                                    new End(part.terminal("1"), thick.at(pole).termination()),
                                    thick.cut(),
                                    new Laid.Stated(
                                            new RunLength.Measured(new Metres(0.05)),
                                            battery.zone())))
                    .apply(now);
        }
    }

    static Stream<Case> cases() {
        return DemoJobs.names().stream()
                .map(name -> DemoJobs.find(name).orElseThrow().design())
                .flatMap(design ->
                        Stream.of(design.vehicle().livePin(), design.vehicle().earthedPin())
                                .flatMap(pin ->
                                        Stream.of(
                                                        isolator(Action.KEY, OFF, ON),
                                                        isolator(Action.LEVER, OFF, ON),
                                                        isolator(Action.LEVER, ON, OFF))
                                                .map(kind ->
                                                        new Case(
                                                                design,
                                                                battery(design).terminal(pin),
                                                                kind))));
    }

    private static ControlKind.Switch isolator(Action action, Position first, Position second) {
        return new ControlKind.Switch(
                action, "isolator", List.of("1", "2"), List.of(first, second), new Amps(500));
    }

    private static Part battery(Design design) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void anIsolatorHidesNothing(Case with) {
        var before = Assessment.of(with.design);
        var after = Assessment.of(with.parted());

        assertThat(about(after)).containsAll(about(before));
        for (var wire : with.design.wires()) {
            double was = steady(before, wire);
            assertThat(steady(after, after.design().wire(wire.id())))
                    .as("%s", wire.id())
                    .isGreaterThan(0.97 * was - 0.01);
        }
    }

    private static double steady(Assessment assessment, Wire wire) {
        return assessment
                .worst()
                .steady(wire)
                .map(peak -> Math.abs(peak.amps().value()))
                .orElse(0.0);
    }

    private static List<About> about(Assessment assessment) {
        return Findings.of(assessment).stream()
                .filter(finding -> finding.severity().compareTo(Severity.ADVISE) <= 0)
                .map(Finding::about)
                .collect(Collectors.toList());
    }
}
