package aficion.job;

import aficion.job.BenchRun.Setting;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What has been done of a design. It costs no physics: nothing that is computed of the design
 * depends on it.
 *
 * @param done the finished stages of each circuit that has any
 * @param bench every bench run, oldest first
 * @param accepted every finding that the user lets stand
 * @param made how many steps of its making are done, of each wire that is begun
 * @param unused the leads that nothing needs, each by a name of its own
 * @param fitted what was seen to when parts were fitted
 * @param tried what each part showed that was tried before it was fitted
 * @param survey what was found before anything was done
 * @param diary what was written down as the work went
 * @param sums what was measured and set down for sums around the design
 */
public record Work(
        Map<CircuitId, Set<Stage>> done,
        List<BenchRun> bench,
        List<Acceptance> accepted,
        Map<WireId, Integer> made,
        List<UnusedLead> unused,
        List<Fitted> fitted,
        Map<PartId, List<BenchRun.Reading>> tried,
        Survey survey,
        Diary diary,
        Sums sums) {

    /** Nothing done yet. */
    public static final Work NONE =
            new Work(
                    Map.of(),
                    List.of(),
                    List.of(),
                    Map.of(),
                    List.of(),
                    List.of(),
                    Map.of(),
                    Survey.NONE,
                    Diary.NONE,
                    Sums.NONE);

    /**
     * Something that was seen to when a part was fitted.
     *
     * @param line what it was, by its name in files
     */
    public record Fitted(PartId part, String line) {
        public Fitted {
            Names.require(line);
        }
    }

    /** The stages of the work on a circuit, in order. */
    public enum Stage {
        PLANNED,
        SIZED,
        LABELLED,
        MADE,
        TESTED,
        FITTED
    }

    public Work {
        done = finished(done);
        bench = List.copyOf(bench);
        accepted = List.copyOf(accepted);
        made = begun(made);
        unused = List.copyOf(unused);
        fitted = List.copyOf(fitted);
        tried = readings(tried);
    }

    private static Map<PartId, List<BenchRun.Reading>> readings(
            Map<PartId, List<BenchRun.Reading>> tried) {
        var kept = new LinkedHashMap<PartId, List<BenchRun.Reading>>();
        tried.forEach((part, readings) -> {
            if (!readings.isEmpty()) {
                kept.put(part, List.copyOf(readings));
            }
        });
        return Collections.unmodifiableMap(kept);
    }

    private static Map<WireId, Integer> begun(Map<WireId, Integer> made) {
        var begun = new LinkedHashMap<>(made);
        begun.values().removeIf(steps -> steps <= 0);
        return Collections.unmodifiableMap(begun);
    }

    /** How many steps of the making of a wire are done. */
    public int made(WireId wire) {
        return made.getOrDefault(wire, 0);
    }

    /** The same with so many steps of a wire done. */
    public Work with(WireId wire, int steps) {
        var changed = new LinkedHashMap<>(made);
        changed.put(wire, steps);
        return new Work(done, bench, accepted, changed, unused, fitted, tried, survey, diary, sums);
    }

    private static Map<CircuitId, Set<Stage>> finished(Map<CircuitId, Set<Stage>> done) {
        var finished = new LinkedHashMap<CircuitId, Set<Stage>>();
        done.forEach((circuit, stages) -> {
            if (!stages.isEmpty()) {
                finished.put(circuit, Collections.unmodifiableSet(EnumSet.copyOf(stages)));
            }
        });
        return Collections.unmodifiableMap(finished);
    }

    /** The finished stages of a circuit, in their order. */
    public Set<Stage> done(CircuitId circuit) {
        return done.getOrDefault(circuit, Set.of());
    }

    /** The latest run of a circuit, wherever it was tested. */
    public Optional<BenchRun> latestRun(CircuitId circuit) {
        return latest(run -> run.circuit().equals(circuit));
    }

    /** The latest run of a circuit in a setting. */
    public Optional<BenchRun> latestRun(CircuitId circuit, Setting setting) {
        return latest(run -> run.circuit().equals(circuit) && run.setting() == setting);
    }

    private Optional<BenchRun> latest(Predicate<BenchRun> wanted) {
        return bench.stream().filter(wanted).reduce((_, later) -> later);
    }

    /** The same with a stage of a circuit finished, or not. */
    public Work with(CircuitId circuit, Stage stage, boolean finished) {
        var stages = EnumSet.noneOf(Stage.class);
        stages.addAll(done(circuit));
        if (finished) {
            stages.add(stage);
        } else {
            stages.remove(stage);
        }
        var changed = new LinkedHashMap<>(done);
        changed.put(circuit, stages);
        return new Work(changed, bench, accepted, made, unused, fitted, tried, survey, diary, sums);
    }

    /** The same with a bench run, in place of what was kept of it before. */
    public Work with(BenchRun run) {
        var runs = Listed.without(bench, run::isSame);
        runs.add(run);
        return new Work(done, runs, accepted, made, unused, fitted, tried, survey, diary, sums);
    }

    /** The same with a finding that stands, in place of what was said of it before. */
    public Work with(Acceptance acceptance) {
        var others =
                Listed.without(
                        accepted, kept -> kept.isAbout(acceptance.finding(), acceptance.place()));
        others.add(acceptance);
        return new Work(done, bench, others, made, unused, fitted, tried, survey, diary, sums);
    }

    /** The same with a finding that stands no longer. */
    public Work without(Acceptance acceptance) {
        return new Work(
                done,
                bench,
                Listed.without(accepted, acceptance::equals),
                made,
                unused,
                fitted,
                tried,
                survey,
                diary,
                sums);
    }

    /** The same with a lead that nothing needs, in place of what was said of it before. */
    public Work with(UnusedLead lead) {
        var leads = Listed.without(unused, other -> other.name().equals(lead.name()));
        leads.add(lead);
        return new Work(done, bench, accepted, made, leads, fitted, tried, survey, diary, sums);
    }

    /** The same without a lead that nothing needs. */
    public Work without(UnusedLead lead) {
        return new Work(
                done,
                bench,
                accepted,
                made,
                Listed.without(unused, lead::equals),
                fitted,
                tried,
                survey,
                diary,
                sums);
    }

    /** The same with something seen to when a part was fitted, or not. */
    public Work with(Fitted line, boolean done) {
        var lines = Listed.without(fitted, line::equals);
        if (done) {
            lines.add(line);
        }
        return new Work(
                this.done, bench, accepted, made, unused, lines, tried, survey, diary, sums);
    }

    /** What a part showed at a test before it was fitted; empty while that is open. */
    public Optional<BenchRun.Reading> tried(PartId part, String test) {
        return tried.getOrDefault(part, List.of()).stream()
                .filter(reading -> reading.step().equals(test))
                .findFirst();
    }

    /** The same with what a part showed, in place of what it showed at that test before. */
    public Work with(PartId part, BenchRun.Reading reading) {
        var readings =
                Listed.without(
                        tried.getOrDefault(part, List.of()),
                        earlier -> earlier.step().equals(reading.step()));
        readings.add(reading);
        var changed = new LinkedHashMap<>(tried);
        changed.put(part, readings);
        return new Work(done, bench, accepted, made, unused, fitted, changed, survey, diary, sums);
    }

    /** The wiring as it was found; empty where all is new. */
    public Optional<Design> found() {
        return survey.found();
    }

    /** The same with other findings of the survey. */
    public Work with(Survey changed) {
        return new Work(done, bench, accepted, made, unused, fitted, tried, changed, diary, sums);
    }

    /** The same with a diary that says more. */
    public Work with(Diary changed) {
        return new Work(done, bench, accepted, made, unused, fitted, tried, survey, changed, sums);
    }

    /** The same with other sums set down. */
    public Work with(Sums changed) {
        return new Work(done, bench, accepted, made, unused, fitted, tried, survey, diary, changed);
    }

    /** Every lead that nothing needs: those noted, and those of the kits. */
    public List<UnusedLead> allUnused() {
        return Stream.concat(unused.stream(), survey.kits().stream().flatMap(Kit::unused)).toList();
    }

    /** What of it is about circuits, parts and wires that a design holds. */
    Work of(Design design) {
        var known = new LinkedHashMap<>(done);
        known.keySet().removeIf(circuit -> design.find(circuit).isEmpty());
        var wires = new LinkedHashMap<>(made);
        wires.keySet().removeIf(wire -> design.find(wire).isEmpty());
        var parts = new LinkedHashMap<>(tried);
        parts.keySet().removeIf(part -> design.find(part).isEmpty());
        return new Work(
                known,
                Listed.without(bench, run -> design.find(run.circuit()).isEmpty()),
                Acceptance.of(accepted, design),
                wires,
                unused,
                Listed.without(fitted, line -> design.find(line.part()).isEmpty()),
                parts,
                survey.of(design),
                diary,
                sums.of(design));
    }
}
