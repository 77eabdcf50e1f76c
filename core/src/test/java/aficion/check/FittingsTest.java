package aficion.check;

import static aficion.check.Mistake.found;
import static aficion.check.Mistake.mends;
import static aficion.check.Mistake.none;
import static aficion.check.Mistake.only;
import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.FuseType;
import aficion.catalogue.Zone;
import aficion.check.finding.Finding;
import aficion.check.finding.FitFinding;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Which end, stud, bar or place is offered in place of one that does not fit. */
class FittingsTest {
    private static DesignBuilder with() {
        return DesignBuilder.twelveVolts();
    }

    private static DesignBuilder lead(String size, String from, String to) {
        return with().load("X1", 2).wire("B1.+", "X1.+", size, 1).ends(from, to);
    }

    private static DesignBuilder starter(String size, String end) {
        return with().mounted("M1", "E1", new LoadKind.Starter(new Ohms(0.05), new Ohms(1.2)))
                .wire("B1.+", "M1.30", size, 1)
                .ends("post-clamp", end);
    }

    /** The terminals that the first remedy crimps on. */
    private static List<String> offered(Finding finding) {
        return crimps(finding.remedies().getFirst());
    }

    private static List<String> crimps(Edit edit) {
        return edit instanceof CompositeEdit several
                ? several.edits().stream().flatMap(each -> crimps(each).stream()).toList()
                : List.of(((WireEdit.Crimp) edit).termination().key());
    }

    private static Terminal terminal(String name) {
        return Terminal.parse(name).orElseThrow();
    }

    /** Of its own family and no larger than need be, sealed as it was, and on its own stud. */
    @Test
    void theNextEndThatFitsIsOffered() {
        var small = FitFinding.EndTooSmall.class;
        assertThat(offered(only(lead("4mm2", "ring-m8", "blade-2-8"), small)))
                .containsExactly("blade-6-3");
        assertThat(offered(only(lead("4mm2", "ring-m8", "blade-2-8-sealed"), small)))
                .containsExactly("blade-6-3-sealed");
        assertThat(offered(only(lead("4mm2", "ring-m8", "bullet"), small)))
                .containsExactly("ring-m4");
        assertThat(offered(only(lead("16mm2", "ring-m8", "blade-9-5"), small)))
                .containsExactly("ring-m6");
        assertThat(offered(only(lead("16mm2", "lug-10-m8", "ring-m8"), small)))
                .containsExactly("ring-m8");
        assertThat(offered(only(lead("10mm2", "ring-m8", "ring-m4"), small)))
                .containsExactly("ring-m5");
        assertThat(offered(only(starter("4mm2", "blade-4-8"), small))).containsExactly("blade-6-3");
        assertThat(
                        offered(
                                only(
                                        lead("0.5mm2", "lug-10-m8", "blade-6-3"),
                                        FitFinding.EndTooLarge.class)))
                .containsExactly("ring-m8");
        assertThat(offered(only(starter("10mm2", "ring-m6"), FitFinding.RingDoesNotFit.class)))
                .containsExactly("ring-m8");
    }

    /** The positive post is the thicker; a clamp for either is made for one of them. */
    @Test
    void aClampForTheOtherPost() {
        var other = FitFinding.ClampForOtherPost.class;
        assertThat(offered(only(lead("4mm2", "post-clamp-negative", "blade-6-3"), other)))
                .containsExactly("post-clamp-positive");
        none(lead("4mm2", "post-clamp-positive", "blade-6-3"), other);
        none(lead("4mm2", "post-clamp", "blade-6-3"), other);
        none(lead("4mm2", "ring-m8", "post-clamp-negative"), other);
        none(lead("4mm2", "ring-m8", "blade-6-3"), other);
        var back =
                new DesignBuilder(12)
                        .battery(0.006)
                        .wire("B1.-", "E1.E", "25mm2", 0.3)
                        .ends("post-clamp-negative", "lug-25-m8");
        none(back, other);
    }

    private static DesignBuilder crimped(Zone zone, String size, String... ends) {
        var builder = with().zone(zone).fuse("F1", 20).zone(Zone.CABIN);
        builder.wire("B1.+", "F1.1", "4mm2", 0.2);
        for (int i = 1; i <= ends.length; i++) {
            builder.load("X" + i, 1)
                    .wire("F1.2", "X" + i + ".+", size, 1)
                    .ends(ends[i - 1], "blade-6-3");
        }
        return builder;
    }

    /** One blade for all where one takes them; else a ring each; rings that stack need nothing. */
    @Test
    void whatGoesIntoOneBarrel() {
        var full = FitFinding.BarrelOverfull.class;
        var dry = crimped(Zone.CABIN, "4mm2", "blade-6-3", "blade-6-3");
        var wet = crimped(Zone.FRONT, "4mm2", "blade-6-3-sealed", "blade-6-3-sealed");
        var much = crimped(Zone.CABIN, "6mm2", "blade-9-5", "blade-9-5", "blade-9-5");

        assertThat(offered(only(dry, full))).containsExactly("blade-9-5", "blade-9-5");
        assertThat(offered(only(wet, full)))
                .containsExactly("blade-9-5-sealed", "blade-9-5-sealed");
        assertThat(offered(only(much, full))).containsExactly("ring-m6", "ring-m6", "ring-m6");
        mends(much, only(much, full));
        none(crimped(Zone.CABIN, "4mm2", "ring-m4", "ring-m4"), full);
        none(crimped(Zone.CABIN, "2.5mm2", "blade-4-8", "blade-6-3"), full);
        none(lead("4mm2", "ring-m8", "blade-2-8"), full);
    }

