package aficion.check.finding;

import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.WireId;
import aficion.job.edit.Edit;
import aficion.route.StationId;
import java.util.List;

/** What is wrong with the body of a connector and what sits in it. */
public interface ConnectorFinding {
    /** A terminal made for the other half: it does not lock, or does not meet its mate. */
    record WrongGender(
            WireId wire,
            Terminal end,
            Termination termination,
            Termination takes,
            List<Edit> remedies)
            implements Finding.AboutWire, Finding.ToFix {
        public WrongGender {
            remedies = List.copyOf(remedies);
        }
    }

    /** A terminal of another family than the cavities take. */
    record CavityDoesNotTake(
            WireId wire,
            Terminal end,
            Termination termination,
            Termination takes,
            List<Edit> remedies)
            implements Finding.AboutWire, Finding.ToFix {
        public CavityDoesNotTake {
            remedies = List.copyOf(remedies);
        }
    }

    /** More ways than the body has cavities. */
    record TooFewCavities(PartId part, int ways, int cavities, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToFix {
        public TooFewCavities {
            remedies = List.copyOf(remedies);
        }
    }

    /** A body that is not sealed where spray comes. */
    record OpenInWet(PartId part, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public OpenInWet {
            remedies = List.copyOf(remedies);
        }
    }

    /** Cavities of a sealed body that nothing closes. */
    record EmptyCavity(PartId part, int cavities, List<Edit> remedies)
            implements Finding.AboutPart, Finding.ToConsider {
        public EmptyCavity {
            remedies = List.copyOf(remedies);
        }
    }

    /** Wires that pass a separable plug in one piece. */
    record UndividedAtPlug(StationId station, int wires, List<Edit> remedies)
            implements Finding.ToFix {
        public UndividedAtPlug {
            remedies = List.copyOf(remedies);
        }

        @Override
        public Subject subject() {
            return new Subject.OfStation(station);
        }
    }
}
