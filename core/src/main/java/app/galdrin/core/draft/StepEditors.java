package app.galdrin.core.draft;

import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKinds;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.ServiceLoader;

/** The editors of all kinds of step. */
final class StepEditors {

    private static final Map<String, StepEditor> BY_KIND = StepKinds.oneEach(
            "editors",
            ServiceLoader.load(StepEditor.class, StepEditor.class.getClassLoader()).stream()
                    .map(ServiceLoader.Provider::get)
                    .toList(),
            StepEditor::kind);

    private StepEditors() {}

    /** Returns the editor of a step's kind. */
    static StepEditor of(Step step) {
        return Objects.requireNonNull(BY_KIND.get(step.kind()));
    }

    /** Returns all that can be added, in the usual order of the work. */
    static List<StepEditor.Addition> additions() {
        return BY_KIND.values().stream()
                .flatMap(editor -> editor.additions().stream())
                .sorted(Comparator.comparingInt(StepEditors::turn))
                .toList();
    }

    private static int turn(StepEditor.Addition addition) {
        StepEditor editor = editor(addition);
        return editor.turn(editor.made(addition, addition.id()));
    }

    /** Returns what is named so among all that can be added. */
    static Optional<StepEditor.Addition> addition(String key) {
        return additions().stream().filter(a -> a.key().equals(key)).findFirst();
    }

    /** Returns the editor that something can be added by. */
    static StepEditor editor(StepEditor.Addition addition) {
        return BY_KIND.values().stream()
                .filter(editor -> editor.additions().contains(addition))
                .findFirst()
                .orElseThrow();
    }
}
