package aficion.bench.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Measure;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Sign;
import aficion.bench.reason.Telltale;
import aficion.fault.Fault;
import aficion.fault.Notation;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Volts;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Two lamps behind a fuse and a switch; w4 goes to the first lamp. */
class PracticeTest {
    private static final Design DESIGN =
            DesignBuilder.twelveVolts()
                    .fuse("F1", 10)
                    .onOff("S1", "light", 10)
                    .lamp("H1", 21)
                    .lamp("H2", 21)
                    .wire("B1.+", "F1.1", "2.5mm2", 0.1)
                    .wire("F1.2", "S1.1", "1mm2", 1)
                    .wire("S1.2", "H1.58", "1mm2", 1)
                    .wire("S1.2", "H2.58", "1mm2", 1)
                    .build();

    private static final CircuitId CIRCUIT = DESIGN.circuits().getFirst().id();
    private static final FaultTable TABLE = FaultTable.of(Netlist.of(DESIGN), CIRCUIT);
    private static final Conditions ON = Conditions.REST.with("light", "on");
    private static final Terminal LAMP = Terminal.parse("H1.58").orElseThrow();
    private static final WireId TO_LAMP = DESIGN.wiresAt(LAMP).getFirst().id();
    private static final Fault BROKEN = new Fault.Broken(TO_LAMP);

    private final Practice practice = new Practice(TABLE, CIRCUIT, new Random(3));

    private static Round round(boolean comesAndGoes, Fault... faults) {
        return Round.of(Difficulty.FAIR, new Hidden(List.of(faults), comesAndGoes));
    }

    private Answer last(Round round, Act act) {
        return practice.does(round, act, ON).done().getLast().answer();
    }

    /** What is hidden can be found, and differs from round to round. */
    @ParameterizedTest
    @EnumSource(Difficulty.class)
    void whatIsHiddenIsNoticedByAMeter(Difficulty difficulty) {
        var random = new Random(11);
        var hidden =
                random.ints(40)
                        .mapToObj(seed ->
                                Hidden.in(TABLE, difficulty, new Random(seed)).orElseThrow())
                        .toList();

        assertThat(hidden.stream().distinct()).hasSizeGreaterThan(4);
        assertThat(hidden)
                .allSatisfy(each ->
                        assertThat(
                                        TABLE.looksLike(0).stream()
                                                .map(suspect -> suspect.faults())
                                                .toList())
                                .doesNotContain(each.faults()));
    }

    /** The lamp is dark, its volts are none, the other burns, and a look at the end shows why. */
    @Test
    void aBrokenLeadIsReadAndSeen() {
        var round = round(false, BROKEN);

        assertThat(last(round, new Act.Volts(LAMP))).isEqualTo(new Answer.ShowsVolts(new Volts(0)));
        assertThat(last(round, new Act.Lamp(LAMP)))
                .isInstanceOfSatisfying(
                        Answer.Burns.class,
                        burns -> assertThat(burns.light().value()).isLessThan(0.01));
        assertThat(last(round, new Act.Glance()))
                .isInstanceOfSatisfying(
                        Answer.Does.class,
                        does ->
                                assertThat(does.signs())
                                        .extracting(sign -> sign.part() + " " + sign.look())
                                        .containsExactly(
                                                "H1 " + Sign.Look.DARK, "H2 " + Sign.Look.BURNS));
        assertThat(last(round, new Act.Look(new PartId("S1"))))
                .isEqualTo(new Answer.Seen(List.of(BROKEN)));
        assertThat(last(round, new Act.Look(new PartId("H2"))))
                .isEqualTo(new Answer.Seen(List.of()));
        assertThat(last(round, new Act.Amps(DESIGN.wires().get(1).id())))
                .isInstanceOf(Answer.ShowsAmps.class);
    }

    /** Every act costs, a wrong name five minutes; what is named is mended. */
    @Test
    void minutesAddUpUntilAllIsNamed() {
        var other = new Fault.Blown(new Conditions.FuseSeat(new PartId("F1"), ""));
        var round = round(false, BROKEN, other);
        var read = practice.does(round, new Act.Volts(LAMP), ON);
        var wrong = read.naming(new Fault.EarthLost(new PartId("E1")));
        var half = wrong.naming(other);

        assertThat(read.minutes()).isGreaterThanOrEqualTo(1.2);
        assertThat(wrong.minutes()).isCloseTo(read.minutes() + 5, within(1e-9));
        assertThat(half.isFound()).isFalse();
        assertThat(half.left()).containsExactly(BROKEN);
        assertThat(half.naming(other)).isEqualTo(half);
        assertThat(half.naming(BROKEN).isFound()).isTrue();
        assertThat(last(half, new Act.Volts(Terminal.parse("H2.58").orElseThrow())))
                .isNotEqualTo(new Answer.ShowsVolts(new Volts(0)));
    }

