package app.galdrin.web;

import java.time.Clock;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.cache.annotation.EnableCaching;
import org.springframework.context.annotation.Bean;

/** The application people use. */
@SpringBootApplication(proxyBeanMethods = false)
@EnableCaching
@MapperScan(annotationClass = Mapper.class)
public class GaldrinApplication {

    public static void main(String[] args) {
        SpringApplication.run(GaldrinApplication.class, args);
    }

    /** The one clock; tests set another. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
