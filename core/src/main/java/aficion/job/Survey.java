package aficion.job;

import java.util.List;
import java.util.Optional;

/**
 * What was found before anything was done.
 *
 * @param found the vehicle's wiring as it was; empty where all is new
 * @param leads the old loom, lead by lead
 * @param boxes fuse boxes, plugs and posts
 * @param kits what was bought
 * @param probed what a meter showed of what nobody knows yet
 * @param photographs every picture, whatever it is of
 */
public record Survey(
        Optional<Design> found,
        List<OldLead> leads,
        List<FoundBox> boxes,
        List<Kit> kits,
        Probed probed,
        List<Photograph> photographs) {

    /** Nothing looked at. */
    public static final Survey NONE =
            new Survey(Optional.empty(), List.of(), List.of(), List.of(), Probed.NONE, List.of());

    public Survey {
        leads = List.copyOf(leads);
        boxes = List.copyOf(boxes);
        kits = List.copyOf(kits);
        photographs = List.copyOf(photographs);
    }

    /** The same with the wiring as it was, or without it. */
    public Survey with(Optional<Design> asFound) {
        return new Survey(asFound, leads, boxes, kits, probed, photographs);
    }

    /** The same with a lead, in the place of the one of its name. */
    public Survey with(OldLead lead) {
        return new Survey(
                found,
                Listed.in(leads, lead, each -> each.name().equals(lead.name())),
                boxes,
                kits,
                probed,
                photographs);
    }

    /** The same without a lead. */
    public Survey without(OldLead lead) {
        return new Survey(
                found, Listed.without(leads, lead::equals), boxes, kits, probed, photographs);
    }

    /** The same with a box, in the place of the one of its name. */
    public Survey with(FoundBox box) {
        return new Survey(
                found,
                leads,
                Listed.in(boxes, box, each -> each.name().equals(box.name())),
                kits,
                probed,
                photographs);
    }

    /** The same without a box. */
    public Survey without(FoundBox box) {
        return new Survey(
                found, leads, Listed.without(boxes, box::equals), kits, probed, photographs);
    }

    /** The same with a kit, in the place of the one of its name. */
    public Survey with(Kit kit) {
        return new Survey(
                found,
                leads,
                boxes,
                Listed.in(kits, kit, each -> each.name().equals(kit.name())),
                probed,
                photographs);
    }

    /** The same without a kit. */
    public Survey without(Kit kit) {
        return new Survey(
                found, leads, boxes, Listed.without(kits, kit::equals), probed, photographs);
    }

    /** The same with other readings. */
    public Survey with(Probed read) {
        return new Survey(found, leads, boxes, kits, read, photographs);
    }

    /** The same with a photograph, in the place of what was said of it. */
    public Survey with(Photograph photograph) {
        return new Survey(
                found,
                leads,
                boxes,
                kits,
                probed,
                Listed.in(photographs, photograph, each -> each.file().equals(photograph.file())));
    }

    /** What a photograph shows, by its file. */
    public Optional<Photograph> photograph(String file) {
        return photographs.stream().filter(each -> each.file().equals(file)).findFirst();
    }

    /** What of it is about parts that a design holds. */
    Survey of(Design design) {
        return kits.isEmpty()
                ? this
                : new Survey(
                        found,
                        leads,
                        boxes,
                        kits.stream().map(kit -> kit.in(design)).toList(),
                        probed,
                        photographs);
    }
}
