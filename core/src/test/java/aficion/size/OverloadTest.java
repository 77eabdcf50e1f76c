package aficion.size;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.FuseType;
import aficion.job.Demand;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.WorkshopPractice;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What comes back after an overload, where the house has it so. */
class OverloadTest {
    private static final Volts TWELVE = new Volts(12);
    private static final Amps SIX = new Amps(6);

    private static LoadKind lamp(String... pins) {
        return new LoadKind.Lamp(
                new Volts(13.5),
                Stream.of(pins).map(pin -> new LoadKind.Filament(pin, new Watts(21))).toList());
    }

    private static Stream<Arguments> kinds() {
        return Stream.of(
                Arguments.of(new LoadKind.Motor(SIX, TWELVE), true),
                Arguments.of(new LoadKind.WiperMotor("wiper", SIX, TWELVE, Optional.empty()), true),
                Arguments.of(
                        new LoadKind.TwoSpeedMotor(SIX, SIX, TWELVE, Optional.empty(), false),
                        true),
                Arguments.of(lamp("56a", "56b"), true),
                Arguments.of(lamp("58", "56b"), true),
                Arguments.of(lamp("58", "54"), false),
                Arguments.of(new LoadKind.Load(new Demand.InAmps(SIX), TWELVE), false));
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void motorsAndHeadlampsMustNotStayDead(Kind kind, boolean returns) {
        assertThat(Overload.mustReturn(kind)).isEqualTo(returns);
    }

    private static final GuardKind BOX =
            new GuardKind.FuseBox(
                    List.of(
                            new GuardKind.Way("1", FuseType.BLADE, new Amps(7.5)),
                            new GuardKind.Way("2", FuseType.BLADE, new Amps(20)),
                            new GuardKind.Way("3", FuseType.BREAKER_HOLD, new Amps(10)),
                            new GuardKind.Way("4", FuseType.BLADE, new Amps(35))));

    private static Optional<GuardKind> returning(HouseRules rules, String way) {
        return Overload.returning(rules, BOX, way);
    }

    /** The smallest that carries as much; a blade and a breaker both carry their marking. */
    @ParameterizedTest
    @CsvSource({"1, 8", "2, 20", "4, 40"})
    void aBreakerTakesThePlaceOfAFuse(String way, double marking) {
        var seats =
                returning(HouseRules.USUAL.withSchool(WorkshopPractice.SELF_RESETTING), way)
                        .orElseThrow()
                        .seats();

        assertThat(seats)
                .filteredOn(seat -> seat.way().equals(way))
                .singleElement()
                .satisfies(seat -> {
                    assertThat(seat.type()).isEqualTo(FuseType.BREAKER_SELF);
                    assertThat(seat.marking().value()).isEqualTo(marking);
                });
        assertThat(seats)
                .filteredOn(seat -> !seat.way().equals(way))
                .allMatch(seat -> seat.type() != FuseType.BREAKER_SELF);
    }

    @Test
    void aBreakerStaysAndOtherHousesKeepTheirFuses() {
        var breakers = HouseRules.USUAL.withSchool(WorkshopPractice.SELF_RESETTING);

        assertThat(returning(breakers, "3")).isEmpty();
        assertThat(returning(breakers, "5")).isEmpty();
        assertThat(returning(HouseRules.USUAL, "1")).isEmpty();
    }

    @Test
    void aHouseThatIsolatesByHandBreaksItsMainFeedByHand() {
        var main = new GuardKind.Fuse(FuseType.BLADE, new Amps(40));
        var byHand = HouseRules.USUAL.withSchool(WorkshopPractice.MANUAL_BREAKER);

        assertThat(Overload.isolating(byHand, main))
                .contains(new GuardKind.Fuse(FuseType.BREAKER_MANUAL, new Amps(40)));
        assertThat(Overload.isolating(HouseRules.USUAL, main)).isEmpty();
    }
}
