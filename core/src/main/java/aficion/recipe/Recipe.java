package aficion.recipe;

import aficion.job.Circuit;
import aficion.job.HouseRules;
import aficion.job.Vehicle;
import aficion.job.WorkshopPractice;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A circuit to start from.
 *
 * @param id its name in files
 * @param name what it makes and, after a comma, in which manner
 * @param says what it is and when it serves, in a sentence
 */
public record Recipe(
        String id,
        Group group,
        String name,
        String says,
        Circuit.Drops drops,
        List<Question> questions,
        Body body) {
    public Recipe {
        questions = List.copyOf(questions);
    }

    /** What recipes are about, in working order. */
    public enum Group {
        STARTING,
        CHARGING,
        DISTRIBUTION,
        IGNITION,
        LIGHTING,
        SIGNALS,
        GAUGES,
        COMFORT,
        ENGINE,
        EXTRAS,
        /** The user's own. */
        OWN
    }

    /** What its circuit is called: the name without the manner. */
    public String circuit() {
        return name.split(",", 2)[0];
    }

    /**
     * Makes the fragment from an answer to every question, and to every question of the house, such
     * as {@code house.feed}.
     */
    @FunctionalInterface
    public interface Body {
        Fragment with(Vehicle vehicle, Map<String, String> answers);
    }

    /**
     * The fragment for a vehicle; what is not answered is taken as the house has it, or as usual.
     *
     * @throws IllegalArgumentException when an answer is out of bounds
     */
    public Fragment with(Vehicle vehicle, HouseRules rules, Map<String, String> answers) {
        var all = new HashMap<String, String>();
        for (var asked : WorkshopPractice.Question.values()) {
            all.put("house." + asked.key(), rules.school(asked).key());
        }
        for (var question : questions) {
            var answer = answers.getOrDefault(question.id(), question.usual(rules));
            if (!question.takes(answer)) {
                throw new IllegalArgumentException(
                        question.ask() + " cannot be answered with " + answer);
            }
            all.put(question.id(), answer);
        }
        return body.with(vehicle, all);
    }
}
