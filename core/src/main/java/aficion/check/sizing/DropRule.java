package aficion.check.sizing;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.size.Assessment;
import java.util.stream.Stream;

/** Wires that lose too many volts, where they are not too hot besides. */
public final class DropRule implements Rule {
    @Override
    public Stream<Finding> check(Assessment assessment) {
        return assessment.sizings().values().stream()
                .filter(sizing -> sizing.coolEnough() && !sizing.losesLittle())
                .map(sizing ->
                        new Finding.WireTooThinByDrop(
                                sizing.wire().id(),
                                new Amps(Math.max(sizing.steady().value(), sizing.held().value())),
                                new Volts(sizing.drop().result().value()),
                                new Volts(sizing.drop().limit().orElseThrow().value().value()),
                                HeatRule.resize(sizing)));
    }
}
