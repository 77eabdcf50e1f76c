package aficion.diagram;

/** What words on a drawing say; in which words, who draws them knows. */
public sealed interface Phrase {

    /** A name or a figure, as it is. */
    record Plain(String text) implements Phrase {}

    /** One of a few things that a symbol says of itself. */
    record Said(Saying saying) implements Phrase {}

    /** A lamp glows with that much of its light, per cent. */
    record Glows(long percent) implements Phrase {}

    /** A gauge points there on its scale, per cent. */
    record Reads(long percent) implements Phrase {}

    /** What a symbol says of itself. */
    enum Saying {
        CHARGING,
        DARK,
        BLOWN,
        MODULE,
        SPARK
    }
}
