package aficion.recipe;

import aficion.job.ControlKind;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Termination;

/** What mostly sits on the end of a wire, by what it ends on (HANDBOOK section 8). */
final class Ends {
    private Ends() {}

    static Termination usual(Part part, String pin) {
        return switch (part.kind()) {
            case SourceKind.Battery _ -> Termination.POST_CLAMP;
            case LoadKind.Starter _ ->
                    pin.equals("30") ? Termination.RING_M8 : Termination.BLADE_6_3;
            case SourceKind.Alternator _ ->
                    pin.equals("B+") ? Termination.RING_M6 : Termination.BLADE_6_3;
            case SourceKind.Dynamo _, SourceKind.ControlBox _ -> Termination.BLADE_9_5;
            case JoinKind.EarthPoint _ -> Termination.RING_M6;
            case JoinKind.Splice _ -> Termination.SPLICE;
            case GuardKind.Fuse fuse when fuse.marking().value() > 30 -> Termination.RING_M6;
            case ControlKind _, GuardKind _, LoadKind _, JoinKind _, SourceKind _ ->
                    Termination.BLADE_6_3;
        };
    }
}
