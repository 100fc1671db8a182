package app.galdrin.web.layout.internal;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.ibatis.reflection.ReflectionException;
import org.apache.ibatis.reflection.factory.DefaultObjectFactory;
import org.jspecify.annotations.Nullable;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Makes rows, most of which are records of their own packages. MyBatis itself calls the constructor of such a record, is refused by an
 * exception, opens it and calls it again, with every row.
 */
final class RowFactory extends DefaultObjectFactory {

    private static final ClassValue<Constructor<?>> OPENED = new ClassValue<>() {
        @Override
        protected Constructor<?> computeValue(Class<?> type) {
            try {
                Constructor<?> constructor = type.getDeclaredConstructor(Arrays.stream(type.getRecordComponents())
                        .map(RecordComponent::getType)
                        .toArray(Class<?>[]::new));
                constructor.setAccessible(true);
                return constructor;
            } catch (NoSuchMethodException e) {
                throw new ReflectionException("record " + type + " without its constructor", e);
            }
        }
    };

    @Override
    public <T> T create(Class<T> type, @Nullable List<Class<?>> types, @Nullable List<Object> values) {
        if (!type.isRecord()) {
            return super.create(type, types, values);
        }
        try {
            return type.cast(
                    OPENED.get(type).newInstance(Objects.requireNonNull(values).toArray()));
        } catch (InvocationTargetException e) {
            throw new ReflectionException("a row of " + type + " was refused by its constructor", e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new ReflectionException("a row of " + type + " could not be made", e);
        }
    }

    @Configuration(proxyBeanMethods = false)
    static class Use {
        @Bean
        ConfigurationCustomizer rowsByTheirFactory() {
            return configuration -> configuration.setObjectFactory(new RowFactory());
        }
    }
}
