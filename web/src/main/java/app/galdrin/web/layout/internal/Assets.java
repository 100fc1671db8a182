package app.galdrin.web.layout.internal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.CssLinkResourceTransformer;
import org.springframework.web.servlet.resource.LiteWebJarsResourceResolver;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Serves styles, scripts and fonts, each under a version in its address, so that browsers may keep it for good. Scripts are modules
 * that import one another by name: they share one version, made of all of them.
 */
@Configuration(proxyBeanMethods = false)
class Assets implements WebMvcConfigurer {

    private static final Duration FOR_GOOD = Duration.ofDays(365);
    private static final int VERSION_LENGTH = 12;

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/webjars/**") // their addresses name their version
                .addResourceLocations("classpath:/META-INF/resources/webjars/")
                .setCacheControl(CacheControl.maxAge(FOR_GOOD).cachePublic())
                .resourceChain(true)
                .addResolver(new LiteWebJarsResourceResolver());
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(FOR_GOOD).cachePublic())
                .resourceChain(true)
                .addResolver(new VersionResourceResolver()
                        .addFixedVersionStrategy(versionOfScripts(), "/script/**")
                        .addContentVersionStrategy("/style/**", "/vendor/**"))
                .addTransformer(new CssLinkResourceTransformer());
    }

    private static String versionOfScripts() {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            Resource[] scripts =
                    new PathMatchingResourcePatternResolver().getResources("classpath:/static/assets/script/**/*.js");
            Arrays.sort(scripts, Comparator.comparing(r -> String.valueOf(r.getFilename())));
            for (Resource script : scripts) {
                digest.update(script.getContentAsByteArray());
            }
            return HexFormat.of().formatHex(digest.digest()).substring(0, VERSION_LENGTH);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
