package aficion.diagram;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.diagram.Router.Anchor;
import aficion.diagram.Router.Node;
import org.junit.jupiter.api.Test;

class RouterTest {

    private static Anchor at(String key, int column, int row) {
        return new Anchor(key, new Node(column, row), true);
    }

    @Test
    void aFreeWayIsStraight() {
        var way = new Router(20, 10, 20).route(at("a", 2, 5), at("b", 12, 5)).orElseThrow();

        assertThat(way.nodes()).hasSize(11).allMatch(node -> node.row() == 5);
    }

    @Test
    void aBodyIsGoneAround() {
        var router = new Router(20, 12, 20);
        router.block(6, 8, 3, 7);

        var way = router.route(at("a", 2, 5), at("b", 12, 5)).orElseThrow();

        assertThat(way.nodes())
                .noneMatch(node ->
                        node.column() >= 6
                                && node.column() <= 8
                                && node.row() >= 3
                                && node.row() <= 7);
    }

    @Test
    void strokesCrossButNeverLieOnEachOther() {
        var router = new Router(64, 12, 64);
        var level = router.route(at("a", 2, 5), at("b", 60, 5)).orElseThrow();
        var upright = router.route(at("c", 30, 1), at("d", 30, 10)).orElseThrow();

        var shared = level.nodes().stream().filter(upright.nodes()::contains).toList();
        assertThat(shared).containsExactly(new Node(30, 5));
    }

    @Test
    void strokesOfOneTerminalShareTheirWay() {
        var router = new Router(30, 12, 30);
        router.route(at("a", 2, 5), at("b", 20, 5));

        var branch = router.route(at("a", 2, 5), at("c", 20, 9)).orElseThrow();

        assertThat(branch.startsOnTrunk()).isTrue();
        assertThat(branch.nodes().getFirst().row()).isEqualTo(5);
        assertThat(branch.nodes().getFirst().column()).isGreaterThan(2);
    }

    @Test
    void anEndThatDoesNotShareIsReachedAtItsPin() {
        var router = new Router(30, 12, 30);
        router.route(at("a", 2, 5), at("j", 20, 5));

        var second =
                router.route(at("b", 2, 9), new Anchor("j", new Node(20, 5), false)).orElseThrow();

        assertThat(second.nodes().getLast()).isEqualTo(new Node(20, 5));
        assertThat(second.endsOnTrunk()).isFalse();
    }

    @Test
    void aPinThatIsWalledInHasNoWay() {
        var router = new Router(20, 12, 20);
        router.block(9, 15, 2, 4);
        router.block(9, 15, 6, 8);
        router.block(9, 9, 2, 8);
        router.block(15, 15, 2, 8);

        assertThat(router.route(at("a", 2, 5), at("b", 12, 5))).isEmpty();
    }
}
