package aficion.verb;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Colour;
import aficion.catalogue.ColourScheme;
import aficion.catalogue.Purpose;
import aficion.catalogue.WireSize;
import aficion.check.Finding;
import aficion.check.Findings;
import aficion.identify.Purposes;
import aficion.job.Acceptance;
import aficion.job.CircuitId;
import aficion.job.Colouring;
import aficion.job.ControlKind;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.JobBuilder;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Pinned.Trait;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class VerbsTest {
    private static final CircuitId CIRCUIT = new CircuitId("1");
    private static final WireId FEED = new WireId("w2");
    private static final WireId BEHIND_FUSE = new WireId("w3");
    private static final WireId LAMP_WIRE = new WireId("w4");

    private final Job job = lampBySwitch(JobBuilder.twelveVolts()).build();

    private static JobBuilder lampBySwitch(JobBuilder builder) {
        return builder.earth("E2")
                .fuse("F1", 10)
                .onOff("S1", "lights", 10)
                .lamp("H1", 21)
                .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "H1.58", "1mm2", 3);
    }

    private static Job done(Attempt attempt, Job job) {
        assertThat(attempt).isInstanceOf(Possible.class);
        return ((Possible) attempt).edit().apply(job);
    }

    private static double light(Job job) {
        var lit = Conditions.REST.with("lights", "on");
        return new Solver(Netlist.of(job)).solve(lit) instanceof Outcome.Solved(var point)
                ? point.light(new PartId("H1"), "58").map(Ratio::value).orElse(0.0)
                : 0;
    }

    @Test
    void aDiodeInAWireLetsTheLampLightAndTakesItsVolts() {
        var with =
                done(Placing.into(job, LAMP_WIRE, "diode", new JoinKind.Diode(new Amps(6))), job);

        assertThat(with.parts()).hasSize(job.parts().size() + 1);
        assertThat(with.wires()).hasSize(job.wires().size() + 1);
        // 12.7 V less about 0.8 V: light goes with the power 3.4, so to about 0.8 of what it was.
        assertThat(light(with) / light(job)).isBetween(0.7, 0.9);
    }

    @Test
    void aRelayBehindASwitchTakesItsFeedWhereTheSwitchDoes() {
        var relay =
                new ControlKind.Relay(
                        new Volts(12),
                        new Ohms(85),
                        new Ratio(0.6),
                        new Ratio(0.2),
                        new Amps(30),
                        Optional.empty());
        var with = done(Placing.into(job, LAMP_WIRE, "relay", relay), job);
        var on = Conditions.REST.with("lights", "on");
        var point = ((Outcome.Solved) new Solver(Netlist.of(with)).solve(on)).point();

        // 12.6 V over 85 ohms instead of 21 W.
        assertThat(point.through(new PartId("S1"), "1-2").orElseThrow().value())
                .isBetween(0.13, 0.16);
        assertThat(light(with)).isGreaterThan(0.7);
    }

    @Test
    void aLampOntoATerminalIsFedThereAndEarthed() {
        var kind =
                new LoadKind.Lamp(
                        new Volts(13.5), List.of(new LoadKind.Filament("58", new Watts(5))));
        var at = job.part(new PartId("S1")).terminal("2");
        var with = done(Placing.onto(job, CIRCUIT, at, "second lamp", kind), job);
        var lamp = with.parts().getLast();

        assertThat(lamp.id()).isEqualTo(new PartId("H2"));
        assertThat(lamp.mount()).contains(new PartId("E1"));
        assertThat(with.wiresAt(at)).hasSize(2);
    }

    @Test
    void aPartIsReplacedOnlyByOneWithItsPins() {
        var fuse = new PartId("F1");

        assertThat(Placing.instead(job, fuse, new JoinKind.Resistor(new Ohms(1))))
                .isInstanceOf(Possible.class);
        assertThat(Placing.instead(job, fuse, new JoinKind.Diode(new Amps(6))))
                .isEqualTo(new Refused(Refusal.OTHER_PINS));
        assertThat(Placing.into(job, LAMP_WIRE, "magneto", new LoadKind.Magneto(new Ohms(1))))
                .isEqualTo(new Refused(Refusal.NO_WAY_THROUGH));
    }

    @Test
    void earthsComeTogetherWiresAndCases() {
        var with = done(Earths.combine(job, CIRCUIT, new PartId("E2")), job);

        assertThat(with.part(new PartId("H1")).mount()).contains(new PartId("E2"));
        assertThat(with.wiresAt(with.part(new PartId("E1")).terminal("E"))).isEmpty();
        assertThat(Earths.combine(with, CIRCUIT, new PartId("E2")))
                .isEqualTo(new Refused(Refusal.NOTHING_TO_DO));
    }

    @Test
    void theOtherSideIsMirroredInNameAndColour() {
        var named =
                new Edit.Rename(new PartId("H1"), "Left signal")
                        .apply(
                                new Edit.Recolour(
                                                LAMP_WIRE,
                                                new WireColour(
                                                        Colour.GREEN, Optional.of(Colour.RED)))
                                        .apply(job));
        var with = done(OtherSide.of(named, new PartId("H1")), named);
        var other = with.parts().getLast();

        assertThat(other.name()).isEqualTo("Right signal");
        assertThat(other.kind()).isEqualTo(job.part(new PartId("H1")).kind());
        assertThat(other.mount()).contains(new PartId("E1"));
        // It shares S1.2 with the left one, so it must wear the same colour.
        assertThat(with.wires().getLast().colour().british()).isEqualTo("GR");
        assertThat(OtherSide.of(with, new PartId("H1")))
                .isEqualTo(new Refused(Refusal.NOTHING_TO_DO));
        assertThat(OtherSide.of(with, new PartId("F1"))).isEqualTo(new Refused(Refusal.NO_SIDE));
    }

    @Test
    void wiresAreNumberedAlongThePath() {
        var mixed =
                new Edit.Renumber(FEED, "7").apply(new Edit.Renumber(LAMP_WIRE, "3.3").apply(job));
        var with = done(Tidying.renumber(mixed, CIRCUIT), mixed);

        assertThat(List.of(FEED, BEHIND_FUSE, LAMP_WIRE).stream().map(id -> with.wire(id).number()))
                .containsExactly("1.02", "1.03", "1.04");
    }

    @Test
    void purposesFollowFromWhatWiresMeetAndWhenTheyAreLive() {
        var purposes = Purposes.of(job);

        assertThat(purposes.get(new WireId("w1"))).isEqualTo(Purpose.EARTH);
        assertThat(purposes.get(FEED)).isEqualTo(Purpose.LIVE);
        assertThat(purposes.get(BEHIND_FUSE)).isEqualTo(Purpose.FUSED);
        assertThat(purposes.get(LAMP_WIRE)).isEqualTo(Purpose.SIDE);
    }

    @Test
    void theSchemePaintsWhatIsNotSettled() {
        assertThat(Tidying.recolour(job, CIRCUIT)).isEqualTo(new Refused(Refusal.NO_SCHEME));
        var british =
                job.withRules(
                        HouseRules.USUAL.withColours(new Colouring.ByScheme(ColourScheme.BS_AU_7)));
        var settled = new Edit.Pin(FEED, Trait.COLOUR, true).apply(british);

        var with = done(Tidying.recolour(settled, CIRCUIT), settled);

        assertThat(with.wires().stream().map(Wire::colour).map(WireColour::british))
                .containsExactly("B", "R", "P", "R");
        var left =
                Findings.of(Assessment.of(settled)).stream()
                        .filter(Finding.ColourNotOfScheme.class::isInstance);
        assertThat(left).hasSize(2);
        assertThat(Findings.of(Assessment.of(with)))
                .noneMatch(Finding.ColourNotOfScheme.class::isInstance);
    }

    @Test
    void sizesAreChosenForWhatIsNotSettled() {
        var thick =
                List.of(FEED, LAMP_WIRE).stream()
                        .reduce(
                                job,
                                (now, wire) ->
                                        new Edit.Resize(wire, WireSize.parse("6mm2").orElseThrow())
                                                .apply(now),
                                (_, last) -> last);
        var settled = new Edit.Pin(FEED, Trait.SIZE, true).apply(thick);
        var with = done(Tidying.resize(Assessment.of(settled), CIRCUIT), settled);

        assertThat(with.wire(FEED).size().designation()).isEqualTo("6");
        assertThat(with.wire(LAMP_WIRE).size().designation()).isEqualTo("0.5");
    }

    @Test
    void anEndGoesElsewhereButNeverToTheOtherEnd() {
        var second = job.part(new PartId("F1")).terminal("2");

        assertThat(done(Leads.move(job, LAMP_WIRE, true, second), job).wire(LAMP_WIRE).from())
                .extracting(end -> end.terminal())
                .isEqualTo(second);
        assertThat(Leads.move(job, BEHIND_FUSE, false, second))
                .isEqualTo(new Refused(Refusal.SAME_TERMINAL));
        assertThat(Leads.exchange(job, new PartId("H1")))
                .isEqualTo(new Refused(Refusal.NOT_TWO_LEADS));
        assertThat(done(Leads.exchange(job, new PartId("S1")), job).wire(LAMP_WIRE).from())
                .extracting(end -> end.terminal().pin())
                .isEqualTo("1");
    }

    @Test
    void aFindingLetStandIsAskedForNoLonger() {
        var thin =
                new Edit.Resize(LAMP_WIRE, WireSize.parse("0.35mm2").orElseThrow())
                        .apply(new Edit.FitFuse(new PartId("F1"), "", new Amps(30)).apply(job));
        var before = Findings.judged(Assessment.of(thin));
        var finding =
                before.open().stream()
                        .filter(Finding.GuardLargerThanWire.class::isInstance)
                        .findFirst()
                        .orElseThrow();
        var stands = Findings.accept(finding, "only until the fuses come").apply(thin);
        var after = Findings.judged(Assessment.of(stands));

        assertThat(after.open()).hasSize(before.open().size() - 1);
        assertThat(after.standing())
                .extracting(Findings.Standing::finding)
                .containsExactly(finding);
        assertThat(stands.accepted().getFirst().reason()).isEqualTo("only until the fuses come");
        assertThat(new Edit.Reject(stands.accepted().getFirst()).apply(stands)).isEqualTo(thin);
    }

    /** What was looked at with a fuse of 30 A is not what a fuse of 40 A makes of it. */
    @Test
    void aFindingLetStandIsAskedForAgainWhenItsFiguresChange() {
        var thin =
                new Edit.Resize(LAMP_WIRE, WireSize.parse("0.35mm2").orElseThrow())
                        .apply(new Edit.FitFuse(new PartId("F1"), "", new Amps(30)).apply(job));
        var finding = guardTooLarge(thin).orElseThrow();
        var stands = Findings.accept(finding, "only until the fuses come").apply(thin);
        assertThat(guardTooLarge(stands)).isEmpty();

        var more = new Edit.FitFuse(new PartId("F1"), "", new Amps(40)).apply(stands);
        var again = guardTooLarge(more).orElseThrow();
        assertThat(Findings.accepted(more, again).orElseThrow().reason())
                .isEqualTo("only until the fuses come");
        assertThat(guardTooLarge(Findings.accept(again, "still waiting").apply(more))).isEmpty();
    }

    private static Optional<Finding> guardTooLarge(Job in) {
        return Findings.judged(Assessment.of(in)).open().stream()
                .filter(Finding.GuardLargerThanWire.class::isInstance)
                .filter(found -> found.subject().place().equals(LAMP_WIRE.value()))
                .findFirst();
    }

    /** Names are used again: a new wire in the place of an old one is judged anew. */
    @Test
    void whatIsLetStandEndsWithWhatItIsAbout() {
        var stands =
                new Edit.Accept(
                                new Acceptance(
                                        "LongDrop",
                                        LAMP_WIRE.value(),
                                        "short trips",
                                        Optional.empty()))
                        .apply(job);
        var gone = new Edit.RemoveWire(LAMP_WIRE).apply(stands);
        var again = new Edit.AddWire(job.wire(LAMP_WIRE)).apply(gone);

        assertThat(stands.accepted()).hasSize(1);
        assertThat(gone.accepted()).isEmpty();
        assertThat(again.accepted()).isEmpty();
    }
}
