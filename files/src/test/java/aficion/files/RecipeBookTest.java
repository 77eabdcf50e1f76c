package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.job.Body;
import aficion.job.Design;
import aficion.job.HouseRules;
import aficion.job.Laid;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Vehicle;
import aficion.job.WorkshopPractice;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Volts;
import aficion.recipe.Insertion;
import aficion.recipe.Insertion.Fit;
import aficion.recipe.Question;
import aficion.recipe.Recipe;
import aficion.route.StationId;
import aficion.size.Assessment;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every recipe goes into a vehicle that has what it needs, and does no harm there. */
@Execution(ExecutionMode.CONCURRENT)
class RecipeBookTest {
    /** So many answers on is the next one tried in a vehicle that is not the first; 1 for all. */
    private static final int EACH = Integer.getInteger("aficion.answers", 3);

    private static final Map<String, Recipe> BOOK =
            RecipeBook.shipped().stream()
                    .collect(Collectors.toMap(Recipe::id, Function.identity()));

    private static final List<String> BASE =
            List.of("start-solenoid", "main-feed", "key-switch", "fuses-6", "light-switch");

    private static final Map<String, List<String>> FIRST =
            Map.of(
                    "hazard", List.of("turn-signals"),
                    "trailer", List.of("stop-pedal"),
                    "speed-control", List.of("stop-pedal"),
                    "tacho", List.of("ignition-points"));

    private static Design empty() {
        return Design.empty(
                new Vehicle("test", 1960, new Volts(12), Vehicle.Pole.NEGATIVE), HouseRules.USUAL);
    }

    private static Fit.Fits put(Design design, String recipe, Map<String, String> answers) {
        var fit = Insertion.of(design, BOOK.get(recipe), answers);
        assertThat(fit).as(recipe).isInstanceOf(Fit.Fits.class);
        return (Fit.Fits) fit;
    }

    /** The vehicle a recipe is put into: what comes before it in the order of work. */
    static Design before(String recipe) {
        return before(empty().vehicle(), recipe);
    }

    private static Design before(Vehicle vehicle, String recipe) {
        var wanted = new ArrayList<>(BASE);
        if (BOOK.get(recipe).group() == Recipe.Group.STARTING) {
            wanted.clear();
        } else if (recipe.equals("main-feed") || recipe.equals("isolator")) {
            wanted.removeIf(id -> !id.equals("start-solenoid"));
        } else if (BASE.contains(recipe)) {
            wanted.subList(BASE.indexOf(recipe), BASE.size()).clear();
        }
        wanted.addAll(FIRST.getOrDefault(recipe, List.of()));
        var design = Design.empty(vehicle, HouseRules.USUAL);
        for (var id : wanted) {
            design = put(design, id, Map.of()).design();
        }
        return design;
    }

    /**
     * The usual answers; each choice, and each amount at its ends and in its middle, with the rest
     * as usual; and all amounts at their ends together. All of them in the first vehicle, the usual
     * and others in each in turn.
     */
    private static List<Map<String, String>> answers(Recipe recipe, Vehicle vehicle) {
        var all = answers(recipe);
        int first = vehicles().indexOf(vehicle);
        return IntStream.range(0, all.size())
                .filter(i -> first == 0 || i == 0 || (i + first) % EACH == 0)
                .mapToObj(all::get)
                .toList();
    }

    private static List<Map<String, String>> answers(Recipe recipe) {
        var all = new LinkedHashSet<Map<String, String>>(List.of(Map.of()));
        var least = new HashMap<String, String>();
        var most = new HashMap<String, String>();
        for (var question : recipe.questions()) {
            switch (question) {
                case Question.Choice choice ->
                        choice.options()
                                .forEach(option -> all.add(Map.of(choice.id(), option.id())));
                case Question.Amount amount -> {
                    double middle = (amount.least() + amount.most()) / 2;
                    for (double value : new double[] {amount.least(), middle, amount.most()}) {
                        all.add(Map.of(amount.id(), answer(amount, value)));
                    }
                    least.put(amount.id(), answer(amount, amount.least()));
                    most.put(amount.id(), answer(amount, amount.most()));
                }
            }
        }
        all.add(least);
        all.add(most);
        return List.copyOf(all);
    }

    private static String answer(Question.Amount amount, double value) {
        return amount.whole() ? String.valueOf(Math.round(value)) : String.valueOf(value);
    }

