package aficion.files;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Takes the tree of a job file of an earlier version to the latest, one version at a time, before
 * anything is bound; version 3 brought the body and what is made of each wire, version 4 the bodies
 * of connectors, version 5 what is seen to when parts are fitted, which earlier files just lack;
 * version 6 says of a test run where it was taken; version 7 brought the survey and the diary,
 * version 8 what is set down for sums. What a tree lacks or has too much is left for binding to
 * say.
 */
final class Migration {
    private static final Set<String> CUT = Set.of("size", "insulation", "colour");
    private static final Set<String> LAID = Set.of("length", "zone", "bundle", "slack");

    /** What of a field's place in the latest version stood elsewhere in version 1. */
    private static final Pattern PLACED_SINCE = Pattern.compile("^work\\.|\\.(cut|laid)(?=\\.|$)");

    private Migration() {}

    /** Brings a tree of a version to the latest. */
    static void toLatest(ObjectNode job, int version) {
        if (version < 2) {
            partWorkFromDesign(job);
            partWires(job);
        }
        if (version < 6) {
            placeRuns(job);
        }
        job.put("version", JobCodec.VERSION);
    }

    /** Where a field of the latest version is found in a file of an earlier one. */
    static String before(String field, int version) {
        return version < 2
                ? PLACED_SINCE
                        .matcher(field)
                        .replaceAll("")
                        .replaceFirst("\\.cover$", ".insulation")
                : field;
    }

    /** Version 2: what was done of a design stands apart from it. */
    private static void partWorkFromDesign(ObjectNode job) {
        var work = job.objectNode();
        var done = work.putArray("done");
        for (var circuit : objects(job.path("circuits"))) {
            var stages = circuit.remove("done");
            if (stages != null && !stages.isEmpty() && circuit.has("id")) {
                done.addObject()
                        .<ObjectNode>set("circuit", circuit.get("id"))
                        .set("stages", stages);
            }
        }
        for (var list : List.of("bench", "accepted")) {
            if (job.has(list)) {
                work.set(list, job.remove(list));
            }
        }
        for (var accepted : objects(work.path("accepted"))) {
            if (accepted.path("finding").isString()) {
                accepted.put("finding", dashed(accepted.path("finding").stringValue()));
            }
        }
        job.set("work", work);
    }

    /** Version 2: findings have names of their own; before they were called as their classes. */
    private static String dashed(String name) {
        return name.replaceAll("(?<!^)(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
    }

    /** Version 2: what a wire is cut from and how it is laid stand apart. */
    private static void partWires(ObjectNode job) {
        for (var wire : objects(job.path("wires"))) {
            var cut = taken(wire, CUT);
            if (cut.has("insulation")) {
                cut.set("cover", cut.remove("insulation"));
            }
            wire.set("cut", cut);
            wire.set("laid", taken(wire, LAID));
        }
    }

    /** Version 6: a run says where it was taken; before, there was the bench alone. */
    private static void placeRuns(ObjectNode job) {
        objects(job.path("work").path("bench")).forEach(run -> run.put("setting", "bench"));
    }

    private static ObjectNode taken(ObjectNode from, Set<String> fields) {
        var taken = from.objectNode();
        for (var field : fields) {
            if (from.has(field)) {
                taken.set(field, from.remove(field));
            }
        }
        return taken;
    }

    private static List<ObjectNode> objects(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .filter(ObjectNode.class::isInstance)
                .map(ObjectNode.class::cast)
                .toList();
    }
}
