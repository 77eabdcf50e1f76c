package aficion.words;

import aficion.charge.Balance;
import aficion.diagram.Pen.Look;
import aficion.gauge.Needle;
import aficion.ignite.Ignition;
import aficion.ignite.Primary;
import aficion.plot.Plot;
import aficion.plot.Plot.At;
import aficion.plot.Plot.Axis;
import aficion.plot.Plot.Curve;
import aficion.plot.Plot.Ground;
import aficion.plot.Plot.Spot;
import aficion.plot.Plot.Upright;
import aficion.quantity.Quantity;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.UserUnits;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** The plots of the sums around a design, with their words. */
public final class Plots {
    /** Watts that no plot tells apart from none. */
    private static final double NEXT_TO_NOTHING = 0.05;

    private static final double MINUTE = 60;
    private static final int HOUR = 60;
    private static final double PERCENT = 100;

    private final UserUnits units;

    public Plots(UserUnits units) {
        this.units = units;
    }

    /**
     * What the source gives against what the loads take, over engine speed.
     *
     * @param other what another source would give
     * @param now where the engine turns
     * @param watts whether it is told in watts, not in amps
     */
    public Plot balance(
            Balance balance, Optional<Balance> other, Optional<Rpm> now, boolean watts) {
        Function<Balance.Point, Quantity> gives =
                watts ? Balance.Point::gives : Balance.Point::source;
        Function<Balance.Point, Quantity> takes =
                watts ? Balance.Point::takes : Balance.Point::load;
        var source = line(balance, gives);
        var load = line(balance, takes);
        var curves = new ArrayList<Curve>();
        other.ifPresent(
                each -> curves.add(new Curve(line(each, gives), Words.of("plot.other"), Look.DIM)));
        curves.add(new Curve(load, Words.of("plot.load"), Look.WRONG));
        curves.add(new Curve(source, Words.of("plot.source"), Look.PLAIN));
        return new Plot(
                new Axis(Words.of("power.rpm"), 0, fastest(balance)),
                Axis.holding(Words.of(watts ? "power.watts" : "power.amps"), most(curves)),
                List.of(new Ground(source, load)),
                curves,
                uprights(balance, now),
                spots(balance, gives, takes));
    }

    private static double fastest(Balance balance) {
        return balance.points().isEmpty()
                ? 1
                : Math.max(1, balance.points().getLast().engine().value());
    }

    private static double most(List<Curve> curves) {
        return curves.stream()
                .flatMap(each -> each.points().stream())
                .mapToDouble(At::y)
                .max()
                .orElse(1);
    }

    private static List<At> line(Balance balance, Function<Balance.Point, Quantity> figure) {
        return balance.points().stream()
                .map(point -> new At(point.engine().value(), figure.apply(point).value()))
                .toList();
    }

    private static List<Upright> uprights(Balance balance, Optional<Rpm> now) {
        var speeds = balance.speeds();
        var uprights = new ArrayList<Upright>();
        upright(uprights, "plot.idle", speeds.idle());
        upright(uprights, "plot.cruise", speeds.cruise());
        upright(uprights, "plot.top", speeds.top());
        now.filter(rpm -> rpm.value() > 0)
                .ifPresent(rpm ->
                        uprights.add(
                                new Upright(
                                        rpm.value(),
                                        Words.of("plot.now", Math.round(rpm.value())),
                                        true)));
        return uprights;
    }

    private static void upright(List<Upright> uprights, String key, Rpm rpm) {
        uprights.add(new Upright(rpm.value(), Words.of(key, Math.round(rpm.value())), false));
    }

    private List<Spot> spots(
            Balance balance,
            Function<Balance.Point, Quantity> gives,
            Function<Balance.Point, Quantity> takes) {
        return Stream.concat(
                        balance.breaksEven().stream()
                                .flatMap(rpm ->
                                        balance.at(rpm).stream()
                                                .map(point ->
                                                        new Spot(
                                                                new At(
                                                                        rpm.value(),
                                                                        takes.apply(point).value()),
                                                                Words.of(
                                                                        "plot.even",
                                                                        units.print(rpm)),
                                                                Look.LIVE))),
                        balance.idle().stream()
                                .map(point ->
                                        new Spot(
                                                new At(
                                                        point.engine().value(),
                                                        gives.apply(point).value()),
                                                Words.of("plot.atIdle", told(gives.apply(point))),
                                                Look.LIVE)))
                .toList();
    }

