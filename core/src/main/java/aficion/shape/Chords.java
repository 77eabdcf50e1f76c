package aficion.shape;

import aficion.quantity.Metres;
import java.util.ArrayList;
import java.util.List;

/**
 * Marks set out evenly round a shaft by a pair of dividers: half of them one way from the first,
 * half the other way, so that what each step is out does not add up all round.
 *
 * @param step the way between two neighbours, straight
 * @param marks in the order they are struck
 */
public record Chords(Metres diameter, Metres step, List<Mark> marks) {

    /**
     * A mark.
     *
     * @param place round the shaft, from 0
     * @param degrees from the first
     * @param from the mark the dividers stand on; itself for the first
     * @param back whether it is struck backwards
     */
    public record Mark(int place, double degrees, int from, boolean back) {}

    public Chords {
        marks = List.copyOf(marks);
    }

    /**
     * So many marks round a shaft.
     *
     * @throws IllegalArgumentException when there are fewer than two
     */
    public static Chords of(Metres diameter, int count) {
        var marks = new ArrayList<Mark>();
        marks.add(new Mark(0, 0, 0, false));
        for (int i = 1; 2 * i <= count; i++) {
            marks.add(new Mark(i, 360.0 * i / count, i - 1, false));
            if (2 * i < count) {
                marks.add(
                        new Mark(
                                count - i,
                                360.0 * (count - i) / count,
                                (count - i + 1) % count,
                                true));
            }
        }
        return new Chords(diameter, chord(diameter, count), marks);
    }

    /**
     * The straight way between two neighbours of some marks, evenly round a shaft: D·sin(π/n).
     *
     * @throws IllegalArgumentException when there are fewer than two
     */
    public static Metres chord(Metres diameter, int marks) {
        if (marks < 2) {
            throw new IllegalArgumentException("there are two marks at least");
        }
        return new Metres(diameter.value() * Math.sin(Math.PI / marks));
    }
}
