package aficion.check.finding;

import aficion.catalogue.FuseType;
import aficion.catalogue.Purpose;
import aficion.job.Figures;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something about a design that is not as it should be, with its figures and what would mend it.
 * Its words come last.
 */
public interface Finding {

    Severity severity();

    Subject subject();

    /** Edits that would mend it, the best first; empty when only a person can. */
    default List<Edit> remedies() {
        return List.of();
    }

    /** What it is called in files; never changes. */
    default String key() {
        return FindingNames.of(this);
    }

    /** What kind of finding it is. */
    default String rule() {
        return getClass().getSimpleName();
    }

    /** The figures it names, in its order: not those of its remedies. */
    default List<Double> figures() {
        return Figures.of(this).stream()
                .filter(figure ->
                        !figure.path().startsWith("remedies.")
                                && !figure.path().startsWith("when."))
                .map(figure -> figure.value().value())
                .toList();
    }

    /** What its words name, in its order: all it says but its remedies. */
    default List<Object> told() {
        return Figures.components(this).entrySet().stream()
                .filter(component -> !component.getKey().equals("remedies"))
                .map(Map.Entry::getValue)
                .toList();
    }

    default About about() {
        return new About(rule(), subject());
    }

    /** A finding about a wire. */
    interface AboutWire extends Finding {
        WireId wire();

        @Override
        default Subject subject() {
            return new Subject.OfWire(wire());
        }
    }

    /** A finding about a part. */
    interface AboutPart extends Finding {
        PartId part();

        @Override
        default Subject subject() {
            return new Subject.OfPart(part());
        }
    }

    /** A finding about a fuse in its seat. */
    interface AboutFuse extends AboutPart {
        FuseSeat fuse();

        @Override
        default PartId part() {
            return fuse().part();
        }
    }

    /** A finding that can burn or hurt. */
    interface Danger extends Finding {
        @Override
        default Severity severity() {
            return Severity.DANGER;
        }
    }

    /** A finding that has to be put right. */
    interface ToFix extends Finding {
        @Override
        default Severity severity() {
            return Severity.FIX;
        }
    }

    /** A finding that may well be put right. */
    interface ToConsider extends Finding {
        @Override
        default Severity severity() {
            return Severity.ADVISE;
        }
    }

    /** A finding that is good to know. */
    interface ToKnow extends Finding {
        @Override
        default Severity severity() {
            return Severity.NOTE;
        }
    }

    /** More current than the wire can carry where it runs. */
    record WireTooThinByHeat(WireId wire, Amps carried, Amps limit, List<Edit> remedies)
            implements AboutWire, Danger {
        public WireTooThinByHeat {
            remedies = List.copyOf(remedies);
        }
    }

    /** More volts lost than the house rule allows. */
    record WireTooThinByDrop(
            WireId wire, Amps carried, Volts lost, Volts limit, List<Edit> remedies)
            implements AboutWire, ToFix {
        public WireTooThinByDrop {
            remedies = List.copyOf(remedies);
        }
    }

    /** A fuse that lets more through than a wire behind it carries. */
    record GuardLargerThanWire(
            WireId wire, FuseSeat fuse, Amps passes, Amps carries, List<Edit> remedies)
            implements AboutWire, Danger {
        public GuardLargerThanWire {
            remedies = List.copyOf(remedies);
        }
    }

    /** A wire without a guard before it at a source that gives more than it carries. */
    record SourceLargerThanWire(
            WireId wire, PartId source, Amps gives, Amps carries, List<Edit> remedies)
            implements AboutWire, Danger {
        public SourceLargerThanWire {
            remedies = List.copyOf(remedies);
        }
    }

    /** A live lead that nothing guards. */
    record LeadWithoutGuard(WireId wire, List<Edit> remedies) implements AboutWire, Danger {
        public LeadWithoutGuard {
            remedies = List.copyOf(remedies);
        }
    }

    /** A fuse that carries more of its rating, for good, than the house rule allows. */
    record FuseOverloaded(FuseSeat fuse, Amps carried, Amps carries, List<Edit> remedies)
            implements AboutFuse, ToFix {
        public FuseOverloaded {
            remedies = List.copyOf(remedies);
        }
    }

