package aficion.files;

import aficion.files.JobFileException.Damaged;
import aficion.files.JobFileException.Foreign;
import aficion.files.JobFileException.Newer;
import aficion.files.JobFileException.NewerField;
import aficion.files.JobFileException.TooMany;
import aficion.files.JobFileException.Trouble;
import aficion.job.Acceptance;
import aficion.job.BenchRun;
import aficion.job.Body;
import aficion.job.Cap;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Damper;
import aficion.job.Design;
import aficion.job.Diary;
import aficion.job.Fill;
import aficion.job.FoundBox;
import aficion.job.HouseRules;
import aficion.job.InvalidJob;
import aficion.job.Job;
import aficion.job.JobProblem;
import aficion.job.Kit;
import aficion.job.OldLead;
import aficion.job.Panel;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Photograph;
import aficion.job.Pickup;
import aficion.job.Probed;
import aficion.job.Pulleys;
import aficion.job.Speeds;
import aficion.job.Sums;
import aficion.job.Survey;
import aficion.job.UnusedLead;
import aficion.job.Usage;
import aficion.job.Vehicle;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.route.Plan;
import aficion.route.Run;
import aficion.route.Station;
import aficion.route.StationId;
import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job as JSON text and back. The format is described by {@code docs/aficion-job.schema.json}:
 * UTF-8, two blanks of indentation, one field a line, lists in the order of the job, so that two
 * versions compare line by line.
 */
public final class JobCodec {
    static final String FORMAT = "aficion-job";

    /** The version this program writes, and the latest it reads. */
    static final int VERSION = 8;

    /** No vehicle has as many. */
    static final Map<String, Integer> MOST =
            Map.ofEntries(
                    Map.entry("circuits", 1_000),
                    Map.entry("parts", 5_000),
                    Map.entry("wires", 25_000),
                    Map.entry("body/stations", 1_000),
                    Map.entry("body/runs", 2_000),
                    Map.entry("work/survey/found/parts", 5_000),
                    Map.entry("work/survey/found/wires", 25_000),
                    Map.entry("work/survey/leads", 2_000),
                    Map.entry("work/survey/boxes", 1_000),
                    Map.entry("work/survey/kits", 1_000),
                    Map.entry("work/survey/photographs", 20_000),
                    Map.entry("work/diary/entries", 50_000));

    /** What the parser says about its own source, which helps nobody at a bench. */
    private static final Pattern KNOWN_KINDS = Pattern.compile("known type ids = (\\[[^\\]]*\\])");

    private static final Pattern MISSING =
            Pattern.compile("(?:Null value for|Missing required) creator property '([^']+)'");

    private static final String NOTHING = "nothing (null) where a value is needed";

    private static final Pattern WHERE_IT_READ =
            Pattern.compile(" ?\\(?(?:start marker )?at \\[Source:.*$");

    private static final JsonMapper MAPPER = JobMapping.mapper();

    private JobCodec() {}

    @JsonPropertyOrder({
        "format",
        "version",
        "vehicle",
        "rules",
        "circuits",
        "parts",
        "wires",
        "body",
        "work"
    })
    record Envelope(
            String format,
            int version,
            Vehicle vehicle,
            HouseRules rules,
            List<Circuit> circuits,
            List<Part> parts,
            List<Wire> wires,
            Optional<Lies> body,
            Optional<Done> work) {}

    /** The body as it is kept: what stands where it mostly does is left out. */
    @JsonPropertyOrder({"stations", "runs", "stands"})
    record Lies(List<Station> stations, List<Run> runs, Optional<Map<PartId, StationId>> stands) {
        static Lies of(Body body) {
            return new Lies(
                    body.plan().stations(),
                    body.plan().runs(),
                    Optional.of(body.stands()).filter(stands -> !stands.isEmpty()));
        }

        Body body() {
            return new Body(new Plan(stations, runs), stands.orElse(Map.of()));
        }
    }

