package app.galdrin.web.bay;

import app.galdrin.web.words.Words;
import org.springframework.stereotype.Component;

/** Words for the slopes of a floor. */
@Component
public class SurveyWords {

    /** Two standard uncertainties hold 95 of 100. */
    private static final int COVERAGE = 2;

    private final Words words;

    SurveyWords(Words words) {
        this.words = words;
    }

    /**
     * A survey in words.
     *
     * @param along which end is higher and by how much; {@code across} likewise
     * @param alongSize by how much alone; {@code acrossSize} likewise
     */
    public record SurveyView(
            Survey survey, String along, String across, String alongSize, String acrossSize, String doubt) {}

    /** Returns a survey in words. */
    public SurveyView of(Survey survey) {
        return new SurveyView(
                survey,
                slope("along", survey.along()),
                slope("across", survey.across()),
                size(survey.along()),
                size(survey.across()),
                words.doubt(Math.toRadians(COVERAGE * survey.doubt())));
    }

    private String slope(String which, double degrees) {
        String way = degrees == 0 ? "level" : degrees > 0 ? "positive" : "negative";
        return words.text("bays." + which + "." + way, size(degrees));
    }

    private String size(double degrees) {
        return words.angleSize(Math.toRadians(degrees));
    }
}
