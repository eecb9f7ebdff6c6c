package abbex.app.page;

import abbex.app.people.DeviceKeys;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;

/** Gives every page the signed-in person, read anew for each request. */
@Configuration
class PageSettings implements WebMvcConfigurer {
    /**
     * Addresses are written as they are. The filter that would look every link of a page up among the static files of all
     * jars costs a fifth of a page, and no address here carries a version.
     */
    @Bean
    static FilterRegistrationBean<ResourceUrlEncodingFilter> plainAddresses() {
        FilterRegistrationBean<ResourceUrlEncodingFilter> off =
                new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
        off.setEnabled(false);
        return off;
    }

    private static final String ATTRIBUTE = PageSettings.class.getName() + ".me";

    private final People people;
    private final DeviceKeys deviceKeys;

    PageSettings(People people, DeviceKeys deviceKeys) {
        this.deviceKeys = deviceKeys;
        this.people = people;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new HandlerMethodArgumentResolver() {
            @Override
            public boolean supportsParameter(MethodParameter parameter) {
                return parameter.hasParameterAnnotation(Me.class);
            }

            @Override
            public Object resolveArgument(
                    MethodParameter parameter,
                    @Nullable ModelAndViewContainer container,
                    NativeWebRequest request,
                    @Nullable WebDataBinderFactory binder) {
                return me(Objects.requireNonNull(request.getNativeRequest(HttpServletRequest.class)))
                        .orElseThrow(() -> new IllegalStateException("no one is signed in"));
            }
        });
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new StoredMark());
        registry.addInterceptor(new HandlerInterceptor() {
            @Override
            public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
                    throws Exception {
                Optional<Person> me = me(request);
                String path = request.getServletPath();
                if (me.isPresent() && me.get().mustChange() && !path.startsWith("/account") && !path.equals("/error")) {
                    response.sendRedirect(request.getContextPath() + "/account?must");
                    return false;
                }
                return true;
            }

            @Override
            public void postHandle(
                    HttpServletRequest request,
                    HttpServletResponse response,
                    Object handler,
                    @Nullable ModelAndView view) {
                if (view != null
                        && view.getViewName() != null
                        && !view.getViewName().startsWith("redirect:")) {
                    // A device keeps a page for whom it was made, and for nobody else.
                    me(request)
                            .ifPresent(me ->
                                    response.setHeader("X-Abbex-Person", me.id().toString()));
                    me(request)
                            .ifPresent(me -> view.addObject("me", me)
                                    .addObject("reader", Reader.of(me))
                                    .addObject("here", here(request))
                                    .addObject("deviceKey", deviceKeys.of(me.id()))
                                    .addObject("leads", leads()));
                }
            }
        });
    }

    /** Where one comes back to after the device has changed hands. */
    private static String here(HttpServletRequest request) {
        String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
        return request.getMethod().equals("GET") ? request.getRequestURI() + query : "/";
    }

    /** Whether a lead's pages are open in this session. */
    private static boolean leads() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && who.getPrincipal() instanceof SignedIn signedIn && signedIn.lead();
    }

    private Optional<Person> me(HttpServletRequest request) {
        if (request.getAttribute(ATTRIBUTE) instanceof Person known) {
            return Optional.of(known);
        }
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null || !(who.getPrincipal() instanceof SignedIn signedIn)) {
            return Optional.empty();
        }
        Optional<Person> me = people.byId(signedIn.id());
        me.ifPresent(person -> request.setAttribute(ATTRIBUTE, person));
        return me;
    }
}
