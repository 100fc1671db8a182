package app.galdrin.web.gate.internal;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/** Gives no connection to a database that is away: what is refused at once need not be waited for. */
@Configuration(proxyBeanMethods = false)
class GatedDatabase {

    @Bean
    static BeanPostProcessor gate(ObjectProvider<DatabasePulse> pulse) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource pool && name.equals("dataSource")
                        ? new GatedDataSource(pool, pulse)
                        : bean;
            }
        };
    }

    private static final class GatedDataSource extends DelegatingDataSource {
        private final ObjectProvider<DatabasePulse> pulse;

        GatedDataSource(DataSource pool, ObjectProvider<DatabasePulse> pulse) {
            super(pool);
            this.pulse = pulse;
        }

        @Override
        public Connection getConnection() throws SQLException {
            if (pulse.getObject().isAway()) {
                throw new SQLTransientConnectionException("the database is away", "08001");
            }
            return super.getConnection();
        }
    }
}
