package aficion.catalogue;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A published way to tell wires apart by colour. Its colours stand in {@code schemes.csv}. */
public enum ColourScheme {
    BS_AU_7,
    DIN_72551,
    TRAILER;

    /** What a wire for a purpose wears. */
    public record Paint(Colour base, Optional<Colour> tracer) {}

    private record Line(ColourScheme scheme, Purpose purpose, Paint paint) {}

    private static final Map<ColourScheme, Map<Purpose, Paint>> TABLE =
            Table.read(
                            "schemes.csv",
                            row ->
                                    new Line(
                                            row.constant("scheme", ColourScheme.class),
                                            row.constant("purpose", Purpose.class),
                                            paint(row.text("colour"))))
                    .stream()
                    .collect(
                            Collectors.groupingBy(
                                    Line::scheme, Collectors.toMap(Line::purpose, Line::paint)));

    private static Paint paint(String text) {
        var colours = text.split("/", 2);
        return new Paint(
                colour(colours[0]),
                colours.length == 2 ? Optional.of(colour(colours[1])) : Optional.empty());
    }

    private static Colour colour(String key) {
        return Colour.valueOf(key.toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    /** The colour for a purpose; empty where the scheme leaves it open. */
    public Optional<Paint> paint(Purpose purpose) {
        return Optional.ofNullable(TABLE.get(this).get(purpose));
    }
}
