package aficion.convert;

import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.check.Findings;
import aficion.check.Mending;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.check.finding.Subject;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Vehicle;
import aficion.job.Vehicle.Pole;
import aficion.quantity.Quantity;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A design taken to other volts, to the other earthed pole, or to both. Every part is judged: what
 * stays, what is replaced and by what, whose leads are exchanged, what gets a dropper. At other
 * volts currents go down as the volts go up; so wires and guards that carried them go on doing so.
 * What is found of the result and was not found before is mended by its own remedies.
 *
 * @param design as it becomes
 * @param changes of every part, in the order of the design
 * @param besides what follows for all else: wires that move or are of another size, parts and wires
 *     that are there more or less than before
 */
public record Conversion(Design design, List<PartChange> changes, List<Change> besides) {
    /** So often what is found is mended and looked at again. */
    private static final int ROUNDS = 10;

    /** What is done with a part. */
    public enum Action {
        STAYS,
        /** Its two leads change places. */
        EXCHANGE,
        /** Its residual field is turned by flashing. */
        REPOLARISE,
        REPLACE,
        /** It stays behind a resistor. */
        DROPPER,
        /** It is put in the other way round. */
        TURN,
        /** What was found of it afterwards was mended by its remedy. */
        MEND
    }

    /** Why. */
    public enum Why {
        /** It does not mind volts or poles. */
        INDIFFERENT,
        /** It is made for the old volts. */
        OTHER_VOLTS,
        /** It would carry what it carried, at more: it cranks faster, for short. */
        CRANKS_FASTER,
        /** The earthed pole is the other one. */
        OTHER_POLE,
        /** It would read backwards. */
        READS_BACKWARDS,
        /** The spark is to stay negative at the plug. */
        SPARK,
        /** It would turn the other way. */
        TURNS_BACK,
        /** It dies the wrong way round. */
        DIES_REVERSED,
        /** The field keeps the old pole until it is flashed. */
        RESIDUAL_FIELD,
        /** Its gauge is calibrated for the old volts. */
        CALIBRATED,
        /** It was found to be wrong afterwards. */
        FOUND
    }

    /**
     * What is done with a part.
     *
     * @param figures what it becomes, or what its resistor is: ohms and watts, or volts and amps
     */
    public record PartChange(PartId part, Action action, Why why, List<Quantity> figures) {
        public PartChange {
            figures = List.copyOf(figures);
        }
    }

    public Conversion {
        changes = List.copyOf(changes);
        besides = List.copyOf(besides);
    }

    /**
     * A design at other volts, with another pole earthed.
     *
     * @throws IllegalArgumentException when both are what they were, or plus is to be earthed where
     *     an alternator has its minus at its case
     */
    public static Conversion of(Design design, Volts system, Pole earthed) {
        var vehicle = design.vehicle();
        if (vehicle.system().equals(system) && vehicle.earthed() == earthed) {
            throw new IllegalArgumentException("it has those volts and that pole already");
        }
        boolean alternator =
                design.parts().stream()
                        .anyMatch(part -> part.kind() instanceof SourceKind.Alternator);
        if (alternator && earthed == Pole.POSITIVE && vehicle.earthed() == Pole.NEGATIVE) {
            throw new IllegalArgumentException(
                    "the case of its alternator is minus; put a dynamo in before plus is earthed");
        }
        return new Converting(design, system, earthed).conversion();
    }

    /** One conversion. */
    private static final class Converting {
        private final Design before;
        private final Volts system;
        private final Pole earthed;
        private final Map<PartId, PartChange> changes = new LinkedHashMap<>();

        Converting(Design before, Volts system, Pole earthed) {
            this.before = before;
            this.system = system;
            this.earthed = earthed;
        }

        Conversion conversion() {
            var design = mend(turn(atOtherVolts()));
            return new Conversion(
                    design,
                    List.copyOf(changes.values()),
                    ChangeList.of(before, design, List.of()).stream()
                            .filter(Converting::isBesides)
                            .toList());
        }

