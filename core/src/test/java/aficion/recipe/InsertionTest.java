package aficion.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Zone;
import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.identify.Feed;
import aficion.job.Body;
import aficion.job.Circuit;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.WireColour;
import aficion.job.Work;
import aficion.job.WorkshopPractice;
import aficion.job.edit.History;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import aficion.recipe.Insertion.Fit;
import aficion.recipe.Recipe.Group;
import aficion.route.StationId;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A lamp circuit of a recipe made by hand, put into a vehicle with a main fuse and a joint. */
class InsertionTest {
    private static final Question.Amount AMPS =
            new Question.Amount("amps", "How many amps?", "A", 1, 20, false, "4");
    private static final Question.Choice FEED =
            new Question.Choice(
                    "feed",
                    "Fed how?",
                    List.of(
                            new Question.Option("always", "always", Optional.empty()),
                            new Question.Option("key", "with the key", Optional.empty())),
                    "always");

    private static Design vehicle() {
        return DesignBuilder.twelveVolts()
                .part("F1", new GuardKind.Fuse(FuseType.BOLTED, new Amps(50)))
                .part("J1", new JoinKind.Splice())
                .wire("B1.+", "F1.1", "10mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "J1.J", "10mm2", 1)
                .build();
    }

    private static Recipe heater(Place feed) {
        return new Recipe(
                "heater",
                Group.COMFORT,
                "Heater, by a switch",
                "Warms.",
                Circuit.Drops.ORDINARY,
                List.of(AMPS, FEED),
                (_, answers) -> fragment(feed, Double.parseDouble(answers.get("amps"))));
    }

    private static Recipe unasked(Fragment fragment) {
        return new Recipe(
                "heater",
                Group.COMFORT,
                "Heater",
                "Warms.",
                Circuit.Drops.ORDINARY,
                List.of(),
                (_, _) -> fragment);
    }

    private static Fragment fragment(Place feed, double amps) {
        var load = new LoadKind.Load(new Demand.InAmps(new Amps(amps)), new Volts(12));
        return new Fragment(
                List.of(part("S1", DesignBuilder.lever("heater", 30)), part("R1", load)),
                Map.of(new PartId("R1"), JoinKind.Mass.BODY),
                Map.of(),
                List.of(lead(feed, own("S1.1"), false), lead(own("S1.2"), own("R1.+"), false)),
                List.of());
    }

    private static Part part(String id, aficion.job.Kind kind) {
        return new Part(new PartId(id), "heater " + id, Zone.CABIN, Optional.empty(), kind);
    }

    private static Place own(String terminal) {
        return new Place.Own(Terminal.parse(terminal).orElseThrow());
    }

    private static Lead lead(Place from, Place to, boolean optional) {
        return new Lead(
                from,
                to,
                WireColour.plain(Colour.GREEN),
                Zone.CABIN,
                new Metres(1.5),
                Optional.empty(),
                optional);
    }

    private static Fit.Fits fits(Fit fit) {
        assertThat(fit).isInstanceOf(Fit.Fits.class);
        return (Fit.Fits) fit;
    }

    private static Fit.Fits heated(Map<String, String> answers) {
        return fits(
                Insertion.of(vehicle(), heater(new Place.FeedFrom(Feed.ALWAYS, true)), answers));
    }

    private static double amps(Design design) {
        var on = Conditions.REST.with("heater", "on");
        var load =
                design.parts().stream()
                        .filter(part -> part.kind() instanceof LoadKind.Load)
                        .findFirst()
                        .orElseThrow();
        return new Solver(Netlist.of(design)).solve(on) instanceof Outcome.Solved(var point)
                ? point.through(load.id(), "body").orElseThrow().value()
                : 0;
    }

    @Test
    void itGoesInConnectedGuardedAndWithoutAFinding() {
        var fit = heated(Map.of());

        assertThat(fit.circuit().name()).isEqualTo("Heater");
        assertThat(fit.edit().apply(vehicle())).isEqualTo(fit.design());
        assertThat(amps(fit.design())).isBetween(3.8, 4.5);
        assertThat(fit.design().parts())
                .filteredOn(part -> part.kind() instanceof GuardKind.Fuse)
                .hasSize(2);
        var own = fit.design().wiresOf(fit.circuit().id());
        assertThat(own).hasSizeGreaterThanOrEqualTo(3);
        assertThat(Findings.of(Assessment.of(fit.design())))
                .filteredOn(finding -> finding.severity().compareTo(Severity.ADVISE) <= 0)
                .extracting(Finding::rule)
                .isEmpty();
    }

    @Test
    void sizesAndFuseFollowWhatItDraws() {
        var small = heated(Map.of("amps", "2"));
        var large = heated(Map.of("amps", "18"));

        assertThat(fuse(large)).isGreaterThan(fuse(small));
        assertThat(thinnest(large)).isGreaterThan(thinnest(small));
    }

    private static double fuse(Fit.Fits fit) {
        return fit.design().parts().stream()
                .filter(part -> !part.id().value().equals("F1"))
                .filter(part -> part.kind() instanceof GuardKind.Fuse)
                .mapToDouble(part -> ((GuardKind.Fuse) part.kind()).marking().value())
                .max()
                .orElseThrow();
    }

    private static double thinnest(Fit.Fits fit) {
        return fit.design().wiresOf(fit.circuit().id()).stream()
                .mapToDouble(wire -> wire.conductor().copper().value())
                .min()
                .orElseThrow();
    }

    @Test
    void putInTwiceNothingBearsAnOldName() {
        var once = heated(Map.of()).design();
        var twice =
                fits(Insertion.of(once, heater(new Place.FeedFrom(Feed.ALWAYS, true)), Map.of()));

        assertThat(twice.design().parts()).doesNotHaveDuplicates();
        assertThat(twice.design().parts())
                .filteredOn(part -> part.kind() instanceof ControlKind.Switch)
                .extracting(part -> ((ControlKind.Switch) part.kind()).control())
                .hasSize(2)
                .doesNotHaveDuplicates();
        assertThat(twice.circuit().number()).isGreaterThan(1);
    }

    @Test
    void whatTheVehicleLacksIsNamed() {
        var starter = new Place.PartPin("starter", "15a");
        var pin = new Place.SwitchPin("lights", "58");

        assertThat(Insertion.of(vehicle(), heater(starter), Map.of()))
                .isEqualTo(new Fit.Lacks(List.of(starter)));
        assertThat(Insertion.of(vehicle(), heater(pin), Map.of()))
                .isEqualTo(new Fit.Lacks(List.of(pin)));
        assertThat(
                        Insertion.of(
                                vehicle(),
                                heater(new Place.FeedFrom(Feed.IGNITION, true)),
                                Map.of()))
                .isInstanceOf(Fit.Lacks.class);
    }

    @Test
    void anOptionalLeadIsLeftOutWhereItsPlaceIsNot() {
        var body = fragment(new Place.FeedFrom(Feed.ALWAYS, true), 4);
        var leads = new java.util.ArrayList<>(body.leads());
        leads.add(lead(new Place.PartPin("starter", "15a"), own("S1.2"), true));
        var recipe =
                unasked(
                        new Fragment(
                                body.parts(), body.mounts(), body.stands(), leads, body.moves()));

        assertThat(fits(Insertion.of(vehicle(), recipe, Map.of())).design().wires())
                .hasSameSizeAs(heated(Map.of()).design().wires());
    }

    /**
     * Where the recipe says, in a body that has the place; where such parts mostly do in others.
     */
    @Test
    void aPartStandsWhereItsRecipeSays() {
        var body = fragment(new Place.FeedFrom(Feed.ALWAYS, true), 4);
        var stands =
                Map.of(
                        new PartId("S1"), new StationId("pedals"),
                        new PartId("R1"), new StationId("bars-left"));
        var recipe =
                unasked(
                        new Fragment(
                                body.parts(), body.mounts(), stands, body.leads(), body.moves()));
        var car = vehicle().withBody(Optional.of(Body.usual(Vehicle.Sort.CAR)));

        var fit = fits(Insertion.of(car, recipe, Map.of()));
        var hand = fit.design().part(new PartId("S1"));
        var heater = fit.design().part(new PartId("R1"));
        var lain = fit.design().body().orElseThrow();
        assertThat(lain.station(hand)).isEqualTo(new StationId("pedals"));
        assertThat(lain.station(heater)).isEqualTo(new StationId("cabin"));
        assertThat(lain.stands()).containsOnlyKeys(hand.id());
        assertThat(fit.edit().apply(car)).isEqualTo(fit.design());
        assertThat(fits(Insertion.of(vehicle(), recipe, Map.of())).design().body()).isEmpty();
    }

    @Test
    void anAnswerOutOfBoundsIsRefused() {
        for (var answers :
                List.of(
                        Map.of("amps", "0.5"),
                        Map.of("amps", "21"),
                        Map.of("amps", "many"),
                        Map.of("feed", "never"))) {
            assertThatThrownBy(() -> heated(answers)).isInstanceOf(IllegalArgumentException.class);
        }
        assertThat(AMPS.takes("1")).isTrue();
        assertThat(AMPS.takes("20")).isTrue();
        var whole = new Question.Amount("n", "How many?", "", 1, 4, true, "2");
        assertThat(whole.takes("2.5")).isFalse();
        assertThat(whole.takes("4")).isTrue();
    }

    @Test
    void theHouseAnswersWhatTheUserLeavesOpen() {
        var choice =
                new Question.Choice(
                        "feed",
                        "From where?",
                        List.of(
                                new Question.Option(
                                        "battery",
                                        "battery",
                                        Optional.of(WorkshopPractice.FROM_BATTERY)),
                                new Question.Option(
                                        "alternator",
                                        "alternator",
                                        Optional.of(WorkshopPractice.FROM_ALTERNATOR))),
                        "battery");

        assertThat(choice.usual(HouseRules.USUAL)).isEqualTo("battery");
        assertThat(choice.usual(HouseRules.USUAL.withSchool(WorkshopPractice.FROM_ALTERNATOR)))
                .isEqualTo("alternator");
    }

    @Test
    void theStepNotesThatItIsPlannedAndSized() {
        var fit = heated(Map.of());
        var job = History.of(Job.of(vehicle())).then(fit.step()).present();

        assertThat(job.design()).isEqualTo(fit.design());
        assertThat(job.work().done().get(fit.circuit().id()))
                .containsExactlyInAnyOrder(Work.Stage.PLANNED, Work.Stage.SIZED);
    }
}
