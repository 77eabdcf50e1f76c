package aficion.solve;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class IslandsTest {
    @Test
    void eachNodeKnowsTheLeastOfItsIsland() {
        var islands = new Islands(7);
        islands.join(6, 5);
        islands.join(5, 4);
        islands.join(4, 2);
        islands.join(3, 0);

        assertThat(islands.roots()).containsExactly(0, 1, 2, 0, 2, 2, 2);
        for (int node = 0; node < islands.size(); node++) {
            assertThat(islands.root(node)).isEqualTo(islands.roots()[node]);
            assertThat(islands.isLeast(node)).isEqualTo(node == islands.roots()[node]);
            assertThat(islands.floats(node)).isEqualTo(islands.roots()[node] != 0);
        }
    }
}
