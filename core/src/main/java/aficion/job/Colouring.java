package aficion.job;

import aficion.catalogue.Colour;
import aficion.catalogue.ColourScheme;
import aficion.catalogue.Purpose;
import java.util.List;
import java.util.Optional;

/** How wires are told apart by colour. */
public sealed interface Colouring {

    /** What a wire for a purpose is to wear; empty where this leaves it open. */
    Optional<WireColour> colour(Purpose purpose);

    /** By a published scheme. */
    record ByScheme(ColourScheme scheme) implements Colouring {
        @Override
        public Optional<WireColour> colour(Purpose purpose) {
            return scheme.paint(purpose).map(paint -> new WireColour(paint.base(), paint.tracer()));
        }
    }

    /** By the user's own list. */
    record ByList(List<Entry> colours) implements Colouring {
        public ByList {
            colours = List.copyOf(colours);
        }

        @Override
        public Optional<WireColour> colour(Purpose purpose) {
            return colours.stream()
                    .filter(entry -> entry.purpose() == purpose)
                    .findFirst()
                    .map(Entry::colour);
        }
    }

    /** One line of the user's own list. */
    record Entry(Purpose purpose, WireColour colour) {}

    /** One colour of wire for everything; coloured bands at both ends tell them apart. */
    record Banded(Colour only) implements Colouring {
        @Override
        public Optional<WireColour> colour(Purpose purpose) {
            return Optional.of(WireColour.plain(only));
        }
    }
}
