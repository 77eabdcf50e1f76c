package aficion.recipe;

import aficion.job.HouseRules;
import aficion.job.WorkshopPractice;
import aficion.quantity.UserUnits;
import java.util.List;
import java.util.Optional;

/** What a recipe has to know. */
public sealed interface Question {

    /** The name the recipe knows it by. */
    String id();

    /** What is asked, in the trade's words. */
    String ask();

    /** The answer that mostly holds. */
    String usual();

    /** The answer that holds in a house: the one its rules ask for, else the usual one. */
    default String usual(HouseRules rules) {
        return usual();
    }

    /** Whether an answer will do. */
    boolean takes(String answer);

    /** One of a few. */
    record Choice(String id, String ask, List<Option> options, String usual) implements Question {
        public Choice {
            options = List.copyOf(options);
        }

        @Override
        public String usual(HouseRules rules) {
            return options.stream()
                    .filter(option -> option.school().filter(rules::workBy).isPresent())
                    .findFirst()
                    .map(Option::id)
                    .orElse(usual);
        }

        @Override
        public boolean takes(String answer) {
            return options.stream().anyMatch(option -> option.id().equals(answer));
        }
    }

    /**
     * One answer of a choice.
     *
     * @param school the house rule that asks for it, where one does
     */
    record Option(String id, String name, Optional<WorkshopPractice> school) {}

    /** A number within bounds, in a unit such as {@code W}; whole where only that makes sense. */
    record Amount(
            String id,
            String ask,
            String unit,
            double least,
            double most,
            boolean whole,
            String usual)
            implements Question {
        @Override
        public boolean takes(String answer) {
            return UserUnits.parseNumber(answer).stream()
                    .anyMatch(value ->
                            value >= least
                                    && value <= most
                                    && (!whole || value == Math.rint(value)));
        }
    }
}