    /** What comes and goes is there half the time, and changes only where it sits. */
    @Test
    void whatComesAndGoesIsFoundByMovingIt() {
        var round = round(true, BROKEN);
        for (int i = 0; i < 30; i++) {
            round = practice.does(round, new Act.Volts(LAMP), ON);
        }

        assertThat(round.done().stream().map(Round.Done::answer).distinct()).hasSize(2);
        assertThat(last(round, new Act.Wiggle(new PartId("H1"))))
                .isEqualTo(new Answer.Changes(true));
        assertThat(last(round, new Act.Wiggle(new PartId("H2"))))
                .isEqualTo(new Answer.Changes(false));
        assertThat(last(round(false, BROKEN), new Act.Wiggle(new PartId("H1"))))
                .isEqualTo(new Answer.Changes(false));
    }

    /** Each reading of a way leaves less, or as much; the reasoner's ends with few. */
    @Test
    void theWaysAreSetSideBySide() {
        var hidden = new Hidden(List.of(BROKEN), false);
        var round = Round.of(Difficulty.FAIR, hidden);
        round = practice.does(round, new Act.Volts(Terminal.parse("S1.2").orElseThrow()), ON);
        round = practice.does(round, new Act.Glance(), ON);
        round = practice.does(round, new Act.Volts(LAMP), ON);
        var own = practice.way(round);
        var reasoned = practice.reasoned(hidden);

        assertThat(own).hasSize(3);
        assertThat(own)
                .extracting(Practice.Step::left)
                .isSortedAccordingTo(Comparator.reverseOrder());
        assertThat(own.getLast().left()).isLessThan(own.getFirst().left());
        assertThat(reasoned).isNotEmpty().hasSizeLessThan(9);
        assertThat(reasoned.getLast().left()).isLessThan(6);
        assertThat(practice.minutes(reasoned)).isGreaterThan(reasoned.size());
    }

    /** Of what comes and goes the reasoner has leads moved, and names what sits there. */
    @Test
    void theReasonerMovesLeadsOfWhatComesAndGoes() {
        var reasoned = practice.reasoned(new Hidden(List.of(BROKEN), true));

        assertThat(reasoned)
                .extracting(step -> step.reading().what())
                .anySatisfy(what ->
                        assertThat(what)
                                .isEqualTo(new Measure.Told(new Telltale.Moves(new PartId("H1")))));
        assertThat(practice.minutes(reasoned)).isPositive();
    }

    private double cost(Act act, Conditions state) {
        return practice.does(round(false, BROKEN), act, state).minutes();
    }

    /** A minute and the reach of a lamp in the cabin, 0.5; a glance 0.2; a fuse out two. */
    @Test
    void whatEachActCosts() {
        assertThat(cost(new Act.Volts(LAMP), Conditions.REST)).isCloseTo(1.5, within(1e-9));
        assertThat(cost(new Act.Lamp(LAMP), Conditions.REST)).isCloseTo(1.5, within(1e-9));
        assertThat(cost(new Act.Amps(TO_LAMP), Conditions.REST)).isCloseTo(2, within(1e-9));
        assertThat(cost(new Act.Glance(), Conditions.REST)).isCloseTo(0.2, within(1e-9));
        assertThat(cost(new Act.Look(LAMP.part()), Conditions.REST)).isCloseTo(2, within(1e-9));
        assertThat(cost(new Act.Wiggle(LAMP.part()), Conditions.REST)).isCloseTo(1.5, within(1e-9));
        assertThat(cost(new Act.Volts(LAMP), ON)).isCloseTo(1.7, within(1e-9));
        assertThat(cost(new Act.Volts(Terminal.parse("F1.1").orElseThrow()), Conditions.REST))
                .isCloseTo(1, within(1e-9));
        var twice = practice.does(round(false, BROKEN), new Act.Glance(), ON);
        assertThat(practice.does(twice, new Act.Glance(), ON).minutes())
                .isCloseTo(0.6, within(1e-9));
    }

    private static Fault fault(String text) {
        return Notation.parse(TABLE.netlist(), text).orElseThrow();
    }

    /** Where a look shows it, if anywhere: a coil and a contact look well from outside. */
    @Test
    void whatALookShows() {
        for (var row :
                List.of(
                        "4=open S1",
                        "4=bad S1",
                        "4=short S1",
                        "4=short:second H1",
                        "E1=lost E1",
                        "E1=bad E1",
                        "F1=blown F1",
                        "S1=turned S1",
                        "H1.58/H2.58=touching H1",
                        "H1.58=dead H1")) {
            var fault = fault(row.split(" ")[0]);
            assertThat(last(round(false, fault), new Act.Look(new PartId(row.split(" ")[1]))))
                    .as(row)
                    .isEqualTo(new Answer.Seen(List.of(fault)));
            assertThat(last(round(false, fault), new Act.Look(new PartId("B1"))))
                    .as(row)
                    .isEqualTo(new Answer.Seen(List.of()));
        }
        for (var row :
                List.of("S1.1-2=stuck S1", "S1.1-2=bad S1", "S1.1-2=dead S1", "S1=dead S1")) {
            assertThat(
                            last(
                                    round(false, fault(row.split(" ")[0])),
                                    new Act.Look(new PartId(row.split(" ")[1]))))
                    .as(row)
                    .isEqualTo(new Answer.Seen(List.of()));
        }
    }

