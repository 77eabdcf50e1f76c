package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.charge.AnotherSource;
import aficion.charge.Balance;
import aficion.charge.Situation;
import aficion.charge.Storage;
import aficion.files.sheet.PowerSheet;
import aficion.gauge.Correction;
import aficion.gauge.Needle;
import aficion.ignite.Ignition;
import aficion.ignite.OtherCoil;
import aficion.job.Circuit;
import aficion.job.Design;
import aficion.job.Fill;
import aficion.job.Job;
import aficion.job.JoinKind;
import aficion.job.JoinKind.Sender;
import aficion.job.LoadKind;
import aficion.job.LoadKind.IgnitionCoil;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.edit.CircuitEdit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.verb.Connection;
import aficion.verb.Earths;
import aficion.verb.Placing;
import aficion.words.GaugeWords;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Needles and coils of the demos, by hand. */
class GaugesTest {
    private static Design demo(String name) {
        return DemoJobs.find(name).orElseThrow().design();
    }

    private static Needle fuel(Design design) {
        return Needle.of(design).stream()
                .filter(needle -> ((Sender) needle.sender().kind()).level().equals("fuel"))
                .findFirst()
                .orElseThrow();
    }

    private static Design with(Design design, PartId part, Sender sender) {
        return new PartEdit.Refit(part, sender).apply(design);
    }

    /** The fuel gauge of the roadster says what it is made for; its sender is of another sort. */
    private static Design mixed(Sender sender) {
        var plain = demo("roadster");
        var found = fuel(plain);
        var gauge = (LoadKind.Gauge) found.gauge().kind();
        var scaled =
                new LoadKind.Gauge(
                        gauge.winding(),
                        gauge.fullScale(),
                        gauge.movement(),
                        Optional.of("240-33"));
        return with(
                new PartEdit.Refit(found.gauge().id(), scaled).apply(plain),
                found.sender().id(),
                sender);
    }

    private static Sender sender(double empty, double full) {
        return new Sender("fuel", new Ohms(empty), new Ohms(full));
    }

    /** The right family reads what is there; an ohm of earth is 1/207 of the scale. */
    @Test
    void aSenderOfItsFamilyIsBelieved() {
        var needle = fuel(demo("roadster"));

        assertThat(needle.lies(needle.asBuilt())).isFalse();
        assertThat(needle.points(needle.asBuilt()))
                .allSatisfy(point -> assertThat(point.error()).isCloseTo(0, within(0.005)));
        assertThat(needle.anOhm()).isCloseTo(-1.0 / 207, within(1e-4));
        assertThat(needle.feed()).isEqualTo(new Volts(10));
        assertThat(needle.unsteadied(new Volts(14.2))).isGreaterThan(0.2);
        assertThat(Correction.best(needle).helps()).isFalse();
    }

    /** 73 Ω on a scale of 240 to 33: (240 − 73)/207 = 0.81 with an empty tank. */
    @Test
    void aSenderOfAnotherFamilyLies() {
        var needle = fuel(mixed(sender(73, 10)));

        assertThat(needle.shows(73, needle.asBuilt())).isCloseTo(0.807, within(0.005));
        assertThat(needle.lies(needle.asBuilt())).isTrue();
        var best = Correction.best(needle);
        assertThat(best.worst()).isLessThan(needle.worst(needle.asBuilt()));
        assertThat(needle.worst(best.of(needle))).isEqualTo(best.worst());
    }

    /** 240–33 behind a gauge for 0–90: it goes the other way, and no resistor mends that. */
    @Test
    void noResistorTurnsASenderRound() {
        var needle = fuel(demo("tractor"));
        var best = Correction.best(needle);

        assertThat(needle.lies(needle.asBuilt())).isTrue();
        assertThat(best.mends()).isFalse();
        assertThat(new GaugeWords(demo("tractor"), UserUnits.METRIC).correction(best))
                .containsIgnoringCase("another sender");
    }

