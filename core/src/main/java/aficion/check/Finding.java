package aficion.check;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import java.util.List;

/**
 * Something about a job that is not as it should be, with its figures and what would mend it. Its
 * words come last.
 */
public sealed interface Finding {

    Severity severity();

    Subject subject();

    /** Edits that would mend it, the best first; empty when only a person can. */
    List<Edit> remedies();

    /** The name of the rule that found it; never changes. */
    default String rule() {
        return getClass().getSimpleName();
    }

    /** A finding about a wire. */
    sealed interface AboutWire extends Finding {
        WireId wire();

        @Override
        default Subject subject() {
            return new Subject.OfWire(wire());
        }
    }

    /** A finding about a part. */
    sealed interface AboutPart extends Finding {
        PartId part();

        @Override
        default Subject subject() {
            return new Subject.OfPart(part());
        }
    }

    /** More current than the wire can carry where it runs. */
    record WireTooThinByHeat(WireId wire, Amps carried, Amps limit, List<Edit> remedies)
            implements AboutWire {
        public WireTooThinByHeat {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.DANGER;
        }
    }

    /** More volts lost than the house rule allows. */
    record WireTooThinByDrop(
            WireId wire, Amps carried, Volts lost, Volts limit, List<Edit> remedies)
            implements AboutWire {
        public WireTooThinByDrop {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.FIX;
        }
    }

    /** A fuse that lets more through than a wire behind it carries. */
    record GuardLargerThanWire(
            WireId wire, FuseSeat fuse, Amps passes, Amps carries, List<Edit> remedies)
            implements AboutWire {
        public GuardLargerThanWire {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.DANGER;
        }
    }

    /** A live lead that nothing guards. */
    record LeadWithoutGuard(WireId wire, List<Edit> remedies) implements AboutWire {
        public LeadWithoutGuard {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.DANGER;
        }
    }

    /** A fuse that carries more of its rating, for good, than the house rule allows. */
    record FuseOverloaded(FuseSeat fuse, Amps carried, Amps carries, List<Edit> remedies)
            implements AboutPart {
        public FuseOverloaded {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.FIX;
        }

        @Override
        public PartId part() {
            return fuse.part();
        }
    }

    /** A switch or relay contact that carries more than its rating. */
    record ContactOverloaded(
            PartId part, String contact, Amps carried, Amps rating, List<Edit> remedies)
            implements AboutPart {
        public ContactOverloaded {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.FIX;
        }
    }

    /** A terminal that needs a wire and has none. */
    record TerminalUnconnected(Terminal terminal, List<Edit> remedies) implements Finding {
        public TerminalUnconnected {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.FIX;
        }

        @Override
        public Subject subject() {
            return new Subject.OfTerminal(terminal);
        }
    }

    /** A part that cannot work whatever is switched: one of its ends has no way to the battery. */
    record NoWayBack(PartId part, Terminal end) implements AboutPart {
        @Override
        public Severity severity() {
            return Severity.FIX;
        }

        @Override
        public List<Edit> remedies() {
            return List.of();
        }
    }

    /** Two wires whose labels say the same. */
    record SameLabel(WireId wire, WireId other, String number, List<Edit> remedies)
            implements AboutWire {
        public SameLabel {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Severity severity() {
            return Severity.FIX;
        }
    }

    /** Relays that pull in and let go for ever in some state. */
    record RelaysChatter(PartId relay) implements AboutPart {
        @Override
        public Severity severity() {
            return Severity.DANGER;
        }

        @Override
        public PartId part() {
            return relay;
        }

        @Override
        public List<Edit> remedies() {
            return List.of();
        }
    }
}
