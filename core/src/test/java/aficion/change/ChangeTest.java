package aficion.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.change.PlugWay.Fed;
import aficion.change.Repinning.Action;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ChangeTest {
    private static List<PlugWay> plug(String... ways) {
        return IntStream.range(0, ways.length)
                .mapToObj(i ->
                        ways[i].equals("blocked")
                                ? PlugWay.blocked(String.valueOf(i + 1))
                                : PlugWay.of(String.valueOf(i + 1), ways[i], ways[i] + " wire"))
                .toList();
    }

    private static List<String> said(List<PlugWay> from, List<PlugWay> to) {
        return Repinning.of(from, to).steps().stream()
                .map(step -> step.action() + " " + step.from() + ">" + step.to())
                .toList();
    }

    @Test
    void aCircleOfThreeGoesOverTheSparePlace() {
        var steps = said(plug("a", "b", "c", "d"), plug("b", "c", "a", "d"));

        assertThat(steps)
                .containsExactly(
                        "MOVE 2>spare", "MOVE 3>2", "MOVE 1>3", "MOVE spare>1", "STAYS 4>4");
    }

    @Test
    void aChainMovesIntoTheWayThatIsFree() {
        assertThat(said(plug("a", "b", "", ""), plug("", "a", "b", "")))
                .containsExactly("MOVE 2>3", "MOVE 1>2", "BLANK >1", "BLANK >4");
        assertThat(said(plug("a", "old"), plug("new", "a")))
                .containsExactly("OFF 2>", "MOVE 1>2", "NEW >1");
        assertThat(said(plug("a", "blocked"), plug("a", "earth")))
                .containsExactly("OPEN >2", "NEW >2", "STAYS 1>1");
        assertThat(said(plug("a", "b"), plug("blocked", "a")))
                .containsExactly("OFF 2>", "MOVE 1>2");
    }

    /** Played with pins: whatever the plugs, each goes where it belongs, never onto another. */
    @Test
    void whateverThePlugsEveryPinArrivesAndNoneMeetsAnother() {
        for (int seed = 0; seed < 500; seed++) {
            var random = new Random(seed);
            var from = any(random);
            var to = any(random);
            var found = Repinning.of(from, to);
            var now = new HashMap<String, String>();
            from.forEach(way -> now.put(way.way(), way.function()));
            int spare = 0;
            for (var step : found.steps()) {
                if (step.action() == Action.MOVE || step.action() == Action.OFF) {
                    assertThat(now.remove(step.from())).isEqualTo(step.function());
                    now.put(step.from(), "");
                }
                if (step.action() == Action.MOVE || step.action() == Action.NEW) {
                    assertThat(now.getOrDefault(step.to(), "")).as("seed %s", seed).isEmpty();
                    now.put(step.to(), step.function());
                }
                spare += step.to().equals(Repinning.SPARE) ? 1 : 0;
                spare -= step.from().equals(Repinning.SPARE) ? 1 : 0;
                assertThat(spare).isBetween(0, 1);
            }
            now.remove(Repinning.SPARE);
            to.forEach(way -> assertThat(now.get(way.way())).isEqualTo(way.function()));
            assertThat(found.steps().stream().filter(s -> s.action() == Action.MOVE).count())
                    .isEqualTo(movesAtLeast(from, to));
        }
    }

    private static List<PlugWay> any(Random random) {
        var functions = new ArrayList<>(List.of("a", "b", "c", "d", "e", "f", "", "", "blocked"));
        java.util.Collections.shuffle(functions, random);
        return plug(functions.toArray(String[]::new));
    }

    /** A move for each pin that is not home, and one more for each circle. */
    private static long movesAtLeast(List<PlugWay> from, List<PlugWay> to) {
        Map<String, String> next = new HashMap<>();
        for (var pin : from) {
            to.stream()
                    .filter(way -> way.isFor(pin) && !way.way().equals(pin.way()))
                    .findFirst()
                    .ifPresent(way -> next.put(pin.way(), way.way()));
        }
        long circles =
                next.keySet().stream()
                        .filter(start -> {
                            var at = next.get(start);
                            while (at != null && !at.equals(start)) {
                                if (at.compareTo(start) < 0) {
                                    return false;
                                }
                                at = next.get(at);
                            }
                            return at != null;
                        })
                        .count();
        return next.size() + circles;
    }

    @Test
    void booksCallOneFunctionDifferently() {
        var from = List.of(PlugWay.of("1", "Tach. signal", "white/black"));
        var to =
                List.of(
                        new PlugWay(
                                "A",
                                "rev counter",
                                "tach signal",
                                "",
                                false,
                                Optional.empty(),
                                Optional.empty()));

        assertThat(said(from, to)).containsExactly("MOVE 1>A");
        assertThat(Repinning.of(from, to).steps().getFirst().colour()).isEqualTo("white/black");
    }

    @Test
    void whatIsFedOtherwiseIsTold() {
        var was =
                new PlugWay("1", "oil", "", "w", false, Optional.of(Fed.LIVE), Optional.of(false));
        var wants =
                new PlugWay("1", "oil", "", "", false, Optional.of(Fed.EARTH), Optional.of(true));

        assertThat(Repinning.of(List.of(was), List.of(wants)).notes())
                .containsExactly(
                        new Repinning.Note.OtherSide("oil", Fed.LIVE, Fed.EARTH),
                        new Repinning.Note.ProvesOtherwise("oil", true),
                        new Repinning.Note.Diode("oil"));
        var alike = List.of(PlugWay.of("1", "a", "black"), PlugWay.of("2", "b", "black"));
        var turned = List.of(PlugWay.of("1", "b", ""), PlugWay.of("2", "a", ""));
        assertThat(Repinning.of(alike, turned).notes())
                .containsExactly(new Repinning.Note.Alike("black", List.of("2", "1")));
    }

    @Test
    void aWayThatStandsTwiceIsRefused() {
        var twice = List.of(PlugWay.of("1", "a", ""), PlugWay.of("1", "b", ""));

        assertThatThrownBy(() -> Repinning.of(twice, twice)).hasMessageContaining("way 1");
        assertThatThrownBy(() -> Repinning.of(List.of(), twice)).hasMessageContaining("one way");
    }
}
