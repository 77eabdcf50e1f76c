package aficion.files;

import aficion.bench.practice.Difficulty;
import aficion.catalogue.Colour;
import aficion.catalogue.ColourScheme;
import aficion.catalogue.FuseType;
import aficion.catalogue.Insulation;
import aficion.catalogue.Purpose;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.Action;
import aficion.job.BenchRun;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Colouring;
import aficion.job.ControlKind;
import aficion.job.Demand;
import aficion.job.Diary;
import aficion.job.FoundBox;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.Laid;
import aficion.job.LoadKind;
import aficion.job.OldLead;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Unguarded;
import aficion.job.UnusedLead;
import aficion.job.Vehicle;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.Work;
import aficion.job.WorkshopPractice;
import aficion.quantity.AmpereHours;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Farads;
import aficion.quantity.Henries;
import aficion.quantity.Kelvins;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Quantity;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.SquareMillimetres;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.route.Covering;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.words.Wording;
import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.annotation.PropertyAccessor;
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
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.TypeSerializer;
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
                // What a record is made of is written, and nothing that it answers besides.
                .changeDefaultVisibility(visible ->
                        visible.withVisibility(
                                PropertyAccessor.IS_GETTER, JsonAutoDetect.Visibility.NONE))
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
                .changeDefaultNullHandling(value -> value.withContentNulls(Nulls.FAIL))
                .addMixIn(Kind.class, KindMixIn.class)
                .addMixIn(Demand.class, DemandMixIn.class)
                .addMixIn(RunLength.class, LengthMixIn.class)
                .addMixIn(Laid.class, LaidMixIn.class)
                .addMixIn(Laid.Routed.class, RoutedMixIn.class)
                .addMixIn(Colouring.class, ColouringMixIn.class)
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
        @Type(value = SourceKind.Battery.class, name = "battery"),
        @Type(value = SourceKind.BenchSupply.class, name = "bench-supply"),
        @Type(value = SourceKind.Alternator.class, name = "alternator"),
        @Type(value = SourceKind.FieldRegulator.class, name = "field-regulator"),
        @Type(value = SourceKind.Dynamo.class, name = "dynamo"),
        @Type(value = SourceKind.ControlBox.class, name = "control-box"),
        @Type(value = SourceKind.Flywheel.class, name = "flywheel"),
        @Type(value = SourceKind.RegulatorRectifier.class, name = "regulator-rectifier"),
        @Type(value = GuardKind.Fuse.class, name = "fuse"),
        @Type(value = GuardKind.FuseBox.class, name = "fuse-box"),
        @Type(value = ControlKind.Switch.class, name = "switch"),
        @Type(value = ControlKind.Relay.class, name = "relay"),
        @Type(value = ControlKind.LatchingRelay.class, name = "latching-relay"),
        @Type(value = ControlKind.LevelSwitch.class, name = "level-switch"),
        @Type(value = ControlKind.Flasher.class, name = "flasher"),
        @Type(value = ControlKind.Module.class, name = "module"),
        @Type(value = ControlKind.Points.class, name = "points"),
        @Type(value = ControlKind.IgnitionBox.class, name = "ignition-box"),
        @Type(value = LoadKind.Lamp.class, name = "lamp"),
        @Type(value = LoadKind.WarningLamp.class, name = "warning-lamp"),
        @Type(value = LoadKind.LedLamp.class, name = "led-lamp"),
        @Type(value = LoadKind.Motor.class, name = "motor"),
        @Type(value = LoadKind.TwoSpeedMotor.class, name = "two-speed-motor"),
        @Type(value = LoadKind.WiperMotor.class, name = "wiper-motor"),
        @Type(value = LoadKind.Starter.class, name = "starter"),
        @Type(value = LoadKind.IgnitionCoil.class, name = "ignition-coil"),
        @Type(value = LoadKind.Gauge.class, name = "gauge"),
        @Type(value = LoadKind.Ammeter.class, name = "ammeter"),
        @Type(value = LoadKind.Voltmeter.class, name = "voltmeter"),
        @Type(value = LoadKind.Load.class, name = "load"),
        @Type(value = LoadKind.Buzzer.class, name = "buzzer"),
        @Type(value = LoadKind.Heater.class, name = "heater"),
        @Type(value = LoadKind.Magneto.class, name = "magneto"),
        @Type(value = JoinKind.Splice.class, name = "splice"),
        @Type(value = JoinKind.Connector.class, name = "connector"),
        @Type(value = JoinKind.EarthPoint.class, name = "earth-point"),
        @Type(value = JoinKind.Resistor.class, name = "resistor"),
        @Type(value = JoinKind.Diode.class, name = "diode"),
        @Type(value = JoinKind.Capacitor.class, name = "capacitor"),
        @Type(value = JoinKind.Stabiliser.class, name = "stabiliser"),
        @Type(value = JoinKind.Sender.class, name = "sender")
    })
    private interface KindMixIn {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.DEDUCTION)
    @JsonSubTypes({@Type(Demand.InWatts.class), @Type(Demand.InAmps.class)})
    private interface DemandMixIn {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.DEDUCTION)
    @JsonSubTypes({@Type(RunLength.Measured.class), @Type(RunLength.Assumed.class)})
    private interface LengthMixIn {}

    /** As stated where it does not say by what. */
    @JsonTypeInfo(
            use = JsonTypeInfo.Id.NAME,
            include = JsonTypeInfo.As.EXISTING_PROPERTY,
            property = "by",
            defaultImpl = Laid.Stated.class)
    @JsonSubTypes({@Type(value = Laid.Routed.class, name = "runs")})
    private interface LaidMixIn {}

    private abstract static class RoutedMixIn {
        @JsonCreator
        static Laid.Routed by(
                @JsonProperty("via") Optional<StationId> via,
                @JsonProperty("slack") Optional<Metres> slack) {
            return Laid.Routed.by(via, slack);
        }
    }

    /** What the body makes of it is not written. */
    private static final class RoutedWriter extends ValueSerializer<Laid.Routed> {
        @Override
        public void serialize(
                Laid.Routed laid, JsonGenerator generator, SerializationContext context) {
            generator.writeStartObject();
            generator.writeStringProperty("by", "runs");
            laid.via().ifPresent(via -> generator.writeStringProperty("via", via.value()));
            laid.slack()
                    .ifPresent(slack -> {
                        generator.writeName("slack");
                        context.writeValue(generator, slack);
                    });
            generator.writeEndObject();
        }

        @Override
        public void serializeWithType(
                Laid.Routed laid,
                JsonGenerator generator,
                SerializationContext context,
                TypeSerializer type) {
            serialize(laid, generator, context);
        }
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.DEDUCTION)
    @JsonSubTypes({
        @Type(Colouring.ByScheme.class),
        @Type(Colouring.ByList.class),
        @Type(Colouring.Banded.class)
    })
    private interface ColouringMixIn {}

    private static SimpleModule module() {
        var module = new SimpleModule("job");
        quantity(module, Volts.class, Volts::new);
        quantity(module, Amps.class, Amps::new);
        quantity(module, Ohms.class, Ohms::new);
        quantity(module, Watts.class, Watts::new);
        quantity(module, Metres.class, Metres::new);
        quantity(module, SquareMillimetres.class, SquareMillimetres::new);
        quantity(module, Kelvins.class, Kelvins::new);
        quantity(module, Celsius.class, Celsius::new);
        quantity(module, Seconds.class, Seconds::new);
        quantity(module, Henries.class, Henries::new);
        quantity(module, Farads.class, Farads::new);
        quantity(module, AmpereHours.class, AmpereHours::new);
        quantity(module, Rpm.class, Rpm::new);
        quantity(module, Ratio.class, Ratio::new);
        text(module, PartId.class, PartId::value, PartId::new);
        text(module, WireId.class, WireId::value, WireId::new);
        module.addSerializer(Laid.Routed.class, new RoutedWriter());
        text(module, CircuitId.class, CircuitId::value, CircuitId::new);
        text(module, StationId.class, StationId::value, StationId::new);
        text(module, RunId.class, JobMapping::run, JobMapping::run);
        module.addKeyDeserializer(
                PartId.class,
                new KeyDeserializer() {
                    @Override
                    public Object deserializeKey(String key, DeserializationContext context) {
                        return made(context, PartId.class, key, PartId::new);
                    }
                });
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
        text(module, Termination.class, Termination::key, Termination::new);
        text(module, WireColour.class, JobMapping::colour, JobMapping::colour);
        enums(
                module,
                FuseType.class,
                Insulation.class,
                Zone.class,
                Station.Form.class,
                Covering.class,
                WireSize.Standard.class,
                Vehicle.Pole.class,
                Vehicle.Sort.class,
                Circuit.Drops.class,
                Work.Stage.class,
                Unguarded.class,
                Colour.class,
                ColourScheme.class,
                Purpose.class,
                WorkshopPractice.class,
                Wording.class,
                BenchRun.Verdict.class,
                BenchRun.Setting.class,
                Difficulty.class,
                Action.class,
                JoinKind.Mass.class,
                JoinKind.Half.class,
                UnusedLead.Done.class,
                OldLead.Cover.class,
                OldLead.Condition.class,
                OldLead.Verdict.class,
                FoundBox.Sort.class,
                FoundBox.Fed.class,
                Diary.Sort.class,
                SourceKind.Alternator.Style.class,
                SourceKind.Flywheel.Winding.class,
                SourceKind.RegulatorRectifier.Bridge.class,
                ControlKind.Suppression.class,
                ControlKind.Flasher.Form.class,
                ControlKind.Side.class,
                ControlKind.IgnitionBox.Form.class,
                LoadKind.Excitation.class,
                LoadKind.PlugLeads.class,
                LoadKind.Gauge.Movement.class);
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

    static String key(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static String run(RunId run) {
        return run.one() + " " + run.other();
    }

    private static RunId run(String text) {
        var ends = text.split(" ", -1);
        if (ends.length != 2) {
            throw new IllegalArgumentException(
                    "\"" + text + "\" is no run such as \"bulkhead dash\"");
        }
        return new RunId(new StationId(ends[0]), new StationId(ends[1]));
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
