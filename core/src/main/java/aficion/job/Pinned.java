package aficion.job;

import java.util.Optional;

/** What of a wire the user has settled: nothing the program chooses by itself changes it. */
public record Pinned(boolean size, boolean colour, boolean length) {

    /** What of a wire can be settled. */
    public enum Trait {
        SIZE,
        COLOUR,
        LENGTH
    }

    /** Whether the user has settled that. */
    public boolean settles(Trait trait) {
        return switch (trait) {
            case SIZE -> size;
            case COLOUR -> colour;
            case LENGTH -> length;
        };
    }

    /** The same with one more or one less; empty when nothing is left. */
    Optional<Pinned> with(Trait trait, boolean held) {
        var changed =
                new Pinned(
                        trait == Trait.SIZE ? held : size,
                        trait == Trait.COLOUR ? held : colour,
                        trait == Trait.LENGTH ? held : length);
        return Optional.of(changed).filter(left -> left.size || left.colour || left.length);
    }

    /** Nothing settled. */
    static final Pinned NONE = new Pinned(false, false, false);
}
