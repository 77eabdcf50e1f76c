package aficion.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.catalogue.WireSize;
import aficion.catalogue.WireSize.Standard;
import aficion.change.Proposal.Reason;
import aficion.change.Repinning.Action;
import aficion.job.Cut;
import aficion.job.DesignBuilder;
import aficion.job.End;
import aficion.job.FoundBox.Fed;
import aficion.job.FoundBox.Seat;
import aficion.job.JoinKind;
import aficion.job.Kit;
import aficion.job.OldLead;
import aficion.job.OldLead.Condition;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.UnusedLead;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ChangeTest {
    private static List<Seat> plug(String... ways) {
        return IntStream.range(0, ways.length)
                .mapToObj(i ->
                        ways[i].equals("blocked")
                                ? Seat.blocked(String.valueOf(i + 1))
                                : new Seat(String.valueOf(i + 1), ways[i], ways[i] + " wire"))
                .toList();
    }

    private static List<String> said(List<Seat> from, List<Seat> to) {
        return Repinning.of(from, to).steps().stream()
                .map(step -> step.action() + " " + step.from() + ">" + step.to())
                .toList();
    }

    @Test
    void aCircleOfThreeGoesOverTheSparePlace() {
        var steps = said(plug("a", "b", "c", "d"), plug("b", "c", "a", "d"));

        assertThat(steps)
                .containsExactly(
                        "MOVE 2>spare", "MOVE 3>2", "MOVE 1>3", "MOVE spare>1", "STAYS 4>4");
    }

    @Test
    void aChainMovesIntoTheWayThatIsFree() {
        assertThat(said(plug("a", "b", "", ""), plug("", "a", "b", "")))
                .containsExactly("MOVE 2>3", "MOVE 1>2", "BLANK >1", "BLANK >4");
        assertThat(said(plug("a", "old"), plug("new", "a")))
                .containsExactly("OFF 2>", "MOVE 1>2", "NEW >1");
        assertThat(said(plug("a", "blocked"), plug("a", "earth")))
                .containsExactly("OPEN >2", "NEW >2", "STAYS 1>1");
        assertThat(said(plug("a", "b"), plug("blocked", "a")))
                .containsExactly("OFF 2>", "MOVE 1>2");
    }

    /** Played with pins: whatever the plugs, each goes where it belongs, never onto another. */
    @Test
    void whateverThePlugsEveryPinArrivesAndNoneMeetsAnother() {
        for (int seed = 0; seed < 500; seed++) {
            var random = new Random(seed);
            var from = any(random);
            var to = any(random);
            var found = Repinning.of(from, to);
            var now = new HashMap<String, String>();
            from.forEach(way -> now.put(way.way(), way.function()));
            int spare = 0;
            for (var step : found.steps()) {
                if (step.action() == Action.MOVE || step.action() == Action.OFF) {
                    assertThat(now.remove(step.from())).isEqualTo(step.function());
                    now.put(step.from(), "");
                }
                if (step.action() == Action.MOVE || step.action() == Action.NEW) {
                    assertThat(now.getOrDefault(step.to(), "")).as("seed %s", seed).isEmpty();
                    now.put(step.to(), step.function());
                }
                spare += step.to().equals(Repinning.SPARE) ? 1 : 0;
                spare -= step.from().equals(Repinning.SPARE) ? 1 : 0;
                assertThat(spare).isBetween(0, 1);
            }
            now.remove(Repinning.SPARE);
            to.forEach(way -> assertThat(now.get(way.way())).isEqualTo(way.function()));
            assertThat(found.steps().stream().filter(s -> s.action() == Action.MOVE).count())
                    .isEqualTo(movesAtLeast(from, to));
        }
    }

    private static List<Seat> any(Random random) {
        var functions = new ArrayList<>(List.of("a", "b", "c", "d", "e", "f", "", "", "blocked"));
        Collections.shuffle(functions, random);
        return plug(functions.toArray(String[]::new));
    }

    /** A move for each pin that is not home, and one more for each circle. */
    private static long movesAtLeast(List<Seat> from, List<Seat> to) {
        Map<String, String> next = new HashMap<>();
        for (var pin : from) {
            to.stream()
                    .filter(way -> way.isFor(pin) && !way.way().equals(pin.way()))
                    .findFirst()
                    .ifPresent(way -> next.put(pin.way(), way.way()));
        }
        long circles =
                next.keySet().stream()
                        .filter(start -> {
                            var at = next.get(start);
                            while (at != null && !at.equals(start)) {
                                if (at.compareTo(start) < 0) {
                                    return false;
                                }
                                at = next.get(at);
                            }
                            return at != null;
                        })
                        .count();
        return next.size() + circles;
    }

    @Test
    void booksCallOneFunctionDifferently() {
        var from = List.of(new Seat("1", "Tach. signal", "white/black"));
        var to =
                List.of(
                        new Seat(
                                "A",
                                "rev counter",
                                "",
                                Optional.of("tach signal"),
                                Optional.empty(),
                                Optional.empty()));

        assertThat(said(from, to)).containsExactly("MOVE 1>A");
        assertThat(Repinning.of(from, to).steps().getFirst().colour()).isEqualTo("white/black");
    }

    @Test
    void whatIsFedOtherwiseIsTold() {
        var was =
                new Seat(
                        "1",
                        "oil",
                        "w",
                        Optional.empty(),
                        Optional.of(Fed.LIVE),
                        Optional.of(false));
        var wants =
                new Seat(
                        "1",
                        "oil",
                        "",
                        Optional.empty(),
                        Optional.of(Fed.EARTH),
                        Optional.of(true));

        assertThat(Repinning.of(List.of(was), List.of(wants)).notes())
                .containsExactly(
                        new Repinning.Note.OtherSide("oil", Fed.LIVE, Fed.EARTH),
                        new Repinning.Note.ProvesOtherwise("oil", true),
                        new Repinning.Note.Diode("oil"));
        var alike = List.of(new Seat("1", "a", "black"), new Seat("2", "b", "black"));
        var turned = List.of(new Seat("1", "b", ""), new Seat("2", "a", ""));
        assertThat(Repinning.of(alike, turned).notes())
                .containsExactly(new Repinning.Note.Alike("black", List.of("2", "1")));
    }

    @Test
    void aWayThatStandsTwiceIsRefused() {
        var twice = List.of(new Seat("1", "a", ""), new Seat("1", "b", ""));

        assertThatThrownBy(() -> Repinning.of(twice, twice)).hasMessageContaining("way 1");
        assertThatThrownBy(() -> Repinning.of(List.of(), twice)).hasMessageContaining("one way");
    }

    private static OldLead lead(
            OldLead.Cover cover, Set<Condition> first, Set<Condition> along, Set<Condition> last) {
        return new OldLead(
                "a",
                "b",
                "c",
                Optional.empty(),
                Optional.empty(),
                cover,
                new OldLead.States(first, along, last),
                false,
                Optional.empty(),
                List.of(),
                "");
    }

    private static Reason reason(Condition first, Condition along, Condition last) {
        return Proposal.of(lead(OldLead.Cover.PLASTIC, Set.of(first), Set.of(along), Set.of(last)))
                .reason();
    }

    /** Ends that look good prove nothing: whatever the ends, the middle decides. */
    @Test
    void aLeadIsJudgedAlongItsLength() {
        var sound = Condition.SOUND;

        assertThat(reason(sound, sound, sound)).isEqualTo(Reason.SOUND);
        assertThat(reason(sound, Condition.MELTED, sound)).isEqualTo(Reason.MELTED);
        assertThat(reason(Condition.BARE, sound, sound)).isEqualTo(Reason.BARE);
        assertThat(reason(sound, Condition.BRITTLE, sound)).isEqualTo(Reason.BRITTLE);
        assertThat(reason(sound, Condition.OIL_SOAKED, sound)).isEqualTo(Reason.OILY);
        assertThat(reason(sound, Condition.GREEN, sound)).isEqualTo(Reason.GREEN_ALONG);
        assertThat(reason(sound, Condition.TAPED, sound)).isEqualTo(Reason.UNDER_TAPE);
        assertThat(reason(sound, sound, Condition.GREEN)).isEqualTo(Reason.GREEN_END);
        assertThat(reason(Condition.BRITTLE, sound, sound)).isEqualTo(Reason.POOR_END);
        assertThat(Proposal.of(lead(OldLead.Cover.PLASTIC, Set.of(sound), Set.of(), Set.of(sound))))
                .isEqualTo(new Proposal(Optional.empty(), Reason.UNSEEN));
        assertThat(
                        Proposal.of(
                                        lead(
                                                OldLead.Cover.RUBBER,
                                                Set.of(sound),
                                                Set.of(sound),
                                                Set.of(sound)))
                                .verdict())
                .contains(OldLead.Verdict.CONDEMN);
    }

    /** ISO 6722 thin wall: 1.5 mm² has strands of about 1.7 mm, 6 mm² of 3.3 mm. */
    @Test
    void theSizeOfALeadIsKnownByItsBareCopper() {
        assertThat(Proposal.size(new Metres(0.0017), Standard.METRIC)).hasToString("1.5mm2");
        assertThat(Proposal.size(new Metres(0.0033), Standard.METRIC)).hasToString("6mm2");
        assertThat(Proposal.size(new Metres(0.0010), Standard.METRIC)).hasToString("0.5mm2");
    }

    private static OneThing thing() {
        return new OneThing(
                new Vehicle("x", 1960, new Volts(12), Vehicle.Pole.NEGATIVE),
                "Headlamps",
                Optional.of(new Amps(15)),
                new Amps(10),
                2,
                new Watts(60),
                WireSize.parse("1.5mm2").orElseThrow(),
                new Metres(1.2),
                new Metres(2.5));
    }

    /** Battery, body, fuse, switch, two lamps; strap, two feeds, a feed and an earth each. */
    @Test
    void oneThingMakesTheSmallestJob() {
        var job = thing().job();

        assertThat(job.design().parts()).hasSize(6);
        assertThat(job.design().wires()).hasSize(7);
        assertThat(job.work().found()).contains(job.design());
        assertThat(ChangeList.of(job))
                .extracting(Change::sort)
                .containsOnly(Change.Sort.STAYS)
                .hasSize(13);
        var point =
                ((Outcome.Solved)
                                new Solver(Netlist.of(job.design()))
                                        .solve(Conditions.REST.with("lights", "on")))
                        .point();
        assertThat(point.voltsAt(Terminal.parse("H1.56").orElseThrow()).orElseThrow().value())
                .isBetween(11.0, 12.4);
    }

    /** A wire that keeps an end moves; one that is thicker is another; one that goes comes off. */
    @Test
    void aChangeListSaysWhatBecomesOfEachPiece() {
        var found = thing().job().design();
        var wires = new ArrayList<>(found.wires());
        var moved = wires.get(3);
        wires.set(
                3,
                new Wire(
                        moved.id(),
                        moved.number(),
                        moved.circuit(),
                        moved.from(),
                        new End(Terminal.parse("H2.56").orElseThrow(), Termination.BLADE_6_3),
                        moved.cut(),
                        moved.laid()));
        var thicker = wires.get(2);
        wires.set(
                2,
                new Wire(
                        thicker.id(),
                        thicker.number(),
                        thicker.circuit(),
                        thicker.from(),
                        thicker.to(),
                        new Cut(
                                WireSize.parse("2.5mm2").orElseThrow(),
                                thicker.cut().cover(),
                                thicker.cut().colour()),
                        thicker.laid()));
        var gone = wires.removeLast();
        var now = found.withWires(wires);
        var changes = ChangeList.of(found, now, List.of());

        assertThat(changes)
                .filteredOn(each -> each.sort() != Change.Sort.STAYS)
                .extracting(Change::key)
                .containsExactly("wire/w7/OFF", "wire/w4/MOVES", "wire/w3/REPLACED");
        var move = (Change.OfWire) changes.get(1);
        assertThat(move.from().map(Object::toString)).contains("H1.56");
        assertThat(move.to().map(Object::toString)).contains("H2.56");
        var unused =
                new UnusedLead(gone.number(), Optional.empty(), "wing", UnusedLead.Done.SEALED);
        assertThat(ChangeList.of(found, now, List.of(unused)).getFirst().sort())
                .isEqualTo(Change.Sort.SEALED);
        assertThat(ChangeList.of(now, found, List.of()))
                .filteredOn(each -> each.sort() == Change.Sort.NEW)
                .extracting(Change::key)
                .containsExactly("wire/w7/NEW");
    }

    @Test
    void tooManyLampsAreRefused() {
        var one = thing();
        assertThatThrownBy(() ->
                        new OneThing(
                                one.vehicle(),
                                "x",
                                one.guard(),
                                one.rating(),
                                9,
                                one.watts(),
                                one.lead(),
                                one.toSwitch(),
                                one.toLamp()))
                .hasMessageContaining("1 to 8 lamps");
    }

    /** A kit's half plugged to ours: ours has the sockets, is keyed, and has three ways of 20 A. */
    @Test
    void aKitsPlugIsHeldAgainstOurs() {
        var connector =
                new JoinKind.Connector(
                        List.of("1", "2", "3"),
                        new Amps(20),
                        Optional.of(new JoinKind.Housed("flat-3", JoinKind.Half.A, true)));
        var design = DesignBuilder.twelveVolts().part("X1", connector).build();
        var kit = new Kit("fan", List.of(), List.of(), Optional.empty());
        var into = new PartId("X1");

        assertThat(PlugFit.of(design, kit.with(new Kit.Plug("flat-3", false, into)))).isEmpty();
        assertThat(PlugFit.of(design, kit.with(new Kit.Plug("flat-3", true, into))))
                .containsExactly(new PlugFit.Misfit.SameGender(true));
        assertThat(PlugFit.of(design, kit.with(new Kit.Plug("small-flat-2", false, into))))
                .containsExactly(
                        new PlugFit.Misfit.OtherWays(2, 3),
                        new PlugFit.Misfit.LessAmps(new Amps(8), new Amps(20)),
                        new PlugFit.Misfit.OtherTerminals("blade-2-8", "blade-6-3"));
        assertThatThrownBy(() -> new Kit.Plug("none", true, into)).hasMessageContaining("none");
    }
}