    /** What has been done, as it is kept: a list is left out where it is empty. */
    @JsonPropertyOrder({
        "done",
        "bench",
        "accepted",
        "made",
        "unused",
        "fitted",
        "tried",
        "survey",
        "diary",
        "sums"
    })
    record Done(
            Optional<List<DoneOf>> done,
            Optional<List<BenchRun>> bench,
            Optional<List<Acceptance>> accepted,
            Optional<List<MadeOf>> made,
            Optional<List<UnusedLead>> unused,
            Optional<List<Work.Fitted>> fitted,
            Optional<List<Tried>> tried,
            Optional<Surveyed> survey,
            Optional<Written> diary,
            Optional<Summed> sums) {
        static Optional<Done> of(Job job) {
            var work = job.work();
            if (work.equals(Work.NONE)) {
                return Optional.empty();
            }
            var stages =
                    job.design().circuits().stream()
                            .map(Circuit::id)
                            .filter(work.done()::containsKey)
                            .map(circuit -> new DoneOf(circuit, List.copyOf(work.done(circuit))))
                            .toList();
            var made =
                    work.made().entrySet().stream()
                            .map(each -> new MadeOf(each.getKey(), each.getValue()))
                            .toList();
            var tried =
                    work.tried().entrySet().stream()
                            .map(each -> new Tried(each.getKey(), each.getValue()))
                            .toList();
            return Optional.of(
                    new Done(
                            some(stages),
                            some(work.bench()),
                            some(work.accepted()),
                            some(made),
                            some(work.unused()),
                            some(work.fitted()),
                            some(tried),
                            Surveyed.of(work.survey()),
                            Written.of(work.diary()),
                            Summed.of(work.sums())));
        }

        Work work() {
            var stages = new LinkedHashMap<CircuitId, Set<Work.Stage>>();
            var list = done.orElse(List.of());
            for (int i = 0; i < list.size(); i++) {
                var circuit = list.get(i).circuit();
                if (stages.put(circuit, Set.copyOf(list.get(i).stages())) != null) {
                    throw twice("work.done", i, "circuit", circuit);
                }
            }
            var steps = new LinkedHashMap<WireId, Integer>();
            made.orElse(List.of()).forEach(each -> steps.put(each.wire(), each.steps()));
            return new Work(
                    stages,
                    bench.orElse(List.of()),
                    accepted.orElse(List.of()),
                    steps,
                    leads(),
                    fitted.orElse(List.of()),
                    parts(),
                    survey.map(Surveyed::survey).orElse(Survey.NONE),
                    diary.map(Written::diary).orElse(Diary.NONE),
                    sums.map(Summed::sums).orElse(Sums.NONE));
        }

        private Map<PartId, List<BenchRun.Reading>> parts() {
            var parts = new LinkedHashMap<PartId, List<BenchRun.Reading>>();
            var list = tried.orElse(List.of());
            for (int i = 0; i < list.size(); i++) {
                var part = list.get(i).part();
                if (parts.put(part, list.get(i).readings()) != null) {
                    throw twice("work.tried", i, "part", part);
                }
            }
            return parts;
        }

        private List<UnusedLead> leads() {
            return once("work.unused", unused, UnusedLead::name);
        }
    }

    private static <T> Optional<List<T>> some(List<T> list) {
        return Optional.of(list).filter(each -> !each.isEmpty());
    }

    private static <K, T> Optional<Map<K, T>> some(Map<K, T> map) {
        return Optional.of(map).filter(each -> !each.isEmpty());
    }

    private static InvalidJob twice(String list, int at, String field, Object name) {
        return new InvalidJob(List.of(new JobProblem(list, at, field, name + " stands twice")));
    }

    /** A list in which each has a name of its own. */
    private static <T> List<T> once(
            String where, Optional<List<T>> list, Function<T, String> name) {
        var seen = new HashSet<String>();
        var all = list.orElse(List.of());
        for (int i = 0; i < all.size(); i++) {
            if (!seen.add(name.apply(all.get(i)))) {
                throw twice(where, i, "name", name.apply(all.get(i)));
            }
        }
        return all;
    }

    /** The wiring as it was found. */
    @JsonPropertyOrder({"vehicle", "rules", "circuits", "parts", "wires", "body"})
    record Found(
            Vehicle vehicle,
            HouseRules rules,
            List<Circuit> circuits,
            List<Part> parts,
            List<Wire> wires,
            Optional<Lies> body) {
        static Found of(Design design) {
            return new Found(
                    design.vehicle(),
                    design.rules(),
                    design.circuits(),
                    design.parts(),
                    design.wires(),
                    design.body().map(Lies::of));
        }

        Design design() {
            try {
                return new Design(vehicle, rules, circuits, parts, wires, JobCodec.body(body));
            } catch (InvalidJob e) {
                var first = e.problems().getFirst();
                throw new InvalidJob(
                        List.of(
                                new JobProblem(
                                        "work.survey.found." + first.list(),
                                        first.index(),
                                        first.field(),
                                        first.text())));
            }
        }
    }

