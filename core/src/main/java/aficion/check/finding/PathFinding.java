package aficion.check.finding;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.job.edit.Edit;
import aficion.netlist.Conditions;
import aficion.netlist.Conditions.FuseSeat;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Optional;

/** What is wrong with the way of a current: shorts, ways that are never there, volts lost. */
public interface PathFinding {
    /** A guard that opens in an ordinary state. */
    record GuardOpens(
            FuseSeat fuse,
            Optional<PartId> load,
            Amps asked,
            Amps opens,
            Conditions when,
            List<Edit> remedies)
            implements Finding.AboutFuse, Finding.Danger {
        public GuardOpens {
            remedies = List.copyOf(remedies);
        }
    }

    /** Bare metal from pole to pole in some position of what closes it. */
    record DeadShort(PartId part, Amps amps, Conditions when)
            implements Finding.AboutPart, Finding.Danger {}

    /** A state that could not be worked out, so that nothing is known of it. */
    record StateUnknown(PartId part, Conditions when)
            implements Finding.AboutPart, Finding.Danger {}

    /** Why a part never gets what it needs. */
    enum Lack {
        /** One of its ends never has a way to the live pole. */
        NEVER_FED,
        /** One of its ends never has a way to earth. */
        NEVER_EARTHED,
        /** Both have, but in no state together. */
        NEVER_TOGETHER,
        /** One of its ends comes there only through other loads. */
        THROUGH_LOADS,
        /** A relay whose coil hangs on its own contact. */
        OWN_CONTACT,
        /** It has its way, and too few volts are left. */
        TOO_LITTLE
    }

    /** A part that gets what it needs in no state. */
    record NeverWorks(PartId part, Lack lack, Terminal end, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public NeverWorks {
            remedies = List.copyOf(remedies);
        }
    }

    /** Two leads of a relay that have taken each other's place, and what is dead by it. */
    record PinsExchanged(
            PartId part, String one, String other, List<PartId> dead, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public PinsExchanged {
            remedies = List.copyOf(remedies);
        }
    }

    /** A position of a switch that joins leads and in which nothing ever flows. */
    record PositionIdle(PartId part, String position, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public PositionIdle {
            remedies = List.copyOf(remedies);
        }
    }

    /** A contact, joint or earth that loses more volts than one may. */
    record JointLoses(
            PartId part, String joint, Amps carried, Volts lost, Volts limit, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public JointLoses {
            remedies = List.copyOf(remedies);
        }
    }

    /** Two guards that together pass more for good than a wire which both feed bears. */
    record GuardsTogether(FuseSeat fuse, FuseSeat other, Amps pass, WireId wire, Amps bears)
            implements Finding.AboutFuse, Finding.Danger {}

    /** A mass that takes back a starter's or a charger's current and has no way to the battery. */
    record StrapMissing(PartId part, List<Edit> remedies)
            implements Finding.AboutPart, Finding.Danger {
        public StrapMissing {
            remedies = List.copyOf(remedies);
        }
    }

    /** Two guards that feed one circuit: with one out it is still live. */
    record TwoGuards(FuseSeat fuse, FuseSeat other, Conditions when)
            implements Finding.AboutFuse, Finding.ToFix {}

    /** A lead stated to go without a guard that is not what it is stated to be. */
    record LeadBeyondItsLimits(WireId wire, Metres length, List<Edit> remedies)
            implements Finding.AboutWire, Finding.Danger {
        public LeadBeyondItsLimits {
            remedies = List.copyOf(remedies);
        }
    }

    /**
     * A guard that passes more than a wire carries with the margin of the house, less than to its
     * limit.
     */
    record GuardAboveMargin(
            WireId wire, FuseSeat fuse, Amps passes, Amps carries, List<Edit> remedies)
            implements Finding.AboutWire, Finding.ToConsider {
        public GuardAboveMargin {
            remedies = List.copyOf(remedies);
        }
    }

    /** A stop lamp, or what a push works, that works only when something else is switched on. */
    record NeedsOther(PartId part, String pin, String other)
            implements Finding.AboutPart, Finding.ToFix {}

