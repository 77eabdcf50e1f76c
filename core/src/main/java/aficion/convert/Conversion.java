package aficion.convert;

import aficion.change.Change;
import aficion.change.ChangeList;
import aficion.charge.AnotherSource;
import aficion.charge.AnotherSource.Candidate;
import aficion.check.Settled;
import aficion.check.finding.Finding;
import aficion.ignite.Ignition;
import aficion.ignite.Primary;
import aficion.job.Design;
import aficion.job.LoadKind.IgnitionCoil;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Vehicle;
import aficion.job.Vehicle.Pole;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.VehicleEdit;
import aficion.quantity.Quantity;
import aficion.quantity.Volts;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
 * @param left what is found then, was not found before, and no remedy mends
 * @param edit the one step that makes the design of the one before
 */
public record Conversion(
        Design design,
        List<PartChange> changes,
        List<Change> besides,
        List<Finding> left,
        Edit edit) {

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
        /** It is made for the old volts, but would do behind a ballast. */
        OR_BALLAST,
        /** Another source is put in its place. */
        OTHER_SOURCE,
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
        left = List.copyOf(left);
    }

    /**
     * A design at other volts, with another pole earthed.
     *
     * @throws IllegalArgumentException when both are what they were, or plus is to be earthed where
     *     an alternator has its minus at its case
     */
    public static Conversion of(Design design, Volts system, Pole earthed) {
        return of(design, system, earthed, Optional.empty());
    }

    /**
     * The same with another source put in, made for the new volts.
     *
     * @throws IllegalArgumentException besides, when that source cannot be put in
     */
    public static Conversion of(
            Design design, Volts system, Pole earthed, Optional<Candidate> source) {
        var vehicle = design.vehicle();
        boolean same = vehicle.system().equals(system) && vehicle.earthed() == earthed;
        if (same && source.isEmpty()) {
            throw new IllegalArgumentException("it has those volts and that pole already");
        }
        boolean alternator =
                design.parts().stream()
                        .anyMatch(part -> part.kind() instanceof SourceKind.Alternator);
        if (alternator && earthed == Pole.POSITIVE && vehicle.earthed() == Pole.NEGATIVE) {
            throw new IllegalArgumentException(
                    "the case of its alternator is minus; put a dynamo in before plus is earthed");
        }
        return new Converting(design, system, earthed).conversion(source);
    }

    /** One conversion. */
    private static final class Converting {
        private final Design before;
        private final Volts system;
        private final Pole earthed;
        private final Map<PartId, PartChange> changes = new LinkedHashMap<>();
        private final List<Edit> edits = new ArrayList<>();
        private Design now;

        Converting(Design before, Volts system, Pole earthed) {
            this.before = before;
            this.now = before;
            this.system = system;
            this.earthed = earthed;
        }

        Conversion conversion(Optional<Candidate> source) {
            otherVehicle();
            otherVolts();
            otherPole();
            source.ifPresent(this::otherSource);
            var settled = Settled.of(before, now);
            settled.done().forEach(this::mended);
            return new Conversion(
                    settled.design(),
                    List.copyOf(changes.values()),
                    ChangeList.of(before, settled.design(), List.of()).stream()
                            .filter(Converting::isBesides)
                            .toList(),
                    settled.left(),
                    new CompositeEdit(CompositeEdit.Reason.CONVERT, edits));
        }

        /** A wire that is another or goes elsewhere, and what is there more or less than before. */
        private static boolean isBesides(Change change) {
            return switch (change.sort()) {
                case OFF, NEW -> true;
                case REPLACED, MOVES -> change instanceof Change.OfWire;
                case SEALED, STAYS -> false;
            };
        }

        private void take(Edit edit) {
            edits.add(edit);
            now = edit.apply(now);
        }

        private void otherVehicle() {
            var vehicle = before.vehicle();
            take(
                    new VehicleEdit.SetVehicle(
                            new Vehicle(
                                    vehicle.name(),
                                    vehicle.year(),
                                    system,
                                    earthed,
                                    vehicle.sort())));
        }

        private void otherVolts() {
            var volts = new OtherVolts(before.vehicle().system(), system);
            for (var part : before.parts()) {
                var judged = volts.judged(part);
                if (!judged.kind().equals(part.kind())) {
                    take(new PartEdit.Refit(part.id(), judged.kind()));
                }
                note(judged.of(part.id()));
            }
            if (system.value() > before.vehicle().system().value()) {
                Ignition.of(before).ifPresent(this::ballast);
            }
        }

        /** What each coil would have to be put behind to keep its current, and what that burns. */
        private void ballast(Ignition ignition) {
            var primary = ignition.primary();
            var amps = primary.steady(ignition.running());
            var ohms = primary.ballast(now.vehicle().running(), amps);
            for (var coil : ignition.coils()) {
                note(
                        new PartChange(
                                coil.id(),
                                Action.REPLACE,
                                Why.OR_BALLAST,
                                List.of(
                                        ((IgnitionCoil) now.part(coil.id()).kind()).primary(),
                                        ohms,
                                        Primary.warmth(ohms, amps, ignition.dwell()))));
            }
        }

        private void otherPole() {
            if (before.vehicle().earthed() == earthed) {
                return;
            }
            for (var part : now.parts()) {
                var turned = OtherPole.turned(now, part);
                if (turned.isPresent()) {
                    turned.get().edit().ifPresent(this::take);
                    note(turned.get().over(said(part.id())));
                }
            }
        }

        private void otherSource(Candidate candidate) {
            var old = AnotherSource.source(now);
            var edits = AnotherSource.swap(now, candidate);
            if (old.isEmpty() || edits.isEmpty()) {
                throw new IllegalArgumentException(
                        candidate.name() + " does not go in the place of the source");
            }
            edits.get().forEach(this::take);
            note(new PartChange(old.get().id(), Action.REPLACE, Why.OTHER_SOURCE, List.of()));
        }

        private void note(PartChange change) {
            changes.put(change.part(), change);
        }

        private Optional<PartChange> said(PartId part) {
            return Optional.ofNullable(changes.get(part));
        }

        private void mended(Settled.Mended mended) {
            edits.add(mended.remedy());
            if (mended.finding() instanceof Finding.AboutPart about) {
                var why = why(mended.finding());
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
