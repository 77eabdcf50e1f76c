package aficion.verb;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Colour;
import aficion.catalogue.ColourScheme;
import aficion.catalogue.Purpose;
import aficion.catalogue.WireSize;
import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.identify.Purposes;
import aficion.job.Acceptance;
import aficion.job.Action;
import aficion.job.CircuitId;
import aficion.job.Colouring;
import aficion.job.Contact;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Pinned.Trait;
import aficion.job.Position;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
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
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class VerbsTest {
    private static final CircuitId CIRCUIT = new CircuitId("1");
    private static final WireId FEED = new WireId("w2");
    private static final WireId BEHIND_FUSE = new WireId("w3");
    private static final WireId LAMP_WIRE = new WireId("w4");

    private final Design design = lampBySwitch(DesignBuilder.twelveVolts()).build();

    private static DesignBuilder lampBySwitch(DesignBuilder builder) {
        return builder.earth("E2")
                .fuse("F1", 10)
                .onOff("S1", "lights", 10)
                .lamp("H1", 21)
                .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                .wire("F1.2", "S1.1", "1mm2", 1)
                .wire("S1.2", "H1.58", "1mm2", 3);
    }

    private static Design done(Attempt attempt, Design design) {
        assertThat(attempt).isInstanceOf(Possible.class);
        return ((Possible) attempt).edit().apply(design);
    }

    private static double light(Design design) {
        var lit = Conditions.REST.with("lights", "on");
        return new Solver(Netlist.of(design)).solve(lit) instanceof Outcome.Solved(var point)
                ? point.light(new PartId("H1"), "58").map(Ratio::value).orElse(0.0)
                : 0;
    }

    @Test
    void aDiodeInAWireLetsTheLampLightAndTakesItsVolts() {
        var with =
                done(
                        Placing.into(design, LAMP_WIRE, "diode", new JoinKind.Diode(new Amps(6))),
                        design);

        assertThat(with.parts()).hasSize(design.parts().size() + 1);
        assertThat(with.wires()).hasSize(design.wires().size() + 1);
        // 12.7 V less about 0.8 V: light goes with the power 3.4, so to about 0.8 of what it was.
        assertThat(light(with) / light(design)).isBetween(0.7, 0.9);
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
        var with = done(Placing.into(design, LAMP_WIRE, "relay", relay), design);
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
        var at = design.part(new PartId("S1")).terminal("2");
        var with = done(Placing.onto(design, CIRCUIT, at, "second lamp", kind), design);
        var lamp = with.parts().getLast();

        assertThat(lamp.id()).isEqualTo(new PartId("H2"));
        assertThat(lamp.mount()).contains(new PartId("E1"));
        assertThat(with.wiresAt(at)).hasSize(2);
    }

    @Test
    void aPartIsReplacedOnlyByOneWithItsPins() {
        var fuse = new PartId("F1");

        assertThat(Placing.instead(design, fuse, new JoinKind.Resistor(new Ohms(1))))
                .isInstanceOf(Possible.class);
        assertThat(Placing.instead(design, fuse, new JoinKind.Diode(new Amps(6))))
                .isEqualTo(new Refused(Refusal.OTHER_PINS));
        assertThat(Placing.into(design, LAMP_WIRE, "magneto", new LoadKind.Magneto(new Ohms(1))))
                .isEqualTo(new Refused(Refusal.NO_WAY_THROUGH));
    }

    @Test
    void earthsComeTogetherWiresAndCases() {
        var with = done(Earths.combine(design, CIRCUIT, new PartId("E2")), design);

        assertThat(with.part(new PartId("H1")).mount()).contains(new PartId("E2"));
        assertThat(with.wiresAt(with.part(new PartId("E1")).terminal("E"))).isEmpty();
        assertThat(Earths.combine(with, CIRCUIT, new PartId("E2")))
                .isEqualTo(new Refused(Refusal.NOTHING_TO_DO));
    }

    @Test
    void theOtherSideIsMirroredInNameAndColour() {
        var named =
                new PartEdit.Rename(new PartId("H1"), "Left signal")
                        .apply(
                                new WireEdit.Recolour(
                                                LAMP_WIRE,
                                                new WireColour(
                                                        Colour.GREEN, Optional.of(Colour.RED)))
                                        .apply(design));
        var with = done(OtherSide.of(named, new PartId("H1")), named);
        var other = with.parts().getLast();

        assertThat(other.name()).isEqualTo("Right signal");
        assertThat(other.kind()).isEqualTo(design.part(new PartId("H1")).kind());
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
                new WireEdit.Renumber(FEED, "7")
                        .apply(new WireEdit.Renumber(LAMP_WIRE, "3.3").apply(design));
        var with = done(Tidying.renumber(mixed, CIRCUIT), mixed);

        assertThat(List.of(FEED, BEHIND_FUSE, LAMP_WIRE).stream().map(id -> with.wire(id).number()))
                .containsExactly("1.02", "1.03", "1.04");
    }

    /** In whatever order wires are listed: from the source on, each branch to its end. */
    @Test
    void theOrderOfTheListDoesNotMatter() {
        var listed =
                DesignBuilder.twelveVolts()
                        .fuse("F1", 10)
                        .part("J1", new JoinKind.Splice())
                        .part("J2", new JoinKind.Splice())
                        .lamp("H1", 5)
                        .lamp("H2", 5)
                        .wire("J2.J", "H2.58", "1mm2", 1)
                        .wire("J1.J", "H1.58", "1mm2", 1)
                        .wire("F1.2", "J1.J", "1mm2", 1)
                        .wire("J1.J", "J2.J", "1mm2", 1)
                        .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                        .build();
        var with = done(Tidying.renumber(listed, CIRCUIT), listed);

        assertThat(
                        with.wires().stream()
                                .sorted(Comparator.comparing(Wire::number))
                                .map(wire -> wire.from().terminal() + " " + wire.to().terminal())
                                .filter(text -> !text.startsWith("B1.-")))
                .containsExactly("B1.+ F1.1", "F1.2 J1.J", "J1.J H1.58", "J1.J J2.J", "J2.J H2.58");
    }

    /** The right one goes to the other pin of the switch, to the right joint, in its own colour. */
    @Test
    void theOtherSideGoesToItsOwnPinAndJoint() {
        var signals =
                new ControlKind.Switch(
                        Action.LEVER,
                        "signal",
                        List.of("49a", "L", "R"),
                        List.of(
                                new Position("off", false, List.of()),
                                new Position("left", false, List.of(new Contact("49a", "L"))),
                                new Position("right", false, List.of(new Contact("49a", "R")))),
                        new Amps(10));
        var built =
                DesignBuilder.twelveVolts()
                        .part("S5", signals)
                        .part("J1", new JoinKind.Splice())
                        .part("J2", new JoinKind.Splice())
                        .lamp("H1", 21)
                        .lamp("H3", 5)
                        .wire("S5.L", "H1.58", "1mm2", 1)
                        .wire("J1.J", "H3.58", "1mm2", 1)
                        .build();
        var named = built;
        for (var name :
                Map.of(
                                "J1", "left joint",
                                "J2", "right joint",
                                "H1", "left signal",
                                "H3", "side lamp, left")
                        .entrySet()) {
            named = new PartEdit.Rename(new PartId(name.getKey()), name.getValue()).apply(named);
        }
        for (var wire : named.wiresAt(named.part(new PartId("H1")).terminal("58"))) {
            named =
                    new WireEdit.Recolour(
                                    wire.id(),
                                    new WireColour(Colour.GREEN, Optional.of(Colour.RED)))
                            .apply(named);
        }

        var signal = done(OtherSide.of(named, new PartId("H1")), named).wires().getLast();
        assertThat(signal.from().terminal()).hasToString("S5.R");
        assertThat(signal.colour().british()).isEqualTo("GW");
        var side = done(OtherSide.of(named, new PartId("H3")), named).wires().getLast();
        assertThat(side.from().terminal()).hasToString("J2.J");
        assertThat(OtherSide.Side.ofPin("49aR")).contains(OtherSide.Side.RIGHT);
        assertThat(OtherSide.Side.ofPin("L")).contains(OtherSide.Side.LEFT);
        assertThat(OtherSide.Side.ofPin("49a")).isEmpty();
        assertThat(OtherSide.Side.ofPin("XL")).isEmpty();
    }

    @Test
    void purposesFollowFromWhatWiresMeetAndWhenTheyAreLive() {
        var purposes = Purposes.of(design);

        assertThat(purposes.get(new WireId("w1"))).isEqualTo(Purpose.EARTH);
        assertThat(purposes.get(FEED)).isEqualTo(Purpose.LIVE);
        assertThat(purposes.get(BEHIND_FUSE)).isEqualTo(Purpose.FUSED);
        assertThat(purposes.get(LAMP_WIRE)).isEqualTo(Purpose.SIDE);
    }

    @Test
    void theSchemePaintsWhatIsNotSettled() {
        assertThat(Tidying.recolour(design, CIRCUIT)).isEqualTo(new Refused(Refusal.NO_SCHEME));
        var british =
                design.withRules(
                        HouseRules.USUAL.withColours(new Colouring.ByScheme(ColourScheme.BS_AU_7)));
        var settled = new WireEdit.Pin(FEED, Trait.COLOUR, true).apply(british);

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
                                design,
                                (now, wire) ->
                                        new WireEdit.Resize(
                                                        wire, WireSize.parse("6mm2").orElseThrow())
                                                .apply(now),
                                (_, last) -> last);
        var settled = new WireEdit.Pin(FEED, Trait.SIZE, true).apply(thick);
        var with = done(Tidying.resize(Assessment.of(settled), CIRCUIT), settled);

        assertThat(with.wire(FEED).size().designation()).isEqualTo("6");
        assertThat(with.wire(LAMP_WIRE).size().designation()).isEqualTo("0.5");
    }

    @Test
    void anEndGoesElsewhereButNeverToTheOtherEnd() {
        var second = design.part(new PartId("F1")).terminal("2");

        assertThat(done(Leads.move(design, LAMP_WIRE, true, second), design).wire(LAMP_WIRE).from())
                .extracting(end -> end.terminal())
                .isEqualTo(second);
        assertThat(Leads.move(design, BEHIND_FUSE, false, second))
                .isEqualTo(new Refused(Refusal.SAME_TERMINAL));
        assertThat(Leads.move(design, BEHIND_FUSE, true, second))
                .isEqualTo(new Refused(Refusal.NOTHING_TO_DO));
        assertThat(Leads.exchange(design, new PartId("H1")))
                .isEqualTo(new Refused(Refusal.NOT_TWO_LEADS));
        assertThat(done(Leads.exchange(design, new PartId("S1")), design).wire(LAMP_WIRE).from())
                .extracting(end -> end.terminal().pin())
                .isEqualTo("1");
    }

    @Test
    void aFindingLetStandIsAskedForNoLonger() {
        var thin =
                new WireEdit.Resize(LAMP_WIRE, WireSize.parse("0.35mm2").orElseThrow())
                        .apply(
                                new PartEdit.FitFuse(new PartId("F1"), "", new Amps(30))
                                        .apply(design));
        var found = Findings.of(Assessment.of(thin));
        var finding =
                found.stream()
                        .filter(Finding.GuardLargerThanWire.class::isInstance)
                        .findFirst()
                        .orElseThrow();
        var work = Findings.accept(finding, "only until the fuses come").apply(Work.NONE);
        var after = Findings.judged(found, work);

        assertThat(after.open()).hasSize(found.size() - 1);
        assertThat(after.standing())
                .extracting(Findings.Standing::finding)
                .containsExactly(finding);
        assertThat(work.accepted().getFirst().reason()).isEqualTo("only until the fuses come");
        assertThat(new WorkEdit.Reject(work.accepted().getFirst()).apply(work))
                .isEqualTo(Work.NONE);
    }

    /** What was looked at with a fuse of 30 A is not what a fuse of 40 A makes of it. */
    @Test
    void aFindingLetStandIsAskedForAgainWhenItsFiguresChange() {
        var thin =
                new WireEdit.Resize(LAMP_WIRE, WireSize.parse("0.35mm2").orElseThrow())
                        .apply(
                                new PartEdit.FitFuse(new PartId("F1"), "", new Amps(30))
                                        .apply(design));
        var finding = guardTooLarge(Job.of(thin)).orElseThrow();
        var stands = Findings.accept(finding, "only until the fuses come").apply(Job.of(thin));
        assertThat(guardTooLarge(stands)).isEmpty();

        var more = new PartEdit.FitFuse(new PartId("F1"), "", new Amps(40)).apply(stands);
        var again = guardTooLarge(more).orElseThrow();
        assertThat(Findings.accepted(more.work(), again).orElseThrow().reason())
                .isEqualTo("only until the fuses come");
        assertThat(guardTooLarge(Findings.accept(again, "still waiting").apply(more))).isEmpty();
    }

    private static Optional<Finding> guardTooLarge(Job in) {
        var all = Findings.of(Assessment.of(in.design()));
        return Findings.judged(all, in.work()).open().stream()
                .filter(Finding.GuardLargerThanWire.class::isInstance)
                .filter(found -> found.subject().place().equals(LAMP_WIRE.value()))
                .findFirst();
    }

    /** Names are used again: a new wire in the place of an old one is judged anew. */
    @Test
    void whatIsLetStandEndsWithWhatItIsAbout() {
        var stands =
                new WorkEdit.Accept(
                                new Acceptance(
                                        "LongDrop",
                                        LAMP_WIRE.value(),
                                        "short trips",
                                        Optional.empty()))
                        .apply(Job.of(design));
        var gone = new WireEdit.RemoveWire(LAMP_WIRE).apply(stands);
        var again = new WireEdit.AddWire(design.wire(LAMP_WIRE)).apply(gone);

        assertThat(stands.work().accepted()).hasSize(1);
        assertThat(gone.work().accepted()).isEmpty();
        assertThat(again.work().accepted()).isEmpty();
    }

    /** A wire that is taken out and put in otherwise in one step is still the wire looked at. */
    @Test
    void whatIsLetStandOutlivesAStepThatReplacesIt() {
        var accepted =
                new Acceptance("LongDrop", LAMP_WIRE.value(), "short trips", Optional.empty());
        var stands = new WorkEdit.Accept(accepted).apply(Job.of(design));
        var replaced =
                new CompositeEdit(
                                CompositeEdit.Reason.GROUP,
                                List.of(
                                        new WireEdit.RemoveWire(LAMP_WIRE),
                                        new WireEdit.AddWire(
                                                design.wire(LAMP_WIRE).withNumber("9"))))
                        .apply(stands);

        assertThat(replaced.work().accepted()).containsExactly(accepted);
    }

    /** A side is a word of its own, in whatever order the sides are known. */
    @Test
    void whatIsBrightIsNotRight() {
        assertThat(OtherSide.Side.ofName("Bright headlamp")).isEmpty();
        assertThat(OtherSide.Side.ofName("Bright lamp, Left")).contains(OtherSide.Side.LEFT);
        var named = new PartEdit.Rename(new PartId("H1"), "Bright lamp, Left").apply(design);
        var other = done(OtherSide.of(named, new PartId("H1")), named);

        assertThat(other.parts().getLast().name()).isEqualTo("Bright lamp, Right");
        var plain = new PartEdit.Rename(new PartId("H1"), "Bright lamp").apply(design);
        assertThat(OtherSide.of(plain, new PartId("H1"))).isEqualTo(new Refused(Refusal.NO_SIDE));
    }

    /** A relay that takes its feed where a bolt is gets a ring for it. */
    @Test
    void aRelayFedFromABoltGetsARing() {
        var bolted =
                DesignBuilder.twelveVolts()
                        .lamp("H1", 55)
                        .wire("B1.+", "H1.58", "2.5mm2", 2)
                        .build();
        var relay =
                RelayInsertion.into(bolted, bolted.wires().getLast()).orElseThrow().apply(bolted);
        var ends =
                relay.wires().stream()
                        .flatMap(wire -> Stream.of(wire.from(), wire.to()))
                        .filter(end -> !end.terminal().part().value().startsWith("K"))
                        .toList();

        assertThat(ends)
                .filteredOn(end -> end.terminal().part().equals(new PartId("E1")))
                .hasSizeGreaterThan(1)
                .noneMatch(end -> end.termination().equals(Termination.BLADE_6_3));
    }
}
