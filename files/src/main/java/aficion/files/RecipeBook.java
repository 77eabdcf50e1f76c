package aficion.files;

import aficion.catalogue.Zone;
import aficion.identify.Feed;
import aficion.job.Circuit;
import aficion.job.HouseRules;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.WireColour;
import aficion.job.WorkshopPractice;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.recipe.Fragment;
import aficion.recipe.Lead;
import aficion.recipe.Place;
import aficion.recipe.Proposal;
import aficion.recipe.Question;
import aficion.recipe.Recipe;
import aficion.route.StationId;
import aficion.words.Wording;
import aficion.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Recipes as JSON: kinds of parts, colours and zones as in a job file. A part or wire with {@code
 * when} is there only for those answers ({@code side=live}, several joined by {@code &}); a text
 * that begins with {@code $} is the number of that answer, or of {@code system}, the vehicle's
 * volts, times a factor after {@code *}; {@code earth} is always answered, with the earthed pole,
 * {@code sort} with the kind of vehicle, and {@code house.switch} and its like with the rules of
 * the house. An option that names a {@code school} is the usual answer of houses that work by it.
 * The end of a wire is a terminal of the recipe's own part, or {@code feed:ignition} (with {@code
 * +fuse} for one of its own), {@code earth:body}, {@code switch:lights.58}, {@code
 * part:alternator.D+}, {@code named:left signal joint.J}, {@code battery:live}. A wire that is
 * {@code optional} is left out where its place is lacking.
 */
public final class RecipeBook {
    private static final String FOLDER = "/aficion/recipes/";
    private static final JsonMapper MAPPER = JobMapping.mapper();
    private static final double FIRST_LENGTH = 1.5;

    private RecipeBook() {}

    /** Read once: they are part of the program, as its tables are. */
    private static final class Shipped {
        static final List<JsonNode> TREES =
                resource("index.txt")
                        .lines()
                        .filter(name -> !name.isBlank())
                        .map(name -> MAPPER.readTree(resource(name + ".json")))
                        .toList();

        static final Map<Wording, List<Recipe>> RECIPES = new ConcurrentHashMap<>();
    }

    /** The recipes that ship with the program, in working order and in the words of the user. */
    public static List<Recipe> shipped() {
        return Shipped.RECIPES.computeIfAbsent(
                Words.wording(),
                wording -> Shipped.TREES.stream().map(tree -> recipe(tree, wording::of)).toList());
    }

    /** What a kind of vehicle mostly needs in a house, each after what it is joined to. */
    public static List<Proposal> proposals(Vehicle.Sort sort, HouseRules rules) {
        var book = new HashMap<String, Recipe>();
        shipped().forEach(recipe -> book.put(recipe.id(), recipe));
        var start = sort.name().toLowerCase(Locale.ROOT) + ": ";
        var line =
                resource("vehicles.txt")
                        .lines()
                        .filter(each -> each.startsWith(start))
                        .findFirst()
                        .orElseThrow();
        return Stream.of(line.substring(start.length()).split(", "))
                .map(each -> proposal(variant(each, rules).split(" "), book))
                .toList();
    }

    /** Of {@code usual / other?school}, the one that the house asks for. */
    private static String variant(String text, HouseRules rules) {
        var variants = text.split(" / ");
        return Stream.of(variants)
                .skip(1)
                .map(variant -> variant.split("\\?"))
                .filter(variant -> rules.workBy(constant(WorkshopPractice.class, variant[1])))
                .map(variant -> variant[0])
                .findFirst()
                .orElse(variants[0]);
    }

    private static Proposal proposal(String[] words, Map<String, Recipe> book) {
        var answers = new HashMap<String, String>();
        for (int i = 1; i < words.length; i++) {
            var sides = words[i].split("=", 2);
            answers.put(sides[0], sides[1]);
        }
        return new Proposal(book.get(words[0]), answers);
    }

