package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.change.Change;
import aficion.charge.AnotherSource;
import aficion.charge.AnotherSource.Answer;
import aficion.charge.AnotherSource.Candidate;
import aficion.charge.AnotherSource.Offer;
import aficion.charge.AnotherSource.Refusal;
import aficion.charge.Balance;
import aficion.charge.Situation;
import aficion.charge.Storage;
import aficion.check.Findings;
import aficion.check.finding.Finding;
import aficion.check.finding.Severity;
import aficion.convert.Conversion;
import aficion.convert.Currents;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.HouseRules;
import aficion.job.Job;
import aficion.job.LoadKind;
import aficion.job.OutputCurve;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Pulleys;
import aficion.job.SourceKind;
import aficion.job.Usage;
import aficion.job.Vehicle;
import aficion.job.Vehicle.Pole;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Celsius;
import aficion.quantity.Metres;
import aficion.quantity.Ratio;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.recipe.Insertion;
import aficion.recipe.Recipe;
import aficion.size.Assessment;
import aficion.verb.Placing;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Other sources put into the demos, pulleys, curves, batteries, situations of the user's own. */
class AnotherSourceTest {
    /** Worked out once for all that is tried on a demo. */
    private static final Map<Job, AnotherSource> HELD = new ConcurrentHashMap<>();

    private static final Map<Map.Entry<Job, String>, Answer> ANSWERS = new ConcurrentHashMap<>();

    /** The tractor as it might have left the works: 6 V, plus earthed. */
    private static final Map<String, Design> OLD = new ConcurrentHashMap<>();

    private static Design oldTractor() {
        return OLD.computeIfAbsent(
                "tractor",
                name -> Conversion.of(demo(name).design(), new Volts(6), Pole.POSITIVE).design());
    }

    private static final Map<String, Job> DEMOS = new ConcurrentHashMap<>();

    private static Job demo(String name) {
        return DEMOS.computeIfAbsent(name, each -> DemoJobs.find(each).orElseThrow());
    }

    private static Situation night(Job job) {
        return Situation.find(job.design(), Situation.WET_NIGHT).orElseThrow();
    }

    private static List<Candidate> candidates(Design design) {
        return Candidates.of(design, PartsBook.shipped(design.vehicle()));
    }

    private static Answer answer(Job job, String id) {
        var candidate =
                candidates(job.design()).stream()
                        .filter(each -> each.id().equals(id))
                        .findFirst()
                        .orElseThrow();
        return held(job).answer(candidate);
    }

    private static AnotherSource held(Job job) {
        return HELD.computeIfAbsent(job, each -> AnotherSource.of(each, night(each)).orElseThrow());
    }

    private static Offer offer(Job job, String id) {
        var answer = ANSWERS.computeIfAbsent(Map.entry(job, id), _ -> answer(job, id));
        assertThat(answer).isInstanceOf(Answer.Offered.class);
        return ((Answer.Offered) answer).offer();
    }