    /** The vehicles a recipe is tried in. */
    private static List<Vehicle> vehicles() {
        return List.of(
                vehicle(12, Vehicle.Pole.NEGATIVE, Vehicle.Sort.CAR),
                vehicle(6, Vehicle.Pole.POSITIVE, Vehicle.Sort.CAR),
                vehicle(6, Vehicle.Pole.NEGATIVE, Vehicle.Sort.MOTORCYCLE),
                vehicle(12, Vehicle.Pole.POSITIVE, Vehicle.Sort.MOTORCYCLE),
                vehicle(24, Vehicle.Pole.NEGATIVE, Vehicle.Sort.TRACTOR));
    }

    private static Vehicle vehicle(double volts, Vehicle.Pole earthed, Vehicle.Sort sort) {
        return new Vehicle("test", 1960, new Volts(volts), earthed, Optional.of(sort));
    }

    @TestFactory
    Stream<DynamicTest> goesInWithoutHarm() {
        return RecipeBook.shipped().stream()
                .flatMap(recipe ->
                        vehicles().stream()
                                .map(vehicle ->
                                        DynamicTest.dynamicTest(
                                                recipe.id() + " " + name(vehicle),
                                                () -> goesIn(vehicle, recipe))));
    }

    private static String name(Vehicle vehicle) {
        return vehicle.sort().orElseThrow() + " " + vehicle.system().value();
    }

    /** No danger, nothing to fix, no part that never works, and nothing burns uncalled. */
    private static void goesIn(Vehicle vehicle, Recipe recipe) {
        var design = before(vehicle, recipe.id());
        var known = Corpus.toMend(design).stream().map(Finding::about).collect(Collectors.toSet());
        for (var answers : answers(recipe, vehicle)) {
            var fits = put(design, recipe.id(), answers);

            assertThat(fits.edit().apply(design)).isEqualTo(fits.design());
            assertThat(fits.design().wiresOf(fits.circuit().id())).isNotEmpty();
            assertThat(Corpus.toMend(fits.design()))
                    .as("%s %s", recipe.id(), answers)
                    .filteredOn(finding -> !known.contains(finding.about()))
                    .filteredOn(finding -> !waitsForAnother(finding))
                    .isEmpty();
            assertThat(BurningLaw.broken(fits.design()))
                    .as("%s %s", recipe.id(), answers)
                    .isEmpty();
        }
    }

    /** What the next circuit is joined to has no wire yet. */
    private static boolean waitsForAnother(Finding finding) {
        return finding instanceof Finding.TerminalUnconnected;
    }

    @Test
    void thereAreRecipesForEveryGroup() {
        assertThat(BOOK).hasSizeGreaterThanOrEqualTo(30);
        assertThat(BOOK.values().stream().map(Recipe::group).distinct())
                .containsExactlyInAnyOrder(
                        Stream.of(Recipe.Group.values())
                                .filter(group -> group != Recipe.Group.OWN)
                                .toArray(Recipe.Group[]::new));
    }

    @Test
    void whatAVehicleLacksIsSaid() {
        var fit = Insertion.of(empty(), BOOK.get("horn-direct"), Map.of());

        assertThat(fit).isInstanceOf(Fit.Lacks.class);
        assertThat(((Fit.Lacks) fit).places()).isNotEmpty();
    }

