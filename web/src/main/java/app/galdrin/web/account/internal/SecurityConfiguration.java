package app.galdrin.web.account.internal;

import static org.springframework.security.config.Customizer.withDefaults;

import app.galdrin.web.account.Access;
import app.galdrin.web.account.Attempts;
import app.galdrin.web.account.KnownDevices;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SessionContext;
import app.galdrin.web.account.Sessions;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.LogText;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.Arrays;
import java.util.Objects;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.security.autoconfigure.actuate.web.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.CredentialsExpiredException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;

/** Rules for who may open which pages. The owner of a sitting or task is checked where it is loaded. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {

    private static final Logger LOG = LoggerFactory.getLogger(SecurityConfiguration.class);

    private static final String CONTENT_SECURITY_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "img-src 'self' data:; font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'self'; "
            + "frame-ancestors 'none'";

    private static final String INSTRUCTOR = Role.INSTRUCTOR.name();

    private static final String LAX = "Lax";

    private static final int LONGEST_WAY_BACK = 1000;

    /** Roles that sign in with a name and a password. */
    private static final String[] ROLES =
            Arrays.stream(Role.values()).map(Role::name).toArray(String[]::new);

    /** Roles together with sessions by code. */
    private static final String[] ROLES_AND_JOINED = with(Access.SITTING);

    private static String[] with(Access... more) {
        return Stream.concat(Arrays.stream(ROLES), Arrays.stream(more).map(Access::name))
                .toArray(String[]::new);
    }

    /** A span for every filter of every request costs more than it tells. */
    @Bean
    SecurityObservationSettings observations() {
        return SecurityObservationSettings.noObservations();
    }

    /** Opens the management port, which listens on this computer only. */
    @Bean
    @Order(1)
    SecurityFilterChain management(HttpSecurity http) throws Exception {
        return http.securityMatcher(EndpointRequest.toAnyEndpoint())
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .build();
    }

    @Bean
    SecurityFilterChain pages(HttpSecurity http, SessionContext sessions, KnownDevices devices) throws Exception {
        var csrf = new CookieCsrfTokenRepository(); // HttpOnly: pages carry the token themselves
        csrf.setCookieName("galdrin-form");
        csrf.setCookieCustomizer(cookie -> cookie.sameSite(LAX));
        var wanted = new CookieRequestCache(); // in the session it would make a row of it for every stranger
        wanted.setRequestMatcher(SecurityConfiguration::isWorthComingBackTo);
        wanted.setCookieCustomizer(cookie -> cookie.setAttribute("SameSite", LAX));
        return http.authorizeHttpRequests(SecurityConfiguration::allow)
                .securityContext(context -> context.securityContextRepository(sessions))
                .formLogin(form -> form.loginPage("/sign-in")
                        .usernameParameter("signIn")
                        .authenticationDetailsSource(request -> new SignInDetails(request, devices.device(request)))
                        .successHandler(signedIn(devices, wanted))
                        .failureHandler((request, response, failure) -> response.sendRedirect(failed(failure))))
                .logout(out -> out.logoutUrl("/sign-out")
                        .deleteCookies(Sessions.JOINING)
                        .logoutSuccessUrl("/sign-in?out"))
                .csrf(c ->
                        c.csrfTokenRepository(csrf).csrfTokenRequestHandler(new XorCsrfTokenRequestAttributeHandler()))
                .requestCache(cache -> cache.requestCache(wanted))
                .exceptionHandling(
                        e -> e.authenticationEntryPoint(signInFirst()).accessDeniedHandler(denied()))
                .headers(SecurityConfiguration::strict)
                .build();
    }

    /** Opens a path to some roles. */
    private static void allow(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry requests) {
        requests.requestMatchers(
                        "/assets/**",
                        "/sign-in",
                        "/join",
                        "/join/**",
                        "/first-run",
                        "/error",
                        "/formats/**",
                        "/no-connection",
                        "/no-connection-worker.js")
                .permitAll()
                .requestMatchers(
                        "/tasks/**",
                        "/bays/**",
                        "/bays",
                        "/help/style",
                        "/vehicles/new",
                        "/vehicles/import",
                        "/vehicles/*/edit")
                .hasRole(INSTRUCTOR)
                .requestMatchers(HttpMethod.POST, "/marking/moderation/**")
                .hasRole(Role.VERIFIER.name())
                .requestMatchers(HttpMethod.POST, "/marking/**")
                .hasRole(INSTRUCTOR)
                .requestMatchers("/marking/**")
                .hasAnyRole(INSTRUCTOR, Role.VERIFIER.name())
                .requestMatchers("/people/**", "/classes", "/classes/**")
                .hasAnyRole(INSTRUCTOR, Role.OFFICE.name())
                .requestMatchers("/me/password")
                .hasAnyRole(with(Access.NEW_PASSWORD))
                .requestMatchers(HttpMethod.POST, "/sittings/*/entries")
                .hasAnyRole(with(Access.SITTING, Access.DELIVERY))
                .requestMatchers("/", "/sittings/**", "/sketches/**", "/help", "/procedures", "/procedures/**")
                .hasAnyRole(ROLES_AND_JOINED)
                .anyRequest()
                .hasAnyRole(ROLES);
    }

    private static void strict(HeadersConfigurer<HttpSecurity> headers) {
        headers.contentSecurityPolicy(c -> c.policyDirectives(CONTENT_SECURITY_POLICY))
                .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(p -> p.policy("camera=(), microphone=(), geolocation=(), payment=(), usb=()"))
                .crossOriginOpenerPolicy(withDefaults());
    }

    /** The device is known from here on, and the page that was wanted opens. */
    private static AuthenticationSuccessHandler signedIn(KnownDevices devices, RequestCache wanted) {
        var page = new SavedRequestAwareAuthenticationSuccessHandler();
        page.setRequestCache(wanted);
        return (request, response, person) -> {
            devices.remember((SignedIn) Objects.requireNonNull(person.getPrincipal()), request, response);
            page.onAuthenticationSuccess(request, response, person);
        };
    }

    /** A page, at an address that fits into a cookie. */
    private static boolean isWorthComingBackTo(HttpServletRequest request) {
        int query =
                request.getQueryString() == null ? 0 : request.getQueryString().length();
        return request.getMethod().equals("GET")
                && !isScript(request)
                && request.getRequestURI().length() + query <= LONGEST_WAY_BACK;
    }

    private static String failed(AuthenticationException failure) {
        if (failure instanceof TooBusy) {
            return "/sign-in?busy";
        }
        if (failure instanceof CredentialsExpiredException) {
            return "/sign-in?old";
        }
        return failure instanceof TooManyAttempts ? "/sign-in?wait" : "/sign-in?wrong";
    }

    /** Scripts are told so; people are taken to the sign-in page and from there back to where they were. */
    private static AuthenticationEntryPoint signInFirst() {
        var page = new LoginUrlAuthenticationEntryPoint("/sign-in");
        return (request, response, e) -> {
            if (isScript(request)) {
                response.setStatus(HttpStatus.UNAUTHORIZED.value());
            } else if (request.getAttribute(SessionContext.ENDED) != null) {
                response.sendRedirect("/sign-in?ended");
            } else {
                page.commence(request, response, e);
            }
        };
    }

    /** A form from before the last sign-in is out of date, not forbidden; nor is a page one can open after signing in again. */
    private static AccessDeniedHandler denied() {
        return (request, response, e) -> {
            boolean ended = request.getAttribute(SessionContext.ENDED) != null;
            boolean outOfDate = e instanceof CsrfException;
            LOG.info(
                    "refused {} {} from {}",
                    LogText.of(request.getMethod()),
                    LogText.of(request.getRequestURI()),
                    request.getRemoteAddr());
            if (isScript(request)) {
                response.setStatus((outOfDate || ended ? HttpStatus.UNAUTHORIZED : HttpStatus.FORBIDDEN).value());
            } else if (ended) {
                response.sendRedirect("/sign-in?ended");
            } else if (outOfDate) {
                response.sendRedirect("/sign-in?expired");
            } else if (request.isUserInRole(Access.NEW_PASSWORD.name())) {
                response.sendRedirect("/me/password");
            } else {
                response.sendError(HttpStatus.FORBIDDEN.value());
            }
        };
    }

    private static boolean isScript(HttpServletRequest request) {
        return request.getHeader("X-Galdrin-Device") != null;
    }

    /** Argon2id with a salt of 16 bytes and a hash of 32, on one lane and in two passes; {@code memory} is in KiB. */
    @Bean
    HashSlots hashes(@Value("${galdrin.password.memory}") int memory) {
        int cores = Runtime.getRuntime().availableProcessors();
        return new HashSlots(
                new Argon2PasswordEncoder(16, 32, 1, memory, 2), Math.max(2, cores), Duration.ofSeconds(5));
    }

    @Bean
    LimitedSignIn signIns(People people, Attempts attempts, KnownDevices devices, HashSlots slots) {
        return new LimitedSignIn(
                signIn ->
                        people.account(signIn).orElseThrow(() -> new UsernameNotFoundException("nobody of that name")),
                attempts,
                devices,
                slots);
    }
}
