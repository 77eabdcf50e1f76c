package aficion.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Zone;
import aficion.identify.Feed;
import aficion.job.Body;
import aficion.job.Circuit;
import aficion.job.Colouring;
import aficion.job.Demand;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.GuardKind;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WorkshopPractice;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import aficion.recipe.Insertion.Fit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Where the ends of a recipe's leads go, and what becomes of what is there already. */
class PlacesTest {
    private static final PartId LOAD = new PartId("R1");

    /** A vehicle with a main fuse, two named joints behind it and a light switch. */
    private static DesignBuilder vehicle() {
        return DesignBuilder.twelveVolts()
                .part("F1", new GuardKind.Fuse(FuseType.BLADE, new Amps(20)))
                .part("J1", new JoinKind.Splice())
                .part("J2", new JoinKind.Splice())
                .part("S5", DesignBuilder.lever("lights", 30))
                .wire("B1.+", "F1.1", "2.5mm2", 0.15)
                .stated(Unguarded.WITHIN_REACH)
                .wire("F1.2", "J1.J", "2.5mm2", 1)
                .wire("J1.J", "J2.J", "2.5mm2", 0.3)
                .wire("J1.J", "S5.1", "2.5mm2", 0.5);
    }

    private static Design named() {
        var design = vehicle().build();
        return design.withParts(
                design.parts().stream()
                        .map(part ->
                                part.id().value().equals("J2") ? part.withName("live joint") : part)
                        .toList());
    }

    private static Part load(double amps) {
        return new Part(
                LOAD,
                "heater",
                Zone.CABIN,
                Optional.empty(),
                new LoadKind.Load(new Demand.InAmps(new Amps(amps)), new Volts(12)));
    }

    private static Lead lead(Place from, Place to, double metres, Optional<Unguarded> why) {
        return new Lead(
                from,
                to,
                WireColour.plain(Colour.GREEN),
                Zone.CABIN,
                new Metres(metres),
                why,
                false);
    }

    private static Place own(String terminal) {
        return new Place.Own(Terminal.parse(terminal).orElseThrow());
    }

    private static Fragment fedFrom(Place place) {
        return new Fragment(
                List.of(load(4)),
                Map.of(LOAD, JoinKind.Mass.BODY),
                Map.of(),
                List.of(lead(place, own("R1.+"), 1, Optional.empty())),
                List.of());
    }

    private static Fit put(Design design, Recipe.Group group, Fragment fragment) {
        var recipe =
                new Recipe(
                        "heater",
                        group,
                        "Heater",
                        "Warms.",
                        Circuit.Drops.ORDINARY,
                        List.of(),
                        (_, _) -> fragment);
        return Insertion.of(design, recipe, Map.of());
    }

    private static Fit.Fits fits(Design design, Fragment fragment) {
        var fit = put(design, Recipe.Group.COMFORT, fragment);
        assertThat(fit).isInstanceOf(Fit.Fits.class);
        return (Fit.Fits) fit;
    }

    private static List<Wire> made(Fit.Fits fit) {
        return fit.design().wiresOf(fit.circuit().id());
    }

    static Stream<Arguments> places() {
        return Stream.of(
                Arguments.of(new Place.SwitchPin("lights", "2"), "S5.2"),
                Arguments.of(new Place.PartPin("fuse", "2"), "F1.2"),
                Arguments.of(new Place.PartPin("splice", "J"), "J1.J"),
                Arguments.of(new Place.NamedPin("live joint", "J"), "J2.J"),
                Arguments.of(new Place.Post(true), "B1.+"));
    }

    @ParameterizedTest
    @MethodSource("places")
    void aLeadEndsAtThePlaceThatIsMeant(Place place, String terminal) {
        var from = Terminal.parse(terminal).orElseThrow();
        var before = named().wiresAt(from).size();
        var fit = fits(named(), fedFrom(place));

        assertThat(fit.design().wiresAt(from)).hasSize(before + 1);
        assertThat(made(fit)).anyMatch(wire -> wire.to().terminal().part().equals(LOAD));
        assertThat(fit.edit().apply(named())).isEqualTo(fit.design());
    }

