package aficion.check.protection;

import aficion.catalogue.FuseType;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.size.Guard;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.stream.Stream;

/** The next fuse that will do: of its own family, else a bolted one. */
public final class LargerFuse {
    private LargerFuse() {}

    static List<Edit> of(Design design, Guard.Fitted fuse, BiPredicate<FuseType, Amps> enough) {
        var own =
                fuse.type().markings().stream()
                        .filter(marking -> enough.test(fuse.type(), marking))
                        .limit(1)
                        .<Edit>map(marking ->
                                new PartEdit.FitFuse(
                                        fuse.seat().part(), fuse.seat().way(), marking))
                        .toList();
        return own.isEmpty() ? bolted(design, fuse, enough) : own;
    }

    private static List<Edit> bolted(
            Design design, Guard.Fitted fuse, BiPredicate<FuseType, Amps> enough) {
        var part = design.part(fuse.seat().part());
        return Stream.of(FuseType.BOLTED)
                .filter(type -> type != fuse.type())
                .flatMap(type -> type.markings().stream())
                .filter(marking -> enough.test(FuseType.BOLTED, marking))
                .limit(1)
                .flatMap(marking ->
                        part.kind() instanceof GuardKind kind
                                ? Stream.<Edit>of(
                                        new PartEdit.Refit(
                                                part.id(),
                                                kind.fitted(
                                                        fuse.seat().way(),
                                                        FuseType.BOLTED,
                                                        marking)))
                                : Stream.empty())
                .toList();
    }
}
