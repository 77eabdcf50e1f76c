package aficion.check.sizing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.job.edit.Edit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.size.WireSizing;
import java.util.List;
import java.util.stream.Stream;

/** Wires that get too hot. */
public final class HeatRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.sizings().values().stream()
                .filter(sizing -> !sizing.coolEnough())
                .map(sizing ->
                        new Finding.WireTooThinByHeat(
                                sizing.wire().id(),
                                carried(sizing),
                                limit(sizing),
                                resize(sizing)));
    }

    private static boolean byHeld(WireSizing sizing) {
        return sizing.steady().value() <= sizing.carries().result().value();
    }

    private static Amps carried(WireSizing sizing) {
        return byHeld(sizing) ? sizing.held() : sizing.steady();
    }

    private static Amps limit(WireSizing sizing) {
        return new Amps(
                (byHeld(sizing) ? sizing.carriesShortly() : sizing.carries()).result().value());
    }

    static List<Edit> resize(WireSizing sizing) {
        return sizing.needed().stream()
                .<Edit>map(needed -> new WireEdit.Resize(sizing.wire().id(), needed.size()))
                .toList();
    }
}