    /** Amps and moves are readings too; a look and a test lamp are none. */
    @Test
    void whatOfARoundIsAReading() {
        var feed = new WireId("w2");
        var round = round(true, BROKEN);
        for (var act :
                List.of(
                        new Act.Amps(feed),
                        new Act.Wiggle(LAMP.part()),
                        new Act.Look(LAMP.part()),
                        new Act.Lamp(LAMP),
                        new Act.Glance())) {
            round = practice.does(round, act, ON);
        }

        assertThat(practice.way(round))
                .extracting(step -> step.reading().what())
                .containsExactly(
                        new Measure.AmpsIn(feed),
                        new Measure.Told(new Telltale.Moves(LAMP.part())),
                        new Measure.Told(new Telltale.AsDrawn(CIRCUIT)));
        assertThat(practice.way(round).get(1).reading().value()).isEqualTo(1);
        var sound = practice.does(round(false, BROKEN), new Act.Glance(), Conditions.REST);
        assertThat(practice.way(sound).getFirst().reading().value()).isEqualTo(1);
        var dark = practice.does(round(false, BROKEN), new Act.Glance(), ON);
        assertThat(practice.way(dark).getFirst().reading().value()).isZero();
    }

    /** A way costs what its readings do, and what is thrown between them. */
    @Test
    void whatAWayCosts() {
        var volts = new Reading(ON, new Measure.VoltsAt(LAMP), 0);
        var moves = new Reading(ON, new Measure.Told(new Telltale.Moves(LAMP.part())), 1);
        var amps = new Reading(Conditions.REST, new Measure.AmpsIn(TO_LAMP), 0);
        var seen = new Reading(Conditions.REST, new Measure.LightOf(LAMP.part(), "58"), 0);
        var way =
                Stream.of(volts, moves, amps, seen)
                        .map(reading -> new Practice.Step(reading, 1))
                        .toList();

        assertThat(practice.minutes(way)).isCloseTo(0.2 + 1.5 + 1.5 + 0.2 + 2 + 0.2, within(1e-9));
        assertThat(practice.minutes(List.of())).isZero();
    }

    /** Easy is what leaves something dark or blows; fair anything; hard two, or at times. */
    @Test
    void howWellAFaultIsHidden() {
        Class<?>[] plain = {
            Fault.Broken.class,
            Fault.Blown.class,
            Fault.Chafed.class,
            Fault.EarthLost.class,
            Fault.Dead.class
        };
        var easy = hidden(Difficulty.EASY);
        var fair = hidden(Difficulty.FAIR);
        var hard = hidden(Difficulty.HARD);

        assertThat(easy)
                .allSatisfy(each -> {
                    assertThat(each.comesAndGoes()).isFalse();
                    assertThat(each.faults()).singleElement().isInstanceOfAny(plain);
                });
        assertThat(fair).allMatch(each -> each.faults().size() == 1 && !each.comesAndGoes());
        assertThat(fair)
                .anySatisfy(each ->
                        assertThat(each.faults().getFirst()).isInstanceOf(Fault.BadJoint.class));
        assertThat(hard)
                .allMatch(each -> each.comesAndGoes() == (each.faults().size() == 1))
                .anyMatch(Hidden::comesAndGoes)
                .anyMatch(each -> !each.comesAndGoes())
                .allSatisfy(each -> assertThat(TABLE.canHave(each.faults())).isTrue());
        long broken = fair.stream().filter(each -> isA(each, Fault.Broken.class)).count();
        long touching = fair.stream().filter(each -> isA(each, Fault.Touching.class)).count();
        assertThat(broken).isGreaterThan(2 * touching);
    }

    private static boolean isA(Hidden hidden, Class<? extends Fault> kind) {
        return kind.isInstance(hidden.faults().getFirst());
    }

    private static List<Hidden> hidden(Difficulty difficulty) {
        return new Random(11)
                .ints(120)
                .mapToObj(seed -> Hidden.in(TABLE, difficulty, new Random(seed)).orElseThrow())
                .toList();
    }

    /** Where a meter notices nothing there is nothing to hide. */
    @Test
    void whereNothingIsNoticedNothingIsHidden() {
        var bare =
                Netlist.of(
                        new DesignBuilder(12)
                                .fuse("F1", 5)
                                .wire("F1.1", "F1.2", "1mm2", 1)
                                .build());
        for (var difficulty : Difficulty.values()) {
            assertThat(Hidden.in(FaultTable.of(bare, CIRCUIT), difficulty, new Random(1)))
                    .isEmpty();
        }
        assertThatThrownBy(() -> new Hidden(List.of(), false)).hasMessageContaining("wrong");
    }
}