    private static String resource(String name) {
        try (var stream = RecipeBook.class.getResourceAsStream(FOLDER + name)) {
            if (stream == null) {
                throw new IllegalStateException("no recipe file " + name);
            }
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * A recipe from its text.
     *
     * @throws IllegalArgumentException when it is no recipe, with the field that is wrong
     */
    public static Recipe read(String text) {
        try {
            var recipe = recipe(MAPPER.readTree(text), UnaryOperator.identity());
            requireWhole(recipe);
            return recipe;
        } catch (JacksonException e) {
            throw new IllegalArgumentException("not a recipe: " + JobCodec.trouble(e, text), e);
        }
    }

    /** Tries a recipe with its usual answers and with each other option, on either earth. */
    private static void requireWhole(Recipe recipe) {
        for (var pole : Vehicle.Pole.values()) {
            var vehicle = new Vehicle("any", 1960, new Volts(12), pole);
            requireWhole(recipe.with(vehicle, HouseRules.USUAL, Map.of()));
            for (var question : recipe.questions()) {
                for (var answer : answers(question)) {
                    requireWhole(
                            recipe.with(vehicle, HouseRules.USUAL, Map.of(question.id(), answer)));
                }
            }
        }
    }

    private static List<String> answers(Question question) {
        return switch (question) {
            case Question.Choice choice ->
                    choice.options().stream().map(Question.Option::id).toList();
            case Question.Amount amount ->
                    List.of(UserUnits.plain(amount.least()), UserUnits.plain(amount.most()));
        };
    }

    /** Its own leads end at its own parts. */
    private static void requireWhole(Fragment fragment) {
        for (var lead : fragment.leads()) {
            for (var place : List.of(lead.from(), lead.to())) {
                if (place instanceof Place.Own(var end)) {
                    require(
                            fragment.parts().stream()
                                    .anyMatch(part ->
                                            part.id().equals(end.part())
                                                    && part.kind().pins().contains(end.pin())),
                            "wires: no terminal " + end);
                }
            }
        }
    }

    /**
     * @param said the words its names and questions are said in
     */
    private static Recipe recipe(JsonNode tree, UnaryOperator<String> said) {
        require("aficion-recipe".equals(tree.path("format").asString("")), "format");
        return new Recipe(
                word(tree, "id"),
                constant(Recipe.Group.class, word(tree, "group")),
                said.apply(word(tree, "name")),
                said.apply(word(tree, "says")),
                constant(Circuit.Drops.class, word(tree, "drops")),
                questions(tree.path("questions"), said),
                (vehicle, answers) -> fragment(tree, vehicle, answers, said));
    }

    private static List<Question> questions(JsonNode list, UnaryOperator<String> said) {
        var questions = new ArrayList<Question>();
        for (var node : list) {
            var id = word(node, "id");
            var ask = said.apply(word(node, "ask"));
            var usual = word(node, "usual");
            if (node.has("options")) {
                var options = new ArrayList<Question.Option>();
                node.path("options").forEach(option -> options.add(option(option, said)));
                questions.add(new Question.Choice(id, ask, options, usual));
            } else {
                questions.add(
                        new Question.Amount(
                                id,
                                ask,
                                word(node, "unit"),
                                node.path("least").doubleValue(),
                                node.path("most").doubleValue(),
                                node.path("whole").asBoolean(false),
                                usual));
            }
            require(questions.getLast().takes(usual), id + ".usual");
        }
        return questions;
    }

    private static Question.Option option(JsonNode node, UnaryOperator<String> said) {
        return new Question.Option(
                word(node, "id"),
                said.apply(word(node, "name")),
                node.has("school")
                        ? Optional.of(constant(WorkshopPractice.class, word(node, "school")))
                        : Optional.empty());
    }

    private static Fragment fragment(
            JsonNode tree, Vehicle vehicle, Map<String, String> given, UnaryOperator<String> said) {
        var answers = new HashMap<>(given);
        answers.put("earth", vehicle.earthed().name().toLowerCase(Locale.ROOT));
        answers.put(
                "sort", vehicle.sort().orElse(Vehicle.Sort.CAR).name().toLowerCase(Locale.ROOT));
        var parts = new ArrayList<Part>();
        var mounts = new HashMap<PartId, JoinKind.Mass>();
        var stands = new HashMap<PartId, StationId>();
        for (var node : tree.path("parts")) {
            if (holds(node, answers)) {
                var id = new PartId(word(node, "id"));
                require(node.path("kind").isObject(), id + ".kind");
                var kind =
                        MAPPER.treeToValue(
                                Filling.fill(node.path("kind"), vehicle, answers), Kind.class);
                var zone = constant(Zone.class, word(node, "zone"));
                var name = said.apply(word(node, "name"));
                parts.add(new Part(id, name, zone, Optional.empty(), kind));
                if (node.has("earth")) {
                    mounts.put(id, constant(JoinKind.Mass.class, word(node, "earth")));
                }
                if (node.has("station")) {
                    stands.put(id, new StationId(word(node, "station")));
                }
            }
        }
        var leads = new ArrayList<Lead>();
        for (var node : tree.path("wires")) {
            if (holds(node, answers)) {
                leads.add(lead(node));
            }
        }
        var moves = new ArrayList<Fragment.Move>();
        for (var node : tree.path("moves")) {
            moves.add(new Fragment.Move(place(word(node, "from")), place(word(node, "to"))));
        }
        return new Fragment(parts, mounts, stands, leads, moves);
    }

    private static Lead lead(JsonNode node) {
        return new Lead(
                place(word(node, "from")),
                place(word(node, "to")),
                colour(node),
                constant(Zone.class, word(node, "zone")),
                new Metres(node.path("length").asDouble(FIRST_LENGTH)),
                node.has("unguarded")
                        ? Optional.of(constant(Unguarded.class, word(node, "unguarded")))
                        : Optional.empty(),
                node.path("optional").asBoolean(false));
    }

    private static WireColour colour(JsonNode node) {
        word(node, "colour");
        return MAPPER.treeToValue(node.path("colour"), WireColour.class);
    }

    /** Whether what a part or wire is there for has been answered. */
    private static boolean holds(JsonNode node, Map<String, String> answers) {
        if (!node.has("when")) {
            return true;
        }
        for (var condition : word(node, "when").split("&")) {
            var sides = condition.split("=", 2);
            require(sides.length == 2 && answers.containsKey(sides[0]), "when: " + condition);
            if (!List.of(sides[1].split("\\|")).contains(answers.get(sides[0]))) {
                return false;
            }
        }
        return true;
    }

    private static Place place(String text) {
        int colon = text.indexOf(':');
        if (colon < 0) {
            return new Place.Own(terminal(text));
        }
        var rest = text.substring(colon + 1);
        var kind = text.substring(0, colon);
        require(
                !List.of("switch", "part", "named").contains(kind) || rest.indexOf('.') > 0,
                "a place such as " + kind + ":name.pin, not " + text);
        return switch (kind) {
            case "feed" -> {
                boolean fused = rest.endsWith("+fuse");
                yield new Place.FeedFrom(constant(Feed.class, rest.replace("+fuse", "")), fused);
            }
            case "earth" -> new Place.EarthOn(constant(JoinKind.Mass.class, rest));
            case "switch" ->
                    new Place.SwitchPin(
                            rest.substring(0, rest.indexOf('.')),
                            rest.substring(rest.indexOf('.') + 1));
            case "part" ->
                    new Place.PartPin(
                            rest.substring(0, rest.indexOf('.')),
                            rest.substring(rest.indexOf('.') + 1));
            case "named" ->
                    new Place.NamedPin(
                            rest.substring(0, rest.lastIndexOf('.')),
                            rest.substring(rest.lastIndexOf('.') + 1));
            case "battery" -> new Place.Post(rest.equals("live"));
            default -> throw new IllegalArgumentException("a recipe cannot lead to " + text);
        };
    }

    private static Terminal terminal(String text) {
        return Terminal.parse(text)
                .orElseThrow(() -> new IllegalArgumentException(text + " is no terminal"));
    }

    private static <E extends Enum<E>> E constant(Class<E> type, String word) {
        try {
            return Enum.valueOf(type, word.toUpperCase(Locale.ROOT).replace('-', '_'));
        } catch (IllegalArgumentException unknown) {
            throw new IllegalArgumentException("a recipe knows no \"" + word + "\"", unknown);
        }
    }

    private static String word(JsonNode node, String field) {
        var value = node.path(field);
        require(value.isString(), field);
        return value.stringValue();
    }

    private static void require(boolean holds, String field) {
        if (!holds) {
            throw new IllegalArgumentException("a recipe is wrong at " + field);
        }
    }
}
