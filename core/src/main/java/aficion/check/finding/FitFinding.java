package aficion.check.finding;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.edit.Edit;
import aficion.quantity.Celsius;
import aficion.quantity.Metres;
import aficion.quantity.SquareMillimetres;
import aficion.route.StationId;
import java.util.List;

/** What does not fit in the hand: terminals, studs, barrels, colours, places. */
public interface FitFinding {
    /** A grommet that the wires which pass it do not go through. */
    record GrommetTooSmall(StationId station, Metres bundle, Metres bore, List<Edit> remedies)
            implements Finding.ToFix {
        public GrommetTooSmall {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Subject subject() {
            return new Subject.OfStation(station);
        }
    }

    /** A part in air hotter than it lasts in. */
    record PlacedTooHot(PartId part, Celsius air, Celsius lasts, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public PlacedTooHot {
            remedies = List.copyOf(remedies);
        }
    }

    /** A part that spray spoils, where spray comes. */
    record PlacedInSpray(PartId part, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public PlacedInSpray {
            remedies = List.copyOf(remedies);
        }
    }

    /** A part that does not belong where people sit. */
    record PlacedInCabin(PartId part, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public PlacedInCabin {
            remedies = List.copyOf(remedies);
        }
    }

    /** A part nearer to one that disturbs it than it may stand. */
    record PlacedTooNear(PartId part, PartId other, Metres least, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public PlacedTooNear {
            remedies = List.copyOf(remedies);
        }
    }

    /** A terminal that does not take its wire. */
    record EndTooSmall(
            WireId wire,
            Terminal end,
            Termination termination,
            SquareMillimetres copper,
            SquareMillimetres takes,
            List<Edit> remedies)
            implements Finding.AboutWire, Finding.ToFix {
        public EndTooSmall {
            remedies = List.copyOf(remedies);
        }
    }

    /** A terminal that is too wide for what is crimped into it. */
    record EndTooLarge(
            WireId wire,
            Terminal end,
            Termination termination,
            SquareMillimetres copper,
            SquareMillimetres least,
            List<Edit> remedies)
            implements Finding.AboutWire, Finding.ToFix {
        public EndTooLarge {
            remedies = List.copyOf(remedies);
        }
    }

    /** A ring of another hole than the stud it goes on. */
    record RingDoesNotFit(
            WireId wire, Terminal end, Termination termination, String stud, List<Edit> remedies)
            implements Finding.AboutWire, Finding.ToFix {
        public RingDoesNotFit {
            remedies = List.copyOf(remedies);
        }
    }

    /** A battery clamp that is made for the other post. */
    record ClampForOtherPost(
            WireId wire, Terminal end, Termination termination, List<Edit> remedies)
            implements Finding.AboutWire, Finding.ToFix {
        public ClampForOtherPost {
            remedies = List.copyOf(remedies);
        }
    }

    /** Wires crimped together into one barrel that does not take them all. */
    record BarrelOverfull(
            PartId part,
            Terminal end,
            SquareMillimetres copper,
            SquareMillimetres takes,
            List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public BarrelOverfull {
            remedies = List.copyOf(remedies);
        }
    }

    /** More rings on a stud than it holds well. */
    record TooManyRings(PartId part, Terminal end, int rings, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public TooManyRings {
            remedies = List.copyOf(remedies);
        }
    }

    /** Accessories fed from the battery's post itself. */
    record RingsOnPost(PartId part, int leads, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public RingsOnPost {
            remedies = List.copyOf(remedies);
        }
    }

    /** Bare terminals where spray comes. */
    record BareInWet(PartId part, int ends, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public BareInWet {
            remedies = List.copyOf(remedies);
        }
    }

    /** A wire in a moving place that has nothing to spare. */
    record NoSlack(WireId wire) implements Finding.AboutWire, Finding.ToConsider {}

    /** A live wire that wears the colour of the earths. */
    record EarthColourOnLive(WireId wire, WireColour wears)
            implements Finding.AboutWire, Finding.ToConsider {}

    /** Two wires of one bundle that wear the same bands. */
    record SameBands(WireId wire, WireId other, String bundle)
            implements Finding.AboutWire, Finding.ToConsider {}
}
