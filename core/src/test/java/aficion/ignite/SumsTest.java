package aficion.ignite;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import aficion.job.Cap;
import aficion.job.Pulleys;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Metres;
import aficion.quantity.Ohms;
import aficion.quantity.Rpm;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.shape.Chords;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Sums that people do on the back of a box, worked by hand. */
class SumsTest {
    private static final Primary OLD = new Primary(new Ohms(2.8), new Henries(0.007), 1);

    /** 14.0/2.8 = 5.00 A, 14.0/3.0 = 4.67 A: 6.7 % less; ½·7·25 = 87.5, ½·5·21.8 = 54.4 mJ. */
    @Test
    void anotherCoilIsJudged() {
        var pair = new Primary(new Ohms(1.5), new Henries(0.0025), 2);
        var judged = ignition(OLD).against(pair, new Volts(14));

        assertThat(judged.now().value()).isCloseTo(5.00, within(0.005));
        assertThat(judged.then().value()).isCloseTo(4.667, within(0.005));
        assertThat(judged.change()).isCloseTo(-0.067, within(0.0005));
        assertThat(judged.joulesNow()).isCloseTo(0.0875, within(0.0001));
        assertThat(judged.joulesThen()).isCloseTo(0.0544, within(0.0001));
        assertThat(judged.verdict()).isEqualTo(Ignition.Verdict.WEAKER);
        assertThat(ignition(OLD).against(OLD, new Volts(14)).verdict())
                .isEqualTo(Ignition.Verdict.GOOD);
    }

    private static Ignition ignition(Primary primary) {
        return new Ignition(
                List.of(),
                primary,
                Optional.empty(),
                Optional.empty(),
                4,
                0.6,
                new Volts(14),
                new Volts(9.6));
    }

    /** After one time constant L/R 63.2 % of the current flows; after long, all of it. */
    @Test
    void theCurrentRisesWithTheTimeTheContactsAreClosed() {
        assertThat(OLD.after(new Volts(14), new Seconds(0.0025)).value())
                .isCloseTo(5 * 0.632, within(0.005));
        assertThat(OLD.after(new Volts(14), new Seconds(1)).value()).isCloseTo(5, within(1e-6));
        assertThat(Primary.closed(3000, 4, 0.6).value()).isCloseTo(0.006, within(1e-9));
    }

    /** 14.2/3.6 − 1.6 = 2.34 Ω; 3.6²·2.34·0.6 = 18.2 W. */
    @Test
    void aBallastLeavesTheCurrentThatIsWanted() {
        var coil = new Primary(new Ohms(1.6), new Henries(0.006), 1);
        var ballast = coil.ballast(new Volts(14.2), new Amps(3.6));

        assertThat(ballast.value()).isCloseTo(2.344, within(0.001));
        assertThat(Primary.warmth(ballast, new Amps(3.6), 0.6).value())
                .isCloseTo(18.2, within(0.1));
    }

    /** 170 mm, 12°: 17.8 mm. Four marks on 60 mm: 60·sin 45° = 42.4 mm. */
    @Test
    void marksAreSetOut() {
        assertThat(Marks.arc(new Metres(0.170), 12).value()).isCloseTo(0.0178, within(0.00005));
        assertThat(Chords.chord(new Metres(0.060), 4).value()).isCloseTo(0.0424, within(0.00005));
        assertThatThrownBy(() -> Chords.chord(new Metres(0.06), 1)).hasMessageContaining("two");
    }

    /** Rotor anticlockwise, tower 1 first: the towers clockwise feed 1, 2, 4, 3. */
    @Test
    void plugLeadsFollowTheFiringOrder() {
        var order = List.of(1, 3, 4, 2);

        assertThat(new Cap(order, true, 1).cylinders()).containsExactly(1, 3, 4, 2);
        assertThat(new Cap(order, false, 1).cylinders()).containsExactly(1, 2, 4, 3);
        assertThat(new Cap(order, true, 3).cylinders()).containsExactly(4, 2, 1, 3);
        assertThat(new Cap(order, true, 1).halfOut().cylinders()).containsExactly(4, 2, 1, 3);
        assertThatThrownBy(() -> new Cap(List.of(1, 1), true, 1)).hasMessageContaining("once");
        assertThatThrownBy(() -> new Cap(order, true, 5)).hasMessageContaining("tower 5");
    }

    /** 165 and 60 mm: 2.75, so 750 rpm are 2 062; two alike 100 mm at 200: 714 mm of belt. */
    @Test
    void pulleysTurnTheSource() {
        var pulleys = new Pulleys(new Metres(0.165), new Metres(0.060), Optional.empty(), true);

        assertThat(pulleys.source(new Rpm(750)).value()).isCloseTo(2062.5, within(0.1));
        var alike = pulleys(0.1, 0.1, 0.2);
        assertThat(alike.belt().orElseThrow().value()).isCloseTo(0.714, within(0.001));
        assertThat(alike.wrap()).contains(180.0);
        assertThat(pulleys(0.165, 0.060, 0.3).wrap().orElseThrow()).isCloseTo(159.8, within(0.1));
        assertThat(pulleys.belt()).isEmpty();
        assertThatThrownBy(() -> pulleys(0.165, 0.060, 0.1)).hasMessageContaining("touch");
        assertThatThrownBy(() -> pulleys(0, 1, 2)).hasMessageContaining("above zero");
    }

    private static Pulleys pulleys(double crank, double source, double apart) {
        return new Pulleys(
                new Metres(crank), new Metres(source), Optional.of(new Metres(apart)), true);
    }
}
