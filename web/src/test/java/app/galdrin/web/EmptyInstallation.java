package app.galdrin.web;

import java.sql.DriverManager;
import java.sql.SQLException;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** The application on an operator's empty database: no demo, nobody there, behind a proxy that is named. */
public final class EmptyInstallation implements AutoCloseable {

    private static final String URL = System.getProperty("GALDRIN_DB_URL");

    private final ConfigurableApplicationContext application;

    private EmptyInstallation(ConfigurableApplicationContext application) {
        this.application = application;
    }

    /** An instance on a schema, which is made where it is not there. */
    public static EmptyInstallation on(String schema) {
        owner("create schema if not exists " + schema);
        return new EmptyInstallation(new SpringApplicationBuilder(GaldrinApplication.class)
                .run(
                        "--server.port=0",
                        "--galdrin.proxies=10.9.9.9, 127.0.0.1",
                        "--galdrin.public-address=https://galdrin.test",
                        "--management.server.port=0",
                        "--logging.structured.format.console=",
                        "--spring.datasource.hikari.maximum-pool-size=4",
                        "--spring.flyway.url=" + URL + "?currentSchema=" + schema,
                        "--spring.datasource.url=" + URL + "?currentSchema=" + schema));
    }

    private static void owner(String statement) {
        try (var connection = DriverManager.getConnection(
                URL, System.getProperty("GALDRIN_DB_OWNER"), System.getProperty("GALDRIN_DB_OWNER_PASSWORD"))) {
            connection.createStatement().execute(statement);
        } catch (SQLException e) {
            throw new IllegalStateException(statement, e);
        }
    }

    public int port() {
        return Integer.parseInt(application.getEnvironment().getRequiredProperty("local.server.port"));
    }

    public <T> T part(Class<T> type) {
        return application.getBean(type);
    }

    @Override
    public void close() {
        application.close();
    }
}
