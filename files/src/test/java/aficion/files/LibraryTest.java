package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import aficion.bench.practice.Difficulty;
import aficion.bench.practice.Played;
import aficion.catalogue.Colour;
import aficion.catalogue.Coverings;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.check.Findings;
import aficion.check.finding.Severity;
import aficion.files.PartsBook.Entry;
import aficion.files.PartsBook.Group;
import aficion.job.Circuit;
import aficion.job.Colouring;
import aficion.job.ControlKind;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.Figures;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Pinned.Trait;
import aficion.job.Termination;
import aficion.job.Vehicle;
import aficion.job.WireColour;
import aficion.job.WorkshopPractice;
import aficion.job.edit.WireEdit;
import aficion.job.edit.WorkEdit;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.recipe.Insertion;
import aficion.recipe.Insertion.Fit;
import aficion.recipe.Question;
import aficion.recipe.Recipe;
import aficion.size.Assessment;
import aficion.stock.Stock;
import aficion.verb.Attempt;
import aficion.verb.Placing;
import aficion.words.Wording;
import aficion.words.Words;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a user keeps beyond one job, and the parts on the shelf. */
@Isolated("it changes the words for all")
class LibraryTest {
    private static final Vehicle VEHICLE =
            new Vehicle("test", 1960, new Volts(12), Vehicle.Pole.NEGATIVE);

    @TempDir private Path folder;

    @Test
    void aStockIsKeptAndReadAgain() throws IOException {
        var library = new Library(folder);
        assertThat(library.stock()).isEqualTo(Stock.EMPTY);
        var stock =
                Stock.EMPTY
                        .adding(
                                new Cut(
                                        WireSize.parse("14ga").orElseThrow(),
                                        Insulation.PVC105,
                                        new WireColour(Colour.BLUE, Optional.of(Colour.RED))),
                                new Metres(12.5))
                        .counting(new Termination("ring-m6"), 40)
                        .holding(Coverings.of(Coverings.Sort.SHRINK).getFirst(), new Metres(1.2))
                        .pricing("14ga", 0.85);
        library.keep(stock);

        assertThat(new Library(folder).stock()).isEqualTo(stock);
    }

    /** What cannot be read stays where it is and is said, with its place. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{}",
                "not at all",
                "{\"format\": \"aficion-stock\", \"version\": 9}",
                "{\"format\": \"aficion-stock\", \"version\": 1, \"spools\": [{\"number\": 1}]}",
                "{\"format\": \"aficion-stock\", \"version\": 1, \"spools\": [], \"terminals\":"
                        + " {\"ring-m6\": -3}, \"sleeves\": {}, \"prices\": {}}"
            })
    void aStockThatCannotBeReadIsLeft(String text) throws IOException {
        Files.writeString(folder.resolve("stock.json"), text);

        assertThatThrownBy(() -> new Library(folder).stock())
                .isInstanceOf(IOException.class)
                .hasMessageContaining("stock.json");
        assertThat(folder.resolve("stock.json")).content().isEqualTo(text);
    }

    /**
     * Rounds are kept one after another; what cannot be read stays, and nothing is written over.
     */
    @Test
    void roundsOfPracticeAreKept() throws IOException {
        var library = new Library(folder);
        var round =
                new Played(
                        Instant.parse("2026-11-27T10:00:00Z"),
                        "Marlowe Tern 1600",
                        "Headlamps",
                        Difficulty.HARD,
                        12.4,
                        7,
                        1,
                        true);
        assertThat(library.played()).isEmpty();
        library.keep(round);
        library.keep(round);
        assertThat(library.played()).containsExactly(round, round);

        for (var rounds : List.of("[null", "[null]}", "[{}]}", "{}}", "null}")) {
            var damaged = "{\"format\": \"aficion-rounds\", \"version\": 1, \"rounds\": " + rounds;
            Files.writeString(folder.resolve("rounds.json"), damaged);
            assertThatThrownBy(() -> library.keep(round))
                    .as(rounds)
                    .isInstanceOf(IOException.class)
                    .hasMessageContaining("rounds.json");
            assertThat(folder.resolve("rounds.json")).content().isEqualTo(damaged);
        }
    }