    static Stream<Place> strange() {
        return Stream.of(
                new Place.SwitchPin("lights", "3"),
                new Place.SwitchPin("wiper", "2"),
                new Place.PartPin("fuse", "30"),
                new Place.PartPin("ignition-coil", "15"),
                new Place.NamedPin("live joint", "K"),
                new Place.NamedPin("dead joint", "J"),
                new Place.FeedFrom(Feed.IGNITION, false));
    }

    /** What is not there is named, all of it, and nothing goes in. */
    @ParameterizedTest
    @MethodSource("strange")
    void aPlaceThatIsNotThereIsNamed(Place place) {
        assertThat(put(named(), Recipe.Group.COMFORT, fedFrom(place)))
                .isEqualTo(new Fit.Lacks(List.of(place)));
        var moved =
                new Fragment(
                        List.of(),
                        Map.of(),
                        Map.of(),
                        List.of(),
                        List.of(
                                new Fragment.Move(place, new Place.NamedPin("live joint", "J")),
                                new Fragment.Move(new Place.NamedPin("live joint", "J"), place)));
        assertThat(put(named(), Recipe.Group.COMFORT, moved))
                .isEqualTo(new Fit.Lacks(List.of(place)));
    }

    /** The live post is the one that is not earthed. */
    @Test
    void thePostsFollowTheEarthedPole() {
        var design =
                DesignBuilder.twelveVolts()
                        .positiveEarth()
                        .part("J1", new JoinKind.Splice())
                        .build();
        var fit = fits(design, fedFrom(new Place.Post(true)));

        assertThat(made(fit)).anyMatch(wire -> wire.from().terminal().toString().equals("B1.-"));
        assertThat(
                        put(
                                Design.empty(design.vehicle(), HouseRules.USUAL),
                                Recipe.Group.COMFORT,
                                fedFrom(new Place.Post(false))))
                .isEqualTo(
                        new Fit.Lacks(
                                List.of(
                                        new Place.EarthOn(JoinKind.Mass.BODY),
                                        new Place.Post(false))));
    }

    /** Every lead at one joint is led to the other; what was there stays. */
    @Test
    void whatEndsAtOnePlaceIsLedToAnother() {
        var moves =
                List.of(
                        new Fragment.Move(
                                new Place.SwitchPin("lights", "1"),
                                new Place.NamedPin("live joint", "J")));
        var fit = fits(named(), new Fragment(List.of(), Map.of(), Map.of(), List.of(), moves));

        var joint = Terminal.parse("J2.J").orElseThrow();
        assertThat(fit.design().wiresAt(Terminal.parse("S5.1").orElseThrow())).isEmpty();
        assertThat(fit.design().wiresAt(joint)).hasSize(2);
        assertThat(fit.design().wires()).hasSameSizeAs(named().wires());
    }

    /** A case goes to the engine's earth where there is one, else to the body's. */
    @Test
    void aCaseFindsItsEarth() {
        var fragment = fedFrom(new Place.NamedPin("live joint", "J"));
        var onEngine =
                new Fragment(
                        fragment.parts(),
                        Map.of(LOAD, JoinKind.Mass.ENGINE),
                        Map.of(),
                        fragment.leads(),
                        List.of());
        var engine =
                new Part(
                        new PartId("E9"),
                        "engine",
                        Zone.ON_ENGINE,
                        Optional.empty(),
                        new JoinKind.EarthPoint(JoinKind.Mass.ENGINE, HouseRules.USUAL.joint()));
        var both =
                named().withParts(
                                Stream.concat(named().parts().stream(), Stream.of(engine))
                                        .toList());

        assertThat(mount(fits(named(), onEngine))).isEqualTo(mount(fits(named(), fragment)));
        assertThat(mount(fits(both, onEngine))).contains(engine.id());
        assertThat(mount(fits(both, fragment))).isNotEmpty().isNotEqualTo(Optional.of(engine.id()));
    }

