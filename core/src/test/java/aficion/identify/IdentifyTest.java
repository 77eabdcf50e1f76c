package aficion.identify;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.identify.ContactTable.Role;
import aficion.identify.KeySwitch.Trouble;
import aficion.job.Action;
import aficion.job.Probed.Across;
import aficion.job.Probed.Closed;
import aficion.job.Probed.KeyVolts;
import aficion.job.Probed.OfLead;
import aficion.job.WireColour;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IdentifyTest {
    private static final Amps RATING = new Amps(20);

    /** Readings as a table: a row a terminal, a column a position. */
    private static List<KeyVolts> key(String positions, String... rows) {
        var names = positions.split(" ");
        var readings = new ArrayList<KeyVolts>();
        for (var row : rows) {
            var cells = row.split(" ");
            for (int i = 1; i < cells.length; i++) {
                if (!cells[i].equals("?")) {
                    readings.add(
                            new KeyVolts(
                                    cells[0],
                                    names[i - 1],
                                    new Volts(Double.parseDouble(cells[i]))));
                }
            }
        }
        return readings;
    }

    private static Map<String, KeyName> names(List<KeyVolts> readings) {
        return KeySwitch.of(readings).terminals().stream()
                .collect(Collectors.toMap(KeySwitch.Named::terminal, KeySwitch.Named::name));
    }

    /** A battery sags to 10 V while it cranks: what is live then shows four fifths of that. */
    @Test
    void aKeySwitchIsNamedByWhenItsTerminalsAreLive() {
        var readings =
                key(
                        "off acc run start",
                        "A 12.6 12.6 12.5 10.1",
                        "B 0 12.5 12.4 0.02",
                        "C 0 0 12.4 10.0",
                        "D 0 0 0 9.9",
                        "E 0 12.5 12.4 10.0",
                        "F 0 0 0 0");

        assertThat(names(readings))
                .containsExactlyInAnyOrderEntriesOf(
                        Map.of(
                                "A", KeyName.ALWAYS,
                                "B", KeyName.ACCESSORY_DROPS,
                                "C", KeyName.IGNITION,
                                "D", KeyName.START,
                                "E", KeyName.ACCESSORY,
                                "F", KeyName.NEVER));
        assertThat(KeySwitch.of(readings).troubles()).isEmpty();
        assertThat(KeySwitch.of(readings).apart("B", "C")).containsExactly("acc", "start");
        assertThat(KeySwitch.of(readings).apart("A", "A")).isEmpty();
    }

    /**
     * Nine readings of three terminals, plus at earth, positions without names that say anything.
     */
    @Test
    void positionsAreTakenInTheirOrderWhereTheirNamesSayNothing() {
        assertThat(
                        names(
                                key(
                                        "left middle right",
                                        "1 -6.3 -6.3 -5.0",
                                        "2 0 -6.2 -4.9",
                                        "3 0 0 -4.9")))
                .isEqualTo(Map.of("1", KeyName.ALWAYS, "2", KeyName.IGNITION, "3", KeyName.START));
    }

    @Test
    void aDieselHasATerminalForItsHeaterPlugs() {
        assertThat(
                        names(
                                key(
                                        "0 run heat start",
                                        "30 12 12 12 10",
                                        "15 0 12 12 10",
                                        "19 0 0 12 10",
                                        "50 0 0 0 10",
                                        "58 12 0 0 0")))
                .isEqualTo(
                        Map.of(
                                "30", KeyName.ALWAYS,
                                "15", KeyName.IGNITION,
                                "19", KeyName.HEAT,
                                "50", KeyName.START,
                                "58", KeyName.PARKING));
    }

    @Test
    void whatDoesNotFitIsTold() {
        var readings =
                key(
                        "off run start",
                        "A 12.6 12.6 10",
                        "B 0 7.2 0",
                        "C 0 12.4 ?",
                        "D 12.6 0 10",
                        "E 0 12.4 10");
        readings.add(new KeyVolts("E", "run", new Volts(0)));
        var found = KeySwitch.of(readings);

        assertThat(found.troubles())
                .containsExactlyInAnyOrder(
                        new Trouble.Between("B", "run", new Volts(7.2)),
                        new Trouble.Unread("C", "start"),
                        new Trouble.Odd("D", List.of("off", "start")),
                        new Trouble.Twice("E", "run", new Volts(12.4), new Volts(0)));
        assertThat(names(readings).entrySet())
                .filteredOn(each -> each.getValue() != KeyName.UNKNOWN)
                .containsExactly(Map.entry("A", KeyName.ALWAYS));
        assertThat(found.part("key", RATING)).isEmpty();
        assertThat(KeySwitch.of(key("off run", "A 0 12", "B 0 12")).troubles())
                .containsExactly(new Trouble.NoFeed());
    }

    @Test
    void aNamedKeySwitchIsAPart() {
        var part =
                KeySwitch.of(key("off run start", "30 12.6 12.6 10", "15 0 12.4 10", "50 0 0 9.9"))
                        .part("key", RATING)
                        .orElseThrow();

        assertThat(part.action()).isEqualTo(Action.KEY);
        assertThat(part.positions())
                .extracting(p -> p.joins().toString())
                .containsExactly("[]", "[30-15]", "[30-15, 30-50]");
        assertThat(part.positions())
                .extracting(p -> p.springs())
                .containsExactly(false, false, true);
    }

    /** Switches by what each position joins: {@code up=A-B,C-D;down=A-C}. */
    private static List<String> tried(String terminals, String makes) {
        var names = List.of(terminals.split(""));
        var sets =
                Arrays.stream(makes.split(";"))
                        .collect(
                                Collectors.toMap(
                                        each -> each.split("=")[0],
                                        each -> List.of(each.split("=", 2)[1].split(","))));
        var positions = Arrays.stream(makes.split(";")).map(each -> each.split("=")[0]).toList();
        var readings = new ArrayList<Closed>();
        int pairs = 0;
        var table = ContactTable.of(names, positions, readings);
        while (table.next().isPresent()) {
            var pair = table.next().get();
            for (var position : positions) {
                boolean closed =
                        sets.get(position).stream()
                                .anyMatch(set ->
                                        set.contains(pair.one()) && set.contains(pair.other()));
                readings.add(new Closed(pair.one(), pair.other(), position, closed));
            }
            pairs++;
            table = ContactTable.of(names, positions, readings);
        }
        var roles =
                table.named().stream()
                        .map(each -> each.terminal() + " " + each.role())
                        .collect(Collectors.toList());
        roles.addFirst(String.valueOf(pairs));
        return roles;
    }

    /**
     * What is joined to one is joined to all: a switch that changes over takes two of its three
     * pairs.
     */
    @Test
    void aContactTableIsFoundPairByPair() {
        assertThat(tried("ABC", "up=AB;down=AC"))
                .containsExactly("2", "A COMMON", "B OUTPUT", "C OUTPUT");
        assertThat(tried("AB", "off=;on=AB")).containsExactly("1", "A CONTACT", "B CONTACT");
        assertThat(tried("ABCD", "off=;side=AB;head=ABC"))
                .containsExactly("6", "A COMMON_OR", "B COMMON_OR", "C OUTPUT", "D NEVER");
        assertThat(tried("ABCDEF", "one=AB,DE;two=AC,DF"))
                .startsWith("11")
                .contains("A COMMON", "B OUTPUT", "C OUTPUT", "D COMMON", "E OUTPUT", "F OUTPUT");
        assertThat(tried("ABCD", "one=ABCD;two=ABCD").getFirst()).isEqualTo("3");
    }

    @Test
    void whatIsKnownOverAnotherIsNotTriedAgain() {
        var readings =
                List.of(
                        new Closed("A", "B", "on", true),
                        new Closed("B", "C", "on", true),
                        new Closed("A", "D", "on", false));
        var table = ContactTable.of(readings);

        assertThat(table.isWhole()).isTrue();
        assertThat(table.named().getLast().role()).isEqualTo(Role.NEVER);
        assertThat(table.named().getFirst().joined()).isEqualTo(Map.of("on", List.of("B", "C")));
        assertThat(ContactTable.of(readings.subList(0, 2)).next()).isEmpty();
    }

    @Test
    void aContactThatCannotBeIsTold() {
        var table =
                ContactTable.of(
                        List.of(
                                new Closed("A", "C", "on", false),
                                new Closed("A", "B", "on", true),
                                new Closed("B", "C", "on", true)));

        assertThat(table.contradictions())
                .extracting(each -> each.one() + each.other())
                .containsExactly("AC");
        assertThat(table.part(Action.LEVER, "lights", RATING)).isEmpty();
        assertThatThrownBy(() ->
                        ContactTable.of(
                                List.of("A", "B"),
                                List.of("on"),
                                List.of(new Closed("A", "C", "on", true))))
                .hasMessageContaining("another switch");
    }

    @Test
    void aContactTableIsAPart() {
        var part =
                ContactTable.of(
                                List.of(
                                        new Closed("30", "58", "off", false),
                                        new Closed("30", "58", "on", true)))
                        .part(Action.LEVER, "lights", RATING)
                        .orElseThrow();

        assertThat(part.positions())
                .extracting(each -> each.joins().toString())
                .containsExactly("[]", "[30-58]");
    }

    private static Leads.Found lead(double volts, double amps) {
        return Leads.of(
                        List.of(
                                new OfLead(
                                        "a",
                                        Optional.empty(),
                                        Optional.of(new Volts(volts)),
                                        Optional.of(new Amps(amps)),
                                        Optional.empty())))
                .getFirst();
    }

    private static Leads.Found ohms(Colour colour, double ohms) {
        return Leads.of(
                        List.of(
                                new OfLead(
                                        "a",
                                        Optional.of(WireColour.plain(colour)),
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.of(new Ohms(ohms)))))
                .getFirst();
    }

    private static double watts(Leads.Found found) {
        return switch (found.guesses().getFirst().hangs()) {
            case Hangs.Filament(_, Watts watts) -> watts.value();
            case Hangs.OtherVolts(_, Watts watts, _, _) -> watts.value();
            case Hangs.Open _,
                    Hangs.Earth _,
                    Hangs.Motor _,
                    Hangs.IgnitionCoil _,
                    Hangs.RelayCoil _,
                    Hangs.Sender _ ->
                    0;
        };
    }

    /** P/V of the rated volts, times (U/V)^0.55: 60 W of 13.2 V draw 4.43 A at 12.6 V. */
    @ParameterizedTest
    @CsvSource({
        "12.6, 4.43, 60, 4.43",
        "12.6, 4.06, 55, 4.06",
        "12.6, 1.50, 21, 1.50",
        "12.6, 0.357, 5, 0.357",
        "-12.6, -1.50, 21, 1.50",
        "6.3, 7.14, 45, 7.14",
        "25.2, 0.175, 5, 0.169"
    })
    void aLampIsKnownByItsCurrent(double volts, double amps, double watts, double expected) {
        var found = lead(volts, amps);

        assertThat(watts(found)).isEqualTo(watts);
        assertThat(found.guesses().getFirst().expected().map(Quantity::value).orElseThrow())
                .isCloseTo(expected, within(0.006 * Math.max(1, expected)));
        assertThat(found.guesses().getFirst().hangs()).isInstanceOf(Hangs.Filament.class);
        assertThat(found.guesses().stream().mapToDouble(Leads.Guess::weight).sum())
                .isCloseTo(1, within(0.02));
    }

    /** 45 W of 6.3 V at 12.6 V: 7.14 A · 2^0.55 = 10.46 A, about 1.5 of its own. */
    @Test
    void aLampOfHalfTheVoltsIsKnownByHalfAsMuchAgain() {
        var found = lead(12.6, 10.46);

        assertThat(found.guesses().getFirst().hangs())
                .isEqualTo(
                        new Hangs.OtherVolts(
                                List.of("headlamp main"), new Watts(45), new Volts(6), true));
        assertThat(lead(12.6, 3.76).guesses().getFirst().hangs())
                .isInstanceOf(Hangs.OtherVolts.class);
    }

    @Test
    void whatDrawsNothingIsOpenAndWhatPullsTheSupplyDownIsEarth() {
        assertThat(lead(12.6, 0).guesses().getFirst().hangs()).isEqualTo(new Hangs.Open());
        assertThat(lead(0.4, 5).guesses().getFirst().hangs()).isEqualTo(new Hangs.Earth());
        assertThat(lead(12.6, 19).guesses().getFirst().hangs()).isInstanceOf(Hangs.class);
        assertThat(lead(12.6, 2.3).guesses().getFirst().hangs()).isEqualTo(new Hangs.Motor());
    }

    @Test
    void whatStaysCloseIsMeasuredOtherwise() {
        assertThat(lead(12.6, 4.24).next()).contains(Leads.Next.LOOK);
        assertThat(lead(12.6, 0.152).next()).contains(Leads.Next.OHMS);
        assertThat(ohms(Colour.BLUE, 3.3).next()).contains(Leads.Next.AMPS);
        assertThat(ohms(Colour.BLUE, 200).next()).contains(Leads.Next.MOVE);
        assertThat(lead(12.6, 1.5).next()).isEmpty();
    }

    @Test
    void ohmsTellCoilsEarthAndWhatIsOpen() {
        assertThat(ohms(Colour.RED, 84).guesses().getFirst().hangs())
                .isEqualTo(new Hangs.RelayCoil(new Ohms(85)));
        assertThat(ohms(Colour.RED, 0.1).guesses().getFirst().hangs()).isEqualTo(new Hangs.Earth());
        assertThat(ohms(Colour.RED, UserUnits.OVER_RANGE_OHMS).guesses().getFirst().hangs())
                .isEqualTo(new Hangs.Open());
        assertThat(ohms(Colour.BLACK, 84).black()).isTrue();
        assertThat(ohms(Colour.BLACK, 0.1).black()).isFalse();
        assertThat(ohms(Colour.RED, 84).black()).isFalse();
    }

    private static Map<String, LeadSet.Role> roles(Object... read) {
        return LeadSet.of(across(read)).stream()
                .collect(Collectors.toMap(LeadSet.Found::lead, LeadSet.Found::role));
    }

    private static List<Across> across(Object... read) {
        var readings = new ArrayList<Across>();
        for (int i = 0; i < read.length; i += 3) {
            readings.add(
                    new Across(
                            (String) read[i],
                            (String) read[i + 1],
                            new Ohms(((Number) read[i + 2]).doubleValue())));
        }
        return readings;
    }

    @Test
    void theLeadsOfAStatorAreSortedByTheirOhms() {
        var open = UserUnits.OVER_RANGE_OHMS;

        assertThat(
                        roles(
                                "Y1", "Y2", 0.7, "Y1", "Y3", 0.7, "Y2", "Y3", 0.8, "black", "case",
                                0.1, "W", "case", 210, "Y1", "case", open))
                .isEqualTo(
                        Map.of(
                                "Y1", LeadSet.Role.AC,
                                "Y2", LeadSet.Role.AC,
                                "Y3", LeadSet.Role.AC,
                                "black", LeadSet.Role.EARTH,
                                "W", LeadSet.Role.SOURCE_COIL));
    }

    @Test
    void theBaseOfARelayIsSortedByItsOhms() {
        var open = UserUnits.OVER_RANGE_OHMS;
        var read =
                new Object[] {
                    "a", "b", 86, "c", "d", 0.05, "a", "c", open, "a", "d", open, "a", "e", open,
                    "b", "c", open, "b", "d", open, "b", "e", open, "c", "e", open, "d", "e", open
                };

        assertThat(roles(read))
                .isEqualTo(
                        Map.of(
                                "a", LeadSet.Role.COIL,
                                "b", LeadSet.Role.COIL,
                                "c", LeadSet.Role.REST,
                                "d", LeadSet.Role.REST,
                                "e", LeadSet.Role.OPEN));
        assertThat(LeadSet.unread(across(read))).isEmpty();
        assertThat(LeadSet.unread(across("a", "b", 1, "b", "case", 2)).getFirst())
                .containsExactly("a", "case");
    }

    /** A sense lead is black on some regulators: nothing of it is at the case. */
    @Test
    void aBlackLeadOfARegulatorThatIsNotAtTheCaseIsNoEarth() {
        assertThat(roles("black", "case", 4700, "green", "case", 0.1))
                .containsEntry("green", LeadSet.Role.EARTH)
                .doesNotContainEntry("black", LeadSet.Role.EARTH);
    }
}
