package aficion.job;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** One way of doing what good people do differently; the first of each question is the default. */
public enum WorkshopPractice {
    CRIMPED(Question.JOINT),
    SOLDERED(Question.JOINT),
    SOLDER_SLEEVED(Question.JOINT),
    CHARGE_FUSED(Question.CHARGING_LEAD),
    CHARGE_SHORT(Question.CHARGING_LEAD),
    FROM_BATTERY(Question.FEED),
    FROM_ALTERNATOR(Question.FEED),
    FROM_SOLENOID(Question.FEED),
    BODY_RETURN(Question.RETURN),
    WIRE_RETURN(Question.RETURN),
    FUSES(Question.OVERLOAD),
    SELF_RESETTING(Question.OVERLOAD),
    MANUAL_BREAKER(Question.OVERLOAD),
    SMALLEST_SIZE(Question.SIZE),
    LARGEST_SIZE(Question.SIZE),
    LIVE_SWITCHED(Question.SWITCH),
    EARTH_SWITCHED(Question.SWITCH),
    OWN_LOOM(Question.LOOM),
    READY_LOOM(Question.LOOM),
    LAMP_WAKES(Question.WAKE_UP),
    ONE_WIRE(Question.WAKE_UP),
    STOCK_LOOK(Question.KEEP),
    MODERN(Question.KEEP),
    CONCOURS(Question.KEEP),
    GREASED(Question.CONTACTS),
    DRY(Question.CONTACTS),
    CONDUCTOR_FIRST(Question.OPEN_BARREL),
    INSULATION_SET(Question.OPEN_BARREL);

    private final Question question;

    WorkshopPractice(Question question) {
        this.question = question;
    }

    /** What good people differ about (docs/SOURCES.md). */
    public enum Question {
        JOINT,
        CHARGING_LEAD,
        FEED,
        RETURN,
        OVERLOAD,
        SIZE,
        SWITCH,
        LOOM,
        WAKE_UP,
        KEEP,
        CONTACTS,
        OPEN_BARREL;

        /** The name used in files. */
        public String key() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** Whether it is about making the harness, not about planning it. */
        public boolean isForMaking() {
            return this == JOINT || this == LOOM || this == CONTACTS || this == OPEN_BARREL;
        }

        /** Its answers, the default first. */
        public List<WorkshopPractice> schools() {
            return Arrays.stream(WorkshopPractice.values())
                    .filter(school -> school.question == this)
                    .toList();
        }
    }

    /** The question it answers. */
    public Question question() {
        return question;
    }

    /** The name used in files. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