    @Test
    void anAnswerOutOfBoundsIsRefused() {
        assertThatThrownBy(
                        () -> Insertion.of(empty(), BOOK.get("horn-direct"), Map.of("amps", "-3")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("-3");
    }

    /** A second horn takes another way of the fuse box and another control. */
    @Test
    void twiceTheSameRecipeIsTwoCircuits() {
        var once = put(before("horn-direct"), "horn-direct", Map.of()).design();
        var twice = put(once, "horn-direct", Map.of());

        assertThat(twice.design().circuits()).hasSize(once.circuits().size() + 1);
        assertThat(Findings.of(Assessment.of(twice.design())))
                .noneMatch(Finding.SameLabel.class::isInstance);
    }

    /** All that is proposed goes in, one after the other, in every system that is likely. */
    @ParameterizedTest
    @CsvSource({
        "CAR, 12, NEGATIVE",
        "CAR, 12, POSITIVE",
        "MOTORCYCLE, 12, POSITIVE",
        "MOTORCYCLE, 6, NEGATIVE",
        "TRACTOR, 12, POSITIVE",
        "TRACTOR, 24, NEGATIVE"
    })
    void aWholeVehicleIsProposedWithNothingToMend(
            Vehicle.Sort sort, double volts, Vehicle.Pole pole) {
        var design =
                Design.empty(
                        new Vehicle("test", 1960, new Volts(volts), pole, Optional.of(sort)),
                        HouseRules.USUAL);
        assertThat(Findings.of(Assessment.of(proposed(design))))
                .filteredOn(finding -> finding.severity().compareTo(Severity.ADVISE) < 0)
                .isEmpty();
    }

    /** The same laid along the body that such a vehicle mostly has, lengths and all. */
    @ParameterizedTest
    @CsvSource({
        "CAR, 12, NEGATIVE",
        "CAR, 12, POSITIVE",
        "MOTORCYCLE, 12, NEGATIVE",
        "TRACTOR, 12, POSITIVE",
        "TRACTOR, 24, NEGATIVE"
    })
    void aWholeVehicleLiesInItsBodyWithNothingToMend(
            Vehicle.Sort sort, double volts, Vehicle.Pole pole) {
        var vehicle = new Vehicle("test", 1960, new Volts(volts), pole, Optional.of(sort));
        var design =
                proposed(
                        Design.empty(vehicle, HouseRules.USUAL)
                                .withBody(Optional.of(Body.usual(sort))));

        assertThat(design.wires())
                .filteredOn(wire -> wire.unguarded().isEmpty())
                .allSatisfy(wire -> assertThat(wire.laid()).isInstanceOf(Laid.Routed.class));
        assertThat(Findings.of(Assessment.of(design)))
                .filteredOn(finding -> finding.severity().compareTo(Severity.ADVISE) < 0)
                .isEmpty();
    }

    /** What a rider's hand works stands on the bars; in a car the same recipe finds the dash. */
    @Test
    void whatARidersHandWorksStandsOnTheBars() {
        for (var sort : List.of(Vehicle.Sort.MOTORCYCLE, Vehicle.Sort.CAR)) {
            var vehicle =
                    new Vehicle(
                            "test", 1960, new Volts(12), Vehicle.Pole.NEGATIVE, Optional.of(sort));
            var design =
                    proposed(
                            Design.empty(vehicle, HouseRules.USUAL)
                                    .withBody(Optional.of(Body.usual(sort))));
            var button =
                    design.parts().stream()
                            .filter(part -> part.name().equals("horn button"))
                            .findFirst()
                            .orElseThrow();
            assertThat(design.body().orElseThrow().station(button))
                    .isEqualTo(new StationId(sort == Vehicle.Sort.CAR ? "dash" : "bars-left"));
        }
    }

    private static Design proposed(Design empty) {
        var design = empty;
        var sort = design.vehicle().sort().orElseThrow();
        for (var proposal : RecipeBook.proposals(sort, design.rules())) {
            var fit = Insertion.of(design, proposal.recipe(), proposal.answers());
            assertThat(fit).as(proposal.recipe().id()).isInstanceOf(Fit.Fits.class);
            design = ((Fit.Fits) fit).design();
        }
        return design;
    }

    /**
     * A main fuse for all would ask for 10 mm²; the key has a fuse of its own, a motorcycle a small
     * one.
     */
    @ParameterizedTest
    @CsvSource({"CAR, 6", "MOTORCYCLE, 4", "TRACTOR, 6"})
    void leadsToTheKeyAreAsThinAsTheyMayBe(Vehicle.Sort sort, double most) {
        var vehicle =
                new Vehicle("test", 1960, new Volts(12), Vehicle.Pole.NEGATIVE, Optional.of(sort));
        var design = proposed(Design.empty(vehicle, HouseRules.USUAL));
        var key =
                design.parts().stream()
                        .filter(part -> part.name().equals("key switch"))
                        .findFirst()
                        .orElseThrow();
        assertThat(key.terminals().stream().flatMap(pin -> design.wiresAt(pin).stream()))
                .isNotEmpty()
                .allMatch(wire -> wire.conductor().copper().value() <= most);
    }

    /** What the house answers otherwise goes in that way, with nothing left to say about it. */
    @ParameterizedTest
    @CsvSource({
        "CHARGE_SHORT FROM_ALTERNATOR SELF_RESETTING ONE_WIRE WIRE_RETURN",
        "FROM_SOLENOID MANUAL_BREAKER EARTH_SWITCHED CONCOURS LARGEST_SIZE"
    })
    void aWholeVehicleFollowsTheRulesOfTheHouse(String schools) {
        var rules = HouseRules.USUAL;
        for (var school : schools.split(" ")) {
            rules = rules.withSchool(WorkshopPractice.valueOf(school));
        }
        var sort = Optional.of(Vehicle.Sort.CAR);
        var vehicle = new Vehicle("test", 1960, new Volts(12), Vehicle.Pole.NEGATIVE, sort);
        var design = proposed(Design.empty(vehicle, rules));

        var asked = Findings.of(Assessment.of(design));
        assertThat(asked)
                .filteredOn(finding -> finding.severity().compareTo(Severity.ADVISE) < 0)
                .isEmpty();
        assertThat(asked)
                .noneMatch(Finding.FeedFromOtherPost.class::isInstance)
                .noneMatch(Finding.FuseNotBreaker.class::isInstance)
                .noneMatch(Finding.ReturnsByBody.class::isInstance)
                .noneMatch(Finding.WakesOtherwise.class::isInstance);
    }

    /** The button of the horn is asked for on the side the house has it. */
    @Test
    void aQuestionIsAnsweredAsTheHouseHasIt() {
        var rules = HouseRules.USUAL.withSchool(WorkshopPractice.EARTH_SWITCHED);
        assertThat(BOOK.get("horn-direct").questions())
                .extracting(question -> question.usual(rules))
                .containsExactly("5", "earth");
    }

    /** Leads of a motorcycle begin half as long as those of a car, none shorter than its ends. */
    @Test
    void firstLengthsFollowTheKindOfVehicle() {
        var lengths =
                Stream.of(Vehicle.Sort.CAR, Vehicle.Sort.MOTORCYCLE)
                        .map(sort ->
                                Design.empty(
                                        new Vehicle(
                                                "test",
                                                1960,
                                                new Volts(12),
                                                Vehicle.Pole.NEGATIVE,
                                                Optional.of(sort)),
                                        HouseRules.USUAL))
                        .map(design -> put(design, "start-solenoid", Map.of()).design().wires())
                        .toList();

        for (int i = 0; i < lengths.getFirst().size(); i++) {
            double car = lengths.getFirst().get(i).length().metres().value();
            double motorcycle = lengths.getLast().get(i).length().metres().value();
            assertThat(motorcycle).isCloseTo(Math.max(0.15, car / 2), within(1e-9));
        }
    }

    @Test
    void aVehicleThatHasABatteryGetsNoSecondOne() {
        var design = DemoJobs.find("roadster").orElseThrow().design();
        var with = put(design, "start-direct", Map.of()).design();

        assertThat(with.parts())
                .filteredOn(part -> part.kind() instanceof SourceKind.Battery)
                .hasSize(1);
        assertThat(with.wiresOf(with.circuits().getLast().id())).isNotEmpty();
    }

    /** What works the solenoid first, what comes later with the key. */
    @ParameterizedTest
    @ValueSource(strings = {"button", "key"})
    void aKeyWorksASeparateSolenoidToo(String worked) {
        var design = put(empty(), "start-remote", Map.of("worked", worked)).design();
        for (var next : List.of("main-feed", "key-switch")) {
            design = put(design, next, Map.of()).design();
        }

        assertThat(Corpus.toMend(design)).isEmpty();
        var netlist = Netlist.of(design);
        var start = new Solver(netlist).solve(Conditions.REST.with("key", "start"));
        assertThat(start).isInstanceOf(Outcome.Solved.class);
        var motor = netlist.inside(new PartId("M1")).get("body");
        assertThat(Math.abs(((Outcome.Solved) start).point().branchAmps(motor))).isGreaterThan(100);
    }

    /** What is wrong in a recipe is told when it is read, not when it is answered. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"to\": \"X1.+\"|\"to\": \"switch:nowhere\"|switch:nowhere",
                "\"to\": \"X1.+\"|\"to\": \"X7.+\"|X7.+",
                "\"to\": \"X1.+\"|\"to\": \"X1\"|X1 is no terminal",
                "\"type\": \"load\"|\"type\": \"anvil\"|anvil",
                "\"zone\": \"front\"|\"zone\": \"attic\"|attic",
                "\"station\": \"bars-left\"|\"station\": \"Left bar\"|names no station"
            })
    void aRecipeThatIsWrongIsRefusedAsItIsRead(String right, String wrong, String told)
            throws IOException {
        var text = own();

        assertThat(RecipeBook.read(text).id()).isNotBlank();
        assertThat(text).contains(right);
        assertThatThrownBy(() -> RecipeBook.read(text.replace(right, wrong)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(told);
    }

    private static String own() throws IOException {
        try (var stream =
                RecipeBook.class.getResourceAsStream("/aficion/recipes/horn-direct.json")) {
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
