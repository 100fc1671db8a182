package app.galdrin.web.layout.internal;

import app.galdrin.core.Keyed;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.converter.ConverterFactory;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Forms and addresses carry the key of a constant, as the database and documents do. */
@Configuration(proxyBeanMethods = false)
class KeyedConverters implements WebMvcConfigurer {

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverterFactory(new ByKey());
    }

    private static final class ByKey implements ConverterFactory<String, Keyed> {
        @Override
        public <T extends Keyed> Converter<String, T> getConverter(Class<T> type) {
            return key -> Keyed.find(type.getEnumConstants(), key)
                    .orElseThrow(() -> new IllegalArgumentException("no " + type.getSimpleName() + " of this key"));
        }
    }
}
