package app.galdrin.core.workshop;

import java.util.Map;

/** Tools as they were laid once. */
public interface Layout {

    /** Returns what stands there to be read, mm or deg by place, with its sign; again for each repeat, because nobody turns a wheel twice alike. */
    Map<String, Double> shows();
}
