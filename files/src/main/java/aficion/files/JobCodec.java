package aficion.files;

import aficion.files.JobFileException.Damaged;
import aficion.files.JobFileException.Foreign;
import aficion.files.JobFileException.Newer;
import aficion.job.Acceptance;
import aficion.job.BenchRun;
import aficion.job.Circuit;
import aficion.job.HouseRules;
import aficion.job.InvalidJob;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.Vehicle;
import aficion.job.Wire;
import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A job as JSON text and back. The format is described by {@code docs/aficion-job.schema.json}:
 * UTF-8, two blanks of indentation, one field a line, lists in the order of the job, so that two
 * versions compare line by line.
 */
public final class JobCodec {
    static final String FORMAT = "aficion-job";

    /** The version this program writes, and the latest it reads. */
    static final int VERSION = 1;

    /** What the parser says about its own source, which helps nobody at a bench. */
    private static final Pattern KNOWN_KINDS = Pattern.compile("known type ids = (\\[[^\\]]*\\])");

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
        "bench",
        "accepted"
    })
    record Envelope(
            String format,
            int version,
            Vehicle vehicle,
            HouseRules rules,
            List<Circuit> circuits,
            List<Part> parts,
            List<Wire> wires,
            List<BenchRun> bench,
            Optional<List<Acceptance>> accepted) {}

    /** The text of a job, ending in a line feed. */
    public static String write(Job job) {
        var envelope =
                new Envelope(
                        FORMAT,
                        VERSION,
                        job.vehicle(),
                        job.rules(),
                        job.circuits(),
                        job.parts(),
                        job.wires(),
                        job.bench(),
                        Optional.of(job.accepted()).filter(list -> !list.isEmpty()));
        var indenter = new DefaultIndenter("  ", "\n");
        var printer =
                new DefaultPrettyPrinter().withArrayIndenter(indenter).withObjectIndenter(indenter);
        return MAPPER.writer().with(printer).writeValueAsString(envelope) + "\n";
    }

    /**
     * Reads a job.
     *
     * @throws JobFileException when the text is no job, a later version's, or damaged; with line
     *     and field where they can be told
     */
    public static Job read(String text) throws JobFileException {
        requireOurs(text);
        try {
            var envelope = MAPPER.readValue(text, Envelope.class);
            return new Job(
                    envelope.vehicle(),
                    envelope.rules(),
                    envelope.circuits(),
                    envelope.parts(),
                    envelope.wires(),
                    envelope.bench(),
                    envelope.accepted().orElse(List.of()));
        } catch (InvalidJob invalid) {
            throw new JobFileException(located(text, invalid));
        } catch (JacksonException e) {
            throw new JobFileException(damage(e, text));
        }
    }

    private static void requireOurs(String text) throws JobFileException {
        JsonNode tree;
        try {
            tree = MAPPER.readTree(text);
        } catch (JacksonException e) {
            boolean ours =
                    text.stripLeading().startsWith("{") && text.contains("\"" + FORMAT + "\"");
            throw new JobFileException(ours ? damage(e, text) : new Foreign());
        }
        if (!tree.isObject() || !FORMAT.equals(tree.path("format").asString(""))) {
            throw new JobFileException(new Foreign());
        }
        var version = tree.path("version");
        if (!version.isInt() || version.intValue() < 1) {
            throw new JobFileException(
                    new Damaged(Optional.empty(), "version", "a whole number from 1"));
        }
        if (version.intValue() > VERSION) {
            throw new JobFileException(new Newer(version.intValue(), VERSION));
        }
    }

    private static Damaged located(String text, InvalidJob invalid) {
        var first = invalid.problems().getFirst();
        var field = first.list() + "[" + first.index() + "]." + first.field();
        return new Damaged(FieldLines.find(text, field), field, first.text());
    }

    private static Damaged damage(JacksonException e, String text) {
        var location = Optional.ofNullable(e.getLocation());
        var line = location.map(TokenStreamLocation::getLineNr).filter(number -> number > 0);
        var field = e instanceof DatabindException databind ? path(databind) : "";
        return new Damaged(line.or(() -> FieldLines.find(text, field)), field, reason(e));
    }

    /** What is wrong with a text of ours and in which line, in a few words. */
    static String trouble(JacksonException e, String text) {
        var damage = damage(e, text);
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
                    case JacksonException inner -> inner.getOriginalMessage();
                    default -> cause.getMessage();
                };
        return text == null
                ? cause.getClass().getSimpleName()
                : WHERE_IT_READ.matcher(text.lines().findFirst().orElse(text)).replaceAll("");
    }
}
