package aficion.words;

import aficion.change.Change;
import aficion.charge.AnotherSource.Offer;
import aficion.charge.Balance;
import aficion.charge.Balance.Point;
import aficion.charge.Drawn;
import aficion.charge.Situation;
import aficion.charge.Storage;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.LoadKind;
import aficion.job.SourceKind;
import aficion.quantity.Quantity;
import aficion.quantity.Ratio;
import aficion.quantity.Seconds;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
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
                        balance.idle().map(point -> fares(balance, "power.idle", point)),
                        balance.cruise().map(point -> fares(balance, "power.road", point)))
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

    /**
     * What a load draws, and for which share of the time.
     *
     * @param across the volts at which it is told in watts; in amps without
     */
    public String drawn(Drawn load, Optional<Volts> across) {
        Function<Drawn, Quantity> figure =
                each -> across.<Quantity>map(each::watts).orElse(each.amps());
        var plain = units.print(figure.apply(load));
        return load.share() < 1
                ? Words.of(
                        "power.share",
                        plain,
                        load.share(),
                        units.print(
                                figure.apply(new Drawn(load.part(), load.mean(), load.share()))))
                : plain;
    }

    /** What a situation is called. */
    public static String name(Situation situation) {
        return situation.own() ? situation.name() : Words.of("situation." + situation.name());
    }

    /** What the machine gives, what it needs, and what is left for more, in watts. */
    public String room(Balance balance) {
        return balance.cruise()
                .map(point ->
                        Words.of(
                                "power.room",
                                units.print(point.gives()),
                                units.print(point.takes()),
                                units.print(point.room())))
                .orElse("");
    }

    /** What is gained or lost in the battery over an hour at idle. */
    public String hour(Balance balance) {
        return balance.idle()
                .flatMap(point -> balance.after(point, new Ratio(1), new Seconds(HOUR)))
                .map(left -> Words.of("power.hour", Math.round(100 * left.value())))
                .orElse("");
    }

    /** A source in a few words: what it gives, and how it is woken or wound. */
    public String brief(SourceKind kind) {
        return switch (kind) {
            case SourceKind.Alternator of ->
                    Words.of("offer.brief", units.print(of.rated()), Words.of("style", of.wakes()));
            case SourceKind.Dynamo of ->
                    Words.of("offer.brief", units.print(of.rated()), Words.of("style.dynamo"));
            case SourceKind.Flywheel of ->
                    Words.of(
                            "offer.brief",
                            units.print(of.amps()),
                            Words.of("winding", of.winding()));
            case SourceKind _ -> "";
        };
    }

    /** What must change for another source, in the order it is read. */
    public List<String> changes(Offer offer, Design design) {
        var words = new PlanWords(design, units);
        var speech = new Speech(design, units);
        return offer.changes().stream()
                .map(change ->
                        Words.of(
                                "offer.change",
                                words.what(change),
                                Words.of("change", change.sort()),
                                figure(change, speech)))
                .map(String::strip)
                .toList();
    }

    private String figure(Change change, Speech speech) {
        return switch (change) {
            case Change.OfWire wire ->
                    wire.was()
                            .filter(was -> !was.size().equals(wire.wire().size()))
                            .map(was ->
                                    Words.of(
                                            "offer.size",
                                            speech.size(was.size()),
                                            speech.size(wire.wire().size())))
                            .orElse("");
            case Change.OfLead _ -> "";
            case Change.OfPart part ->
                    part.part().kind() instanceof GuardKind.Fuse fuse
                            ? units.print(fuse.marking())
                            : part.part().kind() instanceof LoadKind.Ammeter meter
                                    ? Words.of("offer.shunt", units.print(meter.range()))
                                    : "";
        };
    }

    /** Whether the shaft may turn as fast as it would. */
    public String limit(Offer offer) {
        return offer.atTop()
                .map(top ->
                        Words.of(
                                offer.isTooFast() ? "offer.tooFast" : "offer.top",
                                units.print(top),
                                offer.limit().map(units::print).orElse("")))
                .orElse("");
    }

    /** How the engine is cranked in frost, and what each battery gives. */
    public List<String> storage(Storage storage, Design design) {
        var said = new ArrayList<String>();
        storage.cranking()
                .ifPresent(cranking ->
                        said.add(
                                Words.of(
                                        cranking.holds() ? "storage.cranks" : "storage.weak",
                                        units.print(cranking.amps()),
                                        units.print(cranking.atBattery()),
                                        units.print(cranking.wants()),
                                        units.print(cranking.lost()),
                                        units.print(cranking.way()))));
        if (storage.each().size() > 1) {
            storage.each()
                    .forEach(each ->
                            said.add(
                                    Words.of(
                                            "storage.each",
                                            design.part(each.battery()).name(),
                                            units.print(each.amps()),
                                            units.print(each.volts()))));
        }
        storage.between()
                .forEach(each ->
                        said.add(
                                Words.of(
                                        (each.isOverloaded()
                                                        ? "storage.overloaded"
                                                        : "storage.between")
                                                + (each.cranking().value() > 0 ? "" : ".still"),
                                        place(each) + " " + design.part(each.part()).name(),
                                        units.print(each.use()),
                                        each.rating().map(units::print).orElse("\u2013"),
                                        units.print(each.cranking()))));
        return said;
    }

    private static String place(Storage.Between between) {
        return between.way().isEmpty()
                ? between.part().value()
                : between.part() + "." + between.way();
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