        /** A wire that is another or goes elsewhere, and what is there more or less than before. */
        private static boolean isBesides(Change change) {
            return switch (change.sort()) {
                case OFF, NEW -> true;
                case REPLACED, MOVES -> change instanceof Change.OfWire;
                case SEALED, STAYS -> false;
            };
        }

        private Design atOtherVolts() {
            var vehicle = before.vehicle();
            var volts = new OtherVolts(vehicle.system(), system);
            var parts = new ArrayList<Part>();
            for (var part : before.parts()) {
                var judged = volts.judged(part);
                parts.add(part.withKind(judged.kind()));
                note(judged.of(part.id()));
            }
            return before.withVehicle(
                            new Vehicle(
                                    vehicle.name(),
                                    vehicle.year(),
                                    system,
                                    earthed,
                                    vehicle.sort()))
                    .withParts(parts);
        }

        private Design turn(Design design) {
            if (before.vehicle().earthed() == earthed) {
                return design;
            }
            var all = design;
            for (var part : design.parts()) {
                var turned = OtherPole.turned(all, part);
                if (turned.isPresent()) {
                    all = turned.get().design();
                    note(turned.get().over(said(part.id())));
                }
            }
            return all;
        }

        private void note(PartChange change) {
            changes.put(change.part(), change);
        }

        private Optional<PartChange> said(PartId part) {
            return Optional.ofNullable(changes.get(part));
        }

        /** Mends what is found now and was not before, by the remedies that do no harm. */
        private Design mend(Design converted) {
            var known =
                    Findings.of(Assessment.of(before)).stream()
                            .map(Finding::about)
                            .collect(Collectors.toSet());
            var design = converted;
            for (int round = 0; round < ROUNDS; round++) {
                var assessment = Assessment.of(design);
                var fresh =
                        Findings.of(assessment).stream()
                                .filter(finding ->
                                        finding.severity().compareTo(Severity.ADVISE) <= 0)
                                .filter(finding -> !known.contains(finding.about()))
                                .filter(finding -> !finding.remedies().isEmpty())
                                .toList();
                var next = apply(assessment, fresh);
                if (next.equals(design)) {
                    return design;
                }
                design = next;
            }
            return design;
        }

        /**
         * A remedy for each that is found, at once; of those that bring a part, which all would
         * call theirs alike, one alone, and none besides.
         */
        private Design apply(Assessment assessment, List<Finding> fresh) {
            var design = assessment.design();
            var touched = new HashSet<Subject>();
            for (var finding : Mending.offered(assessment, fresh)) {
                if (finding.remedies().isEmpty() || !touched.add(finding.subject())) {
                    continue;
                }
                var remedy = finding.remedies().getFirst();
                boolean brings =
                        remedy.apply(assessment.design()).parts().size()
                                != assessment.design().parts().size();
                if (!brings || design == assessment.design()) {
                    design = remedy.apply(design);
                    mended(finding);
                }
                if (brings) {
                    return design;
                }
            }
            return design;
        }

        private void mended(Finding finding) {
            if (finding instanceof Finding.AboutPart about) {
                var why = why(finding);
                note(
                        new PartChange(
                                about.part(),
                                why == Why.FOUND ? Action.MEND : Action.EXCHANGE,
                                why,
                                said(about.part()).map(PartChange::figures).orElse(List.of())));
            }
        }

        private static Why why(Finding finding) {
            return switch (finding) {
                case Finding.CoilReversed _ -> Why.SPARK;
                case Finding.ReadsBackwards _ -> Why.READS_BACKWARDS;
                case Finding.RunsBackwards _ -> Why.TURNS_BACK;
                case Finding.PolarityReversed _, Finding.SuppressionReversed _ -> Why.DIES_REVERSED;
                default -> Why.FOUND;
            };
        }
    }
}
