package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.catalogue.Colour;
import aficion.job.FoundBox.Fed;
import aficion.job.FoundBox.Seat;
import aficion.job.OldLead;
import aficion.job.WireColour;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.UserUnits;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tables of what a meter showed, as table programs and hands write them. */
class ProbeListTest {
    private static CsvFile file(String... lines) {
        return CsvFile.read(String.join("\n", lines));
    }

    @Test
    void aTableIsReadInWhateverSpellingItIs() {
        var read = ProbeList.read(file("Terminal;Position;Volts", "A;off;12,6", "B;off;", ";;"));

        assertThat(read.key()).hasSize(1);
        assertThat(read.key().getFirst().volts().value()).isEqualTo(12.6);
        assertThat(ProbeList.read(file("sep=|", "one|other|ohms", "a|b|1k\u03a9")).pairs())
                .singleElement()
                .satisfies(pair -> assertThat(pair.ohms()).isEqualTo(new Ohms(1000)));
        assertThat(ProbeList.read(file("lead\tcolour\tohms", "a\tgreen/red\tOL")).leads())
                .singleElement()
                .satisfies(lead -> {
                    assertThat(lead.ohms()).contains(new Ohms(UserUnits.OVER_RANGE_OHMS));
                    assertThat(lead.colour())
                            .contains(new WireColour(Colour.GREEN, Optional.of(Colour.RED)));
                });
    }

    @ParameterizedTest
    @CsvSource({
        "'yes', true",
        "'X', true",
        "'1', true",
        "'closed', true",
        "'no', false",
        "'0', false",
        "'open', false",
        "'-', false"
    })
    void aContactIsClosedOrOpenHoweverThatIsWritten(String said, boolean closed) {
        var read = ProbeList.read(file("one,other,position,closed", "A,B,up," + said));

        assertThat(read.contacts())
                .singleElement()
                .satisfies(each -> assertThat(each.closed()).isEqualTo(closed));
    }

    @Test
    void whatCannotBeReadIsToldWithItsLine() {
        assertThatThrownBy(() -> ProbeList.read(file("lead,volts,amps", "a,12.6,1", "b,12.6,lots")))
                .hasMessage("line 3: \"lots\" is no reading in A");
        assertThatThrownBy(() -> ProbeList.read(file("lead,volts,amps", "a,,1")))
                .hasMessageContaining("volts and amps together");
        assertThatThrownBy(() -> ProbeList.read(file("a,b", "1,2")))
                .hasMessageContaining("its columns are none of");
        assertThatThrownBy(() -> CsvFile.read("only")).hasMessageContaining("a line of headings");
    }

    @Test
    void aPlugIsReadWayByWay() {
        var plug =
                ProbeList.plug(
                        file(
                                "way,function,colour,alias,fed,proves",
                                "1,oil,white,oil lamp,earth,yes",
                                "2,Blocked,,,,",
                                "3,,,,,"));

        assertThat(plug)
                .containsExactly(
                        new Seat(
                                "1",
                                "oil",
                                "white",
                                Optional.of("oil lamp"),
                                Optional.of(Fed.EARTH),
                                Optional.of(true)),
                        new Seat("2", "Blocked", ""),
                        new Seat("3", "", ""));
        assertThat(plug.get(1).isBlocked()).isTrue();
        assertThatThrownBy(() -> ProbeList.plug(file("way,function,fed", "1,oil,sideways")))
                .hasMessage("line 2: \"sideways\" is not live or earth");
    }

    /** An end that names a terminal of the job is that terminal; any other becomes a joint. */
    @Test
    void aSurveyedLoomIsPartsAndWires() {
        var design = DemoJobs.find("tractor").orElseThrow().design();
        var lead =
                new OldLead(
                        "brown1",
                        "B1.+",
                        "behind the dash",
                        Optional.of(WireColour.plain(Colour.BROWN)),
                        Optional.of(new Metres(0.0022)),
                        OldLead.Cover.PLASTIC,
                        new OldLead.States(Set.of(), Set.of(), Set.of()),
                        false,
                        Optional.empty(),
                        List.of(),
                        "");
        var found = OldLoom.found(List.of(lead), design, UserUnits.METRIC, "Old loom");

        assertThat(found.wires())
                .singleElement()
                .satisfies(wire -> {
                    assertThat(wire.from().terminal()).hasToString("B1.+");
                    assertThat(found.part(wire.to().terminal().part()).name())
                            .isEqualTo("behind the dash");
                    assertThat(wire.size()).hasToString("2.5mm2");
                });
        assertThat(found.parts()).hasSize(design.parts().size() + 1);
    }
}