    private static Optional<PartId> mount(Fit.Fits fit) {
        return fit.design().part(LOAD).mount();
    }

    /** A house that leads every case back by a wire. */
    @Test
    void aCaseIsLedBackByAWireWhereTheHouseHasItSo() {
        var rules = HouseRules.USUAL.withSchool(WorkshopPractice.WIRE_RETURN);
        var fit = fits(named().withRules(rules), fedFrom(new Place.NamedPin("live joint", "J")));

        assertThat(mount(fit)).isEmpty();
        assertThat(made(fit))
                .anySatisfy(wire ->
                        assertThat(wire.terminals())
                                .extracting(Terminal::toString)
                                .containsExactlyInAnyOrder("R1.31", "E1.E"));
    }

    /** A recipe that brings a battery leads to the one that is there. */
    @Test
    void aVehicleHasOneBattery() {
        var battery = named().part(new PartId("B1"));
        var fed = fedFrom(own("B1.+"));
        var fit =
                fits(
                        named(),
                        new Fragment(
                                List.of(battery, fed.parts().getFirst()),
                                fed.mounts(),
                                Map.of(),
                                fed.leads(),
                                List.of()));

        assertThat(fit.design().parts())
                .filteredOn(part -> part.kind() instanceof SourceKind.Battery)
                .hasSize(1);
        assertThat(made(fit)).anyMatch(wire -> wire.from().terminal().toString().equals("B1.+"));
    }

    /** Half as long on a motorcycle, never shorter than its ends need. */
    @Test
    void aLeadIsAsLongAsTheKindOfVehicleHasIt() {
        var joint = new Place.NamedPin("live joint", "J");
        for (var sort : Vehicle.Sort.values()) {
            var was = named().vehicle();
            var design =
                    named().withVehicle(
                                    new Vehicle(
                                            was.name(),
                                            was.year(),
                                            was.system(),
                                            was.earthed(),
                                            Optional.of(sort)));
            assertThat(longest(fits(design, fedFrom(joint))))
                    .isCloseTo(Math.max(0.15, 1 * sort.reach()), within(1e-9));
        }
        var brief = fedFrom(joint);
        var leads = List.of(lead(joint, own("R1.+"), 0.05, Optional.empty()));
        var fit =
                fits(
                        named(),
                        new Fragment(brief.parts(), brief.mounts(), Map.of(), leads, List.of()));
        assertThat(longest(fit)).isCloseTo(0.15, within(1e-9));
    }

    private static double longest(Fit.Fits fit) {
        return made(fit).stream()
                .mapToDouble(wire -> wire.length().metres().value())
                .max()
                .orElseThrow();
    }

    /** In a body a lead follows its runs; one that goes without a guard is as short as it says. */
    @Test
    void aLeadWithoutAGuardKeepsItsLength() {
        var design = named().withBody(Optional.of(Body.usual(Vehicle.Sort.CAR)));
        var joint = new Place.NamedPin("live joint", "J");
        var reach = List.of(lead(joint, own("R1.+"), 0.2, Optional.of(Unguarded.WITHIN_REACH)));
        var kept =
                fits(
                        design,
                        new Fragment(
                                List.of(load(4)),
                                Map.of(LOAD, JoinKind.Mass.BODY),
                                Map.of(),
                                reach,
                                List.of()));

        assertThat(made(kept)).allMatch(wire -> wire.laid() instanceof Laid.Stated);
        assertThat(made(fits(design, fedFrom(joint))))
                .allMatch(wire -> wire.laid() instanceof Laid.Routed);
    }

    /** A fuse that guards others keeps its marking: the new lead is made thicker instead. */
    @Test
    void aFuseThatIsThereIsNotMadeSmaller() {
        var fit = fits(named(), fedFrom(new Place.PartPin("fuse", "2")));

        assertThat(fit.design().part(new PartId("F1"))).isEqualTo(named().part(new PartId("F1")));
        assertThat(made(fit)).allMatch(wire -> wire.conductor().copper().value() > 1);
    }

