package aficion.words;

import aficion.charge.Balance;
import aficion.charge.Balance.Point;
import aficion.charge.Drawn;
import aficion.netlist.OperatingStates;
import aficion.quantity.Seconds;
import aficion.quantity.UserUnits;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says how source, loads and battery fare with each other. */
public final class PowerWords {
    private static final double HOUR = 3600;
    private static final double DAY = 24;

    private final UserUnits units;

    public PowerWords(UserUnits units) {
        this.units = units;
    }

    /** From which speed on the source carries the loads. */
    public String even(Balance balance) {
        return balance.breaksEven()
                .map(rpm -> Words.of("power.even", units.print(rpm)))
                .orElse(Words.of("power.never"));
    }

    /** How the battery fares over an hour at idle and on the road, or how long it lasts. */
    public String fares(Balance balance) {
        if (!balance.situation().turns()) {
            return balance.points().stream()
                    .findFirst()
                    .flatMap(balance::lasts)
                    .map(lasts -> Words.of("power.flat", span(lasts)))
                    .orElse(Words.of("power.holds"));
        }
        return Stream.of(
                        balance.at(OperatingStates.IDLE)
                                .map(point -> fares(balance, "power.idle", point)),
                        balance.at(OperatingStates.ROAD)
                                .map(point -> fares(balance, "power.road", point)))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(" "));
    }

    private static String fares(Balance balance, String where, Point point) {
        double gains = Math.round(10 * balance.anHour(point).value()) / 10.0;
        if (gains >= 0) {
            return Words.of(where + ".gains", gains);
        }
        return balance.lasts(point)
                .map(lasts -> Words.of(where + ".flat", -gains, span(lasts)))
                .orElse(Words.of(where + ".loses", -gains));
    }

    /** What the battery is taken to hold; nothing where the job says it. */
    public String held(Balance balance) {
        return balance.battery()
                .filter(kept -> !kept.stated())
                .map(kept -> Words.of("power.taken", units.print(kept.hours())))
                .orElse("");
    }

    /** How long it stands. */
    public String stands(Optional<Seconds> lasts) {
        return lasts.map(time -> Words.of("power.stands", span(time)))
                .orElse(Words.of("power.holds"));
    }

    /** What is drawn where the engine does not run. */
    public String still(Balance balance) {
        return balance.points().stream()
                .findFirst()
                .map(point ->
                        Words.of(
                                "power.still",
                                units.print(point.load()),
                                units.print(point.battery())))
                .orElse(Words.of("power.none"));
    }

    /** What a load draws, and for which share of the time. */
    public String drawn(Drawn load) {
        return load.share() < 1
                ? Words.of(
                        "power.share",
                        units.print(load.amps()),
                        load.share(),
                        units.print(load.mean()))
                : units.print(load.amps());
    }

    private static String span(Seconds time) {
        double hours = time.value() / HOUR;
        if (hours < 1) {
            return Words.of("power.minutes", Math.round(60 * hours));
        }
        return hours > 2 * DAY
                ? Words.of("power.days", Math.round(hours / DAY))
                : Words.of("power.hours", String.format(Locale.ROOT, "%.1f", hours));
    }
}