    /** What is put in is what was worked out: the needle of the changed job stands there. */
    @Test
    void theResistorsThatArePutInDoWhatWasSaid() {
        var unearthed = mixed(sender(180, 10));
        assertThat(fuel(unearthed).flows()).isFalse();
        var design =
                new PartEdit.Mount(
                                fuel(unearthed).sender().id(), Earths.of(unearthed).getFirst().id())
                        .apply(unearthed);
        assertThat(fuel(design).flows()).isTrue();
        var needle = fuel(design);
        var best = Correction.best(needle);
        var then = best.edit(design, needle, "resistor").orElseThrow().apply(design);
        var ohms =
                then.parts().stream()
                        .filter(part ->
                                part.kind() instanceof JoinKind.Resistor
                                        && design.find(part.id()).isEmpty())
                        .map(Part::name)
                        .toList();

        assertThat(best.worst()).isLessThan(0.5 * needle.worst(needle.asBuilt()));
        var mended = fuel(then);
        assertThat(mended.worst(mended.asBuilt())).isCloseTo(best.worst(), within(0.02));
        assertThat(mended.more().value()).isGreaterThan(needle.more().value());
        assertThat(ohms)
                .hasSize(
                        (best.series().isPresent() ? 1 : 0) + (best.parallel().isPresent() ? 1 : 0))
                .containsOnly("resistor");
    }

    /** 10 l at 200 Ω, 30 l at 100 Ω, 50 l at 40 Ω: half way is the middle point. */
    @Test
    void aTankIsCalibratedByWhatWasFilled() {
        var needle = fuel(demo("roadster"));
        var read =
                List.of(
                        new Fill(10, new Ohms(200)),
                        new Fill(30, new Ohms(100)),
                        new Fill(50, new Ohms(40)));
        var kind = needle.calibrated(read).orElseThrow();

        assertThat(kind.least()).isEqualTo(new Ohms(200));
        assertThat(kind.most()).isEqualTo(new Ohms(40));
        assertThat(kind.at(0.5)).isEqualTo(new Ohms(100));
        assertThat(kind.at(0.25).value()).isCloseTo(150, within(1e-9));
        assertThat(needle.calibrated(read.subList(0, 1))).isEmpty();
        assertThatThrownBy(() -> new Fill(Double.NaN, new Ohms(1))).hasMessageContaining("numbers");
    }

    /** The roadster: 1.5 Ω and as much ballast, 14.2/3 = 4.73 A; 9.6/1.5 = 6.4 A while cranking. */
    @Test
    void theIgnitionIsReadFromTheParts() {
        var ignition = Ignition.of(demo("roadster")).orElseThrow();

        assertThat(ignition.primary().ballast()).isEqualTo(new Ohms(1.5));
        assertThat(ignition.cylinders()).isEqualTo(4);
        assertThat(ignition.primary().steady(ignition.running()).value())
                .isCloseTo(4.733, within(0.001));
        assertThat(ignition.started(true).value()).isCloseTo(6.4, within(1e-9));
        assertThat(ignition.started(false).value()).isCloseTo(3.2, within(1e-9));
        assertThat(ignition.limit()).isPresent();
        assertThat(ignition.at(ignition.primary(), new aficion.quantity.Rpm(6000)).amps().value())
                .isLessThan(4.733);
    }

    /** Coils in series are found from the one that is fed, in whatever order they were added. */
    @Test
    void coilsInSeriesAreFoundFromTheFeed() {
        var design = demo("roadster");
        var ignition = Ignition.of(design).orElseThrow();
        var coil = new IgnitionCoil(new Ohms(1.2), new Henries(0.003));
        var pair = new OtherCoil(design, ignition).put(coil, 2).orElseThrow().apply(design);
        var reversed = pair.withParts(pair.parts().reversed());

        assertThat(Ignition.of(reversed).orElseThrow().coils())
                .extracting(Part::id)
                .isEqualTo(Ignition.of(pair).orElseThrow().coils().stream().map(Part::id).toList());
    }