    /** What is next to nothing is told as nothing. */
    private String told(Quantity figure) {
        boolean nothing =
                figure instanceof Watts watts && Math.abs(watts.value()) < NEXT_TO_NOTHING;
        return units.print(nothing ? new Watts(0) : figure);
    }

    /** What is in the battery over an hour at idle, from full; at rest where nothing turns. */
    public Plot hour(Balance balance) {
        var at = balance.idle().or(() -> balance.points().stream().findFirst());
        var points = new ArrayList<At>();
        for (int minute = 0; minute <= HOUR; minute += 5) {
            double time = minute * MINUTE;
            double left =
                    at.flatMap(point -> balance.after(point, new Ratio(1), new Seconds(time)))
                            .map(Ratio::value)
                            .orElse(1.0);
            points.add(new At(minute, PERCENT * left));
        }
        double last = points.getLast().y();
        return new Plot(
                new Axis(Words.of("plot.minutes"), 0, HOUR),
                new Axis("%", 0, PERCENT),
                List.of(),
                List.of(
                        new Curve(
                                points,
                                Math.round(last) + " %",
                                last < PERCENT - 1 ? Look.WRONG : Look.PLAIN)),
                List.of(),
                List.of());
    }

    /** The current that the contacts break, over speed: of the coil that is there, of another. */
    public Plot rise(Ignition ignition, Optional<Primary> proposed, Rpm top) {
        var curves = new ArrayList<Curve>();
        proposed.ifPresent(coil ->
                curves.add(
                        new Curve(
                                rise(ignition, coil, top), Words.of("plot.coil.other"), Look.DIM)));
        curves.add(
                new Curve(
                        rise(ignition, ignition.primary(), top),
                        Words.of("plot.coil.now"),
                        Look.PLAIN));
        ignition.limit()
                .ifPresent(limit ->
                        curves.add(
                                new Curve(
                                        List.of(
                                                new At(0, limit.value()),
                                                new At(top.value(), limit.value())),
                                        Words.of("plot.coil.limit", units.print(limit)),
                                        Look.WRONG)));
        return new Plot(
                new Axis(Words.of("power.rpm"), 0, top.value()),
                Axis.holding(Words.of("power.amps"), most(curves)),
                List.of(),
                curves,
                List.of(),
                List.of());
    }

    private static List<At> rise(Ignition ignition, Primary coil, Rpm top) {
        return ignition.rise(coil, top).stream()
                .filter(point -> point.engine().value() <= top.value())
                .map(point -> new At(point.engine().value(), point.amps().value()))
                .toList();
    }

    /** Where a needle stands over the level: as built, put right, and as it ought to. */
    public Plot needle(Needle needle, Optional<Needle.Beside> other) {
        var curves = new ArrayList<Curve>();
        curves.add(
                new Curve(
                        List.of(new At(0, 0), new At(PERCENT, PERCENT)),
                        Words.of("plot.needle.right"),
                        Look.DIM));
        other.ifPresent(beside ->
                curves.add(
                        new Curve(
                                needle(needle, beside),
                                Words.of("plot.needle.corrected"),
                                Look.PLAIN)));
        curves.add(
                new Curve(
                        needle(needle, needle.asBuilt()),
                        Words.of("plot.needle.now"),
                        needle.lies(needle.asBuilt()) ? Look.WRONG : Look.PLAIN));
        return new Plot(
                new Axis(Words.of("plot.level"), 0, PERCENT),
                new Axis("%", -20, 120),
                List.of(),
                curves,
                List.of(),
                List.of());
    }

    private static List<At> needle(Needle needle, Needle.Beside beside) {
        return needle.points(beside).stream()
                .map(point -> new At(PERCENT * point.level(), PERCENT * point.shows()))
                .toList();
    }
}