    /** A fuse that a recipe brings is fitted to its load, a main feed's stays as large as asked. */
    @Test
    void theFuseOfAMainFeedIsNotMadeSmaller() {
        var fuse =
                new Part(
                        new PartId("F1"),
                        "fuse",
                        Zone.CABIN,
                        Optional.empty(),
                        new GuardKind.Fuse(FuseType.BLADE, new Amps(30)));
        var leads =
                List.of(
                        lead(
                                new Place.NamedPin("live joint", "J"),
                                own("F1.1"),
                                0.15,
                                Optional.empty()),
                        lead(own("F1.2"), own("R1.+"), 1, Optional.empty()));
        var fragment =
                new Fragment(
                        List.of(fuse, load(4)),
                        Map.of(LOAD, JoinKind.Mass.BODY),
                        Map.of(),
                        leads,
                        List.of());

        assertThat(marking(put(named(), Recipe.Group.DISTRIBUTION, fragment))).isEqualTo(30);
        assertThat(marking(put(named(), Recipe.Group.CHARGING, fragment))).isEqualTo(30);
        assertThat(marking(put(named(), Recipe.Group.COMFORT, fragment))).isLessThan(30);
    }

    private static double marking(Fit fit) {
        return ((Fit.Fits) fit)
                .design().parts().stream()
                        .filter(part -> part.name().equals("fuse"))
                        .map(Part::kind)
                        .mapToDouble(kind -> ((GuardKind.Fuse) kind).marking().value())
                        .findFirst()
                        .orElseThrow();
    }

    /** A house that takes the largest size for every lead of a colour. */
    @Test
    void aHouseThatTakesOneSizeTakesTheLargest() {
        var rules = HouseRules.USUAL.withSchool(WorkshopPractice.LARGEST_SIZE);
        var fed = fedFrom(new Place.NamedPin("live joint", "J"));
        var leads =
                List.of(
                        lead(
                                new Place.NamedPin("live joint", "J"),
                                own("S1.1"),
                                6,
                                Optional.empty()),
                        lead(own("S1.2"), own("R1.+"), 0.3, Optional.empty()));
        var parts =
                List.of(
                        new Part(
                                new PartId("S1"),
                                "hand",
                                Zone.CABIN,
                                Optional.empty(),
                                DesignBuilder.lever("heat", 30)),
                        fed.parts().getFirst());
        var fit =
                fits(
                        named().withRules(rules),
                        new Fragment(parts, fed.mounts(), Map.of(), leads, List.of()));

        assertThat(made(fit))
                .extracting(wire -> wire.cut().size())
                .containsOnly(made(fit).getFirst().cut().size());
        var usual = fits(named(), fedFrom(new Place.NamedPin("live joint", "J")));
        var largest =
                fits(named().withRules(rules), fedFrom(new Place.NamedPin("live joint", "J")));
        assertThat(copper(largest)).isGreaterThan(copper(usual));
    }

    private static double copper(Fit.Fits fit) {
        return made(fit).getFirst().conductor().copper().value();
    }

    /** A house of one colour has the leads of a recipe in it; one without a scheme leaves them. */
    @Test
    void theLeadsOfARecipeHaveTheColoursOfTheHouse() {
        var house =
                named().withRules(HouseRules.USUAL.withColours(new Colouring.Banded(Colour.WHITE)));
        var fed = fedFrom(new Place.NamedPin("live joint", "J"));

        assertThat(made(fits(house, fed)))
                .allMatch(wire -> wire.colour().equals(WireColour.plain(Colour.WHITE)));
        assertThat(made(fits(named(), fed)))
                .allMatch(wire -> wire.colour().equals(WireColour.plain(Colour.GREEN)));
    }

    /** A wire that was too thin before stays what it was: that is not what was asked for. */
    @Test
    void whatWasWrongBeforeIsLeftAlone() {
        var design = vehicle().load("X9", 15).wire("J2.J", "X9.+", "0.5mm2", 2).build();
        var thin = design.wires().getLast();
        var fit = fits(design, fedFrom(new Place.Post(true)));

        assertThat(fit.design().wire(thin.id())).isEqualTo(thin);
    }
}
