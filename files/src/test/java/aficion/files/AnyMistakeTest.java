package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.Design;
import aficion.job.Job;
import aficion.job.Part;
import aficion.job.Terminal;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A demo in which anything at all is changed, one to two things at a time: a value of a part, a
 * size, a wire put in, taken out or led elsewhere. What burns there is called a danger, as in what
 * was made by hand ({@code -Daficion.mistakes=1000} for a long run).
 */
class AnyMistakeTest {
    private static final int MANY = Integer.getInteger("aficion.mistakes", 12);
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final List<String> DEMOS = List.of("roadster", "motorcycle", "tractor");
    private static final List<String> SIZES = List.of("0.5mm2", "1mm2", "2.5mm2", "6mm2", "25mm2");
    private static final double[] TIMES = {0.1, 0.3, 0.5, 2, 3, 10};

    /** A number somewhere in a part. */
    private record Value(ObjectNode in, String name) {
        static Stream<Value> of(JsonNode node) {
            return Stream.concat(
                    node.propertyStream()
                            .filter(each -> each.getValue().isNumber())
                            .map(each -> new Value((ObjectNode) node, each.getKey())),
                    node.valueStream().flatMap(Value::of));
        }

        void times(double factor) {
            double changed = in.get(name).asDouble() * factor;
            if (in.get(name).isInt()) {
                in.put(name, Math.round(changed));
            } else {
                in.put(name, changed);
            }
        }
    }

    static LongStream seeds() {
        return LongStream.range(0, MANY);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whatBurnsIsCalledADanger(long seed) {
        var random = new Random(seed * 7919);
        var demo = DemoJobs.find(any(DEMOS, random)).orElseThrow();

        changed(demo, random).ifPresent(design -> assertThat(BurningLaw.broken(design)).isEmpty());
    }

    /** What has become of a job; empty where it makes no sense and is refused. */
    private static Optional<Design> changed(Job job, Random random) {
        var tree = (ObjectNode) MAPPER.readTree(JobCodec.write(job));
        for (int i = random.nextInt(2); i >= 0; i--) {
            change(tree, job.design(), random);
        }
        try {
            return Optional.of(JobCodec.read(MAPPER.writeValueAsString(tree)).design());
        } catch (JobFileException refused) {
            return Optional.empty();
        }
    }

    private static void change(ObjectNode tree, Design design, Random random) {
        var wires = tree.withArray("wires");
        var wire = (ObjectNode) wires.get(random.nextInt(wires.size()));
        switch (random.nextInt(7)) {
            case 0, 1 ->
                    any(Value.of(tree.get("parts")).toList(), random)
                            .times(TIMES[random.nextInt(TIMES.length)]);
            case 2 -> ((ObjectNode) wire.get("cut")).put("size", any(SIZES, random));
            case 3 -> {
                var more = wire.deepCopy();
                more.put("id", "more" + random.nextInt()).remove("unguarded");
                lead(more, "from", design, random);
                lead(more, "to", design, random);
                wires.add(more);
            }
            case 4 -> wires.remove(random.nextInt(wires.size()));
            case 5 -> exchange(wires, any(design.parts(), random).terminals(), random);
            default -> lead(wire, random.nextBoolean() ? "from" : "to", design, random);
        }
    }

    /** Two leads of a part, each where the other belongs. */
    private static void exchange(JsonNode wires, List<Terminal> of, Random random) {
        var one = any(of, random).toString();
        var other = any(of, random).toString();
        wires.valueStream()
                .flatMap(wire -> Stream.of(wire.get("from"), wire.get("to")))
                .map(ObjectNode.class::cast)
                .forEach(end -> {
                    var at = end.get("terminal").asString();
                    if (at.equals(one) || at.equals(other)) {
                        end.put("terminal", at.equals(one) ? other : one);
                    }
                });
    }

    private static void lead(ObjectNode wire, String end, Design design, Random random) {
        var terminals = design.parts().stream().map(Part::terminals).flatMap(List::stream).toList();
        ((ObjectNode) wire.get(end)).put("terminal", any(terminals, random).toString());
    }

    private static <T> T any(List<T> all, Random random) {
        return all.get(random.nextInt(all.size()));
    }
}
