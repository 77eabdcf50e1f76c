package aficion.job;

import aficion.catalogue.Housings;
import aficion.catalogue.WireSize;
import aficion.quantity.Amps;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A bought kit by the list of its leads, and how it was set up.
 *
 * @param name what it is called; its own
 * @param settings what its selector switches stand at, and values it was given
 * @param plug what it is plugged in with, where that has been said
 */
public record Kit(String name, List<KitLead> leads, List<Setting> settings, Optional<Plug> plug) {
    private static final int LONGEST = 40;
    private static final int LONGEST_WORDS = 200;

    /**
     * A lead of a kit.
     *
     * @param name as its list calls it
     * @param what what it is for
     * @param fuse what the kit's list says guards it
     * @param goes the terminal of this vehicle it goes to; empty while that is open
     * @param done what was done with it where nothing needs it
     */
    public record KitLead(
            String name,
            Optional<WireColour> colour,
            String what,
            Optional<WireSize> size,
            Optional<Amps> fuse,
            Optional<Terminal> goes,
            Optional<UnusedLead.Done> done) {
        /**
         * @throws IllegalArgumentException when it has no name, or goes somewhere and is unused
         */
        public KitLead {
            Names.requireSaid("the name of a lead", name, LONGEST);
            Names.requireLine("what a lead is for", what, LONGEST_WORDS);
            fuse.ifPresent(amps -> Positive.require("a fuse", amps));
            if (goes.isPresent() && done.isPresent()) {
                throw new IllegalArgumentException(
                        "lead " + name + " goes somewhere, so it is not unused");
            }
        }

        /** The same, going to a terminal. */
        public KitLead to(Terminal terminal) {
            return new KitLead(
                    name, colour, what, size, fuse, Optional.of(terminal), Optional.empty());
        }

        /** The same, used for nothing. */
        public KitLead unused(UnusedLead.Done how) {
            return new KitLead(name, colour, what, size, fuse, Optional.empty(), Optional.of(how));
        }

        private KitLead in(Design design) {
            return goes.filter(at -> design.find(at.part()).isEmpty()).isPresent()
                    ? new KitLead(name, colour, what, size, fuse, Optional.empty(), done)
                    : this;
        }
    }

    /**
     * What a kit is plugged in with.
     *
     * @param body its key among the bodies of connectors
     * @param sockets whether its half has the sockets
     * @param into the connector of this vehicle
     */
    public record Plug(String body, boolean sockets, PartId into) {
        /**
         * @throws IllegalArgumentException when there is no such body
         */
        public Plug {
            if (Housings.find(body).isEmpty()) {
                throw new IllegalArgumentException("there is no connector body " + body);
            }
        }
    }

    /** A selector switch, or a value. */
    public record Setting(String name, String value) {
        public Setting {
            Names.requireSaid("a setting", name, LONGEST);
            Names.requireLine("a value", value, LONGEST_WORDS);
        }
    }

    /**
     * @throws IllegalArgumentException when it has no name
     */
    public Kit {
        Names.requireSaid("the name of a kit", name, LONGEST);
        leads = List.copyOf(leads);
        settings = List.copyOf(settings);
    }

    /** The same with a lead in place of the one of its name, or at the end. */
    public Kit with(KitLead lead) {
        var changed = Listed.in(leads, lead, each -> each.name().equals(lead.name()));
        return new Kit(name, changed, settings, plug);
    }

    /** The same, plugged in so. */
    public Kit with(Plug how) {
        return new Kit(name, leads, settings, Optional.of(how));
    }

    /** The same with a setting in the place of the one of its name. */
    public Kit with(Setting setting) {
        var changed = Listed.in(settings, setting, each -> each.name().equals(setting.name()));
        return new Kit(name, leads, changed, plug);
    }

    /** Those of its leads that nothing needs, as they are listed. */
    public Stream<UnusedLead> unused() {
        return leads.stream()
                .flatMap(lead ->
                        lead.done().stream()
                                .map(how ->
                                        new UnusedLead(
                                                lead.name(), lead.colour(), lead.what(), how)));
    }

    /** What of it goes to a terminal that is there. */
    Kit in(Design design) {
        return new Kit(
                name,
                leads.stream().map(lead -> lead.in(design)).toList(),
                settings,
                plug.filter(each -> design.find(each.into()).isPresent()));
    }
}
