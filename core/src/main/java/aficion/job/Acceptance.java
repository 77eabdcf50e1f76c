package aficion.job;

/**
 * A finding that the user has looked at and lets stand.
 *
 * @param finding the kind of finding
 * @param place what it is about: a wire's identity, a part or a terminal
 * @param reason why it may stand, in the user's words
 */
public record Acceptance(String finding, String place, String reason) {
    public Acceptance {
        if (reason.isBlank()) {
            throw new IllegalArgumentException("letting a finding stand needs a reason");
        }
    }

    /** Whether both speak of the same finding at the same place. */
    public boolean isAbout(String other, String otherPlace) {
        return finding.equals(other) && place.equals(otherPlace);
    }
}
