package aficion.job;

import aficion.catalogue.FuseType;
import aficion.quantity.Amps;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** What opens before a wire burns: fuses, breakers, fusible links, alone or in a box. */
public sealed interface GuardKind extends Kind {

    /** The same with another fuse or breaker in a way; the way of a single fuse is empty. */
    GuardKind fitted(String way, FuseType family, Amps marking);

    /** One fuse in its holder, a breaker or a fusible link. */
    record Fuse(FuseType family, Amps marking) implements GuardKind {
        public Fuse {
            Positive.require("fuse marking", marking);
        }

        @Override
        public List<String> pins() {
            return List.of("1", "2");
        }

        @Override
        public boolean alikeBothWays() {
            return true;
        }

        @Override
        public List<Seat> seats() {
            return List.of(new Seat("", "1", "2", family, marking));
        }

        @Override
        public Fuse fitted(String way, FuseType other, Amps rating) {
            if (!way.isEmpty()) {
                throw new IllegalArgumentException("a single fuse has no way " + way);
            }
            return new Fuse(other, rating);
        }
    }

    /** A box of fuses; way {@code n} has the pins {@code na} and {@code nb}. */
    record FuseBox(List<Way> ways) implements GuardKind {
        public FuseBox {
            ways = List.copyOf(ways);
        }

        @Override
        public List<String> pins() {
            return ways.stream().flatMap(way -> Stream.of(way.in(), way.out())).toList();
        }

        @Override
        public Set<String> sparePins() {
            return Set.copyOf(pins());
        }

        @Override
        public List<Seat> seats() {
            return ways.stream()
                    .map(way ->
                            new Seat(way.name(), way.in(), way.out(), way.family(), way.marking()))
                    .toList();
        }

        @Override
        public FuseBox fitted(String way, FuseType family, Amps marking) {
            if (ways.stream().noneMatch(each -> each.name().equals(way))) {
                throw new IllegalArgumentException("no way " + way);
            }
            return new FuseBox(
                    ways.stream()
                            .map(each ->
                                    each.name().equals(way) ? new Way(way, family, marking) : each)
                            .toList());
        }
    }

    /** One way of a fuse box. */
    record Way(String name, FuseType family, Amps marking) {
        public Way {
            Names.require(name);
            Positive.require("fuse marking", marking);
        }

        /** The pin on the side of the feed. */
        public String in() {
            return name + "a";
        }

        /** The pin on the side of the load. */
        public String out() {
            return name + "b";
        }
    }
}