    /** A switch or relay contact that carries more than its rating. */
    record ContactOverloaded(
            PartId part, String contact, Amps carried, Amps rating, List<Edit> remedies)
            implements AboutPart, ToFix {
        public ContactOverloaded {
            remedies = List.copyOf(remedies);
        }
    }

    /** A terminal that needs a wire and has none. */
    record TerminalUnconnected(Terminal terminal, List<Edit> remedies) implements ToFix {
        public TerminalUnconnected {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Subject subject() {
            return new Subject.OfTerminal(terminal);
        }
    }

    /** A part that cannot work whatever is switched: one of its ends has no way to the battery. */
    record NoWayBack(PartId part, Terminal end) implements AboutPart, ToFix {}

    /** Two wires whose labels say the same. */
    record SameLabel(WireId wire, WireId other, String number, List<Edit> remedies)
            implements AboutWire, ToFix {
        public SameLabel {
            remedies = List.copyOf(remedies);
        }
    }

    /** Relays that pull in and let go for ever in some state. */
    record RelaysChatter(PartId relay) implements AboutPart, Danger {

        @Override
        public PartId part() {
            return relay;
        }
    }

    /** A part that works only one way round, connected the other way round. */
    record PolarityReversed(PartId part, Volts sees, List<Edit> remedies)
            implements AboutPart, ToFix {
        public PolarityReversed {
            remedies = List.copyOf(remedies);
        }
    }

    /** A motor whose leads are exchanged. */
    record RunsBackwards(PartId part, List<Edit> remedies) implements AboutPart, ToFix {
        public RunsBackwards {
            remedies = List.copyOf(remedies);
        }
    }

    /** An ignition coil fed at its terminal 1: the spark is positive at the plug, and weak. */
    record CoilReversed(PartId part, List<Edit> remedies) implements AboutPart, ToConsider {
        public CoilReversed {
            remedies = List.copyOf(remedies);
        }
    }

    /** An ammeter that shows discharge while the battery is charged, and the reverse. */
    record ReadsBackwards(PartId part, List<Edit> remedies) implements AboutPart, ToFix {
        public ReadsBackwards {
            remedies = List.copyOf(remedies);
        }
    }

    /** A relay whose suppression diode conducts: a short beside the coil. */
    record SuppressionReversed(PartId part, List<Edit> remedies) implements AboutPart, Danger {
        public SuppressionReversed {
            remedies = List.copyOf(remedies);
        }
    }

    /** A part made for other volts than the vehicle has. */
    record WrongVoltage(PartId part, Volts made, Volts system) implements AboutPart, ToFix {}

    /** A part that is always live and switched in its earth: a chafe makes it run by itself. */
    record SwitchedInEarth(PartId part) implements AboutPart, ToConsider {}

    /** A part that draws current with everything off; whether it lights or turns by that. */
    record DrawsAtRest(PartId part, Amps amps, boolean works) implements AboutPart {
        /** What a clock draws is good to know; a lamp or a motor that never goes off is wrong. */
        @Override
        public Severity severity() {
            return works ? Severity.ADVISE : Severity.NOTE;
        }
    }

    /**
     * An ignition that is fed backwards when the key is off and the engine turns: it keeps running.
     */
    record KeepsRunning(PartId part, Amps amps, List<Edit> remedies) implements AboutPart, Danger {
        public KeepsRunning {
            remedies = List.copyOf(remedies);
        }
    }

    /** An ignition that loses its feed while the starter turns. */
    record LostInStart(PartId part, String position) implements AboutPart, ToFix {}

    /** An ignition that is fed in that position of the key alone, which springs back. */
    record FedOnlyInStart(PartId part, String position) implements AboutPart, ToFix {}

    /** A two-speed motor whose high speed can be switched in while the low one does not run. */
    record HighBeforeLow(PartId part) implements AboutPart, ToFix {}

    /** A relay that feeds more than one motor. */
    record TwoMotorsOneRelay(PartId part, int motors) implements AboutPart, ToConsider {}