    /** A lamp that does not follow the switch which works the others of its number. */
    record NotSwitched(PartId part, String number, PartId by)
            implements Finding.AboutPart, Finding.ToFix {}

    /** Parts that work only while the key is held in a position that springs back. */
    record OnlyWhileHeld(PartId part, String position, List<PartId> parts)
            implements Finding.AboutPart, Finding.ToFix {
        public OnlyWhileHeld {
            parts = List.copyOf(parts);
        }
    }

    /** What a warning lamp says that is not so. */
    enum Tale {
        /** Lit on dip beam. */
        MAIN_BEAM,
        /** Lit while no lamp of its side is. */
        SIDE,
        /** Lit while the battery is charged, or with everything off. */
        CHARGE_LIT,
        /** Dark with the key on and the engine still. */
        CHARGE_DARK
    }

    /** A warning lamp that does not tell what its name says. */
    record TellsWrongly(PartId part, Tale tale, Conditions when, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public TellsWrongly {
            remedies = List.copyOf(remedies);
        }
    }

    /** A lamp whose two filaments are fed the other way round than those of its like. */
    record FilamentsExchanged(PartId part, String one, String other, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public FilamentsExchanged {
            remedies = List.copyOf(remedies);
        }
    }

    /** Two leads of a part that do what the number of the other's terminal says. */
    record NumbersExchanged(PartId part, String one, String other, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public NumbersExchanged {
            remedies = List.copyOf(remedies);
        }
    }

    /** A switch that does nothing to what its terminal's number is for, which works past it. */
    record NumberPassed(PartId part, String pin) implements Finding.AboutPart, Finding.ToConsider {}

    /** Two leads between a source and what governs it that are taken for each other. */
    record LeadsCrossed(PartId part, PartId other, String one, String two, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public LeadsCrossed {
            remedies = List.copyOf(remedies);
        }
    }

    /** A thermal gauge whose feed is not held steady: it moves with the charging. */
    record GaugeUnsteady(PartId part, Ratio moves) implements Finding.AboutPart, Finding.ToFix {}

    /** A gauge that a load moves through an earth they share. */
    record GaugeMoved(PartId part, PartId by, Ratio scale)
            implements Finding.AboutPart, Finding.ToConsider {}

    /** A fuel pump that runs with the engine still. */
    record PumpRuns(PartId part, Conditions when)
            implements Finding.AboutPart, Finding.ToConsider {}

    /** Something else fed from the post of an ignition coil. */
    record CoilPostFeeds(PartId part, PartId load, Terminal post)
            implements Finding.AboutPart, Finding.ToConsider {}

    /** An ignition box fed from the post of its coil. */
    record BoxOnCoilPost(PartId part, PartId coil) implements Finding.AboutPart, Finding.ToFix {}

    /** A wiper that stops half way, or with {@code atRest} 1 runs on at rest. */
    record NeverParks(PartId part, int atRest) implements Finding.AboutPart, Finding.ToFix {}

    /** Something that should open a way which metal leads past. */
    record Bridged(PartId part, List<Edit> remedies) implements Finding.AboutPart, Finding.ToFix {
        public Bridged {
            remedies = List.copyOf(remedies);
        }
    }

    /** A part whose two leads are on the same metal, so that it does nothing. */
    record OnSameMetal(PartId part) implements Finding.AboutPart, Finding.ToFix {}

    /** A lamp whose two filaments, a motor whose two speeds are always fed together. */
    record FedTogether(PartId part, String one, String two, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public FedTogether {
            remedies = List.copyOf(remedies);
        }
    }

    /** Points on the same coil post as the output of an ignition box. */
    record PointsBesideBox(PartId part, PartId box) implements Finding.AboutPart, Finding.ToFix {}

    /** A gauge whose sender side bare metal joins to earth. */
    record GaugeAtEarth(PartId part) implements Finding.AboutPart, Finding.ToFix {}

    /** A lamp of one side that is fed from the pin of the other. */
    record OnOtherSide(PartId part, Terminal from, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public OnOtherSide {
            remedies = List.copyOf(remedies);
        }
    }
}
