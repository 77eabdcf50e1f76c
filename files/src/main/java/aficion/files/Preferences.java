package aficion.files;

import aficion.quantity.UserUnits;
import aficion.words.Wording;

/**
 * What one user likes, in every job.
 *
 * @param feet whether lengths are in feet
 * @param fahrenheit whether temperatures are in degrees Fahrenheit
 * @param wording whose words are used
 * @param dark whether the window is dark
 * @param toured whether the first tour has been taken or declined
 */
public record Preferences(
        boolean feet, boolean fahrenheit, Wording wording, boolean dark, boolean toured) {

    /** Metres, degrees Celsius, British words, a light window, the tour still to come. */
    public static final Preferences USUAL =
            new Preferences(false, false, Wording.BRITISH, false, false);

    public UserUnits units() {
        return new UserUnits(
                feet ? UserUnits.LengthUnit.FOOT : UserUnits.LengthUnit.METRE,
                fahrenheit
                        ? UserUnits.TemperatureUnit.FAHRENHEIT
                        : UserUnits.TemperatureUnit.CELSIUS);
    }

    /** The same with lengths and temperatures in the other units. */
    public Preferences withOtherUnits() {
        return new Preferences(!feet, !feet, wording, dark, toured);
    }

    public Preferences withWording(Wording changed) {
        return new Preferences(feet, fahrenheit, changed, dark, toured);
    }

    public Preferences withDark(boolean changed) {
        return new Preferences(feet, fahrenheit, wording, changed, toured);
    }

    /** The same with the tour behind. */
    public Preferences afterTour() {
        return new Preferences(feet, fahrenheit, wording, dark, true);
    }
}