    @Test
    void coilsAndBallastArePutIn() {
        var design = demo("roadster");
        var ignition = Ignition.of(design).orElseThrow();
        var other = new OtherCoil(design, ignition);
        var coil = new IgnitionCoil(new Ohms(1.2), new Henries(0.003));

        var pair = other.put(coil, 2).orElseThrow().apply(design);
        var found = Ignition.of(pair).orElseThrow();
        assertThat(found.coils()).hasSize(2);
        assertThat(found.primary().coils().value()).isCloseTo(2.4, within(1e-9));
        assertThat(other.put(coil, 3)).isEmpty();

        var weaker = other.ballast("ballast", new Ohms(2.34)).orElseThrow().apply(design);
        assertThat(Ignition.of(weaker).orElseThrow().primary().ballast()).isEqualTo(new Ohms(2.34));

        var bike = demo("motorcycle");
        var plain = Ignition.of(bike).orElseThrow();
        assertThat(plain.ballast()).isEmpty();
        var fed =
                new OtherCoil(bike, plain)
                        .ballast("ballast", new Ohms(1.5))
                        .orElseThrow()
                        .apply(bike);
        assertThat(Ignition.of(fed).orElseThrow().primary().ballast()).isEqualTo(new Ohms(1.5));
    }

    /** Each sum works in a job that holds the two parts it is about, and says nothing of none. */
    @Test
    void aJobOfTwoPartsIsEnough() throws IOException {
        var vehicle = demo("roadster").vehicle();
        var empty = Design.empty(vehicle, demo("roadster").rules());
        assertThat(Needle.of(empty)).isEmpty();
        assertThat(Ignition.of(empty)).isEmpty();
        assertThat(AnotherSource.source(empty)).isEmpty();
        assertThat(PowerSheet.of(Job.of(empty), UserUnits.METRIC)).isNotEmpty();

        var shelf = PartsBook.shipped(vehicle);
        for (var pair :
                List.of(
                        List.of("battery", "alternator-lamp"),
                        List.of("battery", "coil-plain"),
                        List.of("gauge-thermal", "sender-73-10"),
                        List.of("battery", "starter"))) {
            var design = empty;
            for (var id : pair) {
                var kind =
                        shelf.stream()
                                .filter(each -> each.id().equals(id))
                                .findFirst()
                                .orElseThrow()
                                .kind();
                design = Placing.loose(design, id, kind).apply(design);
            }
            var situations = Situation.of(design);
            for (var situation : situations) {
                assertThat(Balance.of(design, situation).breaksEven()).isNotNull();
            }
            assertThat(Storage.of(design, situations).each()).hasSizeLessThan(2);
            assertThat(Needle.of(design)).isEmpty();
            assertThat(Ignition.of(design).isPresent()).isEqualTo(pair.contains("coil-plain"));
            assertThat(PowerSheet.of(Job.of(design), UserUnits.METRIC)).isNotEmpty();
        }
    }

    /** Gauge and sender with one wire between them and nothing else: the needle is worked out. */
    @Test
    void aGaugeAndItsSenderAreEnough() {
        var vehicle = demo("roadster").vehicle();
        var plain = Design.empty(vehicle, demo("roadster").rules());
        var design =
                new CircuitEdit.AddCircuit(NewNames.circuit(plain, "fuel", Circuit.Drops.STRICT))
                        .apply(plain);
        for (var id : List.of("gauge-thermal", "sender-73-10")) {
            var entry = PartsBook.shipped(id, vehicle);
            design = Placing.loose(design, id, entry.kind()).apply(design);
        }
        var gauge = design.parts().getFirst();
        var sender = design.parts().getLast();
        design =
                new WireEdit.AddWire(
                                Connection.between(
                                        design,
                                        design.circuits().getFirst().id(),
                                        gauge.terminal("T"),
                                        sender.terminal("T")))
                        .apply(design);
        var needle = Needle.of(design).getFirst();

        // 73 Ω on a scale of 240 to 33 at 14.2 V: the feed cancels, (240 − 73)/207
        assertThat(needle.points(needle.asBuilt()).getFirst().shows())
                .isCloseTo(0.807, within(0.001));
        assertThat(Correction.best(needle).edit(design, needle, "r")).isNotNull();
    }
}
