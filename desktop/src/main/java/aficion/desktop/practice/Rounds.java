package aficion.desktop.practice;

import aficion.bench.practice.Played;
import java.io.IOException;
import java.util.List;

/** Where the rounds are kept that a user has played. */
public interface Rounds {
    /**
     * Those that are kept, oldest first.
     *
     * @throws IOException when they are there and cannot be read
     */
    List<Played> played() throws IOException;

    void keep(Played round) throws IOException;
}
