package app.galdrin.web.baysheet.internal;

import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.words.Words;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.IEngineContext;

/**
 * The markup of steps, kept: it follows from a step's view, from whether it is shown and the sheet closed, and from how its reader wants figures
 * shown, and from nothing else, so that what a class begins with is drawn once. The parts that differ from sheet to sheet (its address, its form's
 * token) are outside of it.
 */
@Component("stepMarkup")
public class StepMarkup {

    /** The most characters of steps and blank sheets that are kept; two bytes each. */
    private static final long MOST_CHARACTERS = 12_000_000;

    private final ITemplateEngine templates;
    private final Cache<MarkupKey, RenderedSteps> steps = cache();
    private final Cache<MarkupKey, RenderedSteps> blankSheets = cache();

    StepMarkup(ITemplateEngine templates) {
        this.templates = templates;
    }

    private static Cache<MarkupKey, RenderedSteps> cache() {
        return Caffeine.newBuilder()
                .maximumWeight(MOST_CHARACTERS)
                .weigher((MarkupKey asked, RenderedSteps made) -> made.length())
                .expireAfterAccess(Duration.ofHours(1))
                .build();
    }

    /** The hash is quick and the comparison thorough: blank sheets have the same views. */
    private record MarkupKey(List<StepView> views, boolean closed, String shown, Words.Displays displays) {
        @Override
        public int hashCode() {
            return Objects.hash(
                    views.size(), views.get(0).head().progress(), views.get(0).id(), closed, shown);
        }
    }

    /** Steps in the route, the steps themselves, and what the script says beside them. */
    public record RenderedSteps(String words, String route, String sections) {
        int length() {
            return words.length() + route.length() + sections.length();
        }
    }

    /** Renders a whole sheet; {@code page} and {@code closed} stand in the context too. A blank sheet is kept as a whole, others step by step. */
    public RenderedSteps of(SheetPage page, boolean closed, IEngineContext context) {
        var asked = new MarkupKey(page.steps(), closed, page.shown(), Words.displays());
        return page.lastSeq() == 0 ? blankSheets.get(asked, a -> joined(a, context)) : joined(asked, context);
    }

    private RenderedSteps joined(MarkupKey asked, IEngineContext context) {
        List<RenderedSteps> made =
                asked.views().stream().map(view -> step(view, asked, context)).toList();
        return new RenderedSteps(
                part("words", context), join(made, RenderedSteps::route), join(made, RenderedSteps::sections));
    }

    private static String join(List<RenderedSteps> made, Function<RenderedSteps, String> part) {
        return made.stream().map(part).collect(Collectors.joining());
    }

    private RenderedSteps step(StepView view, MarkupKey whole, IEngineContext context) {
        String shown = view.id().equals(whole.shown()) ? whole.shown() : "";
        return steps.get(new MarkupKey(List.of(view), whole.closed(), shown, whole.displays()), asked -> {
            context.setVariable("v", view);
            return new RenderedSteps("", part("route", context), part("section", context));
        });
    }

    private String part(String fragment, IEngineContext context) {
        return templates.process("baysheet/section", Set.of(fragment), context);
    }
}
