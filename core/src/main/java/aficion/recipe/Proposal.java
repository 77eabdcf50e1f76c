package aficion.recipe;

import java.util.Map;

/** A recipe that a kind of vehicle mostly needs, with the answers that mostly hold there. */
public record Proposal(Recipe recipe, Map<String, String> answers) {
    public Proposal {
        answers = Map.copyOf(answers);
    }
}
