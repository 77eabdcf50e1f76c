package aficion.files;

import aficion.catalogue.Colour;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.Action;
import aficion.job.BenchRun;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Demand;
import aficion.job.Kind;
import aficion.job.PartId;
import aficion.job.RunLength;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Unguarded;
import aficion.job.Vehicle;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Kelvins;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.SquareMillimetres;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/**
 * How the types of a job stand in JSON: quantities as plain SI numbers (sections in mm²), names and
 * sizes as short strings, kinds of parts by their {@code type}, what is absent left out. Everything
 * unknown, doubled or missing is refused.
 */
final class JobMapping {
    private JobMapping() {}

    static JsonMapper mapper() {
        return JsonMapper.builder()
                .annotationIntrospector(new PrimitivesRequired())
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .enable(
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                        DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES,
                        DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .disable(
                        MapperFeature.ALLOW_COERCION_OF_SCALARS,
                        MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
                .changeDefaultPropertyInclusion(
                        value -> value.withValueInclusion(JsonInclude.Include.NON_ABSENT))
                .addMixIn(Kind.class, KindMixIn.class)
                .addMixIn(Demand.class, DemandMixIn.class)
                .addMixIn(RunLength.class, LengthMixIn.class)
                .addModule(module())
                .build();
    }

    /** A number or a truth value that is left out is missing, not 0 or false. */
    private static final class PrimitivesRequired extends JacksonAnnotationIntrospector {
        private static final long serialVersionUID = 1;

        @Override
        public @Nullable Boolean hasRequiredMarker(MapperConfig<?> config, AnnotatedMember member) {
            return member.getRawType().isPrimitive()
                    ? Boolean.TRUE
                    : super.hasRequiredMarker(config, member);
        }
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    @JsonSubTypes({
        @Type(value = Kind.Battery.class, name = "battery"),
        @Type(value = Kind.Alternator.class, name = "alternator"),
        @Type(value = Kind.Starter.class, name = "starter"),
        @Type(value = Kind.Switch.class, name = "switch"),
        @Type(value = Kind.Fuse.class, name = "fuse"),
        @Type(value = Kind.FuseBox.class, name = "fuse-box"),
        @Type(value = Kind.Relay.class, name = "relay"),
        @Type(value = Kind.Lamp.class, name = "lamp"),
        @Type(value = Kind.WarningLamp.class, name = "warning-lamp"),
        @Type(value = Kind.Motor.class, name = "motor"),
        @Type(value = Kind.IgnitionCoil.class, name = "ignition-coil"),
        @Type(value = Kind.Points.class, name = "points"),
        @Type(value = Kind.Sender.class, name = "sender"),
        @Type(value = Kind.Gauge.class, name = "gauge"),
        @Type(value = Kind.Stabiliser.class, name = "stabiliser"),
        @Type(value = Kind.Resistor.class, name = "resistor"),
        @Type(value = Kind.Diode.class, name = "diode"),
        @Type(value = Kind.Load.class, name = "load"),
        @Type(value = Kind.Splice.class, name = "splice"),
        @Type(value = Kind.Connector.class, name = "connector"),
        @Type(value = Kind.EarthPoint.class, name = "earth-point")
    })
    private interface KindMixIn {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.DEDUCTION)
    @JsonSubTypes({@Type(Demand.InWatts.class), @Type(Demand.InAmps.class)})
    private interface DemandMixIn {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.DEDUCTION)
    @JsonSubTypes({@Type(RunLength.Measured.class), @Type(RunLength.Assumed.class)})
    private interface LengthMixIn {}

    private static SimpleModule module() {
        var module = new SimpleModule("job");
        quantity(module, Volts.class, Volts::new);
        quantity(module, Amps.class, Amps::new);
        quantity(module, Ohms.class, Ohms::new);
        quantity(module, Watts.class, Watts::new);
        quantity(module, Metres.class, Metres::new);
        quantity(module, SquareMillimetres.class, SquareMillimetres::new);
        quantity(module, Kelvins.class, Kelvins::new);
        quantity(module, Seconds.class, Seconds::new);
        quantity(module, Henries.class, Henries::new);
        quantity(module, Ratio.class, Ratio::new);
        text(module, PartId.class, PartId::value, PartId::new);
        text(module, WireId.class, WireId::value, WireId::new);
        text(module, CircuitId.class, CircuitId::value, CircuitId::new);
        text(
                module,
                Terminal.class,
                Terminal::toString,
                value -> required(Terminal.parse(value), value, "a terminal such as H1.56b"));
        text(
                module,
                WireSize.class,
                WireSize::toString,
                value ->
                        required(
                                WireSize.parse(value),
                                value,
                                "a wire size such as 1.5mm2 or 14awg"));
        text(module, WireColour.class, JobMapping::colour, JobMapping::colour);
        enums(
                module,
                FuseType.class,
                Insulation.class,
                Zone.class,
                WireSize.Standard.class,
                Vehicle.Pole.class,
                Circuit.Drops.class,
                Circuit.Stage.class,
                Termination.class,
                Unguarded.class,
                BenchRun.Verdict.class,
                Action.class,
                Kind.Mass.class);
        return module;
    }

    @SafeVarargs
    private static void enums(SimpleModule module, Class<? extends Enum<?>>... types) {
        for (var type : types) {
            enumeration(module, type);
        }
    }

    @SuppressWarnings("unchecked")
    private static <E extends Enum<?>> void enumeration(SimpleModule module, Class<E> type) {
        text(
                module,
                (Class<Enum<?>>) (Class<?>) type,
                JobMapping::key,
                value -> constant(type, value));
    }

    private static <E extends Enum<?>> E constant(Class<E> type, String value) {
        for (E constant : type.getEnumConstants()) {
            if (key(constant).equals(value)) {
                return constant;
            }
        }
        var known = Arrays.stream(type.getEnumConstants()).map(JobMapping::key).toList();
        throw new IllegalArgumentException("\"" + value + "\" is none of " + known);
    }

    private static String key(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static String colour(WireColour colour) {
        return colour.base().key() + colour.tracer().map(tracer -> "/" + tracer.key()).orElse("");
    }

    private static WireColour colour(String text) {
        var colours = text.split("/", -1);
        if (colours.length > 2) {
            throw new IllegalArgumentException("\"" + text + "\" has more than one tracer");
        }
        var tracer =
                colours.length == 2
                        ? Optional.of(constant(Colour.class, colours[1]))
                        : Optional.<Colour>empty();
        return new WireColour(constant(Colour.class, colours[0]), tracer);
    }

    private static <T> T required(Optional<T> parsed, String text, String what) {
        return parsed.orElseThrow(
                () -> new IllegalArgumentException("\"" + text + "\" is not " + what));
    }

    private static <Q extends Quantity> void quantity(
            SimpleModule module, Class<Q> type, DoubleFunction<Q> make) {
        module.addSerializer(
                type,
                new ValueSerializer<Q>() {
                    @Override
                    public void serialize(
                            Q value, JsonGenerator generator, SerializationContext context) {
                        double number = value.value();
                        if (number == Math.rint(number) && Math.abs(number) < 1e15) {
                            generator.writeNumber((long) number);
                        } else {
                            generator.writeNumber(number);
                        }
                    }
                });
        module.addDeserializer(
                type,
                new ValueDeserializer<Q>() {
                    @Override
                    public Q deserialize(JsonParser parser, DeserializationContext context) {
                        if (!parser.currentToken().isNumeric()) {
                            return context.reportInputMismatch(type, "a number is needed here");
                        }
                        return made(
                                context,
                                type,
                                parser.getString(),
                                text -> make.apply(Double.parseDouble(text)));
                    }
                });
    }

    private static <T> void text(
            SimpleModule module,
            Class<T> type,
            Function<T, String> print,
            Function<String, ? extends T> parse) {
        module.addSerializer(
                type,
                new ValueSerializer<T>() {
                    @Override
                    public void serialize(
                            T value, JsonGenerator generator, SerializationContext context) {
                        generator.writeString(print.apply(value));
                    }
                });
        module.addDeserializer(
                type,
                new ValueDeserializer<T>() {
                    @Override
                    public T deserialize(JsonParser parser, DeserializationContext context) {
                        if (parser.currentToken() != JsonToken.VALUE_STRING) {
                            return context.reportInputMismatch(type, "a text is needed here");
                        }
                        return made(context, type, parser.getString(), parse);
                    }
                });
    }

    private static <T> T made(
            DeserializationContext context,
            Class<T> type,
            String text,
            Function<String, ? extends T> parse) {
        try {
            return parse.apply(text);
        } catch (IllegalArgumentException e) {
            return context.reportInputMismatch(type, "%s", String.valueOf(e.getMessage()));
        }
    }
}
