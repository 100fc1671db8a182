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
        // text=12&text=5 is no 12.5: what can be sent once is refused twice
        registry.addConverter(String[].class, String.class, KeyedConverters::one);
    }

    private static String one(String[] values) {
        if (values.length != 1) {
            throw new IllegalArgumentException(values.length + " values where one belongs");
        }
        return values[0];
    }

    private static final class ByKey implements ConverterFactory<String, Keyed> {
        @Override
        public <T extends Keyed> Converter<String, T> getConverter(Class<T> type) {
            return key -> Keyed.find(type.getEnumConstants(), key)
                    .orElseThrow(() -> new IllegalArgumentException("no " + type.getSimpleName() + " of this key"));
        }
    }
}