    private static Design vehicle(HouseRules rules, String... recipes) {
        var book =
                RecipeBook.shipped().stream()
                        .collect(Collectors.toMap(recipe -> recipe.id(), recipe -> recipe));
        var design = Design.empty(VEHICLE, rules);
        for (var id : recipes) {
            design = ((Fit.Fits) Insertion.of(design, book.get(id), Map.of())).design();
        }
        return design;
    }

    @ParameterizedTest
    @ValueSource(doubles = {6, 12, 24})
    void everyPartOnTheShelfFitsTheSystem(double system) {
        var shelf =
                PartsBook.shipped(
                        new Vehicle("test", 1960, new Volts(system), Vehicle.Pole.NEGATIVE));

        assertThat(shelf).hasSizeGreaterThan(80);
        assertThat(shelf.stream().map(Entry::id).distinct()).hasSize(shelf.size());
        assertThat(shelf.stream().map(Entry::group).distinct()).hasSize(5);
        assertThat(shelf)
                .filteredOn(entry -> entry.id().equals("battery"))
                .extracting(entry -> Figures.of(entry.kind()).getFirst().value().value())
                .containsExactly(system);
    }

    /** Whatever its kind, each figure of a part can be changed and stays what it was made. */
    @Test
    void everyFigureOfEveryPartCanBeChanged() {
        for (var entry : PartsBook.shipped(VEHICLE)) {
            for (var figure : Figures.of(entry.kind())) {
                double wanted = figure.value().value() * 0.99;
                Optional<Double> changed;
                try {
                    changed =
                            Figures.of(Figures.with(entry.kind(), figure.path(), wanted)).stream()
                                    .filter(other -> other.path().equals(figure.path()))
                                    .map(other -> other.value().value())
                                    .findFirst();
                } catch (IllegalArgumentException outOfBounds) {
                    changed = Optional.of(wanted);
                }
                assertThat(changed).as(entry.id() + " " + figure.path()).contains(wanted);
            }
        }
        assertThatThrownBy(() -> Figures.with(new JoinKind.Resistor(new Ohms(1)), "resistance", -1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Figures.with(new JoinKind.Splice(), "resistance", 1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Every part of the shelf goes onto a terminal, or says why it cannot. */
    @Test
    void everyPartGoesOntoATerminalAndTheJobStillSolves() {
        var design = vehicle(HouseRules.USUAL, "start-solenoid", "main-feed", "key-switch");
        var circuit = design.circuits().getLast().id();
        var at =
                design.parts().stream()
                        .filter(part -> part.kind().pins().contains("15"))
                        .findFirst()
                        .orElseThrow()
                        .terminal("15");
        int placed = 0;
        for (var entry : PartsBook.shipped(VEHICLE)) {
            var attempt = Placing.onto(design, circuit, at, entry.name(), entry.kind());
            if (attempt instanceof Attempt.Possible(var edit)) {
                assertThat(Assessment.of(edit.apply(design)).worst().bases())
                        .as(entry.id())
                        .isNotEmpty();
                placed++;
            }
        }
        assertThat(placed).isGreaterThan(75);
    }

    @Test
    void ownPartsAreKeptAndAListThatCannotBeReadIsNotLost() throws IOException {
        var library = new Library(folder);
        var part =
                new Entry(
                        "own-1",
                        Group.OWN,
                        "lucky dropper",
                        "4 \u03a9",
                        new JoinKind.Resistor(new Ohms(4)));
        library.keep(part, VEHICLE);
        library.keep(part, VEHICLE);

        assertThat(library.parts(VEHICLE).all()).containsExactly(part);

        Files.writeString(folder.resolve("parts.json"), "not ours");
        var lost = library.parts(VEHICLE);
        assertThat(lost.all()).isEmpty();
        assertThat(lost.unread()).singleElement().asString().contains("parts.json");
        assertThatThrownBy(() -> library.keep(part, VEHICLE)).isInstanceOf(IOException.class);
        assertThat(folder.resolve("parts.json")).hasContent("not ours");
    }

    private static Design withHeadlamps() {
        return vehicle(
                HouseRules.USUAL,
                "start-solenoid",
                "main-feed",
                "key-switch",
                "fuses-6",
                "light-switch",
                "headlamps-relay");
    }

    @Test
    void aCircuitBecomesARecipeForAnotherVehicle() throws IOException {
        var design = withHeadlamps();
        var circuit = design.circuits().getLast();
        var library = new Library(folder);
        library.keepRecipe(
                "my-lamps",
                RecipeMaker.of(design, circuit.id(), "my-lamps", "My lamps", "as I like"));
        Files.writeString(folder.resolve("recipes/broken.json"), "{");

        var kept = library.recipes();
        assertThat(kept.unread())
                .singleElement()
                .asString()
                .contains("broken.json", "not a recipe: line 1")
                .doesNotContain("Source");
        assertThat(kept.all()).hasSize(1);
        var own = kept.all().getFirst();
        var other =
                vehicle(
                        HouseRules.USUAL,
                        "start-solenoid",
                        "main-feed",
                        "key-switch",
                        "fuses-6",
                        "light-switch");
        var fit = (Fit.Fits) Insertion.of(other, own, Map.of());

        assertThat(fit.design().wiresOf(fit.circuit().id()))
                .hasSize(design.wiresOf(circuit.id()).size());
        assertThat(fit.circuit().name()).isEqualTo("My lamps");
        assertThat(Findings.of(Assessment.of(fit.design())))
                .noneMatch(finding -> finding.severity() == Severity.DANGER);
    }

    /** Two headlamps alike are asked for once; in a vehicle of 6 V its lamps are of 6.6 V. */
    @Test
    void anOwnRecipeAsksWhatItsLoadsDrawAndFollowsTheVolts() {
        var design = withHeadlamps();
        var own =
                RecipeBook.read(
                        RecipeMaker.of(
                                design, design.circuits().getLast().id(), "own", "Own", "mine"));
        assertThat(own.questions())
                .extracting(Question::ask, Question::usual)
                .containsExactly(
                        tuple("How many watts is headlamp, left at 56b?", "50"),
                        tuple("How many watts is headlamp, left at 56a?", "55"),
                        tuple("How many watts is main beam lamp?", "2.2"));

        var six = new Vehicle("test", 1950, new Volts(6), Vehicle.Pole.NEGATIVE);
        var made = own.with(six, HouseRules.USUAL, Map.of("watts1", "35"));
        var lamps =
                made.parts().stream()
                        .map(Part::kind)
                        .filter(LoadKind.Lamp.class::isInstance)
                        .map(LoadKind.Lamp.class::cast)
                        .toList();
        assertThat(lamps)
                .hasSize(2)
                .allMatch(lamp -> Math.abs(lamp.test().value() - 6.6) < 1e-3)
                .allMatch(lamp -> lamp.filaments().getFirst().watts().value() == 35);
        assertThat(made.parts())
                .filteredOn(part -> part.kind() instanceof ControlKind.Relay)
                .allMatch(part -> ((ControlKind.Relay) part.kind()).rated().value() == 6);
    }

    @Test
    void anOwnRecipeKeptAgainLeavesTheOneBefore() throws IOException {
        var design = vehicle(HouseRules.USUAL, "start-solenoid");
        var library = new Library(folder);
        var circuit = design.circuits().getFirst().id();
        var before = RecipeMaker.of(design, circuit, "own", "Own", "before");
        library.keepRecipe("own", before);
        var file =
                library.keepRecipe("own", RecipeMaker.of(design, circuit, "own", "Own", "after"));

        assertThat(library.recipes().all()).extracting(Recipe::says).containsExactly("after");
        assertThat(file.resolveSibling("own.json~")).hasContent(before);
    }

    /** Parts and recipes that ship are called as the user calls them. */
    @Test
    void whatShipsSpeaksTheWordsOfTheUser() {
        Words.speak(Wording.AMERICAN);
        try {
            assertThat(PartsBook.shipped("dynamo", VEHICLE).name()).isEqualTo("generator");
            assertThat(RecipeBook.shipped())
                    .extracting(Recipe::name)
                    .anyMatch(name -> name.contains("generator"))
                    .noneMatch(name -> name.toLowerCase(Locale.ROOT).contains("dynamo"));
        } finally {
            Words.speak(Wording.BRITISH);
        }
    }

    @Test
    void aHouseThatReturnsByWireGetsAnEarthWireToEachLamp() {
        var byWire = HouseRules.USUAL.withSchool(WorkshopPractice.WIRE_RETURN);
        var recipes =
                new String[] {
                    "start-solenoid",
                    "main-feed",
                    "key-switch",
                    "fuses-6",
                    "light-switch",
                    "side-tail"
                };
        var body = vehicle(HouseRules.USUAL, recipes);
        var wired = vehicle(byWire, recipes);
        long lamps =
                wired.parts().stream().filter(part -> part.kind() instanceof LoadKind.Lamp).count();

        assertThat(wired.parts().stream().filter(part -> part.kind() instanceof LoadKind.Lamp))
                .allMatch(part -> part.mount().isEmpty());
        assertThat(wired.wires().size()).isGreaterThanOrEqualTo(body.wires().size() + (int) lamps);
        assertThat(Findings.of(Assessment.of(wired)))
                .noneMatch(finding -> finding.severity() == Severity.DANGER);
    }

    /** What is new in a job file is written and read back. */
    @Test
    void houseRulesSettledTraitsAndAcceptancesAreKept() throws JobFileException {
        var rules =
                HouseRules.USUAL
                        .withColours(new Colouring.Banded(aficion.catalogue.Colour.RED))
                        .withSchool(WorkshopPractice.SOLDERED)
                        .withLaw("stop lamp required");
        var design = vehicle(rules, "start-solenoid", "main-feed");
        var wire = design.wires().getLast().id();
        var changed =
                new WorkEdit.Accept(
                                new aficion.job.Acceptance(
                                        "LongDrop",
                                        wire.value(),
                                        "short trips only",
                                        Optional.of(List.of(12.5, 3.0))))
                        .apply(new WireEdit.Pin(wire, Trait.SIZE, true).apply(Job.of(design)));

        assertThat(JobCodec.read(JobCodec.write(changed))).isEqualTo(changed);
        assertThat(design.wires()).allMatch(each -> each.colour().british().equals("R"));
    }

    @Test
    void aJobIsHeldByOneWindowAndRemembered() throws IOException {
        var userState = new UserState(folder.resolve("desk"), new Library(folder));
        var design = Files.writeString(folder.resolve("a.aficion"), "");
        var other = Files.writeString(folder.resolve("b.aficion"), "");
        var held = userState.lock(design).orElseThrow();

        assertThat(userState.lock(design)).isEmpty();
        assertThat(userState.lock(folder.resolve("desk/../a.aficion"))).isEmpty();
        held.close();
        assertThat(userState.lock(design)).isPresent();

        userState.remember(design);
        userState.remember(other);
        userState.remember(design);
        assertThat(userState.recent())
                .containsExactly(design.toAbsolutePath(), other.toAbsolutePath());
        Files.delete(design);
        assertThat(userState.recent()).containsExactly(other.toAbsolutePath());
    }

    @Test
    void aLoosePartHasNoWire() {
        var design = vehicle(HouseRules.USUAL, "start-solenoid");
        var loose =
                Placing.loose(design, "dropper", new JoinKind.Resistor(new Ohms(4))).apply(design);

        assertThat(loose.parts()).extracting(Part::id).contains(new PartId("R1"));
        assertThat(loose.circuits())
                .extracting(Circuit::name)
                .isEqualTo(List.of("Battery and starting"));
    }
}
