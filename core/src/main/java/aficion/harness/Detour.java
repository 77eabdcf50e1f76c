package aficion.harness;

import aficion.job.Design;
import aficion.job.Wire;
import aficion.quantity.Metres;
import aficion.route.RunId;
import aficion.route.Way;
import java.util.Optional;

/**
 * The other way a wire could go, were one run not there.
 *
 * @param isLonger whether it is longer than the way it goes
 * @param by how much longer or shorter
 */
public record Detour(Way way, boolean isLonger, Metres by) {

    /** The way of a wire that leaves out a run; empty where there is no other. */
    public static Optional<Detour> of(Design design, Wire wire, RunId run) {
        return design.body()
                .flatMap(body ->
                        body.plan()
                                .wayWithout(
                                        body.station(design.part(wire.from().terminal().part())),
                                        body.station(design.part(wire.to().terminal().part())),
                                        run))
                .flatMap(other -> design.way(wire).map(now -> of(now, other)));
    }

    private static Detour of(Way now, Way other) {
        double more = other.length().metres().value() - now.length().metres().value();
        return new Detour(other, more >= 0, new Metres(Math.abs(more)));
    }
}