    /** What was found before anything was done, as it is kept. */
    @JsonPropertyOrder({"found", "leads", "boxes", "kits", "probed", "photographs"})
    record Surveyed(
            Optional<Found> found,
            Optional<List<OldLead>> leads,
            Optional<List<FoundBox>> boxes,
            Optional<List<Kit>> kits,
            Optional<Probed> probed,
            Optional<List<Photograph>> photographs) {
        static Optional<Surveyed> of(Survey survey) {
            return survey.equals(Survey.NONE)
                    ? Optional.empty()
                    : Optional.of(
                            new Surveyed(
                                    survey.found().map(Found::of),
                                    some(survey.leads()),
                                    some(survey.boxes()),
                                    some(survey.kits()),
                                    Optional.of(survey.probed())
                                            .filter(read -> !read.equals(Probed.NONE)),
                                    some(survey.photographs())));
        }

        Survey survey() {
            return new Survey(
                    found.map(Found::design),
                    once("work.survey.leads", leads, OldLead::name),
                    once("work.survey.boxes", boxes, FoundBox::name),
                    once("work.survey.kits", kits, Kit::name),
                    probed.orElse(Probed.NONE),
                    once("work.survey.photographs", photographs, Photograph::file));
        }
    }

    /** The diary, as it is kept. */
    @JsonPropertyOrder({"entries", "ticked", "running", "rate", "fasteners"})
    record Written(
            Optional<List<Diary.Entry>> entries,
            Optional<List<String>> ticked,
            Optional<Diary.Running> running,
            Optional<Double> rate,
            Optional<List<Diary.Fastener>> fasteners) {
        static Optional<Written> of(Diary diary) {
            return diary.equals(Diary.NONE)
                    ? Optional.empty()
                    : Optional.of(
                            new Written(
                                    some(diary.entries()),
                                    some(List.copyOf(diary.ticked())),
                                    diary.running(),
                                    diary.rate(),
                                    some(diary.fasteners())));
        }

        Diary diary() {
            return new Diary(
                    entries.orElse(List.of()),
                    new LinkedHashSet<>(ticked.orElse(List.of())),
                    running,
                    rate,
                    once("work.diary.fasteners", fasteners, Diary.Fastener::name));
        }
    }

    /** What was set down for sums, as it is kept. */
    @JsonPropertyOrder({
        "usages", "speeds", "pulleys", "cap", "damper", "fills", "panels", "pickup"
    })
    record Summed(
            Optional<List<Usage>> usages,
            Optional<Speeds> speeds,
            Optional<Map<PartId, Pulleys>> pulleys,
            Optional<Cap> cap,
            Optional<Damper> damper,
            Optional<Map<PartId, List<Fill>>> fills,
            Optional<List<Panel>> panels,
            Optional<Pickup> pickup) {
        static Optional<Summed> of(Sums sums) {
            return sums.equals(Sums.NONE)
                    ? Optional.empty()
                    : Optional.of(
                            new Summed(
                                    some(sums.usages()),
                                    sums.speeds(),
                                    some(sums.pulleys()),
                                    sums.cap(),
                                    sums.damper(),
                                    some(sums.fills()),
                                    some(sums.panels()),
                                    sums.pickup()));
        }

        Sums sums() {
            return new Sums(
                    once("work.sums.usages", usages, Usage::name),
                    speeds,
                    pulleys.orElse(Map.of()),
                    cap,
                    damper,
                    fills.orElse(Map.of()),
                    once("work.sums.panels", panels, Panel::name),
                    pickup);
        }
    }

    /** What one part showed before it was fitted. */
    record Tried(PartId part, List<BenchRun.Reading> readings) {}

    /** How many steps of the making of one wire are done. */
    record MadeOf(WireId wire, int steps) {}

    /** The finished stages of one circuit. */
    record DoneOf(CircuitId circuit, List<Work.Stage> stages) {}

    /** The text of a job, ending in a line feed. */
    public static String write(Job job) {
        var design = job.design();
        var envelope =
                new Envelope(
                        FORMAT,
                        VERSION,
                        design.vehicle(),
                        design.rules(),
                        design.circuits(),
                        design.parts(),
                        design.wires(),
                        design.body().map(Lies::of),
                        Done.of(job));
        var indenter = new DefaultIndenter("  ", "\n");
        var printer =
                new DefaultPrettyPrinter().withArrayIndenter(indenter).withObjectIndenter(indenter);
        return MAPPER.writer().with(printer).writeValueAsString(envelope) + "\n";
    }

    /**
     * Reads a job of this version or an earlier one.
     *
     * @throws JobFileException when the text is no job, a later version's, or damaged; with line
     *     and field where they can be told
     */
    public static Job read(String text) throws JobFileException {
        var tree = tree(text);
        int version = version(tree);
        requireSensible(tree);
        try {
            Envelope envelope;
            if (version == VERSION) {
                envelope = MAPPER.readValue(text, Envelope.class);
            } else {
                Migration.toLatest(tree, version);
                envelope = MAPPER.treeToValue(tree, Envelope.class);
            }
            var design =
                    new Design(
                            envelope.vehicle(),
                            envelope.rules(),
                            envelope.circuits(),
                            envelope.parts(),
                            envelope.wires(),
                            body(envelope.body()));
            return new Job(design, envelope.work().map(Done::work).orElse(Work.NONE));
        } catch (InvalidJob invalid) {
            throw new JobFileException(located(text, version, invalid));
        } catch (JacksonException e) {
            throw new JobFileException(trouble(e, text, version));
        }
    }

