package aficion.job;

import java.util.List;

/**
 * One position of a switch.
 *
 * @param name what it is called
 * @param springs whether it returns by itself, so that its load is short
 * @param joins the pins it connects
 */
public record Position(String name, boolean springs, List<Contact> joins) {
    public Position {
        Names.require(name);
        joins = List.copyOf(joins);
    }
}