    private static List<Finding> dangers(Design design) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(finding -> finding.severity() == Severity.DANGER)
                .toList();
    }

    /** What is put in, with all that follows from it, brings no danger that was not there. */
    @ParameterizedTest
    @CsvSource({
        "roadster, alternator-switched",
        "motorcycle, flywheel-three-20",
        "tractor, alternator-one-wire"
    })
    void whatIsPutInBringsNoDanger(String demo, String id) {
        var job = demo(demo);
        var known = dangers(job.design()).stream().map(Finding::about).collect(Collectors.toSet());
        var offer = offer(job, id);
        var then = offer.edit().orElseThrow().apply(job.design());

        assertThat(dangers(then)).filteredOn(finding -> !known.contains(finding.about())).isEmpty();
        assertThat(offer.left()).noneMatch(finding -> finding.severity() == Severity.DANGER);
        assertThat(offer.changes()).isNotEmpty();
        assertThat(AnotherSource.source(then).orElseThrow().kind())
                .isEqualTo(offer.candidate().kind());
        assertThat(Balance.of(then, night(job)).points()).isNotEmpty();
    }

    /** 45 A with 16 mm² and 60 A; 70 A needs a thicker lead, a larger fuse, and gives more. */
    @Test
    void aLargerSourceWantsAThickerLeadAndItsGuard() {
        var job = demo("roadster");
        var fitted = held(job).fitted();
        var larger = offer(job, "alternator-lamp-70");

        assertThat(fitted.edit()).isEmpty();
        assertThat(fitted.lead().orElseThrow()).hasToString("16mm2");
        assertThat(larger.lead().orElseThrow()).hasToString("25mm2");
        assertThat(larger.guard().orElseThrow().value())
                .isGreaterThan(fitted.guard().orElseThrow().value());
        assertThat(larger.balance().idle().orElseThrow().source().value())
                .isGreaterThan(1.5 * fitted.balance().idle().orElseThrow().source().value());
        // 14.16 V at 70 A, of which 55 % arrives: 14.16 · 70 / 0.55 = 1802 W
        assertThat(larger.takes().orElseThrow().value()).isCloseTo(1802, within(1.0));
        assertThat(larger.isTooFast()).isFalse();
    }

    /** A dynamo's control box goes with it, and leaves a joint; the ammeter gets a larger scale. */
    @Test
    void anAlternatorTakesThePlaceOfADynamoAndItsBox() {
        var job = demo("tractor");
        var offer = offer(job, "alternator-one-wire");
        var then = offer.edit().orElseThrow().apply(job.design());

        assertThat(offer.changes())
                .filteredOn(change -> change.sort() == Change.Sort.OFF)
                .extracting(Change::key)
                .contains("part/G1/OFF", "part/N1/OFF");
        assertThat(then.parts())
                .noneMatch(part ->
                        part.kind() instanceof SourceKind.Dynamo
                                || part.kind() instanceof SourceKind.ControlBox);
        assertThat(then.part(new PartId("P1")).kind())
                .isInstanceOfSatisfying(
                        LoadKind.Ammeter.class,
                        meter -> assertThat(meter.range().value()).isGreaterThanOrEqualTo(45));
        assertThat(then.wires()).allSatisfy(wire -> assertThat(wire.terminals()).hasSize(2));
    }

    @Test
    void whatCannotBePutInSaysWhy() {
        assertThat(answer(demo("tractor"), "alternator-lamp"))
                .isInstanceOfSatisfying(
                        Answer.Refused.class,
                        refused -> assertThat(refused.why()).isEqualTo(Refusal.NO_LAMP));
        assertThat(answer(demo("tractor"), "dynamo"))
                .isInstanceOfSatisfying(
                        Answer.Refused.class,
                        refused -> assertThat(refused.why()).isEqualTo(Refusal.SAME));
        assertThat(answer(demo("roadster"), "alternator-external"))
                .isInstanceOfSatisfying(
                        Answer.Refused.class,
                        refused -> assertThat(refused.why()).isEqualTo(Refusal.OTHER_SORT));
        assertThat(candidates(demo("motorcycle").design()))
                .extracting(Candidate::id)
                .allMatch(id -> id.startsWith("flywheel"));
    }

    /** Three leads where there were two, like those that were there. */
    @Test
    void aThreePhaseStatorBringsItsThirdLead() {
        var job = demo("motorcycle");
        var then = offer(job, "flywheel-three").edit().orElseThrow().apply(job.design());
        var wheel = AnotherSource.source(then).orElseThrow();

        assertThat(wheel.kind().pins())
                .allSatisfy(pin -> assertThat(then.wiresAt(wheel.terminal(pin))).hasSize(1));
        assertThat(then.wires()).hasSize(job.design().wires().size() + 1);
    }

    /**
     * One end of the coil comes off the engine and goes to the box: both halves of a turn charge.
     */
    @Test
    void bothHalvesOfATurnChargeBehindAFullBridge() {
        var half = halfWave();
        var wheel = AnotherSource.source(half).orElseThrow();
        var coil = wheel.terminal("G2");
        var job = Job.of(half);
        var known = dangers(half).stream().map(Finding::about).collect(Collectors.toSet());
        var offer = offer(job, "full-wave");
        var then = offer.edit().orElseThrow().apply(half);

        assertThat(bridge(then)).isEqualTo(SourceKind.RegulatorRectifier.Bridge.FULL_WAVE);
        assertThat(then.wiresAt(coil))
                .singleElement()
                .satisfies(wire ->
                        assertThat(wire.terminals())
                                .allSatisfy(end -> assertThat(end.pin()).isEqualTo("G2")));
        assertThat(dangers(then)).filteredOn(found -> !known.contains(found.about())).isEmpty();
        assertThat(given(then, job)).isGreaterThan(1.5 * given(half, job));
    }

    private static SourceKind.RegulatorRectifier.Bridge bridge(Design design) {
        return design.parts().stream()
                .map(Part::kind)
                .filter(SourceKind.RegulatorRectifier.class::isInstance)
                .map(kind -> ((SourceKind.RegulatorRectifier) kind).bridge())
                .findFirst()
                .orElseThrow();
    }

    /** A motorcycle as it is proposed, one end of its coil on the engine. */
    private static Design halfWave() {
        var vehicle =
                new Vehicle(
                        "test",
                        1960,
                        new Volts(12),
                        Pole.NEGATIVE,
                        Optional.of(Vehicle.Sort.MOTORCYCLE));
        var design = Design.empty(vehicle, HouseRules.USUAL);
        for (var each : RecipeBook.proposals(Vehicle.Sort.MOTORCYCLE, HouseRules.USUAL)) {
            boolean charges = each.recipe().id().equals("flywheel-single");
            var fit =
                    charges
                            ? Insertion.of(design, recipe("flywheel-half"), Map.of())
                            : Insertion.of(design, each.recipe(), each.answers());
            assertThat(fit).isInstanceOf(Insertion.Fit.Fits.class);
            design = ((Insertion.Fit.Fits) fit).design();
        }
        assertThat(bridge(design)).isEqualTo(SourceKind.RegulatorRectifier.Bridge.HALF_WAVE);
        return design;
    }

    private static Recipe recipe(String id) {
        return RecipeBook.shipped().stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** The most that the source gives on a wet night, amps. */
    private static double given(Design design, Job job) {
        return Balance.of(design, night(job)).points().stream()
                .mapToDouble(point -> point.source().value())
                .max()
                .orElseThrow();
    }

    /** Switched and sensed, and back to the lamp: the lamp's lead goes along from L to D+. */
    @Test
    void theLampGoesAlongFromOneAlternatorToTheNext() {
        var job = demo("roadster");
        var switched =
                job.with(
                        offer(job, "alternator-switched").edit().orElseThrow().apply(job.design()));
        var back = answer(switched, "alternator-lamp");

        assertThat(back).isInstanceOf(Answer.Offered.class);
        var design = ((Answer.Offered) back).offer().edit().orElseThrow().apply(switched.design());
        var made = AnotherSource.source(design).orElseThrow();
        assertThat(design.wiresAt(made.terminal("D+"))).hasSize(1);
        assertThat(design.wiresAt(made.terminal("B+"))).isNotEmpty();
        assertThat(design.wires()).hasSameSizeAs(job.design().wires());
    }

    /** Two alike in parallel hold twice as much; what says nothing is typical of its resistance. */
    @Test
    void batteriesHoldTogether() {
        var plain = demo("roadster").design();
        var day = Situation.find(plain, Situation.DAY).orElseThrow();
        var one = Balance.of(plain, day).battery().orElseThrow();
        var battery =
                plain.parts().stream()
                        .filter(part -> part.kind() instanceof SourceKind.Battery)
                        .findFirst()
                        .orElseThrow();
        var two = Placing.loose(plain, "second", battery.kind()).apply(plain);

        // 0.36 V·Ah·ohm by 8 mΩ is 45 Ah at 12 V
        double ohms = ((SourceKind.Battery) battery.kind()).internal().value();
        assertThat(one.hours().value()).isCloseTo(0.36 / ohms, within(1e-9));
        assertThat(one.stated()).isFalse();
        assertThat(Balance.of(two, day).battery().orElseThrow().hours().value())
                .isCloseTo(2 * one.hours().value(), within(1e-9));
    }

    /** Pulleys that were measured go before the ratio a source is sold with. */
    @Test
    void measuredPulleysTurnWhateverIsPutIn() {
        var job = demo("roadster");
        var pulleys = new Pulleys(new Metres(0.165), new Metres(0.06), Optional.empty(), true);
        var noted = job.with(job.work().with(job.work().sums().with(new PartId("G1"), pulleys)));
        var offer = offer(noted, "alternator-one-wire");

        assertThat(((SourceKind.Alternator) offer.candidate().kind()).pulleys().value())
                .isCloseTo(2.75, within(1e-9));
        // 5500 rpm · 2.75 = 15 125 rpm of 18 000
        assertThat(offer.atTop().orElseThrow().value()).isCloseTo(15_125, within(0.5));
        assertThat(offer.limit().orElseThrow()).isEqualTo(new Rpm(18_000));
    }

    /** 20 A at 2000 and 40 A at 4000 of its shaft: 30 A at 3000, at 1364 rpm with 2.2 to 1. */
    @Test
    void aCurveOfItsOwnGoesBeforeTheTypicalOne() {
        var job = demo("roadster");
        var source = AnotherSource.source(job.design()).orElseThrow();
        var curve =
                new OutputCurve(
                        List.of(
                                new OutputCurve.Point(new Rpm(2000), new Amps(20)),
                                new OutputCurve.Point(new Rpm(4000), new Amps(40))),
                        Optional.of(new Rpm(12_000)));
        var kind = AnotherSource.giving((SourceKind) source.kind(), Optional.of(curve));
        var design = new PartEdit.Refit(source.id(), kind).apply(job.design());
        var speeds = new aficion.job.Speeds(new Rpm(800), new Rpm(3000 / 2.2), new Rpm(5500));
        var sums = job.work().sums().with(speeds);
        var balance = Balance.of(design, night(job), sums);

        assertThat(curve.at(new Rpm(1999)).value()).isZero();
        assertThat(curve.at(new Rpm(3000)).value()).isEqualTo(30);
        assertThat(curve.at(new Rpm(9000)).value()).isEqualTo(40);
        assertThat(balance.cruise().orElseThrow().source().value()).isCloseTo(30, within(0.3));
        assertThat(balance.idle().orElseThrow().source().value()).isLessThan(0.1);
        assertThatThrownBy(() ->
                        new OutputCurve(
                                List.of(new OutputCurve.Point(new Rpm(1), new Amps(1))),
                                Optional.empty()))
                .hasMessageContaining("two points");
    }

    /** The tractor of before, at 6 V with plus earthed, to 12 V and minus with an alternator. */
    @Test
    void aDynamoGivesWayToAnAlternatorInTheConversion() {
        var old = Conversion.of(demo("tractor").design(), new Volts(6), Pole.POSITIVE).design();
        var candidate =
                candidates(old).stream()
                        .filter(each -> each.id().equals("alternator-one-wire"))
                        .map(each -> Candidates.made(each, old.vehicle(), new Volts(12)))
                        .findFirst();
        var now = Conversion.of(old, new Volts(12), Pole.NEGATIVE, candidate);
        var known = dangers(old).stream().map(Finding::about).collect(Collectors.toSet());

        assertThat(now.edit().apply(old)).isEqualTo(now.design());
        assertThat(now.changes())
                .filteredOn(change -> change.why() == Conversion.Why.OTHER_SOURCE)
                .singleElement()
                .satisfies(change -> assertThat(change.part()).isEqualTo(new PartId("G1")));
        assertThat(dangers(now.design()))
                .filteredOn(finding -> !known.contains(finding.about()))
                .isEmpty();
        assertThat(
                        ((SourceKind.Alternator)
                                        AnotherSource.source(now.design()).orElseThrow().kind())
                                .setPoint()
                                .value())
                .isCloseTo(14.16, within(0.01));
    }

    /** Twice the volts, half the current, for what takes its power whatever the volts are. */
    @Test
    void currentsHalveWhereTheVoltsDouble() {
        var now = demo("tractor").design();
        var old = Conversion.of(now, new Volts(6), Pole.NEGATIVE).design();
        var currents = Currents.of(old, now);
        var lamps =
                now.parts().stream()
                        .filter(part -> part.kind() instanceof LoadKind.Lamp)
                        .map(part -> currents.get(part.id()))
                        .filter(each -> each != null && each.after().value() > 1)
                        .toList();

        assertThat(lamps).isNotEmpty();
        assertThat(lamps)
                .allSatisfy(each ->
                        assertThat(each.before().value() / each.after().value())
                                .isBetween(1.7, 2.3));
    }

    /** A situation of the user's own: its switches, its share, and its name before all others. */
    @Test
    void aSituationOfTheUsersOwnIsKeptAndFound() {
        var job = demo("roadster");
        var usage =
                new Usage(
                        "shed",
                        Map.of("key", "run", "lights", "side", "nonsense", "on"),
                        List.of(new Usage.Share("brake", "on", 0.5)),
                        false,
                        new Celsius(5));
        var sums = job.work().sums().with(usage);
        var found = Situation.find(job.design(), sums, "shed").orElseThrow();
        var balance = Balance.of(job.design(), found, sums);

        assertThat(found.own()).isTrue();
        assertThat(found.conditions().positions()).containsOnlyKeys("key", "lights");
        assertThat(balance.points()).singleElement();
        assertThat(balance.points().getFirst().load().value()).isGreaterThan(4);
        assertThat(found.kept("shed").set()).isEqualTo(Map.of("key", "run", "lights", "side"));
        assertThat(Situation.of(job.design(), sums.without(usage))).noneMatch(Situation::own);
        assertThatThrownBy(() -> new Usage.Share("brake", "on", 1.5))
                .hasMessageContaining("0 to 1");
    }

    /** Every demo: what a battery loses in an hour is an hour over how long it lasts. */
    @ParameterizedTest
    @ValueSource(strings = {"roadster", "motorcycle", "tractor"})
    void theBatteryGoesDownAsItLasts(String demo) {
        var job = demo(demo);
        for (var situation : Situation.of(job.design())) {
            var balance = Balance.of(job.design(), situation);
            for (var point : balance.points()) {
                var left = balance.after(point, new Ratio(1), new Seconds(3600));
                var lasts = balance.lasts(point);
                double wanted = lasts.map(flat -> Math.max(0, 1 - 3600 / flat.value())).orElse(1.0);

                assertThat(left.orElseThrow().value()).isCloseTo(wanted, within(1e-9));
                assertThat(point.gives().value() - point.takes().value())
                        .isCloseTo(point.room().value(), within(1e-6));
            }
        }
    }

    /** The roadster's starter in frost, by the circuit; its fuses carry less than they stand. */
    @Test
    void theBatteryIsJudgedByCrankingInFrost() {
        var design = demo("roadster").design();
        var storage = Storage.of(design, Situation.of(design));
        var cranking = storage.cranking().orElseThrow();

        assertThat(cranking.starter()).isEqualTo(new PartId("M1"));
        assertThat(cranking.amps().value()).isBetween(150.0, 250.0);
        assertThat(cranking.atBattery().value() - cranking.atStarter().value())
                .isCloseTo(cranking.lost().value(), within(1e-9));
        assertThat(cranking.holds())
                .isEqualTo(cranking.atBattery().value() >= cranking.wants().value());
        assertThat(storage.each()).singleElement();
        assertThat(storage.between())
                .isNotEmpty()
                .noneMatch(Storage.Between::isOverloaded)
                .allSatisfy(each ->
                        assertThat(each.use().value())
                                .isLessThanOrEqualTo(each.rating().orElseThrow().value()));
        assertThat(storage.stands()).isPresent();
    }

    /** A diesel with its key on draws no more than with its key off: the key is on all the same. */
    @Test
    void theKeyIsOnWhereMostIsLive() {
        var design = demo("tractor").design();
        var night = Situation.find(design, Situation.WET_NIGHT).orElseThrow();

        assertThat(night.conditions().positions())
                .containsEntry("key", "run")
                .containsEntry("lights", "head");
        assertThat(night.shares())
                .extracting(Usage.Share::control)
                .doesNotContain("stop")
                .contains("brake");
        assertThat(design.parts()).anyMatch(part -> part.kind() instanceof ControlKind.Switch);
    }
}