    private static Optional<Body> body(Optional<Lies> kept) {
        try {
            return kept.map(Lies::body);
        } catch (IllegalArgumentException e) {
            throw new InvalidJob(
                    List.of(new JobProblem("body", 0, "runs", String.valueOf(e.getMessage()))));
        }
    }

    private static ObjectNode tree(String text) throws JobFileException {
        JsonNode tree;
        try {
            tree = MAPPER.readTree(text);
        } catch (JacksonException e) {
            boolean ours =
                    text.stripLeading().startsWith("{") && text.contains("\"" + FORMAT + "\"");
            throw new JobFileException(ours ? damage(e, text, VERSION) : new Foreign());
        }
        if (tree instanceof ObjectNode job && FORMAT.equals(job.path("format").asString(""))) {
            return job;
        }
        throw new JobFileException(new Foreign());
    }

    private static void requireSensible(ObjectNode tree) throws JobFileException {
        for (var bound : MOST.entrySet()) {
            int there = tree.at("/" + bound.getKey()).size();
            if (there > bound.getValue()) {
                throw new JobFileException(new TooMany(bound.getKey(), there, bound.getValue()));
            }
        }
    }

    private static int version(ObjectNode tree) throws JobFileException {
        var version = tree.path("version");
        if (!version.isInt() || version.intValue() < 1) {
            throw new JobFileException(
                    new Damaged(Optional.empty(), "version", "a whole number from 1"));
        }
        if (version.intValue() > VERSION) {
            throw new JobFileException(new Newer(version.intValue(), VERSION));
        }
        return version.intValue();
    }

    /** A field that is not known came with a later version, or was written by hand. */
    private static Trouble trouble(JacksonException e, String text, int version) {
        var damage = damage(e, text, version);
        return e instanceof UnrecognizedPropertyException
                ? new NewerField(damage.line(), damage.field(), damage.detail())
                : damage;
    }

    private static Damaged located(String text, int version, InvalidJob invalid) {
        var first = invalid.problems().getFirst();
        var place = first.list() + "[" + first.index() + "]." + first.field();
        var field = Migration.before(place, version);
        return new Damaged(FieldLines.find(text, field), field, first.text());
    }

    private static Damaged damage(JacksonException e, String text, int version) {
        var location = Optional.ofNullable(e.getLocation());
        var line = location.map(TokenStreamLocation::getLineNr).filter(number -> number > 0);
        var place = e instanceof DatabindException databind ? path(databind) : "";
        var field = Migration.before(place, version);
        return new Damaged(line.or(() -> FieldLines.find(text, field)), field, reason(e));
    }

    /** What is wrong with a text of ours and in which line, in a few words. */
    static String trouble(JacksonException e, String text) {
        var damage = damage(e, text, VERSION);
        return damage.line().map(line -> "line " + line + ": ").orElse("") + damage.detail();
    }

    private static String path(DatabindException e) {
        return e.getPath().stream()
                .map(step ->
                        step.getPropertyName() == null
                                ? "[" + step.getIndex() + "]"
                                : "." + step.getPropertyName())
                .collect(Collectors.joining())
                .replaceFirst("^\\.", "");
    }

    /** A kind this version does not know, and those that it does. */
    private static String unknown(InvalidTypeIdException e) {
        var known = KNOWN_KINDS.matcher(e.getOriginalMessage());
        return "\""
                + e.getTypeId()
                + "\" is none of "
                + (known.find() ? known.group(1) : "its kinds");
    }

    /** In words of ours where the parser speaks of how it is set. */
    private static String said(String message) {
        var missing = MISSING.matcher(message);
        if (missing.find()) {
            return "\"" + missing.group(1) + "\" is missing";
        }
        return message.startsWith("Cannot map `null`") ? NOTHING : message;
    }

    private static String reason(JacksonException e) {
        Throwable cause = e;
        while (cause.getCause() != null && cause.getCause() != cause) {
            cause = cause.getCause();
        }
        var text =
                switch (cause) {
                    case InvalidTypeIdException kind -> unknown(kind);
                    case UnrecognizedPropertyException field ->
                            "\""
                                    + field.getPropertyName()
                                    + "\" is none of "
                                    + field.getKnownPropertyIds();
                    case InvalidNullException _ -> NOTHING;
                    case StreamConstraintsException _ ->
                            "longer or deeper than anything in a job is";
                    case JacksonException inner -> said(inner.getOriginalMessage());
                    default -> cause.getMessage();
                };
        return text == null
                ? cause.getClass().getSimpleName()
                : WHERE_IT_READ.matcher(text.lines().findFirst().orElse(text)).replaceAll("");
    }
}
