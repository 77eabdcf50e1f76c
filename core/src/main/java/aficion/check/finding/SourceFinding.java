package aficion.check.finding;

import aficion.job.PartId;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import java.util.List;

/** What is wrong with sources, what charges them and the ignition. */
public interface SourceFinding {
    /** A battery whose other pole is earthed than the vehicle's. */
    record BatteryReversed(PartId part, String pole, List<Edit> remedies)
            implements Finding.AboutPart, Finding.Danger {
        public BatteryReversed {
            remedies = List.copyOf(remedies);
        }
    }

    /** Something that parts the battery from a source that goes on charging. */
    record LoadDump(PartId part, PartId by, Conditions when)
            implements Finding.AboutPart, Finding.Danger {}

    /** An isolator behind which the source feeds the ignition on. */
    record IsolatorDoesNotStop(PartId part, PartId ignition, Conditions when)
            implements Finding.AboutPart, Finding.Danger {}

    /** A battery that gets more volts than its regulator is set to. */
    record Overcharged(PartId part, Volts reaches, Volts set, Conditions when)
            implements Finding.AboutPart, Finding.Danger {}

    /** A source on the engine that does not begin to charge in any position of the key. */
    record NeverCharges(PartId part) implements Finding.AboutPart, Finding.ToFix {}

    /** A battery that gets nothing of what a source on the engine gives. */
    record NeverCharged(PartId part, PartId source, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public NeverCharged {
            remedies = List.copyOf(remedies);
        }
    }

    /** A source whose sense lead goes nowhere. */
    record SenseMissing(PartId part) implements Finding.AboutPart, Finding.ToConsider {}

    /** An alternator whose lamp terminal is joined to the battery with nothing between. */
    record FieldUnlimited(PartId part) implements Finding.AboutPart, Finding.ToFix {}

    /** An ignition that is fed though the key is off. */
    record FedWithKeyOff(PartId part, Amps amps, Conditions when)
            implements Finding.AboutPart, Finding.Danger {}

    /** A motor that feeds other things while the wind turns it. */
    record FedByWind(PartId part, List<PartId> feeds, Conditions when)
            implements Finding.AboutPart, Finding.ToKnow {
        public FedByWind {
            feeds = List.copyOf(feeds);
        }
    }

    /** An ignition coil that draws more than points stand, for want of its ballast. */
    record CoilOverfed(PartId part, Amps carries, Amps limit)
            implements Finding.AboutPart, Finding.ToFix {}

    /** A ballast that nothing bypasses while the starter turns. */
    record BallastInStart(PartId part, PartId ballast)
            implements Finding.AboutPart, Finding.ToConsider {}

    /** Plug leads of solid core beside an electronic box. */
    record SolidLeads(PartId part, PartId box) implements Finding.AboutPart, Finding.ToFix {}
}