    private static DesignBuilder stacked(DesignBuilder builder, String stud, String... sizes) {
        for (int i = 1; i <= sizes.length; i++) {
            builder.load("X" + i, 1)
                    .wire(stud, "X" + i + ".+", sizes[i - 1], 1)
                    .ends("ring-m8", "blade-9-5");
        }
        return builder;
    }

    private static List<String> leadTo(Design design, String stud) {
        return design.wiresAt(terminal(stud)).stream()
                .map(wire -> wire.beyond(terminal(stud)).terminal().toString())
                .toList();
    }

    /** What stays is the thickest; on an earth the rest goes to another, elsewhere to a bar. */
    @Test
    void aFourthRing() {
        var earth = stacked(with().earth("E2"), "E2.E", "1mm2", "1mm2", "4mm2", "2.5mm2");
        var moved = only(earth, FitFinding.TooManyRings.class);
        var after = moved.remedies().getFirst().apply(earth.build());
        assertThat(moved.rings()).isEqualTo(4);
        assertThat(leadTo(after, "E2.E")).containsExactly("X1.+", "X3.+", "X4.+");
        assertThat(leadTo(after, "E3.E")).containsExactly("X2.+");
        assertThat(after.parts().getLast().kind()).isInstanceOf(JoinKind.EarthPoint.class);

        var post = stacked(starter("25mm2", "lug-25-m8"), "M1.30", "1mm2", "1mm2", "4mm2");
        var bar = only(post, FitFinding.TooManyRings.class).remedies().getFirst();
        var barred = bar.apply(post.build());
        assertThat(leadTo(barred, "M1.30")).containsExactly("B1.+", "X3.+", "J1.J");
        assertThat(leadTo(barred, "J1.J")).containsExactly("X1.+", "X2.+", "M1.30");
        assertThat(barred.wires().getLast().conductor().copper().value()).isLessThan(1.1);
        none(
                stacked(with().part("J1", new JoinKind.Splice()), "J1.J", "1mm2", "1mm2", "1mm2")
                        .wire("B1.+", "J1.J", "1mm2", 1)
                        .ends("ring-m8", "ring-m8"),
                FitFinding.TooManyRings.class);
        var blade = stacked(with().earth("E2"), "E2.E", "1mm2", "1mm2", "1mm2");
        none(blade.load("X9", 1).wire("E2.E", "X9.+", "1mm2", 1), FitFinding.TooManyRings.class);
    }

    private static DesignBuilder onPost(double marking, double amps, int leads) {
        var builder = with();
        for (int i = 1; i <= leads; i++) {
            builder.fuse("F" + i, marking)
                    .load("X" + i, amps)
                    .wire("B1.+", "F" + i + ".1", i == 2 ? "6mm2" : "4mm2", 0.2)
                    .ends("ring-m8", "blade-6-3")
                    .stated(Unguarded.WITHIN_REACH)
                    .wire("F" + i + ".2", "X" + i + ".+", "4mm2", 1);
        }
        return builder;
    }

    /** Four times 15 A ask for 60 through one guard, loaded to three quarters: 80 A. */
    @Test
    void theLeadsOfAccessoriesGoBehindOneGuard() {
        var wrong = onPost(20, 15, 4);
        var found = only(wrong, FitFinding.RingsOnPost.class);
        var after = found.remedies().getFirst().apply(wrong.build());
        var main = after.parts().stream().filter(FittingsTest::isBolted).toList();

        assertThat(found.leads()).isEqualTo(4);
        assertThat(main)
                .singleElement()
                .satisfies(fuse ->
                        assertThat(((GuardKind.Fuse) fuse.kind()).marking().value()).isEqualTo(80));
        assertThat(after.wiresAt(terminal("B1.+")))
                .singleElement()
                .satisfies(wire -> {
                    assertThat(wire.conductor().copper().value()).isGreaterThanOrEqualTo(6);
                    assertThat(wire.unguarded()).contains(Unguarded.WITHIN_REACH);
                });
        assertThat(after.wiresAt(terminal("J1.J")))
                .hasSize(5)
                .allMatch(wire -> wire.unguarded().isEmpty());
        none(onPost(30, 15, 4), FitFinding.RingsOnPost.class);
        none(onPost(20, 15, 1), FitFinding.RingsOnPost.class);
    }

    private static boolean isBolted(Part part) {
        return part.kind() instanceof GuardKind.Fuse(var type, _) && type == FuseType.BOLTED;
    }

    private static DesignBuilder wet(String feed, String back) {
        return with().zone(Zone.UNDERBODY)
                .part("X1", new LoadKind.Buzzer(new Volts(12), amps()))
                .zone(Zone.CABIN)
                .wire("B1.+", "X1.+", "1mm2", 1)
                .ends("ring-m8", feed)
                .wire("X1.31", "E1.E", "1mm2", 1)
                .ends(back, "ring-m8");
    }

    private static Amps amps() {
        return new Amps(0.1);
    }

    /** Each bare end gets its like that is sealed, the others stay. */
    @Test
    void bareEndsAreSealed() {
        var one = only(wet("blade-6-3", "blade-4-8-sealed"), FitFinding.BareInWet.class);
        var both = only(wet("blade-6-3", "bullet"), FitFinding.BareInWet.class);

        assertThat(one.ends()).isEqualTo(1);
        assertThat(one.remedies().getFirst()).isInstanceOf(WireEdit.Crimp.class);
        assertThat(offered(one)).containsExactly("blade-6-3-sealed");
        assertThat(both.ends()).isEqualTo(2);
        assertThat(offered(both)).containsExactly("blade-6-3-sealed", "bullet-sealed");
    }
}