    /** A gauge and a sender made for different ranges. */
    record FamiliesDiffer(
            PartId part, PartId sender, String gauge, String made, List<Edit> remedies)
            implements AboutPart, ToFix {
        public FamiliesDiffer {
            remedies = List.copyOf(remedies);
        }
    }

    /** A flasher unit that does not flash right with the lamps it has. */
    record FlasherLoad(PartId part, Watts load, Watts made) implements AboutPart, ToFix {}

    /**
     * A source that at a speed of the engine does not carry what is on: the battery pays the rest.
     */
    record SourceTooSmall(PartId part, Amps drawn, Amps given, Rpm engine)
            implements AboutPart, ToConsider {}

    /** An earth point that a gauge shares with a heavy load: its reading moves with the load. */
    record EarthShared(PartId part, PartId gauge, Amps amps) implements AboutPart, ToConsider {}

    /** A guard that may open together with, or before, one behind it. */
    record NotSelective(PartId part, FuseSeat main, FuseSeat branch)
            implements AboutPart, ToConsider {}

    /** A lamp that does not get the volts for its light. */
    record LampDim(PartId part, Ratio light, Volts volts) implements AboutPart, ToConsider {}

    /** A magneto whose kill lead is not earthed when the key is off. */
    record MagnetoNeverStops(PartId part) implements AboutPart, Danger {}

    /** A magneto whose kill lead gets volts. */
    record MagnetoFed(PartId part, Volts volts) implements AboutPart, Danger {}

    /** A bundle in whose middle a wire passes its limit. */
    record BundleTooHot(
            WireId wire, String bundle, Celsius reaches, Celsius limit, List<Edit> remedies)
            implements AboutWire, Danger {
        public BundleTooHot {
            remedies = List.copyOf(remedies);
        }
    }

    /** A terminal at the end of a wire that carries more than it can for good. */
    record TerminalOverloaded(
            WireId wire, Terminal terminal, Amps carried, Amps carries, List<Edit> remedies)
            implements AboutWire, ToFix {
        public TerminalOverloaded {
            remedies = List.copyOf(remedies);
        }
    }

    /** A fuse that carries the load and opens on its inrush. */
    record FuseOpensOnInrush(
            FuseSeat fuse, Optional<PartId> load, Seconds after, List<Edit> remedies)
            implements AboutFuse, Danger {
        public FuseOpensOnInrush {
            remedies = List.copyOf(remedies);
        }
    }

    /** A cover that does not hold the volts of its wire. */
    record CoverTooWeak(WireId wire, Volts holds, Volts sees, List<Edit> remedies)
            implements AboutWire, Danger {
        public CoverTooWeak {
            remedies = List.copyOf(remedies);
        }
    }

    /** A wire of another colour than the scheme of the house asks for what it is for. */
    record ColourNotOfScheme(
            WireId wire, Purpose purpose, WireColour wears, WireColour wanted, List<Edit> remedies)
            implements AboutWire, ToKnow {
        public ColourNotOfScheme {
            remedies = List.copyOf(remedies);
        }
    }

    /** A main feed taken from another post than the rule of the house asks. */
    record FeedFromOtherPost(WireId wire, Terminal wanted, List<Edit> remedies)
            implements AboutWire, ToKnow {
        public FeedFromOtherPost {
            remedies = List.copyOf(remedies);
        }
    }

    /** A fuse where the house wants a breaker. */
    record FuseNotBreaker(FuseSeat fuse, FuseType wanted, List<Edit> remedies)
            implements AboutFuse, ToKnow {
        public FuseNotBreaker {
            remedies = List.copyOf(remedies);
        }
    }

    /** A case that returns through the body where the house returns by wire. */
    record ReturnsByBody(PartId part, List<Edit> remedies) implements AboutPart, ToKnow {
        public ReturnsByBody {
            remedies = List.copyOf(remedies);
        }
    }

    /** An alternator that is woken otherwise than the house has it. */
    record WakesOtherwise(PartId part) implements AboutPart, ToKnow {}
}
